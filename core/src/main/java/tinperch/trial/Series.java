package tinperch.trial;

import java.util.Arrays;

/**
 * Samples of one channel in the order of time. Seconds count from the run's start and strictly increase; values are numbers.
 */
public final class Series {
    /** A step this many times longer than the usual one is a gap: nothing is known of what lies in it. */
    private static final double GAP_STEPS = 5;

    private final double[] seconds;
    private final float[] values;
    private final int from;
    private final int to;
    private final double gapS;

    private Series(double[] seconds, float[] values, int from, int to, double gapS) {
        this.seconds = seconds;
        this.values = values;
        this.from = from;
        this.to = to;
        this.gapS = gapS;
    }

    /**
     * Of samples; those without a value (NaN), without a time, or not later than the one before are left out.
     *
     * @throws IllegalArgumentException when there are more of one than of the other
     */
    public static Series of(double[] seconds, float[] values) {
        if (seconds.length != values.length) {
            throw new IllegalArgumentException(seconds.length + " times, " + values.length + " values");
        }
        double[] s = new double[seconds.length];
        float[] v = new float[values.length];
        int n = 0;
        double last = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < seconds.length; i++) {
            if (seconds[i] > last && Double.isFinite(seconds[i]) && Float.isFinite(values[i])) {
                s[n] = seconds[i];
                v[n++] = values[i];
                last = seconds[i];
            }
        }
        double[] times = Arrays.copyOf(s, n);
        return new Series(times, Arrays.copyOf(v, n), 0, n, GAP_STEPS * step(times));
    }

    /** The middle one of all steps; of many, of some of them. */
    private static double step(double[] s) {
        int n = Math.min(s.length - 1, 2001);
        if (n < 1) {
            return Double.POSITIVE_INFINITY;
        }
        double[] steps = new double[n];
        for (int k = 0; k < n; k++) {
            int i = (int) ((long) k * (s.length - 1) / n);
            steps[k] = s[i + 1] - s[i];
        }
        Arrays.sort(steps);
        return steps[n / 2];
    }

    /** How many samples. */
    public int size() {
        return to - from;
    }

    /** Time of a sample, s after the run's start. */
    public double secondAt(int i) {
        return seconds[from + i];
    }

    /** Value of a sample, in the channel's unit. */
    public double valueAt(int i) {
        return values[from + i];
    }

    /** First and last time, s; 0 where it has no samples. */
    public double firstS() {
        return size() == 0 ? 0 : seconds[from];
    }

    /** Time of the last sample, s; 0 where there is none. */
    public double lastS() {
        return size() == 0 ? 0 : seconds[to - 1];
    }

    /** Steps longer than this are gaps, s. */
    public double gapS() {
        return gapS;
    }

    /** Whether nothing is known between a sample and the next. */
    public boolean isGapAfter(int i) {
        return i + 1 < size() && secondAt(i + 1) - secondAt(i) > gapS;
    }

    /** Samples from one time to another, both included; shares its samples with this. */
    public Series between(double fromS, double toS) {
        int a = indexAt(fromS);
        int b = Arrays.binarySearch(seconds, from, to, toS);
        return new Series(seconds, values, a, Math.max(a, b < 0 ? -b - 1 : b + 1), gapS);
    }

    private int indexAt(double s) {
        int a = Arrays.binarySearch(seconds, from, to, s);
        return a < 0 ? -a - 1 : a;
    }

    /** The value at a time, between samples on a straight line; NaN before, after and in gaps. */
    public double at(double s) {
        int i = indexAt(s);
        if (i < to && seconds[i] == s) {
            return values[i];
        }
        if (i <= from || i >= to || seconds[i] - seconds[i - 1] > gapS) {
            return Double.NaN;
        }
        double t = (s - seconds[i - 1]) / (seconds[i] - seconds[i - 1]);
        return values[i - 1] + t * (values[i] - values[i - 1]);
    }

    /** Means of at most so many equal stretches of time, at the mean time of their samples; itself where it has no more. Takes noise and work off a fit. */
    public Series thinned(int most) {
        if (size() <= most) {
            return this;
        }
        double[] s = new double[most];
        float[] v = new float[most];
        int n = 0;
        double width = (lastS() - firstS()) / most;
        int i = 0;
        for (int k = 0; k < most; k++) {
            double end = k == most - 1 ? Double.POSITIVE_INFINITY : firstS() + (k + 1) * width;
            double sumS = 0;
            double sumV = 0;
            int of = 0;
            for (; i < size() && secondAt(i) < end; i++, of++) {
                sumS += secondAt(i);
                sumV += valueAt(i);
            }
            if (of > 0) {
                s[n] = sumS / of;
                v[n++] = (float) (sumV / of);
            }
        }
        return new Series(Arrays.copyOf(s, n), Arrays.copyOf(v, n), 0, n, Math.max(gapS, GAP_STEPS * width));
    }
}
