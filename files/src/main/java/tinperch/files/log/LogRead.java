package tinperch.files.log;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/**
 * What was read of a log.
 *
 * @param start the time of its first row on the clock of whoever recorded; empty where it says no day
 * @param rows how many were given on
 * @param lastS the last of them, s after the first
 * @param troubles what was left out or laid otherwise, and why
 */
public record LogRead(Optional<LocalDateTime> start, long rows, double lastS, List<String> troubles) {
    /** Takes the rows of a log in the order of time. */
    @FunctionalInterface
    public interface Rows {
        /** @param values one for each channel, NaN where there is none; taken over before it returns */
        void row(double seconds, float[] values);
    }
}
