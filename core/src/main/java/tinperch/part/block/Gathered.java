package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.Cavity;
import tinperch.part.form.Held;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.solid.Solid;

/** What one piece is gathered from, while its family makes it: what is joined, what is cut away, and what all of that is for. */
public final class Gathered {
    private final List<Solid> bodies = new ArrayList<>();
    private final List<Solid> cuts = new ArrayList<>();
    private final List<Cavity> cavities = new ArrayList<>();
    private final List<Screw> screws = new ArrayList<>();
    private final List<Held> held = new ArrayList<>();
    private final List<Reach> reaches = new ArrayList<>();

    /** Joined to the piece. */
    public Gathered body(Solid... more) {
        bodies.addAll(List.of(more));
        return this;
    }

    /** Joined to the piece. */
    public Gathered bodies(List<? extends Solid> more) {
        bodies.addAll(more);
        return this;
    }

    /** Taken away when everything is joined. */
    public Gathered cut(Solid... more) {
        cuts.addAll(List.of(more));
        return this;
    }

    /** Taken away when everything is joined. */
    public Gathered cuts(List<? extends Solid> more) {
        cuts.addAll(more);
        return this;
    }

    /** Something hollow with a purpose; it is cut by itself. */
    public Gathered cavity(Cavity more) {
        cavities.add(more);
        return this;
    }

    /** Something mounted on the piece, or it on that. */
    public Gathered holding(Held more) {
        held.add(more);
        return this;
    }

    /** A number that moves faces. */
    public Gathered reach(Reach... more) {
        reaches.addAll(List.of(more));
        return this;
    }

    /** A row of screws in a lying plate; {@code beyondMm} as its cutters go on behind it. */
    public Gathered row(ScrewRow row, double beyondMm) {
        return all(row.bosses(), row.cuts(beyondMm), row.cavities(), row.screws(), row.reaches());
    }

    /** A row of screws in a wall. */
    public Gathered row(StandingRow row, double beyondMm, boolean roofs) {
        return all(row.bosses(), row.cuts(beyondMm, roofs), row.cavities(), row.screws(), row.reaches());
    }

    /** A bracket with slots, and what it is screwed to. */
    public Gathered tab(SlottedTab.Made t) {
        return all(t.bodies(), t.cuts(), t.cavities(), t.screws(), t.reaches()).holding(t.held());
    }

    private Gathered all(List<Solid> moreBodies, List<Solid> moreCuts, List<Cavity> moreCavities, List<Screw> moreScrews, List<Reach> moreReaches) {
        bodies.addAll(moreBodies);
        cuts.addAll(moreCuts);
        cavities.addAll(moreCavities);
        screws.addAll(moreScrews);
        reaches.addAll(moreReaches);
        return this;
    }

    /** The only piece of a part. */
    public Piece piece(String name) {
        return Piece.only(name, new Solid.Difference(new Solid.Union(bodies), cuts), cavities, reaches);
    }

    /** All screws so far, in the order they came. */
    public List<Screw> screws() {
        return List.copyOf(screws);
    }

    /** What is mounted on the piece, or it on that. */
    public List<Held> held() {
        return List.copyOf(held);
    }
}
