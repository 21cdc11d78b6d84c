package tinperch.heat;

import tinperch.solid.Stop;

/**
 * The balance of all cells: Σ G (T − T of the next) = what comes in. Solved by conjugate gradients with a modified incomplete Cholesky factor (Gustafsson 1978, value from
 * memory), which on such grids takes a third of the rounds of a plain one.
 */
final class CellSystem {
    /** Share of what is dropped that goes to the diagonal. */
    private static final double MODIFIED = 0.95;
    private static final int MOST_ROUNDS = 2000;

    private final int n;
    private final int[] nextX;
    private final int[] nextY;
    private final int[] nextZ;
    private final double[] gx;
    private final double[] gy;
    private final double[] gz;
    private final int[] lastX;
    private final int[] lastY;
    private final int[] lastZ;
    /** What each cell's links to the next ones come to together. */
    private final double[] links;
    private int rounds;
    private boolean converged;

    /** @param kWmmK conductivity, W/mm·K */
    CellSystem(Voxels v, double kWmmK) {
        n = v.count;
        nextX = new int[n];
        nextY = new int[n];
        nextZ = new int[n];
        lastX = new int[n];
        lastY = new int[n];
        lastZ = new int[n];
        java.util.Arrays.fill(lastX, -1);
        java.util.Arrays.fill(lastY, -1);
        java.util.Arrays.fill(lastZ, -1);
        gx = new double[n];
        gy = new double[n];
        gz = new double[n];
        links = new double[n];
        for (int c = 0; c < n; c++) {
            int at = v.at[c];
            int i = at % v.nx;
            int j = at / v.nx % v.ny;
            int k = at / v.nx / v.ny;
            nextX[c] = i + 1 < v.nx && v.openX[c] > 0 ? v.cell[at + 1] : -1;
            nextY[c] = j + 1 < v.ny && v.openY[c] > 0 ? v.cell[at + v.nx] : -1;
            nextZ[c] = k + 1 < v.nz && v.openZ[c] > 0 ? v.cell[at + v.nx * v.ny] : -1;
            gx[c] = nextX[c] >= 0 ? kWmmK * v.h * v.openX[c] : 0;
            gy[c] = nextY[c] >= 0 ? kWmmK * v.h * v.openY[c] : 0;
            gz[c] = nextZ[c] >= 0 ? kWmmK * v.h * v.openZ[c] : 0;
            link(c, nextX[c], lastX, gx[c]);
            link(c, nextY[c], lastY, gy[c]);
            link(c, nextZ[c], lastZ, gz[c]);
        }
    }

    private void link(int c, int next, int[] last, double g) {
        if (next >= 0) {
            last[next] = c;
            links[c] += g;
            links[next] += g;
        }
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
     */
    void solve(double[] out, double[] in, double[] t, double tolerance, Stop stop) {
        double[] diagonal = new double[n];
        for (int c = 0; c < n; c++) {
            // A cell that hangs on nothing keeps what it has.
            diagonal[c] = Math.max(1e-12, links[c] + out[c]);
        }
        double[] factor = factor(diagonal);
        double[] r = new double[n];
        double[] z = new double[n];
        double[] p = new double[n];
        double[] q = new double[n];
        times(diagonal, t, q);
        for (int c = 0; c < n; c++) {
            r[c] = in[c] - q[c];
        }
        double small = tolerance * tolerance * dot(in, in) + 1e-30;
        rounds = 0;
        converged = dot(r, r) <= small;
        double rho = 0;
        while (!converged && rounds < MOST_ROUNDS) {
            if (rounds % 16 == 0) {
                stop.check();
            }
            apply(factor, r, z);
            double next = dot(r, z);
            double beta = rounds == 0 ? 0 : next / rho;
            rho = next;
            for (int c = 0; c < n; c++) {
                p[c] = z[c] + beta * p[c];
            }
            times(diagonal, p, q);
            double alpha = rho / dot(p, q);
            if (!Double.isFinite(alpha)) {
                return;
            }
            for (int c = 0; c < n; c++) {
                t[c] += alpha * p[c];
                r[c] -= alpha * q[c];
            }
            rounds++;
            converged = dot(r, r) <= small;
        }
    }

    private double[] factor(double[] diagonal) {
        double[] inverse = new double[n];
        for (int c = 0; c < n; c++) {
            double d = diagonal[c];
            int x = lastX[c];
            int y = lastY[c];
            int z = lastZ[c];
            if (x >= 0) {
                double g = gx[x] * inverse[x];
                d -= g * g + MODIFIED * gx[x] * (gy[x] + gz[x]) * inverse[x] * inverse[x];
            }
            if (y >= 0) {
                double g = gy[y] * inverse[y];
                d -= g * g + MODIFIED * gy[y] * (gx[y] + gz[y]) * inverse[y] * inverse[y];
            }
            if (z >= 0) {
                double g = gz[z] * inverse[z];
                d -= g * g + MODIFIED * gz[z] * (gx[z] + gy[z]) * inverse[z] * inverse[z];
            }
            inverse[c] = 1 / Math.sqrt(d > 0.25 * diagonal[c] ? d : diagonal[c]);
        }
        return inverse;
    }

    private void apply(double[] f, double[] r, double[] z) {
        for (int c = 0; c < n; c++) {
            double s = r[c];
            int x = lastX[c];
            int y = lastY[c];
            int w = lastZ[c];
            s += x >= 0 ? gx[x] * f[x] * z[x] : 0;
            s += y >= 0 ? gy[y] * f[y] * z[y] : 0;
            s += w >= 0 ? gz[w] * f[w] * z[w] : 0;
            z[c] = s * f[c];
        }
        for (int c = n - 1; c >= 0; c--) {
            double s = z[c];
            s += nextX[c] >= 0 ? gx[c] * f[c] * z[nextX[c]] : 0;
            s += nextY[c] >= 0 ? gy[c] * f[c] * z[nextY[c]] : 0;
            s += nextZ[c] >= 0 ? gz[c] * f[c] * z[nextZ[c]] : 0;
            z[c] = s * f[c];
        }
    }

    private void times(double[] diagonal, double[] t, double[] to) {
        for (int c = 0; c < n; c++) {
            to[c] = diagonal[c] * t[c];
        }
        for (int c = 0; c < n; c++) {
            int x = nextX[c];
            int y = nextY[c];
            int z = nextZ[c];
            if (x >= 0) {
                to[c] -= gx[c] * t[x];
                to[x] -= gx[c] * t[c];
            }
            if (y >= 0) {
                to[c] -= gy[c] * t[y];
                to[y] -= gy[c] * t[c];
            }
            if (z >= 0) {
                to[c] -= gz[c] * t[z];
                to[z] -= gz[c] * t[c];
            }
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
