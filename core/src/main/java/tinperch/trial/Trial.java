package tinperch.trial;

import java.time.LocalDate;
import java.util.Optional;

/**
 * What an upgrade changed: the same thing measured before and after it.
 *
 * @param what was measured, "wobble at the tool, push of 5 N"
 * @param lessIsBetter as with wobble, temperature, noise, time
 * @param revision of the part that was fitted, in words; empty where it does not matter
 */
public record Trial(String id, LocalDate on, String what, Measured before, Measured after, boolean lessIsBetter, String revision, String note) {
    public Trial {
        on = on == null ? LocalDate.EPOCH : on;
        what = what == null ? "" : what;
        before = before == null ? new Measured(0, 0, "", "") : before;
        after = after == null ? new Measured(0, 0, "", "") : after;
        revision = revision == null ? "" : revision;
        note = note == null ? "" : note;
    }

    /** After less before; empty when they are not in the same unit. */
    public Optional<Comparison> difference() {
        return before.unit().equalsIgnoreCase(after.unit()) ? Optional.of(new Comparison(after.value() - before.value(), Math.hypot(before.half(), after.half()))) : Optional.empty();
    }

    /** Whether it is better; cannot be told where units differ, or where the intervals do not leave a difference. Numbers nobody said an interval of are taken as they are. */
    public Comparison.Says says() {
        return difference().map(d -> d.says(lessIsBetter)).orElse(Comparison.Says.CANNOT_TELL);
    }

    /** "Better: 1.2 ± 0.1 mm less (−67 %)". */
    public String words() {
        Optional<Comparison> d = difference();
        if (d.isEmpty()) {
            return "Cannot tell: “" + before.unit() + "” before and “" + after.unit() + "” after are not the same unit.";
        }
        Measured by = new Measured(Math.abs(d.get().difference()), d.get().halfWidth(), after.unit(), "").rounded();
        String share = before.value() == 0 ? "" : " (" + Math.round(100 * Math.abs(d.get().difference() / before.value())) + " %)";
        String says = says().label();
        return says.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + says.substring(1) + ": " + by.words() + (d.get().difference() < 0 ? " less" : " more") + share
                + (says() == Comparison.Says.CANNOT_TELL && d.get().halfWidth() > 0 ? "; that lies within what the numbers are sure of." : d.get().halfWidth() == 0 ? "; nobody said how sure the numbers are." : ".");
    }
}
