package tinperch.solid;

/** Asks whether a computation is still wanted. */
@FunctionalInterface
public interface Stop {
    /** Never stops. */
    Stop NEVER = () -> false;

    /** Whether nobody waits for the result any more. */
    boolean wanted();

    /** @throws Stopped when nobody waits for the result any more */
    default void check() {
        if (wanted()) {
            throw new Stopped();
        }
    }

    /** A computation ended before its result. */
    final class Stopped extends RuntimeException {
        private static final long serialVersionUID = 1L;

        public Stopped() {
            super("stopped", null, false, false);
        }
    }
}
