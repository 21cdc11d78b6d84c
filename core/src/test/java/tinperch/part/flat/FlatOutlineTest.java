package tinperch.part.flat;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.part.form.Cavity;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

public class FlatOutlineTest {
    private static final Solid PLATE = Leaf.extrusion("plate", Profile.rectangle(0, 0, 60, 40), Placement.HERE, 0, 5);
    private static final Solid BOSS = Leaf.extrusion("boss", Profile.disc(10, 5, 12, 48), Placement.HERE, 5, 20);

    private static Solid drilled(String name, double x, double y, double d, double from, double to) {
        return Leaf.extrusion(name, Profile.hole(x, y, d, 48), Placement.HERE, from, to);
    }

    private static Cavity hole(String name, double x, double y, double z, double d, double deep) {
        return Cavity.hole(name, name, name, new Placement(new Vec3(x, y, z), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1)), d, deep);
    }

    private static Mesh made(Solid s) {
        return SolidKernel.evaluate(s, Tolerances.USUAL);
    }

    private static double area(double[] ring) {
        double twice = 0;
        for (int i = 0; i < ring.length; i += 2) {
            int j = (i + 2) % ring.length;
            twice += ring[i] * ring[j + 1] - ring[j] * ring[i + 1];
        }
        return twice / 2;
    }

    @Test
    public void thePlateIsSeenNotTheBossOnIt() {
        Mesh m = made(Solid.union(PLATE, BOSS).minus(drilled("a", -20, 0, 3.4, -1, 6), Leaf.extrusion("window", Profile.rectangle(20, -10, 8, 6), Placement.HERE, -1, 6)));
        FlatOutline o = FlatOutline.of(m, List.of(hole("a", -20, 0, 5, 3.4, 5)));
        assertEquals(o.outlines().size(), 1);
        assertEquals(area(o.outlines().get(0)), 2400, 1e-6);
        assertTrue(o.heightMm() > 0 && o.heightMm() < 5, "at " + o.heightMm());
        assertEquals(o.holes(), List.of(new RoundHole(-20, 0, 3.4, "a")));
        assertEquals(o.cutouts().size(), 1);
        assertEquals(area(o.cutouts().get(0)), -48, 1e-6);
        assertEquals(o.frame().orElseThrow(), new double[] {-30, -20, 30, 20});
    }

    /** What is cut there decides: the recess above a hole has its own size, a hole declared elsewhere or of another size is no round one. */
    @Test
    public void aHoleIsTakenForRoundOnlyWhereItIsThatHole() {
        Mesh m = made(PLATE.minus(drilled("a", 0, 0, 3.4, -1, 6)));
        assertEquals(FlatOutline.of(m, List.of(hole("a", 0, 0, 5, 6.5, 5))).holes(), List.of());
        assertEquals(FlatOutline.of(m, List.of(hole("a", 1, 0, 5, 3.4, 5))).holes(), List.of());
        assertEquals(FlatOutline.of(m, List.of()).cutouts().size(), 1);
        Cavity lying = Cavity.hole("a", "a", "a", Placement.along(Vec3.ZERO, Vec3.X, Vec3.Y), 3.4, 5);
        assertEquals(FlatOutline.of(m, List.of(lying)).holes(), List.of());
    }

    /** A blind recess counts only down to its floor. */
    @Test
    public void aRecessThatDoesNotReachTheSectionIsNoHole() {
        Mesh m = made(PLATE.minus(drilled("a", 0, 0, 3.4, -1, 6)));
        Cavity shallow = new Cavity("a", "a", "a", Cavity.Purpose.HEAD, new Placement(new Vec3(0, 0, 5), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1)), 3.4, 0, 0.5, false, 0, List.of());
        FlatOutline o = FlatOutline.of(m, List.of(shallow));
        assertTrue(o.heightMm() < 4.4, "section at " + o.heightMm());
        assertEquals(o.holes(), List.of());
    }

    @Test
    public void nothingHasNoOutline() {
        FlatOutline o = FlatOutline.of(new Mesh(new double[0], new int[0], new int[0], List.of()), List.of());
        assertTrue(o.outlines().isEmpty() && o.frame().isEmpty());
    }
}
