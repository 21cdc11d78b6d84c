package tinperch.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;
import org.testng.annotations.Test;

/** What is reckoned from series whose answer is known by hand, and the fit against Hipparchus' optimiser. */
public class ReckonedTest {
    private static Series series(double toS, double stepS, DoubleUnaryOperator value) {
        int n = (int) Math.round(toS / stepS) + 1;
        double[] s = new double[n];
        float[] v = new float[n];
        for (int i = 0; i < n; i++) {
            s[i] = i * stepS;
            v[i] = (float) value.applyAsDouble(s[i]);
        }
        return Series.of(s, v);
    }

    /** A triangle from 20 to 100 and back in 160 s: above 60 for 80 s, with an area of 40 · 80 / 2, first after 40 s. */
    @Test
    public void timeAndAreaAboveALimit() {
        Above a = Above.of(series(160, 7, s -> 20 + Math.min(s, 160 - s)), 60);
        assertEquals(a.firstS().orElseThrow(), 40, 1e-5);
        assertEquals(a.aboveS(), 80, 1.5);
        Above fine = Above.of(series(160, 1, s -> 20 + Math.min(s, 160 - s)), 60);
        assertEquals(fine.aboveS(), 80, 1e-5);
        assertEquals(fine.area(), 1600, 1e-3);
        assertEquals(fine.peak(), 100, 1e-6);
        assertEquals(fine.peakS(), 80, 1e-9);
        assertEquals(Above.of(series(160, 1, s -> 20), 60).firstS(), OptionalDouble.empty());
        assertTrue(Double.isNaN(Above.of(Series.of(new double[0], new float[0]), 60).peak()));
    }

    /** What lies in a gap is not known: it is neither above nor below. */
    @Test
    public void aGapIsAGap() {
        double[] s = new double[40];
        float[] v = new float[40];
        for (int i = 0; i < 40; i++) {
            s[i] = i < 20 ? i : 1000 + i;
            v[i] = 80;
        }
        Series with = Series.of(s, v);
        assertEquals(Above.of(with, 60).aboveS(), 38, 1e-9, "19 s twice");
        assertEquals(Above.of(with, 60).knownS(), 38, 1e-9);
        assertTrue(with.isGapAfter(19));
        assertTrue(Double.isNaN(with.at(500)));
        assertEquals(with.at(10.5), 80, 1e-9);
    }

    @Test
    public void samplesOutOfOrderAndWithoutValueAreLeftOut() {
        Series s = Series.of(new double[] {0, 1, 1, 0.5, 2, Double.NaN, 3, 4}, new float[] {1, 2, 9, 9, Float.NaN, 9, 4, Float.POSITIVE_INFINITY});
        assertEquals(s.size(), 3);
        assertEquals(s.valueAt(2), 4.0);
        assertEquals(s.between(0.5, 3).size(), 2);
        assertEquals(s.between(5, 9).size(), 0);
        assertEquals(Steady.of(s.between(5, 9)), Optional.empty());
        assertEquals(StepFit.of(s.between(5, 9)), Optional.empty());
    }

    /** T∞ 88, T0 22, τ 11 min: known without noise even from its first six minutes. */
    @Test
    public void aRiseWithoutNoiseIsFoundExactly() {
        StepFit f = StepFit.of(series(360, 2, s -> 88 - 66 * Math.exp(-s / 660))).orElseThrow();
        assertEquals(f.end(), 88, 0.01);
        assertEquals(f.start(), 22, 0.01);
        assertEquals(f.tauS(), 660, 0.2);
        assertTrue(f.isTold());
        assertEquals(f.settledS(1), 660 * Math.log(66), 1, "1 K from its end");
        assertEquals(f.at(660), 88 - 66 / Math.E, 0.01);
    }

    /** The same least squares by another method: Levenberg and Marquardt's, as Hipparchus has it. */
    @Test
    public void theFitIsHipparchus() {
        Random dice = new Random(5);
        for (int k = 0; k < 25; k++) {
            double end = 40 + 100 * dice.nextDouble();
            double start = 15 + 15 * dice.nextDouble();
            double tau = 200 + 900 * dice.nextDouble();
            Series s = series(1200, 6, x -> end - (end - start) * Math.exp(-x / tau) + 0.3 * dice.nextGaussian());
            StepFit f = StepFit.of(s).orElseThrow();
            double[] y = new double[s.size()];
            for (int i = 0; i < y.length; i++) {
                y[i] = s.valueAt(i);
            }
            MultivariateJacobianFunction model = p -> {
                double[] at = new double[y.length];
                double[][] by = new double[y.length][3];
                for (int i = 0; i < y.length; i++) {
                    double e = Math.exp(-6 * i / p.getEntry(2));
                    at[i] = p.getEntry(0) - (p.getEntry(0) - p.getEntry(1)) * e;
                    by[i] = new double[] {1 - e, e, -(p.getEntry(0) - p.getEntry(1)) * e * 6 * i / (p.getEntry(2) * p.getEntry(2))};
                }
                return new Pair<>(new ArrayRealVector(at), new Array2DRowRealMatrix(by));
            };
            double[] theirs = new LevenbergMarquardtOptimizer().optimize(new LeastSquaresBuilder().start(new double[] {80, 20, 500}).model(model).target(y)
                    .maxEvaluations(1000).maxIterations(1000).build()).getPoint().toArray();
            assertEquals(f.end(), theirs[0], 0.01, "T∞");
            assertEquals(f.start(), theirs[1], 0.01, "T0");
            assertEquals(f.tauS(), theirs[2], 0.5, "τ");
        }
    }

    /** Of 300 rises with noise, watched for one τ only, the interval of 95 % holds the true end in about that many. */
    @Test(groups = "deep")
    public void theIntervalHoldsTheTrueEndAsOftenAsItSays() {
        Random dice = new Random(11);
        int held = 0;
        for (int k = 0; k < 300; k++) {
            StepFit f = StepFit.of(series(600, 5, s -> 88 - 66 * Math.exp(-s / 600) + 0.5 * dice.nextGaussian())).orElseThrow();
            held += f.low() <= 88 && 88 <= f.high() ? 1 : 0;
        }
        assertTrue(held > 300 * 0.92 && held < 300 * 0.985, held + " of 300");
    }

    @Test
    public void whatStandsStillHasNoRiseAndAnEarlyRiseNoEnd() {
        Random dice = new Random(2);
        assertEquals(StepFit.of(series(600, 5, s -> 40 + 0.3 * dice.nextGaussian())), Optional.empty());
        StepFit early = StepFit.of(series(60, 1, s -> 20 + s * 0.05 + 0.3 * dice.nextGaussian())).orElseThrow();
        assertFalse(early.isTold(), "a straight line may end anywhere: " + early);
    }

    @Test
    public void theSteadyPartIsFoundBehindARise() {
        Random dice = new Random(3);
        Series s = series(7200, 5, t -> 74 - 50 * Math.exp(-t / 500) + 0.4 * dice.nextGaussian());
        Steady end = Steady.end(s).orElseThrow();
        assertTrue(end.fromS() >= 1700, "the rise is not in it: " + end);
        assertEquals(end.mean(), 74, 0.1);
        assertEquals(end.deviation(), 0.4, 0.05);
        assertTrue(Math.abs(end.mean() - 74) < 2 * end.halfWidth(), end.toString());
        assertEquals(Steady.end(series(1200, 5, t -> 74 - 50 * Math.exp(-t / 3000))), Optional.empty(), "still rising");
    }

    /** Random walks of noise that lasts ten samples: the interval of the mean must be wider than that of independent ones. */
    @Test
    public void noiseThatLastsCountsForLess() {
        Random dice = new Random(7);
        double[] kept = {0};
        Series s = series(5000, 1, t -> {
            kept[0] = 0.9 * kept[0] + 0.2 * dice.nextGaussian();
            return 60 + kept[0];
        });
        Steady st = Steady.of(s.between(0, 3999)).orElseThrow();
        // (1 − 0.9) / (1 + 0.9) of the samples.
        assertEquals(st.worth(), 4000 * 0.1 / 1.9, 60);
    }

    /** A controlled block: 210 ± 1.5 with a period of 18 s, after an overshoot of 6. */
    @Test
    public void rippleAndOvershoot() {
        Random dice = new Random(4);
        Series s = series(600, 0.5, t -> 210 + 1.5 * Math.sin(2 * Math.PI * t / 18) + 0.1 * dice.nextGaussian());
        Ripple r = Ripple.of(s).orElseThrow();
        assertEquals(r.periodS(), 18, 0.1);
        assertEquals(r.amplitude(), 1.6, 0.1, "noise adds its highs");
        assertEquals(r.swings(), 32, 1);
        assertEquals(Ripple.of(series(600, 0.5, t -> 210)), Optional.empty());
        assertEquals(Ripple.overshoot(series(300, 0.5, t -> 210 - 190 * Math.exp(-t / 20) * Math.cos(t / 15)), 210), peak(t -> -190 * Math.exp(-t / 20) * Math.cos(t / 15)), 0.05);
        assertEquals(Ripple.overshoot(series(300, 1, t -> 20 + t / 10), 210), 0.0);
    }

    private static double peak(DoubleUnaryOperator f) {
        double most = 0;
        for (double t = 0; t < 300; t += 0.01) {
            most = Math.max(most, f.applyAsDouble(t));
        }
        return most;
    }

    @Test
    public void beforeAgainstAfter() {
        Steady before = new Steady(0, 3600, 96.4, 0.5, 0.05, 0, 400);
        Comparison cooler = Comparison.of(before, new Steady(0, 3600, 71.2, 0.5, 0.05, 0, 400), Comparison.PUT_BACK_K);
        assertEquals(cooler.difference(), -25.2, 1e-9);
        // 1.965 · √(2 · 0.5² / 400) with the sensor put back.
        assertEquals(cooler.halfWidth(), Math.hypot(0.5, 1.963 * Math.sqrt(2 * 0.25 / 400)), 0.001);
        assertEquals(cooler.says(true), Comparison.Says.BETTER);
        assertEquals(cooler.says(false), Comparison.Says.WORSE);
        assertEquals(Comparison.of(before, new Steady(0, 3600, 96.1, 0.5, 0.05, 0, 400), Comparison.PUT_BACK_K).says(true), Comparison.Says.CANNOT_TELL);
    }

    /** Welch's degrees of freedom of a published example (NIST/SEMATECH e-Handbook 1.3.5.3, cars: n 249 and 79, s 6.41 and 6.11): 136.9; the difference 20.14 − 30.48. */
    @Test
    public void theComparisonIsWelchs() {
        Steady us = new Steady(0, 1, 20.14458, 6.41470, 0, 0, 249);
        Steady japan = new Steady(0, 1, 30.48101, 6.10771, 0, 0, 79);
        Comparison c = Comparison.of(us, japan, 0);
        assertEquals(c.difference(), 10.33643, 1e-5);
        // t(0.975, 137) = 1.97743 times √(s²/n + s²/n) = 0.79816.
        assertEquals(c.halfWidth(), 1.97743 * Math.sqrt(6.41470 * 6.41470 / 249 + 6.10771 * 6.10771 / 79), 1e-4);
    }

    @Test
    public void aSpotsShareOfTheRisePredictsIt() {
        RiseShare r = RiseShare.of(74, 210, 22).orElseThrow();
        assertEquals(r.share(), 52 / 188.0, 1e-12);
        assertEquals(r.spotC(240, 35), 35 + 52 / 188.0 * 205, 1e-9);
        assertEquals(RiseShare.of(24, 25, 22), Optional.empty());
    }

    @Test
    public void channelsThatMoveTogether() {
        Series bed = series(600, 2, t -> Math.sin(t / 40));
        assertEquals(Together.correlation(bed, series(500, 3, t -> 60 + 3 * Math.sin(t / 40))).orElseThrow(), 1, 0.002);
        assertEquals(Together.correlation(bed, series(500, 3, t -> -Math.sin(t / 40))).orElseThrow(), -1, 0.002);
        assertEquals(Together.correlation(bed, series(600, 3, t -> 60)), OptionalDouble.empty());
        assertEquals(List.of(Together.correlation(bed, series(2, 1, t -> t))), List.of(OptionalDouble.empty()));
    }
}
