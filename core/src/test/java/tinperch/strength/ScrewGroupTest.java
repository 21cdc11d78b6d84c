package tinperch.strength;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewThread;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/** Screws that share a load, against worked examples of mechanical engineering handbooks (values from memory) and balance of forces. */
public class ScrewGroupTest {
    private static List<Vec3> four(double x, double y) {
        return List.of(new Vec3(x, y, 0), new Vec3(-x, y, 0), new Vec3(-x, -y, 0), new Vec3(x, -y, 0));
    }

    @Test
    public void handbookBracketPushedAside() {
        // Four bolts 150 by 120 mm, 16 kN at 425 mm from their middle: 21.0 kN on the worst (worked example, value from memory).
        ScrewGroup g = ScrewGroup.of(four(75, 60), Vec3.Z, 0, new Vec3(425, 0, 0), new Vec3(0, -16_000, 0));
        assertEquals(g.slideN(), 21_000, 60);
        assertEquals(g.pullN(), 0, 1e-6);
    }

    @Test
    public void aMomentPullsByTheWayFromTheMiddle() {
        // M = F·h, T = M·y / Σy² on each of the two upper: 100·80·25 / (4·25²) = 80 N.
        ScrewGroup g = ScrewGroup.of(four(40, 25), Vec3.Z, 0, new Vec3(0, 0, 80), new Vec3(0, 100, 0));
        assertEquals(g.pullN(), 80, 1e-9);
        assertEquals(g.slideN(), 25, 1e-9);
        assertEquals(g.clampN(), 80 + 25 / 0.2, 1e-9);
    }

    @Test
    public void oneAloneTipsOverItsRim() {
        // A force F at h beside the axis of a seat of radius r: F·h / r, and F itself.
        ScrewGroup g = ScrewGroup.of(List.of(Vec3.ZERO), Vec3.Z, 7, new Vec3(30, 0, 0), new Vec3(0, 0, 10));
        assertEquals(g.pullN(), 10 + 10 * 30 / 3.5, 1e-9);
    }

    /** Turned and moved as a whole it is the same; no screw's part is forgotten: a wider pattern is never worse. */
    @Test
    public void whereItStandsDoesNotMatter() {
        Random dice = new Random(4);
        for (int i = 0; i < 200; i++) {
            List<Vec3> at = new ArrayList<>();
            for (int k = 0; k < 2 + dice.nextInt(5); k++) {
                at.add(new Vec3(60 * dice.nextDouble(), 40 * dice.nextDouble(), 0));
            }
            Vec3 to = new Vec3(90 * dice.nextDouble(), 50 * dice.nextDouble(), 60 * dice.nextDouble());
            Vec3 force = new Vec3(dice.nextGaussian(), dice.nextGaussian(), dice.nextGaussian()).times(20);
            ScrewGroup here = ScrewGroup.of(at, Vec3.Z, 7, to, force);
            Placement p = Placement.along(new Vec3(5, -7, 11), new Vec3(1, 2, 3).unit(), Vec3.X);
            ScrewGroup there = ScrewGroup.of(at.stream().map(v -> p.point(v.x(), v.y(), v.z())).toList(), p.w(), 7, p.point(to.x(), to.y(), to.z()), p.point(force.x(), force.y(), force.z()).minus(p.origin()));
            assertEquals(there.pullN(), here.pullN(), 1e-6 * (1 + here.pullN()));
            assertEquals(there.slideN(), here.slideN(), 1e-6 * (1 + here.slideN()));
            assertTrue(here.pullN() >= Math.abs(force.z()) / at.size() - 1e-9);
        }
    }

    @Test
    public void whatPlasticHolds() {
        ScrewThread m3 = HardwareTables.STANDARD.thread("M3");
        // A washer 7 on a hole 3.4: 29.4 mm², at 14 MPa 412 N; T = 0.2·3 mm·412 N = 0.25 Nm.
        double n = ScrewHold.underHeadN(7, 3.4, 1, 14);
        assertEquals(n, 411.7, 0.1);
        assertEquals(ScrewHold.torqueNm(m3, n), 0.247, 0.001);
        // A hexagon 5.5 across flats has 26.2 mm².
        assertEquals(ScrewHold.underNutN(5.5, 3.4, 1, 14), (26.197 - 9.079) * 14, 0.1);
        // M3×5.7 insert, 4.6 outside: π·4.6·5.7·14/√3.
        assertEquals(ScrewHold.pullOutN(4.6, 5.7, 14), 665.8, 0.2);
        // 5.03 mm² (ISO 898-1) at 0.75 of 580 MPa.
        assertEquals(ScrewHold.steelN(m3), 2188, 1);
    }
}
