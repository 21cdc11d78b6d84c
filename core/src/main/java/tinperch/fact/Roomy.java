package tinperch.fact;

import java.util.Arrays;
import tinperch.solid.Profile;

/** Whether a section has room from every edge inwards: short ways from places along its edges meet no other edge. Edges lie in a grid, so that only near ones are looked at. */
final class Roomy {
    private static final double SAMPLE_MM = 4;
    private static final int CELLS = 48;

    private final double[] edges;
    private final int[][] cells = new int[CELLS * CELLS][];
    private final double x0;
    private final double y0;
    private final double step;

    private Roomy(Profile p) {
        int n = 0;
        for (int r = 0; r < p.ringCount(); r++) {
            n += p.ring(r).length / 2;
        }
        edges = new double[4 * n];
        double lowX = Double.POSITIVE_INFINITY;
        double lowY = lowX;
        double highX = Double.NEGATIVE_INFINITY;
        double highY = highX;
        int at = 0;
        for (int r = 0; r < p.ringCount(); r++) {
            double[] a = p.ring(r);
            // Material lies on the left of every edge then.
            boolean turn = Profile.area(a) > 0 != (r == 0);
            for (int i = 0; i < a.length; i += 2) {
                int j = (i + 2) % a.length;
                edges[at++] = a[turn ? j : i];
                edges[at++] = a[(turn ? j : i) + 1];
                edges[at++] = a[turn ? i : j];
                edges[at++] = a[(turn ? i : j) + 1];
                lowX = Math.min(lowX, a[i]);
                highX = Math.max(highX, a[i]);
                lowY = Math.min(lowY, a[i + 1]);
                highY = Math.max(highY, a[i + 1]);
            }
        }
        x0 = lowX;
        y0 = lowY;
        step = Math.max(1e-6, Math.max(highX - lowX, highY - lowY) / (CELLS - 1));
        int[] count = new int[cells.length];
        for (int e = 0; e < edges.length; e += 4) {
            for (int i = cell(Math.min(edges[e], edges[e + 2]) - x0); i <= cell(Math.max(edges[e], edges[e + 2]) - x0); i++) {
                for (int j = cell(Math.min(edges[e + 1], edges[e + 3]) - y0); j <= cell(Math.max(edges[e + 1], edges[e + 3]) - y0); j++) {
                    int c = i * CELLS + j;
                    cells[c] = cells[c] == null ? new int[4] : count[c] == cells[c].length ? Arrays.copyOf(cells[c], 2 * count[c]) : cells[c];
                    cells[c][count[c]++] = e;
                }
            }
        }
        for (int c = 0; c < cells.length; c++) {
            cells[c] = cells[c] == null ? new int[0] : Arrays.copyOf(cells[c], count[c]);
        }
    }

    private int cell(double from0) {
        return Math.max(0, Math.min(CELLS - 1, (int) (from0 / step)));
    }

    /** Whether there is so much room everywhere. */
    static boolean is(Profile p, double mm) {
        Roomy r = new Roomy(p);
        for (int e = 0; e < r.edges.length; e += 4) {
            double dx = r.edges[e + 2] - r.edges[e];
            double dy = r.edges[e + 3] - r.edges[e + 1];
            double length = Math.hypot(dx, dy);
            int samples = length < 1e-9 ? 0 : (int) Math.min(40, 1 + length / SAMPLE_MM);
            for (int s = 0; s < samples; s++) {
                double f = (s + 0.5) / samples;
                if (r.meets(r.edges[e] + f * dx, r.edges[e + 1] + f * dy, -dy / length * mm, dx / length * mm)) {
                    return false;
                }
            }
        }
        return true;
    }

    private boolean meets(double x, double y, double wx, double wy) {
        for (int i = cell(Math.min(x, x + wx) - x0); i <= cell(Math.max(x, x + wx) - x0); i++) {
            for (int j = cell(Math.min(y, y + wy) - y0); j <= cell(Math.max(y, y + wy) - y0); j++) {
                for (int e : cells[i * CELLS + j]) {
                    double ux = edges[e + 2] - edges[e];
                    double uy = edges[e + 3] - edges[e + 1];
                    double det = wx * uy - wy * ux;
                    if (det != 0) {
                        double t = ((edges[e] - x) * uy - (edges[e + 1] - y) * ux) / det;
                        double k = ((edges[e] - x) * wy - (edges[e + 1] - y) * wx) / det;
                        if (t > 1e-6 && t <= 1 && k >= 0 && k <= 1) {
                            return true;
                        }
                    }
                }
            }
        }
        return false;
    }
}
