package tinperch.solid.query;

import tinperch.solid.Vec3;

/** Whether a surface lies between two points. Stops at the first triangle that does. */
public final class Sight {
    private final TriangleTree tree;
    private final double px;
    private final double py;
    private final double pz;
    private final double dx;
    private final double dy;
    private final double dz;

    private Sight(TriangleTree tree, Vec3 from, Vec3 to) {
        this.tree = tree;
        px = from.x();
        py = from.y();
        pz = from.z();
        dx = to.x() - px;
        dy = to.y() - py;
        dz = to.z() - pz;
    }

    /** Whether the straight line between them meets the surface; its ends count too. */
    public static boolean blocked(TriangleTree tree, Vec3 from, Vec3 to) {
        return tree.order.length > 0 && new Sight(tree, from, to).walk(0);
    }

    /**
     * How far it is free in a direction before the surface is met, at most so far; halved on until it is that sure.
     *
     * @param direction unit
     */
    public static double freeMm(TriangleTree tree, Vec3 from, Vec3 direction, double mostMm, double sureMm) {
        if (!blocked(tree, from, from.plus(direction.times(mostMm)))) {
            return mostMm;
        }
        double lo = 0;
        double hi = mostMm;
        while (hi - lo > sureMm) {
            double mid = (lo + hi) / 2;
            if (blocked(tree, from, from.plus(direction.times(mid)))) {
                hi = mid;
            } else {
                lo = mid;
            }
        }
        return hi;
    }

    private boolean walk(int node) {
        if (!tree.meets(node, px, py, pz, dx, dy, dz, 1)) {
            return false;
        }
        if (!tree.isLeaf(node)) {
            return walk(tree.child(node)) || walk(tree.child(node) + 1);
        }
        for (int i = 0; i < tree.count(node); i++) {
            if (meets(tree.order[tree.first(node) + i])) {
                return true;
            }
        }
        return false;
    }

    /** Möller and Trumbore 1997. */
    private boolean meets(int t) {
        int a = 3 * tree.corner[3 * t];
        int b = 3 * tree.corner[3 * t + 1];
        int c = 3 * tree.corner[3 * t + 2];
        double[] p = tree.xyz;
        double ux = p[b] - p[a];
        double uy = p[b + 1] - p[a + 1];
        double uz = p[b + 2] - p[a + 2];
        double vx = p[c] - p[a];
        double vy = p[c + 1] - p[a + 1];
        double vz = p[c + 2] - p[a + 2];
        double qx = dy * vz - dz * vy;
        double qy = dz * vx - dx * vz;
        double qz = dx * vy - dy * vx;
        double det = ux * qx + uy * qy + uz * qz;
        if (det == 0) {
            return false;
        }
        double sx = px - p[a];
        double sy = py - p[a + 1];
        double sz = pz - p[a + 2];
        double u = (sx * qx + sy * qy + sz * qz) / det;
        if (u < 0 || u > 1) {
            return false;
        }
        double rx = sy * uz - sz * uy;
        double ry = sz * ux - sx * uz;
        double rz = sx * uy - sy * ux;
        double v = (dx * rx + dy * ry + dz * rz) / det;
        if (v < 0 || u + v > 1) {
            return false;
        }
        double at = (vx * rx + vy * ry + vz * rz) / det;
        return at >= 0 && at <= 1;
    }
}
