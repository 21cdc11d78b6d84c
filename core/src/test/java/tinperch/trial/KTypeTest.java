package tinperch.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.trial.sensor.KType;
import tinperch.trial.sensor.Ntc;

/** Type K against the reference table of IEC 60584-1 (ITS-90, junction at 0 °C), mV to three decimals. */
public class KTypeTest {
    @DataProvider
    public Object[][] table() {
        return new Object[][] {{-200, -5.891}, {-100, -3.554}, {-50, -1.889}, {-10, -0.392}, {0, 0.0}, {10, 0.397}, {25, 1.000}, {50, 2.023}, {100, 4.096}, {150, 6.138}, {200, 8.138},
            {250, 10.153}, {300, 12.209}, {400, 16.397}, {500, 20.644}, {600, 24.905}, {800, 33.275}, {1000, 41.276}, {1200, 48.838}, {1372, 54.886}};
    }

    @Test(dataProvider = "table")
    public void theTableIsMetBothWays(double tempC, double mv) {
        assertEquals(KType.millivolts(tempC), mv, 0.0006);
        assertEquals(KType.tempC(mv), tempC, 0.08, "a table of three decimals tells 0.02 K, the way back 0.06 K");
    }

    @Test
    public void thereAndBackIsTheSameEverywhere() {
        for (double t = KType.LEAST_C; t <= KType.MOST_C; t += 0.37) {
            assertEquals(KType.tempC(KType.millivolts(t)), t, 0.07, "at " + t);
        }
    }

    /** 100 kΩ, B = 4092: 680 Ω is 195 °C by the beta model (common practice); R25 at 25 °C by definition; both ways. */
    @Test
    public void aThermistorByItsBeta() {
        Ntc n = new Ntc(100_000, 4092);
        assertEquals(n.tempC(680), 195, 1);
        assertEquals(n.ohm(25), 100_000, 1e-6);
        for (double t = -20; t < 300; t += 7) {
            assertEquals(n.tempC(n.ohm(t)), t, 1e-9);
        }
        // 10 kΩ, B 25/85 = 3435 K: 1.452 kΩ at 85 °C (usual table of such thermistors, value from memory).
        assertEquals(new Ntc(10_000, 3435).ohm(85), 1452, 15);
        assertTrue(Double.isNaN(n.tempC(0)) && Double.isNaN(n.tempC(-3)));
    }

    @Test
    public void beyondTheTableNothingIsSaid() {
        for (double mv : new double[] {-6, 55, Double.NaN, Double.POSITIVE_INFINITY}) {
            assertTrue(Double.isNaN(KType.tempC(mv)));
        }
        assertTrue(Double.isNaN(KType.millivolts(1400)));
        assertTrue(Double.isNaN(KType.millivolts(Double.NaN)));
    }
}
