package tinperch.part.family;

import java.util.List;
import java.util.Optional;

/**
 * The flat of a rounded plate about its middle, with a round opening.
 *
 * @param openingMm radius of the opening, 0 for none
 */
record PlateFace(double halfWidthMm, double halfHeightMm, double cornerMm, double openingMm, double openingX,
        double openingY) {
    private static final double EDGE_MM = 1.6;

    /** Distance from a point inside to the nearest edge, corners taken as round, mm. */
    double toEdge(double[] p) {
        double qx = Math.abs(p[0]) - (halfWidthMm - cornerMm);
        double qy = Math.abs(p[1]) - (halfHeightMm - cornerMm);
        return cornerMm - Math.hypot(Math.max(qx, 0), Math.max(qy, 0)) - Math.min(Math.max(qx, qy), 0);
    }

    /** Distance from a point to the rim of the opening, mm. */
    double toOpening(double[] p) {
        return Math.hypot(p[0] - openingX, p[1] - openingY) - openingMm;
    }

    /**
     * Lower left corner of a free rectangle, looked for row by row from the lower edge.
     *
     * @param keepOff circles x, y, radius
     */
    Optional<double[]> freePlace(double widthMm, double heightMm, List<double[]> keepOff) {
        for (double row = -halfHeightMm + EDGE_MM; row + heightMm <= halfHeightMm - EDGE_MM; row += 1) {
            double y = row;
            for (double fromMiddle = 0; fromMiddle <= halfWidthMm; fromMiddle += 1) {
                for (double side : new double[] {1, -1}) {
                    double x = side * fromMiddle - widthMm / 2;
                    if (corners(x, y, widthMm, heightMm) && keepOff.stream().allMatch(k -> clear(x, y, widthMm, heightMm, k))) {
                        return Optional.of(new double[] {x, y});
                    }
                }
            }
        }
        return Optional.empty();
    }

    private boolean corners(double x, double y, double w, double h) {
        return inside(x, y) && inside(x + w, y) && inside(x, y + h) && inside(x + w, y + h);
    }

    private boolean inside(double x, double y) {
        return Math.abs(x) < halfWidthMm && Math.abs(y) < halfHeightMm && toEdge(new double[] {x, y}) >= EDGE_MM - 1e-9;
    }

    private static boolean clear(double x, double y, double w, double h, double[] circle) {
        double nx = Math.max(x, Math.min(circle[0], x + w)) - circle[0];
        double ny = Math.max(y, Math.min(circle[1], y + h)) - circle[1];
        return Math.hypot(nx, ny) > circle[2];
    }
}
