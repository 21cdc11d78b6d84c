package tinperch.solid.kernel;

import java.util.Arrays;
import tinperch.solid.Leaf;
import tinperch.solid.LeafEdges;
import tinperch.solid.Vec3;

/**
 * Room 2: what a leaf looks like just below and just above a plane. A corner on the plane counts as above for the lower
 * section and as below for the upper one, so faces lying in the plane need no special case. Segments have the leaf on
 * their left as seen with the plane's normal up.
 *
 * <p>A leaf none of whose segments comes near the part of the plane looked at is wholly inside or wholly outside there;
 * that is counted once and its segments are left out.
 */
final class PlaneSection {
    private final Vec3 n;
    private final double d;
    private final double tol;
    private final int ax;
    private final int ay;
    private final double[] box;

    private double[] side = new double[64];
    private int[] faceHead = new int[0];
    private int[] touched = new int[16];

    private int points;
    private double[] xyz = new double[3 * 32];
    private int[] nextOnFace = new int[2 * 32];

    /** Edges near the plane. */
    private int[] near = new int[0];

    private int segments;
    private int[] segment = new int[4 * 32];
    private int[] sorted = new int[8];
    private double[] key = new double[8];

    private int windingMinus;
    private int windingPlus;

    /**
     * @param ax first of the two axes of space kept when looking along the normal, {@code ay} the second
     * @param box the part of the plane looked at in those axes: {minX, minY, maxX, maxY}
     */
    PlaneSection(Vec3 n, double d, double tol, int ax, int ay, double[] box) {
        this.n = n;
        this.d = d;
        this.tol = tol;
        this.ax = ax;
        this.ay = ay;
        this.box = box;
    }

    /**
     * Cuts a leaf; afterwards {@link #isThere()} and {@link #giveTo} tell about it.
     *
     * @param tree its edges, so that only those near the plane are asked; null to ask all
     */
    void cut(Leaf leaf, EdgeTree tree) {
        points = 0;
        segments = 0;
        windingMinus = 0;
        windingPlus = 0;
        if (side.length < leaf.cornerCount()) {
            side = new double[leaf.cornerCount()];
        }
        if (faceHead.length < leaf.faces().size()) {
            faceHead = new int[leaf.faces().size()];
            Arrays.fill(faceHead, -1);
        }
        LeafEdges edges = leaf.edges();
        int some = -1;
        if (tree != null) {
            near = near.length < tree.count() ? new int[tree.count()] : near;
            some = tree.near(n, d, tol, near);
        }
        boolean on = false;
        boolean above = false;
        boolean below = false;
        int count = some < 0 ? leaf.cornerCount() : 2 * some;
        for (int k = 0; k < count; k++) {
            int i = some < 0 ? k : k % 2 == 0 ? edges.low(near[k / 2]) : edges.high(near[k / 2]);
            double s = n.x() * leaf.corner(i, 0) + n.y() * leaf.corner(i, 1) + n.z() * leaf.corner(i, 2) - d;
            if (Math.abs(s) <= tol) {
                s = 0;
                on = true;
            } else if (s > 0) {
                above = true;
            } else {
                below = true;
            }
            side[i] = s;
        }
        if (!on) {
            if (above && below) {
                cut(leaf, some, 1, 1, true);
            }
        } else {
            if (below) {
                cut(leaf, some, 1, 0, true);
            }
            if (above) {
                cut(leaf, some, 0, 1, false);
            }
        }
    }

    private void cut(Leaf leaf, int some, int minus, int plus, boolean onIsAbove) {
        LeafEdges edges = leaf.edges();
        int faces = 0;
        int count = some < 0 ? edges.count() : some;
        for (int k = 0; k < count; k++) {
            int e = some < 0 ? k : near[k];
            int a = edges.low(e);
            int b = edges.high(e);
            if (isAbove(a, onIsAbove) != isAbove(b, onIsAbove)) {
                int p = crossing(leaf, a, b);
                faces = hang(2 * p, edges.along(e), faces);
                faces = hang(2 * p + 1, edges.against(e), faces);
            }
        }
        for (int t = 0; t < faces; t++) {
            int f = touched[t];
            connect(leaf.faces().get(f).normal(), faceHead[f], minus, plus);
            faceHead[f] = -1;
        }
    }

    private boolean isAbove(int i, boolean onIsAbove) {
        return side[i] > 0 || onIsAbove && side[i] == 0;
    }

    /** Hangs half a crossing on its face; answers how many faces have something. */
    private int hang(int half, int face, int faces) {
        nextOnFace[half] = faceHead[face];
        if (faceHead[face] < 0) {
            if (faces == touched.length) {
                touched = Arrays.copyOf(touched, 2 * faces);
            }
            touched[faces++] = face;
        }
        faceHead[face] = half;
        return faces;
    }

    private int crossing(Leaf leaf, int a, int b) {
        if (3 * points == xyz.length) {
            xyz = Arrays.copyOf(xyz, 6 * points);
            nextOnFace = Arrays.copyOf(nextOnFace, 4 * points);
        }
        double t = side[a] == 0 ? 0 : side[b] == 0 ? 1 : side[a] / (side[a] - side[b]);
        for (int k = 0; k < 3; k++) {
            double ca = leaf.corner(a, k);
            double cb = leaf.corner(b, k);
            xyz[3 * points + k] = t == 0 ? ca : t == 1 ? cb : ca + t * (cb - ca);
        }
        return points++;
    }

    /** Joins the crossings of one face in pairs along the line in which the face meets the plane. */
    private void connect(Vec3 f, int head, int minus, int plus) {
        // Direction with the leaf on the left: n × f, in the two kept axes.
        double cx = n.y() * f.z() - n.z() * f.y();
        double cy = n.z() * f.x() - n.x() * f.z();
        double cz = n.x() * f.y() - n.y() * f.x();
        double dx = ax == 0 ? cx : ax == 1 ? cy : cz;
        double dy = ay == 0 ? cx : ay == 1 ? cy : cz;
        int count = 0;
        for (int half = head; half >= 0; half = nextOnFace[half]) {
            int p = half >> 1;
            if (count == key.length) {
                key = Arrays.copyOf(key, 2 * count);
                sorted = Arrays.copyOf(sorted, 2 * count);
            }
            double k = xyz[3 * p + ax] * dx + xyz[3 * p + ay] * dy;
            int at = count++;
            while (at > 0 && key[at - 1] > k) {
                key[at] = key[at - 1];
                sorted[at] = sorted[at - 1];
                at--;
            }
            key[at] = k;
            sorted[at] = p;
        }
        for (int k = 0; k + 1 < count; k += 2) {
            if (4 * segments == segment.length) {
                segment = Arrays.copyOf(segment, 8 * segments);
            }
            segment[4 * segments] = sorted[k];
            segment[4 * segments + 1] = sorted[k + 1];
            segment[4 * segments + 2] = minus;
            segment[4 * segments + 3] = plus;
            segments++;
        }
    }

    /**
     * Whether a border of the leaf comes near the part looked at. If not, {@link #windingMinus()} and
     * {@link #windingPlus()} say what it is there.
     */
    boolean isThere() {
        double cx = (box[0] + box[2]) / 2;
        double cy = (box[1] + box[3]) / 2;
        for (int s = 0; s < segments; s++) {
            double x0 = xyz[3 * segment[4 * s] + ax];
            double y0 = xyz[3 * segment[4 * s] + ay];
            double x1 = xyz[3 * segment[4 * s + 1] + ax];
            double y1 = xyz[3 * segment[4 * s + 1] + ay];
            boolean left = Math.max(x0, x1) < box[0] - tol;
            if (!left && Math.min(x0, x1) <= box[2] + tol
                    && Math.max(y0, y1) >= box[1] - tol && Math.min(y0, y1) <= box[3] + tol) {
                return true;
            }
            // A segment beside the box crosses the ray from its middle towards larger x only when wholly to the right.
            if (!left && y0 <= cy != y1 <= cy) {
                int sign = y1 > y0 ? 1 : -1;
                windingMinus += sign * segment[4 * s + 2];
                windingPlus += sign * segment[4 * s + 3];
            }
        }
        return false;
    }

    int windingMinus() {
        return windingMinus;
    }

    int windingPlus() {
        return windingPlus;
    }

    /** Hands the segments over under the number {@code local}. */
    void giveTo(Arrangement into, int local) {
        int[] vertex = new int[points];
        for (int p = 0; p < points; p++) {
            vertex[p] = into.vertex(xyz[3 * p], xyz[3 * p + 1], xyz[3 * p + 2]);
        }
        for (int s = 0; s < segments; s++) {
            into.segment(vertex[segment[4 * s]], vertex[segment[4 * s + 1]], local, segment[4 * s + 2], segment[4 * s + 3]);
        }
    }
}
