package tinperch.hardware;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class HardwareTablesTest {
    private static final HardwareTables TABLES = HardwareTables.STANDARD;

    @DataProvider
    public Object[][] threads() {
        // name, pitch (ISO 261), medium clearance (ISO 273), cap head d × h (ISO 4762), nut s × m (ISO 4032); from memory
        return new Object[][] {
            {"M2", 0.40, 2.4, 3.8, 2.0, 4.0, 1.6},
            {"M2.5", 0.45, 2.9, 4.5, 2.5, 5.0, 2.0},
            {"M3", 0.50, 3.4, 5.5, 3.0, 5.5, 2.4},
            {"M4", 0.70, 4.5, 7.0, 4.0, 7.0, 3.2},
            {"M5", 0.80, 5.5, 8.5, 5.0, 8.0, 4.7},
            {"M6", 1.00, 6.6, 10.0, 6.0, 10.0, 5.2},
            {"M8", 1.25, 9.0, 13.0, 8.0, 13.0, 6.8},
        };
    }

    @Test(dataProvider = "threads")
    public void threadRowsAgreeWithTheStandards(String name, double pitch, double medium, double head, double headHeight,
            double nut, double nutHeight) {
        ScrewThread t = TABLES.thread(name);
        assertEquals(t.pitchMm(), pitch);
        assertEquals(t.clearanceMm(ScrewThread.Fit.MEDIUM), medium);
        assertEquals(t.headDiameterMm(ScrewThread.Head.CAP), head);
        assertEquals(t.headHeightMm(ScrewThread.Head.CAP), headHeight);
        assertEquals(t.nutAcrossFlatsMm(), nut);
        assertEquals(t.nutHeightMm(), nutHeight);
    }

    @Test(dataProvider = "threads")
    public void stressAreaFollowsFromDiameterAndPitch(String name, double pitch, double medium, double head,
            double headHeight, double nut, double nutHeight) {
        ScrewThread t = TABLES.thread(name);
        // ISO 898-1: As = π/4 · (d − 0.9382 P)²
        double d = t.diameterMm() - 0.9382 * pitch;
        assertEquals(t.stressAreaMm2(), Math.PI / 4 * d * d, 0.012 * t.stressAreaMm2());
    }

    @Test
    public void everyRowIsConsistentInItself() {
        for (ScrewThread t : TABLES.threads()) {
            assertTrue(t.clearanceFineMm() < t.clearanceMediumMm() && t.clearanceMediumMm() < t.clearanceCoarseMm(), t.name());
            assertTrue(t.clearanceFineMm() > t.diameterMm(), t.name());
            // Common practice: tap drill = diameter − pitch.
            assertEquals(t.tapDrillMm(), t.diameterMm() - t.pitchMm(), 0.1, t.name());
            assertTrue(t.thinNutHeightMm() < t.nutHeightMm(), t.name());
            assertTrue(t.washerInnerMm() > t.diameterMm() && t.washerOuterMm() > t.nutAcrossFlatsMm() * 0.99, t.name());
            assertTrue(t.capHeadMm() > t.clearanceCoarseMm(), t.name());
        }
    }

    /** A cone of 90° that is sharp at its rim: its height is half of what the rim is wider than the thread (ISO 10642, values from memory). */
    @Test
    public void countersunkHeadsAreConesOf90Degrees() {
        for (ScrewThread t : TABLES.threads()) {
            assertEquals(t.sunkHeadHeightMm(), (t.sunkHeadMm() - t.diameterMm()) / 2, 0.011, t.name());
        }
        assertEquals(TABLES.thread("M3").sunkHeadMm(), 6.72);
        assertEquals(TABLES.thread("M8").sunkHeadMm(), 17.92);
    }

    @Test
    public void buttonHeadFallsBackWhereNoneIsMade() {
        assertEquals(TABLES.thread("M3").headDiameterMm(ScrewThread.Head.BUTTON), 5.7);
        assertEquals(TABLES.thread("M3").headHeightMm(ScrewThread.Head.BUTTON), 1.65);
        assertEquals(TABLES.thread("M2").headDiameterMm(ScrewThread.Head.BUTTON), 3.8);
    }

    @Test
    public void findsTheNearestInsert() {
        assertEquals(TABLES.insert("M3", 5).map(HeatSetInsert::name), Optional.of("M3×5.7"));
        assertEquals(TABLES.insert("M3", 3.2).map(HeatSetInsert::name), Optional.of("M3×3"));
        assertTrue(TABLES.insert("M8", 10).isEmpty());
        assertEquals(TABLES.insertsFor("M3").stream().map(HeatSetInsert::lengthMm).toList(), List.of(3.0, 4.0, 5.7));
        for (HeatSetInsert i : TABLES.insertsFor("M3")) {
            assertTrue(i.holeMm() < i.outerMm(), "the insert must bite");
        }
    }

    @Test
    public void unknownThreadIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> TABLES.thread("M7"));
    }

    @Test
    public void preferredLengthsAreThoseOfIso888() {
        assertTrue(HardwareTables.PREFERRED_LENGTHS_MM.containsAll(List.of(5d, 6d, 8d, 10d, 12d, 16d, 20d, 25d, 30d, 60d)));
        assertTrue(HardwareTables.PREFERRED_LENGTHS_MM.containsAll(List.of(2d, 2.5, 110d, 120d)));
        assertFalse(HardwareTables.PREFERRED_LENGTHS_MM.contains(18d));
        // ISO 4762 has M2 from 3 to 20 mm (values from memory).
        assertEquals(TABLES.thread("M2").soldLengthsMm(), List.of(3d, 4d, 5d, 6d, 8d, 10d, 12d, 16d, 20d));
        assertFalse(TABLES.thread("M2").soldLengthsMm().contains(60d));
        assertTrue(TABLES.thread("M8").soldLengthsMm().contains(120d));
    }

    @Test
    public void drawerFindsTheShortestThatFits() {
        ScrewDrawer drawer = new ScrewDrawer(Map.of("M3", List.of(20d, 8d, 12d, 16d, 12d)));
        assertEquals(drawer.lengths("M3"), List.of(8d, 12d, 16d, 20d));
        assertEquals(drawer.shortestWithin("M3", 12.5, 30), Optional.of(16d));
        assertEquals(drawer.shortestWithin("M3", 12, 30), Optional.of(12d));
        assertTrue(drawer.shortestWithin("M3", 12.5, 15).isEmpty());
        assertTrue(drawer.lengths("M4").isEmpty());
        assertTrue(drawer.with("M4", List.of(10d)).has("M4", 10));
        assertFalse(drawer.has("M4", 10), "a drawer never changes");
    }
}
