package tinperch.fact;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Placement;
import tinperch.upgrade.Case;

/**
 * What the part runs into while the machine homes, however carefully it is used: leg by leg in the order of homing, with the axes homed before at home and those still to come anywhere. The
 * first leg is left out, because it may begin anywhere: that is what {@link MotionFact} looks at. Only what was found too near there is looked at here. For what is run into, orders that
 * do not are found.
 */
public final class HomingFact implements Fact<List<HomingFact.Leg>> {
    public static final HomingFact HOMING = new HomingFact();
    /** Of more axes not every order is tried. */
    public static final int MOST_AXES = 4;

    private HomingFact() {}

    /**
     * A leg on which something is run into.
     *
     * @param way what is run into by what
     * @param pose where the axes stand then
     * @param homing the axes that go home on it, {@code before} those that stand at home by then
     * @param orders orders of homing in which nothing is run into on a leg after the first, axes by name; empty when there is none
     */
    public record Leg(MotionFact.Way way, Map<String, Double> pose, List<String> homing, List<String> before, List<List<String>> orders) {
        public Leg {
            homing = List.copyOf(homing);
            before = List.copyOf(before);
            orders = List.copyOf(orders);
        }
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return MotionFact.MOTION.inputs(c, facts);
    }

    @Override
    public List<Leg> compute(Case c, Facts facts) {
        Optional<List<MotionFact.Way>> ways = facts.get(MotionFact.MOTION);
        List<MotionFact.Way> hits = ways.orElse(List.of()).stream().filter(w -> w.depthMm() > 0 || w.surelyMm() < Sweep.TOUCHES_MM).toList();
        if (hits.isEmpty()) {
            return List.of();
        }
        Placement place = RestFact.inMachine(c, facts).orElseThrow();
        List<MotionFact.Body> bodies = MotionFact.bodies(facts, place);
        List<MotionFact.Other> others = MotionFact.others(c, facts);
        Surroundings space = c.machine().surroundings();
        Map<Integer, List<Axis>> legs = new TreeMap<>();
        space.axes().forEach(a -> legs.computeIfAbsent(a.homingOrder(), k -> new ArrayList<>()).add(a));
        List<Leg> all = new ArrayList<>();
        for (MotionFact.Way hit : hits) {
            MotionFact.Other o = others.stream().filter(x -> x.neighbour().id().equals(hit.neighbour().id())).findFirst().orElseThrow();
            MotionFact.Body b = bodies.stream().filter(x -> x.id().equals(hit.of())).findFirst().orElseThrow();
            first(c, o, b, List.copyOf(legs.values()), facts).ifPresent(f -> all.add(new Leg(hit, f.pose, f.homing, f.before, orders(c, o, b, facts))));
        }
        return all;
    }

    private record Found(Map<String, Double> pose, List<String> homing, List<String> before) {}

    /** The first leg after the first on which they meet. */
    private static Optional<Found> first(Case c, MotionFact.Other o, MotionFact.Body b, List<List<Axis>> legs, Facts facts) {
        List<Sweep.Travel> whole = MotionFact.travels(c.machine().surroundings(), c.site().orElseThrow().group(), o.neighbour().group());
        Map<String, Double> home = new LinkedHashMap<>();
        for (int i = 0; i < legs.size(); i++) {
            List<String> now = legs.get(i).stream().map(Axis::name).toList();
            // A leg that moves neither against the other cannot bring them together.
            if (i > 0 && whole.stream().anyMatch(t -> now.contains(t.axis()))) {
                List<Sweep.Travel> rest = whole.stream().map(t -> home.containsKey(t.axis()) ? new Sweep.Travel(t.axis(), t.perMm(), home.get(t.axis()), home.get(t.axis())) : t).toList();
                Optional<Map<String, Double>> pose = Sweep.touching(b.tree(), b.place(), o.shape(), rest, facts.stop());
                if (pose.isPresent()) {
                    return Optional.of(new Found(pose.get(), now, List.copyOf(home.keySet())));
                }
            }
            legs.get(i).forEach(a -> home.put(a.name(), a.homeMm()));
        }
        return Optional.empty();
    }

    private static List<List<String>> orders(Case c, MotionFact.Other o, MotionFact.Body b, Facts facts) {
        List<Axis> axes = c.machine().surroundings().axes().stream().sorted(Comparator.comparingInt(Axis::homingOrder)).toList();
        if (axes.size() > MOST_AXES) {
            return List.of();
        }
        List<List<String>> good = new ArrayList<>();
        permute(axes, new ArrayList<>(), order -> {
            if (first(c, o, b, order.stream().map(List::of).toList(), facts).isEmpty()) {
                good.add(order.stream().map(Axis::name).toList());
            }
        });
        return good;
    }

    private static void permute(List<Axis> left, List<Axis> begun, java.util.function.Consumer<List<Axis>> each) {
        if (left.isEmpty()) {
            each.accept(List.copyOf(begun));
        }
        for (Axis a : left) {
            begun.add(a);
            permute(left.stream().filter(x -> x != a).toList(), begun, each);
            begun.remove(begun.size() - 1);
        }
    }
}
