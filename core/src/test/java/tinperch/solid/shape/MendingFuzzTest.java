package tinperch.solid.shape;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** Random damage to a sound mesh: the report is right, nothing crashes, small damage is undone. */
public class MendingFuzzTest {
    private static final Mesh SOUND = SolidKernel.evaluate(
            Leaf.extrusion("plate", Profile.rectangle(0, 0, 30, 20), Placement.HERE, 0, 5)
                    .minus(Leaf.extrusion("hole", Profile.hole(4, 2, 7, 20), Placement.HERE, -1, 6)), Tolerances.USUAL);
    private static final List<Mesh.Face> ONE = List.of(new Mesh.Face("x", Vec3.Z, 0, List.of()));

    /** Triangles with corners of their own, in random order. */
    private static double[] soup(Random r) {
        int n = SOUND.triangleCount();
        double[] xyz = new double[9 * n];
        int[] order = new int[n];
        for (int i = 0; i < n; i++) {
            int j = r.nextInt(i + 1);
            order[i] = order[j];
            order[j] = i;
        }
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < 3; k++) {
                Vec3 p = SOUND.point(SOUND.corner(order[i], k));
                xyz[9 * i + 3 * k] = p.x();
                xyz[9 * i + 3 * k + 1] = p.y();
                xyz[9 * i + 3 * k + 2] = p.z();
            }
        }
        return xyz;
    }

    private static Mesh mesh(double[] xyz) {
        int[] t = new int[xyz.length / 3];
        Arrays.setAll(t, i -> i);
        return new Mesh(xyz, t, new int[t.length / 3], ONE);
    }

    private static void turn(double[] xyz, int triangle) {
        for (int a = 0; a < 3; a++) {
            double s = xyz[9 * triangle + a];
            xyz[9 * triangle + a] = xyz[9 * triangle + 3 + a];
            xyz[9 * triangle + 3 + a] = s;
        }
    }

    @Test
    public void anyTrianglesTurnedAndDoubledAreUndone() {
        for (int seed = 0; seed < 150; seed++) {
            Random r = new Random(seed);
            double[] xyz = soup(r);
            int n = xyz.length / 9;
            for (int i = 0; i < n; i++) {
                if (r.nextInt(3) == 0) {
                    turn(xyz, i);
                }
            }
            int doubles = r.nextInt(4);
            double[] more = Arrays.copyOf(xyz, xyz.length + 9 * doubles);
            for (int d = 0; d < doubles; d++) {
                System.arraycopy(xyz, 9 * r.nextInt(n), more, xyz.length + 9 * d, 9);
            }
            MeshMending.Mended m = MeshMending.mend("x", mesh(more), 1e-5);
            assertTrue(m.report().closed(), "seed " + seed + ": " + m.report().words());
            assertEquals(m.mesh().volumeMm3(), SOUND.volumeMm3(), 1e-9 * SOUND.volumeMm3());
            assertEquals(m.report().dropped(), doubles);
            assertEquals(m.report().pieces(), 1);
        }
    }

    @Test
    public void missingTrianglesAreClosedOrCounted() {
        for (int seed = 0; seed < 150; seed++) {
            Random r = new Random(seed);
            double[] xyz = soup(r);
            int gone = 1 + r.nextInt(6);
            MeshMending.Mended m = MeshMending.mend("x", mesh(Arrays.copyOf(xyz, xyz.length - 9 * gone)), 1e-5);
            int open = 0;
            for (int e = 0; e < 3 * m.mesh().triangleCount(); e++) {
                open += m.mesh().neighbours().opposite(e) < 0 ? 1 : 0;
            }
            assertEquals(m.report().openEdges(), open, "seed " + seed);
            if (m.report().closed()) {
                assertTrue(m.report().holesClosed() > 0);
                assertEquals(m.mesh().volumeMm3(), SOUND.volumeMm3(), 0.25 * SOUND.volumeMm3());
            }
        }
    }

    @Test
    public void garbageIsRefusedOrReportedNeverWorse() {
        for (int seed = 0; seed < 300; seed++) {
            Random r = new Random(seed);
            double[] xyz = soup(r);
            for (int hits = r.nextInt(12); hits >= 0; hits--) {
                int i = r.nextInt(xyz.length);
                xyz[i] = switch (r.nextInt(6)) {
                    case 0 -> Double.NaN;
                    case 1 -> Double.POSITIVE_INFINITY;
                    case 2 -> 1e12;
                    case 3 -> xyz[r.nextInt(xyz.length)];
                    case 4 -> -xyz[i];
                    default -> xyz[i] + r.nextGaussian();
                };
            }
            try {
                MeshMending.Mended m = MeshMending.mend("x", mesh(xyz), 1e-5);
                assertEquals(m.mesh().openEdges(), m.report().openEdges());
                assertTrue(Double.isFinite(m.mesh().volumeMm3()));
            } catch (SolidException e) {
                assertTrue(e.getMessage().contains("“x”"), e.getMessage());
            }
        }
    }
}
