package tinperch.fact;

import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.geom.Coordinate;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * The way of a slot about zero: from one end's middle to the other's, in some plane's coordinates.
 *
 * @param xMm of one end, {@code yMm} likewise; the other end is opposite
 */
record SlotWay(double xMm, double yMm) {
    /** The way along a direction in space, seen in a frame. */
    static SlotWay of(Vec3 along, Placement frame, double lengthMm) {
        return new SlotWay(along.dot(frame.u()) * lengthMm / 2, along.dot(frame.v()) * lengthMm / 2);
    }

    /** The way at an angle. */
    static SlotWay at(double turnRad, double lengthMm) {
        return new SlotWay(Math.cos(turnRad) * lengthMm / 2, Math.sin(turnRad) * lengthMm / 2);
    }

    private Coordinate end(double sign) {
        return new Coordinate(sign * xMm, sign * yMm);
    }

    /** From a point, mm. */
    double distanceMm(double x, double y) {
        return Distance.pointToSegment(new Coordinate(x, y), end(-1), end(1));
    }

    /** From a line between two points, mm; 0 where they cross. */
    double distanceMm(double x0, double y0, double x1, double y1) {
        return Distance.segmentToSegment(new Coordinate(x0, y0), new Coordinate(x1, y1), end(-1), end(1));
    }
}
