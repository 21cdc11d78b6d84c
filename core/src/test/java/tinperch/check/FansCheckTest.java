package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.IntakeFact;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** Which fans look at each other, and how near they may. The duct's fan is 10 thick and draws along +x from x = −10. */
public class FansCheckTest {
    private static Neighbour fan(String group, Vec3 corner, String way) {
        return new Neighbour("other", "other fan", group, Neighbour.Kind.SOLID, Neighbour.Form.BOX, corner, new Vec3(10, 40, 40), "z", 0, 0, "", 0, way);
    }

    private static List<Finding> found(Neighbour... around) {
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 100, true, 1)), List.of(new Group("slide", List.of("x"))), List.of(around), List.of(new Site("there", "there", "", Vec3.ZERO, Vec3.X, 0, 0.3, "")));
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s).withEnclosed(false);
        Case c = PartExamples.caseOf(PartDesign.of("p1", "fan-duct", "duct", Values.START.with(Marking.HEIGHT, 0.0)).atSite("there"), PartExamples.shop(m));
        return PartExamples.findings(c).stream().filter(f -> f.id().startsWith("fans.")).toList();
    }

    @Test
    public void intakesThatFaceEachOtherWantBothHalfDiameters() {
        Finding f = found(fan("", new Vec3(-50, -20, -20), "-x")).get(0);
        assertEquals(f.severity(), Severity.LOOK);
        assertEquals(f.margin().orElseThrow().value(), 30, 1e-6, "from −40 to −10");
        assertEquals(f.margin().orElseThrow().limit(), (38 + 40) / 2.0, 1.01, "a fan of 40 draws through about 38");
        assertEquals(found(fan("", new Vec3(-70, -20, -20), "-x")).get(0).severity(), Severity.FINE, "50 mm are enough");
    }

    private static Case facing(double apartMm) {
        Surroundings s = new Surroundings(List.of(), List.of(), List.of(), List.of(new Site("there", "there", "", Vec3.ZERO, Vec3.X, 0, 0.3, ""), new Site("opposite", "opposite", "", Vec3.X.times(-apartMm - 20), Vec3.X.times(-1), 0, 0.3, "")));
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s).withEnclosed(false);
        PartDesign duct = PartDesign.of("p1", "fan-duct", "duct", Values.START.with(Marking.HEIGHT, 0.0)).atSite("there");
        return Case.of(PartExamples.upgrade(duct, duct.withId("p2").withName("other duct").atSite("opposite")), "p1", PartExamples.shop(m), "");
    }

    /** Another part of the upgrade has a fan too: both are 10 thick and draw from the gap between them, and what stands there is before an intake as any neighbour is. */
    @Test
    public void fansOfOtherPartsOfTheUpgradeCount() {
        Finding f = PartExamples.findings(facing(30)).stream().filter(x -> x.id().startsWith("fans.") && x.what().contains("other duct")).findFirst().orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        assertEquals(f.margin().orElseThrow().value(), 30, 1e-6);
        assertEquals(PartExamples.findings(facing(60)).stream().filter(x -> x.id().startsWith("fans.") && x.what().contains("other duct")).findFirst().orElseThrow().severity(), Severity.FINE);
        // Through the other's fan one looks as far as its duct bends.
        IntakeFact.Free free = new FactsOnce(facing(8)).get(IntakeFact.INTAKES).get(0);
        assertEquals(free.of(), "other duct");
        assertTrue(free.mm() >= 8 && free.mm() < 60, "the other stands before it: " + free.mm());
    }

    @Test
    public void onlyThoseThatLookAtEachOtherAreAsked() {
        assertTrue(found(fan("", new Vec3(-50, 60, -20), "-x")).isEmpty(), "it stands beside");
        assertTrue(found(fan("", new Vec3(-50, -20, -20), "x")).isEmpty(), "it blows towards it: no wall, no rival");
        assertTrue(found(fan("", new Vec3(-50, -20, -20), "y")).isEmpty(), "it looks across");
        assertTrue(found(fan("", new Vec3(-50, -20, -20), "")).isEmpty(), "a box is no fan");
        assertTrue(Stream.of("x", "-x", "y", "").map(w -> fan("", Vec3.ZERO, w).blows().isPresent()).toList().equals(List.of(true, true, true, false)));
    }

    @Test
    public void whereAxesAreAtHomeCounts() {
        // Home of x is 100: with all axes at zero it would stand 100 mm nearer.
        Finding f = found(fan("slide", new Vec3(-150, -20, -20), "-x")).get(0);
        assertEquals(f.margin().orElseThrow().value(), 30, 1e-6);
    }
}
