package tinperch.part.mark;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.testng.annotations.Test;

/** Room on flats, checked with the JTS Topology Suite. */
public class FreeCellsTest {
    private static final GeometryFactory JTS = new GeometryFactory();

    private static Geometry rectangle(double x0, double y0, double x1, double y1) {
        return JTS.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static void within(FreeCells cells, Geometry region) {
        List<Double> lines = new ArrayList<>();
        for (int i = 0; i < region.getNumGeometries(); i++) {
            Geometry edge = region.getGeometryN(i).getBoundary();
            for (int r = 0; r < edge.getNumGeometries(); r++) {
                Coordinate[] c = edge.getGeometryN(r).getCoordinates();
                for (int k = 0; k + 1 < c.length; k++) {
                    lines.addAll(List.of(c[k].x, c[k].y, c[k + 1].x, c[k + 1].y));
                }
            }
        }
        cells.within(lines.stream().mapToDouble(d -> d).toArray(), lines.size() / 4);
    }

    @Test
    public void inAnEmptyPlateItStandsLowestInTheMiddle() {
        FreeCells cells = new FreeCells(0, 0, 40, 30);
        within(cells, rectangle(0, 0, 40, 30));
        double[] at = cells.lowest(10, 6).orElseThrow();
        assertEquals(at[0] + 5, 20, 1e-9);
        assertTrue(at[1] >= 0 && at[1] < 0.6, "the border takes one row of squares: " + at[1]);
        assertEquals(cells.lowest(41, 6), Optional.empty());
    }

    @Test
    public void aHoleBelowTheMiddleSendsItAsideOrUp() {
        Geometry plate = rectangle(0, 0, 40, 30).difference(JTS.createPoint(new Coordinate(20, 6)).buffer(5));
        FreeCells cells = new FreeCells(0, 0, 40, 30);
        within(cells, plate);
        // Beside the hole there is room for 14 mm, at the same height as before.
        double[] beside = cells.lowest(13, 6).orElseThrow();
        assertTrue(beside[1] < 0.6 && (beside[0] + 13 < 15.1 || beside[0] > 24.9), beside[0] + ", " + beside[1]);
        // For more only above it, in the middle.
        double[] above = cells.lowest(20, 6).orElseThrow();
        assertEquals(above[0] + 10, 20, 1e-9);
        assertEquals(above[1], 11, 0.6);
    }

    @Test
    public void onRandomPlatesWhatIsFoundIsFreeAndWhatIsClearlyFreeIsFound() {
        Random r = new Random(5);
        int found = 0;
        for (int i = 0; i < 200; i++) {
            Geometry plate = rectangle(-5, 3, 25 + 30 * r.nextDouble(), 20 + 20 * r.nextDouble());
            Geometry under = plate;
            for (int h = 0; h < 6; h++) {
                Geometry disc = JTS.createPoint(new Coordinate(50 * r.nextDouble(), 40 * r.nextDouble())).buffer(1 + 5 * r.nextDouble());
                plate = h % 2 == 0 ? plate.difference(disc) : plate;
                under = h % 2 == 0 ? under : under.difference(disc);
            }
            Envelope e = plate.getEnvelopeInternal();
            FreeCells cells = new FreeCells(e.getMinX(), e.getMinY(), e.getMaxX(), e.getMaxY());
            within(cells, plate);
            within(cells, under);
            double w = 6 + 8 * r.nextDouble();
            double h = 5 + 3 * r.nextDouble();
            Geometry both = plate.intersection(under);
            Optional<double[]> at = cells.lowest(w, h);
            if (at.isPresent()) {
                found++;
                assertTrue(both.buffer(1e-9).covers(rectangle(at.get()[0], at.get()[1], at.get()[0] + w, at.get()[1] + h)), "plate " + i);
            }
            // A rectangle a square larger all round, anywhere lower by more than a square, would have been found.
            double limit = at.map(a -> a[1] - 0.6).orElse(e.getMaxY());
            for (double y = e.getMinY(); y < limit; y += 0.7) {
                for (double x = e.getMinX(); x < e.getMaxX(); x += 0.7) {
                    assertTrue(!both.covers(rectangle(x - 0.55, y - 0.55, x + w + 0.55, y + h + 0.55)), "plate " + i + ": room at " + x + ", " + y);
                }
            }
        }
        assertTrue(found > 60, "only " + found + " had room");
    }
}
