package tinperch.workshop.background;

import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;

/**
 * Work on a thread of its own, of which only the newest counts: asking again makes every earlier answer stale, stale answers
 * are not delivered, and work not begun is skipped.
 */
public final class Latest implements AutoCloseable {
    private final ExecutorService thread;
    private final AtomicLong newest = new AtomicLong();
    private final Executor deliverOn;

    /**
     * @param name of the thread
     * @param deliverOn where answers are handed over, the interface's thread
     */
    public Latest(String name, Executor deliverOn) {
        this.deliverOn = deliverOn;
        thread = Threads.one(name);
    }

    /** What work in progress asks and answers with. */
    public final class Ticket {
        private final long number;

        private Ticket(long number) {
            this.number = number;
        }

        /** Whether nothing newer was asked for. */
        public boolean counts() {
            return number == newest.get();
        }

        /** Hands an answer over unless something newer was asked for meanwhile. */
        public void deliver(Runnable answer) {
            deliverOn.execute(() -> {
                if (counts()) {
                    answer.run();
                }
            });
        }
    }

    /** Does work, unless something newer is asked for before it begins. */
    public void ask(Consumer<Ticket> work) {
        Ticket ticket = new Ticket(newest.incrementAndGet());
        thread.execute(() -> {
            if (ticket.counts()) {
                work.accept(ticket);
            }
        });
    }

    /** The same once nothing newer has been asked for during some time: for what is asked many times while a hand moves. */
    public void askWhenQuiet(long quietMs, Consumer<Ticket> work) {
        ask(ticket -> {
            try {
                Thread.sleep(quietMs);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
            if (ticket.counts()) {
                work.accept(ticket);
            }
        });
    }

    /** Makes every answer still to come stale. */
    public void cancel() {
        newest.incrementAndGet();
    }

    @Override
    public void close() {
        cancel();
        thread.shutdownNow();
    }
}
