package tinperch.files.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.files.FileFault;
import tinperch.files.model.Stopped;

/** Logs as recorders of all sorts write them. */
public class LogsTest {
    /** Rows as they were given on. */
    private static final class Got implements LogRead.Rows {
        private final List<Double> seconds = new ArrayList<>();
        private final List<float[]> values = new ArrayList<>();

        @Override
        public void row(double s, float[] v) {
            seconds.add(s);
            values.add(v.clone());
        }

        float at(int row, int channel) {
            return values.get(row)[channel];
        }
    }

    private static InputStream bytes(String text) {
        return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
    }

    private static LogLayout guess(String text) throws IOException {
        return LayoutGuess.of(CsvLog.head(bytes(text), 60));
    }

    private static LogRead read(String text, Got got) throws IOException {
        return CsvLog.read(bytes(text), 0, guess(text), s -> true, got);
    }

    @DataProvider
    public Object[][] layouts() {
        return new Object[][] {
            {"Time,Contact [°C],Room [°C]\n2026-11-20 18:00:00,22.5,21.0\n2026-11-20 18:00:10,23.1,21.0\n2026-11-20 18:00:20,24.0,21.1\n"},
            {"sep=;\nMy logger\nDatum;Contact (°C);Room (°C)\n20.11.2026 18:00:00;22,5;21,0\n20.11.2026 18:00:10;23,1;21,0\n20.11.2026 18:00:20;24,0;21,1\n"},
            {"Date\tTime\tContact\tRoom\n11/20/2026\t06:00:00 PM\t22.5\t21.0\n11/20/2026\t06:00:10 PM\t23.1\t21.0\n11/20/2026\t06:00:20 PM\t24.0\t21.1\n"},
            {"unix,contact,room\n1795197600,22.5,21.0\n1795197610,23.1,21.0\n1795197620,24.0,21.1\n"},
            {"ms,contact F [°F],room [°F]\n1795197600000,72.5,69.8\n1795197610000,73.58,69.8\n1795197620000,75.2,69.98\n"},
            {"2026-11-20T18:00:00.000Z \"22.5\" \"21.0\"\n2026-11-20T18:00:10.000Z \"23.1\" \"21.0\"\n2026-11-20T18:00:20.000Z \"24.0\" \"21.1\"\n"},
            {"No.;Time;Contact [K];Room [K]\r\n1;2026-11-20 18:00:00;295.65;294.15\r\n2;2026-11-20 18:00:10;296.25;294.15\r\n3;2026-11-20 18:00:20;297.15;294.25\r\n"},
        };
    }

    /** The same three rows in seven ways; ten seconds from row to row, on the evening of 20 November 2026. */
    @Test(dataProvider = "layouts")
    public void theLayoutIsFound(String text) throws IOException {
        Got got = new Got();
        LogRead r = read(text, got);
        assertEquals(r.rows(), 3);
        assertEquals(r.start(), Optional.of(LocalDateTime.of(2026, 11, 20, 18, 0)), guess(text).toString());
        assertEquals(got.seconds, List.of(0.0, 10.0, 20.0));
        for (int i = 0; i < 3; i++) {
            assertEquals(got.at(i, 0), List.of(22.5f, 23.1f, 24f).get(i), 0.01f);
            assertEquals(got.at(i, 1), i < 2 ? 21f : 21.1f, 0.01f);
        }
        assertEquals(r.troubles(), List.of());
        assertEquals(guess(text).fields().size(), 2);
    }

    @Test
    public void namesAndUnitsComeFromTheHeader() throws IOException {
        LogLayout l = guess("Time [min];Duty %;Couple [mV];Bed\n0;10;4,096;60,0\n1;12;8,138;60,5\n2;12;8,2;60,5\n");
        assertEquals(l.stamp(), Stamp.MINUTES);
        assertTrue(l.decimalComma());
        assertEquals(l.fields().stream().map(f -> f.name() + " " + f.reads()).toList(), List.of("Duty % PERCENT", "Couple TYPE_K", "Bed CELSIUS"));
        Got got = new Got();
        CsvLog.read(bytes("x\n0;10;4,096;60,0\n1;12;8,138;60,5\n"), 0, l, s -> true, got);
        assertEquals(got.at(0, 1), 100, 0.05, "IEC 60584-1");
        assertEquals(got.at(1, 1), 200, 0.05);
        assertEquals(got.seconds.get(1), 60.0);
    }

    @Test
    public void withoutATimeRowsComeAtAnInterval() throws IOException {
        LogLayout l = guess("bed\n60.1\n60.0\n60.2\n").timed(-1, -1, Stamp.NONE, 0.5);
        Got got = new Got();
        assertEquals(CsvLog.read(bytes("bed\n60.1\n60.0\n60.2\n"), 0, l, s -> true, got).rows(), 3);
        assertEquals(got.seconds, List.of(0.0, 0.5, 1.0));
    }

    @Test
    public void aClockSetBackDoesNotTakeTimeBack() throws IOException {
        Got got = new Got();
        LogRead r = read("time,a,b\n2026-10-25 02:59:40,1,1\n2026-10-25 02:59:50,2,1\n2026-10-25 02:00:00,3,1\n2026-10-25 02:00:10,4,1\n", got);
        assertEquals(got.seconds, List.of(0.0, 10.0, 20.0, 30.0));
        assertTrue(r.troubles().get(0).contains("In line 4 the time goes back by 3590 s"), r.troubles().toString());
        got = new Got();
        r = read("time,a,b\n2026-03-29 01:59:40,1,1\n2026-03-29 01:59:50,2,1\n2026-03-29 03:00:00,3,1\n2026-03-29 03:00:10,4,1\n", got);
        assertEquals(got.seconds.get(2), 3620.0, "it is left as a gap");
        assertTrue(r.troubles().get(0).contains("just an hour is missing"), r.troubles().toString());
    }

    @Test
    public void midnightIsPassedWhereNoDayIsSaid() throws IOException {
        Got got = new Got();
        LogRead r = read("time,a,b\n23:59:50,1,1\n00:00:00,2,1\n00:00:10,3,1\n", got);
        assertEquals(got.seconds, List.of(0.0, 10.0, 20.0));
        assertEquals(r.troubles(), List.of());
        assertEquals(r.start(), Optional.empty());
    }

    @Test
    public void rowsWithTheSameTimeAreSpread() throws IOException {
        Got got = new Got();
        LogRead r = read("time,a,b\n12:00:00,1,1\n12:00:00,2,1\n12:00:01,3,1\n12:00:01,4,1\n12:00:02,5,1\n", got);
        assertEquals(got.seconds, List.of(0.0, 0.5, 1.0, 1.5, 2.0));
        assertTrue(r.troubles().get(0).startsWith("2 rows have the same time"), r.troubles().toString());
    }

    /** What a sensor cannot read is a gap, what has no time is left out, and both are said. */
    @Test
    public void nonsenseIsLeftOutAndSaid() throws IOException {
        Got got = new Got();
        LogRead r = read("time,a,b\n0,20.5,21\n1,-273.15,21\n2,OPEN,21\n3,NaN,21\nhello,20,21\n5,20.5,21\n6,99999,21\n7,,\n8,2", got);
        assertEquals(r.rows(), 7);
        assertTrue(Float.isNaN(got.at(1, 0)) && Float.isNaN(got.at(2, 0)) && Float.isNaN(got.at(3, 0)) && Float.isNaN(got.at(5, 0)));
        String said = String.join(" ", r.troubles());
        assertTrue(said.contains("1 line holds no time and was left out: line 6 “hello,20,21”"), said);
        assertTrue(said.contains("1 row has no value"), said);
        assertTrue(said.contains("“a” has no temperature a sensor could have, or no value, in 4 of 7 rows"), said);
    }

    @Test
    public void columnsChosenWronglyAreRefusedWithASentence() throws IOException {
        String text = "Contact,Time\nab,cd\nef,gh\n";
        LogLayout l = new LogLayout(',', false, 1, -1, 1, Stamp.YEAR_FIRST, 1, List.of(new LogLayout.Field(0, "Contact", Reads.CELSIUS)));
        FileFault f = org.testng.Assert.expectThrows(FileFault.class, () -> CsvLog.read(bytes(text), 0, l, s -> true, new Got()));
        assertTrue(f.getMessage().contains("line 2 “ab,cd”") && f.getMessage().contains("Nothing was read"), f.getMessage());
        assertThrows(FileFault.class, () -> CsvLog.read(bytes(""), 0, l, s -> true, new Got()));
    }

    @Test
    public void aReadingIsStopped() {
        LogLayout l = new LogLayout(',', false, 0, -1, 0, Stamp.SECONDS, 1, List.of(new LogLayout.Field(1, "a", Reads.CELSIUS)));
        assertThrows(Stopped.class, () -> CsvLog.read(bytes("0,1\n".repeat(100_000)), 400_000, l, s -> s < 0.3, new Got()));
    }

    /** The word before the degree sign may come in either encoding. */
    @Test
    public void degreesInBothEncodings() throws IOException {
        for (String charset : List.of("UTF-8", "ISO-8859-1")) {
            byte[] b = "t;Düse [°F]\n0;212\n1;212\n".getBytes(Charset.forName(charset));
            LogLayout l = LayoutGuess.of(CsvLog.head(new ByteArrayInputStream(b), 60));
            assertEquals(l.fields().get(0).name(), "Düse");
            assertEquals(l.fields().get(0).reads(), Reads.FAHRENHEIT);
        }
    }

    // ---- reports of boards ----

    private static final String REPORTS = "start\nok T:205.1 /210.0 B:59.8 /60.0 @:64 B@:127\necho:busy: processing\n T:206.0 /210.0 B:59.9 /60.0 @:60 B@:100\nX:10.00 Y:20.00 Z:0.20 E:0.00 Count X:800\n T:207.5 /210.0 B:60.0 /60.0 @:58 B@:90\n";

    @Test
    public void boardsReportsAreRead() throws IOException {
        List<String> head = CsvLog.head(bytes(REPORTS), 60);
        assertTrue(FirmwareLog.isOne(head));
        assertFalse(FirmwareLog.isOne(CsvLog.head(bytes("Time,Contact\n2026-11-20 18:00:00,22.5\n2026-11-20 18:00:10,22.5\n"), 60)));
        List<String> channels = FirmwareLog.channels(head);
        assertEquals(channels, List.of("T", "T/target", "B", "B/target", "@", "B@"));
        Got got = new Got();
        LogRead r = FirmwareLog.read(bytes(REPORTS), channels, 2, s -> true, got);
        assertEquals(r.rows(), 3);
        assertEquals(got.seconds, List.of(0.0, 2.0, 4.0));
        assertEquals(got.values.get(1), new float[] {206, 210, 59.9f, 60, 6000 / 127f, 10_000 / 127f});
        assertEquals(r.troubles(), List.of("3 lines report no temperature and were passed over."));
    }

    @Test
    public void severalToolsAChamberAndTimes() throws IOException {
        String text = "[18:00:00.500] T:25.0 /0.0 B:24.0 /0.0 C:23.0 /55.0 T0:25.0 /0.0 T1:26.0 /0.0 @:0 B@:0 @0:0 @1:0\n"
                + "[18:00:02.500] T:25.0 /0.0 B:24.0 /0.0 C:23.5 /55.0 T0:25.0 /0.0 T1:-15.0 /0.0 @:0 B@:0 @0:0 @1:0\n[18:00:04.500] T0:26.0 /0.0 T1:1024.0 /0.0\n";
        List<String> channels = FirmwareLog.channels(CsvLog.head(bytes(text), 60));
        assertTrue(channels.containsAll(List.of("T", "B", "C", "C/target", "T0", "T1", "@0", "@1")), channels.toString());
        Got got = new Got();
        LogRead r = FirmwareLog.read(bytes(text), channels, 1, s -> true, got);
        assertEquals(got.seconds, List.of(0.0, 2.0, 4.0));
        assertTrue(Float.isNaN(got.at(2, channels.indexOf("C"))), "not reported");
        assertTrue(Float.isNaN(got.at(2, channels.indexOf("T1"))), "no sensor reads 1024");
        assertEquals(r.rows(), 3);
    }

    /** Bytes of any kind: a sentence or rows whose times rise; never anything else. */
    @Test(groups = "deep")
    public void anyBytesAreReadOrRefused() throws IOException {
        Random dice = new Random(13);
        String alphabet = "0123456789.,;:-/ \n\n\tTB@C\"eEK°\u0000é";
        for (int k = 0; k < 3000; k++) {
            StringBuilder text = new StringBuilder(k % 3 == 0 ? "Time,Contact\n" : k % 3 == 1 ? REPORTS : "");
            int n = dice.nextInt(400);
            for (int i = 0; i < n; i++) {
                text.append(alphabet.charAt(dice.nextInt(alphabet.length())));
            }
            List<String> head = CsvLog.head(bytes(text.toString()), 60);
            Got got = new Got();
            try {
                if (FirmwareLog.isOne(head)) {
                    FirmwareLog.read(bytes(text.toString()), FirmwareLog.channels(head), 1, s -> true, got);
                } else {
                    CsvLog.read(bytes(text.toString()), 0, LayoutGuess.of(head), s -> true, got);
                }
                for (int i = 1; i < got.seconds.size(); i++) {
                    assertTrue(got.seconds.get(i) > got.seconds.get(i - 1), text.toString());
                }
            } catch (FileFault refused) {
                assertTrue(refused.getMessage().contains("Nothing was read"), refused.getMessage());
            }
        }
    }

    @Test
    public void numbersAsRecordersWriteThem() {
        assertEquals(Numbers.value("12.5", false), 12.5);
        assertEquals(Numbers.value(" -0.07 ", false), -0.07);
        assertEquals(Numbers.value("12,5", true), 12.5);
        assertEquals(Numbers.value("1.25e2", false), 125.0);
        assertEquals(Numbers.value("22.5 °C", false), 22.5);
        assertEquals(Numbers.value("1234567890123456789", false), 1.2345678901234568e18);
        for (String none : List.of("", " ", "OPEN", "---", "NaN", "12,5", "1.2.3", "-", ".", "Infinity", "0x1p3")) {
            assertTrue(Double.isNaN(Numbers.value(none, false)), none);
        }
    }
}
