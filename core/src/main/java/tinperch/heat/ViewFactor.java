package tinperch.heat;

import java.util.ArrayList;
import java.util.List;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/**
 * How much of what a small flat patch sees is a polygon or a box, 0…1: the contour form F = Σ γᵢ·(n·gᵢ)/2π over the polygon's edges, γ the angle an edge
 * is seen under, g the unit normal of the plane through it and the patch (Hottel and Sarofim 1967, value from memory). What lies behind the patch is cut off.
 */
public final class ViewFactor {
    private ViewFactor() {}

    /** Of a box, by those of its faces that look at the patch. */
    public static double ofBox(Vec3 p, Vec3 n, Bounds box) {
        double sum = 0;
        for (int axis = 0; axis < 3; axis++) {
            double at = axis == 0 ? p.x() : axis == 1 ? p.y() : p.z();
            double lo = axis == 0 ? box.min().x() : axis == 1 ? box.min().y() : box.min().z();
            double hi = axis == 0 ? box.max().x() : axis == 1 ? box.max().y() : box.max().z();
            if (at < lo) {
                sum += of(p, n, face(box, axis, lo));
            } else if (at > hi) {
                sum += of(p, n, face(box, axis, hi));
            }
        }
        return Math.min(1, sum);
    }

    private static List<Vec3> face(Bounds b, int axis, double at) {
        Vec3 a = b.min();
        Vec3 c = b.max();
        return switch (axis) {
            case 0 -> List.of(new Vec3(at, a.y(), a.z()), new Vec3(at, c.y(), a.z()), new Vec3(at, c.y(), c.z()), new Vec3(at, a.y(), c.z()));
            case 1 -> List.of(new Vec3(a.x(), at, a.z()), new Vec3(c.x(), at, a.z()), new Vec3(c.x(), at, c.z()), new Vec3(a.x(), at, c.z()));
            default -> List.of(new Vec3(a.x(), a.y(), at), new Vec3(c.x(), a.y(), at), new Vec3(c.x(), c.y(), at), new Vec3(a.x(), c.y(), at));
        };
    }

    /**
     * Of a flat polygon, either way round.
     *
     * @param n the patch's normal, unit
     */
    public static double of(Vec3 p, Vec3 n, List<Vec3> polygon) {
        List<Vec3> seen = new ArrayList<>();
        for (int i = 0; i < polygon.size(); i++) {
            Vec3 a = polygon.get(i).minus(p);
            Vec3 b = polygon.get((i + 1) % polygon.size()).minus(p);
            double da = a.dot(n);
            double db = b.dot(n);
            if (da >= 0) {
                seen.add(a);
            }
            if (da > 0 && db < 0 || da < 0 && db > 0) {
                seen.add(a.plus(b.minus(a).times(da / (da - db))));
            }
        }
        double sum = 0;
        for (int i = 0; i < seen.size(); i++) {
            Vec3 a = seen.get(i);
            Vec3 b = seen.get((i + 1) % seen.size());
            Vec3 g = a.cross(b);
            double length = g.length();
            if (length > 1e-12) {
                sum += Math.atan2(length, a.dot(b)) * g.dot(n) / length;
            }
        }
        return Math.abs(sum) / (2 * Math.PI);
    }
}
