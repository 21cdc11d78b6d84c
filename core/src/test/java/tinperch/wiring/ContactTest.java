package tinperch.wiring;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.trial.sensor.Ntc;

/** What contacts carry, what a board makes of a resistor, what lies on what when a plug goes in. */
public class ContactTest {
    @Test
    public void riseGoesWithTheSquareAndWarmAirTakesFromIt() {
        Contact one = new Contact(12, 105, 1);
        assertEquals(one.riseK(12), 30, 1e-9, "30 K at the rating (common practice)");
        assertEquals(one.riseK(6), 7.5, 1e-9);
        assertEquals(one.carriesA(25), 12, 1e-9);
        assertEquals(one.carriesA(75), 12, 1e-9, "30 K are left");
        assertEquals(one.carriesA(90), 12 * Math.sqrt(0.5), 1e-9, "15 K are left");
        assertEquals(one.carriesA(120), 0, 1e-9);
        assertEquals(one.tempC(one.carriesA(90), 90), 105, 1e-9, "what it may carry brings it to what it stands");
        // n parallel contacts carry at most 0.8·n of one (common practice).
        assertEquals(new Contact(4, 0, 3).carriesA(25), 9.6, 1e-9);
    }

    @Test
    public void theResistorChosenReadsBetweenTheLocks() {
        StandIn board = new StandIn(new Ntc(100_000, 4092), 170, 275);
        // 100 kΩ, B = 4092: 680 Ω → 195 °C (beta model).
        assertEquals(board.choose().orElseThrow(), 680.0);
        assertEquals(board.sensor().tempC(680), 195, 0.5);
        assertFalse(board.clears(1000), "176 °C are too near 170");
        assertFalse(board.clears(180), "above what switches it off");
        assertTrue(new StandIn(new Ntc(100_000, 4092), 170, 200).choose().isEmpty(), "no room between the locks");
        // 5 V behind 4.7 kΩ: (5/5380)²·680.
        assertEquals(StandIn.heatsW(680), 5.87e-4, 1e-6);
    }

    @Test
    public void pinsAreLaidOnEachOther() {
        PinTable turned = new PinTable(List.of("red", "black", "tacho"), List.of("GND", "+24 V", "tacho"));
        assertTrue(turned.crosses());
        assertEquals(turned.goesTo(0).orElseThrow().intValue(), 1);
        assertEquals(turned.goesTo(2).orElseThrow().intValue(), 2);
        PinTable moved = new PinTable(List.of("+", "−", "PWM", "tacho"), List.of("+12V", "gnd", "tacho", "pwm"));
        assertFalse(moved.same());
        assertFalse(moved.crosses(), "signals change places, no supply does");
        assertTrue(new PinTable(List.of("+", "-"), List.of("24 V", "0 V")).same());
        assertTrue(new PinTable(List.of("+", "−"), List.of("tacho", "−")).crosses(), "a supply on a signal burns it as well");
        assertEquals(new PinTable(List.of("+", "−", "tacho"), List.of("+", "−")).socket(2), "nothing");
        assertFalse(new PinTable(List.of("+", "−", "tacho"), List.of("+", "−")).crosses());
    }
}
