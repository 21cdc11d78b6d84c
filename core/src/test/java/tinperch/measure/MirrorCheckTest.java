package tinperch.measure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** Left against right: everyone assumes a mirror image. */
public class MirrorCheckTest {
    private static PatternSheet sheet(String name, double width, double left, double right, double noise) {
        PatternSheet s = PatternSheet.empty(name);
        double[][] sides = {{width, 0}, {left, 2}, {right, 3}};
        for (double[] side : sides) {
            HolePair pair = HolePair.values()[(int) side[1]];
            s = s.plus(pair, Jaw.OUTSIDE, new Reading(side[0] + 5 + noise, Instant.EPOCH, "calipers"))
                    .plus(pair, Jaw.INSIDE, new Reading(side[0] - 5 + noise, Instant.EPOCH, "calipers"));
        }
        return s;
    }

    @Test
    public void mirrorImagesAreSo() {
        MirrorCheck c = MirrorCheck.of(sheet("left", 20, 120, 118, 0), sheet("right", 20, 118, 120, 0.01)).orElseThrow();
        assertEquals(c.verdict(), MirrorCheck.Verdict.MIRRORED, c.words());
    }

    /** Two sides of 50 × 40 that lean the same way by 3 mm are no mirror images; leaning towards each other they are. */
    @Test
    public void sidesThatLeanTheSameWayAreNoMirrorImages() {
        HolePair[] all = {HolePair.AB, HolePair.AD, HolePair.BC, HolePair.DC, HolePair.AC};
        PatternSheet right = MeasuredPatternTest.exact(new double[] {0, 0, 50, 0, 53, 40, 3, 40}, 4, all);
        PatternSheet same = MeasuredPatternTest.exact(new double[] {0, 0, 50, 0, 53.001, 40, 3.001, 40}, 4, all);
        PatternSheet mirrored = MeasuredPatternTest.exact(new double[] {0, 0, 50, 0, 47, 40, -3, 40}, 4, all);
        assertEquals(MirrorCheck.of(same, right).orElseThrow().verdict(), MirrorCheck.Verdict.NOT_MIRRORED);
        assertTrue(MirrorCheck.of(same, right).orElseThrow().words().contains("mm longer") || MirrorCheck.of(same, right).orElseThrow().words().contains("mm shorter"));
        assertEquals(MirrorCheck.of(mirrored, right).orElseThrow().verdict(), MirrorCheck.Verdict.MIRRORED, MirrorCheck.of(mirrored, right).orElseThrow().words());
    }

    /** Two halves of 0.03 mm on each side: (0.03² + 0.03²)^½ / 2 a side, times √2 for the difference. */
    @Test
    public void aTallerSideIsSaidWithItsUncertainty() {
        MirrorCheck c = MirrorCheck.of(sheet("left", 20, 120, 120, 0), sheet("right", 20, 114.1, 114.1, 0)).orElseThrow();
        assertEquals(c.verdict(), MirrorCheck.Verdict.NOT_MIRRORED);
        assertEquals(c.differenceMm(), 5.9, 1e-9);
        assertEquals(c.halfWidthMm(), 0.03, 1e-9);
        assertTrue(c.words().contains("5.90 ± 0.03 mm longer"), c.words());
    }

    @Test
    public void thePatternGivenTwiceIsNoticed() {
        PatternSheet one = sheet("left", 20, 120, 118, 0);
        assertEquals(MirrorCheck.of(one, new PatternSheet("right", one.readings())).orElseThrow().verdict(),
                MirrorCheck.Verdict.SAME_READINGS);
        assertEquals(MirrorCheck.of(one, PatternSheet.empty("right")), Optional.empty());
    }

    @Test
    public void sidesAreToldByWholeWords() {
        assertEquals(MirrorCheck.otherSide("left upright"), Optional.of("right upright"));
        assertEquals(MirrorCheck.otherSide("Right rail"), Optional.of("left rail"));
        assertEquals(MirrorCheck.otherSide("upright"), Optional.empty(), "an upright is not a right one");
        assertEquals(MirrorCheck.otherSide("from left to right"), Optional.empty());
    }

    @Test
    public void centresAndAHoleAreAsGoodAsEdges() {
        PatternSheet s = PatternSheet.empty("x").plus(HolePair.AB, Jaw.CENTRES, new Reading(32, Instant.EPOCH, "pins"));
        assertTrue(s.derived(HolePair.AB).isEmpty());
        PatternSheet with = s.withAcrossHole(List.of(new Reading(3.2, Instant.EPOCH, "calipers")));
        assertEquals(with.derived(HolePair.AB).orElseThrow().centreMm(), 32.0);
        assertEquals(with.derived(HolePair.AB).orElseThrow().diameterMm(), 3.2);
        // Where edges were read too, they count.
        PatternSheet edges = with.plus(HolePair.AB, Jaw.OUTSIDE, new Reading(35.4, Instant.EPOCH, "calipers"))
                .plus(HolePair.AB, Jaw.INSIDE, new Reading(28.8, Instant.EPOCH, "calipers"));
        assertEquals(edges.derived(HolePair.AB).orElseThrow().centreMm(), 32.1, 1e-9);
    }
}
