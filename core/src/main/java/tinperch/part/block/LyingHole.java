package tinperch.part.block;

import java.util.List;
import tinperch.part.form.Cavity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Profiles;

/** Round holes that lie as the piece is printed: their tops sag unless they have a roof of 45°, cut off a little above the circle. */
public final class LyingHole {
    private static final int SIDES = 48;
    private static final double BEYOND_MM = 1;
    /** Height above a lying hole for what droops, mm (0.2 to 0.5, common practice). */
    private static final double ROOF_MM = 0.4;

    private LyingHole() {}

    /** Whether a round cavity lies rather than stands. */
    public static boolean lies(Cavity c) {
        return c.isRound() && Math.abs(c.axis().w().z()) < 0.7;
    }

    /** What is to be cut besides the hole itself, from a millimetre before its mouth to its floor; named as the hole, of which it is part. */
    public static Leaf roof(Cavity c) {
        Vec3 sky = c.axis().w().times(-c.axis().w().z()).plus(Vec3.Z).unit();
        Placement a = new Placement(c.axis().origin(), sky.cross(c.axis().w()), sky, c.axis().w());
        double r = c.widthMm() / 2;
        // The tangents of 45° at a circle meet √2 radii above its middle; what is left open below that is a bridge of a millimetre or two.
        double top = r + ROOF_MM;
        double open = Math.max(0.05, r * Math.sqrt(2) - top);
        Profile drop = Profiles.hull(List.of(Profile.hole(0, 0, c.widthMm(), SIDES), Profile.rectangle(0, top - 0.05, 2 * open, 0.1)));
        return Leaf.extrusion(c.feature(), drop, a, -BEYOND_MM, c.depthMm() + (c.through() ? BEYOND_MM : 0));
    }
}
