package tinperch.heat;

import java.util.Arrays;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;

/**
 * How much of each cell of a grid a solid fills, and how wide it is open to the next: four lines a column along z through the mesh, exact along them.
 * Whole cells would not do: heat of a stepped surface does not come nearer to the truth with smaller steps.
 */
final class Voxels {
    /** Cells that hold less are left out: their heat goes through the next. */
    static final double LEAST = 0.2;

    final double h;
    final double x0;
    final double y0;
    final double z0;
    final int nx;
    final int ny;
    final int nz;
    /** Number of a cell of the box around, −1 where there is none. */
    final int[] cell;
    /** Place in the box around of each cell. */
    final int[] at;
    /** How wide a cell is open to the next along x, y, z, 0…1. */
    final float[] openX;
    final float[] openY;
    final float[] openZ;
    final int count;

    /** Where each line runs inside, going in and out in turn; four lines a column. */
    private final double[][] lines;

    Voxels(Mesh mesh, double h, Stop stop) {
        this.h = h;
        Bounds b = mesh.bounds();
        nx = Math.max(1, (int) Math.ceil(b.size().x() / h - 1e-9));
        ny = Math.max(1, (int) Math.ceil(b.size().y() / h - 1e-9));
        nz = Math.max(1, (int) Math.ceil(b.size().z() / h - 1e-9));
        // In the middle: faces that lie on cells' walls on one side do so on the other.
        x0 = (b.min().x() + b.max().x() - nx * h) / 2;
        y0 = (b.min().y() + b.max().y() - ny * h) / 2;
        z0 = (b.min().z() + b.max().z() - nz * h) / 2;
        lines = lines(mesh, stop);
        cell = new int[nx * ny * nz];
        Arrays.fill(cell, -1);
        int n = 0;
        float[] fill = new float[nz];
        for (int j = 0; j < ny; j++) {
            for (int i = 0; i < nx; i++) {
                Arrays.fill(fill, 0);
                for (int s = 0; s < 4; s++) {
                    add(line(i, j, s), fill);
                }
                for (int k = 0; k < nz; k++) {
                    if (fill[k] / 4 >= LEAST) {
                        cell[index(i, j, k)] = 0;
                        n++;
                    }
                }
            }
        }
        count = n;
        at = new int[n];
        int next = 0;
        for (int c = 0; c < cell.length; c++) {
            if (cell[c] == 0) {
                at[next] = c;
                cell[c] = next++;
            }
        }
        openX = new float[n];
        openY = new float[n];
        openZ = new float[n];
        open(fill);
    }

    int index(int i, int j, int k) {
        return (k * ny + j) * nx + i;
    }

    /** The cell a point lies in; −1 outside. */
    int cellAt(Vec3 p) {
        int i = (int) Math.floor((p.x() - x0) / h);
        int j = (int) Math.floor((p.y() - y0) / h);
        int k = (int) Math.floor((p.z() - z0) / h);
        return i < 0 || j < 0 || k < 0 || i >= nx || j >= ny || k >= nz ? -1 : cell[index(i, j, k)];
    }

    private double[] line(int i, int j, int s) {
        return lines[4 * (j * nx + i) + s];
    }

    private void open(float[] fill) {
        for (int j = 0; j < ny; j++) {
            for (int i = 0; i < nx; i++) {
                if (i + 1 < nx) {
                    Arrays.fill(fill, 0);
                    for (int s = 0; s < 2; s++) {
                        both(line(i, j, 2 * s + 1), line(i + 1, j, 2 * s), fill);
                    }
                    put(openX, i, j, i + 1, j, fill);
                }
                if (j + 1 < ny) {
                    Arrays.fill(fill, 0);
                    for (int s = 0; s < 2; s++) {
                        both(line(i, j, s + 2), line(i, j + 1, s), fill);
                    }
                    put(openY, i, j, i, j + 1, fill);
                }
                for (int k = 0; k + 1 < nz; k++) {
                    int a = cell[index(i, j, k)];
                    if (a >= 0 && cell[index(i, j, k + 1)] >= 0) {
                        double z = z0 + (k + 1) * h;
                        for (int s = 0; s < 4; s++) {
                            openZ[a] += inside(line(i, j, s), z) ? 0.25f : 0;
                        }
                    }
                }
            }
        }
    }

    private void put(float[] open, int i, int j, int i2, int j2, float[] fill) {
        for (int k = 0; k < nz; k++) {
            int a = cell[index(i, j, k)];
            if (a >= 0 && cell[index(i2, j2, k)] >= 0) {
                open[a] = fill[k] / 2;
            }
        }
    }

    private static boolean inside(double[] line, double z) {
        for (int i = 0; i + 1 < line.length; i += 2) {
            if (line[i] < z && line[i + 1] > z) {
                return true;
            }
        }
        return false;
    }

    /** Adds the share of each cell of a column a line runs inside. */
    private void add(double[] line, float[] fill) {
        for (int i = 0; i + 1 < line.length; i += 2) {
            span(line[i], line[i + 1], fill);
        }
    }

    private void both(double[] a, double[] b, float[] fill) {
        int i = 0;
        int j = 0;
        while (i + 1 < a.length && j + 1 < b.length) {
            span(Math.max(a[i], b[j]), Math.min(a[i + 1], b[j + 1]), fill);
            if (a[i + 1] < b[j + 1]) {
                i += 2;
            } else {
                j += 2;
            }
        }
    }

    private void span(double from, double to, float[] fill) {
        if (to <= from) {
            return;
        }
        double a = (from - z0) / h;
        double b = (to - z0) / h;
        for (int k = Math.max(0, (int) a); k < nz && k < b; k++) {
            fill[k] += (float) Math.max(0, Math.min(b, k + 1.0) - Math.max(a, k));
        }
    }

    /** The lines' ways in and out: each triangle seen from above, edges taken from their lower point so that two triangles agree on whose a line is. */
    private double[][] lines(Mesh mesh, Stop stop) {
        int w = 2 * nx;
        double[][] all = new double[4 * nx * ny][];
        int[] used = new int[all.length];
        double step = h / 2;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            if (t % 1024 == 0) {
                stop.check();
            }
            int a = mesh.corner(t, 0);
            int b = mesh.corner(t, 1);
            int c = mesh.corner(t, 2);
            double ax = mesh.x(a);
            double ay = mesh.y(a);
            double bx = mesh.x(b);
            double by = mesh.y(b);
            double cx = mesh.x(c);
            double cy = mesh.y(c);
            double area = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay);
            if (area == 0) {
                continue;
            }
            int i0 = Math.max(0, (int) Math.ceil((Math.min(ax, Math.min(bx, cx)) - x0) / step - 0.5));
            int i1 = Math.min(w - 1, (int) Math.floor((Math.max(ax, Math.max(bx, cx)) - x0) / step - 0.5));
            int j0 = Math.max(0, (int) Math.ceil((Math.min(ay, Math.min(by, cy)) - y0) / step - 0.5));
            int j1 = Math.min(2 * ny - 1, (int) Math.floor((Math.max(ay, Math.max(by, cy)) - y0) / step - 0.5));
            for (int j = j0; j <= j1; j++) {
                double y = y0 + (j + 0.5) * step;
                for (int i = i0; i <= i1; i++) {
                    double x = x0 + (i + 0.5) * step;
                    boolean p = left(a, b, ax, ay, bx, by, x, y);
                    if (p == left(b, c, bx, by, cx, cy, x, y) && p == left(c, a, cx, cy, ax, ay, x, y)) {
                        double u = ((cy - ay) * (x - ax) - (cx - ax) * (y - ay)) / area;
                        double v = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / area;
                        double z = mesh.z(a) + u * (mesh.z(b) - mesh.z(a)) + v * (mesh.z(c) - mesh.z(a));
                        int at = 4 * (j / 2 * nx + i / 2) + 2 * (j % 2) + i % 2;
                        double[] line = all[at] == null ? all[at] = new double[4] : used[at] == all[at].length ? all[at] = Arrays.copyOf(all[at], 2 * used[at]) : all[at];
                        line[used[at]++] = z;
                    }
                }
            }
        }
        for (int i = 0; i < all.length; i++) {
            all[i] = all[i] == null ? new double[0] : Arrays.copyOf(all[i], used[i]);
            Arrays.sort(all[i]);
        }
        return all;
    }

    private static boolean left(int a, int b, double ax, double ay, double bx, double by, double x, double y) {
        return a < b ? (bx - ax) * (y - ay) - (by - ay) * (x - ax) >= 0 : (ax - bx) * (y - by) - (ay - by) * (x - bx) < 0;
    }
}
