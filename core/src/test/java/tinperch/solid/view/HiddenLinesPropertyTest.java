package tinperch.solid.view;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;

/** Drawn views of random parts: nothing is told twice, and what is said to be seen is seen. */
public class HiddenLinesPropertyTest {
    private static final Vec3[][] VIEWS = {{Vec3.X, Vec3.Y}, {Vec3.X, Vec3.Z}, {Vec3.Y, Vec3.Z}};

    /** A plate with bosses and holes at places of a grid, so that lines lie on one another. */
    private static Mesh part(Random r) {
        List<Solid> adds = new ArrayList<>();
        List<Solid> cuts = new ArrayList<>();
        adds.add(Leaf.extrusion("plate", Profile.rectangle(0, 0, 60, 40), Placement.HERE, 0, 6));
        for (int i = 0; i < 5; i++) {
            double x = -24 + 12 * r.nextInt(5);
            double y = -14 + 14 * r.nextInt(3);
            if (r.nextBoolean()) {
                adds.add(Leaf.extrusion("boss " + i, Profile.rectangle(x, y, 8, 8), Placement.HERE, 3, 6 + 3 * (1 + r.nextInt(3))));
            } else {
                cuts.add(Leaf.extrusion("hole " + i, Profile.hole(x, y, 5, 16), Placement.HERE, -1, 30));
            }
        }
        Solid all = new Solid.Union(adds);
        return SolidKernel.evaluate(cuts.isEmpty() ? all : new Solid.Difference(all, cuts), Tolerances.USUAL);
    }

    @Test
    public void noPieceIsToldTwiceAndPiecesOfOneLineAreJoined() {
        Random r = new Random(21);
        for (int n = 0; n < 12; n++) {
            Mesh m = part(r);
            for (Vec3[] v : VIEWS) {
                List<HiddenLines.Piece> pieces = HiddenLines.of(m, FeatureEdges.of(m), v[0], v[1]);
                Set<List<Long>> ends = new HashSet<>();
                for (HiddenLines.Piece p : pieces) {
                    long[] a = {Math.round(p.x0() * 1e3), Math.round(p.y0() * 1e3)};
                    long[] b = {Math.round(p.x1() * 1e3), Math.round(p.y1() * 1e3)};
                    boolean swap = a[0] > b[0] || a[0] == b[0] && a[1] > b[1];
                    assertTrue(ends.add(swap ? List.of(b[0], b[1], a[0], a[1]) : List.of(a[0], a[1], b[0], b[1])), "told twice: " + p);
                    assertTrue(Math.hypot(p.x1() - p.x0(), p.y1() - p.y0()) > 1e-6);
                }
            }
        }
    }

    /** From a point of a piece towards the eye a ray leaves the part at once when the piece is seen, and meets it again when it is hidden. */
    @Test
    public void whatIsSeenHasNothingBeforeIt() {
        Random r = new Random(22);
        int seen = 0;
        int hidden = 0;
        for (int n = 0; n < 10; n++) {
            Mesh m = part(r);
            Rays rays = new Rays(TriangleTree.of(m));
            for (Vec3[] v : VIEWS) {
                Vec3 toEye = v[0].cross(v[1]);
                for (HiddenLines.Piece p : HiddenLines.of(m, FeatureEdges.of(m), v[0], v[1])) {
                    double t = 0.5 + 0.2 * (r.nextDouble() - 0.5);
                    Vec3 on = v[0].times(p.x0() + t * (p.x1() - p.x0())).plus(v[1].times(p.y0() + t * (p.y1() - p.y0())));
                    // The nearest surface to the eye, just beside the line on both sides of it.
                    double dx = p.y1() - p.y0();
                    double dy = p.x0() - p.x1();
                    double len = Math.hypot(dx, dy);
                    double[] tops = new double[2];
                    for (int side = 0; side < 2; side++) {
                        Vec3 beside = on.plus(v[0].times((side == 0 ? 1 : -1) * 1e-3 * dx / len)).plus(v[1].times((side == 0 ? 1 : -1) * 1e-3 * dy / len));
                        List<Rays.Hit> hits = rays.hits(beside.plus(toEye.times(500)), toEye.times(-1));
                        tops[side] = hits.isEmpty() ? Double.NEGATIVE_INFINITY : 500 - hits.get(0).distanceMm();
                    }
                    boolean step = Math.abs(tops[0] - tops[1]) > 1e-3 || Double.isInfinite(tops[0]) != Double.isInfinite(tops[1]);
                    if (step) {
                        assertTrue(p.visible(), "where the nearest surface ends an edge is seen: " + p);
                        seen++;
                    } else if (!p.visible()) {
                        assertTrue(!Double.isInfinite(tops[0]), "nothing is hidden beside the part");
                        hidden++;
                    }
                }
            }
        }
        assertTrue(seen > 200 && hidden > 50, seen + " seen, " + hidden + " hidden");
    }

    @Test
    public void aCubeHasFourLinesWhicheverWayOneLooks() {
        Mesh m = SolidKernel.evaluate(Leaf.extrusion("cube", Profile.rectangle(0, 0, 10, 10), Placement.HERE, 0, 10), Tolerances.USUAL);
        for (Vec3[] v : VIEWS) {
            List<HiddenLines.Piece> pieces = HiddenLines.of(m, FeatureEdges.of(m), v[0], v[1]);
            assertEquals(pieces.size(), 4);
            assertTrue(pieces.stream().allMatch(HiddenLines.Piece::visible));
        }
    }
}
