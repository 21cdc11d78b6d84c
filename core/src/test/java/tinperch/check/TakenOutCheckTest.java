package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.holes;
import static tinperch.part.PartExamples.machine;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.shop;
import static tinperch.part.PartExamples.values;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.fact.RestFact;
import tinperch.judge.Judge;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.kind.AvoidFeature;
import tinperch.part.param.Values;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.PartDesign;

/** A board behind the plate 80 × 70 × 8, which stands on a face that looks along −y at y = 100, in a bay that is open to the front only. */
public class TakenOutCheckTest {
    private static final double BEHIND_MM = 102;

    private static Neighbour block(String id, Vec3 corner, Vec3 size) {
        return new Neighbour(id, id, "carriage", Neighbour.Kind.SOLID, Neighbour.Form.BOX, corner, size, "z", 40, 0);
    }

    /** @param z of the bay's floor */
    private static Case bay(double x, double z, PartDesign part) {
        Surroundings s = Surroundings.NONE.with(new Axis("x", Vec3.X, 0, 200, false, 1)).with(new Group("carriage", List.of("x")))
                .with(new Site("front", "carriage front", "carriage", new Vec3(0, 100, 50), Vec3.Y.times(-1), 0, 0.3, ""));
        Vec3 at = new Vec3(x, BEHIND_MM, z);
        for (Neighbour n : List.of(block("board", at, new Vec3(20, 20, 20)), block("left wall", at.plus(new Vec3(-4, 0, 0)), new Vec3(4, 20, 20)), block("right wall", at.plus(new Vec3(20, 0, 0)), new Vec3(4, 20, 20)),
                block("floor", at.plus(new Vec3(0, 0, -4)), new Vec3(20, 20, 4)), block("roof", at.plus(new Vec3(0, 0, 20)), new Vec3(20, 20, 4)), block("back", at.plus(new Vec3(0, 20, 0)), new Vec3(20, 4, 20)))) {
            s = s.with(n);
        }
        Machine m = machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").with(holes("mount", 60, 50)).with(holes("tool", 32, 32)).withSurroundings(s);
        return Case.of(PartExamples.upgrade(part.atSite("front")), "p1", shop(m), "");
    }

    private static Optional<Finding> out(Case c) {
        return Judge.thorough(c).findings().stream().filter(f -> f.id().equals("out.board")).findFirst();
    }

    private static Case after(Case c, Remedy r) {
        return c.after(Change.all(c.draft(), r.changes()));
    }

    @Test(groups = "quick")
    public void saysHowFarItComesAndCutsItsWayFree() {
        Case c = bay(-10, 40, plate(values()));
        Finding f = out(c).orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        assertEquals(f.margin().orElseThrow().value(), BEHIND_MM - 100, 0.1);
        assertEquals(f.margin().orElseThrow().limit(), 20, 1e-9);
        Remedy cut = cut(f);
        // Before the plate, 8 thick, on standoffs of 5, stands what it holds; no cut of the plate clears that.
        assertEquals(cut.leaves(), "still 5 mm short");
        Case free = after(c, cut);
        assertEquals(out(free).orElseThrow().margin().orElseThrow().value(), 2 + 8 + 5, 0.1);
        assertEquals(new AvoidFeature().summary(free.part().features().get(0).values()), "with 1 mm free, and its way out upwards");
    }

    @Test(groups = "quick")
    public void aCutThatIsThereIsCutAnewAndLeavesNoLess() {
        PartDesign part = plate(values()).with(new Feature("f7", "avoid", "around the board", Anchor.piece("part"), new Binding.OfNeighbour("board"), Values.START.with(AvoidFeature.CLEARANCE, 2.0), false));
        Case c = bay(-10, 81, part);
        Case free = after(c, cut(out(c).orElseThrow()));
        assertEquals(free.part().features().size(), 1);
        assertEquals(new AvoidFeature().summary(free.part().features().get(0).values()), "with 2 mm free, and its way out upwards");
        assertTrue(out(free).isEmpty());
    }

    private static Remedy cut(Finding f) {
        return f.remedies().stream().filter(r -> r.label().equals("cut its way to the front free")).findFirst().orElseThrow();
    }

    @Test(groups = "quick")
    public void whatReachesInIsDrawnBack() {
        Case c = bay(-10, 81, plate(values()));
        Finding f = out(c).orElseThrow();
        Remedy lower = f.remedies().get(0);
        assertEquals(lower.label(), "plate height 70 mm → 62 mm");
        assertTrue(out(after(c, lower)).isEmpty());
        assertTrue(out(after(c, cut(f))).isEmpty());
    }

    /** The cover of a filter box is drawn upside down: what is above the box goes out through the cover's other side. */
    @Test(groups = "quick")
    public void aPieceThatLiesTurnedInItsPartIsCutOnTheRightSide() {
        Case plain = PartExamples.usual("filter-housing", Values.START);
        Surroundings empty = Surroundings.NONE.with(new Axis("x", Vec3.X, 0, 200, false, 1)).with(new Group("carriage", List.of("x"))).with(new Site("top", "top", "carriage", new Vec3(0, 0, 50), Vec3.Z, 0, 0.3, ""));
        Case bare = Case.of(PartExamples.upgrade(plain.part().atSite("top")), "p1", shop(machine("upgraded", 300, 300, 300, Machine.State.IN_PIECES, "PETG").withSurroundings(empty)), "");
        FactsOnce facts = new FactsOnce(bare);
        MeshesFact.Made cover = facts.get(MeshesFact.BARE).pieces().stream().filter(m -> m.piece().id().equals("cover")).findFirst().orElseThrow();
        Placement assembly = RestFact.inMachine(bare, facts).orElseThrow();
        double above = cover.mesh().bounds().placed(assembly.times(cover.piece().place())).max().z() + 2;
        Surroundings s = empty;
        for (Neighbour n : List.of(block("board", new Vec3(-10, -10, above), new Vec3(20, 20, 20)), block("left wall", new Vec3(-14, -10, above), new Vec3(4, 20, 20)), block("right wall", new Vec3(10, -10, above), new Vec3(4, 20, 20)),
                block("front", new Vec3(-10, -14, above), new Vec3(20, 4, 20)), block("back", new Vec3(-10, 10, above), new Vec3(20, 4, 20)), block("roof", new Vec3(-10, -10, above + 20), new Vec3(20, 20, 4)))) {
            s = s.with(n);
        }
        Case c = Case.of(PartExamples.upgrade(plain.part().atSite("top")), "p1", shop(machine("upgraded", 300, 300, 300, Machine.State.IN_PIECES, "PETG").withSurroundings(s)), "");
        Finding f = alone(c);
        assertEquals(f.margin().orElseThrow().value(), 2, 0.1);
        Remedy cut = f.remedies().stream().filter(r -> r.label().equals("cut its way downwards free")).findFirst().orElseThrow();
        Finding through = alone(after(c, cut));
        assertTrue(through.margin().orElseThrow().value() > 2 + 2.3, "through the cover, 2.4 thick: " + through);
    }

    private static Finding alone(Case c) {
        return Judge.ask(new TakenOutCheck(), c, new FactsOnce(c)).stream().filter(f -> f.id().equals("out.board")).findFirst().orElseThrow();
    }

    @Test(groups = "quick")
    public void besideItNothingIsSaid() {
        assertTrue(out(bay(-10, 90, plate(values()))).isEmpty());
    }
}
