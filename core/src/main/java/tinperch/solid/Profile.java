package tinperch.solid;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.valid.IsValidOp;

/**
 * A flat outline with holes, in millimetres: the outer ring runs anticlockwise, holes clockwise. Rings are stored as
 * x, y pairs without a repeated last point.
 */
public final class Profile {
    /** Longest coordinate accepted: a part of 100 m is a typing error. */
    private static final double LARGEST_MM = 1e5;

    private static final GeometryFactory JTS = new GeometryFactory();

    private final double[][] rings;

    private Profile(double[][] rings) {
        this.rings = rings;
    }

    /**
     * A profile from any outline and holes, checked.
     *
     * @param rings the outer ring first, then holes; x, y pairs, either direction
     * @throws SolidException when a ring crosses itself, a hole leaves the outline, or a number is not usable
     */
    public static Profile of(double[]... rings) {
        LinearRing[] made = new LinearRing[rings.length];
        for (int r = 0; r < rings.length; r++) {
            made[r] = ring(rings[r]);
        }
        LinearRing[] holes = new LinearRing[made.length - 1];
        System.arraycopy(made, 1, holes, 0, holes.length);
        Polygon polygon = JTS.createPolygon(made[0], holes);
        IsValidOp check = new IsValidOp(polygon);
        if (!check.isValid()) {
            Coordinate where = check.getValidationError().getCoordinate();
            throw new SolidException(String.format(
                    "The outline crosses itself or a hole leaves it near (%.2f, %.2f) mm; move the points apart.",
                    where.x, where.y));
        }
        return of(polygon);
    }

    private static LinearRing ring(double[] xy) {
        if (xy.length < 6) {
            throw new SolidException("An outline needs at least three points.");
        }
        Coordinate[] c = new Coordinate[xy.length / 2 + 1];
        for (int i = 0; i < c.length - 1; i++) {
            checkRange(xy[2 * i]);
            checkRange(xy[2 * i + 1]);
            c[i] = new Coordinate(xy[2 * i], xy[2 * i + 1]);
        }
        c[c.length - 1] = c[0].copy();
        return JTS.createLinearRing(c);
    }

    static void checkRange(double mm) {
        if (!(Math.abs(mm) <= LARGEST_MM)) {
            throw new SolidException("A size of " + mm + " mm cannot be made; use sizes up to 100 000 mm.");
        }
    }

    /** The profiles of a valid JTS polygon or of each piece of a multi-polygon. */
    public static List<Profile> allOf(Geometry geometry) {
        List<Profile> all = new ArrayList<>();
        for (int i = 0; i < geometry.getNumGeometries(); i++) {
            if (geometry.getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
                all.add(of(p));
            }
        }
        return all;
    }

    private static Profile of(Polygon p) {
        double[][] out = new double[1 + p.getNumInteriorRing()][];
        out[0] = directed(p.getExteriorRing().getCoordinates(), true);
        for (int h = 1; h < out.length; h++) {
            out[h] = directed(p.getInteriorRingN(h - 1).getCoordinates(), false);
        }
        return new Profile(out);
    }

    private static double[] directed(Coordinate[] closed, boolean anticlockwise) {
        int n = closed.length - 1;
        double[] xy = new double[2 * n];
        for (int i = 0; i < n; i++) {
            xy[2 * i] = closed[i].x;
            xy[2 * i + 1] = closed[i].y;
        }
        if (area(xy) > 0 != anticlockwise) {
            for (int i = 0, j = n - 1; i < j; i++, j--) {
                for (int k = 0; k < 2; k++) {
                    double t = xy[2 * i + k];
                    xy[2 * i + k] = xy[2 * j + k];
                    xy[2 * j + k] = t;
                }
            }
        }
        return xy;
    }

    /** A profile from rings known to be right: the outline anticlockwise, holes clockwise, none crossing. Not checked. */
    public static Profile trusted(double[]... rings) {
        return new Profile(rings);
    }

    /** A rectangle of the given size about (cx, cy). */
    public static Profile rectangle(double cx, double cy, double widthMm, double heightMm) {
        positive(widthMm, "width");
        positive(heightMm, "height");
        double a = widthMm / 2;
        double b = heightMm / 2;
        return new Profile(new double[][] {{cx - a, cy - b, cx + a, cy - b, cx + a, cy + b, cx - a, cy + b}});
    }

    /** A rectangle with corners rounded by {@code radiusMm}, each corner drawn with {@code steps} chords. */
    public static Profile roundedRectangle(
            double cx, double cy, double widthMm, double heightMm, double radiusMm, int steps) {
        double r = Math.min(radiusMm, Math.min(widthMm, heightMm) / 2 - 1e-3);
        if (!(r > 1e-3)) {
            return rectangle(cx, cy, widthMm, heightMm);
        }
        positive(widthMm, "width");
        positive(heightMm, "height");
        double[] xy = new double[8 * (steps + 1)];
        int k = 0;
        for (int corner = 0; corner < 4; corner++) {
            double sx = corner == 0 || corner == 3 ? 1 : -1;
            double sy = corner < 2 ? 1 : -1;
            double ox = cx + sx * (widthMm / 2 - r);
            double oy = cy + sy * (heightMm / 2 - r);
            for (int s = 0; s <= steps; s++) {
                double a = Math.PI / 2 * (corner + (double) s / steps);
                xy[k++] = ox + r * Math.cos(a);
                xy[k++] = oy + r * Math.sin(a);
            }
        }
        return new Profile(new double[][] {xy});
    }

    /**
     * A round hole: a polygon whose flats touch the circle from outside, so that it never intrudes on the hole
     * ({@code r / cos(pi/n)}).
     */
    public static Profile hole(double cx, double cy, double diameterMm, int sides) {
        positive(diameterMm, "diameter");
        return regular(cx, cy, diameterMm / 2 / Math.cos(Math.PI / sides), sides, Math.PI / sides);
    }

    /** A round boss: a polygon with its corners on the circle. */
    public static Profile disc(double cx, double cy, double diameterMm, int sides) {
        positive(diameterMm, "diameter");
        return regular(cx, cy, diameterMm / 2, sides, 0);
    }

    /** A hexagon with the given distance across flats, turned by {@code turnDeg} from having flats top and bottom. */
    public static Profile hexagon(double cx, double cy, double acrossFlatsMm, double turnDeg) {
        positive(acrossFlatsMm, "distance across flats");
        return regular(cx, cy, acrossFlatsMm / Math.sqrt(3), 6, Math.toRadians(turnDeg));
    }

    private static Profile regular(double cx, double cy, double radius, int sides, double startRad) {
        checkRange(cx);
        checkRange(cy);
        double[] xy = new double[2 * sides];
        for (int i = 0; i < sides; i++) {
            double a = startRad + 2 * Math.PI * i / sides;
            xy[2 * i] = cx + radius * Math.cos(a);
            xy[2 * i + 1] = cy + radius * Math.sin(a);
        }
        return new Profile(new double[][] {xy});
    }

    static void positive(double mm, String what) {
        checkRange(mm);
        if (!(mm > 0)) {
            throw new SolidException("A " + what + " of " + mm + " mm cannot be made; it must be larger than zero.");
        }
    }

    public int ringCount() {
        return rings.length;
    }

    /** Ring {@code i} as x, y pairs; ring 0 is the outer one. A copy. */
    public double[] ring(int i) {
        return rings[i].clone();
    }

    /** Area without the holes, mm². */
    public double areaMm2() {
        double sum = 0;
        for (double[] r : rings) {
            sum += area(r);
        }
        return sum;
    }

    /** Directed area of a ring of x, y pairs, mm²; positive when it runs anticlockwise. */
    public static double area(double[] xy) {
        double twice = 0;
        int n = xy.length / 2;
        for (int i = 0, j = n - 1; i < n; j = i++) {
            twice += xy[2 * j] * xy[2 * i + 1] - xy[2 * i] * xy[2 * j + 1];
        }
        return twice / 2;
    }
}
