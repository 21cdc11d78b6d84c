package tinperch.trial;

import java.util.Optional;

/**
 * What a channel is about to do at its end: it stands, or where it will.
 *
 * @param steady what it stands at; empty when it is on its way
 * @param fit where it will end, when the end of the samples follows a rise or fall of first order; empty otherwise
 */
public record Rise(Optional<Steady> steady, Optional<StepFit> fit) {
    /** A curve that leaves more than this of the samples' own noise does not describe them. */
    private static final double FITS = 1.5;
    private static final int MOST = 400;
    /** Behind the decimals of most recorders there is nothing, K. */
    private static final double ROUNDED = 0.03;

    /** Of a channel: the longest of its last parts (all, a half, a quarter …) that the curve describes. */
    public static Rise of(Series all) {
        Optional<Steady> steady = Steady.end(all);
        if (steady.isPresent()) {
            return new Rise(steady, Optional.empty());
        }
        for (int k = 0; k < 4; k++) {
            Series tail = all.between(all.lastS() - (all.lastS() - all.firstS()) / (1 << k), all.lastS());
            Optional<StepFit> fit = StepFit.of(tail).filter(f -> f.residual() <= FITS * Math.max(ROUNDED, noise(tail.thinned(MOST))));
            if (fit.isPresent()) {
                return new Rise(steady, fit);
            }
        }
        return new Rise(steady, Optional.empty());
    }

    /** What samples scatter by: of their steps the root mean square over √6 of second differences, which slopes and slow bends do not enter. */
    private static double noise(Series s) {
        double sum = 0;
        int n = 0;
        for (int i = 2; i < s.size(); i++) {
            double d = s.valueAt(i) - 2 * s.valueAt(i - 1) + s.valueAt(i - 2);
            sum += d * d;
            n++;
        }
        return n == 0 ? 0 : Math.sqrt(sum / n / 6);
    }

    /** The fastest it rose over a minute or twenty samples, whichever is longer, K/min; 0 when it never did. */
    public static double fastestKPerMin(Series s) {
        double most = 0;
        int from = 0;
        for (int i = 0; i < s.size(); i++) {
            while (from < i - 20 && s.secondAt(i) - s.secondAt(from) > 60) {
                from++;
            }
            double dt = s.secondAt(i) - s.secondAt(from);
            if (dt >= 60) {
                most = Math.max(most, (s.valueAt(i) - s.valueAt(from)) / dt * 60);
            }
        }
        return most;
    }
}
