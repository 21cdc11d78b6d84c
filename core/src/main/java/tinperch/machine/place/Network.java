package tinperch.machine.place;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Along;
import tinperch.machine.space.Distance;
import tinperch.machine.space.End;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.measure.Adjustment.Observation;
import tinperch.measure.Adjustment.Term;
import tinperch.measure.Adjustment;
import tinperch.measure.Spread;

/**
 * Solves the places of neighbours along one direction from the distances read along it: a weighted least-squares network for each set of
 * neighbours that hang together. The one everything is measured from stays where it is; a set that does not hang on it is held by its
 * first and said to be loose.
 */
final class Network {
    /** Normal distribution, 95 % two-sided. */
    private static final double K95 = 1.96;
    /** No machine is larger, mm. */
    private static final double MOST_MM = 1e5;

    private final Surroundings space;
    private final Along along;
    private final Map<String, Neighbour> neighbours = new LinkedHashMap<>();
    private final List<Edge> edges = new ArrayList<>();
    private final Map<String, Place> places = new HashMap<>();
    private final List<Doubt> doubts = new ArrayList<>();
    private final Map<String, Integer> looseSets = new LinkedHashMap<>();

    /** A distance as an equation: corner of {@code to} − corner of {@code from} = {@code mm}. */
    private record Edge(Distance distance, double mm, double sigmaMm) {
        String from() {
            return distance.from().neighbourId();
        }

        String to() {
            return distance.to().neighbourId();
        }

        String other(String id) {
            return from().equals(id) ? to() : from();
        }
    }

    Network(Surroundings space, Along along, End.Holes holes) {
        this.space = space;
        this.along = along;
        space.neighbours().forEach(n -> neighbours.put(n.id(), n));
        for (Distance d : space.distances()) {
            if (d.along() == along && d.spread().isPresent()) {
                edge(d, holes).ifPresent(edges::add);
            }
        }
        solve();
    }

    private Optional<Edge> edge(Distance d, End.Holes holes) {
        Neighbour a = neighbours.get(d.from().neighbourId());
        Neighbour b = neighbours.get(d.to().neighbourId());
        if (a == null || b == null || a == b) {
            return Optional.empty();
        }
        Spread s = d.spread().orElseThrow();
        if (!(Math.abs(s.mean()) <= MOST_MM && s.halfWidth() <= MOST_MM)) {
            return Optional.empty();
        }
        double moved = along.of(space.shift(b.group(), d.pose())) - along.of(space.shift(a.group(), d.pose()));
        return d.from().offsetMm(a, along, holes).flatMap(fa -> d.to().offsetMm(b, along, holes).map(fb ->
                new Edge(d, s.mean() - (fb - fa) - moved, s.halfWidth() / K95)));
    }

    private void solve() {
        Map<String, List<Edge>> at = new HashMap<>();
        for (Edge e : edges) {
            at.computeIfAbsent(e.from(), k -> new ArrayList<>()).add(e);
            at.computeIfAbsent(e.to(), k -> new ArrayList<>()).add(e);
        }
        String datum = space.datumId();
        List<String> order = new ArrayList<>(neighbours.keySet());
        if (order.remove(datum)) {
            order.add(0, datum);
        }
        for (String first : order) {
            if (places.containsKey(first)) {
                continue;
            }
            if (!at.containsKey(first)) {
                places.put(first, first.equals(datum) ? new Place(corner(first), 0, Place.How.DATUM) : new Place(corner(first), Double.NaN, Place.How.USUAL));
                if (!first.equals(datum)) {
                    looseSets.put(first, 1);
                }
                continue;
            }
            component(first, at, first.equals(datum));
        }
    }

    private double corner(String id) {
        return along.of(neighbours.get(id).corner());
    }

    /** Solves all that hangs on one that is held. */
    private void component(String held, Map<String, List<Edge>> at, boolean isDatum) {
        Map<String, List<Edge>> left = reached(held, at);
        int size = left.size();
        // What hangs on by one reading alone is checked by nothing: it follows from the rest without being solved for.
        Deque<String> ends = new ArrayDeque<>(left.keySet().stream().filter(id -> left.get(id).size() == 1).toList());
        Deque<Map.Entry<String, Edge>> hanging = new ArrayDeque<>();
        while (!ends.isEmpty()) {
            String id = ends.poll();
            if (!id.equals(held) && left.get(id).size() == 1) {
                Edge e = left.remove(id).get(0);
                hanging.push(Map.entry(id, e));
                List<Edge> others = left.get(e.other(id));
                others.remove(e);
                if (others.size() == 1) {
                    ends.add(e.other(id));
                }
            }
        }
        Map<String, Known> known = new HashMap<>();
        solve(held, left, known);
        for (Map.Entry<String, Edge> h : hanging) {
            Edge e = h.getValue();
            Known on = known.get(e.other(h.getKey()));
            known.put(h.getKey(), new Known(on.mm + (e.to().equals(h.getKey()) ? e.mm : -e.mm), Math.hypot(on.sigmaMm, e.sigmaMm)));
        }
        known.forEach((id, k) -> places.put(id, new Place(k.mm, isDatum ? K95 * k.sigmaMm : Double.NaN, !isDatum ? Place.How.LOOSE : id.equals(held) ? Place.How.DATUM : Place.How.MEASURED)));
        if (!isDatum) {
            looseSets.put(held, size);
        }
    }

    private record Known(double mm, double sigmaMm) {}

    /** All that hangs on one, each with the distances that end there. */
    private static Map<String, List<Edge>> reached(String from, Map<String, List<Edge>> at) {
        Map<String, List<Edge>> all = new LinkedHashMap<>();
        Deque<String> next = new ArrayDeque<>(List.of(from));
        all.put(from, new ArrayList<>(at.get(from)));
        while (!next.isEmpty()) {
            String id = next.poll();
            for (Edge e : at.get(id)) {
                if (!all.containsKey(e.other(id))) {
                    all.put(e.other(id), new ArrayList<>(at.get(e.other(id))));
                    next.add(e.other(id));
                }
            }
        }
        return all;
    }

    /** Least squares over what checks itself. */
    private void solve(String held, Map<String, List<Edge>> of, Map<String, Known> known) {
        double zero = corner(held);
        Map<String, Integer> number = new LinkedHashMap<>();
        number.put(held, -1);
        of.keySet().forEach(id -> number.putIfAbsent(id, number.size() - 1));
        List<Edge> within = new ArrayList<>();
        List<Observation> observed = new ArrayList<>();
        of.forEach((id, edges) -> edges.stream().filter(e -> e.from().equals(id)).forEach(e -> {
            within.add(e);
            List<Term> terms = new ArrayList<>(2);
            double mm = e.mm;
            int from = number.get(e.from());
            int to = number.get(e.to());
            if (from >= 0) {
                terms.add(new Term(from, -1));
            } else {
                mm += zero;
            }
            if (to >= 0) {
                terms.add(new Term(to, 1));
            } else {
                mm -= zero;
            }
            observed.add(new Observation(terms, mm, e.sigmaMm));
        }));
        Adjustment a = Adjustment.of(number.size() - 1, observed);
        number.forEach((id, k) -> known.put(id, k < 0 ? new Known(zero, 0) : new Known(a.value(k), a.sigma(k))));
        List<Integer> suspects = a.suspects();
        if (!suspects.isEmpty()) {
            double worst = Math.abs(a.normalised(suspects.get(0)));
            // In a single loop each is as suspect as the others.
            List<Integer> first = suspects.stream().filter(i -> Math.abs(a.normalised(i)) > 0.98 * worst).toList();
            doubts.add(new Doubt(first.stream().map(i -> within.get(i).distance).toList(),
                    Math.abs(a.residual(first.get(0)) / a.redundancy(first.get(0))), worst, swapped(first, a, within)));
        }
    }

    /** Whether the others say just the opposite of what was read: its ends were swapped. */
    private static boolean swapped(List<Integer> suspects, Adjustment a, List<Edge> within) {
        if (suspects.size() != 1) {
            return false;
        }
        int i = suspects.get(0);
        double others = a.residual(i) / a.redundancy(i);
        Edge e = within.get(i);
        double read = e.distance.spread().orElseThrow().mean();
        return Math.abs(others + 2 * read) < Adjustment.STANDS_OUT * e.sigmaMm / Math.sqrt(a.redundancy(i));
    }

    Map<String, Place> places() {
        return places;
    }

    List<Doubt> doubts() {
        return doubts;
    }

    /** Sets of neighbours that do not hang on what all is measured from: the first of each, and how many it has. */
    Map<String, Integer> looseSets() {
        return looseSets;
    }
}
