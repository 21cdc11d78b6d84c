package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.part.family.FanBracket;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** From usual sizes: a fan of 40 × 10 with holes 32 apart, two holes 20 apart that carry it. */
public class FanBracketTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0).with(FanBracket.ROOFS, false).with(FanBracket.RIB, 0.0).with(FanBracket.LEDGE, 0.0);

    private static Case bracket(Values v) {
        return PartExamples.usual("fan-bracket", v);
    }

    private static Rays rays(Case c) {
        return new Rays(TriangleTree.of(PartExamples.mesh(c)));
    }

    /** Wall 44 × 5 × 51, foot 44 × 24 × 5, less the opening, four holes and two slots of 3.4 × (3.4 + 8), each as the polygon that stands for it. */
    @Test
    public void itsVolumeIsThatOfWallAndFootLessWhatIsCut() {
        double opening = 72 * Math.tan(Math.PI / 72) * 18.5 * 18.5 * 5;
        double holes = 4 * 48 * Math.tan(Math.PI / 48) * 1.7 * 1.7 * 5;
        double slots = 2 * (3.4 * 8 + Math.PI * 1.7 * 1.7) * 5;
        assertEquals(PartExamples.mesh(bracket(PLAIN)).volumeMm3(), 44 * 5 * 51 + 44 * 24 * 5 - opening - holes - slots, 1.5);
    }

    /** Over each slot's ends a straight line goes through, a millimetre beyond them it does not. */
    @Test
    public void slotsReachAsFarAsSaid() {
        Rays r = rays(bracket(PLAIN));
        for (double x : new double[] {-10, 10}) {
            for (double way : new double[] {-5.6, 0, 5.6}) {
                assertEquals(r.hits(new Vec3(x, 17 + way, -5), Vec3.Z).size(), 0, "free at " + way);
            }
            assertEquals(r.hits(new Vec3(x, 17 + 6.7, -5), Vec3.Z).size(), 2);
            assertEquals(r.hits(new Vec3(x + 2.2, 17 + 4, -5), Vec3.Z).size(), 2, "no wider than the screw's hole");
        }
    }

    /** A washer bears on both sides of its slot; what is measured is what is left of its seat, and the wall at the slot's end. */
    @Test
    public void aSlotIsJudgedAsASlot() {
        assertEquals(PartExamples.find(bracket(PLAIN), "seat.mount").severity(), Severity.FINE);
        assertTrue(PartExamples.find(bracket(PLAIN), "screw.mount").why().contains("plastic 5"), "clamps the foot, not the slot");
        // Foot 24 long, slot 8: from its end's circle to the edge 12 − 4 − 1.7; of 18 only 1.3.
        Finding near = PartExamples.findings(bracket(PLAIN.with(FanBracket.LONG, 26.0).with(FanBracket.MOUNT.slot, 18.0))).stream()
                .filter(f -> f.what().contains("machine-side hole") && f.margin().isPresent() && f.margin().get().limit() == 1.6).findFirst().orElseThrow();
        assertEquals(near.margin().orElseThrow().value(), 13 - 9 - 1.7, 0.02);
    }

    /** Every row of screws has slots: a plate's machine side can be moved by them. */
    @Test
    public void aPlateHasSlotsToo() {
        Values v = PartExamples.values().with(ToolCarriagePlate.MOUNT.slot, 6.0).with(ToolCarriagePlate.WIDTH, 90.0);
        Case c = PartExamples.plateCase(v);
        Rays r = rays(c);
        assertEquals(r.hits(new Vec3(30, 25 + 4, -5), Vec3.Z).size(), 0);
        assertEquals(r.hits(new Vec3(30 + 2.4, 25, -5), Vec3.Z).size(), 2);
        assertEquals(PartExamples.find(c, "seat.mount").severity(), Severity.FINE);
        assertTrue(PartExamples.plateCase(v.with(ToolCarriagePlate.HEIGHT, 58.0)) != null);
        FormFact.Answer beyond = new FactsOnce(PartExamples.plateCase(v.with(ToolCarriagePlate.HEIGHT, 58.0))).get(FormFact.FORM);
        assertTrue(beyond.problem().contains("beyond the plate's edge"), beyond.problem());
    }

    /** The fan rests on the ledges with its lower edge, and nothing of them needs support: their underside leans by 45° at most. */
    @Test
    public void ledgesCarryTheFanAndPrintByThemselves() {
        Values v = PLAIN.with(FanBracket.LEDGE, 4.0).with(FanBracket.LIFT, 8.0);
        Rays r = rays(bracket(v));
        // Fan's lower edge: foot 5 + lift 8.
        List<Double> up = r.hits(new Vec3(15.3, -2, -5), Vec3.Z).stream().map(Rays.Hit::distanceMm).sorted().toList();
        assertEquals(up.size(), 2);
        assertEquals(up.get(1) - 5, 13, 1e-9, "its top");
        double outer = r.hits(new Vec3(15.3, -3.9, -5), Vec3.Z).stream().mapToDouble(Rays.Hit::distanceMm).min().orElseThrow();
        double inner = r.hits(new Vec3(15.3, -0.1, -5), Vec3.Z).stream().mapToDouble(Rays.Hit::distanceMm).min().orElseThrow();
        assertTrue((outer - inner) / 3.8 >= 0.99, "its underside falls by " + (outer - inner) + " over 3.8");
    }

    @Test
    public void whatDoesNotGoTogetherIsNamed() {
        for (Values v : List.of(PLAIN.with(FanBracket.OPENING, 60.0), PLAIN.with(FanBracket.LONG, 12.0), PLAIN.with(FanBracket.MOUNT.slot, 40.0))) {
            FormFact.Answer a = new FactsOnce(bracket(v)).get(FormFact.FORM);
            assertTrue(a.form().isEmpty() && a.problem().matches(".*\\d.* mm.*"), a.problem());
        }
    }

    /** Two fans of 40 with 2 between them: as one wall, both openings, eight screws; nothing stops. */
    @Test
    public void twoFansStandSideBySide() {
        Case c = bracket(PLAIN.with(FanBracket.FANS, 2.0));
        double opening = 72 * Math.tan(Math.PI / 72) * 18.5 * 18.5 * 5;
        double holes = 8 * 48 * Math.tan(Math.PI / 48) * 1.7 * 1.7 * 5;
        double slots = 2 * (3.4 * 8 + Math.PI * 1.7 * 1.7) * 5;
        assertEquals(PartExamples.mesh(c).volumeMm3(), 86 * 5 * 51 + 86 * 24 * 5 - 2 * opening - holes - slots, 2.5);
        for (double x : new double[] {-21, 21}) {
            assertEquals(rays(c).hits(new Vec3(x + 0.2, -20, 29.1), Vec3.Y).size(), 0, "the air goes through at " + x);
            assertEquals(rays(c).hits(new Vec3(x + 16, -20, 29 + 16), Vec3.Y).size(), 0, "and its screw");
        }
        assertEquals(PartExamples.findings(c).stream().filter(f -> f.severity() == Severity.STOP).map(f -> f.what() + f.why()).toList().toString(), "[]");
        assertEquals(new FactsOnce(c).get(FormFact.FORM).form().orElseThrow().air().size(), 2);
    }

    /** A clip of 3 and a holder of 9, each with a mouth of seven tenths, beside the wall's ends at 22. */
    @Test
    public void wiresAreHeldBesideTheWall() {
        Case c = bracket(PLAIN.with(FanBracket.WIRE.bore, 3.0).with(FanBracket.HARNESS.bore, 9.0).with(FanBracket.HARNESS.high, 20.0));
        assertEquals(PartExamples.mesh(c).openEdges(), 0);
        Rays r = rays(c);
        double clip = 22 + 3.5 - 0.6;
        double holder = -22 - 6.5 + 0.6;
        assertEquals(r.hits(new Vec3(clip, 2.5, -5), Vec3.Z).size(), 0, "the wire goes through");
        assertEquals(r.hits(new Vec3(holder, 2.5, -5), Vec3.Z).size(), 0);
        assertEquals(r.hits(new Vec3(clip, 2.5, 5), Vec3.Y).size(), 0, "and in from behind");
        assertEquals(2 * r.hits(new Vec3(holder, 2.5 + 5, 15), Vec3.X).get(0).distanceMm(), 6.3, 1e-6, "through a mouth narrower than the bundle");
        assertEquals(r.hits(new Vec3(holder, 2.5, 15), Vec3.Y.times(-1)).get(0).distanceMm(), 4.5, 0.02);
        assertEquals(PartExamples.findings(c).stream().filter(f -> f.severity() == Severity.STOP).map(f -> f.what() + f.why()).toList().toString(), "[]");
    }
}
