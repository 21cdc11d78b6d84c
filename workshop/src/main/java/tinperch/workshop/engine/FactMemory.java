package tinperch.workshop.engine;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ForkJoinWorkerThread;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import tinperch.fact.Fact;
import tinperch.fact.Facts;
import tinperch.solid.Stop;
import tinperch.solid.kernel.Hands;
import tinperch.solid.kernel.PlaneMemory;
import tinperch.upgrade.Case;
import tinperch.workshop.background.Helpers;

/** What was found out lately, by what it follows from; the oldest goes first. Safe on any thread. */
public final class FactMemory {
    /** Of a few edits with all their remedies tried out, and of the workshop's other parts: an undo need not try them again. */
    private static final int MOST_FACTS = 1000;
    private static final int MOST_SOLIDS = 24;
    private static final long ASK_STOP_MS = 5;
    private static final Object NOTHING = new Object();

    private final Map<Key, Object> known;
    private final Map<String, PlaneMemory> solids = oldestFirst(MOST_SOLIDS);

    private final Map<Key, Making> making = new ConcurrentHashMap<>();

    /** One large enough for a workshop. */
    public FactMemory() {
        this(MOST_FACTS);
    }

    /** @param most facts it remembers; the one not asked for longest goes first */
    public FactMemory(int most) {
        known = oldestFirst(most);
    }

    /** Inputs are deep: their sum is made once, and by whoever asks, not while others wait. */
    private static final class Key {
        private final Fact<?> fact;
        private final Object inputs;
        private final int hash;

        Key(Fact<?> fact, Object inputs) {
            this.fact = fact;
            this.inputs = inputs;
            hash = 31 * fact.hashCode() + Objects.hashCode(inputs);
        }

        @Override
        public boolean equals(Object o) {
            return o instanceof Key k && hash == k.hash && fact.equals(k.fact) && Objects.equals(inputs, k.inputs);
        }

        @Override
        public int hashCode() {
            return hash;
        }
    }

    /** A fact somebody is finding out. */
    private record Making(Thread by, CountDownLatch over) {
        /** Waits until it is known, or will not be. */
        void await(Stop stop) {
            // A helper of many never waits: what it waits for might wait for it.
            if (by == Thread.currentThread() || Thread.currentThread() instanceof ForkJoinWorkerThread) {
                return;
            }
            try {
                while (!over.await(ASK_STOP_MS, TimeUnit.MILLISECONDS)) {
                    stop.check();
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new Stop.Stopped();
            }
        }
    }

    private static <K, V> Map<K, V> oldestFirst(int most) {
        return new LinkedHashMap<>(64, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    private synchronized Object recall(Key key) {
        return known.get(key);
    }

    private synchronized void keep(Key key, Object value) {
        known.put(key, value);
    }

    private synchronized PlaneMemory solid(String name, Supplier<PlaneMemory> made) {
        return solids.computeIfAbsent(name, k -> made.get());
    }

    /** The facts of a case on the calling thread, helped by all cores; what it leaves helps the next case of the same part. */
    Facts of(Case c, Stop stop) {
        return new Remembering(c, stop, true);
    }

    /** The facts of a case that is only tried out, by one core: the others draw the window. */
    Facts tried(Case c, Stop stop) {
        return new Remembering(c, stop, false);
    }

    private final class Remembering implements Facts {
        private final Case of;
        private final Stop stop;
        private final boolean leaves;
        /** What one case asked for before it gets without looking at what it follows from again. */
        private final Map<Fact<?>, Object> had = new ConcurrentHashMap<>();

        Remembering(Case of, Stop stop, boolean leaves) {
            this.leaves = leaves;
            this.of = of;
            this.stop = stop;
        }

        @Override
        @SuppressWarnings("unchecked")
        public <T> T get(Fact<T> fact) {
            Object value = had.get(fact);
            if (value == null) {
                value = found(fact);
                had.put(fact, value);
            }
            return value == NOTHING ? null : (T) value;
        }

        private <T> Object found(Fact<T> fact) {
            Key key = new Key(fact, fact.inputs(of, this));
            Object value = recall(key);
            if (value == null) {
                Making mine = new Making(Thread.currentThread(), new CountDownLatch(1));
                Making others = making.putIfAbsent(key, mine);
                if (others != null) {
                    others.await(stop);
                    value = recall(key);
                }
                try {
                    value = value != null ? value : made(fact, key);
                } finally {
                    making.remove(key, mine);
                    mine.over.countDown();
                }
            }
            return value;
        }

        private <T> Object made(Fact<T> fact, Key key) {
            // Another may have come to its end between the question and now.
            Object known = recall(key);
            if (known != null) {
                return known;
            }
            stop.check();
            T made = fact.compute(of, this);
            Object value = made == null ? NOTHING : made;
            keep(key, value);
            return value;
        }

        @Override
        public Facts of(Case other) {
            return new Remembering(other, stop, leaves);
        }

        @Override
        public Stop stop() {
            return stop;
        }

        @Override
        public Hands hands() {
            return leaves ? Helpers.all(stop) : Helpers.one(stop);
        }

        @Override
        public PlaneMemory memory(String name) {
            PlaneMemory kept = solid(of.upgrade().id() + "/" + of.part().id() + "/" + name, PlaneMemory::new);
            return leaves ? kept : kept.lent();
        }
    }
}
