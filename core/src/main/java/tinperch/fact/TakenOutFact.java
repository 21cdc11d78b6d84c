package tinperch.fact;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/**
 * Which of the neighbours near a part could be drawn out straight along x, y or z before it was there and cannot any more: the box of each, pushed by its own length, against the boxes of the others and the part's
 * own shape with what it carries. All axes at home.
 */
public final class TakenOutFact implements Fact<List<TakenOutFact.Shut>> {
    public static final TakenOutFact TAKEN_OUT = new TakenOutFact();
    /** What lies against something slides along it, mm. */
    private static final double SLIDES_MM = 0.5;
    /** Pushed so far it is out, if it is longer, mm. */
    private static final double FAR_MM = 150;
    private static final double SURE_MM = 0.02;
    private static final List<Vec3> WAYS = List.of(Vec3.Z, Vec3.Y.times(-1), Vec3.X.times(-1), Vec3.X, Vec3.Y, Vec3.Z.times(-1));

    private TakenOutFact() {}

    /**
     * A neighbour that is shut in.
     *
     * @param was ways it could be drawn out before
     * @param way the one of them on which it comes farthest, {@code freeMm} how far, {@code wantedMm} how far it has to
     * @param feature of the part that it meets there, on the piece {@code pieceId}
     * @param reaches how far it reaches into the room of that way, by the side from which it would have to be drawn back, in the assembly; least first
     */
    public record Shut(Neighbour neighbour, List<Vec3> was, Vec3 way, double freeMm, double wantedMm, String feature, String pieceId, List<Reach> reaches) {}

    /** How far the part reaches into a way with its side that looks so, in the assembly. */
    public record Reach(Vec3 look, double mm) {}

    /** Something of the part that may be in the way. */
    private record Own(TriangleTree tree, Placement place, String pieceId, Bounds box) {
        static Own of(TriangleTree tree, Placement place, String pieceId) {
            return new Own(tree, place, pieceId, tree.mesh().bounds().placed(place));
        }
    }

    /** What is met, and where, seen from that. */
    private record Hit(Own own, Vec3 at) {}

    /** A way that is shut, and how far it is free. */
    private record Met(Vec3 way, Hit hit, double freeMm, double wantedMm) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(RestFact.REST.inputs(c, facts), CarriedFact.CARRIED.inputs(c, facts));
    }

    @Override
    public List<Shut> compute(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        List<RestFact.Gap> near = facts.get(RestFact.REST).orElse(List.of());
        if (place.isEmpty() || near.isEmpty()) {
            return List.of();
        }
        Surroundings space = c.machine().surroundings();
        Map<String, Double> home = space.home();
        Vec3 shift = space.shift(c.site().orElseThrow().group(), home);
        List<Own> own = own(place.get().moved(shift), facts);
        List<Neighbour> matter = space.neighbours().stream().filter(Neighbour::isMatter).toList();
        List<Shut> all = new ArrayList<>();
        for (Neighbour n : matter) {
            boolean nearIt = near.stream().anyMatch(g -> g.neighbour().id().equals(n.id())) && near.stream().noneMatch(g -> g.neighbour().id().equals(n.id()) && g.stands());
            if (nearIt) {
                facts.stop().check();
                Bounds box = space.bounds(n, home);
                List<Vec3> was = WAYS.stream().filter(w -> matter.stream().noneMatch(o -> !o.id().equals(n.id()) && isIn(o, space.bounds(o, home), box, w))).toList();
                shut(n, box, was, own, place.get()).ifPresent(all::add);
            }
        }
        return all;
    }

    /** Empty where one of the ways is open, or there was none. */
    private static Optional<Shut> shut(Neighbour n, Bounds box, List<Vec3> was, List<Own> own, Placement assembly) {
        Met best = null;
        for (Vec3 w : was) {
            Optional<Met> met = met(own, box, w);
            if (met.isEmpty()) {
                return Optional.empty();
            }
            best = best == null || met.get().freeMm / met.get().wantedMm > best.freeMm / best.wantedMm ? met.get() : best;
        }
        if (best == null) {
            return Optional.empty();
        }
        Own o = best.hit.own;
        Mesh mesh = o.tree.mesh();
        String feature = mesh.faces().get(mesh.faceOf(Nearest.triangle(o.tree, best.hit.at))).feature();
        return Optional.of(new Shut(n, was, best.way, best.freeMm, best.wantedMm, feature, o.pieceId, reaches(o, way(box, best.way, best.wantedMm), best.way, assembly)));
    }

    private static List<Reach> reaches(Own o, Bounds room, Vec3 way, Placement assembly) {
        Placement in = assembly.inverse();
        return WAYS.stream().filter(look -> Math.abs(look.dot(way)) < 0.5).map(look -> new Reach(in.turned(look), reach(o.box, look) + reach(room, look.times(-1)))).sorted(Comparator.comparingDouble(Reach::mm)).toList();
    }

    /** The farthest of a box in a direction along an axis. */
    private static double reach(Bounds b, Vec3 look) {
        return Math.max(b.min().dot(look), b.max().dot(look));
    }

    private static List<Own> own(Placement place, Facts facts) {
        List<Own> all = new ArrayList<>();
        List<TriangleTree> trees = facts.get(TreesFact.TREES);
        List<MeshesFact.Made> pieces = facts.get(MeshesFact.BARE).pieces();
        for (int i = 0; i < trees.size(); i++) {
            all.add(Own.of(trees.get(i), place.times(pieces.get(i).piece().place()), pieces.get(i).piece().id()));
        }
        facts.get(CarriedFact.CARRIED).forEach(k -> all.add(Own.of(k.tree(), place, k.pieceId())));
        return all;
    }

    /** Whether another neighbour is in the way; one that reaches into it is of one piece with it. */
    private static boolean isIn(Neighbour other, Bounds o, Bounds box, Vec3 way) {
        return overlap(o, way(box, way, length(box, way))) && !overlap(o, box);
    }

    private static boolean overlap(Bounds a, Bounds b) {
        return a.overlaps(b, -SLIDES_MM);
    }

    private static double length(Bounds box, Vec3 w) {
        return Math.min(FAR_MM, Math.abs(box.size().dot(w)));
    }

    /** The room it goes through on its way out so far, and it itself. */
    private static Bounds way(Bounds box, Vec3 w, double farMm) {
        Vec3 by = w.times(farMm);
        return box.with(new Bounds(box.min().plus(by), box.max().plus(by)));
    }

    /** What of the part is met on a way; empty for nothing. */
    private static Optional<Met> met(List<Own> own, Bounds box, Vec3 w) {
        double wanted = length(box, w);
        Optional<Hit> hit = hit(own, box, w, wanted);
        if (hit.isEmpty()) {
            return Optional.empty();
        }
        double free = 0;
        double to = wanted;
        while (to - free > SURE_MM) {
            double mid = (free + to) / 2;
            Optional<Hit> sooner = hit(own, box, w, mid);
            if (sooner.isEmpty()) {
                free = mid;
            } else {
                to = mid;
                hit = sooner;
            }
        }
        // The room was made that much smaller than what goes through it, at its end too.
        return Optional.of(new Met(w, hit.get(), Math.max(0, free - SLIDES_MM), wanted));
    }

    /** What it meets when it has gone so far. */
    private static Optional<Hit> hit(List<Own> own, Bounds box, Vec3 w, double farMm) {
        Bounds way = way(box, w, farMm);
        Vec3 size = way.size().minus(new Vec3(2 * SLIDES_MM, 2 * SLIDES_MM, 2 * SLIDES_MM));
        List<Own> near = own.stream().filter(o -> o.box.overlaps(way, 0)).toList();
        if (near.isEmpty() || Math.min(size.x(), Math.min(size.y(), size.z())) <= 0) {
            return Optional.empty();
        }
        Vec3 middle = way.centre();
        TriangleTree room = TriangleTree.of(SolidKernel.evaluate(Leaf.extrusion("way", Profile.rectangle(middle.x(), middle.y(), size.x(), size.y()), Placement.HERE, middle.z() - size.z() / 2, middle.z() + size.z() / 2), Tolerances.USUAL));
        for (Own o : near) {
            Clearance c = Clearance.between(room, o.tree, o.place);
            if (c.intersects()) {
                return Optional.of(new Hit(o, o.place.local(c.onSecond())));
            }
        }
        return Optional.empty();
    }
}
