package tinperch.solid.shape;

/** Moves a ring towards its left by a distance, corner by corner along the bisectors, keeping the number of corners. */
final class Insets {
    private Insets() {}

    /**
     * The moved ring, or null when an edge turns round or a corner is too sharp to move.
     *
     * @param xy x, y pairs with the material on the left
     * @param mm how far, negative to the right
     */
    static double[] inset(double[] xy, double mm) {
        int n = xy.length / 2;
        if (mm == 0) {
            return xy.clone();
        }
        double[] out = new double[xy.length];
        for (int i = 0; i < n; i++) {
            int p = (i + n - 1) % n;
            int q = (i + 1) % n;
            double ax = xy[2 * i] - xy[2 * p];
            double ay = xy[2 * i + 1] - xy[2 * p + 1];
            double bx = xy[2 * q] - xy[2 * i];
            double by = xy[2 * q + 1] - xy[2 * i + 1];
            double la = Math.hypot(ax, ay);
            double lb = Math.hypot(bx, by);
            // Sum of the unit left normals, stretched so that both edges move by the full distance.
            double nx = -ay / la - by / lb;
            double ny = ax / la + bx / lb;
            double k = 1 + (ax * bx + ay * by) / (la * lb);
            if (k < 0.02) {
                return null;
            }
            out[2 * i] = xy[2 * i] + mm * nx / k;
            out[2 * i + 1] = xy[2 * i + 1] + mm * ny / k;
        }
        for (int i = 0; i < n; i++) {
            int q = (i + 1) % n;
            double dot = (xy[2 * q] - xy[2 * i]) * (out[2 * q] - out[2 * i])
                    + (xy[2 * q + 1] - xy[2 * i + 1]) * (out[2 * q + 1] - out[2 * i + 1]);
            if (!(dot > 0)) {
                return null;
            }
        }
        return out;
    }
}
