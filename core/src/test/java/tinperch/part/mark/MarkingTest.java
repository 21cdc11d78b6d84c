package tinperch.part.mark;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.SolidKernel;

/** Marks of any height on a plate. */
public class MarkingTest {
    /** At some heights strokes meet a rounding apart, and what was left of an edge there had no direction. */
    @Test
    public void everyHeightIsEngravedAndClosed() {
        Mesh plate = SolidKernel.evaluate(Leaf.extrusion("plate", Profile.rectangle(0.1, 0.7, 160, 40), Placement.HERE, 0, 4), Tolerances.USUAL);
        for (int i = 0; i < 900; i++) {
            double height = 4 + 0.01 * i;
            String text = "R" + i % 100 + (i % 2 == 0 ? " L" : " R");
            Mesh marked = Marking.on(plate, text, height).orElseThrow().in(plate).orElseThrow(() -> new AssertionError(text + " at " + height));
            assertEquals(marked.openEdges(), 0, text + " at " + height);
            assertTrue(marked.volumeMm3() < plate.volumeMm3(), text + " at " + height);
        }
    }
}
