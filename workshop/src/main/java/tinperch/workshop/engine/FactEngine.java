package tinperch.workshop.engine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tinperch.check.Check;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.fact.DrawingFact;
import tinperch.fact.Fact;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
import tinperch.solid.Stop;
import tinperch.judge.Assessment;
import tinperch.judge.Checks;
import tinperch.judge.Judge;
import tinperch.judge.Prover;
import tinperch.judge.SettleSearch;
import tinperch.judge.Starts;
import tinperch.part.param.NumberParam;
import tinperch.upgrade.Case;
import tinperch.upgrade.Recipe;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.background.Crew;
import tinperch.workshop.background.Helpers;
import tinperch.workshop.background.Latest;

/**
 * Finds out facts and judges parts in the background. What is looked at comes first: its drawing and check by check, then remedies tried
 * out; asking again stops what is under way. Everything else waits its turn behind.
 */
public final class FactEngine implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(FactEngine.class);
    private static final int WARM_UPS = 6;
    private static final int PAUSES = 4;
    private static final long PAUSE_MS = 5;
    private static final long LONGEST_HELD_MS = 4000;

    private final FactMemory memory;
    private final AtomicLong asked = new AtomicLong();
    /** A search for remedies ends after so long. */
    private static final long SETTLE_NS = 8_000_000_000L;
    private final Latest settling;
    private final Latest latest;
    private final Crew behind;
    private Map<Remedy, Assessment> leadsTo = Map.of();

    /** Told what is found out about the case looked at, on the interface's thread. */
    public interface Listener {
        /** The drawing, or null when there is no part to draw. */
        void drawn(DrawingFact.Drawing drawing);

        /** All that is judged so far. */
        void judged(Assessment assessment);

        /** Nothing more will be told of this case. */
        default void done() {}
    }

    /** @param deliverOn where answers are handed over, the interface's thread */
    public FactEngine(Executor deliverOn) {
        this(deliverOn, new FactMemory());
    }

    /** @param memory of what was found out before, perhaps by another engine */
    public FactEngine(Executor deliverOn, FactMemory memory) {
        this.memory = memory;
        settling = new Latest("settling", deliverOn);
        latest = new Latest("facts", deliverOn);
        behind = new Crew("facts behind", deliverOn);
    }

    /**
     * What waits its turn behind does not begin before the answer is run, or some seconds have passed: while a window comes up it needs
     * both cores.
     */
    public Runnable holdBack() {
        CountDownLatch held = new CountDownLatch(1);
        behind.give(() -> {
            try {
                return held.await(LONGEST_HELD_MS, TimeUnit.MILLISECONDS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return false;
            }
        }, inTime -> LOG.debug("Begins behind, told so: {}", inTime));
        return held::countDown;
    }

    /** Looks at a case; whatever was looked at before is stopped and its answers are not delivered. */
    public void look(Case c, Listener listener) {
        long number = asked.incrementAndGet();
        leadsTo = Map.of();
        Stop stop = () -> asked.get() != number;
        latest.ask(ticket -> {
            try {
                answer(c, memory.of(c, stop), stop, ticket, listener);
            } catch (Stop.Stopped e) {
                LOG.trace("Stopped for a newer question");
            } catch (RuntimeException e) {
                LOG.error("A case could not be looked at", e);
                ticket.deliver(() -> {
                    listener.judged(new Assessment(List.of(Finding.of("engine", Severity.CANT_TELL, "The part could not be judged",
                            "The reckoning failed (" + e + "). Undo the last edit, or change another number.")), List.of()));
                    listener.done();
                });
            }
        });
    }

    private void answer(Case c, Facts facts, Stop stop, Latest.Ticket ticket, Listener listener) {
        // All else follows from the meshes.
        facts.get(MeshesFact.MESHES);
        Picture picture = new Picture(ticket, listener);
        Helpers.all(stop).each(2, i -> {
            // Hands that get both never wait for themselves in this order.
            if (i == 0) {
                judge(c, facts, picture);
            } else {
                picture.drawn(facts.get(DrawingFact.DRAWING));
            }
        });
        Assessment judged = picture.all();
        Map<Finding, List<Prover.Tried>> tried = Prover.all(c, judged, k -> memory.tried(k, stop), Helpers.one(stop));
        Map<Remedy, Assessment> ends = new HashMap<>();
        tried.values().forEach(all -> all.forEach(t -> ends.put(t.remedy(), t.after())));
        Assessment proven = Prover.proven(judged, tried);
        ticket.deliver(() -> {
            leadsTo = ends;
            listener.judged(proven);
            listener.done();
        });
    }

    private static void judge(Case c, Facts facts, Picture picture) {
        Assessment now = new Assessment(List.of(), Checks.ALL.stream().map(Check::about).toList());
        for (Check check : Checks.ALL) {
            facts.stop().check();
            now = now.done(check.about(), Judge.ask(check, c, facts));
            picture.judged(now);
        }
    }

    /** Lets the window draw what it was told: it needs the cores for a moment. */
    private static void pause(Stop stop) {
        try {
            for (int i = 0; i < PAUSES; i++) {
                stop.check();
                Thread.sleep(PAUSE_MS);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Stop.Stopped();
        }
    }

    /** The judgement a remedy of the case looked at leads to; empty until it was tried out. On the interface's thread. */
    public Optional<Assessment> after(Remedy remedy) {
        return Optional.ofNullable(leadsTo.get(remedy));
    }

    /** Makes every answer still to come stale. */
    public void lookAway() {
        asked.incrementAndGet();
        latest.cancel();
        leadsTo = Map.of();
    }

    /**
     * Looks for remedies after which nothing stops; a newer search ends an older one.
     *
     * @param enough asked between designs, on another thread: true ends it with the best so far
     * @param looked told how many designs were looked at
     */
    public void settle(Case c, BooleanSupplier enough, IntConsumer looked, Consumer<SettleSearch.Proposal> done) {
        settling.ask(ticket -> {
            long end = System.nanoTime() + SETTLE_NS;
            try {
                SettleSearch.Proposal p = SettleSearch.of(c, k -> memory.tried(k, () -> !ticket.counts()), Helpers.all(() -> !ticket.counts()), () -> enough.getAsBoolean() || System.nanoTime() > end, n -> ticket.deliver(() -> looked.accept(n)));
                ticket.deliver(() -> done.accept(p));
            } catch (Stop.Stopped e) {
                LOG.trace("Stopped for a newer search");
            }
        });
    }

    /** Judges a case when there is time and nobody waits for anything else. */
    public void later(Case c, Consumer<Assessment> done) {
        behind.giveWhenIdle(() -> Judge.judge(c, memory.tried(c, Stop.NEVER)), done);
    }

    /** Chooses what a new part begins with, when there is time. */
    public void start(Upgrade upgrade, PartDesign part, Shop shop, Consumer<PartDesign> done) {
        behind.give(() -> Starts.choose(upgrade, part, shop, c -> memory.tried(c, Stop.NEVER)), done);
    }

    /**
     * Goes through what an edit sets off, a few times, while nothing else is asked: so that the person's first edits need not wait for the
     * compiler. Ends as soon as something is looked at.
     */
    public void warmUp(Case c) {
        long number = asked.get();
        Stop stop = () -> asked.get() != number;
        behind.giveWhenIdle(() -> {
            try {
                for (int i = 1; i <= WARM_UPS; i++) {
                    Case edited = c.with(nudged(c, i));
                    Facts facts = memory.tried(edited, stop);
                    facts.get(DrawingFact.DRAWING);
                    Assessment a = Judge.judge(edited, facts);
                    Prover.all(edited, a, k -> memory.tried(k, stop), Helpers.all(stop));
                }
            } catch (Stop.Stopped e) {
                LOG.trace("The person was quicker");
            } catch (RuntimeException e) {
                LOG.debug("Warming up ended early", e);
            }
            return null;
        }, done -> { });
    }

    /** The recipe with its first length a hundredth of a millimetre or more longer. */
    private static Recipe nudged(Case c, int hundredths) {
        Recipe r = c.recipe();
        return c.family().flatMap(f -> f.params().stream().filter(NumberParam.class::isInstance).map(NumberParam.class::cast).findFirst())
                .map(p -> new Recipe(r.familyId(), p.set(r.values(), Math.min(p.max(), p.of(r.values()) + 0.01 * hundredths)), r.refs(), r.features(), r.holeOffsetMm(), r.fits(), r.mark()))
                .orElse(r);
    }

    /** A fact of any case when there is time. */
    public <T> void find(Case c, Fact<T> fact, Consumer<T> done) {
        behind.give(() -> memory.tried(c, Stop.NEVER).get(fact), done);
    }

    /** Any other work when there is time. */
    public <T> void work(Supplier<T> work, Consumer<T> done) {
        behind.give(work, done);
    }

    /** The form of a case, on the calling thread: no triangle is computed for it. */
    public FormFact.Answer form(Case c) {
        return memory.tried(c, Stop.NEVER).get(FormFact.FORM);
    }

    /** Facts of a case on the calling thread, for whoever can wait. */
    public Facts now(Case c) {
        return memory.of(c, Stop.NEVER);
    }

    @Override
    public void close() {
        lookAway();
        latest.close();
        settling.close();
    }
}
