package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.MotorRef;
import tinperch.part.bind.ProfileRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.RodRef;
import tinperch.part.bind.Role;
import tinperch.part.block.EndSockets;
import tinperch.part.block.Hand;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Held;
import tinperch.part.form.Keyway;
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
    private static final Card RODS_CARD = new Card("rods", "Holds: rods or profile");
    private static final Card SET_CARD = new Card("set", "Set screws");
    private static final Card BELT_CARD = new Card("belt", "Lets through: the belt");
    private static final Card FIXED_CARD = new Card("mount", "Holds: what carries it");

    public static final NumberParam PLATE = NumberParam.length("plate.thickness", PLATE_CARD, "Plate", 2, 30, 6, "Between the motor's face and the screws' heads");
    public static final NumberParam RIM = NumberParam.length("plate.rim", PLATE_CARD, "Rim", 0, 40, 1.5, "How far the plate stands out beyond the motor's face");
    public static final ScrewBlock SCREWS = new ScrewBlock("motor", "motor", MOTOR_CARD, SeatKind.TAPPED, 0, 4.5, 10);
    public static final NumberParam PILOT_PLAY = NumberParam.length("motor.pilot.play", MOTOR_CARD, "Pilot's play", 0, 5, 0.1, "Beside the printer's running fit; the hole lets the pilot in from below and the pulley up through it");
    public static final ChoiceParam<Hand> HAND = Hand.param("plate.hand", RODS_CARD, "Of the gantry; on the other one the rods' middle lies on the other side of the shaft");
    public static final NumberParam ASIDE = NumberParam.length("rods.aside", RODS_CARD, "Rods' middle at y", -60, 60, 0, "From the shaft to the middle between the rods; half the pulley's pitch Ø brings one run of the belt there");
    public static final EndSockets HOLD = new EndSockets(RODS_CARD, SET_CARD);
    public static final NumberParam BELT_HEIGHT = NumberParam.length("belt.height", BELT_CARD, "Belt's height", 0, 200, 20, "Middle of the belt above the plate's underside, as its line was measured");
    public static final NumberParam PASSAGE = NumberParam.length("belt.passage", BELT_CARD, "Passage", 0, 200, 20, "Across; both runs and the pulley's size go through. 0 for none");
    public static final NumberParam PASSAGE_HIGH = NumberParam.length("belt.passage.high", BELT_CARD, "Passage high", 2, 100, 12, "The belt's width and what it may wander");
    public static final ScrewBlock MOUNT = new ScrewBlock("mount", "machine-side", FIXED_CARD, SeatKind.LOOSE_NUT, 0, 3, 16);

    public static final Role<MotorRef> MOTOR = new Role<>("motor", MotorRef.KIND, "motor", "the motor's face with its holes and pilot", false, "motor-17");
    public static final Role<RodRef> ROD = new Role<>("rod", RodRef.KIND, "rod", "one of the two rods", false, "rod-8");
    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes of what carries it", true, "pair-60");
    public static final Role<ProfileRef> PROFILE = new Role<>("profile", ProfileRef.KIND, "profile", "the profile it holds, where it holds one", true, "profile-20");

    private static final double BEYOND_MM = 1;
    /** Of a usual pulley: half its belt with a flange, its hub's wall and set screw (common practice). */
    private static final double HALF_BELT_MM = 4.5;
    private static final double HUB_WALL_MM = 4;
    private static final String HUB_THREAD = "M3";
    /** Between the motor's face and the block, for screws' heads and pulley. */
    private static final double BESIDE_MM = 2;
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
        return "Holds two rods or a profile with set screws beside a motor's face, and leads the belt through.";
    }

    @Override
    public Does does() {
        return Does.HOLDS;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(MOTOR, ROD, PROFILE, MACHINE_SIDE);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(PLATE, RIM));
        all.addAll(SCREWS.params());
        all.addAll(List.of(PILOT_PLAY, HAND, ASIDE));
        all.addAll(HOLD.params());
        all.addAll(List.of(BELT_HEIGHT, PASSAGE, PASSAGE_HIGH));
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
            return HOLD.summary(v);
        }
        if (card.equals(SET_CARD)) {
            return HOLD.setSummary(v);
        }
        if (card.equals(FIXED_CARD)) {
            return MOUNT.thread.of(v) + "×" + Quantity.plain(MOUNT.length.of(v), Unit.MM) + " where holes are bound";
        }
        return card.equals(BELT_CARD) ? PASSAGE.of(v) > 0 ? PASSAGE.show(v) + " × " + PASSAGE_HIGH.show(v) : "none" : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** Rods held over three of their diameters, far enough apart for the motor's pulley. */
    @Override
    public List<Values> starts(Refs refs) {
        return refs.of(ROD).map(r -> List.of(Values.START.with(HOLD.depth, Math.max(HOLD.depth.start(), 3 * r.diameterMm() + 1)).with(HOLD.height, Math.max(HOLD.height.start(), PLATE.start() + r.diameterMm() + 6)))
                ).orElse(List.of(Values.START));
    }

    private static Leaf box(String feature, double x0, double x1, double y0, double y1, double z0, double z1) {
        return Leaf.extrusion(feature, Profile.rectangle((x0 + x1) / 2, (y0 + y1) / 2, x1 - x0, y1 - y0), Placement.HERE, z0, z1);
    }

    @Override
    public PartForm form(PartInputs in) {
        MotorRef motor = in.get(MOTOR);
        RodRef rod = in.get(ROD);
        HolesRef face = motor.holes().orElseThrow(() -> new PartProblem("The holes of “" + motor.name() + "” are not known; read them from outside to outside and inside to inside."));
        double aside = in.get(HAND).sign() * in.get(ASIDE);
        double from = motor.faceMm() / 2 + BESIDE_MM;
        double to = from + in.get(HOLD.depth) + in.get(HOLD.wall);
        double halfMotor = motor.faceMm() / 2 + in.get(RIM);
        EndSockets.Made hold = HOLD.of(in, rod, in.refs().of(PROFILE), aside, to);
        if (hold.lowestMm() < 0) {
            throw new PartProblem(HOLD.height, "What it holds, with walls of " + Quantity.mm(in.get(HOLD.wall)) + ", reaches below the plate's underside; set it at least "
                    + Quantity.mm(Math.ceil(in.get(HOLD.height) - hold.lowestMm())) + " high.");
        }
        boolean rods = in.get(HOLD.holds) == EndSockets.Holds.RODS;
        if (rods && in.get(PASSAGE) > hold.betweenMm()) {
            throw new PartProblem(PASSAGE, "A passage of " + Quantity.mm(in.get(PASSAGE)) + " cuts into the walls of the rods, which leave " + Quantity.mm(hold.betweenMm()) + " between them; make it "
                    + "narrower or set the rods further apart.");
        }
        double half = in.get(PASSAGE_HIGH) / 2 + BEYOND_MM;
        if (!rods && in.get(PASSAGE) > 0 && in.get(BELT_HEIGHT) + half > hold.hollowMm()[0] && in.get(BELT_HEIGHT) - half < hold.hollowMm()[1]) {
            throw new PartProblem(BELT_HEIGHT, "The belt's passage " + Quantity.mm(in.get(BELT_HEIGHT)) + " up runs into the profile, which lies from " + Quantity.mm(hold.hollowMm()[0]) + " to "
                    + Quantity.mm(hold.hollowMm()[1]) + "; lead the belt above or below it, or set the profile elsewhere.");
        }
        ScrewRow row = new ScrewRow(SCREWS, in, face, "part", PLATE, false);
        Optional<ScrewRow> mount = in.refs().of(MACHINE_SIDE).map(h -> new ScrewRow(MOUNT, in, h, "part", PLATE, false));
        Profile square = Profile.rectangle(in.get(SCREWS.x), in.get(SCREWS.y), 2 * halfMotor, 2 * halfMotor);
        Profile foot = Profile.rectangle((from + to) / 2, aside, to - from, 2 * hold.halfMm());
        List<Solid> body = new ArrayList<>(List.of(Leaf.extrusion("plate", Profiles.hull(List.of(square, foot)), Placement.HERE, 0, in.get(PLATE)),
                Leaf.extrusion("block", foot, Placement.HERE, 0, hold.topMm())));
        body.addAll(row.bosses());
        mount.ifPresent(m -> body.addAll(m.bosses()));
        List<Cavity> cavities = new ArrayList<>(row.cavities());
        List<Solid> cuts = new ArrayList<>(row.cuts(hold.topMm()));
        Cavity pilot = Cavity.hole("pilot", "pilot", "motor's pilot", Placement.at(in.get(SCREWS.x), in.get(SCREWS.y), 0), motor.pilotMm() + in.get(PILOT_PLAY) + in.fits().runningMm() + in.holeOffsetMm(), in.get(PLATE));
        cavities.add(pilot);
        cuts.add(Leaf.extrusion("pilot", Profile.hole(0, 0, pilot.widthMm(), 72), pilot.axis(), -row.standoffMm() - BEYOND_MM, in.get(PLATE) + BEYOND_MM));
        cavities.addAll(hold.cavities());
        cuts.addAll(hold.cuts());
        List<Held> held = new ArrayList<>(hold.held());
        if (in.get(PASSAGE) > 0) {
            cuts.add(box("belt passage", from - BEYOND_MM, to + BEYOND_MM, aside - in.get(PASSAGE) / 2, aside + in.get(PASSAGE) / 2,
                    in.get(BELT_HEIGHT) - in.get(PASSAGE_HIGH) / 2, in.get(BELT_HEIGHT) + in.get(PASSAGE_HIGH) / 2));
        }
        List<Screw> screws = new ArrayList<>(row.screws());
        mount.ifPresent(m -> {
            cuts.addAll(m.cuts(hold.topMm()));
            cavities.addAll(m.cavities());
            screws.addAll(m.screws());
            held.add(m.heldThing().standingThere());
        });
        held.add(new Held(motor.name(), box("motor", in.get(SCREWS.x) - motor.faceMm() / 2, in.get(SCREWS.x) + motor.faceMm() / 2, in.get(SCREWS.y) - motor.faceMm() / 2,
                in.get(SCREWS.y) + motor.faceMm() / 2, -row.standoffMm() - motor.lengthMm(), -row.standoffMm()), 0));
        return PartForm.of(Piece.only("end block", new Solid.Difference(new Solid.Union(body), cuts), cavities, reaches(row)).of(HAND.show(in.values())), screws, held, dimensions(in, hold, aside, halfMotor, to),
                Optional.of(new PartForm.Mount(mount.map(m -> Placement.at(in.get(MOUNT.x), in.get(MOUNT.y), -m.standoffMm()).turnedDeg(in.get(MOUNT.turn))).orElse(Placement.HERE), false))).withKeyways(keyways(in, motor, hold));
    }

    /** The set screws of the sockets, and that of the pulley on the motor's shaft: its hub lies between the plate and the belt. */
    private static List<Keyway> keyways(PartInputs in, MotorRef motor, EndSockets.Made hold) {
        List<Keyway> all = new ArrayList<>(hold.keyways());
        double under = in.get(BELT_HEIGHT) - HALF_BELT_MM;
        if (in.get(PASSAGE) > 0 && under > in.get(PLATE)) {
            all.add(new Keyway("set screw of the pulley", HUB_THREAD, Placement.at(in.get(SCREWS.x), in.get(SCREWS.y), (in.get(PLATE) + under) / 2), motor.shaftMm() / 2 + HUB_WALL_MM));
        }
        return all;
    }

    private static List<Reach> reaches(ScrewRow row) {
        List<Reach> all = new ArrayList<>(row.reaches());
        all.add(new Reach("plate", Vec3.Z, new Lever(PLATE, 1, "plate")));
        all.add(new Reach("plate", Vec3.X.times(-1), new Lever(RIM, 1, "rim")));
        for (int side : new int[] {-1, 1}) {
            all.add(new Reach("block", Vec3.Y.times(side), new Lever(HOLD.wall, 1, "wall round them")));
        }
        all.add(new Reach("block", Vec3.X, new Lever(HOLD.depth, 1, "held over")));
        all.add(new Reach("belt passage", Vec3.ZERO, new Lever(PASSAGE, -0.5, "passage")));
        return all;
    }

    private static List<Dimension> dimensions(PartInputs in, EndSockets.Made hold, double mid, double halfMotor, double to) {
        double half = in.get(HOLD.spacing) / 2;
        List<Dimension> all = new ArrayList<>();
        if (in.get(HOLD.holds) == EndSockets.Holds.RODS) {
            all.add(Dimension.up(View.TOP, to, mid - half, 0, to, mid + half, 0, 10, HOLD.spacing));
        }
        all.addAll(List.of(Dimension.across(View.TOP, to - in.get(HOLD.depth), mid - hold.halfMm(), 0, to, mid - hold.halfMm(), 0, -10, HOLD.depth),
                Dimension.across(View.TOP, -halfMotor, -halfMotor, 0, to, -halfMotor, 0, -22, null), Dimension.up(View.FRONT, to, 0, 0, to, 0, in.get(HOLD.height), 10, HOLD.height),
                Dimension.up(View.FRONT, -halfMotor, 0, 0, -halfMotor, 0, in.get(PLATE), -8, PLATE),
                Dimension.across(View.SIDE, 0, mid - in.get(PASSAGE) / 2, in.get(BELT_HEIGHT), 0, mid + in.get(PASSAGE) / 2, in.get(BELT_HEIGHT), 14, PASSAGE)));
        return all;
    }
}
