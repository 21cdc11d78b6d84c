package tinperch.desktop.machine;

import tinperch.machine.space.Along;

/**
 * A number that stands on the drawing and is changed where it stands: a size of what is chosen, or a distance read to it.
 *
 * @param x middle of it on the canvas, pixels; {@code y} likewise
 * @param distanceId empty for a size
 * @param line x1, y1, x2, y2 of its dimension line
 */
record SpaceTag(double x, double y, String text, Along along, String distanceId, double[] line) {
    private static final double HIGH = 8;

    /** Half of its width, pixels. */
    double half() {
        return 5 + 3.4 * text.length();
    }

    boolean holds(double px, double py) {
        return Math.abs(px - x) <= half() && Math.abs(py - y) <= HIGH;
    }

    boolean overlaps(SpaceTag o) {
        return Math.abs(o.x - x) < half() + o.half() && Math.abs(o.y - y) < 2 * HIGH;
    }
}
