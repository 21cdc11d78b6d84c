package tinperch.fact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.machine.space.Along;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.part.PartExamples;
import tinperch.part.family.SoftFoot;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** What is remembered must be asked anew when what it follows from changes, and not when it does not. */
public class HeatInputsTest {
    private static Case foot(boolean blown, double screwMm, double plateC, List<Run> runs) {
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 200, false, 1)), List.of(new Group("carriage", List.of("x"))),
                List.of(new Neighbour("bed", "plate", "carriage", plateC > 0 ? Neighbour.Kind.HOT : Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(-60, -6, -60), new Vec3(120, 6, 120), "z", 0.1, plateC)),
                List.of(new Site("s", "front", "carriage", Vec3.ZERO, Vec3.Y, 0, 0.3, "").blown(blown)), List.of(), "", List.of(), runs);
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s).withEnclosed(false);
        return PartExamples.caseOf(PartDesign.of("p1", "soft-foot", "foot", Values.START.with(Marking.HEIGHT, 0.0).with(SoftFoot.SCREWS.length, screwMm)).withMaterial("PETG").atSite("s"), PartExamples.shop(m));
    }

    private static Object heat(Case c) {
        return HeatFact.HEAT.inputs(c, new FactsOnce(c));
    }

    @Test
    public void airAndScrewsInSomethingHotCount() {
        assertNotEquals(heat(foot(false, 16, 90, List.of())), heat(foot(true, 16, 90, List.of())), "moved air");
        assertNotEquals(heat(foot(false, 16, 90, List.of())), heat(foot(false, 20, 90, List.of())), "a longer screw leads farther in");
        assertEquals(heat(foot(false, 16, 0, List.of())), heat(foot(false, 20, 0, List.of())), "into cold metal it leads nothing, and nothing is reckoned anew");
        assertEquals(foot(false, 16, 90, List.of()).key(), foot(false, 16, 90, List.of()).key());
        assertNotEquals(foot(false, 16, 90, List.of()).key(), foot(true, 16, 90, List.of()).key(), "what is judged otherwise has another content key");
    }

    /** A cable that is held on the part may touch it there, and nowhere else. */
    @Test
    public void aCableHeldOnThePartMayTouchItThere() {
        Run held = new Run("c", "cable", Run.Kind.CABLE, List.of(new Run.Hold("", new Vec3(-100, 40, 40)), new Run.Hold("carriage", new Vec3(0, 12, 16))), 4, Along.Z, 0, 800);
        Case c = foot(false, 16, 0, List.of(held));
        assertEquals(new FactsOnce(c).get(CableWayFact.OWN), List.of(), "from its hold on it leads away");
        Run across = new Run("c", "cable", Run.Kind.CABLE, List.of(new Run.Hold("", new Vec3(-100, 8, 0)), new Run.Hold("carriage", new Vec3(60, 8, 0))), 4, Along.Z, 0, 800);
        List<CableWayFact.Near> near = new FactsOnce(foot(false, 16, 0, List.of(across))).get(CableWayFact.OWN);
        assertEquals(near.get(0).gapMm(), 0.0, "it goes right through the foot");
    }
}
