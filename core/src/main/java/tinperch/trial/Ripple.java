package tinperch.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How a controlled temperature swings about its mean.
 *
 * @param periodS from one way up through the mean to the next, s
 * @param amplitude half of what lies between its highs and lows, in the mean of all swings
 * @param swings how many were seen, at least 3
 */
public record Ripple(double periodS, double amplitude, int swings) {
    private static final int LEAST = 3;
    /** A swing counts when it leaves the mean by this share of the deviation: noise about the mean is no swing. */
    private static final double OUT = 0.6;

    /** The swings; empty when fewer than three are seen. */
    public static Optional<Ripple> of(Series s) {
        Optional<Steady> steady = Steady.of(s);
        if (steady.isEmpty()) {
            return Optional.empty();
        }
        double mean = steady.get().mean();
        double out = OUT * steady.get().deviation();
        List<Double> ups = new ArrayList<>();
        List<Double> spans = new ArrayList<>();
        boolean below = false;
        double high = Double.NEGATIVE_INFINITY;
        double low = Double.POSITIVE_INFINITY;
        for (int i = 0; i < s.size(); i++) {
            double v = s.valueAt(i) - mean;
            if (v < -out) {
                below = true;
            } else if (v > out && below) {
                below = false;
                if (!ups.isEmpty()) {
                    spans.add(high - low);
                }
                ups.add(s.secondAt(i));
                high = Double.NEGATIVE_INFINITY;
                low = Double.POSITIVE_INFINITY;
            }
            high = Math.max(high, v);
            low = Math.min(low, v);
        }
        if (spans.size() < LEAST) {
            return Optional.empty();
        }
        double period = (ups.get(ups.size() - 1) - ups.get(0)) / spans.size();
        return Optional.of(new Ripple(period, spans.stream().mapToDouble(d -> d / 2).average().orElseThrow(), spans.size()));
    }

    /** How far it went beyond its target after it first reached it; 0 when it never reached it. */
    public static double overshoot(Series s, double target) {
        boolean from = s.size() > 0 && s.valueAt(0) < target;
        double most = 0;
        boolean reached = false;
        for (int i = 0; i < s.size(); i++) {
            double over = from ? s.valueAt(i) - target : target - s.valueAt(i);
            reached |= over >= 0;
            most = reached ? Math.max(most, over) : 0;
        }
        return most;
    }
}
