package tinperch.measure;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * What repeated readings of one thing say, in the unit of the readings. Readings left out do not count.
 *
 * @param count number of readings, at least 1
 * @param mean arithmetic mean
 * @param deviation sample standard deviation (n − 1); 0 for a single reading
 * @param halfWidth half of the interval that holds the true value with 95 % confidence (Student), and never less than
 *     what the instrument itself can promise
 */
public record Spread(int count, double mean, double deviation, double halfWidth) {
    /** Calipers: ±0.03 mm (common practice). */
    public static final double CALIPER_MM = 0.03;

    /** Searching for a quantile takes longer than everything else done with a few readings. */
    private static final Map<Integer, Double> FACTORS = Collections.synchronizedMap(new HashMap<>());

    /** Of caliper readings, mm; empty when none counts. */
    public static Optional<Spread> of(List<Reading> readings) {
        return of(readings, CALIPER_MM);
    }

    /**
     * Empty when no reading counts.
     *
     * @param instrumentHalf what the instrument can be off by, in the unit of the readings
     */
    public static Optional<Spread> of(List<Reading> all, double instrumentHalf) {
        List<Reading> readings = all.stream().filter(r -> !r.leftOut()).toList();
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        int n = readings.size();
        double mean = readings.stream().mapToDouble(Reading::value).average().orElseThrow();
        if (n == 1) {
            return Optional.of(new Spread(1, mean, 0, instrumentHalf));
        }
        double squares = readings.stream().mapToDouble(r -> (r.value() - mean) * (r.value() - mean)).sum();
        double deviation = Math.sqrt(squares / (n - 1));
        double student = studentT(n - 1) * deviation / Math.sqrt(n);
        return Optional.of(new Spread(n, mean, deviation, Math.hypot(student, instrumentHalf)));
    }

    /** Two-sided 95 % Student factor for the given degrees of freedom, at least 1. */
    public static double studentT(int degreesOfFreedom) {
        return FACTORS.computeIfAbsent(degreesOfFreedom, n -> new TDistribution(n).inverseCumulativeProbability(0.975));
    }

    /**
     * The reading farthest from the others when it stands out: more than 3.5 scaled median deviations and more than
     * 0.1 mm from the median (Iglewicz and Hoaglin's modified z-score; flagged, never dropped).
     */
    public static Optional<Reading> outlier(List<Reading> readings) {
        return outlier(readings, CALIPER_MM);
    }

    /** The same for another instrument: the least distance that counts is 10/3 of what the instrument can be off by. */
    public static Optional<Reading> outlier(List<Reading> all, double instrumentHalf) {
        List<Reading> readings = all.stream().filter(r -> !r.leftOut()).toList();
        double least = instrumentHalf / 0.3;
        if (readings.size() < 3) {
            return Optional.empty();
        }
        double median = median(readings.stream().mapToDouble(Reading::value).toArray());
        double mad = median(readings.stream().mapToDouble(r -> Math.abs(r.value() - median)).toArray());
        return readings.stream()
                .filter(r -> Math.abs(r.value() - median) > least
                        && 0.6745 * Math.abs(r.value() - median) > 3.5 * Math.max(mad, instrumentHalf / 3))
                .max((a, b) -> Double.compare(Math.abs(a.value() - median), Math.abs(b.value() - median)));
    }

    private static double median(double[] v) {
        java.util.Arrays.sort(v);
        int n = v.length;
        return n % 2 == 1 ? v[n / 2] : (v[n / 2 - 1] + v[n / 2]) / 2;
    }
}
