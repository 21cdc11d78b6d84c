package tinperch.fact;

import java.util.ArrayList;
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
    private static final List<Vec3> WAYS = List.of(Vec3.Z, Vec3.Y.times(-1), Vec3.X.times(-1), Vec3.X, Vec3.Y, Vec3.Z.times(-1));

    private TakenOutFact() {}

    /**
     * A neighbour that is shut in.
     *
     * @param was ways it could be drawn out before
     * @param feature of the part that is in the first of them, on the piece {@code pieceId}
     */
    public record Shut(Neighbour neighbour, List<Vec3> was, String feature, String pieceId) {}

    /** Something of the part that may be in the way. */
    private record Own(TriangleTree tree, Placement place, String pieceId, Bounds box) {
        static Own of(TriangleTree tree, Placement place, String pieceId) {
            return new Own(tree, place, pieceId, tree.mesh().bounds().placed(place));
        }
    }

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
                List<Own> shutBy = new ArrayList<>();
                if (!was.isEmpty() && was.stream().allMatch(w -> shuts(own, way(box, w), shutBy))) {
                    Own first = shutBy.get(0);
                    all.add(new Shut(n, was, first.tree.mesh().faces().get(0).feature(), first.pieceId));
                }
            }
        }
        return all;
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
        return overlap(o, way(box, way)) && !overlap(o, box);
    }

    private static boolean overlap(Bounds a, Bounds b) {
        return a.overlaps(b, -SLIDES_MM);
    }

    /** The room it goes through on its way out, and it itself. */
    private static Bounds way(Bounds box, Vec3 w) {
        Vec3 by = w.times(Math.min(FAR_MM, Math.abs(box.size().dot(w))));
        Bounds there = new Bounds(box.min().plus(by), box.max().plus(by));
        return box.with(there);
    }

    private static boolean shuts(List<Own> own, Bounds way, List<Own> by) {
        Vec3 in = new Vec3(SLIDES_MM, SLIDES_MM, SLIDES_MM);
        Vec3 size = way.size().minus(in.times(2));
        if (Math.min(size.x(), Math.min(size.y(), size.z())) <= 0) {
            return false;
        }
        List<Own> near = own.stream().filter(o -> o.box.overlaps(way, 0)).toList();
        if (near.isEmpty()) {
            return false;
        }
        Vec3 middle = way.centre();
        Mesh room = SolidKernel.evaluate(Leaf.extrusion("way", Profile.rectangle(middle.x(), middle.y(), size.x(), size.y()), Placement.HERE, middle.z() - size.z() / 2, middle.z() + size.z() / 2), Tolerances.USUAL);
        TriangleTree tree = TriangleTree.of(room);
        Optional<Own> first = near.stream().filter(o -> Clearance.between(tree, o.tree, o.place).intersects()).findFirst();
        first.ifPresent(by::add);
        return first.isPresent();
    }
}
