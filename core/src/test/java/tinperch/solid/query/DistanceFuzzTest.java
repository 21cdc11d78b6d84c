package tinperch.solid.query;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.shape.Pattern;
import tinperch.solid.shape.Revolution;

/** Distances in random poses: against every pair of triangles, along a path with and without help, and mirrored. */
public class DistanceFuzzTest {
    private static TriangleTree tree(Solid s) {
        return TriangleTree.of(SolidKernel.evaluate(s, Tolerances.USUAL));
    }

    private static final TriangleTree BRACKET = tree(Solid.union(
            Leaf.extrusion("foot", Profile.rectangle(0, 0, 30, 20), Placement.HERE, 0, 4),
            Leaf.extrusion("wall", Profile.rectangle(-13, 0, 4, 20), Placement.HERE, 2, 25))
            .minus(Leaf.extrusion("hole", Profile.hole(5, 0, 8, 24), Placement.HERE, -1, 5)));
    private static final TriangleTree RING = tree(Revolution.leaf("ring", Profile.rectangle(7, 2, 4, 4), Placement.HERE, 20,
            Revolution.Fit.WITHIN));

    private static Placement pose(Random r, double reachMm) {
        Placement p = Placement.turn(Vec3.ZERO, new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()), 7 * r.nextDouble());
        return new Placement(new Vec3(reachMm * r.nextGaussian(), reachMm * r.nextGaussian(), reachMm * r.nextGaussian()),
                p.u(), p.v(), p.w());
    }

    private static double everyPair(TriangleTree a, TriangleTree b, Placement p) {
        TriangleDistance d = new TriangleDistance();
        double best = Double.POSITIVE_INFINITY;
        double[] s = new double[9];
        double[] t = new double[9];
        for (int i = 0; i < a.mesh().triangleCount(); i++) {
            put(s, a, i, Placement.HERE);
            for (int j = 0; j < b.mesh().triangleCount(); j++) {
                put(t, b, j, p);
                best = Math.min(best, d.squared(s, t));
            }
        }
        return Math.sqrt(best);
    }

    private static void put(double[] into, TriangleTree tree, int t, Placement p) {
        for (int k = 0; k < 3; k++) {
            Vec3 v = tree.point(t, k);
            Vec3 q = p.point(v.x(), v.y(), v.z());
            into[3 * k] = q.x();
            into[3 * k + 1] = q.y();
            into[3 * k + 2] = q.z();
        }
    }

    @Test
    public void theTreeFindsWhatEveryPairWouldTell() {
        Random r = new Random(17);
        int apart = 0;
        for (int i = 0; i < 120; i++) {
            Placement p = pose(r, 22);
            double all = everyPair(BRACKET, RING, p);
            Clearance c = Clearance.between(BRACKET, RING, p);
            if (all > 0 && !c.intersects()) {
                assertEquals(c.gapMm(), all, 1e-9, "pose " + i);
                assertEquals(c.onFirst().distanceTo(c.onSecond()), all, 1e-9);
                apart++;
            } else {
                assertEquals(c.gapMm(), 0.0);
                assertTrue(c.depthMm() > 0);
            }
            double limit = 5 * r.nextDouble();
            assertEquals(Clearance.closerThan(BRACKET, RING, p, limit), c.gapMm() < limit, "pose " + i);
        }
        assertTrue(apart > 60);
    }

    @Test
    public void helpFromThePoseBeforeChangesNothing() {
        Random r = new Random(5);
        for (int path = 0; path < 10; path++) {
            Placement p = pose(r, 25);
            Vec3 step = new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()).unit();
            Clearance before = Clearance.between(BRACKET, RING, p);
            for (int i = 1; i < 15; i++) {
                Vec3 at = p.origin().plus(step.times(i));
                Placement q = new Placement(at, p.u(), p.v(), p.w());
                Clearance helped = Clearance.between(BRACKET, RING, q, before, 1);
                assertEquals(helped.gapMm(), Clearance.between(BRACKET, RING, q).gapMm(), 1e-9);
                before = helped;
            }
        }
    }

    @Test
    public void theGapIsTheSameSeenFromEitherSide() {
        Random r = new Random(8);
        for (int i = 0; i < 60; i++) {
            Placement p = pose(r, 30);
            // The way back: where the first solid stands as the second one sees it.
            Vec3 o = p.local(Vec3.ZERO);
            Placement back = new Placement(o, p.local(Vec3.X).minus(o), p.local(Vec3.Y).minus(o), p.local(Vec3.Z).minus(o));
            assertEquals(Clearance.between(RING, BRACKET, back).gapMm(), Clearance.between(BRACKET, RING, p).gapMm(), 1e-9);
        }
    }

    @Test
    public void theNearestPlaceOfASurfaceIsThatOfTheNearestTriangle() {
        Random r = new Random(31);
        for (int i = 0; i < 400; i++) {
            Vec3 p = new Vec3(20 * r.nextGaussian(), 20 * r.nextGaussian(), 20 * r.nextGaussian());
            double best = Double.POSITIVE_INFINITY;
            TriangleDistance d = new TriangleDistance();
            double[] s = new double[9];
            double[] point = {p.x(), p.y(), p.z(), p.x() + 1e-9, p.y(), p.z(), p.x(), p.y() + 1e-9, p.z()};
            for (int t = 0; t < BRACKET.mesh().triangleCount(); t++) {
                put(s, BRACKET, t, Placement.HERE);
                best = Math.min(best, d.squared(s, point));
            }
            assertEquals(Nearest.distanceMm(BRACKET, p), Math.sqrt(best), 1e-6);
        }
    }

    @Test
    public void gatheredMeshesKeepTheirVolumesPlacesAndNames() {
        Mesh a = BRACKET.mesh();
        Mesh b = RING.mesh();
        Mesh all = Mesh.gathered(List.of(a, b, a), List.of(Vec3.ZERO, new Vec3(100, 0, 0), new Vec3(0, 0, 50)), List.of("a", "b", "c"));
        assertEquals(all.openEdges(), 0);
        assertEquals(all.volumeMm3(), 2 * a.volumeMm3() + b.volumeMm3(), 1e-9 * all.volumeMm3());
        assertEquals(all.bounds().max().z(), 75, 1e-9);
        List<String> names = new ArrayList<>();
        for (int t = 0; t < all.triangleCount(); t++) {
            Mesh.Face f = all.faces().get(all.faceOf(t));
            if (!names.contains(f.feature())) {
                names.add(f.feature());
            }
            for (int k = 0; k < 3; k++) {
                assertEquals(f.normal().dot(all.point(all.corner(t, k))), f.offset(), 1e-6);
            }
        }
        assertEquals(names, List.of("a", "b", "c"));
        assertEquals(Mesh.gathered(List.of(), List.of(), List.of()).triangleCount(), 0);
    }

    @Test
    public void patternsOfSolidsKeepTheirDistance() {
        Leaf pin = Leaf.extrusion("pin", Profile.disc(0, 0, 4, 24), Placement.HERE, 0, 10);
        TriangleTree one = tree(pin);
        for (Placement p : Pattern.circular(7, new Vec3(20, 0, 0), Vec3.Z, 360)) {
            // All pins stand on a circle about (20, 0): their middles are 20 mm from it.
            Vec3 middle = p.point(0, 0, 0);
            assertEquals(Math.hypot(middle.x() - 20, middle.y()), 20, 1e-9);
            assertEquals(SolidKernel.evaluate(Pattern.placed(pin, p, ""), Tolerances.USUAL).volumeMm3(), one.mesh().volumeMm3(), 1e-9);
        }
        List<Placement> row = Pattern.linear(4, new Vec3(11, 0, 0));
        assertEquals(Clearance.between(one, one, row.get(1)).gapMm(), 7, 1e-9);
        assertEquals(Clearance.between(one, one, row.get(3)).gapMm(), 29, 1e-9);
    }
}
