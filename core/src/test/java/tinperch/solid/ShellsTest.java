package tinperch.solid;

import static org.testng.Assert.assertEquals;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.Shells;

/** Bodies of a mesh counted and weighed. */
public class ShellsTest {
    private static Leaf box(double x, double size) {
        return Leaf.extrusion("box", Profile.rectangle(x, 0, size, size), Placement.HERE, 0, size);
    }

    @Test
    public void looseBodiesAreCountedLargestFirst() {
        assertEquals(volumes(new Solid.Union(List.of(box(0, 4), box(50, 2), box(100, 3)))), List.of(64L, 27L, 8L));
        assertEquals(volumes(box(0, 4)), List.of(64L));
    }

    @Test
    public void aHollowIsNoBodyOfItsOwnButWhatFloatsInItIs() {
        Solid hollow = new Solid.Difference(Leaf.extrusion("shell", Profile.rectangle(0, 0, 10, 10), Placement.HERE, 0, 10), List.of(Leaf.extrusion("hollow", Profile.rectangle(0, 0, 6, 6), Placement.HERE, 2, 8)));
        assertEquals(Shells.bodiesMm3(SolidKernel.evaluate(hollow, Tolerances.USUAL)).size(), 1);
        Solid rattle = new Solid.Union(List.of(hollow, Leaf.extrusion("ball", Profile.rectangle(0, 0, 2, 2), Placement.HERE, 4, 6)));
        assertEquals(Shells.bodiesMm3(SolidKernel.evaluate(rattle, Tolerances.USUAL)).size(), 2);
    }

    private static List<Long> volumes(Solid s) {
        return Shells.bodiesMm3(SolidKernel.evaluate(s, Tolerances.USUAL)).stream().map(Math::round).toList();
    }
}
