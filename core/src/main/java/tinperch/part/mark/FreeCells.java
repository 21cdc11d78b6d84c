package tinperch.part.mark;

import java.util.Arrays;
import java.util.Optional;

/**
 * A flat region on a grid of squares, to look for room in. A square belongs to it only when it lies inside as a whole: its middle does and
 * no border runs through it, so that what is found to be free is. The grid is laid from the region's middle.
 */
final class FreeCells {
    /** Wide and fine enough for letters of 4 mm, mm. */
    private static final double CELL_MM = 0.25;
    private static final int MOST_ACROSS = 800;

    private final double cellMm;
    private final double fromX;
    private final double fromY;
    private final double midX;
    private final int columns;
    private final int rows;
    private final boolean[] free;

    /** A whole rectangle of free squares, to be narrowed by {@link #within}. */
    FreeCells(double x0, double y0, double x1, double y1) {
        cellMm = Math.max(CELL_MM, Math.max(x1 - x0, y1 - y0) / MOST_ACROSS);
        midX = (x0 + x1) / 2;
        int half = (int) Math.ceil((x1 - x0) / 2 / cellMm);
        columns = 2 * half;
        rows = (int) Math.ceil((y1 - y0) / cellMm);
        fromX = midX - half * cellMm;
        fromY = y0;
        free = new boolean[columns * rows];
        Arrays.fill(free, true);
    }

    /**
     * Keeps what lies inside a region.
     *
     * @param lines its border, x0, y0, x1, y1 each, in any order and direction
     */
    void within(double[] lines, int count) {
        boolean[] flips = new boolean[columns * rows];
        for (int i = 0; i < count; i++) {
            flip(flips, lines[4 * i], lines[4 * i + 1], lines[4 * i + 2], lines[4 * i + 3]);
        }
        for (int r = 0; r < rows; r++) {
            boolean inside = false;
            for (int c = r * columns; c < (r + 1) * columns; c++) {
                inside ^= flips[c];
                free[c] &= inside;
            }
        }
        for (int i = 0; i < count; i++) {
            block(lines[4 * i], lines[4 * i + 1], lines[4 * i + 2], lines[4 * i + 3]);
        }
    }

    /** From the line on, every middle in a row is on its other side. */
    private void flip(boolean[] flips, double xa, double ya, double xb, double yb) {
        double lo = Math.min(ya, yb);
        double hi = Math.max(ya, yb);
        for (int r = Math.max(0, (int) Math.floor((lo - fromY) / cellMm - 0.5)); r < rows; r++) {
            double y = fromY + (r + 0.5) * cellMm;
            if (y < lo) {
                continue;
            }
            if (y >= hi) {
                return;
            }
            double x = xa + (y - ya) / (yb - ya) * (xb - xa);
            int c = Math.max(0, (int) Math.ceil((x - fromX) / cellMm - 0.5));
            if (c < columns) {
                flips[r * columns + c] ^= true;
            }
        }
    }

    private void block(double xa, double ya, double xb, double yb) {
        double lo = Math.min(ya, yb);
        double hi = Math.max(ya, yb);
        for (int r = Math.max(0, (int) Math.floor((lo - fromY) / cellMm)); r < rows && fromY + r * cellMm <= hi; r++) {
            double from = Math.max(lo, fromY + r * cellMm);
            double to = Math.min(hi, fromY + (r + 1) * cellMm);
            double atFrom = hi > lo ? xa + (from - ya) / (yb - ya) * (xb - xa) : xa;
            double atTo = hi > lo ? xa + (to - ya) / (yb - ya) * (xb - xa) : xb;
            int first = Math.max(0, (int) Math.floor((Math.min(atFrom, atTo) - fromX) / cellMm));
            int last = Math.min(columns - 1, (int) Math.floor((Math.max(atFrom, atTo) - fromX) / cellMm));
            if (first <= last) {
                Arrays.fill(free, r * columns + first, r * columns + last + 1, false);
            }
        }
    }

    /** Lower left corner of a free rectangle: the lowest, and of those the one nearest the middle; empty when there is none. */
    Optional<double[]> lowest(double widthMm, double heightMm) {
        int across = 2 * (int) Math.ceil(widthMm / 2 / cellMm - 1e-9);
        int up = (int) Math.ceil(heightMm / cellMm - 1e-9);
        if (across > columns || up > rows) {
            return Optional.empty();
        }
        // How many rows down to here a column has been free.
        int[] run = new int[columns];
        for (int r = 0; r < rows; r++) {
            int best = -1;
            int wide = 0;
            for (int c = 0; c < columns; c++) {
                run[c] = free[r * columns + c] ? run[c] + 1 : 0;
                wide = run[c] >= up ? wide + 1 : 0;
                int left = c - across + 1;
                if (wide >= across && (best < 0 || Math.abs(2 * left + across - columns) < Math.abs(2 * best + across - columns))) {
                    best = left;
                }
            }
            if (best >= 0) {
                double middle = fromX + (best + across / 2.0) * cellMm;
                return Optional.of(new double[] {middle - widthMm / 2, fromY + (r - up + 1) * cellMm + (up * cellMm - heightMm) / 2});
            }
        }
        return Optional.empty();
    }
}
