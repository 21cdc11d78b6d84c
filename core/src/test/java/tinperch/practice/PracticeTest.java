package tinperch.practice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
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
import tinperch.machine.model.Model;
import tinperch.machine.model.ModelCheck;
import tinperch.measure.Reading;
import tinperch.measure.sheet.Outcome;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetKind;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.Hands;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Mistakes that cost people prints, each said beforehand: caught with the right number, cured where a remedy exists, silent where the mistake is not made. The table goes to target/practice.txt. */
public class PracticeTest {
    private static final List<Row> ROWS = Stream.of(MotionRows.rows(), HeatRows.rows(), ScrewRows.rows(), AirRows.rows(), PrintRows.rows(), WireRows.rows(), LineRows.rows(), SideRows.rows()).flatMap(List::stream).toList();
    /** Rows nothing says yet, and why. */
    private static final Map<String, String> WAITING = new TreeMap<>(Map.ofEntries(Map.entry("P26", "the housing opens windows by itself"), Map.entry("P67", "settings, not parts")));
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
        List<Prover.Tried> tried = Prover.all(c, new Assessment(List.of(f), List.of()), new FactsOnce(c)::of, Hands.ONE).getOrDefault(f, List.of());
        return tried.stream().map(Prover.Tried::remedy).filter(x -> {
            Case after = c.after(Change.all(c.draft(), x.changes()));
            return Judge.judge(after, new FactsOnce(after)).findings().stream().filter(y -> y.id().equals(f.id())).allMatch(y -> y.severity() == Severity.FINE);
        }).findFirst();
    }

    private static List<Reading> read(double... mm) {
        return Arrays.stream(mm).mapToObj(x -> new Reading(x, Instant.EPOCH, "calipers")).toList();
    }

    /** P03 is said of the model, where it is checked, before any part is made of it. */
    @Test
    public void aModelIsCheckedBeforeItIsBelieved() {
        table.put("P03", "missed   a downloaded holder believed");
        List<Reading> spacing = read(30.45, 30.48, 30.51);
        List<Reading> length = read(60.0, 60.02);
        Model drawn = new Model("m", "holder", "x", 1, 12, new Vec3(60, 40, 8), "", List.of()).with(new ModelCheck("spacing", "holes 31 apart", 31.0, spacing)).with(new ModelCheck("length", "its length", 60, length));
        assertEquals(drawn.checks().get(0).differenceMm(1).orElseThrow(), 31.0 - 30.48, 1e-9);
        assertEquals(drawn.verdict(), Model.Verdict.DISAGREES);
        assertTrue(drawn.verdictWords().contains("disagree"), drawn.verdictWords());
        Model right = new Model("m", "holder", "x", 1, 12, new Vec3(60, 40, 8), "", List.of()).with(new ModelCheck("spacing", "holes 30.48 apart", 30.48, spacing)).with(new ModelCheck("length", "its length", 60, length));
        assertEquals(right.verdict(), Model.Verdict.AGREES);
        table.put("P03", "caught   a downloaded holder believed, its spacing 31.0, read 30.48: of the model, " + drawn.verdictWords());
    }

    /** P08 is said on the sheet of the frame's diagonals. By the law of cosines (any handbook): (d − e)(d + e) = 4·a·b·cos of the corner. */
    @Test
    public void aFrameOutOfSquareIsSaidOnItsSheet() {
        table.put("P08", "missed   a frame bolted tight before it was square");
        double a = 400;
        double middle = a * Math.sqrt(2);
        Outcome corner = frame(a, middle + 0.95, middle - 0.95);
        double deg = 90 - Math.toDegrees(Math.acos(1.9 * 2 * middle / (4 * a * a)));
        assertEquals(Math.abs(corner.value()), deg, 0.003);
        assertTrue(corner.doubt() && corner.note().startsWith(String.format(java.util.Locale.ROOT, "%.2f mm per 100 mm", 100 * Math.tan(Math.toRadians(deg)))), corner.note());
        assertFalse(frame(a, middle, middle).doubt());
        table.put("P08", "caught   a frame's diagonals differ by 1.9 mm: of its sheet, " + corner.label() + " " + corner.words() + ", " + corner.note());
    }

    private static Outcome frame(double side, double rising, double falling) {
        Sheet s = Sheet.empty("s", SheetKind.of("diagonals").orElseThrow()).with("bottom", read(side, side)).with("left", read(side, side)).with("rising", read(rising, rising)).with("falling", read(falling, falling));
        return s.outcomes().stream().filter(o -> o.label().equals("Corner away from square")).findFirst().orElseThrow();
    }

    @AfterClass(alwaysRun = true)
    public void write() throws IOException {
        List<String> lines = new ArrayList<>();
        table.forEach((id, line) -> lines.add(String.format("%-6s %s", id, line)));
        WAITING.forEach((id, why) -> lines.add(String.format("%-14s waits: %s", id, why)));
        Files.write(Path.of("target", "practice.txt"), lines);
    }
}
