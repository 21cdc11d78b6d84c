package tinperch.fact;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/**
 * The smallest gap between the part on its site and every neighbour that moves against it, over all the ways of the axes that matter together. A gap cannot
 * change by more than things move: halves of the ways whose middle lies so far off that nothing in them can come nearer than what is wanted, or than what was found,
 * are left aside; the rest is halved on. Distances are between triangles.
 */
public final class MotionFact implements Fact<Optional<List<MotionFact.Way>>> {
    public static final MotionFact MOTION = new MotionFact();
    /** Gaps larger than this are not looked for more closely, mm, unless the neighbour wants more. */
    public static final double NEED_MM = 3;
    private static final double EXACT_MM = 0.05;
    private static final int MOST_TESTED = 600;

    private MotionFact() {}

    /**
     * The tightest place of a piece and a neighbour on their ways.
     *
     * @param gapMm smallest found, {@code depthMm} how deep they are in one another there, 0 when they are not
     * @param pose where the axes stand there, by name, those that matter
     * @param feature of the piece that comes nearest
     * @param surelyMm the gap is nowhere smaller than this
     */
    public record Way(Neighbour neighbour, Piece piece, double gapMm, double depthMm, Map<String, Double> pose, String feature, double surelyMm) {}

    /** A stretch of all axes that matter: its middle, half of each, and what the gap in it is at least. */
    private record Stretch(double[] at, double[] half, double leastMm) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return RestFact.REST.inputs(c, facts);
    }

    @Override
    public Optional<List<Way>> compute(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        List<TriangleTree> trees = facts.get(TreesFact.TREES);
        if (place.isEmpty() || trees.isEmpty()) {
            return Optional.empty();
        }
        Surroundings space = c.machine().surroundings();
        String mine = c.site().orElseThrow().group();
        Map<String, Shape> shapes = facts.get(SceneFact.SCENE);
        List<Piece> pieces = facts.get(MeshesFact.BARE).pieces().stream().map(MeshesFact.Made::piece).toList();
        boolean through = facts.get(FormFact.FORM).form().flatMap(PartForm::mount).map(PartForm.Mount::through).orElse(false);
        List<Way> all = new ArrayList<>();
        for (Neighbour n : space.neighbours()) {
            Map<Axis, Vec3> ways = ways(space, mine, n.group());
            if (!n.isMatter() || ways.isEmpty() || through && n.group().equals(mine)) {
                continue;
            }
            for (int i = 0; i < pieces.size(); i++) {
                facts.stop().check();
                tightest(n, shapes.get(n.id()), pieces.get(i), trees.get(i), place.get().times(pieces.get(i).place()), ways, facts).ifPresent(all::add);
            }
        }
        return Optional.of(all);
    }

    /** How each axis that moves one and not the other shifts the part as the neighbour sees it, for a millimetre. */
    private static Map<Axis, Vec3> ways(Surroundings space, String mine, String others) {
        List<String> a = space.group(mine).map(Group::axes).orElse(List.of());
        List<String> b = space.group(others).map(Group::axes).orElse(List.of());
        Map<Axis, Vec3> all = new LinkedHashMap<>();
        for (Axis axis : space.axes()) {
            boolean moves = a.contains(axis.name());
            if (moves != b.contains(axis.name()) && axis.toMm() > axis.fromMm()) {
                all.put(axis, axis.direction().times(moves ? 1 : -1));
            }
        }
        return all;
    }

    private static Optional<Way> tightest(Neighbour n, Shape shape, Piece piece, TriangleTree own, Placement place, Map<Axis, Vec3> ways, Facts facts) {
        double need = Math.max(NEED_MM, n.clearanceMm());
        Axis[] axes = ways.keySet().toArray(Axis[]::new);
        Vec3[] along = ways.values().toArray(Vec3[]::new);
        double[] at = new double[axes.length];
        double[] half = new double[axes.length];
        for (int i = 0; i < axes.length; i++) {
            at[i] = (axes[i].fromMm() + axes[i].toMm()) / 2;
            half[i] = (axes[i].toMm() - axes[i].fromMm()) / 2;
        }
        PriorityQueue<Stretch> open = new PriorityQueue<>(Comparator.comparingDouble(Stretch::leastMm));
        open.add(new Stretch(at, half, 0));
        Way best = null;
        double bestMm = need;
        int tested = 0;
        while (!open.isEmpty() && tested < MOST_TESTED && open.peek().leastMm < bestMm - EXACT_MM) {
            Stretch s = open.poll();
            facts.stop().check();
            Placement there = place.moved(shift(along, s.at));
            double reach = reach(along, s.half);
            Bounds box = own.mesh().bounds().placed(there);
            double least = apart(swept(box, along, s.half), shape.bounds());
            if (least >= bestMm - EXACT_MM) {
                continue;
            }
            // Long stretches are only asked whether anything in them may count; short ones are measured.
            tested++;
            if (reach > NEED_MM) {
                if (!Clearance.closerThan(shape.tree(), own, there, bestMm + reach)) {
                    continue;
                }
            } else {
                Clearance found = Clearance.between(shape.tree(), own, there, facts.stop());
                double value = found.depthMm() > 0 ? -found.depthMm() : found.gapMm();
                least = Math.max(least, found.gapMm() - reach);
                if (value < bestMm) {
                    bestMm = value;
                    Vec3 on = there.local(found.onSecond());
                    best = new Way(n, piece, found.gapMm(), found.depthMm(), pose(axes, s.at), own.mesh().faces().get(own.mesh().faceOf(Nearest.triangle(own, on))).feature(), 0);
                }
                if (found.depthMm() > 0) {
                    break;
                }
            }
            if (reach > EXACT_MM) {
                halve(s, Math.max(s.leastMm, least), along, open);
            }
        }
        double surely = open.isEmpty() ? bestMm : Math.min(bestMm, open.peek().leastMm);
        if (best == null && tested >= MOST_TESTED) {
            best = new Way(n, piece, need, 0, pose(axes, at), piece.name(), 0);
        }
        return Optional.ofNullable(best).map(w -> new Way(w.neighbour, w.piece, w.gapMm, w.depthMm, w.pose, w.feature, Math.max(0, surely)));
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

    /** The farthest anything in a stretch is from its middle. */
    private static double reach(Vec3[] along, double[] half) {
        double x = 0;
        double y = 0;
        double z = 0;
        for (int i = 0; i < half.length; i++) {
            x += Math.abs(along[i].x()) * half[i];
            y += Math.abs(along[i].y()) * half[i];
            z += Math.abs(along[i].z()) * half[i];
        }
        return Math.sqrt(x * x + y * y + z * z);
    }

    /** A box with all it passes on its ways. */
    private static Bounds swept(Bounds box, Vec3[] along, double[] half) {
        Vec3 by = Vec3.ZERO;
        for (int i = 0; i < half.length; i++) {
            by = by.plus(new Vec3(Math.abs(along[i].x()), Math.abs(along[i].y()), Math.abs(along[i].z())).times(half[i]));
        }
        return new Bounds(box.min().minus(by), box.max().plus(by));
    }

    private static double apart(Bounds a, Bounds b) {
        double x = Math.max(0, Math.max(a.min().x() - b.max().x(), b.min().x() - a.max().x()));
        double y = Math.max(0, Math.max(a.min().y() - b.max().y(), b.min().y() - a.max().y()));
        double z = Math.max(0, Math.max(a.min().z() - b.max().z(), b.min().z() - a.max().z()));
        return Math.sqrt(x * x + y * y + z * z);
    }

    private static Map<String, Double> pose(Axis[] axes, double[] at) {
        Map<String, Double> pose = new HashMap<>();
        for (int i = 0; i < axes.length; i++) {
            pose.put(axes[i].name(), at[i]);
        }
        return pose;
    }
}
