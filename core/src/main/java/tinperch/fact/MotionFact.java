package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/**
 * The smallest gap between the part on its site, with its screws and what it holds, and every neighbour, belt and still cable that moves against it, over all the ways of the axes that matter
 * together ({@link Sweep}).
 */
public final class MotionFact implements Fact<Optional<List<MotionFact.Way>>> {
    public static final MotionFact MOTION = new MotionFact();
    /** Gaps larger than this are not looked for more closely, mm, unless the neighbour wants more. */
    public static final double NEED_MM = 3;

    private MotionFact() {}

    /**
     * The tightest place of a piece, or of what it carries, and a neighbour on their ways.
     *
     * @param of id of the piece or of what is carried
     * @param gapMm smallest found, {@code depthMm} how deep they are in one another there, 0 when they are not
     * @param pose where the axes stand there, by name, those that matter
     * @param feature of the piece that comes nearest
     * @param outward the way from the piece to the neighbour there, in the piece's own coordinates, unit; zero when they touch and for what is carried
     * @param surelyMm the gap is nowhere smaller than this
     */
    public record Way(Neighbour neighbour, String of, Piece piece, double gapMm, double depthMm, Map<String, Double> pose, String feature, Vec3 outward, double surelyMm) {}

    /** A piece or something carried, where it stands with all axes at zero. */
    record Body(String id, Piece piece, TriangleTree tree, Placement place) {}

    /** Something that moves against the part as a whole. */
    record Other(Neighbour neighbour, Shape shape) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(RestFact.REST.inputs(c, facts), CarriedFact.CARRIED.inputs(c, facts));
    }

    @Override
    public Optional<List<Way>> compute(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        if (place.isEmpty() || facts.get(TreesFact.TREES).isEmpty()) {
            return Optional.empty();
        }
        Surroundings space = c.machine().surroundings();
        List<Body> bodies = bodies(facts, place.get());
        List<Way> all = new ArrayList<>();
        for (Other o : others(c, facts)) {
            List<Sweep.Travel> travels = travels(space, c.site().orElseThrow().group(), o.neighbour.group());
            for (Body b : travels.isEmpty() ? List.<Body>of() : bodies) {
                facts.stop().check();
                Sweep.tightest(b.tree, b.place, o.shape, travels, needMm(o.neighbour), facts.stop()).ifPresent(t -> all.add(way(o, b, t)));
            }
        }
        return Optional.of(all);
    }

    static double needMm(Neighbour n) {
        return Math.max(NEED_MM, n.clearanceMm());
    }

    static Way way(Other o, Body b, Sweep.Tight t) {
        return new Way(o.neighbour, b.id, b.piece, t.gapMm(), t.depthMm(), t.pose(), t.feature().isEmpty() ? b.piece.name() : t.feature(), b.id.equals(b.piece.id()) ? t.outward() : Vec3.ZERO, t.surelyMm());
    }

    /** How each axis that moves one and not the other shifts the part as the neighbour sees it, over all of its travel. */
    static List<Sweep.Travel> travels(Surroundings space, String mine, String others) {
        List<String> a = space.group(mine).map(Group::axes).orElse(List.of());
        List<String> b = space.group(others).map(Group::axes).orElse(List.of());
        List<Sweep.Travel> all = new ArrayList<>();
        for (Axis axis : space.axes()) {
            boolean moves = a.contains(axis.name());
            if (moves != b.contains(axis.name()) && axis.toMm() > axis.fromMm()) {
                all.add(new Sweep.Travel(axis.name(), axis.direction().times(moves ? 1 : -1), axis.fromMm(), axis.toMm()));
            }
        }
        return all;
    }

    /** The part's pieces and what they carry, in the machine. */
    static List<Body> bodies(Facts facts, Placement place) {
        List<TriangleTree> trees = facts.get(TreesFact.TREES);
        List<Piece> pieces = facts.get(MeshesFact.BARE).pieces().stream().map(MeshesFact.Made::piece).toList();
        List<Body> all = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            all.add(new Body(pieces.get(i).id(), pieces.get(i), trees.get(i), place.times(pieces.get(i).place())));
        }
        for (CarriedFact.Carried c : facts.get(CarriedFact.CARRIED)) {
            all.add(new Body(c.id(), pieces.stream().filter(p -> p.id().equals(c.pieceId())).findFirst().orElse(pieces.get(0)), c.tree(), place));
        }
        return all;
    }

    /** What can be run into: neighbours, the upgrade's other parts, and belts and cables all of whose points move together. */
    static List<Other> others(Case c, Facts facts) {
        Surroundings space = c.machine().surroundings();
        boolean through = facts.get(FormFact.FORM).form().flatMap(PartForm::mount).map(PartForm.Mount::through).orElse(false);
        String mine = c.site().orElseThrow().group();
        Map<String, Shape> shapes = facts.get(SceneFact.SCENE);
        List<Other> all = new ArrayList<>();
        space.neighbours().stream().filter(n -> n.isMatter() && !(through && n.group().equals(mine))).forEach(n -> all.add(new Other(n, shapes.get(n.id()))));
        facts.get(BesideFact.BESIDE).forEach(b -> all.add(new Other(b.standing(), b.shape())));
        facts.get(LinesFact.LINES).forEach(l -> l.atZero().ifPresent(s -> all.add(new Other(l.standing(), s))));
        return all;
    }
}
