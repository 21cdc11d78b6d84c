package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.bind.RodRef;
import tinperch.part.form.Held;
import tinperch.part.form.Joint;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/** Ears at a plate's edge whose jaws snap sideways over two studs that stand out of the machine; they lie on the bed with the plate. */
public final class StudClips {
    public final NumberParam apart;
    public final NumberParam wall;
    public final NumberParam grip;
    public final NumberParam play;
    /** What is left between a bore and the plate's edge, so that the ear bends where it should. */
    private static final double LEFT_MM = 0.4;
    private static final double BEYOND_MM = 1;
    private static final double STUD_LONG_MM = 20;
    private static final int SIDES = 48;

    public StudClips(Card card) {
        apart = NumberParam.length("stud.apart", card, "Studs apart", 10, 400, 40, "From middle to middle");
        wall = NumberParam.length("stud.wall", card, "Jaw's wall", 1, 10, 2.4, "Round the stud; thinner bends more easily");
        grip = NumberParam.length("stud.grip", card, "Grip on the stud", 0.1, 6, 0.4, "How much the mouth is narrower than the stud");
        play = NumberParam.length("stud.play", card, "Clearance", 0, 1, 0.15, "On the stud's diameter, beside the printer's press fit");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(apart, wall, grip, play);
    }

    /**
     * Everything at the plate's lower edge.
     *
     * @param edgeMm of the plate, from its middle towards −y
     */
    public Clips at(PartInputs in, RodRef stud, double edgeMm, double plateMm) {
        double bore = stud.diameterMm() + in.get(play) + in.fits().pressMm() + in.holeOffsetMm();
        double far = bore / 2 + in.get(wall);
        List<Solid> adds = new ArrayList<>();
        List<Solid> cuts = new ArrayList<>();
        List<Held> held = new ArrayList<>();
        Profile mouth = RodClips.mouth(grip, bore, stud.diameterMm() - in.get(grip), far + BEYOND_MM);
        for (int side = -1; side <= 1; side += 2) {
            String of = side < 0 ? " A" : " B";
            // Seen from below: y away from the plate.
            Placement p = new Placement(new Vec3(side * in.get(apart) / 2, -edgeMm - bore / 2 - LEFT_MM, 0), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1));
            adds.add(Leaf.extrusion("ear" + of, Profile.disc(0, 0, 2 * far, SIDES), p, -plateMm, 0));
            cuts.add(Leaf.extrusion("ear's bore" + of, Profile.hole(0, 0, bore, SIDES), p, -plateMm - BEYOND_MM, BEYOND_MM));
            cuts.add(Leaf.extrusion("ear's mouth" + of, mouth, p, -plateMm - BEYOND_MM, BEYOND_MM));
            held.add(new Held(stud.name(), Leaf.extrusion("the stud", Profile.disc(0, 0, stud.diameterMm(), SIDES), p, -plateMm - STUD_LONG_MM, 5), 0, true));
        }
        Joint joint = RodClips.jaw("stud clips", in.get(wall), bore, stud.diameterMm(), in.get(grip), new Lever(grip, 0.5, "grip"));
        return new Clips(adds, cuts, held, List.of(joint));
    }
}
