package tinperch.fact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Profile;

/** Room within sections: quickly told, never told where there is none. */
public class RoomyTest {
    @Test
    public void barsAreAsRoomyAsTheyAreThick() {
        Random dice = new Random(2);
        for (int k = 0; k < 300; k++) {
            double thick = 0.2 + 3 * dice.nextDouble();
            double wanted = 0.2 + 3 * dice.nextDouble();
            if (Math.abs(thick - wanted) > 1e-3) {
                assertEquals(Roomy.is(Profile.rectangle(3, -2, 30, thick), wanted), thick > wanted, thick + " for " + wanted);
            }
        }
    }

    @Test
    public void wallsBetweenHolesAndRingsCount() {
        assertTrue(Roomy.is(Profile.of(Profile.disc(0, 0, 20, 64).ring(0), Profile.disc(0, 0, 16, 64).ring(0)), 1.9));
        assertFalse(Roomy.is(Profile.of(Profile.disc(0, 0, 20, 64).ring(0), Profile.disc(0, 0, 16, 64).ring(0)), 2.1));
        assertFalse(Roomy.is(Profile.of(Profile.rectangle(0, 0, 40, 20).ring(0), Profile.disc(-4, 0, 6, 32).ring(0), Profile.disc(2.6, 0, 6, 32).ring(0)), 0.8), "0.6 between two holes");
        assertTrue(Roomy.is(Profile.of(Profile.rectangle(0, 0, 40, 20).ring(0), Profile.disc(-4, 0, 6, 32).ring(0), Profile.disc(3.2, 0, 6, 32).ring(0)), 0.8), "1.2 between two holes");
        assertTrue(Roomy.is(Profile.roundedRectangle(0, 0, 40, 20, 5, 16), 0.4), "round corners are no thin walls");
    }
}
