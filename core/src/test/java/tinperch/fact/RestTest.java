package tinperch.fact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.find;
import static tinperch.part.PartExamples.holes;
import static tinperch.part.PartExamples.machine;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.shop;
import static tinperch.part.PartExamples.values;

import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.judge.Judge;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** The part at rest on its site against its neighbours. */
public class RestTest {
    /** A carriage that rides on x, its front looking along −y at y = 100; home at x = 0. */
    private static Surroundings frame() {
        return Surroundings.NONE.with(new Axis("x", Vec3.X, 0, 200, false, 1)).with(new Group("carriage", List.of("x")))
                .with(new Site("front", "carriage front", "carriage", new Vec3(0, 100, 50), Vec3.Y.times(-1), 0, 0.3, ""))
                .with(box("carriage", "carriage", Neighbour.Kind.SOLID, -30, 100, 20, 60, 30, 60, 0));
    }

    private static Neighbour box(String id, String group, Neighbour.Kind kind, double x, double y, double z, double w, double d, double h, double clearance) {
        return new Neighbour(id, id, group, kind, Neighbour.Form.BOX, new Vec3(x, y, z), new Vec3(w, d, h), "z", clearance, 0);
    }

    private static Case placed(Surroundings s, String site) {
        Machine m = machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").with(holes("mount", 60, 50)).with(holes("tool", 32, 32)).withSurroundings(s);
        return Case.of(PartExamples.upgrade(plate(values()).atSite(site)), "p1", shop(m), "");
    }

    @Test
    public void theGapIsExactAndNamesWhatMeets() {
        // Plate 80 × 70 × 8 stands from y = 100 to 92, bosses to 87. A block whose face is at y = 80 leaves 7 to the bosses.
        Case c = placed(frame().with(box("block", "", Neighbour.Kind.HOT, -20, 60, 30, 40, 20, 40, 3)), "front");
        Finding f = find(c, "rest");
        assertEquals(f.severity(), Severity.FINE);
        assertEquals(f.margin().orElseThrow().value(), 7.0, 1e-6);
        assertTrue(f.what().contains("tool boss") && f.what().contains("block"), f.what());
    }

    @Test
    public void tooNearAHotOneStopsAndAShorterStandoffClearsIt() {
        Case c = placed(frame().with(box("block", "", Neighbour.Kind.HOT, -20, 60, 30, 40, 26, 40, 3)), "front");
        Finding f = Judge.thorough(c).findings().stream().filter(x -> x.id().equals("rest.block.part")).findFirst().orElseThrow();
        assertEquals(f.severity(), Severity.STOP);
        assertEquals(f.margin().orElseThrow().value(), 1.0, 1e-6);
        assertEquals(f.remedies().stream().map(r -> r.label()).toList(), List.of("standoff 5 mm → 3 mm", "cut around block, 3 mm free"));
    }

    @Test
    public void whatGoesIntoANeighbourSaysHowDeep() {
        Case c = placed(frame().with(box("post", "", Neighbour.Kind.SOLID, -20, 60, 30, 40, 29, 40, 2)), "front");
        Finding f = find(c, "rest.post.part");
        assertEquals(f.severity(), Severity.STOP);
        assertEquals(f.margin().orElseThrow().value(), -2.0, 0.05);
    }

    @Test
    public void itMayStandOnWhatItIsMountedOn() {
        assertTrue(PartExamples.findings(placed(frame(), "front")).stream().noneMatch(f -> f.id().startsWith("rest.")));
    }

    @Test
    public void anAccessZoneMustStayFree() {
        Case c = placed(frame().with(box("button", "", Neighbour.Kind.ACCESS, 20, 85, 40, 30, 30, 30, 0)), "front");
        assertTrue(find(c, "rest.button.part").what().contains("must stay free"));
    }

    @Test
    public void itMovesWithItsGroupToItsHome() {
        // Homed at the far end, 200 along x, the same block is far away.
        Surroundings far = frame().with(new Axis("x", Vec3.X, 0, 200, true, 1)).with(box("block", "", Neighbour.Kind.HOT, -20, 60, 30, 40, 26, 40, 3));
        assertTrue(PartExamples.findings(placed(far, "front")).stream().noneMatch(f -> f.id().equals("rest.block.part")));
    }

    @Test
    public void withoutASiteNothingIsCalledFine() {
        Finding f = Judge.thorough(placed(frame(), "")).findings().stream().filter(x -> x.id().equals("rest")).findFirst().orElseThrow();
        assertEquals(f.severity(), Severity.CANT_TELL);
        assertEquals(f.remedies().get(0).label(), "it mounts on carriage front");
        assertEquals(find(placed(frame(), "gone"), "rest").severity(), Severity.CANT_TELL);
        assertTrue(find(placed(frame(), "gone"), "rest").why().contains("is gone"));
    }

    /** Boxes thrown round the part: the smallest distance of their corners and faces to all of the mesh's corners bounds what is told. */
    @Test
    public void gapsAgreeWithBruteForce() {
        Random r = new Random(3);
        for (int n = 0; n < 25; n++) {
            double x = -60 + 120 * r.nextDouble();
            double z = 90 + 10 * r.nextDouble();
            Case c = placed(frame().with(box("b", "", Neighbour.Kind.SOLID, x, 80 + 10 * r.nextDouble(), z, 10, 10, 10, 0)), "front");
            FactsOnce facts = new FactsOnce(c);
            RestFact.Gap gap = facts.get(RestFact.REST).orElseThrow().stream().filter(g -> g.neighbour().id().equals("b")).findFirst().orElseThrow();
            Placement place = RestFact.inMachine(c, facts).orElseThrow();
            Mesh m = facts.get(MeshesFact.BARE).pieces().get(0).mesh().placed(place);
            Neighbour b = gap.neighbour();
            double brute = Double.POSITIVE_INFINITY;
            for (int i = 0; i < m.pointCount(); i++) {
                Vec3 p = m.point(i);
                Vec3 lo = b.corner();
                Vec3 hi = b.corner().plus(b.size());
                double dx = Math.max(0, Math.max(lo.x() - p.x(), p.x() - hi.x()));
                double dy = Math.max(0, Math.max(lo.y() - p.y(), p.y() - hi.y()));
                double dz = Math.max(0, Math.max(lo.z() - p.z(), p.z() - hi.z()));
                brute = Math.min(brute, Math.sqrt(dx * dx + dy * dy + dz * dz));
            }
            if (gap.depthMm() == 0) {
                assertTrue(gap.gapMm() <= brute + 1e-9, "never farther than a corner: " + gap.gapMm() + " against " + brute);
                assertTrue(gap.gapMm() > brute - 42, "the plate's own edges are no longer than that");
                // Straight above the plate's upper edge at z = 85 the gap is the height between them.
                if (x > -35 && x < 25 && b.corner().y() < 99 && b.corner().y() + 10 > 92.1) {
                    assertEquals(gap.gapMm(), z - 85, 1e-6);
                }
            }
        }
    }

    @Test
    public void placementsUndoThemselves() {
        Random r = new Random(4);
        for (int n = 0; n < 100; n++) {
            Placement a = Placement.along(new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()), new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()),
                    new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()));
            Placement b = Placement.along(new Vec3(r.nextGaussian(), 2, 3), new Vec3(1, r.nextGaussian(), 0), Vec3.Z);
            Vec3 p = new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian());
            Vec3 through = a.times(b).point(p.x(), p.y(), p.z());
            Vec3 inner = b.point(p.x(), p.y(), p.z());
            assertEquals(through.distanceTo(a.point(inner.x(), inner.y(), inner.z())), 0, 1e-9);
            Vec3 back = a.inverse().point(through.x(), through.y(), through.z());
            assertEquals(back.distanceTo(inner), 0, 1e-9);
        }
    }
}
