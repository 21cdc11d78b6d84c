package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.HeatFact;
import tinperch.heat.HeatMap;
import tinperch.machine.AirAround;
import tinperch.machine.Machine;
import tinperch.machine.book.SettingChange;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.trial.Channel;
import tinperch.trial.Kept;
import tinperch.trial.Run;
import tinperch.trial.SpotAt;
import tinperch.judge.Assessment;
import tinperch.judge.Prover;
import tinperch.solid.kernel.Hands;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;
import java.util.function.UnaryOperator;

/** Parts near what is hot: bands against limits, what cures them, what a logged spot changes. */
public class HeatCheckTest {
    private static Neighbour block(double gapMm, double tempC) {
        return new Neighbour("block", "hot block", "carriage", Neighbour.Kind.HOT, Neighbour.Form.BOX, new Vec3(-10, reach() + gapMm, -10), new Vec3(20, 12, 20), "z", 0.1, tempC);
    }

    /** How far the part reaches from its site. */
    private static double reach() {
        Case c = on("PLA", m -> m);
        return new FactsOnce(c).get(tinperch.fact.MeshesFact.BARE).pieces().get(0).mesh().placed(tinperch.fact.RestFact.inMachine(c, new FactsOnce(c)).orElseThrow().times(
                new FactsOnce(c).get(tinperch.fact.MeshesFact.BARE).pieces().get(0).piece().place())).bounds().max().y();
    }

    private static Case on(String material, UnaryOperator<Machine> with, Neighbour... around) {
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 200, false, 1)), List.of(new Group("carriage", List.of("x"))), List.of(around), List.of(new Site("s", "front", "carriage", Vec3.ZERO, Vec3.Y, 0, 0.3, "")));
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        Case plain = PartExamples.caseOf(PartDesign.of("p1", "soft-foot", "Foot", Values.START).atSite("s").withMaterial(material), shop);
        List<Machine> all = new ArrayList<>(shop.machines());
        all.replaceAll(m -> m.id().equals(plain.machine().id()) ? with.apply(m.withSurroundings(s)) : m);
        return PartExamples.caseOf(plain.part(), new Shop(all, shop.hardware(), shop.drawer(), shop.models()));
    }

    private static Finding heat(Case c) {
        return PartExamples.findings(c).stream().filter(f -> f.id().startsWith("heat")).findFirst().orElseThrow();
    }

    /** Common practice: under a millimetre softens anything; at several millimetres of bare block PLA is in danger and a plastic for heat is not. */
    @Test
    public void gapsAndMaterialsDecide() {
        assertEquals(heat(on("PETG", m -> m, block(0.8, 240))).severity(), Severity.STOP);
        assertEquals(heat(on("PLA", m -> m, block(3, 240))).severity(), Severity.STOP);
        assertEquals(heat(on("PLA", m -> m, block(60, 240))).severity(), Severity.FINE);
        Finding near = heat(on("PETG", m -> m, block(7, 240)));
        assertEquals(near.severity(), Severity.LOOK);
        assertEquals(near.settle().orElseThrow().by(), Settle.By.LOG);
        assertTrue(near.why().contains("7 mm of air to hot block at 240 °C, bare"), near.why());
        assertEquals(heat(on("PC", m -> m, block(7, 240))).severity(), Severity.FINE);
    }

    @Test
    public void aSockIsTriedAndHelps() {
        Finding f = heat(on("PLA", m -> m, block(5, 240)));
        Remedy sock = f.remedies().stream().filter(r -> r.label().startsWith("put a sock")).findFirst().orElseThrow();
        Case c = on("PLA", m -> m, block(5, 240));
        Case after = c.after(tinperch.upgrade.Change.all(c.draft(), sock.changes()));
        Finding then = heat(after);
        assertTrue(then.margin().orElseThrow().value() < f.margin().orElseThrow().value() - 10, f.what() + " then " + then.what());
        assertTrue(then.why().contains("under a sock"), then.why());
    }

    /** What looks at the block is drawn back by its own number, as far as the limit wants. */
    @Test
    public void aFaceThatLooksAtTheBlockIsDrawnBack() {
        Case c = on("PETG", m -> m, block(7, 240));
        Finding f = heat(c);
        Remedy lower = f.remedies().stream().filter(r -> r.label().startsWith("height")).findFirst().orElseThrow(() -> new AssertionError(f.remedies().toString()));
        Prover.Tried tried = Prover.all(c, new Assessment(List.of(f.with(List.of(lower))), List.of()), FactsOnce::new, Hands.ONE).get(f.with(List.of(lower))).get(0);
        Finding then = tried.after().findings().stream().filter(x -> x.id().equals(f.id())).findFirst().orElseThrow();
        assertEquals(then.severity(), Severity.FINE, tried.remedy().label() + ": " + then.what());
        assertEquals(tried.remedy().leaves(), "then: M3×16 is 3.5 mm too long", "a lower foot leaves its screw too long, and says so");
    }

    /** A foot screwed to a heated plate: its screws lead heat into it, which one that ends in cold metal does not. */
    @Test
    public void aScrewInSomethingHotLeadsItsHeatIn() {
        double hot = heat(on("PETG", m -> m, plate(90))).margin().orElseThrow().value();
        Finding f = heat(on("PETG", m -> m, plate(90)));
        assertTrue(f.why().contains("2 screws lead heat into it"), f.why());
        FactsOnce facts = new FactsOnce(on("PETG", m -> m, plate(90)));
        HeatFact.Warm w = facts.get(HeatFact.HEAT).orElseThrow().pieces().get(0);
        assertEquals(w.screws(), 2);
        assertTrue(hot > 40, f.what());
        // A sock over the plate does not cool what is screwed into it: the screws still lead 90 °C in.
        FactsOnce socked = new FactsOnce(on("PETG", m -> m, plate(90).socked(true)));
        assertEquals(socked.get(HeatFact.HEAT).orElseThrow().pieces().get(0).screws(), 2);
        assertFalse(heat(on("PLA", m -> m, block(5, 240))).why().contains("screw"), "the block is on the other side");
    }

    private static Neighbour plate(double tempC) {
        return new Neighbour("bed", "heated plate", "carriage", Neighbour.Kind.HOT, Neighbour.Form.BOX, new Vec3(-60, -6, -60), new Vec3(120, 6, 120), "z", 0.1, tempC);
    }

    @Test
    public void whereNothingHotIsDrawnItIsAsked() {
        Finding f = heat(on("PLA", m -> m));
        assertEquals(f.severity(), Severity.CANT_TELL);
        assertEquals(f.settle().orElseThrow().by(), Settle.By.NEIGHBOURS);
        Finding far = heat(on("PLA", m -> m, block(200, 240)));
        assertEquals(far.severity(), Severity.FINE);
        assertTrue(far.why().startsWith("200 mm"), far.why());
    }

    private static Run run(Case c, double spotC, double gapMm, boolean sock, boolean blown, boolean simulated) {
        HeatFact.Warm w = new FactsOnce(c).get(HeatFact.HEAT).orElseThrow().pieces().get(0);
        Vec3 at = w.place().local(w.map().hottest().middle());
        Channel spot = Channel.named("c0", "Lower edge").withKind(Channel.Kind.SPOT).of(c.upgrade().id() + "/p1", "R1").at(new SpotAt(w.piece().id(), at, gapMm, "block", sock, blown)).keeping(new Kept(spotC, true, spotC, 0.3));
        return new Run("r", "Evening run", LocalDateTime.of(2026, 11, 2, 19, 0), 7200, List.of(spot, Channel.named("c1", "Hot end").keeping(new Kept(231, true, 230, 0.2)), Channel.named("c2", "Room").keeping(new Kept(21, true, 20, 0.2))),
                "logger", simulated, "");
    }

    /** One logged spot brings the face it is on to within 4 K, for its gap and cover only, and never when nothing real stood behind it. */
    @Test
    public void aLoggedSpotCorrectsTheEstimateForItsGapOnly() {
        Case plain = on("PETG", m -> m, block(7, 240));
        HeatMap.Patch top = new FactsOnce(plain).get(HeatFact.HEAT).orElseThrow().pieces().get(0).map().hottest();
        double share = (top.tempC() - 25) / (240 - 25);
        double estimated = 20 + share * (230 - 20);
        double logged = 20 + 0.8 * (estimated - 20);
        Finding f = heat(on("PETG", m -> m.with(run(plain, logged, top.gapMm(), false, false, false)), block(7, 240)));
        assertEquals(f.margin().orElseThrow().value(), 25 + 0.8 * (top.tempC() - 25), 0.2);
        assertTrue(f.what().contains("± 4 °C"), f.what());
        assertTrue(f.why().contains("less: the estimate follows it, for this gap only"), f.why());
        double raw = heat(plain).margin().orElseThrow().value();
        for (Run other : List.of(run(plain, logged, top.gapMm() + 1, false, false, false), run(plain, logged, top.gapMm(), true, false, false), run(plain, logged, top.gapMm(), false, true, false), run(plain, logged, top.gapMm(), false, false, true))) {
            assertEquals(heat(on("PETG", m -> m.with(other), block(7, 240))).margin().orElseThrow().value(), raw, 1e-9);
        }
    }

    private static Machine chamber(Machine m, double tempC) {
        return m.withBook(m.book().set(new SettingChange("s1", AirAround.CHAMBER, tempC, "", LocalDate.of(2026, 1, 1), "", "")));
    }

    /** A bath of air of 70 °C: PETG is said to stand it and PLA not (common practice); ten kelvin below the glass transition are wanted where nothing pulls. */
    @Test
    public void theAirInsideCountsForEveryPart() {
        Finding pla = PartExamples.find(on("PLA", m -> chamber(m, 70)), "chamber");
        assertEquals(pla.severity(), Severity.STOP);
        assertEquals(pla.margin().orElseThrow().limit(), 50.0);
        assertEquals(PartExamples.find(on("ABS", m -> chamber(m, 70)), "chamber").severity(), Severity.FINE);
        assertEquals(PartExamples.find(on("PETG", m -> chamber(m, 70)), "chamber").severity(), Severity.FINE, "nothing pulls on it");
        assertEquals(PartExamples.find(on("PETG", m -> chamber(m, 72)), "chamber").severity(), Severity.LOOK);
        Finding closed = PartExamples.find(on("PETG", m -> m.withEnclosed(true)), "chamber");
        assertEquals(closed.settle().orElseThrow().by(), Settle.By.BOOK);
        assertTrue(PartExamples.findings(on("PLA", m -> m.withEnclosed(false))).stream().noneMatch(f -> f.id().equals("chamber")), "an open machine in a room");
        assertEquals(heat(on("PLA", m -> chamber(m, 45), block(200, 240))).severity(), Severity.FINE);
    }
}
