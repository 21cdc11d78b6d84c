package tinperch.machine.space;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tinperch.solid.Vec3;

/** Axes go home one after the other, in their order. */
public class HomingTest {
    private static final Surroundings SPACE = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 200, false, 2), new Axis("y", Vec3.Y, 0, 200, true, 2),
            new Axis("z", Vec3.Z, 0, 100, false, 1)), List.of(), List.of());

    @Test
    public void theFirstInTheOrderGoesFirstAndTwoOfOnePlaceTogether() {
        Homing h = new Homing(SPACE, Map.of("x", 50.0, "y", 120.0, "z", 40.0));
        assertEquals(h.lengthMm(), 40 + 80, 1e-9);
        assertEquals(h.after(0), Map.of("x", 50.0, "y", 120.0, "z", 40.0));
        assertEquals(h.after(30), Map.of("x", 50.0, "y", 120.0, "z", 10.0), "only z moves");
        assertEquals(h.after(60), Map.of("x", 30.0, "y", 140.0, "z", 0.0));
        assertEquals(h.after(110), Map.of("x", 0.0, "y", 190.0, "z", 0.0), "x is there already");
        assertEquals(h.after(1000), SPACE.home());
        assertEquals(new Homing(SPACE, Map.of()).lengthMm(), 0.0);
    }

    @Test
    public void placesOfTheAxesAreKeptByName() {
        Surroundings s = SPACE.with(new Pose("service", Map.of("z", 90.0))).with(new Pose("lowest", Map.of("z", 0.0))).with(new Pose("service", Map.of("z", 95.0)));
        assertEquals(s.poses().size(), 2);
        assertEquals(s.poses().stream().filter(p -> p.name().equals("service")).findFirst().orElseThrow().mm(), Map.of("z", 95.0));
        assertEquals(s.withoutPose("service").poses().size(), 1);
        expectThrows(SpaceProblem.class, () -> s.with(new Pose(" ", Map.of())));
    }
}
