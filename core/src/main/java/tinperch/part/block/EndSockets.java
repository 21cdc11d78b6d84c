package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.hardware.HeatSetInsert;
import tinperch.hardware.ScrewThread;
import tinperch.part.PartInputs;
import tinperch.part.bind.ProfileRef;
import tinperch.part.bind.RodRef;
import tinperch.part.form.Cavity;
import tinperch.part.form.Held;
import tinperch.part.form.Keyway;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * A block that holds the ends of two round rods, or the end of one profile, with set screws that press on them from above; they lead away along +x.
 */
public final class EndSockets {
    /** What is held. */
    public enum Holds {
        RODS("two rods"), PROFILE("a profile");

        private final String label;

        Holds(String label) {
            this.label = label;
        }

        String label() {
            return label;
        }
    }

    private static final String SET_THREAD = "M3";
    private static final int SIDES = 48;
    private static final double BEYOND_MM = 1;
    /** Plastic left round a set screw's insert. */
    private static final double ROUND_SEAT_MM = 2.2;
    private static final double OUT_MM = 80;

    public final ChoiceParam<Holds> holds;
    public final NumberParam spacing;
    public final NumberParam height;
    public final NumberParam depth;
    public final NumberParam play;
    public final NumberParam wall;
    public final NumberParam insert;
    public final NumberParam ridge;
    public final NumberParam tilt;

    public EndSockets(Card ends, Card set) {
        holds = ChoiceParam.of("rods.holds", ends, "Holds", Holds.RODS, Holds::label, "Two rods side by side, or one profile");
        spacing = NumberParam.length("rods.spacing", ends, "Rods apart", 12, 300, 45, "Middle to middle");
        height = NumberParam.length("rods.height", ends, "Height", 5, 200, 20, "Middle of rods or profile above the plate's underside");
        depth = NumberParam.length("rods.depth", ends, "Held over", 8, 120, 25, "How far they reach in; three diameters hold rods straight (common practice)");
        play = NumberParam.length("rods.play", ends, "Play", -0.3, 1, 0, "On the rods' diameter beside the printer's running fit, or on both sides of the profile together beside its slot fit");
        wall = NumberParam.length("rods.wall", ends, "Wall round them", 1.6, 30, 5, "Beside, below and at their ends");
        insert = NumberParam.length("set.insert", set, "Insert length", 2, 15, 4, "For set screws of M3; the nearest insert of the table is used");
        ridge = NumberParam.length("set.ridge", set, "Ridge under the insert", 0.4, 10, 1.6, "Keeps it from being pushed through to what it presses on");
        tilt = NumberParam.angle("set.tilt", set, "Leaning outwards", 0, 60, 0, "45° where the wall above a rod is short; those on a profile stand upright");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(holds, spacing, height, depth, play, wall, insert, ridge, tilt);
    }

    /** What is held, in a few words. */
    public String summary(Values v) {
        return holds.of(v) == Holds.RODS ? spacing.show(v) + " apart, held over " + depth.show(v) : "a profile, held over " + depth.show(v);
    }

    /** The set screws in a few words. */
    public String setSummary(Values v) {
        return SET_THREAD + (holds.of(v) == Holds.RODS && tilt.of(v) > 0 ? ", leaning by " + tilt.show(v) : ", upright");
    }

    /** A socket: its middle's y about the block's, what is in it, half its height, which set screws press where along it. */
    private record Socket(String of, double y, double halfWide, double halfHigh, int side, double[] setAt) {}

    /**
     * Everything of a block.
     *
     * @param halfMm half its width, {@code topMm} its height
     * @param lowestMm underside of its lowest wall
     * @param betweenMm free between two sockets; 0 where there is only one
     * @param hollowMm how high the sockets are, from their lowest to their highest
     * @param keyways the set screws
     */
    public record Made(double halfMm, double topMm, double lowestMm, double betweenMm, double[] hollowMm, List<Cavity> cavities, List<Solid> cuts, List<Held> held, List<Keyway> keyways) {}

    /**
     * The sockets.
     *
     * @param middleY of the block, {@code mouthX} where they begin
     */
    public Made of(PartInputs in, RodRef rod, Optional<ProfileRef> profile, double middleY, double mouthX) {
        HeatSetInsert set = in.hardware().insert(SET_THREAD, in.get(insert)).orElseThrow(() -> new PartProblem(insert, "No insert for " + SET_THREAD + " is in the table."));
        boolean rods = in.get(holds) == Holds.RODS;
        double setDeep = set.lengthMm() + 0.5;
        double a = Math.toRadians(rods ? in.get(tilt) : 0);
        List<Socket> sockets = new ArrayList<>();
        double deep = in.get(depth);
        if (rods) {
            double bore = rod.diameterMm() + looseMm(in) + in.holeOffsetMm();
            sockets.add(new Socket("A", -in.get(spacing) / 2, bore / 2, bore / 2, -1, new double[] {deep / 2}));
            sockets.add(new Socket("B", in.get(spacing) / 2, bore / 2, bore / 2, 1, new double[] {deep / 2}));
        } else {
            ProfileRef p = profile.orElseThrow(() -> new PartProblem(holds, "Which profile it holds is not said; bind it under Measure, or let it hold rods."));
            double more = looseMm(in);
            sockets.add(new Socket("", 0, (p.widthMm() + more) / 2, (p.heightMm() + more) / 2, 1, new double[] {deep / 4, 3 * deep / 4}));
        }
        Socket one = sockets.get(0);
        double reach = one.halfHigh + in.get(ridge) + setDeep;
        double seat = set.outerMm() / 2 + ROUND_SEAT_MM;
        double half = Math.abs(one.y) + Math.max(one.halfWide + in.get(wall), reach * Math.sin(a) + seat * Math.cos(a));
        double top = in.get(height) + Math.max(one.halfHigh + in.get(wall), reach * Math.cos(a) + seat * Math.sin(a));
        List<Cavity> cavities = new ArrayList<>();
        List<Solid> cuts = new ArrayList<>();
        List<Held> held = new ArrayList<>();
        List<Keyway> keyways = new ArrayList<>();
        for (Socket s : sockets) {
            String of = s.of.isEmpty() ? "" : " " + s.of;
            Placement mouth = new Placement(new Vec3(mouthX, middleY + s.y, in.get(height)), Vec3.Y.times(-1), Vec3.Z, Vec3.X.times(-1));
            if (rods) {
                Cavity socket = new Cavity("rod socket" + of, "rod." + s.of, "rod socket" + of, Cavity.Purpose.POCKET, mouth, 2 * s.halfWide, 0, deep, false, 0, List.of(new Lever(wall, 1, "wall round them")));
                cavities.add(socket);
                cuts.add(Leaf.extrusion(socket.feature(), Profile.hole(0, 0, 2 * s.halfWide, SIDES), mouth, -BEYOND_MM, deep));
                cuts.add(LyingHole.roof(socket));
                held.add(new Held("rod" + of, Leaf.extrusion("rod" + of, Profile.disc(0, 0, rod.diameterMm(), SIDES), mouth, -OUT_MM, deep - 0.2), Math.max(0, -looseMm(in)), true));
            } else {
                cuts.add(Leaf.extrusion("profile's socket", Profile.rectangle(0, 0, 2 * s.halfWide, 2 * s.halfHigh), mouth, -BEYOND_MM, deep));
                ProfileRef p = profile.orElseThrow();
                held.add(new Held(p.name(), Leaf.extrusion("profile", Profile.rectangle(0, 0, p.widthMm(), p.heightMm()), mouth, -OUT_MM, deep - 0.2), Math.max(0, -looseMm(in)), true));
            }
            for (int i = 0; i < s.setAt.length; i++) {
                String name = s.setAt.length == 1 ? of : of + " " + (char) ('A' + i);
                Vec3 middle = new Vec3(mouthX - s.setAt[i], middleY + s.y, in.get(height));
                Vec3 out = new Vec3(0, s.side * Math.sin(a), Math.cos(a));
                set(in, set, setDeep, name, "rod." + s.of, middle, out, reach, top, cavities, cuts);
                keyways.add(new Keyway("set screw" + name, SET_THREAD, Placement.along(middle.plus(out.times(reach)), out, Vec3.X), 0));
            }
        }
        double between = rods ? in.get(spacing) - 2 * one.halfWide - 2 * in.get(wall) : 0;
        return new Made(half, top, in.get(height) - one.halfHigh - in.get(wall), Math.max(0, between), new double[] {in.get(height) - one.halfHigh, in.get(height) + one.halfHigh}, cavities, cuts, held, keyways);
    }

    /** Wider than what is held: the printer's fit for it and what is wanted beside that. */
    private double looseMm(PartInputs in) {
        return in.get(play) + (in.get(holds) == Holds.RODS ? in.fits().runningMm() : in.fits().slotMm());
    }

    /** A set screw's insert, on its ridge over what it presses on. */
    private void set(PartInputs in, HeatSetInsert set, double deep, String of, String group, Vec3 middle, Vec3 out, double reach, double top, List<Cavity> cavities, List<Solid> cuts) {
        Placement seat = Placement.along(middle.plus(out.times(reach)), out.times(-1), Vec3.X);
        double hole = set.holeMm() + in.holeOffsetMm();
        double clear = in.hardware().thread(SET_THREAD).clearanceMm(ScrewThread.Fit.MEDIUM) + in.holeOffsetMm();
        cavities.add(new Cavity("set insert" + of, group, "set screw's insert" + of, Cavity.Purpose.INSERT, seat, hole, 0, deep, false, clear, List.of(new Lever(ridge, 1, "ridge"))));
        cuts.add(Leaf.extrusion("set insert" + of, Profile.hole(0, 0, hole, SIDES), seat, -BEYOND_MM, deep));
        cuts.add(Leaf.extrusion("set insert" + of, Profile.hole(0, 0, clear, SIDES), seat, deep - BEYOND_MM, reach));
        // What stands above the seat of a leaning one, or of one set deeper than the block is high, is taken off so that the iron gets there.
        cuts.add(Leaf.extrusion("set seat" + of, Profile.disc(0, 0, 2 * (set.outerMm() / 2 + ROUND_SEAT_MM), SIDES), seat, -top, 0));
    }
}
