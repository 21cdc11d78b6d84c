package tinperch.machine.book;

import java.time.LocalDate;
import java.util.List;

/**
 * A step that was redone, or waived.
 *
 * @param step of {@link RedoStep}
 * @param covers ids of the entries that had asked for it
 * @param result what came out, or why it was waived
 */
public record Redone(String id, String step, String loadout, List<String> covers, LocalDate on, String by, String result,
        boolean waived) {
    public Redone {
        covers = List.copyOf(covers);
    }
}
