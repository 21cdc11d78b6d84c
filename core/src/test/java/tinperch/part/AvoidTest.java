package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.find;
import static tinperch.part.PartExamples.holes;
import static tinperch.part.PartExamples.machine;
import static tinperch.part.PartExamples.mesh;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.shop;
import static tinperch.part.PartExamples.values;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.judge.Judge;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.bind.Binding;
import tinperch.part.bind.Refs;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.kind.AvoidFeature;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.Differences;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Recipe;

/** Cutting a neighbour's room out of a part: the plate 80 × 70 × 8 stands on a face that looks along −y at y = 100. */
public class AvoidTest {
    private static Neighbour block(Neighbour.Form form, Vec3 corner, Vec3 size, String along) {
        return new Neighbour("block", "block", "", Neighbour.Kind.SOLID, form, corner, size, along, 0, 0);
    }

    private static Case placed(PartDesign part, Neighbour n, double homeMm) {
        Surroundings s = Surroundings.NONE.with(new Axis("x", Vec3.X, homeMm, homeMm + 200, false, 1)).with(new Group("carriage", List.of("x")))
                .with(new Site("front", "carriage front", "carriage", new Vec3(0, 100, 50), Vec3.Y.times(-1), 0, 0.3, "")).with(n);
        Machine m = machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").with(holes("mount", 60, 50)).with(holes("tool", 32, 32)).withSurroundings(s);
        return Case.of(PartExamples.upgrade(part), "p1", shop(m), "");
    }

    private static PartDesign cut(double clearanceMm) {
        return plate(values()).atSite("front").with(new Feature("f1", "avoid", "around the block", Anchor.piece("part"), new Binding.OfNeighbour("block"),
                Values.START.with(AvoidFeature.CLEARANCE, clearanceMm), false));
    }

    private static double volume(Case c) {
        return mesh(c).volumeMm3();
    }

    @Test
    public void aBoxInTheEdgeOfThePlateIsTakenOutWithItsClearance() {
        // From above into the upper edge (z 85): 10 wide, 3 deep in z, through the whole thickness; 1.5 more on every side.
        Neighbour n = block(Neighbour.Form.BOX, new Vec3(-5, 80, 82), new Vec3(10, 40, 30), "z");
        assertEquals(volume(placed(plate(values()).atSite("front"), n, 0)) - volume(placed(cut(1.5), n, 0)), 13 * 4.5 * 8, 1e-6);
        Case c = placed(cut(1.5), n, 0);
        assertEquals(find(c, "rest").margin().orElseThrow().value(), 1.5, 1e-6, "the exact gap is what was asked for");
    }

    @Test
    public void aRodIsTakenOutRoundWhicheverWayItRuns() {
        // A rod of 6 along y through the plate, well away from its holes: a bore of 8 through 8 mm.
        Neighbour n = block(Neighbour.Form.CYLINDER, new Vec3(-3, 60, 77), new Vec3(6, 80, 6), "y");
        double gone = volume(placed(plate(values()).atSite("front"), n, 0)) - volume(placed(cut(1), n, 0));
        assertEquals(gone, 64 * 64 / 4.0 * Math.tan(Math.PI / 64) * 8, 1e-6, "64 sides about a circle of 8");
    }

    @Test
    public void itIsCutWhereTheMachineIsAtHome() {
        // The carriage homes at x = 7: seen from the plate the block is 7 to the left.
        Neighbour n = block(Neighbour.Form.BOX, new Vec3(-5, 80, 82), new Vec3(10, 40, 30), "z");
        assertEquals(find(placed(cut(2), n, 7), "rest").margin().orElseThrow().value(), 2, 1e-6);
    }

    private static double gone(Neighbour n, AvoidFeature.Out out) {
        Feature f = cut(1).feature("f1").orElseThrow();
        return volume(placed(plate(values()).atSite("front"), n, 0)) - volume(placed(cut(1).with(f.with(f.values().with(AvoidFeature.OUT, out))), n, 0));
    }

    @Test
    public void aBoxIsFreedOnItsWayOut() {
        // Sunk 3 into the back of the plate: 12 × 12, 4 deep with its clearance.
        Neighbour n = block(Neighbour.Form.BOX, new Vec3(-5, 97, 55), new Vec3(10, 23, 10), "z");
        assertEquals(gone(n, AvoidFeature.Out.NONE), 12 * 12 * 4, 1e-6);
        assertEquals(gone(n, AvoidFeature.Out.UP), 12 * 12 * 8, 1e-6, "out of the face: right through");
        assertEquals(gone(n, AvoidFeature.Out.DOWN), 12 * 12 * 4, 1e-6, "it goes out behind, where there is no plate");
        for (AvoidFeature.Out o : List.of(AvoidFeature.Out.LEFT, AvoidFeature.Out.RIGHT, AvoidFeature.Out.FRONT, AvoidFeature.Out.BACK)) {
            assertEquals(gone(n, o), 12 * 24 * 4, 1e-6, o + ": as long again as it is");
        }
    }

    @Test
    public void aRodIsFreedAlongAndAcross() {
        double round = 64 * 64 / 4.0 * Math.tan(Math.PI / 64);
        Neighbour sunk = block(Neighbour.Form.CYLINDER, new Vec3(-3, 97, 47), new Vec3(6, 23, 6), "y");
        assertEquals(gone(sunk, AvoidFeature.Out.NONE), round * 4, 1e-6);
        assertEquals(gone(sunk, AvoidFeature.Out.UP), round * 8, 1e-6);
        for (AvoidFeature.Out o : List.of(AvoidFeature.Out.LEFT, AvoidFeature.Out.RIGHT, AvoidFeature.Out.FRONT, AvoidFeature.Out.BACK)) {
            // Half of it where it is, and from its middle a slot to where it was pushed, 8 on, and its half.
            assertEquals(gone(sunk, o), (round / 2 + 8 * 12) * 4, 1e-6, o.name());
        }
    }

    @Test
    public void whatStandsAskewHasNoStraightWayOut() {
        Neighbour n = block(Neighbour.Form.BOX, new Vec3(-5, 97, 55), new Vec3(10, 23, 10), "z");
        Feature f = cut(1).feature("f1").orElseThrow();
        PartDesign part = cut(1).with(f.with(f.values().with(AvoidFeature.OUT, AvoidFeature.Out.BACK)));
        Case c = placed(part, n, 0);
        Site turned = new Site("front", "carriage front", "carriage", new Vec3(0, 100, 50), Vec3.Y.times(-1), 30, 0.3, "");
        Case askew = Case.of(PartExamples.upgrade(part), "p1", shop(c.machine().withSurroundings(c.machine().surroundings().with(turned))), "");
        assertTrue(find(askew, "feature.f1").why().contains("askew"), find(askew, "feature.f1").why());
    }

    @Test
    public void withoutSiteOrNeighbourItIsLeftOutInWords() {
        Neighbour n = block(Neighbour.Form.BOX, new Vec3(-5, 80, 82), new Vec3(10, 40, 30), "z");
        assertTrue(find(placed(cut(1).atSite(""), n, 0), "feature.f1").why().contains("say where the part mounts"));
        PartDesign gone = cut(1).with(cut(1).feature("f1").orElseThrow().around(new Binding.OfNeighbour("other")));
        assertTrue(find(placed(gone, n, 0), "feature.f1").why().contains("is gone from"));
        PartDesign none = cut(1).with(cut(1).feature("f1").orElseThrow().around((Binding) null));
        assertTrue(find(placed(none, n, 0), "feature.f1").why().contains("made around nothing"));
    }

    @Test
    public void whatIsInTheWayOffersItAsARemedyThatClears() {
        Neighbour n = block(Neighbour.Form.BOX, new Vec3(-5, 80, 82), new Vec3(10, 40, 30), "z");
        Case c = placed(plate(values()).atSite("front"), n, 0);
        Finding f = Judge.thorough(c).findings().stream().filter(x -> x.id().equals("rest.block.part")).findFirst().orElseThrow();
        assertEquals(f.severity(), Severity.STOP);
        Remedy r = f.remedies().stream().filter(x -> x.label().equals("cut around block, 1 mm free")).findFirst().orElseThrow();
        assertEquals(r.leaves(), "");
        Case after = c.after(Change.all(c.draft(), r.changes()));
        assertTrue(PartExamples.findings(after).stream().noneMatch(x -> x.id().equals("rest.block.part")));
        // Asked again after the neighbour moved on, the same feature follows it.
        Case moved = placed(after.part(), block(Neighbour.Form.BOX, new Vec3(0, 80, 80), new Vec3(10, 40, 30), "z"), 0);
        assertTrue(PartExamples.findings(moved).stream().noneMatch(x -> x.id().equals("rest.block.part")));
    }

    @Test
    public void aKeptRecipeKeepsTheNeighbourAsItWas() {
        Neighbour n = block(Neighbour.Form.BOX, new Vec3(-5, 80, 82), new Vec3(10, 40, 30), "z");
        Recipe kept = placed(cut(1), n, 0).recipe();
        assertEquals(kept.refs().byRole().get(Refs.feature("f1")).name(), "block");
        Case elsewhere = placed(cut(1), block(Neighbour.Form.BOX, new Vec3(200, 80, 82), new Vec3(10, 40, 30), "z"), 0).with(kept);
        assertEquals(volume(elsewhere), volume(placed(cut(1), n, 0)), 1e-9);
    }

    @Test
    public void theDifferenceIsToldWithoutAPlaceOnAFace() {
        String words = Differences.between(plate(values()), java.util.Optional.empty(), cut(2), java.util.Optional.empty()).toString();
        assertTrue(words.contains("Cut around with 2 mm free"), words);
        PartDesign odd = plate(values()).with(new Feature("f1", "hole", "odd", null, Values.START, false));
        assertTrue(Differences.between(plate(values()), java.util.Optional.empty(), odd, java.util.Optional.empty()).toString().contains("right through"));
    }
}
