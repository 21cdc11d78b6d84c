package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.find;
import static tinperch.part.PartExamples.mesh;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.values;
import static tinperch.part.family.ToolCarriagePlate.THICKNESS;
import static tinperch.part.family.ToolCarriagePlate.WIDTH;

import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.judge.Judge;
import tinperch.part.feature.Anchor.From;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.feature.Spot;
import tinperch.part.feature.kind.BossFeature;
import tinperch.part.feature.kind.HoleFeature;
import tinperch.part.feature.kind.PadFeature;
import tinperch.part.feature.kind.WindowFeature;
import tinperch.part.form.Piece;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Unit;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.FeatureKinds;
import tinperch.upgrade.PartDesign;

/** Features placed by the person: where they come to be, what they cut and add, what happens when their face goes. */
public class FeaturesTest {
    private static final Anchor TOP = new Anchor("part", "plate", Vec3.Z, From.MIDDLE, 0, From.MIDDLE, 0);

    private static final Anchor SIDE = new Anchor("part", "plate", Vec3.X, From.MIDDLE, 0, From.MIDDLE, 0);

    private static Case with(Values v, Feature... features) {
        PartDesign p = plate(v);
        for (Feature f : features) {
            p = p.with(f);
        }
        return PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32));
    }

    private static Feature feature(String id, FeatureKind kind, Anchor at, Values v) {
        return new Feature(id, kind.id(), id, at, v, false);
    }

    private static double hole(double d) {
        return 48 * d * d / 4 * Math.tan(Math.PI / 48);
    }

    @Test
    public void aHoleGoesRightThroughWhereItIsAnchored() {
        Feature f = feature("f1", new HoleFeature(), TOP.from(From.NEAR_EDGE, From.FAR_EDGE).at(20, 6), Values.START);
        Mesh bare = mesh(with(values()));
        Mesh m = mesh(with(values(), f));
        // M3, ISO 273 medium: 3.4; the plate is 8 thick.
        assertEquals(bare.volumeMm3() - m.volumeMm3(), 8 * hole(3.4), 1e-6);
        // 20 from the left edge of 80, 6 from the upper edge of 70.
        double x = m.faces().stream().filter(k -> k.feature().equals("f1")).flatMap(k -> k.rings().stream()).flatMapToInt(java.util.Arrays::stream).mapToDouble(m::x).average().orElse(0);
        double y = m.faces().stream().filter(k -> k.feature().equals("f1")).flatMap(k -> k.rings().stream()).flatMapToInt(java.util.Arrays::stream).mapToDouble(m::y).average().orElse(0);
        assertEquals(x, -20, 1e-6);
        assertEquals(y, 29, 1e-6);
    }

    @Test
    public void itKeepsItsPlaceWhenTheBodyGrows() {
        Feature f = feature("f1", new HoleFeature(), TOP.from(From.NEAR_EDGE, From.MIDDLE).at(10, 0), Values.START);
        Mesh m = mesh(with(values().with(WIDTH, 120.0).with(THICKNESS, 12.0), f));
        double x = m.faces().stream().filter(k -> k.feature().equals("f1")).flatMap(k -> k.rings().stream()).flatMapToInt(java.util.Arrays::stream).mapToDouble(m::x).average().orElse(0);
        assertEquals(x, -50, 1e-6, "still 10 from the left edge");
    }

    @Test
    public void padsAndBossesStandOnTheFaceAndWallsOfAddedInsertsAreJudged() {
        Feature pad = feature("f1", new PadFeature(), TOP, Values.START.with(PadFeature.LENGTH, 10.0).with(PadFeature.WIDTH, 6.0).with(PadFeature.HEIGHT, 2.0));
        assertEquals(mesh(with(values(), pad)).volumeMm3() - mesh(with(values())).volumeMm3(), 10 * 6 * 2, 1e-6);
        Feature slim = feature("f2", new BossFeature(), TOP, Values.START.with(BossFeature.DIAMETER, 6.0));
        // Insert M3: hole 4.0 in a boss of 6: 1.0 left, 1.6 wanted (common practice).
        assertEquals(find(with(values(), slim), "wall.part.f2.insert.around").margin().orElseThrow().value(), 1.0, 0.03);
        assertEquals(find(with(values(), slim), "wall.part.f2.insert.around").severity(), Severity.STOP);
    }

    @Test
    public void onTheSideFaceItLooksOutOfTheSide() {
        Feature pad = feature("f1", new PadFeature(), SIDE, Values.START.with(PadFeature.LENGTH, 8.0).with(PadFeature.WIDTH, 4.0).with(PadFeature.HEIGHT, 5.0));
        Mesh m = mesh(with(values(), pad));
        assertEquals(m.bounds().max().x(), 45, 1e-9, "40 and 5 more");
        assertEquals(m.volumeMm3() - mesh(with(values())).volumeMm3(), 8 * 4 * 5, 1e-6);
    }

    @Test
    public void whatIsSwitchedOffOrTakenAwayLeavesNothing() {
        Feature f = feature("f1", new WindowFeature(), TOP, Values.START);
        assertEquals(mesh(with(values(), f.switchedOff(true))).volumeMm3(), mesh(with(values())).volumeMm3(), 1e-9);
        assertEquals(plate(values()).with(f).withoutFeature("f1").features().size(), 0);
    }

    @Test
    public void aFeatureWhoseFaceIsGoneIsKeptAndSaid() {
        Anchor gone = new Anchor("part", "opening rim", Vec3.Z, From.MIDDLE, 0, From.MIDDLE, 0);
        Case c = with(values(), feature("f1", new HoleFeature(), gone, Values.START), feature("f2", new HoleFeature(), TOP, Values.START));
        assertEquals(find(c, "feature.f1").severity(), Severity.LOOK);
        assertTrue(find(c, "feature.f1").why().contains("put it on another"));
        assertEquals(mesh(with(values())).volumeMm3() - mesh(c).volumeMm3(), 8 * hole(3.4), 1e-6, "the other one is made");
        assertEquals(c.part().features().size(), 2, "it is kept");
        Case nowhere = with(values(), new Feature("f1", "hole", "x", null, Values.START, false), new Feature("f3", "time machine", "y", TOP, Values.START, false));
        assertTrue(find(nowhere, "feature.f1").why().contains("anchored nowhere"));
        assertTrue(find(nowhere, "feature.f3").why().contains("does not know"));
    }

    @Test
    public void twoAtOnePlaceAreMade() {
        Case c = with(values(), feature("f1", new HoleFeature(), TOP, Values.START), feature("f2", new HoleFeature(), TOP, Values.START));
        assertEquals(mesh(c).openEdges(), 0);
        assertTrue(PartExamples.findings(c).stream().anyMatch(f -> f.id().matches("wall.part.f[12].clearance.around") && f.severity() == Severity.STOP), "one runs into the other");
    }

    /** The tool side's inserts stand 32 × 32 about the middle of the plate. */
    @Test
    public void aPlaceCountsFromAHoleAndFollowsIt() {
        Case bare = with(values());
        Piece piece = new FactsOnce(bare).get(FormFact.FORM).form().orElseThrow().pieces().get(0);
        Spot spot = Spot.of(piece, TOP);
        Spot.Hole corner = spot.holes().stream().filter(h -> h.label().startsWith("tool-side") && h.acrossMm() > 0 && h.upwardsMm() > 0).findFirst().orElseThrow();
        assertEquals(corner.acrossMm(), 16, 1e-9);
        assertEquals(corner.upwardsMm(), 16, 1e-9);
        Anchor beside = TOP.across(From.HOLE, corner.feature(), 12).upwards(From.HOLE, corner.feature(), 0);
        Feature f = feature("f1", new HoleFeature(), beside, Values.START);
        assertEquals(middleOf(mesh(with(values(), f)), "f1")[0], 28, 1e-6);
        assertEquals(middleOf(mesh(with(values(), f)), "f1")[1], 16, 1e-6);
        // Another tool, 24 × 24: the hole goes where its neighbour went.
        Case other = PartExamples.caseOf(plate(values()).with(f), PartExamples.shop(60, 50, 24, 24));
        assertEquals(middleOf(mesh(other), "f1")[0], 24, 1e-6);
        Feature lost = feature("f2", new HoleFeature(), TOP.across(From.HOLE, "no such hole", 3), Values.START);
        assertTrue(find(with(values(), lost), "feature.f2").why().contains("measured from is gone"));
    }

    private static double[] middleOf(Mesh m, String feature) {
        int[] points = m.faces().stream().filter(k -> k.feature().equals(feature)).flatMap(k -> k.rings().stream()).flatMapToInt(java.util.Arrays::stream).toArray();
        return new double[] {java.util.Arrays.stream(points).mapToDouble(m::x).average().orElse(0), java.util.Arrays.stream(points).mapToDouble(m::y).average().orElse(0)};
    }

    @Test
    public void draggedNearALineOfHolesOrTheMiddleItIsCaughtAndElsewhereItIsNot() {
        Piece piece = new FactsOnce(with(values())).get(FormFact.FORM).form().orElseThrow().pieces().get(0);
        Anchor from = TOP.from(From.NEAR_EDGE, From.FAR_EDGE);
        Spot spot = Spot.of(piece, from);
        Anchor line = spot.dragged(from, 16.6, 5, 1);
        assertEquals(line.across(), From.HOLE);
        assertEquals(line.acrossMm(), 0, 1e-9);
        assertEquals(line.upwards(), From.FAR_EDGE, "nothing near: it counts from where it did");
        assertEquals(line.upwardsMm(), 30, 1e-9, "35 to the upper edge, at 5");
        Anchor middle = spot.dragged(from, 0.4, -0.9, 1);
        assertEquals(middle.across(), From.MIDDLE);
        assertEquals(middle.upwards(), From.MIDDLE);
        Anchor free = spot.dragged(from, 21.04, 9.96, 1);
        assertEquals(free.acrossMm(), 61.0, 1e-9, "40 and 21.04, told to a tenth");
        assertEquals(free.upwardsMm(), 25.0, 1e-9);
        // Whatever it is dragged to and counted from, it stands within half a step and the reach of a line.
        java.util.Random r = new java.util.Random(9);
        Anchor a = from;
        for (int i = 0; i < 300; i++) {
            double x = -40 + 80 * r.nextDouble();
            double y = -35 + 70 * r.nextDouble();
            Spot at = Spot.of(piece, a);
            a = i % 3 == 0 ? at.counted(a, From.values()[r.nextInt(3)], "", From.values()[r.nextInt(3)], "") : at.dragged(a, x, y, 0.8);
            Spot now = Spot.of(piece, a);
            if (i % 3 == 0) {
                assertEquals(now.acrossMm(), at.acrossMm(), 0.0501, "told anew, not moved");
                assertEquals(now.upwardsMm(), at.upwardsMm(), 0.0501);
            } else {
                assertEquals(now.acrossMm(), x, 0.801);
                assertEquals(now.upwardsMm(), y, 0.801);
            }
        }
    }

    @Test
    public void aFeatureStandsOnOneBeforeItAndGoesWithIt() {
        Feature boss = feature("f1", new BossFeature(), TOP.at(30, 25), BossFeature.INSERT.typed(Values.START.with(BossFeature.DIAMETER, 12.0).with(BossFeature.HEIGHT, 5.0), "none"));
        Feature onIt = feature("f2", new PadFeature(), Anchor.middle("part", "f1 boss", Vec3.Z), Values.START.with(PadFeature.LENGTH, 4.0).with(PadFeature.WIDTH, 4.0).with(PadFeature.HEIGHT, 2.0));
        assertEquals(mesh(with(values(), boss, onIt)).volumeMm3() - mesh(with(values(), boss)).volumeMm3(), 32, 1e-6);
        assertTrue(find(with(values(), boss.switchedOff(true), onIt), "feature.f2").why().contains("face it was on is gone"));
        assertTrue(find(with(values(), onIt, boss), "feature.f2").why().contains("face it was on is gone"), "not on one that comes after it");
    }

    @Test
    public void whatIsCutApartIsFoundAndTheFeatureNamed() {
        Feature saw = feature("f1", new WindowFeature(), TOP, Values.START.with(WindowFeature.LENGTH, 3.0).with(WindowFeature.WIDTH, 90.0).with(WindowFeature.CORNER, 0.0)).named("saw cut");
        Finding f = Judge.thorough(with(values(), saw)).findings().stream().filter(x -> x.id().equals("bodies.part")).findFirst().orElseThrow();
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.what().contains("falls into 2"), f.what());
        assertEquals(f.remedies().stream().map(r -> r.label()).toList(), List.of("switch off “saw cut”"));
        assertTrue(PartExamples.findings(with(values())).stream().noneMatch(x -> x.id().startsWith("bodies.")));
    }

    /** Kinds that stand on a face; what is cut around a neighbour has tests of its own. */
    @DataProvider
    public Object[][] kinds() {
        return FeatureKinds.ALL.stream().filter(k -> k.around().isEmpty()).map(k -> new Object[] {k}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "kinds")
    public void everyKindIsSeenAndEveryParameterOfIt(FeatureKind kind) {
        Mesh bare = mesh(with(values()));
        Feature f = feature("f1", kind, TOP, Values.START).named("R2");
        Mesh start = mesh(with(values(), f));
        assertTrue(Math.abs(start.volumeMm3() - bare.volumeMm3()) > 0.5, kind.title());
        assertEquals(start.openEdges(), 0);
        assertTrue(!kind.summary(Values.START).isBlank());
        for (Param<?> p : kind.params()) {
            assertTrue(List.of(TOP, SIDE).stream().anyMatch(at -> bases(kind).anyMatch(base -> isSeen(f.with(at), base, p))), kind.title() + ": " + p.label());
        }
    }

    /** Values of a new one, and those with one choice, switch or count made otherwise: some parameters matter only then. */
    private static Stream<Values> bases(FeatureKind kind) {
        return Stream.concat(kind instanceof HoleFeature ? Stream.of(Values.START, HoleFeature.SCREW.set(Values.START, 12.0)) : Stream.of(Values.START), kind.params().stream().filter(p -> !(p instanceof NumberParam n) || n.unit() == Unit.COUNT).flatMap(p -> others(p, Values.START)));
    }

    private static Stream<Values> others(Param<?> p, Values base) {
        if (p instanceof NumberParam n) {
            return n.unit() == Unit.COUNT ? Stream.of(n.set(base, n.of(base) + 1)) : Stream.of(n.set(base, Math.min(n.max(), n.of(base) + 3)), n.set(base, Math.max(n.min(), n.of(base) * 0.6)));
        }
        return p instanceof SwitchParam s ? Stream.of(s.set(base, !s.of(base))) : ((ChoiceParam<?>) p).options().stream().map(o -> p.typed(base, o.label()));
    }

    private static boolean isSeen(Feature f, Values base, Param<?> p) {
        FormFact.Answer form = form(f.with(base));
        List<Object> said = said(form);
        return others(p, base).anyMatch(v -> {
            FormFact.Answer other = form(f.with(v));
            if (!said(other).equals(said)) {
                return true;
            }
            if (other.solids().equals(form.solids())) {
                // The same solids have the same meshes, which take long.
                return false;
            }
            Mesh before = mesh(with(values(), f.with(base)));
            Mesh m = mesh(with(values(), f.with(v)));
            return Math.abs(m.volumeMm3() - before.volumeMm3()) > 1e-6 || Math.abs(m.areaMm2() - before.areaMm2()) > 1e-6 || !sameCorners(m, before);
        });
    }

    /** What it says besides its shape: screws and how it meets another piece. */
    private static List<Object> said(FormFact.Answer form) {
        return form.form().<List<Object>>map(x -> List.of(x.screws(), x.joints())).orElse(List.of());
    }

    private static FormFact.Answer form(Feature f) {
        return new FactsOnce(with(values(), f)).get(FormFact.FORM);
    }

    private static boolean sameCorners(Mesh a, Mesh b) {
        double sa = 0;
        double sb = 0;
        for (int i = 0; i < a.pointCount(); i++) {
            sa += Math.abs(a.x(i)) * 3 + Math.abs(a.y(i));
        }
        for (int i = 0; i < b.pointCount(); i++) {
            sb += Math.abs(b.x(i)) * 3 + Math.abs(b.y(i));
        }
        return Math.abs(sa - sb) < 1e-6;
    }
}
