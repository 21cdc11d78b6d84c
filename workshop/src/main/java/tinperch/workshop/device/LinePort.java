package tinperch.workshop.device;

import java.io.IOException;

/** Something that gives bytes of lines, and may be asked for a report. Used by one thread. */
public interface LinePort extends AutoCloseable {
    /** What it is called, for the owner. */
    String name();

    /** Whether no hardware stands behind it. */
    boolean isSimulated();

    /** @throws IOException with a sentence when it cannot be opened: gone, or held by another program */
    void open() throws IOException;

    /**
     * Waits for bytes, a fifth of a second at most.
     *
     * @return how many came, 0 for none
     * @throws IOException when it is not there any more
     */
    int read(byte[] into) throws IOException;

    /** Asks for a report of temperatures; nothing else can be sent. */
    void ask() throws IOException;

    @Override
    void close();
}
