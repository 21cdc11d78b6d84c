package tinperch.paste;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.Test;

/** A plunger's steps, force and pressure by hand. */
public class PlungerDriveTest {
    private static final PlungerDrive DRIVE = new PlungerDrive(38, 8, 5, 200 * 16);

    @Test
    public void stepsAreThoseThatWereFoundByTrying() {
        // Fact of the trade, common practice: 2000 steps for a mm of the plunger; with filament of 1.75 in the slicer 4.24.
        assertEquals(DRIVE.stepsPerMm(), 2000, 1e-9);
        assertEquals(DRIVE.stepsPerFilamentMm(1.75), 4.24, 0.005);
    }

    @Test
    public void aScrewTurnsTorqueIntoForce() {
        // 2π·0.3·0.4 N·m·5/0.008 m = 471.2 N.
        assertEquals(DRIVE.forceN(40), 471.24, 0.01);
    }

    /** Hagen and Poiseuille: 8·10·0.02·20e-9/(π·(1e-3)⁴) = 10.186 kPa; on π·0.038²/4 = 1.1341e-3 m²: 11.55 N. */
    @Test
    public void aNozzleTakesThePressureOfAPipe() {
        assertEquals(DRIVE.needsN(10, 2, 20, 20), 11.552, 0.01);
        assertEquals(DRIVE.needsN(10, 1, 20, 20) / DRIVE.needsN(10, 2, 20, 20), 16, 1e-9, "with the fourth power of the bore");
    }
}
