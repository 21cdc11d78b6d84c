package tinperch.air;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import org.testng.annotations.Test;

/** Where a fan's curve and what resists it meet, against algebra and against both curves themselves. */
public class DutyTest {
    private static final UsualFan FAN = new UsualFan("a fan", 40, 10, 32, false, 10, 30);

    @Test
    public void endsOfTheCurve() {
        assertEquals(Duty.of(FAN, 0, 0).flowM3h(), 10, 1e-9, "against nothing it moves all");
        assertEquals(Duty.of(FAN, 1e9, 0).flowM3h(), 0, 1e-6);
        assertEquals(Duty.of(FAN, 1e9, 0).pressurePa(), 30, 1e-6, "shut it stalls at its pressure");
        // 30 − 3·Q = 3·Q: half of both.
        assertEquals(Duty.of(FAN, 3, 0).flowM3h(), 5, 1e-9);
        // 30 − 3·Q = Q²: Q = (−3 + √129) / 2.
        assertEquals(Duty.of(FAN, 0, 1).flowM3h(), (-3 + Math.sqrt(129)) / 2, 1e-9);
    }

    /** Whatever resists: at the crossing both have the same pressure, and more resistance never lets more through. */
    @Test
    public void bothCurvesMeet() {
        Random dice = new Random(9);
        for (int i = 0; i < 2000; i++) {
            UsualFan f = UsualFan.ALL.get(dice.nextInt(UsualFan.ALL.size()));
            double a = Math.pow(10, 4 * dice.nextDouble() - 3);
            double b = Math.pow(10, 5 * dice.nextDouble() - 4);
            Duty d = Duty.of(f, a, b);
            assertEquals(a * d.flowM3h() + b * d.flowM3h() * d.flowM3h(), d.pressurePa(), 1e-6 * f.stallPa());
            assertTrue(Duty.of(f, a * 1.1, b).flowM3h() < d.flowM3h() && Duty.of(f, a, b * 1.1).flowM3h() < d.flowM3h());
        }
    }

    @Test
    public void velocityPressureAndFilter() {
        // Air of 1.184 kg/m³ at 10 m/s has 59.2 Pa (½·ρ·v²); 36 m³/h through 1000 mm² are 10 m/s.
        assertEquals(Duty.speedMs(36, 1000), 10, 1e-9);
        assertEquals(Duty.lossPa(36, 1000, 1), 59.2, 1e-6);
        // A filter of 0.01 m² at 0.45 m/s lets 16.2 m³/h through at its rating: a fan that has just that pressure there moves it.
        UsualFan f = new UsualFan("f", 97, 33, 0, true, 32.4, 500);
        assertEquals(Duty.through(f, 1e9, 1, 10_000, 250).flowM3h(), 16.2, 1e-6);
    }

    @Test
    public void fansAreFoundByTheirSize() {
        assertEquals(UsualFan.of(40.1, 19, false).orElseThrow().freeM3h(), 14, 1e-9, "the thick one");
        assertEquals(UsualFan.of(40, 10, true).orElseThrow().name(), "radial fan");
        assertTrue(UsualFan.of(200, 30, false).isEmpty());
        assertEquals(UsualFan.spaced(71.6).orElseThrow().frameMm(), 80, 1e-9);
    }
}
