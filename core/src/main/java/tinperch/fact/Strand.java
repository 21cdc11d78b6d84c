package tinperch.fact;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import tinperch.solid.Bounds;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;
import tinperch.solid.query.BoxGap;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.TriangleTree;

/**
 * A straight strand whose two ends are moved by axes, each end by its own, against a solid that stands. Its nearest point is looked for over all ways of the axes and all along it: no point of a stretch is farther from the stretch's
 * middle than its ends go, so stretches whose middle lies farther off than that are left aside; the rest is halved.
 *
 * @param clipFromMm how much of it is left out at either end
 */
record Strand(TriangleTree tree, Vec3 from, Vec3 to, double clipFromMm, double clipToMm, List<Travel> travels) {
    private static final double EXACT_MM = 0.1;
    private static final int MOST_TESTED = 3000;
    /** With more the corners of a stretch are too many to be looked at. */
    private static final int MOST_AXES = 6;

    /** How a mm of an axis moves its ends. */
    record Travel(String axis, Vec3 fromPerMm, Vec3 toPerMm, double lowMm, double highMm) {}

    /**
     * What was found.
     *
     * @param mm from its middle line; infinite where nothing was found but not everything looked through
     * @param at the place on its middle line
     */
    record Tight(double mm, Map<String, Double> pose, Vec3 at) {
        static final Tight UNTOLD = new Tight(Double.POSITIVE_INFINITY, Map.of(), Vec3.ZERO);
    }

    /** One half width each for the place along it, 0 to 1, and for every axis. */
    private record Stretch(double[] at, double[] half, double leastMm) {}

    /** The tightest place nearer than so much; empty where there is none. Where it cannot be looked through to the end, what was found till then. */
    Optional<Tight> tightest(double needMm, Stop stop) {
        if (travels.size() > MOST_AXES) {
            return Optional.of(Tight.UNTOLD);
        }
        int n = travels.size() + 1;
        double[] at = new double[n];
        double[] half = new double[n];
        for (int i = 1; i < n; i++) {
            at[i] = (travels.get(i - 1).lowMm + travels.get(i - 1).highMm) / 2;
            half[i] = (travels.get(i - 1).highMm - travels.get(i - 1).lowMm) / 2;
        }
        // What is left out is counted on the strand at its shortest, as its ways' ends and middles show it.
        double shortest = shortest(at, half);
        double low = Math.min(1, clipFromMm / shortest);
        double high = Math.max(0, 1 - clipToMm / shortest);
        if (low >= high) {
            return Optional.empty();
        }
        at[0] = (low + high) / 2;
        half[0] = (high - low) / 2;
        PriorityQueue<Stretch> open = new PriorityQueue<>(Comparator.comparingDouble(Stretch::leastMm));
        open.add(new Stretch(at, half, 0));
        Tight best = null;
        double bestMm = needMm;
        for (int tested = 0; !open.isEmpty() && tested < MOST_TESTED && open.peek().leastMm < bestMm - EXACT_MM; tested++) {
            Stretch s = open.poll();
            if (tested % 256 == 0) {
                stop.check();
            }
            Vec3 a = end(s.at, true);
            Vec3 b = end(s.at, false);
            double length = b.minus(a).length();
            double reach = s.half[0] * length;
            for (int i = 1; i < n; i++) {
                reach += s.half[i] * movedMm(travels.get(i - 1), s);
            }
            Vec3 middle = a.plus(b.minus(a).times(s.at[0]));
            // The box of all its places tells flat faces exactly, along which a ball round its middle tells nothing.
            double apart = BoxGap.atLeastMm(tree, places(s), bestMm);
            if (apart >= bestMm - EXACT_MM) {
                continue;
            }
            double mm = Nearest.distanceMm(tree, middle, bestMm + reach);
            if (mm < bestMm) {
                bestMm = mm;
                best = new Tight(mm, pose(s.at), middle);
            }
            if (mm - reach < bestMm - EXACT_MM && reach > EXACT_MM) {
                halve(s, Math.max(apart, mm - reach), length, open);
            }
        }
        boolean through = open.isEmpty() || open.peek().leastMm >= bestMm - EXACT_MM;
        return best == null && !through ? Optional.of(Tight.UNTOLD) : Optional.ofNullable(best);
    }

    /** How far a mm of an axis moves any point of a stretch at most: it changes straight along it, so most at one of its ends. */
    private static double movedMm(Travel t, Stretch s) {
        double low = s.at[0] - s.half[0];
        double high = s.at[0] + s.half[0];
        return Math.max(t.fromPerMm.times(1 - low).plus(t.toPerMm.times(low)).length(), t.fromPerMm.times(1 - high).plus(t.toPerMm.times(high)).length());
    }

    private double shortest(double[] at, double[] half) {
        double least = end(at, false).minus(end(at, true)).length();
        for (int ends = 0; ends < 1 << travels.size(); ends++) {
            double[] p = at.clone();
            for (int i = 0; i < travels.size(); i++) {
                p[i + 1] += (ends >> i & 1) == 0 ? -half[i + 1] : half[i + 1];
            }
            least = Math.min(least, end(p, false).minus(end(p, true)).length());
        }
        return Math.max(1e-6, least);
    }

    /** The box round all places of a stretch: with one axis or the place along it let alone they change straight, so its corners tell. */
    private Bounds places(Stretch s) {
        Vec3 lo = null;
        Vec3 hi = null;
        double[] at = new double[s.at.length];
        for (int ends = 0; ends < 1 << s.at.length; ends++) {
            for (int i = 0; i < at.length; i++) {
                at[i] = s.at[i] + ((ends >> i & 1) == 0 ? -s.half[i] : s.half[i]);
            }
            Vec3 a = end(at, true);
            Vec3 p = a.plus(end(at, false).minus(a).times(at[0]));
            lo = lo == null ? p : new Vec3(Math.min(lo.x(), p.x()), Math.min(lo.y(), p.y()), Math.min(lo.z(), p.z()));
            hi = hi == null ? p : new Vec3(Math.max(hi.x(), p.x()), Math.max(hi.y(), p.y()), Math.max(hi.z(), p.z()));
        }
        return new Bounds(lo, hi);
    }

    private void halve(Stretch s, double least, double length, PriorityQueue<Stretch> open) {
        int longest = 0;
        double most = s.half[0] * length;
        for (int i = 1; i < s.half.length; i++) {
            double moved = s.half[i] * movedMm(travels.get(i - 1), s);
            longest = moved > most ? i : longest;
            most = Math.max(most, moved);
        }
        for (int side = -1; side <= 1; side += 2) {
            double[] at = s.at.clone();
            double[] half = s.half.clone();
            half[longest] /= 2;
            at[longest] += side * half[longest];
            open.add(new Stretch(at, half, Math.max(s.leastMm, least)));
        }
    }

    private Vec3 end(double[] at, boolean first) {
        Vec3 p = first ? from : to;
        for (int i = 0; i < travels.size(); i++) {
            p = p.plus((first ? travels.get(i).fromPerMm : travels.get(i).toPerMm).times(at[i + 1]));
        }
        return p;
    }

    private Map<String, Double> pose(double[] at) {
        Map<String, Double> pose = new HashMap<>();
        for (int i = 0; i < travels.size(); i++) {
            pose.put(travels.get(i).axis, at[i + 1]);
        }
        return pose;
    }
}
