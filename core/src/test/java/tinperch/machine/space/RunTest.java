package tinperch.machine.space;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/** Cables and belts: how long a cable must be wherever the axes go, and how sharply it is bent. */
public class RunTest {
    private static final Surroundings SPACE = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 200, false, 1), new Axis("z", Vec3.Z, 0, 100, false, 2)),
            List.of(new Group("carriage", List.of("x", "z")), new Group("gantry", List.of("z"))), List.of());

    private static Run cable(double lengthMm, Run.Hold... holds) {
        return new Run("c", "head cable", Run.Kind.CABLE, List.of(holds), 6, Along.Z, 0, lengthMm);
    }

    private static Run.Hold at(String group, double x, double y, double z) {
        return new Run.Hold(group, new Vec3(x, y, z));
    }

    @Test
    public void theLongestWayIsAtTheEndOfTravelThatTriangleSays() {
        // From (0, 0, 0) to (30, 0, 40) on x and z: at x 200, z 100 the ends are 230 and 140 apart, worked by hand √(230² + 140²) = 269.258.
        Run c = cable(300, at("", 0, 0, 0), at("carriage", 30, 0, 40));
        RunFit fit = RunFit.of(c, SPACE);
        assertEquals(fit.longestMm(), 269.258, 5e-4);
        assertEquals(fit.at(), Map.of("x", 200.0, "z", 100.0));
        assertEquals(fit.slackMm().orElseThrow(), 30.742, 5e-4);
        assertFalse(fit.isWrong(c));
        assertTrue(fit.words(c).contains("31 mm of slack at x 200 mm, z 100 mm"), fit.words(c));
        Run shorter = cable(250, at("", 0, 0, 0), at("carriage", 30, 0, 40));
        assertTrue(RunFit.of(shorter, SPACE).isWrong(shorter));
        assertTrue(RunFit.of(shorter, SPACE).words(shorter).contains("19 mm too short"), RunFit.of(shorter, SPACE).words(shorter));
        // From the far side it is the other end.
        assertEquals(RunFit.of(cable(0, at("", 260, 0, 120), at("carriage", 0, 0, 0)), SPACE).at(), Map.of("x", 0.0, "z", 0.0));
    }

    /** No place of the axes, tried by dice, needs more than the ends of travel do. */
    @Test
    public void noPlaceInBetweenNeedsMore() {
        Random r = new Random(11);
        String[] groups = {"", "gantry", "carriage"};
        for (int round = 0; round < 200; round++) {
            Run.Hold[] holds = new Run.Hold[2 + r.nextInt(4)];
            for (int i = 0; i < holds.length; i++) {
                holds[i] = at(groups[r.nextInt(3)], 300 * r.nextDouble() - 50, 50 * r.nextDouble(), 200 * r.nextDouble() - 50);
            }
            Run c = cable(0, holds);
            double most = RunFit.of(c, SPACE).longestMm();
            for (int thrown = 0; thrown < 40; thrown++) {
                List<Vec3> p = c.points(SPACE, Map.of("x", 200 * r.nextDouble(), "z", 100 * r.nextDouble()));
                double way = 0;
                for (int i = 1; i < p.size(); i++) {
                    way += p.get(i).minus(p.get(i - 1)).length();
                }
                assertTrue(way <= most + 1e-9, "round " + round);
            }
        }
    }

    @Test
    public void aCornerIsBentAsSharplyAsItsShorterSideAllows() {
        // A right angle with 30 and 80 beside it: the arc that touches both has r = 30 / tan 45° = 30 (plane geometry).
        Run still = cable(0, at("", 0, 0, 0), at("", 30, 0, 0), at("", 30, 80, 0));
        RunFit fit = RunFit.of(still, SPACE);
        assertEquals(fit.bendMm(), 30, 1e-9);
        assertEquals(fit.bendPoint(), 2);
        // Lying still five times its 6 mm are enough, moved ten times are wanted (common practice).
        assertFalse(fit.isWrong(still));
        Run moved = cable(0, at("", 0, 0, 0), at("", 30, 0, 0), at("gantry", 30, 80, 0));
        assertEquals(moved.wantedBendMm(), 60.0);
        assertTrue(RunFit.of(moved, SPACE).words(moved).contains("bent to 30 mm at its point 2, 60 mm wanted"), RunFit.of(moved, SPACE).words(moved));
        // 60° of turn: r = 30 / tan 30° = 51.96.
        assertEquals(RunFit.of(cable(0, at("", 0, 0, 0), at("", 30, 0, 0), at("", 30 + 40, 40 * Math.sqrt(3), 0)), SPACE).bendMm(), 51.9615, 1e-3);
        assertEquals(RunFit.of(cable(0, at("", 0, 0, 0), at("", 30, 0, 0), at("", 90, 0, 0)), SPACE).bendMm(), Double.POSITIVE_INFINITY);
    }

    @Test
    public void itsShapeIsClosedAndAsLongAsItsWay() {
        Run belt = new Run("b", "x belt", Run.Kind.BELT, List.of(at("gantry", 0, 0, 0), at("gantry", 200, 0, 0), at("gantry", 200, 0, 12)), 6, Along.Y, 0, 0);
        Mesh m = belt.mesh(SPACE, Map.of("z", 10.0));
        assertEquals(m.openEdges(), 0);
        assertEquals(m.volumeMm3(), 212 * 6 * 1.5, 1e-6, "6 wide, 1.5 thick");
        assertEquals(m.bounds().max().z(), 22, 1e-6);
        assertEquals(m.bounds().size().y(), 6, 1e-6, "its width lies along y");
        assertEquals(RunFit.of(belt, SPACE).words(belt), "runs 212 mm");
    }

    @Test
    public void whatIsNoCableIsRefusedInASentence() {
        assertTrue(expectThrows(SpaceProblem.class, () -> SPACE.with(cable(0, at("", 0, 0, 0)))).getMessage().contains("two points or more"));
        assertTrue(expectThrows(SpaceProblem.class, () -> SPACE.with(cable(0, at("", 0, 0, 0), at("", 0, 0, 0)))).getMessage().contains("are the same"));
        assertTrue(expectThrows(SpaceProblem.class, () -> SPACE.with(cable(-1, at("", 0, 0, 0), at("", 1, 0, 0)))).getMessage().contains("so many millimetres"));
        assertTrue(expectThrows(SpaceProblem.class, () -> SPACE.with(cable(0, at("nobody", 0, 0, 0), at("", 1, 0, 0)))).getMessage().contains("Nothing moves as"));
        assertTrue(expectThrows(SpaceProblem.class, () -> SPACE.with(new Run("c", " ", null, List.of(at("", 0, 0, 0), at("", 1, 0, 0)), 6, null, 0, 0))).getMessage().contains("name"));
        assertTrue(expectThrows(SpaceProblem.class, () -> SPACE.with(new Run("c", "belt", Run.Kind.BELT, List.of(at("", 0, 0, 0), at("", 1, 0, 0)), Double.NaN, null, 0, 0)))
                .getMessage().contains("How wide"));
        Surroundings held = SPACE.with(cable(0, at("", 0, 0, 0), at("carriage", 1, 0, 0)));
        assertTrue(expectThrows(SpaceProblem.class, () -> held.withoutGroup("carriage")).getMessage().contains("held by"));
        assertEquals(held.withoutRun("c"), SPACE);
        // Changed where it is known, not put in twice.
        assertEquals(held.with(cable(500, at("", 0, 0, 0), at("carriage", 1, 0, 0))).runs().size(), 1);
        // A hand-written file may hold anything.
        Run odd = new Run(null, null, null, null, 0, null, Double.NaN, 0);
        Map<String, Double> home = new HashMap<>(SPACE.home());
        assertEquals(odd.mesh(SPACE, home).triangleCount(), 0);
        RunFit.of(odd, SPACE).words(odd);
    }
}
