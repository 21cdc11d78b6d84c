package tinperch.desktop.look;

import java.util.function.DoubleUnaryOperator;

/**
 * Remembers heights by width. JavaFX asks a node whose height follows from its width for it over and over, once a level of
 * nesting and more, and each answer shapes all of its text anew.
 */
final class HeightMemory {
    private static final int KEPT = 4;

    private final double[] widths = new double[KEPT];
    private final double[] heights = new double[KEPT];
    private int count;
    private int next;

    double at(double width, DoubleUnaryOperator compute) {
        for (int i = 0; i < count; i++) {
            if (widths[i] == width) {
                return heights[i];
            }
        }
        double h = compute.applyAsDouble(width);
        widths[next] = width;
        heights[next] = h;
        count = Math.max(count, next + 1);
        next = (next + 1) % KEPT;
        return h;
    }

    /** To be called when anything may have changed. */
    void forget() {
        count = 0;
        next = 0;
    }
}
