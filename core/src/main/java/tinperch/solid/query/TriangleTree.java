package tinperch.solid.query;

import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/**
 * A tree of boxes over the triangles of a mesh (bounding-volume hierarchy, split at the middle of the longest axis of the
 * centres). Immutable once built; building is of the order n log n.
 */
public final class TriangleTree {
    static final int LEAF = 4;

    final double[] xyz;
    final int[] corner;
    /** Triangle numbers in tree order. */
    final int[] order;
    /** Six numbers a node: min x, y, z, max x, y, z. */
    final double[] box;
    /** Two numbers a node: first child, or -1 − first place in order; and how many triangles it holds. */
    final int[] link;
    private int nodes;
    private final Mesh mesh;

    private TriangleTree(Mesh mesh) {
        this.mesh = mesh;
        int n = mesh.triangleCount();
        xyz = new double[3 * mesh.pointCount()];
        for (int i = 0; i < mesh.pointCount(); i++) {
            xyz[3 * i] = mesh.x(i);
            xyz[3 * i + 1] = mesh.y(i);
            xyz[3 * i + 2] = mesh.z(i);
        }
        corner = new int[3 * n];
        order = new int[n];
        double[] centre = new double[3 * n];
        for (int t = 0; t < n; t++) {
            order[t] = t;
            for (int k = 0; k < 3; k++) {
                int p = mesh.corner(t, k);
                corner[3 * t + k] = p;
                for (int a = 0; a < 3; a++) {
                    centre[3 * t + a] += xyz[3 * p + a];
                }
            }
        }
        int most = Math.max(1, 2 * n);
        box = new double[6 * most];
        link = new int[2 * most];
        nodes = 1;
        build(0, 0, n, centre);
    }

    public static TriangleTree of(Mesh mesh) {
        return new TriangleTree(mesh);
    }

    public Mesh mesh() {
        return mesh;
    }

    private void build(int node, int from, int to, double[] centre) {
        int o = 6 * node;
        double[] lo = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
        double[] hi = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (int a = 0; a < 3; a++) {
            box[o + a] = Double.POSITIVE_INFINITY;
            box[o + 3 + a] = Double.NEGATIVE_INFINITY;
        }
        for (int i = from; i < to; i++) {
            int t = order[i];
            for (int k = 0; k < 3; k++) {
                int p = 3 * corner[3 * t + k];
                for (int a = 0; a < 3; a++) {
                    box[o + a] = Math.min(box[o + a], xyz[p + a]);
                    box[o + 3 + a] = Math.max(box[o + 3 + a], xyz[p + a]);
                }
            }
            for (int a = 0; a < 3; a++) {
                lo[a] = Math.min(lo[a], centre[3 * t + a]);
                hi[a] = Math.max(hi[a], centre[3 * t + a]);
            }
        }
        int axis = hi[0] - lo[0] >= hi[1] - lo[1] && hi[0] - lo[0] >= hi[2] - lo[2] ? 0 : hi[1] - lo[1] >= hi[2] - lo[2] ? 1 : 2;
        if (to - from <= LEAF || !(hi[axis] > lo[axis])) {
            link[2 * node] = -1 - from;
            link[2 * node + 1] = to - from;
            return;
        }
        double split = (lo[axis] + hi[axis]) / 2;
        int mid = from;
        for (int i = from; i < to; i++) {
            if (centre[3 * order[i] + axis] < split) {
                int t = order[i];
                order[i] = order[mid];
                order[mid++] = t;
            }
        }
        if (mid == from || mid == to) {
            mid = (from + to) / 2;
        }
        int child = nodes;
        nodes += 2;
        link[2 * node] = child;
        link[2 * node + 1] = to - from;
        build(child, from, mid, centre);
        build(child + 1, mid, to, centre);
    }

    boolean isLeaf(int node) {
        return link[2 * node] < 0;
    }

    int first(int node) {
        return -1 - link[2 * node];
    }

    int count(int node) {
        return link[2 * node + 1];
    }

    int child(int node) {
        return link[2 * node];
    }

    Vec3 point(int t, int k) {
        int p = 3 * corner[3 * t + k];
        return new Vec3(xyz[p], xyz[p + 1], xyz[p + 2]);
    }

    /** Squared distance from a point to a node's box, 0 inside. */
    double boxDistanceSq(int node, double x, double y, double z) {
        int o = 6 * node;
        double dx = Math.max(0, Math.max(box[o] - x, x - box[o + 3]));
        double dy = Math.max(0, Math.max(box[o + 1] - y, y - box[o + 4]));
        double dz = Math.max(0, Math.max(box[o + 2] - z, z - box[o + 5]));
        return dx * dx + dy * dy + dz * dz;
    }
}
