package tinperch.measure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class SpreadTest {
    static List<Reading> readings(double... values) {
        List<Reading> list = new ArrayList<>();
        for (double v : values) {
            list.add(new Reading(v, Instant.EPOCH, "test"));
        }
        return list;
    }

    @DataProvider
    public Object[][] student() {
        // Student's t, two-sided 95 %, as printed in any statistics handbook.
        return new Object[][] {{1, 12.706}, {2, 4.303}, {3, 3.182}, {4, 2.776}, {5, 2.571}, {9, 2.262}, {30, 2.042}};
    }

    @Test(dataProvider = "student")
    public void studentFactorsAgreeWithTheTable(int degrees, double t) {
        assertEquals(Spread.studentT(degrees), t, 5e-4);
    }

    @Test
    public void meanAndDeviationOfAWorkedExample() {
        // 10.0, 10.2, 10.4: mean 10.2, s = 0.2 by hand.
        Spread s = Spread.of(readings(10.0, 10.2, 10.4)).orElseThrow();
        assertEquals(s.count(), 3);
        assertEquals(s.mean(), 10.2, 1e-12);
        assertEquals(s.deviation(), 0.2, 1e-12);
        // 4.303 · 0.2 / √3 = 0.4969, with ±0.03 of the calipers: √(0.4969² + 0.03²) = 0.4978
        assertEquals(s.halfWidth(), 0.4978, 2e-4);
    }

    @Test
    public void oneReadingPromisesWhatTheCalipersPromise() {
        assertEquals(Spread.of(readings(42.1)).orElseThrow().halfWidth(), Spread.CALIPER_MM);
        assertTrue(Spread.of(List.of()).isEmpty());
    }

    @Test
    public void theIntervalHoldsTheTruthAboutNineteenTimesInTwenty() {
        Random random = new Random(5);
        int held = 0;
        for (int i = 0; i < 4000; i++) {
            List<Reading> list = new ArrayList<>();
            for (int k = 0; k < 4; k++) {
                list.add(new Reading(50 + 0.2 * random.nextGaussian(), Instant.EPOCH, "test"));
            }
            Spread s = Spread.of(list).orElseThrow();
            held += Math.abs(s.mean() - 50) <= s.halfWidth() ? 1 : 0;
        }
        assertEquals(held / 4000.0, 0.95, 0.015);
    }

    @Test
    public void anOddReadingIsPointedAtAndNeverDropped() {
        List<Reading> list = readings(30.02, 30.00, 30.03, 33.01);
        Optional<Reading> odd = Spread.outlier(list);
        assertEquals(odd.map(Reading::value), Optional.of(33.01));
        assertEquals(Spread.of(list).orElseThrow().count(), 4);
        assertTrue(Spread.outlier(readings(30.02, 30.00, 30.03, 30.05)).isEmpty());
        assertTrue(Spread.outlier(readings(30.02, 35)).isEmpty(), "two readings cannot say which is odd");
    }
}
