package tinperch.solid;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ProfileTest {
    @Test
    public void areasFollowTheClosedForms() {
        assertEquals(Profile.rectangle(3, 4, 10, 6).areaMm2(), 60, 1e-12);
        // A regular n-gon round a circle of radius r: n r² tan(π/n).
        assertEquals(Profile.hole(0, 0, 10, 48).areaMm2(), 48 * 25 * Math.tan(Math.PI / 48), 1e-9);
        // A regular n-gon in a circle: n/2 · r² sin(2π/n).
        assertEquals(Profile.disc(0, 0, 10, 48).areaMm2(), 24 * 25 * Math.sin(2 * Math.PI / 48), 1e-9);
        // A hexagon across flats s: √3/2 · s².
        assertEquals(Profile.hexagon(5, 5, 5.5, 17).areaMm2(), Math.sqrt(3) / 2 * 5.5 * 5.5, 1e-9);
        assertEquals(Profile.of(new double[] {0, 0, 4, 0, 4, 4, 0, 4}, new double[] {1, 1, 2, 1, 2, 2, 1, 2}).areaMm2(), 15,
                1e-12);
    }

    @Test
    public void aHoleNeverIntrudesOnItsCircle() {
        for (int sides : new int[] {6, 12, 48}) {
            double[] r = Profile.hole(0, 0, 8, sides).ring(0);
            for (int i = 0; i < r.length; i += 2) {
                int j = (i + 2) % r.length;
                double mx = (r[i] + r[j]) / 2;
                double my = (r[i + 1] + r[j + 1]) / 2;
                assertTrue(Math.hypot(mx, my) >= 4 - 1e-12, "a flat lies inside the circle");
            }
        }
    }

    @Test
    public void roundedRectangleShrinksItsCornersWhenTheyWouldMeet() {
        double full = Profile.roundedRectangle(0, 0, 20, 10, 3, 12).areaMm2();
        assertEquals(full, 200 - (4 - Math.PI) * 9, 0.1);
        assertTrue(Profile.roundedRectangle(0, 0, 20, 10, 30, 12).areaMm2() > 150);
        assertEquals(Profile.roundedRectangle(0, 0, 20, 10, 0, 12).areaMm2(), 200, 1e-12);
    }

    @Test
    public void eitherDirectionIsAccepted() {
        Profile clockwise = Profile.of(new double[] {0, 0, 0, 4, 4, 4, 4, 0}, new double[] {1, 1, 2, 1, 2, 2, 1, 2});
        assertEquals(clockwise.areaMm2(), 15, 1e-12);
    }

    @DataProvider
    public Object[][] impossible() {
        return new Object[][] {
            {"crosses itself", (Runnable) () -> Profile.of(new double[] {0, 0, 4, 4, 4, 0, 0, 4})},
            {"leaves it", (Runnable) () -> Profile.of(new double[] {0, 0, 4, 0, 4, 4, 0, 4},
                    new double[] {3, 3, 6, 3, 6, 6, 3, 6})},
            {"three points", (Runnable) () -> Profile.of(new double[] {0, 0, 1, 1})},
            {"NaN", (Runnable) () -> Profile.of(new double[] {0, 0, Double.NaN, 0, 4, 4})},
            {"cannot be made", (Runnable) () -> Profile.rectangle(0, 0, 1e9, 5)},
            {"larger than zero", (Runnable) () -> Profile.rectangle(0, 0, -5, 5)},
            {"larger than zero", (Runnable) () -> Profile.hole(0, 0, 0, 12)},
            {"larger than zero", (Runnable) () -> Profile.hexagon(0, 0, -1, 0)},
        };
    }

    @Test(dataProvider = "impossible")
    public void impossibleOutlinesAreRefusedInWords(String part, Runnable make) {
        SolidException e = expectThrows(SolidException.class, make::run);
        assertTrue(e.getMessage().contains(part), e.getMessage());
    }

    @Test
    public void aRingIsACopy() {
        Profile p = Profile.rectangle(0, 0, 2, 2);
        p.ring(0)[0] = 99;
        assertEquals(p.ring(0)[0], -1.0);
    }

    @Test
    public void letteringIsAsWideAsItSaysAndPrintable() {
        double width = Lettering.widthMm("R12", 6, 0.9);
        double max = Double.NEGATIVE_INFINITY;
        double min = Double.POSITIVE_INFINITY;
        double top = 0;
        for (Profile p : Lettering.outlines("R12", 6, 0.9)) {
            double[] ring = p.ring(0);
            for (int i = 0; i < ring.length; i += 2) {
                max = Math.max(max, ring[i]);
                min = Math.min(min, ring[i]);
                top = Math.max(top, ring[i + 1]);
            }
        }
        assertTrue(min >= -1e-9 && max <= width + 1e-9, min + " to " + max + " of " + width);
        assertEquals(top, 6, 1e-6);
        assertEquals(Lettering.widthMm("", 6, 0.9), 0.0);
        for (char c = 'A'; c <= 'Z'; c++) {
            assertEquals(Lettering.outlines("" + c, 6, 0.9).size(), 1, "every letter is one piece: " + c);
        }
        for (char c = '0'; c <= '9'; c++) {
            assertTrue(Lettering.outlines("" + c, 6, 0.9).size() == 1, "" + c);
        }
        assertTrue(Lettering.outlines("\u2603", 6, 0.9).isEmpty(), "unknown characters stay blank");
    }
}
