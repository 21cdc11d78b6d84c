package tinperch.solid.query;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/** The connected surfaces of a closed mesh, found by joining the corners of each triangle (union–find, nearly linear). */
public final class Shells {
    private Shells() {}

    /** Volume of every body, largest first, mm³; hollows inside a body are no bodies. */
    public static List<Double> bodiesMm3(Mesh mesh) {
        int[] root = new int[mesh.pointCount()];
        Arrays.setAll(root, i -> i);
        for (int t = 0; t < mesh.triangleCount(); t++) {
            join(root, mesh.corner(t, 0), mesh.corner(t, 1));
            join(root, mesh.corner(t, 0), mesh.corner(t, 2));
        }
        double[] six = new double[root.length];
        Vec3 o = mesh.pointCount() == 0 ? Vec3.ZERO : mesh.bounds().centre();
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Vec3 a = mesh.point(mesh.corner(t, 0)).minus(o);
            Vec3 b = mesh.point(mesh.corner(t, 1)).minus(o);
            six[find(root, mesh.corner(t, 0))] += a.dot(b.cross(mesh.point(mesh.corner(t, 2)).minus(o)));
        }
        List<Double> all = new ArrayList<>();
        for (double v : six) {
            if (v > 1e-9) {
                all.add(v / 6);
            }
        }
        all.sort(java.util.Comparator.reverseOrder());
        return all;
    }

    private static void join(int[] root, int a, int b) {
        root[find(root, a)] = find(root, b);
    }

    private static int find(int[] root, int i) {
        int at = i;
        while (root[at] != at) {
            root[at] = root[root[at]];
            at = root[at];
        }
        return at;
    }
}
