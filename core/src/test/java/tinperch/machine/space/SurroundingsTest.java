package tinperch.machine.space;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.book.Book;
import tinperch.solid.Vec3;

public class SurroundingsTest {
    private static Machine machine(Machine.Kind kind) {
        return new Machine("m", "m", kind, "", new Machine.Space(200, 180, 160), 0.4, true, 24, 0, List.of(), Machine.State.FIT,
                "", Book.EMPTY);
    }

    private static Neighbour box(String id, String group, double x, double y, double z, double w, double d, double h) {
        return new Neighbour(id, id, group, Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(x, y, z), new Vec3(w, d, h), "z",
                3, 0);
    }

    private static Surroundings gantry() {
        return StartingFrames.of(machine(Machine.Kind.MOVING_BED)).with(box("post", "", -40, 60, 0, 20, 20, 300))
                .with(box("bed", "bed", 0, 0, -5, 200, 180, 5)).with(box("block", "carriage", -10, 70, 2, 20, 20, 15));
    }

    @Test
    public void groupsRideOnTheirAxes() {
        Surroundings s = gantry();
        assertEquals(s.shift("carriage", Map.of("x", 50.0, "z", 20.0, "y", 99.0)), new Vec3(50, 0, 20));
        assertEquals(s.shift("bed", Map.of("y", 30.0)).y(), -30.0, 1e-12, "the bed comes forward");
        assertEquals(s.shift("", Map.of("x", 50.0)), Vec3.ZERO);
        assertEquals(s.shift("carriage", Map.of("x", 999.0, "z", 0.0)).x(), 200.0, 1e-12, "no farther than its end");
    }

    @Test
    public void twoCarriagesOfAWireCutterMoveApart() {
        Surroundings s = StartingFrames.of(machine(Machine.Kind.WIRE_CUTTER));
        Map<String, Double> pose = Map.of("x", 10.0, "y", 20.0, "u", 30.0, "v", 40.0);
        assertEquals(s.shift("left carriage", pose), new Vec3(10, 20, 0));
        assertEquals(s.shift("right carriage", pose), new Vec3(30, 40, 0));
    }

    @Test
    public void theTightestGapFollowsTheMotion() {
        Surroundings s = gantry();
        // Post from x = −40 to −20; the block's left side is at x − 10: gap = x + 10 while it is the tightest.
        assertEquals(new Gaps(s).betweenBoxes(Map.of("x", 0.0, "y", 0.0, "z", 50.0)).orElseThrow().mm(), 10, 1e-12);
        assertEquals(new Gaps(s).betweenBoxes(Map.of("x", 5.0, "y", 0.0, "z", 50.0)).orElseThrow().mm(), 15, 1e-12);
        Gaps.Gap away = new Gaps(s).betweenBoxes(Map.of("x", 30.0, "y", 0.0, "z", 50.0)).orElseThrow();
        assertEquals(away.mm(), 20, 1e-12);
        assertEquals(away.a().name() + " " + away.b().name(), "post bed", "now bed and post are nearest");
        // Down on the bed the nozzle side is 2 mm above it.
        assertEquals(new Gaps(s).betweenBoxes(Map.of("x", 100.0, "y", 0.0, "z", 0.0)).orElseThrow().mm(), 2, 1e-12);
        assertEquals(new Gaps(s).boxesAlong("x", Map.of("y", 0.0, "z", 50.0), 3).get(0).getAsDouble(), 10, 1e-12);
        Surroundings tight = s.with(box("lamp", "", 95, 70, 40, 10, 10, 10));
        assertTrue(new Gaps(tight).betweenBoxes(Map.of("x", 100.0, "y", 0.0, "z", 35.0)).orElseThrow().mm() < 0, "they overlap");
    }

    @Test
    public void reachHoldsBothEndsOfEveryTravel() {
        Vec3 size = gantry().reach().orElseThrow().size();
        // Block: −10…210 in x with its 20 mm; post from −40. Bed: back to y = 180, forward by 180.
        assertEquals(size.x(), 250.0, 1e-12);
        assertEquals(size.y(), 360.0, 1e-12);
    }

    @Test
    public void aCylinderLiesAlongItsAxis() {
        Neighbour rod = new Neighbour("rod", "rod", "", Neighbour.Kind.SOLID, Neighbour.Form.CYLINDER, new Vec3(10, 20, 30),
                new Vec3(300, 8, 8), "x", 1, 0);
        var b = new NeighbourMesh(id -> Optional.empty(), id -> Optional.empty()).of(rod).bounds();
        assertEquals(b.min().distanceTo(new Vec3(10, 20, 30)), 0, 1e-9);
        assertEquals(b.size().distanceTo(new Vec3(300, 8, 8)), 0, 1e-9);
    }

    @Test
    public void whatCannotBeIsRefusedInWords() {
        Surroundings s = gantry();
        assertTrue(expectThrows(SpaceProblem.class, () -> s.with(new Axis("x", Vec3.X, 200, 0, false, 1))).getMessage()
                .contains("are swapped"));
        assertTrue(expectThrows(SpaceProblem.class, () -> s.with(box("screw", "", -35, 65, 10, 5, 5, 5))).getMessage()
                .contains("wholly inside post"));
        assertTrue(expectThrows(SpaceProblem.class, () -> s.with(box("flat", "", 0, 0, 0, 5, 0, 5))).getMessage()
                .contains("larger than zero"));
        assertTrue(expectThrows(SpaceProblem.class, () -> s.with(box("lost", "elevator", 0, 0, 0, 5, 5, 5))).getMessage()
                .contains("elevator"));
        assertTrue(expectThrows(SpaceProblem.class, () -> s.with(box(" ", "", 0, 0, 0, 5, 5, 5))).getMessage()
                .contains("needs a name"));
        assertEquals(s.with(box("post", "", -60, 60, 0, 20, 20, 300)).neighbours().size(), 3, "the same id is changed in place");
        assertEquals(s.without("post").neighbours().size(), 2);
    }
}
