package tinperch.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Frequency and damping of oscillators whose answer is known. */
public class ShakingTest {
    private static Series struck(double hz, double zeta, double rateHz, double noise, int seed) {
        Random dice = new Random(seed);
        int n = (int) (6 * rateHz);
        double[] s = new double[n];
        float[] v = new float[n];
        double w = 2 * Math.PI * hz;
        for (int i = 0; i < n; i++) {
            double t = i / rateHz;
            s[i] = t;
            // Struck after a second: x = e^(−ζ ω₀ t) sin(ω t), ω = ω₀ √(1 − ζ²).
            double since = t - 1;
            v[i] = (float) (9.81 + (since < 0 ? 0 : 3 * Math.exp(-zeta / Math.sqrt(1 - zeta * zeta) * w * since) * Math.sin(w * since)) + noise * dice.nextGaussian());
        }
        return Series.of(s, v);
    }

    @DataProvider
    public Object[][] oscillators() {
        return new Object[][] {{12.4, 0.031, 400.0}, {7.3, 0.012, 200.0}, {31.0, 0.05, 1600.0}, {3.1, 0.02, 100.0}};
    }

    @Test(dataProvider = "oscillators")
    public void frequencyAndDampingAreFound(double hz, double zeta, double rate) {
        Shaking k = Shaking.of(struck(hz, zeta, rate, 0.02, 5)).orElseThrow();
        assertEquals(k.hz(), hz, hz * 0.02);
        assertEquals(k.damping().orElseThrow(), zeta, zeta * 0.12);
        assertEquals(k.peak(), 3, 0.35);
    }

    /** Successive amplitudes of 1.00 and 0.98: δ = 0.0202, ζ = 0.00322 (Thomson, Theory of Vibration, example 2.6-1; value from memory). */
    @Test
    public void theDecrementOfAWorkedExample() {
        assertEquals(Shaking.dampingOf(1.00, 0.98, 1), 0.00322, 0.00001);
        assertEquals(Shaking.dampingOf(1, Math.exp(-2 * Math.PI), 1), 1 / Math.sqrt(2), 1e-12);
    }

    @Test
    public void whatDoesNotShakeOrDoesNotDieIsNotTold() {
        assertEquals(Shaking.of(struck(10, 0.02, 5, 0, 1)), Optional.empty(), "thirty samples");
        double[] s = new double[1000];
        float[] v = new float[1000];
        for (int i = 0; i < 1000; i++) {
            s[i] = i * 0.01;
            v[i] = (float) Math.sin(2 * Math.PI * 5 * s[i]);
        }
        Shaking steady = Shaking.of(Series.of(s, v)).orElseThrow();
        assertEquals(steady.hz(), 5, 0.05);
        assertTrue(steady.damping().isEmpty(), "it goes on: " + steady);
        java.util.Arrays.fill(v, 4);
        assertEquals(Shaking.of(Series.of(s, v)), Optional.empty());
    }
}
