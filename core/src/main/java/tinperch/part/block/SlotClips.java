package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.bind.ProfileRef;
import tinperch.part.form.Held;
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

/** Pairs of arms under a plate that snap into a profile's slot along y, one pair at each end; each has a barb behind the slot's lip. */
public final class SlotClips {
    public final NumberParam lip;
    public final NumberParam arm;
    public final NumberParam barb;
    public final NumberParam wide;
    /** How far an arm goes on straight behind its barb's widest place before it leans in. */
    private static final double FLAT_MM = 0.6;
    private static final double ROOT_MM = 0.5;
    /** From the lip's inside to the barb. */
    private static final double BEHIND_MM = 0.2;
    /** Between both arms of a pair when they are pressed together. */
    private static final double LEFT_MM = 0.4;

    public SlotClips(Card card) {
        lip = NumberParam.length("slot.lip", card, "Slot's lip", 0.5, 20, 1.8, "Thickness of the metal beside the slot's mouth");
        arm = NumberParam.length("slot.arm", card, "Arm", 0.8, 6, 1.4, "Thickness of each arm; thinner bends more easily");
        barb = NumberParam.length("slot.barb", card, "Barb", 0.1, 3, 0.25, "How far it stands out behind the lip");
        wide = NumberParam.length("slot.wide", card, "Arms' width", 3, 60, 10, "Along the slot");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(lip, arm, barb, wide);
    }

    /** Everything in one slot, whose middle is under the plate's; {@code halfMm} is half of the plate along it. */
    public Clips into(PartInputs in, ProfileRef profile, double halfMm) {
        double half = (profile.slotMm() - in.fits().slotMm()) / 2;
        double t = in.get(arm);
        double out = in.get(barb);
        if (half - t - out < LEFT_MM / 2) {
            throw new PartProblem(arm, "Two arms of " + Quantity.mm(t) + " have no room to bend by " + Quantity.mm(out) + " in a slot of " + Quantity.mm(profile.slotMm()) + "; make them thinner, or the barb smaller.");
        }
        if (in.get(wide) > halfMm) {
            throw new PartProblem(wide, "Two pairs of arms " + Quantity.mm(in.get(wide)) + " wide are longer than the plate of " + Quantity.mm(2 * halfMm) + "; make them narrower.");
        }
        double deep = in.get(lip) + BEHIND_MM;
        double end = deep + out + FLAT_MM + out + 1;
        List<Solid> adds = new ArrayList<>();
        for (int side = -1; side <= 1; side += 2) {
            for (double from : new double[] {-halfMm, halfMm - in.get(wide)}) {
                double s = side;
                // Seen along the slot: x as the plate's, y down from it. Barbs lean by 45° on both sides, so that it can be pulled out again.
                Profile p = ring(side, new double[] {s * (half - t), -ROOT_MM, s * half, -ROOT_MM, s * half, deep, s * (half + out), deep + out, s * (half + out), deep + out + FLAT_MM, s * (half - 1), end, s * (half - t), end});
                adds.add(Leaf.extrusion("arm " + (adds.size() + 1), p, new Placement(new Vec3(0, from, 0), Vec3.X, Vec3.Z.times(-1), Vec3.Y), 0, in.get(wide)));
            }
        }
        double lips = in.get(lip);
        List<Held> held = List.of(-1, 1).stream().map(side -> {
            double inner = profile.slotMm() / 2;
            double outer = Math.max(inner + 1, profile.widthMm() / 2);
            return new Held(profile.name(), Leaf.extrusion("the profile's lip", Profile.rectangle(side * (inner + outer) / 2, 0, outer - inner, 2 * halfMm + 40), Placement.HERE, -lips, 0), 0, true);
        }).toList();
        return new Clips(adds, List.of(), held, List.of(new Joint.CantileverSnap("slot clips", t, deep + out, out, in.get(wide), 45, List.of(new Lever(barb, 1, "barb")))));
    }

    /** The same way round on either side. */
    private static Profile ring(int side, double[] xy) {
        double[] turned = xy.clone();
        for (int i = 0; side < 0 && i < xy.length; i += 2) {
            turned[i] = xy[xy.length - 2 - i];
            turned[i + 1] = xy[xy.length - 1 - i];
        }
        return Profile.of(turned);
    }
}
