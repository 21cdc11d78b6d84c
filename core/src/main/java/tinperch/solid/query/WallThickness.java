package tinperch.solid.query;

import java.util.Optional;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/**
 * The thinnest wall: from sample places on every face straight inwards to the surface facing the other way. Exact where
 * two flat faces stand parallel over a sample; elsewhere it depends on how densely is sampled, and errs on the thick side.
 *
 * @param mm thickness
 * @param from place on the one face, {@code to} on the other
 * @param feature of the one face, {@code otherFeature} of the other
 */
public record WallThickness(double mm, Vec3 from, Vec3 to, String feature, String otherFeature) {
    /**
     * Faces meeting in a wedge have no wall between them: how thin it is there hangs only on how near to its edge one looks. Opposite ones must
     * face away from each other within 10°, the taper of a drafted wall.
     */
    private static final double OPPOSITE_COS = -Math.cos(Math.toRadians(10));

    /**
     * The thinnest place found.
     *
     * @param spacingMm about how far samples lie apart on large faces
     */
    public static Optional<WallThickness> thinnest(TriangleTree tree, double spacingMm) {
        Mesh mesh = tree.mesh();
        Rays rays = new Rays(tree);
        WallThickness best = null;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Mesh.Face face = mesh.faces().get(mesh.faceOf(t));
            Vec3 in = face.normal().times(-1);
            Vec3 a = mesh.point(mesh.corner(t, 0));
            Vec3 ab = mesh.point(mesh.corner(t, 1)).minus(a);
            Vec3 ac = mesh.point(mesh.corner(t, 2)).minus(a);
            double longest = Math.max(ab.length(), Math.max(ac.length(), ac.minus(ab).length()));
            int steps = (int) Math.min(40, Math.max(1, Math.ceil(longest / spacingMm)));
            for (int i = 0; i < steps; i++) {
                for (int j = 0; i + j < steps; j++) {
                    Vec3 p = a.plus(ab.times((i + 1.0 / 3) / steps)).plus(ac.times((j + 1.0 / 3) / steps));
                    Optional<Rays.Hit> hit = rays.first(p, in, 1e-6);
                    if (hit.isPresent() && (best == null || hit.get().distanceMm() < best.mm)) {
                        Mesh.Face other = mesh.faces().get(mesh.faceOf(hit.get().triangle()));
                        if (other.normal().dot(face.normal()) < OPPOSITE_COS) {
                            best = new WallThickness(hit.get().distanceMm(), p,
                                    p.plus(in.times(hit.get().distanceMm())), face.feature(), other.feature());
                        }
                    }
                }
            }
        }
        return Optional.ofNullable(best);
    }
}
