package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.findings;
import static tinperch.part.PartExamples.meshes;
import static tinperch.part.PartExamples.usual;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.bind.Binding;
import tinperch.part.family.BlowerDuct;
import tinperch.part.family.FanDuct;
import tinperch.part.form.AirPath;
import tinperch.part.form.PartForm;
import tinperch.part.form.Screw;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** The radial fan's duct: its socket and section by hand, its ring, and what all ducts share: aiming and the bracket with slots. */
public class BlowerDuctTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);

    private static PartForm form(Case c) {
        FormFact.Answer a = new FactsOnce(c).get(FormFact.FORM);
        return a.form().orElseThrow(() -> new AssertionError(a.problem()));
    }

    /** A straight duct of one section: a socket of 19.8 × 15 with 0.1 of play and 0.2 for the printer, a ledge of 0.9, a tube of 18.3 × 13.5. */
    @Test
    public void aStraightOneHasTheVolumeOfItsSections() {
        Values v = PLAIN.with(BlowerDuct.OUTLETS.offset, 0.0).with(BlowerDuct.OUTLETS.tilt, 0.0).with(BlowerDuct.OUTLETS.width, 18.3).with(BlowerDuct.OUTLETS.height, 13.5).with(BlowerDuct.OUTLETS.length, 40.0);
        Mesh m = meshes(usual("blower-duct", v)).get(0);
        assertEquals(m.openEdges(), 0);
        double socket = 24.1 * 19.3 * 9.5 - 20.1 * 15.3 * 8 - 18.3 * 13.5 * 1.5;
        double tube = (21.5 * 16.7 - 18.3 * 13.5) * 40;
        assertEquals(m.volumeMm3(), socket + tube, 0.5);
        Rays r = new Rays(TriangleTree.of(m));
        assertTrue(r.hits(new Vec3(0.3, 0.2, -5), Vec3.Z).isEmpty(), "one sees through it");
        assertEquals(r.hits(new Vec3(0, 0, 4), Vec3.Y).get(0).distanceMm(), 10.05, 1e-6, "half of the outlet and its play");
    }

    @Test
    public void anotherOutletGetsAnotherSocketWithoutAStop() {
        for (String fan : List.of("blower-40", "blower-50", "blower-75")) {
            PartDesign p = usual("blower-duct", PLAIN).part().bound("fan", new Binding.Usual(fan));
            Case c = PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32));
            Values v = new BlowerDuct().starts(c.recipe().refs()).get(0);
            Case made = PartExamples.caseOf(p.with(v.with(Marking.HEIGHT, 0.0)), PartExamples.shop(60, 50, 32, 32));
            assertEquals(findings(made).stream().filter(f -> f.severity() == Severity.STOP).map(Finding::what).toList(), List.of(), fan);
            assertEquals(findings(made).stream().filter(f -> f.id().equals("air.0")).map(Finding::severity).toList(), List.of(Severity.FINE), fan);
        }
    }

    /** A ring of 30 inside with a slot of 5: π · 30 · 5 mm² of air; what stands in it is free, and the air gets all the way round. */
    @Test
    public void aRingBlowsInwardsAllRound() {
        for (String kind : List.of("fan-duct", "blower-duct")) {
            Values v = BlowerDuct.OUTLETS.ring.set(PLAIN, true).with(BlowerDuct.OUTLETS.tilt, 0.0).with(BlowerDuct.OUTLETS.offset, 0.0).with(BlowerDuct.OUTLETS.width, 20.0).with(BlowerDuct.OUTLETS.height, 12.0);
            Case c = usual(kind, v);
            AirPath air = form(c).air().get(0);
            assertEquals(air.outletMm2(), Math.PI * 30 * 5, 1e-9);
            Mesh m = meshes(c).get(0);
            assertEquals(m.openEdges(), 0);
            Rays r = new Rays(TriangleTree.of(m));
            // The tube meets it in the middle of its channel: 15 of inside, 1.6 of wall, 5 of channel.
            Vec3 middle = air.outlet().origin().plus(new Vec3(0, 0, 15 + 1.6 + 5));
            assertTrue(r.hits(middle.plus(new Vec3(-50, 0, 0)), Vec3.X).isEmpty(), "the nozzle's axis is free");
            for (int deg = 30; deg < 360; deg += 60) {
                Vec3 way = new Vec3(0, Math.sin(Math.toRadians(deg)), Math.cos(Math.toRadians(deg)));
                double wall = r.first(middle, way, 0).orElseThrow().distanceMm();
                assertTrue(wall > 15 + 1.6 + 9.7 && wall < 15 + 1.6 + 10 + 1e-6, "through the slot to the channel's far wall, " + wall);
                assertEquals(r.first(middle.plus(Vec3.X.times(4)), way, 0).orElseThrow().distanceMm(), 15, 0.05, "beside the slot its lip");
            }
            assertEquals(meshes(usual(kind, v.with(BlowerDuct.OUTLETS.width, 60.0))).get(0).openEdges(), 0, "no wider than the channel takes");
            assertTrue(new FactsOnce(usual(kind, v.with(BlowerDuct.OUTLETS.ringSlot, 12.0))).get(FormFact.FORM).problem().contains("as high as the ring's channel"));
        }
    }

    /** A site at zero that looks along x, a nozzle whose tip is at 90, 15, 20: seen from the part z is the machine's x. */
    private static Case aimed(String kind, Values v, boolean bracket) {
        Surroundings s = Surroundings.NONE.with(new Site("there", "there", "", Vec3.ZERO, Vec3.X, 0, 0.3, ""))
                .with(new Neighbour("nozzle", "nozzle", "", Neighbour.Kind.HOT, Neighbour.Form.CYLINDER, new Vec3(86, 11, 20), new Vec3(8, 8, 30), "z", 2, 250));
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s);
        PartDesign p = PartDesign.of("p1", kind, "duct", v).atSite("there").bound("aim", new Binding.OfNeighbour("nozzle"));
        return PartExamples.caseOf(bracket ? p.bound("mount", new Binding.Usual("pair-20")) : p, PartExamples.shop(m));
    }

    @Test
    public void anAimedDuctEndsAtItsDistanceFromTheTipAndLooksAtIt() {
        for (double tilt : new double[] {-30, 0, 25}) {
            for (double count : new double[] {1, 2}) {
                Case c = aimed("fan-duct", PLAIN.with(FanDuct.OUTLETS.tilt, tilt).with(FanDuct.OUTLETS.distance, 14.0).with(FanDuct.OUTLETS.count, count).with(FanDuct.OUTLETS.width, 15.0)
                        .with(FanDuct.OUTLETS.height, 24.0).with(FanDuct.OUTLETS.apart, 30.0), false);
                PartForm f = form(c);
                // As the part stands on its site: its mount meets the site's frame.
                Placement there = c.site().orElseThrow().frame().times(f.mount().orElseThrow().frame().inverse());
                Placement outlet = there.times(f.air().get(0).outlet());
                Vec3 tip = new Vec3(90, 15, 20);
                double beside = count > 1 ? 15 : 0;
                assertEquals(tip.minus(outlet.origin()).length(), Math.hypot(14, beside), 1e-9);
                assertEquals(tip.minus(outlet.origin()).unit().dot(outlet.w()), 1, 1e-9, "it looks at the tip");
                assertEquals(meshes(c).get(0).openEdges(), 0);
            }
        }
        assertTrue(new FactsOnce(aimed("fan-duct", PLAIN.with(FanDuct.OUTLETS.distance, 85.0), false)).get(FormFact.FORM).problem().contains("move the fan away"));
        PartDesign lost = PartDesign.of("p1", "fan-duct", "duct", PLAIN).bound("aim", new Binding.OfNeighbour("nozzle"));
        Finding said = PartExamples.find(PartExamples.caseOf(lost, PartExamples.shop(60, 50, 32, 32)), "known.aim");
        assertTrue((said.what() + said.why()).contains("say where the part mounts"), said.what() + said.why());
    }

    /** Two holes 20 apart in slots of 8: the tab is tall enough for both ends, and its screws stay clear of plate and socket. */
    @Test
    public void theBracketsSlotsStandUpright() {
        for (String kind : List.of("fan-duct", "blower-duct")) {
            PartDesign p = PartDesign.of("p1", kind, "duct", PLAIN.with(FanDuct.OUTLETS.offset, 20.0)).bound("mount", new Binding.Usual("pair-20"));
            Case c = PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32));
            assertEquals(meshes(c).get(0).openEdges(), 0);
            List<Screw> screws = form(c).screws().stream().filter(s -> s.row().equals("mount")).toList();
            assertEquals(screws.size(), 2);
            screws.forEach(s -> {
                assertEquals(s.slotMm(), 8.0);
                assertEquals(Math.abs(s.axis().u().z()), 1, 1e-9, "it is moved up and down");
            });
            assertEquals(findings(c).stream().filter(f -> f.severity() == Severity.STOP).map(f -> f.what() + ": " + f.why()).toList(), List.of(), kind);
        }
    }
}
