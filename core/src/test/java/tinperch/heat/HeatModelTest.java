package tinperch.heat;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.testng.annotations.Test;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Stop;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.Hands;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.TriangleTree;

/** Temperatures against what can be reckoned by hand: a wall, a fin, a dense solver, finer grids, other places of the grid. */
public class HeatModelTest {
    private static final double SIGMA = 5.670374419e-8;

    static Mesh box(double x, double y, double z) {
        double[] p = {0, 0, 0, x, 0, 0, x, y, 0, 0, y, 0, 0, 0, z, x, 0, z, x, y, z, 0, y, z};
        int[] t = {0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4, 7};
        return new Mesh(p, t, new int[12], List.of());
    }

    private static Around around(double roomC, double film, Mesh own, HotBody... hot) {
        return new Around(roomC, film, List.of(hot), List.of(new Around.Screen(TriangleTree.of(own), Placement.HERE)));
    }

    private static HeatMap map(Mesh m, double k, Around a, double h) {
        return HeatModel.of(m, k, a, h, Hands.ONE, Stop.NEVER);
    }

    private static Bounds block(double gapMm) {
        return new Bounds(new Vec3(40, 25, 6 + gapMm), new Vec3(60, 45, 18 + gapMm));
    }

    private static double back(HeatMap m) {
        return m.patches().stream().filter(p -> p.normal().z() < -0.9).mapToDouble(HeatMap.Patch::tempC).max().orElseThrow();
    }

    /** Figures of another reckoning of the same plate, 100 × 70 × 6, k 0.2, block 20 × 20 × 12 at 240 °C, room 25 (an earlier trial of this model; hot face and back). */
    @Test
    public void aPlateBesideABlockAgreesWithAnEarlierTrial() {
        double[] gaps = {0.8, 3, 7, 12};
        double[][] bare = {{189, 120}, {127, 85}, {76, 55}, {34, 30}};
        double[][] sock = {{97, 69}, {75, 55}, {55, 43}, {35, 31}};
        double[][] blown = {{174, 82}, {109, 57}, {60, 38}, {29, 27}};
        Mesh m = box(100, 70, 6);
        for (int i = 0; i < gaps.length; i++) {
            check(m, gaps[i], 10, 240, HotBody.BARE, bare[i]);
            check(m, gaps[i], 10, 120, HotBody.DULL, sock[i]);
            check(m, gaps[i], 40, 240, HotBody.BARE, blown[i]);
        }
    }

    private static void check(Mesh m, double gap, double film, double hotC, double e, double[] expected) {
        HeatMap h = map(m, 0.2, around(25, film, m, new HotBody("block", block(gap), hotC, e)), 1.6);
        assertTrue(h.converged());
        assertEquals(h.hottest().tempC(), expected[0], 1.6, "gap " + gap + " film " + film + " hot " + hotC);
        assertEquals(back(h), expected[1], 1.6);
    }

    /** A wide wall before a wide hot one: heat through three millimetres of air and by radiation, through the wall, off its back; solved here by halving. */
    @Test
    public void aWallAgreesWithWhatIsReckonedByHand() {
        for (double thick : new double[] {3, 4.7, 6.3}) {
            Mesh m = box(200, 200, thick);
            HotBody hot = new HotBody("bed", new Bounds(new Vec3(-400, -400, thick + 3), new Vec3(600, 600, thick + 20)), 110, 0.9);
            HeatMap map = map(m, 0.2, around(25, 10, m, hot), 2);
            double face = wallFaceC(thick, 3, 110, 0.9, 25, 10, 0.2);
            HeatMap.Patch middle = map.at(new Vec3(100, 100, thick));
            assertEquals(middle.tempC(), face, 0.5, "wall of " + thick);
            double q = through(face, 3, 110, 0.9);
            assertEquals(map.at(new Vec3(100, 100, 0)).tempC(), face - q * thick / 1000 / 0.2, 0.5, "its back");
        }
    }

    private static double through(double faceC, double gapMm, double hotC, double e) {
        double film = (faceC + hotC) / 2 + 273.15;
        double air = 2.334e-3 * Math.pow(film, 1.5) / (164.54 + film);
        double eff = 1 / (1 / 0.9 + 1 / e - 1);
        return air / (gapMm / 1000) * (hotC - faceC) + eff * SIGMA * (Math.pow(hotC + 273.15, 4) - Math.pow(faceC + 273.15, 4));
    }

    private static double wallFaceC(double thickMm, double gapMm, double hotC, double e, double roomC, double film, double k) {
        double lo = roomC;
        double hi = hotC;
        for (int i = 0; i < 60; i++) {
            double face = (lo + hi) / 2;
            double q = through(face, gapMm, hotC, e);
            double back = face - q * thickMm / 1000 / k;
            double off = film * (back - roomC) + 0.9 * SIGMA * (Math.pow(back + 273.15, 4) - Math.pow(roomC + 273.15, 4));
            if (q > off) {
                lo = face;
            } else {
                hi = face;
            }
        }
        return lo;
    }

    /** A bar held warm at one end falls off as cosh(m(L − x))/cosh(mL), m = √(hP/kA) (the fin equation), its end as if longer by A/P. */
    @Test
    public void aBarFallsOffAsAFin() {
        Mesh m = box(60, 4, 4);
        HotBody end = new HotBody("block", new Bounds(new Vec3(-10, 0, 0), new Vec3(0, 4, 4)), 35, 0.9);
        HeatMap map = map(m, 20, around(25, 10, m, end), 1);
        // Little above the room, radiation is a film of its own: 4 ε σ T³.
        double film = 10 + 4 * 0.9 * SIGMA * Math.pow(273.15 + 28, 3);
        double mm = Math.sqrt(film * 16e-3 / (20 * 16e-6)) / 1000;
        double length = 60 + 1;
        double first = map.at(new Vec3(5, 2, 4)).tempC() - 25;
        for (double x = 10; x < 60; x += 10) {
            double share = Math.cosh(mm * (length - x)) / Math.cosh(mm * (length - 5));
            double at = (map.at(new Vec3(x - 0.01, 2, 4)).tempC() + map.at(new Vec3(x + 0.01, 2, 4)).tempC()) / 2 - 25;
            assertEquals(at / first, share, 0.02, "at " + x);
        }
        assertTrue(first > 3, "it got warm: " + first);
    }

    /** The system's answer is that of a dense one. */
    @Test
    public void theSolverAgreesWithADenseOne() {
        agrees(new Voxels(box(5, 4, 3), 1, Stop.NEVER), 60);
        // Cells cut by a round border and a hole, some of them open to the next by a part only.
        agrees(new Voxels(SolidKernel.evaluate(Leaf.extrusion("ring", Profile.of(Profile.disc(0, 0, 9, 40).ring(0), Profile.hole(0, 0, 4, 24).ring(0)), Placement.HERE, 0, 2.5), Tolerances.USUAL), 1, Stop.NEVER), 0);
    }

    private static void agrees(Voxels v, int cells) {
        int n = v.count;
        assertTrue(cells > 0 ? n == cells : n > 60, n + " cells");
        Random dice = new Random(4);
        double[] out = new double[n];
        double[] in = new double[n];
        double[][] a = new double[n][n];
        for (int c = 0; c < n; c++) {
            out[c] = dice.nextInt(3) == 0 ? dice.nextDouble() : 0;
            in[c] = out[c] * 100 * dice.nextDouble();
            a[c][c] += out[c];
            int i = v.at[c] % v.nx;
            int j = v.at[c] / v.nx % v.ny;
            int k = v.at[c] / v.nx / v.ny;
            couple(a, c, i + 1 < v.nx ? v.cell[v.index(i + 1, j, k)] : -1, 0.5 * v.h * v.openX[c]);
            couple(a, c, j + 1 < v.ny ? v.cell[v.index(i, j + 1, k)] : -1, 0.5 * v.h * v.openY[c]);
            couple(a, c, k + 1 < v.nz ? v.cell[v.index(i, j, k + 1)] : -1, 0.5 * v.h * v.openZ[c]);
        }
        double[] t = new double[n];
        CellSystem s = new CellSystem(v, 0.5);
        s.solve(out, in, t, 1e-10, Stop.NEVER);
        double[] dense = new LUDecomposition(new Array2DRowRealMatrix(a)).getSolver().solve(new ArrayRealVector(in)).toArray();
        assertTrue(s.converged() && s.rounds() < 40, s.rounds() + " rounds");
        for (int c = 0; c < n; c++) {
            assertEquals(t[c], dense[c], 1e-6);
        }
    }

    private static void couple(double[][] a, int c, int next, double g) {
        if (next >= 0) {
            a[c][c] += g;
            a[next][next] += g;
            a[c][next] -= g;
            a[next][c] -= g;
        }
    }

    /** Finer grids change it less and less, also where the wall is no whole number of cells. */
    @Test
    public void finerGridsAgree() {
        Mesh m = box(60, 50, 5.3);
        Around a = around(25, 10, m, new HotBody("block", new Bounds(new Vec3(20, 15, 9), new Vec3(40, 35, 20)), 240, HotBody.BARE));
        double coarse = map(m, 0.2, a, 4).hottest().tempC();
        double middle = map(m, 0.2, a, 2).hottest().tempC();
        double fine = map(m, 0.2, a, 1).hottest().tempC();
        System.out.printf("peak at cells of 4, 2, 1 mm: %.2f %.2f %.2f °C, order %.1f%n", coarse, middle, fine, Math.log(Math.abs((coarse - middle) / (middle - fine))) / Math.log(2));
        assertEquals(middle, fine, 1.5);
        assertEquals(coarse, fine, 5);
    }

    /** Turned in its plane under a round-about block a wide plate stays as warm: cut cells carry heat as whole ones do. */
    @Test
    public void itDoesNotMatterHowTheGridLies() {
        Mesh m = box(90, 90, 5);
        HotBody hot = new HotBody("block", new Bounds(new Vec3(35, 35, 8), new Vec3(55, 55, 20)), 240, HotBody.BARE);
        double straight = map(m, 0.2, around(25, 10, m, hot), 1.8).hottest().tempC();
        for (double deg : new double[] {7, 23, 45}) {
            Mesh turned = m.placed(Placement.turn(new Vec3(45, 45, 0), Vec3.Z, Math.toRadians(deg)));
            HeatMap t = map(turned, 0.2, around(25, 10, turned, hot), 1.8);
            assertEquals(t.hottest().tempC(), straight, 2, "turned by " + deg);
            double area = t.patches().stream().mapToDouble(HeatMap.Patch::areaMm2).sum();
            assertEquals(area, m.areaMm2(), 1e-6 * area, "the whole surface is in patches");
        }
    }

    /** Three hot things, one of them all but touching: radiation and air feed back on each other, and more rounds are needed than elsewhere. */
    @Test
    public void severalVeryHotThingsComeToTheirEndToo() {
        Mesh m = box(43.3, 54.4, 3.26);
        HotBody near = new HotBody("near", new Bounds(new Vec3(2, 18.3, 3.33), new Vec3(17.5, 31.6, 15.3)), 489, 0.87);
        HotBody warm = new HotBody("warm", new Bounds(new Vec3(-2.2, 19.8, 5.4), new Vec3(7.8, 33.7, 17.4)), 117, 0.62);
        HotBody other = new HotBody("other", new Bounds(new Vec3(-4.9, 25.4, 5.56), new Vec3(2.2, 39, 17.56)), 484, 0.6);
        HeatMap t = map(m, 0.28, around(15.4, 4.83, m, near, warm, other), 1.243);
        assertTrue(t.converged());
        assertEquals(t.lostW(), 0, 1e-3);
    }

    /** What stands between keeps the heat off. */
    @Test
    public void aShieldKeepsTheHeatOff() {
        Mesh m = box(100, 70, 6);
        HotBody hot = new HotBody("block", block(7), 240, HotBody.BARE);
        Mesh shield = box(100, 70, 0.5).placed(Placement.at(0, 0, 9));
        Around open = around(25, 10, m, hot);
        Around shut = new Around(25, 10, List.of(hot), List.of(open.screens().get(0), new Around.Screen(TriangleTree.of(shield), Placement.HERE)));
        assertTrue(map(m, 0.2, open, 2).hottest().tempC() > 70);
        assertEquals(map(m, 0.2, shut, 2).hottest().tempC(), 25, 0.1);
    }
}
