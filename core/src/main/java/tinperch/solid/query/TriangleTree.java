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

    /** Splits from the top by the middles of triangles; boxes grow from the bottom. */
    private void build(int node, int from, int to, double[] centre) {
        double x0 = Double.POSITIVE_INFINITY;
        double y0 = x0;
        double z0 = x0;
        double x1 = Double.NEGATIVE_INFINITY;
        double y1 = x1;
        double z1 = x1;
        for (int i = from; i < to; i++) {
            int c = 3 * order[i];
            double x = centre[c];
            double y = centre[c + 1];
            double z = centre[c + 2];
            x0 = x < x0 ? x : x0;
            x1 = x > x1 ? x : x1;
            y0 = y < y0 ? y : y0;
            y1 = y > y1 ? y : y1;
            z0 = z < z0 ? z : z0;
            z1 = z > z1 ? z : z1;
        }
        double dx = x1 - x0;
        double dy = y1 - y0;
        double dz = z1 - z0;
        int axis = dx >= dy && dx >= dz ? 0 : dy >= dz ? 1 : 2;
        double lo = axis == 0 ? x0 : axis == 1 ? y0 : z0;
        double hi = axis == 0 ? x1 : axis == 1 ? y1 : z1;
        link[2 * node + 1] = to - from;
        if (to - from <= LEAF || !(hi > lo)) {
            link[2 * node] = -1 - from;
            around(node, from, to);
            return;
        }
        double split = (lo + hi) / 2;
        int mid = from;
        for (int i = from; i < to; i++) {
            int t = order[i];
            if (centre[3 * t + axis] < split) {
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
        build(child, from, mid, centre);
        build(child + 1, mid, to, centre);
        int o = 6 * node;
        int p = 6 * child;
        for (int a = 0; a < 3; a++) {
            box[o + a] = Math.min(box[p + a], box[p + 6 + a]);
            box[o + 3 + a] = Math.max(box[p + 3 + a], box[p + 9 + a]);
        }
    }

    private void around(int node, int from, int to) {
        int o = 6 * node;
        for (int a = 0; a < 3; a++) {
            box[o + a] = Double.POSITIVE_INFINITY;
            box[o + 3 + a] = Double.NEGATIVE_INFINITY;
        }
        for (int i = 3 * from; i < 3 * to; i++) {
            int p = 3 * corner[3 * order[i / 3] + i % 3];
            for (int a = 0; a < 3; a++) {
                double v = xyz[p + a];
                if (v < box[o + a]) {
                    box[o + a] = v;
                }
                if (v > box[o + 3 + a]) {
                    box[o + 3 + a] = v;
                }
            }
        }
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

    /** Whether a line from p along d, up to so many times d, meets a node's box. */
    boolean meets(int node, double px, double py, double pz, double dx, double dy, double dz, double most) {
        double lo = 0;
        double hi = most;
        for (int a = 0; a < 3; a++) {
            double c = a == 0 ? px : a == 1 ? py : pz;
            double v = a == 0 ? dx : a == 1 ? dy : dz;
            double min = box[6 * node + a] - 1e-9;
            double max = box[6 * node + 3 + a] + 1e-9;
            if (v == 0) {
                if (c < min || c > max) {
                    return false;
                }
            } else {
                double t0 = (min - c) / v;
                double t1 = (max - c) / v;
                lo = Math.max(lo, Math.min(t0, t1));
                hi = Math.min(hi, Math.max(t0, t1));
            }
        }
        return lo <= hi;
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
