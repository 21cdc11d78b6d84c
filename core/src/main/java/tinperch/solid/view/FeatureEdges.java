package tinperch.solid.view;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/**
 * The edges of a mesh between different planes, each with its two faces. Sharp ones are drawn always, shallow ones (the
 * facets of a round hole) only where the surface turns away from the eye.
 */
public final class FeatureEdges {
    /** Facets of a circle of 48 meet at 7.5°, of 16 at 22.5°; anything sharper is meant as an edge. */
    private static final double SHARP_DEG = 28;

    /**
     * One edge.
     *
     * @param a first point number, {@code b} second
     * @param left outward normal of one face, {@code right} of the other
     */
    public record Edge(int a, int b, Vec3 left, Vec3 right, boolean sharp) {
        /** Whether one face looks at the eye and the other does not; {@code toEye} is a direction. */
        public boolean isOutline(Vec3 toEye) {
            return left.dot(toEye) > 1e-9 != right.dot(toEye) > 1e-9;
        }
    }

    private FeatureEdges() {}

    public static List<Edge> of(Mesh mesh) {
        double sharpCos = Math.cos(Math.toRadians(SHARP_DEG));
        Map<Long, Integer> faceAt = new HashMap<>(mesh.triangleCount() * 4);
        List<Edge> edges = new ArrayList<>();
        for (int t = 0; t < mesh.triangleCount(); t++) {
            for (int k = 0; k < 3; k++) {
                int a = mesh.corner(t, k);
                int b = mesh.corner(t, (k + 1) % 3);
                Integer other = faceAt.get((long) b << 32 | a);
                if (other == null) {
                    faceAt.put((long) a << 32 | b, mesh.faceOf(t));
                    continue;
                }
                Vec3 n = mesh.faces().get(mesh.faceOf(t)).normal();
                Vec3 m = mesh.faces().get(other).normal();
                double cos = n.dot(m);
                if (cos < 1 - 1e-9) {
                    edges.add(new Edge(a, b, n, m, cos < sharpCos));
                }
            }
        }
        return edges;
    }
}
