package tinperch.wiring;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.quantity.QuantityException;

/** Wires against the published tables of ASTM B258 (diameter, copper) and of annealed copper at 20 °C (Ω/km). */
@Test(groups = "quick")
public class WireTest {
    @DataProvider
    public Object[][] gauges() {
        return new Object[][] {{10, 2.588, 5.261, 3.277}, {12, 2.053, 3.309, 5.211}, {16, 1.291, 1.309, 13.17}, {20, 0.812, 0.518, 33.31}, {24, 0.511, 0.205, 84.22}, {26, 0.405, 0.129, 133.9}, {30, 0.255, 0.0509, 338.6}};
    }

    @Test(dataProvider = "gauges")
    public void gaugesAreThoseOfTheTable(int awg, double diameterMm, double areaMm2, double ohmPerKm) {
        double area = Wire.areaMm2(awg);
        assertEquals(2 * Math.sqrt(area / Math.PI), diameterMm, 0.001);
        assertEquals(area, areaMm2, 0.004 * areaMm2);
        // Half a kilometre there and half a kilometre back.
        assertEquals(new Wire(500_000, area).ohm(), ohmPerKm, 0.005 * ohmPerKm);
    }

    public void aHeaterOnALongThinWire() {
        Wire w = new Wire(1200, Wire.areaMm2(26));
        assertEquals(w.dropV(40 / 12.0), 1.071, 0.002);
        assertEquals(w.carriesA(), 2.2, 1e-9);
        // 3 % of 12 V over 2.4 m with 3.33 A want 0.383 mm²: AWG 21 if it were sold, so AWG 20.
        assertEquals(w.enough(40 / 12.0, 0.36).orElseThrow().awg(), 20);
        assertTrue(w.enough(500, 10).isEmpty());
    }

    public void whatIsBetweenGaugesCarriesBetween() {
        double mid = (Wire.areaMm2(22) + Wire.areaMm2(24)) / 2;
        assertEquals(new Wire(1, mid).carriesA(), (7 + 3.5) / 2, 1e-9);
        assertTrue(new Wire(1, 0.01).carriesA() < 0.86);
        assertTrue(new Wire(1, 10).carriesA() > 55);
    }

    public void wordsAreReadAsPeopleSayThem() {
        assertEquals(Wire.parse("awg 26"), 0.1288, 0.0005);
        assertEquals(Wire.parse(" AWG26 "), 0.1288, 0.0005);
        assertEquals(Wire.parse("0,25 mm²"), 0.25);
        assertEquals(Wire.parse("0.75"), 0.75);
        assertEquals(Wire.words(Wire.areaMm2(26)), "AWG 26 (0.13 mm²)");
        assertEquals(Wire.words(0.75), "0.75 mm²");
        assertEquals(Wire.parse(Wire.words(1.5)), 1.5);
    }

    public void lengthAndCopperAreSaidInOneBreath() {
        assertEquals(Wire.said("1.2 m of AWG 26"), new Wire(1200, Wire.areaMm2(26)));
        assertEquals(Wire.said("300 mm, 0,25 mm²"), new Wire(300, 0.25));
        assertEquals(Wire.said("30 cm; 0.5"), new Wire(300, 0.5));
        for (Wire w : new Wire[] {new Wire(1200, Wire.areaMm2(26)), new Wire(85, 0.75), new Wire(2500, Wire.areaMm2(12))}) {
            assertEquals(Wire.said(w.words()), w);
        }
        for (String bad : new String[] {"", "1.2 m", "AWG 26", "of AWG 26", "-3 m of AWG 20", "0 m of AWG 20", "1e9 m of AWG 20", "1.2 m of rope"}) {
            assertThrows(QuantityException.class, () -> Wire.said(bad));
        }
    }

    @DataProvider
    public Object[][] nonsense() {
        return new Object[][] {{""}, {"thick"}, {"0"}, {"-1"}, {"AWG"}, {"AWG 999"}, {"1e9"}, {"9999"}, {"NaN"}};
    }

    @Test(dataProvider = "nonsense")
    public void nonsenseIsAnsweredWithASentence(String text) {
        assertThrows(QuantityException.class, () -> Wire.parse(text));
    }
}
