package tinperch.workshop.log;

import java.nio.ByteBuffer;
import java.util.Arrays;

/** Lowest and highest values of one or several channels over stretches of rows; a stretch of one row has the row itself. */
public final class Bands {
    private final int channels;
    private double[] first = new double[64];
    private double[] last = new double[64];
    private float[] low;
    private float[] high;
    private int size;

    Bands(int channels) {
        this.channels = channels;
        low = new float[64 * channels];
        high = new float[64 * channels];
    }

    /** How many stretches. */
    public int size() {
        return size;
    }

    /** First time of a stretch, s after the run's start. */
    public double firstS(int i) {
        return first[i];
    }

    /** Last time of a stretch, s after the run's start. */
    public double lastS(int i) {
        return last[i];
    }

    /** NaN where the channel has no value in the stretch. */
    public float low(int i, int channel) {
        return low[i * channels + channel];
    }

    /** Highest value of a channel in a stretch; NaN where it has none. */
    public float high(int i, int channel) {
        return high[i * channels + channel];
    }

    /** A new stretch, of one row. */
    void row(double s, float[] values) {
        room();
        first[size] = s;
        last[size] = s;
        System.arraycopy(values, 0, low, size * channels, channels);
        System.arraycopy(values, 0, high, size * channels, channels);
        size++;
    }

    /** Takes over a stretch of others. */
    void add(Bands from, int i) {
        room();
        first[size] = from.first[i];
        last[size] = from.last[i];
        System.arraycopy(from.low, i * channels, low, size * channels, channels);
        System.arraycopy(from.high, i * channels, high, size * channels, channels);
        size++;
    }

    void addAll(Bands others) {
        for (int i = 0; i < others.size; i++) {
            add(others, i);
        }
    }

    /** Those from one to before another. */
    Bands part(int from, int to) {
        Bands all = new Bands(channels);
        for (int i = from; i < to; i++) {
            all.add(this, i);
        }
        return all;
    }

    /** Without the first of them. */
    void drop(int n) {
        if (n > 0) {
            Bands rest = part(n, size);
            size = 0;
            addAll(rest);
        }
    }

    private void room() {
        if (size == first.length) {
            first = Arrays.copyOf(first, 2 * size);
            last = Arrays.copyOf(last, 2 * size);
            low = Arrays.copyOf(low, 2 * size * channels);
            high = Arrays.copyOf(high, 2 * size * channels);
        }
    }

    void clear() {
        size = 0;
    }

    /** Over so many stretches each. */
    Bands over(int many) {
        Bands all = new Bands(channels);
        for (int i = 0; i < size; i++) {
            if (i % many == 0) {
                all.add(this, i);
                continue;
            }
            int at = all.size - 1;
            all.last[at] = last[i];
            for (int c = 0; c < channels; c++) {
                float l = low[i * channels + c];
                float h = high[i * channels + c];
                int k = at * channels + c;
                // Written so that a stretch without a value takes over any.
                all.low[k] = l < all.low[k] || Float.isNaN(all.low[k]) ? l : all.low[k];
                all.high[k] = h > all.high[k] || Float.isNaN(all.high[k]) ? h : all.high[k];
            }
        }
        return all;
    }

    byte[] bytes() {
        ByteBuffer b = ByteBuffer.allocate(size * (16 + 8 * channels));
        for (int i = 0; i < size; i++) {
            b.putDouble(first[i]).putDouble(last[i]);
        }
        for (int k = 0; k < size * channels; k++) {
            b.putFloat(low[k]).putFloat(high[k]);
        }
        return b.array();
    }

    /** @throws LogFault when these are not bytes of stretches */
    static Bands of(byte[] bytes, int channels) {
        int each = 16 + 8 * channels;
        if (bytes == null || bytes.length % each != 0) {
            throw new LogFault("A piece of this log is damaged.", null);
        }
        Bands all = new Bands(channels);
        int n = bytes.length / each;
        all.first = new double[Math.max(1, n)];
        all.last = new double[Math.max(1, n)];
        all.low = new float[Math.max(1, n) * channels];
        all.high = new float[Math.max(1, n) * channels];
        ByteBuffer b = ByteBuffer.wrap(bytes);
        for (int i = 0; i < n; i++) {
            all.first[i] = b.getDouble();
            all.last[i] = b.getDouble();
        }
        for (int k = 0; k < n * channels; k++) {
            all.low[k] = b.getFloat();
            all.high[k] = b.getFloat();
        }
        all.size = n;
        return all;
    }
}
