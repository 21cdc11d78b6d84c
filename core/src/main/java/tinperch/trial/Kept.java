package tinperch.trial;

import java.util.Optional;

/**
 * What is kept of a channel beside its samples, so that it counts without them.
 *
 * @param peakC highest value, °C; of samples that follow each other closely the middle one of each three counts, so that a single one that is wrong does not
 * @param stood whether it stood still at all, at its end or for a tenth of its time; else the next two are 0
 * @param stoodC what at, °C
 * @param halfK half of the interval of that (95 %), K
 */
public record Kept(double peakC, boolean stood, double stoodC, double halfK) {
    /** Samples are close when so far apart at most in the mean, s. */
    private static final double CLOSE_S = 10;

    /** Of a channel; empty without samples. */
    public static Optional<Kept> of(Series s) {
        if (s.size() == 0) {
            return Optional.empty();
        }
        Optional<Steady> stood = Steady.end(s).or(() -> Steady.longest(s));
        return Optional.of(new Kept(peak(s), stood.isPresent(), stood.map(Steady::mean).orElse(0.0), stood.map(Steady::halfWidth).orElse(0.0)));
    }

    private static double peak(Series s) {
        boolean close = s.size() > 2 && s.lastS() - s.firstS() <= CLOSE_S * (s.size() - 1);
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < s.size(); i++) {
            double v = s.valueAt(i);
            if (close) {
                double a = s.valueAt(Math.max(0, i - 1));
                double b = s.valueAt(Math.min(s.size() - 1, i + 1));
                v = Math.max(Math.min(v, a), Math.min(Math.max(v, a), b));
            }
            most = Math.max(most, v);
        }
        return most;
    }
}
