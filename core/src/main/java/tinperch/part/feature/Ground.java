package tinperch.part.feature;

import java.util.Optional;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * What a feature stands on, in the piece's own coordinates.
 *
 * @param at origin at its place on the face, z out of the face, x to the right along it
 * @param depthMm how much material lies behind the face there at the most: how deep a hole right through must go
 * @param site frame of the site the part mounts on; empty when the part mounts on none
 * @param face the whole face; empty for what stands on none
 * @param mirrored whether it is the mirror image of where the feature was put: angles turn the other way
 */
public record Ground(Placement at, double depthMm, Optional<Placement> site, Optional<FaceFrame> face, boolean mirrored) {
    /** Of what stands on no face. */
    static Ground nowhere(Optional<Placement> site) {
        return new Ground(Placement.HERE, 0, site, Optional.empty(), false);
    }

    /** The place a person chose. */
    static Ground of(Spot spot, Optional<Placement> site) {
        return new Ground(spot.frame(), spot.face().depthMm(), site, Optional.of(spot.face()), false);
    }

    /** The way that is up as the part is printed, along the face; empty where the face lies. */
    public Optional<Vec3> sky() {
        Vec3 up = Vec3.Z.minus(at.w().times(at.w().z()));
        return up.length() < STANDS ? Optional.empty() : Optional.of(up.unit());
    }

    /** Sine of the angle to the bed from which a face is said to stand: 45°. */
    private static final double STANDS = 0.7;

    /** Looking into the face: z into the material, x as on the face. */
    public Placement inward() {
        return new Placement(at.origin(), at.u(), at.v().times(-1), at.w().times(-1));
    }

    /** The frame turned anticlockwise on the face. */
    public Ground turnedDeg(double deg) {
        double a = Math.toRadians(mirrored ? -deg : deg);
        Vec3 u = at.u().times(Math.cos(a)).plus(at.v().times(Math.sin(a)));
        return new Ground(new Placement(at.origin(), u, at.w().cross(u), at.w()), depthMm, site, face, mirrored);
    }

    /** Not upside down on its face, as an image in a mirror may be: for what has an up, such as words. */
    public Ground upright() {
        return face.filter(f -> f.frame().u().dot(at.u()) < 0).isPresent() ? turnedDeg(180) : this;
    }

    /** The same, as it is seen in a mirror or not. */
    Ground mirroredTo(boolean next) {
        return new Ground(at, depthMm, site, face, next);
    }

    /** How far something that stands on the face goes into it, so that the two are one, mm. */
    public double rootMm() {
        return Math.min(0.5, depthMm / 2);
    }
}
