package tinperch.upgrade;

import java.time.LocalDate;
import java.util.Optional;
import tinperch.quantity.Unit;

/**
 * A finding its owner lives with. It comes up again when it gets worse than it was then.
 *
 * @param stops whether it was one that stops
 * @param spare what was left of its margin then; empty for one without a number
 * @param unit of what was left; empty for one without a number and where an earlier version kept it
 * @param reason in the owner's words
 */
public record Accepted(String findingId, boolean stops, Optional<Double> spare, Optional<Unit> unit, String reason, LocalDate on) {
    public Accepted {
        findingId = findingId == null ? "" : findingId;
        spare = spare == null ? Optional.empty() : spare;
        unit = unit == null ? Optional.empty() : unit;
        reason = reason == null ? "" : reason;
        on = on == null ? LocalDate.of(2000, 1, 1) : on;
    }
}
