package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.air.UsualFan;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.FanRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.block.Gathered;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.block.StandingRow;
import tinperch.part.block.WireHolder;
import tinperch.part.form.AirPath;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Reach;
import tinperch.part.form.SeatKind;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;

/**
 * A bracket for an axial fan, or two side by side: a wall they are screwed to, and a foot with slots on what carries it, so that it can be moved to and fro before it is
 * tightened. Ledges hold the fan while its screws go in. The foot lies on z = 0; the fan is before the wall, at y below 0, and blows along y.
 */
public final class FanBracket implements PartFamily {
    private static final Card WALL_CARD = new Card("wall", "Wall");
    private static final Card FAN_CARD = new Card("fan", "Holds: the fan");
    private static final Card WIRES_CARD = new Card("wires", "Holds: wires");
    private static final Card FOOT_CARD = new Card("foot", "Foot");
    private static final Card FIXED_CARD = new Card("mount", "Holds: machine side");

    public static final NumberParam WALL = NumberParam.length("wall.thickness", WALL_CARD, "Wall", 2, 30, 5, "Between the fan and its screws' heads");
    public static final NumberParam RIM = NumberParam.length("wall.rim", WALL_CARD, "Rim round the fan", 0, 30, 2, "How far the wall stands out beyond the fan's frame");
    public static final NumberParam LIFT = NumberParam.length("wall.lift", WALL_CARD, "Fan's lift", 0, 200, 4, "From the foot's upper side to the fan's frame");
    public static final NumberParam OPENING = NumberParam.length("wall.opening", WALL_CARD, "Opening Ø", 5, 140, 37, "The fan's own or a little less");
    public static final SwitchParam ROOFS = new SwitchParam("wall.roofs", WALL_CARD, "Holes with a roof", true, "Lying holes print rounder with a roof of 45° over them");
    public static final ScrewBlock SCREWS = new ScrewBlock("fan", "fan", FAN_CARD, SeatKind.LOOSE_NUT, 0, 10, 20);
    public static final NumberParam LEDGE = NumberParam.length("fan.ledge", FAN_CARD, "Ledges under the fan", 0, 30, 4, "They hold it while its screws go in; 45° below, so that they print by themselves. 0 for none");
    public static final NumberParam FOOT = NumberParam.length("foot.thickness", FOOT_CARD, "Foot", 2, 30, 5, "Lies on what carries it");
    public static final NumberParam LONG = NumberParam.length("foot.length", FOOT_CARD, "Foot's length", 6, 200, 24, "Behind the wall");
    public static final NumberParam RIB = NumberParam.length("foot.rib", FOOT_CARD, "Ribs", 0, 20, 3, "Thickness of those at both ends, from foot to wall; 0 for none");
    public static final NumberParam RIB_HIGH = NumberParam.length("foot.rib.high", FOOT_CARD, "Ribs' height", 3, 200, 20, "Up the wall");
    public static final NumberParam FANS = NumberParam.count("fan.count", FAN_CARD, "Fans", 1, 2, 1, "Two of the same side by side");
    public static final NumberParam BETWEEN = NumberParam.length("fan.between", FAN_CARD, "Between the fans", 0, 200, 2, "From frame to frame, where there are two");
    public static final WireHolder WIRE = new WireHolder(WIRES_CARD, "wire", "Wire clip", "The fan's own cable is pressed into it");
    public static final WireHolder HARNESS = new WireHolder(WIRES_CARD, "harness", "Harness holder", "For the bundle that what was there before used to hold");
    public static final ScrewBlock MOUNT = new ScrewBlock("mount", "machine-side", FIXED_CARD, SeatKind.LOOSE_NUT, 0, 3, 12, 8);

    public static final Role<FanRef> FAN = new Role<>("fan", FanRef.KIND, "fan", "the axial fan with its holes and its opening", false, "fan-40x10");
    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes of what carries it", false, "pair-20");

    private static final int SIDES = 72;
    private static final double BEYOND_MM = 1;
    /** From a slot's end to the foot's edge or the wall, at least. */
    private static final double LEFT_MM = 2;

    @Override
    public String id() {
        return "fan-bracket";
    }

    @Override
    public String title() {
        return "Fan bracket";
    }

    @Override
    public String purpose() {
        return "Holds a fan upright on a foot with slots, to be moved to and fro before it is tightened.";
    }

    @Override
    public Does does() {
        return Does.MOVES_AIR;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(FAN, MACHINE_SIDE);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(WALL, RIM, LIFT, OPENING, ROOFS));
        all.addAll(SCREWS.params());
        all.addAll(List.of(LEDGE, FANS, BETWEEN));
        all.addAll(WIRE.params());
        all.addAll(HARNESS.params());
        all.addAll(List.of(FOOT, LONG, RIB, RIB_HIGH));
        all.addAll(MOUNT.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(WALL_CARD)) {
            return WALL.show(v) + " thick, opening " + OPENING.show(v);
        }
        if (card.equals(FAN_CARD)) {
            return SCREWS.thread.of(v) + "×" + Quantity.plain(SCREWS.length.of(v), Unit.MM) + (LEDGE.of(v) > 0 ? ", ledges " + LEDGE.show(v) : "");
        }
        if (card.equals(WIRES_CARD)) {
            return (WIRE.bore.of(v) > 0 ? "clip " + WIRE.bore.show(v) : "no clip") + (HARNESS.bore.of(v) > 0 ? ", holder " + HARNESS.bore.show(v) : ", no holder");
        }
        if (card.equals(FOOT_CARD)) {
            return FOOT.show(v) + " thick, " + LONG.show(v) + " long";
        }
        return card.equals(FIXED_CARD) ? MOUNT.thread.of(v) + "×" + Quantity.plain(MOUNT.length.of(v), Unit.MM) + (MOUNT.slot.of(v) > 0 ? ", slots of " + MOUNT.slot.show(v) : "") : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    @Override
    public List<Values> starts(Refs refs) {
        return refs.of(FAN).filter(f -> f.ringMm() > 10).map(f -> List.of(Values.START.with(OPENING, f.ringMm() - 1).with(SCREWS.held, f.depthMm())
                .with(SCREWS.length, Math.ceil((f.depthMm() + WALL.start() + 4) / 5) * 5).with(RIB_HIGH, Math.ceil(f.frameMm() / 2)))).orElse(List.of(Values.START));
    }

    private static Leaf box(String feature, double x0, double x1, double y0, double y1, double z0, double z1) {
        return Leaf.extrusion(feature, Profile.rectangle((x0 + x1) / 2, (y0 + y1) / 2, x1 - x0, y1 - y0), Placement.HERE, z0, z1);
    }

    /** A prism along x with a section in y and z. */
    private static Leaf along(String feature, double x0, double x1, double... yz) {
        return Leaf.extrusion(feature, Profile.of(yz), new Placement(Vec3.ZERO, Vec3.Y, Vec3.Z, Vec3.X), x0, x1);
    }

    /** Section of a ledge in y and z: level above, 45° below, down to the bed at most. */
    private static double[] bracket(double out, double top, double into) {
        double lip = top - 0.6;
        return out < lip ? new double[] {-out, top, -out, lip, 0, lip - out, into, lip - out, into, top}
                : new double[] {-out, top, -out, lip, lip - out, 0, into, 0, into, top};
    }

    @Override
    public PartForm form(PartInputs in) {
        FanRef fan = in.get(FAN);
        HolesRef holes = fan.holes().orElseThrow(() -> new PartProblem("The holes of “" + fan.name() + "” are not known; read them from outside to outside and inside to inside."));
        double wall = in.get(WALL);
        double foot = in.get(FOOT);
        double middle = foot + in.get(LIFT) + fan.frameMm() / 2;
        double top = middle + fan.frameMm() / 2 + in.get(RIM);
        double end = wall + in.get(LONG);
        ScrewRow mount = new ScrewRow(MOUNT, in, in.get(MACHINE_SIDE), "part", FOOT, false);
        StandingRow mounted = new StandingRow(mount, Placement.at(0, wall + in.get(LONG) / 2, 0));
        double widest = mount.places().stream().mapToDouble(p -> Math.abs(p[0])).max().orElse(0) + mount.cutRadiusMm() + LEFT_MM + in.get(RIB);
        double half = Math.max(Math.abs(fans(in, fan)[0]) + fan.frameMm() / 2 + in.get(RIM) + in.get(RIB), widest);
        double[] at = fans(in, fan);
        if (in.get(OPENING) > fan.frameMm()) {
            throw new PartProblem(OPENING, "An opening of Ø " + Quantity.mm(in.get(OPENING)) + " is wider than the fan of " + Quantity.mm(fan.frameMm()) + "; make it at most that.");
        }
        double reach = mount.places().stream().mapToDouble(p -> Math.abs(p[1])).max().orElse(0) + mount.slotMm() / 2 + mount.cutRadiusMm() + LEFT_MM;
        if (reach > in.get(LONG) / 2) {
            throw new PartProblem(LONG, "The slots reach " + Quantity.mm(reach - in.get(LONG) / 2) + " beyond the foot; make it at least " + Quantity.mm(Math.ceil(2 * reach)) + " long, or the way to and fro shorter.");
        }
        ScrewRow row = new ScrewRow(SCREWS, in, all(holes, at), "part", WALL, false);
        StandingRow standing = new StandingRow(row, new Placement(new Vec3(0, 0, middle), Vec3.X.times(-1), Vec3.Z, Vec3.Y));
        Gathered all = new Gathered().body(box("wall", -half, half, 0, wall, 0, top), box("foot", -half, half, 0, end, 0, foot))
                .row(standing, in.get(LONG), in.get(ROOFS)).row(mounted, top, false);
        double rib = in.get(RIB);
        double high = Math.min(in.get(RIB_HIGH), top - foot - 0.5);
        if (rib > 0) {
            for (int side : new int[] {-1, 1}) {
                all.body(along(side < 0 ? "rib A" : "rib B", side < 0 ? -half : half - rib, side < 0 ? -half + rib : half, wall / 2, foot / 2, end, foot / 2, end, foot, wall, foot + high, wall / 2, foot + high));
            }
        }
        double ledge = in.get(LEDGE);
        if (ledge > 0) {
            double under = foot + in.get(LIFT);
            for (int side : new int[] {-1, 1}) {
                for (double middleX : at) {
                    double x = middleX + side * (fan.frameMm() / 2 - 4);
                    all.body(along(side < 0 ? "ledge A" : "ledge B", x - 3, x + 3, bracket(ledge + row.standoffMm(), under, wall / 2)));
                }
            }
        }
        for (WireHolder.Made w : List.of(WIRE.beside(in, half, 1, wall / 2), HARNESS.beside(in, -half, -1, wall / 2))) {
            all.bodies(w.bodies()).cuts(w.cuts());
        }
        List<AirPath> ways = new ArrayList<>();
        double ring = fan.ringMm() > 0 ? fan.ringMm() : in.get(OPENING);
        for (double x : at) {
            String of = at.length == 1 ? "" : x < 0 ? " left" : " right";
            Placement face = new Placement(new Vec3(x, 0, middle), Vec3.X.times(-1), Vec3.Z, Vec3.Y);
            Cavity air = Cavity.hole("opening" + of, "opening" + of, "opening" + of, face, in.get(OPENING), wall);
            all.cut(Leaf.extrusion("opening" + of, Profile.hole(0, 0, in.get(OPENING), SIDES), face, -row.standoffMm() - BEYOND_MM, wall + BEYOND_MM));
            all.cavity(air).holding(new Held(fan.name() + of, Leaf.extrusion("fan", Profile.of(Profile.rectangle(0, 0, fan.frameMm(), fan.frameMm()).ring(0), Profile.hole(0, 0, Math.max(2, fan.ringMm()), SIDES).ring(0)),
                    new Placement(new Vec3(x, -row.standoffMm() - fan.depthMm(), middle), Vec3.X.times(-1), Vec3.Z, Vec3.Y), 0, fan.depthMm()), 0.05));
            ways.add(new AirPath("air of the " + fan.name() + of, Math.PI * ring * ring / 4, Math.PI * in.get(OPENING) * in.get(OPENING) / 4, face,
                    List.of(new Lever(OPENING, Math.PI * in.get(OPENING) / 2, "opening Ø")))
                    .from(new Placement(new Vec3(x, -row.standoffMm() - fan.depthMm(), middle), Vec3.X, Vec3.Z, Vec3.Y.times(-1)), ring).drivenBy(UsualFan.of(fan.frameMm(), fan.depthMm(), false)));
        }
        all.holding(mounted.heldThing().standingThere());
        reaches(all);
        Placement site = mounted.up().times(Placement.at(in.get(MOUNT.x), in.get(MOUNT.y), -mount.standoffMm()).turnedDeg(in.get(MOUNT.turn)));
        return PartForm.of(all.piece("bracket"), all.screws(), all.held(),
                dimensions(in, half, at[at.length - 1], middle, top, end), Optional.of(new PartForm.Mount(site, false))).withAir(ways);
    }

    /** Middles of the fans along x. */
    private static double[] fans(PartInputs in, FanRef fan) {
        double apart = fan.frameMm() + in.get(BETWEEN);
        return in.get(FANS) > 1.5 ? new double[] {-apart / 2, apart / 2} : new double[] {0};
    }

    /** The holes of all of them as one row. */
    private static HolesRef all(HolesRef one, double[] at) {
        List<HolesRef.Hole> all = new ArrayList<>();
        for (int i = 0; i < at.length; i++) {
            // The row's x runs against the part's.
            double x = -at[i];
            String of = at.length == 1 ? "" : String.valueOf(i + 1);
            one.holes().forEach(h -> all.add(new HolesRef.Hole(of + h.label(), x + h.xMm(), h.yMm(), h.diameterMm())));
        }
        return new HolesRef(one.name(), all, one.squareAssumed(), one.known());
    }

    private static void reaches(Gathered all) {
        all.reach(new Reach("wall", Vec3.Y, new Lever(WALL, 1, "wall")), new Reach("wall", Vec3.Z, new Lever(RIM, 1, "rim")), new Reach("foot", Vec3.Z, new Lever(FOOT, 1, "foot")),
                new Reach("foot", Vec3.Y, new Lever(LONG, 1, "foot's length")));
    }

    private static List<Dimension> dimensions(PartInputs in, double half, double at, double middle, double top, double end) {
        return List.of(Dimension.across(View.TOP, -half, 0, 0, half, 0, 0, -14, null), Dimension.up(View.TOP, half, in.get(WALL), 0, half, end, 0, 10, LONG),
                Dimension.up(View.FRONT, -half, 0, 0, -half, 0, top, -14, null), Dimension.across(View.FRONT, at - in.get(OPENING) / 2, 0, middle, at + in.get(OPENING) / 2, 0, middle, top - middle + 8, OPENING),
                Dimension.up(View.SIDE, 0, end, 0, 0, end, in.get(FOOT), 10, FOOT), Dimension.across(View.SIDE, 0, 0, top, 0, in.get(WALL), top, 8, WALL));
    }
}
