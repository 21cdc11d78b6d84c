package tinperch.material;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;

public class MaterialTest {
    @Test
    public void plasticsEndAtTheirGlassTransitionNotAtMelting() {
        // Values from memory.
        assertEquals(Material.named("PLA").glassTransitionC(), 60);
        assertEquals(Material.named("PETG").glassTransitionC(), 80);
        assertEquals(Material.named("ABS").glassTransitionC(), 105);
        for (Material m : Material.STANDARD) {
            if (m.glassTransitionC() > 55) {
                assertTrue(m.useLimitC() < m.glassTransitionC(), m.name());
            }
        }
    }

    @Test
    public void aWarmAirBathOf70IsForPetgAndNotForPla() {
        // Common practice.
        assertTrue(Material.named("PETG").glassTransitionC() > 70);
        assertTrue(Material.named("PLA").glassTransitionC() < 70);
    }

    @Test
    public void layersAreWeakerThanPlanes() {
        for (Material m : Material.STANDARD) {
            assertTrue(m.acrossLayersMPa() < m.strengthMPa(), m.name());
            assertTrue(m.densityGcm3() > 0.9 && m.densityGcm3() < 1.4, m.name());
        }
    }

    @Test
    public void styrenicsCallForVentilation() {
        assertTrue(Material.named("ABS").fumes() && Material.named("ASA").fumes());
        assertTrue(!Material.named("PLA").fumes());
        assertThrows(IllegalArgumentException.class, () -> Material.named("cheese"));
    }
}
