package tinperch.workshop.device;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tinperch.trial.Series;
import tinperch.trial.simulated.SimulatedPrinter;
import tinperch.trial.simulated.SimulatedPrinter.Fault;
import tinperch.workshop.log.LogStore;
import tinperch.workshop.log.RunReader;

/** What a port reports is recorded, whatever the port does. */
public class RecorderTest {
    private Path folder;
    private LogStore logs;
    private final AtomicLong clock = new AtomicLong();

    @BeforeMethod
    public void open() throws IOException {
        folder = Files.createTempDirectory("recorder");
        logs = LogStore.open(folder.resolve("logs.db"));
        clock.set(1_000_000_000_000L);
    }

    @AfterMethod
    public void close() {
        logs.close();
        for (java.io.File f : folder.toFile().listFiles()) {
            f.delete();
        }
        folder.toFile().delete();
    }

    /** A port that plays what it is given: each read is an entry, half a second later; null is a port pulled out. When all is played it tells the recorder to stop. */
    private final class Played implements LinePort {
        private final Deque<byte[]> reads = new ArrayDeque<>();
        private final List<String> done = new ArrayList<>();
        private Runnable atEnd = () -> { };
        private int refusals;

        Played give(String text) {
            reads.add(text.getBytes(StandardCharsets.ISO_8859_1));
            return this;
        }

        Played pull() {
            reads.add(new byte[0]);
            return this;
        }

        @Override
        public String name() {
            return "played";
        }

        @Override
        public boolean isSimulated() {
            return true;
        }

        @Override
        public void open() throws IOException {
            done.add("open");
            clock.addAndGet(2_100_000_000L);
            if (refusals-- > 0) {
                throw new IOException("The port played is held by another program.");
            }
        }

        @Override
        public int read(byte[] into) throws IOException {
            clock.addAndGet(500_000_000L);
            byte[] next = reads.poll();
            if (next == null) {
                atEnd.run();
                return 0;
            }
            if (next.length == 0) {
                throw new IOException("The port played is gone.");
            }
            System.arraycopy(next, 0, into, 0, next.length);
            return next.length;
        }

        @Override
        public void ask() {
            done.add("ask");
        }

        @Override
        public void close() {
            done.add("close");
        }
    }

    private List<Recorder.Status> play(Played port, double askEveryS) throws InterruptedException {
        List<Recorder.Status> told = new CopyOnWriteArrayList<>();
        // Waiting for a port takes the clock along.
        Recorder r = new Recorder(port, () -> logs, "run", askEveryS, () -> clock.addAndGet(50_000_000L), Runnable::run, told::add);
        port.atEnd = r::stop;
        r.begin();
        for (int i = 0; i < 1000 && (told.isEmpty() || !told.get(told.size() - 1).ended()); i++) {
            Thread.sleep(20);
        }
        r.close();
        assertTrue(told.get(told.size() - 1).ended(), "it ends");
        return told;
    }

    @Test
    public void reportsAreRecordedAndNothingElse() throws InterruptedException {
        Played p = new Played().give("start\necho: hello\nok T:20.0 /0.0 B:20.0 /0.0 @:0\nok T:21.0 /210.0 B:20.5 /60.0 @:127\n").give("ok T:22.0 /210.0 B:2").give("1.0 /60.0 @:127\nX:1 Y:2\n")
                .give("ok T:23.0 /210.0 B:22.0 /60.0 @:127\n").give("ok T:24.5 /210.0 B:23.0 /60.0 @:120\n").give("half a li");
        List<Recorder.Status> told = play(p, 2);
        Recorder.Status end = told.get(told.size() - 1);
        assertEquals(end.channels(), List.of("T", "T/target", "B", "B/target", "@"));
        assertEquals(end.rows(), 2, "the first three say what there is");
        assertEquals(end.trouble(), "");
        RunReader r = logs.read("run");
        Series t = r.series(0, 0, 1e9);
        assertEquals(t.size(), 2);
        assertEquals(t.valueAt(1), 24.5, 1e-6);
        assertEquals(t.secondAt(1), 0.7, 0.3);
        assertTrue(p.done.contains("ask"), "asked, as was allowed");
        assertEquals(p.done.get(p.done.size() - 1), "close");
    }

    @Test
    public void whoMayNotAskOnlyListens() throws InterruptedException {
        Played p = new Played();
        for (int i = 0; i < 30; i++) {
            p.give("T:" + (20 + i) + ".0 /0.0\n");
        }
        play(p, 0);
        assertFalse(p.done.contains("ask"));
        assertEquals(logs.read("run").rows(), 27);
    }

    @Test
    public void aPortPulledOutIsTriedAgainAndTheGapIsAGap() throws InterruptedException {
        Played p = new Played();
        for (int i = 0; i < 30; i++) {
            p.give("T:20.0 /0.0\n");
        }
        p.pull();
        for (int i = 0; i < 30; i++) {
            p.give("T:30.0 /0.0\n");
        }
        List<Recorder.Status> told = play(p, 0);
        assertTrue(told.stream().anyMatch(s -> s.trouble().startsWith("The port played is gone. It is tried again every 2 seconds; what was recorded is there.")), told.toString());
        assertEquals(told.get(told.size() - 1).trouble(), "");
        Series s = logs.read("run").series(0, 0, 1e9);
        assertEquals(s.size(), 57);
        assertTrue(s.isGapAfter(26), "nothing is known while it was gone: " + (s.secondAt(27) - s.secondAt(26)));
    }

    @Test
    public void aPortHeldByAnotherIsSaidUntilItIsFree() throws InterruptedException {
        Played p = new Played();
        p.refusals = 2;
        for (int i = 0; i < 10; i++) {
            p.give("T:20.0 /0.0\n");
        }
        List<Recorder.Status> told = play(p, 0);
        assertTrue(told.stream().anyMatch(s -> s.trouble().contains("held by another program")), told.toString());
        assertEquals(logs.read("run").rows(), 7);
    }

    /** A port that sends anything: at most nothing is recorded. */
    @Test(groups = "deep")
    public void garbageIsSurvived() throws InterruptedException {
        Random dice = new Random(17);
        Played p = new Played();
        for (int i = 0; i < 400; i++) {
            byte[] b = new byte[1 + dice.nextInt(3000)];
            dice.nextBytes(b);
            String text = new String(b, StandardCharsets.ISO_8859_1);
            p.give(i % 5 == 0 ? "T:2" + i % 10 + ".0 /0.0 B:20.0 /0.0\n" : text.substring(0, Math.min(text.length(), 3000)) + "\n");
        }
        List<Recorder.Status> told = play(p, 0);
        Recorder.Status end = told.get(told.size() - 1);
        assertEquals(end.trouble(), "");
        assertEquals(end.channels(), List.of("T", "T/target", "B", "B/target"), "what is there twice");
        assertTrue(end.rows() > 60 && end.rows() <= 100, end.rows() + " rows");
    }

    @Test
    public void theSimulatedPrinterIsRecordedFastForward() throws InterruptedException {
        SimulatedPrinter printer = new SimulatedPrinter(4, false, Set.of(Fault.DROPPED_LINES, Fault.GARBAGE));
        printer.targets(210, 60);
        List<Recorder.Status> told = new CopyOnWriteArrayList<>();
        Recorder r = new Recorder(new SimulatedLinePort(printer, 50), () -> logs, "sim", 0, System::nanoTime, Runnable::run, told::add);
        r.begin();
        for (int i = 0; i < 500 && (told.isEmpty() || told.get(told.size() - 1).rows() < 20); i++) {
            Thread.sleep(20);
        }
        r.close();
        assertTrue(r.isSimulated());
        assertTrue(logs.read("sim").rows() >= 20, told.get(told.size() - 1).toString());
        assertTrue(told.get(0).channels().isEmpty() || told.get(0).channels().contains("T"));
    }
}
