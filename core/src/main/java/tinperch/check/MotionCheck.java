package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import tinperch.fact.Facts;
import tinperch.fact.MotionFact;
import tinperch.fact.MotionFact.Way;
import tinperch.machine.space.Neighbour;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/**
 * Is the part clear of everything that moves against it, wherever the axes stand? A neighbour says itself how much it wants free; where it says nothing, what
 * moves wants 2 mm and what is hot 3 mm (common practice).
 */
public final class MotionCheck implements Check {
    private static final double HOT_MM = 3;
    private static final double MOVING_MM = 2;
    /** Nearer than this they touch. */
    private static final double TOUCHES_MM = 0.05;

    @Override
    public String about() {
        return "ways of the axes";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        if (c.site().isEmpty()) {
            return List.of();
        }
        Optional<List<Way>> ways = facts.get(MotionFact.MOTION);
        List<Finding> all = new ArrayList<>();
        ways.orElse(List.of()).stream().filter(w -> w.surelyMm() < wantedMm(w.neighbour()) - 1e-6).sorted(Comparator.comparingDouble(MotionCheck::valueMm)).forEach(w -> all.add(tight(w, c)));
        if (all.isEmpty() && ways.isPresent() && moves(c)) {
            all.add(ways.get().stream().min(Comparator.comparingDouble(w -> w.gapMm() - wantedMm(w.neighbour()))).map(w -> Finding.of("motion", Severity.FINE,
                    "Never nearer than " + Quantity.mm(w.gapMm()) + " to " + w.neighbour().name(), "The tightest place on all ways of the axes, " + where(w) + "; " + Quantity.mm(wantedMm(w.neighbour())) + " is wanted.")
                    .measured(margin(w)).at(w.piece().id(), w.feature()).posed(w.pose())).orElseGet(() -> Finding.of("motion", Severity.FINE, "Nothing comes near it wherever the axes stand",
                            "All ways of the axes together, more than " + Quantity.mm(MotionFact.NEED_MM) + " between.")));
        }
        return all;
    }

    /** Whether anything moves against its site at all. */
    private static boolean moves(Case c) {
        return c.machine().surroundings().neighbours().stream().anyMatch(n -> n.isMatter() && !c.machine().surroundings().group(n.group()).map(g -> g.axes()).orElse(List.of())
                .equals(c.machine().surroundings().group(c.site().orElseThrow().group()).map(g -> g.axes()).orElse(List.of())));
    }

    private static double wantedMm(Neighbour n) {
        return n.clearanceMm() > 0 ? n.clearanceMm() : n.kind() == Neighbour.Kind.HOT ? HOT_MM : MOVING_MM;
    }

    private static double valueMm(Way w) {
        return w.depthMm() > 0 ? -w.depthMm() : w.gapMm();
    }

    private static Margin margin(Way w) {
        return new Margin(valueMm(w), wantedMm(w.neighbour()), Unit.MM, true);
    }

    private static String where(Way w) {
        return "with " + new TreeMap<>(w.pose()).entrySet().stream().map(e -> e.getKey() + " at " + Quantity.mm(e.getValue())).collect(Collectors.joining(", "));
    }

    private static Finding tight(Way w, Case c) {
        Neighbour n = w.neighbour();
        String id = "motion." + n.id() + "." + w.of();
        boolean hits = w.depthMm() > 0 || w.gapMm() < TOUCHES_MM;
        boolean told = w.gapMm() < wantedMm(n);
        String what = hits ? "The " + w.feature() + " runs into " + n.name() : told ? Quantity.mm(w.gapMm()) + " between " + w.feature() + " and " + n.name() + " on the way, " + Quantity.mm(wantedMm(n)) + " wanted"
                : "How near it comes to " + n.name() + " could not be measured through";
        String why = (told || hits ? "Measured between the two shapes " + where(w) + "." + (w.depthMm() > 0 ? " It goes " + Quantity.mm(Math.round(w.depthMm() * 10) / 10.0) + " deep there: so much has to give way." : "") : "It is " + Quantity.mm(w.surelyMm()) + " at least.")
                + (n.kind() == Neighbour.Kind.HOT ? " It is hot: plastic this near softens." : "") + " Dry fit shows it there.";
        return Finding.of(id, hits || told && n.kind() == Neighbour.Kind.HOT ? Severity.STOP : Severity.LOOK, what, why).measured(margin(w)).at(w.piece().id(), w.feature()).about(Subject.LAYOUT).posed(w.pose())
                .with(w.of().equals(w.piece().id()) && (told || hits) ? Clearing.of(w.piece(), w.feature(), w.outward(), wantedMm(n) - valueMm(w), c) : List.of());
    }
}
