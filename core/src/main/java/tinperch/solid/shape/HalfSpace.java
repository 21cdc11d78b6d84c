package tinperch.solid.shape;

import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;

/** Everything on one side of a plane, as far as a given box needs it: for cutting a solid flat. */
public final class HalfSpace {
    private HalfSpace() {}

    /**
     * A block whose one face lies in the plane through {@code point} and which reaches beyond {@code of} on the side the
     * normal points to.
     *
     * @throws tinperch.solid.SolidException when the normal has no length
     */
    public static Leaf beyond(String feature, Vec3 point, Vec3 normal, Bounds of) {
        double reach = 2 * (of.size().length() + of.centre().distanceTo(point)) + 1;
        Vec3 w = normal.unit();
        Vec3 hint = Math.abs(w.x()) < 0.7 ? Vec3.X : Vec3.Y;
        return Leaf.extrusion(feature, Profile.rectangle(0, 0, 2 * reach, 2 * reach), Placement.along(point, w, hint), 0, reach);
    }
}
