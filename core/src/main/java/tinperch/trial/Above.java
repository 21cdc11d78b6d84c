package tinperch.trial;

import java.util.OptionalDouble;

/**
 * How long and how far a channel was above a limit. Between samples the value is taken along a straight line; nothing is said of gaps.
 *
 * @param limit in the channel's unit
 * @param peak highest value, {@code peakS} when, s after the run's start
 * @param aboveS time above it, s
 * @param area of the curve above it, unit · s
 * @param firstS when it was first crossed; empty when it never was
 * @param knownS time covered by samples, without gaps, s
 */
public record Above(double limit, double peak, double peakS, double aboveS, double area, OptionalDouble firstS, double knownS) {
    /** Of a channel; its peak is NaN when it has no samples. */
    public static Above of(Series s, double limit) {
        double peak = Double.NaN;
        double peakS = 0;
        double above = 0;
        double area = 0;
        double known = 0;
        OptionalDouble first = OptionalDouble.empty();
        for (int i = 0; i < s.size(); i++) {
            double v = s.valueAt(i);
            if (!(v <= peak)) {
                peak = v;
                peakS = s.secondAt(i);
            }
            if (v > limit && first.isEmpty()) {
                first = OptionalDouble.of(i > 0 && !s.isGapAfter(i - 1) ? crossing(s, i - 1, limit) : s.secondAt(i));
            }
            if (i + 1 == s.size() || s.isGapAfter(i)) {
                continue;
            }
            double dt = s.secondAt(i + 1) - s.secondAt(i);
            double a = v - limit;
            double b = s.valueAt(i + 1) - limit;
            known += dt;
            if (a >= 0 && b >= 0) {
                above += a + b > 0 ? dt : 0;
                area += dt * (a + b) / 2;
            } else if (a > 0 || b > 0) {
                double high = Math.max(a, b);
                double share = high / (high - Math.min(a, b));
                above += dt * share;
                area += dt * share * high / 2;
            }
        }
        return new Above(limit, peak, peakS, above, area, first, known);
    }

    private static double crossing(Series s, int i, double limit) {
        double a = s.valueAt(i);
        double b = s.valueAt(i + 1);
        return s.secondAt(i) + (limit - a) / (b - a) * (s.secondAt(i + 1) - s.secondAt(i));
    }
}
