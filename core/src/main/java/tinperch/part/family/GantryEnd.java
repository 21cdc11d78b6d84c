package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.hardware.HeatSetInsert;
import tinperch.hardware.ScrewThread;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.MotorRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.RodRef;
import tinperch.part.bind.Role;
import tinperch.part.block.Hand;
import tinperch.part.block.LyingHole;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Profiles;

/**
 * The end of a gantry: a plate the motor hangs under, its pulley above, and beside it a block that holds the ends of two rods with set
 * screws and lets the belt through between them. The plate's underside is z = 0, the rods lead away along +x, the motor's shaft is x = y = 0.
 */
public final class GantryEnd implements PartFamily {
    private static final Card PLATE_CARD = new Card("plate", "Plate");
    private static final Card MOTOR_CARD = new Card("motor", "Holds: the motor");
    private static final Card RODS_CARD = new Card("rods", "Holds: the rods");
    private static final Card SET_CARD = new Card("set", "Set screws");
    private static final Card BELT_CARD = new Card("belt", "Lets through: the belt");
    private static final Card FIXED_CARD = new Card("mount", "Holds: what carries it");

    public static final NumberParam PLATE = NumberParam.length("plate.thickness", PLATE_CARD, "Plate", 2, 30, 6, "Between the motor's face and the screws' heads");
    public static final NumberParam RIM = NumberParam.length("plate.rim", PLATE_CARD, "Rim", 0, 40, 1.5, "How far the plate stands out beyond the motor's face");
    public static final ScrewBlock SCREWS = new ScrewBlock("motor", "motor", MOTOR_CARD, SeatKind.TAPPED, 0, 4.5, 10);
    public static final NumberParam PILOT_PLAY = NumberParam.length("motor.pilot.play", MOTOR_CARD, "Pilot's play", 0, 5, 0.3, "The hole lets the pilot in from below and the pulley up through it");
    public static final ChoiceParam<Hand> HAND = Hand.param("plate.hand", RODS_CARD, "Of the gantry; on the other one the rods' middle lies on the other side of the shaft");
    public static final NumberParam ASIDE = NumberParam.length("rods.aside", RODS_CARD, "Rods' middle at y", -60, 60, 0, "From the shaft to the middle between the rods; half the pulley's pitch Ø brings one run of the belt there");
    public static final NumberParam SPACING = NumberParam.length("rods.spacing", RODS_CARD, "Rods apart", 12, 300, 45, "Middle to middle");
    public static final NumberParam ROD_HEIGHT = NumberParam.length("rods.height", RODS_CARD, "Rods' height", 5, 200, 20, "Middle of the rods above the plate's underside");
    public static final NumberParam DEPTH = NumberParam.length("rods.depth", RODS_CARD, "Held over", 8, 120, 25, "How far the rods reach in; three diameters hold them straight (common practice)");
    public static final NumberParam ROD_PLAY = NumberParam.length("rods.play", RODS_CARD, "Rods' play", -0.2, 1, 0.1, "On the diameter, beside the printer's own offset");
    public static final NumberParam WALL = NumberParam.length("rods.wall", RODS_CARD, "Wall round the rods", 1.6, 30, 5, "Beside, below and at their ends");
    public static final NumberParam SET_INSERT = NumberParam.length("set.insert", SET_CARD, "Insert length", 2, 15, 4, "For set screws of M3; the nearest insert of the table is used");
    public static final NumberParam RIDGE = NumberParam.length("set.ridge", SET_CARD, "Ridge under the insert", 0.4, 10, 1.6, "Keeps it from being pushed through to the rod");
    public static final NumberParam TILT = NumberParam.angle("set.tilt", SET_CARD, "Leaning outwards", 0, 60, 0, "45° where the wall above is short");
    public static final NumberParam BELT_HEIGHT = NumberParam.length("belt.height", BELT_CARD, "Belt's height", 0, 200, 20, "Middle of the belt above the plate's underside, as its line was measured");
    public static final NumberParam PASSAGE = NumberParam.length("belt.passage", BELT_CARD, "Passage", 0, 200, 20, "Across; both runs and the pulley's size go through. 0 for none");
    public static final NumberParam PASSAGE_HIGH = NumberParam.length("belt.passage.high", BELT_CARD, "Passage high", 2, 100, 12, "The belt's width and what it may wander");
    public static final ScrewBlock MOUNT = new ScrewBlock("mount", "machine-side", FIXED_CARD, SeatKind.LOOSE_NUT, 0, 3, 16);

    public static final Role<MotorRef> MOTOR = new Role<>("motor", MotorRef.KIND, "motor", "the motor's face with its holes and pilot", false, "motor-17");
    public static final Role<RodRef> ROD = new Role<>("rod", RodRef.KIND, "rod", "one of the two rods", false, "rod-8");
    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes of what carries it", true, "pair-60");

    private static final String SET_THREAD = "M3";
    private static final int SIDES = 48;
    private static final double BEYOND_MM = 1;
    /** Between the motor's face and the block, for screws' heads and pulley. */
    private static final double BESIDE_MM = 2;
    /** Plastic left round a set screw's insert. */
    private static final double ROUND_SEAT_MM = 2.2;

    @Override
    public String id() {
        return "gantry-end";
    }

    @Override
    public String title() {
        return "Gantry end block";
    }

    @Override
    public String purpose() {
        return "Holds two rods with set screws beside a motor's face, the belt led through between them.";
    }

    @Override
    public Does does() {
        return Does.HOLDS;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(MOTOR, ROD, MACHINE_SIDE);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(PLATE, RIM));
        all.addAll(SCREWS.params());
        all.addAll(List.of(PILOT_PLAY, HAND, ASIDE, SPACING, ROD_HEIGHT, DEPTH, ROD_PLAY, WALL, SET_INSERT, RIDGE, TILT, BELT_HEIGHT, PASSAGE, PASSAGE_HIGH));
        all.addAll(MOUNT.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(PLATE_CARD)) {
            return PLATE.show(v) + " thick";
        }
        if (card.equals(MOTOR_CARD)) {
            return SCREWS.thread.of(v) + "×" + Quantity.plain(SCREWS.length.of(v), Unit.MM);
        }
        if (card.equals(RODS_CARD)) {
            return SPACING.show(v) + " apart, held over " + DEPTH.show(v);
        }
        if (card.equals(SET_CARD)) {
            return SET_THREAD + (TILT.of(v) > 0 ? ", leaning by " + TILT.show(v) : ", upright");
        }
        if (card.equals(FIXED_CARD)) {
            return MOUNT.thread.of(v) + "×" + Quantity.plain(MOUNT.length.of(v), Unit.MM) + " where holes are bound";
        }
        return card.equals(BELT_CARD) ? PASSAGE.of(v) > 0 ? PASSAGE.show(v) + " × " + PASSAGE_HIGH.show(v) : "none" : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** Rods held over three of their diameters, far enough apart for the motor's pulley. */
    @Override
    public List<Values> starts(Refs refs) {
        return refs.of(ROD).map(r -> List.of(Values.START.with(DEPTH, Math.max(DEPTH.start(), 3 * r.diameterMm() + 1)).with(ROD_HEIGHT, Math.max(ROD_HEIGHT.start(), PLATE.start() + r.diameterMm() + 6)))
                ).orElse(List.of(Values.START));
    }

    /** What follows from the numbers. */
    private record Sizes(double bore, double halfMotor, double blockFrom, double blockTo, double halfBlock, double top, double reach, HeatSetInsert insert, double insertHole, double insertDepth) {
        static Sizes of(PartInputs in) {
            HeatSetInsert insert = in.hardware().insert(SET_THREAD, in.get(SET_INSERT)).orElseThrow(() -> new PartProblem(SET_INSERT, "No insert for " + SET_THREAD + " is in the table."));
            double bore = in.get(ROD).diameterMm() + in.get(ROD_PLAY) + in.holeOffsetMm();
            double depth = insert.lengthMm() + 0.5;
            double reach = bore / 2 + in.get(RIDGE) + depth;
            double from = in.get(MOTOR).faceMm() / 2 + BESIDE_MM;
            double sin = Math.sin(Math.toRadians(in.get(TILT)));
            double cos = Math.cos(Math.toRadians(in.get(TILT)));
            double seat = insert.outerMm() / 2 + ROUND_SEAT_MM;
            double half = in.get(SPACING) / 2 + Math.max(bore / 2 + in.get(WALL), reach * sin + seat * cos);
            double top = in.get(ROD_HEIGHT) + Math.max(bore / 2 + in.get(WALL), reach * cos + seat * sin);
            return new Sizes(bore, in.get(MOTOR).faceMm() / 2 + in.get(RIM), from, from + in.get(DEPTH) + in.get(WALL), half, top, reach, insert, insert.holeMm() + in.holeOffsetMm(), depth);
        }
    }

    private static Leaf box(String feature, double x0, double x1, double y0, double y1, double z0, double z1) {
        return Leaf.extrusion(feature, Profile.rectangle((x0 + x1) / 2, (y0 + y1) / 2, x1 - x0, y1 - y0), Placement.HERE, z0, z1);
    }

    @Override
    public PartForm form(PartInputs in) {
        MotorRef motor = in.get(MOTOR);
        RodRef rod = in.get(ROD);
        HolesRef face = motor.holes().orElseThrow(() -> new PartProblem("The holes of “" + motor.name() + "” are not known; read them from outside to outside and inside to inside."));
        Sizes s = Sizes.of(in);
        double aside = in.get(HAND).sign() * in.get(ASIDE);
        double low = in.get(ROD_HEIGHT) - s.bore / 2 - in.get(WALL);
        if (low < 0) {
            throw new PartProblem(ROD_HEIGHT, "Rods of Ø " + Quantity.mm(rod.diameterMm()) + " with walls of " + Quantity.mm(in.get(WALL)) + " reach below the plate's underside; set them at least "
                    + Quantity.mm(Math.ceil(in.get(ROD_HEIGHT) - low)) + " high.");
        }
        double between = in.get(SPACING) - s.bore - 2 * in.get(WALL);
        if (in.get(PASSAGE) > Math.max(0, between)) {
            throw new PartProblem(PASSAGE, "A passage of " + Quantity.mm(in.get(PASSAGE)) + " cuts into the walls of the rods, which leave " + Quantity.mm(Math.max(0, between)) + " between them; make it "
                    + "narrower or set the rods further apart.");
        }
        ScrewRow row = new ScrewRow(SCREWS, in, face, "part", PLATE, false);
        Optional<ScrewRow> mount = in.refs().of(MACHINE_SIDE).map(h -> new ScrewRow(MOUNT, in, h, "part", PLATE, false));
        Profile square = Profile.rectangle(in.get(SCREWS.x), in.get(SCREWS.y), 2 * s.halfMotor, 2 * s.halfMotor);
        Profile foot = Profile.rectangle((s.blockFrom + s.blockTo) / 2, aside, s.blockTo - s.blockFrom, 2 * s.halfBlock);
        List<Solid> body = new ArrayList<>(List.of(Leaf.extrusion("plate", Profiles.hull(List.of(square, foot)), Placement.HERE, 0, in.get(PLATE)),
                Leaf.extrusion("block", foot, Placement.HERE, 0, s.top)));
        body.addAll(row.bosses());
        mount.ifPresent(m -> body.addAll(m.bosses()));
        List<Cavity> cavities = new ArrayList<>(row.cavities());
        List<Solid> cuts = new ArrayList<>(row.cuts(s.top));
        Cavity pilot = Cavity.hole("pilot", "pilot", "motor's pilot", Placement.at(in.get(SCREWS.x), in.get(SCREWS.y), 0), motor.pilotMm() + in.get(PILOT_PLAY) + in.holeOffsetMm(), in.get(PLATE));
        cavities.add(pilot);
        cuts.add(Leaf.extrusion("pilot", Profile.hole(0, 0, pilot.widthMm(), 72), pilot.axis(), -row.standoffMm() - BEYOND_MM, in.get(PLATE) + BEYOND_MM));
        List<Held> held = new ArrayList<>();
        for (int side : new int[] {-1, 1}) {
            held.add(rod(in, s, side, cavities, cuts));
        }
        if (in.get(PASSAGE) > 0) {
            cuts.add(box("belt passage", s.blockFrom - BEYOND_MM, s.blockTo + BEYOND_MM, aside - in.get(PASSAGE) / 2, aside + in.get(PASSAGE) / 2,
                    in.get(BELT_HEIGHT) - in.get(PASSAGE_HIGH) / 2, in.get(BELT_HEIGHT) + in.get(PASSAGE_HIGH) / 2));
        }
        List<Screw> screws = new ArrayList<>(row.screws());
        mount.ifPresent(m -> {
            cuts.addAll(m.cuts(s.top));
            cavities.addAll(m.cavities());
            screws.addAll(m.screws());
            held.add(m.heldThing());
        });
        held.add(new Held(motor.name(), box("motor", in.get(SCREWS.x) - motor.faceMm() / 2, in.get(SCREWS.x) + motor.faceMm() / 2, in.get(SCREWS.y) - motor.faceMm() / 2,
                in.get(SCREWS.y) + motor.faceMm() / 2, -row.standoffMm() - motor.lengthMm(), -row.standoffMm()), 0));
        return PartForm.of(Piece.only("end block", new Solid.Difference(new Solid.Union(body), cuts), cavities, reaches(row)).of(HAND.show(in.values())), screws, held, dimensions(in, s),
                Optional.of(new PartForm.Mount(mount.map(m -> Placement.at(in.get(MOUNT.x), in.get(MOUNT.y), -m.standoffMm()).turnedDeg(in.get(MOUNT.turn))).orElse(Placement.HERE), false)));
    }

    /** A socket with its set screw's insert; answers the rod in it. */
    private static Held rod(PartInputs in, Sizes s, int side, List<Cavity> cavities, List<Solid> cuts) {
        String of = side < 0 ? "A" : "B";
        double y = in.get(HAND).sign() * in.get(ASIDE) + side * in.get(SPACING) / 2;
        Placement mouth = new Placement(new Vec3(s.blockTo, y, in.get(ROD_HEIGHT)), Vec3.Y.times(-1), Vec3.Z, Vec3.X.times(-1));
        Cavity socket = new Cavity("rod socket " + of, "rod." + of, "rod socket " + of, Cavity.Purpose.POCKET, mouth, s.bore, 0, in.get(DEPTH), false, 0, List.of(new Lever(WALL, 1, "wall round the rods")));
        cavities.add(socket);
        cuts.add(Leaf.extrusion(socket.feature(), Profile.hole(0, 0, s.bore, SIDES), mouth, -BEYOND_MM, in.get(DEPTH)));
        cuts.add(LyingHole.roof(socket));
        double a = Math.toRadians(in.get(TILT));
        Vec3 out = new Vec3(0, side * Math.sin(a), Math.cos(a));
        Vec3 seat = new Vec3(s.blockTo - in.get(DEPTH) / 2, y, in.get(ROD_HEIGHT)).plus(out.times(s.reach));
        Placement in1 = Placement.along(seat, out.times(-1), Vec3.X);
        double clear = in.hardware().thread(SET_THREAD).clearanceMm(ScrewThread.Fit.MEDIUM) + in.holeOffsetMm();
        cavities.add(new Cavity("set insert " + of, "rod." + of, "set screw's insert " + of, Cavity.Purpose.INSERT, in1, s.insertHole, 0, s.insertDepth, false, clear, List.of(new Lever(RIDGE, 1, "ridge"))));
        cuts.add(Leaf.extrusion("set insert " + of, Profile.hole(0, 0, s.insertHole, SIDES), in1, -BEYOND_MM, s.insertDepth));
        cuts.add(Leaf.extrusion("set insert " + of, Profile.hole(0, 0, clear, SIDES), in1, s.insertDepth - BEYOND_MM, s.reach));
        // What stands above the seat of a leaning one, or of one set deeper than the block is high, is taken off so that the iron gets there.
        cuts.add(Leaf.extrusion("set seat " + of, Profile.disc(0, 0, 2 * (s.insert.outerMm() / 2 + ROUND_SEAT_MM), SIDES), in1, -s.top, 0));
        return new Held("rod " + of, Leaf.extrusion("rod " + of, Profile.disc(0, 0, in.get(ROD).diameterMm(), SIDES), mouth, -80, in.get(DEPTH) - 0.2), Math.max(0, -in.get(ROD_PLAY)));
    }

    private static List<Reach> reaches(ScrewRow row) {
        List<Reach> all = new ArrayList<>(row.reaches());
        all.add(new Reach("plate", Vec3.Z, new Lever(PLATE, 1, "plate")));
        all.add(new Reach("plate", Vec3.X.times(-1), new Lever(RIM, 1, "rim")));
        for (int side : new int[] {-1, 1}) {
            all.add(new Reach("block", Vec3.Y.times(side), new Lever(WALL, 1, "wall round the rods")));
        }
        all.add(new Reach("block", Vec3.X, new Lever(DEPTH, 1, "held over")));
        all.add(new Reach("belt passage", Vec3.ZERO, new Lever(PASSAGE, -0.5, "passage")));
        return all;
    }

    private static List<Dimension> dimensions(PartInputs in, Sizes s) {
        double half = in.get(SPACING) / 2;
        double mid = in.get(HAND).sign() * in.get(ASIDE);
        return List.of(Dimension.up(View.TOP, s.blockTo, mid - half, 0, s.blockTo, mid + half, 0, 10, SPACING), Dimension.across(View.TOP, s.blockTo - in.get(DEPTH), mid - s.halfBlock, 0,
                s.blockTo, mid - s.halfBlock, 0, -10, DEPTH), Dimension.across(View.TOP, -s.halfMotor, -s.halfMotor, 0, s.blockTo, -s.halfMotor, 0, -22, null),
                Dimension.up(View.FRONT, s.blockTo, 0, 0, s.blockTo, 0, in.get(ROD_HEIGHT), 10, ROD_HEIGHT), Dimension.up(View.FRONT, -s.halfMotor, 0, 0, -s.halfMotor, 0, in.get(PLATE), -8, PLATE),
                Dimension.across(View.SIDE, 0, mid - in.get(PASSAGE) / 2, in.get(BELT_HEIGHT), 0, mid + in.get(PASSAGE) / 2, in.get(BELT_HEIGHT), 14, PASSAGE));
    }
}
