package tinperch.part.feature;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.form.Cavity;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.solid.Placement;

/**
 * A feature made several times on its face: on a circle around its place, in columns and rows from there, and once more as seen in a mirror
 * that stands on the face's middle. All of them follow the one that was placed.
 */
public final class Copies {
    private static final Card CARD = new Card("copies", "Copies");
    public static final NumberParam COLUMNS = NumberParam.count("copies.columns", CARD, "Columns", 1, 60, 1, "How many stand in a line, to the right from its place");
    public static final NumberParam COLUMN_STEP = NumberParam.length("copies.columns.step", CARD, "Columns apart", 0.2, 400, 10, "From middle to middle");
    public static final NumberParam ROWS = NumberParam.count("copies.rows", CARD, "Rows", 1, 60, 1, "How many lines there are, upwards from its place");
    public static final NumberParam ROW_STEP = NumberParam.length("copies.rows.step", CARD, "Rows apart", 0.2, 400, 10, "From middle to middle");
    public static final NumberParam RING = NumberParam.count("copies.ring", CARD, "On a circle", 1, 60, 1, "How many stand on a circle around its place; the first to the right");
    public static final NumberParam RING_DIAMETER = NumberParam.length("copies.ring.diameter", CARD, "Circle Ø", 0.4, 400, 30, "Through their middles");
    public static final ChoiceParam<Mirror> MIRROR = ChoiceParam.of("copies.mirror", CARD, "Mirrored", Mirror.NONE, Mirror::label, "Once more on the other side of the face's middle");
    private static final int MOST = 200;
    private static final double SAME_MM = 0.01;

    private Copies() {}

    /** Where the mirror stands. */
    public enum Mirror {
        NONE("no", 0), SIDEWAYS("to the other side", 1), UPWARDS("up and down", 2), BOTH("both ways", 3);

        private final String label;
        private final int ways;

        Mirror(String label, int ways) {
            this.label = label;
            this.ways = ways;
        }

        String label() {
            return label;
        }
    }

    /** The parameters every kind that can be copied has besides its own. */
    public static List<Param<?>> params() {
        return List.of(COLUMNS, COLUMN_STEP, ROWS, ROW_STEP, RING, RING_DIAMETER, MIRROR);
    }

    /** What it amounts to in words; empty for a single one. */
    public static String summary(Values v) {
        double n = COLUMNS.of(v) * ROWS.of(v) * RING.of(v);
        return (n > 1 ? ", " + (int) n + " times" : "") + (MIRROR.of(v) == Mirror.NONE ? "" : ", mirrored");
    }

    /** Where all of them stand, the one that was placed first, or the first on its circle. */
    static List<Ground> places(FeatureKind kind, Values v, Spot spot, Optional<Placement> site) {
        Ground one = Ground.of(spot, site);
        if (!kind.params().contains(COLUMNS)) {
            return List.of(one);
        }
        int columns = (int) Math.rint(COLUMNS.of(v));
        int rows = (int) Math.rint(ROWS.of(v));
        int ring = (int) Math.rint(RING.of(v));
        int ways = MIRROR.of(v).ways;
        if ((long) columns * rows * ring * (ways == 3 ? 4 : ways > 0 ? 2 : 1) > MOST) {
            throw new PartProblem(COLUMNS, "That would be " + (long) columns * rows * ring + " of them; at most " + MOST + " are made, mirrored ones counted.");
        }
        double step = COLUMN_STEP.of(v);
        double rise = ROW_STEP.of(v);
        double radius = RING_DIAMETER.of(v) / 2;
        List<double[]> all = new ArrayList<>();
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                for (int k = 0; k < ring; k++) {
                    double a = 2 * Math.PI * k / ring;
                    double out = ring > 1 ? radius : 0;
                    mirrored(all, spot.acrossMm() + c * step + out * Math.cos(a), spot.upwardsMm() + r * rise + out * Math.sin(a), Math.toDegrees(a), ways);
                }
            }
        }
        Placement f = spot.face().frame();
        return all.stream().map(p -> new Ground(new Placement(f.point(p[0], p[1], 0), f.u(), f.v(), f.w()), one.depthMm(), site, one.face(), false).turnedDeg(p[2]).mirroredTo(p[3] > 0)).toList();
    }

    /** A place and its images, but none where one already is. */
    private static void mirrored(List<double[]> all, double x, double y, double deg, int ways) {
        double[][] four = {{x, y, deg, 0}, {-x, y, 180 - deg, 1}, {x, -y, -deg, 1}, {-x, -y, 180 + deg, 0}};
        for (int i = 0; i < 4; i++) {
            if ((i & ways) == i) {
                double[] p = four[i];
                if (all.stream().noneMatch(q -> Math.hypot(q[0] - p[0], q[1] - p[1]) < SAME_MM)) {
                    all.add(p);
                }
            }
        }
    }

    /** A copy's cavities say which they are of. */
    static Made numbered(Made m, int number) {
        return new Made(m.adds(), m.cuts(), m.cavities().stream().map(c -> c.labelled(c.label() + " (" + number + ")")).toList(), m.joints(), m.screws());
    }
}
