package tinperch.part.feature;

import java.util.Optional;
import tinperch.solid.Placement;

/**
 * What a feature stands on, in the piece's own coordinates.
 *
 * @param at origin at its place on the face, z out of the face, x to the right along it
 * @param depthMm how much material lies behind the face there at the most: how deep a hole right through must go
 * @param site frame of the site the part mounts on; empty when the part mounts on none
 */
public record Ground(Placement at, double depthMm, Optional<Placement> site) {
    /** Looking into the face: z into the material, x as on the face. */
    public Placement inward() {
        return new Placement(at.origin(), at.u(), at.v().times(-1), at.w().times(-1));
    }

    /** The frame turned anticlockwise on the face. */
    public Ground turnedDeg(double deg) {
        double a = Math.toRadians(deg);
        var u = at.u().times(Math.cos(a)).plus(at.v().times(Math.sin(a)));
        return new Ground(new Placement(at.origin(), u, at.w().cross(u), at.w()), depthMm, site);
    }

    /** How far something that stands on the face goes into it, so that the two are one, mm. */
    public double rootMm() {
        return Math.min(0.5, depthMm / 2);
    }
}
