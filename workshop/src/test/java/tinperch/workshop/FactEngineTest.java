package tinperch.workshop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.fact.DrawingFact;
import tinperch.judge.Assessment;
import tinperch.judge.Checks;
import tinperch.judge.Judge;
import tinperch.part.Models;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.engine.FactEngine;

/** What the window is told of a part: its drawing, then check by check, then remedies; the latest question wins. */
public class FactEngineTest {
    private final WorkshopState demo = DemoWorkshop.state();
    private FactEngine engine;

    @BeforeMethod
    public void begin() {
        engine = new FactEngine(Runnable::run);
    }

    @AfterMethod
    public void end() {
        engine.close();
    }

    private Case blower(double widthMm) {
        Upgrade u = demo.upgrade("avocet-blower").orElseThrow();
        PartDesign p = u.parts().get(0);
        return Case.of(u.with(p.with(p.values().with(ToolCarriagePlate.WIDTH, widthMm))), p.id(), demo.shop(Models.NONE), "R5");
    }

    /** One hole more, so far up: there is much to be said of it, and much to be tried. */
    private Case drilled(double upMm) {
        Case c = blower(82);
        Feature hole = new Feature("f1", "hole", "Hole 1", Anchor.middle("part", "plate", Vec3.Z).at(-30, upMm), Values.START, false);
        return Case.of(c.upgrade().with(c.part().with(hole)), c.part().id(), demo.shop(Models.NONE), "R5");
    }

    /** Remembers what it is told, in order. */
    private static final class Told implements FactEngine.Listener {
        private final List<String> order = new ArrayList<>();
        private final List<Assessment> judged = new ArrayList<>();
        private final AtomicReference<DrawingFact.Drawing> drawing = new AtomicReference<>();
        private final CountDownLatch done = new CountDownLatch(1);

        @Override
        public synchronized void drawn(DrawingFact.Drawing d) {
            order.add("drawn");
            drawing.set(d);
        }

        @Override
        public synchronized void judged(Assessment a) {
            order.add("judged");
            judged.add(a);
        }

        @Override
        public void done() {
            order.add("done");
            done.countDown();
        }

        Told await() throws InterruptedException {
            assertTrue(done.await(60, TimeUnit.SECONDS), "nothing more is told");
            return this;
        }
    }

    @Test
    public void theDrawingComesFirstThenJudgementsThenTheRemediesAndThenNoMore() throws Exception {
        Told told = new Told();
        engine.look(blower(82), told);
        told.await();
        assertEquals(told.order.get(0), "drawn");
        assertEquals(told.order.get(told.order.size() - 1), "done");
        assertNotNull(told.drawing.get());
        Assessment last = told.judged.get(told.judged.size() - 1);
        assertTrue(last.pending().isEmpty());
        // The same findings and remedies as judged by a script on one thread.
        assertEquals(last.findings(), Judge.thorough(blower(82)).findings());
        assertTrue(told.judged.get(0).findings().stream().allMatch(f -> f.remedies().isEmpty()), "nothing is offered before it was tried out");
    }

    @Test
    public void whatIsHeldBackBeginsWhenToldSoAndWhatIsLookedAtDoesNotWaitForIt() throws Exception {
        Runnable goOn = engine.holdBack();
        CountDownLatch begun = new CountDownLatch(1);
        engine.work(() -> {
            begun.countDown();
            return true;
        }, x -> { });
        Told told = new Told();
        engine.look(blower(83), told);
        told.await();
        assertFalse(begun.await(200, TimeUnit.MILLISECONDS), "it has begun though it is held back");
        goOn.run();
        assertTrue(begun.await(60, TimeUnit.SECONDS));
    }

    @Test
    public void whatIsHeldBackBeginsThoughNobodyEverSaysSo() throws Exception {
        engine.holdBack();
        CountDownLatch begun = new CountDownLatch(1);
        engine.work(() -> {
            begun.countDown();
            return true;
        }, x -> { });
        assertTrue(begun.await(60, TimeUnit.SECONDS));
    }

    @Test
    public void aRemedysOutcomeIsKnownBeforeItIsAsked() throws Exception {
        Told told = new Told();
        engine.look(blower(82), told);
        told.await();
        Finding stop = told.judged.get(told.judged.size() - 1).findings().get(0);
        assertEquals(stop.severity(), Severity.STOP);
        Remedy r = stop.remedies().get(0);
        Assessment after = engine.after(r).orElseThrow();
        assertFalse(after.findings().stream().anyMatch(f -> f.id().equals(stop.id()) && f.severity() == Severity.STOP), "it cures what it is offered for");
        engine.lookAway();
        assertTrue(engine.after(r).isEmpty());
    }

    /** An undo is answered from memory: what was found out before two edits is still known, though all other parts of the workshop were judged since. */
    @Test
    public void whatWasFoundOutTwoEditsAgoIsStillKnown() throws Exception {
        Object before = null;
        for (double mm : new double[] {8, 9, 10}) {
            Told told = new Told();
            engine.look(drilled(mm), told);
            told.await();
            before = before == null ? engine.now(drilled(8)).get(DrawingFact.DRAWING) : before;
            for (Upgrade u : demo.upgrades()) {
                for (PartDesign p : u.parts()) {
                    Case c = Case.of(u, p.id(), demo.shop(Models.NONE), "R1");
                    Judge.judge(c, engine.now(c));
                }
            }
        }
        assertTrue(engine.now(drilled(8)).get(DrawingFact.DRAWING) == before, "found out anew");
    }

    @Test
    public void onlyTheLatestQuestionIsAnsweredToTheEnd() throws Exception {
        List<Told> all = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            Told t = new Told();
            all.add(t);
            engine.look(blower(80 + i * 0.5), t);
        }
        Told last = all.get(all.size() - 1).await();
        assertEquals(last.drawing.get().mesh().bounds().size().x(), 85.5, 1e-9);
        long ended = all.stream().filter(t -> t.done.getCount() == 0).count();
        assertTrue(ended < all.size(), "those asked before were stopped");
        for (Told t : all) {
            assertTrue(t.done.getCount() == 0 || !t.order.contains("done"));
        }
    }

    @Test
    public void whatCannotBeBuiltIsToldAndNothingIsDrawn() throws Exception {
        Told told = new Told();
        engine.look(blower(40), told);
        told.await();
        assertEquals(told.drawing.get(), null);
        assertTrue(told.judged.get(told.judged.size() - 1).findings().stream().anyMatch(f -> f.what().contains("cannot be built")));
    }

    @Test
    public void warmingUpChangesNoAnswerAndGivesWay() throws Exception {
        engine.warmUp(blower(82));
        Told told = new Told();
        engine.look(blower(83), told);
        told.await();
        assertEquals(told.judged.get(told.judged.size() - 1).findings(), Judge.thorough(blower(83)).findings());
        CountDownLatch later = new CountDownLatch(1);
        engine.work(() -> "after the warming up", x -> later.countDown());
        assertTrue(later.await(60, TimeUnit.SECONDS), "it ended");
    }

    @Test
    public void everyCheckIsAnnouncedBeforeItIsDone() throws Exception {
        Told told = new Told();
        engine.look(blower(82), told);
        told.await();
        List<String> names = Checks.ALL.stream().map(c -> c.about()).toList();
        assertEquals(names.stream().distinct().count(), names.size(), "no two checks have one name");
        told.judged.forEach(a -> assertTrue(names.containsAll(a.pending())));
        for (int i = 1; i < told.judged.size(); i++) {
            assertTrue(told.judged.get(i).pending().size() <= told.judged.get(i - 1).pending().size());
        }
    }
}
