package tinperch.part.mark;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.query.SectionLines;

/**
 * A flat of a mesh that looks straight up, with enough material under it: its own faces, less their rims, laid over a cut below as deep
 * as a mark goes twice.
 */
final class FlatTop {
    private static final double EDGE_MM = 1;
    private static final int MOST_FLATS = 3;

    private final Mesh mesh;
    private final double heightMm;
    private final double[] border;
    private final double areaMm2;
    private FreeCells cells;

    private FlatTop(Mesh mesh, double heightMm, List<Mesh.Face> faces) {
        this.mesh = mesh;
        this.heightMm = heightMm;
        border = border(mesh, faces);
        double twice = 0;
        for (int i = 0; i < border.length; i += 4) {
            twice += border[i] * border[i + 3] - border[i + 2] * border[i + 1];
        }
        areaMm2 = twice / 2;
    }

    double heightMm() {
        return heightMm;
    }

    /** The largest flats of a mesh, largest first. */
    static List<FlatTop> of(Mesh mesh) {
        TreeMap<Double, List<Mesh.Face>> byHeight = new TreeMap<>();
        for (Mesh.Face f : mesh.faces()) {
            if (f.normal().z() > 1 - 1e-9 && !f.rings().isEmpty() && f.offset() > mesh.bounds().min().z() + 2 * Marking.DEPTH_MM) {
                byHeight.computeIfAbsent(Math.rint(f.offset() * 1e4) / 1e4, k -> new ArrayList<>()).add(f);
            }
        }
        return byHeight.entrySet().stream().map(e -> new FlatTop(mesh, e.getKey(), e.getValue()))
                .sorted(Comparator.comparingDouble(t -> -t.areaMm2)).limit(MOST_FLATS).toList();
    }

    /** Lines round the faces; those between two of them are none. */
    private static double[] border(Mesh mesh, List<Mesh.Face> faces) {
        Map<Long, int[]> edges = new HashMap<>();
        for (Mesh.Face f : faces) {
            for (int[] ring : f.rings()) {
                for (int i = 0; i < ring.length; i++) {
                    int a = ring[i];
                    int b = ring[(i + 1) % ring.length];
                    if (edges.remove((long) b << 32 | a) == null) {
                        edges.put((long) a << 32 | b, new int[] {a, b});
                    }
                }
            }
        }
        double[] lines = new double[4 * edges.size()];
        int n = 0;
        for (int[] e : edges.values()) {
            for (int p : e) {
                lines[n++] = mesh.x(p);
                lines[n++] = mesh.y(p);
            }
        }
        return lines;
    }

    private FreeCells cells() {
        if (cells == null) {
            double[] box = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
            for (int i = 0; i < border.length; i++) {
                box[i % 2] = Math.min(box[i % 2], border[i]);
                box[2 + i % 2] = Math.max(box[2 + i % 2], border[i]);
            }
            cells = new FreeCells(box[0], box[1], box[2], box[3]);
            cells.within(border, border.length / 4);
            SectionLines.Lines below = new SectionLines(mesh, Placement.at(0, 0, 0)).at(heightMm - 2 * Marking.DEPTH_MM);
            cells.within(below.xy(), below.count());
        }
        return cells;
    }

    /** Lower left corner of a free rectangle, the lowest one nearest the middle; empty when there is none. */
    Optional<double[]> freePlace(double widthMm, double heightMm) {
        return cells().lowest(widthMm + 2 * EDGE_MM, heightMm + 2 * EDGE_MM).map(at -> new double[] {at[0] + EDGE_MM, at[1] + EDGE_MM});
    }
}
