package tinperch.practice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Margin;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.judge.Assessment;
import tinperch.judge.Judge;
import tinperch.judge.Prover;
import tinperch.solid.kernel.Hands;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Mistakes that cost people prints, each said beforehand: caught with the right number, cured where a remedy exists, silent where the mistake is not made. The table goes to target/practice.txt. */
public class PracticeTest {
    private static final List<Row> ROWS = Stream.of(MotionRows.rows(), HeatRows.rows(), ScrewRows.rows(), AirRows.rows(), PrintRows.rows(), WireRows.rows(), LineRows.rows(), SideRows.rows()).flatMap(List::stream).toList();
    /** Rows nothing says yet, and why. */
    private static final Map<String, String> WAITING = new TreeMap<>(Map.ofEntries(Map.entry("P03, P08", "said where readings are taken and models are checked, not of a part"), Map.entry("P07", "holes are drawn with the printer's offset already"),
            Map.entry("P26", "the housing opens windows by itself"), Map.entry("P67", "settings, not parts")));
    private final Map<String, String> table = new TreeMap<>();

    @DataProvider
    public Object[][] rows() {
        return ROWS.stream().map(r -> new Object[] {r}).toArray(Object[][]::new);
    }

    private static Optional<Finding> find(Case c, Row r) {
        return Judge.judge(c, new FactsOnce(c)).findings().stream().filter(f -> f.id().startsWith(r.finding()) && f.severity() != Severity.FINE).findFirst();
    }

    @Test(dataProvider = "rows")
    public void isSaidBeforehand(Row r) {
        table.put(r.id(), "missed   " + r.mistake());
        Case with = r.with().get();
        Finding f = find(with, r).orElseThrow(() -> new AssertionError(r.id() + " is not caught: " + Judge.judge(with, new FactsOnce(with)).findings().stream().map(x -> x.id() + " " + x.severity() + " " + x.what()).toList()));
        assertTrue(f.severity() == Severity.STOP || f.severity() == Severity.LOOK, f.toString());
        assertTrue(Pattern.compile(r.words()).matcher(f.what() + " " + f.why()).find(), f.what() + " | " + f.why());
        r.value().ifPresent(v -> assertEquals(f.margin().map(Margin::value).orElseThrow(() -> new AssertionError("no number: " + f.what())), v, r.within(), f.what()));
        String cured = "";
        if (r.cured()) {
            Remedy cure = cure(with, f, r).orElseThrow(() -> new AssertionError(r.id() + " is not cured by " + f.remedies().stream().map(Remedy::label).toList()));
            cured = "; cured by “" + cure.label() + "”";
        }
        Optional<Finding> silent = find(r.without().get(), r);
        assertTrue(silent.isEmpty(), "without the mistake: " + silent.map(Finding::what).orElse(""));
        table.put(r.id(), "caught   " + r.mistake() + ": " + f.severity().label() + ", " + f.what() + cured);
    }

    private static Optional<Remedy> cure(Case c, Finding f, Row r) {
        List<Prover.Tried> tried = Prover.all(c, new Assessment(List.of(f), List.of()), FactsOnce::new, Hands.ONE).getOrDefault(f, List.of());
        return tried.stream().map(Prover.Tried::remedy).filter(x -> {
            Case after = c.after(Change.all(c.draft(), x.changes()));
            return Judge.judge(after, new FactsOnce(after)).findings().stream().filter(y -> y.id().equals(f.id())).allMatch(y -> y.severity() == Severity.FINE);
        }).findFirst();
    }

    @AfterClass(alwaysRun = true)
    public void write() throws IOException {
        List<String> lines = new ArrayList<>();
        table.forEach((id, line) -> lines.add(String.format("%-6s %s", id, line)));
        WAITING.forEach((id, why) -> lines.add(String.format("%-14s waits: %s", id, why)));
        Files.write(Path.of("target", "practice.txt"), lines);
    }
}
