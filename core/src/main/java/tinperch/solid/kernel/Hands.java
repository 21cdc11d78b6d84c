package tinperch.solid.kernel;

import java.util.function.IntConsumer;

/**
 * Who does independent pieces of work. The kernel starts no threads; a caller that has some lends them. Whatever the hands,
 * the mesh is the same.
 */
@FunctionalInterface
public interface Hands {
    /** One after the other, on the caller's own thread. */
    Hands ONE = (count, work) -> {
        for (int i = 0; i < count; i++) {
            work.accept(i);
        }
    };

    /** Runs {@code work} once for each number from 0 to {@code count} − 1, in any order, and returns when all are done. */
    void each(int count, IntConsumer work);
}
