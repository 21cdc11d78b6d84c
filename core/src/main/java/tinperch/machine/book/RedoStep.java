package tinperch.machine.book;

import java.util.List;
import tinperch.quantity.Table;

/** Something to be done again after a change, one row of {@code steps.csv}, in the order they are best done. */
public record RedoStep(String step, String label, String how) {
    public static final List<RedoStep> ALL = Table.read(RedoStep.class, "steps.csv", RedoStep.class);

    /** @throws IllegalArgumentException when the tables do not fit together */
    public static RedoStep of(String step) {
        return ALL.stream().filter(s -> s.step.equals(step)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No step " + step + " in steps.csv"));
    }
}
