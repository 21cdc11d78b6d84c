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
     * @return null when pieces meet in a point or run round a hole
     */
    static List<double[]> joined(List<double[]> pieces) {
        // Nearly always whole borders fit; looking for corners in the middle of edges costs more.
        List<double[]> whole = joined(pieces, false);
        return whole != null ? whole : joined(pieces, true);
    }

    private static List<double[]> joined(List<double[]> pieces, boolean inPart) {
        double[] a = new double[64];
        double[] b = new double[64];
        int n = 0;
        double[] stops = new double[16];
        for (double[] p : pieces) {
            for (int i = 0; i < p.length; i += 3) {
                int j = (i + 3) % p.length;
                int count = inPart ? stopsOn(p, i, j, pieces, stops) : 0;
                if (3 * (n + count + 1) > a.length) {
                    a = Arrays.copyOf(a, 2 * a.length + 3 * count);
                    b = Arrays.copyOf(b, a.length);
                }
                System.arraycopy(p, i, a, 3 * n, 3);
                for (int k = 0; k < count; k++) {
                    System.arraycopy(stops, 4 * k + 1, b, 3 * n, 3);
                    n++;
                    System.arraycopy(stops, 4 * k + 1, a, 3 * n, 3);
                }
                System.arraycopy(p, j, b, 3 * n, 3);
                n++;
            }
        }
        boolean[] gone = new boolean[n];
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n && !gone[i]; j++) {
                if (!gone[j] && same(a, i, b, j) && same(b, i, a, j)) {
                    gone[i] = true;
                    gone[j] = true;
                }
            }
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
        double[] way = direction(pieces.get(0));
        for (double[] r : rings) {
            double[] d = direction(r);
            if (!(d[0] * way[0] + d[1] * way[1] + d[2] * way[2] > 0)) {
                // It runs the other way round: the rim of a hole.
                return null;
            }
        }
        return overlapping(rings) ? null : rings;
    }

    /**
     * Corners of other pieces in the middle of an edge, in order along it: the edge is broken there, so that a border shared
     * with two smaller pieces vanishes piece by piece.
     *
     * @param stops receives for each its place along the edge and its coordinates; at most three are looked for
     */
    private static int stopsOn(double[] p, int i, int j, List<double[]> pieces, double[] stops) {
        double ex = p[j] - p[i];
        double ey = p[j + 1] - p[i + 1];
        double ez = p[j + 2] - p[i + 2];
        double length = ex * ex + ey * ey + ez * ez;
        int count = 0;
        for (double[] q : pieces) {
            for (int c = 0; q != p && c < q.length; c += 3) {
                double vx = q[c] - p[i];
                double vy = q[c + 1] - p[i + 1];
                double vz = q[c + 2] - p[i + 2];
                double along = ex * vx + ey * vy + ez * vz;
                if (!(along > 0 && along < length)) {
                    continue;
                }
                double away = (vx * vx + vy * vy + vz * vz) * length - along * along;
                boolean atEnd = q[c] == p[i] && q[c + 1] == p[i + 1] && q[c + 2] == p[i + 2]
                        || q[c] == p[j] && q[c + 1] == p[j + 1] && q[c + 2] == p[j + 2];
                if (atEnd || away > 1e-18 * length * length) {
                    continue;
                }
                int at = count;
                boolean known = false;
                while (at > 0 && stops[4 * (at - 1)] >= along) {
                    known |= stops[4 * (at - 1) + 1] == q[c] && stops[4 * (at - 1) + 2] == q[c + 1];
                    at--;
                }
                if (known || count == 3) {
                    continue;
                }
                System.arraycopy(stops, 4 * at, stops, 4 * at + 4, 4 * (count - at));
                stops[4 * at] = along;
                System.arraycopy(q, c, stops, 4 * at + 1, 3);
                count++;
            }
        }
        return count;
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

    /** Twice the directed area. */
    private static double[] direction(double[] r) {
        double[] d = new double[3];
        for (int i = 3; i + 3 < r.length; i += 3) {
            double ax = r[i] - r[0];
            double ay = r[i + 1] - r[1];
            double az = r[i + 2] - r[2];
            double bx = r[i + 3] - r[0];
            double by = r[i + 4] - r[1];
            double bz = r[i + 5] - r[2];
            d[0] += ay * bz - az * by;
            d[1] += az * bx - ax * bz;
            d[2] += ax * by - ay * bx;
        }
        return d;
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
