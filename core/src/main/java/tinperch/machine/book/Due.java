package tinperch.machine.book;

import java.time.LocalDate;
import java.util.List;

/**
 * A step that is due.
 *
 * @param loadout the loadout it concerns, empty for all
 * @param covers ids of the entries that ask for it
 * @param reasons one sentence each, oldest first
 * @param since the oldest of their days
 */
public record Due(RedoStep step, String loadout, List<String> covers, List<String> reasons, LocalDate since) {
    public Due {
        covers = List.copyOf(covers);
        reasons = List.copyOf(reasons);
    }
}
