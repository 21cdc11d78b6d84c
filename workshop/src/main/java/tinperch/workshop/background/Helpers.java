package tinperch.workshop.background;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import tinperch.solid.Stop;
import tinperch.solid.kernel.Hands;

/** All the processor's cores, lent to work in many pieces. */
public final class Helpers {
    /** Helpers that never stop. */
    public static final Hands ALL = all(Stop.NEVER);

    private Helpers() {}

    /** The caller's own hands, that ask before each piece whether they are still wanted. */
    public static Hands one(Stop stop) {
        return (count, work) -> Hands.ONE.each(count, i -> {
            stop.check();
            work.accept(i);
        });
    }

    /** Each takes a few pieces at a time, so that heavy ones do not wait in one pair of hands, and asks first whether they are still wanted. */
    public static Hands all(Stop stop) {
        return (count, work) -> {
            AtomicInteger next = new AtomicInteger();
            int few = Math.max(1, Math.min(8, count / 64));
            IntStream.range(0, Math.min(count, Runtime.getRuntime().availableProcessors())).parallel().forEach(hand -> {
                for (int i = next.getAndAdd(few); i < count; i = next.getAndAdd(few)) {
                    stop.check();
                    for (int k = i; k < Math.min(count, i + few); k++) {
                        work.accept(k);
                    }
                }
            });
        };
    }
}
