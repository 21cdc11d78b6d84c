package tinperch.files.obj;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.triangulate.polygon.PolygonTriangulator;
import tinperch.files.MeshGrower;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/** Cuts a face with many corners into triangles that stay within it. */
final class Ears {
    private static final GeometryFactory PLANE = new GeometryFactory();

    private Ears() {}

    /** Corners of the triangles, three each; none when the face crosses itself. Flat to nothing it becomes a fan, whose triangles have no area. */
    static int[] cut(int[] corners, MeshGrower at) {
        Vec3 normal = normal(corners, at);
        if (!(normal.length() > 1e-300)) {
            return fan(corners);
        }
        Vec3 n = normal.unit();
        Placement plane = Placement.along(at.at(corners[0]), n, Math.abs(n.x()) < 0.9 ? Vec3.X : Vec3.Y);
        Coordinate[] ring = new Coordinate[corners.length + 1];
        Map<Coordinate, Integer> number = new HashMap<>();
        for (int i = 0; i < corners.length; i++) {
            Vec3 p = plane.local(at.at(corners[i]));
            ring[i] = new Coordinate(p.x(), p.y());
            number.put(ring[i], corners[i]);
        }
        ring[corners.length] = ring[0];
        if (isConvex(ring)) {
            return fan(corners);
        }
        Polygon face = PLANE.createPolygon(ring);
        if (!face.isValid()) {
            return new int[0];
        }
        Geometry cut = PolygonTriangulator.triangulate(face);
        List<Integer> all = new ArrayList<>();
        for (int t = 0; t < cut.getNumGeometries(); t++) {
            Coordinate[] c = cut.getGeometryN(t).getCoordinates();
            boolean left = cross(c[0], c[1], c[2]) > 0;
            for (int k : left ? new int[] {0, 1, 2} : new int[] {0, 2, 1}) {
                all.add(number.get(c[k]));
            }
        }
        return all.stream().anyMatch(java.util.Objects::isNull) ? new int[0] : all.stream().mapToInt(Integer::intValue).toArray();
    }

    private static int[] fan(int[] corners) {
        int[] all = new int[3 * (corners.length - 2)];
        for (int i = 0; i < corners.length - 2; i++) {
            all[3 * i] = corners[0];
            all[3 * i + 1] = corners[i + 1];
            all[3 * i + 2] = corners[i + 2];
        }
        return all;
    }

    /** Newell's method: the normal of a polygon, its length twice the area. */
    private static Vec3 normal(int[] corners, MeshGrower at) {
        Vec3 sum = Vec3.ZERO;
        Vec3 zero = at.at(corners[0]);
        for (int i = 1; i + 1 < corners.length; i++) {
            sum = sum.plus(at.at(corners[i]).minus(zero).cross(at.at(corners[i + 1]).minus(zero)));
        }
        return sum;
    }

    private static double cross(Coordinate a, Coordinate b, Coordinate c) {
        return (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x);
    }

    /** Turns left at every corner and goes round once. */
    private static boolean isConvex(Coordinate[] ring) {
        int n = ring.length - 1;
        double turned = 0;
        for (int i = 0; i < n; i++) {
            Coordinate a = ring[i];
            Coordinate b = ring[(i + 1) % n];
            Coordinate c = ring[(i + 2) % n];
            double x = cross(a, b, c);
            if (x < 0) {
                return false;
            }
            turned += Math.atan2(x, (b.x - a.x) * (c.x - b.x) + (b.y - a.y) * (c.y - b.y));
        }
        return turned < 2 * Math.PI + 0.1;
    }
}
