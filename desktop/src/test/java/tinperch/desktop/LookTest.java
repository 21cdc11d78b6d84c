package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.paint.Color;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import picocli.CommandLine;
import tinperch.desktop.cli.CheckCommand;
import tinperch.desktop.cli.ExportCommand;
import tinperch.desktop.look.Palette;

public class LookTest {
    private static double luminance(String web) {
        Color c = Color.web(web);
        return 0.2126 * linear(c.getRed()) + 0.7152 * linear(c.getGreen()) + 0.0722 * linear(c.getBlue());
    }

    private static double linear(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    /** WCAG 2.1: (L1 + 0.05)/(L2 + 0.05). */
    private static double contrast(String a, String b) {
        double la = luminance(a);
        double lb = luminance(b);
        return (Math.max(la, lb) + 0.05) / (Math.min(la, lb) + 0.05);
    }

    @DataProvider
    public Object[][] palettes() {
        return new Object[][] {{Palette.LIGHT}, {Palette.DARK}};
    }

    @Test(dataProvider = "palettes")
    public void allTextHasContrast(Palette p) {
        String[][] pairs = {{p.ink(), p.paper()}, {p.ink(), p.sheet()}, {p.faint(), p.paper()}, {p.faint(), p.sheet()},
            {p.accent(), p.sheet()}, {p.accent(), p.paper()}, {p.onAccent(), p.accent()}, {p.ink(), p.tint()},
            {p.shelfInk(), p.shelf()}, {p.shelfFaint(), p.shelf()}, {p.shelfFaint(), p.shelfCard()}, {p.hot(), p.sheet()},
            {p.sheet(), p.ink()}};
        for (String[] pair : pairs) {
            assertTrue(contrast(pair[0], pair[1]) >= 4.5, pair[0] + " on " + pair[1] + ": " + contrast(pair[0], pair[1]));
        }
    }

    @Test
    public void fontsShipWithTheApplication() {
        for (String w : new String[] {"Regular", "Semibold", "Bold"}) {
            assertNotNull(getClass().getResource("/tinperch/desktop/fonts/Lato-" + w + ".ttf"));
        }
        assertNotNull(getClass().getResource("/tinperch/desktop/css/tinperch.css"));
    }

    private static String run(Object command, int expected, String... args) {
        PrintStream out = System.out;
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        try {
            System.setOut(new PrintStream(said, true, StandardCharsets.UTF_8));
            assertEquals(new CommandLine(command).execute(args), expected);
        } finally {
            System.setOut(out);
        }
        return said.toString(StandardCharsets.UTF_8);
    }

    @Test
    public void checkPrintsTheFindingsOfTheDemo() throws Exception {
        String text = run(new CheckCommand(), 2, "--demo");
        assertTrue(text.contains("M3×16 is 1.4 mm short") && text.contains("→ use M3×20"), text);
        String json = run(new CheckCommand(), 2, "--demo", "--json");
        var tree = new com.fasterxml.jackson.databind.ObjectMapper().readTree(json);
        assertEquals(tree.get("parts").size(), 22);
        assertEquals(tree.get("parts").get(0).get("findings").get(0).get("severity").asText(), "stop");
    }

    @Test
    public void exportWritesEveryDemoPart() throws Exception {
        Path out = Files.createTempDirectory("tinperch-cli");
        String text = run(new ExportCommand(), 0, "--demo", "--out", out.toString());
        assertEquals(text.lines().count(), 31 + 22);
        for (String line : text.lines().toList()) {
            assertTrue(Files.size(Path.of(line)) > 5000);
            Files.delete(Path.of(line));
        }
        Files.delete(out);
    }
}
