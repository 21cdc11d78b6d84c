package tinperch.files;

import java.io.IOException;

/** A file that cannot be read or written; the message says what happened, what is safe and what to do. */
public final class FileFault extends IOException {
    private static final long serialVersionUID = 1L;

    public FileFault(String message) {
        super(message);
    }

    public FileFault(String message, Throwable cause) {
        super(message, cause);
    }
}
