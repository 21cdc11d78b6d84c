package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.hardware.HardwareTables;
import tinperch.quantity.QuantityException;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.SolidKernel;

public class ToolCarriagePlateTest {
    private static Mesh mesh(PartForm f) {
        Mesh m = SolidKernel.evaluate(f.solid(), Tolerances.USUAL);
        assertEquals(m.openEdges(), 0);
        return m;
    }

    private static double volume(Values v) {
        return mesh(CarriageExamples.form(v)).volumeMm3();
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
        assertEquals(volume(CarriageExamples.values()), expected, 1e-6);
    }

    @Test
    public void nutPocketsAreCutFromTheFarSide() {
        Values v = CarriageExamples.values().with("mount.seat", "captive nut");
        // Hexagon across flats 5.5 + 0.3, depth 2.4 + 0.2 (ISO 4032 and common practice); the pocket swallows the hole there.
        double hexagon = Math.sqrt(3) / 2 * 5.8 * 5.8;
        assertEquals(volume(CarriageExamples.values()) - volume(v), 4 * 2.6 * (hexagon - hole(3.4)), 1e-6);
    }

    @Test
    public void aRecessSinksTheHead() {
        Values v = CarriageExamples.values().with("mount.recess", 3.2);
        assertEquals(volume(CarriageExamples.values()) - volume(v), 4 * 3.2 * (hole(6.0) - hole(3.4)), 1e-6);
    }

    @Test
    public void theOpeningGoesThrough() {
        Values v = CarriageExamples.values().with("opening.diameter", 20);
        double opening = 72 * 100 * Math.tan(Math.PI / 72);
        assertEquals(volume(CarriageExamples.values()) - volume(v), 8 * opening, 1e-6);
    }

    @Test
    public void holesComeOutLargerByThePrintersOffset() {
        double plain = mesh(CarriageExamples.form(CarriageExamples.values(), "", 0)).volumeMm3();
        double offset = mesh(CarriageExamples.form(CarriageExamples.values(), "", 0.2)).volumeMm3();
        assertEquals(plain - offset, 4 * 8 * (hole(3.6) - hole(3.4)) + 4 * 6.7 * (hole(4.2) - hole(4.0)), 1e-6);
    }

    @Test
    public void theMarkIsEngraved() {
        Values v = CarriageExamples.values().with("mark.height", 6);
        PartForm with = CarriageExamples.form(v, "R3", 0);
        assertEquals(with.markPlace(), Optional.of("engraved 6 mm high on the tool side"));
        Mesh m = mesh(with);
        assertTrue(m.faces().stream().anyMatch(f -> f.feature().startsWith("mark")));
        double removed = volume(v) - m.volumeMm3();
        assertTrue(removed > 2 && removed < 30, "removed " + removed);
        Mesh other = mesh(CarriageExamples.form(v, "R4", 0));
        assertNotEquals(other.volumeMm3(), m.volumeMm3(), "another revision, another mark");
    }

    @Test
    public void theMarkGetsSmallerOrIsLeftOutWhereThereIsNoRoom() {
        Values crowded = CarriageExamples.values().with("mark.height", 20).with("plate.height", 56.2).with("plate.width", 66.2)
                .with("opening.diameter", 30).with("tool.boss", 12);
        PartForm f = CarriageExamples.form(crowded, "R123456789", 0);
        assertTrue(f.markPlace().isEmpty() || !f.markPlace().get().contains(" 20 "), f.markPlace().toString());
        assertEquals(mesh(f).openEdges(), 0);
    }

    @Test
    public void boundsAreThoseOfTheMesh() {
        Values v = CarriageExamples.values().with("mount.standoff", 4).with("tool.boss", 14);
        PartForm f = CarriageExamples.form(v);
        Mesh m = mesh(f);
        assertEquals(m.bounds().size().z(), f.bounds().size().z(), 1e-9);
        assertEquals(m.bounds().size().x(), f.bounds().size().x(), 1e-9);
        assertEquals(f.bounds().min().z(), -4.0);
        assertEquals(f.bounds().max().z(), 13.0);
    }

    @Test
    public void aTurnedPatternTurnsItsHoles() {
        Values v = CarriageExamples.values().with("tool.turn", 45);
        PartForm f = CarriageExamples.form(v);
        assertEquals(volume(v), volume(CarriageExamples.values()), 1e-6);
        // 32 × 32 turned by 45° reaches 32/√2 to the right, boss 9.2: 27.2 mm.
        assertTrue(mesh(f).faces().stream().filter(x -> x.feature().equals("tool boss B"))
                .flatMap(x -> x.rings().stream()).flatMapToInt(java.util.Arrays::stream)
                .mapToDouble(i -> Math.hypot(mesh(f).x(i), mesh(f).y(i))).max().orElse(0) < 28);
    }

    @DataProvider
    public Object[][] impossible() {
        return new Object[][] {
            {"plate.width", 50, "beyond the plate's edge"},
            {"plate.height", 40, "beyond the plate's edge"},
            {"mount.x", 30, "beyond the plate's edge"},
            {"opening.diameter", 44, "runs into"},
            {"opening.x", 39, ""},
        };
    }

    @Test(dataProvider = "impossible")
    public void whatFitsNoPlateIsRefusedWithAWayOut(String key, double value, String part) {
        Values v = CarriageExamples.values().with(key, value);
        if (part.isEmpty()) {
            CarriageExamples.form(v);
            v = v.with("opening.diameter", 10);
        }
        Values wrong = v;
        PartProblem e = expectThrows(PartProblem.class, () -> CarriageExamples.form(wrong));
        assertTrue(e.getMessage().contains(part), e.getMessage());
        assertTrue(e.getMessage().contains("Make") || e.getMessage().contains("make"), "says what to do: " + e.getMessage());
        assertFalse(e.parameterKey().isEmpty());
    }

    @Test
    public void theSizeItAsksForIsEnough() {
        PartProblem e = expectThrows(PartProblem.class,
                () -> CarriageExamples.form(CarriageExamples.values().with("plate.width", 50)));
        double asked = Double.parseDouble(e.getMessage().replaceAll(".*at least ([0-9.]+) mm.*", "$1"));
        CarriageExamples.form(CarriageExamples.values().with("plate.width", asked));
    }

    @Test
    public void aMissingPatternSaysWhereToMeasure() {
        PartProblem e = expectThrows(PartProblem.class, () -> CarriageExamples.FAMILY.form(new PartInputs(
                CarriageExamples.values(), Map.of(), HardwareTables.STANDARD, 0, "")));
        assertTrue(e.getMessage().contains("Measure station"), e.getMessage());
    }

    @Test
    public void anInsertThatIsNotMadeIsRefused() {
        PartProblem e = expectThrows(PartProblem.class,
                () -> CarriageExamples.form(CarriageExamples.values().with("tool.thread", "M8")));
        assertTrue(e.getMessage().contains("M8"), e.getMessage());
    }

    @Test
    public void parametersSayTheirRange() {
        Parameter t = CarriageExamples.FAMILY.parameter("plate.thickness");
        assertEquals(t.parse("5 mm"), 5.0);
        assertEquals(t.parse("1/4 in"), 6.35, 1e-9);
        QuantityException e = expectThrows(QuantityException.class, () -> t.parse("-3"));
        assertEquals(e.getMessage(), "Plate thickness goes from 1 mm to 60 mm; −3 mm was left out.");
        expectThrows(QuantityException.class, () -> t.parse("900000"));
        expectThrows(IllegalArgumentException.class, () -> CarriageExamples.FAMILY.parameter("no.such"));
    }

    @Test
    public void everyDimensionWithAKeyHasAParameterAndTheRightLength() {
        PartForm f = CarriageExamples.form(CarriageExamples.values());
        assertTrue(f.dimensions().size() >= 8);
        for (Dimension d : f.dimensions()) {
            d.key().ifPresent(k -> {
                double length = d.to().minus(d.from()).length();
                assertEquals(length, CarriageExamples.values().number(k), 1e-9, k);
            });
        }
    }

    @Test
    public void anyValuesGiveAClosedPartOrASentence() {
        Random r = new Random(21);
        int made = 0;
        for (int n = 0; n < 250; n++) {
            Values v = CarriageExamples.FAMILY.start();
            for (Parameter p : CarriageExamples.FAMILY.parameters()) {
                if (p.isChoice()) {
                    v = v.with(p.key(), p.choices().get(r.nextInt(3) > 0 ? 0 : r.nextInt(p.choices().size())));
                } else if (r.nextInt(3) == 0) {
                    double near = p.start() + (p.max() - p.min()) * 0.04 * r.nextGaussian();
                    v = v.with(p.key(), Math.round(Math.max(p.min(), Math.min(p.max(), near)) * 10) / 10.0);
                }
            }
            Values values = v;
            try {
                mesh(CarriageExamples.form(values, "R" + n, 0.2));
                made++;
            } catch (PartProblem | SolidException e) {
                assertTrue(e.getMessage().endsWith("."), e.getMessage());
            }
        }
        assertTrue(made > 30, "made " + made);
    }
}
