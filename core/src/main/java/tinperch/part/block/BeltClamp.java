package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.PartInputs;
import tinperch.part.form.Reach;
import tinperch.part.form.Track;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Profiles;

/**
 * Posts on a plate that grip the ends of a toothed belt: a slot open at the top, toothed on one side, on the belt's measured line along x.
 */
public final class BeltClamp {
    /** Belts by their pitch: how thick they are with teeth and how high a tooth is, mm (values from memory). */
    public enum Belt {
        TWO(2, 1.38, 0.75), THREE(3, 2.4, 1.14);

        private final double pitchMm;
        private final double thickMm;
        private final double toothMm;

        Belt(double pitchMm, double thickMm, double toothMm) {
            this.pitchMm = pitchMm;
            this.thickMm = thickMm;
            this.toothMm = toothMm;
        }

        public double pitchMm() {
            return pitchMm;
        }
    }

    /** So many hold a belt (common practice). */
    private static final int LEAST_TEETH = 6;
    private static final double BELOW_MM = 1;

    public final ChoiceParam<Belt> belt;
    public final NumberParam y;
    public final NumberParam wide;
    public final NumberParam teeth;
    public final NumberParam apart;
    public final NumberParam wall;

    public BeltClamp(Card card) {
        belt = ChoiceParam.of("belt.pitch", card, "Belt", Belt.TWO, b -> (int) b.pitchMm + " mm pitch", "Distance from tooth to tooth");
        y = NumberParam.length("belt.y", card, "Belt's line at y", -200, 200, -4, "From the middle of the wheels to the back of the belt, as measured");
        wide = NumberParam.length("belt.wide", card, "Belt's width", 0, 40, 6, "6 or 9 usually; 0 for no clamps");
        teeth = NumberParam.count("belt.teeth", card, "Teeth gripped", LEAST_TEETH, 40, 8, "At each end; fewer than six slip (common practice)");
        apart = NumberParam.length("belt.apart", card, "Clamps apart", 5, 300, 44, "From middle to middle");
        wall = NumberParam.length("belt.wall", card, "Clamp's wall", 1.2, 15, 3, "Either side of the belt");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(belt, y, wide, teeth, apart, wall);
    }

    private double longMm(PartInputs in) {
        return in.get(teeth) * in.get(belt).pitchMm;
    }

    /** Depth of the slot, back and teeth. */
    private double slotMm(PartInputs in) {
        return in.get(belt).thickMm + in.fits().slotMm();
    }

    /** Middles of the clamps along x. */
    private double[] middles(PartInputs in) {
        return new double[] {-in.get(apart) / 2, in.get(apart) / 2};
    }

    /** The middle of the belt they hold, on a plate of a thickness whose number is a lever; empty where there are none. */
    public Optional<Track> track(PartInputs in, NumberParam plate) {
        double z = in.get(plate) + BELOW_MM + in.get(wide) / 2;
        return in.get(wide) > 0 ? Optional.of(new Track(Track.Kind.BELT, "belt", Placement.along(new Vec3(0, in.get(y), z), Vec3.X, Vec3.Y),
                List.of(new Reach("", Vec3.Y, new Lever(y, 1, "belt's line")), new Reach("", Vec3.Z, new Lever(plate, 1, "plate"))))) : Optional.empty();
    }

    /** What a plate under them must cover. */
    public List<Profile> feet(PartInputs in) {
        List<Profile> all = new ArrayList<>();
        if (in.get(wide) > 0) {
            for (double x : middles(in)) {
                all.add(Profile.rectangle(x, in.get(y) - slotMm(in) / 2, longMm(in), slotMm(in) + 2 * in.get(wall)));
            }
        }
        return all;
    }

    /** The posts on a plate of a thickness. */
    public List<Solid> posts(PartInputs in, double plateMm) {
        List<Solid> all = new ArrayList<>();
        for (Profile foot : feet(in)) {
            all.add(Leaf.extrusion("belt clamp " + (all.isEmpty() ? "A" : "B"), foot, Placement.HERE, plateMm / 2, plateMm + BELOW_MM + in.get(wide)));
        }
        return all;
    }

    /** The slots in them. */
    public List<Solid> slots(PartInputs in, double plateMm) {
        List<Solid> all = new ArrayList<>();
        Belt b = in.get(belt);
        double back = b.thickMm - b.toothMm + in.fits().slotMm();
        for (double x : in.get(wide) > 0 ? middles(in) : new double[0]) {
            Profile comb = comb(x, longMm(in) / 2 + 1, in.get(y), back, slotMm(in), b.pitchMm, Math.min(b.pitchMm, b.pitchMm / 2 + in.fits().slotMm()), (int) Math.round(in.get(teeth)));
            String name = "belt slot " + (all.isEmpty() ? "A" : "B");
            all.add(Leaf.extrusion(name, comb, Placement.HERE, plateMm + BELOW_MM, plateMm + BELOW_MM + in.get(wide) + 1));
        }
        return all;
    }

    /** Room for the belt's back and, in the middle of each pitch, for its teeth, so that the clamp grips whole ones. */
    private static Profile comb(double x, double half, double top, double back, double deep, double pitch, double tooth, int teeth) {
        List<double[]> ring = new ArrayList<>();
        ring.add(new double[] {x + half, top});
        ring.add(new double[] {x - half, top});
        ring.add(new double[] {x - half, top - back});
        for (int k = 0; k < teeth; k++) {
            double at = x + (k + 0.5 - teeth / 2.0) * pitch;
            double from = at - tooth / 2;
            double to = at + tooth / 2;
            // Teeth as wide as their pitch leave nothing between them.
            if (k == 0 || tooth < pitch) {
                ring.add(new double[] {from, top - back});
                ring.add(new double[] {from, top - deep});
            }
            if (k == teeth - 1 || tooth < pitch) {
                ring.add(new double[] {to, top - deep});
                ring.add(new double[] {to, top - back});
            }
        }
        ring.add(new double[] {x + half, top - back});
        return Profile.of(ring.stream().flatMapToDouble(java.util.Arrays::stream).toArray());
    }
}
