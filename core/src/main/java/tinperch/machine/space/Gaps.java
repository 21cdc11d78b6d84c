package tinperch.machine.space;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Clearance;

/**
 * Gaps between the shapes of neighbours, not only between their boxes. Boxes tell which pairs need not be looked at: no two
 * shapes are nearer than their boxes.
 */
public final class Gaps {
    private final Surroundings space;
    private final Map<String, Shape> shapes;

    /** @param shapes by the neighbour's id; one without a shape counts as its box */
    public Gaps(Surroundings space, Map<String, Shape> shapes) {
        this.space = space;
        this.shapes = Map.copyOf(shapes);
    }

    private record Pair(Neighbour a, Neighbour b, double boxesMm) {
        /** No gap can be smaller; boxes that overlap say nothing. */
        double atLeast() {
            return boxesMm > 0 ? boxesMm : Double.NEGATIVE_INFINITY;
        }
    }

    /** The smallest gap between what moves apart, mm, negative by how deep one would have to be moved out of the other. */
    public Optional<Surroundings.Gap> tightest(Map<String, Double> pose) {
        return tightest(pose, Optional.empty());
    }

    /** The smallest gap between what rides on an axis and what does not, at many places of its travel. */
    public List<OptionalDouble> along(String axis, Map<String, Double> pose, int places) {
        Axis a = space.axis(axis).orElseThrow();
        List<OptionalDouble> all = new ArrayList<>(places);
        Map<String, Double> moved = new HashMap<>(pose);
        for (int i = 0; i < places; i++) {
            moved.put(axis, a.fromMm() + (a.toMm() - a.fromMm()) * i / Math.max(1, places - 1));
            all.add(tightest(moved, Optional.of(axis)).map(g -> OptionalDouble.of(g.mm())).orElse(OptionalDouble.empty()));
        }
        return all;
    }

    private Optional<Surroundings.Gap> tightest(Map<String, Double> pose, Optional<String> axis) {
        List<Pair> pairs = new ArrayList<>();
        space.eachPair(axis, (a, b) -> pairs.add(new Pair(a, b, Surroundings.gap(space.bounds(a, pose), space.bounds(b, pose)))));
        pairs.sort(Comparator.comparingDouble(Pair::atLeast));
        Surroundings.Gap best = null;
        for (Pair p : pairs) {
            if (best != null && p.atLeast() >= best.mm()) {
                break;
            }
            double mm = gap(p, pose);
            if (best == null || mm < best.mm()) {
                best = new Surroundings.Gap(p.a, p.b, mm);
            }
        }
        return Optional.ofNullable(best);
    }

    private double gap(Pair p, Map<String, Double> pose) {
        Shape a = shapes.get(p.a.id());
        Shape b = shapes.get(p.b.id());
        if (a == null || b == null || a.isBox() && b.isBox()) {
            return p.boxesMm;
        }
        Vec3 by = space.shift(p.b.group(), pose).minus(space.shift(p.a.group(), pose));
        Clearance c = Clearance.between(a.tree(), b.tree(), Placement.at(by.x(), by.y(), by.z()));
        return c.intersects() ? -c.depthMm() : c.gapMm();
    }

    /** Whether any shape is more than a box; if not, the surroundings' own answers are exact. */
    public boolean matter() {
        return shapes.values().stream().anyMatch(s -> !s.isBox());
    }
}
