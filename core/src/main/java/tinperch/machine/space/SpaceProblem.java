package tinperch.machine.space;

/** Surroundings that cannot be; the message is for the owner. Nothing has changed. */
public final class SpaceProblem extends RuntimeException {
    public SpaceProblem(String message) {
        super(message);
    }
}
