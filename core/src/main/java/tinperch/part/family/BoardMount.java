package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.BoardRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Role;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.block.SnapArms;
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
 * A tray for a board on pegs or screwed bosses, with walls, a cable slot and a lid whose two arms snap into windows of the walls.
 * The floor's underside is z = 0, the board's middle x = y = 0. The lid is printed lying on its outer face.
 */
public final class BoardMount implements PartFamily {
    private static final Card TRAY = new Card("tray", "Tray");
    private static final Card BOARD_CARD = new Card("board", "Holds: the board");
    private static final Card FIXED = new Card("mount", "Holds: machine side");
    private static final Card LID = new Card("lid", "Lid");

    /** The side the cables leave by. */
    public enum Side { RIGHT, LEFT, FRONT, BACK }

    public static final NumberParam WALL = NumberParam.length("tray.wall", TRAY, "Wall", 0.8, 12, 2, "Thickness of the walls");
    public static final NumberParam FLOOR = NumberParam.length("tray.floor", TRAY, "Floor", 0.8, 20, 3, "Thickness of the floor");
    public static final NumberParam PLAY = NumberParam.length("tray.play", TRAY, "Room round the board", 0.2, 30, 1, "Between board and wall, each side");
    public static final NumberParam HEADROOM = NumberParam.length("tray.headroom", TRAY, "Room above the parts", 0, 60, 3, "Between the tallest part and the lid");
    public static final ChoiceParam<Side> SLOT_SIDE = ChoiceParam.of("slot.side", TRAY, "Cables leave at the", Side.RIGHT,
            s -> s.name().toLowerCase(java.util.Locale.ROOT), "The wall with the cable slot");
    public static final NumberParam SLOT = NumberParam.length("slot.width", TRAY, "Cable slot", 0, 200, 20, "Width of the slot, open at the top; 0 for none");
    public static final SwitchParam PEGS = new SwitchParam("board.pegs", BOARD_CARD, "On pegs", true, "Pegs through the board's holes, the lid holds it down; else screws");
    public static final ScrewBlock SCREWS = new ScrewBlock("board", "board", BOARD_CARD, SeatKind.INSERT, 6, 1.6, 8);
    public static final ScrewBlock MOUNT = new ScrewBlock("mount", "machine-side", FIXED, SeatKind.LOOSE_NUT, 0, 3, 12);
    public static final NumberParam LID_THICKNESS = NumberParam.length("lid.thickness", LID, "Lid", 0.8, 12, 2, "Lies on the bed when printed");
    public static final SnapArms SNAP = new SnapArms(LID);
    public static final NumberParam PRESS = NumberParam.length("press.diameter", LID, "Press point Ø", 0, 30, 5, "Pin of the lid that holds the board down; 0 for none");
    public static final NumberParam PRESS_X = NumberParam.length("press.x", LID, "Press point x", -200, 200, 0, "From the middle of the board");
    public static final NumberParam PRESS_Y = NumberParam.length("press.y", LID, "Press point y", -200, 200, 0, "From the middle of the board");

    public static final Role<BoardRef> BOARD = new Role<>("board", BoardRef.KIND, "board", "the board with its holes and tallest part", false, "board-60x40");
    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes the tray is screwed to", true, "pair-40");

    private static final double PEG_PLAY_MM = 0.3;
    private static final int SIDES = 32;

    @Override
    public String id() {
        return "board-mount";
    }

    @Override
    public String title() {
        return "Board mount with lid";
    }

    @Override
    public String purpose() {
        return "Keeps a board on pegs or bosses behind walls, with a cable slot and a lid that snaps on.";
    }

    @Override
    public Does does() {
        return Does.CARRIES;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(BOARD, MACHINE_SIDE);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(WALL, FLOOR, PLAY, HEADROOM, SLOT_SIDE, SLOT, PEGS));
        all.addAll(SCREWS.params());
        all.addAll(MOUNT.params());
        all.add(LID_THICKNESS);
        all.addAll(SNAP.params());
        all.addAll(List.of(PRESS, PRESS_X, PRESS_Y, Marking.HEIGHT));
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(TRAY)) {
            return "wall " + WALL.show(v) + ", floor " + FLOOR.show(v);
        }
        if (card.equals(BOARD_CARD)) {
            return (PEGS.of(v) ? "on pegs" : SCREWS.thread.of(v) + " screws") + ", " + SCREWS.standoff.show(v) + " above the floor";
        }
        if (card.equals(FIXED)) {
            return MOUNT.thread.of(v) + "×" + Quantity.plain(MOUNT.length.of(v), Unit.MM) + " where holes are bound";
        }
        return card.equals(LID) ? LID_THICKNESS.show(v) + " thick, arms " + SNAP.length.show(v) + " long" : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    @Override
    public PartForm form(PartInputs in) {
        BoardRef board = in.get(BOARD);
        double halfX = board.lengthMm() / 2 + in.get(PLAY);
        double halfY = board.widthMm() / 2 + in.get(PLAY);
        double wall = in.get(WALL);
        double floor = in.get(FLOOR);
        double rest = floor + in.get(SCREWS.standoff);
        double boardTop = rest + in.get(SCREWS.held);
        double top = boardTop + board.tallestMm() + in.get(HEADROOM);
        if (in.get(SCREWS.standoff) < board.tailsMm()) {
            throw new PartProblem(SCREWS.standoff, "The solder tails reach " + Quantity.mm(board.tailsMm()) + " below the board; a standoff of "
                    + Quantity.mm(in.get(SCREWS.standoff)) + " lets them touch the floor. Make it at least " + Quantity.mm(board.tailsMm() + 3) + ".");
        }
        List<Solid> windows = SNAP.windows(in, halfY + wall, wall, floor, top);
        ScrewRow row = new ScrewRow(SCREWS, in, board.holes(), "tray", FLOOR, true);
        Optional<ScrewRow> mount = in.refs().of(MACHINE_SIDE).map(h -> new ScrewRow(MOUNT, in, h, "tray", FLOOR, false));
        boolean pegs = in.get(PEGS);
        List<Solid> body = new ArrayList<>();
        body.add(Leaf.extrusion("floor", Profile.roundedRectangle(0, 0, 2 * (halfX + wall), 2 * (halfY + wall), Math.min(3, wall), 6), Placement.HERE, 0, floor));
        body.add(new Solid.Difference(Leaf.extrusion("walls", Profile.roundedRectangle(0, 0, 2 * (halfX + wall), 2 * (halfY + wall), Math.min(3, wall), 6),
                Placement.HERE, floor / 2, top), List.of(Leaf.extrusion("walls inside", Profile.rectangle(0, 0, 2 * halfX, 2 * halfY), Placement.HERE, floor / 4, top + 1))));
        body.addAll(row.bosses());
        mount.ifPresent(m -> body.addAll(m.bosses()));
        if (pegs) {
            for (int i = 0; i < board.holes().holes().size(); i++) {
                double peg = board.holes().holes().get(i).diameterMm() - PEG_PLAY_MM + in.fits().pegMm();
                if (peg < 1) {
                    throw new PartProblem(PEGS, "Holes of Ø " + Quantity.mm(board.holes().holes().get(i).diameterMm()) + " are too small for pegs; use screws.");
                }
                double[] p = row.places().get(i);
                body.add(Leaf.extrusion("peg " + board.holes().holes().get(i).label(), Profile.disc(p[0], p[1], peg, SIDES), Placement.HERE, rest - 1, boardTop + 1.5));
            }
        }
        List<Solid> cuts = new ArrayList<>();
        List<Cavity> cavities = new ArrayList<>();
        List<Screw> screws = new ArrayList<>();
        List<Held> held = new ArrayList<>();
        if (!pegs) {
            cuts.addAll(row.cuts(mount.map(ScrewRow::standoffMm).orElse(0.0)));
            cavities.addAll(row.cavities());
            screws.addAll(row.screws());
        }
        mount.ifPresent(m -> {
            cuts.addAll(m.cuts(0));
            cavities.addAll(m.cavities());
            screws.addAll(m.screws());
            held.add(m.heldThing().standingThere());
        });
        cuts.addAll(windows);
        slot(in, halfX, halfY, wall, floor + 1, top).ifPresent(cuts::add);
        Piece tray = new Piece("tray", "tray", new Solid.Difference(new Solid.Union(body), cuts), cavities, Placement.HERE, 1, Vec3.ZERO, reaches(row, mount));
        Piece lid = new Piece("lid", "lid", lid(in, halfX + wall, halfY + wall, top - boardTop), List.of(),
                new Placement(new Vec3(0, 0, top + in.get(LID_THICKNESS)), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1)), 1, new Vec3(0, 0, top),
                List.of(new Reach("lid", Vec3.Z.times(-1), new Lever(LID_THICKNESS, 1, "lid"))));
        held.add(new Held(board.name(), Leaf.extrusion("board", Profile.rectangle(0, 0, board.lengthMm(), board.widthMm()), Placement.HERE, rest, boardTop),
                pegs ? in.get(SCREWS.held) : 0));
        Joint snap = SNAP.joint(in, "lid's arms");
        return new PartForm(List.of(tray, lid), screws, held, List.of(snap, snap), List.of(), dimensions(in, halfX + wall, halfY + wall, rest, top),
                Optional.of(new PartForm.Mount(mount.map(m -> Placement.at(in.get(MOUNT.x), in.get(MOUNT.y), -m.standoffMm()).turnedDeg(in.get(MOUNT.turn)))
                        .orElse(Placement.HERE), false)));
    }

    private static Optional<Leaf> slot(PartInputs in, double halfX, double halfY, double wall, double from, double top) {
        double width = in.get(SLOT);
        if (width <= 0) {
            return Optional.empty();
        }
        Side side = in.get(SLOT_SIDE);
        boolean alongX = side == Side.LEFT || side == Side.RIGHT;
        double room = 2 * (alongX ? halfY : halfX) - 4;
        if (width > room) {
            throw new PartProblem(SLOT, "A slot of " + Quantity.mm(width) + " is wider than that wall; make it at most " + Quantity.mm(room) + ".");
        }
        double sign = side == Side.LEFT || side == Side.FRONT ? -1 : 1;
        Profile p = alongX ? Profile.rectangle(sign * (halfX + wall / 2), 0, wall + 2, width) : Profile.rectangle(0, sign * (halfY + wall / 2), width, wall + 2);
        return Optional.of(Leaf.extrusion("cable slot", p, Placement.HERE, from, top + 1));
    }

    /** As printed: outer face on the bed, arms and press point upwards. */
    private static Solid lid(PartInputs in, double halfX, double halfY, double toBoard) {
        double t = in.get(LID_THICKNESS);
        List<Solid> all = new ArrayList<>(SNAP.arms(in, halfY, t));
        all.add(Leaf.extrusion("lid", Profile.roundedRectangle(0, 0, 2 * halfX, 2 * SNAP.reachMm(in, halfY), 2, 6), Placement.HERE, 0, t));
        if (in.get(PRESS) > 0) {
            all.add(Leaf.extrusion("press point", Profile.disc(in.get(PRESS_X), -in.get(PRESS_Y), in.get(PRESS), SIDES), Placement.HERE, t / 2, t + toBoard));
        }
        return new Solid.Union(all);
    }

    private static List<Reach> reaches(ScrewRow row, Optional<ScrewRow> mount) {
        List<Reach> all = new ArrayList<>(row.reaches());
        mount.ifPresent(m -> all.addAll(m.reaches()));
        all.add(new Reach("floor", Vec3.Z, new Lever(FLOOR, 1, "floor")));
        for (Vec3 way : List.of(Vec3.X, Vec3.Y)) {
            all.add(new Reach("walls", way, new Lever(PLAY, 1, "room round the board")));
            all.add(new Reach("walls", way.times(-1), new Lever(PLAY, 1, "room round the board")));
        }
        return all;
    }

    private static List<Dimension> dimensions(PartInputs in, double x, double y, double rest, double top) {
        List<Dimension> d = new ArrayList<>(List.of(
                Dimension.across(View.TOP, -x, -y, 0, x, -y, 0, -14, null), Dimension.up(View.TOP, -x, -y, 0, -x, y, 0, -14, null),
                Dimension.up(View.FRONT, x, 0, 0, x, 0, in.get(FLOOR), 8, FLOOR), Dimension.up(View.FRONT, -x, 0, 0, -x, 0, top, -14, null),
                Dimension.up(View.SIDE, 0, y, in.get(FLOOR), 0, y, rest, 8, SCREWS.standoff),
                Dimension.up(View.SIDE, 0, y, top - in.get(SNAP.length), 0, y, top, 8, SNAP.length)));
        double slot = in.get(SLOT) / 2;
        Side side = in.get(SLOT_SIDE);
        if (slot > 0 && (side == Side.LEFT || side == Side.RIGHT)) {
            d.add(Dimension.up(View.TOP, side == Side.RIGHT ? x : -x, -slot, 0, side == Side.RIGHT ? x : -x, slot, 0, side == Side.RIGHT ? 8 : -8, SLOT));
        } else if (slot > 0) {
            d.add(Dimension.across(View.TOP, -slot, side == Side.BACK ? y : -y, 0, slot, side == Side.BACK ? y : -y, 0, side == Side.BACK ? 8 : -8, SLOT));
        }
        return d;
    }
}
