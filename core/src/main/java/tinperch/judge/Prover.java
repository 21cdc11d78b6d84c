package tinperch.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import tinperch.check.Finding;
import tinperch.check.Margin;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.check.Subject;
import tinperch.fact.Facts;
import tinperch.solid.Stop;
import tinperch.part.Way;
import tinperch.part.param.NumberParam;
import tinperch.part.param.PartProblem;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Tries remedies out before they are offered: each is made on a copy of the case and the whole judgement asked again. What is out of range,
 * builds no part or helps nothing is dropped; a lever pulled too little is pulled once more; what is not cleared is said.
 */
public final class Prover {
    private static final int MOST_PULLS = 3;
    private static final int MOST_WAYS = 2;

    private Prover() {}

    /** A remedy and the judgement it leads to. */
    public record Tried(Remedy remedy, Assessment after) {}

    /** The finding with those of its remedies that help. */
    public static Finding proven(Finding f, Case c, Assessment now, Function<Case, Facts> facts, Stop stop) {
        return f.with(tried(f, c, now, facts, stop).stream().map(Tried::remedy).toList());
    }

    /** Those of a finding's remedies that help, with what they lead to; for a matter of layout also other layouts. */
    public static List<Tried> tried(Finding f, Case c, Assessment now, Function<Case, Facts> facts, Stop stop) {
        if (f.severity() == Severity.FINE) {
            return List.of();
        }
        List<Tried> all = new ArrayList<>();
        for (Remedy r : f.remedies()) {
            stop.check();
            attempt(f, r, c, now, facts, MOST_PULLS).filter(t -> all.stream().noneMatch(o -> o.remedy().label().equals(t.remedy().label()))).ifPresent(all::add);
        }
        if (f.subject() == Subject.LAYOUT && f.severity() == Severity.STOP) {
            int ways = 0;
            for (Way w : ways(c)) {
                stop.check();
                if (ways == MOST_WAYS) {
                    break;
                }
                Optional<Tried> t = attempt(f, Remedy.of(w.label(), new Change.Layout(w.values())), c, now, facts, 1)
                        .filter(x -> x.after().count(Severity.STOP) < now.count(Severity.STOP) && x.remedy().leaves().isEmpty());
                t.ifPresent(all::add);
                ways += t.isPresent() ? 1 : 0;
            }
        }
        return all;
    }

    private static List<Way> ways(Case c) {
        try {
            return c.family().map(x -> x.ways(c.inputs())).orElse(List.of());
        } catch (PartProblem e) {
            return List.of();
        }
    }

    private static Optional<Tried> attempt(Finding f, Remedy r, Case c, Assessment now, Function<Case, Facts> facts, int pulls) {
        if (!inRange(r)) {
            return Optional.empty();
        }
        Case next;
        try {
            next = c.after(Change.all(c.draft(), r.changes()));
        } catch (RuntimeException e) {
            return Optional.empty();
        }
        if (next.recipe().equals(c.recipe()) && next.part().equals(c.part()) && next.upgrade().equals(c.upgrade()) && next.machine().equals(c.machine())
                && next.drawer().equals(c.drawer())) {
            return Optional.empty();
        }
        Assessment after = Judge.judge(next, facts.apply(next));
        if (after.findings().stream().anyMatch(x -> x.subject() == Subject.NO_PART && f.subject() != Subject.NO_PART)) {
            return Optional.empty();
        }
        Optional<Finding> there = after.findings().stream().filter(x -> x.id().equals(f.id())).findFirst();
        boolean cleared = there.map(x -> x.severity() == Severity.FINE).orElse(true);
        if (!cleared && r.pull().isPresent() && pulls > 1) {
            Optional<Remedy> more = more(f, there.get(), r);
            if (more.isPresent()) {
                return attempt(f, more.get(), c, now, facts, pulls - 1);
            }
        }
        if (!cleared && !better(f, there.get())) {
            return Optional.empty();
        }
        return Optional.of(new Tried(r.leaving(leaves(f, there, cleared, now, after)), after));
    }

    private static boolean inRange(Remedy r) {
        return r.changes().stream().noneMatch(ch -> ch instanceof Change.Set<?> s && s.param() instanceof NumberParam n && s.value() instanceof Double v && !n.holds(v));
    }

    /** The same lever pulled by as much more as its first pull fell short. */
    private static Optional<Remedy> more(Finding before, Finding after, Remedy r) {
        if (before.margin().isEmpty() || after.margin().isEmpty()) {
            return Optional.empty();
        }
        double short0 = -before.margin().get().spare();
        double gained = short0 + after.margin().get().spare();
        Remedy.Pull p = r.pull().orElseThrow();
        if (!(gained > 0.02 * Math.abs(short0)) || !(short0 > 0)) {
            return Optional.empty();
        }
        double by = p.byMm() * Math.min(4, short0 / gained) * 1.02;
        return Optional.of(Remedy.pull(p.lever(), p.values(), by)).filter(x -> !x.label().equals(r.label()));
    }

    private static boolean better(Finding before, Finding after) {
        if (after.severity() != before.severity()) {
            return after.severity().compareTo(before.severity()) > 0;
        }
        return before.margin().isPresent() && after.margin().isPresent() && after.margin().get().spare() > before.margin().get().spare() + 0.05;
    }

    private static String leaves(Finding f, Optional<Finding> there, boolean cleared, Assessment now, Assessment after) {
        Set<String> known = now.findings().stream().filter(x -> x.severity() == Severity.STOP).map(Finding::id).collect(Collectors.toSet());
        Optional<Finding> fresh = after.findings().stream().filter(x -> x.severity() == Severity.STOP && !known.contains(x.id()) && !x.id().equals(f.id())).findFirst();
        if (!cleared) {
            Finding x = there.orElseThrow();
            return x.severity() == f.severity() ? "still " + x.margin().map(Margin::sayMissing).orElse(x.what()) : "then: " + x.what();
        }
        return fresh.map(x -> "then: " + x.what()).orElse("");
    }
}
