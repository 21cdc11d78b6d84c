package tinperch.part.family;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.ProfileRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.block.BeltClamp;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Port;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
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
 * A carriage on grooved wheels round a profile: two fixed wheels above it, one or two on eccentric spacers below, a tool on the other side and
 * clamps for the belt. Its outline is grown: a disc round everything it holds and webs between them, so that no wheel hangs on a single tab. The
 * wheels' side is z = 0, the profile runs along x, the middle between the wheels is x = y = 0.
 */
public final class WheelCarriage implements PartFamily {
    private static final Card PLATE_CARD = new Card("plate", "Plate");
    private static final Card WHEELS_CARD = new Card("wheels", "Rides on: wheels");
    private static final Card AXLES_CARD = new Card("axle", "Holds: fixed wheels");
    private static final Card TOOL_CARD = new Card("tool", "Holds: tool side");
    private static final Card BELT_CARD = new Card("belt", "Holds: the belt");

    /** How the plate is bounded. */
    public enum Outline { GROWN, RECTANGLE }

    /** How many wheels. */
    public enum Wheels { THREE, FOUR }

    public static final NumberParam THICKNESS = NumberParam.length("plate.thickness", PLATE_CARD, "Plate thickness", 2, 40, 6, "Along z");
    public static final ChoiceParam<Outline> OUTLINE = ChoiceParam.of("plate.outline", PLATE_CARD, "Outline", Outline.GROWN, o -> o.name().toLowerCase(java.util.Locale.ROOT),
            "Grown round what it holds, or a rectangle round all of it");
    public static final NumberParam EDGE = NumberParam.length("plate.edge", PLATE_CARD, "Round the holes", 2, 40, 6, "Plastic left round every hole");
    public static final ChoiceParam<Wheels> WHEELS = ChoiceParam.of("wheels.count", WHEELS_CARD, "Wheels", Wheels.FOUR, w -> w.name().toLowerCase(java.util.Locale.ROOT),
            "Two fixed ones above the profile; one or two that are pressed against it below");
    public static final NumberParam APART = NumberParam.length("wheels.apart", WHEELS_CARD, "Wheels apart", 15, 300, 60, "Along the profile");
    public static final NumberParam ROWS = NumberParam.length("wheels.rows", WHEELS_CARD, "Rows apart", 15, 200, 40, "From the fixed wheels' axles to the others', eccentric spacers in their middle position");
    public static final NumberParam ECCENTRIC = NumberParam.length("wheels.eccentric", WHEELS_CARD, "Eccentric spacer's hole Ø", 3, 20, 7.2, "Round its collar, with play to turn it");
    public static final NumberParam WHEEL = NumberParam.length("wheels.diameter", WHEELS_CARD, "Wheel Ø", 8, 80, 24, "Outside");
    public static final NumberParam SPACER = NumberParam.length("wheels.spacer", WHEELS_CARD, "Spacer", 0, 40, 6, "Between plate and wheel");
    public static final ScrewBlock AXLES = new ScrewBlock("axle", "wheel", AXLES_CARD, SeatKind.LOOSE_NUT, 0, 16, 30);
    public static final ScrewBlock CARRIED = new ScrewBlock("tool", "tool-side", TOOL_CARD, SeatKind.INSERT, 8, 3, 8);
    public static final BeltClamp BELT = new BeltClamp(BELT_CARD);

    public static final Role<ProfileRef> PROFILE = new Role<>("profile", ProfileRef.KIND, "profile", "the profile it runs on", false, "profile-20");
    public static final Role<HolesRef> TOOL_SIDE = new Role<>("tool", HolesRef.KIND, "tool side", "the holes of what it carries", false, "holes-32x32");

    private static final int SIDES = 48;
    private static final double WHEEL_WIDE_MM = 10;
    private static final double BEYOND_MM = 1;

    @Override
    public String id() {
        return "wheel-carriage";
    }

    @Override
    public String title() {
        return "Tool carriage on wheels";
    }

    @Override
    public String purpose() {
        return "Runs on a profile by three or four grooved wheels, carries a tool and clamps the belt.";
    }

    @Override
    public Does does() {
        return Does.CARRIES;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(PROFILE, TOOL_SIDE);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(THICKNESS, OUTLINE, EDGE, WHEELS, APART, ROWS, ECCENTRIC, WHEEL, SPACER));
        all.addAll(AXLES.params());
        all.addAll(CARRIED.params());
        all.addAll(BELT.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(PLATE_CARD)) {
            return OUTLINE.show(v) + ", " + THICKNESS.show(v) + " thick";
        }
        if (card.equals(WHEELS_CARD)) {
            return WHEELS.show(v) + ", " + APART.show(v) + " × " + ROWS.show(v);
        }
        if (card.equals(AXLES_CARD)) {
            return AXLES.thread.of(v) + "×" + Quantity.plain(AXLES.length.of(v), Unit.MM);
        }
        if (card.equals(TOOL_CARD)) {
            return CARRIED.thread.of(v) + ", " + CARRIED.standoff.show(v) + " above the plate";
        }
        return card.equals(BELT_CARD) ? BELT.wide.of(v) > 0 ? BELT.belt.show(v) + ", " + BELT.teeth.show(v) + " teeth each end" : "none" : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** M5 axles; rows as far apart as profile and wheels ask, which run some 2 mm deep in their grooves. */
    @Override
    public List<Values> starts(Refs refs) {
        Values axles = Values.START.with(AXLES.thread, "M5").with(AXLES.length, 30.0);
        return List.of(refs.of(PROFILE).map(p -> axles.with(ROWS, p.heightMm() + WHEEL.start() - 4)).orElse(axles));
    }

    /** A wheel with its place and the radius of the disc the plate has round it. */
    private record Place(double x, double y, double disc) {
        Profile profile() {
            return Profile.disc(x, y, 2 * disc, SIDES);
        }

        double from(double[] p) {
            return Math.hypot(p[0] - x, p[1] - y);
        }
    }

    @Override
    public PartForm form(PartInputs in) {
        double t = in.get(THICKNESS);
        double x = in.get(APART) / 2;
        double y = in.get(ROWS) / 2;
        HolesRef above = HolesRef.about("wheels", in.hardware().thread(in.get(AXLES.thread)).diameterMm(), new double[][] {{-x, 0}, {x, 0}}, false, in.get(PROFILE).known());
        // The row's own middle is the middle of the upper wheels.
        ScrewRow axles = new ScrewRow(AXLES, in, new HolesRef(above.name(), above.holes().stream().map(h -> new HolesRef.Hole(h.label(), h.xMm(), h.yMm() + y, h.diameterMm())).toList(),
                false, above.known()), "part", THICKNESS, false);
        ScrewRow tool = new ScrewRow(CARRIED, in, in.get(TOOL_SIDE), "part", THICKNESS, true);
        List<double[]> below = in.get(WHEELS) == Wheels.FOUR ? List.of(new double[] {-x, -y}, new double[] {x, -y}) : List.<double[]>of(new double[] {0, -y});
        List<Place> wheels = new ArrayList<>();
        axles.places().forEach(p -> wheels.add(new Place(p[0], p[1], axles.cutRadiusMm() + axles.slotMm() / 2 + in.get(EDGE))));
        below.forEach(p -> wheels.add(new Place(p[0], p[1], in.get(ECCENTRIC) / 2 + in.get(EDGE))));
        List<Solid> body = new ArrayList<>();
        List<Profile> plate = outline(in, wheels, tool);
        for (int i = 0; i < plate.size(); i++) {
            body.add(Leaf.extrusion("plate", plate.get(i), Placement.HERE, 0, t));
        }
        body.addAll(axles.bosses());
        body.addAll(tool.bosses());
        body.addAll(BELT.posts(in, t));
        double high = tool.standoffMm() + in.get(BELT.wide);
        List<Solid> cuts = new ArrayList<>(axles.cuts(high));
        cuts.addAll(tool.cuts(axles.standoffMm()));
        cuts.addAll(BELT.slots(in, t));
        List<Cavity> cavities = new ArrayList<>(axles.cavities());
        cavities.addAll(tool.cavities());
        for (int i = 0; i < below.size(); i++) {
            double[] p = below.get(i);
            String of = "eccentric " + (char) ('A' + i);
            cuts.add(Leaf.extrusion(of, Profile.hole(p[0], p[1], in.get(ECCENTRIC) + in.holeOffsetMm(), SIDES), Placement.HERE, -BEYOND_MM, t + high + BEYOND_MM));
            cavities.add(Cavity.hole(of, of, of.replace("eccentric", "eccentric spacer's hole"), Placement.at(p[0], p[1], 0), in.get(ECCENTRIC) + in.holeOffsetMm(), t));
        }
        List<Screw> screws = new ArrayList<>(axles.screws());
        screws.addAll(tool.screws());
        List<Held> held = new ArrayList<>(List.of(tool.heldThing()));
        double from = -axles.standoffMm() - in.get(SPACER) - WHEEL_WIDE_MM;
        for (Place w : wheels) {
            held.add(new Held("wheel", Leaf.extrusion("wheel", Profile.disc(w.x, w.y, in.get(WHEEL), SIDES), Placement.HERE, from, from + WHEEL_WIDE_MM), 0));
        }
        return PartForm.of(Piece.only("carriage", new Solid.Difference(new Solid.Union(body), cuts), cavities, reaches(axles, tool)), screws, held, dimensions(in, tool),
                Optional.of(new PartForm.Mount(Placement.at(0, 0, from + WHEEL_WIDE_MM / 2), false))).withPorts(List.of(new Port("tool", "the holes of its tool side", in.get(TOOL_SIDE))));
    }

    /** Discs round everything and webs: round the tool's holes, from each wheel to the two nearest of them, from wheel to wheel. */
    private static List<Profile> outline(PartInputs in, List<Place> wheels, ScrewRow tool) {
        double toolDisc = Math.max(tool.bossMm() / 2, tool.cutRadiusMm() + in.get(EDGE));
        List<Profile> tools = tool.places().stream().map(p -> Profile.disc(p[0], p[1], 2 * toolDisc, SIDES)).toList();
        List<Profile> all = new ArrayList<>(tools);
        wheels.forEach(w -> all.add(w.profile()));
        all.addAll(BELT.feet(in));
        if (in.get(OUTLINE) == Outline.RECTANGLE) {
            double[] f = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
            for (Profile p : all) {
                double[] r = p.ring(0);
                for (int i = 0; i < r.length; i += 2) {
                    f[0] = Math.min(f[0], r[i]);
                    f[1] = Math.min(f[1], r[i + 1]);
                    f[2] = Math.max(f[2], r[i]);
                    f[3] = Math.max(f[3], r[i + 1]);
                }
            }
            return List.of(Profile.roundedRectangle((f[0] + f[2]) / 2, (f[1] + f[3]) / 2, f[2] - f[0], f[3] - f[1], in.get(EDGE), 8));
        }
        List<Profile> webs = new ArrayList<>(List.of(Profiles.hull(tools)));
        for (Place w : wheels) {
            List<double[]> near = tool.places().stream().sorted(Comparator.comparingDouble(w::from)).limit(2).toList();
            List<Profile> web = new ArrayList<>(List.of(w.profile()));
            near.forEach(p -> web.add(Profile.disc(p[0], p[1], 2 * toolDisc, SIDES)));
            webs.add(Profiles.hull(web));
        }
        webs.add(Profiles.hull(List.of(wheels.get(0).profile(), wheels.get(1).profile())));
        if (wheels.size() > 3) {
            webs.add(Profiles.hull(List.of(wheels.get(2).profile(), wheels.get(3).profile())));
        }
        List<Profile> feet = BELT.feet(in);
        if (!feet.isEmpty()) {
            webs.add(Profiles.hull(feet));
        }
        return Profiles.union(webs);
    }

    private static List<Reach> reaches(ScrewRow axles, ScrewRow tool) {
        List<Reach> all = new ArrayList<>(axles.reaches());
        all.addAll(tool.reaches());
        all.add(new Reach("plate", Vec3.Z, new Lever(THICKNESS, 1, "plate")));
        all.add(new Reach("plate", Vec3.ZERO, new Lever(EDGE, 1, "round the holes")));
        return all;
    }

    private static List<Dimension> dimensions(PartInputs in, ScrewRow tool) {
        double x = in.get(APART) / 2;
        double y = in.get(ROWS) / 2;
        double t = in.get(THICKNESS);
        double top = t + tool.standoffMm();
        return List.of(Dimension.across(View.TOP, -x, y, 0, x, y, 0, 18, APART), Dimension.up(View.TOP, -x, -y, 0, -x, y, 0, -18, ROWS),
                Dimension.up(View.FRONT, x, 0, 0, x, 0, t, 16, THICKNESS), Dimension.up(View.FRONT, -x, 0, t, -x, 0, top, -16, CARRIED.standoff))
                .stream().filter(d -> d.lengthMm() > 0.01).toList();
    }
}
