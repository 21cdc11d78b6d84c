package tinperch.part.feature.kind;

import tinperch.part.feature.Ground;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.shape.Loft;

/** Round tapers on a face. Their polygons lie outside the circles, as those of holes do. */
final class Cones {
    static final int SIDES = 48;
    private static final double BEYOND_MM = 1;

    private Cones() {}

    /** From a diameter at one height over the face to another above it. */
    static Leaf between(String feature, Ground on, double lowerMm, double lowAt, double upperMm, double highAt) {
        return Loft.between(feature, Profile.hole(0, 0, lowerMm, SIDES), lifted(on, lowAt), Profile.hole(0, 0, upperMm, SIDES), lifted(on, highAt));
    }

    /** Cuts the edge of a hole at 45°, so deep. */
    static Leaf chamfer(String feature, Ground on, double boreMm, double depthMm) {
        return between(feature, on, boreMm, -depthMm, boreMm + 2 * (depthMm + BEYOND_MM), BEYOND_MM);
    }

    private static Placement lifted(Ground on, double mm) {
        Placement p = on.at();
        return new Placement(p.point(0, 0, mm), p.u(), p.v(), p.w());
    }
}
