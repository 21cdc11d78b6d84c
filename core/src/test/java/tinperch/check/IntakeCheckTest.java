package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** A fan of 40 × 10, opening 38, before a wall: nearer than 19 starves it. */
public class IntakeCheckTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);

    /** The duct stands at zero and looks along x, so its fan draws from −x; a wall ends so far before the intake. */
    private static Case beforeAWall(String kind, double gapMm, double sizeMm, double asideMm) {
        Surroundings s = Surroundings.NONE.with(new Site("there", "there", "", Vec3.ZERO, Vec3.X, 0, 0.3, ""))
                .with(new Neighbour("wall", "wall", "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(-10 - gapMm - 3, asideMm - sizeMm / 2, -sizeMm / 2), new Vec3(3, sizeMm, sizeMm), "z", 2, 0))
                .with(new Neighbour("fan", "fan as drawn", "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(-10, -20, -20), new Vec3(9.9, 40, 40), "z", 0, 0));
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s);
        return PartExamples.caseOf(PartDesign.of("p1", kind, "duct", PLAIN).atSite("there"), PartExamples.shop(m));
    }

    @Test
    public void aWallBeforeAnIntakeStarvesIt() {
        Finding near = PartExamples.find(beforeAWall("fan-duct", 12, 100, 0), "intake.0");
        assertEquals(near.severity(), Severity.LOOK);
        assertEquals(near.margin().orElseThrow().value(), 12, 1e-6);
        assertEquals(near.margin().orElseThrow().limit(), 19, 1e-9);
        assertTrue(near.what().contains("wall"), near.what());
        assertEquals(PartExamples.find(beforeAWall("fan-duct", 25, 100, 0), "intake.0").severity(), Severity.FINE);
        assertEquals(PartExamples.find(beforeAWall("fan-duct", 12, 20, 60), "intake.0").severity(), Severity.FINE, "beside it, it takes no air");
    }

    @Test
    public void whereNobodyLookedNothingIsFine() {
        assertTrue(PartExamples.findings(PartExamples.usual("fan-duct", PLAIN)).stream().noneMatch(f -> f.id().startsWith("intake")));
        assertTrue(PartExamples.findings(PartExamples.usual("frame-brace", PLAIN)).stream().noneMatch(f -> f.id().startsWith("intake")), "no fan, no intake");
    }

    /** A radial fan's intake is in its side: what is under it takes nothing. */
    @Test
    public void aRadialFanDrawsFromItsSide() {
        assertEquals(PartExamples.find(beforeAWall("blower-duct", 60, 100, 0), "intake.0").severity(), Severity.FINE);
    }
}
