package tinperch.part.mark;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.locationtech.jts.densify.Densifier;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.query.Slicer;
import tinperch.solid.shape.Profiles;

/**
 * A flat of a mesh that looks straight up, with enough material under it: its own faces, less their rims, laid over a cut below as deep
 * as a mark goes twice.
 */
final class FlatTop {
    private static final GeometryFactory JTS = new GeometryFactory();
    private static final double EDGE_MM = 1;
    private static final double STEP_MM = 1;
    private static final int MOST_PLACES = 500;
    private static final int MOST_FLATS = 3;

    private final Mesh mesh;
    private final double heightMm;
    private final Geometry faces;
    private Geometry free;
    private PreparedGeometry whole;

    private FlatTop(Mesh mesh, double heightMm, List<Polygon> faces) {
        this.mesh = mesh;
        this.heightMm = heightMm;
        this.faces = JTS.createMultiPolygon(faces.toArray(Polygon[]::new));
    }

    double heightMm() {
        return heightMm;
    }

    /** The largest flats of a mesh, largest first. */
    static List<FlatTop> of(Mesh mesh) {
        TreeMap<Double, List<Polygon>> byHeight = new TreeMap<>();
        for (Mesh.Face f : mesh.faces()) {
            if (f.normal().z() > 1 - 1e-9 && !f.rings().isEmpty() && f.offset() > mesh.bounds().min().z() + 2 * Marking.DEPTH_MM) {
                byHeight.computeIfAbsent(Math.rint(f.offset() * 1e4) / 1e4, k -> new ArrayList<>()).add(polygon(mesh, f.rings()));
            }
        }
        return byHeight.entrySet().stream().map(e -> new FlatTop(mesh, e.getKey(), e.getValue()))
                .sorted(Comparator.comparingDouble(t -> -t.faces.getArea())).limit(MOST_FLATS).toList();
    }

    private static Polygon polygon(Mesh mesh, List<int[]> rings) {
        LinearRing[] all = rings.stream().map(r -> {
            Coordinate[] c = new Coordinate[r.length + 1];
            for (int i = 0; i <= r.length; i++) {
                int p = r[i % r.length];
                c[i] = new Coordinate(mesh.x(p), mesh.y(p));
            }
            return JTS.createLinearRing(c);
        }).toArray(LinearRing[]::new);
        return JTS.createPolygon(all[0], java.util.Arrays.copyOfRange(all, 1, all.length));
    }

    private void prepare() {
        if (whole == null) {
            List<Profile> below = Slicer.section(mesh, Placement.at(0, 0, heightMm - 2 * Marking.DEPTH_MM));
            Geometry under = JTS.createMultiPolygon(below.stream().map(Profiles::geometry).toArray(Polygon[]::new)).buffer(0);
            free = OverlayNGRobust.overlay(faces.buffer(0), under, OverlayNG.INTERSECTION).buffer(-EDGE_MM);
            whole = PreparedGeometryFactory.prepare(free);
        }
    }

    /** Lower left corner of a free rectangle, the lowest one nearest the middle; empty when there is none. */
    Optional<double[]> freePlace(double widthMm, double heightMm) {
        Envelope rough = faces.getEnvelopeInternal();
        if (rough.getWidth() < widthMm + 2 * EDGE_MM || rough.getHeight() < heightMm + 2 * EDGE_MM) {
            return Optional.empty();
        }
        prepare();
        // Where a disc as high as the rectangle fits: along the border of that, a free rectangle is found if there is one worth having.
        Geometry middles = free.buffer(-heightMm / 2 - 0.02);
        if (middles.isEmpty()) {
            return Optional.empty();
        }
        double step = Math.max(STEP_MM, middles.getLength() / MOST_PLACES);
        double mid = rough.centre().x;
        return java.util.Arrays.stream(Densifier.densify(middles, step).getCoordinates())
                .sorted(Comparator.comparingDouble((Coordinate c) -> Math.rint(c.y * 10)).thenComparingDouble(c -> Math.abs(c.x - mid)))
                .map(c -> new double[] {c.x - widthMm / 2, c.y - heightMm / 2})
                .filter(at -> whole.covers(JTS.toGeometry(new Envelope(at[0], at[0] + widthMm, at[1], at[1] + heightMm)))).findFirst();
    }
}
