package tinperch.files;

import java.io.BufferedInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import tinperch.files.model.Progress;
import tinperch.files.model.Stopped;

/** Lines of a text file, each no longer than is kept: one that is longer costs no memory. Bytes are characters (ISO 8859-1). */
public final class BoundedLines {
    private final InputStream in;
    private final int longest;
    private final StringBuilder line = new StringBuilder();
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
        this.in = new BufferedInputStream(new FilterInputStream(in) {
            @Override
            public int read(byte[] b, int off, int len) throws IOException {
                if (!progress.at(0)) {
                    throw new Stopped();
                }
                return super.read(b, off, len);
            }
        }, 1 << 16);
        this.longest = longest;
    }

    /** The next line without its end, or as much of it as is kept; null after the last. */
    public String next() throws IOException {
        line.setLength(0);
        tooLong = false;
        int b = in.read();
        if (b < 0) {
            return null;
        }
        number++;
        while (b >= 0 && b != '\n') {
            if (line.length() < longest) {
                line.append((char) b);
            } else {
                tooLong = true;
            }
            b = in.read();
        }
        int end = line.length() - 1;
        if (end >= 0 && line.charAt(end) == '\r') {
            line.setLength(end);
        }
        return line.toString();
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
