package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.hardware.HardwareTables;
import tinperch.part.family.FittedModel;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.MeshRounds;

public class FittedModelTest {
    private static final FittedModel FAMILY = new FittedModel();
    private static final int SIDES = 64;

    /** A block 40 × 30 × 10 away from zero: two through holes of 3, a blind one of 6 that is 4 deep. */
    private static Base block() {
        Mesh mesh = SolidKernel.evaluate(Leaf.extrusion("block", Profile.rectangle(120, 65, 40, 30), Placement.HERE, 7, 17).minus(
                Leaf.extrusion("a", Profile.disc(105, 55, 3, SIDES), Placement.HERE, 6, 18),
                Leaf.extrusion("b", Profile.disc(105, 75, 3, SIDES), Placement.HERE, 6, 18),
                Leaf.extrusion("c", Profile.disc(130, 65, 6, SIDES), Placement.HERE, 13, 18)), Tolerances.USUAL);
        return Base.of("block", mesh);
    }

    private static PartForm form(Base base, double offsetMm, Object... changes) {
        Values v = FAMILY.start();
        for (int i = 0; i < changes.length; i += 2) {
            v = changes[i + 1] instanceof String s ? v.with((String) changes[i], s) : v.with((String) changes[i], (Double) changes[i + 1]);
        }
        return FAMILY.form(new PartInputs(v, Map.of(), HardwareTables.STANDARD, offsetMm, "", Optional.of(base)));
    }

    private static Mesh mesh(PartForm form) {
        Mesh m = SolidKernel.evaluate(form.solid(), Tolerances.USUAL);
        assertEquals(m.openEdges(), 0);
        return m;
    }

    /** A regular polygon with its corners on the circle, and one that stands around it. */
    private static double inside(double d) {
        return SIDES / 2.0 * d * d / 4 * Math.sin(2 * Math.PI / SIDES);
    }

    private static double around(double d) {
        return 48 * d * d / 4 * Math.tan(Math.PI / 48);
    }

    @Test
    public void asDrawnItOnlyComesToLieOnTheBed() {
        PartForm f = form(block(), 0.2);
        assertEquals(f.bounds().min().z(), 0, 1e-9);
        assertEquals(f.bounds().centre().x(), 0, 1e-9);
        assertEquals(f.bounds().centre().y(), 0, 1e-9);
        assertEquals(mesh(f).volumeMm3(), 40 * 30 * 10 - 2 * 10 * inside(3) - 4 * inside(6), 1e-3);
    }

    @DataProvider
    public Object[][] sides() {
        return new Object[][] {{"bottom", 40, 30, 10}, {"top", 40, 30, 10}, {"left", 10, 30, 40}, {"right", 10, 30, 40},
            {"front", 40, 10, 30}, {"back", 40, 10, 30}};
    }

    @Test(dataProvider = "sides")
    public void itLiesOnAnySide(String side, double x, double y, double z) {
        PartForm f = form(block(), 0, "base.down", side);
        Vec3 size = f.bounds().size();
        assertEquals(size.x(), x, 1e-9);
        assertEquals(size.y(), y, 1e-9);
        assertEquals(size.z(), z, 1e-9);
        Mesh m = mesh(f);
        assertEquals(m.volumeMm3(), mesh(form(block(), 0)).volumeMm3(), 1e-6);
        List<MeshRounds.Round> holes = MeshRounds.of(m).stream().filter(MeshRounds.Round::hole).toList();
        assertEquals(holes.size(), 3);
        Vec3 blind = holes.get(0).middle();
        Vec3 a = holes.get(1).middle();
        Vec3 b = holes.get(2).middle();
        Vec3 mid = a.plus(b).times(0.5);
        Vec3 deep = mid.minus(blind);
        assertEquals(a.minus(b).length(), 20, 0.02);
        assertEquals(Math.abs(deep.dot(new Vec3(holes.get(0).axis() == 0 ? 1 : 0, holes.get(0).axis() == 1 ? 1 : 0,
                holes.get(0).axis() == 2 ? 1 : 0))), 3, 0.05, "the blind hole is 4 deep in 10");
    }

    @Test
    public void theSideNamedIsTheOneThatLiesDown() {
        // The blind hole opens upwards as drawn; top down it opens downwards, to the left it opens sideways.
        assertTrue(blindMiddle("bottom").z() > 5);
        assertTrue(blindMiddle("top").z() < 5);
        // It stands nearer to the right side: lying on the right it is low, on the left it is high.
        assertTrue(blindMiddle("right").z() < 20);
        assertTrue(blindMiddle("left").z() > 20);
    }

    private static Vec3 blindMiddle(String side) {
        return MeshRounds.of(mesh(form(block(), 0, "base.down", side))).stream().filter(MeshRounds.Round::hole).findFirst().orElseThrow()
                .middle();
    }

    @Test
    public void holesAreBoredToIso273AndForThePrinter() {
        // ISO 273 medium series: 3.4 for M3.
        Mesh m = mesh(form(block(), 0.2, "holes.for", "M3", "holes.of", 3.0));
        assertEquals(m.volumeMm3(), 40 * 30 * 10 - 2 * 10 * around(3.6) - 4 * inside(6), 0.05);
        // ISO 273 fine series: 3.2.
        m = mesh(form(block(), 0, "holes.for", "M3", "holes.of", 3.0, "holes.fit", "fine"));
        assertEquals(m.volumeMm3(), 40 * 30 * 10 - 2 * 10 * around(3.2) - 4 * inside(6), 0.05);
        m = mesh(form(block(), 0.3, "holes.for", "this printer only"));
        assertEquals(m.volumeMm3(), 40 * 30 * 10 - 2 * 10 * around(3.3) - 4.01 * around(6.3), 0.05,
                "a bore goes a hundredth deeper than the hole, so that no skin is left");
    }

    @Test
    public void aBlindHoleStaysAsDeepAsItWas() {
        Mesh m = mesh(form(block(), 0, "holes.for", "M6", "holes.of", 6.0));
        MeshRounds.Round wide = MeshRounds.of(m).stream().filter(r -> r.hole() && r.diameter() > 6.3).findFirst().orElseThrow();
        assertEquals(wide.diameter(), 6.6, 0.03, "ISO 273 medium for M6");
        assertEquals(wide.length(), 4, 0.03);
    }

    @Test
    public void whatCannotBeBoredIsSaid() {
        assertTrue(expectThrows(PartProblem.class, () -> form(block(), 0, "holes.for", "M4", "holes.of", 5.0)).getMessage()
                .contains("it has 3 mm, 6 mm"));
        assertTrue(expectThrows(PartProblem.class, () -> form(block(), 0, "holes.for", "M3")).getMessage()
                .contains("Nothing can be made smaller"), "the hole of 6 is wider than an M3's");
        Base solid = Base.of("slab", SolidKernel.evaluate(Leaf.extrusion("slab", Profile.rectangle(0, 0, 10, 10), Placement.HERE, 0, 5),
                Tolerances.USUAL));
        assertTrue(expectThrows(PartProblem.class, () -> form(solid, 0, "holes.for", "M3")).getMessage().contains("No round hole"));
        assertTrue(expectThrows(PartProblem.class, () -> FAMILY.form(new PartInputs(FAMILY.start(), Map.of(), HardwareTables.STANDARD,
                0, "R1"))).getMessage().contains("none was chosen"));
    }

    @Test
    public void itsCardsSayWhatTheyAmountTo() {
        Values v = FAMILY.start();
        assertEquals(FAMILY.summary("Lies on", v), "lies on its bottom");
        assertEquals(FAMILY.summary("Holes", v), "as drawn");
        assertEquals(FAMILY.summary("Holes", v.with("holes.for", "M4").with("holes.of", 3.2)), "Ø 3.2 mm bored for M4, medium fit");
        assertEquals(FAMILY.keyOf("hole 2"), "holes.for");
    }

    private static PartForm marked(Base base, String side) {
        return FAMILY.form(new PartInputs(FAMILY.start().with("base.down", side), Map.of(), HardwareTables.STANDARD, 0, "R12", Optional.of(base)));
    }

    @Test
    public void theMarkGoesWhereTheTopIsFlatAndWhole() {
        PartForm f = marked(block(), "bottom");
        assertEquals(f.markPlace().orElseThrow(), "engraved 6 mm high on top");
        Mesh m = mesh(f);
        double cut = mesh(form(block(), 0)).volumeMm3() - m.volumeMm3();
        assertTrue(cut > 5 && cut < 25, "strokes 0.6 deep: " + cut);
        // The letters stand clear of the holes: those are as round as before.
        assertEquals(MeshRounds.of(m).stream().filter(MeshRounds.Round::hole).filter(r -> Math.abs(r.diameter() - 3) < 0.01).count(), 2);
        assertTrue(marked(block(), "left").markPlace().isEmpty(), "on its side it is 10 wide, the smallest R12 is 9 and wants edges");
        Base thin = Base.of("thin", SolidKernel.evaluate(Leaf.extrusion("thin", Profile.rectangle(0, 0, 40, 3), Placement.HERE, 0, 8),
                Tolerances.USUAL));
        assertTrue(marked(thin, "bottom").markPlace().isEmpty(), "3 mm are too narrow");
        Base dome = Base.of("dome", SolidKernel.evaluate(Leaf.extrusion("dome", Profile.disc(0, 0, 40, 96), Placement.along(Vec3.ZERO, Vec3.X,
                Vec3.Y), 0, 30), Tolerances.USUAL));
        assertTrue(marked(dome, "bottom").markPlace().isEmpty(), "a round top is not flat");
    }
}
