package tinperch.files;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.files.log.HoursLog;

/** Hour counters out of whatever a machine's board writes. */
public class HoursLogTest {
    private static List<HoursLog.Counter> read(String text) throws IOException {
        return all(text, HoursLog.Mark.UNSAID).counters();
    }

    private static HoursLog.Read all(String text, HoursLog.Mark mark) throws IOException {
        return HoursLog.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.ISO_8859_1)), mark, share -> true);
    }

    @Test
    public void daysAndHoursAreFoundInManyDresses() throws IOException {
        List<HoursLog.Counter> all = read("date,hours\n2026-09-26,1671\n[2026-09-27T08:15:00Z] total print time: 1675.5 h\n"
                + "2026-09-28 10:00 h=1680,25\nnothing here\n2026-13-45,9\n2026-09-28 22:00 h=1688\n");
        assertEquals(all, List.of(new HoursLog.Counter(LocalDate.of(2026, 9, 26), 1671), new HoursLog.Counter(LocalDate.of(2026, 9, 27), 1675.5),
                new HoursLog.Counter(LocalDate.of(2026, 9, 28), 1688)), "the last of a day counts");
    }

    @Test
    public void theHoursAreReadWhateverStandsBeforeThem() throws IOException {
        assertEquals(read("2026-09-26T10:00:00+02:00 hours 1671").get(0).hours(), 1671.0, "the zone is no hours");
        assertEquals(read("2026-09-26 hours 1,671.5").get(0).hours(), 1671.5);
        assertEquals(read("2026-09-26 hours 1.671,5").get(0).hours(), 1671.5);
        assertEquals(read("2026-09-26 0001671").get(0).hours(), 1671.0);
        assertEquals(read("2026-09-26;1671,25").get(0).hours(), 1671.25);
        assertEquals(read("2026-09-26 job 17 of 20, total 1671 h").get(0).hours(), 1671.0, "the number beside the word");
        assertEquals(read("2026-09-26T10:00:00.123Z  12").get(0).hours(), 12.0);
    }

    @Test
    public void whatCanBeReadInTwoWaysIsAskedAboutAndWhatCannotBeIsNotRead() throws IOException {
        HoursLog.Read r = all("2026-09-26 1,671\n2026-09-27 1.700\n2026-09-28 1688.5\n", HoursLog.Mark.UNSAID);
        assertEquals(r.counters(), List.of(new HoursLog.Counter(LocalDate.of(2026, 9, 28), 1688.5)));
        assertEquals(r.eitherCount(), 2);
        assertEquals(r.either().get(0), "2026-09-26 1,671");
        assertEquals(all("2026-09-26 1,671\n", HoursLog.Mark.THOUSANDS).counters().get(0).hours(), 1671.0);
        assertEquals(all("2026-09-26 1,671\n", HoursLog.Mark.DECIMALS).counters().get(0).hours(), 1.671);
        HoursLog.Read wrong = all("2026-09-26 -5\n2026-09-27 3 4 5\n2026-09-28 9\n", HoursLog.Mark.UNSAID);
        assertEquals(wrong.counters().size(), 1);
        assertEquals(wrong.wrong(), List.of("2026-09-26 -5", "2026-09-27 3 4 5"));
        assertTrue(expectThrows(FileFault.class, () -> read("2026-09-26 -5")).getMessage().contains("2026-09-26 -5"));
    }

    /** Lines without end cost no memory, and no line is left out because many came before it. */
    @Test
    public void aLineWithoutEndAndManyLinesAreRead() throws IOException {
        java.io.InputStream endless = new java.io.InputStream() {
            private long n;

            @Override
            public int read() {
                return n++ < 60_000_000L ? '7' : -1;
            }

            @Override
            public int read(byte[] b, int off, int len) {
                if (n >= 60_000_000L) {
                    return -1;
                }
                java.util.Arrays.fill(b, off, off + len, (byte) '7');
                n += len;
                return len;
            }
        };
        assertTrue(expectThrows(FileFault.class, () -> HoursLog.read(endless, HoursLog.Mark.UNSAID, share -> true)).getMessage().contains("Nothing was read"));
        StringBuilder many = new StringBuilder("x\n".repeat(1_200_000)).append("2026-09-28 h=9\n");
        assertEquals(read(many.toString()).get(0).hours(), 9.0);
        expectThrows(tinperch.files.model.Stopped.class, () -> HoursLog.read(new ByteArrayInputStream(many.toString().getBytes(StandardCharsets.ISO_8859_1)), HoursLog.Mark.UNSAID, share -> false));
    }

    @Test
    public void aLogWithoutHoursIsSaidToBe() {
        assertTrue(expectThrows(FileFault.class, () -> read("started\nstopped\n")).getMessage().contains("type the hours instead"));
    }

    @Test
    public void rubbishNeverBreaksIt() {
        Random random = new Random(3);
        for (int i = 0; i < 300; i++) {
            byte[] b = new byte[random.nextInt(4000)];
            random.nextBytes(b);
            try {
                HoursLog.read(new ByteArrayInputStream(b), HoursLog.Mark.UNSAID, share -> true);
            } catch (IOException e) {
                assertTrue(e instanceof FileFault, e.toString());
            }
        }
    }
}
