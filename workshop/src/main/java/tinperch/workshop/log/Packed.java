package tinperch.workshop.log;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;

/**
 * Rows as bytes, deflated: the steps of time in hundredths of a millisecond, then channel by channel the values, the most alike of their bytes together.
 */
final class Packed {
    /** Steps of time are kept to this. */
    private static final double TICKS_PER_S = 1e5;

    private Packed() {}

    static byte[] bytes(Bands rows, int channels) {
        int n = rows.size();
        ByteArrayOutputStream steps = new ByteArrayOutputStream(2 * n);
        long at = 0;
        for (int i = 0; i < n; i++) {
            long tick = Math.round(rows.firstS(i) * TICKS_PER_S);
            long step = tick - at;
            at = tick;
            while (step > 127) {
                steps.write((int) (step & 127 | 128));
                step >>>= 7;
            }
            steps.write((int) step);
        }
        ByteBuffer b = ByteBuffer.allocate(4 + steps.size() + 4 * n * channels);
        b.putInt(steps.size()).put(steps.toByteArray());
        int from = b.position();
        byte[] all = b.array();
        for (int c = 0; c < channels; c++) {
            for (int i = 0; i < n; i++) {
                int bits = Float.floatToRawIntBits(rows.low(i, c));
                int k = from + 4 * c * n + i;
                all[k] = (byte) (bits >>> 24);
                all[k + n] = (byte) (bits >>> 16);
                all[k + 2 * n] = (byte) (bits >>> 8);
                all[k + 3 * n] = (byte) bits;
            }
        }
        Deflater deflater = new Deflater(Deflater.BEST_SPEED);
        try {
            deflater.setInput(all);
            deflater.finish();
            byte[] out = new byte[all.length + all.length / 1000 + 64];
            int length = 0;
            while (!deflater.finished()) {
                length += deflater.deflate(out, length, out.length - length);
            }
            return java.util.Arrays.copyOf(out, length);
        } finally {
            deflater.end();
        }
    }

    /** @throws LogFault when these bytes are not so many rows */
    static Bands rows(byte[] bytes, int n, int channels) {
        if (n < 0 || n > RunWriter.CHUNK) {
            throw new LogFault("A piece of this log is damaged.", null);
        }
        Inflater inflater = new Inflater();
        try {
            byte[] all = new byte[4 + 10 * n + 4 * n * channels];
            inflater.setInput(bytes);
            int length = 0;
            while (!inflater.finished() && length < all.length) {
                int got = inflater.inflate(all, length, all.length - length);
                if (got == 0 && !inflater.finished()) {
                    break;
                }
                length += got;
            }
            ByteBuffer b = ByteBuffer.wrap(all, 0, length);
            int steps = b.getInt();
            if (steps < n || length != 4 + steps + 4 * n * channels) {
                throw new LogFault("A piece of this log is damaged.", null);
            }
            Bands rows = new Bands(channels);
            float[] values = new float[channels];
            int from = 4 + steps;
            long at = 0;
            int p = 4;
            for (int i = 0; i < n; i++) {
                long step = 0;
                int shift = 0;
                byte x;
                do {
                    x = all[p++];
                    step |= (long) (x & 127) << shift;
                    shift += 7;
                } while (x < 0 && shift < 63);
                at += step;
                for (int c = 0; c < channels; c++) {
                    int k = from + 4 * c * n + i;
                    values[c] = Float.intBitsToFloat((all[k] & 255) << 24 | (all[k + n] & 255) << 16 | (all[k + 2 * n] & 255) << 8 | all[k + 3 * n] & 255);
                }
                rows.row(at / TICKS_PER_S, values);
            }
            return rows;
        } catch (DataFormatException | java.nio.BufferUnderflowException | IndexOutOfBoundsException e) {
            throw new LogFault("A piece of this log is damaged.", e);
        } finally {
            inflater.end();
        }
    }
}
