package tinperch.machine.frame;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.catalogue.UsualThing;
import tinperch.machine.Machine;
import tinperch.machine.place.Place;
import tinperch.machine.place.Places;
import tinperch.machine.space.Along;
import tinperch.machine.space.Axis;
import tinperch.machine.space.End;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.SpaceProblem;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** Frames to start from: nothing in them runs into anything, wherever the axes stand. */
public class FramesTest {
    @DataProvider
    public Object[][] frames() {
        double[][] sizes = {{235, 235, 250, 20}, {120, 120, 120, 20}, {300, 300, 320, 8}, {600, 400, 90, 40}, {50, 60, 45, 12}, {2000, 1500, 900, 30}};
        Object[][] all = new Object[Frames.ALL.size() * sizes.length][];
        int k = 0;
        for (Frame f : Frames.ALL) {
            for (double[] s : sizes) {
                all[k++] = new Object[] {f.id(), new FrameNumbers(s[0], s[1], s[2], s[3])};
            }
        }
        return all;
    }

    private static Frame frame(String id) {
        return Frames.ALL.stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow();
    }

    @Test(dataProvider = "frames")
    public void nothingRunsIntoAnythingAtAnyEndOfItsTravels(String id, FrameNumbers n) {
        Surroundings s = frame(id).put(n);
        assertTrue(!s.axes().isEmpty() && !s.groups().isEmpty());
        for (int ends = 0; ends < 1 << s.axes().size(); ends++) {
            Map<String, Double> pose = new HashMap<>();
            for (int i = 0; i < s.axes().size(); i++) {
                Axis a = s.axes().get(i);
                pose.put(a.name(), (ends >> i & 1) == 0 ? a.fromMm() : a.toMm());
            }
            for (Neighbour a : s.neighbours()) {
                for (Neighbour b : s.neighbours()) {
                    if (a != b && a.isMatter() && b.isMatter()) {
                        assertTrue(!inside(s.bounds(a, pose), s.bounds(b, pose)), id + " " + n + " at " + pose + ": " + a.name() + " in " + b.name());
                    }
                }
            }
        }
    }

    /** A belt goes round and comes back where it began; its strands run through nothing, wherever the axes stand. */
    @Test(dataProvider = "frames")
    public void beltsRunClearOfEverything(String id, FrameNumbers n) {
        Surroundings s = frame(id).put(n);
        for (Run belt : s.runs()) {
            assertEquals(belt.holds().get(0), belt.holds().get(belt.holds().size() - 1), belt.name());
            for (int ends = 0; ends < 1 << s.axes().size(); ends++) {
                Map<String, Double> pose = new HashMap<>();
                for (int i = 0; i < s.axes().size(); i++) {
                    Axis a = s.axes().get(i);
                    pose.put(a.name(), (ends >> i & 1) == 0 ? a.fromMm() : a.toMm());
                }
                List<Vec3> p = belt.points(s, pose);
                Vec3 half = new Vec3(0.5, 0.5, 0.5).plus(belt.wide().direction().times(belt.acrossMm() / 2 - 0.5 - 1e-3));
                for (int i = 1; i < p.size(); i++) {
                    Bounds strand = new Bounds(p.get(i).minus(half), p.get(i).plus(half)).with(new Bounds(p.get(i - 1).minus(half), p.get(i - 1).plus(half)));
                    for (Neighbour b : s.neighbours()) {
                        assertTrue(!b.isMatter() || !inside(strand, s.bounds(b, pose)), id + " " + n + " at " + pose + ": " + belt.name() + " in " + b.name());
                    }
                }
            }
        }
        assertTrue(id.equals("empty") || !s.runs().isEmpty(), id);
    }

    /** By more than a hair. */
    private static boolean inside(Bounds a, Bounds b) {
        double hair = 1e-6;
        return a.min().x() < b.max().x() - hair && b.min().x() < a.max().x() - hair && a.min().y() < b.max().y() - hair && b.min().y() < a.max().y() - hair
                && a.min().z() < b.max().z() - hair && b.min().z() < a.max().z() - hair;
    }

    @Test
    public void everythingIsUsualUntilItIsRead() {
        Surroundings s = Frames.of(Machine.Kind.MOVING_BED).put(new FrameNumbers(235, 235, 250, 20));
        Places p = Places.of(s, End.Holes.NONE);
        assertEquals(s.neighbour(s.datumId()).orElseThrow().name(), "bed");
        for (Neighbour x : s.neighbours()) {
            assertEquals(p.of(x.id(), Along.Z).how(), x.name().equals("bed") ? Place.How.DATUM : Place.How.USUAL, x.name());
        }
        assertTrue(p.next().isPresent());
    }

    @Test
    public void motorsHaveTheirStandardSizeAndTheTipStandsAtZero() {
        for (Frame f : Frames.ALL) {
            for (Neighbour x : f.put(new FrameNumbers(200, 200, 200, 20)).neighbours()) {
                if (x.name().endsWith("motor")) {
                    // NEMA ICS 16, size 17: 42.3 square (value from memory).
                    assertEquals(x.size().x(), 42.3, 1e-9, f.id());
                    assertEquals(x.size().y(), UsualThing.byId("motor-17").orElseThrow().size("face").orElseThrow(), 1e-9);
                }
                if (x.name().equals("nozzle")) {
                    assertEquals(x.corner().z(), 0.0);
                    assertEquals(x.corner().x() + x.size().x() / 2, 0, 1e-9);
                }
            }
        }
    }

    @Test
    public void everyKindOfMachineHasAFrameAndImpossibleOnesAreRefused() {
        for (Machine.Kind k : Machine.Kind.values()) {
            assertEquals(Frames.of(k).kind(), k);
        }
        assertTrue(expectThrows(SpaceProblem.class, () -> new FrameNumbers(0, 200, 200, 20)).getMessage().contains("0 mm"));
        expectThrows(SpaceProblem.class, () -> new FrameNumbers(200, Double.NaN, 200, 20));
        expectThrows(SpaceProblem.class, () -> new FrameNumbers(200, 200, 200, -1));
    }
}
