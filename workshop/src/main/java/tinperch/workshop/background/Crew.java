package tinperch.workshop.background;

import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Work of which everything counts, done one after the other on a thread of its own; unlike {@link Latest} nothing is skipped. */
public final class Crew {
    private final ExecutorService thread;
    private final Executor deliverOn;

    /**
     * @param name of the thread
     * @param deliverOn where answers are handed over, the interface's thread
     */
    public Crew(String name, Executor deliverOn) {
        this.deliverOn = deliverOn;
        thread = Threads.one(name);
    }

    public <T> void give(Supplier<T> work, Consumer<T> done) {
        thread.execute(() -> {
            T result = work.get();
            deliverOn.execute(() -> done.accept(result));
        });
    }
}
