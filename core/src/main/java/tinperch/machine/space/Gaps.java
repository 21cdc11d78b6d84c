package tinperch.machine.space;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BooleanSupplier;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.TriangleTree;

/**
 * Gaps between neighbours that move apart: of different groups, and matter both; zones for light and access do not count.
 * Between boxes they are told at once; between other shapes they are measured, where the boxes do not already tell that a
 * pair cannot be the nearest. Made once for some surroundings, then asked for many poses.
 */
public final class Gaps {
    private static final NeighbourMesh BOXES = new NeighbourMesh(id -> Optional.empty(), id -> Optional.empty());

    private final Surroundings space;
    private final List<Neighbour> neighbours;
    /** Of those that are more than a box. */
    private final Shape[] shapes;
    /** Of those that are not, made when another shape is measured against them. */
    private final Shape[] boxes;
    /** Lowest and highest corner of each box with all axes at zero. */
    private final double[] low;
    private final double[] high;
    /** Pairs that count, first and second number. */
    private final int[] pairs;

    /** Two neighbours and the gap between them, mm; negative by how deep one would have to be moved out of the other. */
    public record Gap(Neighbour a, Neighbour b, double mm) {}

    /** Of boxes only. */
    public Gaps(Surroundings space) {
        this(space, Map.of());
    }

    /** @param shapesById one without a shape counts as its box */
    public Gaps(Surroundings space, Map<String, Shape> shapesById) {
        this(space, shapesById, "");
    }

    /**
     * Gaps of one neighbour to all others.
     *
     * @param onlyOf its id; empty for the gaps of all
     */
    public Gaps(Surroundings space, Map<String, Shape> shapesById, String onlyOf) {
        this.space = space;
        neighbours = space.neighbours();
        int n = neighbours.size();
        shapes = new Shape[n];
        boxes = new Shape[n];
        low = new double[3 * n];
        high = new double[3 * n];
        for (int i = 0; i < n; i++) {
            Neighbour k = neighbours.get(i);
            Shape s = shapesById.get(k.id());
            shapes[i] = s == null || s.isBox() ? null : s;
            Bounds b = k.bounds(Vec3.ZERO);
            put(low, i, b.min());
            put(high, i, b.max());
        }
        int[] found = new int[n * Math.max(0, n - 1)];
        int count = 0;
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                Neighbour a = neighbours.get(i);
                Neighbour b = neighbours.get(j);
                boolean counts = onlyOf.isEmpty() || a.id().equals(onlyOf) || b.id().equals(onlyOf);
                if (counts && !a.group().equals(b.group()) && a.isMatter() && b.isMatter()) {
                    found[count++] = i;
                    found[count++] = j;
                }
            }
        }
        pairs = Arrays.copyOf(found, count);
    }

    private static void put(double[] to, int i, Vec3 v) {
        to[3 * i] = v.x();
        to[3 * i + 1] = v.y();
        to[3 * i + 2] = v.z();
    }

    /** Whether any neighbour is more than a box; if not, the answers of boxes are exact. */
    public boolean hasShapes() {
        return Arrays.stream(shapes).anyMatch(java.util.Objects::nonNull);
    }

    /** The smallest gap in a pose between boxes. */
    public Optional<Gap> betweenBoxes(Map<String, Double> pose) {
        return tightest(shifts(pose), pairs, false);
    }

    /** The smallest gap in a pose between shapes. */
    public Optional<Gap> betweenShapes(Map<String, Double> pose) {
        return tightest(shifts(pose), pairs, true);
    }

    /** The smallest gap between the boxes of what rides on an axis and what does not, at many places of its travel. */
    public List<OptionalDouble> boxesAlong(String axis, Map<String, Double> pose, int places) {
        return along(axis, pose, places, false, () -> true);
    }

    /**
     * The same between shapes.
     *
     * @param wanted asked at every place; when it says no the places left stay empty
     */
    public List<OptionalDouble> shapesAlong(String axis, Map<String, Double> pose, int places, BooleanSupplier wanted) {
        return along(axis, pose, places, true, wanted);
    }

    private List<OptionalDouble> along(String name, Map<String, Double> pose, int places, boolean exact,
            BooleanSupplier wanted) {
        Axis axis = space.axis(name).orElseThrow();
        boolean[] rides = new boolean[neighbours.size()];
        for (int i = 0; i < rides.length; i++) {
            rides[i] = space.group(neighbours.get(i).group()).map(g -> g.axes().contains(name)).orElse(false);
        }
        int[] some = new int[pairs.length];
        int count = 0;
        for (int p = 0; p < pairs.length; p += 2) {
            if (rides[pairs[p]] != rides[pairs[p + 1]]) {
                some[count++] = pairs[p];
                some[count++] = pairs[p + 1];
            }
        }
        int[] those = Arrays.copyOf(some, count);
        double now = axis.within(pose.getOrDefault(name, axis.homeMm()));
        double[] here = shifts(pose);
        return exact ? measuredAlong(axis, those, rides, here, now, places, wanted) : boxesAlong(axis, those, rides, here, now, places);
    }

    private static double place(Axis axis, int place, int places) {
        return axis.fromMm() + (axis.toMm() - axis.fromMm()) * place / Math.max(1, places - 1);
    }

    private List<OptionalDouble> measuredAlong(Axis axis, int[] those, boolean[] rides, double[] here, double now, int places,
            BooleanSupplier wanted) {
        double[] there = new double[here.length];
        List<OptionalDouble> all = new ArrayList<>(places);
        for (int place = 0; place < places; place++) {
            double by = place(axis, place, places) - now;
            for (int i = 0; i < rides.length; i++) {
                there[3 * i] = here[3 * i] + (rides[i] ? by * axis.direction().x() : 0);
                there[3 * i + 1] = here[3 * i + 1] + (rides[i] ? by * axis.direction().y() : 0);
                there[3 * i + 2] = here[3 * i + 2] + (rides[i] ? by * axis.direction().z() : 0);
            }
            all.add((wanted.getAsBoolean() ? tightest(there, those, true) : Optional.<Gap>empty()).map(g -> OptionalDouble.of(g.mm))
                    .orElse(OptionalDouble.empty()));
        }
        return all;
    }

    /** Pair by pair, so that what does not change along the axis is reckoned once for all places. */
    private List<OptionalDouble> boxesAlong(Axis axis, int[] those, boolean[] rides, double[] here, double now, int places) {
        double[] least = new double[places];
        Arrays.fill(least, Double.POSITIVE_INFINITY);
        double[] way = {axis.direction().x(), axis.direction().y(), axis.direction().z()};
        double[] by = new double[places];
        for (int place = 0; place < places; place++) {
            by[place] = place(axis, place, places) - now;
        }
        double[] ahead = new double[3];
        double[] behind = new double[3];
        for (int p = 0; p < those.length; p += 2) {
            int a = those[p];
            int b = those[p + 1];
            double sign = rides[b] ? 1 : -1;
            double still = Double.NEGATIVE_INFINITY;
            double stillSq = 0;
            for (int k = 0; k < 3; k++) {
                double apart = here[3 * b + k] - here[3 * a + k];
                ahead[k] = low[3 * b + k] + apart - high[3 * a + k];
                behind[k] = low[3 * a + k] - high[3 * b + k] - apart;
                if (way[k] == 0) {
                    double d = Math.max(ahead[k], behind[k]);
                    still = Math.max(still, d);
                    stillSq += d > 0 ? d * d : 0;
                }
            }
            for (int place = 0; place < places; place++) {
                double nearest = still;
                double squares = stillSq;
                for (int k = 0; k < 3; k++) {
                    if (way[k] != 0) {
                        double s = sign * by[place] * way[k];
                        double d = Math.max(ahead[k] + s, behind[k] - s);
                        nearest = Math.max(nearest, d);
                        squares += d > 0 ? d * d : 0;
                    }
                }
                // Squares are compared with squares; a root is taken only for a place's least.
                double best = least[place];
                if (best > 0 ? nearest <= 0 || squares < best * best : nearest <= 0 && nearest < best) {
                    least[place] = nearest <= 0 ? nearest : Math.sqrt(squares);
                }
            }
        }
        List<OptionalDouble> all = new ArrayList<>(places);
        for (double mm : least) {
            all.add(mm == Double.POSITIVE_INFINITY ? OptionalDouble.empty() : OptionalDouble.of(mm));
        }
        return all;
    }

    /** How far each neighbour is shifted in a pose. */
    private double[] shifts(Map<String, Double> pose) {
        double[] all = new double[3 * neighbours.size()];
        Map<String, Vec3> byGroup = new java.util.HashMap<>();
        for (int i = 0; i < neighbours.size(); i++) {
            put(all, i, byGroup.computeIfAbsent(neighbours.get(i).group(), g -> space.shift(g, pose)));
        }
        return all;
    }

    private Optional<Gap> tightest(double[] shift, int[] of, boolean exact) {
        int nearest = -1;
        double least = Double.POSITIVE_INFINITY;
        for (int p = 0; p < of.length; p += 2) {
            double mm = boxes(of[p], of[p + 1], shift);
            if (mm < least) {
                least = mm;
                nearest = p;
            }
        }
        if (nearest < 0) {
            return Optional.empty();
        }
        if (exact) {
            // The nearest boxes first: their gap rules most other pairs out.
            int first = nearest;
            least = gap(of[first], of[first + 1], shift, least);
            for (int p = 0; p < of.length; p += 2) {
                if (p != first) {
                    double mm = boxes(of[p], of[p + 1], shift);
                    // Overlapping boxes say nothing about the shapes inside them.
                    if (mm < least || mm <= 0) {
                        double gap = gap(of[p], of[p + 1], shift, mm);
                        if (gap < least) {
                            least = gap;
                            nearest = p;
                        }
                    }
                }
            }
        }
        return Optional.of(new Gap(neighbours.get(of[nearest]), neighbours.get(of[nearest + 1]), least));
    }

    private double boxes(int a, int b, double[] shift) {
        double nearest = Double.NEGATIVE_INFINITY;
        double squares = 0;
        for (int k = 0; k < 3; k++) {
            double by = shift[3 * b + k] - shift[3 * a + k];
            double d = Math.max(low[3 * b + k] + by - high[3 * a + k], low[3 * a + k] - high[3 * b + k] - by);
            nearest = Math.max(nearest, d);
            squares += d > 0 ? d * d : 0;
        }
        return nearest <= 0 ? nearest : Math.sqrt(squares);
    }

    private double gap(int a, int b, double[] shift, double boxesMm) {
        if (shapes[a] == null && shapes[b] == null) {
            return boxesMm;
        }
        Clearance c = Clearance.between(tree(a), tree(b), Placement.at(shift[3 * b] - shift[3 * a],
                shift[3 * b + 1] - shift[3 * a + 1], shift[3 * b + 2] - shift[3 * a + 2]));
        return c.intersects() ? -c.depthMm() : c.gapMm();
    }

    private TriangleTree tree(int i) {
        if (shapes[i] != null) {
            return shapes[i].tree();
        }
        if (boxes[i] == null) {
            boxes[i] = Shape.of(neighbours.get(i), BOXES);
        }
        return boxes[i].tree();
    }
}
