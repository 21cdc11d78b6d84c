package tinperch.workshop.log;

import java.util.Arrays;
import tinperch.trial.Series;

/** Gathers samples of a channel: all of them, or where there are too many means over so many each, with the highest itself in its place. */
final class Means {
    private final double[] s;
    private final float[] v;
    private final int over;
    private int n;
    private int in;
    private double sumS;
    private double sumV;
    private double peakS = Double.NaN;
    private float peak = Float.NEGATIVE_INFINITY;

    /** @param rows at most to come, {@code most} samples wanted */
    Means(long rows, int most) {
        over = Math.max(1, (int) Math.ceil((double) rows / most));
        s = new double[(int) (rows / over) + 2];
        v = new float[s.length];
    }

    void add(double second, float value) {
        if (value > peak) {
            peak = value;
            peakS = second;
        }
        sumS += second;
        sumV += value;
        if (++in == over) {
            flush();
        }
    }

    private void flush() {
        if (in > 0) {
            s[n] = sumS / in;
            v[n++] = (float) (sumV / in);
            sumS = 0;
            sumV = 0;
            in = 0;
        }
    }

    Series series() {
        flush();
        if (over > 1 && n < s.length) {
            int at = Arrays.binarySearch(s, 0, n, peakS);
            if (at < 0) {
                at = -at - 1;
                System.arraycopy(s, at, s, at + 1, n - at);
                System.arraycopy(v, at, v, at + 1, n - at);
                n++;
            }
            s[at] = peakS;
            v[at] = peak;
        }
        return Series.of(Arrays.copyOf(s, n), Arrays.copyOf(v, n));
    }
}
