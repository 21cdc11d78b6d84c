package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.fact.CarriedFact;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.fact.MotionFact;
import tinperch.fact.RestFact;
import tinperch.fact.SceneFact;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.param.Values;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** The part on a carriage of two axes against what stands and what rides elsewhere, with brute force beside it. */
public class MotionCheckTest {
    private static Neighbour box(String id, String group, Vec3 corner, Vec3 size) {
        return new Neighbour(id, id, group, Neighbour.Kind.SOLID, Neighbour.Form.BOX, corner, size, "z", 0, 0, "", 0);
    }

    private static Case on(Neighbour... around) {
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 200, false, 1), new Axis("z", Vec3.Z, 0, 100, false, 2)), List.of(new Group("carriage", List.of("x", "z")), new Group("arm", List.of("z"))),
                List.of(around), List.of(new Site("s", "front", "carriage", Vec3.ZERO, Vec3.Y, 0, 0.3, "")));
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        Case plain = PartExamples.caseOf(PartDesign.of("p1", "soft-foot", "Foot", Values.START).atSite("s"), shop);
        Shop with = new Shop(shop.machines().stream().map(m -> m.id().equals(plain.machine().id()) ? m.withSurroundings(s) : m).toList(), shop.hardware(), shop.drawer(), shop.models());
        return PartExamples.caseOf(plain.part(), with);
    }

    /** Everywhere on a fine grid of both axes. */
    private static double bruteForce(Case c, Neighbour n, boolean both) {
        FactsOnce f = new FactsOnce(c);
        Placement place = RestFact.inMachine(c, f).orElseThrow().times(f.get(MeshesFact.BARE).pieces().get(0).piece().place());
        TriangleTree own = TriangleTree.of(f.get(MeshesFact.BARE).pieces().get(0).mesh());
        TriangleTree other = new FactsOnce(c).get(SceneFact.SCENE).get(n.id()).tree();
        double least = Double.POSITIVE_INFINITY;
        for (double x = 0; x <= 200; x += 2) {
            for (double z = 0; z <= (both ? 100 : 0); z += 2) {
                least = Math.min(least, Clearance.between(other, own, place.moved(new Vec3(x, 0, z))).gapMm());
            }
        }
        return least;
    }

    private static List<MotionFact.Way> ways(Case c) {
        return new FactsOnce(c).get(MotionFact.MOTION).orElseThrow();
    }

    @Test
    public void theTightestPlaceIsThatOfBruteForce() {
        Random dice = new Random(31);
        int told = 0;
        for (int k = 0; k < 25; k++) {
            boolean rides = k % 2 == 1;
            Neighbour n = box("n", rides ? "arm" : "", new Vec3(260 * dice.nextDouble() - 30, 12 + 6 * dice.nextDouble(), 140 * dice.nextDouble() - 40), new Vec3(8, 20, 8));
            Case c = on(n);
            double least = bruteForce(c, n, !rides);
            List<MotionFact.Way> found = ways(c);
            if (least > MotionFact.NEED_MM) {
                assertTrue(found.isEmpty() || found.get(0).gapMm() > MotionFact.NEED_MM - 1.5, least + " " + found);
            } else {
                told++;
                assertTrue(found.get(0).gapMm() <= least + 0.06, "nowhere nearer on the grid: " + least + ", found " + found.get(0));
                assertTrue(found.get(0).gapMm() >= least - 1.5, "the grid's step");
                assertTrue(found.get(0).surelyMm() <= least + 1e-6);
            }
        }
        assertTrue(told > 4 && told < 25, told + " of 25 come near");
    }

    @Test
    public void whatItRunsIntoStopsAndWhereIsSaid() {
        Case c = on(box("post", "", new Vec3(120, -10, 40), new Vec3(20, 20, 20)));
        Finding f = PartExamples.find(c, "motion.post.part");
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.what().contains("runs into post"), f.what());
        assertTrue(f.why().matches("(?s).*with x at (9[89]|1[0-4]\\d)\\S* mm, z at [3-6]\\d\\S* mm.*"), f.why());
    }

    /** Homing x first, what stands at x 0 above home is met on z's way down, whoever drives it; homing z first it is passed beneath. */
    @Test
    public void whatIsMetOnTheWayHomeSaysTheLegAndTheOrderThatMissesIt() {
        Case c = on(box("pulley", "", new Vec3(-10, -10, 50), new Vec3(20, 20, 10)));
        Finding f = PartExamples.find(c, "homing.pulley.part");
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.what().startsWith("While z homes, with x at home, the"), f.what());
        assertEquals(f.pose().get("x"), 0.0);
        assertTrue(f.pose().get("z") > 10 && f.pose().get("z") < 90, f.pose().toString());
        assertEquals(f.remedies().get(0).label(), "home z, x");
        Case other = c.after(Change.all(c.draft(), f.remedies().get(0).changes()));
        assertEquals(other.machine().surroundings().axis("z").orElseThrow().homingOrder(), 1);
        assertTrue(PartExamples.findings(other).stream().noneMatch(x -> x.id().startsWith("homing")), "missed in the other order");
        assertEquals(PartExamples.find(other, "motion.pulley.part").severity(), Severity.STOP, "it can still be driven into it");
        // Elsewhere on x it is never met on a later leg.
        assertTrue(PartExamples.findings(on(box("pulley", "", new Vec3(120, -10, 50), new Vec3(20, 20, 10)))).stream().noneMatch(x -> x.id().startsWith("homing")));
    }

    /** The foot's screw comes out behind its plate: a wall the foot clears meets the tip, and the sentence says which screw. */
    @Test
    public void whatItCarriesCountsToo() {
        Case c = on();
        FactsOnce f = new FactsOnce(c);
        List<CarriedFact.Carried> carried = f.get(CarriedFact.CARRIED);
        assertEquals(carried.size(), 1, "its screws; what it stands on is not carried");
        Bounds screws = carried.get(0).tree().mesh().placed(RestFact.inMachine(c, f).orElseThrow()).bounds();
        Bounds part = f.get(MeshesFact.BARE).pieces().get(0).mesh().placed(RestFact.inMachine(c, f).orElseThrow().times(f.get(MeshesFact.BARE).pieces().get(0).piece().place())).bounds();
        assertTrue(screws.min().y() < part.min().y() - 1, "they come out on the machine's side: " + screws + " " + part);
        Vec3 behind = new Vec3(100, screws.min().y() - 4.9, -60);
        Case wall = on(box("wall", "", behind, new Vec3(8, 5, 200)));
        assertTrue(PartExamples.findings(wall).stream().noneMatch(x -> x.id().equals("motion.wall.part")), "the foot itself clears it");
        Finding met = PartExamples.find(wall, "motion.wall." + carried.get(0).id());
        assertTrue(met.what().matches("The (nut|tip|head) of M\\S+, .* runs into wall"), met.what());
    }

    @Test
    public void whatStaysClearIsFineAndWhatDoesNotMoveIsNotTold() {
        Finding f = PartExamples.find(on(box("far", "", new Vec3(0, 90, 0), new Vec3(20, 20, 20))), "motion");
        assertEquals(f.severity(), Severity.FINE);
        Case same = on(box("mine", "carriage", new Vec3(0, 60, 0), new Vec3(20, 20, 20)));
        assertTrue(PartExamples.findings(same).stream().noneMatch(x -> x.id().startsWith("motion")), "nothing moves against it");
        Machine still = same.machine().withSurroundings(Surroundings.NONE);
        assertEquals(Map.of(), still.surroundings().home());
    }
}
