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
        return HoursLog.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.ISO_8859_1)));
    }

    @Test
    public void daysAndHoursAreFoundInManyDresses() throws IOException {
        List<HoursLog.Counter> all = read("date,hours\n2026-09-26,1671\n[2026-09-27T08:15:00Z] total print time: 1675.5 h\n"
                + "2026-09-28 10:00 h=1680,25\nnothing here\n2026-13-45,9\n2026-09-28 22:00 h=1688\n");
        assertEquals(all, List.of(new HoursLog.Counter(LocalDate.of(2026, 9, 26), 1671), new HoursLog.Counter(LocalDate.of(2026, 9, 27), 1675.5),
                new HoursLog.Counter(LocalDate.of(2026, 9, 28), 1688)), "the last of a day counts");
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
                HoursLog.read(new ByteArrayInputStream(b));
            } catch (IOException e) {
                assertTrue(e instanceof FileFault, e.toString());
            }
        }
    }
}
