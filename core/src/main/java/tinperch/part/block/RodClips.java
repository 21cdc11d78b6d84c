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
import tinperch.part.param.PartProblem;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * Clips under a plate that snap over two rods along y. Each is a ring open below; it bends like an arm as long as the arc from its root to its lip
 * (an approximation: a curved arm bends a little more easily).
 */
public final class RodClips {
    public final NumberParam apart;
    public final NumberParam wall;
    public final NumberParam wide;
    public final NumberParam grip;
    public final NumberParam play;
    /** How far the ring sinks into the plate, so that both are one. */
    private static final double ROOT_MM = 0.6;
    private static final double BEYOND_MM = 1;
    private static final int SIDES = 48;

    public RodClips(Card card) {
        apart = NumberParam.length("clip.apart", card, "Rods apart", 10, 400, 44, "From middle to middle");
        wall = NumberParam.length("clip.wall", card, "Clip's wall", 1, 10, 2, "Thinner bends more easily");
        wide = NumberParam.length("clip.width", card, "Clip's width", 3, 60, 8, "Along the rod; one at each end of the plate");
        grip = NumberParam.length("clip.grip", card, "Grip", 0.2, 6, 0.8, "How much the mouth is narrower than the rod");
        play = NumberParam.length("clip.play", card, "Clearance", 0, 1, 0.15, "On the rod's diameter, beside the printer's press fit");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(apart, wall, wide, grip, play);
    }

    private double boreMm(PartInputs in, RodRef rod) {
        return rod.diameterMm() + in.get(play) + in.fits().pressMm() + in.holeOffsetMm();
    }

    /** Height of a rod's middle below the plate, mm. */
    private double middleMm(PartInputs in, RodRef rod) {
        return boreMm(in, rod) / 2 + in.get(wall) - ROOT_MM;
    }

    private List<Placement> places(PartInputs in, RodRef rod, double halfMm) {
        if (2 * in.get(wide) > 2 * halfMm) {
            throw new PartProblem(wide, "Two clips of " + Quantity.mm(in.get(wide)) + " are longer than the plate of " + Quantity.mm(2 * halfMm) + "; make them narrower.");
        }
        List<Placement> all = new ArrayList<>();
        for (int side = -1; side <= 1; side += 2) {
            for (double from : new double[] {-halfMm, halfMm - in.get(wide)}) {
                // Seen along the rod: x as the plate's, y down from it.
                all.add(new Placement(new Vec3(side * in.get(apart) / 2, from, -middleMm(in, rod)), Vec3.X, Vec3.Z.times(-1), Vec3.Y));
            }
        }
        return all;
    }

    /** Everything on two rods. */
    public Clips over(PartInputs in, RodRef rod, double halfMm) {
        return new Clips(clips(in, rod, halfMm), bores(in, rod, halfMm), rods(in, rod, halfMm), List.of(joint(in, rod)));
    }

    /** The rings, without their bores, cut off where the mouth begins. */
    private List<Solid> clips(PartInputs in, RodRef rod, double halfMm) {
        List<Solid> all = new ArrayList<>();
        double r = boreMm(in, rod) / 2 + in.get(wall);
        for (Placement p : places(in, rod, halfMm)) {
            all.add(Leaf.extrusion("clip " + (all.size() + 1), Profile.disc(0, 0, 2 * r, SIDES), p, 0, in.get(wide)));
        }
        return all;
    }

    /** Bores, and the mouths below them. */
    private List<Solid> bores(PartInputs in, RodRef rod, double halfMm) {
        double bore = boreMm(in, rod);
        Profile below = mouth(grip, bore, rod.diameterMm() - in.get(grip), bore / 2 + in.get(wall) + BEYOND_MM);
        List<Solid> all = new ArrayList<>();
        for (Placement p : places(in, rod, halfMm)) {
            all.add(Leaf.extrusion("clip's bore " + (all.size() / 2 + 1), Profile.hole(0, 0, bore, SIDES), p, -BEYOND_MM, in.get(wide) + BEYOND_MM));
            all.add(Leaf.extrusion("clip's mouth " + (all.size() / 2 + 1), below, p, -BEYOND_MM, in.get(wide) + BEYOND_MM));
        }
        return all;
    }

    /** What is cut out below a bore so that a thing goes in: as wide as {@code mouthMm}, its lips leaning outwards by 45° from there on. */
    static Profile mouth(NumberParam grip, double boreMm, double mouthMm, double farMm) {
        if (mouthMm < 1) {
            throw new PartProblem(grip, "What is held in a bore of " + Quantity.mm(boreMm) + " is gripped so much that no mouth is left; grip it less.");
        }
        double neck = Math.sqrt(Math.max(0, boreMm * boreMm - mouthMm * mouthMm)) / 2;
        return Profile.of(new double[] {-mouthMm / 2, 0, mouthMm / 2, 0, mouthMm / 2, neck, mouthMm / 2 + farMm - neck, farMm, -mouthMm / 2 - farMm + neck, farMm, -mouthMm / 2, neck});
    }

    /** The rods in their clips. */
    private List<Held> rods(PartInputs in, RodRef rod, double halfMm) {
        return List.of(-1, 1).stream().map(side -> new Held(rod.name(), Leaf.extrusion("the rod", Profile.disc(0, 0, rod.diameterMm(), SIDES),
                new Placement(new Vec3(side * in.get(apart) / 2, 0, -middleMm(in, rod)), Vec3.X, Vec3.Z.times(-1), Vec3.Y), -halfMm - 20, halfMm + 20), 0, true)).toList();
    }

    /** One of the clips: each lip gives way by half of what the mouth is too narrow. */
    private Joint joint(PartInputs in, RodRef rod) {
        return jaw("rod clips", in.get(wall), boreMm(in, rod), rod.diameterMm(), in.get(grip), new Lever(grip, 0.5, "grip"));
    }

    /** A ring open on one side, as an arm as long as the arc from its root to its lip. */
    static Joint jaw(String label, double wallMm, double boreMm, double thingMm, double gripMm, Lever softer) {
        double r = boreMm / 2 + wallMm / 2;
        double arc = r * (Math.PI - Math.asin(Math.min(1, (thingMm - gripMm) / 2 / r)));
        return new Joint.CantileverSnap(label, wallMm, arc, gripMm / 2, 0, 45, List.of(softer));
    }
}
