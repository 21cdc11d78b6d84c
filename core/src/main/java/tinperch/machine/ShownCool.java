package tinperch.machine;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import tinperch.machine.book.Component;
import tinperch.material.Material;
import tinperch.trial.Channel;
import tinperch.trial.Kept;
import tinperch.trial.Run;

/** What runs show of contacts: one that stood well below its rating while the bed stood as hot as a material wants it has been tried. */
public final class ShownCool {
    /** It must stay so far below its rating, K (common practice: ten kelvin for what ages and what was measured beside the hottest place). */
    public static final double SPARE_K = 10;
    /** A bed that stood so little below what is wanted counts, K. */
    private static final double NEAR_K = 1;

    private ShownCool() {}

    /** The hottest bed at which a run shows a contact with enough to spare, °C; empty when it does not, and of what was simulated. */
    public static Optional<Double> bedC(Run run, Component contact) {
        if (contact.ratings().limitC() <= 0 || run.simulated()) {
            return Optional.empty();
        }
        Optional<Kept> bed = run.first(Channel.Kind.BED).flatMap(Channel::kept).filter(Kept::stood);
        boolean cool = run.channels().stream().filter(c -> c.kind() == Channel.Kind.CONTACT && c.of().equals(contact.id())).flatMap(c -> c.kept().stream()).anyMatch(k -> k.stood()
                && Math.max(k.peakC(), k.stoodC() + k.halfK()) <= contact.ratings().limitC() - SPARE_K);
        return cool ? bed.map(Kept::stoodC) : Optional.empty();
    }

    /** Whether a run since the contact was fitted, until a day, shows it at a bed temperature. */
    static boolean is(Machine m, Component contact, double bedC, LocalDate day) {
        return m.runs().stream().filter(r -> !r.start().toLocalDate().isAfter(day) && !r.start().toLocalDate().isBefore(contact.on()))
                .anyMatch(r -> bedC(r, contact).filter(c -> c >= bedC - NEAR_K).isPresent());
    }

    /** Materials a machine may not print yet, that nothing speaks against, and for which this run is the reason. */
    public static List<Material> unlockedBy(Run run, Machine m, LocalDate day) {
        Machine without = m.withoutRun(run.id());
        return Material.STANDARD.stream().filter(k -> !m.materials().contains(k.name()) && MayPrint.reasonsAgainst(m, k, day).isEmpty()
                && !MayPrint.reasonsAgainst(without, k, day).isEmpty()).toList();
    }
}
