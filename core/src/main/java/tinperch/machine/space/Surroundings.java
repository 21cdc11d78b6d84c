package tinperch.machine.space;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiConsumer;
import tinperch.quantity.Quantity;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** The axes of a machine, the groups that ride on them, and the neighbours. Edits give new surroundings or refuse. */
public record Surroundings(List<Axis> axes, List<Group> groups, List<Neighbour> neighbours) {
    public static final Surroundings NONE = new Surroundings(List.of(), List.of(), List.of());

    public Surroundings {
        axes = List.copyOf(axes);
        groups = List.copyOf(groups);
        neighbours = List.copyOf(neighbours);
    }

    public Optional<Axis> axis(String name) {
        return axes.stream().filter(a -> a.name().equals(name)).findFirst();
    }

    public Optional<Group> group(String name) {
        return groups.stream().filter(g -> g.name().equals(name)).findFirst();
    }

    /** All axes at home. */
    public Map<String, Double> home() {
        Map<String, Double> pose = new HashMap<>();
        axes.forEach(a -> pose.put(a.name(), a.homeMm()));
        return pose;
    }

    /** How far a group is shifted when the axes stand as given; positions beyond travel count as its end. */
    public Vec3 shift(String group, Map<String, Double> pose) {
        Vec3 sum = Vec3.ZERO;
        for (String name : group(group).map(Group::axes).orElse(List.of())) {
            Axis a = axis(name).orElse(null);
            if (a != null) {
                sum = sum.plus(a.direction().times(a.within(pose.getOrDefault(name, a.homeMm()))));
            }
        }
        return sum;
    }

    public Bounds bounds(Neighbour n, Map<String, Double> pose) {
        return n.bounds(shift(n.group(), pose));
    }

    /** The box that holds everything at both ends of all travels; empty when there is nothing. */
    public Optional<Bounds> reach() {
        Bounds all = null;
        for (Neighbour n : neighbours) {
            for (int ends = 0; ends < 1 << axes.size(); ends++) {
                Map<String, Double> pose = new HashMap<>();
                for (int i = 0; i < axes.size(); i++) {
                    pose.put(axes.get(i).name(), (ends >> i & 1) == 0 ? axes.get(i).fromMm() : axes.get(i).toMm());
                }
                Bounds b = bounds(n, pose);
                all = all == null ? b : all.with(b);
            }
        }
        return Optional.ofNullable(all);
    }

    /** Two neighbours and the gap between their boxes, mm; negative when they overlap. */
    public record Gap(Neighbour a, Neighbour b, double mm) {}

    /** The smallest gap between neighbours of different groups in a pose, zones for light and access left out. */
    public Optional<Gap> tightest(Map<String, Double> pose) {
        return tightest(pose, Optional.empty());
    }

    /** The same, only between what moves along an axis and what does not. */
    private Optional<Gap> tightest(Map<String, Double> pose, Optional<String> along) {
        Gap[] best = {null};
        eachPair(along, (a, b) -> {
            double mm = gap(bounds(a, pose), bounds(b, pose));
            if (best[0] == null || mm < best[0].mm) {
                best[0] = new Gap(a, b, mm);
            }
        });
        return Optional.ofNullable(best[0]);
    }

    /** Pairs that matter to one another: of different groups and, when an axis is given, one riding on it and one not. */
    void eachPair(Optional<String> along, BiConsumer<Neighbour, Neighbour> pair) {
        for (int i = 0; i < neighbours.size(); i++) {
            for (int j = i + 1; j < neighbours.size(); j++) {
                Neighbour a = neighbours.get(i);
                Neighbour b = neighbours.get(j);
                if (!a.group().equals(b.group()) && isMatter(a) && isMatter(b)
                        && (along.isEmpty() || rides(a, along.get()) != rides(b, along.get()))) {
                    pair.accept(a, b);
                }
            }
        }
    }

    /** The smallest gap between what moves along an axis and what does not, at many places of its travel. */
    public List<OptionalDouble> gapsAlong(String axis, Map<String, Double> pose, int places) {
        Axis a = axis(axis).orElseThrow();
        List<OptionalDouble> all = new ArrayList<>(places);
        Map<String, Double> moved = new HashMap<>(pose);
        for (int i = 0; i < places; i++) {
            moved.put(axis, a.fromMm() + (a.toMm() - a.fromMm()) * i / Math.max(1, places - 1));
            all.add(tightest(moved, Optional.of(axis)).map(g -> OptionalDouble.of(g.mm)).orElse(OptionalDouble.empty()));
        }
        return all;
    }

    private boolean rides(Neighbour n, String axis) {
        return group(n.group()).map(g -> g.axes().contains(axis)).orElse(false);
    }

    private static boolean isMatter(Neighbour n) {
        return n.kind() == Neighbour.Kind.SOLID || n.kind() == Neighbour.Kind.HOT;
    }

    static double gap(Bounds a, Bounds b) {
        double dx = Math.max(a.min().x() - b.max().x(), b.min().x() - a.max().x());
        double dy = Math.max(a.min().y() - b.max().y(), b.min().y() - a.max().y());
        double dz = Math.max(a.min().z() - b.max().z(), b.min().z() - a.max().z());
        double nearest = Math.max(dx, Math.max(dy, dz));
        if (nearest <= 0) {
            return nearest;
        }
        return Math.sqrt(sq(dx) + sq(dy) + sq(dz));
    }

    private static double sq(double d) {
        return d > 0 ? d * d : 0;
    }

    // ---- edits ----

    /**
     * With a neighbour put in, or changed when its id is known.
     *
     * @throws SpaceProblem when it has no size, its group is unknown, or it lies wholly inside another of its group
     */
    public Surroundings with(Neighbour n) {
        if (n.name().isBlank()) {
            throw new SpaceProblem("A neighbour needs a name, such as “hot block” or “left upright”.");
        }
        if (!(n.size().x() > 0 && n.size().y() > 0 && n.size().z() > 0)) {
            throw new SpaceProblem("Length, depth and height must be larger than zero.");
        }
        if (n.form() == Neighbour.Form.MODEL && n.of().isEmpty()) {
            throw new SpaceProblem("Choose which downloaded model it is; import one first if there is none.");
        }
        if (!n.group().isEmpty() && group(n.group()).isEmpty()) {
            throw new SpaceProblem("Nothing moves as “" + n.group() + "” on this machine.");
        }
        for (Neighbour o : neighbours) {
            if (!o.id().equals(n.id()) && o.group().equals(n.group()) && holds(o.bounds(Vec3.ZERO), n.bounds(Vec3.ZERO))
                    && isMatter(o) && isMatter(n)) {
                throw new SpaceProblem(n.name() + " would lie wholly inside " + o.name() + "; check its place ("
                        + Quantity.mm(n.corner().x()) + ", " + Quantity.mm(n.corner().y()) + ", " + Quantity.mm(n.corner().z())
                        + "). Nothing was changed.");
            }
        }
        List<Neighbour> next = new ArrayList<>(neighbours);
        int at = -1;
        for (int i = 0; i < next.size(); i++) {
            at = next.get(i).id().equals(n.id()) ? i : at;
        }
        if (at >= 0) {
            next.set(at, n);
        } else {
            next.add(n);
        }
        return new Surroundings(axes, groups, next);
    }

    private static boolean holds(Bounds outer, Bounds inner) {
        return outer.min().x() <= inner.min().x() && outer.min().y() <= inner.min().y() && outer.min().z() <= inner.min().z()
                && outer.max().x() >= inner.max().x() && outer.max().y() >= inner.max().y() && outer.max().z() >= inner.max().z();
    }

    public Surroundings without(String neighbourId) {
        return new Surroundings(axes, groups, neighbours.stream().filter(n -> !n.id().equals(neighbourId)).toList());
    }

    /**
     * With an axis put in or changed.
     *
     * @throws SpaceProblem when its ends are swapped or nearly one, or it points nowhere
     */
    public Surroundings with(Axis a) {
        if (a.toMm() < a.fromMm()) {
            throw new SpaceProblem("The ends of " + a.name() + " are swapped: from " + Quantity.mm(a.fromMm()) + " to "
                    + Quantity.mm(a.toMm()) + ". Write the lower one first; the old travel stays.");
        }
        if (!(a.toMm() - a.fromMm() > 0.1) || !(Math.abs(a.direction().length() - 1) < 1e-6)) {
            throw new SpaceProblem("Axis " + a.name() + " needs a travel and a direction; the old one stays.");
        }
        if (a.name().isBlank() || a.name().contains(" ") || a.homingOrder() < 1) {
            throw new SpaceProblem("An axis needs a short name without blanks and a place in the homing order, from 1.");
        }
        List<Axis> next = new ArrayList<>(axes.stream().filter(o -> !o.name().equals(a.name())).toList());
        next.add(Math.min(next.size(), (int) axes.stream().takeWhile(o -> !o.name().equals(a.name())).count()), a);
        return new Surroundings(next, groups, neighbours);
    }

    /** @throws SpaceProblem when a group still rides on it */
    public Surroundings withoutAxis(String name) {
        Optional<Group> rider = groups.stream().filter(g -> g.axes().contains(name)).findFirst();
        if (rider.isPresent()) {
            throw new SpaceProblem("“" + rider.get().name() + "” rides on " + name + "; take the axis out of that group first.");
        }
        return new Surroundings(axes.stream().filter(a -> !a.name().equals(name)).toList(), groups, neighbours);
    }

    /**
     * With a group put in or changed.
     *
     * @throws SpaceProblem when it has no name or names an axis the machine does not have
     */
    public Surroundings with(Group g) {
        if (g.name().isBlank() || g.axes().isEmpty()) {
            throw new SpaceProblem("A group needs a name and the axes it rides on, such as “carriage” on x z.");
        }
        for (String a : g.axes()) {
            if (axis(a).isEmpty()) {
                throw new SpaceProblem("This machine has no axis “" + a + "”; its axes are "
                        + String.join(", ", axes.stream().map(Axis::name).toList()) + ". Nothing was changed.");
            }
        }
        List<Group> next = new ArrayList<>(groups.stream().filter(o -> !o.name().equals(g.name())).toList());
        next.add(Math.min(next.size(), (int) groups.stream().takeWhile(o -> !o.name().equals(g.name())).count()), g);
        return new Surroundings(axes, next, neighbours);
    }

    /** @throws SpaceProblem when a neighbour still moves with it */
    public Surroundings withoutGroup(String name) {
        Optional<Neighbour> rider = neighbours.stream().filter(n -> n.group().equals(name)).findFirst();
        if (rider.isPresent()) {
            throw new SpaceProblem(rider.get().name() + " moves with “" + name + "”; give it another group first.");
        }
        return new Surroundings(axes, groups.stream().filter(g -> !g.name().equals(name)).toList(), neighbours);
    }

    /** Axes in the order they are homed. */
    public List<Axis> homingOrder() {
        return axes.stream().sorted(java.util.Comparator.comparingInt(Axis::homingOrder)).toList();
    }
}
