package tinperch.measure;

import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * What repeated readings of one length say.
 *
 * @param count number of readings, at least 1
 * @param meanMm arithmetic mean
 * @param deviationMm sample standard deviation (n − 1); 0 for a single reading
 * @param halfWidthMm half of the interval that holds the true length with 95 % confidence (Student), and never less than
 *     what the calipers themselves can promise
 */
public record Spread(int count, double meanMm, double deviationMm, double halfWidthMm) {
    /** Calipers: ±0.03 mm (common practice). */
    public static final double CALIPER_MM = 0.03;

    /** Empty when there are no readings. */
    public static Optional<Spread> of(List<Reading> readings) {
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        int n = readings.size();
        double mean = readings.stream().mapToDouble(Reading::valueMm).average().orElseThrow();
        if (n == 1) {
            return Optional.of(new Spread(1, mean, 0, CALIPER_MM));
        }
        double squares = readings.stream().mapToDouble(r -> (r.valueMm() - mean) * (r.valueMm() - mean)).sum();
        double deviation = Math.sqrt(squares / (n - 1));
        double student = studentT(n - 1) * deviation / Math.sqrt(n);
        return Optional.of(new Spread(n, mean, deviation, Math.hypot(student, CALIPER_MM)));
    }

    /** Two-sided 95 % Student factor for the given degrees of freedom, at least 1. */
    public static double studentT(int degreesOfFreedom) {
        return new TDistribution(degreesOfFreedom).inverseCumulativeProbability(0.975);
    }

    /**
     * The reading farthest from the others when it stands out: more than 3.5 scaled median deviations and more than
     * 0.1 mm from the median (Iglewicz and Hoaglin's modified z-score; flagged, never dropped).
     */
    public static Optional<Reading> outlier(List<Reading> readings) {
        if (readings.size() < 3) {
            return Optional.empty();
        }
        double median = median(readings.stream().mapToDouble(Reading::valueMm).toArray());
        double mad = median(readings.stream().mapToDouble(r -> Math.abs(r.valueMm() - median)).toArray());
        return readings.stream()
                .filter(r -> Math.abs(r.valueMm() - median) > 0.1
                        && 0.6745 * Math.abs(r.valueMm() - median) > 3.5 * Math.max(mad, 0.01))
                .max((a, b) -> Double.compare(Math.abs(a.valueMm() - median), Math.abs(b.valueMm() - median)));
    }

    private static double median(double[] v) {
        java.util.Arrays.sort(v);
        int n = v.length;
        return n % 2 == 1 ? v[n / 2] : (v[n / 2 - 1] + v[n / 2]) / 2;
    }
}
