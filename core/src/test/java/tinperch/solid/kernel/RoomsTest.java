package tinperch.solid.kernel;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;

/** Each room of the kernel on its own. */
public class RoomsTest {
    private static Leaf box(double x, double w) {
        return Leaf.extrusion("box", Profile.rectangle(x + w / 2, 0, w, 2), Placement.HERE, 0, 2);
    }

    @Test
    public void pointsNearerThanTheToleranceAreOne() {
        PointWeld w = new PointWeld(1e-6, 4);
        int a = w.number(1, 2, 3);
        assertEquals(w.number(1 + 5e-7, 2, 3), a);
        assertNotEquals(w.number(1 + 5e-6, 2, 3), a);
        assertEquals(w.x(a), 1.0, 0, "the first keeps its coordinates");
        for (int i = 0; i < 3000; i++) {
            w.number(i % 10, i / 10 % 10, i / 100 % 10);
        }
        assertEquals(w.size(), 1000 + 1, "a lattice point is found again however often the table has grown");
    }

    @Test
    public void theMapKeepsWhatWasPut() {
        LongIntMap m = new LongIntMap(2);
        Map<Long, Integer> reference = new HashMap<>();
        Random r = new Random(2);
        for (int i = 0; i < 5000; i++) {
            long key = LongIntMap.pair(r.nextInt(200), r.nextInt(200));
            m.put(key, i);
            reference.put(key, i);
        }
        reference.forEach((k, v) -> assertEquals(m.get(k), (int) v));
        assertEquals(m.get(LongIntMap.pair(999, 999)), LongIntMap.ABSENT);
    }

    @Test
    public void facesInOnePlaneShareAGroupWhicheverWayTheyLook() {
        // Two boxes meeting at x = 3: 6 planes of the first, of the second only its far side is new, and x = 3 is shared.
        List<PlaneGroups.Group> groups = PlaneGroups.of(List.of(box(0, 3), box(3, 2)), 1e-6);
        assertEquals(groups.size(), 7);
        assertEquals(groups.stream().mapToInt(g -> g.members.size()).sum(), 12);
        assertEquals(PlaneGroups.of(List.of(box(0, 3), box(3 + 5e-7, 2)), 1e-6).size(), 7, "within the tolerance");
        assertEquals(PlaneGroups.of(List.of(box(0, 3), box(3 + 1e-5, 2)), 1e-6).size(), 8, "outside it");
    }

    private static void section(double z, Arrangement into) {
        PlaneSection s = new PlaneSection(Vec3.Z, z, 1e-6, 0, 1, new double[] {0, -1, 3, 1});
        s.cut(box(0, 3), null);
        assertTrue(s.isThere());
        s.giveTo(into, 0);
    }

    @Test
    public void aLeafWithoutABorderNearbyIsWhollyInOrOut() {
        PlaneSection inside = new PlaneSection(Vec3.Z, 1, 1e-6, 0, 1, new double[] {1, -0.5, 2, 0.5});
        inside.cut(box(0, 3), null);
        assertFalse(inside.isThere());
        assertEquals(inside.windingMinus(), 1);
        PlaneSection outside = new PlaneSection(Vec3.Z, 1, 1e-6, 0, 1, new double[] {4, -0.5, 5, 0.5});
        outside.cut(box(0, 3), null);
        assertFalse(outside.isThere());
        assertEquals(outside.windingMinus(), 0);
    }

    @Test
    public void aSectionHasItsLeafOnTheLeft() {
        Arrangement a = new Arrangement(1e-7, 0, 1);
        section(1, a);
        assertEquals(a.edgeCount(), 4);
        double twice = 0;
        for (int e = 0; e < 4; e++) {
            int u = a.firstUse(e);
            assertEquals(a.useMinus(u), a.usePlus(u), "the box passes through: both sections are the same");
            twice += a.useMinus(u) * (a.x(a.from(e)) * a.y(a.to(e)) - a.x(a.to(e)) * a.y(a.from(e)));
        }
        assertEquals(twice / 2, 6, 1e-12, "anticlockwise, area 3 × 2");
    }

    @Test
    public void onItsTopPlaneALeafIsThereBelowAndGoneAbove() {
        Arrangement a = new Arrangement(1e-7, 0, 1);
        section(2, a);
        for (int e = 0; e < a.edgeCount(); e++) {
            assertNotEquals(a.useMinus(a.firstUse(e)), 0);
            assertEquals(a.usePlus(a.firstUse(e)), 0);
        }
    }

    @Test
    public void crossingSegmentsAreCutOnce() {
        Arrangement a = new Arrangement(1e-7, 0, 1);
        a.segment(a.vertex(0, 0, 0), a.vertex(4, 4, 0), 0, 1, 1);
        a.segment(a.vertex(0, 4, 0), a.vertex(4, 0, 0), 1, 1, 1);
        a.resolve(new double[][] {{0, 0, 4, 4}});
        int alive = 0;
        for (int e = 0; e < a.edgeCount(); e++) {
            alive += a.counts(e) ? 1 : 0;
        }
        assertEquals(alive, 4);
        assertEquals(a.vertexCount(), 5);
    }

    @Test
    public void overlappingSegmentsBecomeOneEdgeEach() {
        Arrangement a = new Arrangement(1e-7, 0, 1);
        a.segment(a.vertex(0, 0, 0), a.vertex(6, 0, 0), 0, 1, 0);
        a.segment(a.vertex(4, 0, 0), a.vertex(2, 0, 0), 1, 1, 0);
        a.resolve(new double[][] {{0, -1, 6, 1}});
        int alive = 0;
        for (int e = 0; e < a.edgeCount(); e++) {
            alive += a.counts(e) ? 1 : 0;
        }
        assertEquals(alive, 3);
    }

    @Test
    public void oppositeUsesCancel() {
        Arrangement a = new Arrangement(1e-7, 0, 1);
        int p = a.vertex(0, 0, 0);
        int q = a.vertex(1, 0, 0);
        a.segment(p, q, 0, 1, 1);
        a.segment(q, p, 0, 1, 1);
        assertFalse(a.counts(0));
    }

    @Test
    public void randomSegmentsEndUpMeetingOnlyAtTheirEnds() {
        Random r = new Random(4);
        for (int n = 0; n < 60; n++) {
            Arrangement a = new Arrangement(1e-7, 0, 1);
            for (int i = 0; i < 40; i++) {
                a.segment(a.vertex(r.nextInt(12), r.nextInt(12), 0), a.vertex(r.nextInt(12), r.nextInt(12), 0), i, 1, 0);
            }
            a.resolve(new double[][] {{0, 0, 12, 12}});
            for (int e = 0; e < a.edgeCount(); e++) {
                for (int f = 0; f < e; f++) {
                    if (a.counts(e) && a.counts(f)) {
                        assertFalse(properCrossing(a, e, f), "edges cross in set " + n);
                    }
                }
            }
        }
    }

    private static boolean properCrossing(Arrangement a, int e, int f) {
        double s1 = side(a, a.from(e), a.to(e), a.from(f));
        double s2 = side(a, a.from(e), a.to(e), a.to(f));
        double s3 = side(a, a.from(f), a.to(f), a.from(e));
        double s4 = side(a, a.from(f), a.to(f), a.to(e));
        double tiny = 1e-6;
        return s1 > tiny && s2 < -tiny && (s3 > tiny && s4 < -tiny || s3 < -tiny && s4 > tiny)
                || s1 < -tiny && s2 > tiny && (s3 > tiny && s4 < -tiny || s3 < -tiny && s4 > tiny);
    }

    private static double side(Arrangement a, int p, int q, int v) {
        return (a.x(q) - a.x(p)) * (a.y(v) - a.y(p)) - (a.y(q) - a.y(p)) * (a.x(v) - a.x(p));
    }

    @Test
    public void theTreeIsAskedWithTheLeavesAPointIsIn() {
        Leaf a = box(0, 1);
        Leaf b = box(2, 1);
        Leaf c = box(4, 1);
        TreeLogic tree = new TreeLogic(Solid.union(a, b).minus(c));
        assertEquals(tree.leaves(), List.of(a, b, c));
        assertTrue(tree.adds(0) && tree.adds(1) && !tree.adds(2));
        assertTrue(tree.inside(new int[] {0}, 1));
        assertFalse(tree.inside(new int[] {0, 2}, 2));
        assertFalse(tree.inside(new int[] {2}, 1), "only in the cut");
        assertFalse(tree.inside(new int[0], 0));
        TreeLogic common = new TreeLogic(Solid.intersection(a, Solid.union(b, c)));
        assertFalse(common.inside(new int[] {0}, 1));
        assertTrue(common.inside(new int[] {0, 2}, 2));
        TreeLogic nested = new TreeLogic(a.minus(b.minus(c)));
        assertTrue(nested.inside(new int[] {0, 1, 2}, 3), "cut out of the cut");
        assertFalse(nested.adds(1));
        assertTrue(nested.adds(2));
        assertFalse(nested.hasShapeOf(tree));
        assertTrue(nested.hasShapeOf(new TreeLogic(b.minus(c.minus(a)))));
    }

    @Test
    public void trianglesUseEveryCornerAndKeepTheArea() {
        // A square with a corner in the middle of one side and a square hole.
        double[] c = {0, 0, 0, 2, 0, 0, 4, 0, 0, 4, 4, 0, 0, 4, 0, 1, 1, 0, 1, 3, 0, 3, 3, 0, 3, 1, 0};
        List<int[]> t = triples(Triangulator.triangles(new int[] {5, 4}, c, 0, 1, 1e-7));
        assertEquals(t.size(), 9 + 2 * 1 - 2, "corners + 2 · holes − 2");
        double area = 0;
        boolean[] used = new boolean[9];
        for (int[] k : t) {
            double twice = (c[3 * k[1]] - c[3 * k[0]]) * (c[3 * k[2] + 1] - c[3 * k[0] + 1])
                    - (c[3 * k[1] + 1] - c[3 * k[0] + 1]) * (c[3 * k[2]] - c[3 * k[0]]);
            assertTrue(twice > 0);
            area += twice / 2;
            for (int i : k) {
                used[i] = true;
            }
        }
        assertEquals(area, 12, 1e-12);
        for (boolean u : used) {
            assertTrue(u);
        }
    }

    @Test
    public void manyHolesAreBridged() {
        Random r = new Random(8);
        int n = 36;
        double[] c = new double[3 * (4 + 8 * n)];
        double[] corners = {0, 0, 60, 0, 60, 60, 0, 60};
        for (int i = 0; i < 4; i++) {
            c[3 * i] = corners[2 * i];
            c[3 * i + 1] = corners[2 * i + 1];
        }
        int[] rings = new int[n + 1];
        rings[0] = 4;
        double expected = 3600;
        for (int h = 0; h < n; h++) {
            double radius = 1 + 2 * r.nextDouble();
            rings[h + 1] = 8;
            for (int i = 0; i < 8; i++) {
                int p = 4 + 8 * h + i;
                c[3 * p] = 5 + 10 * (h % 6) + radius * Math.cos(-Math.PI / 4 * i);
                c[3 * p + 1] = 5 + 10 * (h / 6) + radius * Math.sin(-Math.PI / 4 * i);
            }
            expected -= 4 * radius * radius * Math.sin(Math.PI / 4);
        }
        double area = 0;
        for (int[] k : triples(Triangulator.triangles(rings, c, 0, 1, 1e-7))) {
            area += ((c[3 * k[1]] - c[3 * k[0]]) * (c[3 * k[2] + 1] - c[3 * k[0] + 1])
                    - (c[3 * k[1] + 1] - c[3 * k[0] + 1]) * (c[3 * k[2]] - c[3 * k[0]])) / 2;
        }
        assertEquals(area, expected, 1e-8);
    }

    private static List<int[]> triples(int[] triangles) {
        List<int[]> all = new java.util.ArrayList<>();
        for (int t = 0; t < triangles.length; t += 3) {
            all.add(new int[] {triangles[t], triangles[t + 1], triangles[t + 2]});
        }
        return all;
    }

    private static double[] quad(double x0, double y0, double x1, double y1) {
        return new double[] {x0, y0, 0, x1, y0, 0, x1, y1, 0, x0, y1, 0};
    }

    @Test
    public void piecesOfAPolygonAreJoinedAlongWholeBorders() {
        List<double[]> strip = ConvexPieces.joined(List.of(quad(0, 0, 2, 1), quad(2, 0, 3, 1), quad(5, 0, 6, 1)));
        assertEquals(strip.size(), 2, "two joined, one apart");
        assertEquals(strip.get(0).length, 12, "the corners left in the middle of straight edges go");
        List<double[]> step = ConvexPieces.joined(List.of(quad(0, 0, 2, 1), quad(2, 0, 3, 2)));
        assertEquals(step.size(), 1, "borders overlapping in part vanish in part");
        assertEquals(step.get(0).length, 18);
        assertEquals(ConvexPieces.joined(List.of(quad(0, 0, 1, 1), quad(1, 1, 2, 2))), null, "meeting in a corner");
        assertEquals(ConvexPieces.joined(List.of(quad(0, 0, 1, 1), quad(1, 0, 2, 1), quad(2, 0, 3, 1), quad(2, 1, 3, 2),
                quad(2, 2, 3, 3), quad(1, 2, 2, 3), quad(0, 2, 1, 3), quad(0, 1, 1, 2))), null, "round a hole");
    }

    @Test
    public void theShortWayFindsWhatTheLongWayFinds() {
        Solid s = ReferencePart.of(8, 10, 24, 16);
        TreeLogic tree = new TreeLogic(s);
        Tolerances tol = Tolerances.USUAL;
        PlaneEvaluation planes = new PlaneEvaluation(tree, new LeafIndex(tree.leaves()), tol);
        int compared = 0;
        for (PlaneGroups.Group g : PlaneGroups.of(tree.leaves(), tol.planeMm())) {
            int[] present = planes.present(g);
            List<PlaneEvaluation.Found> quick = g.members.size() == 1 ? new ConvexFace(tree, planes::edges, tol).faces(g, present) : null;
            if (quick != null) {
                double area = planes.theLongWay(g, present).stream().mapToDouble(RoomsTest::area).sum();
                assertEquals(quick.stream().mapToDouble(RoomsTest::area).sum(), area, 1e-9);
                compared++;
            }
        }
        assertTrue(compared > 200, "only " + compared);
    }

    @Test
    public void edgesFoundInTheirTreeCutALeafAsAllOfThemDo() {
        Random r = new Random(14);
        Leaf round = Leaf.extrusion("star", star(60), Placement.at(1, 2, 3), 0, 9);
        EdgeTree tree = new EdgeTree(round);
        int cut = 0;
        for (int i = 0; i < 400; i++) {
            Vec3 n = i % 4 == 0 ? List.of(Vec3.X, Vec3.Y, Vec3.Z).get(i / 4 % 3) : new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()).unit();
            // Every third plane goes through a corner.
            int corner = r.nextInt(round.cornerCount());
            Vec3 at = i % 3 == 0 ? new Vec3(round.corner(corner, 0), round.corner(corner, 1), round.corner(corner, 2)) : new Vec3(1 + 12 * r.nextGaussian(), 2 + 12 * r.nextGaussian(), 3 + 9 * r.nextDouble());
            double d = n.dot(at);
            Arrangement whole = new Arrangement(1e-6, 0, 1);
            Arrangement some = new Arrangement(1e-6, 0, 1);
            for (Arrangement a : List.of(whole, some)) {
                PlaneSection s = new PlaneSection(n, d, 1e-7, 0, 1, new double[] {-100, -100, 100, 100});
                s.cut(round, a == some ? tree : null);
                s.giveTo(a, 0);
            }
            assertEquals(some.edgeCount(), whole.edgeCount(), "plane " + i);
            for (int e = 0; e < whole.edgeCount(); e++) {
                assertEquals(List.of(some.from(e), some.to(e), some.useMinus(some.firstUse(e)), some.usePlus(some.firstUse(e))),
                        List.of(whole.from(e), whole.to(e), whole.useMinus(whole.firstUse(e)), whole.usePlus(whole.firstUse(e))), "plane " + i);
                assertEquals(some.midX(e), whole.midX(e), 0, "plane " + i);
            }
            cut += whole.edgeCount() > 0 ? 1 : 0;
        }
        assertTrue(cut > 200, "only " + cut);
    }

    private static Profile star(int points) {
        double[] xy = new double[4 * points];
        for (int i = 0; i < 2 * points; i++) {
            double a = Math.PI * i / points;
            double radius = i % 2 == 0 ? 20 : 15;
            xy[2 * i] = radius * Math.cos(a);
            xy[2 * i + 1] = radius * Math.sin(a);
        }
        return Profile.of(xy);
    }

    private static double area(PlaneEvaluation.Found f) {
        Vec3 twice = Vec3.ZERO;
        for (double[] r : f.rings()) {
            for (int i = 0; i < r.length; i += 3) {
                int j = (i + 3) % r.length;
                twice = twice.plus(new Vec3(r[i], r[i + 1], r[i + 2]).cross(new Vec3(r[j], r[j + 1], r[j + 2])));
            }
        }
        return twice.dot(f.normal()) / 2;
    }
}
