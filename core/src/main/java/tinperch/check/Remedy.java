package tinperch.check;

import java.util.List;
import java.util.Optional;
import tinperch.part.param.Lever;
import tinperch.part.param.Values;
import tinperch.upgrade.Change;

/**
 * A way to turn a margin fine: one undoable step.
 *
 * @param label what the button says: "use M3×20", "wall 8 → 6.6 mm"
 * @param pull the lever it pulls and by how much the judged length is to grow, when it pulls one
 * @param leaves what is still not fine after it, in a sentence; empty when it clears what it is offered for
 */
public record Remedy(String label, List<Change> changes, Optional<Pull> pull, String leaves) {
    public Remedy {
        changes = List.copyOf(changes);
    }

    /** A lever pulled. */
    public record Pull(Lever lever, Values values, double byMm) {}

    public static Remedy of(String label, Change... changes) {
        return new Remedy(label, List.of(changes), Optional.empty(), "");
    }

    /** Pulls a lever so that the judged length grows by some mm. */
    public static Remedy pull(Lever lever, Values values, double byMm) {
        double to = lever.pulled(values, byMm);
        return new Remedy(lever.word() + " " + lever.param().show(values) + " → " + lever.param().words(to), List.of(new Change.Set<>(lever.param(), to)),
                Optional.of(new Pull(lever, values, byMm)), "");
    }

    /** The same, saying what it leaves. */
    public Remedy leaving(String sentence) {
        return new Remedy(label, changes, pull, sentence);
    }
}
