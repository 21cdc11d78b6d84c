package tinperch.judge;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import tinperch.check.Finding;
import tinperch.check.Margin;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.check.Subject;
import tinperch.fact.Facts;
import tinperch.solid.kernel.Hands;
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

    /**
     * Those remedies of each finding that help, with what they lead to; for a matter of layout also other layouts.
     *
     * @param facts of a case, asked for by any of the hands
     */
    public static Map<Finding, List<Tried>> all(Case c, Assessment now, Function<Case, Facts> facts, Hands hands) {
        List<Finding> of = new ArrayList<>();
        List<Supplier<List<Tried>>> work = new ArrayList<>();
        for (Finding f : now.findings()) {
            if (f.severity() != Severity.FINE) {
                for (Remedy r : f.remedies()) {
                    of.add(f);
                    work.add(() -> attempt(f, r, c, now, facts, MOST_PULLS, false).stream().toList());
                }
                if (f.subject() == Subject.LAYOUT && f.severity() != Severity.CANT_TELL) {
                    of.add(f);
                    work.add(() -> layouts(f, c, now, facts));
                }
            }
        }
        List<List<Tried>> found = new ArrayList<>(Collections.nCopies(work.size(), List.of()));
        hands.each(work.size(), i -> found.set(i, work.get(i).get()));
        Map<Finding, List<Tried>> all = new LinkedHashMap<>();
        for (int i = 0; i < work.size(); i++) {
            List<Tried> sofar = all.computeIfAbsent(of.get(i), k -> new ArrayList<>());
            found.get(i).stream().filter(t -> sofar.stream().noneMatch(o -> o.remedy().label().equals(t.remedy().label()))).forEach(sofar::add);
        }
        return all;
    }

    /** The assessment with only those remedies that help. */
    public static Assessment proven(Assessment now, Map<Finding, List<Tried>> tried) {
        return new Assessment(now.findings().stream().map(f -> f.with(tried.getOrDefault(f, List.of()).stream().map(Tried::remedy).toList())).toList(), now.pending());
    }

    private static List<Tried> layouts(Finding f, Case c, Assessment now, Function<Case, Facts> facts) {
        List<Tried> all = new ArrayList<>();
        for (Way w : ways(c)) {
            if (all.size() == MOST_WAYS) {
                break;
            }
            attempt(f, Remedy.of(w.label(), new Change.Layout(w.values())), c, now, facts, 1, true)
                    .filter(x -> x.remedy().leaves().isEmpty() && isBetter(x.after(), now)).ifPresent(all::add);
        }
        return all;
    }

    /** Fewer stops, or as many and less to look at: another layout changes more than one finding. */
    private static boolean isBetter(Assessment after, Assessment before) {
        long stops = after.count(Severity.STOP) - before.count(Severity.STOP);
        return stops < 0 || stops == 0 && after.count(Severity.LOOK) < before.count(Severity.LOOK);
    }

    private static List<Way> ways(Case c) {
        try {
            return c.family().map(x -> x.ways(c.inputs())).orElse(List.of());
        } catch (PartProblem e) {
            return List.of();
        }
    }

    /** @param wholly whether one that only betters it is not worth being judged any further */
    private static Optional<Tried> attempt(Finding f, Remedy r, Case c, Assessment now, Function<Case, Facts> facts, int pulls, boolean wholly) {
        if (!inRange(r)) {
            return Optional.empty();
        }
        Optional<Case> changed = changed(c, r);
        if (changed.isEmpty()) {
            return Optional.empty();
        }
        Case next = changed.get();
        if (next.recipe().equals(c.recipe()) && next.part().equals(c.part()) && next.upgrade().equals(c.upgrade()) && next.machine().equals(c.machine())
                && next.drawer().equals(c.drawer())) {
            return Optional.empty();
        }
        Facts found = facts.apply(next);
        found.stop().check();
        if (f.check() != null) {
            // Whether it helps at all its own check tells, long before all others are asked.
            Optional<Finding> alone = Judge.ask(f.check(), next, found).stream().filter(x -> x.id().equals(f.id())).findFirst();
            if (alone.filter(x -> x.severity() != Severity.FINE).isPresent()) {
                Optional<Remedy> more = pulls > 1 && r.pull().isPresent() ? more(f, alone.get(), r) : Optional.empty();
                if (more.isPresent()) {
                    return attempt(f, more.get(), c, now, facts, pulls - 1, wholly);
                }
                if (wholly || !better(f, alone.get())) {
                    return Optional.empty();
                }
            }
        }
        Assessment after = Judge.judge(next, found);
        if (after.findings().stream().anyMatch(x -> x.subject() == Subject.NO_PART && f.subject() != Subject.NO_PART)) {
            return Optional.empty();
        }
        Optional<Finding> there = after.findings().stream().filter(x -> x.id().equals(f.id())).findFirst();
        boolean cleared = there.map(x -> x.severity() == Severity.FINE).orElse(true);
        if (!cleared && !better(f, there.get())) {
            return Optional.empty();
        }
        return Optional.of(new Tried(r.leaving(leaves(f, there, cleared, now, after)), after));
    }

    private static Optional<Case> changed(Case c, Remedy r) {
        try {
            return Optional.of(c.after(Change.all(c.draft(), r.changes())));
        } catch (RuntimeException e) {
            return Optional.empty();
        }
    }

    private static boolean inRange(Remedy r) {
        return r.changes().stream().noneMatch(ch -> ch instanceof Change.Set<?> s && s.param() instanceof NumberParam n && s.value() instanceof Double v && !n.holds(v));
    }

    /** The same lever pulled by as much more as its first pull fell short. */
    private static Optional<Remedy> more(Finding before, Finding after, Remedy r) {
        if (!measureTheSame(before, after)) {
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

    /** Whether both have a number, and of one kind: what bears of a seat is none of the millimetres something stands in its way. */
    private static boolean measureTheSame(Finding a, Finding b) {
        return a.margin().isPresent() && b.margin().isPresent() && a.margin().get().unit() == b.margin().get().unit();
    }

    /** Whether one finding is better than the same one before. */
    static boolean better(Finding before, Finding after) {
        if (after.severity() != before.severity()) {
            return after.severity().compareTo(before.severity()) > 0;
        }
        return measureTheSame(before, after) && after.margin().get().spare() > before.margin().get().spare() + 0.05;
    }

    private static String leaves(Finding f, Optional<Finding> there, boolean cleared, Assessment now, Assessment after) {
        Set<String> known = now.findings().stream().filter(x -> x.severity() == Severity.STOP).map(Finding::id).collect(Collectors.toSet());
        Optional<Finding> fresh = after.findings().stream().filter(x -> x.severity() == Severity.STOP && !known.contains(x.id()) && !x.id().equals(f.id())).findFirst();
        if (!cleared) {
            Finding x = there.orElseThrow();
            return x.severity() == f.severity() ? "still " + x.margin().filter(m -> m.spare() < 0).map(Margin::sayMissing).orElse(x.severity().label() + ": " + x.what()) : "then: " + x.what();
        }
        return fresh.map(x -> "then: " + x.what()).orElse("");
    }
}
