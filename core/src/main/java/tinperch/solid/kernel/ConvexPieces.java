package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Puts pieces of one polygon together again: borders that run both ways vanish, what is left is walked into rings. */
final class ConvexPieces {
    private ConvexPieces() {}

    /**
     * Outlines of the joined pieces; pieces that do not touch stay apart.
     *
     * @param pieces x, y, z triples, all the same way round, corners on common borders the same to the last digit
     * @return null when borders overlap only in part, meet in a point or would enclose a hole
     */
    static List<double[]> joined(List<double[]> pieces) {
        int n = 0;
        for (double[] p : pieces) {
            n += p.length / 3;
        }
        double[] a = new double[3 * n];
        double[] b = new double[3 * n];
        int k = 0;
        for (double[] p : pieces) {
            for (int i = 0; i < p.length; i += 3) {
                System.arraycopy(p, i, a, k, 3);
                System.arraycopy(p, (i + 3) % p.length, b, k, 3);
                k += 3;
            }
        }
        boolean[] gone = new boolean[n];
        int left = n;
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n && !gone[i]; j++) {
                if (!gone[j] && same(a, i, b, j) && same(b, i, a, j)) {
                    gone[i] = true;
                    gone[j] = true;
                    left -= 2;
                }
            }
        }
        // More common borders than it takes to hang the pieces together: they run round a hole.
        if (left + 2 * (pieces.size() - 1) < n) {
            return null;
        }
        List<double[]> rings = new ArrayList<>(2);
        double[] ring = new double[3 * n];
        for (int start = 0; start < n; start++) {
            int i = start;
            int length = 0;
            while (!gone[i]) {
                gone[i] = true;
                System.arraycopy(a, 3 * i, ring, 3 * length++, 3);
                int onward = -1;
                for (int j = 0; j < n; j++) {
                    if ((!gone[j] || j == start) && same(b, i, a, j)) {
                        if (onward >= 0) {
                            return null;
                        }
                        onward = j;
                    }
                }
                if (onward < 0) {
                    return null;
                }
                i = onward;
            }
            if (length > 0) {
                rings.add(straightened(ring, length));
            }
        }
        return overlapping(rings) ? null : rings;
    }

    /** Without the corners that a vanished border left in the middle of a straight edge; a neighbour that has one gives it back. */
    private static double[] straightened(double[] ring, int length) {
        double[] out = new double[3 * length];
        int k = 0;
        for (int i = 0; i < length; i++) {
            int before = 3 * ((i + length - 1) % length);
            int after = 3 * ((i + 1) % length);
            if (!straight(ring, before, 3 * i, after)) {
                System.arraycopy(ring, 3 * i, out, k, 3);
                k += 3;
            }
        }
        return Arrays.copyOf(out, k);
    }

    private static boolean straight(double[] r, int a, int b, int c) {
        double along = 0;
        double ab = 0;
        double bc = 0;
        for (int k = 0; k < 3; k++) {
            double u = r[b + k] - r[a + k];
            double v = r[c + k] - r[b + k];
            along += u * v;
            ab += u * u;
            bc += v * v;
        }
        return along > 0 && ab * bc - along * along < 1e-20 * ab * bc;
    }

    /** Whether an edge of the rings has a corner of another edge in its middle, so that a border was joined in part only. */
    private static boolean overlapping(List<double[]> rings) {
        for (double[] r : rings) {
            for (int i = 0; i < r.length; i += 3) {
                int j = (i + 3) % r.length;
                for (double[] s : rings) {
                    for (int c = 0; c < s.length; c += 3) {
                        if (between(r, i, j, s, c)) {
                            return true;
                        }
                    }
                }
            }
        }
        return false;
    }

    private static boolean between(double[] r, int i, int j, double[] s, int c) {
        double along = 0;
        double length = 0;
        double away = 0;
        for (int k = 0; k < 3; k++) {
            double e = r[j + k] - r[i + k];
            double v = s[c + k] - r[i + k];
            along += e * v;
            length += e * e;
            away += v * v;
        }
        return along >= 0 && along <= length && away * length - along * along < 1e-6 * length
                && !(r == s && (c == i || c == j));
    }

    private static boolean same(double[] p, int i, double[] q, int j) {
        return p[3 * i] == q[3 * j] && p[3 * i + 1] == q[3 * j + 1] && p[3 * i + 2] == q[3 * j + 2];
    }
}
