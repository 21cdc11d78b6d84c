package tinperch.solid;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.Map;
import org.testng.annotations.Test;
import tinperch.solid.kernel.SolidKernel;

/** What is left of a mesh after rounding to the floats that mesh files hold. */
public class SinglePrecisionTest {
    /** Joins corners by their coordinates as a reader of a bare triangle list does; answers the open edges. */
    private static int reread(Mesh m) {
        Map<Vec3, Integer> known = new HashMap<>();
        int[] tri = new int[3 * m.triangleCount()];
        for (int e = 0; e < tri.length; e++) {
            Vec3 p = m.point(m.corner(e / 3, e % 3));
            assertEquals(p.x(), (float) p.x(), 0);
            tri[e] = known.computeIfAbsent(p, k -> known.size());
        }
        for (int t = 0; t < tri.length; t += 3) {
            Vec3 a = m.point(m.corner(t / 3, 0));
            assertTrue(m.point(m.corner(t / 3, 1)).minus(a).cross(m.point(m.corner(t / 3, 2)).minus(a)).length() > 0);
        }
        return Neighbours.of(tri, known.size()).open();
    }

    private static Mesh written(Solid s) {
        return SinglePrecision.of(SolidKernel.evaluate(s, Tolerances.USUAL));
    }

    private static Leaf box(double x, double y, double z, double w) {
        return Leaf.extrusion("box " + x, Profile.rectangle(x + w / 2, y + w / 2, w, w), Placement.HERE, z, z + w);
    }

    @Test
    public void solidsTouchingAlongAnEdgeOrInAPointStayClosedWhenReread() {
        Mesh edge = written(Solid.union(box(0, 0, 0, 5), box(5, 5, 0, 5)));
        assertEquals(edge.openEdges(), 0);
        assertEquals(reread(edge), 0);
        assertEquals(edge.volumeMm3(), 250, 0.1);
        Mesh point = written(Solid.union(box(0, 0, 0, 5), box(5, 5, 5, 5)));
        assertEquals(reread(point), 0);
    }

    @Test
    public void slitsAndStepsSmallerThanAFloatCloseUp() {
        // At 100 mm a float steps by 7.6e-6 mm; these details are finer.
        for (double tiny : new double[] {1e-3, 1e-5, 3e-6, 1e-6}) {
            Mesh m = written(Solid.union(box(100, 100, 100, 10), box(110 - tiny, 100 + tiny, 100 + 2 * tiny, 10)));
            assertEquals(m.openEdges(), 0);
            assertEquals(reread(m), 0);
            assertEquals(m.volumeMm3(), 2000, 2);
        }
    }

    @Test
    public void anOrdinaryPartKeepsEveryTriangle() {
        Solid s = box(0, 0, 0, 20).minus(Leaf.extrusion("hole", Profile.hole(10, 10, 6, 48), Placement.HERE, -1, 30));
        Mesh m = SolidKernel.evaluate(s, Tolerances.USUAL);
        assertEquals(SinglePrecision.of(m).triangleCount(), m.triangleCount());
        assertEquals(reread(SinglePrecision.of(m)), 0);
    }
}
