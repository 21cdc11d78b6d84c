package tinperch.workshop.background;

import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Work of which everything counts, done one after the other on a thread of its own; unlike {@link Latest} nothing is skipped. */
public final class Crew {
    private final Executor thread;
    private final Queue<Runnable> soon = new ConcurrentLinkedQueue<>();
    private final Queue<Runnable> idle = new ConcurrentLinkedQueue<>();
    private final Executor deliverOn;

    /**
     * @param name of the thread
     * @param deliverOn where answers are handed over, the interface's thread
     */
    public Crew(String name, Executor deliverOn) {
        this.deliverOn = deliverOn;
        thread = Threads.one(name);
    }

    private Crew() {
        deliverOn = Runnable::run;
        thread = Runnable::run;
    }

    /** One that does everything while it is being given. */
    public static Crew atOnce() {
        return new Crew();
    }

    /** Waits until all that was given is done, at most a minute; what is given after that is done while it is given. */
    public void finish() {
        if (thread instanceof ExecutorService threads) {
            threads.shutdown();
            try {
                threads.awaitTermination(1, TimeUnit.MINUTES);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }

    /** Work somebody waits for. */
    public <T> void give(Supplier<T> work, Consumer<T> done) {
        put(soon, work, done);
    }

    /** Work that is done when nobody waits for any other. */
    public <T> void giveWhenIdle(Supplier<T> work, Consumer<T> done) {
        put(idle, work, done);
    }

    private <T> void put(Queue<Runnable> queue, Supplier<T> work, Consumer<T> done) {
        queue.add(() -> {
            T result = work.get();
            deliverOn.execute(() -> done.accept(result));
        });
        try {
            thread.execute(this::next);
        } catch (RejectedExecutionException e) {
            // Given after the last: nobody else does it any more.
            next();
        }
    }

    private void next() {
        Runnable first = soon.poll();
        (first != null ? first : idle.remove()).run();
    }
}
