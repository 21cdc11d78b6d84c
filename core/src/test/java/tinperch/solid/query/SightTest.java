package tinperch.solid.query;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** Sights against rays, and places on triangles against a fine search. */
public class SightTest {
    private static Mesh plateWithHoles() {
        return SolidKernel.evaluate(new Solid.Difference(Leaf.extrusion("plate", Profile.roundedRectangle(0, 0, 60, 40, 6, 8), Placement.HERE, 0, 5),
                List.of(Leaf.extrusion("a", Profile.hole(-12, 0, 10, 48), Placement.HERE, -1, 6), Leaf.extrusion("b", Profile.hole(14, 5, 6, 48), Placement.HERE, -1, 6))), Tolerances.USUAL);
    }

    /** A line is blocked where a ray along it meets something before its end, and nowhere else. */
    @Test
    public void sightsAgreeWithRays() {
        TriangleTree tree = TriangleTree.of(plateWithHoles());
        Rays rays = new Rays(tree);
        Random dice = new Random(17);
        int blocked = 0;
        for (int k = 0; k < 4000; k++) {
            Vec3 a = new Vec3(80 * dice.nextDouble() - 40, 60 * dice.nextDouble() - 30, 30 * dice.nextDouble() - 12);
            Vec3 b = new Vec3(80 * dice.nextDouble() - 40, 60 * dice.nextDouble() - 30, 30 * dice.nextDouble() - 12);
            double length = b.minus(a).length();
            boolean expected = rays.hits(a, b.minus(a)).stream().anyMatch(h -> h.distanceMm() > 1e-6 && h.distanceMm() < length - 1e-6);
            boolean is = Sight.blocked(tree, a, b);
            blocked += is ? 1 : 0;
            assertEquals(is, expected, a + " to " + b);
        }
        assertTrue(blocked > 500 && blocked < 3500, blocked + " of 4000");
    }

    @Test
    public void throughAHoleOneSees() {
        TriangleTree tree = TriangleTree.of(plateWithHoles());
        assertFalse(Sight.blocked(tree, new Vec3(-12, 0, 20), new Vec3(-12, 0, -20)));
        assertFalse(Sight.blocked(tree, new Vec3(-12, 0, 20), new Vec3(-10, 1, -20)));
        assertTrue(Sight.blocked(tree, new Vec3(-12, 0, 20), new Vec3(12, 0, -20)));
        assertTrue(Sight.blocked(tree, new Vec3(0, 0, 20), new Vec3(0, 0, -20)));
        assertFalse(Sight.blocked(tree, new Vec3(0, 0, 20), new Vec3(0, 0, 6)), "it ends before it");
        assertEquals(Sight.freeMm(tree, new Vec3(0, 0, 20), Vec3.Z.times(-1), 70, 0.01), 15, 0.011, "down to the plate");
        assertEquals(Sight.freeMm(tree, new Vec3(-12, 0, 20), Vec3.Z.times(-1), 70, 0.01), 70, 0, "through the hole");
        assertFalse(Sight.blocked(TriangleTree.of(Mesh.gathered(List.of())), Vec3.ZERO, Vec3.X), "nothing blocks nothing");
    }

    /** The nearest place of a triangle against all of a fine grid on it. */
    @Test
    public void theNearestPlaceOfATriangleIsThatOfAFineSearch() {
        Random dice = new Random(5);
        for (int k = 0; k < 200; k++) {
            Vec3 a = new Vec3(dice.nextDouble() * 10, dice.nextDouble() * 10, dice.nextDouble() * 10);
            Vec3 b = new Vec3(dice.nextDouble() * 10, dice.nextDouble() * 10, dice.nextDouble() * 10);
            Vec3 c = new Vec3(dice.nextDouble() * 10, dice.nextDouble() * 10, dice.nextDouble() * 10);
            Vec3 p = new Vec3(dice.nextDouble() * 20 - 5, dice.nextDouble() * 20 - 5, dice.nextDouble() * 20 - 5);
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i <= 60; i++) {
                for (int j = 0; i + j <= 60; j++) {
                    least = Math.min(least, a.plus(b.minus(a).times(i / 60.0)).plus(c.minus(a).times(j / 60.0)).minus(p).length());
                }
            }
            double found = Nearest.onTriangle(p, a, b, c).minus(p).length();
            assertTrue(found <= least + 1e-9 && found > least - 0.3, found + " against " + least);
        }
    }
}
