package tinperch.upgrade;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotSame;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.check.Change;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.Word;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.model.Model;
import tinperch.machine.model.ModelCheck;
import tinperch.measure.HolePair;
import tinperch.measure.MeasuredPatternTest;
import tinperch.measure.PatternSheet;
import tinperch.measure.Reading;
import tinperch.part.Base;
import tinperch.part.CarriageExamples;
import tinperch.part.Bases;
import tinperch.part.PartDesign;
import tinperch.part.Values;
import tinperch.part.family.FittedModel;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

public class AssessorTest {
    private static final Shop SHOP = new Shop(List.of(
            new Machine("m", "Mill Lane", Machine.Kind.CUBE, "", new Machine.Space(200, 200, 200), 0.4, true, 24, 0.2,
                    List.of("PLA", "PETG"), Machine.State.IN_PIECES, "open", Book.EMPTY),
            new Machine("n", "Nook", Machine.Kind.CUBE, "", new Machine.Space(200, 200, 200), 0.4, true, 24, 0.2,
                    List.of("PLA", "PETG"), Machine.State.FIT, "", Book.EMPTY)),
            HardwareTables.STANDARD, new ScrewDrawer(Map.of("M3", List.of(8d, 12d, 16d, 20d))), Bases.NONE);

    private static PatternSheet sheet(double w, double h, HolePair... pairs) {
        return MeasuredPatternTest.exact(new double[] {0, 0, w, 0, w, h, 0, h}, 3.3, pairs);
    }

    private static Upgrade upgrade(Values v) {
        return new Upgrade("u", "m", "Carriage", LocalDate.of(2026, 1, 5), Trouble.NONE,
                Map.of("mount", sheet(60, 50, HolePair.values()), "tool", sheet(32, 32, HolePair.values())),
                Optional.of(new PartDesign("tool-carriage-plate", "Carriage plate", v, "PETG")), "m");
    }

    @Test
    public void anUpgradeWithoutAPartHasNothingToJudge() {
        Upgrade bare = new Upgrade("u", "m", "x", LocalDate.EPOCH, Trouble.NONE, Map.of(), Optional.empty(), "m");
        assertTrue(Assessor.assess(bare, SHOP, "R1").findings().isEmpty());
    }

    @Test
    public void threeKindsOfCheckSpeak() {
        List<Finding> f = Assessor.assess(upgrade(CarriageExamples.values()), SHOP, "R1").findings();
        assertTrue(f.stream().anyMatch(x -> x.id().startsWith("screw.")));
        assertTrue(f.stream().anyMatch(x -> x.id().startsWith("wall.")));
        assertTrue(f.stream().anyMatch(x -> x.id().startsWith("bed.")));
        for (int i = 1; i < f.size(); i++) {
            assertTrue(f.get(i - 1).word().compareTo(f.get(i).word()) <= 0, "Stop before Look before Fine");
        }
    }

    @Test
    public void aRemedyMakesANewUpgradeAndTurnsTheMarginFine() {
        Upgrade u = upgrade(CarriageExamples.values().with("mount.length", 12));
        Finding stop = Assessor.assess(u, SHOP, "R1").findings().stream().filter(f -> f.id().equals("screw.mount"))
                .findFirst().orElseThrow();
        Upgrade cured = Assessor.apply(u, stop.remedies().get(0));
        assertNotSame(cured, u);
        assertEquals(u.part().orElseThrow().values().number("mount.length"), 12.0, "the old one stays as it was");
        assertEquals(word(cured, "screw.mount"), Word.FINE);
        assertEquals(word(Assessor.apply(u, Remedy.of("", new Change.Host("n"))), "bed.n"), Word.FINE);
        Upgrade seat = Assessor.apply(u, Remedy.of("", new Change.Choice("mount.seat", "captive nut")));
        assertEquals(seat.part().orElseThrow().values().choice("mount.seat"), "captive nut");
    }

    private static Word word(Upgrade u, String id) {
        return Assessor.assess(u, SHOP, "R1").findings().stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow().word();
    }

    @Test
    public void whatCannotBeBuiltIsOneStopWithTheReason() {
        Assessment a = Assessor.assess(upgrade(CarriageExamples.values().with("plate.width", 40)), SHOP, "R1");
        assertTrue(a.form().isEmpty());
        assertEquals(a.findings().size(), 1);
        assertEquals(a.findings().get(0).word(), Word.STOP);
        assertTrue(a.findings().get(0).why().contains("plate's edge"));
    }

    @Test
    public void aFamilyFromAnotherVersionIsSaidSo() {
        Upgrade u = upgrade(CarriageExamples.values());
        Upgrade strange = u.with(new PartDesign("moon-base", "x", u.part().orElseThrow().values(), "PLA"));
        assertTrue(Assessor.assess(strange, SHOP, "R1").findings().get(0).why().contains("newer version"));
    }

    @Test
    public void anUnreadDiagonalIsPointedAt() {
        Upgrade u = upgrade(CarriageExamples.values()).with("tool", sheet(32, 32, HolePair.AB, HolePair.AD));
        assertTrue(Assessor.assess(u, SHOP, "R1").findings().stream().anyMatch(f -> f.id().equals("pattern.square")
                && f.word() == Word.LOOK));
        assertFalse(Assessor.assess(upgrade(CarriageExamples.values()), SHOP, "R1").findings().stream()
                .anyMatch(f -> f.id().equals("pattern.square")));
    }

    @Test
    public void thePartFollowsWhatIsMeasured() {
        Upgrade u = upgrade(CarriageExamples.values());
        Upgrade wider = u.with("mount", sheet(64, 50, HolePair.values()));
        double before = Assessor.form(u, SHOP, "").dimensions().get(2).to().minus(
                Assessor.form(u, SHOP, "").dimensions().get(2).from()).length();
        double after = Assessor.form(wider, SHOP, "").dimensions().get(2).to().minus(
                Assessor.form(wider, SHOP, "").dimensions().get(2).from()).length();
        assertEquals(before, 60, 1e-3);
        assertEquals(after, 64, 1e-3);
    }

    @Test
    public void differencesAreSaidInTheOwnersWords() {
        Upgrade a = upgrade(CarriageExamples.values());
        Upgrade b = a.with(a.part().orElseThrow().with(a.part().get().values().with("plate.thickness", 9.5)
                .with("tool.seat", "captive nut")).withMaterial("PLA"));
        assertEquals(Differences.between(a, b).stream().map(Object::toString).toList(), List.of("Material PETG → PLA",
                "Plate thickness 8 mm → 9.5 mm", "tool side: screws go into heat-set insert → captive nut"));
        assertTrue(Differences.between(a, a).isEmpty());
        Upgrade read = a.with("tool", sheet(33, 32, HolePair.AB, HolePair.AD));
        assertEquals(Differences.between(a, read).get(0).toString(), "Readings of pattern 12 readings → 4 readings");
    }

    @Test
    public void aPartKeptBeforeAParameterExistedStillOpens() {
        Upgrade u = upgrade(CarriageExamples.values());
        Map<String, Double> fewer = new java.util.TreeMap<>(u.part().orElseThrow().values().numbers());
        fewer.remove("opening.diameter");
        Upgrade old = u.with(u.part().get().with(new Values(fewer, u.part().get().values().choices())));
        assertTrue(Assessor.assess(old, SHOP, "R1").form().isPresent());
    }

    @Test
    public void revisionsCarryTheirMark() {
        Revision r = new Revision("u", 4, java.time.LocalDateTime.of(2026, 1, 1, 8, 0), "why", upgrade(CarriageExamples.values()),
                Revision.Life.NEW);
        assertEquals(r.mark(), "R4");
        assertEquals(r.with(new Revision.Life(10, Revision.End.FAILED, "crack")).life().hours(), 10.0);
        assertEquals(r.life().end().label(), "Not fitted yet");
    }

    @Test
    public void aPartIsNoBetterThanTheModelItIsMadeFrom() {
        Leaf slab = Leaf.extrusion("slab", Profile.rectangle(0, 0, 30, 20), Placement.HERE, 0, 5);
        Model model = new Model("k", "clip", "mesh", 1, 12, new Vec3(30, 20, 5), "", List.of(
                new ModelCheck("a", "length along x", 30, List.of()), new ModelCheck("b", "length along y", 20, List.of())));
        assertEquals(base(model, slab).orElseThrow().word(), Word.LOOK, "not read yet");
        Model true2 = model.with(model.checks().get(0).with(List.of(read(30.05)))).with(model.checks().get(1).with(List.of(read(19.95))));
        assertTrue(base(true2, slab).isEmpty());
        Model wrong = true2.with(true2.checks().get(1).with(List.of(read(24))));
        assertEquals(base(wrong, slab).orElseThrow().word(), Word.STOP);
    }

    @Test
    public void aLostModelLeavesASentence() {
        Upgrade u = made();
        Assessment a = Assessor.assess(u, SHOP, "R1");
        assertTrue(a.form().isEmpty());
        assertTrue(a.findings().get(0).why().contains("bring it in again"), a.findings().get(0).why());
    }

    private static Upgrade made() {
        return new Upgrade("u", "m", "Clip", LocalDate.of(2026, 1, 5), Trouble.NONE, Map.of(),
                Optional.of(new PartDesign("fitted-model", "Clip", new FittedModel().start(), "PETG", "k")), "n");
    }

    private static Reading read(double mm) {
        return new Reading(mm, Instant.EPOCH, "");
    }

    private static Optional<Finding> base(Model model, Leaf body) {
        List<Machine> machines = SHOP.machines().stream().map(m -> m.id().equals("m") ? m.with(model) : m).toList();
        Shop shop = new Shop(machines, SHOP.hardware(), SHOP.drawer(), id -> Base.of("clip", SolidKernel.evaluate(body, Tolerances.USUAL)));
        Assessment a = Assessor.assess(made(), shop, "R1");
        assertTrue(a.form().isPresent());
        return a.findings().stream().filter(f -> f.id().equals("base")).findFirst();
    }

    /** From a damaged file or a newer version. */
    @Test
    public void unknownWordsAreSaidAndTheRestIsKept() {
        Leaf slab = Leaf.extrusion("slab", Profile.rectangle(0, 0, 30, 20), Placement.HERE, 0, 5);
        Shop shop = new Shop(SHOP.machines(), SHOP.hardware(), SHOP.drawer(), id -> Base.of("clip", SolidKernel.evaluate(slab, Tolerances.USUAL)));
        for (String key : List.of("base.down", "holes.for", "holes.fit")) {
            Upgrade u = made();
            Upgrade strange = u.with(u.part().orElseThrow().with(u.part().get().values().with(key, "sideways")));
            Assessment a = Assessor.assess(strange, shop, "R1");
            assertTrue(a.form().isEmpty());
            assertTrue(a.findings().get(0).why().contains("“sideways”, which this version does not know"), a.findings().get(0).why());
        }
        assertTrue(Assessor.assess(made(), shop, "R1").form().isPresent());
    }
}
