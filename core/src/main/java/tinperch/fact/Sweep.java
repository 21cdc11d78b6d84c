package tinperch.fact;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import tinperch.machine.space.Shape;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.TriangleTree;

/**
 * The smallest gap between two shapes over stretches of several axes together. A gap cannot change by more than things move: halves of the ways whose middle lies so far off that
 * nothing in them can come nearer than what is wanted, or than what was found, are left aside; the rest is halved on. Distances are between triangles.
 */
public final class Sweep {
    private static final double EXACT_MM = 0.05;
    private static final int MOST_TESTED = 600;
    private static final int MOST_DEEPER = 14;
    /** Asking whether two touch costs little; short stretches come first, so that it is soon found where they do. */
    private static final int MOST_ASKED = 4000;
    /** Nearer than this they touch. */
    public static final double TOUCHES_MM = 0.05;
    /** Longer stretches are only asked whether anything in them may count. */
    private static final double SHORT_MM = 3;

    private Sweep() {}

    /**
     * A stretch of an axis.
     *
     * @param perMm how it shifts one against the other for a millimetre
     */
    public record Travel(String axis, Vec3 perMm, double fromMm, double toMm) {}

    /**
     * The tightest place.
     *
     * @param depthMm how deep they are in one another there, 0 when they are not
     * @param pose where the axes stand there
     * @param feature of the one that is moved, nearest there; empty where it could not be told
     * @param outward the way from there to the other, in the coordinates of the one that is moved, unit; zero when they touch
     * @param surelyMm the gap is nowhere smaller than this
     */
    public record Tight(double gapMm, double depthMm, Map<String, Double> pose, String feature, Vec3 outward, double surelyMm) {}

    private record Stretch(double[] at, double[] half, double leastMm) {}

    /**
     * Looks for it.
     *
     * @param own the one that is moved, {@code place} where it stands with all axes at zero, as the other sees it
     * @param needMm larger gaps are not looked for
     * @throws Stop.Stopped when nobody waits for it any more
     */
    public static Optional<Tight> tightest(TriangleTree own, Placement place, Shape other, List<Travel> travels, double needMm, Stop stop) {
        Vec3[] along = travels.stream().map(Travel::perMm).toArray(Vec3[]::new);
        double[] at = travels.stream().mapToDouble(t -> (t.fromMm + t.toMm) / 2).toArray();
        double[] half = travels.stream().mapToDouble(t -> (t.toMm - t.fromMm) / 2).toArray();
        PriorityQueue<Stretch> open = new PriorityQueue<>(Comparator.comparingDouble(Stretch::leastMm));
        open.add(new Stretch(at, half, 0));
        Tight best = null;
        double bestMm = needMm;
        int tested = 0;
        while (!open.isEmpty() && tested < MOST_TESTED && open.peek().leastMm < bestMm - EXACT_MM) {
            Stretch s = open.poll();
            stop.check();
            Placement there = place.moved(shift(along, s.at));
            double reach = reach(along, s.half);
            double least = apart(swept(own.mesh().bounds().placed(there), along, s.half), other.bounds());
            if (least >= bestMm - EXACT_MM) {
                continue;
            }
            tested++;
            if (reach > SHORT_MM) {
                if (!Clearance.closerThan(other.tree(), own, there, bestMm + reach)) {
                    continue;
                }
            } else {
                Clearance found = Clearance.between(other.tree(), own, there, stop);
                double value = found.depthMm() > 0 ? -found.depthMm() : found.gapMm();
                least = Math.max(least, found.gapMm() - reach);
                if (value < bestMm) {
                    bestMm = value;
                    Vec3 on = there.local(found.onSecond());
                    Vec3 out = there.local(found.onFirst()).minus(on);
                    best = new Tight(found.gapMm(), found.depthMm(), pose(travels, s.at), own.mesh().faces().get(own.mesh().faceOf(Nearest.triangle(own, on))).feature(), out.length() > 1e-6 ? out.unit() : Vec3.ZERO, 0);
                }
                if (found.depthMm() > 0) {
                    return Optional.of(deepest(own, place, other, travels, along, s.at, best, stop));
                }
            }
            if (reach > EXACT_MM) {
                halve(s, Math.max(s.leastMm, least), along, open);
            }
        }
        double surely = open.isEmpty() ? bestMm : Math.min(bestMm, open.peek().leastMm);
        if (best == null && tested >= MOST_TESTED) {
            best = new Tight(needMm, 0, pose(travels, at), "", Vec3.ZERO, 0);
        }
        return Optional.ofNullable(best).map(t -> new Tight(t.gapMm, t.depthMm, t.pose, t.feature, t.outward, Math.max(0, surely)));
    }

    /** A pose in which they touch, where there is one; how deep is not asked, so it costs little. */
    public static Optional<Map<String, Double>> touching(TriangleTree own, Placement place, Shape other, List<Travel> travels, Stop stop) {
        Vec3[] along = travels.stream().map(Travel::perMm).toArray(Vec3[]::new);
        double[] at = travels.stream().mapToDouble(t -> (t.fromMm + t.toMm) / 2).toArray();
        double[] half = travels.stream().mapToDouble(t -> (t.toMm - t.fromMm) / 2).toArray();
        PriorityQueue<Stretch> open = new PriorityQueue<>(Comparator.comparingDouble(Stretch::leastMm).thenComparingDouble(s -> java.util.Arrays.stream(s.half).sum()));
        open.add(new Stretch(at, half, 0));
        for (int tested = 0; !open.isEmpty() && tested < MOST_ASKED;) {
            Stretch s = open.poll();
            stop.check();
            Placement there = place.moved(shift(along, s.at));
            double reach = reach(along, s.half);
            double least = apart(swept(own.mesh().bounds().placed(there), along, s.half), other.bounds());
            if (least > TOUCHES_MM) {
                continue;
            }
            tested++;
            if (!Clearance.closerThan(other.tree(), own, there, TOUCHES_MM + reach)) {
                continue;
            }
            if (Clearance.closerThan(other.tree(), own, there, TOUCHES_MM)) {
                return Optional.of(pose(travels, s.at));
            }
            if (reach > EXACT_MM) {
                halve(s, least, along, open);
            }
        }
        return Optional.empty();
    }

    /** From where they are in one another to where they are deepest, as far as going along one axis after the other finds it: that is how much has to be cut. */
    private static Tight deepest(TriangleTree own, Placement place, Shape other, List<Travel> travels, Vec3[] along, double[] from, Tight first, Stop stop) {
        Tight best = first;
        double[] at = from.clone();
        int measured = 0;
        for (double share = 0.125; share > 1e-3; share /= 4) {
            for (int i = 0; i < at.length; i++) {
                Travel t = travels.get(i);
                for (int way = -1; way <= 1; way += 2) {
                    boolean deeper = true;
                    while (deeper && measured++ < MOST_DEEPER) {
                        stop.check();
                        double[] next = at.clone();
                        next[i] = Math.max(t.fromMm, Math.min(t.toMm, at[i] + way * share * (t.toMm - t.fromMm)));
                        Placement there = place.moved(shift(along, next));
                        Clearance c = next[i] == at[i] ? null : Clearance.between(other.tree(), own, there, stop);
                        deeper = c != null && c.depthMm() > best.depthMm + 1e-6;
                        if (deeper) {
                            at = next;
                            best = new Tight(0, c.depthMm(), pose(travels, at), first.feature, Vec3.ZERO, 0);
                        }
                    }
                }
            }
        }
        return best;
    }

    /** Halves the axis that reaches farthest. */
    private static void halve(Stretch s, double least, Vec3[] along, PriorityQueue<Stretch> open) {
        int longest = 0;
        for (int i = 1; i < s.half.length; i++) {
            longest = s.half[i] * along[i].length() > s.half[longest] * along[longest].length() ? i : longest;
        }
        for (int side = -1; side <= 1; side += 2) {
            double[] at = s.at.clone();
            double[] half = s.half.clone();
            half[longest] /= 2;
            at[longest] += side * half[longest];
            open.add(new Stretch(at, half, least));
        }
    }

    private static Vec3 shift(Vec3[] along, double[] at) {
        Vec3 sum = Vec3.ZERO;
        for (int i = 0; i < at.length; i++) {
            sum = sum.plus(along[i].times(at[i]));
        }
        return sum;
    }

    /** How far each way anything in a stretch is from its middle. */
    private static Vec3 spread(Vec3[] along, double[] half) {
        Vec3 sum = Vec3.ZERO;
        for (int i = 0; i < half.length; i++) {
            sum = sum.plus(new Vec3(Math.abs(along[i].x()), Math.abs(along[i].y()), Math.abs(along[i].z())).times(half[i]));
        }
        return sum;
    }

    private static double reach(Vec3[] along, double[] half) {
        return spread(along, half).length();
    }

    /** A box with all it passes on its ways. */
    private static Bounds swept(Bounds box, Vec3[] along, double[] half) {
        Vec3 by = spread(along, half);
        return new Bounds(box.min().minus(by), box.max().plus(by));
    }

    private static double apart(Bounds a, Bounds b) {
        double x = Math.max(0, Math.max(a.min().x() - b.max().x(), b.min().x() - a.max().x()));
        double y = Math.max(0, Math.max(a.min().y() - b.max().y(), b.min().y() - a.max().y()));
        double z = Math.max(0, Math.max(a.min().z() - b.max().z(), b.min().z() - a.max().z()));
        return Math.sqrt(x * x + y * y + z * z);
    }

    private static Map<String, Double> pose(List<Travel> travels, double[] at) {
        Map<String, Double> pose = new HashMap<>();
        for (int i = 0; i < at.length; i++) {
            pose.put(travels.get(i).axis(), at[i]);
        }
        return pose;
    }
}
