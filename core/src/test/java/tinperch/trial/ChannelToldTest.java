package tinperch.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;
import tinperch.part.PartExamples;
import tinperch.part.param.Values;
import tinperch.trial.limit.LimitLine;
import tinperch.trial.limit.Limits;
import tinperch.trial.tell.ChannelTold;
import tinperch.trial.tell.Told;
import tinperch.trial.tell.Words;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** What is said of a channel: the right numbers in words, and nothing that cannot be told. */
public class ChannelToldTest {
    private static final Channel CONTACT = Channel.named("c0", "Bed connector");

    private static Series series(double toS, DoubleUnaryOperator value) {
        Random dice = new Random(9);
        int n = (int) (toS / 2) + 1;
        double[] s = new double[n];
        float[] v = new float[n];
        for (int i = 0; i < n; i++) {
            s[i] = 2 * i;
            v[i] = (float) (value.applyAsDouble(s[i]) + 0.1 * dice.nextGaussian());
        }
        return Series.of(s, v);
    }

    private static String told(Channel c, Series s, LimitLine... limits) {
        return ChannelTold.of(new ChannelTold.Seen(c, s, List.of(limits), Optional.empty(), Optional.empty(), Optional.empty(), OptionalDouble.empty(), List.of())).stream().map(t -> t.label() + ": " + t.words()).collect(Collectors.joining("\n"));
    }

    /** Watched for 20 of its minutes (τ 11): it will settle at 88, above a limit of 85 that it has not reached. */
    @Test
    public void aRiseIsToldToPassItsLimitBeforeItDoes() {
        Series s = series(1200, t -> 88 - 66 * Math.exp(-t / 660));
        List<Told> all = ChannelTold.of(new ChannelTold.Seen(CONTACT, s, List.of(new LimitLine("rating", 85, "")), Optional.empty(), Optional.empty(), Optional.empty(), OptionalDouble.empty(), List.of()));
        assertEquals(all.get(0).label(), "Will settle");
        assertTrue(all.get(0).words().matches("At 8[78]\\.?\\d? °C ± 0\\.\\d K, to within 1 K in 2[4-8] min; time constant 11 min\\."), all.get(0).words());
        Told limit = all.stream().filter(t -> t.label().equals("Limit")).findFirst().orElseThrow();
        assertTrue(limit.bad() && limit.words().contains("will end above it"), limit.words());
        assertFalse(ChannelTold.of(new ChannelTold.Seen(CONTACT, s, List.of(new LimitLine("rating", 95, "")), Optional.empty(), Optional.empty(), Optional.empty(), OptionalDouble.empty(), List.of())).stream().anyMatch(Told::bad));
    }

    @Test
    public void tooEarlyIsSaid() {
        assertTrue(told(CONTACT, series(60, t -> 22 + t / 30)).startsWith("Ends at: Still on its way; too little of it is seen"), told(CONTACT, series(60, t -> 22 + t / 30)));
    }

    @Test
    public void whatStandsIsToldWithItsSpare() {
        String words = told(CONTACT, series(7200, t -> 84 - 60 * Math.exp(-t / 600)), new LimitLine("Connector", 105, ""), new LimitLine("own limit", 80, ""));
        assertTrue(words.startsWith("Stands at: 84 °C ± 0.1 K over the last"), words);
        assertTrue(words.contains("Connector, 105 °C: it stays 2") && words.contains("K below."), words);
        // 80 is passed after 600 · ln(60 / 4) = 1625 s.
        assertTrue(words.contains("own limit, 80 °C: for 1 h 33 min, first after 27 min"), words);
    }

    /** Heated, held and let cool again: it stood in between, at its end it does not. */
    @Test
    public void whatStoodInBetweenIsFound() {
        String words = told(Channel.named("c0", "T"), series(3600, t -> t < 300 ? 20 + 190 * t / 300 : t < 3000 ? 210 : 30 + 180 * Math.exp(-(t - 3000) / 150) + 5 * Math.sin(t / 20)));
        assertTrue(words.startsWith("Stood at: 210 °C ± 0.1 K from"), words);
        assertTrue(told(CONTACT, series(3600, t -> 50 + 40 * Math.sin(t / 300))).startsWith("Stood at: At its end it neither stands"), "it never stood");
    }

    /** Spot 22 + 0.25 · (210 − 22) = 69 at a block of 210: at 240 it would be 76.5. */
    @Test
    public void aSpotsShareOfTheBlocksRise() {
        Channel spot = Channel.named("c0", "Carriage").withKind(Channel.Kind.SPOT);
        List<Told> all = ChannelTold.of(new ChannelTold.Seen(spot, series(3600, t -> 69), List.of(), Optional.empty(), Optional.of(series(3600, t -> 210)), Optional.of(series(3600, t -> 22)), OptionalDouble.empty(), List.of()));
        String share = all.stream().filter(t -> t.label().equals("Share")).findFirst().orElseThrow().words();
        assertTrue(share.startsWith("25.0 % of the rise from the room's 22 °C to 210 °C; at 30 K more there it would stand at 76.5 °C"), share);
    }

    @Test
    public void aControlledBlockSwingsAboutItsTarget() {
        Channel block = Channel.named("c0", "T0");
        List<Told> all = ChannelTold.of(new ChannelTold.Seen(block, series(1200, t -> 206 + 1.4 * Math.sin(2 * Math.PI * t / 40)), List.of(), Optional.of(series(1200, t -> 210)), Optional.empty(), Optional.empty(), OptionalDouble.empty(), List.of()));
        String words = all.toString();
        assertTrue(words.contains("once in 40 s"), words);
        assertTrue(words.matches("(?s).*It stands (3\\.9|4\\.0|4\\.1) K below its target of (209\\.9|210|210\\.1) °C.*"), words);
    }

    /** On for 62 % of the time at 270 W: about 167 W hold it. A contact that follows the current moves with the duty. */
    @Test
    public void whatAHeaterTakesAndWhatMovesWithIt() {
        Series duty = series(3600, t -> 62);
        List<Told> bed = ChannelTold.of(new ChannelTold.Seen(Channel.named("c0", "Bed"), series(3600, t -> 90), List.of(), Optional.empty(), Optional.empty(), Optional.empty(), OptionalDouble.empty(),
                List.of(new ChannelTold.Duty("Heater 2", duty, 270, true))));
        assertTrue(bed.toString().contains("62 % of the time to hold that, about 167 of 270 W"), bed.toString());
        Series swings = series(3600, t -> 50 + 30 * Math.sin(t / 90));
        List<Told> contact = ChannelTold.of(new ChannelTold.Seen(CONTACT, series(3600, t -> 70 + 4 * Math.sin(t / 90)), List.of(), Optional.empty(), Optional.empty(), Optional.empty(), OptionalDouble.empty(),
                List.of(new ChannelTold.Duty("Bed duty %", swings, 0, false))));
        assertTrue(contact.toString().contains("It moves with “Bed duty %” (correlation 1.00)"), contact.toString());
    }

    /** A sensor that is wrong once does not make a part too hot; a reading typed once does. */
    @Test
    public void oneWrongSampleIsNoPeak() {
        double[] s = new double[300];
        float[] v = new float[300];
        for (int i = 0; i < 300; i++) {
            s[i] = i;
            v[i] = i == 120 ? 480 : 60;
        }
        assertEquals(Kept.of(Series.of(s, v)).orElseThrow().peakC(), 60.0);
        v[121] = 71;
        v[122] = 71;
        assertEquals(Kept.of(Series.of(s, v)).orElseThrow().peakC(), 71.0);
        assertEquals(Kept.of(Series.of(new double[] {0, 600, 1200}, new float[] {60, 80, 78})).orElseThrow().peakC(), 80.0, "typed");
        assertEquals(Kept.of(Series.of(new double[] {0}, new float[] {60})).orElseThrow().peakC(), 60.0);
    }

    @Test
    public void beforeAgainstAfterInWords() {
        Series before = series(3600, t -> 96.5);
        assertEquals(ChannelTold.against(CONTACT, before, series(3600, t -> 48), "as delivered").words(), "“as delivered”: 48.5 K cooler ± 0.5 K: better.");
        Told worse = ChannelTold.against(CONTACT, before, series(3600, t -> 99), "as delivered");
        assertTrue(worse.bad() && worse.words().endsWith("worse."), worse.words());
        assertTrue(ChannelTold.against(CONTACT, before, series(3600, t -> 96.4), "as delivered").words().contains("no difference that could be told from noise"));
        assertTrue(ChannelTold.against(CONTACT, before, series(3600, t -> 20 + t / 50), "as delivered").words().contains("this run does not stand still"));
    }

    @Test
    public void limitsComeFromWhatAChannelIsOf() {
        LocalDate day = LocalDate.of(2026, 10, 3);
        Component contact = new Component("k1", ComponentKind.CONTACT, "Bed connector", "", new Ratings(0, 12, 0, 105, 0), day.minusYears(1), Optional.empty(), Optional.empty(), "", "");
        Component hot = new Component("h1", ComponentKind.HOT_END, "Hot end with inner tube", "", new Ratings(0, 0, 0, 240, 0), day.minusYears(1), Optional.of(day.plusDays(5)), Optional.empty(), "", "");
        Machine m = PartExamples.machine("m", 200, 200, 200, Machine.State.FIT, "PETG").withBook(new Book(day.minusYears(2), List.of(contact, hot), List.of(), List.of(), List.of(), List.of()));
        Upgrade u = PartExamples.upgrade(PartDesign.of("p1", "soft-foot", "Foot", Values.START));
        Run run = new Run("r", "r", LocalDateTime.of(2026, 10, 3, 12, 0), 10, List.of(), "", false, "");
        assertEquals(Limits.of(CONTACT.of("k1", ""), run, m, List.of(u)).stream().map(LimitLine::tempC).toList(), List.of(105.0));
        assertEquals(Limits.of(CONTACT.of("k1", "").withLimit(90), run, m, List.of(u)).stream().map(LimitLine::tempC).toList(), List.of(90.0, 105.0));
        assertEquals(Limits.of(CONTACT.of("gone", ""), run, m, List.of(u)), List.of());
        Channel spot = Channel.named("c", "edge").withKind(Channel.Kind.SPOT).of(u.id() + "/p1", "");
        assertEquals(Limits.of(spot, run, m, List.of(u)).stream().map(LimitLine::name).toList(), List.of("PETG's use limit", "PETG softens"));
        assertEquals(Limits.of(Channel.named("c", "T"), run, m, List.of()).get(0).tempC(), 240.0, "what was fitted that day");
        Run later = new Run("r", "r", LocalDateTime.of(2026, 10, 20, 12, 0), 10, List.of(), "", false, "");
        assertEquals(Limits.of(Channel.named("c", "T"), later, m, List.of()), List.of());
    }

    @Test
    public void namesSuggestWhatAChannelIsOf() {
        assertEquals(List.of("T", "T1", "T0/target", "B", "B@", "Chamber", "Room", "Bed connector", "Carriage, lower edge", "q", "accel_y").stream().map(n -> Channel.named("c", n).kind()).toList(),
                List.of(Channel.Kind.HOT_END, Channel.Kind.HOT_END, Channel.Kind.TARGET, Channel.Kind.BED, Channel.Kind.DUTY, Channel.Kind.CHAMBER, Channel.Kind.ROOM, Channel.Kind.CONTACT, Channel.Kind.SPOT,
                        Channel.Kind.OTHER, Channel.Kind.ACCELERATION));
    }

    /** Struck once, 12 Hz, ζ = 3 %: half after ln 2 / (2π · 0.03) = 3.7 swings. */
    @Test
    public void anAccelerationIsToldByItsFrequency() {
        double[] s = new double[1600];
        float[] v = new float[1600];
        for (int i = 0; i < 1600; i++) {
            s[i] = i / 400.0;
            double t = s[i] - 0.5;
            v[i] = (float) (t < 0 ? 0 : 2 * Math.exp(-0.03 * 2 * Math.PI * 12 * t) * Math.sin(2 * Math.PI * 12 * t));
        }
        String words = told(Channel.named("c", "x"), Series.of(s, v));
        assertTrue(words.startsWith("Shakes at: 12.0 Hz") || words.startsWith("Shakes at: 11.9 Hz") || words.startsWith("Shakes at: 12.1 Hz"), words);
        assertTrue(words.contains("after 3.7 swings") || words.contains("after 3.6 swings") || words.contains("after 3.8 swings"), words);
        // Braced: 15 Hz instead of 12 is (15 / 12)² = 1.56 times the stiffness.
        float[] braced = new float[1600];
        for (int i = 0; i < 1600; i++) {
            double t = s[i] - 0.5;
            braced[i] = (float) (t < 0 ? 0 : 2 * Math.exp(-0.03 * 2 * Math.PI * 15 * t) * Math.sin(2 * Math.PI * 15 * t));
        }
        String against = ChannelTold.against(Channel.named("c", "x"), Series.of(s, v), Series.of(s, braced), "bare").words();
        assertTrue(against.startsWith("“bare”: 15.0 against 12.0 Hz; damping") && against.contains("1.56 times as stiff"), against);
        // f ∝ 1/√m: 12 Hz instead of 13.2 is what (13.2 / 12)² = 1.21 times the mass does.
        String push = ChannelTold.of(new ChannelTold.Seen(Channel.named("c", "x"), Series.of(s, v), List.of(), Optional.empty(), Optional.empty(), Optional.empty(), OptionalDouble.of(13.2), List.of())).toString();
        assertTrue(push.contains("9 % slower") && push.matches("(?s).*1\\.2\\d times what was weighed.*"), push);
    }

    /** What drives a channel belongs to it by what the file calls it, whatever it is called later. */
    @Test
    public void whatDrivesAChannelSaysWhich() {
        assertEquals(Channel.allNamed(List.of("T0", "T0/target", "T1", "T1/target", "B", "B/target", "@0", "@1", "B@", "Bed duty %", "fan duty", "q")).stream().map(Channel::of).toList(),
                List.of("", "c0", "", "c2", "", "c4", "c0", "c2", "c4", "c4", "", ""));
        assertEquals(Channel.allNamed(List.of("T", "@")).get(1).of(), "c0");
        assertEquals(Channel.allNamed(List.of("Bed", "Target")).get(1).withName("wanted").kind(), Channel.Kind.TARGET);
    }

    @Test
    public void timesInWords() {
        assertEquals(List.of(42.4, 119.0, 121.0, 3599.0, 7500.0).stream().map(Words::time).toList(), List.of("42 s", "119 s", "2 min", "1 h 00 min", "2 h 05 min"));
    }
}
