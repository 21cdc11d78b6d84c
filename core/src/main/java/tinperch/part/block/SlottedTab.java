package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Reach;
import tinperch.part.form.SeatKind;
import tinperch.part.form.Cavity;
import tinperch.part.form.Screw;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/** An ear beside a part, standing on the bed with it, with upright slots, so that the part is moved up and down before it is tightened. */
public final class SlottedTab {
    public final NumberParam thickness;
    public final ScrewBlock screws;
    private static final double LEFT_MM = 3;
    private static final double OVER_MM = 1;

    public SlottedTab(Card card) {
        thickness = NumberParam.length("tab.thickness", card, "Bracket", 2, 30, 4, "Between the machine and its screws' heads");
        screws = new ScrewBlock("mount", "machine-side", card, SeatKind.LOOSE_NUT, 0, 3, 12, 8);
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(thickness));
        all.addAll(screws.params());
        return all;
    }

    /** What becomes of it. */
    public record Made(List<Solid> bodies, List<Solid> cuts, List<Cavity> cavities, List<Screw> screws, Held held, PartForm.Mount mount, List<Reach> reaches) {}

    /**
     * The tab.
     *
     * @param edgeMm where the part ends towards −x
     * @param sideMm where it ends towards y
     */
    public Made of(PartInputs in, HolesRef holes, double edgeMm, double sideMm) {
        double t = in.get(thickness);
        ScrewRow row = new ScrewRow(screws, in, holes, "part", thickness, false);
        double head = in.hardware().thread(in.get(screws.thread)).washerOuterMm() / 2 + LEFT_MM;
        double up = row.places().stream().mapToDouble(p -> Math.abs(p[1])).max().orElse(0) + row.slotMm() / 2 + head;
        double half = row.places().stream().mapToDouble(p -> Math.abs(p[0])).max().orElse(0) + head;
        double aside = sideMm + half;
        StandingRow standing = new StandingRow(row, new Placement(new Vec3(edgeMm, aside, up), Vec3.Y, Vec3.Z, Vec3.X));
        List<Solid> bodies = new ArrayList<>(List.of(Leaf.extrusion("bracket", Profile.rectangle(edgeMm + t / 2, aside - OVER_MM / 2, t, 2 * half + OVER_MM), Placement.HERE, 0, 2 * up)));
        bodies.addAll(standing.bosses());
        Placement site = standing.up().times(Placement.at(in.get(screws.x), in.get(screws.y), -row.standoffMm()).turnedDeg(in.get(screws.turn)));
        List<Reach> reaches = new ArrayList<>(standing.reaches());
        reaches.add(new Reach("bracket", Vec3.X, new Lever(thickness, 1, "bracket")));
        return new Made(bodies, standing.cuts(0, true), standing.cavities(), standing.screws(), standing.heldThing().standingThere(), new PartForm.Mount(site, false), reaches);
    }
}
