package tinperch.solid.kernel;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import java.util.stream.IntStream;
import org.testng.annotations.Test;
import tinperch.solid.Mesh;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;

/** Whoever's hands do the work and whatever was remembered, the mesh is the same to the last digit. */
public class MemoryTest {
    private static final Hands MANY = (count, work) -> IntStream.range(0, count).parallel().forEach(work);

    private static void assertSame(Mesh a, Mesh b) {
        assertEquals(a.pointCount(), b.pointCount());
        assertEquals(a.triangleCount(), b.triangleCount());
        for (int i = 0; i < a.pointCount(); i++) {
            assertEquals(a.point(i), b.point(i));
        }
        for (int t = 0; t < a.triangleCount(); t++) {
            assertEquals(a.faceOf(t), b.faceOf(t));
            for (int k = 0; k < 3; k++) {
                assertEquals(a.corner(t, k), b.corner(t, k));
            }
        }
        for (int f = 0; f < a.faces().size(); f++) {
            assertEquals(a.faces().get(f).feature(), b.faces().get(f).feature());
        }
    }

    @Test
    public void aMovedHoleAThickerPlateAndAnAddedHoleAreRight() {
        PlaneMemory memory = new PlaneMemory();
        Random r = new Random(1);
        for (int i = 0; i < 12; i++) {
            Solid s = ReferencePart.of(i % 4 == 3 ? 8.5 : 8, 10 + r.nextInt(4), i % 5 == 4 ? 27 : 24, 24);
            Mesh remembered = SolidKernel.evaluate(s, Tolerances.USUAL, i % 2 == 0 ? MANY : Hands.ONE, memory);
            assertSame(remembered, SolidKernel.evaluate(s, Tolerances.USUAL));
        }
    }

    @Test
    public void randomTreesSharingOneMemoryAreRight() {
        PlaneMemory memory = new PlaneMemory();
        for (long seed = 1; seed < 120; seed++) {
            Solid s = new RandomTrees(seed / 2, true).next();
            Mesh plain;
            try {
                plain = SolidKernel.evaluate(s, Tolerances.USUAL);
            } catch (tinperch.solid.SolidException e) {
                continue;
            }
            assertSame(SolidKernel.evaluate(s, Tolerances.USUAL, MANY, memory), plain);
        }
    }

    @Test
    public void theReferencePartHasItsLeavesAndIsClosed() {
        Solid s = ReferencePart.of(8, 10, 24, 48);
        assertEquals(new TreeLogic(s).leaves().size(), 46);
        Mesh m = SolidKernel.evaluate(s, Tolerances.USUAL);
        assertEquals(m.openEdges(), 0);
        assertTrue(m.triangleCount() > 6000);
    }
}
