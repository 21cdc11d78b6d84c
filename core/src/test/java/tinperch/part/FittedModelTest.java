package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.family.FittedModel.BORED;
import static tinperch.part.family.FittedModel.DOWN;
import static tinperch.part.family.FittedModel.FIT;
import static tinperch.part.family.FittedModel.ONLY;

import java.time.Instant;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
import tinperch.machine.model.Model;
import tinperch.machine.model.ModelCheck;
import tinperch.measure.Reading;
import tinperch.part.family.FittedModel;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.MeshRounds;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

public class FittedModelTest {
    private static final int SIDES = 64;
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);

    /** 40 × 30 × 10, two holes of 3 right through, a blind one of 6, 4 deep, from above; off to one side. */
    private static Mesh block() {
        return SolidKernel.evaluate(Leaf.extrusion("block", Profile.rectangle(120, 65, 40, 30), Placement.HERE, 7, 17).minus(
                Leaf.extrusion("a", Profile.disc(105, 55, 3, SIDES), Placement.HERE, 6, 18),
                Leaf.extrusion("b", Profile.disc(105, 75, 3, SIDES), Placement.HERE, 6, 18),
                Leaf.extrusion("c", Profile.disc(130, 65, 6, SIDES), Placement.HERE, 13, 18)), Tolerances.USUAL);
    }

    private static Mesh mesh(Values v, double offset) {
        Mesh m = PartExamples.mesh(ModelExamples.of(block(), v, offset, ""));
        assertEquals(m.openEdges(), 0);
        return m;
    }

    private static Values bored(String what, double only) {
        return BORED.typed(PLAIN, what).with(ONLY, only);
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
        Mesh m = mesh(PLAIN, 0.2);
        assertEquals(m.bounds().min().z(), 0, 1e-9);
        assertEquals(m.bounds().centre().x(), 0, 1e-9);
        assertEquals(m.bounds().centre().y(), 0, 1e-9);
        assertEquals(m.volumeMm3(), 40 * 30 * 10 - 2 * 10 * inside(3) - 4 * inside(6), 1e-3);
    }

    @DataProvider
    public Object[][] sides() {
        return new Object[][] {{"bottom", 40, 30, 10}, {"top", 40, 30, 10}, {"left", 10, 30, 40}, {"right", 10, 30, 40},
            {"front", 40, 10, 30}, {"back", 40, 10, 30}};
    }

    @Test(dataProvider = "sides")
    public void itLiesOnAnySide(String side, double x, double y, double z) {
        Mesh m = mesh(DOWN.typed(PLAIN, side), 0);
        Vec3 size = m.bounds().size();
        assertEquals(size.x(), x, 1e-9);
        assertEquals(size.y(), y, 1e-9);
        assertEquals(size.z(), z, 1e-9);
        assertEquals(m.volumeMm3(), mesh(PLAIN, 0).volumeMm3(), 1e-6);
        assertEquals(MeshRounds.of(m).stream().filter(MeshRounds.Round::hole).count(), 3);
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
        return MeshRounds.of(mesh(DOWN.typed(PLAIN, side), 0)).stream().filter(MeshRounds.Round::hole).findFirst().orElseThrow().middle();
    }

    @Test
    public void holesAreBoredToIso273AndForThePrinter() {
        // ISO 273 medium series: 3.4 for M3.
        assertEquals(mesh(bored("M3", 3), 0.2).volumeMm3(), 40 * 30 * 10 - 2 * 10 * around(3.6) - 4 * inside(6), 0.05);
        // ISO 273 fine series: 3.2.
        assertEquals(mesh(FIT.typed(bored("M3", 3), "fine"), 0).volumeMm3(), 40 * 30 * 10 - 2 * 10 * around(3.2) - 4 * inside(6), 0.05);
        assertEquals(mesh(bored("this printer only", 0), 0.3).volumeMm3(), 40 * 30 * 10 - 2 * 10 * around(3.3) - 4.01 * around(6.3), 0.05,
                "a bore goes a hundredth deeper than the hole, so that no skin is left");
    }

    @Test
    public void aBlindHoleStaysAsDeepAsItWas() {
        MeshRounds.Round wide = MeshRounds.of(mesh(bored("M6", 6), 0)).stream().filter(r -> r.hole() && r.diameter() > 6.3).findFirst().orElseThrow();
        assertEquals(wide.diameter(), 6.6, 0.03, "ISO 273 medium for M6");
        assertEquals(wide.length(), 4, 0.03);
    }

    @Test
    public void wallsBesideItsBoresAreJudged() {
        // M5 medium 5.5 in holes 5 from the left edge: 5 − 2.75 = 2.25 on each side of which the edge is nearest.
        assertEquals(PartExamples.find(ModelExamples.of(block(), bored("M5", 3), 0, ""), "wall.part.holes.clearance.around").margin().orElseThrow().value(), 2.25, 0.03);
        // A printer that makes holes small by 2 mm: 7.5 wide leaves 1.25.
        assertEquals(PartExamples.find(ModelExamples.of(block(), bored("M5", 3), 2, ""), "wall.part.holes.clearance.around").severity(), Severity.STOP);
    }

    /** Practice P07: 3.0 drawn, holes 0.2 small: 2.8 against 3.4 (ISO 273 medium, M3). Two holes of 3 through the block and a blind one of 6 in it. */
    @Test
    public void holesAsDrawnThatNoScrewGoesThroughAreSaidAndBored() {
        Case c = ModelExamples.of(block(), PLAIN, 0.2, "");
        Finding f = PartExamples.find(c, "bore.part.m3");
        assertEquals(f.severity(), Severity.LOOK);
        assertEquals(f.margin().orElseThrow().value(), 2.8, 1e-9);
        assertEquals(f.margin().orElseThrow().limit(), 3.4, 1e-9);
        assertTrue(f.what().startsWith("2 holes drawn at 3 mm come out at 2.8 mm: no M3"), f.what());
        Finding six = PartExamples.find(c, "bore.part.m6");
        assertEquals(six.margin().orElseThrow().value(), 5.8, 1e-9);
        Case bored = c.after(Change.all(c.draft(), f.remedies().get(0).changes()));
        assertTrue(PartExamples.findings(bored).stream().noneMatch(x -> x.id().equals("bore.part.m3")), "bored");
        assertEquals(PartExamples.mesh(bored).volumeMm3(), mesh(bored("M3", 3), 0.2).volumeMm3(), 1, "as if it were made so from the beginning");
        Case blind = c.after(Change.all(c.draft(), six.remedies().get(0).changes()));
        assertEquals(PartExamples.mesh(blind).volumeMm3(), mesh(PLAIN, 0.2).volumeMm3() - 4 * (around(6.8) - inside(6)), 2, "no deeper than it was");
        assertTrue(PartExamples.findings(ModelExamples.of(block(), bored("M3", 3), 0.2, "")).stream().noneMatch(x -> x.id().startsWith("bore.")));
        Finding plain = PartExamples.find(ModelExamples.of(block(), PLAIN, 0, ""), "bore.part.m3");
        assertTrue(plain.what().startsWith("2 holes are drawn at 3 mm: no M3"), plain.what());
        assertTrue(PartExamples.findings(ModelExamples.of(block().scaled(3.4 / 3), PLAIN, 0, "")).stream().noneMatch(x -> x.id().equals("bore.part.m3")), "3.4 takes an M3");
    }

    private static String problem(Mesh mesh, Values v) {
        return new FactsOnce(ModelExamples.of(mesh, v, 0, "")).get(FormFact.FORM).problem();
    }

    @Test
    public void whatCannotBeBoredIsSaid() {
        assertTrue(problem(block(), bored("M4", 5)).contains("it has 3 mm, 6 mm"));
        assertTrue(problem(block(), bored("M3", 0)).contains("Nothing can be made smaller"), "the hole of 6 is wider than an M3's");
        Mesh slab = SolidKernel.evaluate(Leaf.extrusion("slab", Profile.rectangle(0, 0, 10, 10), Placement.HERE, 0, 5), Tolerances.USUAL);
        assertTrue(problem(slab, bored("M3", 0)).contains("No round hole"));
    }

    @Test
    public void itsCardsSayWhatTheyAmountTo() {
        FittedModel f = new FittedModel();
        assertEquals(f.summary(DOWN.card(), Values.START), "lies on its bottom");
        assertEquals(f.summary(BORED.card(), Values.START), "as drawn");
        assertEquals(f.summary(BORED.card(), bored("M4", 3.2)), "Ø 3.2 mm bored for M4, medium fit");
    }

    private static MeshesFact.Made marked(Mesh mesh, String side) {
        return new FactsOnce(ModelExamples.of(mesh, DOWN.typed(Values.START, side), 0, "R12")).get(MeshesFact.MESHES).pieces().get(0);
    }

    @Test
    public void theMarkGoesWhereTheTopIsFlatAndWhole() {
        MeshesFact.Made made = marked(block(), "bottom");
        assertEquals(made.mark().orElseThrow().words(), "engraved 6 mm high");
        double cut = mesh(PLAIN, 0).volumeMm3() - made.mesh().volumeMm3();
        assertTrue(cut > 5 && cut < 25, "strokes 0.6 deep: " + cut);
        // The letters stand clear of the holes: those are as round as before.
        assertEquals(MeshRounds.of(made.mesh()).stream().filter(MeshRounds.Round::hole).filter(r -> Math.abs(r.diameter() - 3) < 0.01).count(), 2);
        assertTrue(marked(block(), "left").mark().isEmpty(), "on its side it is 10 wide, the smallest R12 is 9 and wants edges");
        Mesh thin = SolidKernel.evaluate(Leaf.extrusion("thin", Profile.rectangle(0, 0, 40, 3), Placement.HERE, 0, 8), Tolerances.USUAL);
        assertTrue(marked(thin, "bottom").mark().isEmpty(), "3 mm are too narrow");
        Mesh dome = SolidKernel.evaluate(Leaf.extrusion("dome", Profile.disc(0, 0, 40, 96), Placement.along(Vec3.ZERO, Vec3.X, Vec3.Y), 0, 30), Tolerances.USUAL);
        assertTrue(marked(dome, "bottom").mark().isEmpty(), "a round top is not flat");
    }

    private static Reading read(double mm) {
        return new Reading(mm, Instant.EPOCH, "");
    }

    @Test
    public void aPartIsNoBetterThanTheModelItIsMadeFrom() {
        Model model = new Model("k", "clip", "mesh", 1, 12, new Vec3(40, 30, 10), "", List.of(
                new ModelCheck("a", "length along x", 40, List.of()), new ModelCheck("b", "length along y", 30, List.of())));
        Models models = ModelExamples.only(block());
        assertEquals(PartExamples.find(ModelExamples.of(model, models, PLAIN, 0, ""), "known.model").severity(), Severity.LOOK, "not read yet");
        Model true2 = model.with(model.checks().get(0).with(List.of(read(40.05)))).with(model.checks().get(1).with(List.of(read(29.95))));
        assertTrue(PartExamples.findings(ModelExamples.of(true2, models, PLAIN, 0, "")).stream().noneMatch(f -> f.id().equals("known.model")));
        Model wrong = true2.with(true2.checks().get(1).with(List.of(read(34))));
        assertEquals(PartExamples.find(ModelExamples.of(wrong, models, PLAIN, 0, ""), "known.model").severity(), Severity.STOP);
        assertTrue(PartExamples.find(ModelExamples.of(model, Models.NONE, PLAIN, 0, ""), "part").why().contains("bring it in again"));
    }
}
