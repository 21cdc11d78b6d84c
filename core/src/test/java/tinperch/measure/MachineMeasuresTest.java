package tinperch.measure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;
import org.testng.annotations.Test;

/** Squareness, skew, sway and fits, against worked examples and an independent library. */
public class MachineMeasuresTest {
    private static Spread reading(double mm) {
        return new Spread(3, mm, 0.01, 0.04);
    }

    @Test
    public void aGapGrowingWithHeightIsALean() {
        // 0.52 mm more at 150 mm: atan(0.52/150) = 0.1986°, 0.347 mm per 100 mm (worked by hand).
        Squareness s = Squareness.of(reading(0.10), reading(0.62), 150);
        assertEquals(s.degrees(), 0.19863, 1e-5);
        assertEquals(s.mmPer100(), 0.34667, 1e-5);
        assertFalse(s.isSquareWithinReadings());
        assertTrue(Squareness.of(reading(0.10), reading(0.13), 150).isSquareWithinReadings());
        expectThrows(IllegalArgumentException.class, () -> Squareness.of(reading(0), reading(1), 0));
    }

    @Test
    public void skewFollowsTheLawOfCosines() {
        // 3-4-5 (Euclid): square. A rhombus of side 100 with its short diagonal equal to the side: 60°.
        assertEquals(Squareness.skewDeg(3, 4, 5), 0, 1e-9);
        assertEquals(Squareness.skewDeg(100, 100, 100), -30, 1e-9);
        double deg = 0.3;
        double d1 = Math.sqrt(2 * 200 * 200 * (1 + Math.sin(Math.toRadians(deg))));
        double d2 = Math.sqrt(2 * 200 * 200 * (1 - Math.sin(Math.toRadians(deg))));
        assertEquals(Squareness.skewDeg(200, 200, d1), deg, 1e-9);
        assertEquals(Squareness.skewFromDiagonalsDeg(200, d1, d2), deg, 1e-3, "small angles");
        expectThrows(IllegalArgumentException.class, () -> Squareness.skewDeg(10, 10, 25));
    }

    @Test
    public void aPushTestGivesStiffnessAndFrequency() {
        PushTest t = PushTest.of(List.of(new PushTest.Push(5, 0.33), new PushTest.Push(10, 0.62), new PushTest.Push(15, 0.94),
                new PushTest.Push(20, 1.23)), 0.2, 0.02);
        assertEquals(t.stiffnessNPerMm(), 16.56, 0.05);
        assertTrue(t.halfWidthNPerMm() > 0 && t.halfWidthNPerMm() < 2);
        // f = √(k/m)/2π (any mechanics handbook): 16 N/mm and 1 kg make 20.13 Hz.
        assertEquals(new PushTest(16, 0, 0).naturalHz(1), 20.132, 1e-3);
        assertTrue(t.naturalHz(2.2) < t.naturalHz(1.2), "a full spool on top sways slower");
        expectThrows(IllegalArgumentException.class, () -> PushTest.of(List.of(new PushTest.Push(5, 1), new PushTest.Push(5, 1)), 0.2, 0.02));
        expectThrows(IllegalArgumentException.class, () -> PushTest.of(List.of(new PushTest.Push(5, 1), new PushTest.Push(9, 0.5)), 0.2, 0.02));
    }

    /**
     * JCGM 101: readings of a stiffness of 16 N/mm thrown with what scale and indicator can be off by, a systematic share in every round and a
     * random one in every reading; the interval must hold the truth 95 times in a hundred, however well three readings happen to lie on a line.
     */
    @Test
    public void theIntervalOfAPushTestHoldsTheTruth() {
        Random r = new Random(101);
        int held = 0;
        int tight = 0;
        int rounds = 4000;
        for (int n = 0; n < rounds; n++) {
            List<PushTest.Push> pushes = new ArrayList<>();
            for (double f : new double[] {5, 10, 15}) {
                double read = 0.02 / 1.96 * r.nextGaussian();
                pushes.add(new PushTest.Push(f + 0.2 / 1.96 * r.nextGaussian(), f / 16 + 0.02 + read));
            }
            PushTest t = PushTest.of(pushes, 0.2, 0.02);
            held += Math.abs(t.stiffnessNPerMm() - 16) <= t.halfWidthNPerMm() ? 1 : 0;
            tight += t.halfWidthNPerMm() < 0.3 ? 1 : 0;
        }
        assertTrue(held > 0.95 * rounds, "held " + held);
        assertEquals(tight, 0, "never surer than the instruments");
    }

    @Test
    public void aRigidFitIsThatOfTheSingularValueDecomposition() {
        Random r = new Random(6);
        for (int n = 0; n < 40; n++) {
            double angle = 6.28 * r.nextDouble() - 3.14;
            List<double[]> nominal = new ArrayList<>();
            List<double[]> measured = new ArrayList<>();
            RealMatrix h = new Array2DRowRealMatrix(2, 2);
            double[] shift = {20 * r.nextDouble(), -30 * r.nextDouble()};
            for (int i = 0; i < 5; i++) {
                double[] p = {60 * r.nextDouble(), 40 * r.nextDouble()};
                nominal.add(p);
                measured.add(new double[] {Math.cos(angle) * p[0] - Math.sin(angle) * p[1] + shift[0] + 0.05 * r.nextGaussian(),
                    Math.sin(angle) * p[0] + Math.cos(angle) * p[1] + shift[1] + 0.05 * r.nextGaussian()});
            }
            double[] a = mean(nominal);
            double[] b = mean(measured);
            for (int i = 0; i < 5; i++) {
                for (int u = 0; u < 2; u++) {
                    for (int v = 0; v < 2; v++) {
                        h.addToEntry(u, v, (nominal.get(i)[u] - a[u]) * (measured.get(i)[v] - b[v]));
                    }
                }
            }
            SingularValueDecomposition svd = new SingularValueDecomposition(h);
            RealMatrix rotation = svd.getV().multiply(svd.getUT());
            RigidFit fit = RigidFit.of(nominal, measured);
            assertEquals(Math.cos(Math.toRadians(fit.angleDeg())), rotation.getEntry(0, 0), 1e-9);
            assertEquals(Math.sin(Math.toRadians(fit.angleDeg())), rotation.getEntry(1, 0), 1e-9);
            assertTrue(fit.worstMm() < 0.25 && !fit.mirroredFitsBetter());
        }
    }

    private static double[] mean(List<double[]> p) {
        return new double[] {p.stream().mapToDouble(q -> q[0]).average().orElseThrow(),
            p.stream().mapToDouble(q -> q[1]).average().orElseThrow()};
    }

    @Test
    public void aPatternReadFromTheOtherSideIsNoticed() {
        List<double[]> nominal = List.of(new double[] {0, 0}, new double[] {40, 0}, new double[] {44, 30}, new double[] {0, 25});
        List<double[]> mirrored = nominal.stream().map(p -> new double[] {-p[0], p[1]}).toList();
        assertTrue(RigidFit.of(nominal, mirrored).mirroredFitsBetter());
        assertFalse(RigidFit.of(nominal, nominal).mirroredFitsBetter());
        assertTrue(expectThrows(IllegalArgumentException.class, () -> RigidFit.of(nominal, nominal.subList(0, 3))).getMessage()
                .contains("label is missing"));
    }
}
