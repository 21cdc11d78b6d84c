package tinperch.upgrade;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.caseOf;
import static tinperch.part.PartExamples.find;
import static tinperch.part.PartExamples.holes;
import static tinperch.part.PartExamples.machine;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.plateCase;
import static tinperch.part.PartExamples.shop;
import static tinperch.part.PartExamples.upgrade;
import static tinperch.part.PartExamples.values;
import static tinperch.part.family.ToolCarriagePlate.CARRIED;
import static tinperch.part.family.ToolCarriagePlate.THICKNESS;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FormFact;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.fact.WallsFact;
import tinperch.fact.SeatsFact;
import tinperch.fact.OverlapsFact;
import tinperch.fact.MeshesFact;
import tinperch.fact.FactsOnce;
import tinperch.fact.Fact;
import tinperch.machine.Machine;
import tinperch.measure.HolePair;
import tinperch.measure.Reading;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetKind;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.HoseRef;
import tinperch.part.bind.Known;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Values;

/** Bindings resolved, cases compared, what is gone or unknown said. */
public class CaseTest {
    @Test
    public void aUsualSizeIsSaidToBeOneUntilItIsMeasured() {
        Case usual = PartExamples.usual("hose-adapter", Values.START);
        assertEquals(find(usual, "known.hose").severity(), Severity.LOOK);
        assertTrue(find(usual, "known.hose").why().contains("not measured"));
        assertEquals(usual.recipe().refs().byRole().get("hose").known().how(), Known.How.USUAL);
    }

    private static Sheet hose(double... inner) {
        Sheet s = Sheet.empty("h", SheetKind.of("hose").orElseThrow());
        return s.with("inner", java.util.Arrays.stream(inner).mapToObj(v -> new Reading(v, java.time.Instant.EPOCH, "")).toList());
    }

    @Test
    public void aReadingTakesThePlaceOfAUsualSizeCellByCell() {
        Machine m = machine("upgraded", 200, 200, 200, Machine.State.FIT, "PETG").with(hose(48.1, 48.3));
        HoseRef ref = new Resolver(m, (a, b) -> null).resolve(HoseRef.KIND, new Binding.OnSheet("h", "hose-50"));
        assertEquals(ref.innerMm(), 48.2, 1e-9);
        assertEquals(ref.outerMm(), 56.0, 1e-9, "not read: usual");
        assertEquals(ref.known().how(), Known.How.MEASURED, "what is needed was read");
        assertEquals(ref.known().words(), "measured 2 times");
        // A sheet without a single reading is only a usual size yet.
        Machine empty = m.with(hose());
        HoseRef none = new Resolver(empty, (a, b) -> null).resolve(HoseRef.KIND, new Binding.OnSheet("h", "hose-50"));
        assertEquals(none.innerMm(), 50.0);
        assertEquals(none.known().how(), Known.How.USUAL);
    }

    @Test
    public void whatIsReadWithoutAUsualSizeBehindItIsAskedFor() {
        Case c = caseOf(plate(values()), shop(machine("upgraded", 200, 200, 200, Machine.State.FIT, "PETG")
                .with(Sheet.empty("mount", SheetKind.of("holes").orElseThrow())).with(holes("tool", 32, 32))));
        Finding f = find(c, "known.mount");
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.why().contains("Measure station"), f.why());
    }

    @Test
    public void aTriangleClosesByTheLawOfCosines() {
        Sheet s = Sheet.empty("t", SheetKind.of("triangle").orElseThrow());
        for (String[] x : new String[][] {{"ab.out", "34"}, {"ab.in", "26"}, {"bc.out", "54"}, {"bc.in", "46"}, {"ca.out", "44"}, {"ca.in", "36"}}) {
            s = s.with(x[0], List.of(new Reading(Double.parseDouble(x[1]), java.time.Instant.EPOCH, "")));
        }
        Machine m = machine("m", 200, 200, 200, Machine.State.FIT, "PETG").with(s);
        List<HolesRef.Hole> h = new Resolver(m, (a, b) -> null).resolve(HolesRef.KIND, new Binding.OnSheet("t", "")).holes();
        // Sides 30, 50, 40: a right angle at A.
        assertEquals(Math.hypot(h.get(0).xMm() - h.get(1).xMm(), h.get(0).yMm() - h.get(1).yMm()), 30, 1e-9);
        assertEquals((h.get(1).xMm() - h.get(0).xMm()) * (h.get(2).xMm() - h.get(0).xMm()) + (h.get(1).yMm() - h.get(0).yMm()) * (h.get(2).yMm() - h.get(0).yMm()), 0, 1e-9);
        assertEquals(h.get(0).diameterMm(), 4, 1e-9);
    }

    @Test
    public void motorsMeetByTheirStandardSpacing() {
        // NEMA ICS 16, size 17: 31.0 mm (value from memory).
        HolesRef ref = new Resolver(machine("m", 1, 1, 1, Machine.State.FIT), (a, b) -> null).resolve(HolesRef.KIND, new Binding.Usual("motor-17"));
        assertEquals(ref.halfExtentMm()[0] * 2, 31.0, 1e-9);
    }

    @Test
    public void whatIsGoneIsSaidAndTheLastGoodStateStays() {
        for (Binding b : List.of(new Binding.OnSheet("gone", ""), new Binding.AtSite("gone"), new Binding.OfNeighbour("gone"), new Binding.OfModel("gone"),
                new Binding.Usual("gone"), new Binding.OfPort("gone", "tool"))) {
            Case c = caseOf(plate(values()).bound("tool", b), shop(60, 50, 32, 32));
            Finding f = find(c, "known.tool");
            assertEquals(f.severity(), Severity.STOP, b.toString());
            assertTrue(f.why().endsWith("."), f.why());
            assertTrue(find(c, "part").why().contains("bound to nothing"));
        }
    }

    @Test
    public void partsThatHoldEachOtherInACircleAreRefusedInWords() {
        PartDesign a = plate(values()).withId("a").bound("tool", new Binding.OfPort("b", "tool"));
        PartDesign b = plate(values()).withId("b").bound("tool", new Binding.OfPort("a", "tool"));
        Case c = Case.of(upgrade(a, b), "a", shop(60, 50, 32, 32), "");
        assertTrue(find(c, "known.tool").why().length() > 20, find(c, "known.tool").why());
        PartDesign self = plate(values()).withId("a").bound("tool", new Binding.OfPort("a", "tool"));
        assertTrue(find(Case.of(upgrade(self), "a", shop(60, 50, 32, 32), ""), "known.tool").why().contains("this part to it"));
    }

    @Test
    public void aPartCanBeBoundToAnothersPort() {
        PartDesign a = plate(values()).withId("a");
        PartDesign b = plate(values()).withId("b").bound("mount", new Binding.OfPort("a", "tool"));
        Case c = Case.of(upgrade(a, b), "b", shop(60, 50, 32, 32), "");
        assertEquals(((HolesRef) c.recipe().refs().byRole().get("mount")).halfExtentMm()[0], 16, 0.01);
    }

    @Test
    public void anUnknownKindAndUnknownWordsAreSaid() {
        Case strange = caseOf(new PartDesign("p1", "moon-base", "x", values(), "PLA", Map.of(), List.of(), ""), shop(60, 50, 32, 32));
        assertTrue(find(strange, "part").why().contains("newer version"));
        Case word = plateCase(new Values(values().numbers(), Map.of("tool.seat", "sideways")));
        assertTrue(find(word, "part").why().contains("“sideways”, which this version does not know"));
        Case number = plateCase(new Values(Map.of("plate.thickness", Double.NaN), Map.of()));
        assertTrue(find(number, "part").why().contains("Plate thickness goes from"), find(number, "part").why());
    }

    @Test
    public void equalCasesAreEqualAndAColourChangesNoShape() {
        Case a = plateCase(values());
        Case b = Case.of(a.upgrade().with(a.part().withMaterial("PLA").withName("other")), "p1", shop(60, 50, 32, 32), "");
        Case thicker = plateCase(values().with(THICKNESS, 9.0));
        assertEquals(FormFact.FORM.inputs(a, new FactsOnce(a)), FormFact.FORM.inputs(b, new FactsOnce(b)), "the shape follows from neither name nor material");
        assertNotEquals(FormFact.FORM.inputs(a, new FactsOnce(a)), FormFact.FORM.inputs(thicker, new FactsOnce(thicker)));
        // What is measured on the solids follows from them: a longer screw or another host with the same offset leave it as it is.
        Case longer = plateCase(values().with(ToolCarriagePlate.MOUNT.length, 20.0));
        Case elsewhere = Case.of(a.upgrade().onHost("small"), "p1", shop(60, 50, 32, 32), "R7");
        for (Fact<?> f : List.of(WallsFact.WALLS, MeshesFact.BARE, OverlapsFact.OVERLAPS)) {
            assertEquals(f.inputs(longer, new FactsOnce(longer)), f.inputs(a, new FactsOnce(a)), f.getClass().getSimpleName());
            assertEquals(f.inputs(elsewhere, new FactsOnce(elsewhere)), f.inputs(a, new FactsOnce(a)));
            assertNotEquals(f.inputs(thicker, new FactsOnce(thicker)), f.inputs(a, new FactsOnce(a)));
        }
        assertNotEquals(SeatsFact.SEATS.inputs(longer, new FactsOnce(longer)), SeatsFact.SEATS.inputs(a, new FactsOnce(a)), "a seat knows its screw");
        assertEquals(plateCase(values()).recipe(), plateCase(values()).recipe());
    }

    @Test
    public void anUnreadDiagonalIsPointedAt() {
        Case c = caseOf(plate(values()), shop(machine("upgraded", 200, 200, 200, Machine.State.FIT, "PETG").with(holes("mount", 60, 50))
                .with(holes("tool", 32, 32, HolePair.AB, HolePair.AD))));
        assertTrue(find(c, "known.tool").what().contains("No diagonal"));
    }

    @Test
    public void differencesAreSaidInTheOwnersWords() {
        Case a = plateCase(values());
        PartDesign next = a.part().with(values().with(THICKNESS, 9.5).with(CARRIED.seat, SeatKind.CAPTIVE_NUT)).withMaterial("PLA");
        Case b = Case.of(a.upgrade().with(next), "p1", shop(60, 50, 33, 32), "");
        assertEquals(Differences.between(a.part(), Optional.of(a.recipe().refs()), b.part(), Optional.of(b.recipe().refs())).stream().map(Object::toString).toList(),
                List.of("Material PETG → PLA", "Plate thickness 8 mm → 9.5 mm", "tool side: screws go into heat-set insert → captive nut",
                        "Tool side 4 holes, 32.00 × 32.00 ± 0.02 → 4 holes, 33.00 × 32.00 ± 0.02"));
        assertTrue(Differences.between(a.part(), Optional.empty(), a.part(), Optional.empty()).isEmpty());
    }

    @Test
    public void revisionsKeepTheirRecipe() {
        Case c = plateCase(values());
        Revision r = new Revision("u", "p1", 4, LocalDateTime.of(2026, 1, 1, 8, 0), "why", c.part(), Optional.of(c.recipe()), "large", List.of(), Revision.Life.NEW);
        assertEquals(r.mark(), "R4");
        Shop other = shop(70, 50, 32, 32);
        Case now = Case.of(c.upgrade(), "p1", other, "R5").with(r.recipe().orElseThrow());
        assertEquals(PartExamples.mesh(now).volumeMm3(), PartExamples.mesh(c).volumeMm3(), 0);
        assertEquals(PartExamples.mesh(now).bounds(), PartExamples.mesh(c).bounds(), "the readings have changed since, the revision has not");
    }
}
