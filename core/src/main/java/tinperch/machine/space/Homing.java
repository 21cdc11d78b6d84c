package tinperch.machine.space;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The way of the axes home, in their order; axes of one place in the order go at the same time. */
public final class Homing {
    private final Map<String, Double> from;
    private final List<List<Axis>> legs = new ArrayList<>();

    /** @param from where the axes stand; one not named stands at home */
    public Homing(Surroundings space, Map<String, Double> from) {
        this.from = new HashMap<>(from);
        Map<Integer, List<Axis>> byOrder = new TreeMap<>();
        space.axes().forEach(a -> byOrder.computeIfAbsent(a.homingOrder(), k -> new ArrayList<>()).add(a));
        legs.addAll(byOrder.values());
    }

    private double start(Axis a) {
        return a.within(from.getOrDefault(a.name(), a.homeMm()));
    }

    private double lengthMm(List<Axis> leg) {
        return leg.stream().mapToDouble(a -> Math.abs(a.homeMm() - start(a))).max().orElse(0);
    }

    /** How far it is altogether, mm. */
    public double lengthMm() {
        return legs.stream().mapToDouble(this::lengthMm).sum();
    }

    /** Where all axes stand after so many millimetres of the way. */
    public Map<String, Double> after(double mm) {
        Map<String, Double> pose = new HashMap<>(from);
        double left = Math.max(0, mm);
        for (List<Axis> leg : legs) {
            for (Axis a : leg) {
                double to = a.homeMm() - start(a);
                pose.put(a.name(), start(a) + Math.copySign(Math.min(left, Math.abs(to)), to));
            }
            left = Math.max(0, left - lengthMm(leg));
        }
        return pose;
    }
}
