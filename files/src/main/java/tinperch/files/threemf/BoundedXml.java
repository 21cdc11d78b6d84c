package tinperch.files.threemf;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import tinperch.files.FileFault;

/**
 * Stops a small archive from unpacking into more than memory holds: bounds the whole document, and bounds every single
 * tag, text, comment and CDATA section, each of which an XML parser keeps whole.
 */
final class BoundedXml extends FilterInputStream {
    /** About 4 million triangles. */
    private static final long MOST_BYTES = 400L << 20;
    private static final int LONGEST_PIECE = 1 << 20;

    private long left = MOST_BYTES;
    private int piece;
    /** The newest bytes, newest lowest; enough to know "<!--", "-->", "<![" and "]]>". */
    private int recent;
    private boolean inComment;
    private boolean inCdata;

    BoundedXml(InputStream in) {
        super(in);
    }

    @Override
    public int read() throws IOException {
        int b = super.read();
        if (b >= 0) {
            count(b);
        }
        return b;
    }

    @Override
    public int read(byte[] b, int off, int len) throws IOException {
        int n = super.read(b, off, len);
        for (int i = 0; i < n; i++) {
            count(b[off + i]);
        }
        return n;
    }

    private void count(int b) throws FileFault {
        recent = recent << 8 | b & 0xFF;
        if (inComment || inCdata) {
            if ((recent & 0xFFFFFF) == (inComment ? 0x2D2D3E : 0x5D5D3E)) {
                inComment = false;
                inCdata = false;
                piece = 0;
            }
        } else if (recent == 0x3C212D2D) {
            inComment = true;
        } else if ((recent & 0xFFFFFF) == 0x3C215B) {
            inCdata = true;
        } else if ((b & 0xFF) == '>') {
            piece = 0;
        }
        if (--left < 0 || ++piece > LONGEST_PIECE) {
            throw new FileFault("The model inside the 3MF unpacks to more than a model can be; it was left alone. "
                    + "Nothing was imported.");
        }
    }

    @Override
    public void close() {
        // The zip belongs to the caller.
    }
}
