package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.form.Joint;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * Two arms of a lid that reach down outside the walls at y = ± and snap into windows of them. Both flanks of a hook rise at 45°, so that the lid
 * prints freely lying on its outer face.
 */
public final class SnapArms {
    /** Between arm and wall and round a hook, beside half of the printer's slot fit (common practice). */
    private static final double ROOM_MM = 0.2;
    private static final double WIDTH_MM = 10;

    public final NumberParam length;
    public final NumberParam thickness;
    public final NumberParam hook;

    public SnapArms(Card card) {
        length = NumberParam.length("snap.length", card, "Snap arm length", 5, 60, 14, "From the lid to the hook; longer bends more easily");
        thickness = NumberParam.length("snap.thickness", card, "Snap arm thickness", 0.8, 5, 1.6, "Across the way it bends");
        hook = NumberParam.length("snap.undercut", card, "Hook", 0.3, 3, 0.8, "How far the hook reaches into the wall");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(length, thickness, hook);
    }

    private static double roomMm(PartInputs in) {
        return ROOM_MM + in.fits().slotMm() / 2;
    }

    /** Half of what the lid has to measure across the walls, whose outer faces are {@code halfMm} from the middle. */
    public double reachMm(PartInputs in, double halfMm) {
        return halfMm + roomMm(in) + in.get(thickness);
    }

    /** The arms of a lid that lies on z = 0 with its outer face, {@code lidMm} thick. */
    public List<Solid> arms(PartInputs in, double halfMm, double lidMm) {
        double inside = halfMm + roomMm(in);
        double outside = reachMm(in, halfMm);
        double end = lidMm + in.get(length);
        double nose = in.get(hook) + roomMm(in);
        List<Solid> all = new ArrayList<>();
        for (double side : new double[] {1, -1}) {
            // The arm's outline stands in the y-z plane and is pushed along x.
            Placement across = new Placement(Vec3.ZERO, Vec3.Y.times(side), Vec3.Z, Vec3.X.times(side));
            all.add(Leaf.extrusion("arm", Profile.of(new double[] {inside, lidMm / 2, outside, lidMm / 2, outside, end, inside, end, inside - nose, end - nose, inside, end - 2 * nose}),
                    across, -WIDTH_MM / 2, WIDTH_MM / 2));
        }
        return all;
    }

    /**
     * The windows the hooks snap into.
     *
     * @param fromMm height the walls begin at, {@code topMm} where they end and the lid lies
     * @throws PartProblem when the arms are longer than the walls are high
     */
    public List<Solid> windows(PartInputs in, double halfMm, double wallMm, double fromMm, double topMm) {
        double nose = in.get(hook);
        double at = topMm - in.get(length) + nose;
        if (at < fromMm + nose) {
            throw new PartProblem(length, "A snap arm of " + Quantity.mm(in.get(length)) + " is longer than the wall of " + Quantity.mm(topMm) + "; make it at most "
                    + Quantity.mm(Math.floor(topMm - fromMm)) + ".");
        }
        List<Solid> all = new ArrayList<>();
        for (double side : new double[] {1, -1}) {
            all.add(Leaf.extrusion("window", Profile.rectangle(0, side * (halfMm - wallMm / 2), WIDTH_MM + 1, wallMm + 2), Placement.HERE,
                    at - nose - roomMm(in), at + nose + roomMm(in)));
        }
        return all;
    }

    /** One of the two snaps. */
    public Joint joint(PartInputs in, String label) {
        return new Joint.CantileverSnap(label, in.get(thickness), in.get(length) - in.get(hook), in.get(hook), WIDTH_MM, 45, List.of(new Lever(hook, 1, "hook")));
    }
}
