package tinperch.workshop.engine;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.testng.annotations.Test;
import tinperch.fact.Fact;
import tinperch.fact.Facts;
import tinperch.solid.Stop;
import tinperch.upgrade.Case;

/** Two ask for the same at the same time. */
@Test(groups = "quick")
public class FactMemoryTest {
    /** A fact that takes as long as it is told to. */
    private static final class Slow implements Fact<Object> {
        final AtomicInteger begun = new AtomicInteger();
        final CountDownLatch first = new CountDownLatch(1);
        final CountDownLatch go = new CountDownLatch(1);

        @Override
        public Object inputs(Case c, Facts facts) {
            return "same";
        }

        @Override
        public Object compute(Case c, Facts facts) {
            begun.incrementAndGet();
            first.countDown();
            try {
                while (!go.await(1, TimeUnit.MILLISECONDS)) {
                    facts.stop().check();
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            return new Object();
        }
    }

    private static CompletableFuture<Object> ask(FactMemory memory, Stop stop, Slow fact) {
        CompletableFuture<Object> answer = new CompletableFuture<>();
        new Thread(() -> {
            try {
                answer.complete(memory.tried(null, stop).get(fact));
            } catch (RuntimeException e) {
                answer.completeExceptionally(e);
            }
        }).start();
        return answer;
    }

    public void whatTwoAskForIsFoundOutOnce() throws Exception {
        FactMemory memory = new FactMemory();
        Slow fact = new Slow();
        CompletableFuture<Object> one = ask(memory, Stop.NEVER, fact);
        fact.first.await();
        CompletableFuture<Object> other = ask(memory, Stop.NEVER, fact);
        Thread.sleep(30);
        fact.go.countDown();
        assertSame(other.get(5, TimeUnit.SECONDS), one.get(5, TimeUnit.SECONDS));
        assertEquals(fact.begun.get(), 1);
    }

    public void whoIsStoppedLeavesTheWorkToWhoWaits() throws Exception {
        FactMemory memory = new FactMemory();
        Slow fact = new Slow();
        AtomicBoolean stopped = new AtomicBoolean();
        CompletableFuture<Object> one = ask(memory, stopped::get, fact);
        fact.first.await();
        CompletableFuture<Object> other = ask(memory, Stop.NEVER, fact);
        Thread.sleep(30);
        stopped.set(true);
        assertTrue(one.handle((v, e) -> e instanceof Stop.Stopped).get(5, TimeUnit.SECONDS));
        fact.go.countDown();
        assertTrue(other.get(5, TimeUnit.SECONDS) != null);
        assertEquals(fact.begun.get(), 2);
    }

    public void whoWaitsCanBeStopped() throws Exception {
        FactMemory memory = new FactMemory();
        Slow fact = new Slow();
        AtomicBoolean stopped = new AtomicBoolean();
        CompletableFuture<Object> one = ask(memory, Stop.NEVER, fact);
        fact.first.await();
        CompletableFuture<Object> other = ask(memory, stopped::get, fact);
        Thread.sleep(30);
        stopped.set(true);
        assertTrue(other.handle((v, e) -> e instanceof Stop.Stopped).get(5, TimeUnit.SECONDS));
        fact.go.countDown();
        one.get(5, TimeUnit.SECONDS);
    }
}
