package tinperch.workshop.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Random;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tinperch.trial.Series;

/** Samples are there again as they were given, after a kill too, and any stretch of them is drawn with its true lowest and highest. */
public class LogStoreTest {
    private Path folder;
    private LogStore store;

    @BeforeMethod
    public void open() throws IOException {
        folder = Files.createTempDirectory("logs");
        store = LogStore.open(folder.resolve("logs.db"));
    }

    @AfterMethod
    public void close() throws IOException {
        store.close();
        try (var all = Files.walk(folder)) {
            all.sorted(java.util.Comparator.reverseOrder()).forEach(p -> p.toFile().delete());
        }
    }

    private static float value(int i) {
        return i % 1000 == 17 ? Float.NaN : (float) (60 + 10 * Math.sin(i / 50.0) + (i % 777 == 0 ? 25 : 0));
    }

    private RunWriter write(String id, int rows) {
        RunWriter w = store.begin(id, 2);
        for (int i = 0; i < rows; i++) {
            w.row(i * 0.1, new float[] {value(i), i});
        }
        return w;
    }

    @Test
    public void everySampleIsThereAgain() {
        try (RunWriter w = write("a", 30_000)) {
            w.whole();
        }
        store.close();
        store = LogStore.open(folder.resolve("logs.db"));
        RunReader r = store.read("a");
        assertEquals(r.rows(), 30_000);
        Series s = r.series(0, 0, 1e9);
        assertEquals(s.size(), 29_970, "thirty rows have no value");
        int k = 0;
        for (int i = 0; i < 30_000; i++) {
            if (!Float.isNaN(value(i))) {
                assertEquals(s.secondAt(k), i * 0.1, 1e-4);
                assertEquals((float) s.valueAt(k++), value(i));
            }
        }
        assertEquals(r.series(1, 100, 200).size(), 1001);
        assertEquals(r.lastS(), 2999.9, 1e-4);
    }

    /** At any zoom: every row lies within a stretch drawn, and its lowest and highest are those of the rows. */
    @Test
    public void anyStretchIsDrawnTruly() {
        try (RunWriter w = write("a", 100_000)) {
            w.whole();
        }
        RunReader r = store.read("a");
        Random dice = new Random(8);
        for (int k = 0; k < 60; k++) {
            double from = dice.nextDouble() * 9000;
            double to = from + Math.pow(10, dice.nextDouble() * 4);
            Bands b = r.bands(from, to, 400);
            assertTrue(b.size() <= 400 * 2 * 1.2 + 100, b.size() + " stretches for 400 pixels");
            int at = 0;
            for (int i = (int) Math.ceil(from * 10); i < 100_000 && i * 0.1 <= to; i++) {
                while (at < b.size() && b.lastS(at) < i * 0.1 - 1e-6) {
                    at++;
                }
                assertTrue(at < b.size() && b.firstS(at) <= i * 0.1 + 1e-6, "row " + i + " is in no stretch from " + from + " to " + to);
                assertTrue(Float.isNaN(value(i)) || b.low(at, 0) <= value(i) && value(i) <= b.high(at, 0), "row " + i);
                assertTrue(b.low(at, 1) <= i && i <= b.high(at, 1));
            }
            for (int i = 0; i < b.size(); i++) {
                assertTrue(b.high(i, 1) - b.low(i, 1) <= (b.lastS(i) - b.firstS(i)) * 10 + 1e-3, "no more than its own rows");
            }
        }
        assertEquals(r.bands(20_000, 30_000, 400).size(), 0, "there is nothing after its end");
    }

    /** Recorded for 2,000 s at 10 Hz and written every second; the process is killed (its files are copied as they lie): all but the last second is there. */
    @Test
    public void aKilledRecordingLosesOneSecondAtMost() throws IOException {
        RunWriter w = store.begin("live", 2);
        for (int i = 0; i < 20_005; i++) {
            w.row(i * 0.1, new float[] {value(i), i});
            if (i % 10 == 9) {
                w.flush();
            }
        }
        RunReader seen = store.read("live");
        assertEquals(seen.rows(), 20_000, "it is seen while it is recorded");
        for (String f : new String[] {"logs.db", "logs.db-wal"}) {
            Files.copy(folder.resolve(f), folder.resolve("killed-" + f), StandardCopyOption.REPLACE_EXISTING);
        }
        Files.move(folder.resolve("killed-logs.db-wal"), folder.resolve("killed-logs.db-wal.tmp"));
        Files.move(folder.resolve("killed-logs.db-wal.tmp"), folder.resolve("killed-logs.db-wal"));
        try (LogStore after = LogStore.open(folder.resolve("killed-logs.db"))) {
            RunReader r = after.read("live");
            assertEquals(r.rows(), 20_000);
            Series s = r.series(1, 0, 1e9);
            for (int i = 0; i < 20_000; i++) {
                assertEquals((int) s.valueAt(i), i);
            }
            assertTrue(r.bands(0, 2000, 100).size() < 300, "drawn as any other");
        }
        w.whole();
        w.close();
        seen.refresh();
        assertEquals(seen.rows(), 20_005);
    }

    @Test
    public void whatWasStoppedLeavesNothing() {
        try (RunWriter w = write("a", 20_000)) {
            assertEquals(w.count(), 20_000);
        }
        assertFalse(store.has("a"));
        LogFault none = expectThrows(LogFault.class, () -> store.read("a"));
        assertTrue(none.getMessage().contains("import the log again"), none.getMessage());
    }

    /** More samples than are wanted: means of equal numbers, the highest in its place, times in order. */
    @Test
    public void aLongLogIsReckonedWithByMeans() {
        Means m = new Means(1003, 100);
        for (int i = 0; i < 1003; i++) {
            m.add(i, i == 517 ? 1000 : i % 2);
        }
        Series s = m.series();
        assertTrue(s.size() <= 102, s.size() + " samples");
        assertEquals(java.util.stream.IntStream.range(0, s.size()).mapToDouble(s::valueAt).max().orElseThrow(), 1000.0);
        assertEquals(s.at(517), 1000.0);
        assertEquals(s.valueAt(3), 5.0 / 11, 0.1, "eleven of noughts and ones");
        Means all = new Means(50, 100);
        for (int i = 0; i < 50; i++) {
            all.add(i, i);
        }
        assertEquals(all.series().size(), 50, "as they are");
    }

    /** The disk fills up in the middle of a recording: what was written stays, what came since waits, and is written when there is room again. */
    @Test
    public void aFullDiskStopsNoRecording() {
        store.mostPages(60);
        try (RunWriter w = store.begin("a", 4)) {
            Random dice = new Random(2);
            int told = 0;
            long kept = 0;
            for (int i = 0; i < 30_000; i++) {
                w.row(i, new float[] {dice.nextFloat(), dice.nextFloat(), dice.nextFloat(), dice.nextFloat()});
                if (i % 100 == 99) {
                    try {
                        w.flush();
                        kept = i + 1;
                    } catch (LogFault full) {
                        assertTrue(full.getMessage().startsWith("The disk is full. What was recorded before is there"), full.getMessage());
                        told++;
                    }
                }
            }
            assertTrue(told > 0 && kept > 1000, told + " of 300, " + kept);
            assertEquals(store.read("a").rows(), kept);
            w.mostPages(100_000);
            w.flush();
            assertEquals(store.read("a").rows(), 30_000, "nothing was lost meanwhile");
            w.whole();
        }
        Series s = store.read("a").series(0, 0, 1e9);
        assertEquals(s.size(), 30_000);
        assertEquals(s.lastS(), 29_999.0, 1e-3);
    }

    /** A large file is taken in while two recordings go on. */
    @Test
    public void severalAtOnce() throws InterruptedException {
        RunWriter one = store.begin("one", 1);
        RunWriter two = store.begin("two", 1);
        Thread importing = new Thread(() -> {
            try (RunWriter w = write("file", 600_000)) {
                w.whole();
            }
        });
        importing.start();
        int refused = 0;
        int n = 0;
        while (importing.isAlive() || n < 20_000) {
            one.row(n, new float[] {n});
            two.row(n, new float[] {-n});
            if (n++ % 500 == 0) {
                try {
                    one.flush();
                    two.flush();
                } catch (LogFault e) {
                    refused++;
                }
            }
        }
        importing.join();
        one.whole();
        two.whole();
        one.close();
        two.close();
        assertEquals(store.read("file").rows(), 600_000);
        assertEquals(store.read("one").rows(), n);
        assertEquals(store.read("two").rows(), n);
        assertEquals(refused, 0);
    }

    /** Bytes changed anywhere in the file: a sentence or samples, never anything else. */
    @Test(groups = "deep")
    public void aDamagedFileIsRefusedWithASentence() throws IOException {
        try (RunWriter w = write("a", 20_000)) {
            w.whole();
        }
        store.close();
        byte[] good = Files.readAllBytes(folder.resolve("logs.db"));
        Random dice = new Random(21);
        for (int k = 0; k < 150; k++) {
            byte[] bad = good.clone();
            int n = 1 + dice.nextInt(200);
            int from = dice.nextInt(bad.length);
            for (int i = from; i < Math.min(bad.length, from + n); i++) {
                bad[i] = (byte) dice.nextInt(256);
            }
            Path f = folder.resolve("bad-" + k + ".db");
            Files.write(f, bad);
            try (LogStore s = LogStore.open(f)) {
                RunReader r = s.read("a");
                r.bands(0, 1e9, 300);
                r.bands(10, 20, 300);
                r.series(0, 0, 1e9);
            } catch (LogFault said) {
                assertTrue(said.getMessage().length() > 20, said.getMessage());
            }
        }
        store = LogStore.open(folder.resolve("logs.db"));
    }

    @Test
    public void anythingElseIsNoStore() throws IOException {
        Path f = Files.writeString(folder.resolve("x.db"), "no database at all, but long enough to be read as one perhaps".repeat(50));
        assertTrue(expectThrows(LogFault.class, () -> LogStore.open(f)).getMessage().contains("The workshop itself is not touched"));
    }
}
