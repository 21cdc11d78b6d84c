package tinperch.machine.space;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import tinperch.quantity.Quantity;
import tinperch.solid.Vec3;

/**
 * Whether a cable is long enough wherever the axes go, and how sharply it is bent.
 *
 * @param longestMm the longest way between its points
 * @param at where the axes it rides on stand then, mm by name
 * @param slackMm what is left of its length there; empty when its length is not said
 * @param bendMm the smallest radius it is bent to at one of its points; infinite when it runs straight
 * @param bendPoint which of its points, from 1; 0 for none
 */
public record RunFit(double longestMm, Map<String, Double> at, Optional<Double> slackMm, double bendMm, int bendPoint) {

    /** No machine has more that a cable rides on; each doubles what has to be looked at. */
    private static final int MOST_AXES = 14;

    /**
     * Reckons. The way between the points is a sum of lengths that change straight with every axis, hence convex: it is longest where each
     * axis stands at one of its ends. Where it is bent most is looked for at those places and at home.
     */
    public static RunFit of(Run run, Surroundings space) {
        List<Map<String, Double>> poses = ends(run, space);
        double longest = -1;
        Map<String, Double> at = Map.of();
        double bend = Double.POSITIVE_INFINITY;
        int bendPoint = 0;
        for (Map<String, Double> pose : poses) {
            double mm = way(run.points(space, pose));
            if (mm > longest + 1e-9) {
                longest = mm;
                at = pose;
            }
        }
        poses.add(space.home());
        for (Map<String, Double> pose : poses) {
            List<Vec3> p = run.points(space, pose);
            for (int i = 1; i + 1 < p.size(); i++) {
                double r = radius(p, i);
                if (r < bend) {
                    bend = r;
                    bendPoint = i + 1;
                }
            }
        }
        double most = longest;
        return new RunFit(longest, at, run.lengthMm() > 0 ? Optional.of(run.lengthMm() - most) : Optional.empty(), bend, bendPoint);
    }

    /** Poses with each axis it rides on at one of its ends. */
    public static List<Map<String, Double>> ends(Run run, Surroundings space) {
        Set<String> riding = new HashSet<>();
        run.holds().forEach(h -> space.group(h.group()).ifPresent(g -> riding.addAll(g.axes())));
        List<Axis> axes = space.axes().stream().filter(a -> riding.contains(a.name())).limit(MOST_AXES).toList();
        List<Map<String, Double>> poses = new ArrayList<>();
        for (int ends = 0; ends < 1 << axes.size(); ends++) {
            Map<String, Double> pose = new HashMap<>();
            for (int i = 0; i < axes.size(); i++) {
                pose.put(axes.get(i).name(), (ends >> i & 1) == 0 ? axes.get(i).fromMm() : axes.get(i).toMm());
            }
            poses.add(pose);
        }
        return poses;
    }

    private static double way(List<Vec3> p) {
        double sum = 0;
        for (int i = 1; i < p.size(); i++) {
            sum += p.get(i).minus(p.get(i - 1)).length();
        }
        return sum;
    }

    /**
     * The largest arc that goes round a point and touches both ways from it: r = t / tan(½ turn), where t is what either way has to give,
     * all of it at the cable's end and half of it towards another bend (plane geometry).
     */
    private static double radius(List<Vec3> p, int i) {
        Vec3 in = p.get(i).minus(p.get(i - 1));
        Vec3 out = p.get(i + 1).minus(p.get(i));
        double turn = Run.turnRad(in, out);
        double t = Math.min(in.length() * (i == 1 ? 1 : 0.5), out.length() * (i + 2 == p.size() ? 1 : 0.5));
        return turn < 1e-6 ? Double.POSITIVE_INFINITY : t / Math.tan(turn / 2);
    }

    /** Whether it is too short, or bent too sharply. */
    public boolean isWrong(Run run) {
        return slackMm.map(s -> s < 0).orElse(false) || isSharp(run);
    }

    /** Whether it is bent more sharply than it may be. */
    public boolean isSharp(Run run) {
        return bendMm < run.wantedBendMm() - 1e-6;
    }

    /** In a sentence. */
    public String words(Run run) {
        String where = at.isEmpty() ? "" : " at " + at.entrySet().stream().sorted(Map.Entry.comparingByKey()).map(e -> e.getKey() + " " + Quantity.mm(e.getValue())).collect(Collectors.joining(", "));
        String reach = run.kind() != Run.Kind.CABLE ? "runs " + Quantity.fixed(longestMm, 0) + " mm"
                : slackMm.map(s -> s < 0 ? "is " + Quantity.fixed(-s, 0) + " mm too short" + where + ": " + Quantity.fixed(longestMm, 0) + " mm are needed"
                        : Quantity.fixed(s, 0) + " mm of slack" + where).orElse("needs " + Quantity.fixed(longestMm, 0) + " mm and slack" + where);
        return reach + (isSharp(run) ? "; bent to " + Quantity.fixed(bendMm, 0) + " mm at its point " + bendPoint + ", " + Quantity.fixed(run.wantedBendMm(), 0) + " mm wanted" : "");
    }
}
