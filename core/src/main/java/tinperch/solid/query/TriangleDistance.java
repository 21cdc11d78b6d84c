package tinperch.solid.query;

/**
 * Squared distance of two triangles with the nearest places: the smallest over all pairs of edges and all corners against
 * the other's face; 0 when an edge of one pierces the other. (Segment against segment after Ericson, "Real-Time Collision
 * Detection", 5.1.9, value from memory.) Keeps scratch space; one to a thread.
 */
final class TriangleDistance {
    final double[] p = new double[3];
    final double[] q = new double[3];
    private final double[] n = new double[3];
    private double best;

    double squared(double[] s, double[] t) {
        best = Double.POSITIVE_INFINITY;
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                edges(s, 3 * i, 3 * ((i + 1) % 3), t, 3 * j, 3 * ((j + 1) % 3));
            }
        }
        face(s, t, false);
        face(t, s, true);
        return best;
    }

    private void edges(double[] s, int i, int j, double[] t, int k, int l) {
        double ux = s[j] - s[i];
        double uy = s[j + 1] - s[i + 1];
        double uz = s[j + 2] - s[i + 2];
        double vx = t[l] - t[k];
        double vy = t[l + 1] - t[k + 1];
        double vz = t[l + 2] - t[k + 2];
        double wx = s[i] - t[k];
        double wy = s[i + 1] - t[k + 1];
        double wz = s[i + 2] - t[k + 2];
        double a = ux * ux + uy * uy + uz * uz;
        double b = ux * vx + uy * vy + uz * vz;
        double c = vx * vx + vy * vy + vz * vz;
        double d = ux * wx + uy * wy + uz * wz;
        double e = vx * wx + vy * wy + vz * wz;
        double det = a * c - b * b;
        double f = det > 1e-14 * a * c ? clamp((b * e - c * d) / det) : 0;
        double g = c > 0 ? (b * f + e) / c : 0;
        if (g < 0 || g > 1) {
            g = clamp(g);
            f = a > 0 ? clamp((b * g - d) / a) : 0;
        }
        double px = s[i] + f * ux;
        double py = s[i + 1] + f * uy;
        double pz = s[i + 2] + f * uz;
        double qx = t[k] + g * vx;
        double qy = t[k + 1] + g * vy;
        double qz = t[k + 2] + g * vz;
        offer(px, py, pz, qx, qy, qz);
    }

    /** Corners of {@code t} over the face of {@code s}, and edges of {@code t} through it. */
    private void face(double[] s, double[] t, boolean swapped) {
        double ax = s[3] - s[0];
        double ay = s[4] - s[1];
        double az = s[5] - s[2];
        double bx = s[6] - s[0];
        double by = s[7] - s[1];
        double bz = s[8] - s[2];
        n[0] = ay * bz - az * by;
        n[1] = az * bx - ax * bz;
        n[2] = ax * by - ay * bx;
        double nn = n[0] * n[0] + n[1] * n[1] + n[2] * n[2];
        if (!(nn > 0)) {
            return;
        }
        double h0 = height(s, t, 0);
        double h1 = height(s, t, 3);
        double h2 = height(s, t, 6);
        over(s, t, 0, h0, nn, swapped);
        over(s, t, 3, h1, nn, swapped);
        over(s, t, 6, h2, nn, swapped);
        through(s, t, 0, 3, h0, h1, swapped);
        through(s, t, 3, 6, h1, h2, swapped);
        through(s, t, 6, 0, h2, h0, swapped);
    }

    private double height(double[] s, double[] t, int k) {
        return n[0] * (t[k] - s[0]) + n[1] * (t[k + 1] - s[1]) + n[2] * (t[k + 2] - s[2]);
    }

    private void over(double[] s, double[] t, int k, double h, double nn, boolean swapped) {
        if (h * h / nn >= best) {
            return;
        }
        double x = t[k] - n[0] * h / nn;
        double y = t[k + 1] - n[1] * h / nn;
        double z = t[k + 2] - n[2] * h / nn;
        if (within(s, x, y, z)) {
            if (swapped) {
                offer(t[k], t[k + 1], t[k + 2], x, y, z);
            } else {
                offer(x, y, z, t[k], t[k + 1], t[k + 2]);
            }
        }
    }

    private void through(double[] s, double[] t, int k, int l, double hk, double hl, boolean swapped) {
        if (hk > 0 == hl > 0 && hk != 0 && hl != 0 || hk == hl) {
            return;
        }
        double f = hk / (hk - hl);
        double x = t[k] + f * (t[l] - t[k]);
        double y = t[k + 1] + f * (t[l + 1] - t[k + 1]);
        double z = t[k + 2] + f * (t[l + 2] - t[k + 2]);
        if (within(s, x, y, z)) {
            offer(x, y, z, x, y, z);
        }
    }

    private boolean within(double[] s, double x, double y, double z) {
        for (int i = 0; i < 9; i += 3) {
            int j = (i + 3) % 9;
            double ex = s[j] - s[i];
            double ey = s[j + 1] - s[i + 1];
            double ez = s[j + 2] - s[i + 2];
            double vx = x - s[i];
            double vy = y - s[i + 1];
            double vz = z - s[i + 2];
            double side = n[0] * (ey * vz - ez * vy) + n[1] * (ez * vx - ex * vz) + n[2] * (ex * vy - ey * vx);
            if (side < 0) {
                return false;
            }
        }
        return true;
    }

    private void offer(double px, double py, double pz, double qx, double qy, double qz) {
        double dx = px - qx;
        double dy = py - qy;
        double dz = pz - qz;
        double sq = dx * dx + dy * dy + dz * dz;
        if (sq < best) {
            best = sq;
            p[0] = px;
            p[1] = py;
            p[2] = pz;
            q[0] = qx;
            q[1] = qy;
            q[2] = qz;
        }
    }

    private static double clamp(double v) {
        return v < 0 ? 0 : Math.min(v, 1);
    }
}
