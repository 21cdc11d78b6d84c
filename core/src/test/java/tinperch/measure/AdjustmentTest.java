package tinperch.measure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.testng.annotations.Test;
import tinperch.measure.Adjustment.Observation;
import tinperch.measure.Adjustment.Term;

/** Against a levelling network worked by hand, published data with a known outlier, full matrices and dice. */
public class AdjustmentTest {
    private static Observation seen(double value, double sigma, double... factors) {
        List<Term> terms = new ArrayList<>();
        for (int i = 0; i < factors.length; i++) {
            if (factors[i] != 0) {
                terms.add(new Term(i, factors[i]));
            }
        }
        return new Observation(terms, value, sigma);
    }

    /**
     * Differential levelling between two bench marks, 100.00 and 107.50 (C. Ghilani, "Adjustment Computations", the levelling network of the
     * chapters on unweighted and weighted observations; values from memory, the normal equations solved by hand give the same).
     */
    private static List<Observation> levelling(double... sigma) {
        return List.of(seen(105.10, sigma[0], 1, 0, 0), seen(-105.16, sigma[1], -1, 0, 0), seen(106.25, sigma[2], 0, 0, 1), seen(-106.13, sigma[3], 0, 0, -1),
                seen(-0.68, sigma[4], -1, 1, 0), seen(104.50, sigma[5], 0, 1, 0), seen(1.70, sigma[6], 0, -1, 1));
    }

    @Test
    public void theLevellingNetworkOfTheHandbook() {
        Adjustment plain = Adjustment.of(3, levelling(1, 1, 1, 1, 1, 1, 1));
        // 3a − b = 210.94, −a + 3b − c = 102.12, −b + 3c = 214.08: by hand a = 105.1410, b = 104.4829, c = 106.1876.
        assertEquals(plain.value(0), 105.141, 5e-4);
        assertEquals(plain.value(1), 104.483, 5e-4);
        assertEquals(plain.value(2), 106.188, 5e-4);
        assertEquals(IntStream.range(0, 7).mapToDouble(plain::redundancy).sum(), 4, 1e-9, "seven observations, three unknowns");
        // Lines of 4, 3, 2, 3, 2, 2, 2 miles: weights in inverse proportion.
        double[] miles = {4, 3, 2, 3, 2, 2, 2};
        Adjustment weighted = Adjustment.of(3, levelling(IntStream.range(0, 7).mapToDouble(i -> Math.sqrt(miles[i])).toArray()));
        assertEquals(weighted.value(0), 105.150, 5e-4);
        assertEquals(weighted.value(1), 104.489, 5e-4);
        assertEquals(weighted.value(2), 106.197, 5e-4);
    }

    /**
     * K. A. Brownlee, "Statistical Theory and Methodology in Science and Engineering" (1965): stack losses of a plant, of which the 21st observation
     * is known not to fit: residual −7.238, over its own standard deviation −2.64 (values from memory).
     */
    @Test
    public void theStrangeObservationOfTheStackLossDataStandsOut() {
        double[] air = {80, 80, 75, 62, 62, 62, 62, 62, 58, 58, 58, 58, 58, 58, 50, 50, 50, 50, 50, 56, 70};
        double[] water = {27, 27, 25, 24, 22, 23, 24, 24, 23, 18, 18, 17, 18, 19, 18, 18, 19, 19, 20, 20, 20};
        double[] acid = {89, 88, 90, 87, 87, 87, 93, 93, 87, 80, 89, 88, 82, 93, 89, 86, 72, 79, 80, 82, 91};
        double[] loss = {42, 37, 37, 28, 18, 18, 19, 20, 15, 14, 14, 13, 11, 12, 8, 7, 8, 8, 9, 15, 15};
        double[][] rows = new double[21][];
        List<Observation> all = new ArrayList<>();
        for (int i = 0; i < 21; i++) {
            rows[i] = new double[] {air[i], water[i], acid[i]};
            all.add(seen(loss[i], 3.2434, 1, air[i], water[i], acid[i]));
        }
        Adjustment a = Adjustment.of(4, all);
        assertEquals(a.value(1), 0.7156, 1e-4);
        assertEquals(a.value(2), 1.2953, 1e-4);
        assertEquals(a.value(3), -0.1521, 1e-4);
        assertEquals(-a.residual(20), -7.238, 1e-3);
        assertEquals(-a.normalised(20), -2.638, 2e-3);
        int worst = IntStream.range(0, 21).boxed().max((i, k) -> Double.compare(Math.abs(a.normalised(i)), Math.abs(a.normalised(k)))).orElseThrow();
        assertEquals(worst, 20);
        // Hipparchus' own regression over full matrices.
        OLSMultipleLinearRegression full = new OLSMultipleLinearRegression();
        full.newSampleData(loss, rows);
        double[] b = full.estimateRegressionParameters();
        for (int i = 0; i < 4; i++) {
            assertEquals(a.value(i), b[i], 1e-7 * Math.max(1, Math.abs(b[i])));
        }
    }

    @Test
    public void randomNetworksAgreeWithFullMatrices() {
        Random r = new Random(11);
        for (int round = 0; round < 60; round++) {
            int n = 1 + r.nextInt(8);
            List<Observation> all = new ArrayList<>();
            for (int i = 0; i < n + r.nextInt(10); i++) {
                double[] f = new double[n];
                // A chain ties everything down, the rest is at random.
                f[i % n] = 1;
                if (i % n > 0) {
                    f[i < n ? i - 1 : r.nextInt(i % n)] = -1;
                }
                all.add(seen(20 * r.nextGaussian(), Math.pow(10, -2 + 2 * r.nextDouble()), f));
            }
            Adjustment a = Adjustment.of(n, all);
            RealMatrix rows = new Array2DRowRealMatrix(all.size(), n);
            RealVector values = new ArrayRealVector(all.size());
            for (int i = 0; i < all.size(); i++) {
                for (Term t : all.get(i).terms()) {
                    rows.setEntry(i, t.unknown(), t.factor() / all.get(i).sigma());
                }
                values.setEntry(i, all.get(i).value() / all.get(i).sigma());
            }
            RealVector x = new SingularValueDecomposition(rows).getSolver().solve(values);
            RealMatrix inverse = new SingularValueDecomposition(rows.transposeMultiply(rows)).getSolver().getInverse();
            for (int i = 0; i < n; i++) {
                assertEquals(a.value(i), x.getEntry(i), 1e-6, "round " + round);
                assertEquals(a.sigma(i), Math.sqrt(inverse.getEntry(i, i)), 1e-6 * Math.max(1, a.sigma(i)));
            }
            assertEquals(IntStream.range(0, all.size()).mapToDouble(a::redundancy).sum(), all.size() - n, 1e-6);
        }
    }

    /** JCGM 101:2008: intervals by throwing dice; and one good reading in a thousand is called bad. */
    @Test
    public void intervalsHoldAndGoodReadingsAreSeldomSuspected() {
        Random r = new Random(3);
        int inside = 0;
        int suspected = 0;
        int rounds = 4000;
        for (int round = 0; round < rounds; round++) {
            double[] true_ = {10, 25, 41};
            double[] sigma = {0.02, 0.05, 0.03, 0.04, 0.1};
            double[][] f = {{1, 0, 0}, {-1, 1, 0}, {0, -1, 1}, {0, 0, 1}, {0, 1, 0}};
            List<Observation> all = new ArrayList<>();
            for (int i = 0; i < f.length; i++) {
                double is = f[i][0] * true_[0] + f[i][1] * true_[1] + f[i][2] * true_[2];
                all.add(seen(is + sigma[i] * r.nextGaussian(), sigma[i], f[i]));
            }
            Adjustment a = Adjustment.of(3, all);
            inside += Math.abs(a.value(2) - 41) < 1.96 * a.sigma(2) ? 1 : 0;
            suspected += a.suspects().size();
        }
        assertEquals((double) inside / rounds, 0.95, 0.012);
        assertEquals((double) suspected / rounds / 5, 0.001, 0.0008);
    }

    @Test
    public void aBlunderIsNamedWhereOthersCheckItAndWhatNothingChecksIsNot() {
        // a from two sides, b hangs on a by one reading alone.
        List<Observation> all = List.of(seen(10.00, 0.02, 1, 0), seen(10.01, 0.02, 1, 0), seen(10.90, 0.02, 1, 0), seen(7, 0.02, -1, 1));
        Adjustment a = Adjustment.of(2, all);
        assertEquals(a.suspects().get(0), Integer.valueOf(2));
        assertEquals(a.redundancy(3), 0, 1e-9);
        assertEquals(a.normalised(3), 0.0);
    }

    @Test
    public void whatIsNotDeterminedIsRefused() {
        expectThrows(IllegalArgumentException.class, () -> Adjustment.of(2, List.of(seen(1, 1, -1, 1))));
        expectThrows(IllegalArgumentException.class, () -> Adjustment.of(2, List.of(seen(1, 1, 1, 0))));
        expectThrows(IllegalArgumentException.class, () -> seen(1, 0, 1));
        expectThrows(IllegalArgumentException.class, () -> seen(Double.NaN, 1, 1));
        assertTrue(Adjustment.of(0, List.of()).suspects().isEmpty());
    }
}
