package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.air.FilterMedium;
import tinperch.air.UsualFan;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.AccessRef;
import tinperch.part.bind.CartridgeRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.block.AccessWindows;
import tinperch.part.block.DateLabel;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.block.SnapArms;
import tinperch.part.form.AirPath;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension;
import tinperch.part.form.Dimension.View;
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

/**
 * A box for a filter cartridge on a fan or a grille: the air comes through the inlet, spreads in a plenum and leaves through the cartridge and the
 * grille of a cover that snaps on and presses the cartridge's foam on a ledge. Held by screws through the machine's holes or by hook-and-loop tape
 * on two lands. The base's underside is z = 0, the inlet's middle x = y = 0. The cover is printed lying on its outer face.
 */
public final class FilterHousing implements PartFamily {
    private static final Card BOX = new Card("box", "Box");
    private static final Card FIXED = new Card("mount", "Holds: machine side");
    private static final Card COVER = new Card("cover", "Cover");

    public static final NumberParam WALL = NumberParam.length("box.wall", BOX, "Wall", 0.8, 12, 2, "Thickness of the walls round the cartridge");
    public static final NumberParam BASE = NumberParam.length("box.base", BOX, "Base", 0.8, 20, 3, "Thickness of the base");
    public static final NumberParam PLENUM = NumberParam.length("box.plenum", BOX, "Plenum", 0, 80, 12, "Room between base and cartridge in which the air spreads and the screw heads stand");
    public static final NumberParam INLET = NumberParam.length("box.inlet", BOX, "Inlet Ø", 5, 300, 76, "Opening of the base; as wide as the fan's or the grille's");
    public static final NumberParam PLAY = NumberParam.length("box.play", BOX, "Cartridge play", 0, 5, 0.3, "Between cartridge and wall, each side, beside half of the printer's slot fit");
    public static final NumberParam LEDGE = NumberParam.length("box.ledge", BOX, "Ledge", 2, 40, 5, "What the cartridge's rim and its foam lie on");
    public static final NumberParam PRESSED = NumberParam.length("seal.pressed", BOX, "Foam pressed to", 0.2, 30, 2.6, "25 to 50 % thinner than it comes (common practice)");
    public static final ChoiceParam<Optional<String>> MEDIUM = ChoiceParam.wordsOr("cartridge.medium", BOX, "Cartridge of", FilterMedium.ALL.stream().map(FilterMedium::name).toList(), "not said",
            "What it keeps, what it lets through and how long it lasts hang on this").starting(Optional.empty());
    public static final NumberParam LAND = NumberParam.length("box.land", BOX, "Lands for tape", 0, 60, 0, "Width of a strip of the base left and right for hook-and-loop tape; 0 for none");
    public static final ScrewBlock MOUNT = new ScrewBlock("mount", "machine-side", FIXED, SeatKind.LOOSE_NUT, 0, 3, 12);
    public static final NumberParam COVER_THICKNESS = NumberParam.length("cover.thickness", COVER, "Cover", 0.8, 12, 2.4, "Lies on the bed when printed");
    public static final NumberParam BAR = NumberParam.length("cover.bar", COVER, "Grille bar", 0.8, 20, 2, "Width of a bar between two slots");
    public static final NumberParam SLOT = NumberParam.length("cover.slot", COVER, "Grille slot", 1, 30, 8, "At most so wide; a finger passes from about 8 on (common practice)");
    public static final SnapArms SNAP = new SnapArms(COVER);
    public static final AccessWindows WINDOWS = new AccessWindows(BOX);
    public static final DateLabel DATE = new DateLabel(COVER, "To be changed");

    public static final Role<CartridgeRef> CARTRIDGE = new Role<>("cartridge", CartridgeRef.KIND, "cartridge", "the cartridge with its foam as it comes", false, "cartridge-100");
    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes round the fan or the grille", true, "fan-80");
    public static final Role<AccessRef> ACCESS = new Role<>("access", AccessRef.KIND, "access", "what a hand must get to under it: by the machine's access zones", true, "");

    private static final int SIDES = 96;
    private static final int MOST_SLOTS = 80;

    /** Half sizes and heights that follow from the values, mm. */
    private record Sizes(double halfX, double halfY, double outX, double outY, double openX, double openY, double ledgeAt, double top) {
        static Sizes of(PartInputs in, CartridgeRef c) {
            double play = in.get(PLAY) + in.fits().slotMm() / 2;
            double halfX = c.widthMm() / 2 + play;
            double halfY = c.heightMm() / 2 + play;
            double ledgeAt = in.get(BASE) + in.get(PLENUM);
            return new Sizes(halfX, halfY, halfX + in.get(WALL), halfY + in.get(WALL), halfX - play - in.get(LEDGE), halfY - play - in.get(LEDGE), ledgeAt,
                    ledgeAt + in.get(PRESSED) + c.depthMm());
        }
    }

    @Override
    public String id() {
        return "filter-housing";
    }

    @Override
    public String title() {
        return "Filter housing";
    }

    @Override
    public String purpose() {
        return "Holds a filter cartridge on a fan or a grille, its foam pressed on a ledge by a cover that snaps on.";
    }

    @Override
    public Does does() {
        return Does.MOVES_AIR;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(CARTRIDGE, MACHINE_SIDE, ACCESS);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(WALL, BASE, PLENUM, INLET, PLAY, LEDGE, PRESSED, MEDIUM, LAND));
        all.addAll(WINDOWS.params());
        all.addAll(MOUNT.params());
        all.addAll(List.of(COVER_THICKNESS, BAR, SLOT));
        all.addAll(SNAP.params());
        all.addAll(DATE.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(BOX)) {
            return "wall " + WALL.show(v) + ", plenum " + PLENUM.show(v) + ", foam to " + PRESSED.show(v);
        }
        if (card.equals(FIXED)) {
            return MOUNT.thread.of(v) + "×" + Quantity.plain(MOUNT.length.of(v), Unit.MM) + " where holes are bound";
        }
        return card.equals(COVER) ? COVER_THICKNESS.show(v) + " thick, slots to " + SLOT.show(v) + (DATE.text(v).isEmpty() ? "" : ", to be changed " + DATE.text(v)) : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** Foam pressed by a third, an inlet as wide as the plenum lets. */
    @Override
    public List<Values> starts(Refs refs) {
        return refs.of(CARTRIDGE).map(c -> {
            double least = Math.min(c.widthMm(), c.heightMm());
            Values v = Values.START.with(INLET, Math.max(INLET.min(), Math.min(INLET.start(), Math.floor(least - 2 * LEDGE.start() - 4))));
            return List.of(c.foamMm() > 0.5 ? v.with(PRESSED, Math.round(6.5 * c.foamMm()) / 10.0) : v);
        }).orElse(List.of(Values.START));
    }

    @Override
    public PartForm form(PartInputs in) {
        CartridgeRef cartridge = in.get(CARTRIDGE);
        Sizes s = Sizes.of(in, cartridge);
        double base = in.get(BASE);
        double inlet = in.get(INLET);
        double least = Math.min(s.openX, s.openY);
        if (least < 5) {
            throw new PartProblem(LEDGE, "A ledge of " + Quantity.mm(in.get(LEDGE)) + " leaves no opening under a cartridge of " + cartridge.says() + "; make it narrower.");
        }
        if (inlet / 2 > least) {
            throw new PartProblem(INLET, "An inlet of Ø " + Quantity.mm(inlet) + " is wider than the plenum of " + Quantity.mm(2 * least) + " inside the ledge; make it at most "
                    + Quantity.mm(Math.floor(2 * least)) + ", or the ledge narrower.");
        }
        Optional<ScrewRow> mount = in.refs().of(MACHINE_SIDE).map(h -> new ScrewRow(MOUNT, in, h, "box", BASE, false));
        mount.ifPresent(m -> clear(m, in, s));
        List<Solid> windows = SNAP.windows(in, s.outY, in.get(WALL), base, s.top);
        List<Solid> body = new ArrayList<>(List.of(Leaf.extrusion("walls", Profile.roundedRectangle(0, 0, 2 * s.outX, 2 * s.outY, 3, 6), Placement.HERE, 0, s.top)));
        if (in.get(LAND) > 0) {
            body.add(Leaf.extrusion("lands", Profile.roundedRectangle(0, 0, 2 * (s.outX + in.get(LAND)), 2 * s.outY, 3, 6), Placement.HERE, 0, base));
        }
        mount.ifPresent(m -> body.addAll(m.bosses()));
        List<Solid> cuts = new ArrayList<>(List.of(
                Leaf.extrusion("pocket", Profile.rectangle(0, 0, 2 * s.halfX, 2 * s.halfY), Placement.HERE, s.ledgeAt, s.top + 1),
                Leaf.extrusion("inlet", Profile.hole(0, 0, inlet, SIDES), Placement.HERE, -1 - in.get(MOUNT.standoff), base + 1)));
        if (in.get(PLENUM) > 0) {
            cuts.add(Leaf.extrusion("plenum", Profile.rectangle(0, 0, 2 * s.openX, 2 * s.openY), Placement.HERE, base, s.ledgeAt + 1));
        }
        cuts.addAll(windows);
        PartForm.Mount site = new PartForm.Mount(mount.map(m -> Placement.at(in.get(MOUNT.x), in.get(MOUNT.y), -m.standoffMm()).turnedDeg(in.get(MOUNT.turn))).orElse(Placement.HERE), false);
        for (AccessWindows.Window w : WINDOWS.over(in, in.refs().of(ACCESS), site.frame(), s.outX + in.get(LAND), s.outY, base)) {
            if (w.meets(s.outX, s.outY)) {
                throw new PartProblem(WINDOWS.on, "The access to the " + w.name() + " lies over the cartridge: one cannot get there through it. Put the housing elsewhere on its site, or take a smaller cartridge.");
            }
            cuts.add(w.cut(base));
        }
        cuts.addAll(DATE.cuts(in, new Placement(new Vec3(s.outX, 0, s.top / 2), Vec3.Y, Vec3.Z, Vec3.X), 2 * s.outY, s.top));
        List<Cavity> cavities = new ArrayList<>();
        List<Screw> screws = new ArrayList<>();
        List<Held> held = new ArrayList<>(List.of(new Held(cartridge.name(), Leaf.extrusion("cartridge", Profile.rectangle(0, 0, cartridge.widthMm(), cartridge.heightMm()),
                Placement.HERE, s.ledgeAt + in.get(PRESSED), s.top), 0)));
        mount.ifPresent(m -> {
            cuts.addAll(m.cuts(0));
            cavities.addAll(m.cavities());
            screws.addAll(m.screws());
        });
        Piece box = new Piece("box", "box", new Solid.Difference(new Solid.Union(body), cuts), cavities, Placement.HERE, 1, Vec3.ZERO, reaches(mount));
        double cover = in.get(COVER_THICKNESS);
        Piece lid = new Piece("cover", "cover", cover(in, s), List.of(), new Placement(new Vec3(0, 0, s.top + cover), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1)), 1,
                new Vec3(0, 0, s.top), List.of(new Reach("cover", Vec3.Z.times(-1), new Lever(COVER_THICKNESS, 1, "cover"))));
        Joint snap = SNAP.joint(in, "cover's arms");
        return new PartForm(List.of(box, lid), screws, held, List.of(snap, snap, new Joint.Seal("cartridge's foam", CARTRIDGE.id(), cartridge.foamMm(), in.get(PRESSED),
                List.of(new Lever(PRESSED, 1, "foam pressed to")))), List.of(), dimensions(in, s),
                Optional.of(site)).withAir(List.of(new AirPath("air through the " + cartridge.name(), Math.PI * inlet * inlet / 4, 4 * s.openX * s.openY, new Placement(new Vec3(0, 0, s.top), Vec3.X, Vec3.Y, Vec3.Z), List.of())
                        .drivenBy(in.refs().of(MACHINE_SIDE).flatMap(FilterHousing::fan)).filtered(4 * s.openX * s.openY, MEDIUM, in.values())));
    }

    /** The fan whose holes these four are. */
    private static Optional<UsualFan> fan(HolesRef holes) {
        double[] half = holes.halfExtentMm();
        return holes.holes().size() == 4 && Math.abs(half[0] - half[1]) < 1 ? UsualFan.spaced(half[0] + half[1]) : Optional.empty();
    }

    /** Heads have to stand in the plenum, and a driver has to come to them through the open box. */
    private static void clear(ScrewRow m, PartInputs in, Sizes s) {
        double r = in.hardware().thread(in.get(MOUNT.thread)).washerOuterMm() / 2;
        HolesRef holes = in.get(MACHINE_SIDE);
        for (int i = 0; i < m.places().size(); i++) {
            double[] p = m.places().get(i);
            double over = Math.max(Math.abs(p[0]) + r - s.openX, Math.abs(p[1]) + r - s.openY);
            // Or beside the walls, on what is otherwise a land for tape.
            boolean flange = Math.abs(p[0]) - r > s.outX && Math.abs(p[0]) + r < s.outX + in.get(LAND) && Math.abs(p[1]) + r < s.outY;
            if (over > 0 && !flange) {
                throw new PartProblem(LEDGE, "Hole " + holes.holes().get(i).label() + " needs " + Quantity.mm(over) + " more room than the plenum of " + Quantity.mm(2 * s.openX) + " × "
                        + Quantity.mm(2 * s.openY) + " inside the ledge has; make the ledge narrower, move the pattern, or leave the holes out and use lands for tape; on lands as wide as the screws ask they may be too.");
            }
        }
    }

    /** As printed: outer face on the bed, arms upwards; slots of one width, as few as the widest allowed lets. */
    private static Solid cover(PartInputs in, Sizes s) {
        double t = in.get(COVER_THICKNESS);
        List<Solid> body = new ArrayList<>(SNAP.arms(in, s.outY, t));
        body.add(Leaf.extrusion("cover", Profile.roundedRectangle(0, 0, 2 * s.outX, 2 * SNAP.reachMm(in, s.outY), 2, 6), Placement.HERE, 0, t));
        double bar = in.get(BAR);
        double open = 2 * s.openX;
        int n = (int) Math.ceil((open + bar) / (in.get(SLOT) + bar) - 1e-9);
        double slot = (open - (n - 1) * bar) / n;
        if (n > MOST_SLOTS || slot < 0.5) {
            throw new PartProblem(BAR, "Bars of " + Quantity.mm(bar) + " and slots of at most " + Quantity.mm(in.get(SLOT)) + " make no grille over " + Quantity.mm(open)
                    + "; make the bars narrower or the slots wider.");
        }
        List<Solid> slots = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            slots.add(Leaf.extrusion("slot " + (i + 1), Profile.rectangle(-open / 2 + slot / 2 + i * (slot + bar), 0, slot, 2 * s.openY), Placement.HERE, -1, t + 1));
        }
        return new Solid.Difference(new Solid.Union(body), slots);
    }

    private static List<Reach> reaches(Optional<ScrewRow> mount) {
        List<Reach> all = new ArrayList<>();
        mount.ifPresent(m -> all.addAll(m.reaches()));
        for (Vec3 way : List.of(Vec3.X, Vec3.Y)) {
            all.add(new Reach("walls", way, new Lever(WALL, 1, "wall")));
            all.add(new Reach("walls", way.times(-1), new Lever(WALL, 1, "wall")));
        }
        all.add(new Reach("lands", Vec3.X, new Lever(LAND, 1, "land")));
        all.add(new Reach("lands", Vec3.X.times(-1), new Lever(LAND, 1, "land")));
        return all;
    }

    private static List<Dimension> dimensions(PartInputs in, Sizes s) {
        double cover = s.top + in.get(COVER_THICKNESS);
        double land = s.outX + in.get(LAND);
        List<Dimension> d = new ArrayList<>(List.of(
                Dimension.across(View.TOP, -land, -s.outY, 0, land, -s.outY, 0, -22, null), Dimension.up(View.TOP, -land, -s.outY, 0, -land, s.outY, 0, -14, null),
                Dimension.up(View.FRONT, s.outX, 0, 0, s.outX, 0, in.get(BASE), 8, BASE), Dimension.up(View.FRONT, s.outX, 0, in.get(BASE), s.outX, 0, s.ledgeAt, 20, PLENUM),
                Dimension.up(View.FRONT, -s.outX, 0, 0, -s.outX, 0, cover, -14, null),
                Dimension.up(View.SIDE, 0, s.outY, s.top, 0, s.outY, cover, 8, COVER_THICKNESS),
                Dimension.up(View.SIDE, 0, -s.outY, s.top - in.get(SNAP.length), 0, -s.outY, s.top, -14, SNAP.length)));
        if (in.get(LAND) > 0) {
            d.add(Dimension.across(View.TOP, s.outX, -s.outY, 0, land, -s.outY, 0, -8, LAND));
        }
        return d;
    }
}
