package tinperch.files.model;

import java.io.IOException;

/** Reading was stopped by the one who asked for it; nothing was imported. */
public final class Stopped extends IOException {
    private static final long serialVersionUID = 1L;

    public Stopped() {
        super("Stopped; nothing was imported.");
    }
}
