package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.block.StandingRow;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
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
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * Two legs at a right angle, each on holes of its own, with a web in the corner. It is printed on its side, so that the layers run round the corner;
 * the web lies on the bed. The one leg lies along x, the other goes up along y; the machine is below the one and left of the other.
 */
public final class CornerBracket implements PartFamily {
    private static final Card LEGS = new Card("legs", "Legs");
    private static final Card ONE_CARD = new Card("one", "Holds: one side");
    private static final Card OTHER_CARD = new Card("other", "Holds: other side");

    public static final NumberParam THICKNESS = NumberParam.length("leg.thickness", LEGS, "Legs", 2, 40, 5, "Under the screws' heads");
    public static final NumberParam EDGE = NumberParam.length("leg.edge", LEGS, "Beyond the holes", 3, 60, 8, "From the outermost holes to the corner, the ends and the sides");
    public static final NumberParam WEB = NumberParam.length("web.thickness", LEGS, "Web", 0, 40, 4, "Closes the corner on the side it is printed on; 0 for none");
    public static final SwitchParam ROOFS = new SwitchParam("leg.roofs", LEGS, "Holes with a roof", true, "Lying holes print rounder with a roof of 45° over them");
    public static final ScrewBlock ONE_SCREWS = new ScrewBlock("one", "one side", ONE_CARD, SeatKind.LOOSE_NUT, 0, 3, 12);
    public static final ScrewBlock OTHER_SCREWS = new ScrewBlock("other", "other side", OTHER_CARD, SeatKind.LOOSE_NUT, 0, 3, 12);

    public static final Role<HolesRef> ONE = new Role<>("one", HolesRef.KIND, "one side", "the holes the lying leg is screwed to", false, "pair-20");
    public static final Role<HolesRef> OTHER = new Role<>("other", HolesRef.KIND, "other side", "the holes the upright leg is screwed to", false, "pair-20");

    @Override
    public String id() {
        return "corner-bracket";
    }

    @Override
    public String title() {
        return "Corner bracket";
    }

    @Override
    public String purpose() {
        return "Joins two faces that meet at a right angle, each by its own holes, with a web in the corner.";
    }

    @Override
    public Does does() {
        return Does.HOLDS;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(ONE, OTHER);
    }

    @Override
    public String above() {
        return "from the side";
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(THICKNESS, EDGE, WEB, ROOFS));
        all.addAll(ONE_SCREWS.params());
        all.addAll(OTHER_SCREWS.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(LEGS)) {
            return THICKNESS.show(v) + " thick, web " + WEB.show(v);
        }
        ScrewBlock b = card.equals(ONE_CARD) ? ONE_SCREWS : OTHER_SCREWS;
        return card.equals(Marking.HEIGHT.card()) ? "at most " + Marking.HEIGHT.show(v) + " high" : b.thread.of(v) + "×" + Quantity.plain(b.length.of(v), Unit.MM);
    }

    /** Screws as large as the holes let through, and room for their heads between the corner and the first hole. */
    @Override
    public List<Values> starts(Refs refs) {
        Values v = Values.START;
        double widest = 0;
        for (Role<HolesRef> role : List.of(ONE, OTHER)) {
            ScrewBlock b = role == ONE ? ONE_SCREWS : OTHER_SCREWS;
            double hole = refs.of(role).map(h -> h.holes().get(0).diameterMm()).orElse(3.4);
            int thread = hole > 5 ? 5 : hole > 4 ? 4 : 3;
            widest = Math.max(widest, thread);
            v = v.with(b.thread, "M" + thread).with(b.length, thread > 3 ? 16.0 : 12.0);
        }
        return List.of(v.with(EDGE, Math.max(EDGE.start(), widest + 5)));
    }

    private static Profile box(double x0, double y0, double x1, double y1) {
        return Profile.rectangle((x0 + x1) / 2, (y0 + y1) / 2, x1 - x0, y1 - y0);
    }

    private static double half(ScrewRow row, int axis) {
        return row.places().stream().mapToDouble(p -> Math.abs(p[axis])).max().orElse(0) + (axis == 1 ? row.slotMm() / 2 : 0);
    }

    @Override
    public PartForm form(PartInputs in) {
        ScrewRow one = new ScrewRow(ONE_SCREWS, in, in.get(ONE), "part", THICKNESS, false);
        ScrewRow other = new ScrewRow(OTHER_SCREWS, in, in.get(OTHER), "part", THICKNESS, false);
        double t = in.get(THICKNESS);
        double edge = in.get(EDGE);
        double wide = 2 * (Math.max(half(one, 1), half(other, 1)) + edge);
        double along = t + 2 * (half(one, 0) + edge);
        double up = t + 2 * (half(other, 0) + edge);
        if (in.get(WEB) > wide - 2) {
            throw new PartProblem(WEB, "A web of " + Quantity.mm(in.get(WEB)) + " fills the whole corner, " + Quantity.mm(wide) + " wide, and no screw could be reached; make it thinner or the edge wider.");
        }
        StandingRow low = new StandingRow(one, new Placement(new Vec3((t + along) / 2, 0, wide / 2), Vec3.X, Vec3.Z.times(-1), Vec3.Y));
        StandingRow high = new StandingRow(other, new Placement(new Vec3(0, (t + up) / 2, wide / 2), Vec3.Y, Vec3.Z, Vec3.X));
        List<Solid> body = new ArrayList<>(List.of(Leaf.extrusion("lying leg", box(0, 0, along, t), Placement.HERE, 0, wide), Leaf.extrusion("upright leg", box(0, 0, t, up), Placement.HERE, 0, wide)));
        if (in.get(WEB) > 0) {
            body.add(Leaf.extrusion("web", Profile.of(new double[] {t / 2, t / 2, along, t / 2, along, t, t, up, t / 2, up}), Placement.HERE, 0, in.get(WEB)));
        }
        List<Solid> cuts = new ArrayList<>();
        List<Cavity> cavities = new ArrayList<>();
        List<Screw> screws = new ArrayList<>();
        List<Held> held = new ArrayList<>();
        List<Reach> reaches = new ArrayList<>();
        for (StandingRow r : List.of(low, high)) {
            body.addAll(r.bosses());
            cuts.addAll(r.cuts(0, in.get(ROOFS)));
            cavities.addAll(r.cavities());
            screws.addAll(r.screws());
            held.add(r.heldThing().standingThere());
            reaches.addAll(r.reaches());
        }
        reaches.add(new Reach("lying leg", Vec3.Y, new Lever(THICKNESS, 1, "legs")));
        reaches.add(new Reach("upright leg", Vec3.X, new Lever(THICKNESS, 1, "legs")));
        for (Vec3 way : List.of(Vec3.Z, Vec3.Z.times(-1), Vec3.X)) {
            reaches.add(new Reach("lying leg", way, new Lever(EDGE, 1, "beyond the holes")));
        }
        for (Vec3 way : List.of(Vec3.Z, Vec3.Z.times(-1), Vec3.Y)) {
            reaches.add(new Reach("upright leg", way, new Lever(EDGE, 1, "beyond the holes")));
        }
        Placement site = low.up().times(Placement.at(in.get(ONE_SCREWS.x), in.get(ONE_SCREWS.y), -one.standoffMm()).turnedDeg(in.get(ONE_SCREWS.turn)));
        return PartForm.of(Piece.only("bracket", new Solid.Difference(new Solid.Union(body), cuts), cavities, reaches), screws, held, List.of(
                Dimension.across(View.TOP, 0, 0, 0, along, 0, 0, -14, null), Dimension.up(View.TOP, 0, 0, 0, 0, up, 0, -14, null), Dimension.up(View.TOP, along, 0, 0, along, t, 0, 10, THICKNESS),
                Dimension.up(View.FRONT, 0, 0, 0, 0, 0, wide, -14, null), Dimension.up(View.FRONT, along, 0, 0, along, 0, in.get(WEB), 10, WEB)), Optional.of(new PartForm.Mount(site, false, List.of(high.up().point(0, 0, -other.standoffMm())))));
    }
}
