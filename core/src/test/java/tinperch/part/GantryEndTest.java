package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.part.block.Hand;
import tinperch.part.block.EndSockets;
import tinperch.part.bind.Binding;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.part.family.GantryEnd;
import tinperch.part.form.Cavity;
import tinperch.part.form.PartForm;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.Slicer;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** From usual sizes: a motor face of size 17 (NEMA ICS 16: 42.3 square, holes 31.0 apart, pilot Ø 22) and rods of 8. */
public class GantryEndTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);

    private static Case block(Values v) {
        return PartExamples.usual("gantry-end", v);
    }

    private static PartForm form(Values v) {
        FormFact.Answer a = new FactsOnce(block(v)).get(FormFact.FORM);
        return a.form().orElseThrow(() -> new AssertionError(a.problem()));
    }

    /** The plate's own section: hull of a square of 45.3 and the block's foot, less pilot Ø 22.3 and four holes Ø 3.4 (ISO 273 medium, M3). */
    @Test
    public void theMotorsHolesAndPilotAreWhereTheStandardHasThem() {
        PartForm f = form(PLAIN);
        List<Cavity> holes = f.pieces().get(0).cavities().stream().filter(c -> c.feature().startsWith("motor hole")).toList();
        assertEquals(holes.size(), 4);
        holes.forEach(c -> {
            assertEquals(Math.abs(c.axis().origin().x()), 15.5, 0.02);
            assertEquals(Math.abs(c.axis().origin().y()), 15.5, 0.02);
            assertEquals(c.widthMm(), 3.4, 1e-9);
        });
        // 45.3 wide on the left, the block 63.2 wide on the right (45 + 8 + 0.2 of running fit + 2·5), from 23.15 to 23.15 + 25 + 5.
        double hull = 45.3 * 45.3 + (53.15 - 23.15) * 63.2 + (23.15 - 22.65) * (45.3 + 63.2) / 2;
        // The hull's slanted edges run from the square's far corners to the block's near ones.
        hull += 2 * 45.3 * (63.2 - 45.3) / 2 / 2;
        double pilot = 72 * Math.tan(Math.PI / 72) * 11.15 * 11.15;
        double four = 4 * 48 * Math.tan(Math.PI / 48) * 1.7 * 1.7;
        double section = Slicer.section(PartExamples.mesh(block(PLAIN)), Placement.at(0, 0, 2)).stream().mapToDouble(p -> p.areaMm2()).sum();
        assertEquals(section, hull - pilot - four, 1.5);
    }

    /** Right through both sockets' middles: 25 mm of hole, then the wall. */
    @Test
    public void theRodsGoInAsFarAsSaidAndNoFurther() {
        Rays rays = new Rays(TriangleTree.of(PartExamples.mesh(block(PLAIN))));
        for (double y : new double[] {-22.5, 22.5}) {
            List<Double> hits = rays.hits(new Vec3(100, y, 20), Vec3.X.times(-1)).stream().map(Rays.Hit::distanceMm).sorted().toList();
            assertEquals(hits.size(), 2, hits.toString());
            assertEquals(hits.get(0), 100 - (53.15 - 25), 1e-6, "the socket's floor");
            assertEquals(hits.get(1) - hits.get(0), 5, 1e-6, "the wall behind it");
        }
    }

    /** 2·π·r of a pulley: 20 teeth of 2 mm have a pitch Ø of 12.73 (teeth × pitch / π); half of it aside one run is midway. */
    @Test
    public void theBeltsPassageIsFreeOnItsLine() {
        Values v = PLAIN.with(GantryEnd.ASIDE, 20 * 2 / Math.PI / 2);
        Rays rays = new Rays(TriangleTree.of(PartExamples.mesh(block(v))));
        assertEquals(rays.hits(new Vec3(100, 20 * 2 / Math.PI / 2, 20), Vec3.X.times(-1)).size(), 0);
        assertEquals(rays.hits(new Vec3(100, 20 * 2 / Math.PI / 2, 27), Vec3.X.times(-1)).size(), 2, "above it is plastic");
    }

    /** Leaning or upright the insert ends before the rod: its hole, then the ridge, then the rod's socket, measured along its axis. */
    @Test
    public void aRidgeStandsBetweenInsertAndRod() {
        for (double tilt : new double[] {0, 30, 45}) {
            Values v = PLAIN.with(GantryEnd.HOLD.tilt, tilt).with(GantryEnd.HOLD.ridge, 2.0);
            Cavity insert = form(v).pieces().get(0).cavities().stream().filter(c -> c.feature().equals("set insert B")).findFirst().orElseThrow();
            Vec3 away = insert.axis().w().times(-1);
            assertEquals(Math.toDegrees(Math.atan2(away.y(), away.z())), tilt, 1e-9);
            double reach = insert.axis().origin().minus(new Vec3(insert.axis().origin().x(), 22.5, 20)).length();
            assertEquals(reach - insert.depthMm(), 8.2 / 2 + 2, 1e-9, "from the rod's middle to the ridge's outside");
            // Beside the set screw's own hole the ridge is plastic, in the middle of it is not.
            Mesh m = PartExamples.mesh(block(v));
            Rays rays = new Rays(TriangleTree.of(m));
            Vec3 ridge = new Vec3(insert.axis().origin().x(), 22.5, 20).plus(away.times(8.1 / 2 + 1));
            assertTrue(!rays.inside(ridge), "the screw's way");
            assertTrue(rays.inside(ridge.plus(Vec3.X.times(1.9))), "the ridge at " + tilt);
        }
    }

    /** M3 in a motor's thread of 4.5 mm: 0.5 washer + 6 plate + 3 at least, 4 at most; a longer one would end before it clamps. */
    @Test
    public void screwsEndInTheMotorsOwnThread() {
        assertEquals(PartExamples.find(block(PLAIN), "screw.motor").severity(), Severity.FINE);
        Finding longer = PartExamples.find(block(PLAIN.with(GantryEnd.SCREWS.length, 12.0)), "screw.motor");
        assertEquals(longer.severity(), Severity.STOP);
        assertTrue(longer.why().contains("end before it clamps"), longer.why());
        assertEquals(longer.margin().orElseThrow().limit(), 10.5, 1e-9);
        Finding shorter = PartExamples.find(block(PLAIN.with(GantryEnd.SCREWS.length, 8.0)), "screw.motor");
        assertTrue(shorter.severity() == Severity.STOP && shorter.why().contains("one diameter"), shorter.why());
        assertEquals(shorter.margin().orElseThrow().limit(), 9.5, 1e-9);
    }

    @Test
    public void demandsThatConflictAreNamed() {
        for (Values v : List.of(PLAIN.with(GantryEnd.HOLD.height, 6.0), PLAIN.with(GantryEnd.PASSAGE, 40.0), PLAIN.with(GantryEnd.HOLD.spacing, 15.0))) {
            FormFact.Answer a = new FactsOnce(block(v)).get(FormFact.FORM);
            assertTrue(a.form().isEmpty() && a.problem().matches(".*\\d.* mm.*"), a.problem());
        }
    }

    /** A profile of 20 with 0.2 for the printer, its middle 20 up: a socket of 20.2 from 9.9 to 30.1, 25 deep; two set screws press on it. */
    @Test
    public void itHoldsAProfilesEndToo() {
        Values v = Values.START.with(Marking.HEIGHT, 0.0).with(GantryEnd.HOLD.holds, EndSockets.Holds.PROFILE).with(GantryEnd.PASSAGE, 0.0);
        Case c = PartExamples.caseOf(PartExamples.usual("gantry-end", v).part().bound("profile", new Binding.Usual("profile-20")), PartExamples.shop(60, 50, 32, 32));
        Mesh m = PartExamples.mesh(c);
        assertEquals(m.openEdges(), 0);
        Rays r = new Rays(TriangleTree.of(m));
        double mouth = 42.3 / 2 + 2 + 25 + 5;
        Vec3 in = new Vec3(mouth - 10, 0.1, 20);
        assertEquals(2 * r.first(in.plus(new Vec3(0, -0.1, 0)), Vec3.Y, 0).orElseThrow().distanceMm(), 20.2, 1e-6);
        assertEquals(r.first(in, Vec3.Z.times(-1), 0).orElseThrow().distanceMm(), 10.1, 1e-6);
        assertEquals(r.first(new Vec3(mouth + 5, 0, 20), Vec3.X.times(-1), 0).orElseThrow().distanceMm(), 5 + 25, 1e-6, "25 deep");
        PartForm f = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow();
        double[] along = f.pieces().get(0).cavities().stream().filter(k -> k.feature().startsWith("set insert")).mapToDouble(k -> k.axis().origin().x()).toArray();
        assertEquals(along.length, 2);
        assertEquals(Math.abs(along[0] - along[1]), 12.5, 1e-9, "half of what it is held over apart");
        assertEquals(PartExamples.findings(c).stream().filter(x -> x.severity() == Severity.STOP).map(x -> x.what() + x.why()).toList().toString(), "[]");
        Case meets = PartExamples.caseOf(c.part().with(v.with(GantryEnd.PASSAGE, 20.0)), PartExamples.shop(60, 50, 32, 32));
        assertTrue(new FactsOnce(meets).get(FormFact.FORM).problem().contains("runs into the profile"));
        assertTrue(new FactsOnce(PartExamples.usual("gantry-end", v)).get(FormFact.FORM).problem().contains("Which profile"));
    }

    /** The other end of a gantry has its rods on the other side of the shaft: a mirror image. */
    @Test
    public void leftIsRightSeenInAMirror() {
        Values v = Values.START.with(Marking.HEIGHT, 0.0).with(GantryEnd.ASIDE, 8.0);
        Mesh right = PartExamples.mesh(PartExamples.usual("gantry-end", v));
        Mesh left = PartExamples.mesh(PartExamples.usual("gantry-end", v.with(GantryEnd.HAND, Hand.LEFT)));
        assertEquals(left.volumeMm3(), right.volumeMm3(), 1e-6);
        assertEquals(left.bounds().min().y(), -right.bounds().max().y(), 1e-9);
        assertEquals(left.bounds().max().y(), -right.bounds().min().y(), 1e-9);
    }
}
