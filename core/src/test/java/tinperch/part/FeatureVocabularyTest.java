package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.find;
import static tinperch.part.PartExamples.mesh;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.values;

import java.util.Comparator;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.check.Remedy;
import tinperch.part.form.PartsList;
import tinperch.fact.FormFact;
import tinperch.check.Finding;
import tinperch.fact.FactsOnce;
import tinperch.upgrade.Draft;
import tinperch.part.feature.kind.DovetailFeature;
import tinperch.upgrade.Change;
import tinperch.part.feature.kind.NutPocketFeature;
import tinperch.hardware.Fits;
import tinperch.check.Severity;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Anchor.From;
import tinperch.part.feature.Copies;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.feature.kind.DowelFeature;
import tinperch.part.feature.kind.EdgeFeature;
import tinperch.part.feature.kind.FlangeFeature;
import tinperch.part.feature.kind.HoleFeature;
import tinperch.part.feature.kind.PadFeature;
import tinperch.part.feature.kind.SlotFeature;
import tinperch.part.feature.kind.SnapHookFeature;
import tinperch.part.feature.kind.TiePairFeature;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** Let-in heads, roofs, broken edges, flanges, dowels, hooks, ties and copies: against volumes worked by hand. The plate is 80 × 70 × 8. */
public class FeatureVocabularyTest {
    private static final Anchor TOP = new Anchor("part", "plate", Vec3.Z, From.MIDDLE, 10, From.MIDDLE, 28);
    private static final Anchor SIDE = new Anchor("part", "plate", Vec3.X, From.MIDDLE, 0, From.MIDDLE, 0);

    private static Case with(Feature... features) {
        PartDesign p = plate(values());
        for (Feature f : features) {
            p = p.with(f);
        }
        return PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32));
    }

    private static Feature feature(FeatureKind kind, Anchor at, Values v) {
        return new Feature("f1", kind.id(), "F", at, v, false);
    }

    private static double taken(Feature f) {
        Mesh m = mesh(with(f));
        assertEquals(m.openEdges(), 0);
        return mesh(with()).volumeMm3() - m.volumeMm3();
    }

    /** The same printed on a machine that needs other allowances. */
    private static double taken(Feature f, double offsetMm, Fits fits) {
        Shop s = PartExamples.shop(60, 50, 32, 32);
        Shop other = new Shop(s.machines().stream().map(m -> m.withHoleOffset(offsetMm).withFits(fits)).toList(), s.hardware(), s.drawer(), s.models());
        return mesh(PartExamples.caseOf(plate(values()), other)).volumeMm3() - mesh(PartExamples.caseOf(plate(values()).with(f), other)).volumeMm3();
    }

    /** Area of the polygon around a circle by which holes are drawn. */
    private static double hole(double d) {
        return 48 * d * d / 4 * Math.tan(Math.PI / 48);
    }

    private static double cone(double a, double b, double high) {
        return high / 3 * (hole(a) + Math.sqrt(hole(a) * hole(b)) + hole(b));
    }

    /** ISO 4762, M3: head 5.5 × 3, half a millimetre of play on its diameter. */
    @Test
    public void aCapHeadIsLetInFlushOrDeeper() {
        Values v = HoleFeature.HEAD.typed(Values.START, "cap head");
        assertEquals(taken(feature(new HoleFeature(), TOP, v)), 3 * hole(6) + 5 * hole(3.4), 1e-6);
        assertEquals(taken(feature(new HoleFeature(), TOP, v.with(HoleFeature.BELOW, 1.5))), 4.5 * hole(6) + 3.5 * hole(3.4), 1e-6);
        assertEquals(taken(feature(new HoleFeature(), TOP, v.with(HoleFeature.SKIN, 0.2))), 3 * hole(6) + 4.8 * hole(3.4), 1e-6, "a layer is left over the head");
        assertTrue(find(with(feature(new HoleFeature(), TOP, v.with(HoleFeature.BELOW, 5.0))), "feature.f1").why().contains("8 mm deep"), "head and hole would end together");
    }

    /** ISO 10642, M4: a cone of 90° whose sharp diameter is 8.96; 0.2 mm of play on it. */
    @Test
    public void aCountersunkHeadLiesInAConeOf90Degrees() {
        Values v = HoleFeature.FOR.typed(HoleFeature.HEAD.typed(Values.START, "countersunk head"), "M4");
        double cone = (9.16 - 4.5) / 2;
        assertEquals(taken(feature(new HoleFeature(), TOP, v)), cone(4.5, 9.16, cone) + (8 - cone) * hole(4.5), 1e-6);
        assertEquals(taken(feature(new HoleFeature(), TOP, v.with(HoleFeature.BELOW, 1.0))), hole(9.16) + cone(4.5, 9.16, cone) + (7 - cone) * hole(4.5), 1e-6);
        Values wide = HoleFeature.FOR.typed(v, "its diameter");
        assertTrue(find(with(feature(new HoleFeature(), TOP, wide)), "feature.f1").why().contains("what screw"));
    }

    @Test
    public void aMouthIsLedInAndALyingHoleHasARoof() {
        assertEquals(taken(feature(new HoleFeature(), TOP, Values.START.with(HoleFeature.LEAD_IN, 0.5))), cone(3.4, 4.4, 0.5) + 7.5 * hole(3.4), 1e-6);
        Values deep = Values.START.with(HoleFeature.DEPTH, 6.0);
        double plain = taken(feature(new HoleFeature(), SIDE, deep));
        double roofed = taken(feature(new HoleFeature(), SIDE, HoleFeature.ROOF.set(deep, true)));
        // Between two tangents of 45° over a circle lies r²(1 − π/4), less what is cut off above 0.4 over the circle.
        double r = 1.7;
        double open = r * Math.sqrt(2) - r - 0.4;
        assertEquals(roofed - plain, 6 * (r * r * (1 - Math.PI / 4) - open * open), 0.06 * 6);
        assertEquals(taken(feature(new HoleFeature(), TOP, HoleFeature.ROOF.set(deep, true))), 6 * hole(3.4), 1e-6, "a standing one needs none");
    }

    @DataProvider
    public Object[][] copies() {
        return new Object[][] {
            {Values.START.with(Copies.COLUMNS, 3.0).with(Copies.COLUMN_STEP, 8.0).with(Copies.ROWS, 2.0).with(Copies.ROW_STEP, 6.0), -8, -33, 6},
            {Values.START.with(Copies.RING, 6.0).with(Copies.RING_DIAMETER, 12.0), 0, 0, 6},
            {Copies.MIRROR.typed(Values.START, "both ways"), 33, 30, 4},
            {Copies.MIRROR.typed(Values.START, "both ways"), 33, 0, 2},
            {Copies.MIRROR.typed(Values.START.with(Copies.COLUMNS, 2.0).with(Copies.COLUMN_STEP, 5.0), "to the other side"), 30, 0, 4},
        };
    }

    /** The opening of the plate is closed, so that every copy cuts into full material. */
    @Test(dataProvider = "copies")
    public void copiesAreAsManyAsWereAskedFor(Values v, double x, double y, int count) {
        PartDesign p = plate(values().with(ToolCarriagePlate.OPENING, 0.0));
        Feature f = feature(new HoleFeature(), TOP.at(x, y), HoleFeature.FOR.typed(v, "M2"));
        double all = mesh(PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32))).volumeMm3() - mesh(PartExamples.caseOf(p.with(f), PartExamples.shop(60, 50, 32, 32))).volumeMm3();
        assertEquals(all, count * 8 * hole(2.4), 1e-5);
    }

    @Test
    public void copiesThatOverlapStopAndTooManyAreRefused() {
        Case c = with(feature(new HoleFeature(), TOP.at(-8, 28), Values.START.with(Copies.COLUMNS, 4.0).with(Copies.COLUMN_STEP, 3.0)));
        assertTrue(PartExamples.findings(c).stream().anyMatch(f -> f.severity() == Severity.STOP && f.id().startsWith("wall.part.f1")), "holes of 3.4, 3 apart, run into one another");
        Case many = with(feature(new HoleFeature(), TOP, Values.START.with(Copies.COLUMNS, 60.0).with(Copies.ROWS, 60.0)));
        assertTrue(find(many, "feature.f1").why().contains("at most 200"));
        assertEquals(mesh(many).volumeMm3(), mesh(with()).volumeMm3(), 1e-9, "none of them is made");
    }

    @Test
    public void aTurnedSlotIsMirroredAsAMirrorShowsIt() {
        Values v = Copies.MIRROR.typed(Values.START.with(SlotFeature.TURN, 30.0).with(SlotFeature.LENGTH, 8.0), "to the other side");
        Mesh m = mesh(with(feature(new SlotFeature(), TOP.at(12, 28), v)));
        List<double[]> one = points(m, "f1");
        List<double[]> other = points(m, "f1 2");
        assertEquals(one.size(), other.size());
        for (double[] p : one) {
            assertTrue(other.stream().anyMatch(q -> Math.hypot(p[0] + q[0], p[1] - q[1]) < 1e-6), "no image of " + p[0] + ", " + p[1]);
        }
    }

    /** A hook that looks to the right has an image that looks to the left, at the same height. */
    @Test
    public void aHooksImageLooksTheOtherWay() {
        Mesh m = mesh(with(feature(new SnapHookFeature(), TOP.at(10, 28), Copies.MIRROR.typed(Values.START, "to the other side"))));
        List<double[]> one = points(m, "f1");
        List<double[]> other = points(m, "f1 2");
        // Half the arm and the hook: 0.8 + 0.8 beyond its place, away from the other one.
        assertEquals(one.get(one.size() - 1)[0], 11.6, 1e-6);
        assertEquals(other.get(0)[0], -11.6, 1e-6);
        assertEquals(one.stream().mapToDouble(q -> q[2]).max().orElseThrow(), other.stream().mapToDouble(q -> q[2]).max().orElseThrow(), 1e-9);
        // Up and down it still looks to the right.
        Mesh upDown = mesh(with(feature(new SnapHookFeature(), TOP.at(10, 28), Copies.MIRROR.typed(Values.START, "up and down"))));
        List<double[]> below = points(upDown, "f1 2");
        assertEquals(below.get(below.size() - 1)[0], 11.6, 1e-6);
    }

    private static List<double[]> points(Mesh m, String feature) {
        return m.faces().stream().filter(k -> k.feature().equals(feature)).flatMap(k -> k.rings().stream()).flatMapToInt(java.util.Arrays::stream).distinct()
                .mapToObj(i -> new double[] {m.x(i), m.y(i), m.z(i)}).sorted(Comparator.comparingDouble(a -> a[0])).toList();
    }

    /** A rectangle's edge: c²(a + b) − 4c³/3 at 45°, and (1 − π/4) of that square's section when round. */
    @Test
    public void anEdgeIsBrokenAllAround() {
        PartDesign p = plate(values().with(ToolCarriagePlate.CORNER, 0.0));
        double bare = mesh(PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32))).volumeMm3();
        Feature f = feature(new EdgeFeature(), TOP, Values.START.with(EdgeFeature.SIZE, 1.5));
        Mesh cut = mesh(PartExamples.caseOf(p.with(f), PartExamples.shop(60, 50, 32, 32)));
        assertEquals(cut.openEdges(), 0);
        assertEquals(bare - cut.volumeMm3(), 1.5 * 1.5 * 150 - 4.0 / 3 * 1.5 * 1.5 * 1.5, 1e-6);
        Feature round = feature(new EdgeFeature(), TOP, EdgeFeature.FORM.typed(Values.START.with(EdgeFeature.SIZE, 1.5), "round"));
        assertEquals(bare - mesh(PartExamples.caseOf(p.with(round), PartExamples.shop(60, 50, 32, 32))).volumeMm3(), 300 * 1.5 * 1.5 * (1 - Math.PI / 4), 300 * 1.5 * 1.5 * 0.03);
        assertTrue(find(with(feature(new EdgeFeature(), TOP, Values.START.with(EdgeFeature.SIZE, 9.0))), "feature.f1").why().contains("behind this face lie 8 mm"));
    }

    @Test
    public void whatStandsOutOfAWallIsCarriedAt45Degrees() {
        Values v = Values.START.with(PadFeature.LENGTH, 10.0).with(PadFeature.WIDTH, 2.0).with(PadFeature.HEIGHT, 3.0);
        // The pad lies from 3 to 5 of the wall's 8; its slope takes all 3 below it.
        assertEquals(-taken(feature(new PadFeature(), SIDE, PadFeature.CARRIED.set(v, true))), 10 * (2 * 3 + 3 * 3 / 2.0), 1e-6);
        // One of 6 reaches below the wall; what would lie beneath the bed is not made: 18 less a triangle of 3 × 3.
        assertEquals(-taken(feature(new PadFeature(), SIDE, PadFeature.CARRIED.set(v.with(PadFeature.HEIGHT, 6.0), true))), 10 * (2 * 6 + 18 - 4.5), 1e-6);
        assertEquals(mesh(with(feature(new PadFeature(), SIDE, PadFeature.CARRIED.set(v.with(PadFeature.HEIGHT, 6.0), true)))).bounds().min().z(), mesh(with()).bounds().min().z(), 1e-9);
        assertEquals(-taken(feature(new PadFeature(), TOP.at(0, 28), PadFeature.CARRIED.set(v, true))), 60, 1e-6, "on a lying face nothing hangs");
    }

    @Test
    public void aFlangeHasItsHolesAndSaysWhatTheyNeed() {
        assertEquals(-taken(feature(new FlangeFeature(), SIDE, Values.START)), 40 * 4 * 12 - 2 * 4 * hole(3.4), 1e-6);
        assertTrue(find(with(feature(new FlangeFeature(), SIDE, Values.START.with(FlangeFeature.HOLES, 8.0))), "feature.f1").why().contains("56 mm"), "eight washers of 7");
        assertTrue(find(with(feature(new FlangeFeature(), SIDE, Values.START.with(FlangeFeature.REACH, 6.0))), "feature.f1").why().contains("7 mm wide"));
    }

    @Test
    public void aPinIsPressedInOrSlidesAndAPegIsThinner() {
        double lead = 0.6;
        assertEquals(taken(feature(new DowelFeature(), TOP, Values.START.with(DowelFeature.DEPTH, 6.0))), hole(3.95) * (6 - lead) + cone(3.95, 3.95 + 2 * lead, lead), 1e-6);
        double sliding = taken(feature(new DowelFeature(), TOP, DowelFeature.FIT.typed(Values.START.with(DowelFeature.DEPTH, 6.0), "slides")));
        assertEquals(sliding, hole(4.2) * (6 - lead) + cone(4.2, 4.2 + 2 * lead, lead), 1e-6);
        double peg = -taken(feature(new DowelFeature(), TOP, DowelFeature.FIT.typed(Values.START.with(DowelFeature.DEPTH, 6.0), "a printed peg")));
        double in = Math.pow(Math.cos(Math.PI / 48), 2);
        assertEquals(peg, in * (hole(3.9) * (6 - lead) + cone(3.9, 3.9 - 2 * lead, lead)), 1e-6);
    }

    /** A ladder of coupons on the printer says what it needs; the same pin then gets another hole, the same nut another pocket. */
    @Test
    public void whatThePrinterNeedsGoesIntoEveryKindOfFit() {
        Fits fits = new Fits(0.31, -0.25, 0.04, 0.36);
        double lead = 0.6;
        double in = Math.pow(Math.cos(Math.PI / 48), 2);
        Values v = Values.START.with(DowelFeature.DEPTH, 6.0);
        assertEquals(taken(feature(new DowelFeature(), TOP, v), 0.1, fits), hole(4.14) * (6 - lead) + cone(4.14, 4.14 + 2 * lead, lead), 1e-6, "4 + 0.1 + 0.04");
        assertEquals(taken(feature(new DowelFeature(), TOP, DowelFeature.FIT.typed(v, "slides")), 0.1, fits), hole(4.46) * (6 - lead) + cone(4.46, 4.46 + 2 * lead, lead), 1e-6, "4 + 0.1 + 0.36");
        assertEquals(-taken(feature(new DowelFeature(), TOP, DowelFeature.FIT.typed(v, "a printed peg")), 0.1, fits), in * (hole(3.75) * (6 - lead) + cone(3.75, 3.75 - 2 * lead, lead)), 1e-6, "4 − 0.25");
        // A nut of 5.5 with 0.1 of play and 0.31: 5.91 across flats, 2.6 deep; its screw's hole is 3.4 + 0.1.
        double taken = taken(feature(new NutPocketFeature(), TOP.at(0, 28), Values.START), 0.1, fits);
        assertEquals(taken, Math.sqrt(3) / 2 * 5.91 * 5.91 * 2.6 + hole(3.5) * (8 - 2.6), 1e-6);
    }

    /** Strain of a bent arm of even thickness: 1.5 · thickness · undercut / length² (handbook of snap joints, common practice). */
    @Test
    public void aHooksStrainIsJudged() {
        Case c = with(feature(new SnapHookFeature(), TOP.at(0, 28), Values.START));
        assertEquals(mesh(c).openEdges(), 0);
        double strain = 100 * 1.5 * 1.6 * 0.8 / (14 * 14);
        assertTrue(PartExamples.findings(c).stream().anyMatch(f -> f.id().startsWith("snap") && f.margin().isPresent() && Math.abs(f.margin().get().value() - strain) < 0.01),
                PartExamples.findings(c).stream().filter(f -> f.id().startsWith("snap")).toList().toString());
        assertTrue(find(with(feature(new SnapHookFeature(), TOP, Values.START.with(SnapHookFeature.LENGTH, 4.0))), "feature.f1").why().contains("break"));
    }

    @Test
    public void aTieGoesThroughTwoSlots() {
        // A tie of 2.5 × 1 with 0.5 of play and 0.2 for the printer.
        double wide = 1.7;
        double run = 3.2 - wide;
        double round = 24 * wide * wide / 8 * Math.sin(Math.PI / 12);
        double taken = taken(feature(new TiePairFeature(), TOP.at(0, 28), Values.START));
        assertEquals(taken, 2 * 8 * (run * wide + Math.PI * wide * wide / 4), 2 * 8 * 0.12, "a rectangle and a circle each");
        assertTrue(taken > 2 * 8 * (run * wide + round) - 1e-6);
    }

    /** A tail 20 long of 8 at the face and 4 deep, flanks of 15° and 2°: a trapezium that grows evenly; its socket is as much wider as was asked for, and half of the printer's slot fit (0.2). */
    @Test
    public void aDovetailByHandSlidesIntoItsSocket() {
        double flank = Math.tan(Math.toRadians(15));
        double taper = Math.tan(Math.toRadians(2));
        // Mean width at the face 8 + 20 · tan 2°, at the end 2 · 4 · tan 15° more.
        double mean = 8 + 20 * taper;
        double tail = -taken(feature(new DovetailFeature(), TOP.at(0, 10), Values.START));
        assertEquals(tail, 20 * 4 * (mean + 4 * flank), 1e-6);
        double socket = taken(feature(new DovetailFeature(), SIDE, DovetailFeature.HALF.typed(Values.START.with(DovetailFeature.LENGTH, 8.0).with(DovetailFeature.CLEARANCE, 0.1), "socket")));
        double wide = 8 + 8 * taper + 2 * 0.2;
        assertEquals(socket, 8 * 4.2 * (wide + 4.2 * flank), 1e-6, "right through the plate of 8");
        Case c = with(feature(new DovetailFeature(), TOP.at(0, 10), DovetailFeature.HALF.typed(Values.START.with(DovetailFeature.CLEARANCE, 0.3), "socket")));
        assertEquals(find(c, "dovetail.0").severity(), Severity.LOOK, "0.3 rattles");
        assertTrue(find(with(feature(new DovetailFeature(), TOP, DovetailFeature.HALF.typed(Values.START.with(DovetailFeature.DEPTH, 9.0), "socket"))), "feature.f1").why().contains("through the wall of 8 mm"));
    }

    /** A plate of 8 and 3 behind it, a nut of 2.4 and a turn of 0.5 beyond (ISO 4032): 13.9 at least; 12 is short, the drawer's 16 is right. */
    @Test
    public void aHandPlacedHolesScrewIsJudgedAndListed() {
        Values v = Values.START.with(HoleFeature.SCREW, 12.0).with(Copies.COLUMNS, 2.0).with(Copies.COLUMN_STEP, 9.0);
        Case c = with(feature(new HoleFeature(), TOP.at(0, 10), v));
        Finding f = find(c, "screw.f1");
        assertEquals(f.severity(), Severity.STOP);
        assertEquals(f.margin().orElseThrow().limit(), 13.9, 1e-9);
        Remedy use = f.remedies().stream().filter(r -> r.label().equals("use M3×16")).findFirst().orElseThrow();
        Draft next = Change.all(c.draft(), use.changes());
        assertEquals(HoleFeature.SCREW.of(next.part().features().get(0).values()), 16.0);
        Case cured = c.after(next);
        assertEquals(find(cured, "screw.f1").severity(), Severity.FINE);
        String list = PartsList.of(new FactsOnce(cured).get(FormFact.FORM).form().orElseThrow()).toString();
        String without = PartsList.of(new FactsOnce(with()).get(FormFact.FORM).form().orElseThrow()).toString();
        assertTrue(!list.equals(without) && list.contains("M3×16"), list);
        // Let in by 3 it clamps 3 less.
        assertEquals(find(with(feature(new HoleFeature(), TOP.at(0, 10), HoleFeature.HEAD.typed(v, "cap head"))), "screw.f1").margin().orElseThrow().limit(), 10.9, 1e-6);
        assertTrue(PartExamples.findings(with(feature(new HoleFeature(), TOP.at(0, 10), Values.START))).stream().noneMatch(x -> x.id().equals("screw.f1")), "none was asked for");
    }
}
