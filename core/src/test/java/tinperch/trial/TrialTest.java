package tinperch.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** Numbers before and after, with how sure they are. */
public class TrialTest {
    private static Trial trial(String before, String after, boolean less) {
        return new Trial("t", LocalDate.of(2026, 11, 27), "wobble", Measured.of(before).orElseThrow(), Measured.of(after).orElseThrow(), less, "", "");
    }

    @Test
    public void numbersAsTheyAreTyped() {
        assertEquals(Measured.of("0.62 ± 0.03 mm"), Optional.of(new Measured(0.62, 0.03, "mm", "")));
        assertEquals(Measured.of("0,62 mm ± 0,03 mm"), Optional.of(new Measured(0.62, 0.03, "mm", "")));
        assertEquals(Measured.of("14 min"), Optional.of(new Measured(14, 0, "min", "")));
        assertEquals(Measured.of("3"), Optional.of(new Measured(3, 0, "", "")));
        assertEquals(Measured.of("-2.5 +- 0.5 K"), Optional.of(new Measured(-2.5, 0.5, "K", "")));
        for (String none : List.of("", "much", "1 mm ± 2 s", "± 3", "1 ± -2 mm", "1 ±")) {
            assertEquals(Measured.of(none), Optional.empty(), none);
        }
        assertEquals(Measured.of("0.620 ± 0.030 mm").orElseThrow().words(), "0.62 ± 0.03 mm");
    }

    /** 0.62 ± 0.03 to 0.21 ± 0.04: 0.41 ± 0.05 less, of which √(0.03² + 0.04²). */
    @Test
    public void aDifferenceIsToldWithItsInterval() {
        Trial t = trial("0.62 ± 0.03 mm", "0.21 ± 0.04 mm", true);
        assertEquals(t.says(), Comparison.Says.BETTER);
        assertEquals(t.words(), "Better: 0.41 ± 0.05 mm less (66 %).");
        assertEquals(trial("0.62 ± 0.03 mm", "0.21 ± 0.04 mm", false).says(), Comparison.Says.WORSE);
        assertEquals(trial("40 mm/s", "52 mm/s", false).words(), "Better: 12 mm/s more (30 %); nobody said how sure the numbers are.");
    }

    @Test
    public void whatCannotBeToldIsNotTold() {
        Trial near = trial("49 ± 2 dB", "51 ± 2 dB", true);
        assertEquals(near.says(), Comparison.Says.CANNOT_TELL);
        assertTrue(near.words().contains("lies within what the numbers are sure of"), near.words());
        Trial units = trial("14 min", "900 s", true);
        assertEquals(units.says(), Comparison.Says.CANNOT_TELL);
        assertTrue(units.words().contains("not the same unit"), units.words());
        assertEquals(trial("3 stops", "3 stops", true).says(), Comparison.Says.CANNOT_TELL, "no difference is none");
    }
}
