package tinperch.workshop.store;

/** The workshop file could not be read or written; the message is for the owner. */
public final class StoreFault extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public StoreFault(String message, Throwable cause) {
        super(message, cause);
    }
}
