package tinperch.solid.shape;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;

/**
 * A coarser stand-in for a fine mesh, to be looked at only: corners that share a cell of a grid become one (vertex
 * clustering). It need not be closed and is never measured against.
 */
public final class Coarser {
    private static final int[] CELLS = {128, 96, 64, 48, 32, 24, 16, 10};

    private Coarser() {}

    /** A mesh with not many more than {@code most} triangles; the same when it has no more than that. */
    public static Mesh of(Mesh mesh, int most) {
        Mesh best = mesh;
        for (int cells : CELLS) {
            if (best.triangleCount() <= most) {
                return best;
            }
            best = clustered(mesh, cells);
        }
        return best;
    }

    private static Mesh clustered(Mesh mesh, int cells) {
        Bounds b = mesh.bounds();
        double cell = Math.max(1e-12, Math.max(b.size().x(), Math.max(b.size().y(), b.size().z())) / cells);
        int n = mesh.pointCount();
        int[] to = new int[n];
        double[] xyz = new double[3 * n];
        int[] count = new int[n];
        int points = 0;
        Map<Long, Integer> known = new HashMap<>();
        for (int i = 0; i < n; i++) {
            long key = ((long) ((mesh.x(i) - b.min().x()) / cell) << 40) | ((long) ((mesh.y(i) - b.min().y()) / cell) << 20)
                    | (long) ((mesh.z(i) - b.min().z()) / cell);
            Integer p = known.get(key);
            if (p == null) {
                p = points++;
                known.put(key, p);
            }
            to[i] = p;
            count[p]++;
            xyz[3 * p] += mesh.x(i);
            xyz[3 * p + 1] += mesh.y(i);
            xyz[3 * p + 2] += mesh.z(i);
        }
        for (int p = 0; p < points; p++) {
            for (int k = 0; k < 3; k++) {
                xyz[3 * p + k] /= count[p];
            }
        }
        int[] corners = new int[3 * mesh.triangleCount()];
        int used = 0;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            int p = to[mesh.corner(t, 0)];
            int q = to[mesh.corner(t, 1)];
            int r = to[mesh.corner(t, 2)];
            if (p != q && q != r && r != p) {
                corners[used++] = p;
                corners[used++] = q;
                corners[used++] = r;
            }
        }
        return new Mesh(Arrays.copyOf(xyz, 3 * points), Arrays.copyOf(corners, used), new int[used / 3], java.util.List.of());
    }
}
