package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Solid;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;

/**
 * Evaluates a whole tree of leaves plane by plane into one closed mesh. Same input, same mesh. No state is kept.
 *
 * <p>Every result is verified closed; where one attempt is not, other tolerances are tried; where none is, a
 * {@link SolidException} names the features and nothing is returned.
 */
public final class SolidKernel {
    private static final double[] ATTEMPTS = {1, 0.1, 0.01, 10, 1e-3, 100};

    private SolidKernel() {}

    /**
     * The mesh of a tree; an empty result has no triangles.
     *
     * @throws SolidException when no closed mesh can be promised
     */
    public static Mesh evaluate(Solid solid, Tolerances tolerances) {
        TreeProgram tree = new TreeProgram(solid);
        String why = "";
        for (double k : ATTEMPTS) {
            try {
                Mesh mesh = attempt(tree, tolerances.scaled(k));
                if (mesh.openEdges() == 0 && Double.isFinite(mesh.volumeMm3())) {
                    return mesh;
                }
                why = "the surface stayed open";
            } catch (Unresolved e) {
                why = e.getMessage();
            }
        }
        List<String> features = tree.leaves().stream().map(Leaf::feature).distinct().toList();
        throw new SolidException("The shapes “" + String.join("”, “", features.subList(0, Math.min(4, features.size())))
                + "” nearly touch and cannot be joined into a closed part (" + why
                + "). Move one of them by a hundredth of a millimetre.", features);
    }

    private static Mesh attempt(TreeProgram tree, Tolerances tol) {
        List<Leaf> leaves = tree.leaves();
        PointWeld points = new PointWeld(tol.weldMm(), 256);
        List<EdgeMending.Face> faces = new ArrayList<>();
        for (PlaneGroups.Group g : PlaneGroups.of(leaves, tol.planeMm())) {
            faceOn(g, tree, leaves, tol, points, faces);
        }
        new EdgeMending(points, tol.weldMm(), faces).mend();
        return mesh(faces, points, leaves, tol);
    }

    private static void faceOn(PlaneGroups.Group g, TreeProgram tree, List<Leaf> leaves, Tolerances tol,
            PointWeld points, List<EdgeMending.Face> faces) {
        Bounds[] regions = new Bounds[g.members.size()];
        for (int i = 0; i < regions.length; i++) {
            int[] m = g.members.get(i);
            regions[i] = faceBounds(leaves.get(m[0]), leaves.get(m[0]).faces().get(m[1]));
        }
        int[] local = new int[leaves.size()];
        Arrays.fill(local, -1);
        int[] present = new int[leaves.size()];
        int count = 0;
        for (int l = 0; l < local.length; l++) {
            for (Bounds r : regions) {
                if (leaves.get(l).bounds().overlaps(r, tol.planeMm())) {
                    local[l] = count;
                    present[count++] = l;
                    break;
                }
            }
        }
        int[] code = tree.folded(local);
        if (code == null) {
            return;
        }
        int[] axes = keptAxes(g.n);
        Arrangement arrangement = new Arrangement(tol.weldMm(), axes[0], axes[1]);
        PlaneSection section = new PlaneSection(g.n, g.d, tol.planeMm(), axes[0], axes[1], arrangement);
        int[] adds = new int[count];
        boolean[] flat = new boolean[count];
        for (int[] m : g.members) {
            flat[local[m[0]]] = true;
        }
        for (int k = 0; k < count; k++) {
            section.add(leaves.get(present[k]), k);
            adds[k] = tree.adds(present[k]) ? 1 : -1;
        }
        double[][] boxes = new double[regions.length][];
        for (int i = 0; i < boxes.length; i++) {
            boxes[i] = new double[] {
                axis(regions[i].min(), axes[0]), axis(regions[i].min(), axes[1]),
                axis(regions[i].max(), axes[0]), axis(regions[i].max(), axes[1])};
        }
        arrangement.resolve(boxes);
        PointWeld here = arrangement.points();
        for (FaceTracer.Traced t : new FaceTracer(arrangement, code, adds, flat).trace()) {
            List<int[]> rings = new ArrayList<>(t.rings().size());
            for (int[] ring : t.rings()) {
                int[] global = new int[ring.length];
                for (int i = 0; i < ring.length; i++) {
                    global[i] = points.number(here.x(ring[i]), here.y(ring[i]), here.z(ring[i]));
                }
                rings.add(global);
            }
            faces.add(new EdgeMending.Face(present[t.leaf()], t.up() ? g.n : g.n.times(-1), t.up() ? g.d : -g.d, rings));
        }
    }

    private static Bounds faceBounds(Leaf leaf, Leaf.Face face) {
        int[] ring = face.rings()[0];
        double[] xyz = new double[3 * ring.length];
        for (int i = 0; i < ring.length; i++) {
            for (int a = 0; a < 3; a++) {
                xyz[3 * i + a] = leaf.corner(ring[i], a);
            }
        }
        return Bounds.of(xyz);
    }

    /** The two axes kept when the plane is looked at along its main axis, in the order that keeps the normal towards us. */
    private static int[] keptAxes(Vec3 n) {
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

    private static Mesh mesh(List<EdgeMending.Face> faces, PointWeld points, List<Leaf> leaves, Tolerances tol) {
        double[] all = points.coordinates();
        List<int[]> triangles = new ArrayList<>();
        List<Integer> faceOf = new ArrayList<>();
        List<Mesh.Face> out = new ArrayList<>(faces.size());
        int[] renumber = new int[points.size()];
        Arrays.fill(renumber, -1);
        int used = 0;
        double[] xyz = new double[all.length];
        for (EdgeMending.Face f : faces) {
            int[] axes = keptAxes(f.normal);
            for (int[] t : Triangulator.triangles(f.rings, all, axes[0], axes[1], tol.weldMm())) {
                triangles.add(t);
                faceOf.add(out.size());
            }
            List<int[]> rings = new ArrayList<>(f.rings.size());
            for (int[] ring : f.rings) {
                int[] r = new int[ring.length];
                for (int i = 0; i < r.length; i++) {
                    if (renumber[ring[i]] < 0) {
                        renumber[ring[i]] = used;
                        System.arraycopy(all, 3 * ring[i], xyz, 3 * used, 3);
                        used++;
                    }
                    r[i] = renumber[ring[i]];
                }
                rings.add(r);
            }
            out.add(new Mesh.Face(leaves.get(f.leaf).feature(), f.normal, f.offset, rings));
        }
        int[] corners = new int[3 * triangles.size()];
        int[] of = new int[triangles.size()];
        for (int t = 0; t < of.length; t++) {
            of[t] = faceOf.get(t);
            for (int k = 0; k < 3; k++) {
                corners[3 * t + k] = renumber[triangles.get(t)[k]];
            }
        }
        return new Mesh(Arrays.copyOf(xyz, 3 * used), corners, of, out);
    }
}
