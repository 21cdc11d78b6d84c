package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/**
 * How near a cable that bends with the axes, and rides with the part's group, comes to the part, to what it carries and to the machine's neighbours, wherever the axes stand. It is taken as straight from point to point; close to a
 * point where it is held on something it may touch that.
 */
public final class CableWayFact implements Fact<List<CableWayFact.Near>> {
    /** To the part and what it carries. */
    public static final CableWayFact OWN = new CableWayFact(true);
    /** To the machine's neighbours: it follows from the machine alone. */
    public static final CableWayFact AROUND = new CableWayFact(false);
    /** Gaps larger than this are not looked for, mm. */
    public static final double NEED_MM = 2;
    /** A point so near to something is held there, mm; so far on from it the cable may touch that. */
    private static final double HELD_MM = 15;

    private final boolean own;

    private CableWayFact(boolean own) {
        this.own = own;
    }

    /**
     * The tightest place of a cable and something.
     *
     * @param to what it comes near to
     * @param gapMm from its skin; 0 where it touches, infinite where it could not be looked through to the end
     * @param pose where the axes stand there, those that matter
     * @param after the point of the cable it comes after, from 0
     * @param at the place on the cable's middle line and {@code around} what it comes near to, both as that stands with all axes at zero
     * @param group of what it comes near to, {@code hot} whether that is hot
     */
    public record Near(Run run, String to, double gapMm, Map<String, Double> pose, int after, Vec3 at, Bounds around, String group, boolean hot) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return own ? List.of(RestFact.REST.inputs(c, facts), CarriedFact.CARRIED.inputs(c, facts)) : List.of(c.machine().surroundings(), c.site().map(Site::group).orElse(""), c.machine().models(), c.machine().sheets());
    }

    /** Cables with points on different groups, one of them the part's. */
    public static List<Run> riding(Case c) {
        String mine = c.site().map(Site::group).orElse("");
        return mine.isEmpty() ? List.of() : c.machine().surroundings().runs().stream().filter(r -> r.kind() == Run.Kind.CABLE && r.isMoved() && r.holds().stream().anyMatch(h -> h.group().equals(mine))).toList();
    }

    @Override
    public List<Near> compute(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        List<Near> all = new ArrayList<>();
        if (place.isEmpty() || facts.get(TreesFact.TREES).isEmpty()) {
            return all;
        }
        Surroundings space = c.machine().surroundings();
        Map<String, Shape> shapes = facts.get(SceneFact.SCENE);
        for (Run r : riding(c)) {
            for (MotionFact.Body b : own ? MotionFact.bodies(facts, place.get()) : List.<MotionFact.Body>of()) {
                near(r, b.id().equals(b.piece().id()) ? "the " + b.piece().name() : "what the part carries", b.tree(), b.place().inverse(), c.site().orElseThrow().group(), false, space, facts).ifPresent(all::add);
            }
            for (Neighbour n : space.neighbours()) {
                if (!own && n.isMatter()) {
                    near(r, n.name(), shapes.get(n.id()).tree(), Placement.HERE, n.group(), n.kind() == Neighbour.Kind.HOT, space, facts).ifPresent(all::add);
                }
            }
        }
        return all;
    }

    /** @param into from the machine, as something of the group sees it with all axes at zero, to the tree's coordinates */
    private static Optional<Near> near(Run r, String name, TriangleTree tree, Placement into, String group, boolean hot, Surroundings space, Facts facts) {
        Near best = null;
        Placement back = into.inverse();
        for (int i = 1; i < r.holds().size(); i++) {
            Run.Hold a = r.holds().get(i - 1);
            Run.Hold b = r.holds().get(i);
            facts.stop().check();
            double need = best == null ? NEED_MM : Math.min(NEED_MM, best.gapMm);
            Optional<Strand.Tight> t = strand(a, b, tree, into, group, space).tightest(need + r.acrossMm() / 2, facts.stop());
            if (t.isPresent() && (best == null || t.get().mm() - r.acrossMm() / 2 < best.gapMm)) {
                Vec3 at = t.get().at();
                best = new Near(r, name, Math.max(0, t.get().mm() - r.acrossMm() / 2), t.get().pose(), i - 1, back.point(at.x(), at.y(), at.z()), tree.mesh().placed(back).bounds(), group, hot);
            }
        }
        return Optional.ofNullable(best);
    }

    private static Strand strand(Run.Hold a, Run.Hold b, TriangleTree tree, Placement into, String group, Surroundings space) {
        List<Strand.Travel> travels = new ArrayList<>();
        for (Axis x : space.axes()) {
            Vec3 one = by(x, a.group(), space).minus(by(x, group, space));
            Vec3 other = by(x, b.group(), space).minus(by(x, group, space));
            if (x.toMm() > x.fromMm() && one.length() + other.length() > 0) {
                travels.add(new Strand.Travel(x.name(), into.turned(one), into.turned(other), x.fromMm(), x.toMm()));
            }
        }
        Vec3 from = into.point(a.at().x(), a.at().y(), a.at().z());
        Vec3 to = into.point(b.at().x(), b.at().y(), b.at().z());
        // What is held on it stays where it is.
        double clipFrom = a.group().equals(group) && Nearest.distanceMm(tree, from) < HELD_MM ? HELD_MM : 0;
        double clipTo = b.group().equals(group) && Nearest.distanceMm(tree, to) < HELD_MM ? HELD_MM : 0;
        return new Strand(tree, from, to, clipFrom, clipTo, travels);
    }

    private static Vec3 by(Axis x, String group, Surroundings space) {
        return space.group(group).map(Group::axes).orElse(List.of()).contains(x.name()) ? x.direction() : Vec3.ZERO;
    }
}
