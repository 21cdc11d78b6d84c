package tinperch.heat;

import java.util.Arrays;
import tinperch.solid.Stop;

/**
 * The balance of all cells: Σ G (T − T of the next) = what comes in. Solved by conjugate gradients with a modified incomplete Cholesky factor (Gustafsson 1978, value from
 * memory), which on such grids takes a third of the rounds of a plain one; a round is one way back and one way forth through the factor, with no product of the system itself
 * (Eisenstat 1981, value from memory).
 */
final class CellSystem {
    /** Share of what is dropped that goes to the diagonal. */
    private static final double MODIFIED = 0.95;
    private static final int MOST_ROUNDS = 2000;

    private final int n;
    /** The cells that come next; the one along x is the next by number. Where there is none, the place behind the last, and a conductance of 0. */
    private final int[] nextY;
    private final int[] nextZ;
    private final int[] lastY;
    private final int[] lastZ;
    private final double[] gx;
    private final double[] gy;
    private final double[] gz;
    /** What each cell's links to the next ones come to together. */
    private final double[] links;
    private int rounds;
    private boolean converged;

    /** @param kWmmK conductivity, W/mm·K */
    CellSystem(Voxels v, double kWmmK) {
        n = v.count;
        nextY = none();
        nextZ = none();
        lastY = none();
        lastZ = none();
        gx = new double[n + 1];
        gy = new double[n + 1];
        gz = new double[n + 1];
        links = new double[n + 1];
        for (int c = 0; c < n; c++) {
            int at = v.at[c];
            int i = at % v.nx;
            int j = at / v.nx % v.ny;
            int k = at / v.nx / v.ny;
            int x = i + 1 < v.nx && v.openX[c] > 0 ? v.cell[at + 1] : -1;
            int y = j + 1 < v.ny && v.openY[c] > 0 ? v.cell[at + v.nx] : -1;
            int z = k + 1 < v.nz && v.openZ[c] > 0 ? v.cell[at + v.nx * v.ny] : -1;
            if (x >= 0) {
                gx[c] = link(c, x, kWmmK * v.h * v.openX[c]);
            }
            if (y >= 0) {
                gy[c] = link(c, y, kWmmK * v.h * v.openY[c]);
                nextY[c] = y;
                lastY[y] = c;
            }
            if (z >= 0) {
                gz[c] = link(c, z, kWmmK * v.h * v.openZ[c]);
                nextZ[c] = z;
                lastZ[z] = c;
            }
        }
    }

    private int[] none() {
        int[] all = new int[n + 1];
        Arrays.fill(all, n);
        return all;
    }

    private double link(int c, int next, double g) {
        links[c] += g;
        links[next] += g;
        return g;
    }

    /** Whether the last solving came to its end. */
    boolean converged() {
        return converged;
    }

    int rounds() {
        return rounds;
    }

    /**
     * Solves for the cells' temperatures.
     *
     * @param out conductance of each cell to what is around it, W/K, {@code in} what comes in from there, W: that conductance times its temperature
     * @param t begin here; the answer
     * @param tolerance what may be left, as a share of what comes in, both seen through the factor
     */
    void solve(double[] out, double[] in, double[] t, double tolerance, Stop stop) {
        double[] diagonal = new double[n + 1];
        for (int c = 0; c < n; c++) {
            // A cell that hangs on nothing keeps what it has.
            diagonal[c] = Math.max(1e-12, links[c] + out[c]);
        }
        double[] f = factor(diagonal);
        Scaled s = new Scaled(f, diagonal);
        double[] r = left(diagonal, in, t);
        double[] b = new double[n + 1];
        for (int c = 0; c < n; c++) {
            r[c] *= f[c];
            b[c] = in[c] * f[c];
        }
        s.forth(r);
        s.forth(b);
        double small = tolerance * tolerance * dot(b, b) + 1e-30;
        double[] x = new double[n + 1];
        double[] p = new double[n + 1];
        double[] q = b;
        double[] way = new double[n + 1];
        double rho = dot(r, r);
        double beta = 0;
        rounds = 0;
        converged = rho <= small;
        while (!converged && rounds < MOST_ROUNDS) {
            if (rounds % 16 == 0) {
                stop.check();
            }
            double alpha = rho / s.times(r, beta, p, way, q);
            if (!Double.isFinite(alpha)) {
                break;
            }
            double next = 0;
            for (int c = 0; c < n; c++) {
                x[c] += alpha * p[c];
                double left = r[c] - alpha * q[c];
                r[c] = left;
                next += left * left;
            }
            beta = next / rho;
            rho = next;
            rounds++;
            converged = rho <= small;
        }
        s.back(x);
        for (int c = 0; c < n; c++) {
            t[c] += f[c] * x[c];
        }
    }

    /** The system with its factor's diagonal brought to 1: what is beside the diagonal is then that of the factor. */
    private final class Scaled {
        private final double[] hx = new double[n + 1];
        private final double[] hy = new double[n + 1];
        private final double[] hz = new double[n + 1];
        private final double[] rest = new double[n + 1];
        private final double[] forth = new double[n + 1];

        Scaled(double[] f, double[] diagonal) {
            for (int c = 0; c < n; c++) {
                hx[c] = gx[c] * f[c] * f[c + 1];
                hy[c] = gy[c] * f[c] * f[nextY[c]];
                hz[c] = gz[c] * f[c] * f[nextZ[c]];
                rest[c] = diagonal[c] * f[c] * f[c] - 2;
            }
        }

        void forth(double[] v) {
            double before = 0;
            for (int c = 0; c < n; c++) {
                before = v[c] + before + hy[lastY[c]] * v[lastY[c]] + hz[lastZ[c]] * v[lastZ[c]];
                v[c] = before;
                before *= hx[c];
            }
        }

        void back(double[] v) {
            for (int c = n - 1; c >= 0; c--) {
                v[c] += hx[c] * v[c + 1] + hy[c] * v[nextY[c]] + hz[c] * v[nextZ[c]];
            }
        }

        /** The next direction, p = r + βp, and what the system makes of it as seen through the factor, q; answers p·q. */
        double times(double[] r, double beta, double[] p, double[] way, double[] q) {
            for (int c = n - 1; c >= 0; c--) {
                double now = r[c] + beta * p[c];
                p[c] = now;
                way[c] = now + hx[c] * way[c + 1] + hy[c] * way[nextY[c]] + hz[c] * way[nextZ[c]];
            }
            double sum = 0;
            double before = 0;
            for (int c = 0; c < n; c++) {
                double now = p[c] + rest[c] * way[c] + before + hy[lastY[c]] * forth[lastY[c]] + hz[lastZ[c]] * forth[lastZ[c]];
                forth[c] = now;
                before = hx[c] * now;
                double made = way[c] + now;
                q[c] = made;
                sum += p[c] * made;
            }
            return sum;
        }
    }

    private double[] factor(double[] diagonal) {
        double[] inverse = new double[n + 1];
        for (int c = 0; c < n; c++) {
            double d = diagonal[c];
            int x = c > 0 && gx[c - 1] > 0 ? c - 1 : n;
            int y = lastY[c];
            int z = lastZ[c];
            double fx = gx[x] * inverse[x] * inverse[x];
            double fy = gy[y] * inverse[y] * inverse[y];
            double fz = gz[z] * inverse[z] * inverse[z];
            d -= fx * (gx[x] + MODIFIED * (gy[x] + gz[x])) + fy * (gy[y] + MODIFIED * (gx[y] + gz[y])) + fz * (gz[z] + MODIFIED * (gx[z] + gy[z]));
            inverse[c] = 1 / Math.sqrt(d > 0.25 * diagonal[c] ? d : diagonal[c]);
        }
        return inverse;
    }

    /** What is not yet balanced, W. */
    private double[] left(double[] diagonal, double[] in, double[] t) {
        double[] r = new double[n + 1];
        for (int c = 0; c < n; c++) {
            r[c] += in[c] - diagonal[c] * t[c];
            flow(r, t, c, c + 1, gx[c]);
            flow(r, t, c, nextY[c], gy[c]);
            flow(r, t, c, nextZ[c], gz[c]);
        }
        return r;
    }

    private static void flow(double[] r, double[] t, int a, int b, double g) {
        if (g > 0) {
            r[a] += g * t[b];
            r[b] += g * t[a];
        }
    }

    private static double dot(double[] a, double[] b) {
        double s = 0;
        for (int i = 0; i < a.length; i++) {
            s += a[i] * b[i];
        }
        return s;
    }
}
