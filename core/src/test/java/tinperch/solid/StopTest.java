package tinperch.solid;

import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.Slicer;
import tinperch.solid.query.TriangleTree;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.HiddenLines;

/** Long geometry asks again and again whether anybody still waits, so that it can be stopped within a moment. */
public class StopTest {
    private static final Mesh KNURL = SolidKernel.evaluate(knurl(), Tolerances.USUAL);

    /** A disc with many holes: some thousand triangles. */
    private static Solid knurl() {
        Solid[] holes = new Solid[60];
        for (int i = 0; i < holes.length; i++) {
            double a = 2 * Math.PI * i / holes.length;
            holes[i] = Leaf.extrusion("hole " + i, Profile.hole(40 * Math.cos(a), 40 * Math.sin(a), 3, 32), Placement.HERE, -1, 11);
        }
        return Leaf.extrusion("disc", Profile.disc(0, 0, 100, 96), Placement.HERE, 0, 10).minus(holes);
    }

    @DataProvider
    public Object[][] work() {
        TriangleTree tree = TriangleTree.of(KNURL);
        double[] heights = java.util.stream.IntStream.range(0, 300).mapToDouble(i -> 0.02 + i * 0.03).toArray();
        return new Object[][] {
            {"gap", (Consumer<Stop>) s -> Clearance.between(tree, tree, Placement.turn(new Vec3(60, 0, 0), Vec3.Y, Math.PI / 2).moved(new Vec3(2, 0, 0)), s), 1},
            {"depth", (Consumer<Stop>) s -> Clearance.between(tree, tree, Placement.at(3, 2, 4), s), 1000},
            {"layers", (Consumer<Stop>) s -> Slicer.loops(KNURL, Placement.HERE, heights, s), 300},
            {"view", (Consumer<Stop>) s -> HiddenLines.of(KNURL, FeatureEdges.of(KNURL), Vec3.X, Vec3.Y, s), 1000},
        };
    }

    @Test(dataProvider = "work")
    public void itAsksOftenAndEndsWhenNobodyWaits(String name, Consumer<Stop> work, int atLeast) {
        AtomicInteger asked = new AtomicInteger();
        work.accept(() -> asked.incrementAndGet() < 0);
        assertTrue(asked.get() >= atLeast, name + " asks " + asked.get() + " times");
        AtomicInteger again = new AtomicInteger();
        expectThrows(Stop.Stopped.class, () -> work.accept(() -> again.incrementAndGet() > asked.get() / 2));
    }
}
