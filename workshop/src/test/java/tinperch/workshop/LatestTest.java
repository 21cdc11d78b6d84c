package tinperch.workshop;

import tinperch.workshop.background.Crew;
import tinperch.workshop.background.Latest;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.Test;

/** Background work of which only the newest counts, and work of which all counts. */
public class LatestTest {
    @Test
    public void onlyTheNewestIsDelivered() throws Exception {
        List<Integer> got = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch first = new CountDownLatch(1);
        CountDownLatch go = new CountDownLatch(1);
        CountDownLatch last = new CountDownLatch(1);
        try (Latest latest = new Latest("test", Runnable::run)) {
            latest.ask(t -> {
                first.countDown();
                await(go);
                t.deliver(() -> got.add(1));
            });
            assertTrue(first.await(5, TimeUnit.SECONDS));
            latest.ask(t -> t.deliver(() -> got.add(2)));
            latest.ask(t -> {
                t.deliver(() -> got.add(3));
                last.countDown();
            });
            go.countDown();
            assertTrue(last.await(5, TimeUnit.SECONDS));
        }
        assertEquals(got, List.of(3), "the first is stale, the second is never begun");
    }

    @Test
    public void whatIsAskedWhileAHandMovesIsDoneOnceItRests() throws Exception {
        List<Integer> got = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch done = new CountDownLatch(1);
        try (Latest latest = new Latest("test", Runnable::run)) {
            for (int i = 0; i < 20; i++) {
                int n = i;
                latest.askWhenQuiet(40, t -> {
                    got.add(n);
                    done.countDown();
                });
            }
            assertTrue(done.await(10, TimeUnit.SECONDS));
            Thread.sleep(120);
        }
        assertEquals(got, List.of(19));
    }

    @Test
    public void aCrewDoesEverythingInOrder() throws Exception {
        List<Integer> got = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch done = new CountDownLatch(5);
        Crew crew = new Crew("test", Runnable::run);
        for (int i = 0; i < 5; i++) {
            int n = i;
            crew.give(() -> n * n, v -> {
                got.add(v);
                done.countDown();
            });
        }
        assertTrue(done.await(5, TimeUnit.SECONDS));
        assertEquals(got, List.of(0, 1, 4, 9, 16));
    }

    @Test
    public void aCrewThatIsToFinishDoesWhatWasGivenAndLaterOnesAtOnce() {
        List<Integer> got = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch begun = new CountDownLatch(1);
        Crew crew = new Crew("test", Runnable::run);
        crew.give(() -> {
            begun.countDown();
            sleep(50);
            return 1;
        }, got::add);
        crew.give(() -> 2, got::add);
        await(begun);
        crew.finish();
        assertEquals(got, List.of(1, 2), "it waits for what was given");
        crew.give(() -> 3, got::add);
        assertEquals(got, List.of(1, 2, 3), "nothing is lost that comes too late");
        Crew now = Crew.atOnce();
        now.give(() -> 4, got::add);
        now.finish();
        assertEquals(got, List.of(1, 2, 3, 4));
    }

    private static void sleep(long ms) {
        try {
            Thread.sleep(ms);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await(5, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
