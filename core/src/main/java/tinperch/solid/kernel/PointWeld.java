package tinperch.solid.kernel;

import java.util.Arrays;

/** Numbers points so that points nearer than a tolerance get one number; the first to come keeps its coordinates. */
final class PointWeld {
    /** Cell size as a multiple of the tolerance; the odd factor keeps round coordinates off the cell borders. */
    private static final double CELL = 613.7;

    private final double tol;
    private final double inverseCell;
    private double[] xyz;
    private int[] next;
    private int[] heads;
    private int count;

    PointWeld(double tol, int expected) {
        this.tol = tol;
        this.inverseCell = 1 / (tol * CELL);
        xyz = new double[3 * Math.max(8, expected)];
        next = new int[xyz.length / 3];
        heads = new int[Integer.highestOneBit(Math.max(8, expected) * 2 - 1)];
        Arrays.fill(heads, -1);
    }

    int size() {
        return count;
    }

    double x(int i) {
        return xyz[3 * i];
    }

    double y(int i) {
        return xyz[3 * i + 1];
    }

    double z(int i) {
        return xyz[3 * i + 2];
    }

    double[] coordinates() {
        return Arrays.copyOf(xyz, 3 * count);
    }

    /** The number of the point at (x, y, z), new or known. */
    int number(double x, double y, double z) {
        int found = find(x, y, z);
        return found >= 0 ? found : add(x, y, z);
    }

    /** A new number for the point even if one is near. */
    int add(double x, double y, double z) {
        if (count == next.length) {
            grow();
        }
        xyz[3 * count] = x;
        xyz[3 * count + 1] = y;
        xyz[3 * count + 2] = z;
        int h = slot(cell(x), cell(y), cell(z));
        next[count] = heads[h];
        heads[h] = count;
        return count++;
    }

    private int find(double x, double y, double z) {
        long cx0 = cell(x - tol);
        long cx1 = cell(x + tol);
        long cy0 = cell(y - tol);
        long cy1 = cell(y + tol);
        long cz0 = cell(z - tol);
        long cz1 = cell(z + tol);
        int best = -1;
        double bestSq = tol * tol;
        for (long cx = cx0; cx <= cx1; cx++) {
            for (long cy = cy0; cy <= cy1; cy++) {
                for (long cz = cz0; cz <= cz1; cz++) {
                    for (int i = heads[slot(cx, cy, cz)]; i >= 0; i = next[i]) {
                        double dx = xyz[3 * i] - x;
                        double dy = xyz[3 * i + 1] - y;
                        double dz = xyz[3 * i + 2] - z;
                        double sq = dx * dx + dy * dy + dz * dz;
                        if (sq < bestSq || sq == bestSq && i < best) {
                            bestSq = sq;
                            best = i;
                        }
                    }
                }
            }
        }
        return best;
    }

    private long cell(double c) {
        return (long) Math.floor(c * inverseCell + 0.37);
    }

    private int slot(long cx, long cy, long cz) {
        long h = cx * 0x9E3779B97F4A7C15L + cy * 0xC2B2AE3D27D4EB4FL + cz * 0x165667B19E3779F9L;
        h ^= h >>> 29;
        h *= 0xBF58476D1CE4E5B9L;
        h ^= h >>> 32;
        return (int) h & heads.length - 1;
    }

    private void grow() {
        xyz = Arrays.copyOf(xyz, 2 * xyz.length);
        next = Arrays.copyOf(next, 2 * next.length);
        if (next.length > heads.length) {
            heads = new int[2 * heads.length];
            Arrays.fill(heads, -1);
            for (int i = 0; i < count; i++) {
                int h = slot(cell(xyz[3 * i]), cell(xyz[3 * i + 1]), cell(xyz[3 * i + 2]));
                next[i] = heads[h];
                heads[h] = i;
            }
        }
    }
}
