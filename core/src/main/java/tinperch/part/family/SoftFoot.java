package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Role;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
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
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Extrusion;
import tinperch.solid.shape.Finish;
import tinperch.solid.shape.Profiles;

/**
 * A foot under a machine, screwed to its underside from below; to be printed in something soft. The table is z = 0, the machine lies on its top. The
 * screws' heads lie well inside, so that the machine stands on the foot and never on them.
 */
public final class SoftFoot implements PartFamily {
    private static final Card FOOT_CARD = new Card("foot", "Foot");
    private static final Card MACHINE_CARD = new Card("base", "Holds: the machine");

    public static final NumberParam HEIGHT = NumberParam.length("foot.height", FOOT_CARD, "Height", 4, 120, 16, "From the table to the machine");
    public static final NumberParam ROUND = NumberParam.length("foot.round", FOOT_CARD, "Around the holes", 4, 80, 11, "Radius of the foot about each hole, on the machine's side");
    public static final NumberParam SPREAD = NumberParam.angle("foot.spread", FOOT_CARD, "Sides lean", -20, 20, 6, "Wider at the table; less than 0 makes it narrower there");
    public static final NumberParam RIM = NumberParam.length("foot.rim", FOOT_CARD, "Edge", 0, 6, 1, "Chamfer round the table's side, against an edge that is pressed wide on the bed");
    public static final ScrewBlock SCREWS = ScrewBlock.letIn("base", "machine", MACHINE_CARD, SeatKind.TAPPED, 8, 16, 6);

    public static final Role<HolesRef> BASE = new Role<>("base", HolesRef.KIND, "machine", "the holes in the machine's underside", false, "pair-20");

    private static final double CLEAR_MM = 1;
    private static final int SIDES = 40;

    @Override
    public String id() {
        return "soft-foot";
    }

    @Override
    public String title() {
        return "Soft foot";
    }

    @Override
    public String purpose() {
        return "Carries a machine softly on its table: screwed to its underside, heads let in, printed in something that gives.";
    }

    @Override
    public Does does() {
        return Does.HOLDS;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(BASE);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(HEIGHT, ROUND, SPREAD, RIM));
        all.addAll(SCREWS.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(FOOT_CARD)) {
            return HEIGHT.show(v) + " high, sides lean " + SPREAD.show(v);
        }
        return card.equals(MACHINE_CARD) ? SCREWS.thread.of(v) + "×" + Quantity.plain(SCREWS.length.of(v), Unit.MM) : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    @Override
    public PartForm form(PartInputs in) {
        double high = in.get(HEIGHT);
        ScrewRow row = new ScrewRow(SCREWS, in, in.get(BASE), "part", HEIGHT, true);
        if (!in.get(SCREWS.seat).isInside() && !in.get(SCREWS.seat).isCaptive()) {
            double head = in.hardware().thread(in.get(SCREWS.thread)).headHeightMm(in.get(SCREWS.head));
            double least = head + CLEAR_MM;
            if (in.get(SCREWS.recess) < least) {
                throw new PartProblem(SCREWS.recess, "The screws' heads, " + Quantity.mm(head) + " high, would touch the table when the foot gives; let them in at least " + Quantity.mm(Math.ceil(least)) + ".");
            }
        }
        double lean = Math.tan(Math.toRadians(in.get(SPREAD)));
        double below = in.get(ROUND) + (high + row.standoffMm()) * lean;
        if (below < row.cutRadiusMm() + 1) {
            throw new PartProblem(SPREAD, "With sides that lean inwards by " + SPREAD.show(in.values()) + " the foot is " + Quantity.mm(Math.max(0, 2 * below)) + " wide at the table, less than its holes ask for; let them lean less, or make it rounder.");
        }
        Profile foot = outline(row, below);
        Solid body = Extrusion.of(foot, Placement.HERE, 0, high).draft(in.get(SPREAD)).finish(Finish.chamfer(in.get(RIM)), Finish.SHARP).leaf("foot");
        List<Solid> all = new ArrayList<>(List.of(body));
        all.addAll(row.bosses());
        List<Reach> reaches = new ArrayList<>(row.reaches());
        reaches.add(new Reach("foot", Vec3.Z, new Lever(HEIGHT, 1, "height")));
        reaches.add(new Reach("foot", Vec3.ZERO, new Lever(ROUND, 1, "around the holes")));
        double x = row.places().stream().mapToDouble(p -> Math.abs(p[0])).max().orElse(0) + below;
        // The machine lies on its top, which meets the site: its underside.
        Placement site = new Placement(new Vec3(in.get(SCREWS.x), in.get(SCREWS.y), high + row.standoffMm()), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1)).turnedDeg(-in.get(SCREWS.turn));
        return PartForm.of(Piece.only("foot", new Solid.Difference(new Solid.Union(all), row.cuts(0)), row.cavities(), reaches), row.screws(), List.of(row.heldThing().standingThere()), List.of(
                Dimension.up(View.FRONT, x, 0, 0, x, 0, high, 10, HEIGHT), Dimension.across(View.TOP, -x, 0, 0, x, 0, 0, -14, null)), Optional.of(new PartForm.Mount(site, false)));
    }

    private static Profile outline(ScrewRow row, double radius) {
        double slot = row.slotMm() / 2;
        List<Profile> discs = new ArrayList<>();
        for (double[] p : row.places()) {
            discs.add(Profile.disc(p[0], p[1] - slot, 2 * radius, SIDES));
            discs.add(Profile.disc(p[0], p[1] + slot, 2 * radius, SIDES));
        }
        return Profiles.hull(discs);
    }
}
