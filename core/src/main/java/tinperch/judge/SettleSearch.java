package tinperch.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.function.IntConsumer;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.fact.Facts;
import tinperch.fact.MeshesFact;
import tinperch.material.Material;
import tinperch.solid.kernel.Hands;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Looks for a few remedies, one after the other, after which nothing stops: best first by what still stops, what is to be looked at, and mass (print time goes with it). Remedies are those the checks
 * offer, tried out as always; a combination is what is left when each is made on top of the one before.
 */
public final class SettleSearch {
    private static final int MOST_STEPS = 5;
    private static final int MOST_LOOKED_AT = 60;

    private final Function<Case, Facts> facts;
    private final Hands hands;
    private final BooleanSupplier enough;
    private final IntConsumer looked;
    private int tried;

    private SettleSearch(Function<Case, Facts> facts, Hands hands, BooleanSupplier enough, IntConsumer looked) {
        this.facts = facts;
        this.hands = hands;
        this.enough = enough;
        this.looked = looked;
    }

    /**
     * What was found.
     *
     * @param steps in the order they are made; empty where nothing helps, or nothing stops
     * @param after the judgement they lead to; that of before where there are none
     * @param grams of plastic before, {@code gramsAfter} after
     * @param settled whether nothing stops then
     * @param tried how many designs were looked at
     */
    public record Proposal(List<Remedy> steps, Assessment before, Assessment after, double grams, double gramsAfter, boolean settled, int tried) {
        public Proposal {
            steps = List.copyOf(steps);
        }

        /** All of its changes, in order. */
        public List<Change> changes() {
            return steps.stream().flatMap(r -> r.changes().stream()).toList();
        }
    }

    private record Node(Case c, Assessment judged, List<Remedy> steps, double grams) {
        long stops() {
            return judged.count(Severity.STOP);
        }
    }

    /**
     * Searches.
     *
     * @param facts of a case, asked for by any of the hands
     * @param enough asked between designs: true ends it with the best so far
     * @param looked told how many designs were looked at
     */
    public static Proposal of(Case c, Function<Case, Facts> facts, Hands hands, BooleanSupplier enough, IntConsumer looked) {
        return new SettleSearch(facts, hands, enough, looked).run(c);
    }

    private Proposal run(Case c) {
        Node first = node(c, List.of());
        Node best = first;
        PriorityQueue<Node> open = new PriorityQueue<>(Comparator.comparingLong(Node::stops).thenComparingLong(n -> n.judged.count(Severity.LOOK)).thenComparingDouble(Node::grams));
        open.add(first);
        Set<String> seen = new HashSet<>(Set.of(c.key().hex()));
        while (!open.isEmpty() && best.stops() > 0 && tried < MOST_LOOKED_AT && !enough.getAsBoolean()) {
            Node n = open.poll();
            for (Remedy r : n.steps.size() < MOST_STEPS ? remedies(n) : List.<Remedy>of()) {
                Optional<Case> next = made(n.c, r);
                if (next.isPresent() && seen.add(next.get().key().hex()) && !enough.getAsBoolean()) {
                    List<Remedy> steps = new ArrayList<>(n.steps);
                    steps.add(r);
                    Node m = node(next.get(), steps);
                    open.add(m);
                    best = better(m, best) ? m : best;
                }
            }
        }
        return new Proposal(best.steps, first.judged, best.judged, first.grams, best.grams, best.stops() == 0, tried);
    }

    private static boolean better(Node a, Node b) {
        if (a.stops() != b.stops()) {
            return a.stops() < b.stops();
        }
        long looks = a.judged.count(Severity.LOOK) - b.judged.count(Severity.LOOK);
        return looks != 0 ? looks < 0 : a.steps.size() != b.steps.size() ? a.steps.size() < b.steps.size() : a.grams < b.grams - 1e-6;
    }

    /** What helps against what stops a design. */
    private List<Remedy> remedies(Node n) {
        List<Finding> stops = n.judged.findings().stream().filter(f -> f.severity() == Severity.STOP && f.isOpen()).toList();
        Map<Finding, List<Prover.Tried>> all = Prover.all(n.c, new Assessment(stops, List.of()), facts, hands);
        return all.values().stream().flatMap(List::stream).map(Prover.Tried::remedy).toList();
    }

    private static Optional<Case> made(Case c, Remedy r) {
        try {
            return Optional.of(c.after(Change.all(c.draft(), r.changes())));
        } catch (RuntimeException e) {
            return Optional.empty();
        }
    }

    private Node node(Case c, List<Remedy> steps) {
        Facts f = facts.apply(c);
        Assessment a = Judge.judge(c, f);
        tried++;
        looked.accept(tried);
        return new Node(c, a, steps, grams(c, f));
    }

    private static double grams(Case c, Facts f) {
        double density = Material.find(c.part().material()).map(Material::densityGcm3).orElse(0.0);
        return f.get(MeshesFact.BARE).pieces().stream().mapToDouble(m -> m.piece().count() * m.mesh().volumeMm3()).sum() / 1000 * density;
    }
}
