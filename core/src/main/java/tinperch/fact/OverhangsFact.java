package tinperch.fact;

import java.util.List;
import tinperch.part.form.Lie;
import tinperch.part.form.Piece;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Overhangs;
import tinperch.upgrade.Case;

/** What of each piece hangs in the air as it lies on the bed. */
public final class OverhangsFact implements Fact<List<OverhangsFact.Hanging>> {
    public static final OverhangsFact OVERHANGS = new OverhangsFact();
    /** Leans no farther than this print without support, degrees from vertical (common practice: 45 to 60). */
    public static final double LIMIT_DEG = 50;

    /** Ceilings no wider than this, as over a pocket with a hole through it, are laid well enough (common practice: bridges to 10 mm are safe). */
    private static final double SMALL_MM = 10;
    private static final double CEILING_DEG = 89;

    private OverhangsFact() {}

    /** A piece and its faces that hang, the largest first. */
    public record Hanging(Piece piece, List<Overhangs> faces) {
        public Hanging {
            faces = List.copyOf(faces);
        }
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), c.recipe().lies());
    }

    @Override
    public List<Hanging> compute(Case c, Facts facts) {
        return facts.get(MeshesFact.BARE).pieces().stream().map(m -> {
            facts.stop().check();
            return new Hanging(m.piece(), of(m.mesh(), c.lie(m.piece().id())));
        }).toList();
    }

    /** Faces of a mesh that hang when it lies on a side, the largest first. */
    public static List<Overhangs> of(Mesh mesh, Lie lie) {
        return Overhangs.of(mesh, lie.up(), LIMIT_DEG).stream().filter(o -> o.fromVerticalDeg() < CEILING_DEG || acrossMm(mesh, o.face(), lie.turn()) > SMALL_MM).toList();
    }

    private static double acrossMm(Mesh mesh, int face, Placement turn) {
        double x0 = Double.POSITIVE_INFINITY;
        double y0 = x0;
        double x1 = Double.NEGATIVE_INFINITY;
        double y1 = x1;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            for (int k = 0; mesh.faceOf(t) == face && k < 3; k++) {
                Vec3 p = turn.turned(mesh.point(mesh.corner(t, k)));
                x0 = Math.min(x0, p.x());
                x1 = Math.max(x1, p.x());
                y0 = Math.min(y0, p.y());
                y1 = Math.max(y1, p.y());
            }
        }
        return Math.max(x1 - x0, y1 - y0);
    }
}
