package tinperch.files;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import tinperch.files.model.Progress;
import tinperch.files.model.Stopped;

/** Lines of a text file, each no longer than is kept: one that is longer costs no memory. Bytes are characters (ISO 8859-1). */
public final class BoundedLines {
    private static final int BITE = 1 << 16;

    private final InputStream in;
    private final Progress progress;
    private final int longest;
    private final byte[] bite = new byte[BITE];
    private int at;
    private int end;
    private byte[] line = new byte[256];
    private int length;
    private boolean tooLong;
    private long number;

    /**
     * Lines of a stream that whoever gave it stops.
     *
     * @param longest most characters of a line that are kept
     */
    public BoundedLines(InputStream in, int longest) {
        this(in, longest, share -> true);
    }

    /** @param progress asked with every bite of 64 KB, however long a line is */
    public BoundedLines(InputStream in, int longest, Progress progress) {
        this.in = in;
        this.progress = progress;
        this.longest = longest;
    }

    /** Whether there is more. */
    private boolean bite() throws IOException {
        if (!progress.at(0)) {
            throw new Stopped();
        }
        at = 0;
        end = in.read(bite, 0, BITE);
        return end > 0;
    }

    /** The next line without its end, or as much of it as is kept; null after the last. */
    public String next() throws IOException {
        length = 0;
        tooLong = false;
        if (at >= end && !bite()) {
            return null;
        }
        number++;
        while (true) {
            int from = at;
            while (at < end && bite[at] != '\n') {
                at++;
            }
            keep(from, at);
            if (at < end) {
                at++;
                break;
            }
            if (!bite()) {
                break;
            }
        }
        int to = length > 0 && line[length - 1] == '\r' ? length - 1 : length;
        return new String(line, 0, to, StandardCharsets.ISO_8859_1);
    }

    private void keep(int from, int to) {
        int n = Math.min(to - from, longest - length);
        tooLong |= n < to - from;
        if (length + n > line.length) {
            line = Arrays.copyOf(line, Math.max(2 * line.length, length + n));
        }
        System.arraycopy(bite, from, line, length, n);
        length += n;
    }

    /** Whether the line given last was longer than what is kept. */
    public boolean isTooLong() {
        return tooLong;
    }

    /** Number of the line given last, from 1. */
    public long number() {
        return number;
    }
}
