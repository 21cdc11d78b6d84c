package tinperch.solid.shape;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** Volumes of all makers against closed forms, and what they refuse. */
public class ShapesTest {
    private static final Placement ODD = Placement.along(new Vec3(3, -2, 5), new Vec3(1, 2, 2), Vec3.X);

    private static double volume(Solid s) {
        Mesh m = SolidKernel.evaluate(s, Tolerances.USUAL);
        assertEquals(m.openEdges(), 0);
        return m.volumeMm3();
    }

    /** Area of a regular polygon with its corners on the circle. */
    private static double polygon(double r, int n) {
        return n * r * r * Math.sin(2 * Math.PI / n) / 2;
    }

    @DataProvider
    public Object[][] volumes() {
        Profile square = Profile.rectangle(0, 0, 10, 10);
        Profile frame = Profile.of(new double[] {-10, -10, 10, -10, 10, 10, -10, 10}, new double[] {-5, -5, 5, -5, 5, 5, -5, 5});
        double in = 10 - 2 * 4 * Math.tan(Math.toRadians(10));
        return new Object[][] {
            // Frustum of a pyramid: h/3 · (A + B + √(AB)).
            {"draft", Extrusion.of(square, ODD, 0, 4).draft(10).leaf("x"), 4 / 3.0 * (100 + in * in + 10 * in)},
            {"chamfer", Extrusion.of(square, ODD, 0, 4).finish(Finish.SHARP, Finish.chamfer(1)).leaf("x"),
                300 + (100 + 64 + 80) / 3.0},
            // A hole's edge is chamfered into the material: its opening grows.
            {"chamfered frame", Extrusion.of(frame, ODD, 0, 4).finish(Finish.chamfer(1), Finish.SHARP).leaf("x"),
                3 * 300.0 + (400 + 324 + 360) / 3.0 - (100 + 144 + 120) / 3.0},
            {"cone", Revolution.leaf("x", Profile.of(new double[] {0, 0, 6, 0, 0, 9}), ODD, 32, Revolution.Fit.WITHIN),
                polygon(6, 32) * 9 / 3},
            {"bored ring", Revolution.leaf("x", Profile.rectangle(7, 2, 4, 4), ODD, 24, Revolution.Fit.WITHIN),
                4 * (polygon(9, 24) - polygon(5, 24))},
            {"bore", Revolution.leaf("x", Profile.of(new double[] {0, 0, 3, 0, 3, 5, 0, 5}), ODD, 20, Revolution.Fit.AROUND),
                5 * 20 * 9 * Math.tan(Math.PI / 20)},
            // Prismatoid: h/6 · (A + 4M + B), M the middle section of a rectangle going into another.
            {"loft", Loft.leaf("x", List.of(ring(10, 6, 0), ring(4, 8, 12))), 12 / 6.0 * (60 + 4 * 7 * 7 + 32)},
            {"half space", Leaf.extrusion("x", square, Placement.HERE, 0, 10).minus(HalfSpace.beyond("cut", new Vec3(0, 0, 5),
                    new Vec3(1, 0, 1), new tinperch.solid.Bounds(new Vec3(-5, -5, 0), new Vec3(5, 5, 10)))), 500.0},
            {"hull of a cube's corners and inner points", ConvexHull.leaf("x", cubeAndMore()), 1000.0},
            {"a row of four", Pattern.of(Leaf.extrusion("x", Profile.rectangle(0, 0, 1, 1), Placement.HERE, 0, 1),
                    Pattern.linear(4, new Vec3(2, 0, 0))), 4.0},
            {"round an axis", Pattern.of(Leaf.extrusion("x", Profile.rectangle(10, 0, 1, 1), Placement.HERE, 0, 1),
                    Pattern.circular(6, Vec3.ZERO, Vec3.Z, 360)), 6.0},
            {"grid", Pattern.of(Leaf.extrusion("x", Profile.rectangle(0, 0, 1, 1), Placement.HERE, 0, 1),
                    Pattern.grid(3, new Vec3(2, 0, 0), 2, new Vec3(0, 3, 0))), 6.0},
            {"mirrored", Pattern.mirrored(Leaf.extrusion("x", Profile.of(new double[] {0, 0, 4, 0, 0, 3}), Placement.HERE, 0, 2)
                    .minus(Leaf.extrusion("y", Profile.rectangle(1, 1, 1, 1), Placement.HERE, -1, 1)), Vec3.ZERO, Vec3.X), 11.0},
            {"disc", Leaf.extrusion("x", Profile.disc(0, 0, 10, 16), Placement.HERE, 0, 1), polygon(5, 16)},
        };
    }

    private static Vec3[] ring(double w, double h, double z) {
        return new Vec3[] {new Vec3(-w / 2, -h / 2, z), new Vec3(w / 2, -h / 2, z), new Vec3(w / 2, h / 2, z),
            new Vec3(-w / 2, h / 2, z)};
    }

    private static List<Vec3> cubeAndMore() {
        List<Vec3> all = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            all.add(new Vec3(10 * (i & 1), 10 * (i >> 1 & 1), 10 * (i >> 2)));
        }
        Random r = new Random(4);
        for (int i = 0; i < 60; i++) {
            all.add(new Vec3(10 * r.nextDouble(), 10 * r.nextDouble(), i % 4 == 0 ? 10 : 10 * r.nextDouble()));
        }
        return all;
    }

    @Test(dataProvider = "volumes")
    public void volumeIsThatOfTheClosedForm(String name, Solid solid, double expected) {
        assertEquals(volume(solid), expected, 1e-9 * expected, name);
    }

    @Test
    public void aRoundedEdgeApproachesTheQuarterCircle() {
        // Along four straight edges of length L a round of radius r takes (1 − π/4) r² L; mitred corners take a little more.
        Leaf fine = Extrusion.of(Profile.rectangle(0, 0, 40, 40), Placement.HERE, 0, 10)
                .finish(Finish.SHARP, Finish.round(2, 60)).leaf("x");
        double perEdge = (1 - Math.PI / 4) * 4;
        // Each level of the round is a square: ∫ (40 − 2·in)² over the height is summed here.
        double exact = 40 * 40 * 8;
        int n = 200_000;
        for (int i = 0; i < n; i++) {
            double a = Math.PI / 2 * (i + 0.5) / n;
            double in = 2 * (1 - Math.cos(a));
            exact += (40 - 2 * in) * (40 - 2 * in) * 2 * Math.cos(a) * Math.PI / 2 / n;
        }
        assertEquals(volume(fine), exact, 0.1, "chords of 1.5° stay within the arc");
        assertEquals(16_000 - exact, 4 * 40 * perEdge, 4 * 40 * perEdge * 0.06);
    }

    @Test
    public void aRectangleGoesIntoACircleWithTheCornersOfBoth() {
        Leaf duct = Loft.between("duct", Profile.rectangle(0, 0, 20, 10), Placement.HERE, Profile.disc(0, 0, 12, 16),
                Placement.at(0, 0, 15));
        assertEquals(duct.cornerCount() % 2, 0);
        assertTrue(duct.cornerCount() / 2 >= 16 && duct.cornerCount() / 2 <= 20);
        double v = volume(duct);
        assertTrue(v > 15 * polygon(6, 16) && v < 15 * 200.0);
        // Mirrored in plan it holds the same.
        Placement m = Placement.HERE.mirrored(Vec3.ZERO, Vec3.X);
        assertEquals(volume(Loft.between("duct", Profile.rectangle(0, 0, 20, 10), m, Profile.disc(0, 0, 12, 16),
                new Placement(new Vec3(0, 0, 15), m.u(), m.v(), m.w()))), v, 1e-9 * v);
    }

    @Test
    public void profilesGrowShrinkAndJoin() {
        Profile square = Profile.rectangle(0, 0, 10, 10);
        assertEquals(Profiles.offset(square, 2, 64).get(0).areaMm2(), 100 + 4 * 20 + Math.PI * 4, 0.01);
        assertEquals(Profiles.offset(square, -2, 8).get(0).areaMm2(), 36, 1e-9);
        assertTrue(Profiles.offset(square, -6, 8).isEmpty());
        assertEquals(Profiles.union(List.of(square, Profile.rectangle(5, 0, 10, 10))).get(0).areaMm2(), 150, 1e-9);
        assertEquals(Profiles.difference(square, List.of(Profile.rectangle(0, 0, 2, 20))).size(), 2);
        assertEquals(Profiles.hull(List.of(Profile.rectangle(0, 0, 2, 2), Profile.rectangle(10, 0, 2, 2))).areaMm2(), 24, 1e-9);
        Profile slot = Profiles.slot(0, 0, 20, 6, 24);
        assertTrue(slot.areaMm2() >= 120 + Math.PI * 9, "flats on the circle: never smaller than meant");
        assertEquals(slot.areaMm2(), 120 + Math.PI * 9, 0.1);
    }

    @DataProvider
    public Object[][] refusals() {
        Profile square = Profile.rectangle(0, 0, 10, 10);
        Profile thin = Profile.of(new double[] {-10, -10, 10, -10, 10, 10, -10, 10}, new double[] {-9, -9, 9, -9, 9, 9, -9, 9});
        return new Object[][] {
            {"vanishes", (Runnable) () -> Extrusion.of(square, ODD, 0, 40).draft(20).leaf("x")},
            {"runs into itself", (Runnable) () -> Extrusion.of(thin, ODD, 0, 4).finish(Finish.SHARP, Finish.chamfer(0.6)).leaf("x")},
            {"leave nothing", (Runnable) () -> Extrusion.of(square, ODD, 0, 2).finish(Finish.chamfer(1), Finish.chamfer(1)).leaf("x")},
            {"no thickness", (Runnable) () -> Extrusion.of(square, ODD, 3, 3).draft(1).leaf("x")},
            {"rings of 4 and of 3", (Runnable) () -> Loft.leaf("x", List.of(ring(2, 2, 0),
                    new Vec3[] {Vec3.ZERO, Vec3.X, Vec3.Y}))},
            {"folds between", (Runnable) () -> Loft.leaf("x", List.of(ring(2, 2, 0), reversed(ring(2, 2, 3))))},
            {"crosses itself", (Runnable) () -> Loft.leaf("x", List.of(ring(10, 10, 0), tilted()))},
            {"not a number", (Runnable) () -> Loft.leaf("x", List.of(ring(2, 2, 0), ring(Double.NaN, 2, 3)))},
            {"one plane", (Runnable) () -> ConvexHull.leaf("x", List.of(ring(2, 2, 0)))},
            {"own axis", (Runnable) () -> Revolution.leaf("x", Profile.rectangle(0, 0, 4, 4), ODD, 24, Revolution.Fit.WITHIN)},
            {"single corner", (Runnable) () -> Revolution.leaf("x", Profile.of(new double[] {0, 0, 3, -2, 3, 2}), ODD, 24,
                    Revolution.Fit.WITHIN)},
            {"pattern of 0", (Runnable) () -> Pattern.linear(0, Vec3.X)},
            {"zero length", (Runnable) () -> HalfSpace.beyond("x", Vec3.ZERO, Vec3.ZERO,
                    new tinperch.solid.Bounds(Vec3.ZERO, Vec3.X))},
            {"cannot be made", (Runnable) () -> Profile.rectangle(0, 0, 1e9, 2)},
            {"crosses itself", (Runnable) () -> Profile.of(new double[] {0, 0, 4, 4, 4, 0, 0, 4})},
        };
    }

    private static Vec3[] reversed(Vec3[] r) {
        return new Vec3[] {r[3], r[2], r[1], r[0]};
    }

    /** Leaning so far that one side dips through a square at zero. */
    private static Vec3[] tilted() {
        return new Vec3[] {new Vec3(-4, -4, -3), new Vec3(4, -4, 13), new Vec3(4, 4, 13), new Vec3(-4, 4, -3)};
    }

    @Test(dataProvider = "refusals")
    public void whatCannotBeMadeIsRefusedInWords(String words, Runnable make) {
        SolidException e = expectThrows(SolidException.class, make::run);
        assertTrue(e.getMessage().contains(words), e.getMessage());
    }

    @Test
    public void aLeafThatIsOpenOrNotFlatIsRefused() {
        double[] cube = new double[24];
        for (int i = 0; i < 8; i++) {
            cube[3 * i] = i & 1;
            cube[3 * i + 1] = i >> 1 & 1;
            cube[3 * i + 2] = i >> 2;
        }
        List<int[][]> faces = new ArrayList<>(List.of(new int[][] {{0, 2, 3, 1}}, new int[][] {{4, 5, 7, 6}},
                new int[][] {{0, 1, 5, 4}}, new int[][] {{1, 3, 7, 5}}, new int[][] {{3, 2, 6, 7}}, new int[][] {{2, 0, 4, 6}}));
        assertEquals(volume(Leaf.of("cube", cube, faces)), 1, 1e-12);
        assertTrue(Leaf.of("cube", cube, faces).edges().convex());
        List<int[][]> open = faces.subList(0, 5);
        assertThrows(SolidException.class, () -> Leaf.of("cube", cube, open));
        cube[2] = -0.1;
        assertThrows(SolidException.class, () -> Leaf.of("cube", cube, faces));
    }
}
