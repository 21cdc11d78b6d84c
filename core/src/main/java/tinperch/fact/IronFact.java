package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.Piece;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.Sight;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** Whether an iron gets straight to the mouth of every heat-set insert, past the piece itself: lines on a cylinder a little wider than the insert. The insert's own room is looked at with the seats. */
public final class IronFact implements Fact<List<IronFact.Blocked>> {
    public static final IronFact IRON = new IronFact();
    /** So much of an iron's tip is thin, mm (common practice). */
    public static final double TIP_MM = 30;
    /** An iron is wider than the insert it carries by this all round, mm (common practice). */
    private static final double WIDER_MM = 1.5;
    private static final double OVER_MOUTH_MM = 0.3;
    private static final int ROUND = 16;
    private static final double SURE_MM = 0.05;

    private IronFact() {}

    /**
     * An insert no iron gets straight to.
     *
     * @param feature what it meets first, {@code freeMm} how far before the mouth
     */
    public record Blocked(Screw screw, Piece piece, String feature, double freeMm) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return PieceScrews.inputs(c, facts);
    }

    @Override
    public List<Blocked> compute(Case c, Facts facts) {
        List<Blocked> all = new ArrayList<>();
        PieceScrews.each(facts, x -> x.end() == SeatKind.INSERT, (s, piece, tree) -> blocked(s, piece, tree, all));
        return all;
    }

    private static void blocked(Screw s, Piece piece, TriangleTree tree, List<Blocked> all) {
        Placement a = s.axis();
        double r = s.insert().orElseThrow().outerMm() / 2 + WIDER_MM;
        double mouth = s.endMm() - OVER_MOUTH_MM;
        double free = TIP_MM;
        Vec3 met = null;
        for (int k = 0; k < ROUND; k++) {
            double x = r * Math.cos(2 * Math.PI * k / ROUND);
            double y = r * Math.sin(2 * Math.PI * k / ROUND);
            Vec3 from = a.point(x, y, mouth);
            double here = Sight.freeMm(tree, from, a.w().times(-1), free, SURE_MM);
            if (here < free) {
                free = here;
                met = a.point(x, y, mouth - here);
            }
        }
        if (met != null) {
            all.add(new Blocked(s, piece, tree.mesh().faces().get(tree.mesh().faceOf(Nearest.triangle(tree, met))).feature(), free));
        }
    }
}
