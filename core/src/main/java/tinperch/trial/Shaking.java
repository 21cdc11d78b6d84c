package tinperch.trial;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.complex.Complex;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/**
 * How something shook: the strongest frequency of its spectrum (Hann window), and how fast it died away at that frequency. The damping is that of the
 * logarithmic decrement δ of successive swings, ζ = δ / √(4π² + δ²), taken from the whole decay instead of two swings.
 *
 * @param hz the strongest frequency
 * @param peak largest deviation from the mean, in the channel's unit
 * @param damping ζ, 0 to 1; empty where it did not die away over at least three swings
 */
public record Shaking(double hz, double peak, OptionalDouble damping) {
    private static final int LEAST = 64;
    private static final int MOST = 1 << 17;
    /** Slower than so many swings in all is no frequency but a drift. */
    private static final int LEAST_SWINGS = 3;
    /** The decay is followed down to this share of its height. */
    private static final double DOWN_TO = 0.08;

    /** Of a channel; empty with fewer than 64 samples or when nothing moves. */
    public static Optional<Shaking> of(Series s) {
        if (s.size() < LEAST) {
            return Optional.empty();
        }
        int n = Math.min(MOST, Integer.highestOneBit(2 * s.size() - 1));
        double dt = (s.lastS() - s.firstS()) / (n - 1);
        double[] x = even(s, n, dt);
        double peak = Arrays.stream(x).map(Math::abs).max().orElse(0);
        if (peak < 1e-9) {
            return Optional.empty();
        }
        double hz = strongest(x, dt);
        return Double.isNaN(hz) ? Optional.empty() : Optional.of(new Shaking(hz, peak, damping(x, dt, hz)));
    }

    /** At even times about the mean; in gaps nothing. */
    private static double[] even(Series s, int n, double dt) {
        double[] x = new double[n];
        double sum = 0;
        int known = 0;
        for (int i = 0; i < n; i++) {
            x[i] = s.at(s.firstS() + i * dt);
            sum += Double.isNaN(x[i]) ? 0 : x[i];
            known += Double.isNaN(x[i]) ? 0 : 1;
        }
        double mean = known == 0 ? 0 : sum / known;
        for (int i = 0; i < n; i++) {
            x[i] = Double.isNaN(x[i]) ? 0 : x[i] - mean;
        }
        return x;
    }

    private static double strongest(double[] x, double dt) {
        int n = x.length;
        double[] windowed = new double[n];
        for (int i = 0; i < n; i++) {
            windowed[i] = x[i] * (0.5 - 0.5 * Math.cos(2 * Math.PI * i / (n - 1)));
        }
        Complex[] f = new FastFourierTransformer(DftNormalization.STANDARD).transform(windowed, TransformType.FORWARD);
        int best = -1;
        for (int k = LEAST_SWINGS; k < n / 2 - 1; k++) {
            best = best < 0 || f[k].norm() > f[best].norm() ? k : best;
        }
        if (best < 1 || f[best].norm() < 1e-12) {
            return Double.NaN;
        }
        // The top of a parabola through the logarithms of three neighbours.
        double a = Math.log(f[best - 1].norm() + 1e-300);
        double b = Math.log(f[best].norm());
        double c = Math.log(f[best + 1].norm() + 1e-300);
        double off = a - 2 * b + c == 0 ? 0 : 0.5 * (a - c) / (a - 2 * b + c);
        return (best + Math.max(-0.5, Math.min(0.5, off))) / (n * dt);
    }

    /** The straight line through the logarithm of the swing's height from its highest on. */
    private static OptionalDouble damping(double[] x, double dt, double hz) {
        int n = x.length;
        int half = (int) Math.max(1, Math.round(1 / hz / dt));
        // Turned back by its own frequency and averaged over two swings what is left is the height.
        double[] re = new double[n + 1];
        double[] im = new double[n + 1];
        for (int i = 0; i < n; i++) {
            re[i + 1] = re[i] + x[i] * Math.cos(2 * Math.PI * hz * i * dt);
            im[i + 1] = im[i] + x[i] * Math.sin(2 * Math.PI * hz * i * dt);
        }
        double[] height = new double[n];
        int top = half;
        for (int i = half; i + half < n; i++) {
            height[i] = Math.hypot(re[i + half] - re[i - half], im[i + half] - im[i - half]);
            top = height[i] > height[top] ? i : top;
        }
        int end = top;
        while (end + half < n && height[end] > DOWN_TO * height[top]) {
            end++;
        }
        if ((end - top) * dt * hz < LEAST_SWINGS || end + half >= n && height[n - half - 1] > 0.7 * height[top]) {
            return OptionalDouble.empty();
        }
        // Half a swing after the top the average is free of the push.
        int from = top + half;
        double st = 0;
        double sy = 0;
        double stt = 0;
        double sty = 0;
        int m = 0;
        for (int i = from; i < end; i++) {
            double t = i * dt;
            double y = Math.log(height[i]);
            st += t;
            sy += y;
            stt += t * t;
            sty += t * y;
            m++;
        }
        double slope = m < 3 ? 0 : (m * sty - st * sy) / (m * stt - st * st);
        return slope < 0 ? OptionalDouble.of(dampingOf(1, Math.exp(slope / hz), 1)) : OptionalDouble.empty();
    }

    /** ζ of the logarithmic decrement δ = ln(x₀ / x_n) / n of two swings n apart. */
    public static double dampingOf(double first, double later, int n) {
        double d = Math.log(first / later) / n;
        return d / Math.hypot(2 * Math.PI, d);
    }
}
