package tinperch.judge;

import java.time.LocalDate;
import java.util.Optional;
import tinperch.check.Finding;
import tinperch.check.Margin;
import tinperch.check.Severity;
import tinperch.upgrade.Accepted;
import tinperch.upgrade.PartDesign;

/** Findings the owner lives with: said so for as long as they are no worse than they were then. */
public final class Acceptance {
    /** So much worse is a rounding, in the margin's unit. */
    private static final double SAME = 0.05;

    private Acceptance() {}

    /** The finding, accepted where it was and is no worse. */
    static Finding of(Finding f, PartDesign part) {
        return part.accepted().stream().filter(a -> a.findingId().equals(f.id()) && f.severity() != Severity.FINE && !isWorse(f, a)).findFirst().map(a -> f.accepted(a.reason().isBlank() ? "no reason given" : a.reason())).orElse(f);
    }

    private static boolean isWorse(Finding f, Accepted a) {
        Optional<Double> spare = f.margin().map(Margin::spare);
        return f.severity() == Severity.STOP && !a.stops() || spare.isPresent() != a.spare().isPresent() || isOfAnother(f, a) || spare.isPresent() && spare.get() < a.spare().get() - SAME;
    }

    /** Whether another thing is measured now under the same name: what bears of a seat then, what stands in its way now. */
    private static boolean isOfAnother(Finding f, Accepted a) {
        return a.unit().isPresent() && f.margin().isPresent() && f.margin().get().unit() != a.unit().get();
    }

    /** What is kept when a finding is accepted. */
    public static Accepted accept(Finding f, String reason, LocalDate on) {
        return new Accepted(f.id(), f.severity() == Severity.STOP, f.margin().map(Margin::spare), f.margin().map(Margin::unit), reason, on);
    }
}
