package tinperch.workshop.log;

/** Samples could not be read or kept; the message is for the owner. */
public final class LogFault extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public LogFault(String message, Throwable cause) {
        super(message, cause);
    }
}
