package tinperch.fact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.caseOf;
import static tinperch.part.PartExamples.find;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.plateCase;
import static tinperch.part.PartExamples.shop;
import static tinperch.part.PartExamples.values;
import static tinperch.part.family.ToolCarriagePlate.CARRIED;
import static tinperch.part.family.ToolCarriagePlate.CORNER;
import static tinperch.part.family.ToolCarriagePlate.HEIGHT;
import static tinperch.part.family.ToolCarriagePlate.MOUNT;
import static tinperch.part.family.ToolCarriagePlate.OPENING;
import static tinperch.part.family.ToolCarriagePlate.THICKNESS;
import static tinperch.part.family.ToolCarriagePlate.WIDTH;

import java.util.Random;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.judge.Judge;
import tinperch.judge.Starts;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Values;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** Walls and seats measured on the part itself; the expected numbers are worked by hand from the sizes. */
public class WallsAndSeatsTest {
    private static double around(Case c, String id) {
        return find(c, id).margin().orElseThrow().value();
    }

    @Test
    public void aPocketThatReachesIntoItsBossThinsItsWall() {
        // Plate 6, standoff 10, boss 9.2, M3 nut pocket let in 8 beyond its height: corners of 5.8 / cos 30° = 6.70 in 9.2.
        Values v = values().with(THICKNESS, 6.0).with(CARRIED.seat, SeatKind.CAPTIVE_NUT).with(CARRIED.standoff, 10.0).with(CARRIED.recess, 8.0);
        assertEquals(around(plateCase(v), "wall.part.tool.nut.around"), (9.2 - 5.8 / Math.cos(Math.PI / 6)) / 2, 0.03);
        assertEquals(find(plateCase(v), "wall.part.tool.nut.around").severity(), Severity.STOP);
    }

    @Test
    public void aLargeOpeningBesideAnInsertIsSeen() {
        // Pattern 40 × 30: a corner is 25.0 from the middle; opening Ø45.8 reaches 22.9, the insert's hole 2.0: 0.1 left.
        Values v = values().with(OPENING, 45.8);
        Case c = caseOf(plate(v).bound("mount", new Binding.Usual("holes-60x50")), shop(60, 50, 40, 30));
        assertEquals(around(c, "wall.part.tool.insert.around"), 0.1, 0.03);
        Finding f = find(c, "wall.part.tool.insert.around");
        assertTrue(f.what().contains("opening"), f.what());
    }

    @Test
    public void neighboursOfOnePatternAreCompared() {
        // M5 nuts (ISO 4032: 8 across flats) 10 apart, pockets 8.3 across; the hexagons' flats look along x: 10 − 8.3 = 1.7,
        // along y their corners meet: 10 − 8.3 / cos 30° = 0.42.
        Values v = values().with(CARRIED.thread, "M5").with(CARRIED.seat, SeatKind.CAPTIVE_NUT).with(CARRIED.standoff, 0.0).with(CARRIED.length, 20.0);
        double apart = 10 - 8.3 / Math.cos(Math.PI / 6);
        Case c = caseOf(plate(v), shop(60, 50, 10, 10));
        assertEquals(around(c, "wall.part.tool.nut.around"), apart, 0.02);
        Case overlapping = caseOf(plate(v), shop(60, 50, 8, 8));
        assertEquals(find(overlapping, "wall.part.tool.nut.around").severity(), Severity.STOP);
        assertTrue(around(overlapping, "wall.part.tool.nut.around") <= 0, "the pockets are one");
    }

    @Test
    public void roundedCornersCount() {
        // 70 × 60 with radius 12: the corner hole at (30, 25) is hypot(7, 7) from the corner's middle: 12 − 9.90 − 1.7 = 0.40.
        Values v = values().with(WIDTH, 70.0).with(HEIGHT, 60.0).with(CORNER, 12.0);
        assertEquals(around(plateCase(v), "wall.part.mount.clearance.around"), 12 - Math.hypot(7, 7) - 1.7, 0.05);
    }

    @Test
    public void aHoleNearTheEdgeAsksForAWiderPlate() {
        // Holes at ±30, hole 3.4: edge at 32.5 leaves 0.8 mm.
        Case c = plateCase(values().with(WIDTH, 65.0));
        assertEquals(around(c, "wall.part.mount.clearance.around"), 0.8, 0.01);
        Finding f = Judge.thorough(c).findings().stream().filter(x -> x.id().equals("wall.part.mount.clearance.around")).findFirst().orElseThrow();
        assertEquals(f.remedies().get(0).label(), "plate width 65 mm → 66.6 mm");
        assertEquals(f.remedies().get(0).leaves(), "");
    }

    @Test
    public void theLedgeBehindAnInsertIsKept() {
        Case c = plateCase(values().with(CARRIED.standoff, 0.0).with(THICKNESS, 7.0));
        Finding f = Judge.thorough(c).findings().stream().filter(x -> x.id().equals("wall.part.tool.insert.under")).findFirst().orElseThrow();
        assertEquals(f.severity(), Severity.STOP);
        assertEquals(f.margin().orElseThrow().value(), 0.3, 1e-6);
        assertEquals(f.remedies().stream().map(r -> r.label()).toList(), java.util.List.of("wall 7 mm → 7.7 mm", "insert M3×4"));
    }

    @Test
    public void aBossIsTwiceAsWideAsItsInsert() {
        assertEquals(find(plateCase(values().with(CARRIED.boss, 8.0)), "boss.part.tool.insert").severity(), Severity.LOOK);
        assertEquals(find(plateCase(values()), "boss.part.tool.insert").severity(), Severity.FINE);
        assertEquals(around(plateCase(values().with(CARRIED.boss, 6.0)), "wall.part.tool.insert.around"), 1.0, 0.02);
    }

    @Test
    public void aNutNeedsTwoMillimetresToPullAgainst() {
        Case c = plateCase(values().with(MOUNT.seat, SeatKind.CAPTIVE_NUT).with(THICKNESS, 4.0));
        assertEquals(find(c, "wall.part.mount.nut.under").margin().orElseThrow().value(), 1.4, 1e-6);
        assertEquals(find(c, "wall.part.mount.nut.under").severity(), Severity.STOP);
    }

    /** Distances of circles from each other and from straight edges, for plates thrown by dice: what is measured is what is reckoned. */
    @Test
    public void wallsOfRandomPlatesAreThoseOfPlaneGeometry() {
        Random r = new Random(17);
        for (int n = 0; n < 60; n++) {
            double w = 24 + r.nextInt(24);
            double h = 20 + r.nextInt(24);
            double opening = 6 + 30 * r.nextDouble();
            double width = w + 8 + 20 * r.nextDouble();
            double height = Math.max(h + 8 + 20 * r.nextDouble(), 34);
            Values v = values().with(WIDTH, Math.max(width, 40)).with(HEIGHT, height).with(OPENING, Math.min(opening, height - 8)).with(CARRIED.standoff, 0.0)
                    .with(CARRIED.seat, SeatKind.LOOSE_NUT).with(THICKNESS, 6.0);
            // The machine side stands far out of the way: a second pattern of the same four places would overlap it.
            Case c = caseOf(plate(v.with(MOUNT.standoff, 0.0)), shop(Math.max(width, 40) - 6, 12, w, h));
            double tool = Double.POSITIVE_INFINITY;
            for (double[] p : new double[][] {{w / 2, h / 2}, {w / 2, -h / 2}}) {
                tool = Math.min(tool, Math.max(width, 40) / 2 - p[0] - 1.7);
                tool = Math.min(tool, height / 2 - Math.abs(p[1]) - 1.7);
                tool = Math.min(tool, Math.hypot(p[0], p[1]) - OPENING.of(v) / 2 - 1.7);
                for (double my : new double[] {6, -6}) {
                    tool = Math.min(tool, Math.hypot((Math.max(width, 40) - 6) / 2 - p[0], my - p[1]) - 3.4);
                }
                tool = Math.min(tool, Math.min(w, h) - 3.4);
            }
            double measured = around(c, "wall.part.tool.clearance.around");
            if (tool > 0.05) {
                assertEquals(measured, tool, 0.06, "plate " + n);
            } else {
                assertTrue(measured < 0.12, "plate " + n + " told " + measured + ", really " + tool);
            }
        }
    }

    // ---- seats ----

    @Test
    public void aWasherWiderThanItsRecessHasNoPlace() {
        // Recess 6.0 wide for the head of 5.5; the washer of ISO 7089 is 7 wide.
        Values sunk = values().with(MOUNT.recess, 3.0).with(MOUNT.length, 12.0);
        Finding f = find(plateCase(sunk), "seat.mount");
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.what().contains("washer") && f.what().contains("3 mm"), f.what());
        assertEquals(find(plateCase(sunk.with(MOUNT.washer, false)), "seat.mount").severity(), Severity.FINE);
    }

    @Test
    public void headsInTheWayOfBossesStopAndTheWaysOutClearThem() {
        // The first part of a new user: 44 × 30 on the machine, 32 × 32 of the tool, everything as offered.
        Case c = caseOf(plate(Values.START.with(WIDTH, 64.0).with(HEIGHT, 60.0)), shop(44, 30, 32, 32));
        Finding f = Judge.thorough(c).findings().stream().filter(x -> x.id().equals("seat.mount")).findFirst().orElseThrow();
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.what().contains("tool boss"), f.what());
        assertTrue(!f.remedies().isEmpty() && f.remedies().stream().allMatch(r -> r.leaves().isEmpty()), f.remedies().toString());
    }

    @Test
    public void aNewPartDoesNotBeginWithWhatAnotherStartAvoids() {
        PartDesign chosen = Starts.choose(PartExamples.upgrade(), plate(Values.START), shop(44, 30, 32, 32), FactsOnce::new);
        Case c = caseOf(chosen, shop(44, 30, 32, 32));
        assertEquals(PartExamples.findings(c).stream().filter(x -> x.severity() == Severity.STOP).map(Finding::what).toList(), java.util.List.of());
    }

    @Test
    public void aHeadThatHangsOverAnEdgeDoesNotBear() {
        // M5 head under a washer of 10, hole 3.6 from the edge of the opening.
        Values v = values().with(OPENING, 66.0).with(WIDTH, 120.0).with(HEIGHT, 120.0).with(MOUNT.x, 9.0).with(MOUNT.washer, false);
        Finding f = find(plateCase(v), "seat.mount");
        assertTrue(f.severity() != Severity.FINE, f.what());
        assertTrue(f.what().contains("bears"), f.what());
    }

    @Test
    public void gripIsMeasuredThroughEverything() {
        SeatsFact.Seat s = new FactsOnce(plateCase(values().with(MOUNT.standoff, 4.0))).get(SeatsFact.SEATS).get(0);
        assertEquals(s.gripMm(), 12.0, 1e-6, "plate 8 and standoff 4");
        SeatsFact.Seat insert = new FactsOnce(plateCase(values())).get(SeatsFact.SEATS).stream().filter(x -> x.screw().row().equals("tool")).findFirst().orElseThrow();
        assertEquals(insert.floorMm(), 6.7, 1e-6, "M3×5.7 and 1 mm more (common practice)");
    }
}
