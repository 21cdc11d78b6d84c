package tinperch.solid.kernel;

import java.util.Arrays;
import tinperch.solid.Leaf;
import tinperch.solid.Vec3;

/**
 * Room 2: what a leaf looks like just below and just above a plane. A corner on the plane counts as above for the lower
 * section and as below for the upper one, so faces lying in the plane need no special case. Segments have the leaf on
 * their left as seen with the plane's normal up.
 */
final class PlaneSection {
    private final Vec3 n;
    private final double d;
    private final double tol;
    private final int ax;
    private final int ay;
    private final Arrangement into;
    private double[] side = new double[64];
    private double[] key = new double[8];
    private int[] point = new int[8];
    private int points;

    /** @param into receives the segments; its first two coordinates are axes {@code ax}, {@code ay} of space */
    PlaneSection(Vec3 n, double d, double tol, int ax, int ay, Arrangement into) {
        this.n = n;
        this.d = d;
        this.tol = tol;
        this.ax = ax;
        this.ay = ay;
        this.into = into;
    }

    /** Adds both sections of a leaf under the number {@code local}. */
    void add(Leaf leaf, int local) {
        int count = leaf.cornerCount();
        if (side.length < count) {
            side = new double[count];
        }
        boolean on = false;
        boolean above = false;
        boolean below = false;
        for (int i = 0; i < count; i++) {
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
                cut(leaf, local, 1, 1, true);
            }
            return;
        }
        if (below) {
            cut(leaf, local, 1, 0, true);
        }
        if (above) {
            cut(leaf, local, 0, 1, false);
        }
    }

    private void cut(Leaf leaf, int local, int minus, int plus, boolean onIsAbove) {
        for (Leaf.Face face : leaf.faces()) {
            points = 0;
            Vec3 f = face.normal();
            // Direction with the leaf on the left: n × f, in the two kept axes.
            double cx = n.y() * f.z() - n.z() * f.y();
            double cy = n.z() * f.x() - n.x() * f.z();
            double cz = n.x() * f.y() - n.y() * f.x();
            double dx = ax == 0 ? cx : ax == 1 ? cy : cz;
            double dy = ay == 0 ? cx : ay == 1 ? cy : cz;
            for (int[] ring : face.rings()) {
                int a = ring[ring.length - 1];
                boolean aAbove = isAbove(a, onIsAbove);
                for (int b : ring) {
                    boolean bAbove = isAbove(b, onIsAbove);
                    if (aAbove != bAbove) {
                        crossing(leaf, Math.min(a, b), Math.max(a, b), dx, dy);
                    }
                    a = b;
                    aAbove = bAbove;
                }
            }
            if (points > 2) {
                sort();
            }
            for (int k = 0; k + 1 < points; k += 2) {
                boolean swap = key[k] > key[k + 1];
                into.segment(point[swap ? k + 1 : k], point[swap ? k : k + 1], local, minus, plus);
            }
        }
    }

    private boolean isAbove(int i, boolean onIsAbove) {
        return side[i] > 0 || onIsAbove && side[i] == 0;
    }

    private void crossing(Leaf leaf, int a, int b, double dx, double dy) {
        double t = side[a] == 0 ? 0 : side[b] == 0 ? 1 : side[a] / (side[a] - side[b]);
        double x;
        double y;
        double z;
        if (t == 0 || t == 1) {
            int at = t == 0 ? a : b;
            x = leaf.corner(at, 0);
            y = leaf.corner(at, 1);
            z = leaf.corner(at, 2);
        } else {
            x = leaf.corner(a, 0) + t * (leaf.corner(b, 0) - leaf.corner(a, 0));
            y = leaf.corner(a, 1) + t * (leaf.corner(b, 1) - leaf.corner(a, 1));
            z = leaf.corner(a, 2) + t * (leaf.corner(b, 2) - leaf.corner(a, 2));
        }
        if (points == point.length) {
            point = Arrays.copyOf(point, 2 * points);
            key = Arrays.copyOf(key, 2 * points);
        }
        point[points] = into.vertex(x, y, z);
        double u = ax == 0 ? x : ax == 1 ? y : z;
        double v = ay == 0 ? x : ay == 1 ? y : z;
        key[points++] = u * dx + v * dy;
    }

    private void sort() {
        for (int i = 1; i < points; i++) {
            double k = key[i];
            int p = point[i];
            int j = i - 1;
            while (j >= 0 && key[j] > k) {
                key[j + 1] = key[j];
                point[j + 1] = point[j];
                j--;
            }
            key[j + 1] = k;
            point[j + 1] = p;
        }
    }
}
