package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** Gaps between the part at rest on its site, all axes at home, and every neighbour near it. Empty when it has no site. */
public final class RestFact implements Fact<Optional<List<RestFact.Gap>>> {
    public static final RestFact REST = new RestFact();
    /** Farther neighbours are not measured, mm. */
    private static final double NEAR_MM = 40;
    /** A neighbour whose box is this near the site's middle is what the part stands on, mm. */
    private static final double STANDS_MM = 0.6;

    private RestFact() {}

    /**
     * A gap, exact.
     *
     * @param feature the feature of the piece that comes nearest
     * @param depthMm how deep they are in one another, 0 when they are not
     * @param outward the way from the piece to the neighbour, in the piece's own coordinates, unit; zero when they touch
     * @param stands whether the part stands on it
     */
    public record Gap(Neighbour neighbour, Piece piece, double gapMm, double depthMm, String feature, Vec3 outward, boolean stands) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), facts.get(FormFact.FORM).form().map(PartForm::mount), c.part().siteId(), c.machine().surroundings(), SceneFact.SCENE.inputs(c, facts), BesideFact.BESIDE.inputs(c, facts));
    }

    /** Where the assembly goes in the machine with all axes at zero: its mount frame onto the site's. */
    public static Optional<Placement> inMachine(Case c, Facts facts) {
        Optional<PartForm.Mount> mount = facts.get(FormFact.FORM).form().flatMap(PartForm::mount);
        return c.site().flatMap(s -> mount.map(m -> s.frame().times(m.frame().inverse())));
    }

    @Override
    public Optional<List<Gap>> compute(Case c, Facts facts) {
        Optional<Placement> place = inMachine(c, facts);
        List<TriangleTree> trees = facts.get(TreesFact.TREES);
        if (place.isEmpty() || trees.isEmpty()) {
            return Optional.empty();
        }
        Surroundings space = c.machine().surroundings();
        Map<String, Double> home = space.home();
        Site site = c.site().orElseThrow();
        Vec3 shift = space.shift(site.group(), home);
        Map<String, Shape> shapes = facts.get(SceneFact.SCENE);
        boolean through = facts.get(FormFact.FORM).form().flatMap(PartForm::mount).map(PartForm.Mount::through).orElse(false);
        List<Vec3> also = facts.get(FormFact.FORM).form().flatMap(PartForm::mount).map(PartForm.Mount::also).orElse(List.of());
        List<Gap> all = new ArrayList<>();
        for (Neighbour n : space.neighbours()) {
            Placement seen = place.get().moved(shift.minus(space.shift(n.group(), home)));
            boolean stands = n.isMatter() && (n.group().equals(site.group()) && touches(n.bounds(Vec3.ZERO), site.at())
                    || also.stream().anyMatch(p -> touches(n.bounds(Vec3.ZERO), seen.point(p.x(), p.y(), p.z()))));
            // The opening it goes through is drawn in no neighbour.
            if (!(stands && through)) {
                gaps(n, shapes.get(n.id()), seen, stands, trees, facts, all);
            }
        }
        for (LinesFact.Line l : facts.get(LinesFact.LINES)) {
            gaps(l.standing().in(""), l.atHome(), place.get().moved(shift), false, trees, facts, all);
        }
        for (BesideFact.Beside b : facts.get(BesideFact.BESIDE)) {
            gaps(b.standing(), b.shape(), place.get().moved(shift.minus(space.shift(b.standing().group(), home))), b.joined(), trees, facts, all);
        }
        return Optional.of(all);
    }

    /** @param place where the part stands as the neighbour sees it */
    private static void gaps(Neighbour n, Shape shape, Placement place, boolean stands, List<TriangleTree> trees, Facts facts, List<Gap> all) {
        List<Piece> pieces = facts.get(MeshesFact.BARE).pieces().stream().map(MeshesFact.Made::piece).toList();
        for (int i = 0; i < pieces.size(); i++) {
            facts.stop().check();
            Placement p = place.times(pieces.get(i).place());
            if (trees.get(i).mesh().bounds().placed(p).overlaps(shape.bounds(), NEAR_MM)) {
                all.add(gap(n, pieces.get(i), shape.tree(), trees.get(i), p, stands, facts.stop()));
            }
        }
    }

    private static boolean touches(Bounds b, Vec3 p) {
        return new Bounds(p, p).overlaps(b, STANDS_MM);
    }

    private static Gap gap(Neighbour n, Piece piece, TriangleTree neighbour, TriangleTree own, Placement place, boolean stands, Stop stop) {
        Clearance c = Clearance.between(neighbour, own, place, stop);
        Vec3 on = place.local(c.onSecond());
        Vec3 way = place.local(c.onFirst()).minus(on);
        String feature = own.mesh().faces().get(own.mesh().faceOf(Nearest.triangle(own, on))).feature();
        return new Gap(n, piece, c.gapMm(), c.depthMm(), feature, way.length() > 1e-6 ? way.unit() : Vec3.ZERO, stands);
    }
}
