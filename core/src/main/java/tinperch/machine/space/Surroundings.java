package tinperch.machine.space;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import tinperch.quantity.Quantity;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/**
 * The axes of a machine, the groups that ride on them, the neighbours, the sites where parts mount, and the distances read between
 * neighbours. Edits give new surroundings or refuse.
 *
 * @param poses places of all axes kept under a name
 * @param runs cables and belts
 * @param measuredFrom id of the neighbour that stays where it is when distances place the others; empty for the first that is solid
 */
public record Surroundings(List<Axis> axes, List<Group> groups, List<Neighbour> neighbours, List<Site> sites, List<Distance> distances, String measuredFrom,
        List<Pose> poses, List<Run> runs) {
    public static final Surroundings NONE = new Surroundings(List.of(), List.of(), List.of());

    public Surroundings {
        // Surroundings kept by an earlier version have no sites; those written by hand may lack any of these.
        axes = axes == null ? List.of() : List.copyOf(axes);
        groups = groups == null ? List.of() : List.copyOf(groups);
        neighbours = neighbours == null ? List.of() : List.copyOf(neighbours);
        sites = sites == null ? List.of() : List.copyOf(sites);
        distances = distances == null ? List.of() : List.copyOf(distances);
        measuredFrom = measuredFrom == null ? "" : measuredFrom;
        poses = poses == null ? List.of() : List.copyOf(poses);
        runs = runs == null ? List.of() : runs.stream().filter(java.util.Objects::nonNull).toList();
    }

    /** Without distances. */
    public Surroundings(List<Axis> axes, List<Group> groups, List<Neighbour> neighbours, List<Site> sites) {
        this(axes, groups, neighbours, sites, List.of(), "", List.of(), List.of());
    }

    /** Without sites. */
    public Surroundings(List<Axis> axes, List<Group> groups, List<Neighbour> neighbours) {
        this(axes, groups, neighbours, List.of(), List.of(), "", List.of(), List.of());
    }

    /** An axis by its name; empty when there is none of it. */
    public Optional<Axis> axis(String name) {
        return axes.stream().filter(a -> a.name().equals(name)).findFirst();
    }

    /** A group by its name; empty when there is none of it. */
    public Optional<Group> group(String name) {
        return groups.stream().filter(g -> g.name().equals(name)).findFirst();
    }

    /** A site by its id; empty when there is none of it. */
    public Optional<Site> site(String id) {
        return sites.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** A neighbour by its id; empty when there is none of it. */
    public Optional<Neighbour> neighbour(String id) {
        return neighbours.stream().filter(n -> n.id().equals(id)).findFirst();
    }

    /** The neighbour that stays where it is when distances place the others; empty when there is none. */
    public String datumId() {
        return neighbour(measuredFrom).or(() -> neighbours.stream().filter(Neighbour::isMatter).findFirst()).map(Neighbour::id).orElse("");
    }

    /** A cable or belt by its id; empty when there is none of it. */
    public Optional<Run> run(String id) {
        return runs.stream().filter(r -> r.id().equals(id)).findFirst();
    }

    /** A distance by its id; empty when there is none of it. */
    public Optional<Distance> distance(String id) {
        return distances.stream().filter(d -> d.id().equals(id)).findFirst();
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

    /** The box of a neighbour with the axes at a pose, mm by axis. */
    public Bounds bounds(Neighbour n, Map<String, Double> pose) {
        return n.bounds(shift(n.group(), pose));
    }

    /** The box that holds everything at both ends of all travels; empty when there is nothing. */
    public Optional<Bounds> reach() {
        Bounds all = null;
        for (Neighbour n : neighbours) {
            Bounds still = n.reached().bounds(Vec3.ZERO);
            Vec3 low = still.min();
            Vec3 high = still.max();
            // What each axis adds is added whatever the others do.
            for (String name : group(n.group()).map(Group::axes).orElse(List.of())) {
                Axis a = axis(name).orElse(null);
                if (a != null) {
                    Vec3 one = a.direction().times(a.fromMm());
                    Vec3 other = a.direction().times(a.toMm());
                    low = low.plus(new Vec3(Math.min(one.x(), other.x()), Math.min(one.y(), other.y()), Math.min(one.z(), other.z())));
                    high = high.plus(new Vec3(Math.max(one.x(), other.x()), Math.max(one.y(), other.y()), Math.max(one.z(), other.z())));
                }
            }
            Bounds b = new Bounds(low, high);
            all = all == null ? b : all.with(b);
        }
        return Optional.ofNullable(all);
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
                    && o.isMatter() && n.isMatter()) {
                throw new SpaceProblem(n.name() + " would lie wholly inside " + o.name() + "; check its place ("
                        + Quantity.mm(n.corner().x()) + ", " + Quantity.mm(n.corner().y()) + ", " + Quantity.mm(n.corner().z())
                        + "). Nothing was changed.");
            }
        }
        return new Surroundings(axes, groups, put(neighbours, n, Neighbour::id), following(List.of(n)), distances, measuredFrom, poses, runs);
    }

    /** With one in the place of that of its id, or after the last. */
    private static <T> List<T> put(List<T> all, T one, Function<T, String> id) {
        List<T> next = new ArrayList<>(all);
        int at = all.stream().map(id).toList().indexOf(id.apply(one));
        if (at >= 0) {
            next.set(at, one);
        } else {
            next.add(one);
        }
        return next;
    }

    private static boolean holds(Bounds outer, Bounds inner) {
        return outer.min().x() <= inner.min().x() && outer.min().y() <= inner.min().y() && outer.min().z() <= inner.min().z()
                && outer.max().x() >= inner.max().x() && outer.max().y() >= inner.max().y() && outer.max().z() >= inner.max().z();
    }

    /** A neighbour as it would be on the other side of the middle of what all is measured from: usual, until that side's own readings are taken. */
    public Neighbour mirrored(Neighbour n, String freshId) {
        double middle = neighbour(datumId()).map(d -> d.corner().x() + d.size().x() / 2).orElse(0.0);
        String name = n.name().contains("left") ? n.name().replace("left", "right") : n.name().contains("right") ? n.name().replace("right", "left") : n.name() + ", other side";
        return new Neighbour(freshId, name, n.group(), n.kind(), n.form(), new Vec3(2 * middle - n.corner().x() - n.size().x(), n.corner().y(), n.corner().z()), n.size(),
                n.along(), n.clearanceMm(), n.tempC(), n.of(), n.turnDeg(), "", n.sock());
    }

    /** Without a neighbour and the distances read to it. */
    public Surroundings without(String neighbourId) {
        return new Surroundings(axes, groups, neighbours.stream().filter(n -> !n.id().equals(neighbourId)).toList(), sites,
                distances.stream().filter(d -> !d.touches(neighbourId)).toList(), measuredFrom, poses, runs);
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
        return new Surroundings(next, groups, neighbours, sites, distances, measuredFrom, poses, runs);
    }

    /** @throws SpaceProblem when a group still rides on it */
    public Surroundings withoutAxis(String name) {
        Optional<Group> rider = groups.stream().filter(g -> g.axes().contains(name)).findFirst();
        if (rider.isPresent()) {
            throw new SpaceProblem("“" + rider.get().name() + "” rides on " + name + "; take the axis out of that group first.");
        }
        return new Surroundings(axes.stream().filter(a -> !a.name().equals(name)).toList(), groups, neighbours, sites, distances, measuredFrom, poses, runs);
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
        return new Surroundings(axes, next, neighbours, sites, distances, measuredFrom, poses, runs);
    }

    /** @throws SpaceProblem when a neighbour still moves with it */
    public Surroundings withoutGroup(String name) {
        Optional<Neighbour> rider = neighbours.stream().filter(n -> n.group().equals(name)).findFirst();
        if (rider.isPresent()) {
            throw new SpaceProblem(rider.get().name() + " moves with “" + name + "”; give it another group first.");
        }
        Optional<Site> site = sites.stream().filter(x -> x.group().equals(name)).findFirst();
        if (site.isPresent()) {
            throw new SpaceProblem("The site “" + site.get().name() + "” moves with “" + name + "”; give it another group first.");
        }
        Optional<Run> run = runs.stream().filter(r -> r.holds().stream().anyMatch(h -> h.group().equals(name))).findFirst();
        if (run.isPresent()) {
            throw new SpaceProblem(run.get().name() + " is held by “" + name + "”; hold it by something else first.");
        }
        return new Surroundings(axes, groups.stream().filter(g -> !g.name().equals(name)).toList(), neighbours, sites, distances, measuredFrom, poses, runs);
    }

    /**
     * With a site put in, or changed when its id is known.
     *
     * @throws SpaceProblem when it has no name, its group is unknown or it faces nowhere
     */
    public Surroundings with(Site site) {
        if (site.name().isBlank()) {
            throw new SpaceProblem("A site needs a name, such as “carriage front”.");
        }
        if (!site.group().isEmpty() && group(site.group()).isEmpty()) {
            throw new SpaceProblem("Nothing moves as “" + site.group() + "” on this machine.");
        }
        if (!(Math.abs(site.facing().length() - 1) < 1e-6) || !(site.halfWidthMm() >= 0)) {
            throw new SpaceProblem("A site faces somewhere and is known to ± something; the old one stays.");
        }
        return new Surroundings(axes, groups, neighbours, put(sites, site, Site::id), distances, measuredFrom, poses, runs);
    }

    /** Without a site. */
    public Surroundings withoutSite(String siteId) {
        return new Surroundings(axes, groups, neighbours, sites.stream().filter(x -> !x.id().equals(siteId)).toList(), distances, measuredFrom, poses, runs);
    }

    /** With the same neighbours in other places. */
    public Surroundings withPlaced(List<Neighbour> placed) {
        return new Surroundings(axes, groups, placed, following(placed), distances, measuredFrom, poses, runs);
    }

    /** The sites where the neighbours they lie on take them. */
    private List<Site> following(List<Neighbour> after) {
        return sites.stream().map(s -> s.onId().isEmpty() ? s : neighbour(s.onId()).flatMap(before -> after.stream().filter(n -> n.id().equals(s.onId())).findFirst()
                .map(n -> s.following(before, n))).orElse(s)).toList();
    }

    /**
     * With a distance put in, or changed when its id is known.
     *
     * @throws SpaceProblem when it ends at nothing, at one thing twice, or says nothing
     */
    public Surroundings with(Distance d) {
        Neighbour a = neighbour(d.from().neighbourId()).orElseThrow(() -> gone());
        Neighbour b = neighbour(d.to().neighbourId()).orElseThrow(() -> gone());
        if (a.id().equals(b.id())) {
            throw new SpaceProblem("Both ends lie on the " + a.name() + "; a distance is read from one thing to another. Its size is changed in its own fields.");
        }
        if (d.readings().stream().anyMatch(r -> !(Math.abs(r.value()) <= 1e5))) {
            throw new SpaceProblem("A distance is a number of millimetres; the old one stays.");
        }
        for (String axis : d.pose().keySet()) {
            if (axis(axis).isEmpty()) {
                throw new SpaceProblem("This machine has no axis “" + axis + "”; say where its own axes stood.");
            }
        }
        return new Surroundings(axes, groups, neighbours, sites, put(distances, d, Distance::id), measuredFrom, poses, runs);
    }

    private static SpaceProblem gone() {
        return new SpaceProblem("What this distance was read to is not there any more. Undo brings it back.");
    }

    /** Without a distance. */
    public Surroundings withoutDistance(String distanceId) {
        return new Surroundings(axes, groups, neighbours, sites, distances.stream().filter(d -> !d.id().equals(distanceId)).toList(), measuredFrom, poses, runs);
    }

    /**
     * With a cable or belt put in, or changed when its id is known.
     *
     * @throws SpaceProblem when it has no name, no two points, no width, or is held by what does not move here
     */
    public Surroundings with(Run run) {
        run.objection().ifPresent(why -> {
            throw new SpaceProblem(why);
        });
        for (Run.Hold h : run.holds()) {
            if (!h.group().isEmpty() && group(h.group()).isEmpty()) {
                throw new SpaceProblem("Nothing moves as “" + h.group() + "” on this machine.");
            }
        }
        return new Surroundings(axes, groups, neighbours, sites, distances, measuredFrom, poses, put(runs, run, Run::id));
    }

    /** Without a cable or belt. */
    public Surroundings withoutRun(String runId) {
        return new Surroundings(axes, groups, neighbours, sites, distances, measuredFrom, poses, runs.stream().filter(r -> !r.id().equals(runId)).toList());
    }

    /** With another neighbour from which all is measured. */
    public Surroundings measuredFrom(String neighbourId) {
        return new Surroundings(axes, groups, neighbours, sites, distances, neighbourId, poses, runs);
    }

    /**
     * With a place of the axes put in under a name, or in the place of one of that name.
     *
     * @throws SpaceProblem when it has no name
     */
    public Surroundings with(Pose pose) {
        if (pose.name().isBlank()) {
            throw new SpaceProblem("A place of the axes needs a name, such as “service”.");
        }
        List<Pose> next = new ArrayList<>(poses.stream().filter(p -> !p.name().equals(pose.name())).toList());
        next.add(pose);
        return new Surroundings(axes, groups, neighbours, sites, distances, measuredFrom, next, runs);
    }

    /** Without a place of the axes. */
    public Surroundings withoutPose(String name) {
        return new Surroundings(axes, groups, neighbours, sites, distances, measuredFrom, poses.stream().filter(p -> !p.name().equals(name)).toList(), runs);
    }
}
