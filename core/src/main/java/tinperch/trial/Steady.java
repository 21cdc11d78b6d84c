package tinperch.trial;

import java.util.Optional;
import tinperch.measure.Spread;

/**
 * What a channel stood at.
 *
 * @param fromS first sample, {@code toS} last, s after the run's start
 * @param mean over that time, {@code deviation} of single samples from it
 * @param halfWidth half of the interval that holds the mean with 95 % confidence; samples that follow each other closely count less
 * @param driftPerHour slope of the straight line through the samples, per hour
 * @param worth so many independent samples it rests on, at least 1
 */
public record Steady(double fromS, double toS, double mean, double deviation, double halfWidth, double driftPerHour, double worth) {
    private static final int LEAST = 12;
    /** What a steady channel may still move, K. */
    private static final double STILL = 0.5;
    private static final int SLICES = 50;
    private static final int HALVINGS = 2;
    private static final int MOST = 4000;

    /** Of a stretch of time; empty with less than two samples. */
    public static Optional<Steady> of(Series all) {
        Series s = all.thinned(MOST);
        int n = s.size();
        if (n < 2) {
            return Optional.empty();
        }
        double meanS = 0;
        double mean = 0;
        for (int i = 0; i < n; i++) {
            meanS += s.secondAt(i) / n;
            mean += s.valueAt(i) / n;
        }
        double st = 0;
        double sv = 0;
        double[] off = new double[n];
        double squares = 0;
        for (int i = 0; i < n; i++) {
            double t = s.secondAt(i) - meanS;
            off[i] = s.valueAt(i) - mean;
            st += t * t;
            sv += t * off[i];
            squares += off[i] * off[i];
        }
        double deviation = Math.sqrt(squares / (n - 1));
        double worth = Noise.independent(off);
        double half = Spread.studentT((int) Math.max(1, Math.round(worth) - 1)) * deviation / Math.sqrt(worth);
        return Optional.of(new Steady(s.firstS(), s.lastS(), mean, deviation, half, 3600 * sv / st, worth));
    }

    /** The longest last part of a channel (all, a half or a quarter of it) that does not drift by more than its noise; empty when it is still on its way. */
    public static Optional<Steady> end(Series all) {
        Series s = all.thinned(MOST);
        for (int k = 0; k <= HALVINGS; k++) {
            Series tail = s.between(s.lastS() - (s.lastS() - s.firstS()) / (1 << k), s.lastS());
            if (tail.size() < LEAST) {
                return Optional.empty();
            }
            if (isStill(tail)) {
                return of(tail);
            }
        }
        return Optional.empty();
    }

    /** The longest stretch anywhere in which a channel stood still, at least a tenth of all; empty when there is none. */
    public static Optional<Steady> longest(Series all) {
        Series s = all.thinned(SLICES * 20);
        double slice = (s.lastS() - s.firstS()) / SLICES;
        for (int n = SLICES; n >= SLICES / 10; n--) {
            for (int from = 0; from + n <= SLICES; from++) {
                Series part = s.between(s.firstS() + from * slice, s.firstS() + (from + n) * slice);
                if (part.size() >= LEAST && isStill(part)) {
                    return of(all.between(part.firstS(), part.lastS()));
                }
            }
        }
        return Optional.empty();
    }

    /** The means of its quarters differ by no more than half a degree, or than half of its samples do: a few that lie far off do not count as noise. */
    private static boolean isStill(Series s) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        double[] sorted = new double[s.size()];
        for (int q = 0; q < 4; q++) {
            double sum = 0;
            int n = 0;
            for (int i = q * s.size() / 4; i < (q + 1) * s.size() / 4; i++) {
                sorted[i] = s.valueAt(i);
                sum += sorted[i];
                n++;
            }
            low = Math.min(low, sum / n);
            high = Math.max(high, sum / n);
        }
        java.util.Arrays.sort(sorted);
        return high - low <= Math.max(STILL, (sorted[3 * sorted.length / 4] - sorted[sorted.length / 4]) / 2);
    }
}
