package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.PlateRef;
import tinperch.part.bind.Role;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.block.StandingRow;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
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
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Profiles;

/**
 * A clip that holds a machine's base down by its edge: a jaw over the edge, a post beside it and a foot screwed to the table. It is printed on its
 * side, so that layers run round the jaw. x leads away from the base's edge, y up from the table, z along the edge.
 */
public final class EdgeClip implements PartFamily {
    private static final Card JAW_CARD = new Card("jaw", "Jaw");
    private static final Card FOOT_CARD = new Card("foot", "Foot");
    private static final Card TABLE_CARD = new Card("table", "Holds: the table");

    public static final NumberParam JAW = NumberParam.length("jaw.thickness", JAW_CARD, "Jaw", 2, 40, 7, "Above the base");
    public static final NumberParam OVER = NumberParam.length("jaw.over", JAW_CARD, "Over the edge", 3, 80, 14, "How far the jaw reaches over the base");
    public static final NumberParam LIFT = NumberParam.length("jaw.lift", JAW_CARD, "Base's lift", 0, 120, 10, "From the table to the base's underside, on its feet");
    public static final NumberParam PRESS = NumberParam.length("jaw.press", JAW_CARD, "Pressed by", -2, 2, 0.3, "So far the foot hangs over the table until it is tightened; less than 0 leaves the base loose");
    public static final NumberParam PLAY = NumberParam.length("jaw.play", JAW_CARD, "Beside the edge", 0, 10, 0.5, "Between base and post");
    public static final NumberParam POST = NumberParam.length("jaw.post", JAW_CARD, "Post", 2, 40, 8, "Thickness of what carries the jaw");
    public static final NumberParam FOOT = NumberParam.length("foot.thickness", FOOT_CARD, "Foot", 2, 30, 6, "Under the screws' heads");
    public static final NumberParam LONG = NumberParam.length("foot.length", FOOT_CARD, "Foot's length", 8, 150, 24, "From the post outwards");
    public static final NumberParam EDGE = NumberParam.length("foot.edge", FOOT_CARD, "Beyond the holes", 3, 60, 8, "From the outermost holes to the clip's ends");
    public static final SwitchParam BRACE = new SwitchParam("foot.brace", FOOT_CARD, "Braced", true, "A slope from foot to post in the middle, clear of the screws' heads");
    public static final SwitchParam ROOFS = new SwitchParam("table.roofs", TABLE_CARD, "Holes with a roof", true, "Lying holes print rounder with a roof of 45° over them");
    public static final ScrewBlock SCREWS = new ScrewBlock("table", "table", TABLE_CARD, SeatKind.LOOSE_NUT, 0, 18, 30);

    public static final Role<PlateRef> BASE = new Role<>("base", PlateRef.KIND, "base", "the base's plate, its thickness above all", false, "outline-80x60");
    public static final Role<HolesRef> TABLE = new Role<>("table", HolesRef.KIND, "table", "the holes in the table, or where they are to be drilled", false, "pair-40");

    @Override
    public String id() {
        return "edge-clip";
    }

    @Override
    public String title() {
        return "Hold-down clip";
    }

    @Override
    public String purpose() {
        return "Holds a machine's base down on a table by its edge, with a jaw over it and a foot screwed beside it.";
    }

    @Override
    public Does does() {
        return Does.HOLDS;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(BASE, TABLE);
    }

    @Override
    public String above() {
        return "from the side";
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(JAW, OVER, LIFT, PRESS, PLAY, POST, FOOT, LONG, EDGE, BRACE, ROOFS));
        all.addAll(SCREWS.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(JAW_CARD)) {
            return JAW.show(v) + " thick, " + OVER.show(v) + " over the edge";
        }
        if (card.equals(FOOT_CARD)) {
            return FOOT.show(v) + " thick, " + LONG.show(v) + " long";
        }
        return card.equals(TABLE_CARD) ? SCREWS.thread.of(v) + "×" + Quantity.plain(SCREWS.length.of(v), Unit.MM) : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    private static Profile box(double x0, double y0, double x1, double y1) {
        return Profile.rectangle((x0 + x1) / 2, (y0 + y1) / 2, x1 - x0, y1 - y0);
    }

    @Override
    public PartForm form(PartInputs in) {
        PlateRef base = in.get(BASE);
        ScrewRow row = new ScrewRow(SCREWS, in, in.get(TABLE), "part", FOOT, false);
        double inner = in.get(PLAY);
        double outer = inner + in.get(POST);
        double end = outer + in.get(LONG);
        double under = in.get(LIFT) + base.thicknessMm() - in.get(PRESS);
        double top = under + in.get(JAW);
        if (under < 0.5) {
            throw new PartProblem(PRESS, "A base of " + Quantity.mm(base.thicknessMm()) + " pressed by " + Quantity.mm(in.get(PRESS)) + " leaves nothing under the jaw; press it less.");
        }
        double reach = row.places().stream().mapToDouble(p -> Math.abs(p[1])).max().orElse(0) + row.cutRadiusMm() + row.slotMm() / 2 + 1;
        if (reach > in.get(LONG) / 2) {
            throw new PartProblem(LONG, "The table's holes reach " + Quantity.mm(reach - in.get(LONG) / 2) + " beyond the foot; make it at least " + Quantity.mm(Math.ceil(2 * reach)) + " long.");
        }
        double half = row.places().stream().mapToDouble(p -> Math.abs(p[0])).max().orElse(0) + in.get(EDGE);
        // The lying foot put up: its x along the edge, its y outwards, its z up from the table.
        StandingRow table = new StandingRow(row, new Placement(new Vec3((outer + end) / 2, 0, half), Vec3.Z, Vec3.X, Vec3.Y));
        List<Solid> body = new ArrayList<>(List.of(lying("jaw", box(-in.get(OVER), under, outer, top), 0, 2 * half), lying("post", box(inner, 0, outer, top), 0, 2 * half),
                lying("foot", box(inner, 0, end, in.get(FOOT)), 0, 2 * half)));
        if (in.get(BRACE) && top > in.get(FOOT) + 2) {
            double wide = Math.max(2, half * 0.4);
            body.add(lying("brace", Profiles.hull(List.of(box(outer - 1, in.get(FOOT) / 2, outer, top), box(outer, in.get(FOOT) / 2, end, in.get(FOOT)))), half - wide / 2, half + wide / 2));
        }
        body.addAll(table.bosses());
        // Laid on, before its screws are tightened: the jaw rests on the base and the foot hangs over the table.
        double hangs = Math.max(0, in.get(PRESS));
        Held plate = new Held(base.name(), lying("the base", box(-Math.min(60, base.lengthMm()), in.get(LIFT) - hangs, 0, in.get(LIFT) + base.thicknessMm() - hangs), -10, 2 * half + 10), 0, true);
        Placement site = new Placement(new Vec3(0, -row.standoffMm() - hangs, half), Vec3.X, Vec3.Z.times(-1), Vec3.Y);
        List<Reach> reaches = new ArrayList<>(table.reaches());
        reaches.add(new Reach("foot", Vec3.Y, new Lever(FOOT, 1, "foot")));
        reaches.add(new Reach("foot", Vec3.X, new Lever(LONG, 1, "foot's length")));
        reaches.add(new Reach("jaw", Vec3.Y, new Lever(JAW, 1, "jaw")));
        reaches.add(new Reach("post", Vec3.X, new Lever(POST, 1, "post")));
        return PartForm.of(Piece.only("clip", new Solid.Difference(new Solid.Union(body), table.cuts(top, in.get(ROOFS))), table.cavities(), reaches), table.screws(), List.of(plate),
                dimensions(in, under, top, end, 2 * half), Optional.of(new PartForm.Mount(site, false)));
    }

    private static Leaf lying(String feature, Profile p, double from, double to) {
        return Leaf.extrusion(feature, p, Placement.HERE, from, to);
    }

    private static List<Dimension> dimensions(PartInputs in, double under, double top, double end, double wide) {
        return List.of(Dimension.across(View.TOP, -in.get(OVER), top, 0, 0, top, 0, 10, OVER), Dimension.up(View.TOP, end, 0, 0, end, in.get(FOOT), 0, 10, FOOT),
                Dimension.up(View.TOP, -in.get(OVER), 0, 0, -in.get(OVER), under, 0, -10, null), Dimension.up(View.TOP, -in.get(OVER), under, 0, -in.get(OVER), top, 0, -10, JAW),
                Dimension.across(View.TOP, end - in.get(LONG), 0, 0, end, 0, 0, -12, LONG), Dimension.up(View.FRONT, -in.get(OVER), 0, 0, -in.get(OVER), 0, wide, -10, null));
    }
}
