package tinperch.solid.shape;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import tinperch.solid.Profile;

/** Work on whole profiles, done by JTS: offset, hull, union, difference. */
public final class Profiles {
    private static final GeometryFactory JTS = new GeometryFactory();

    private Profiles() {}

    /**
     * Profiles grown (or shrunk, negative) by a distance with round corners. Shrinking may leave several pieces or none.
     *
     * @param steps chords in a quarter circle
     */
    public static List<Profile> offset(Profile p, double mm, int steps) {
        BufferParameters round = new BufferParameters(steps);
        return Profile.allOf(BufferOp.bufferOp(geometry(p), mm, round));
    }

    /** The smallest convex profile round all of them. */
    public static Profile hull(List<Profile> all) {
        List<Geometry> parts = new ArrayList<>();
        all.forEach(p -> parts.add(geometry(p)));
        return Profile.allOf(JTS.buildGeometry(parts).convexHull()).get(0);
    }

    /** The pieces of what any of them covers. */
    public static List<Profile> union(List<Profile> all) {
        return Profile.allOf(UnaryUnionOp.union(all.stream().map(Profiles::geometry).toList()));
    }

    /** The pieces of what the first covers and the others do not. */
    public static List<Profile> difference(Profile body, List<Profile> cuts) {
        Geometry g = geometry(body);
        for (Profile c : cuts) {
            g = g.difference(geometry(c));
        }
        return Profile.allOf(g);
    }

    /** A straight slot with round ends, its flats on the circle: {@code lengthMm} between the ends' middles, along x. */
    public static Profile slot(double cx, double cy, double lengthMm, double widthMm, int stepsPerEnd) {
        double r = widthMm / 2 / Math.cos(Math.PI / (2 * stepsPerEnd));
        double[] xy = new double[4 * stepsPerEnd];
        for (int i = 0; i < 2 * stepsPerEnd; i++) {
            double a = -Math.PI / 2 + Math.PI * (i + 0.5) / stepsPerEnd;
            xy[2 * i] = cx + (i < stepsPerEnd ? 1 : -1) * lengthMm / 2 + r * Math.cos(a);
            xy[2 * i + 1] = cy + r * Math.sin(a);
        }
        return Profile.of(xy);
    }

    /** Middle of the area of a ring of x, y pairs. */
    static double[] centroid(double[] xy) {
        Coordinate c = JTS.createPolygon(ring(xy)).getCentroid().getCoordinate();
        return new double[] {c.x, c.y};
    }

    /** As a polygon of JTS. */
    public static Polygon geometry(Profile p) {
        LinearRing[] holes = new LinearRing[p.ringCount() - 1];
        for (int h = 0; h < holes.length; h++) {
            holes[h] = ring(p.ring(h + 1));
        }
        return JTS.createPolygon(ring(p.ring(0)), holes);
    }

    private static LinearRing ring(double[] xy) {
        Coordinate[] c = new Coordinate[xy.length / 2 + 1];
        for (int i = 0; i < c.length - 1; i++) {
            c[i] = new Coordinate(xy[2 * i], xy[2 * i + 1]);
        }
        c[c.length - 1] = c[0].copy();
        return JTS.createLinearRing(c);
    }
}
