package tinperch.trial;

import java.util.Optional;

/**
 * What is kept of a channel beside its samples, so that it counts without them.
 *
 * @param peakC highest value, °C
 * @param stood whether it stood still at all, at its end or for a tenth of its time; else the next two are 0
 * @param stoodC what at, °C
 * @param halfK half of the interval of that (95 %), K
 */
public record Kept(double peakC, boolean stood, double stoodC, double halfK) {
    /** Of a channel; empty without samples. */
    public static Optional<Kept> of(Series s) {
        if (s.size() == 0) {
            return Optional.empty();
        }
        Optional<Steady> stood = Steady.end(s).or(() -> Steady.longest(s));
        return Optional.of(new Kept(Above.of(s, Double.POSITIVE_INFINITY).peak(), stood.isPresent(), stood.map(Steady::mean).orElse(0.0), stood.map(Steady::halfWidth).orElse(0.0)));
    }
}
