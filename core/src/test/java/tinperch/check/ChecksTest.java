package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.caseOf;
import static tinperch.part.PartExamples.find;
import static tinperch.part.PartExamples.machine;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.plateCase;
import static tinperch.part.PartExamples.shop;
import static tinperch.part.PartExamples.values;
import static tinperch.part.family.ToolCarriagePlate.CARRIED;
import static tinperch.part.family.ToolCarriagePlate.MOUNT;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.hardware.ScrewDrawer;
import tinperch.judge.Judge;
import tinperch.machine.Machine;
import tinperch.part.PartExamples;
import tinperch.part.family.BoardMount;
import tinperch.part.family.HoseAdapter;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.Shop;

public class ChecksTest {
    private static List<String> remedies(Case c, String id) {
        return Judge.thorough(c).findings().stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow().remedies().stream().map(Remedy::label).toList();
    }

    // ---- screw length ----

    @DataProvider
    public Object[][] lengths() {
        // Plate 8 + held 3 + washer 0.5 (ISO 7089) + nut 2.4 (ISO 4032) + one pitch 0.5 (ISO 261) = 14.4 at least.
        return new Object[][] {
            {12.0, Severity.STOP, "M3×12 is 2.4 mm short"},
            {14.3, Severity.STOP, "M3×14.3 is 0.1 mm short"},
            {16.0, Severity.FINE, "M3×16 fits the machine-side screws"},
            {14.5, Severity.FINE, "M3×14.5, cut from M3×16, fits the machine-side screws"},
            {25.0, Severity.STOP, "M3×25 is 1.6 mm too long"},
        };
    }

    @Test(dataProvider = "lengths")
    public void screwThroughANutClampsPlateThingWasherAndNut(double length, Severity severity, String what) {
        Finding f = find(plateCase(values().with(MOUNT.length, length)), "screw.mount");
        assertEquals(f.what(), what);
        assertEquals(f.severity(), severity);
    }

    @Test
    public void withoutAWasherItClampsLess() {
        Finding with = find(plateCase(values()), "screw.mount");
        Finding without = find(plateCase(values().with(MOUNT.washer, false)), "screw.mount");
        assertEquals(without.margin().orElseThrow().limit(), with.margin().orElseThrow().limit() - 0.5, 1e-9);
    }

    @Test
    public void aShortScrewGetsTwoRemediesThatCureIt() {
        assertEquals(remedies(plateCase(values().with(MOUNT.length, 12.0)), "screw.mount"), List.of("use M3×16", "wall 8 mm → 5.6 mm"));
    }

    @Test
    public void whereNoLengthOfTheDrawerFitsOneIsBoughtOrCut() {
        Shop s = shop(60, 50, 32, 32);
        Shop few = new Shop(s.machines(), s.hardware(), new ScrewDrawer(Map.of("M3", List.of(8d, 40d))), s.models());
        Case c = caseOf(plate(values().with(MOUNT.length, 8.0)), few);
        List<String> labels = remedies(c, "screw.mount");
        assertTrue(labels.contains("use M3×16 (to buy)"), labels.toString());
        assertTrue(labels.contains("cut M3×40 to 14.5 mm"), labels.toString());
        Finding stop = Judge.thorough(c).findings().stream().filter(f -> f.id().equals("screw.mount")).findFirst().orElseThrow();
        Remedy buy = stop.remedies().stream().filter(r -> r.label().contains("to buy")).findFirst().orElseThrow();
        assertTrue(buy.leaves().contains("not in the drawer"), "it says that it still has to be bought: " + buy.leaves());
        // Bought and put into the drawer, nothing is left.
        Case bought = c.after(Change.all(c.draft(), buy.changes()));
        Finding look = Judge.thorough(bought).findings().stream().filter(f -> f.id().equals("screw.mount")).findFirst().orElseThrow();
        assertEquals(look.severity(), Severity.LOOK);
        Remedy stocked = look.remedies().stream().filter(r -> r.label().startsWith("bought")).findFirst().orElseThrow();
        assertEquals(find(bought.after(Change.all(bought.draft(), stocked.changes())), "screw.mount").severity(), Severity.FINE);
        Remedy cut = stop.remedies().stream().filter(r -> r.label().startsWith("cut")).findFirst().orElseThrow();
        assertEquals(find(c.after(Change.all(c.draft(), cut.changes())), "screw.mount").severity(), Severity.FINE);
    }

    @Test
    public void aWallIsNotPulledWhereThatCuresNothing() {
        // M2×16 through a recess of 8: thinning or thickening the standoff must clear the screw or not be offered.
        Values v = values().with(CARRIED.seat, SeatKind.CAPTIVE_NUT).with(CARRIED.recess, 8.0).with(CARRIED.standoff, 2.0).with(CARRIED.thread, "M2").with(CARRIED.length, 16.0);
        Case c = plateCase(v);
        for (Finding f : Judge.thorough(c).findings()) {
            for (Remedy r : f.remedies()) {
                Case after = c.after(Change.all(c.draft(), r.changes()));
                Severity then = PartExamples.findings(after).stream().filter(x -> x.id().equals(f.id())).map(Finding::severity).findFirst().orElse(Severity.FINE);
                assertTrue(then == Severity.FINE || !r.leaves().isEmpty(), r.label());
            }
        }
    }

    @DataProvider
    public Object[][] insertLengths() {
        // Washer 0.5 + held 3 = 3.5; one diameter 3 must engage: 6.5 at least; the hole is 6.7 deep: 3.5 + 6.7 − 0.5 = 9.7 at most.
        return new Object[][] {{6.0, Severity.STOP}, {8.0, Severity.FINE}, {10.0, Severity.STOP}};
    }

    @Test(dataProvider = "insertLengths")
    public void screwIntoAnInsertEngagesAndDoesNotBottomOut(double length, Severity severity) {
        assertEquals(find(plateCase(values().with(CARRIED.held, 3.0).with(CARRIED.length, length)), "screw.tool").severity(), severity);
    }

    @Test
    public void aSunkNutShortensTheGrip() {
        // Pocket 2.6: plate 5.4 + 3 + 0.5 + 2.4 + 0.5 = 11.8.
        Finding f = find(plateCase(values().with(MOUNT.seat, SeatKind.CAPTIVE_NUT).with(MOUNT.length, 12.0)), "screw.mount");
        assertEquals(f.severity(), Severity.FINE);
        assertEquals(f.margin().orElseThrow().spare(), 0.2, 1e-6);
    }

    // ---- bed ----

    private static Case on(String host, String material) {
        Case c = plateCase(values());
        return Case.of(c.upgrade().onHost(host).with(c.part().withMaterial(material)), "p1", shop(60, 50, 32, 32), "");
    }

    @Test
    public void theUpgradedMachineIsInPieces() {
        Finding f = find(on("upgraded", "PETG"), "bed");
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.why().contains("in pieces"), f.why());
        assertEquals(remedies(on("upgraded", "PETG"), "bed"), List.of("print on large"));
    }

    @Test
    public void aBedTooSmallSaysByHowMuch() {
        // 80 + 2 · 5 = 90 on 84: 6 mm too large.
        assertEquals(find(on("small", "PETG"), "bed").what(), "Too large for small by 6 mm");
        assertEquals(find(on("large", "PETG"), "bed").severity(), Severity.FINE, "another machine being too small stops nothing");
    }

    @Test
    public void whatMayNotOrCannotPrintIsSaid() {
        assertTrue(find(on("large", "ABS"), "bed").why().contains("may not print ABS"));
        assertEquals(find(on("nowhere", "PETG"), "bed").what(), "No machine is chosen to print it");
        assertEquals(find(on("large", "cheese"), "material").severity(), Severity.STOP, "an unknown material is said, not thrown");
    }

    @Test
    public void aLongStripFitsAcrossTheDiagonal() {
        // A strip 260 × 10 on 220 × 220: straight it is too long; at 45° it takes (260 + 10)/√2 = 190.9 mm.
        Machine m = machine("m", 220, 220, 100, Machine.State.FIT, "PLA");
        assertEquals(BedFitCheck.spareMm(m, new Vec3(260, 10, 5)), 220 - 270 / Math.sqrt(2) - 10, 1e-9);
        assertEquals(BedFitCheck.bestTurnDeg(m, new Vec3(260, 10, 5)), 45, 1e-9);
        assertTrue(BedFitCheck.spareMm(m, new Vec3(20, 20, 101)) < 0, "too tall");
        // Exactly as large as the bed with its margins, a quarter turn round.
        assertEquals(BedFitCheck.spareMm(machine("n", 200, 110, 100, Machine.State.FIT, "PLA"), new Vec3(100, 190, 5)), 0, 1e-9);
    }

    /** Against looking at every hundredth of a degree. */
    @Test
    public void theBestTurnIsTheBest() {
        Random r = new Random(8);
        for (int n = 0; n < 300; n++) {
            Machine m = machine("m", 100 + 200 * r.nextDouble(), 100 + 200 * r.nextDouble(), 300, Machine.State.FIT, "PLA");
            Vec3 size = new Vec3(10 + 250 * r.nextDouble(), 10 + 250 * r.nextDouble(), 5);
            double best = Double.NEGATIVE_INFINITY;
            for (int i = 0; i <= 9000; i++) {
                double a = Math.toRadians(i / 100.0);
                best = Math.max(best, Math.min(m.usableMm().x() - size.x() * Math.cos(a) - size.y() * Math.sin(a),
                        m.usableMm().y() - size.x() * Math.sin(a) - size.y() * Math.cos(a)) - 10);
            }
            double told = BedFitCheck.spareMm(m, size);
            assertTrue(told >= best - 1e-9 && told < best + 0.1, told + " against " + best);
        }
    }

    // ---- snaps ----

    @Test
    public void snapStrainsAreThoseOfTheDesignGuideFormulas() {
        // Annular: interference / diameter. Bead 0.6, play 0.2 in an opening of 60 with 0.6 play: 0.8 / 59.8 = 1.34 %.
        Finding ring = find(PartExamples.usual("hose-adapter", Values.START), "snap.0");
        // It bears that, but 8 mm of stout ring are not stretched by hand: ring and tube give (handbook, see RingSnapTest).
        assertEquals(ring.severity(), Severity.LOOK);
        assertTrue(ring.why().startsWith("Strain when it is put together " + Quantity.show(100 * 0.8 / 59.8, Unit.PERCENT)), ring.why());
        assertEquals(find(PartExamples.usual("hose-adapter", Values.START.with(HoseAdapter.SLIT, 2.0)), "snap.0").severity(), Severity.FINE);
        Finding thick = find(PartExamples.usual("hose-adapter", Values.START.with(HoseAdapter.BEAD, 1.2).with(HoseAdapter.RING_HEIGHT, 10.0)), "snap.0");
        assertTrue(thick.severity() != Severity.FINE, thick.what());
        // Cantilever: 1.5·t·y/L²: 1.5 · 1.6 · 0.8 / 13.2² = 1.10 %.
        // A cantilever bent by F·L³/(3·E·I) at its end (handbook), E = 1800 MPa, 10 × 1.6 × 13.2, 0.8 bent: 3·1800·(10·1.6³/12)·0.8/13.2³ = 6.41 N; pushed up a flank of 45° at μ = 0.3: × 1.3/0.7.
        assertEquals(SnapCheck.pushN(new tinperch.part.form.Joint.CantileverSnap("arm", 1.6, 13.2, 0.8, 10, 45, List.of()), 1800), 3 * 1800 * (10 * Math.pow(1.6, 3) / 12) * 0.8 / Math.pow(13.2, 3) * 1.3 / 0.7, 1e-9);
        Finding arm = find(PartExamples.usual("board-mount", Values.START), "snap.0");
        assertTrue(arm.why().contains("to push on"), arm.why());
        assertEquals(arm.margin().orElseThrow().value(), 100 * 1.5 * 1.6 * 0.8 / (13.2 * 13.2), 1e-9);
        // The same arms in PLA, which stands 1 % (value from memory).
        Case c = PartExamples.usual("board-mount", Values.START);
        Case pla = Case.of(c.upgrade().with(c.part().withMaterial("PLA")), "p1", shop(60, 50, 32, 32), "");
        assertTrue(find(pla, "snap.0").severity() != Severity.FINE);
        List<String> ways = remedies(pla, "snap.0");
        assertTrue(ways.stream().anyMatch(w -> w.startsWith("hook 0.8 mm →")), ways.toString());
        assertTrue(BoardMount.SNAP.hook.holds(0.7));
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
        Finding fine = Finding.of("a", Severity.FINE, "", "").measured(new Margin(3, 2, Unit.MM, true));
        Finding tight = Finding.of("b", Severity.FINE, "", "").measured(new Margin(2.1, 2, Unit.MM, true));
        Finding unknown = Finding.of("d", Severity.CANT_TELL, "", "");
        Finding stop = Finding.of("c", Severity.STOP, "", "");
        assertEquals(List.of(fine, tight, stop, unknown).stream().sorted(Finding::tightestFirst).map(Finding::id).toList(), List.of("c", "d", "b", "a"));
    }

    @Test
    public void aCheckThatFailsSaysSoAndTheOthersStand() {
        Check broken = new Check() {
            @Override
            public String about() {
                return "broken";
            }

            @Override
            public List<Finding> judge(Case c, tinperch.fact.Facts facts) {
                throw new IllegalStateException("divided by zero");
            }
        };
        List<Finding> f = Judge.ask(broken, plateCase(values()), new FactsOnce(plateCase(values())));
        assertEquals(f.get(0).severity(), Severity.CANT_TELL);
        assertTrue(f.get(0).why().contains("divided by zero"));
    }
}
