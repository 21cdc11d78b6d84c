package tinperch.quantity;

/** Text that is not a usable quantity; the message is a sentence for the person who typed it. */
public final class QuantityException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public QuantityException(String message) {
        super(message);
    }
}
