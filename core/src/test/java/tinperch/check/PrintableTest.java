package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.ThinFact;
import tinperch.judge.Judge;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.family.EdgeClip;
import tinperch.part.family.FanDuct;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** What the printer cannot lay, and heads nobody gets to. */
public class PrintableTest {
    /** A hose adapter is skins all round: as thick as its wall number says. */
    private static Case adapter(double wallMm, double nozzleMm) {
        Case plain = PartExamples.usual("hose-adapter", Values.START);
        NumberParam wall = (NumberParam) plain.family().orElseThrow().params().stream().filter(p -> p instanceof NumberParam n && n.label().toLowerCase().contains("wall")).findFirst().orElseThrow();
        Values v = Values.START.with(wall, wallMm);
        Case c = PartExamples.usual("hose-adapter", v);
        List<Machine> all = new ArrayList<>(c.printers());
        all.replaceAll(m -> m.id().equals(c.upgrade().hostMachineId()) ? m.withNozzle(nozzleMm) : m);
        return Case.of(c.upgrade(), c.part().id(), new Shop(all, c.hardware(), c.drawer(), c.models()), "");
    }

    @Test
    public void aWallThinnerThanTheNozzleVanishes() {
        Case thin = adapter(1.0, 1.2);
        ThinFact.Thin found = new FactsOnce(thin).get(ThinFact.THIN).stream().filter(t -> t.widthMm().isPresent()).findFirst().orElseThrow();
        assertEquals(found.widthMm().orElseThrow(), 1.0, 0.12, "it is as thick as its number says");
        Finding f = PartExamples.find(thin, "thin." + found.piece().id());
        assertEquals(f.severity(), Severity.STOP);
        assertEquals(f.margin().orElseThrow().limit(), 1.2);
        assertTrue(f.why().contains("nozzle of 1.2 mm"), f.why());
        assertTrue(PartExamples.findings(adapter(1.0, 0.8)).stream().noneMatch(x -> x.id().startsWith("thin")), "a finer nozzle lays it");
        assertTrue(PartExamples.findings(adapter(2.4, 1.2)).stream().noneMatch(x -> x.id().startsWith("thin")), "thicker it is laid");
    }

    /** Common practice: parts of these kinds are made to print without support; what hangs is named with its feature. */
    @Test
    public void whatHangsInTheAirIsNamed() {
        for (String family : List.of("hose-adapter", "fan-bracket", "corner-bracket")) {
            assertTrue(PartExamples.findings(PartExamples.usual(family, Values.START)).stream().noneMatch(f -> f.id().startsWith("overhang")), family);
        }
        Values leaning = Values.START.with(FanDuct.OUTLETS.offset, 40.0).with(FanDuct.OUTLETS.tilt, 0.0).with(FanDuct.OUTLETS.length, 60.0);
        Finding air = PartExamples.find(PartExamples.usual("fan-duct", leaning), "overhang.part");
        assertEquals(air.severity(), Severity.LOOK);
        assertTrue(air.what().matches("\\d+ mm² of the duct hang in the air") && air.why().contains("its air, leaning out by 5"), air.what() + air.why());
        assertTrue(PartExamples.findings(PartExamples.usual("fan-duct", leaning.with(FanDuct.OUTLETS.offset, 0.0))).stream().noneMatch(f -> f.id().startsWith("overhang")), "an upright one prints");
        Finding bridge = PartExamples.find(PartExamples.usual("edge-clip", Values.START.with(EdgeClip.LIFT, 30.0)), "overhang.part");
        assertTrue(bridge.what().startsWith("A bridge of 41 mm"), bridge.what());
        assertEquals(bridge.margin().orElseThrow().limit(), 30.0);
    }

    private static Case foot(Neighbour... around) {
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 200, false, 1)), List.of(new Group("carriage", List.of("x"))), List.of(around), List.of(new Site("s", "front", "carriage", Vec3.ZERO, Vec3.Y, 0, 0.3, "")));
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        Case plain = PartExamples.caseOf(PartDesign.of("p1", "soft-foot", "Foot", Values.START).atSite("s"), shop);
        return PartExamples.caseOf(plain.part(), new Shop(shop.machines().stream().map(m -> m.id().equals(plain.machine().id()) ? m.withSurroundings(s) : m).toList(), shop.hardware(), shop.drawer(), shop.models()));
    }

    private static Neighbour wall(String group, double fromY) {
        return new Neighbour("wall", "wall", group, Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(-60, fromY, -60), new Vec3(120, 5, 120), "z", 0, 0);
    }

    /** What is only to be looked at has another layout as a remedy, where that clears it and nothing gets worse: here heads on the other side. */
    @Test
    public void anotherLayoutFreesHeadsOnlyAShortKeyGetsTo() {
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        Surroundings s = foot(wall("carriage", 72)).machine().surroundings();
        Shop with = new Shop(shop.machines().stream().map(m -> m.id().equals("upgraded") ? m.withSurroundings(s) : m).toList(), shop.hardware(), shop.drawer(), shop.models());
        Case c = PartExamples.caseOf(PartExamples.plate(PartExamples.values()).atSite("s"), with);
        Finding f = Judge.thorough(c).findings().stream().filter(x -> x.id().startsWith("access.mount")).findFirst().orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        Remedy way = f.remedies().stream().filter(r -> r.label().startsWith("heads on the machine's side")).findFirst().orElseThrow(() -> new AssertionError(f + ""));
        Case after = c.after(Change.all(c.draft(), way.changes()));
        assertTrue(PartExamples.findings(after).stream().noneMatch(x -> x.id().equals(f.id()) && x.severity() != Severity.FINE));
    }

    /** Its heads look away from the machine: a wall near before them, moving with it, leaves no way; one that the axis leaves behind does. */
    @Test
    public void headsNobodyGetsToAreSaid() {
        List<Finding> free = PartExamples.findings(foot()).stream().filter(f -> f.id().startsWith("access")).toList();
        assertTrue(free.isEmpty(), free.toString());
        Finding none = PartExamples.findings(foot(wall("carriage", 20))).stream().filter(f -> f.id().startsWith("access")).findFirst().orElseThrow();
        assertEquals(none.severity(), Severity.STOP);
        assertTrue(none.what().contains("wall stands before them"), none.what());
        Finding key = PartExamples.findings(foot(wall("carriage", 60))).stream().filter(f -> f.id().startsWith("access")).findFirst().orElseThrow();
        assertEquals(key.severity(), Severity.LOOK);
        assertEquals(key.margin().orElseThrow().limit(), 70.0);
        assertTrue(key.what().startsWith("Only a short key"), "with nothing beside it, it turns: " + key.what());
        double nearer = PartExamples.findings(foot(wall("carriage", 55))).stream().filter(f -> f.id().startsWith("access")).findFirst().orElseThrow().margin().orElseThrow().value();
        assertEquals(key.margin().orElseThrow().value() - nearer, 5, 0.2, "measured to the wall");
        assertTrue(PartExamples.findings(foot(wall("", 20))).stream().noneMatch(f -> f.id().startsWith("access")), "driven 200 mm along x it is free");
    }
}
