package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.form.Piece;
import tinperch.part.form.Screw;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.Sight;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** Captive nuts that get into their pockets no straight way: neither along the screw from behind, nor from any side square to it. Lines in the middle and along the rim of the nut, past the piece itself. */
public final class NutWayFact implements Fact<List<NutWayFact.Closed>> {
    public static final NutWayFact NUT_WAY = new NutWayFact();
    /** As far as fingers or tweezers hold a nut from a side, mm (common practice). */
    private static final double FREE_MM = 25;
    /** Behind a pocket a nut is laid in with tweezers that come from aside, mm (common practice). */
    private static final double BEHIND_MM = 8;
    private static final double WITHIN_MM = 0.15;
    private static final double SURE_MM = 0.05;
    private static final int ROUND = 12;
    private static final int SIDES = 24;

    private NutWayFact() {}

    /**
     * A pocket no nut gets into.
     *
     * @param feature what is met first behind the nut
     * @param freeMm how far it is free on the way that comes nearest to what is wanted there, {@code wantedMm}
     */
    public record Closed(Screw screw, Piece piece, String feature, double freeMm, double wantedMm) {}

    /** How far one way is free, and how far it has to be. */
    private record Way(double freeMm, double wantedMm) {
        boolean isOpen() {
            return freeMm >= wantedMm;
        }

        Way orBetter(Way o) {
            return o.freeMm / o.wantedMm > freeMm / wantedMm ? o : this;
        }
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return PieceScrews.inputs(c, facts);
    }

    @Override
    public List<Closed> compute(Case c, Facts facts) {
        List<Closed> all = new ArrayList<>();
        PieceScrews.each(facts, x -> x.end().isCaptive(), (s, piece, tree) -> closed(s, piece, tree).ifPresent(all::add));
        return all;
    }

    private static Optional<Closed> closed(Screw s, Piece piece, TriangleTree tree) {
        Placement a = s.axis();
        double thick = s.end().nutMm(s.thread());
        double half = s.thread().nutAcrossFlatsMm() / 2 - WITHIN_MM;
        double behind = s.endMm() + thick - WITHIN_MM;
        Way best = way(tree, ring(a, half, behind), a.w(), BEHIND_MM);
        for (int k = 0; k < SIDES && !best.isOpen(); k++) {
            double t = 2 * Math.PI * k / SIDES;
            Vec3 way = a.u().times(Math.cos(t)).plus(a.v().times(Math.sin(t)));
            Vec3 across = a.w().cross(way);
            List<Vec3> from = new ArrayList<>();
            for (double side : new double[] {-half, 0, half}) {
                for (double z : new double[] {s.endMm() + WITHIN_MM, s.endMm() + thick / 2, behind}) {
                    from.add(a.point(0, 0, z).plus(across.times(side)));
                }
            }
            best = best.orBetter(way(tree, from, way, FREE_MM));
        }
        if (best.isOpen()) {
            return Optional.empty();
        }
        double room = Sight.freeMm(tree, a.point(half, 0, behind), a.w(), FREE_MM, SURE_MM);
        Vec3 met = a.point(half, 0, behind + room);
        return Optional.of(new Closed(s, piece, tree.mesh().faces().get(tree.mesh().faceOf(Nearest.triangle(tree, met))).feature(), best.freeMm, best.wantedMm));
    }

    private static List<Vec3> ring(Placement a, double r, double z) {
        List<Vec3> all = new ArrayList<>();
        for (int k = 0; k < ROUND; k++) {
            all.add(a.point(r * Math.cos(2 * Math.PI * k / ROUND), r * Math.sin(2 * Math.PI * k / ROUND), z));
        }
        return all;
    }

    /** As far as all of the lines are free; no farther than it has to be. */
    private static Way way(TriangleTree tree, List<Vec3> from, Vec3 way, double wantedMm) {
        double free = wantedMm;
        for (Vec3 v : from) {
            free = Math.min(free, Sight.freeMm(tree, v, way, free, SURE_MM));
        }
        return new Way(free, wantedMm);
    }
}
