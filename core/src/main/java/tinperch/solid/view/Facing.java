package tinperch.solid.view;

import java.util.Optional;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/** Which face of a mesh one sees at a place of a drawn view: the nearest triangle on the line of sight. */
public final class Facing {
    private Facing() {}

    /**
     * A face seen.
     *
     * @param face its number
     * @param at the point on it
     */
    public record Seen(int face, Vec3 at) {}

    /**
     * What is seen at a place.
     *
     * @param right direction of the view's x, {@code up} of its y; the eye is along their cross product
     * @param x place along {@code right}, {@code y} along {@code up}, mm
     */
    public static Optional<Seen> at(Mesh mesh, Vec3 right, Vec3 up, double x, double y) {
        Vec3 toEye = right.cross(up);
        int best = -1;
        double nearest = Double.NEGATIVE_INFINITY;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Vec3 a = mesh.point(mesh.corner(t, 0));
            Vec3 b = mesh.point(mesh.corner(t, 1));
            Vec3 c = mesh.point(mesh.corner(t, 2));
            double ax = a.dot(right) - x;
            double ay = a.dot(up) - y;
            double bx = b.dot(right) - x;
            double by = b.dot(up) - y;
            double cx = c.dot(right) - x;
            double cy = c.dot(up) - y;
            double wa = bx * cy - by * cx;
            double wb = cx * ay - cy * ax;
            double wc = ax * by - ay * bx;
            double sum = wa + wb + wc;
            // Anticlockwise triangles look at the eye; those seen edge on have no inside.
            if (sum > 1e-12 && wa >= 0 && wb >= 0 && wc >= 0) {
                double depth = (wa * a.dot(toEye) + wb * b.dot(toEye) + wc * c.dot(toEye)) / sum;
                if (depth > nearest) {
                    nearest = depth;
                    best = mesh.faceOf(t);
                }
            }
        }
        return best < 0 ? Optional.empty() : Optional.of(new Seen(best, right.times(x).plus(up.times(y)).plus(toEye.times(nearest))));
    }
}
