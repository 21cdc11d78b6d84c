package tinperch.part.feature.kind;

import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/** A frame turned on its face. */
final class Turned {
    private Turned() {}

    static Placement on(Placement at, double deg) {
        double a = Math.toRadians(deg);
        Vec3 u = at.u().times(Math.cos(a)).plus(at.v().times(Math.sin(a)));
        return new Placement(at.origin(), u, at.w().cross(u), at.w());
    }
}
