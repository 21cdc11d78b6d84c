package tinperch.measure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;

public class MeasuredPatternTest {
    /** Exact readings of holes at the given places. */
    public static PatternSheet exact(double[] xy, double diameter, HolePair... pairs) {
        PatternSheet sheet = PatternSheet.empty("pattern");
        for (HolePair p : pairs) {
            double c = Math.hypot(xy[2 * p.second()] - xy[2 * p.first()], xy[2 * p.second() + 1] - xy[2 * p.first() + 1]);
            sheet = sheet.plus(p, Jaw.OUTSIDE, new Reading(c + diameter, Instant.EPOCH, "test"));
            sheet = sheet.plus(p, Jaw.INSIDE, new Reading(c - diameter, Instant.EPOCH, "test"));
        }
        return sheet;
    }

    @Test
    public void twoEdgesGiveCentreAndDiameter() {
        // Outside 47.3, inside 40.7: centre (47.3 + 40.7)/2 = 44.0, diameter (47.3 − 40.7)/2 = 3.3.
        PatternSheet s = PatternSheet.empty("p").plus(HolePair.AB, Jaw.OUTSIDE, new Reading(47.3, Instant.EPOCH, "t"))
                .plus(HolePair.AB, Jaw.INSIDE, new Reading(40.7, Instant.EPOCH, "t"));
        PatternSheet.Derived d = s.derived(HolePair.AB).orElseThrow();
        assertEquals(d.centreMm(), 44.0, 1e-12);
        assertEquals(d.diameterMm(), 3.3, 1e-12);
        // Two readings of ±0.03: √(0.03² + 0.03²)/2
        assertEquals(d.halfWidthMm(), 0.0212, 1e-4);
        assertTrue(s.derived(HolePair.BC).isEmpty());
        assertEquals(s.pairsMeasured(), 1);
    }

    @Test
    public void twoSidesMakeARectangleThatSaysItAssumedSquare() {
        MeasuredPattern m = MeasuredPattern.of(exact(new double[] {0, 0, 40, 0, 40, 25, 0, 25}, 3, HolePair.AB, HolePair.BC))
                .orElseThrow();
        assertTrue(m.squareAssumed());
        assertEquals(m.xMm(2), 40, 1e-4);
        assertEquals(m.yMm(2), 25, 1e-4);
        assertEquals(m.xMm(3), 0, 1e-4);
        assertEquals(m.yMm(3), 25, 1e-4);
        assertEquals(m.diameterMm(), 3, 1e-9);
    }

    @Test
    public void aDiagonalShowsTheSkew() {
        // A parallelogram leaning 1 mm over 30 mm: skew = −atan(1/30) = −1.909°.
        double[] xy = {0, 0, 40, 0, 41, 30, 1, 30};
        MeasuredPattern m = MeasuredPattern.of(exact(xy, 4, HolePair.AB, HolePair.DC, HolePair.AD, HolePair.BC, HolePair.AC))
                .orElseThrow();
        assertFalse(m.squareAssumed());
        assertEquals(m.skewDeg(), -1.909, 0.01);
        for (int i = 0; i < 4; i++) {
            assertEquals(m.xMm(i), xy[2 * i], 2e-3, "x of " + i);
            assertEquals(m.yMm(i), xy[2 * i + 1], 2e-3, "y of " + i);
        }
    }

    /** 50 × 40 leaning 0.5 over 40: −atan(0.5/40) = −0.7162°, from two sides and one diagonal alone, whichever they are. */
    @Test
    public void oneDiagonalIsEnoughForTheLean() {
        double[] xy = {0, 0, 50, 0, 50.5, 40, 0.5, 40};
        HolePair[][] read = {{HolePair.AB, HolePair.AD, HolePair.AC}, {HolePair.AB, HolePair.AD, HolePair.BD}, {HolePair.AB, HolePair.BC, HolePair.AC}, {HolePair.DC, HolePair.BC, HolePair.BD}};
        for (HolePair[] pairs : read) {
            MeasuredPattern m = MeasuredPattern.of(exact(xy, 4, pairs)).orElseThrow();
            assertEquals(m.skewDeg(), -0.7162, 2e-3, java.util.Arrays.toString(pairs));
            assertEquals(m.xMm(2), 50.5, 2e-2);
        }
    }

    @Test
    public void anyFourHolesComeBackFromTheirSixDistances() {
        Random r = new Random(17);
        HolePair[] all = HolePair.values();
        for (int n = 0; n < 60; n++) {
            double w = 15 + 80 * r.nextDouble();
            double h = 15 + 80 * r.nextDouble();
            double[] xy = {0, 0, w, 0, w + r.nextGaussian(), h + r.nextGaussian(), r.nextGaussian(), h + r.nextGaussian()};
            MeasuredPattern m = MeasuredPattern.of(exact(xy, 3.2, all)).orElseThrow();
            for (int i = 0; i < 4; i++) {
                assertEquals(m.xMm(i), xy[2 * i], 1e-3);
                assertEquals(m.yMm(i), xy[2 * i + 1], 1e-3);
            }
            assertTrue(m.residualsMm().values().stream().allMatch(d -> Math.abs(d) < 1e-3));
            assertTrue(m.doubtful().isEmpty());
        }
    }

    @Test
    public void aMisreadPairIsNamed() {
        PatternSheet s = exact(new double[] {0, 0, 40, 0, 40, 30, 0, 30}, 3, HolePair.values());
        s = s.with(HolePair.BD, Jaw.OUTSIDE, List.of(new Reading(54, Instant.EPOCH, "t")))
                .with(HolePair.BD, Jaw.INSIDE, List.of(new Reading(48, Instant.EPOCH, "t")));
        MeasuredPattern m = MeasuredPattern.of(s).orElseThrow();
        assertTrue(m.doubtful().isPresent(), m.residualsMm().toString());
    }

    @Test
    public void tooLittleIsNoPattern() {
        assertTrue(MeasuredPattern.of(PatternSheet.empty("p")).isEmpty());
        double[] xy = {0, 0, 40, 0, 40, 25, 0, 25};
        assertTrue(MeasuredPattern.of(exact(xy, 3, HolePair.AB, HolePair.DC)).isEmpty());
        assertTrue(MeasuredPattern.of(exact(xy, 3, HolePair.AC, HolePair.BD)).isEmpty());
        assertTrue(MeasuredPattern.of(exact(xy, 3, HolePair.DC, HolePair.AD)).isPresent());
    }

    @Test
    public void readingsThatCannotBeAreRefused() {
        PatternSheet s = exact(new double[] {0, 0, 40, 0, 40, 25, 0, 25}, 3, HolePair.AB);
        assertTrue(s.objection(HolePair.AB, Jaw.OUTSIDE, -3).orElseThrow().contains("larger than zero"));
        assertTrue(s.objection(HolePair.AB, Jaw.OUTSIDE, 4300).orElseThrow().contains("decimal point"));
        assertTrue(s.objection(HolePair.AB, Jaw.OUTSIDE, 36.9).orElseThrow().contains("Outside must be longer"));
        assertTrue(s.objection(HolePair.AB, Jaw.INSIDE, 43.1).orElseThrow().contains("Outside must be longer"));
        assertEquals(s.objection(HolePair.AB, Jaw.INSIDE, 36.9), Optional.empty());
        assertEquals(s.objection(HolePair.BC, Jaw.INSIDE, 36.9), Optional.empty());
    }

    @Test
    public void editingASheetLeavesTheOldOneAlone() {
        PatternSheet s = PatternSheet.empty("p");
        PatternSheet t = s.plus(HolePair.AB, Jaw.OUTSIDE, new Reading(10, Instant.EPOCH, "t"));
        assertTrue(s.readings().isEmpty());
        assertEquals(t.at(HolePair.AB, Jaw.OUTSIDE).size(), 1);
        assertTrue(t.with(HolePair.AB, Jaw.OUTSIDE, List.of()).readings().isEmpty(), "an emptied cell is gone");
        assertEquals(HolePair.AD.label(), "A–D left");
        assertTrue(HolePair.BD.isDiagonal() && !HolePair.DC.isDiagonal());
    }
}
