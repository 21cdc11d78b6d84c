package tinperch.check;

import java.util.List;

/**
 * A way to turn a margin fine: one undoable step.
 *
 * @param label what the button says: "use M3×20", "wall 8 → 6.6 mm"
 */
public record Remedy(String label, List<Change> changes) {
    public Remedy {
        changes = List.copyOf(changes);
    }

    public static Remedy of(String label, Change... changes) {
        return new Remedy(label, List.of(changes));
    }
}
