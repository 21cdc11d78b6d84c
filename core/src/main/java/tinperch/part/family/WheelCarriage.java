package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.NearRef;
import tinperch.part.bind.PlateRef;
import tinperch.part.bind.ProfileRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.block.BeltClamp;
import tinperch.part.block.CarriageRide;
import tinperch.part.block.GrownOutline.Disc;
import tinperch.part.block.GrownOutline;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Port;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.form.Track;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
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
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * A carriage on grooved wheels round a profile, two fixed ones above it, one or two on eccentric spacers below; or on bought bearing blocks on two
 * rods. On its other side a tool, clamps for the belt, a hole for the filament's path, a probe and an end switch. Its outline is grown, so that nothing
 * hangs on a single tab, or a rectangle, or that of a measured plate. The side it rides on is z = 0, it runs along x, the middle is x = y = 0.
 */
public final class WheelCarriage implements PartFamily {
    private static final Card PLATE_CARD = new Card("plate", "Plate");
    private static final Card WHEELS_CARD = new Card("wheels", "Rides on: wheels");
    private static final Card AXLES_CARD = new Card("axle", "Holds: fixed wheels");
    private static final Card TOOL_CARD = new Card("tool", "Holds: tool side");
    private static final Card BLOCKS_CARD = new Card("block", "Rides on: bearing blocks");
    private static final Card MORE_CARD = new Card("more", "Holds: path and probe");
    private static final Card SWITCH_CARD = new Card("switch", "Holds: end switch");
    private static final Card SECOND_CARD = new Card("tool2", "Holds: a second tool");
    private static final Card BELT_CARD = new Card("belt", "Holds: the belt");

    /** How the plate is bounded. */
    public enum Outline { GROWN, RECTANGLE, MEASURED }

    public static final NumberParam THICKNESS = NumberParam.length("plate.thickness", PLATE_CARD, "Plate thickness", 2, 40, 6, "Along z");
    public static final ChoiceParam<Outline> OUTLINE = ChoiceParam.of("plate.outline", PLATE_CARD, "Outline", Outline.GROWN, o -> o.name().toLowerCase(java.util.Locale.ROOT),
            "Grown round what it holds, a rectangle round all of it, or that of the plate it is to be like");
    public static final NumberParam EDGE = NumberParam.length("plate.edge", PLATE_CARD, "Round the holes", 2, 40, 6, "Plastic left round every hole");
    public static final SwitchParam CLEAR = new SwitchParam("plate.clear", PLATE_CARD, "Clear of what stands by", true, "A grown outline leaves the machine's neighbours the room they want, at rest");
    public static final CarriageRide RIDE = new CarriageRide(WHEELS_CARD, AXLES_CARD, BLOCKS_CARD);
    public static final ScrewBlock CARRIED = new ScrewBlock("tool", "tool-side", TOOL_CARD, SeatKind.INSERT, 8, 3, 8);
    public static final ScrewBlock SECOND = new ScrewBlock("tool2", "second tool's", SECOND_CARD, SeatKind.INSERT, 8, 3, 8);
    public static final BeltClamp BELT = new BeltClamp(BELT_CARD);
    public static final NumberParam PATH = NumberParam.length("path.diameter", MORE_CARD, "Filament's path Ø", 0, 30, 0, "A hole in the middle of the tool's pattern; 0 for none");
    public static final NumberParam PROBE = NumberParam.length("probe.diameter", MORE_CARD, "Probe's hole Ø", 0, 40, 0, "For a threaded barrel with its two nuts: 8, 12 or 18; 0 for none");
    public static final NumberParam PROBE_X = NumberParam.length("probe.x", MORE_CARD, "Probe at x", -200, 200, 40, "From the middle of the part");
    public static final NumberParam PROBE_Y = NumberParam.length("probe.y", MORE_CARD, "Probe at y", -200, 200, 0, "From the middle of the part");
    public static final NumberParam PROBE_RIM = NumberParam.length("probe.rim", MORE_CARD, "Round the probe", 2, 30, 4, "Plastic left round its hole; its nuts must lie on it");
    public static final ScrewBlock SWITCH = new ScrewBlock("switch", "end switch", SWITCH_CARD, SeatKind.LOOSE_NUT, 0, 6.5, 16);

    public static final Role<ProfileRef> PROFILE = new Role<>("profile", ProfileRef.KIND, "profile", "the profile it runs on", false, "profile-20");
    public static final Role<HolesRef> TOOL_SIDE = new Role<>("tool", HolesRef.KIND, "tool side", "the holes of what it carries", false, "holes-32x32");
    public static final Role<HolesRef> SECOND_TOOL = new Role<>("tool2", HolesRef.KIND, "second tool", "the holes of a second thing it carries", true, "pair-20");
    public static final Role<HolesRef> BLOCK = new Role<>("block", HolesRef.KIND, "bearing block", "the threads of one bearing block", true, "holes-24x18");
    public static final Role<HolesRef> END_SWITCH = new Role<>("switch", HolesRef.KIND, "end switch", "the holes of the end switch", true, "pair-9.5");
    public static final Role<PlateRef> PLATE = new Role<>("plate", PlateRef.KIND, "plate", "the plate whose outline it is to have", true, "outline-80x60");
    public static final Role<NearRef> NEAR = new Role<>("near", NearRef.KIND, "surroundings", "what stands round its site", true, "");

    private static final int SIDES = 48;
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
        return "Runs on grooved wheels or bearing blocks, carries a tool and clamps the belt.";
    }

    @Override
    public Does does() {
        return Does.CARRIES;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(PROFILE, TOOL_SIDE, SECOND_TOOL, BLOCK, END_SWITCH, PLATE, NEAR);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(THICKNESS, OUTLINE, EDGE, CLEAR));
        all.addAll(RIDE.wheelParams());
        all.addAll(CARRIED.params());
        all.addAll(SECOND.params());
        all.addAll(BELT.params());
        all.addAll(RIDE.blockParams());
        all.addAll(List.of(PATH, PROBE, PROBE_X, PROBE_Y, PROBE_RIM));
        all.addAll(SWITCH.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(PLATE_CARD)) {
            return OUTLINE.show(v) + ", " + THICKNESS.show(v) + " thick";
        }
        if (card.equals(WHEELS_CARD)) {
            return RIDE.on.show(v) + ", " + RIDE.apart.show(v) + " × " + RIDE.rows.show(v);
        }
        if (card.equals(AXLES_CARD)) {
            return RIDE.axles.thread.of(v) + "×" + Quantity.plain(RIDE.axles.length.of(v), Unit.MM);
        }
        if (card.equals(TOOL_CARD)) {
            return CARRIED.thread.of(v) + ", " + CARRIED.standoff.show(v) + " above the plate";
        }
        if (card.equals(SECOND_CARD)) {
            return SECOND.thread.of(v) + " where its holes are bound";
        }
        if (card.equals(BLOCKS_CARD)) {
            return RIDE.on.of(v) == CarriageRide.On.BLOCKS ? RIDE.blocks.thread.of(v) + "×" + Quantity.plain(RIDE.blocks.length.of(v), Unit.MM) : "none";
        }
        if (card.equals(MORE_CARD)) {
            return (PATH.of(v) > 0 ? "path " + PATH.show(v) : "no path") + (PROBE.of(v) > 0 ? ", probe " + PROBE.show(v) : ", no probe");
        }
        if (card.equals(SWITCH_CARD)) {
            return SWITCH.thread.of(v) + " where its holes are bound";
        }
        return card.equals(BELT_CARD) ? BELT.wide.of(v) > 0 ? BELT.belt.show(v) + ", " + BELT.teeth.show(v) + " teeth each end" : "none" : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** M5 axles; rows as far apart as profile and wheels ask, which run some 2 mm deep in their grooves. */
    @Override
    public List<Values> starts(Refs refs) {
        Values axles = Values.START.with(RIDE.axles.thread, "M5").with(RIDE.axles.length, 30.0);
        return List.of(refs.of(PROFILE).map(p -> axles.with(RIDE.rows, p.heightMm() + RIDE.wheel.start() - 4)).orElse(axles));
    }

    @Override
    public PartForm form(PartInputs in) {
        double t = in.get(THICKNESS);
        CarriageRide.Made ride = RIDE.of(in, THICKNESS, EDGE, in.refs().of(BLOCK), in.get(PROFILE).known());
        ScrewRow tool = new ScrewRow(CARRIED, in, in.get(TOOL_SIDE), "part", THICKNESS, true);
        List<ScrewRow> more = new ArrayList<>();
        in.refs().of(SECOND_TOOL).map(h -> new ScrewRow(SECOND, in, h, "part", THICKNESS, true)).ifPresent(more::add);
        in.refs().of(END_SWITCH).map(h -> new ScrewRow(SWITCH, in, h, "part", THICKNESS, true)).ifPresent(more::add);
        List<ScrewRow> rows = new ArrayList<>(List.of(ride.row(), tool));
        rows.addAll(more);
        List<Solid> body = new ArrayList<>();
        outline(in, ride, tool, more).forEach(p -> body.add(Leaf.extrusion("plate", p, Placement.HERE, 0, t)));
        double high = rows.stream().skip(1).mapToDouble(ScrewRow::standoffMm).max().orElse(0) + in.get(BELT.wide);
        List<Solid> cuts = new ArrayList<>(BELT.slots(in, t));
        List<Cavity> cavities = new ArrayList<>();
        List<Screw> screws = new ArrayList<>(ride.more());
        List<Held> held = new ArrayList<>(List.of(tool.heldThing()));
        more.forEach(m -> held.add(m.heldThing()));
        held.addAll(ride.held());
        rows.forEach(r -> {
            body.addAll(r.bosses());
            cuts.addAll(r.cuts(r == ride.row() ? high : ride.row().standoffMm()));
            cavities.addAll(r.cavities());
            screws.addAll(r.screws());
        });
        body.addAll(BELT.posts(in, t));
        List<Cavity> round = new ArrayList<>(ride.holes());
        hole(in, PATH, "filament's path", in.get(CARRIED.x), in.get(CARRIED.y)).ifPresent(round::add);
        hole(in, PROBE, "probe's hole", in.get(PROBE_X), in.get(PROBE_Y)).ifPresent(round::add);
        round.forEach(c -> cuts.add(Leaf.extrusion(c.feature(), Profile.hole(0, 0, c.widthMm(), SIDES), c.axis(), -BEYOND_MM, t + high + BEYOND_MM)));
        cavities.addAll(round);
        List<Port> ports = new ArrayList<>(List.of(new Port("tool", "the holes of its tool side", in.get(TOOL_SIDE))));
        if (in.get(PATH) > 0) {
            ports.add(new Port("filament", "the filament's path", HolesRef.about("filament's path", in.get(PATH), new double[][] {{0, 0}}, false, in.get(TOOL_SIDE).known())));
        }
        List<Track> tracks = new ArrayList<>();
        if (in.get(PATH) > 0) {
            tracks.add(new Track(Track.Kind.FILAMENT, "filament's path", Placement.at(in.get(CARRIED.x), in.get(CARRIED.y), 0), aside(CARRIED.x, CARRIED.y, "tool")));
        }
        if (in.get(PROBE) > 0) {
            tracks.add(new Track(Track.Kind.PROBE, "probe", Placement.at(in.get(PROBE_X), in.get(PROBE_Y), 0), aside(PROBE_X, PROBE_Y, "probe")));
        }
        BELT.track(in, THICKNESS).ifPresent(tracks::add);
        return PartForm.of(Piece.only("carriage", new Solid.Difference(new Solid.Union(body), cuts), cavities, reaches(rows)), screws, held, dimensions(in, tool),
                Optional.of(new PartForm.Mount(Placement.at(0, 0, ride.middleZ()), false))).withPorts(ports).withTracks(tracks);
    }

    private static List<Reach> aside(NumberParam x, NumberParam y, String word) {
        return List.of(new Reach("", Vec3.X, new Lever(x, 1, word + " at x")), new Reach("", Vec3.Y, new Lever(y, 1, word + " at y")));
    }

    private static Optional<Cavity> hole(PartInputs in, NumberParam diameter, String name, double x, double y) {
        return in.get(diameter) > 0 ? Optional.of(Cavity.hole(name, name, name, Placement.at(x, y, 0), in.get(diameter) + in.holeOffsetMm(), in.get(THICKNESS))) : Optional.empty();
    }

    /** Discs round everything and webs: round the tool's holes, from all else to the two nearest of them, from wheel to wheel. */
    private static List<Profile> outline(PartInputs in, CarriageRide.Made ride, ScrewRow tool, List<ScrewRow> more) {
        double toolDisc = Math.max(tool.bossMm() / 2, tool.cutRadiusMm() + in.get(EDGE));
        GrownOutline all = new GrownOutline(tool.places().stream().map(p -> new Disc(p[0], p[1], toolDisc)).toList());
        ride.discs().forEach(row -> {
            row.forEach(all::held);
            all.together(row.stream().map(Disc::profile).toList());
        });
        all.together(BELT.feet(in));
        if (in.get(PROBE) > 0) {
            all.held(new Disc(in.get(PROBE_X), in.get(PROBE_Y), in.get(PROBE) / 2 + in.get(PROBE_RIM)));
        }
        more.forEach(r -> r.places().forEach(p -> all.held(new Disc(p[0], p[1], Math.max(r.standoffMm() > 0 ? r.bossMm() / 2 : 0, r.cutRadiusMm() + in.get(EDGE))))));
        return switch (in.get(OUTLINE)) {
            case GROWN -> GrownOutline.without(all.grown(), in.get(CLEAR) ? in.refs().of(NEAR) : Optional.empty(), Placement.at(0, 0, ride.middleZ()), 0, in.get(THICKNESS));
            case RECTANGLE -> List.of(all.rectangle(in.get(EDGE)));
            case MEASURED -> {
                PlateRef plate = in.refs().of(PLATE).orElseThrow(() -> new PartProblem(OUTLINE, "Which plate's outline it is to have is not said; bind it under Measure, or let the outline grow."));
                yield List.of(Profile.roundedRectangle(0, 0, plate.lengthMm(), plate.widthMm(), Math.min(in.get(EDGE), Math.min(plate.lengthMm(), plate.widthMm()) / 2 - 0.1), 8));
            }
        };
    }

    private static List<Reach> reaches(List<ScrewRow> rows) {
        List<Reach> all = new ArrayList<>();
        rows.forEach(r -> all.addAll(r.reaches()));
        all.add(new Reach("plate", Vec3.Z, new Lever(THICKNESS, 1, "plate")));
        all.add(new Reach("plate", Vec3.ZERO, new Lever(EDGE, 1, "round the holes")));
        return all;
    }

    private static List<Dimension> dimensions(PartInputs in, ScrewRow tool) {
        double x = in.get(RIDE.apart) / 2;
        double y = in.get(RIDE.rows) / 2;
        double t = in.get(THICKNESS);
        double top = t + tool.standoffMm();
        return List.of(Dimension.across(View.TOP, -x, y, 0, x, y, 0, 18, RIDE.apart), Dimension.up(View.TOP, -x, -y, 0, -x, y, 0, -18, RIDE.rows),
                Dimension.up(View.FRONT, x, 0, 0, x, 0, t, 16, THICKNESS), Dimension.up(View.FRONT, -x, 0, t, -x, 0, top, -16, CARRIED.standoff))
                .stream().filter(d -> d.lengthMm() > 0.01).toList();
    }
}
