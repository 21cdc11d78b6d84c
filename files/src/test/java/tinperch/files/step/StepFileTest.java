package tinperch.files.step;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
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

/** STEP files read by a reader of the test's own: ISO 10303-21 lines, volumes by the divergence theorem, by hand where that is exact. */
public class StepFileTest {
    private static Mesh made(Solid s) {
        return SolidKernel.evaluate(s, Tolerances.USUAL);
    }

    private static String text(List<StepFile.Body> bodies, String title) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        StepFile.write(bodies, title, out);
        return out.toString(StandardCharsets.US_ASCII);
    }

    private static StepText step(Mesh m, Round... rounds) throws IOException {
        return new StepText(text(List.of(new StepFile.Body("b", m, List.of(rounds), Placement.HERE)), "t"));
    }

    private static Solid box(double w, double d, double h) {
        return Leaf.extrusion("box", Profile.rectangle(0, 0, w, d), Placement.HERE, 0, h);
    }

    private static Solid hole(double x, double y, double d, double from, double to) {
        return Leaf.extrusion("hole", Profile.hole(x, y, d, 48), Placement.HERE, from, to);
    }

    private static Round round(double x, double y, double d) {
        return new Round(Placement.at(x, y, 0), d / 2);
    }

    @Test
    public void aBoxHasSixFacesTwelveEdgesAndItsVolume() throws IOException {
        StepText s = step(made(box(40, 30, 10)));
        assertEquals(s.faults(), List.of());
        assertEquals(s.all("ADVANCED_FACE").size(), 6);
        assertEquals(s.all("EDGE_CURVE").size(), 12);
        assertEquals(s.all("VERTEX_POINT").size(), 8);
        assertEquals(s.all("MANIFOLD_SOLID_BREP").size(), 1);
        assertEquals(s.volumeMm3(), 12_000, 1e-6);
    }

    /** 40·30·10 − π·2.5²·10 − π·4²·3, by hand; of the polygons it would be 2 in 1,000 of the holes more. */
    @Test
    public void roundHolesAreTrueCylindersOfTheDesignedSize() throws IOException {
        Mesh m = made(box(40, 30, 10).minus(hole(-8, 4, 5, -1, 11), hole(9, -3, 8, 7, 11)));
        StepText s = step(m, round(-8, 4, 5), round(9, -3, 8));
        assertEquals(s.faults(), List.of());
        assertEquals(s.all("CYLINDRICAL_SURFACE").size(), 2);
        assertEquals(s.all("CIRCLE").size(), 4);
        assertEquals(s.all("ADVANCED_FACE").size(), 6 + 2 + 1);
        assertEquals(s.volumeMm3(), 12_000 - Math.PI * 62.5 - Math.PI * 48, 1e-6);
    }

    @Test
    public void aRecessAboveItsHoleIsTwoCylinders() throws IOException {
        Mesh m = made(box(30, 30, 8).minus(hole(0, 0, 3.4, -1, 9), hole(0, 0, 6.5, 5, 9)));
        StepText s = step(m, new Round(new Placement(new Vec3(0, 0, 8), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1)), 1.7), round(0, 0, 6.5));
        assertEquals(s.faults(), List.of());
        assertEquals(s.all("CYLINDRICAL_SURFACE").size(), 2);
        assertEquals(s.volumeMm3(), 7_200 - Math.PI * (1.7 * 1.7 * 5 + 3.25 * 3.25 * 3), 1e-6);
    }

    /** A hole that comes out on a slope or runs into another has no whole ring to be a circle. */
    @Test
    public void whatIsNoWholeBandStaysAPolygon() throws IOException {
        Solid wedge = Leaf.extrusion("wedge", Profile.of(new double[] {0, 0, 40, 0, 40, 10, 0, 20}), new Placement(new Vec3(-20, 15, 0), Vec3.X, Vec3.Z, Vec3.Y.times(-1)), 0, 30);
        Mesh m = made(wedge.minus(hole(0, 0, 5, -1, 30)));
        StepText s = step(m, round(0, 0, 5));
        assertEquals(s.faults(), List.of());
        assertEquals(s.all("CYLINDRICAL_SURFACE").size(), 0);
        assertEquals(s.volumeMm3(), m.volumeMm3(), 1e-5);
        Mesh crossed = made(box(40, 30, 10).minus(hole(-2, 0, 5, -1, 11), hole(2, 0, 5, -1, 11)));
        StepText two = step(crossed, round(-2, 0, 5), round(2, 0, 5));
        assertEquals(two.faults(), List.of());
        assertEquals(two.volumeMm3(), crossed.volumeMm3(), 1e-5);
    }

    /** The radius is the designed one, never guessed: a polygon of quite another size is none of it. */
    @Test
    public void aRoundOfAnotherSizeIsNotTakenForTheHole() throws IOException {
        Mesh m = made(box(40, 30, 10).minus(hole(0, 0, 5, -1, 11)));
        assertEquals(step(m, round(0, 0, 6)).all("CIRCLE").size(), 0);
        assertEquals(step(m, round(3, 0, 5)).all("CIRCLE").size(), 0);
    }

    @Test
    public void whatIsHollowInsideIsAVoidAndSeparateBodiesAreSeparate() throws IOException {
        Solid hollow = box(20, 20, 20).minus(Leaf.extrusion("inside", Profile.rectangle(0, 0, 8, 8), Placement.HERE, 6, 14));
        Solid beside = Leaf.extrusion("beside", Profile.rectangle(30, 0, 4, 4), Placement.HERE, 0, 5);
        StepText s = step(made(Solid.union(hollow, beside)));
        assertEquals(s.faults(), List.of());
        assertEquals(s.all("BREP_WITH_VOIDS").size(), 1);
        assertEquals(s.all("MANIFOLD_SOLID_BREP").size(), 1);
        assertEquals(s.all("CLOSED_SHELL").size(), 3);
        assertEquals(s.volumeMm3(), 8000 - 512 + 80, 1e-6);
    }

    @Test
    public void severalBodiesAreAnAssemblyWithNamesAndPlaces() throws IOException {
        Mesh m = made(box(10, 10, 10));
        Placement turned = Placement.along(new Vec3(5, 6, 7), Vec3.X, Vec3.Z);
        String text = text(List.of(new StepFile.Body("Box", m, List.of(), Placement.HERE), new StepFile.Body("Deckel für 'A' \\ ×2", m, List.of(), turned)), "Haus");
        StepText s = new StepText(text);
        assertEquals(s.faults(), List.of());
        assertEquals(s.all("NEXT_ASSEMBLY_USAGE_OCCURRENCE").size(), 2);
        assertEquals(s.all("PRODUCT").size(), 3);
        assertEquals(s.all("ADVANCED_BREP_SHAPE_REPRESENTATION").size(), 2);
        assertTrue(text.contains("'Deckel f\\X2\\00FC\\X0\\r ''A'' \\\\ \\X2\\00D7\\X0\\2'"), text);
        assertTrue(text.contains("CARTESIAN_POINT('',(5.,6.,7.))"), "where the second goes");
        assertTrue(text.chars().allMatch(c -> c < 128), "ASCII only");
        assertEquals(text, text(List.of(new StepFile.Body("Box", m, List.of(), Placement.HERE), new StepFile.Body("Deckel für 'A' \\ ×2", m, List.of(), turned)), "Haus"));
    }

    /** Random plates full of holes, some meeting each other or the edge: always closed, and as large as the mesh less what circles leave in. */
    @Test(groups = "deep")
    public void randomPlatesHangTogether() throws IOException {
        Random r = new Random(41);
        for (int n = 0; n < 60; n++) {
            double h = 2 + r.nextInt(10);
            List<Solid> cuts = new ArrayList<>();
            List<Round> rounds = new ArrayList<>();
            for (int k = 0; k < 1 + r.nextInt(6); k++) {
                double d = 2 + r.nextInt(60) / 10.0;
                double x = r.nextInt(400) / 10.0 - 20;
                double y = r.nextInt(300) / 10.0 - 15;
                double from = r.nextBoolean() ? -1 : h / 2;
                cuts.add(hole(x, y, d, from, h + 1));
                rounds.add(round(x, y, d));
            }
            Solid turned = new Solid.Difference(box(44, 34, h), cuts);
            Mesh m = made(turned);
            StepText s = step(m, rounds.toArray(Round[]::new));
            assertEquals(s.faults(), List.of(), "plate " + n);
            double circles = 0;
            for (int c : s.all("CYLINDRICAL_SURFACE")) {
                circles++;
            }
            // A polygon of 48 sides about a circle is larger by 48/π·tan(π/48) − 1 = 0.143 %.
            assertTrue(s.volumeMm3() >= m.volumeMm3() - 1e-4 && s.volumeMm3() < m.volumeMm3() + circles * 0.00144 * Math.PI * 16 * 14 + 1e-3, "plate " + n + ": " + s.volumeMm3() + " of " + m.volumeMm3());
        }
    }
}
