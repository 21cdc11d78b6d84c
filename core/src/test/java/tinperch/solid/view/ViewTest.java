package tinperch.solid.view;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.Hands;
import tinperch.solid.kernel.SolidKernel;

public class ViewTest {
    private static final Rasteriser.Paint PAINT = new Rasteriser.Paint(0x808080, 0x00FF00, 0, 0xFF0000, 0x0000FF, 0, 1);
    private static final Leaf BOX = Leaf.extrusion("plate", Profile.rectangle(0, 0, 20, 10), Placement.HERE, 0, 5);
    private static final Leaf HOLE = Leaf.extrusion("hole", Profile.hole(0, 0, 6, 48), Placement.HERE, -1, 6);

    private static Mesh mesh(Solid s) {
        return SolidKernel.evaluate(s, Tolerances.USUAL);
    }

    private static double length(List<HiddenLines.Piece> pieces, boolean visible) {
        return pieces.stream().filter(p -> p.visible() == visible)
                .mapToDouble(p -> Math.hypot(p.x1() - p.x0(), p.y1() - p.y0())).sum();
    }

    @Test
    public void aBoxHasTwelveSharpEdges() {
        List<FeatureEdges.Edge> edges = FeatureEdges.of(mesh(BOX));
        assertEquals(edges.size(), 12);
        assertTrue(edges.stream().allMatch(FeatureEdges.Edge::sharp));
    }

    @Test
    public void facetsOfARoundHoleAreNotSharp() {
        List<FeatureEdges.Edge> edges = FeatureEdges.of(mesh(BOX.minus(HOLE)));
        assertEquals(edges.stream().filter(e -> !e.sharp()).count(), 48);
        assertEquals(edges.stream().filter(FeatureEdges.Edge::sharp).count(), 12 + 96);
    }

    @Test
    public void fromAboveABoxIsItsOutline() {
        Mesh m = mesh(BOX);
        List<HiddenLines.Piece> top = HiddenLines.of(m, FeatureEdges.of(m), Vec3.X, Vec3.Y);
        assertEquals(length(top, true), 60, 1e-9, "upper and lower outline lie on one another and are told once");
        assertEquals(top.size(), 4);
        assertTrue(top.stream().allMatch(p -> Math.abs(p.x0()) <= 10 && Math.abs(p.y0()) <= 5));
    }

    @Test
    public void aHoleIsHiddenFromTheFrontAndSeenFromAbove() {
        Mesh m = mesh(BOX.minus(HOLE));
        List<FeatureEdges.Edge> edges = FeatureEdges.of(m);
        List<HiddenLines.Piece> front = HiddenLines.of(m, edges, Vec3.X, Vec3.Z);
        // The two outlines of the hole stand hidden behind the front face, 5 mm each (both halves of the wall: twice).
        assertTrue(length(front, false) >= 10 - 1e-6, "hidden " + length(front, false));
        assertTrue(front.stream().filter(HiddenLines.Piece::visible)
                .allMatch(p -> Math.abs(Math.abs(p.x0()) - 10) < 1e-6 || Math.abs(p.y0()) < 1e-6
                        || Math.abs(p.y0() - 5) < 1e-6), "only the outline is seen from the front");
        List<HiddenLines.Piece> top = HiddenLines.of(m, edges, Vec3.X, Vec3.Y);
        double rim = 48 * 2 * 3 * Math.tan(Math.PI / 48);
        assertTrue(top.stream().filter(HiddenLines.Piece::visible)
                .filter(p -> Math.hypot(p.x0(), p.y0()) < 4)
                .mapToDouble(p -> Math.hypot(p.x1() - p.x0(), p.y1() - p.y0())).sum() >= rim - 1e-6);
    }

    @Test
    public void aPostHidesWhatStandsBehindIt() {
        Leaf post = Leaf.extrusion("post", Profile.rectangle(0, -20, 4, 4), Placement.HERE, 0, 20);
        Mesh m = mesh(Solid.union(BOX, post));
        List<HiddenLines.Piece> front = HiddenLines.of(m, FeatureEdges.of(m), Vec3.X, Vec3.Z);
        assertTrue(front.stream().anyMatch(p -> !p.visible() && Math.abs(p.y0() - 5) < 1e-9 && Math.abs(p.y1() - 5) < 1e-9
                && Math.max(Math.abs(p.x0()), Math.abs(p.x1())) <= 2 + 1e-9), "the box's upper edge is hidden behind the post");
        double seen = front.stream().filter(p -> p.visible() && Math.abs(p.y0() - 5) < 1e-9 && Math.abs(p.y1() - 5) < 1e-9).mapToDouble(p -> Math.abs(p.x1() - p.x0())).sum();
        assertEquals(seen, 20 - 4, 1e-6, "the rest of that edge is seen, once");
    }

    @Test
    public void anEmptyMeshDrawsNothing() {
        Mesh m = mesh(BOX.minus(Leaf.extrusion("all", Profile.rectangle(0, 0, 40, 40), Placement.HERE, -1, 9)));
        assertTrue(HiddenLines.of(m, FeatureEdges.of(m), Vec3.X, Vec3.Y).isEmpty());
    }

    @Test
    public void theCameraKeepsRightAngles() {
        Camera c = new Camera(33, 21, Vec3.ZERO, 2);
        assertEquals(c.right().dot(c.up()), 0, 1e-12);
        assertEquals(c.up().dot(c.toEye()), 0, 1e-12);
        assertEquals(c.toEye().length(), 1, 1e-12);
        assertEquals(new Camera(0, 90, Vec3.ZERO, 1).toEye().z(), 1, 1e-12);
    }

    @Test
    public void thePictureShowsThePartWhereItIs() {
        Mesh m = mesh(BOX.minus(HOLE));
        Rasteriser r = new Rasteriser(Hands.ONE);
        r.draw(Scene.of(m, List.of()), new Camera(0, 90, m.bounds().centre(), 10), 300, 200, PAINT);
        assertEquals(r.argb()[0], 0, "background");
        int filled = 0;
        for (int p : r.argb()) {
            filled += p != 0 ? 1 : 0;
        }
        // 20 × 10 mm without a 48-sided hole of 6 mm, at 100 px a mm².
        double expected = (200 - 48 * 9 * Math.tan(Math.PI / 48)) * 100;
        assertEquals(filled, expected, 0.01 * expected);
        assertEquals(r.faceAt(150, 100), -1, "one sees through the hole");
        assertEquals(m.faces().get(r.faceAt(80, 100)).feature(), "plate");
        assertEquals(r.faceAt(-1, 5), -1);
        assertEquals(r.faceAt(5, 500), -1);
    }

    @Test
    public void aFeatureLightsUp() {
        Mesh m = mesh(Solid.union(BOX, Leaf.extrusion("boss A", Profile.disc(5, 0, 4, 24), Placement.HERE, 4, 9)));
        Rasteriser r = new Rasteriser(Hands.ONE);
        Camera c = new Camera(0, 90, m.bounds().centre(), 10);
        r.draw(Scene.of(m, List.of()), c, 300, 200, PAINT);
        int plain = r.argb()[100 * 300 + 200];
        r.draw(Scene.of(m, List.of()).lit("boss"), c, 300, 200, PAINT);
        assertNotEquals(r.argb()[100 * 300 + 200], plain);
        assertEquals(r.argb()[100 * 300 + 200] & 0xFF0000, 0, "green, no red");
    }

    @Test
    public void edgesAreDrawnOnTopOfTheirFaces() {
        Mesh m = mesh(BOX);
        Rasteriser r = new Rasteriser(Hands.ONE);
        r.draw(Scene.of(m, FeatureEdges.of(m)), new Camera(30, 40, m.bounds().centre(), 8), 300, 240,
                new Rasteriser.Paint(0xFFFFFF, 0, 0x123456, 0, 0, 0, 2));
        int edge = 0;
        for (int p : r.argb()) {
            edge += p == 0xFF123456 ? 1 : 0;
        }
        assertTrue(edge > 600, "only " + edge + " edge pixels");
    }

    @Test
    public void aSectionOpensThePartAndPaintsTheCutFace() {
        Mesh m = mesh(BOX.minus(HOLE));
        Rasteriser r = new Rasteriser(Hands.ONE);
        // Cut at z = 2.5 and seen from above: where there is material its cut face is seen, all of it, and the hole stays open.
        Scene cut = new Scene(m, List.of(), "", List.of(), Optional.of(new Scene.Cut(Vec3.Z, 2.5)));
        r.draw(cut, new Camera(0, 90, m.bounds().centre(), 10), 300, 200, PAINT);
        int red = 0;
        for (int p : r.argb()) {
            red += (p & 0xFF0000) != 0 && (p & 0xFFFF) == 0 ? 1 : 0;
        }
        double expected = (200 - 48 * 9 * Math.tan(Math.PI / 48)) * 100;
        assertEquals(red, expected, 0.01 * expected);
        assertEquals(r.argb()[100 * 300 + 150], 0);
        // Seen slantwise the far half of an upright cut is left and the near half gone.
        Scene half = new Scene(m, List.of(), "", List.of(), Optional.of(new Scene.Cut(Vec3.Y.times(-1), 0)));
        r.draw(half, new Camera(0, 0, m.bounds().centre(), 10), 300, 200, PAINT);
        assertEquals(r.argb()[100 * 300 + 70] & 0xFFFF, 0, "cut face");
        assertNotEquals(r.argb()[100 * 300 + 150] & 0xFFFF, 0, "the bore's wall behind the cut");
    }

    @Test
    public void ghostsAreSeenThrough() {
        Mesh m = mesh(BOX);
        Mesh lid = mesh(Leaf.extrusion("lid", Profile.rectangle(5, 0, 20, 10), Placement.HERE, 6, 8));
        Rasteriser r = new Rasteriser(Hands.ONE);
        r.draw(new Scene(m, List.of(), "", List.of(lid), Optional.empty()), new Camera(0, 90, Vec3.ZERO, 10), 400, 200, PAINT);
        int bare = r.argb()[100 * 400 + 120];
        int under = r.argb()[100 * 400 + 220];
        int beyond = r.argb()[100 * 400 + 320];
        assertTrue((under & 0xFF) > (under >> 8 & 0xFF) && (under & 0xFF00) != 0, "grey and blue");
        assertEquals(bare & 0xFF, bare >> 8 & 0xFF, "grey");
        assertTrue(beyond >>> 24 > 0 && beyond >>> 24 < 128, "a quarter there");
        assertEquals(m.faces().get(r.faceAt(220, 100)).feature(), "plate", "a click goes through a ghost");
    }

    @Test
    public void bandsMakeNoDifference() {
        Mesh m = mesh(BOX.minus(HOLE));
        Scene s = new Scene(m, FeatureEdges.of(m), "hole", List.of(), Optional.of(new Scene.Cut(Vec3.X, 3)));
        Rasteriser one = new Rasteriser(Hands.ONE);
        Rasteriser many = new Rasteriser((n, work) -> IntStream.range(0, n).parallel().forEach(work));
        Camera c = new Camera(33, 25, m.bounds().centre(), 9);
        one.draw(s, c, 301, 203, PAINT);
        many.draw(s, c, 301, 203, PAINT);
        assertEquals(many.argb(), one.argb());
    }

    @Test
    public void anEdgeIsNamedByTheFeaturesThatMeet() {
        List<FeatureEdges.Edge> edges = FeatureEdges.of(mesh(BOX.minus(HOLE)));
        assertEquals(edges.stream().filter(e -> e.name().contains(" / ")).count(), 96);
        assertTrue(edges.stream().filter(e -> !e.sharp()).allMatch(e -> e.name().equals("hole")));
    }
}
