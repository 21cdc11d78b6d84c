package tinperch.solid.shape;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** Meshes from elsewhere: what is mended, what is reported, what is refused. */
public class MeshMendingTest {
    private static final List<Mesh.Face> ONE = List.of(new Mesh.Face("x", Vec3.Z, 0, List.of()));

    /** A soup of triangles with corners of their own, as a mesh file gives it. */
    private static Mesh soup(Solid s, double jitter) {
        Mesh m = SolidKernel.evaluate(s, Tolerances.USUAL);
        Random r = new Random(5);
        double[] xyz = new double[9 * m.triangleCount()];
        int[] tri = new int[3 * m.triangleCount()];
        for (int e = 0; e < tri.length; e++) {
            Vec3 p = m.point(m.corner(e / 3, e % 3));
            tri[e] = e;
            xyz[3 * e] = p.x() + jitter * (r.nextDouble() - 0.5);
            xyz[3 * e + 1] = p.y() + jitter * (r.nextDouble() - 0.5);
            xyz[3 * e + 2] = p.z() + jitter * (r.nextDouble() - 0.5);
        }
        return new Mesh(xyz, tri, new int[tri.length / 3], ONE);
    }

    private static Solid bracket() {
        return Leaf.extrusion("plate", Profile.rectangle(0, 0, 30, 20), Placement.HERE, 0, 5)
                .minus(Leaf.extrusion("hole", Profile.hole(0, 0, 6, 16), Placement.HERE, -1, 6));
    }

    private static Mesh with(Mesh m, int[] triangles) {
        double[] xyz = new double[3 * m.pointCount()];
        for (int i = 0; i < m.pointCount(); i++) {
            xyz[3 * i] = m.x(i);
            xyz[3 * i + 1] = m.y(i);
            xyz[3 * i + 2] = m.z(i);
        }
        return new Mesh(xyz, triangles, new int[triangles.length / 3], ONE);
    }

    private static int[] triangles(Mesh m) {
        int[] t = new int[3 * m.triangleCount()];
        for (int e = 0; e < t.length; e++) {
            t[e] = m.corner(e / 3, e % 3);
        }
        return t;
    }

    @Test
    public void aSoupIsWeldedAndCanBeCut() {
        double v = SolidKernel.evaluate(bracket(), Tolerances.USUAL).volumeMm3();
        MeshMending.Mended m = MeshMending.mend("download", soup(bracket(), 1e-5), 1e-3);
        assertTrue(m.report().closed() && m.report().welded() > 100, m.report().words());
        assertEquals(m.mesh().volumeMm3(), v, 1e-2);
        Leaf leaf = MeshMending.mend("download", soup(bracket(), 0), 1e-4).leaf();
        Mesh cut = SolidKernel.evaluate(leaf.minus(Leaf.extrusion("slot", Profile.rectangle(10, 0, 4, 8), Placement.HERE, -1, 6)),
                Tolerances.USUAL);
        assertEquals(cut.volumeMm3(), v - 160, 1e-6);
        assertTrue(cut.faces().stream().anyMatch(f -> f.feature().equals("download")));
    }

    @Test
    public void insideOutAndMixedTrianglesAreTurned() {
        Mesh soup = soup(bracket(), 0);
        double v = soup.volumeMm3();
        int[] t = triangles(soup);
        for (int i = 0; i < t.length; i += 3) {
            swap(t, i);
        }
        MeshMending.Mended all = MeshMending.mend("x", with(soup, t), 1e-4);
        assertEquals(all.mesh().volumeMm3(), v, 1e-9);
        int[] some = triangles(soup);
        swap(some, 0);
        swap(some, 30);
        MeshMending.Mended mixed = MeshMending.mend("x", with(soup, some), 1e-4);
        assertEquals(mixed.mesh().volumeMm3(), v, 1e-9);
        assertTrue(mixed.report().words().contains("turned round"), mixed.report().words());
    }

    private static void swap(int[] t, int i) {
        int s = t[i];
        t[i] = t[i + 1];
        t[i + 1] = s;
    }

    @Test
    public void aCavityStaysACavity() {
        Mesh hollow = soup(Leaf.extrusion("block", Profile.rectangle(0, 0, 10, 10), Placement.HERE, 0, 10)
                .minus(Leaf.extrusion("void", Profile.rectangle(0, 0, 4, 4), Placement.HERE, 3, 7)), 0);
        MeshMending.Mended m = MeshMending.mend("x", hollow, 1e-4);
        assertEquals(m.mesh().volumeMm3(), 1000 - 64, 1e-9);
        assertEquals(m.report().pieces(), 2);
        assertEquals(m.report().flipped(), 0);
    }

    @Test
    public void doublesGoAndSmallHolesAreClosed() {
        Mesh soup = soup(bracket(), 0);
        int[] t = triangles(soup);
        int[] doubled = Arrays.copyOf(t, t.length + 3);
        System.arraycopy(t, 0, doubled, t.length, 3);
        MeshMending.Mended d = MeshMending.mend("x", with(soup, doubled), 1e-4);
        assertEquals(d.report().dropped(), 1);
        assertTrue(d.report().closed());
        MeshMending.Mended holed = MeshMending.mend("x", with(soup, Arrays.copyOf(t, t.length - 3)), 1e-4);
        assertTrue(holed.report().closed(), holed.report().words());
        assertEquals(holed.report().holesClosed(), 1);
        assertEquals(holed.mesh().volumeMm3(), soup.volumeMm3(), 1e-9);
    }

    @Test
    public void whatStaysOpenIsSaidAndCannotBeCut() {
        // A cylinder wall of 200 facets without its ends: holes too large to be guessed.
        Mesh tube = soup(Leaf.extrusion("tube", Profile.disc(0, 0, 50, 200), Placement.HERE, 0, 10), 0);
        int[] t = triangles(tube);
        int[] walls = new int[t.length];
        int n = 0;
        for (int i = 0; i < t.length; i += 3) {
            if (tube.z(t[i]) != tube.z(t[i + 1]) || tube.z(t[i]) != tube.z(t[i + 2])) {
                System.arraycopy(t, i, walls, n, 3);
                n += 3;
            }
        }
        MeshMending.Mended m = MeshMending.mend("tube", with(tube, Arrays.copyOf(walls, n)), 1e-4);
        assertFalse(m.report().closed());
        assertEquals(m.report().openEdges(), 400);
        assertTrue(m.report().words().contains("Still open at 400 edges"), m.report().words());
        assertTrue(expectThrows(SolidException.class, m::leaf).getMessage().contains("not closed"));
    }

    @Test
    public void emptyUnusableAndTooFineAreRefusedInWords() {
        assertTrue(expectThrows(SolidException.class, () -> MeshMending.mend("x",
                new Mesh(new double[0], new int[0], new int[0], ONE), 1e-4)).getMessage().contains("is empty"));
        assertTrue(expectThrows(SolidException.class, () -> MeshMending.mend("x",
                new Mesh(new double[] {0, 0, 0, Double.NaN, 0, 0, 0, 1, 0}, new int[] {0, 1, 2}, new int[1], ONE), 1e-4))
                .getMessage().contains("cannot be meant"));
        Solid ball = Revolution.leaf("ball", sphere(5, 130), Placement.HERE, 100, Revolution.Fit.WITHIN);
        MeshMending.Mended m = MeshMending.mend("ball", soup(ball, 0), 1e-6);
        assertTrue(m.report().closed());
        assertTrue(expectThrows(SolidException.class, m::leaf).getMessage().contains("as a neighbour"));
    }

    private static Profile sphere(double r, int steps) {
        double[] xy = new double[2 * (steps + 1)];
        for (int i = 0; i <= steps; i++) {
            double a = -Math.PI / 2 + Math.PI * i / steps;
            xy[2 * i] = i == 0 || i == steps ? 0 : r * Math.cos(a);
            xy[2 * i + 1] = r * Math.sin(a);
        }
        return Profile.of(xy);
    }

    /** A disc of 100,000 triangles round one corner, twice: what meets along an edge is found at once, and Stop is heard meanwhile. */
    @Test(timeOut = 20_000)
    public void manyTrianglesRoundOneCornerAreMended() {
        int n = 100_000;
        double[] xyz = new double[3 * (n + 2)];
        int[] tri = new int[6 * n];
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / n;
            xyz[3 * i] = 50 * Math.cos(a);
            xyz[3 * i + 1] = 50 * Math.sin(a);
            int j = (i + 1) % n;
            System.arraycopy(new int[] {n, i, j, n + 1, j, i}, 0, tri, 6 * i, 6);
        }
        xyz[3 * n + 2] = 5;
        xyz[3 * n + 5] = -5;
        Mesh spindle = new Mesh(xyz, tri, new int[2 * n], List.of());
        MeshMending.Mended m = MeshMending.mend("spindle", spindle, 1e-6);
        assertTrue(m.report().closed(), m.report().words());
        // Two cones of height 5 on a disc of radius 50: 2 · π r² h / 3.
        assertEquals(m.mesh().volumeMm3(), 2 * Math.PI * 2500 * 5 / 3, 1);
        int[] asks = {0};
        expectThrows(tinperch.solid.Stop.Stopped.class, () -> MeshMending.mend("spindle", spindle, 1e-6, () -> ++asks[0] > 5));
    }
}
