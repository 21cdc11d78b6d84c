package tinperch.catalogue;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.measure.sheet.SheetCell;
import tinperch.measure.sheet.SheetKind;
import tinperch.part.PartExamples;
import tinperch.part.PartFamily;
import tinperch.part.bind.BearingRef;
import tinperch.part.bind.Binding;
import tinperch.part.bind.BlowerRef;
import tinperch.part.bind.BoardRef;
import tinperch.part.bind.CartridgeRef;
import tinperch.part.bind.FanRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.HoseRef;
import tinperch.part.bind.Known;
import tinperch.part.bind.MotorRef;
import tinperch.part.bind.OpeningRef;
import tinperch.part.bind.PlateRef;
import tinperch.part.bind.ProfileRef;
import tinperch.part.bind.Ref;
import tinperch.part.bind.RefKind;
import tinperch.part.bind.RodRef;
import tinperch.part.bind.Role;
import tinperch.upgrade.Families;
import tinperch.upgrade.Resolver;

/** The catalogue against standards, and against the sheets that will one day take its place. */
public class UsualThingTest {
    private static final List<RefKind<? extends Ref>> KINDS = List.of(HolesRef.KIND, FanRef.KIND, MotorRef.KIND, RodRef.KIND, ProfileRef.KIND, BearingRef.KIND,
            BoardRef.KIND, CartridgeRef.KIND, HoseRef.KIND, OpeningRef.KIND, PlateRef.KIND, BlowerRef.KIND);
    private final Resolver resolver = new Resolver(PartExamples.machine("m", 200, 200, 200, Machine.State.FIT, "PETG"), (a, b) -> null);

    private double size(String id, String cell) {
        return UsualThing.byId(id).orElseThrow().size(cell).orElseThrow();
    }

    @DataProvider
    public Object[][] things() {
        return UsualThing.ALL.stream().map(t -> new Object[] {t}).toArray(Object[][]::new);
    }

    @Test
    public void namesAreUnique() {
        Set<String> ids = new HashSet<>();
        UsualThing.ALL.forEach(t -> assertTrue(ids.add(t.id()), t.id()));
        assertTrue(UsualThing.byId("no such thing").isEmpty());
    }

    /** Every size stands in a cell of a reading sheet, within what the cell takes; nothing that the sheet needs is missing. */
    @Test(dataProvider = "things")
    public void everySizeCanBeReadOneDay(UsualThing t) {
        SheetKind kind = SheetKind.of(t.kind()).orElseThrow();
        assertFalse(t.source().isBlank(), "its source is named");
        if (kind.kind().equals(SheetKind.HOLES)) {
            return;
        }
        Set<String> cells = new HashSet<>(kind.cells().stream().map(SheetCell::cell).toList());
        for (String part : t.sizes().split(";")) {
            String cell = part.split("=")[0];
            assertTrue(cells.contains(cell), t.id() + " has a size for " + cell + ", which no sheet asks for");
        }
        for (SheetCell c : kind.cells()) {
            OptionalDouble v = t.size(c.cell());
            assertTrue(v.isPresent() || !c.needed(), t.id() + " lacks " + c.cell());
        }
    }

    @Test(dataProvider = "things")
    public void everyThingIsResolvedBySomeKindAndSaidToBeUsual(UsualThing t) {
        int taken = 0;
        for (RefKind<? extends Ref> k : KINDS) {
            if (k.sheetKinds().contains(t.kind())) {
                Ref r = resolver.resolve(k, new Binding.Usual(t.id()));
                taken++;
                assertEquals(r.known().how(), Known.How.USUAL);
                assertTrue(r.known().words().contains("not measured"), r.known().words());
                assertFalse(r.says().isBlank());
                assertEquals(r.name(), t.name());
            }
        }
        assertTrue(taken > 0, "nothing can be bound to " + t.name());
    }

    @Test
    public void everyRoleStartsFromAUsualSizeItTakes() {
        for (PartFamily f : Families.ALL) {
            for (Role<?> r : f.roles()) {
                if (!r.usual().isEmpty()) {
                    UsualThing t = UsualThing.byId(r.usual()).orElseThrow(() -> new AssertionError(f.id() + "." + r.id()));
                    assertTrue(r.kind().sheetKinds().contains(t.kind()), f.id() + "." + r.id());
                    assertTrue(r.kind().usual().contains(t), "and offers it");
                }
            }
        }
    }

    /** ISO 15, boundary dimensions of radial ball bearings: bore, outside, width (values from memory). */
    @Test
    public void ballBearingsAreThoseOfTheStandard() {
        double[][] wanted = {{623, 3, 10, 4}, {624, 4, 13, 5}, {625, 5, 16, 5}, {608, 8, 22, 7}, {688, 8, 16, 5}};
        for (double[] w : wanted) {
            BearingRef b = resolver.resolve(BearingRef.KIND, new Binding.Usual("bearing-" + (int) w[0]));
            assertEquals(new double[] {b.innerMm(), b.outerMm(), b.widthMm()}, new double[] {w[1], w[2], w[3]}, "bearing " + w[0]);
        }
    }

    /** NEMA ICS 16: bolt circles 1.811 in (size 14 is commonly 26.0 square), 1.725 in (17), 2.625 in (23) and pilots (values from memory). */
    @Test
    public void motorFacesAreThoseOfTheStandard() {
        TreeMap<String, Double> boltCircleIn = new TreeMap<>();
        boltCircleIn.put("motor-17", 1.725);
        boltCircleIn.put("motor-23", 2.625);
        boltCircleIn.forEach((id, in) -> {
            HolesRef h = resolver.resolve(HolesRef.KIND, new Binding.Usual(id));
            double circle = 2 * Math.hypot(h.halfExtentMm()[0], h.halfExtentMm()[1]);
            assertEquals(circle, in * 25.4, 0.06, id);
        });
        assertEquals(resolver.resolve(MotorRef.KIND, new Binding.Usual("motor-17")).pilotMm(), 22, 0.01);
        assertEquals(resolver.resolve(MotorRef.KIND, new Binding.Usual("motor-23")).pilotMm(), 1.5 * 25.4, 0.01);
        assertEquals(size("motor-23", "shaft"), 0.25 * 25.4, 0.001);
    }

    /** Axial fans: spacing of the holes by frame (common practice). */
    @Test
    public void fansHaveTheirUsualSpacing() {
        double[][] wanted = {{25, 20}, {30, 24}, {50, 40}, {60, 50}, {80, 71.5}, {92, 82.5}, {120, 105}};
        for (double[] w : wanted) {
            HolesRef h = resolver.resolve(HolesRef.KIND, new Binding.Usual("fan-" + (int) w[0]));
            assertEquals(2 * h.halfExtentMm()[0], w[1], 0.01, "fan " + w[0]);
            assertTrue(h.holes().get(0).diameterMm() < w[0] - w[1], "the hole lies within the frame");
        }
        assertEquals(2 * resolver.resolve(HolesRef.KIND, new Binding.Usual("fan-40x10")).halfExtentMm()[0], 32, 0.01);
    }

    /** Sizes that could not be: something hollow is larger outside than inside, holes lie on what they are drilled into. */
    @Test(dataProvider = "things")
    public void sizesGoTogether(UsualThing t) {
        for (String[] pair : new String[][] {{"outside", "inside"}, {"outer", "inner"}, {"out", "in"}, {"out.x", "in.x"}, {"out.y", "in.y"}, {"ab.out", "ab.in"},
            {"frame", "outside"}, {"face", "outside"}, {"frame", "ring"}, {"ring", "hub"}, {"length", "out.x"}, {"width", "out.y"}, {"pilot", "shaft"}}) {
            OptionalDouble large = t.size(pair[0]);
            OptionalDouble small = t.size(pair[1]);
            if (large.isPresent() && small.isPresent()) {
                assertTrue(large.getAsDouble() > small.getAsDouble(), t.id() + ": " + pair[0] + " > " + pair[1]);
            }
        }
        for (String s : t.sizes().split(";")) {
            assertTrue(Double.parseDouble(s.split("=")[1]) > 0, s);
        }
    }

    @Test
    public void whatWasReadSaysWhatTheRestUsuallyIs() {
        // A motor of 42.3 is of size 17: its holes 31 apart, Ø 3, hence 34 over and 28 between them (NEMA ICS 16, values from memory).
        assertEquals(UsualThing.expected("motor", Map.of("face", 42.2), "outside").getAsDouble(), 34.0);
        assertEquals(UsualThing.expected("motor", Map.of("face", 42.2), "inside").getAsDouble(), 28.0);
        // Fans of 40 are 10 or 20 thick: nobody can say; the rest they have in common.
        assertTrue(UsualThing.expected("fan", Map.of("frame", 40.1), "depth").isEmpty());
        assertEquals(UsualThing.expected("fan", Map.of("frame", 40.1), "outside").getAsDouble(), 36.3);
        assertTrue(UsualThing.expected("fan", Map.of(), "outside").isEmpty(), "nothing was read");
        assertTrue(UsualThing.expected("fan", Map.of("frame", 47.0), "outside").isEmpty(), "like none");
        assertTrue(UsualThing.expected("post", Map.of("frame", 40.0), "outside").isEmpty());
    }
}
