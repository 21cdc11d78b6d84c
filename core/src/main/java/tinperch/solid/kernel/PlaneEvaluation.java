package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;

/** One plane from its group of leaf faces to the faces of the result that lie in it. Knows nothing of other planes. */
final class PlaneEvaluation {
    /**
     * A face of the result as this plane sees it.
     *
     * @param leaf number of the leaf it lies on
     * @param rings x, y, z triples: the outer ring anticlockwise seen from outside, then holes
     */
    record Found(int leaf, Vec3 normal, double offset, double[][] rings) {}

    private final TreeLogic tree;
    private final LeafIndex index;
    private final Tolerances tol;
    private final EdgeTree[] trees;

    PlaneEvaluation(TreeLogic tree, LeafIndex index, Tolerances tol) {
        this.tree = tree;
        this.index = index;
        this.tol = tol;
        trees = new EdgeTree[tree.leaves().size()];
    }

    /** The tree of a leaf's edges; null for one with few. Two hands may make the same one; what it holds is final, so either may be seen. */
    EdgeTree edges(int leaf) {
        EdgeTree made = trees[leaf];
        if (made == null && tree.leaves().get(leaf).edges().count() > EdgeTree.FEW) {
            made = new EdgeTree(tree.leaves().get(leaf));
            trees[leaf] = made;
        }
        return made;
    }

    /** Numbers of the leaves that reach the faces of a group, ascending. */
    int[] present(PlaneGroups.Group g) {
        boolean[] marks = new boolean[tree.leaves().size()];
        for (int[] m : g.members) {
            Leaf leaf = tree.leaves().get(m[0]);
            index.mark(faceBounds(leaf, leaf.faces().get(m[1])), tol.planeMm(), marks);
        }
        int[] present = new int[marks.length];
        int count = 0;
        for (int l = 0; l < marks.length; l++) {
            if (marks[l]) {
                present[count++] = l;
            }
        }
        return Arrays.copyOf(present, count);
    }

    List<Found> faces(PlaneGroups.Group g, int[] present) {
        if (!canBeThere(present)) {
            return List.of();
        }
        if (g.members.size() == 1) {
            List<Found> quick = new ConvexFace(tree, this::edges, tol).faces(g, present);
            if (quick != null) {
                return quick;
            }
        }
        return theLongWay(g, present);
    }

    /** Sections, arrangement, tracing. */
    List<Found> theLongWay(PlaneGroups.Group g, int[] present) {
        int[] axes = keptAxes(g.n);
        double[][] regions = new double[g.members.size()][];
        double[] box = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY,
            Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        boolean[] flat = new boolean[present.length];
        for (int i = 0; i < regions.length; i++) {
            int[] m = g.members.get(i);
            Leaf leaf = tree.leaves().get(m[0]);
            Bounds b = faceBounds(leaf, leaf.faces().get(m[1]));
            regions[i] = new double[] {
                axis(b.min(), axes[0]), axis(b.min(), axes[1]), axis(b.max(), axes[0]), axis(b.max(), axes[1])};
            for (int k = 0; k < 2; k++) {
                box[k] = Math.min(box[k], regions[i][k]);
                box[2 + k] = Math.max(box[2 + k], regions[i][2 + k]);
            }
            flat[Arrays.binarySearch(present, m[0])] = true;
        }
        Arrangement arrangement = new Arrangement(tol.weldMm(), axes[0], axes[1]);
        PlaneSection section = new PlaneSection(g.n, g.d, tol.planeMm(), axes[0], axes[1], box);
        int[] always = new int[3 * present.length];
        int constant = 0;
        for (int k = 0; k < present.length; k++) {
            section.cut(tree.leaves().get(present[k]), edges(present[k]));
            if (section.isThere()) {
                section.giveTo(arrangement, k);
            } else if (section.windingMinus() != 0 || section.windingPlus() != 0) {
                always[3 * constant] = k;
                always[3 * constant + 1] = section.windingMinus();
                always[3 * constant + 2] = section.windingPlus();
                constant++;
            }
        }
        always = Arrays.copyOf(always, 3 * constant);
        arrangement.resolve(regions);
        PointWeld here = arrangement.points();
        List<Found> found = new ArrayList<>();
        for (FaceTracer.Traced t : new FaceTracer(arrangement, tree, present, flat, always).trace()) {
            double[][] rings = new double[t.rings().size()][];
            for (int r = 0; r < rings.length; r++) {
                int[] ring = t.rings().get(r);
                rings[r] = new double[3 * ring.length];
                for (int i = 0; i < ring.length; i++) {
                    rings[r][3 * i] = here.x(ring[i]);
                    rings[r][3 * i + 1] = here.y(ring[i]);
                    rings[r][3 * i + 2] = here.z(ring[i]);
                }
            }
            found.add(new Found(present[t.leaf()], t.up() ? g.n : g.n.times(-1), t.up() ? g.d : -g.d, rings));
        }
        return found;
    }

    /** Whether there is anything at all where all that adds is there and nothing is cut. */
    private boolean canBeThere(int[] present) {
        int[] adding = new int[present.length];
        int n = 0;
        for (int l : present) {
            if (tree.adds(l)) {
                adding[n++] = l;
            }
        }
        return tree.inside(adding, n);
    }

    private static Bounds faceBounds(Leaf leaf, Leaf.Face face) {
        double x0 = Double.POSITIVE_INFINITY;
        double y0 = x0;
        double z0 = x0;
        double x1 = Double.NEGATIVE_INFINITY;
        double y1 = x1;
        double z1 = x1;
        for (int i : face.rings()[0]) {
            double x = leaf.corner(i, 0);
            double y = leaf.corner(i, 1);
            double z = leaf.corner(i, 2);
            x0 = Math.min(x0, x);
            y0 = Math.min(y0, y);
            z0 = Math.min(z0, z);
            x1 = Math.max(x1, x);
            y1 = Math.max(y1, y);
            z1 = Math.max(z1, z);
        }
        return new Bounds(new Vec3(x0, y0, z0), new Vec3(x1, y1, z1));
    }

    /** The two axes kept when the plane is looked at along its main axis, in the order that keeps the normal towards us. */
    static int[] keptAxes(Vec3 n) {
        double x = Math.abs(n.x());
        double y = Math.abs(n.y());
        double z = Math.abs(n.z());
        int drop = z >= x && z >= y ? 2 : y >= x ? 1 : 0;
        int a = (drop + 1) % 3;
        int b = (drop + 2) % 3;
        return axis(n, drop) > 0 ? new int[] {a, b} : new int[] {b, a};
    }

    private static double axis(Vec3 v, int axis) {
        return axis == 0 ? v.x() : axis == 1 ? v.y() : v.z();
    }
}
