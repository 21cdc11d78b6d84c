package tinperch.solid.view;

import java.util.ArrayList;
import java.util.List;
import tinperch.solid.Mesh;
import tinperch.solid.Neighbours;
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
     * @param sharp whether it is meant as an edge and not a facet of something round
     * @param leftFeature the feature of the one face, {@code rightFeature} of the other
     */
    public record Edge(int a, int b, Vec3 left, Vec3 right, boolean sharp, String leftFeature, String rightFeature) {
        /** Whether one face looks at the eye and the other does not; {@code toEye} is a direction. */
        public boolean isOutline(Vec3 toEye) {
            return left.dot(toEye) > 1e-9 != right.dot(toEye) > 1e-9;
        }

        /** The same edge among points that come later, on a mesh put beside others under one name. */
        public Edge moved(int points, String feature) {
            return new Edge(a + points, b + points, left, right, sharp, feature, feature);
        }

        /** What the edge is called: the two features that meet in it, or the one it belongs to. */
        public String name() {
            return leftFeature.equals(rightFeature) ? leftFeature : leftFeature + " / " + rightFeature;
        }
    }

    private FeatureEdges() {}

    public static List<Edge> of(Mesh mesh) {
        double sharpCos = Math.cos(Math.toRadians(SHARP_DEG));
        Neighbours neighbours = mesh.neighbours();
        List<Edge> edges = new ArrayList<>();
        for (int t = 0; t < mesh.triangleCount(); t++) {
            for (int k = 0; k < 3; k++) {
                int other = neighbours.across(3 * t + k);
                if (other < 0 || other < t) {
                    continue;
                }
                Mesh.Face f = mesh.faces().get(mesh.faceOf(t));
                Mesh.Face g = mesh.faces().get(mesh.faceOf(other));
                double cos = f.normal().dot(g.normal());
                if (cos < 1 - 1e-9) {
                    edges.add(new Edge(mesh.corner(t, k), mesh.corner(t, (k + 1) % 3), f.normal(), g.normal(),
                            cos < sharpCos, f.feature(), g.feature()));
                }
            }
        }
        return edges;
    }
}
