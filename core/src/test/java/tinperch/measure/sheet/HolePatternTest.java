package tinperch.measure.sheet;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.measure.Reading;

/** Holes of any number, as the sheets that were read tell them. */
public class HolePatternTest {
    private static Sheet sheet(String kind, Map<String, Double> cells) {
        Sheet s = new Sheet("s", kind, "holes", Map.of());
        for (Map.Entry<String, Double> e : cells.entrySet()) {
            s = s.with(e.getKey(), List.of(new Reading(e.getValue(), Instant.EPOCH, "calipers")));
        }
        return s;
    }

    @Test
    public void twoThreeAndSixHolesLieAboutTheirMiddle() {
        HolePattern two = HolePattern.of(sheet("pair", Map.of("out", 43.4, "in", 36.6))).orElseThrow();
        assertEquals(two.holes().get(0).xMm(), -20, 1e-9);
        assertEquals(two.diameterMm(), 3.4, 1e-9);
        assertTrue(two.halfWidthMm() > 0.01, "one reading with calipers: " + two.halfWidthMm());
        // 3-4-5: A at the right angle... the sides 30, 50 and 40 give C at (0, 40).
        HolePattern three = HolePattern.of(sheet("triangle", Map.of("ab.out", 33.0, "ab.in", 27.0, "bc.out", 53.0, "bc.in", 47.0, "ca.out", 43.0, "ca.in", 37.0))).orElseThrow();
        assertEquals(three.holes().get(2).xMm() - three.holes().get(0).xMm(), 0, 1e-9);
        assertEquals(three.holes().get(2).yMm() - three.holes().get(0).yMm(), 40, 1e-9);
        HolePattern six = HolePattern.of(sheet("circle", Map.of("count", 6.0, "out", 33.4, "in", 26.6))).orElseThrow();
        assertEquals(six.holes().size(), 6);
        for (HolePattern.Hole h : six.holes()) {
            assertEquals(Math.hypot(h.xMm(), h.yMm()), 15, 1e-9);
        }
        // Five: neighbours 20 apart lie on a circle of 20 / (2 sin 36°) = 17.013 (regular pentagon).
        HolePattern five = HolePattern.of(sheet("circle", Map.of("count", 5.0, "out", 23.0, "in", 17.0))).orElseThrow();
        assertEquals(Math.hypot(five.holes().get(3).xMm(), five.holes().get(3).yMm()), 17.013, 1e-3);
        assertEquals(five.hole("E").orElseThrow(), five.holes().get(4));
        assertEquals(five.hole("F"), Optional.empty());
    }

    @Test
    public void whatIsNoPatternIsNone() {
        assertEquals(HolePattern.of(sheet("pair", Map.of("out", 43.4))), Optional.empty(), "half read");
        assertEquals(HolePattern.of(sheet("rod", Map.of("diameter", 8.0))), Optional.empty());
        assertEquals(HolePattern.of(sheet("circle", Map.of("count", 900.0, "out", 33.4, "in", 26.6))), Optional.empty());
        assertEquals(HolePattern.of(sheet("triangle", Map.of("ab.out", 33.0, "ab.in", 27.0, "bc.out", 93.0, "bc.in", 87.0, "ca.out", 43.0, "ca.in", 37.0))), Optional.empty());
        assertTrue(expectThrows(IllegalArgumentException.class, () -> HolePattern.of("rod", c -> 1)).getMessage().contains("no holes"));
        assertTrue(expectThrows(IllegalArgumentException.class, () -> HolePattern.of("circle", c -> 1)).getMessage().contains("2 to 36"));
    }
}
