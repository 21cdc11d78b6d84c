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
import tinperch.part.feature.Anchor;
import tinperch.part.feature.FaceFrame;
import tinperch.part.feature.Feature;
import tinperch.part.feature.kind.PadFeature;
import tinperch.part.form.Keyway;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
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

    /** What a neighbour is to a key another part of the same upgrade is too: a plate 10 mm above a set screw's mouth. */
    @Test
    public void anotherPartOfTheUpgradeStandsBeforeItToo() {
        Keyway k = new FactsOnce(end()).get(FormFact.FORM).form().orElseThrow().keyways().get(0);
        Surroundings s = end().machine().surroundings();
        Vec3 above = k.at().origin().plus(Vec3.Z.times(10));
        Machine m = end().machine().with(PartExamples.holes("mount", 60, 50)).with(PartExamples.holes("tool", 32, 32))
                .withSurroundings(new Surroundings(s.axes(), s.groups(), s.neighbours(), List.of(s.sites().get(0), new Site("above", "above", "", above, Vec3.Z, 0, 0.3, ""))));
        PartDesign plate = PartExamples.plate(PartExamples.values()).withId("p2").atSite("above");
        Case c = Case.of(PartExamples.upgrade(end().part(), plate), "p1", PartExamples.shop(m), "");
        Finding f = PartExamples.find(c, "key.0");
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.what().endsWith("Carriage plate stands before it"), f.what());
        assertEquals(f.margin().orElseThrow().value(), 10 - 0.3, 0.15, "from a little over its mouth");
    }

    /** A pad of the part's own over a set screw: a hole of the key's width and two millimetres lets a driver straight in; it is a feature like any other. */
    @Test
    public void whatThePartItselfShutsInGetsAHoleForTheKey() {
        Case open = end();
        Keyway k = new FactsOnce(open).get(FormFact.FORM).form().orElseThrow().keyways().get(0);
        Mesh m = PartExamples.mesh(open);
        Rays.Hit under = new Rays(TriangleTree.of(m)).first(k.at().point(5, 0, 5), k.at().w().times(-1), 0).orElseThrow();
        Mesh.Face face = m.faces().get(m.faceOf(under.triangle()));
        Anchor middle = Anchor.middle("part", face.feature(), face.normal());
        Vec3 at = FaceFrame.of(new FactsOnce(open).get(FormFact.FORM).form().orElseThrow().pieces().get(0).solid(), middle).orElseThrow().frame().local(k.at().origin());
        Feature pad = new Feature("f1", "pad", "Pad", middle.at(at.x(), at.y()), Values.START.with(PadFeature.LENGTH, 9.0).with(PadFeature.WIDTH, 9.0).with(PadFeature.HEIGHT, 4.0), false);
        Case shut = open.after(Change.all(open.draft(), List.of(new Change.PutFeature(pad))));
        Finding f = PartExamples.find(shut, "key.0");
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.what().startsWith("No way for a key"), f.what());
        Remedy hole = f.remedies().get(0);
        assertEquals(hole.label(), "a hole of 3.5 mm for the key", "M3 set screws take a key of 1.5 (ISO 4026, value from memory)");
        Case cured = shut.after(Change.all(shut.draft(), hole.changes()));
        assertEquals(PartExamples.find(cured, "key.0").severity(), Severity.FINE);
        double cut = PartExamples.mesh(shut).volumeMm3() - PartExamples.mesh(cured).volumeMm3();
        assertEquals(cut, Math.PI * 3.5 * 3.5 / 4 * 4, 2, "through the pad and no farther");
        assertTrue(keys(end(roof("", mouth() + 10))).stream().allMatch(x -> x.remedies().isEmpty()), "no hole of the part's helps against a roof of the machine's");
    }

    @Test
    public void whatAnAxisTakesAwayIsInNobodysWay() {
        keys(end(roof("slide", mouth() + 10))).forEach(f -> assertEquals(f.severity(), Severity.FINE, "300 mm along x it is free: " + f.what()));
    }
}
