package tinperch.solid.query;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.MinimumDiameter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.MultiPoint;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/**
 * What a part stands on when it is printed standing in a given direction.
 *
 * @param areaMm2 of its faces that lie on the bed
 * @param widthMm the least width of all of that together, {@code lengthMm} the largest distance in it
 * @param heightMm how high the part stands
 */
public record Footing(double areaMm2, double widthMm, double lengthMm, double heightMm) {
    private static final double ON_BED_MM = 1e-3;
    private static final GeometryFactory JTS = new GeometryFactory();

    /** @param up build direction, unit */
    public static Footing of(Mesh mesh, Vec3 up) {
        double bed = Double.POSITIVE_INFINITY;
        double top = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < mesh.pointCount(); i++) {
            double h = mesh.point(i).dot(up);
            bed = Math.min(bed, h);
            top = Math.max(top, h);
        }
        Vec3 u = Math.abs(up.x()) < 0.7 ? Vec3.X.minus(up.times(up.x())).unit() : Vec3.Y.minus(up.times(up.y())).unit();
        Vec3 v = up.cross(u);
        double area = 0;
        List<Coordinate> on = new ArrayList<>();
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Vec3 a = mesh.point(mesh.corner(t, 0));
            Vec3 b = mesh.point(mesh.corner(t, 1));
            Vec3 c = mesh.point(mesh.corner(t, 2));
            if (Math.max(a.dot(up), Math.max(b.dot(up), c.dot(up))) < bed + ON_BED_MM) {
                area += b.minus(a).cross(c.minus(a)).length() / 2;
                for (Vec3 p : List.of(a, b, c)) {
                    on.add(new Coordinate(p.dot(u), p.dot(v)));
                }
            }
        }
        MultiPoint all = JTS.createMultiPointFromCoords(on.toArray(new Coordinate[0]));
        double width = on.isEmpty() ? 0 : new MinimumDiameter(all).getLength();
        return new Footing(area, width, farthest(all.convexHull().getCoordinates()), top - bed);
    }

    private static double farthest(Coordinate[] hull) {
        double most = 0;
        for (Coordinate a : hull) {
            for (Coordinate b : hull) {
                most = Math.max(most, a.distance(b));
            }
        }
        return most;
    }
}
