package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.findings;
import static tinperch.part.PartExamples.meshes;
import static tinperch.part.PartExamples.usual;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.upgrade.PartDesign;
import tinperch.machine.space.Surroundings;
import tinperch.machine.space.Site;
import tinperch.machine.space.Neighbour;
import tinperch.machine.Machine;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.OverlapsFact;
import tinperch.part.bind.Binding;
import tinperch.part.family.FilterHousing;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.query.Overhangs;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** The filter housing against volumes worked by hand, and what cannot be built from it. */
public class FilterHousingTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);

    private static Case onFan(Values v, String fan) {
        Case c = usual("filter-housing", v);
        return PartExamples.caseOf(c.part().bound("mount", new Binding.Usual(fan)), PartExamples.shop(60, 50, 32, 32));
    }

    private static String problem(Case c) {
        return new FactsOnce(c).get(FormFact.FORM).problem();
    }

    /** Area of a rounded rectangle whose quarter circles are drawn in six steps. */
    private static double rounded(double w, double h, double r) {
        return w * h - 4 * r * r * (1 - 3 * Math.sin(Math.PI / 12));
    }

    @Test
    public void boxAndCoverHaveTheVolumeOfTheirBoxes() {
        // Cartridge 100 × 100 × 20 with foam of 4 to 2.6: pocket 100.8, wall 2, ledge 5 inside the cartridge, plenum 12 over a base of 3.
        double top = 3 + 12 + 2.6 + 20;
        double inlet = 96 * 38 * 38 * Math.tan(Math.PI / 96);
        double box = rounded(104.8, 104.8, 3) * top - 100.8 * 100.8 * 22.6 - 90 * 90 * 12 - inlet * 3 - 2 * 11 * 2 * 2 * (0.8 + 0.3);
        assertEquals(meshes(usual("filter-housing", PLAIN)).get(0).volumeMm3(), box, 0.1);
        // Nine slots over 90 with bars of 2 would be 8.2 wide, more than 8; ten are 7.2. An arm: 1.6 × 14 from the cover's inner face, its hook a triangle 1.1 deep.
        double slots = 90 * (90 - 9 * 2);
        double arms = 2 * 10 * (1.6 * 14 + 1.1 * 1.1);
        assertEquals(meshes(usual("filter-housing", PLAIN)).get(1).volumeMm3(), (rounded(104.8, 2 * (52.4 + 0.3 + 1.6), 2) - slots) * 2.4 + arms, 0.1);
    }

    @Test
    public void landsAndHolesAreAddedToIt() {
        double before = meshes(usual("filter-housing", PLAIN)).get(0).volumeMm3();
        double with = meshes(usual("filter-housing", PLAIN.with(FilterHousing.LAND, 20.0))).get(0).volumeMm3();
        assertEquals(with - before, (rounded(144.8, 104.8, 3) - rounded(104.8, 104.8, 3)) * 3, 0.1);
        // Four clearance holes for M4, medium: 4.5 (ISO 273), nothing added by this printer.
        Case c = onFan(PLAIN.with(FilterHousing.MOUNT.thread, "M4"), "fan-80");
        assertEquals(before - meshes(c).get(0).volumeMm3(), 4 * 48 * 2.25 * 2.25 * Math.tan(Math.PI / 48) * 3, 0.05);
        assertEquals(new FactsOnce(c).get(FormFact.FORM).form().orElseThrow().screws().size(), 4);
    }

    @Test
    public void theCoverSnapsOnAndPressesTheCartridgeWithoutCuttingIt() {
        for (OverlapsFact.Overlap o : new FactsOnce(usual("filter-housing", PLAIN)).get(OverlapsFact.OVERLAPS)) {
            assertTrue(o.depthMm() <= o.allowedMm() + 0.05, o.piece().name() + " in " + o.other() + " by " + o.depthMm());
        }
    }

    @Test
    public void theCoverPrintsWithoutSupport() {
        Mesh cover = meshes(usual("filter-housing", PLAIN)).get(1);
        double hanging = Overhangs.of(cover, Vec3.Z, 45.5).stream().filter(o -> cover.faces().get(o.face()).normal().z() > -0.999).mapToDouble(Overhangs::areaMm2).sum();
        assertEquals(hanging, 0, 1e-6);
    }

    @Test
    public void whatContradictsItselfIsSaidWithTheWayOut() {
        assertTrue(problem(usual("filter-housing", PLAIN.with(FilterHousing.INLET, 95.0))).contains("make it at most 90 mm"));
        assertTrue(problem(usual("filter-housing", PLAIN.with(FilterHousing.INLET, 5.0).with(FilterHousing.LEDGE, 40.0).with(FilterHousing.SNAP.length, 40.0))).contains("longer than the wall"));
        // Holes of a fan of 92 stand 41.25 from the middle, a washer reaches 3.5 further; a ledge of 10 leaves 40.
        String wide = problem(onFan(PLAIN.with(FilterHousing.LEDGE, 10.0), "fan-92"));
        assertTrue(wide.contains("needs 4.75 mm more room") && wide.contains("use lands for tape"), wide);
        assertTrue(problem(usual("filter-housing", PLAIN.with(FilterHousing.BAR, 20.0).with(FilterHousing.SLOT, 1.0))).contains("make no grille"));
    }

    private static Finding seal(Values v) {
        return findings(usual("filter-housing", v)).stream().filter(f -> f.id().equals("seal.0")).findFirst().orElseThrow();
    }

    @DataProvider
    public Object[][] pressed() {
        // Foam of 4 mm; 25 to 50 % seals (common practice).
        return new Object[][] {{3.0, Severity.FINE, 25}, {3.1, Severity.LOOK, 22.5}, {2.0, Severity.FINE, 50}, {1.9, Severity.LOOK, 52.5}, {4.2, Severity.STOP, -5}};
    }

    @Test(dataProvider = "pressed")
    public void foamSealsBetweenAQuarterAndAHalf(double toMm, Severity says, double percent) {
        Finding f = seal(PLAIN.with(FilterHousing.PRESSED, toMm));
        assertEquals(f.severity(), says, f.what());
        assertEquals(f.margin().orElseThrow().value(), percent, 1e-9);
        assertEquals(f.remedies().isEmpty(), says == Severity.FINE, "a way out where there is something wrong");
    }

    @Test
    public void aNewOneBeginsWithItsOwnCartridgesFoamPressedByAThird() {
        Case c = usual("filter-housing", PLAIN);
        Values v = new FilterHousing().starts(c.recipe().refs()).get(0);
        assertEquals(FilterHousing.PRESSED.of(v), 2.6, 1e-9);
        assertEquals(FilterHousing.INLET.of(v), 76.0, 1e-9);
    }

    /** The housing on a wall that looks along y, its lands 30 wide; a switch's zone in front of the wall beside the box, one behind the wall, one before the cartridge. */
    private static Case onAWall(Values v, Neighbour... zones) {
        Surroundings s = Surroundings.NONE.with(new Site("wall", "wall", "", new Vec3(100, 0, 100), Vec3.Y, 0, 0.3, ""));
        for (Neighbour n : zones) {
            s = s.with(n);
        }
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s);
        return PartExamples.caseOf(PartDesign.of("p1", "filter-housing", "filter", v).atSite("wall"), PartExamples.shop(m));
    }

    private static Neighbour access(String name, double x, double y, double z, double sx, double sy, double sz) {
        return new Neighbour(name, name, "", Neighbour.Kind.ACCESS, Neighbour.Form.BOX, new Vec3(x, y, z), new Vec3(sx, sy, sz), "y", 0, 0);
    }

    @Test
    public void windowsComeFromTheMachinesAccessZones() {
        Values v = Values.START.with(Marking.HEIGHT, 0.0).with(FilterHousing.LAND, 30.0);
        double whole = PartExamples.meshes(onAWall(v)).get(0).volumeMm3();
        // The box ends 52.4 from the middle; the zone of 10 × 12 lies 60 to 70 from it, with 2 of room all round: 14 × 16 through a base of 3.
        for (double x : new double[] {160, 30}) {
            double cut = PartExamples.meshes(onAWall(v, access("switch", x, 0, 94, 10, 40, 12), access("socket", 190, -60, 94, 10, 20, 12), access("behind", 60, -50, 94, 10, 40, 12), access("far before it", 100, 60, 94, 10, 40, 12))).get(0).volumeMm3();
            assertEquals(whole - cut, 14 * 16 * 3, 1e-6);
        }
        assertEquals(PartExamples.meshes(onAWall(v.with(FilterHousing.WINDOWS.on, false), access("switch", 160, 0, 94, 10, 40, 12))).get(0).volumeMm3(), whole, 1e-6);
        String why = new FactsOnce(onAWall(v, access("reset button", 95, 0, 94, 10, 40, 12))).get(FormFact.FORM).problem();
        assertTrue(why.contains("reset button") && why.contains("over the cartridge") && why.contains("elsewhere on its site"), why);
    }

    /** Screws on the lands: four holes 130 apart, beyond the walls at 52.4, within lands of 30. */
    @Test
    public void landsTakeScrewsToo() {
        Case c = onAWall(Values.START.with(Marking.HEIGHT, 0.0).with(FilterHousing.LAND, 30.0));
        Machine m = c.machine().with(PartExamples.holes("flange", 130, 50));
        Case flange = PartExamples.caseOf(c.part().bound("mount", new Binding.OnSheet("flange", "")), PartExamples.shop(m));
        assertEquals(new FactsOnce(flange).get(FormFact.FORM).problem(), "");
        assertEquals(PartExamples.findings(flange).stream().filter(f -> f.severity() == Severity.STOP).map(f -> f.what()).toList().toString(), "[]");
        Case narrow = PartExamples.caseOf(flange.part().with(flange.part().values().with(FilterHousing.LAND, 12.0)), PartExamples.shop(m));
        assertTrue(new FactsOnce(narrow).get(FormFact.FORM).problem().contains("more room"), "half on the land");
    }

    @Test
    public void theDateItIsToBeChangedIsEngraved() {
        Values v = Values.START.with(Marking.HEIGHT, 0.0);
        double plain = PartExamples.meshes(onAWall(v)).get(0).volumeMm3();
        double dated = PartExamples.meshes(onAWall(v.with(FilterHousing.DATE.on, true))).get(0).volumeMm3();
        // Seven signs of 6 mm, strokes of 0.9, 0.4 deep: about 7 × 12 mm of stroke (by eye from the letters).
        assertTrue(plain - dated > 7 * 6 * 0.9 * 0.4 && plain - dated < 7 * 24 * 0.9 * 0.4, plain - dated + " mm³");
        assertTrue(new FilterHousing().summary(FilterHousing.DATE.on.card(), v.with(FilterHousing.DATE.on, true)).contains("2027-06"));
        assertTrue(new FactsOnce(onAWall(v.with(FilterHousing.DATE.on, true).with(FilterHousing.DATE.high, 25.0))).get(FormFact.FORM).problem().contains("make them smaller"));
    }
}
