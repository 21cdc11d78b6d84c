package tinperch.heat;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.Hands;
import tinperch.solid.query.TriangleTree;

/** Heat that a screw leads into a part. */
public class BridgeTest {
    private static HeatMap map(Mesh m, double kWmK, double film, double h, Bridge b) {
        return HeatModel.of(m, kWmK, new Around(25, film, List.of(), List.of(new Around.Screen(TriangleTree.of(m), Placement.HERE)), List.of(b)), h, Hands.ONE, Stop.NEVER);
    }

    /** T(x) = T₀ + (T_b − T₀)·cosh(m(L − x))/cosh(mL): the fin equation of handbooks. */
    @Test
    public void aScrewCoolsAlongItsLengthAsAFin() {
        Bridge b = new Bridge(Vec3.ZERO, new Vec3(0, 0, 20), 240, 1.5, 5.03);
        // G = 2π·0.2e-3/ln 4 = 9.065e-4 W/mmK, kA = 0.05·5.03 = 0.2515 W·mm/K: m = 0.06004, mL = 1.2008.
        assertEquals(b.tempC(0, 0.2e-3, 25), 240, 1e-9);
        assertEquals(b.tempC(20, 0.2e-3, 25), 25 + 215 / Math.cosh(1.2008), 0.05);
        assertEquals(b.tempC(10, 0.2e-3, 25), 25 + 215 * Math.cosh(0.6004) / Math.cosh(1.2008), 0.05);
        assertTrue(b.tempC(20, 0.2e-3, 25) > b.tempC(20, 2e-3, 25), "what leads better takes more off it");
    }

    /** Shape factor of a cylinder in the middle of a square bar, handbook: q = 2πkL·ΔT/ln(1.08 W/D). */
    @Test
    public void whatItLeadsInGoesThroughASquareBarAsTheHandbookSays() {
        // Plastic that takes so little that the screw stays warm; a film so strong that the outside stays cold.
        double k = 0.004;
        for (double h : new double[] {1, 2}) {
            HeatMap m = map(HeatModelTest.box(20, 20, 100), k, 3000, h, new Bridge(new Vec3(10, 10, 0), new Vec3(10, 10, 100), 240, 1.5, 5.03e3));
            assertTrue(m.converged());
            double out = m.patches().stream().filter(p -> Math.abs(p.normal().z()) < 0.5).mapToDouble(p -> p.areaMm2() * 3000e-6 * (p.tempC() - 25)).sum();
            double expected = 2 * Math.PI * k / 1000 * 100 * 215 / Math.log(1.08 * 20 / 3);
            assertEquals(out, expected, 0.1 * expected, "cells of " + h);
            assertEquals(m.lostW(), 0, 1e-3 * expected, "what goes in comes out");
        }
    }

    @Test
    public void whereNothingElseIsHotItWarmsThePlaceRoundIt() {
        HeatMap with = map(HeatModelTest.box(60, 40, 8), 0.2, 10, 2, new Bridge(new Vec3(30, 20, -6), new Vec3(30, 20, 8), 200, 1.5, 5.03));
        assertTrue(with.at(new Vec3(30, 20, 8)).tempC() > 45, String.valueOf(with.at(new Vec3(30, 20, 8)).tempC()));
        assertTrue(with.at(new Vec3(2, 2, 8)).tempC() < with.at(new Vec3(30, 20, 8)).tempC() - 10);
        assertEquals(map(HeatModelTest.box(60, 40, 8), 0.2, 10, 2, new Bridge(new Vec3(30, 20, -16), new Vec3(30, 20, -8), 200, 1.5, 5.03)).hottest().tempC(), 25, 0.1, "one that ends before it leads nothing");
    }
}
