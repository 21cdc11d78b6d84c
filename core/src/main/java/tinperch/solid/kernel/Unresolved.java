package tinperch.solid.kernel;

/** One attempt at one tolerance did not come out closed; the door tries others before it gives up. */
final class Unresolved extends RuntimeException {
    Unresolved(String why) {
        super(why, null, false, false);
    }
}
