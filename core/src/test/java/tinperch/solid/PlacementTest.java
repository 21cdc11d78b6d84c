package tinperch.solid;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;

public class PlacementTest {
    @Test
    public void alongPutsLocalZOnTheDirection() {
        Placement p = Placement.along(new Vec3(1, 2, 3), new Vec3(0, 0, -5), Vec3.X);
        Vec3 q = p.point(0, 0, 2);
        assertEquals(q.z(), 1, 1e-12);
        assertFalse(p.isMirror());
        assertThrows(SolidException.class, () -> Placement.along(Vec3.ZERO, Vec3.Z, Vec3.Z));
        assertThrows(SolidException.class, () -> Placement.along(Vec3.ZERO, Vec3.ZERO, Vec3.X));
    }

    @Test
    public void aQuarterTurnCarriesXToY() {
        Vec3 p = Placement.HERE.turnedDeg(90).point(1, 0, 0);
        assertEquals(p.x(), 0, 1e-12);
        assertEquals(p.y(), 1, 1e-12);
    }

    @Test
    public void mirroringTwiceIsNothing() {
        Placement p = Placement.at(3, 4, 5).mirrored(new Vec3(1, 0, 0), Vec3.X);
        assertTrue(p.isMirror());
        assertEquals(p.point(0, 0, 0).x(), -1, 1e-12);
        Placement back = p.mirrored(new Vec3(1, 0, 0), Vec3.X);
        assertFalse(back.isMirror());
        assertEquals(back.point(1, 1, 1), new Vec3(4, 5, 6));
    }

    @Test
    public void boundsOverlapWithinSlack() {
        Bounds a = Bounds.of(new double[] {0, 0, 0, 1, 1, 1});
        Bounds b = Bounds.of(new double[] {1.05, 0, 0, 2, 1, 1});
        assertFalse(a.overlaps(b, 0.01));
        assertTrue(a.overlaps(b, 0.1));
        assertEquals(a.centre(), new Vec3(0.5, 0.5, 0.5));
        assertEquals(b.size().x(), 0.95, 1e-12);
    }
}
