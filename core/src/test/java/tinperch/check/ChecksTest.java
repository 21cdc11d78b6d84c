package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.part.CarriageExamples;
import tinperch.part.Values;
import tinperch.quantity.Unit;

public class ChecksTest {
    private static final ScrewDrawer DRAWER = new ScrewDrawer(Map.of("M3", List.of(6d, 8d, 10d, 12d, 16d, 20d, 25d)));

    private static Machine machine(String id, double x, double y, double z, Machine.State state, String... materials) {
        return new Machine(id, id, Machine.Kind.CUBE, "", new Machine.Space(x, y, z), 0.4, true, 24, 0, List.of(materials),
                state, state == Machine.State.FIT ? "" : "carriage off", Book.EMPTY);
    }

    private static final List<Machine> MACHINES = List.of(
            machine("upgraded", 220, 220, 240, Machine.State.IN_PIECES, "PLA", "PETG"),
            machine("small", 84, 84, 100, Machine.State.FIT, "PLA", "PETG"),
            machine("large", 300, 300, 300, Machine.State.FIT, "PETG"),
            new Machine("cutter", "cutter", Machine.Kind.WIRE_CUTTER, "", new Machine.Space(0, 0, 0), 0, false, 24, 0, List.of(),
                    Machine.State.FIT, "", Book.EMPTY));

    private static Situation situation(Values v, ScrewDrawer drawer, String host, String material) {
        return new Situation(CarriageExamples.form(v), v, MACHINES, "upgraded", host, material, HardwareTables.STANDARD, drawer);
    }

    private static Finding find(Check check, Values v, String id) {
        return find(check, situation(v, DRAWER, "large", "PETG"), id);
    }

    private static Finding find(Check check, Situation s, String id) {
        return check.judge(s).stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow();
    }

    // ---- screw length ----

    @DataProvider
    public Object[][] lengths() {
        // Plate 8 + held 3 + washer 0.5 (ISO 7089) + nut 2.4 (ISO 4032) + one pitch 0.5 (ISO 261) = 14.4 at least.
        return new Object[][] {
            {12.0, Word.STOP, "M3×12 is 2.4 mm short"},
            {14.3, Word.STOP, "M3×14.3 is 0.1 mm short"},
            {16.0, Word.FINE, "M3×16 fits the machine-side screws"},
            {14.5, Word.LOOK, "M3×14.5 fits but is not in the drawer"},
            {25.0, Word.STOP, "M3×25 is 1.6 mm too long"},
        };
    }

    @Test(dataProvider = "lengths")
    public void screwThroughANutClampsPlateThingWasherAndNut(double length, Word word, String what) {
        Finding f = find(new ScrewLengthCheck(), CarriageExamples.values().with("mount.length", length), "screw.mount");
        assertEquals(f.what(), what);
        assertEquals(f.word(), word);
    }

    @Test
    public void aShortScrewGetsTwoRemediesAndEachCuresIt() {
        Values v = CarriageExamples.values().with("mount.length", 12);
        Finding f = find(new ScrewLengthCheck(), v, "screw.mount");
        assertEquals(f.remedies().stream().map(Remedy::label).toList(), List.of("use M3×16", "wall 8 → 5.6 mm"));
        for (Remedy r : f.remedies()) {
            Values cured = v;
            for (Change c : r.changes()) {
                cured = c.in(cured);
            }
            assertEquals(find(new ScrewLengthCheck(), cured, "screw.mount").word(), Word.FINE, r.label());
        }
    }

    @Test
    public void whereNoLengthOfTheDrawerFitsOneIsBoughtOrCut() {
        ScrewDrawer drawer = new ScrewDrawer(Map.of("M3", List.of(8d, 40d)));
        Values v = CarriageExamples.values().with("mount.length", 8);
        Finding f = find(new ScrewLengthCheck(), situation(v, drawer, "large", "PETG"), "screw.mount");
        List<String> labels = f.remedies().stream().map(Remedy::label).toList();
        assertTrue(labels.contains("use M3×16 (to buy)"), labels.toString());
        assertTrue(labels.contains("cut M3×40 to 14.5 mm"), labels.toString());
    }

    @Test
    public void theWallIsNeverThinnedBelowWhatTheHeadNeeds() {
        Values v = CarriageExamples.values().with("mount.length", 6);
        Finding f = find(new ScrewLengthCheck(), v, "screw.mount");
        assertTrue(f.remedies().stream().noneMatch(r -> r.label().startsWith("wall")), f.remedies().toString());
    }

    @DataProvider
    public Object[][] insertLengths() {
        // Washer 0.5 + held 3 = 3.5; one diameter 3 must engage: 6.5 at least; the hole is 6.7 deep: 3.5 + 6.7 − 0.5 = 9.7 at most.
        return new Object[][] {{6.0, Word.STOP}, {8.0, Word.FINE}, {10.0, Word.STOP}, {9.7, Word.LOOK}};
    }

    @Test(dataProvider = "insertLengths")
    public void screwIntoAnInsertEngagesAndDoesNotBottomOut(double length, Word word) {
        Values v = CarriageExamples.values().with("tool.held", 3).with("tool.length", length);
        assertEquals(find(new ScrewLengthCheck(), v, "screw.tool").word(), word);
    }

    @Test
    public void aSunkNutShortensTheGrip() {
        Values v = CarriageExamples.values().with("mount.seat", "captive nut").with("mount.length", 12);
        // Pocket 2.6: plate 5.4 + 3 + 0.5 + 2.4 + 0.5 = 11.8.
        Finding f = find(new ScrewLengthCheck(), v, "screw.mount");
        assertEquals(f.word(), Word.FINE);
        assertEquals(f.margin().orElseThrow().spare(), 0.2, 1e-9);
    }

    // ---- walls ----

    @Test
    public void theLedgeBehindAnInsertIsKept() {
        Values v = CarriageExamples.values().with("tool.standoff", 0).with("plate.thickness", 7);
        Finding f = find(new SeatWallCheck(), v, "wall.tool.under");
        assertEquals(f.word(), Word.STOP);
        assertEquals(f.margin().orElseThrow().value(), 0.3, 1e-9);
        assertEquals(f.remedies().stream().map(Remedy::label).toList(), List.of("wall 7 → 7.7 mm", "insert M3×4"));
        for (Remedy r : f.remedies()) {
            assertEquals(find(new SeatWallCheck(), r.changes().get(0).in(v), "wall.tool.under").word(), Word.FINE, r.label());
        }
    }

    @Test
    public void aBossIsTwiceAsWideAsItsInsert() {
        Finding f = find(new SeatWallCheck(), CarriageExamples.values().with("tool.boss", 8), "boss.tool");
        assertEquals(f.word(), Word.LOOK);
        assertEquals(f.remedies().get(0).label(), "boss Ø 8 → 9.2 mm");
        assertEquals(find(new SeatWallCheck(), CarriageExamples.values(), "boss.tool").word(), Word.FINE);
    }

    @Test
    public void aThinBossWallStops() {
        Finding f = find(new SeatWallCheck(), CarriageExamples.values().with("tool.boss", 6), "wall.tool.around");
        assertEquals(f.word(), Word.STOP);
        assertEquals(f.margin().orElseThrow().value(), 1.0, 1e-9);
        assertEquals(f.remedies().get(0).label(), "boss Ø 6 → 7.2 mm");
    }

    @Test
    public void aHoleNearTheEdgeAsksForAWiderPlate() {
        // Holes at ±30, hole 3.4: edge at 32.5 leaves 0.8 mm.
        Values v = CarriageExamples.values().with("plate.width", 65);
        Finding f = find(new SeatWallCheck(), v, "wall.mount.around");
        assertEquals(f.word(), Word.STOP);
        assertEquals(f.margin().orElseThrow().value(), 0.8, 1e-9);
        assertTrue(f.what().contains("plate's edge"), f.what());
        Values cured = f.remedies().get(0).changes().get(0).in(v);
        assertEquals(find(new SeatWallCheck(), cured, "wall.mount.around").word(), Word.FINE);
    }

    @Test
    public void aNutNeedsTwoMillimetresToPullAgainst() {
        Values v = CarriageExamples.values().with("mount.seat", "captive nut").with("plate.thickness", 4);
        Finding f = find(new SeatWallCheck(), v, "wall.mount.under");
        assertEquals(f.word(), Word.STOP);
        assertEquals(f.margin().orElseThrow(), new Margin(1.4, 2, Unit.MM, true));
        assertEquals(f.remedies().get(0).label(), "wall 4 → 4.6 mm");
    }

    @Test
    public void holesOfBothSidesSeeEachOther() {
        Values v = CarriageExamples.values().with("tool.x", 11).with("tool.y", 6).with("tool.standoff", 0)
                .with("plate.thickness", 9);
        Finding f = find(new SeatWallCheck(), v, "wall.tool.around");
        assertTrue(f.what().contains("machine-side"), f.what());
    }

    // ---- bed ----

    @Test
    public void theUpgradedMachineIsInPieces() {
        Finding f = find(new BedFitCheck(), situation(CarriageExamples.values(), DRAWER, "upgraded", "PETG"), "bed.upgraded");
        assertEquals(f.word(), Word.STOP);
        assertTrue(f.why().contains("in pieces"), f.why());
        assertEquals(f.remedies().stream().map(Remedy::label).toList(), List.of("print on large"));
    }

    @Test
    public void aBedTooSmallSaysByHowMuch() {
        // 80 + 2 · 5 = 90 on 84: 6 mm too large.
        Finding f = find(new BedFitCheck(), situation(CarriageExamples.values(), DRAWER, "small", "PETG"), "bed.small");
        assertEquals(f.word(), Word.STOP);
        assertEquals(f.what(), "Too large for small by 6 mm");
        assertEquals(find(new BedFitCheck(), situation(CarriageExamples.values(), DRAWER, "large", "PETG"), "bed.small").word(),
                Word.LOOK, "another machine being too small stops nothing");
    }

    @Test
    public void aMachineThatMayNotPrintTheMaterialIsOut() {
        Finding f = find(new BedFitCheck(), situation(CarriageExamples.values(), DRAWER, "large", "PLA"), "bed.large");
        assertEquals(f.word(), Word.STOP);
        assertTrue(f.why().contains("may not print PLA"), f.why());
    }

    @Test
    public void aLongStripFitsAcrossTheDiagonal() {
        // A strip 260 × 10 on 220 × 220: straight it is too long; at 45° it takes (260 + 10)/√2 = 190.9 mm.
        Machine m = machine("m", 220, 220, 100, Machine.State.FIT, "PLA");
        double spare = BedFitCheck.spareMm(m, new tinperch.solid.Vec3(260, 10, 5));
        assertEquals(spare, 220 - 270 / Math.sqrt(2) - 10, 1e-9);
        assertEquals(BedFitCheck.bestTurnDeg(m, new tinperch.solid.Vec3(260, 10, 5)), 45);
        assertTrue(BedFitCheck.spareMm(m, new tinperch.solid.Vec3(20, 20, 101)) < 0, "too tall");
    }

    @Test
    public void machinesThatDoNotPrintAreNotAsked() {
        assertFalse(new BedFitCheck().judge(situation(CarriageExamples.values(), DRAWER, "large", "PETG")).stream()
                .anyMatch(f -> f.id().equals("bed.cutter")));
    }

    // ---- margins ----

    @Test
    public void marginsSayWhatIsLeftOrMissing() {
        assertEquals(new Margin(16, 17.4, Unit.MM, true).sayMissing(), "1.4 mm short");
        assertEquals(new Margin(12, 10.6, Unit.MM, false).sayMissing(), "1.4 mm over");
        assertEquals(new Margin(3, 2, Unit.MM, true).sayMissing(), "1 mm spare");
        assertEquals(new Margin(2, 2, Unit.MM, true).sayMissing(), "0 mm spare");
    }

    @Test
    public void stopsComeFirstThenTheTightest() {
        Finding fine = new Finding("a", Word.FINE, "", "", java.util.Optional.of(new Margin(3, 2, Unit.MM, true)), List.of(), "");
        Finding tight = new Finding("b", Word.FINE, "", "", java.util.Optional.of(new Margin(2.1, 2, Unit.MM, true)), List.of(), "");
        Finding stop = new Finding("c", Word.STOP, "", "", java.util.Optional.empty(), List.of(), "");
        assertEquals(List.of(fine, tight, stop).stream().sorted(Finding::tightestFirst).map(Finding::id).toList(),
                List.of("c", "b", "a"));
    }
}
