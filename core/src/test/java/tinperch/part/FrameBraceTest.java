package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.part.family.FrameBrace;
import tinperch.part.form.Joint;
import tinperch.part.form.PartForm;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

public class FrameBraceTest {
    private static final GeometryFactory JTS = new GeometryFactory();
    private static final Values PLAIN = Values.START.with(FrameBrace.ROOFS, false).with(Marking.HEIGHT, 0.0);

    private static Case brace(Values v) {
        return PartExamples.usual("frame-brace", v);
    }

    private static PartForm form(Values v) {
        FormFact.Answer a = new FactsOnce(brace(v)).get(FormFact.FORM);
        return a.form().orElseThrow(() -> new AssertionError(a.problem()));
    }

    private static Geometry polygon(double... xy) {
        Coordinate[] c = new Coordinate[xy.length / 2 + 1];
        for (int i = 0; i < c.length; i++) {
            c[i] = new Coordinate(xy[2 * i % xy.length], xy[(2 * i + 1) % xy.length]);
        }
        return JTS.createPolygon(c);
    }

    /**
     * Usual holes 20 × 60, Ø 5.3, M3 through them (3.4 clearance, ISO 273 medium): wall 6 × (120 + 30 + 8) × 40, bar 14 high to 100,
     * arm of 16 from under the holes' edge, 14 thick. Areas by JTS, times their heights, less four holes.
     */
    @Test
    public void itsVolumeIsThatOfItsLayers() {
        Geometry wall = polygon(0, 0, 6, 0, 6, 158, 0, 158);
        Geometry bar = polygon(0, 0, 100, 0, 100, 14, 0, 14);
        Geometry arm = polygon(3, 66, 6, 66, 6, 82, 3, 82).union(polygon(84, 3.5, 100, 3.5, 100, 7, 84, 7)).convexHull();
        double low = wall.union(bar).union(arm).getArea() * 14;
        double high = wall.union(bar).getArea() * 26;
        // Holes are polygons of 48 sides round their circle.
        double hole = 48 * Math.tan(Math.PI / 48) * 1.7 * 1.7 * 6;
        assertEquals(PartExamples.mesh(brace(PLAIN)).volumeMm3(), low + high - 4 * hole, 0.01);
    }

    @Test
    public void theOtherSideIsItsMirrorImage() {
        Mesh right = PartExamples.mesh(brace(PLAIN));
        Mesh left = PartExamples.mesh(brace(PLAIN.with(FrameBrace.HAND, FrameBrace.Hand.LEFT)));
        assertEquals(left.volumeMm3(), right.volumeMm3(), 1e-6);
        Bounds r = right.bounds();
        Bounds l = left.bounds();
        assertEquals(l.min().x(), -r.max().x(), 1e-9);
        assertEquals(l.max().y(), r.max().y(), 1e-9);
        assertEquals(form(PLAIN.with(FrameBrace.HAND, FrameBrace.Hand.LEFT)).mount().orElseThrow().frame().w().distanceTo(Vec3.X.times(-1)), 0, 1e-12);
        assertFalse(form(PLAIN.with(FrameBrace.HAND, FrameBrace.Hand.LEFT)).mount().orElseThrow().frame().isMirror(), "a part is turned onto its site, never mirrored");
    }

    /** A lying hole of Ø 3.4 with a roof reaches 2.1 above its middle, not 1.7. */
    @Test
    public void lyingHolesHaveARoof() {
        Mesh round = PartExamples.mesh(brace(PLAIN));
        Mesh roofed = PartExamples.mesh(brace(PLAIN.with(FrameBrace.ROOFS, true)));
        // Straight through the wall beside hole A, 2 mm above its middle (z = 20 ± 10).
        Vec3 from = new Vec3(-5, 150, 32);
        assertEquals(rays(round).hits(from, Vec3.X).size(), 2, "plastic");
        assertEquals(rays(roofed).hits(from, Vec3.X).size(), 0, "free");
        // What the tangents of 45° add to a circle, r²·(1 − π/4), less the tip above 2.1.
        double added = (round.volumeMm3() - roofed.volumeMm3()) / 4 / 6;
        assertEquals(added, 1.7 * 1.7 * (1 - Math.PI / 4) - Math.pow(1.7 * Math.sqrt(2) - 2.1, 2), 0.03);
    }

    /** Both pieces together are the whole, less what the sockets' play takes; nothing of one is in the other. */
    @Test
    public void dividedItIsTheSameBraceAndSlidesTogether() {
        Values v = PLAIN.with(FrameBrace.SPLIT, true);
        Case c = brace(v);
        List<Mesh> two = PartExamples.meshes(c);
        double whole = PartExamples.mesh(brace(PLAIN)).volumeMm3();
        double both = two.stream().mapToDouble(Mesh::volumeMm3).sum();
        assertTrue(both < whole && both > whole - 120, both + " of " + whole);
        assertTrue(PartExamples.findings(c).stream().noneMatch(f -> f.severity() == Severity.STOP), "nothing goes through anything");
        // Half way in, pushed along z, the flanks have the taper's tangent of play for each millimetre still to go.
        PartForm f = form(v);
        Joint.Dovetail bar = (Joint.Dovetail) f.joints().get(0);
        assertEquals(bar.closesPerMm(), 0.034921, 1e-6, "tan 2°");
        assertEquals(bar.wayMm(), 40, 1e-9);
    }

    /** The gap between the flanks, measured on the pieces: TIGHT when home, and tan(taper) more for each mm it is not. */
    @Test
    public void theGapOfADovetailGrowsByTheTapersTangent() {
        Values v = PLAIN.with(FrameBrace.SPLIT, true).with(FrameBrace.DOVETAILS.clearance, 0.1).with(FrameBrace.DOVETAILS.taper, 3.0);
        List<Mesh> two = form(v).pieces().stream().map(p -> SolidKernel.evaluate(p.solid(), Tolerances.USUAL)).toList();
        double x = 0.55 * 100 + 2;
        double home = flank(two.get(1), x, 5) - flank(two.get(0), x, 5);
        double outBy10 = flank(two.get(1), x, 15) - flank(two.get(0), x, 5);
        assertEquals(home, 0.1, 0.02);
        assertEquals(outBy10 - home, 10 * Math.tan(Math.toRadians(3)), 1e-6);
    }

    private static Rays rays(Mesh m) {
        return new Rays(TriangleTree.of(m));
    }

    /** Where the flank of the bar's dovetail is above the bar's middle, at a height over the bed. */
    private static double flank(Mesh m, double x, double z) {
        return rays(m).hits(new Vec3(x, 7, z), Vec3.Y).stream().mapToDouble(Rays.Hit::distanceMm).filter(h -> h > 1e-6).min().orElseThrow();
    }

    @Test
    public void aDovetailIsJudgedByItsClearance() {
        Values v = PLAIN.with(FrameBrace.SPLIT, true);
        assertEquals(PartExamples.find(brace(v), "dovetail.0").severity(), Severity.FINE);
        Finding loose = PartExamples.find(brace(v.with(FrameBrace.DOVETAILS.clearance, 0.3)), "dovetail.0");
        assertEquals(loose.severity(), Severity.LOOK);
        assertEquals(loose.remedies().size(), 1, "with a way out");
        assertEquals(PartExamples.find(brace(v.with(FrameBrace.DOVETAILS.clearance, -0.05)), "dovetail.0").severity(), Severity.LOOK);
        assertTrue(PartExamples.find(brace(v.with(FrameBrace.DOVETAILS.taper, 0.0)), "dovetail.0").what().contains("driven in"), "without taper it never slides freely");
    }

    @Test
    public void aBraceShorterThanItsAdaptersIsSaid() {
        for (Values v : List.of(PLAIN.with(FrameBrace.HEIGHT, 40.0), PLAIN.with(FrameBrace.REACH, 25.0), PLAIN.with(FrameBrace.THICK, 60.0),
                PLAIN.with(FrameBrace.SPLIT, true).with(FrameBrace.DOVETAILS.depth, 20.0))) {
            FormFact.Answer a = new FactsOnce(brace(v)).get(FormFact.FORM);
            assertTrue(a.form().isEmpty() && a.problem().contains(" mm"), a.problem());
        }
    }
}
