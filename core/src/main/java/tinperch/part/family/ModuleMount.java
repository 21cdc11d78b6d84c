package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.BoardRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.RodRef;
import tinperch.part.bind.Role;
import tinperch.part.bind.ProfileRef;
import tinperch.part.block.Clips;
import tinperch.part.block.RodClips;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.block.SlotClips;
import tinperch.part.block.StandingRow;
import tinperch.part.block.StudClips;
import tinperch.part.block.TieEyes;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
import tinperch.part.form.Held;
import tinperch.part.form.Joint;
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
import tinperch.solid.shape.Pattern;
import tinperch.solid.shape.Profiles;

/**
 * An open plate for a board or a switching module, with air below it and eyes for cable ties where its wires leave. It is screwed to holes of the
 * machine, or to nuts in a profile's slot, or clips over two rods or studs or into a slot; with clips below it, it is printed standing on its long
 * edge, so that the layers run round them.
 */
public final class ModuleMount implements PartFamily {
    private static final Card PLATE_CARD = new Card("plate", "Plate");
    private static final Card MODULE_CARD = new Card("module", "Holds: the module");
    private static final Card MOUNT_CARD = new Card("mount", "Holds: machine side");
    private static final Card RODS_CARD = new Card("clips", "Clips over rods");
    private static final Card STUDS_CARD = new Card("studs", "Clips over studs");
    private static final Card SLOT_CARD = new Card("slot", "Clips in a slot");

    /** What holds it on the machine. */
    public enum On {
        SCREWS("screws"), RODS("clips over two rods"), STUDS("clips over two studs"), SLOT("clips into a profile's slot");

        private final String label;

        On(String label) {
            this.label = label;
        }

        String label() {
            return label;
        }
    }

    public static final NumberParam PLATE = NumberParam.length("plate.thickness", PLATE_CARD, "Plate", 1.2, 20, 4, "Thickness");
    public static final NumberParam MARGIN = NumberParam.length("plate.margin", PLATE_CARD, "Around the module", 0, 40, 3, "Plate beyond the board's edges");
    public static final NumberParam AIR = NumberParam.length("plate.air", PLATE_CARD, "Frame", 0, 60, 12, "Width of the plate left round an opening under the module, so that air gets at it; 0 for a whole plate");
    public static final ChoiceParam<BoardMount.Side> WIRES = ChoiceParam.of("wires.side", PLATE_CARD, "Wires leave at the", BoardMount.Side.RIGHT, s -> s.name().toLowerCase(java.util.Locale.ROOT),
            "The side with the eyes for cable ties: that nearest the terminals, so that wires stay short").only(List.of(BoardMount.Side.RIGHT, BoardMount.Side.LEFT));
    public static final NumberParam TIES = NumberParam.count("wires.ties", PLATE_CARD, "Tie eyes", 0, 6, 2, "Pairs of slots for cable ties");
    public static final ScrewBlock SCREWS = new ScrewBlock("module", "module", MODULE_CARD, SeatKind.INSERT, 7, 1.6, 8);
    public static final ChoiceParam<On> ON = ChoiceParam.of("mount.on", MOUNT_CARD, "Held by", On.SCREWS, On::label, "Screws go into holes, threads, or nuts in a slot");
    public static final ScrewBlock MOUNT = new ScrewBlock("mount", "machine-side", MOUNT_CARD, SeatKind.LOOSE_NUT, 0, 3, 12);
    public static final RodClips CLIPS = new RodClips(RODS_CARD);
    public static final StudClips STUDS = new StudClips(STUDS_CARD);
    public static final SlotClips SLOT = new SlotClips(SLOT_CARD);

    public static final Role<BoardRef> MODULE = new Role<>("module", BoardRef.KIND, "module", "the board or module with its holes", false, "module-60x50");
    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes, threads or slot nuts it is screwed to", true, "pair-40");
    public static final Role<RodRef> ROD = new Role<>("clip", RodRef.KIND, "rods", "the two rods or studs it clips over", true, "rod-8");
    public static final Role<ProfileRef> PROFILE = new Role<>("slot", ProfileRef.KIND, "profile", "the profile whose slot it clips into", true, "profile-20");

    /** Room of an eye row: slots of 2 and a bridge of 6 between them, with some plate around. */
    private static final double EYE_ROOM_MM = 13;
    private static final double EYE_LONG_MM = 4;
    private static final double BRIDGE_MM = 5;

    @Override
    public String id() {
        return "module-mount";
    }

    @Override
    public String title() {
        return "Module mount";
    }

    @Override
    public String purpose() {
        return "Carries a board or module openly, on screws or clipped over rods, studs or a slot.";
    }

    @Override
    public Does does() {
        return Does.CARRIES;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(MODULE, MACHINE_SIDE, ROD, PROFILE);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(PLATE, MARGIN, AIR, WIRES, TIES));
        all.addAll(SCREWS.params());
        all.add(ON);
        all.addAll(MOUNT.params());
        all.addAll(CLIPS.params());
        all.addAll(STUDS.params());
        all.addAll(SLOT.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(PLATE_CARD)) {
            return PLATE.show(v) + " thick" + (AIR.of(v) > 0 ? ", open below the module" : "");
        }
        if (card.equals(MODULE_CARD)) {
            return SCREWS.thread.of(v) + " screws, " + SCREWS.standoff.show(v) + " above the plate";
        }
        if (card.equals(MOUNT_CARD)) {
            return ON.of(v) != On.SCREWS ? ON.of(v).label() : MOUNT.thread.of(v) + "×" + Quantity.plain(MOUNT.length.of(v), Unit.MM) + " where holes are bound";
        }
        Card used = List.of(MOUNT_CARD, RODS_CARD, STUDS_CARD, SLOT_CARD).get(ON.of(v).ordinal());
        return List.of(RODS_CARD, STUDS_CARD, SLOT_CARD).contains(card) ? card.equals(used) ? ON.of(v).label() : "none" : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** As it stands, or with the pattern moved beyond the module where their screws would meet. */
    @Override
    public List<Values> starts(Refs refs) {
        double beside = refs.of(MODULE).map(b -> b.widthMm() / 2 + 10).orElse(40.0);
        return List.of(Values.START, Values.START.with(AIR, 0.0), Values.START.with(MOUNT.y, Math.ceil(-beside)), Values.START.with(AIR, 0.0).with(MOUNT.y, Math.ceil(-beside)));
    }

    @Override
    public PartForm form(PartInputs in) {
        BoardRef module = in.get(MODULE);
        double plate = in.get(PLATE);
        if (in.get(SCREWS.standoff) < module.tailsMm()) {
            throw new PartProblem(SCREWS.standoff, "The solder tails reach " + Quantity.mm(module.tailsMm()) + " below the board; a standoff of " + Quantity.mm(in.get(SCREWS.standoff))
                    + " lets them touch the plate. Make it at least " + Quantity.mm(module.tailsMm() + 3) + ", more where it gets warm.");
        }
        boolean upright = in.get(ON) == On.RODS || in.get(ON) == On.SLOT;
        ScrewRow row = new ScrewRow(SCREWS, in, module.holes(), "part", PLATE, true);
        Optional<ScrewRow> mount = in.get(ON) != On.SCREWS ? Optional.empty() : in.refs().of(MACHINE_SIDE).map(h -> new ScrewRow(MOUNT, in, h, "part", PLATE, false));
        double x = module.lengthMm() / 2 + in.get(MARGIN);
        double y = module.widthMm() / 2 + in.get(MARGIN);
        double out = in.get(WIRES) == BoardMount.Side.RIGHT ? 1 : -1;
        int ties = (int) Math.rint(in.get(TIES));
        if (ties * (EYE_LONG_MM + 4) > 2 * y) {
            throw new PartProblem(TIES, ties + " eyes need " + Quantity.mm(ties * (EYE_LONG_MM + 4)) + " of the plate's side, which is " + Quantity.mm(2 * y) + "; take fewer.");
        }
        // With clips it stands on its edge as it is printed: the plate's −y is down.
        Placement up = upright ? new Placement(new Vec3(0, 0, y), Vec3.X, Vec3.Z, Vec3.Y.times(-1)) : Placement.HERE;
        StandingRow board = new StandingRow(row, up);
        Optional<StandingRow> machine = mount.map(m -> new StandingRow(m, up));
        List<Solid> body = new ArrayList<>(List.of(put(up, Leaf.extrusion("plate", outline(in, row, mount, x, y, out, ties), Placement.HERE, 0, plate))));
        List<Solid> cuts = new ArrayList<>(board.cuts(mount.map(ScrewRow::standoffMm).orElse(0.0), upright));
        List<Cavity> cavities = new ArrayList<>(board.cavities());
        List<Screw> screws = new ArrayList<>(board.screws());
        List<Held> held = new ArrayList<>(List.of(new Held(module.name(), put(up, Leaf.extrusion("module", Profile.rectangle(in.get(SCREWS.x), in.get(SCREWS.y), module.lengthMm(), module.widthMm()), Placement.HERE,
                plate + in.get(SCREWS.standoff), plate + in.get(SCREWS.standoff) + Math.max(0.2, in.get(SCREWS.held)))), 0)));
        List<Joint> joints = new ArrayList<>();
        List<Reach> reaches = new ArrayList<>(board.reaches());
        double frame = in.get(AIR);
        if (frame > 0 && x > frame + 1 && y > frame + 1) {
            cuts.add(put(up, Leaf.extrusion("air", Profile.roundedRectangle(0, 0, 2 * (x - frame), 2 * (y - frame), 3, 6), Placement.HERE, -1, plate + 1)));
        }
        body.addAll(board.bosses());
        machine.ifPresent(m -> {
            body.addAll(m.bosses());
            cuts.addAll(m.cuts(0, false));
            cavities.addAll(m.cavities());
            screws.addAll(m.screws());
            held.add(m.heldThing().standingThere());
            reaches.addAll(m.reaches());
        });
        clips(in, y, plate).ifPresent(k -> {
            k.adds().forEach(s -> body.add(put(up, s)));
            k.cuts().forEach(s -> cuts.add(put(up, s)));
            k.held().forEach(h -> held.add(h.as(put(up, h.solid()))));
            joints.addAll(k.joints());
        });
        for (int i = 0; i < ties; i++) {
            double at = 2 * y * ((i + 0.5) / ties - 0.5);
            TieEyes eyes = new TieEyes(in, "eye " + (i + 1), "tie eye " + (i + 1), TieEyes.Tie.SMALL, BRIDGE_MM, up.times(Placement.at(out * (x + EYE_ROOM_MM / 2), at, plate)), plate);
            cuts.addAll(eyes.cuts());
            cavities.addAll(eyes.cavities());
        }
        reaches.add(new Reach("plate", up.turned(Vec3.Z), new Lever(PLATE, 1, "plate")));
        for (Vec3 way : List.of(Vec3.X, Vec3.X.times(-1), Vec3.Y, Vec3.Y.times(-1))) {
            reaches.add(new Reach("plate", up.turned(way), new Lever(MARGIN, 1, "around the module")));
        }
        Piece piece = new Piece("part", "mount", new Solid.Difference(new Solid.Union(body), cuts), cavities, Placement.HERE, 1, Vec3.ZERO, reaches);
        Placement site = up.times(mount.map(m -> Placement.at(in.get(MOUNT.x), in.get(MOUNT.y), -m.standoffMm()).turnedDeg(in.get(MOUNT.turn))).orElse(Placement.HERE));
        return new PartForm(List.of(piece), screws, held, joints, List.of(), upright ? standing(in, x, y, plate) : dimensions(in, x, y, plate), Optional.of(new PartForm.Mount(site, false)));
    }

    /** What it clips onto, when it does. */
    private static Optional<Clips> clips(PartInputs in, double halfMm, double plateMm) {
        return switch (in.get(ON)) {
            case SCREWS -> Optional.empty();
            case RODS -> Optional.of(CLIPS.over(in, rod(in), halfMm));
            case STUDS -> Optional.of(STUDS.at(in, rod(in), halfMm, plateMm));
            case SLOT -> Optional.of(SLOT.into(in, in.refs().of(PROFILE).orElseThrow(() -> new PartProblem(ON, "Which profile it clips into is not said; bind it under Measure, or hold it by screws.")), halfMm));
        };
    }

    private static RodRef rod(PartInputs in) {
        return in.refs().of(ROD).orElseThrow(() -> new PartProblem(ON, "Which rods or studs it clips over is not said; bind them under Measure, or hold it by screws."));
    }

    private static Solid put(Placement up, Solid s) {
        return up.equals(Placement.HERE) ? s : Pattern.placed(s, up, "");
    }

    /** Around the module, the eyes and all holes of the machine. */
    private static Profile outline(PartInputs in, ScrewRow row, Optional<ScrewRow> mount, double x, double y, double out, int ties) {
        double eye = ties > 0 ? EYE_ROOM_MM : 0;
        List<Profile> all = new ArrayList<>(List.of(Profile.rectangle(out * eye / 2, 0, 2 * x + eye, 2 * y)));
        mount.ifPresent(m -> m.places().forEach(p -> all.add(Profile.disc(p[0], p[1], 2 * (m.cutRadiusMm() + m.slotMm() / 2 + 4.5), 32))));
        if (in.get(ON) == On.SCREWS) {
            row.places().forEach(p -> all.add(Profile.disc(p[0], p[1], row.bossMm(), 32)));
        }
        return Profiles.hull(all);
    }

    /** Of one that stands on its edge: the plate's y is up, its underside looks along y. */
    private static List<Dimension> standing(PartInputs in, double x, double y, double plate) {
        return List.of(Dimension.across(View.FRONT, -x, 0, 0, x, 0, 0, -14, null), Dimension.up(View.FRONT, -x, 0, 0, -x, 0, 2 * y, -14, null),
                Dimension.up(View.TOP, x, -plate, 0, x, 0, 0, 10, PLATE), Dimension.up(View.TOP, -x, -plate - in.get(SCREWS.standoff), 0, -x, -plate, 0, -12, SCREWS.standoff));
    }

    private static List<Dimension> dimensions(PartInputs in, double x, double y, double plate) {
        return List.of(Dimension.across(View.TOP, -x, -y, 0, x, -y, 0, -14, null), Dimension.up(View.TOP, -x, -y, 0, -x, y, 0, -14, null),
                Dimension.up(View.FRONT, -x, 0, 0, -x, 0, plate, -10, PLATE), Dimension.up(View.FRONT, x, 0, plate, x, 0, plate + in.get(SCREWS.standoff), 24, SCREWS.standoff));
    }
}
