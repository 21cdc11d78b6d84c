package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.awt.geom.Point2D;
import java.util.Random;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.testng.annotations.Test;
import tinperch.part.block.Hand;
import tinperch.part.form.Screw;
import tinperch.solid.Placement;
import tinperch.part.form.Piece;
import tinperch.part.block.HexBushes;
import tinperch.part.bind.Binding;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
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
        Mesh left = PartExamples.mesh(brace(PLAIN.with(FrameBrace.HAND, Hand.LEFT)));
        assertEquals(left.volumeMm3(), right.volumeMm3(), 1e-6);
        Bounds r = right.bounds();
        Bounds l = left.bounds();
        assertEquals(l.min().x(), -r.max().x(), 1e-9);
        assertEquals(l.max().y(), r.max().y(), 1e-9);
        assertEquals(form(PLAIN.with(FrameBrace.HAND, Hand.LEFT)).mount().orElseThrow().frame().w().distanceTo(Vec3.X.times(-1)), 0, 1e-12);
        assertFalse(form(PLAIN.with(FrameBrace.HAND, Hand.LEFT)).mount().orElseThrow().frame().isMirror(), "a part is turned onto its site, never mirrored");
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
        Values v = PLAIN.with(FrameBrace.JOINT.split, true);
        Case c = brace(v);
        List<Mesh> two = PartExamples.meshes(c);
        double whole = PartExamples.mesh(brace(PLAIN)).volumeMm3();
        double both = two.stream().mapToDouble(Mesh::volumeMm3).sum();
        assertTrue(both < whole && both > whole - 260, both + " of " + whole);
        assertTrue(PartExamples.findings(c).stream().noneMatch(f -> f.severity() == Severity.STOP), "nothing goes through anything");
        // Half way in, pushed along z, the flanks have the taper's tangent of play for each millimetre still to go.
        PartForm f = form(v);
        Joint.Dovetail bar = f.joints().stream().filter(Joint.Dovetail.class::isInstance).map(Joint.Dovetail.class::cast).findFirst().orElseThrow();
        assertEquals(bar.closesPerMm(), 0.034921, 1e-6, "tan 2°");
        assertEquals(bar.wayMm(), 40, 1e-9);
    }

    /** The gap between the flanks, measured on the pieces: what was asked for and half of the printer's slot fit (0.2) when home, and tan(taper) more for each mm it is not. */
    @Test
    public void theGapOfADovetailGrowsByTheTapersTangent() {
        Values v = PLAIN.with(FrameBrace.JOINT.split, true).with(FrameBrace.JOINT.dovetails.clearance, 0.1).with(FrameBrace.JOINT.dovetails.taper, 3.0);
        List<Mesh> two = form(v).pieces().stream().map(p -> SolidKernel.evaluate(p.solid(), Tolerances.USUAL)).toList();
        double x = 0.55 * 100 + 2;
        double home = flank(two.get(1), x, 5) - flank(two.get(0), x, 5);
        double outBy10 = flank(two.get(1), x, 15) - flank(two.get(0), x, 5);
        assertEquals(home, 0.1 + 0.1, 1e-6);
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
        Values v = PLAIN.with(FrameBrace.JOINT.split, true);
        assertEquals(PartExamples.find(brace(v), "dovetail.0").severity(), Severity.FINE);
        Finding loose = PartExamples.find(brace(v.with(FrameBrace.JOINT.dovetails.clearance, 0.3)), "dovetail.0");
        assertEquals(loose.severity(), Severity.LOOK);
        assertEquals(loose.remedies().size(), 1, "with a way out");
        assertEquals(PartExamples.find(brace(v.with(FrameBrace.JOINT.dovetails.clearance, -0.05)), "dovetail.0").severity(), Severity.LOOK);
        assertTrue(PartExamples.find(brace(v.with(FrameBrace.JOINT.dovetails.taper, 0.0)), "dovetail.0").what().contains("driven in"), "without taper it never slides freely");
    }

    @Test
    public void aBraceShorterThanItsAdaptersIsSaid() {
        for (Values v : List.of(PLAIN.with(FrameBrace.HEIGHT, 40.0), PLAIN.with(FrameBrace.REACH, 25.0), PLAIN.with(FrameBrace.THICK, 60.0),
                PLAIN.with(FrameBrace.JOINT.split, true).with(FrameBrace.JOINT.dovetails.depth, 20.0))) {
            FormFact.Answer a = new FactsOnce(brace(v)).get(FormFact.FORM);
            assertTrue(a.form().isEmpty() && a.problem().contains(" mm"), a.problem());
        }
    }

    /** The nearest of a centred bush and two that are off by one and two steps, turned to six positions: against all of them one by one, and to within what geometry allows. */
    @Test
    public void theBestBushIsTheBestOfAll() {
        Random dice = new Random(61);
        for (int i = 0; i < 2000; i++) {
            double x = dice.nextDouble() * 3 - 1.5;
            double y = dice.nextDouble() * 3 - 1.5;
            double step = 0.2 + dice.nextDouble();
            double least = Double.MAX_VALUE;
            for (int bush = 0; bush < 3; bush++) {
                for (int k = 0; k < 6; k++) {
                    least = Math.min(least, Point2D.distance(x, y, bush * step * Math.cos(k * Math.PI / 3), bush * step * Math.sin(k * Math.PI / 3)));
                }
            }
            HexBushes.Choice c = HexBushes.Choice.of(x, y, step);
            assertEquals(c.missedMm(), least, 1e-9);
            assertEquals(Point2D.distance(x, y, c.offMm() * Math.cos(Math.toRadians(c.turnDeg())), c.offMm() * Math.sin(Math.toRadians(c.turnDeg()))), least, 1e-9);
        }
    }

    /** Holes that sit 0.5 mm across and 0.85 up want a bush off by 1 at 60°: 0.5, 0.866. In the assembly each hole then lies there, and the screw with it. */
    @Test
    public void bushesPutTheHolesWhereTheyAreWanted() {
        Values v = PLAIN.with(FrameBrace.WALL, 8.0).with(FrameBrace.EDGE, 10.0).with(FrameBrace.POST_SCREWS.length, 20.0);
        Values bushed = v.with(FrameBrace.BUSHES.on, true).with(FrameBrace.BUSHES.misfitX, 0.5).with(FrameBrace.BUSHES.misfitY, 0.85);
        for (Hand hand : Hand.values()) {
            PartForm plain = form(v.with(FrameBrace.HAND, hand));
            PartForm f = form(bushed.with(FrameBrace.HAND, hand));
            Placement row = plain.mount().orElseThrow().frame();
            assertEquals(f.pieces().stream().map(Piece::id).toList(), List.of("part", "bush-A", "bush-B", "bush-C", "bush-D"));
            for (int i = 0; i < 4; i++) {
                Screw was = plain.screws().get(i);
                Screw is = f.screws().get(i);
                Piece bush = f.piece(is.pieceId()).orElseThrow();
                Placement there = bush.place().times(is.axis());
                Vec3 moved = there.origin().minus(was.axis().origin());
                assertEquals(moved.dot(row.u()), 0.5, 1e-9, "across");
                assertEquals(moved.dot(row.v()), Math.sqrt(3) / 2, 1e-9, "upwards");
                assertEquals(there.w().dot(was.axis().w()), 1, 1e-9, "the same way");
            }
        }
        Case c = brace(bushed);
        List<Mesh> all = PartExamples.meshes(c);
        all.forEach(m -> assertEquals(m.openEdges(), 0));
        // A bush: flange of 2 round corners of 12 / cos 30° and 2 more, 7.8 of it in the wall; less a hole of 3.4.
        double hex = Math.sqrt(3) / 2 * 144;
        double d = 12 / Math.cos(Math.PI / 6) + 4;
        double flange = 48 * d * d / 8 * Math.sin(Math.PI / 24);
        assertEquals(all.get(1).volumeMm3(), 2 * flange + 7.8 * hex - 9.8 * 48 * Math.tan(Math.PI / 48) * 1.7 * 1.7, 0.01);
        assertEquals(PartExamples.findings(c).stream().filter(x -> x.severity() == Severity.STOP).map(x -> x.what() + x.why()).toList().toString(), "[]");
        assertEquals(PartExamples.find(c, "bush.0").severity(), Severity.FINE);
        assertEquals(PartExamples.find(c, "bush.0").margin().orElseThrow().value(), Math.sqrt(3) / 2 - 0.85, 1e-9);
        Finding far = PartExamples.find(brace(bushed.with(FrameBrace.BUSHES.misfitX, 2.0)), "bush.0");
        assertEquals(far.severity(), Severity.LOOK);
        assertTrue(!far.remedies().isEmpty(), "another step brings it nearer");
        assertTrue(new FactsOnce(brace(bushed.with(FrameBrace.POST_SCREWS.recess, 2.0))).get(FormFact.FORM).problem().contains("lies on its flange"));
    }

    /** A profile of 40 with 0.15 of play each side, cheeks of 3: 46.3 over all; every piece prints without support and the screws reach as much farther. */
    @Test
    public void anAdapterHugsThePost() {
        Values v = PLAIN.with(FrameBrace.HUG.base, 4.0).with(FrameBrace.POST_SCREWS.length, 20.0);
        Case c = PartExamples.caseOf(brace(v).part().bound("profile", new Binding.Usual("profile-40")), PartExamples.shop(60, 50, 32, 32));
        Mesh adapter = PartExamples.meshes(c).get(1);
        assertEquals(adapter.openEdges(), 0);
        Bounds b = adapter.bounds();
        assertEquals(b.max().x() - b.min().x(), 40 + 0.3 + 6, 1e-9);
        assertEquals(b.max().y() - b.min().y(), 4 + 12, 1e-9);
        assertEquals(b.max().z() - b.min().z(), 2 * (30 + 8), 1e-9);
        PartForm f = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow();
        assertEquals(f.screws().get(0).heldMm(), 3 + 4, 1e-9);
        // Its holes lie where the wall's do.
        Piece piece = f.piece("adapter").orElseThrow();
        for (int i = 0; i < 4; i++) {
            Vec3 wall = f.screws().get(i).axis().origin();
            Vec3 hole = piece.place().times(piece.cavities().get(i).axis()).origin();
            assertEquals(Math.hypot(wall.y() - hole.y(), wall.z() - hole.z()), 0, 1e-9);
        }
        assertEquals(PartExamples.findings(c).stream().filter(x -> x.severity() == Severity.STOP).map(x -> x.what() + x.why()).toList().toString(), "[]");
        Case left = PartExamples.caseOf(brace(v.with(FrameBrace.HAND, Hand.LEFT)).part().bound("profile", new Binding.Usual("profile-40")), PartExamples.shop(60, 50, 32, 32));
        assertEquals(PartExamples.findings(left).stream().filter(x -> x.severity() == Severity.STOP).map(x -> x.what() + x.why()).toList().toString(), "[]");
    }

    @Test
    public void aLongOneComesInAsManyPiecesAsTheBedAsks() {
        Values v = PLAIN.with(FrameBrace.REACH, 280.0).with(FrameBrace.HEIGHT, 200.0);
        double whole = PartExamples.mesh(brace(v)).volumeMm3();
        for (int n = 2; n <= 4; n++) {
            Case c = brace(v.with(FrameBrace.JOINT.split, true).with(FrameBrace.JOINT.pieces, (double) n));
            List<Mesh> all = PartExamples.meshes(c);
            assertEquals(all.size(), n);
            double sum = all.stream().mapToDouble(Mesh::volumeMm3).sum();
            assertTrue(sum < whole && sum > whole - 260 * (n - 1), n + ": " + sum + " of " + whole);
            all.forEach(m -> assertEquals(m.openEdges(), 0));
            assertTrue(PartExamples.findings(c).stream().noneMatch(f -> f.severity() == Severity.STOP && f.id().startsWith("overlap")), "nothing goes through anything");
        }
    }

    /** Left and right look alike: each says what it is, in plastic too. */
    @Test
    public void aBraceSaysWhichSideItIsFor() {
        for (Hand hand : Hand.values()) {
            Values v = Values.START.with(FrameBrace.HAND, hand);
            Case c = Case.of(brace(v).upgrade(), "p1", PartExamples.shop(60, 50, 32, 32), "R4");
            MeshesFact.Made made = new FactsOnce(c).get(MeshesFact.MESHES).pieces().get(0);
            assertEquals(made.piece().hand(), hand.word());
            assertEquals(made.piece().marked("R4"), hand == Hand.LEFT ? "R4 L" : "R4 R");
            double letters = Marking.on(PartExamples.mesh(brace(v)), "R4", 6).orElseThrow().outlines().size();
            assertTrue(made.mark().orElseThrow().outlines().size() > letters, "a letter more is engraved");
        }
    }

    /** The post's own M3×12, no washer: 3 of post, a nut of 2.4 and a turn of 0.5 leave 6.1 under the head: a wall of 10 is let in by 3.9. */
    @Test
    public void screwsThatWereThereAreUsedAgain() {
        Values v = PLAIN.with(FrameBrace.WALL, 10.0).with(FrameBrace.POST_SCREWS.washer, false).with(FrameBrace.POST_SCREWS.length, 12.0).with(FrameBrace.REUSE, true);
        Case c = brace(v);
        Rays r = rays(PartExamples.mesh(c));
        // Into hole A from in front of its head, beside the screw's own hole.
        assertEquals(r.hits(new Vec3(40, 150 + 2.3, 30), Vec3.X.times(-1)).get(0).distanceMm(), 40 - 10 + 3.9, 1e-6);
        assertEquals(PartExamples.find(c, "screw.post").severity(), Severity.FINE);
        assertEquals(PartExamples.findings(c).stream().filter(x -> x.severity() == Severity.STOP).map(x -> x.what() + x.why()).toList().toString(), "[]");
        assertTrue(new FactsOnce(brace(v.with(FrameBrace.POST_SCREWS.length, 6.0))).get(FormFact.FORM).problem().contains("under their heads"));
    }
}
