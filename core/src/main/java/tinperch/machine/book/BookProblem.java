package tinperch.machine.book;

/** An entry that cannot be made; the message is for the owner. Nothing has changed. */
public final class BookProblem extends RuntimeException {
    public BookProblem(String message) {
        super(message);
    }
}
