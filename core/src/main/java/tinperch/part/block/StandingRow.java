package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.Cavity;
import tinperch.part.form.Held;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Pattern;
import tinperch.solid.shape.Profiles;

/**
 * A row of screws through a wall that stands on the bed: the row of a lying plate, put up. Its holes lie, so their tops may get a roof: flanks of
 * 45°, cut off 0.4 mm above the circle.
 *
 * @param row as if the wall lay
 * @param up where the lying wall goes in the piece; its x, the way a site's x runs, need not be the bed's
 */
public record StandingRow(ScrewRow row, Placement up) {
    private static final int SIDES = 48;
    private static final double BEYOND_MM = 1;
    /** Height above a lying hole for what droops, mm (0.2 to 0.5, common practice). */
    private static final double ROOF_MM = 0.4;

    /** Bosses on the machine's side. */
    public List<Solid> bosses() {
        return row.bosses().stream().map(s -> Pattern.placed(s, up, "")).toList();
    }

    /** Holes and pockets; with {@code roofs} those round ones that lie have a roof. */
    public List<Solid> cuts(double beyondMm, boolean roofs) {
        List<Solid> all = new ArrayList<>(row.cuts(beyondMm).stream().map(s -> Pattern.placed(s, up, "")).toList());
        if (roofs) {
            cavities().stream().filter(c -> c.sides() == 0 && Math.abs(c.axis().w().z()) < 0.7).forEach(c -> all.add(roof(c)));
        }
        return all;
    }

    /** What a round hole lacks of a teardrop, inside the wall. */
    private static Leaf roof(Cavity c) {
        Vec3 sky = c.axis().w().times(-c.axis().w().z()).plus(Vec3.Z).unit();
        Placement a = new Placement(c.axis().origin(), c.axis().w().cross(sky), sky, c.axis().w());
        a = a.isMirror() ? new Placement(a.origin(), a.u().times(-1), a.v(), a.w()) : a;
        double r = c.widthMm() / 2;
        // The tangents of 45° at a circle meet √2 radii above its middle; what is left open below that is a bridge of a millimetre or two.
        double top = r + ROOF_MM;
        double open = Math.max(0.05, r * Math.sqrt(2) - top);
        Profile drop = Profiles.hull(List.of(Profile.hole(0, 0, c.widthMm(), SIDES), Profile.rectangle(0, top - 0.05, 2 * open, 0.1)));
        return Leaf.extrusion(c.feature(), drop, a, -BEYOND_MM, c.depthMm() + (c.through() ? BEYOND_MM : 0));
    }

    /** Its holes as things with a purpose. */
    public List<Cavity> cavities() {
        return row.cavities().stream().map(c -> new Cavity(c.feature(), c.group(), c.label(), c.purpose(), up.times(c.axis()), c.widthMm(), c.sides(), c.depthMm(),
                c.through(), c.boreMm(), c.under())).toList();
    }

    /** Its screws. */
    public List<Screw> screws() {
        return row.screws().stream().map(s -> new Screw(s.id(), s.row(), s.rowLabel(), s.pieceId(), s.thread(), s.head(), s.washer(), s.lengthMm(), up.times(s.axis()),
                s.headMm(), s.onPart(), s.heldName(), s.heldMm(), s.end(), s.endMm(), s.boreMm(), s.insert(), s.lengthParam(), s.grip(), s.insertParam(), s.threadParam())).toList();
    }

    /** Numbers that move its bosses' faces. */
    public List<Reach> reaches() {
        return row.reaches().stream().map(r -> new Reach(r.feature(), up.turned(r.outward()), r.lever())).toList();
    }

    /** What it is screwed to. */
    public Held heldThing() {
        Held h = row.heldThing();
        return new Held(h.name(), Pattern.placed(h.solid(), up, ""), h.touching());
    }
}
