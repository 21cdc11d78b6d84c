package tinperch.solid.query;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.part.ModelExamples;
import tinperch.part.PartExamples;
import tinperch.part.family.FittedModel;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** Blocks with holes thrown by dice: what is found is what was drilled, and what is bored is what was asked for. */
public class MeshRoundsFuzzTest {
    /** A hole drilled into a block from its upper side. */
    private record Drilled(double x, double y, double diameter, double depth) {}

    /** A block lying somewhere, its holes apart from one another and from its edges. */
    private record Block(Mesh mesh, List<Drilled> holes, double thick, Placement place) {
        static Block thrown(Random r) {
            double w = 40 + r.nextInt(60);
            double h = 30 + r.nextInt(50);
            double thick = 4 + r.nextInt(12);
            List<Drilled> holes = new ArrayList<>();
            for (int tries = 0; tries < 30 && holes.size() < 5; tries++) {
                Drilled d = new Drilled(r.nextDouble() * (w - 16) - w / 2 + 8, r.nextDouble() * (h - 16) - h / 2 + 8, 2.5 + r.nextInt(40) / 10.0,
                        r.nextBoolean() ? thick : thick * (0.4 + 0.4 * r.nextDouble()));
                if (holes.stream().allMatch(o -> Math.hypot(o.x - d.x, o.y - d.y) > o.diameter / 2 + d.diameter / 2 + 2.5)) {
                    holes.add(d);
                }
            }
            Vec3 at = new Vec3(r.nextDouble() * 100 - 50, r.nextDouble() * 100 - 50, r.nextDouble() * 100 - 50);
            int axis = r.nextInt(3);
            Placement place = Placement.along(at, axis == 0 ? Vec3.X : axis == 1 ? Vec3.Y : Vec3.Z, axis == 2 ? Vec3.Y : Vec3.Z);
            List<Solid> cuts = new ArrayList<>();
            for (Drilled d : holes) {
                cuts.add(Leaf.extrusion("hole", Profile.disc(d.x, d.y, d.diameter, 48), place, d.depth == thick ? -1 : thick - d.depth,
                        thick + 1));
            }
            Solid body = Leaf.extrusion("block", Profile.rectangle(0, 0, w, h), place, 0, thick);
            return new Block(SolidKernel.evaluate(new Solid.Difference(body, cuts), Tolerances.USUAL), holes, thick, place);
        }

        Drilled nearest(MeshRounds.Round r) {
            Vec3 p = place.local(r.middle());
            return holes.stream().min(Comparator.comparingDouble(d -> Math.hypot(d.x - p.x(), d.y - p.y()))).orElseThrow();
        }
    }

    @DataProvider
    public Object[][] seeds() {
        Object[][] all = new Object[25][];
        for (int i = 0; i < all.length; i++) {
            all[i] = new Object[] {i};
        }
        return all;
    }

    @Test(dataProvider = "seeds")
    public void everyHoleIsFoundWithItsPlaceSizeAndDepth(int seed) {
        Block b = Block.thrown(new Random(seed));
        List<MeshRounds.Round> found = MeshRounds.of(b.mesh).stream().filter(MeshRounds.Round::hole).toList();
        assertEquals(found.size(), b.holes.size());
        for (MeshRounds.Round r : found) {
            Drilled d = b.nearest(r);
            Vec3 p = b.place.local(r.middle());
            assertEquals(Math.hypot(d.x - p.x(), d.y - p.y()), 0, 1e-3);
            assertEquals(r.diameter(), d.diameter, 1e-3);
            assertEquals(r.length(), d.depth, 1e-3, "its ends are those of its wall");
            assertEquals(p.z(), b.thick - d.depth / 2, 1e-3);
        }
    }

    /** Every hole made wider for the printer: as much less volume as rings of that width have. */
    @Test(dataProvider = "seeds")
    public void boresTakeAwayRingsAndNothingElse(int seed) {
        Random r = new Random(1000 + seed);
        Block b = Block.thrown(r);
        double wider = 0.1 + r.nextInt(5) / 10.0;
        String[] sides = {"bottom", "top", "left", "right", "front", "back"};
        Values v = FittedModel.DOWN.typed(FittedModel.BORED.typed(Values.START, "this printer only"), sides[r.nextInt(sides.length)]);
        Mesh bored = PartExamples.mesh(ModelExamples.of(b.mesh, v, wider, ""));
        assertEquals(bored.openEdges(), 0);
        assertEquals(bored.bounds().min().z(), 0, 1e-6);
        double rings = 0;
        double most = 0;
        for (Drilled d : b.holes) {
            double was = 24 * d.diameter * d.diameter / 4 * Math.sin(Math.PI / 24);
            double is = 48 * Math.pow(d.diameter + wider, 2) / 4 * Math.tan(Math.PI / 48);
            rings += (is - was) * d.depth;
            most += 0.02 * is;
        }
        assertEquals(b.mesh.volumeMm3() - bored.volumeMm3(), rings, most, "a bore may go a hundredth deeper");
        assertTrue(bored.volumeMm3() < b.mesh.volumeMm3());
    }
}
