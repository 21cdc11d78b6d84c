package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static tinperch.part.PartExamples.mesh;
import static tinperch.part.PartExamples.plateCase;
import static tinperch.part.PartExamples.values;
import static tinperch.part.family.ToolCarriagePlate.CARRIED;
import static tinperch.part.family.ToolCarriagePlate.HEIGHT;
import static tinperch.part.family.ToolCarriagePlate.MOUNT;
import static tinperch.part.family.ToolCarriagePlate.OPENING;
import static tinperch.part.family.ToolCarriagePlate.OPENING_X;
import static tinperch.part.family.ToolCarriagePlate.THICKNESS;
import static tinperch.part.family.ToolCarriagePlate.WIDTH;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
import tinperch.part.form.Dimension;
import tinperch.part.form.PartForm;
import tinperch.part.form.SeatKind;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.quantity.QuantityException;
import tinperch.solid.Mesh;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

public class ToolCarriagePlateTest {
    private static double volume(Values v) {
        Mesh m = mesh(plateCase(v));
        assertEquals(m.openEdges(), 0);
        return m.volumeMm3();
    }

    /** Area of the 48-sided hole drawn for a diameter. */
    private static double hole(double d) {
        return 48 * d * d / 4 * Math.tan(Math.PI / 48);
    }

    private static double disc(double d) {
        return 24 * d * d / 4 * Math.sin(2 * Math.PI / 48);
    }

    @Test
    public void volumeIsThatOfTheClosedForm() {
        // Machine side: M3 through holes 3.4 (ISO 273 medium). Tool side: inserts M3×5.7, hole 4.0 deep 6.7, in bosses
        // 9.2 × 5 on the plate: 5 mm of the hole in the boss, 1.7 in the plate.
        double expected = 80 * 70 * 8 - 4 * 8 * hole(3.4) + 4 * 5 * disc(9.2) - 4 * 6.7 * hole(4.0);
        assertEquals(volume(values()), expected, 1e-6);
    }

    @Test
    public void nutPocketsAreCutFromTheFarSide() {
        Values v = values().with(MOUNT.seat, SeatKind.CAPTIVE_NUT);
        // Hexagon across flats 5.5 + 0.3, depth 2.4 + 0.2 (ISO 4032 and common practice); the pocket swallows the hole there.
        double hexagon = Math.sqrt(3) / 2 * 5.8 * 5.8;
        assertEquals(volume(values()) - volume(v), 4 * 2.6 * (hexagon - hole(3.4)), 1e-6);
    }

    @Test
    public void aRecessSinksTheHead() {
        Values v = values().with(MOUNT.recess, 3.2);
        assertEquals(volume(values()) - volume(v), 4 * 3.2 * (hole(6.0) - hole(3.4)), 1e-6);
    }

    @Test
    public void theOpeningGoesThrough() {
        double opening = 72 * 100 * Math.tan(Math.PI / 72);
        assertEquals(volume(values()) - volume(values().with(OPENING, 20.0)), 8 * opening, 1e-6);
    }

    @Test
    public void holesComeOutLargerByThePrintersOffset() {
        Case plain = plateCase(values());
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        Shop off = new Shop(shop.machines().stream().map(m -> m.id().equals("large") ? m.withHoleOffset(0.2) : m).toList(), shop.hardware(), shop.drawer(), shop.models());
        Case offset = Case.of(PartExamples.upgrade(PartExamples.plate(values())), "p1", off, "");
        assertEquals(mesh(plain).volumeMm3() - mesh(offset).volumeMm3(), 4 * 8 * (hole(3.6) - hole(3.4)) + 4 * 6.7 * (hole(4.2) - hole(4.0)), 1e-6);
    }

    private static Case marked(Values v, String mark) {
        return Case.of(PartExamples.upgrade(PartExamples.plate(v)), "p1", PartExamples.shop(60, 50, 32, 32), mark);
    }

    @Test
    public void theMarkIsEngravedClearOfEverything() {
        Values v = values().with(Marking.HEIGHT, 6.0);
        MeshesFact.Made made = new FactsOnce(marked(v, "R3")).get(MeshesFact.MESHES).pieces().get(0);
        assertEquals(made.mark().orElseThrow().words(), "engraved 6 mm high");
        Mesh m = made.mesh();
        assertEquals(m.openEdges(), 0);
        // What is cut away is the letters' own area times the depth, to the last digit: nothing else was touched.
        double letters = made.mark().get().outlines().stream().mapToDouble(tinperch.solid.Profile::areaMm2).sum();
        assertEquals(volume(v) - m.volumeMm3(), letters * 0.6, 1e-6);
        assertNotEquals(mesh(marked(v, "R4")).volumeMm3(), m.volumeMm3(), "another revision, another mark");
        assertEquals(mesh(marked(v.with(Marking.HEIGHT, 0.0), "R3")).volumeMm3(), volume(v), 1e-9);
    }

    @Test
    public void theMarkGetsSmallerOrIsLeftOutWhereThereIsNoRoom() {
        Values crowded = values().with(Marking.HEIGHT, 20.0).with(HEIGHT, 56.2).with(WIDTH, 66.2).with(OPENING, 30.0).with(CARRIED.boss, 12.0);
        MeshesFact.Made made = new FactsOnce(marked(crowded, "R123456789")).get(MeshesFact.MESHES).pieces().get(0);
        assertTrue(made.mark().map(k -> k.heightMm() < 20).orElse(true));
        assertEquals(made.mesh().openEdges(), 0);
    }

    @Test
    public void aTurnedPatternTurnsItsHoles() {
        Mesh m = mesh(plateCase(values().with(CARRIED.turn, 45.0)));
        assertEquals(m.volumeMm3(), volume(values()), 1e-6);
        // 32 × 32 turned by 45° reaches 32/√2 = 22.6 to the right; with the boss of 9.2, 27.2 mm.
        double reach = m.faces().stream().filter(x -> x.feature().equals("tool boss B")).flatMap(x -> x.rings().stream()).flatMapToInt(java.util.Arrays::stream)
                .mapToDouble(m::x).max().orElse(0);
        assertEquals(reach, 32 / Math.sqrt(2) + 4.6, 0.05, "hole B stands straight to the right of the middle now");
    }

    @Test
    public void aMovedPatternMovesItsHolesUp() {
        Mesh m = mesh(plateCase(values().with(CARRIED.y, 6.0)));
        double high = m.faces().stream().filter(x -> x.feature().equals("tool boss C")).flatMap(x -> x.rings().stream()).flatMapToInt(java.util.Arrays::stream)
                .mapToDouble(m::y).max().orElse(0);
        assertEquals(high, 16 + 6 + 4.6, 0.02);
    }

    @DataProvider
    public Object[][] impossible() {
        return new Object[][] {{values().with(WIDTH, 50.0), "beyond the plate's edge"}, {values().with(HEIGHT, 40.0), "beyond the plate's edge"},
            {values().with(MOUNT.x, 30.0), "beyond the plate's edge"}, {values().with(OPENING, 10.0).with(OPENING_X, 39.0), "reaches the plate's edge"}};
    }

    @Test(dataProvider = "impossible")
    public void whatFitsNoPlateIsRefusedWithAWayOut(Values v, String part) {
        FormFact.Answer a = new FactsOnce(plateCase(v)).get(FormFact.FORM);
        assertTrue(a.form().isEmpty());
        assertTrue(a.problem().contains(part), a.problem());
        assertTrue(a.problem().contains("Make") || a.problem().contains("make"), "says what to do: " + a.problem());
        assertTrue(a.param().isPresent());
    }

    @Test
    public void theSizeItAsksForIsEnough() {
        String said = new FactsOnce(plateCase(values().with(WIDTH, 50.0))).get(FormFact.FORM).problem();
        double asked = Double.parseDouble(said.replaceAll(".*at least ([0-9.]+) mm.*", "$1"));
        assertTrue(new FactsOnce(plateCase(values().with(WIDTH, asked))).get(FormFact.FORM).form().isPresent());
    }

    @Test
    public void anInsertThatIsNotMadeIsRefused() {
        assertTrue(new FactsOnce(plateCase(values().with(CARRIED.thread, "M8"))).get(FormFact.FORM).problem().contains("M8"));
    }

    @Test
    public void parametersSayTheirRange() {
        assertEquals(THICKNESS.of(THICKNESS.typed(values(), "5 mm")), 5.0);
        assertEquals(THICKNESS.of(THICKNESS.typed(values(), "1/4 in")), 6.35, 1e-9);
        QuantityException e = expectThrows(QuantityException.class, () -> THICKNESS.typed(values(), "-3"));
        assertEquals(e.getMessage(), "Plate thickness goes from 1 mm to 60 mm; −3 mm was left out.");
        expectThrows(QuantityException.class, () -> THICKNESS.typed(values(), "900000"));
        expectThrows(QuantityException.class, () -> MOUNT.seat.typed(values(), "chewing gum"));
    }

    @Test
    public void everyDimensionWithAParameterHasItsLength() {
        PartForm f = new FactsOnce(plateCase(values())).get(FormFact.FORM).form().orElseThrow();
        List<Dimension> all = f.dimensions();
        assertTrue(all.size() >= 8);
        all.forEach(d -> d.param().ifPresent(p -> assertEquals(d.lengthMm(), p.of(values()), 1e-9, p.key())));
    }

    @Test
    public void patternsOfAnyNumberOfHolesMeet() {
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        for (String[] usual : new String[][] {{"pair-40", "2"}, {"triangle-40", "3"}, {"circle-6x30", "6"}, {"motor-17", "4"}}) {
            PartDesign p = PartExamples.plate(values().with(CARRIED.boss, 6.0)).bound("tool", new tinperch.part.bind.Binding.Usual(usual[0]));
            PartForm f = new FactsOnce(PartExamples.caseOf(p, shop)).get(FormFact.FORM).form().orElseThrow();
            assertEquals(f.screws().stream().filter(s -> s.row().equals("tool")).count(), Long.parseLong(usual[1]), usual[0]);
            assertEquals(mesh(PartExamples.caseOf(p, shop)).openEdges(), 0);
        }
        assertFalse(shop.machines().isEmpty());
    }
}
