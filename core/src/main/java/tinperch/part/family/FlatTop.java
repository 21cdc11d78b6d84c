package tinperch.part.family;

import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
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

/** What is flat and whole at the top of a mesh: found by a cut just below the top and one deeper than a mark goes. */
final class FlatTop implements Marking.Flat {
    private static final GeometryFactory JTS = new GeometryFactory();
    private static final double SKIN_MM = 0.02;
    private static final double EDGE_MM = 1;
    private static final double STEP_MM = 1;
    private static final int MOST_STEPS = 60;

    private final Geometry free;
    private final PreparedGeometry whole;

    /** @param keepOff circles x, y, radius */
    FlatTop(Mesh mesh, List<double[]> keepOff) {
        double top = mesh.bounds().max().z();
        List<List<Profile>> cuts = Slicer.layers(mesh, Placement.HERE, new double[] {top - 2 * Marking.DEPTH_MM, top - SKIN_MM});
        Geometry both = OverlayNGRobust.overlay(together(cuts.get(0)), together(cuts.get(1)), OverlayNG.INTERSECTION);
        for (double[] k : keepOff) {
            both = OverlayNGRobust.overlay(both, JTS.createPoint(new Coordinate(k[0], k[1])).buffer(k[2]), OverlayNG.DIFFERENCE);
        }
        free = both.buffer(-EDGE_MM);
        whole = PreparedGeometryFactory.prepare(free);
    }

    /** The pieces of a cut; the buffer of nothing mends rings that touch themselves. */
    private static Geometry together(List<Profile> pieces) {
        return JTS.createMultiPolygon(pieces.stream().map(Profiles::geometry).toArray(Polygon[]::new)).buffer(0);
    }

    @Override
    public Optional<double[]> freePlace(double widthMm, double heightMm) {
        Envelope e = free.getEnvelopeInternal();
        double stepX = Math.max(STEP_MM, (e.getWidth() - widthMm) / MOST_STEPS);
        double stepY = Math.max(STEP_MM, (e.getHeight() - heightMm) / MOST_STEPS);
        for (double y = e.getMinY(); y + heightMm <= e.getMaxY(); y += stepY) {
            for (double x = e.getMinX(); x + widthMm <= e.getMaxX(); x += stepX) {
                if (whole.covers(JTS.toGeometry(new Envelope(x, x + widthMm, y, y + heightMm)))) {
                    return Optional.of(new double[] {x, y});
                }
            }
        }
        return Optional.empty();
    }
}
