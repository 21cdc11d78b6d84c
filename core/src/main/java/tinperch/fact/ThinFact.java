package tinperch.fact;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import tinperch.machine.Machine;
import tinperch.part.form.Piece;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.Slicer;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/**
 * What of each piece is thinner than the line its printer lays: layers opened by half a line inwards and out again (morphological opening); what does not come back has no room for one. Corners
 * lose a little and do not count. Looked at in evenly spread layers; empty where no printer is chosen that prints.
 */
public final class ThinFact implements Fact<List<ThinFact.Thin>> {
    public static final ThinFact THIN = new ThinFact();
    private static final int LAYERS = 16;
    private static final int QUADRANT = 2;
    /** What is lost in a corner is less than this, in squares of a line. */
    private static final double LEAST_SQUARES = 2.5;
    private static final double EXACT_MM = 0.01;
    private static final GeometryFactory JTS = new GeometryFactory();

    private ThinFact() {}

    /**
     * The thinnest such place of a piece; none of it is thinner than a line without a width.
     *
     * @param widthMm how thick it is there, empty where nothing is too thin
     * @param feature there, {@code at} where, {@code outward} across it, in the piece's coordinates
     */
    public record Thin(Piece piece, double lineMm, Optional<Double> widthMm, String feature, Vec3 at, Vec3 outward) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), lineMm(c), c.recipe().lies());
    }

    private static double lineMm(Case c) {
        return c.host().filter(Machine::prints).map(Machine::nozzleMm).orElse(0.0);
    }

    @Override
    public List<Thin> compute(Case c, Facts facts) {
        double line = lineMm(c);
        List<Thin> all = new ArrayList<>();
        List<MeshesFact.Made> made = facts.get(MeshesFact.BARE).pieces();
        for (int i = 0; i < made.size() && line > 0; i++) {
            all.add(thinnest(made.get(i), c.lie(made.get(i).piece().id()).turn(), facts.get(TreesFact.TREES).get(i), line, facts));
        }
        return all;
    }

    private static Thin thinnest(MeshesFact.Made m, Placement turn, TriangleTree tree, double line, Facts facts) {
        Mesh mesh = m.mesh();
        Mesh lying = turn.equals(Placement.HERE) ? mesh : mesh.placed(turn);
        Bounds b = lying.bounds();
        double[] heights = new double[LAYERS];
        for (int i = 0; i < LAYERS; i++) {
            // Not at thirds and halves, where parts like to have their steps.
            heights[i] = b.min().z() + b.size().z() * (i + 0.43) / LAYERS;
        }
        Thin best = new Thin(m.piece(), line, Optional.empty(), "", Vec3.ZERO, Vec3.ZERO);
        List<List<Profile>> layers = Slicer.layers(lying, Placement.HERE, heights);
        List<Double> before = List.of();
        for (int i = 0; i < LAYERS; i++) {
            // What stands upright has the same section again and again.
            List<Double> now = layers.get(i).stream().flatMap(p -> java.util.stream.Stream.of((double) p.ring(0).length, Math.rint(p.areaMm2() * 1e4))).toList();
            boolean same = now.equals(before);
            before = now;
            for (Profile p : same ? List.<Profile>of() : layers.get(i).stream().filter(x -> !Roomy.is(x, 1.05 * line)).toList()) {
                facts.stop().check();
                Optional<Polygon> lost = lost(polygon(p), line);
                if (lost.isPresent()) {
                    double width = 2 * lost.get().getArea() / lost.get().getLength();
                    if (best.widthMm.isEmpty() || width < best.widthMm.get()) {
                        Coordinate in = lost.get().getInteriorPoint().getCoordinate();
                        Vec3 at = turn.inverse().point(in.x, in.y, heights[i]);
                        int face = mesh.faceOf(Nearest.triangle(tree, at));
                        best = new Thin(m.piece(), line, Optional.of(width), mesh.faces().get(face).feature(), at, mesh.faces().get(face).normal());
                    }
                }
            }
        }
        return best;
    }

    /** The largest piece of a layer that has no room for a line. */
    private static Optional<Polygon> lost(Polygon p, double line) {
        double half = line / 2 - EXACT_MM;
        Geometry in = buffer(p, -half);
        if (!in.isEmpty() && in.getNumGeometries() == 1 && Math.abs(buffer(in, half).getArea() - p.getArea()) < LEAST_SQUARES * line * line) {
            return Optional.empty();
        }
        Geometry rest = p.difference(buffer(in, half + EXACT_MM));
        List<Polygon> all = new ArrayList<>();
        for (int i = 0; i < rest.getNumGeometries(); i++) {
            if (rest.getGeometryN(i) instanceof Polygon q && q.getArea() > LEAST_SQUARES * line * line) {
                all.add(q);
            }
        }
        return all.stream().max(Comparator.comparingDouble(Polygon::getArea));
    }

    private static Geometry buffer(Geometry g, double by) {
        return BufferOp.bufferOp(g, by, new BufferParameters(QUADRANT));
    }

    private static Polygon polygon(Profile p) {
        LinearRing[] holes = new LinearRing[p.ringCount() - 1];
        for (int i = 0; i < holes.length; i++) {
            holes[i] = ring(p.ring(i + 1));
        }
        return JTS.createPolygon(ring(p.ring(0)), holes);
    }

    private static LinearRing ring(double[] xy) {
        Coordinate[] c = new Coordinate[xy.length / 2 + 1];
        for (int i = 0; i < c.length; i++) {
            c[i] = new Coordinate(xy[2 * i % xy.length], xy[(2 * i + 1) % xy.length]);
        }
        return JTS.createLinearRing(c);
    }
}
