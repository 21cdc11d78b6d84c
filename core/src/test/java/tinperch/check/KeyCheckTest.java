package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.form.Keyway;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** Keys to the set screws of a gantry's end: its rods' press from above, its pulley's turns with the shaft. The site looks up, so the part stands in the machine as it lies. */
public class KeyCheckTest {
    private static Case end(Neighbour... around) {
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 300, false, 1)), List.of(new Group("slide", List.of("x"))), List.of(around), List.of(new Site("there", "there", "", Vec3.ZERO, Vec3.Z, 0, 0.3, "")));
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s).withEnclosed(false);
        return PartExamples.caseOf(PartDesign.of("p1", "gantry-end", "end", Values.START.with(Marking.HEIGHT, 0.0)).atSite("there"), PartExamples.shop(m));
    }

    private static Neighbour roof(String group, double z) {
        return new Neighbour("roof", "roof", group, Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(-100, -100, z), new Vec3(200, 200, 4), "z", 0, 0);
    }

    private static List<Finding> keys(Case c) {
        return PartExamples.findings(c).stream().filter(f -> f.id().startsWith("key.")).toList();
    }

    /** Where the rods' set screws begin. */
    private static double mouth() {
        List<Keyway> all = new FactsOnce(end()).get(FormFact.FORM).form().orElseThrow().keyways();
        assertEquals(all.size(), 3);
        assertTrue(all.get(2).turns() && !all.get(0).turns());
        return all.get(0).at().origin().z();
    }

    @Test
    public void withNothingRoundThemAllAreReached() {
        List<Finding> all = keys(end());
        assertEquals(all.size(), 3);
        all.forEach(f -> assertEquals(f.severity(), Severity.FINE, f.what()));
    }

    /** M3 set screws take a key of 1.5, ISO 2936: arms of 14 and 45 (values from memory). */
    @Test
    public void aRoofMustLeaveTheShortArmInAndRound() {
        List<Finding> shut = keys(end(roof("", mouth() + 10))).stream().filter(f -> f.severity() == Severity.STOP).toList();
        assertEquals(shut.size(), 2, "the pulley's comes from the side: " + shut);
        shut.forEach(f -> {
            assertTrue(f.what().startsWith("No way for a key to the set screw") && f.what().endsWith("roof stands before it"), f.what());
            assertEquals(f.margin().orElseThrow().value(), 10 - 0.3, 0.15, "from a little over its mouth");
            assertEquals(f.margin().orElseThrow().limit(), 14.0);
        });
        keys(end(roof("", mouth() + 17))).forEach(f -> assertEquals(f.severity(), Severity.FINE, "17 mm let the short arm in, and nothing stands beside it: " + f.what()));
    }

    @Test
    public void whatAnAxisTakesAwayIsInNobodysWay() {
        keys(end(roof("slide", mouth() + 10))).forEach(f -> assertEquals(f.severity(), Severity.FINE, "300 mm along x it is free: " + f.what()));
    }
}
