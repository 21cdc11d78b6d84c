package tinperch.solid.query;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import org.testng.annotations.Test;
import tinperch.part.form.Lie;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** What stands on the bed, against closed forms; and the sides things can lie on. */
public class FootingTest {
    private static Leaf box(double x, double y, double z, double w, double d, double h) {
        return Leaf.extrusion("b" + x + y + z, Profile.rectangle(x + w / 2, y + d / 2, w, d), Placement.HERE, z, z + h);
    }

    private static Mesh mesh(Solid s) {
        return SolidKernel.evaluate(s, Tolerances.USUAL);
    }

    @Test
    public void aBoxStandsOnWhicheverSideItLies() {
        Mesh m = mesh(box(0, 0, 0, 20, 10, 40));
        double[][] wanted = {{200, 10, 40}, {200, 10, 40}, {400, 10, 20}, {400, 10, 20}, {800, 20, 10}, {800, 20, 10}};
        double[] diagonal = {Math.hypot(20, 10), Math.hypot(20, 10), Math.hypot(10, 40), Math.hypot(10, 40), Math.hypot(20, 40), Math.hypot(20, 40)};
        for (Lie l : Lie.values()) {
            Footing f = Footing.of(m, l.up());
            assertEquals(new double[] {f.areaMm2(), f.widthMm(), f.heightMm()}, wanted[l.ordinal()], 1e-9, l.word());
            assertEquals(f.lengthMm(), diagonal[l.ordinal()], 1e-9, l.word());
        }
    }

    @Test
    public void legsCountTogetherAndTurningAboutTheVerticalChangesNothing() {
        Mesh table = mesh(Solid.union(box(0, 0, 10, 40, 24, 3), box(0, 0, 0, 5, 5, 11), box(35, 0, 0, 5, 5, 11), box(0, 19, 0, 5, 5, 11), box(35, 19, 0, 5, 5, 11)));
        Random random = new Random(20261201);
        for (int i = 0; i < 20; i++) {
            Footing f = Footing.of(table.placed(Placement.HERE.turnedDeg(360 * random.nextDouble())), Vec3.Z);
            assertEquals(f.areaMm2(), 100, 1e-6);
            assertEquals(f.widthMm(), 24, 1e-6);
            assertEquals(f.lengthMm(), Math.hypot(40, 24), 1e-6);
            assertEquals(f.heightMm(), 13, 1e-6);
        }
        assertEquals(Footing.of(table, Vec3.Z.times(-1)).areaMm2(), 40 * 24, 1e-6);
    }

    @Test
    public void anEdgeIsNoFoot() {
        Mesh roof = mesh(Leaf.extrusion("roof", Profile.of(new double[] {0, 0, 20, 10, 0, 20}), Placement.HERE, 0, 30));
        Footing f = Footing.of(roof, Lie.RIGHT.up());
        assertEquals(f.areaMm2(), 0, 1e-9);
        assertEquals(f.widthMm(), 0, 1e-9);
        assertEquals(f.heightMm(), 20, 1e-9);
        assertEquals(Footing.of(roof, Lie.LEFT.up()).areaMm2(), 600, 1e-6);
    }

    /** Bottom is where z is least, front where y is, left where x is: that side comes to lie lowest, and nothing is mirrored. */
    @Test
    public void eachSideIsLaidDown() {
        Vec3[] sides = {new Vec3(0, 0, -1), new Vec3(0, 0, 1), new Vec3(-1, 0, 0), new Vec3(1, 0, 0), new Vec3(0, -1, 0), new Vec3(0, 1, 0)};
        Mesh m = mesh(box(3, -4, 5, 20, 10, 40));
        for (Lie l : Lie.values()) {
            Placement t = l.turn();
            assertEquals(t.turned(sides[l.ordinal()]), new Vec3(0, 0, -1), l.word());
            assertEquals(t.u().cross(t.v()), t.w(), l.word());
            assertEquals(t.turned(l.up()), Vec3.Z, l.word());
            Bounds b = m.placed(t).bounds();
            assertEquals(l.sizeMm(m.bounds().size()), b.size(), l.word());
            assertTrue(m.placed(t).volumeMm3() > 0, "inside stays inside");
        }
    }
}
