package tinperch.solid.kernel;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.commons.geometry.euclidean.threed.ConvexPolygon3D;
import org.apache.commons.geometry.euclidean.threed.Planes;
import org.apache.commons.geometry.euclidean.threed.RegionBSPTree3D;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.numbers.core.Precision;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;

/** Volumes of random trees against an independent library: commons-geometry's BSP trees. */
public class AgainstLibraryTest {
    private static final Precision.DoubleEquivalence EPS = Precision.doubleEquivalenceOfEpsilon(1e-9);

    private record Both(Solid ours, RegionBSPTree3D theirs) {}

    @Test
    public void volumesOfRandomTreesAgree() {
        Random r = new Random(99);
        int solid = 0;
        for (int n = 0; n < 200; n++) {
            Both b = node(r, 2);
            double theirs = b.theirs.isEmpty() ? 0 : b.theirs.getSize();
            double ours = SolidKernel.evaluate(b.ours, Tolerances.USUAL).volumeMm3();
            assertEquals(ours, theirs, 1e-7 * Math.max(1, theirs), "tree " + n);
            solid += ours > 1 ? 1 : 0;
        }
        assertTrue(solid > 100, "most trees should have something left: " + solid);
    }

    private static Both node(Random r, int depth) {
        if (depth == 0) {
            return leaf(r);
        }
        Both a = node(r, depth - 1);
        Both b = node(r, r.nextInt(depth));
        RegionBSPTree3D t = RegionBSPTree3D.empty();
        return switch (r.nextInt(4)) {
            case 0, 1 -> {
                t.union(a.theirs, b.theirs);
                yield new Both(Solid.union(a.ours, b.ours), t);
            }
            case 2 -> {
                t.difference(a.theirs, b.theirs);
                yield new Both(a.ours.minus(b.ours), t);
            }
            default -> {
                t.intersection(a.theirs, b.theirs);
                yield new Both(Solid.intersection(a.ours, b.ours), t);
            }
        };
    }

    private static Both leaf(Random r) {
        // Sizes off any lattice: faces never share planes by accident, as the library's own tolerance is coarse.
        Vec3 at = new Vec3(6 * r.nextDouble(), 6 * r.nextDouble(), 6 * r.nextDouble());
        Placement place = switch (r.nextInt(3)) {
            case 0 -> Placement.at(at.x(), at.y(), at.z());
            case 1 -> Placement.along(at, Vec3.X, Vec3.Y);
            default -> Placement.along(at, new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()), Vec3.X);
        };
        Profile p = switch (r.nextInt(3)) {
            case 0 -> Profile.rectangle(0, 0, 1 + 4 * r.nextDouble(), 1 + 4 * r.nextDouble());
            case 1 -> Profile.hexagon(0, 0, 1 + 3 * r.nextDouble(), 90 * r.nextDouble());
            default -> Profile.hole(0, 0, 1 + 3 * r.nextDouble(), 7 + r.nextInt(4));
        };
        Leaf leaf = Leaf.extrusion("leaf", p, place, 0, 1 + 4 * r.nextDouble());
        List<ConvexPolygon3D> faces = new ArrayList<>();
        for (Leaf.Face f : leaf.faces()) {
            List<Vector3D> ring = new ArrayList<>();
            for (int i : f.rings()[0]) {
                ring.add(Vector3D.of(leaf.corner(i, 0), leaf.corner(i, 1), leaf.corner(i, 2)));
            }
            faces.add(Planes.convexPolygonFromVertices(ring, EPS));
        }
        RegionBSPTree3D tree = RegionBSPTree3D.empty();
        tree.insert(faces);
        return new Both(leaf, tree);
    }
}
