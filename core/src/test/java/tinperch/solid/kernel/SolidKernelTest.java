package tinperch.solid.kernel;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Lettering;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;

public class SolidKernelTest {
    private static Leaf box(String name, double x, double y, double z, double w, double d, double h) {
        return Leaf.extrusion(name, Profile.rectangle(x + w / 2, y + d / 2, w, d), Placement.HERE, z, z + h);
    }

    private static Mesh closed(Solid s) {
        Mesh m = SolidKernel.evaluate(s, Tolerances.USUAL);
        assertEquals(m.openEdges(), 0, "every directed edge has its opposite exactly once");
        for (int t = 0; t < m.triangleCount(); t++) {
            Vec3 a = m.point(m.corner(t, 0));
            double area = m.point(m.corner(t, 1)).minus(a).cross(m.point(m.corner(t, 2)).minus(a)).length() / 2;
            assertTrue(area > 0, "a triangle without area");
        }
        return m;
    }

    private static void assertVolume(Solid s, double mm3) {
        assertEquals(closed(s).volumeMm3(), mm3, 1e-9 * Math.max(1, mm3));
    }

    @Test
    public void aBox() {
        Mesh m = closed(box("box", 1, 2, 3, 10, 20, 30));
        assertEquals(m.volumeMm3(), 6000, 6e-6);
        assertEquals(m.areaMm2(), 2 * (200 + 600 + 300), 1e-6);
        assertEquals(m.triangleCount(), 12);
        assertEquals(m.bounds().min(), new Vec3(1, 2, 3));
        assertEquals(m.bounds().max(), new Vec3(11, 22, 33));
    }

    @DataProvider
    public Object[][] trees() {
        Leaf a = box("a", 0, 0, 0, 10, 10, 10);
        double hole = 48 * 4 * Math.tan(Math.PI / 48);
        Leaf drill = Leaf.extrusion("drill", Profile.hole(5, 5, 4, 48), Placement.HERE, -1, 11);
        Leaf blind = Leaf.extrusion("blind", Profile.hole(5, 5, 4, 48), Placement.HERE, 4, 11);
        Leaf flush = Leaf.extrusion("flush", Profile.hole(5, 5, 4, 48), Placement.HERE, 0, 10);
        return new Object[][] {
            {"overlapping boxes", Solid.union(a, box("b", 5, 5, 5, 10, 10, 10)), 2000 - 125},
            {"side by side", Solid.union(a, box("b", 10, 0, 0, 5, 10, 10)), 1500},
            {"side by side, shifted", Solid.union(a, box("b", 10, 3, 2, 5, 10, 4)), 1200},
            {"apart", Solid.union(a, box("b", 30, 0, 0, 5, 5, 5)), 1125},
            {"the same twice", Solid.union(a, box("b", 0, 0, 0, 10, 10, 10)), 1000},
            {"one inside the other", Solid.union(a, box("b", 2, 2, 2, 3, 3, 3)), 1000},
            {"a hole right through", a.minus(drill), 1000 - 10 * hole},
            {"a blind hole", a.minus(blind), 1000 - 6 * hole},
            {"a hole flush with both sides", a.minus(flush), 1000 - 10 * hole},
            {"a hollow", a.minus(box("b", 2, 2, 2, 3, 3, 3)), 1000 - 27},
            {"a pocket flush with a side", a.minus(box("b", 0, 2, 2, 3, 3, 8)), 1000 - 72},
            {"common part", Solid.intersection(a, box("b", 5, 5, 5, 10, 10, 10)), 125},
            {"common part touching only", Solid.intersection(a, box("b", 10, 0, 0, 10, 10, 10)), 0},
            {"all cut away", a.minus(box("b", -1, -1, -1, 20, 20, 20)), 0},
            {"cut by itself", a.minus(box("b", 0, 0, 0, 10, 10, 10)), 0},
            {"an island in a hole", Solid.union(a.minus(box("b", 2, 2, -1, 6, 6, 12)), box("c", 4, 4, 0, 2, 2, 10)),
                1000 - 360 + 40},
            {"touching in an edge", Solid.union(a, box("b", 10, 10, 0, 10, 10, 10)), 2000},
            {"touching in half an edge", Solid.union(a, box("b", 10, 10, 5, 10, 10, 10)), 2000},
            {"touching in a corner", Solid.union(a, box("b", 10, 10, 10, 10, 10, 10)), 2000},
            {"nested differences", a.minus(box("b", 2, 2, -1, 6, 6, 12).minus(box("c", 4, 4, -2, 2, 2, 14))), 1000 - 360 + 40},
        };
    }

    @Test(dataProvider = "trees")
    public void treesHaveTheVolumeOfTheirClosedForm(String name, Solid tree, double mm3) {
        assertVolume(tree, mm3);
    }

    @Test
    public void turnedAndMirroredLeavesKeepTheirVolume() {
        Profile l = Profile.of(new double[] {0, 0, 6, 0, 6, 2, 2, 2, 2, 5, 0, 5});
        double mm3 = (12 + 6) * 3.0;
        assertVolume(Leaf.extrusion("l", l, Placement.along(new Vec3(3, 1, 2), new Vec3(1, 2, 3), Vec3.X), 0, 3), mm3);
        assertVolume(Leaf.extrusion("l", l, Placement.at(1, 1, 1).mirrored(Vec3.ZERO, Vec3.X), 0, 3), mm3);
    }

    @Test
    public void crossingDrillsLeaveTheRightRest() {
        // Two square tunnels of 4 × 4 crossing in a cube of 10: 1000 − 2·160 + 64.
        Solid s = box("cube", 0, 0, 0, 10, 10, 10).minus(box("t", 3, 3, -1, 4, 4, 12), box("u", -1, 3, 3, 12, 4, 4));
        assertVolume(s, 1000 - 320 + 64);
    }

    @Test
    public void aMillimetrePartKeepsNineDigits() {
        assertVolume(box("tiny", 0, 0, 0, 1, 1, 1).minus(box("hole", 0.3, 0.3, -1, 0.1, 0.1, 3)), 0.99);
    }

    @Test
    public void aHoleIsAHole() {
        Mesh m = closed(box("plate", 0, 0, 0, 20, 20, 5).minus(
                Leaf.extrusion("hole", Profile.hole(10, 10, 6, 48), Placement.HERE, -1, 6)));
        assertFalse(Fuzz.Membership.inMesh(m, new Vec3(10, 10, 2.5)), "the middle of the hole is air");
        assertTrue(Fuzz.Membership.inMesh(m, new Vec3(2, 2, 2.5)));
        // Euler: a body with one tunnel has V − E + F = 0.
        assertEquals(m.pointCount() - m.triangleCount() * 3 / 2 + m.triangleCount(), 0);
    }

    @Test
    public void facesKnowTheirFeature() {
        Mesh m = closed(box("plate", 0, 0, 0, 20, 20, 5).minus(
                Leaf.extrusion("hole A", Profile.hole(10, 10, 6, 24), Placement.HERE, -1, 6)));
        assertEquals(m.faces().stream().filter(f -> f.feature().equals("hole A")).count(), 24);
        assertEquals(m.faces().stream().filter(f -> f.feature().equals("plate")).count(), 6);
        for (int t = 0; t < m.triangleCount(); t++) {
            Mesh.Face f = m.faces().get(m.faceOf(t));
            for (int k = 0; k < 3; k++) {
                assertEquals(f.normal().dot(m.point(m.corner(t, k))), f.offset(), 1e-6);
            }
        }
    }

    @Test
    public void engravedLettersStayClosed() {
        List<Solid> cuts = new ArrayList<>();
        double area = 0;
        for (Profile p : Lettering.outlines("R48", 8, 1)) {
            cuts.add(Leaf.extrusion("mark", p, Placement.at(2, 2, 0), 4.4, 6));
            area += p.areaMm2();
        }
        assertVolume(box("plate", 0, 0, 0, 40, 14, 5).minus(cuts.toArray(Solid[]::new)), 40 * 14 * 5 - 0.6 * area);
    }

    @Test
    public void theReferencePartIsClosed() {
        Mesh m = closed(ReferencePart.of(8, 10, 24, 48));
        assertTrue(m.triangleCount() > 4000);
    }

    @Test
    public void theSameTreeGivesTheSameMesh() {
        Mesh a = SolidKernel.evaluate(ReferencePart.of(8, 10, 12, 24), Tolerances.USUAL);
        Mesh b = SolidKernel.evaluate(ReferencePart.of(8, 10, 12, 24), Tolerances.USUAL);
        assertEquals(a.triangleCount(), b.triangleCount());
        for (int t = 0; t < a.triangleCount(); t++) {
            for (int k = 0; k < 3; k++) {
                assertEquals(a.point(a.corner(t, k)), b.point(b.corner(t, k)));
            }
        }
    }

    @Test
    public void leavesWithoutThicknessOrWithWildNumbersAreRefused() {
        Profile p = Profile.rectangle(0, 0, 5, 5);
        SolidException e = expectThrows(SolidException.class, () -> Leaf.extrusion("rib", p, Placement.HERE, 3, 3));
        assertEquals(e.features(), List.of("rib"));
        assertTrue(e.getMessage().contains("no thickness"));
        expectThrows(SolidException.class, () -> Leaf.extrusion("rib", p, Placement.HERE, 0, Double.NaN));
        expectThrows(SolidException.class, () -> Leaf.extrusion("rib", p, Placement.HERE, 0, 1e9));
        expectThrows(SolidException.class, () -> Leaf.extrusion("rib", p, Placement.at(1e9, 0, 0), 0, 1));
    }

    @Test
    public void randomTreesAgreeWithTheirPointMembership() {
        int refused = 0;
        for (long seed = 1; seed <= 2500; seed++) {
            String fault = Fuzz.faultOf(seed);
            if (fault != null && fault.startsWith("refused")) {
                refused++;
            } else {
                assertEquals(fault, null, "seed " + seed);
            }
        }
        assertTrue(refused <= 3, refused + " trees refused");
    }
}
