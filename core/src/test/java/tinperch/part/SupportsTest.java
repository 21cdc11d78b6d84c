package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.part.bind.Binding;
import tinperch.part.bind.Role;
import tinperch.part.family.ChannelGuide;
import tinperch.part.family.CornerBracket;
import tinperch.part.family.ModuleMount;
import tinperch.part.family.SoftFoot;
import tinperch.part.form.Dimension;
import tinperch.part.form.PartForm;
import tinperch.part.form.PartsList;
import tinperch.part.form.SeatKind;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** Corner bracket, soft foot, channel guide and module mount from usual sizes, against volumes worked by hand. */
public class SupportsTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);

    private static double hole(double d) {
        return 48 * d * d / 4 * Math.tan(Math.PI / 48);
    }

    private static double disc(double d, int sides) {
        return sides * d * d / 8 * Math.sin(2 * Math.PI / sides);
    }

    private static String problem(Case c) {
        return new FactsOnce(c).get(FormFact.FORM).problem();
    }

    /** Legs of 5 + 2 · (10 + 8) long and 2 · 8 wide, a web of 36 × 36 / 2 between them, four holes of 3.4 (ISO 273 medium, M3). */
    @Test
    public void aBracketIsTwoLegsAndAWeb() {
        Case c = PartExamples.usual("corner-bracket", PLAIN.with(CornerBracket.ROOFS, false));
        assertEquals(PartExamples.mesh(c).volumeMm3(), (41 * 5 + 36 * 5) * 16 + 36 * 36 / 2.0 * 4 - 4 * 5 * hole(3.4), 1e-3);
        PartForm f = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow();
        assertEquals(f.screws().stream().filter(s -> s.axis().w().distanceTo(Vec3.Y.times(-1)) < 1e-9).count(), 2, "one leg's screws go down");
        assertEquals(f.screws().stream().filter(s -> s.axis().w().distanceTo(Vec3.X.times(-1)) < 1e-9).count(), 2, "the other's to the left");
        assertTrue(problem(PartExamples.usual("corner-bracket", PLAIN.with(CornerBracket.WEB, 15.0))).contains("no screw could be reached"));
    }

    @Test
    public void aFootCarriesTheMachineAndNotItsScrews() {
        Case c = PartExamples.usual("soft-foot", PLAIN.with(SoftFoot.SPREAD, 0.0).with(SoftFoot.RIM, 0.0));
        double side = disc(22, 40) + 20 * 22;
        assertEquals(PartExamples.mesh(c).volumeMm3(), side * 16 - 2 * (10 * hole(3.4) + 6 * hole(6)), 1e-3);
        String why = problem(PartExamples.usual("soft-foot", PLAIN.with(SoftFoot.SCREWS.recess, 3.0)));
        assertTrue(why.contains("touch the table") && why.contains("4 mm"), why);
        assertTrue(problem(PartExamples.usual("soft-foot", PLAIN.with(SoftFoot.SPREAD, -20.0).with(SoftFoot.HEIGHT, 30.0))).contains("lean"));
        // Leaning by 6° it is 16 · tan 6° wider at the table, all around.
        Mesh wide = PartExamples.mesh(PartExamples.usual("soft-foot", PLAIN.with(SoftFoot.RIM, 0.0)));
        assertEquals(wide.bounds().max().x(), 10 + 11 + 16 * Math.tan(Math.toRadians(6)), 1e-6);
    }

    /** A profile of 20 with 0.15 and half of the running fit (0.2) to each side in walls of 4; heads of M3 let in by 4.5 into a floor of 8. */
    @Test
    public void aChannelLeavesRunningClearance() {
        Case c = PartExamples.usual("channel-guide", PLAIN.with(ChannelGuide.LEAD_IN, 0.0));
        Mesh m = PartExamples.mesh(c);
        assertEquals(m.volumeMm3(), 120 * 28.5 * 8 + 2 * 4 * 120 * 12 - 2 * (3.5 * hole(3.4) + 4.5 * hole(6)), 1e-3);
        Rays r = new Rays(TriangleTree.of(m));
        double left = r.hits(new Vec3(0, 0, 14), Vec3.Y).get(0).distanceMm();
        double right = r.hits(new Vec3(0, 0, 14), Vec3.Y.times(-1)).get(0).distanceMm();
        assertEquals(left + right, 20.5, 1e-6);
        String why = problem(PartExamples.usual("channel-guide", PLAIN.with(ChannelGuide.SCREWS.recess, 1.0)));
        assertTrue(why.contains("runs over the screws") && why.contains("3 mm"), why);
        assertTrue(problem(PartExamples.usual("channel-guide", PLAIN.with(ChannelGuide.LENGTH, 50.0))).contains("at least"));
    }

    @Test
    public void aLongChannelComesInTwoPiecesEachWithItsOwnScrews() {
        Case c = PartExamples.usual("channel-guide", ChannelGuide.SPLIT.set(PLAIN, true));
        PartForm f = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow();
        assertEquals(f.pieces().stream().map(p -> p.id()).toList(), List.of("left", "right"));
        assertEquals(f.screws().stream().map(s -> s.pieceId()).sorted().toList(), List.of("left", "right"));
        f.screws().forEach(s -> assertEquals(s.axis().origin().x() < 0, s.pieceId().equals("left")));
        double whole = PartExamples.mesh(PartExamples.usual("channel-guide", PLAIN)).volumeMm3();
        double halves = PartExamples.meshes(c).stream().mapToDouble(Mesh::volumeMm3).sum();
        assertTrue(halves < whole && halves > whole * 0.997, "only the play of the dovetail is missing: " + whole + ", " + halves);
        assertEquals(PartExamples.findings(c).stream().filter(x -> x.severity() == Severity.STOP).toList(), List.of());
        assertTrue(problem(PartExamples.usual("channel-guide", ChannelGuide.SPLIT.set(PLAIN, true).with(ChannelGuide.SCREWS.x, 30.0))).contains("where the two pieces meet"));
    }

    /** A board of 60 × 50 with 3 mm around and 13 for the eyes; an opening of 42 × 32 under it. */
    @Test
    public void aModuleStandsOnAFrameWithAirBelow() {
        Mesh m = PartExamples.mesh(PartExamples.usual("module-mount", PLAIN.with(ModuleMount.TIES, 0.0)));
        double air = 42 * 32 - (4 - Math.PI) * 9;
        double boss = disc(9.2, 48) * 7 - hole(4) * 6.7;
        assertEquals(m.volumeMm3(), (66 * 56 - air) * 4 + 4 * boss, 4 * 0.6);
        assertTrue(problem(PartExamples.usual("module-mount", PLAIN.with(ModuleMount.SCREWS.standoff, 1.0))).contains("solder tails"));
        assertTrue(problem(PartExamples.usual("module-mount", ModuleMount.ON.typed(PLAIN, "clips over two rods"))).contains("which rods".substring(1)), "rods are not bound");
    }

    private static Case onRods(Values v) {
        Case c = PartExamples.usual("module-mount", ModuleMount.ON.typed(v, "clips over two rods"));
        PartDesign p = c.part().bound(ModuleMount.ROD.id(), new Binding.Usual("rod-8"));
        return PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32));
    }

    /** Rods of 8 with 0.15 of play less a press fit of 0.05, gripped by 0.8: a bore of 8.1 and a mouth of 7.2. */
    @Test
    public void clipsTakeTheRodsAndBendAsAnArmDoes() {
        Case c = onRods(PLAIN);
        Mesh m = PartExamples.mesh(c);
        assertEquals(m.openEdges(), 0);
        // Standing: the plate's underside is y = 0, rods below it run along z; x = 22 is a rod's middle.
        double middle = 8.1 / 2 + 2 - 0.6;
        Rays r = new Rays(TriangleTree.of(m));
        double across = r.hits(new Vec3(22, middle, 2), Vec3.X).get(0).distanceMm() + r.hits(new Vec3(22, middle, 2), Vec3.X.times(-1)).get(0).distanceMm();
        assertEquals(across, 8.1, 0.02);
        double neck = Math.sqrt(8.1 * 8.1 - 7.2 * 7.2) / 2;
        double mouth = r.hits(new Vec3(22, middle + neck, 2), Vec3.X).get(0).distanceMm() + r.hits(new Vec3(22, middle + neck, 2), Vec3.X.times(-1)).get(0).distanceMm();
        assertEquals(mouth, 7.2, 0.02);
        double arc = (8.1 / 2 + 1) * (Math.PI - Math.asin(3.6 / (8.1 / 2 + 1)));
        double strain = 100 * 1.5 * 2 * 0.4 / (arc * arc);
        assertTrue(PartExamples.findings(c).stream().anyMatch(f -> f.id().startsWith("snap") && Math.abs(f.margin().orElseThrow().value() - strain) < 0.01), "1.5 · thickness · way / length²");
        assertTrue(problem(onRods(PLAIN.with(ModuleMount.CLIPS.wide, 40.0))).contains("longer than the plate"));
    }

    private static Case on(String how, Values v, Role<?> role, String usual) {
        Case c = PartExamples.usual("module-mount", ModuleMount.ON.typed(v, how));
        return PartExamples.caseOf(c.part().bound(role.id(), new Binding.Usual(usual)), PartExamples.shop(60, 50, 32, 32));
    }

    /** Studs of 4.9 with 0.15 of play less a press fit of 0.05, gripped by 0.4: a bore of 5 and a mouth of 4.5, right through the plate at its edge. */
    @Test
    public void earsSnapSidewaysOverStuds() {
        Case c = on("clips over two studs", PLAIN, ModuleMount.ROD, "stud-m5");
        Mesh m = PartExamples.mesh(c);
        assertEquals(m.openEdges(), 0);
        double y = -28 - 2.5 - 0.4;
        Rays r = new Rays(TriangleTree.of(m));
        assertEquals(r.hits(new Vec3(20, y, 2), Vec3.X).get(0).distanceMm() * 2, 5, 0.02);
        double neck = Math.sqrt(25 - 4.5 * 4.5) / 2;
        assertEquals(r.hits(new Vec3(20, y - neck, 2), Vec3.X).get(0).distanceMm() * 2, 4.5, 0.02);
        assertTrue(r.hits(new Vec3(20, y, -5), Vec3.Z).isEmpty(), "a stud goes right through");
        double arc = (2.5 + 1.2) * (Math.PI - Math.asin(2.25 / 3.7));
        double strain = 100 * 1.5 * 2.4 * 0.2 / (arc * arc);
        assertTrue(PartExamples.findings(c).stream().anyMatch(f -> f.id().startsWith("snap") && Math.abs(f.margin().orElseThrow().value() - strain) < 0.01), "1.5 · thickness · way / length²");
    }

    /** A slot of 6.1 less what the printer needs, 0.2: arms 5.9 over all, barbs 6.4 behind a lip of 1.8. */
    @Test
    public void armsSnapBehindASlotsLip() {
        Case c = on("clips into a profile's slot", PLAIN, ModuleMount.PROFILE, "profile-20");
        Mesh m = PartExamples.mesh(c);
        assertEquals(m.openEdges(), 0);
        // Standing: the plate's underside is y = 0, the arms go up along y, and lie on the bed.
        Rays r = new Rays(TriangleTree.of(m));
        assertEquals(40 - r.hits(new Vec3(40, 1, 5), Vec3.X.times(-1)).get(0).distanceMm(), 2.95, 1e-6);
        double widest = 40 - r.hits(new Vec3(40, 2.0 + 0.25 + 0.3, 5), Vec3.X.times(-1)).get(0).distanceMm();
        assertEquals(widest, 3.2, 1e-6);
        assertTrue(widest > 6.1 / 2, "it holds behind the lip");
        double strain = 100 * 1.5 * 1.4 * 0.25 / (2.25 * 2.25);
        assertTrue(PartExamples.findings(c).stream().anyMatch(f -> f.id().startsWith("snap") && Math.abs(f.margin().orElseThrow().value() - strain) < 0.01), "1.5 · thickness · way / length²");
        assertTrue(problem(on("clips into a profile's slot", PLAIN.with(ModuleMount.SLOT.arm, 3.0), ModuleMount.PROFILE, "profile-20")).contains("no room to bend"));
    }

    /** A thin nut of M3 is 1.8 high (ISO 4035), a whole one 2.4 (ISO 4032): what is left above is as much thicker. */
    @Test
    public void aSlimNutLeavesMoreAboveIt() {
        Values v = PLAIN.with(ModuleMount.AIR, 0.0).with(ModuleMount.SCREWS.length, 12.0);
        double whole = PartExamples.mesh(PartExamples.usual("module-mount", v.with(ModuleMount.SCREWS.seat, SeatKind.CAPTIVE_NUT))).volumeMm3();
        Case slim = PartExamples.usual("module-mount", v.with(ModuleMount.SCREWS.seat, SeatKind.SLIM_NUT));
        // 5.5 across flats, 0.1 of play and 0.2 for the printer: 5.8; a hole of 3.4 goes through what is left.
        double flats = Math.sqrt(3) / 2 * 5.8 * 5.8;
        assertEquals(PartExamples.mesh(slim).volumeMm3() - whole, 4 * 0.6 * (flats - hole(3.4)), 0.5);
        assertTrue(new FactsOnce(slim).get(FormFact.FORM).form().map(f -> PartsList.of(f).toString()).orElseThrow().contains("thin nut M3 (ISO 4035)"));
    }

    /** Laid down or standing, what is dimensioned is what the numbers say. */
    @Test
    public void aStandingMountIsDimensionedToo() {
        for (Case c : List.of(PartExamples.usual("module-mount", PLAIN), onRods(PLAIN), on("clips into a profile's slot", PLAIN, ModuleMount.PROFILE, "profile-20"))) {
            PartForm f = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow();
            for (Dimension d : f.dimensions()) {
                d.param().ifPresent(p -> assertEquals(d.lengthMm(), p.of(c.recipe().values()), 1e-9, p.label()));
            }
            assertTrue(f.dimensions().stream().anyMatch(d -> d.param().equals(Optional.of(ModuleMount.PLATE))) && f.dimensions().stream().anyMatch(d -> d.param().equals(Optional.of(ModuleMount.SCREWS.standoff))));
        }
    }
}
