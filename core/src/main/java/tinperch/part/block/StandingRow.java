package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.Cavity;
import tinperch.part.form.Held;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.solid.Placement;
import tinperch.solid.Solid;
import tinperch.solid.shape.Pattern;

/**
 * A row of screws through a wall that stands on the bed: the row of a lying plate, put up. Its holes lie, so their tops may get a roof: flanks of
 * 45°, cut off 0.4 mm above the circle.
 *
 * @param row as if the wall lay
 * @param up where the lying wall goes in the piece; its x, the way a site's x runs, need not be the bed's
 */
public record StandingRow(ScrewRow row, Placement up) {
    /** Bosses on the machine's side. */
    public List<Solid> bosses() {
        return row.bosses().stream().map(s -> Pattern.placed(s, up, "")).toList();
    }

    /** Holes and pockets; with {@code roofs} those round ones that lie have a roof. */
    public List<Solid> cuts(double beyondMm, boolean roofs) {
        List<Solid> all = new ArrayList<>(row.cuts(beyondMm).stream().map(s -> Pattern.placed(s, up, "")).toList());
        if (roofs) {
            cavities().stream().filter(LyingHole::lies).forEach(c -> all.add(LyingHole.roof(c)));
        }
        return all;
    }

    /** Its holes as things with a purpose. */
    public List<Cavity> cavities() {
        return row.cavities().stream().map(c -> c.at(up.times(c.axis()))).toList();
    }

    /** Its screws. */
    public List<Screw> screws() {
        return row.screws().stream().map(s -> s.at(up.times(s.axis()))).toList();
    }

    /** Numbers that move its bosses' faces. */
    public List<Reach> reaches() {
        return row.reaches().stream().map(r -> new Reach(r.feature(), up.turned(r.outward()), r.lever())).toList();
    }

    /** What it is screwed to. */
    public Held heldThing() {
        Held h = row.heldThing();
        return h.as(Pattern.placed(h.solid(), up, ""));
    }
}
