package tinperch.measure.sheet;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.measure.Reading;
import tinperch.measure.Spread;

/** Reading sheets of every kind: their tables hold together, and what is reckoned is right against outside numbers. */
public class SheetTest {
    private static Sheet sheet(String kind, Object... cellsAndValues) {
        Sheet s = Sheet.empty("s", SheetKind.of(kind).orElseThrow());
        for (int i = 0; i < cellsAndValues.length; i += 2) {
            String cell = (String) cellsAndValues[i];
            List<Reading> list = new ArrayList<>(s.at(cell));
            list.add(new Reading(((Number) cellsAndValues[i + 1]).doubleValue(), Instant.EPOCH, "calipers"));
            s = s.with(cell, list);
        }
        return s;
    }

    private static Outcome outcome(Sheet s, String label) {
        return s.outcomes().stream().filter(o -> o.label().equals(label)).findFirst()
                .orElseThrow(() -> new AssertionError(label + " is not among " + s.outcomes()));
    }

    @DataProvider
    public Object[][] kinds() {
        return SheetKind.ALL.stream().map(k -> new Object[] {k}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "kinds")
    public void everyKindCanBeDrawnAndRead(SheetKind kind) {
        assertFalse(kind.picture().isEmpty(), kind.kind());
        assertFalse(kind.how().isBlank());
        if (kind.kind().equals(SheetKind.HOLES)) {
            return;
        }
        Set<String> names = new HashSet<>();
        for (SheetCell c : kind.cells()) {
            assertTrue(names.add(c.cell()), c.cell() + " twice in " + kind.kind());
            assertTrue(c.least() < c.most() && c.half() >= 0, c.cell());
            for (double at : new double[] {c.x1(), c.x2()}) {
                assertTrue(at >= 0 && at <= 100, c.cell());
            }
            for (double at : new double[] {c.y1(), c.y2()}) {
                assertTrue(at >= 0 && at <= 70, c.cell());
            }
            assertTrue(c.x1() != c.x2() || c.y1() != c.y2(), "two places for the jaws of " + c.cell());
        }
        kind.cells().forEach(c -> assertTrue(c.over().isEmpty() || names.contains(c.over()), c.cell() + " over " + c.over()));
        Sheet empty = Sheet.empty("x", kind);
        assertEquals(empty.missing(), kind.cells().stream().filter(SheetCell::needed).toList());
        assertFalse(empty.missing().isEmpty());
        assertEquals(empty.outcomes(), List.of());
    }

    /** Whatever is typed into the cells, a sheet answers with numbers or sentences. */
    @Test(dataProvider = "kinds")
    public void nothingThatCanBeReadBreaksASheet(SheetKind kind) {
        Random random = new Random(kind.kind().hashCode());
        for (int round = 0; round < 200; round++) {
            Sheet s = Sheet.empty("x", kind);
            for (SheetCell c : kind.cells()) {
                for (int i = random.nextInt(3); i > 0; i--) {
                    double v = c.least() + (c.most() - c.least()) * Math.pow(random.nextDouble(), 3);
                    if (c.objection(s, v).isEmpty()) {
                        List<Reading> list = new ArrayList<>(s.at(c.cell()));
                        list.add(new Reading(v, Instant.EPOCH, "calipers"));
                        s = s.with(c.cell(), list);
                    }
                }
            }
            for (Outcome o : s.outcomes()) {
                assertTrue(Double.isFinite(o.value()), o.toString());
                assertTrue(o.half().isEmpty() || o.half().getAsDouble() >= 0, o.toString());
                assertFalse(o.words().contains("NaN") || o.words().contains("Infinity"), o.words());
            }
        }
    }

    @Test
    public void halfWidthsCarryOverAsSquares() {
        Sheet fan = sheet("fan", "outside", 35.2, "inside", 28.8);
        Outcome o = outcome(fan, "Hole spacing");
        assertEquals(o.value(), 32.0, 1e-9);
        assertEquals(o.half().getAsDouble(), Math.hypot(0.03, 0.03) / 2, 1e-6);
        assertEquals(outcome(fan, "Hole Ø").value(), 3.2, 1e-9);
        assertEquals(o.words(), "32.00 ± 0.02 mm");
    }

    /** Usual frames: common practice, values from memory. */
    @Test
    public void aFanIsKnownByItsFrameAndAnOddOneIsDoubted() {
        assertFalse(outcome(sheet("fan", "frame", 40.1, "outside", 35.2, "inside", 28.8), "Usual spacing").doubt());
        Outcome odd = outcome(sheet("fan", "frame", 40.1, "outside", 38.2, "inside", 31.8), "Usual spacing");
        assertTrue(odd.doubt());
        assertTrue(odd.note().contains("make the part to the readings"), odd.note());
    }

    /** ISO 261 coarse pitches; outer threads lie below nominal by the allowance of ISO 965-1, 6g. */
    @Test
    public void aThreadIsToldByDiameterAndPitch() {
        assertTrue(outcome(sheet("stud", "diameter", 7.88), "Thread").note().startsWith("M8, pitch 1.25"));
        assertTrue(outcome(sheet("stud", "diameter", 6.24, "ten", 12.7), "Thread").note().startsWith("1/4-20"));
        assertTrue(outcome(sheet("stud", "diameter", 5.85, "ten", 10.0), "Thread").note().startsWith("M6"));
        assertTrue(outcome(sheet("stud", "diameter", 7.3), "Thread").doubt(), "between M6 and M8 there is nothing usual");
    }

    /** Law of cosines on Pythagoras' triangle: 3, 4, 5 is square, a diagonal of 5.01 is open by 0.24°. */
    @Test
    public void anOutlineKnowsWhetherItsCornerIsSquare() {
        assertFalse(outcome(sheet("outline", "length", 40, "width", 30, "diagonal", 50), "Corner away from square").doubt());
        Outcome open = outcome(sheet("outline", "length", 40, "width", 30, "diagonal", 50.1), "Corner away from square");
        // cos = (1600 + 900 − 2510.01) / 2400
        assertEquals(open.value(), Math.toDegrees(Math.acos(-10.01 / 2400)) - 90, 1e-9);
        assertTrue(open.doubt());
        assertTrue(outcome(sheet("outline", "length", 40, "width", 30, "diagonal", 80), "Sides and diagonal").doubt());
    }

    /** Sine bar: 100 mm bar on 50 mm is 30° exactly; on 70.711 mm 45° (tables of sines). */
    @Test
    public void aBarOnABlockIsAnAngle() {
        assertEquals(outcome(sheet("blocks", "bar", 100, "stack", 50), "Angle").value(), 30, 1e-9);
        assertEquals(outcome(sheet("blocks", "bar", 100, "stack", 70.7107), "Angle").value(), 45, 1e-3);
        assertTrue(outcome(sheet("blocks", "bar", 100, "stack", 100), "Angle").doubt());
    }

    @Test
    public void aSquareSaysLeanInDegreesAndOverAHundred() {
        Sheet s = sheet("square", "foot", 0.1, "top", 0.9, "height", 200);
        assertEquals(outcome(s, "Lean").value(), 0.4, 1e-9);
        assertEquals(outcome(s, "Away from square").value(), 0.2292, 1e-4);
        assertTrue(outcome(s, "Away from square").note().contains("0.40 mm per 100 mm"));
        assertFalse(outcome(sheet("square", "foot", 0.1, "top", 0.11, "height", 200), "Away from square").doubt());
    }

    /** A parallelogram's diagonals squared sum to the squares of its four sides (Euclid's parallelogram law). */
    @Test
    public void diagonalsTellSkewAndAMisreadSide() {
        double a = 400;
        double b = 300;
        double angle = Math.toRadians(89.5);
        double shorter = Math.sqrt(a * a + b * b - 2 * a * b * Math.cos(angle));
        double longer = Math.sqrt(a * a + b * b + 2 * a * b * Math.cos(angle));
        Sheet s = sheet("diagonals", "bottom", a, "left", b, "falling", shorter, "rising", longer);
        assertEquals(outcome(s, "Corner away from square").value(), -0.5, 1e-9);
        assertEquals(outcome(s, "Closing error").value(), 0, 1e-9);
        assertTrue(outcome(sheet("diagonals", "bottom", a + 10, "left", b, "falling", shorter, "rising", longer),
                "Closing error").doubt());
    }

    /** A spring of 1 N/mm under 1 kg sways at √1000/2π = 5.033 Hz (any mechanics handbook). */
    @Test
    public void aPushAndAMassGiveAFrequency() {
        Sheet s = sheet("push", "force.1", 5, "give.1", 5, "force.2", 10, "give.2", 10, "force.3", 15, "give.3", 15, "mass", 1000);
        assertEquals(outcome(s, "Stiffness").value(), 1, 1e-9);
        assertEquals(outcome(s, "Sways at").value(), 5.0329, 1e-4);
        assertTrue(outcome(sheet("push", "force.1", 5, "give.1", 5, "force.2", 10, "give.2", 2), "Stiffness").doubt());
    }

    @Test
    public void stepsAreScaledByWhatMoved() {
        assertEquals(outcome(sheet("steps", "now", 93, "asked", 100, "moved", 96), "New setting").value(), 96.875, 1e-9);
        assertTrue(outcome(sheet("steps", "now", 93, "asked", 100, "moved", 60), "Moved too little by").doubt());
    }

    /** 2 mm belt on 20 teeth 80, screw of lead 8 mm 400; 5:1 on a 38 mm plunger 4.24 (common practice, steps tables). */
    @Test
    public void stepsFollowFromTheDrive() {
        Object[] motor = {"full", 200, "micro", 16, "ratio", 1, "pitch", 2, "teeth", 20, "lead", 8};
        assertEquals(outcome(sheet("steps", motor), "By belt and pulley").value(), 80, 1e-9);
        assertEquals(outcome(sheet("steps", motor), "By the screw").value(), 400, 1e-9);
        Sheet paste = sheet("steps", "full", 200, "micro", 16, "ratio", 5, "lead", 8, "bore", 38, "filament", 1.75, "bite", 11);
        assertEquals(outcome(paste, "By the screw").value(), 2000, 1e-9);
        assertEquals(outcome(paste, "Plunger as filament").value(), 4.24, 0.005);
        assertEquals(outcome(paste, "By the filament gear").value(), 16000 / (Math.PI * 11), 1e-9);
    }

    /** A bore of 38 mm holds π/4·38² mm³ a millimetre: 1.134 ml. */
    @Test
    public void aSyringesScaleChecksItsBore() {
        Sheet good = sheet("cylinder", "bore", 38, "outer", 41, "stroke", 100, "volume", 80, "scale", 70.5);
        assertEquals(outcome(good, "Volume for a millimetre").value(), 1.13411, 1e-5);
        assertFalse(outcome(good, "Bore from the scale").doubt());
        assertTrue(outcome(good.with("bore", List.of(new Reading(36, Instant.EPOCH, "calipers"))), "Bore from the scale").doubt());
    }

    /** Foam seals pressed by 25…50 % (common practice). */
    @Test
    public void foamIsPressedEnoughOrNot() {
        assertFalse(outcome(sheet("filter", "foam", 6, "pressed", 4), "Foam pressed by").doubt());
        // A rim of 30 leaves nothing of 50 × 40.
        assertEquals(outcome(sheet("filter", "width", 50, "height", 40, "rim", 30), "Face").value(), 0.0);
        assertTrue(outcome(sheet("filter", "width", 50, "height", 40, "rim", 30), "Face").doubt());
        assertEquals(outcome(sheet("filter", "width", 50, "height", 40, "rim", 5), "Face").value(), 12.0, 1e-9);
        // A line that meets the axis below zero tells of no slack.
        Sheet below = sheet("push", "force.1", 5, "give.1", 0.1, "force.2", 10, "give.2", 0.4, "force.3", 15, "give.3", 0.7);
        assertTrue(below.outcomes().stream().noneMatch(o -> o.label().equals("Slack")));
        assertTrue(outcome(below, "Line misses zero by").note().contains("no slack"));
        assertTrue(outcome(sheet("filter", "foam", 6, "pressed", 5.5), "Foam pressed by").note().startsWith("leaks"));
        assertTrue(outcome(sheet("filter", "foam", 6, "pressed", 2), "Foam pressed by").note().startsWith("crushed"));
    }

    /** Solder tails need air beneath them, 1.5 mm (common practice). */
    @Test
    public void aBoardSaysHowHighItMustStand() {
        Sheet s = sheet("board", "out.x", 61.1, "in.x", 54.9, "out.y", 52.1, "in.y", 45.9, "tails", 2.1, "tallest", 14);
        assertEquals(outcome(s, "Peg spacing along").value(), 58, 1e-9);
        assertEquals(outcome(s, "Peg spacing across").value(), 49, 1e-9);
        assertEquals(outcome(s, "Hole Ø").value(), 3.1, 1e-9);
        assertEquals(outcome(s, "Standoff needed").value(), 3.6, 1e-9);
        assertEquals(s.missing().stream().map(SheetCell::cell).toList(), List.of("length", "width"));
    }

    /** Series and slots: common practice, values from memory. */
    @Test
    public void aProfileIsKnownByItsWidthAndAnOddSlotIsDoubted() {
        assertTrue(outcome(sheet("profile", "width", 20.05, "slot", 6.1), "Series").note().contains("usual slot 6 mm"));
        assertTrue(outcome(sheet("profile", "width", 20.05, "slot", 5.0), "Series").doubt());
        assertTrue(outcome(sheet("profile", "width", 26), "Series").doubt());
        assertEquals(outcome(sheet("profile", "depth", 6.2, "cavity", 4.3), "Lip over the slot").value(), 1.9, 1e-9);
    }

    @Test
    public void aWornRodIsTapered() {
        assertFalse(outcome(sheet("rod", "diameter", 7.98, "other", 7.97), "One end against the other").doubt());
        assertTrue(outcome(sheet("rod", "diameter", 7.98, "other", 7.8), "One end against the other").note().contains("bearings"));
        assertEquals(outcome(sheet("rod", "diameter", 7.98), "Nominal").value(), 8.0);
        assertTrue(outcome(sheet("rod", "diameter", 7.5), "Nominal").doubt());
    }

    /** A barb a tenth thicker than the hose is wide (common practice). */
    @Test
    public void aHoseAndALoadAndAPlateEdge() {
        Sheet hose = sheet("hose", "inner", 4, "outer", 6, "bend", 30);
        assertEquals(outcome(hose, "Barb Ø").value(), 4.4, 1e-9);
        assertEquals(outcome(hose, "Wall").value(), 1, 1e-9);
        assertEquals(outcome(hose, "Bend radius over outer Ø").value(), 5, 1e-9);
        assertEquals(outcome(sheet("mass", "gross", 212, "tare", 12, "pieces", 100), "Net").value(), 200, 1e-9);
        assertEquals(outcome(sheet("mass", "gross", 212, "pieces", 100), "Each").value(), 2.12, 1e-9);
        // (130 − 30) / 10, by hand.
        assertEquals(outcome(sheet("mass", "gross", 130, "tare", 30, "pieces", 10), "Each").value(), 10.0, 1e-9);
        assertEquals(outcome(sheet("outline", "edge.x", 5, "hole", 4), "First hole from the left edge").value(), 7, 1e-9);
    }

    /** Student's factor for two readings is 12.706 (table, 1 degree of freedom, 95 % two-sided). */
    @Test
    public void twoReadingsKnowLittleAndAnOutlierIsFlaggedByItsInstrument() {
        Spread two = Spread.of(List.of(new Reading(10, Instant.EPOCH, ""), new Reading(10.1, Instant.EPOCH, "")), 0).orElseThrow();
        assertEquals(two.halfWidth(), 12.706 * 0.0707107 / Math.sqrt(2), 1e-3);
        List<Reading> tape = List.of(new Reading(700, Instant.EPOCH, ""), new Reading(700.5, Instant.EPOCH, ""), new Reading(701, Instant.EPOCH, ""));
        assertTrue(Spread.outlier(tape, 0.5).isEmpty(), "half a millimetre is nothing to a tape");
        List<Reading> calipers = List.of(new Reading(10, Instant.EPOCH, ""), new Reading(10.01, Instant.EPOCH, ""), new Reading(10.02, Instant.EPOCH, ""),
                new Reading(10.5, Instant.EPOCH, ""));
        assertEquals(Spread.outlier(calipers, 0.03).orElseThrow().value(), 10.5);
        assertTrue(Spread.outlier(List.of(calipers.get(0), calipers.get(1), calipers.get(2), calipers.get(3).leftOut(true)), 0.03).isEmpty());
    }

    @Test
    public void slipsOfTheFingerAreRefusedWithASentence() {
        Sheet s = sheet("fan", "inside", 28.8);
        SheetCell outside = cell("fan", "outside");
        assertTrue(outside.objection(s, 28).orElseThrow().contains("must be larger than between the holes (28.8 mm)"));
        assertEquals(outside.objection(s, 35.2), Optional.empty());
        assertTrue(outside.objection(s, 3520).orElseThrow().contains("at most 260 mm"));
        assertTrue(outside.objection(s, Double.NaN).isPresent());
        Sheet other = sheet("fan", "outside", 35.2);
        assertTrue(cell("fan", "inside").objection(other, 36).orElseThrow().contains("must be smaller than over the holes"));
    }

    private static SheetCell cell(String kind, String cell) {
        return SheetKind.of(kind).orElseThrow().cells().stream().filter(c -> c.cell().equals(cell)).findFirst().orElseThrow();
    }

    @Test
    public void aChangedReadingKeepsWhatItWasAndALeftOutOneStaysOnTheSheet() {
        Reading r = new Reading(32.1, Instant.EPOCH, "calipers");
        Reading changed = r.changedTo(31.2).changedTo(32.0).changedTo(32.0);
        assertEquals(changed.earlier(), List.of(32.1, 31.2));
        assertEquals(changed.value(), 32.0);
        Sheet s = sheet("fan", "outside", 35.2, "outside", 39.9, "inside", 28.8);
        Sheet less = s.with("outside", List.of(s.at("outside").get(0), s.at("outside").get(1).leftOut(true)));
        assertEquals(less.at("outside").size(), 2);
        assertEquals(outcome(less, "Hole spacing").value(), 32, 1e-9);
        assertTrue(less.missing().stream().noneMatch(c -> c.cell().equals("outside")));
        assertEquals(Spread.of(less.at("outside"), 0.03).orElseThrow().count(), 1);
    }

    @Test
    public void aSheetOfHolesIsAPattern() {
        Sheet holes = Sheet.empty("h", SheetKind.of(SheetKind.HOLES).orElseThrow()).named("left upright");
        assertTrue(holes.isPattern());
        Sheet back = holes.with(holes.pattern().plus(tinperch.measure.HolePair.AB, tinperch.measure.Jaw.OUTSIDE,
                new Reading(25, Instant.EPOCH, "calipers")));
        assertEquals(back.pattern().at(tinperch.measure.HolePair.AB, tinperch.measure.Jaw.OUTSIDE).size(), 1);
        assertEquals(back.name(), "left upright");
    }
}
