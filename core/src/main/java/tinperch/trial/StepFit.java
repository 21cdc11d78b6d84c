package tinperch.trial;

import java.util.Optional;
import tinperch.measure.Spread;

/**
 * Where a temperature that rises or falls after a step will end: T(t) = T∞ − (T∞ − T0) e^(−t/τ), fitted by least squares. For each τ the best T∞ and
 * T0 follow directly, so that only τ is searched for; the interval of T∞ is that of its profile: all T∞ whose best fit is not worse by more than
 * noise explains (95 %). Noise that lasts longer than a sample counts for less.
 *
 * @param fromS when it begins, s after the run's start, {@code toS} where the samples end
 * @param start T0, {@code end} T∞
 * @param tauS time constant, s
 * @param low of T∞, {@code high}; infinite where the samples do not tell
 * @param residual deviation of samples from the curve
 */
public record StepFit(double fromS, double toS, double start, double end, double tauS, double low, double high, double residual) {
    private static final int MOST = 400;
    private static final int LEAST = 8;
    private static final int GRID = 40;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    /** A curve that goes this many times farther than what was seen of it is not told by the samples. */
    private static final double FARTHEST = 30;

    /** The fit; empty with fewer than eight samples, or when nothing rises or falls. */
    public static Optional<StepFit> of(Series all) {
        Series s = all.thinned(MOST);
        if (s.size() < LEAST) {
            return Optional.empty();
        }
        return new Search(s).fit();
    }

    /** The curve at a time, s after the run's start. */
    public double at(double s) {
        return end - (end - start) * Math.exp(-(s - fromS) / tauS);
    }

    /** When it will be within so many kelvin of its end, s after the run's start; the last sample's time when it already is. */
    public double settledS(double withinK) {
        double away = Math.abs(end - start);
        return Math.max(toS, away <= withinK ? toS : fromS + tauS * Math.log(away / withinK));
    }

    /** Half of the interval of where it ends, the larger side. */
    public double halfWidth() {
        return Math.max(high - end, end - low);
    }

    /** Whether the samples tell where it ends, better than half of what it has risen or fallen. */
    public boolean isTold() {
        return halfWidth() < Math.abs(at(toS) - start) / 2;
    }

    /** One search. */
    private static final class Search {
        private final double[] t;
        private final double[] y;
        private final double span;
        private final double from;

        Search(Series s) {
            from = s.firstS();
            span = s.lastS() - from;
            t = new double[s.size()];
            y = new double[s.size()];
            for (int i = 0; i < t.length; i++) {
                t[i] = s.secondAt(i) - from;
                y[i] = s.valueAt(i);
            }
        }

        /** T∞ and −(T∞ − T0) of the best curve with a τ, and its sum of squares. */
        private double[] free(double tau) {
            double se = 0;
            double see = 0;
            double sy = 0;
            double sey = 0;
            for (int i = 0; i < t.length; i++) {
                double e = Math.exp(-t[i] / tau);
                se += e;
                see += e * e;
                sy += y[i];
                sey += e * y[i];
            }
            double n = t.length;
            double b = (n * sey - se * sy) / (n * see - se * se);
            double a = (sy - b * se) / n;
            return new double[] {a, b, squares(tau, a, b)};
        }

        /** The same with T∞ given. */
        private double[] held(double tau, double a) {
            double see = 0;
            double sey = 0;
            for (int i = 0; i < t.length; i++) {
                double e = Math.exp(-t[i] / tau);
                see += e * e;
                sey += e * (y[i] - a);
            }
            double b = sey / see;
            return new double[] {a, b, squares(tau, a, b)};
        }

        private double squares(double tau, double a, double b) {
            double sum = 0;
            for (int i = 0; i < t.length; i++) {
                double r = y[i] - a - b * Math.exp(-t[i] / tau);
                sum += r * r;
            }
            return sum;
        }

        /** The τ of least squares, on a grid of its logarithm and then by golden section. */
        private double best(java.util.function.DoubleUnaryOperator squares) {
            double lo = Math.log(span / 300);
            double hi = Math.log(span * FARTHEST);
            double step = (hi - lo) / GRID;
            double at = lo;
            double least = Double.POSITIVE_INFINITY;
            for (int k = 0; k <= GRID; k++) {
                double q = squares.applyAsDouble(Math.exp(lo + k * step));
                if (q < least) {
                    least = q;
                    at = lo + k * step;
                }
            }
            double a = at - step;
            double b = at + step;
            while (b - a > 1e-7) {
                double c = b - GOLDEN * (b - a);
                double d = a + GOLDEN * (b - a);
                if (squares.applyAsDouble(Math.exp(c)) < squares.applyAsDouble(Math.exp(d))) {
                    b = d;
                } else {
                    a = c;
                }
            }
            return Math.exp((a + b) / 2);
        }

        Optional<StepFit> fit() {
            double tau = best(k -> free(k)[2]);
            double[] ab = free(tau);
            double[] off = new double[t.length];
            for (int i = 0; i < off.length; i++) {
                off[i] = y[i] - ab[0] - ab[1] * Math.exp(-t[i] / tau);
            }
            double worth = Math.max(4, Noise.independent(off));
            double residual = Math.sqrt(ab[2] / Math.max(1, t.length - 3));
            double risen = Math.abs(ab[1] * (1 - Math.exp(-span / tau)));
            if (!(risen > 2 * residual) || !Double.isFinite(ab[0])) {
                return Optional.empty();
            }
            double student = Spread.studentT((int) Math.max(1, Math.round(worth) - 3));
            // A residual of nothing would leave no interval: what a sample is rounded to, at least.
            double allowed = Math.max(ab[2], 1e-6 * t.length) * (1 + student * student / Math.max(1, worth - 3));
            double farthest = FARTHEST * risen;
            return Optional.of(new StepFit(from, from + span, ab[0] + ab[1], ab[0], tau, bound(ab[0], -risen / 50, allowed, farthest), bound(ab[0], risen / 50, allowed, farthest), residual));
        }

        /** How far T∞ can go one way before the fit is worse than noise explains. */
        private double bound(double a, double step, double allowed, double farthest) {
            double in = 0;
            double out = step;
            while (profile(a + out) <= allowed) {
                in = out;
                out *= 2;
                if (Math.abs(out) > farthest) {
                    return step > 0 ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
                }
            }
            for (int k = 0; k < 12; k++) {
                double mid = (in + out) / 2;
                if (profile(a + mid) <= allowed) {
                    in = mid;
                } else {
                    out = mid;
                }
            }
            return a + out;
        }

        private double profile(double a) {
            return held(best(k -> held(k, a)[2]), a)[2];
        }
    }
}
