package tinperch.solid.view;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tinperch.solid.Mesh;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;

/**
 * A drawing of a mesh seen along an axis of space: visible and hidden pieces of its edges, in the view's own right and up
 * coordinates (mm).
 *
 * <p>Edges are cut wherever two of them cross in the view; each piece is then seen or hidden as a whole, which is decided
 * at its middle by looking for a triangle in front of it. Pieces that lie on one another are told once.
 */
public final class HiddenLines {
    private static final int CELLS = 48;
    /** A triangle nearer to the piece than this belongs to its own faces. */
    private static final double OWN_MM = 1e-4;

    /** A straight piece from (x0, y0) to (x1, y1). */
    public record Piece(double x0, double y0, double x1, double y1, boolean visible) {}

    private final Mesh mesh;
    private final Vec3 toEye;
    /** Right, up and towards the eye of every point, and which faces look at the eye. */
    private final double[] px;
    private final double[] py;
    private final double[] depth;
    private final boolean[] facing;
    private double minX = Double.POSITIVE_INFINITY;
    private double minY = Double.POSITIVE_INFINITY;
    private double perMmX;
    private double perMmY;
    private int[][] cell;

    private HiddenLines(Mesh mesh, Vec3 right, Vec3 up) {
        this.mesh = mesh;
        this.toEye = right.cross(up);
        px = along(mesh, right);
        py = along(mesh, up);
        depth = along(mesh, toEye);
        facing = new boolean[mesh.faces().size()];
        for (int f = 0; f < facing.length; f++) {
            // Only surfaces looking at the eye can be the first thing in front.
            facing[f] = mesh.faces().get(f).normal().dot(toEye) > 1e-9;
        }
    }

    /**
     * The drawing with the given right and up directions (unit, at right angles).
     *
     * @param edges of the same mesh
     */
    public static List<Piece> of(Mesh mesh, List<FeatureEdges.Edge> edges, Vec3 right, Vec3 up) {
        return of(mesh, edges, right, up, Stop.NEVER);
    }

    /**
     * The same, for as long as somebody waits for it.
     *
     * @throws Stop.Stopped when nobody does any more
     */
    public static List<Piece> of(Mesh mesh, List<FeatureEdges.Edge> edges, Vec3 right, Vec3 up, Stop stop) {
        if (mesh.triangleCount() == 0) {
            return List.of();
        }
        HiddenLines h = new HiddenLines(mesh, right, up);
        h.fillCells();
        return h.pieces(edges, stop);
    }

    private static double[] along(Mesh mesh, Vec3 way) {
        double[] all = new double[mesh.pointCount()];
        for (int i = 0; i < all.length; i++) {
            all[i] = mesh.x(i) * way.x() + mesh.y(i) * way.y() + mesh.z(i) * way.z();
        }
        return all;
    }

    private void fillCells() {
        double maxX = Double.NEGATIVE_INFINITY;
        double maxY = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < px.length; i++) {
            minX = Math.min(minX, px[i]);
            minY = Math.min(minY, py[i]);
            maxX = Math.max(maxX, px[i]);
            maxY = Math.max(maxY, py[i]);
        }
        perMmX = CELLS / Math.max(1e-9, maxX - minX);
        perMmY = CELLS / Math.max(1e-9, maxY - minY);
        int[] count = new int[CELLS * CELLS];
        cell = new int[CELLS * CELLS][];
        for (int pass = 0; pass < 2; pass++) {
            for (int t = 0; t < mesh.triangleCount(); t++) {
                if (!facing[mesh.faceOf(t)]) {
                    continue;
                }
                int a = mesh.corner(t, 0);
                int b = mesh.corner(t, 1);
                int d = mesh.corner(t, 2);
                double x0 = Math.min(px[a], Math.min(px[b], px[d]));
                double x1 = Math.max(px[a], Math.max(px[b], px[d]));
                double y0 = Math.min(py[a], Math.min(py[b], py[d]));
                double y1 = Math.max(py[a], Math.max(py[b], py[d]));
                for (int cy = cellY(y0); cy <= cellY(y1); cy++) {
                    for (int cx = cellX(x0); cx <= cellX(x1); cx++) {
                        int c = cy * CELLS + cx;
                        if (pass == 1) {
                            cell[c][count[c]] = t;
                        }
                        count[c]++;
                    }
                }
            }
            if (pass == 0) {
                for (int c = 0; c < count.length; c++) {
                    cell[c] = new int[count[c]];
                }
                Arrays.fill(count, 0);
            }
        }
    }

    private int cellX(double x) {
        return Math.max(0, Math.min(CELLS - 1, (int) ((x - minX) * perMmX)));
    }

    private int cellY(double y) {
        return Math.max(0, Math.min(CELLS - 1, (int) ((y - minY) * perMmY)));
    }

    /** An edge in the view: ends, depths at the ends, places where others cross it. */
    private static final class Line {
        double x0;
        double y0;
        double z0;
        double x1;
        double y1;
        double z1;
        /** The first of them in order once all are found. */
        double[] cuts = {};
        int cutCount;

        double left() {
            return Math.min(x0, x1);
        }

        void cut(double share) {
            if (cutCount == cuts.length) {
                cuts = Arrays.copyOf(cuts, Math.max(8, 2 * cutCount));
            }
            cuts[cutCount++] = share;
        }
    }

    private List<Piece> pieces(List<FeatureEdges.Edge> edges, Stop stop) {
        List<Line> lines = new ArrayList<>();
        for (FeatureEdges.Edge e : edges) {
            if (!e.sharp() && !e.isOutline(toEye)) {
                continue;
            }
            Line l = new Line();
            l.x0 = px[e.a()];
            l.y0 = py[e.a()];
            l.z0 = depth[e.a()];
            l.x1 = px[e.b()];
            l.y1 = py[e.b()];
            l.z1 = depth[e.b()];
            if (Math.hypot(l.x1 - l.x0, l.y1 - l.y0) > 1e-6) {
                lines.add(l);
            }
        }
        lines.sort(Comparator.comparingDouble(Line::left));
        for (int i = 0; i < lines.size(); i++) {
            Line p = lines.get(i);
            double end = Math.max(p.x0, p.x1);
            for (int j = i + 1; j < lines.size() && lines.get(j).left() <= end; j++) {
                cross(p, lines.get(j));
            }
        }
        Map<Span, Part> kept = new LinkedHashMap<>();
        for (Line l : lines) {
            stop.check();
            l.cut(1);
            Arrays.sort(l.cuts, 0, l.cutCount);
            double from = 0;
            for (int k = 0; k < l.cutCount; k++) {
                double to = l.cuts[k];
                if (to - from > 1e-6) {
                    double m = (from + to) / 2;
                    Part part = new Part(l, from, to, seen(l.x0 + m * (l.x1 - l.x0), l.y0 + m * (l.y1 - l.y0), l.z0 + m * (l.z1 - l.z0)));
                    // Lines that lie on one another are drawn once, seen if one of them is.
                    kept.merge(part.span(), part, (a, b) -> a.seen || !b.seen ? a : b);
                    from = to;
                }
            }
        }
        return joined(kept.values());
    }

    /** Parts of one line that follow on each other and are seen alike as one piece. */
    private static List<Piece> joined(Collection<Part> parts) {
        List<Piece> out = new ArrayList<>();
        Part open = null;
        for (Part p : parts) {
            if (open != null && p.line == open.line && p.seen == open.seen && Math.abs(p.from - open.to) < 1e-9) {
                open = new Part(open.line, open.from, p.to, open.seen);
                continue;
            }
            if (open != null) {
                out.add(open.piece());
            }
            open = p;
        }
        if (open != null) {
            out.add(open.piece());
        }
        return out;
    }

    /** Part of a line, by shares of it. */
    private record Part(Line line, double from, double to, boolean seen) {
        double x(double t) {
            return line.x0 + t * (line.x1 - line.x0);
        }

        double y(double t) {
            return line.y0 + t * (line.y1 - line.y0);
        }

        Piece piece() {
            return new Piece(x(from), y(from), x(to), y(to), seen);
        }

        Span span() {
            return Span.of(x(from), y(from), x(to), y(to));
        }
    }

    /** Ends of a part on a grid of a ten-thousandth of a millimetre, the left one first. */
    private record Span(long x0, long y0, long x1, long y1) {
        static Span of(double ax, double ay, double bx, double by) {
            long x0 = Math.round(ax * 1e4);
            long y0 = Math.round(ay * 1e4);
            long x1 = Math.round(bx * 1e4);
            long y1 = Math.round(by * 1e4);
            return x0 < x1 || x0 == x1 && y0 <= y1 ? new Span(x0, y0, x1, y1) : new Span(x1, y1, x0, y0);
        }
    }

    private static void cross(Line p, Line q) {
        if (Math.max(p.y0, p.y1) < Math.min(q.y0, q.y1) || Math.max(q.y0, q.y1) < Math.min(p.y0, p.y1)) {
            return;
        }
        double dx = p.x1 - p.x0;
        double dy = p.y1 - p.y0;
        double ex = q.x1 - q.x0;
        double ey = q.y1 - q.y0;
        double det = dx * ey - dy * ex;
        if (Math.abs(det) > 1e-12) {
            double t = ((q.x0 - p.x0) * ey - (q.y0 - p.y0) * ex) / det;
            double u = ((q.x0 - p.x0) * dy - (q.y0 - p.y0) * dx) / det;
            if (t > -1e-9 && t < 1 + 1e-9 && u > -1e-9 && u < 1 + 1e-9) {
                addCut(p, t);
                addCut(q, u);
            }
            return;
        }
        // Parallel: where they lie on one another the ends cut.
        addCut(p, along(p, q.x0, q.y0));
        addCut(p, along(p, q.x1, q.y1));
        addCut(q, along(q, p.x0, p.y0));
        addCut(q, along(q, p.x1, p.y1));
    }

    private static double along(Line l, double x, double y) {
        double dx = l.x1 - l.x0;
        double dy = l.y1 - l.y0;
        return ((x - l.x0) * dx + (y - l.y0) * dy) / (dx * dx + dy * dy);
    }

    private static void addCut(Line l, double t) {
        if (t > 1e-6 && t < 1 - 1e-6) {
            l.cut(t);
        }
    }

    private boolean seen(double x, double y, double z) {
        for (int t : cell[cellY(y) * CELLS + cellX(x)]) {
            int a = mesh.corner(t, 0);
            int b = mesh.corner(t, 1);
            int c = mesh.corner(t, 2);
            double ax = px[a];
            double ay = py[a];
            double det = (px[b] - ax) * (py[c] - ay) - (px[c] - ax) * (py[b] - ay);
            if (Math.abs(det) < 1e-14) {
                continue;
            }
            double u = ((x - ax) * (py[c] - ay) - (px[c] - ax) * (y - ay)) / det;
            double v = ((px[b] - ax) * (y - ay) - (x - ax) * (py[b] - ay)) / det;
            if (u > 1e-9 && v > 1e-9 && u + v < 1 - 1e-9) {
                double here = depth[a] + u * (depth[b] - depth[a]) + v * (depth[c] - depth[a]);
                if (here > z + OWN_MM) {
                    return false;
                }
            }
        }
        return true;
    }
}
