package tinperch.solid.query;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * Where lines along one direction pass through the surface of a closed mesh. Points are projected once for all lines; a line
 * through an edge of the projection is moved aside by a hair.
 */
public final class AxisProbe {
    private static final double HAIR_MM = 1.7e-6;
    private static final int CELLS = 40;

    private final Mesh mesh;
    private final Placement frame;
    private final double[] x;
    private final double[] y;
    private final double[] z;
    private final double[] lo = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
    private final double[] perMm = new double[2];
    private final int[] first = new int[CELLS * CELLS + 1];
    private final int[] inCell;

    /**
     * A passage through the surface.
     *
     * @param heightMm along the direction, from the frame's origin
     * @param entering whether material begins there
     * @param face of the mesh
     */
    public record Crossing(double heightMm, boolean entering, int face) {}

    /** @param frame z is the direction; x and y of lines count along its other axes */
    public AxisProbe(Mesh mesh, Placement frame) {
        this.mesh = mesh;
        this.frame = frame;
        int n = mesh.pointCount();
        x = new double[n];
        y = new double[n];
        z = new double[n];
        for (int i = 0; i < n; i++) {
            Vec3 p = frame.local(mesh.point(i));
            x[i] = p.x();
            y[i] = p.y();
            z[i] = p.z();
        }
        inCell = fillCells();
    }

    /** Triangles by the cells of a grid their projection may touch. */
    private int[] fillCells() {
        double[] hi = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (int i = 0; i < x.length; i++) {
            lo[0] = Math.min(lo[0], x[i]);
            lo[1] = Math.min(lo[1], y[i]);
            hi[0] = Math.max(hi[0], x[i]);
            hi[1] = Math.max(hi[1], y[i]);
        }
        for (int k = 0; k < 2; k++) {
            perMm[k] = CELLS / Math.max(1e-9, (hi[k] - lo[k]) * (1 + 1e-9));
        }
        for (int t = 0; t < mesh.triangleCount(); t++) {
            each(t, cell -> first[cell + 1]++);
        }
        for (int i = 0; i < CELLS * CELLS; i++) {
            first[i + 1] += first[i];
        }
        int[] next = first.clone();
        int[] all = new int[first[CELLS * CELLS]];
        for (int t = 0; t < mesh.triangleCount(); t++) {
            int triangle = t;
            each(t, cell -> all[next[cell]++] = triangle);
        }
        return all;
    }

    private void each(int t, java.util.function.IntConsumer cell) {
        int a = mesh.corner(t, 0);
        int b = mesh.corner(t, 1);
        int c = mesh.corner(t, 2);
        int x0 = cell(0, Math.min(x[a], Math.min(x[b], x[c])));
        int x1 = cell(0, Math.max(x[a], Math.max(x[b], x[c])));
        int y0 = cell(1, Math.min(y[a], Math.min(y[b], y[c])));
        int y1 = cell(1, Math.max(y[a], Math.max(y[b], y[c])));
        for (int i = y0; i <= y1; i++) {
            for (int k = x0; k <= x1; k++) {
                cell.accept(i * CELLS + k);
            }
        }
    }

    private int cell(int axis, double v) {
        return Math.max(0, Math.min(CELLS - 1, (int) ((v - lo[axis]) * perMm[axis])));
    }

    public Placement frame() {
        return frame;
    }

    /** All passages of the line through (x, y), lowest first; entering and leaving by turns. */
    public List<Crossing> at(double px, double py) {
        for (int attempt = 0; ; attempt++) {
            List<Crossing> all = crossings(px + attempt * HAIR_MM, py + attempt * 0.7 * HAIR_MM);
            if (byTurns(all) || attempt == 4) {
                return all;
            }
        }
    }

    private static boolean byTurns(List<Crossing> all) {
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).entering() != (i % 2 == 0)) {
                return false;
            }
        }
        return all.size() % 2 == 0;
    }

    private List<Crossing> crossings(double px, double py) {
        List<Crossing> all = new ArrayList<>();
        int cell = cell(1, py) * CELLS + cell(0, px);
        for (int i = first[cell]; i < first[cell + 1]; i++) {
            int t = inCell[i];
            int a = mesh.corner(t, 0);
            int b = mesh.corner(t, 1);
            int c = mesh.corner(t, 2);
            if (px < x[a] && px < x[b] && px < x[c] || px > x[a] && px > x[b] && px > x[c]
                    || py < y[a] && py < y[b] && py < y[c] || py > y[a] && py > y[b] && py > y[c]) {
                continue;
            }
            double ab = (x[b] - x[a]) * (py - y[a]) - (y[b] - y[a]) * (px - x[a]);
            double bc = (x[c] - x[b]) * (py - y[b]) - (y[c] - y[b]) * (px - x[b]);
            double ca = (x[a] - x[c]) * (py - y[c]) - (y[a] - y[c]) * (px - x[c]);
            double area = ab + bc + ca;
            if (area != 0 && (ab >= 0) == (bc >= 0) && (bc >= 0) == (ca >= 0)) {
                // Upward-looking triangles are left by a line that goes up.
                all.add(new Crossing((bc * z[a] + ca * z[b] + ab * z[c]) / area, area < 0, mesh.faceOf(t)));
            }
        }
        all.sort(Comparator.comparingDouble(Crossing::heightMm));
        return all;
    }
}
