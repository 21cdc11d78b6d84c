package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tinperch.desktop.cli.Commands;

/** The commands as a script runs them: what they print and what they end with. */
public class CommandsTest {
    private Path folder;
    private String said;

    @BeforeMethod
    public void begin() throws IOException {
        folder = Files.createTempDirectory("tinperch-commands");
    }

    @AfterMethod(alwaysRun = true)
    public void end() throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            for (Path p : all.toList()) {
                Files.delete(p);
            }
        }
        Files.delete(folder);
    }

    private int run(String... typed) {
        PrintStream out = System.out;
        PrintStream err = System.err;
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        try (PrintStream p = new PrintStream(all, true, StandardCharsets.UTF_8)) {
            System.setOut(p);
            System.setErr(p);
            return Commands.run(List.of(typed));
        } finally {
            System.setOut(out);
            System.setErr(err);
            said = all.toString(StandardCharsets.UTF_8);
        }
    }

    @Test
    public void whatWasPackedIsJudgedWithoutAWindow() throws IOException {
        Path file = folder.resolve("club.zip");
        assertEquals(run("pack", "--demo", file.toString()), 0, said);
        assertTrue(said.contains("4 machines, 19 upgrades, 5 revisions"), said);
        assertEquals(run("check", file.toString(), "--json"), 2, "something stops in the demo");
        JsonNode fromFile = new ObjectMapper().readTree(said);
        assertEquals(run("check", "--demo", "--json"), 2);
        assertEquals(fromFile.get("parts"), new ObjectMapper().readTree(said).get("parts"), "a packed workshop has the findings it had before");
        JsonNode stop = fromFile.get("parts").get(0).get("findings").get(0);
        for (String field : List.of("severity", "id", "what", "why", "value", "limit", "unit", "piece", "feature", "remedies")) {
            assertTrue(stop.has(field), field);
        }
        assertFalse(stop.get("remedies").get(0).get("changes").isEmpty(), "a remedy says what it changes");
        assertEquals(fromFile.get("parts").get(0).get("key").asText().length(), 64, "the content key of what was judged");
        assertTrue(said.contains("\"settledBy\""), "what would settle something is told");
    }

    @Test
    public void oneUpgradeOfTheDemoIsPackedByItsName() throws IOException {
        Path file = folder.resolve("one.zip");
        assertEquals(run("pack", "--demo", "--upgrade", "Blower carriage", file.toString()), 0, said);
        assertTrue(said.contains("1 upgrades, 4 revisions"), said);
        assertEquals(run("pack", "--demo", "--upgrade", "Nobody's", folder.resolve("none.zip").toString()), 1);
        assertTrue(said.contains("No upgrade is called “Nobody's”"), said);
        assertFalse(Files.exists(folder.resolve("none.zip")), "nothing half-made is left");
    }

    @Test
    public void filesThatCannotBeReadEndWithASentence() throws IOException {
        Path file = folder.resolve("broken.json");
        for (String text : List.of("", "{", "[1, 2]", "{\"format\": \"something else\"}", "PK\u0003\u0004 cut off", "\u0000\u0000\u0000")) {
            Files.writeString(file, text);
            assertEquals(run("check", file.toString()), 1, "“" + text + "”: " + said);
            assertTrue(said.strip().endsWith("."), said);
            assertFalse(said.contains("Exception") || said.contains("\tat "), said);
        }
        assertEquals(run("check", folder.resolve("gone.json").toString()), 1);
        assertTrue(said.contains("There is no file"), said);
    }

    @Test
    public void wordsNobodyKnowsAreRefused() {
        assertEquals(run("dance"), 64, "2 is what check says when something stops");
        assertEquals(run("export", "--demo"), 64);
        assertEquals(run("export", "--demo", "--out", ""), 1);
        assertTrue(said.contains("Say a folder"), said);
        assertEquals(run("pack", "--demo", folder.resolve("none").resolve("x.zip").toString()), 1);
        assertTrue(said.strip().endsWith("."), said);
        assertEquals(run("--version"), 0);
        assertTrue(said.contains("Tin Perch"), said);
    }
}
