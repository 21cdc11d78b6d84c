package tinperch.strength;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;

/** Rings over beads against what handbooks give. */
public class RingSnapTest {
    /** Thin ring under a line load: Δr = q·r²/(E·A). On a tube so thick that it gives nothing, q follows from the ring alone. */
    @Test
    public void aClosedRingStretchesAsAThinRing() {
        RingSnap stiff = new RingSnap(0.8, 60, 4, 6, 1e6, false);
        double q = 0.4 * 1800 * 24 / (30 * 30);
        assertEquals(stiff.squeezeN(1800), q * Math.PI * 60, 0.01 * q * Math.PI * 60);
        assertEquals(stiff.strainPerMm() * 0.8, 0.8 / 60, 1e-12);
        assertTrue(new RingSnap(0.8, 60, 4, 6, 1.2, false).squeezeN(1800) < 0.7 * stiff.squeezeN(1800), "a thin tube gives too");
    }

    /** A long tube under a line load: w = q·λ·r²/(2·E·t), handbook; with a ring that gives nothing. λ = 1.273/√(30·2) for ν = 0.35. */
    @Test
    public void aTubeNarrowsAsABeamOnAnElasticFoundation() {
        double q = 0.4 * 2 * 1800 * 2 / (1.273 / Math.sqrt(60) * 900);
        assertEquals(new RingSnap(0.8, 60, 1e6, 1e6, 2, false).squeezeN(1800), q * Math.PI * 60, 0.01 * q * Math.PI * 60);
    }

    /** Castigliano on a thin ring with a slit: ends pulled apart by F open by 3·π·F·r³/(E·I). */
    @Test
    public void aSlitRingSpringsOpenAsACurvedBeam() {
        RingSnap ring = new RingSnap(0.8, 60, 4, 6, 2, true);
        double r = 32;
        double f = ring.squeezeN(1800) / 4;
        // The circle grows by π·0.8, and so does the gap.
        assertEquals(3 * Math.PI * f * r * r * r / (1800 * 6 * 64 / 12.0), Math.PI * 0.8, 1e-9);
        assertTrue(ring.squeezeN(1800) < 0.05 * new RingSnap(0.8, 60, 4, 6, 2, false).squeezeN(1800));
        // Bent from 32 to 32.4: (t/2)·Δr/r².
        assertEquals(ring.strainPerMm() * 0.8, 2 * 0.4 / (32.0 * 32), 1e-12);
    }
}
