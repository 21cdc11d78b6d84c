package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.testng.annotations.Test;
import tinperch.machine.space.Surroundings;
import tinperch.machine.space.Site;
import tinperch.upgrade.PartDesign;
import tinperch.machine.space.Neighbour;
import tinperch.machine.Machine;
import tinperch.machine.space.Along;
import tinperch.part.form.PartForm;
import tinperch.part.bind.Role;
import tinperch.part.bind.Binding;
import tinperch.fact.FormFact;
import tinperch.fact.FactsOnce;
import tinperch.check.Severity;
import tinperch.part.block.BeltClamp;
import tinperch.part.block.CarriageRide;
import tinperch.part.family.WheelCarriage;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.Slicer;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** From usual sizes: a profile of 20 × 20, a tool on four holes 32 × 32. */
public class WheelCarriageTest {
    private static final GeometryFactory JTS = new GeometryFactory();
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0).with(WheelCarriage.RIDE.axles.thread, "M5");

    private static Case carriage(Values v) {
        return PartExamples.usual("wheel-carriage", v);
    }

    private static Geometry disc(double x, double y, double r) {
        return JTS.createPoint(new Coordinate(x, y)).buffer(r, 64);
    }

    private static Geometry hull(Geometry... of) {
        return JTS.createGeometryCollection(of).convexHull();
    }

    private static double sectionMm2(Mesh m, double z) {
        return Slicer.section(m, Placement.at(0, 0, z)).stream().mapToDouble(Profile::areaMm2).sum();
    }

    /**
     * The grown outline by JTS from its description: M5 holes of 5.5 (ISO 273 medium) and eccentric ones of 7.2 with 6 mm round them, tool discs as wide as an
     * insert's hole and 6 mm; webs; less all that is cut. Discs of 48 sides are 0.3 % smaller than circles.
     */
    @Test
    public void theOutlineIsGrownRoundWhatItHolds() {
        Values v = PLAIN.with(BELT_WIDE, 0.0);
        Mesh m = PartExamples.mesh(carriage(v));
        double toolDisc = 4.0 / 2 + 6;
        double[][] tools = {{-16, -16}, {16, -16}, {16, 16}, {-16, 16}};
        Geometry outline = hull(disc(-16, -16, toolDisc), disc(16, -16, toolDisc), disc(16, 16, toolDisc), disc(-16, 16, toolDisc));
        List<Geometry> wheels = new ArrayList<>();
        for (double[] w : new double[][] {{-30, 20, 5.5}, {30, 20, 5.5}, {-30, -20, 7.2}, {30, -20, 7.2}}) {
            Geometry wheel = disc(w[0], w[1], w[2] / 2 + 6);
            wheels.add(wheel);
            double[][] near = tools.clone();
            java.util.Arrays.sort(near, java.util.Comparator.comparingDouble(p -> Math.hypot(p[0] - w[0], p[1] - w[1])));
            outline = outline.union(hull(wheel, disc(near[0][0], near[0][1], toolDisc), disc(near[1][0], near[1][1], toolDisc)));
        }
        outline = outline.union(hull(wheels.get(0), wheels.get(1))).union(hull(wheels.get(2), wheels.get(3)));
        double cut = Math.PI * (2 * 2.75 * 2.75 + 2 * 3.6 * 3.6);
        // Under the inserts' holes, which reach 6.7 mm down from 14.
        assertEquals(sectionMm2(m, 1), outline.getArea() - cut, outline.getArea() * 0.006);
        assertTrue(sectionMm2(PartExamples.mesh(carriage(v.with(WheelCarriage.OUTLINE, WheelCarriage.Outline.RECTANGLE))), 1) > 1.05 * sectionMm2(m, 1), "and is less than a rectangle");
    }

    private static final tinperch.part.param.NumberParam BELT_WIDE = WheelCarriage.BELT.wide;

    @Test
    public void threeWheelsStandOnATriangle() {
        Case c = carriage(PLAIN.with(WheelCarriage.RIDE.on, CarriageRide.On.THREE));
        Rays r = new Rays(TriangleTree.of(PartExamples.mesh(c)));
        assertEquals(r.hits(new Vec3(0.3, -20.2, -5), Vec3.Z).size(), 0, "one eccentric hole in the middle");
        assertEquals(r.hits(new Vec3(30, 20.4, -5), Vec3.Z).size(), 0);
        assertEquals(r.hits(new Vec3(-30, 20.4, -5), Vec3.Z).size(), 0);
        assertEquals(PartExamples.meshes(c).size(), 1);
    }

    /** Along the teeth of a clamp: plastic and gaps alternate with the belt's pitch; its back is a straight slot of back and play. */
    @Test
    public void theClampHasTheBeltsTeeth() {
        for (BeltClamp.Belt b : BeltClamp.Belt.values()) {
            Values v = PLAIN.with(WheelCarriage.BELT.belt, b).with(WheelCarriage.BELT.apart, 60.0).with(WheelCarriage.BELT.y, 0.0).with(WheelCarriage.BELT.teeth, 8.0);
            Rays r = new Rays(TriangleTree.of(PartExamples.mesh(carriage(v))));
            // The toothed side is at −y: just behind the back the clamp's own teeth stand.
            double thick = b == BeltClamp.Belt.TWO ? 1.38 : 2.4;
            double tooth = b == BeltClamp.Belt.TWO ? 0.75 : 1.14;
            List<Double> hits = r.hits(new Vec3(-100, -(thick - tooth + 0.2) - tooth / 2, 9.7), Vec3.X).stream().map(Rays.Hit::distanceMm).filter(d -> d < 100).sorted().toList();
            List<Double> starts = new ArrayList<>();
            for (int i = 0; i < hits.size(); i += 2) {
                starts.add(hits.get(i));
            }
            assertTrue(starts.size() >= 9, b + ": eight gaps have nine teeth between and beside them, " + starts);
            for (int i = 2; i + 1 < starts.size(); i++) {
                assertEquals(starts.get(i) - starts.get(i - 1), b.pitchMm(), 1e-6, "from tooth to tooth");
            }
            assertEquals(r.hits(new Vec3(-30, -0.2, 100), Vec3.Z.times(-1)).get(0).distanceMm(), 100 - 7, 1e-6, "the slot's floor is a millimetre above the plate");
        }
    }

    private static Case bound(Values v, Role<?> role, String usual) {
        return PartExamples.caseOf(carriage(v).part().bound(role.id(), new Binding.Usual(usual)), PartExamples.shop(60, 50, 32, 32));
    }

    /** Four blocks of four threads each at ±30, ±20: sixteen holes of 5.5 right through, sixteen screws with their heads on the plate. */
    @Test
    public void itRidesOnBearingBlocks() {
        Values v = PLAIN.with(WheelCarriage.RIDE.on, CarriageRide.On.BLOCKS).with(WheelCarriage.RIDE.blocks.thread, "M5").with(WheelCarriage.RIDE.rows, 60.0).with(BELT_WIDE, 0.0);
        Case c = bound(v, WheelCarriage.BLOCK, "holes-24x18");
        Mesh m = PartExamples.mesh(c);
        assertEquals(m.openEdges(), 0);
        Rays r = new Rays(TriangleTree.of(m));
        for (double x : new double[] {-30, 30}) {
            for (double y : new double[] {-30, 30}) {
                for (double[] h : new double[][] {{-12, -9}, {12, -9}, {12, 9}, {-12, 9}}) {
                    assertEquals(r.hits(new Vec3(x + h[0] + 0.2, y + h[1] + 0.1, -5), Vec3.Z).size(), 0);
                }
            }
        }
        PartForm f = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow();
        assertEquals(f.screws().stream().filter(s -> s.row().equals("block")).count(), 16);
        assertEquals(f.held().stream().filter(h -> h.name().equals("bearing block")).count(), 4);
        assertTrue(new FactsOnce(bound(v.with(WheelCarriage.RIDE.apart, 25.0), WheelCarriage.BLOCK, "holes-24x18")).get(FormFact.FORM).problem().contains("overlap"));
        assertTrue(new FactsOnce(carriage(v)).get(FormFact.FORM).problem().contains("Which threads"));
    }

    /** A barrel of 12 needs a hole of 12; a tool's path of 4; an end switch two of 2.4, 9.5 apart (common practice). */
    @Test
    public void probePathAndEndSwitchHaveTheirPlaces() {
        Values v = PLAIN.with(BELT_WIDE, 0.0).with(WheelCarriage.PROBE, 12.0).with(WheelCarriage.PROBE_X, 60.0).with(WheelCarriage.PROBE_Y, 4.0).with(WheelCarriage.PATH, 4.0)
                .with(WheelCarriage.SWITCH.thread, "M2").with(WheelCarriage.SWITCH.x, -60.0);
        Case c = bound(v, WheelCarriage.END_SWITCH, "pair-9.5");
        Mesh m = PartExamples.mesh(c);
        assertEquals(m.openEdges(), 0);
        Rays r = new Rays(TriangleTree.of(m));
        assertEquals(r.hits(new Vec3(60, 4, 3), Vec3.X).get(0).distanceMm() + r.hits(new Vec3(60, 4, 3), Vec3.X.times(-1)).get(0).distanceMm(), 12, 0.03);
        assertEquals(r.hits(new Vec3(0, 0, 3), Vec3.Y).get(0).distanceMm(), 2, 0.01);
        assertEquals(r.hits(new Vec3(-60 + 4.75, 0, -5), Vec3.Z).size(), 0);
        // The plate grows out to the probe and is joined to both of the nearest tool discs.
        assertTrue(r.inside(new Vec3(60 + 6 + 2, 4, 3)) && r.inside(new Vec3(40, 12, 3)) && r.inside(new Vec3(40, -8, 3)));
        PartForm f = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow();
        assertEquals(f.ports().stream().map(p -> p.id()).toList(), List.of("tool", "filament"));
        assertEquals(f.screws().stream().filter(s -> s.row().equals("switch")).count(), 2);
    }

    /** The collar's hole is wider than the screw's: the head's washer must lie beyond it. */
    @Test
    public void theEccentricWheelsScrewsAreJudgedToo() {
        Case c = carriage(PLAIN.with(WheelCarriage.RIDE.axles.thread, "M5").with(WheelCarriage.RIDE.axles.length, 30.0));
        assertTrue(PartExamples.findings(c).stream().anyMatch(f -> f.id().equals("screw.eccentric") && f.severity() != Severity.STOP), PartExamples.findings(c).toString());
        // A washer of M5 is 10 wide (ISO 7089): a hole of 9.6 leaves it nothing to lie on.
        Case wide = carriage(PLAIN.with(WheelCarriage.RIDE.axles.thread, "M5").with(WheelCarriage.RIDE.axles.length, 30.0).with(WheelCarriage.RIDE.eccentric, 10.2));
        assertTrue(PartExamples.findings(wide).stream().anyMatch(f -> f.severity() == Severity.STOP && f.id().startsWith("seat")), PartExamples.findings(wide).stream().map(f -> f.id() + f.severity()).toList().toString());
    }

    @Test
    public void aMeasuredOutlineIsKept() {
        Values v = PLAIN.with(BELT_WIDE, 0.0).with(WheelCarriage.OUTLINE, WheelCarriage.Outline.MEASURED).with(WheelCarriage.EDGE, 3.0);
        Mesh m = PartExamples.mesh(bound(v, WheelCarriage.PLATE, "outline-80x60"));
        assertEquals(m.bounds().max().x() - m.bounds().min().x(), 80, 1e-9);
        assertEquals(m.bounds().max().y() - m.bounds().min().y(), 60, 1e-9);
        assertTrue(new FactsOnce(carriage(v)).get(FormFact.FORM).problem().contains("Which plate's outline"));
    }

    @Test
    public void startedForItsProfileItStopsAtNothing() {
        Case c = carriage(PLAIN.with(WheelCarriage.RIDE.axles.length, 30.0));
        assertEquals(PartExamples.findings(c).stream().filter(f -> f.severity() == Severity.STOP).toList(), List.of());
        assertEquals(new WheelCarriage().starts(c.recipe().refs()).get(0), Values.START.with(WheelCarriage.RIDE.axles.thread, "M5").with(WheelCarriage.RIDE.axles.length, 30.0)
                .with(WheelCarriage.RIDE.rows, 40.0), "20 of profile and wheels of 24 that run 2 deep");
    }

    @Test
    public void itCarriesASecondTool() {
        Values v = PLAIN.with(BELT_WIDE, 0.0).with(WheelCarriage.SECOND.x, 60.0);
        Case c = bound(v, WheelCarriage.SECOND_TOOL, "pair-20");
        Mesh m = PartExamples.mesh(c);
        assertEquals(m.openEdges(), 0);
        assertEquals(PartExamples.meshes(c).size(), 1);
        // Its bosses stand 8 above the plate of 6, an insert's hole of 4 in each.
        assertEquals(m.bounds().max().z(), 14, 1e-9);
        Rays r = new Rays(TriangleTree.of(m));
        assertEquals(2 * r.first(new Vec3(70, 0, 12), Vec3.Y, 0).orElseThrow().distanceMm(), 4, 0.02);
        assertEquals(new FactsOnce(c).get(FormFact.FORM).form().orElseThrow().screws().stream().filter(s -> s.row().equals("tool2")).count(), 2);
    }

    /** A post beside a wheel: with the 3 mm it wants its room is cut out of the grown outline; the rail it rides on is not, nor what is far above. */
    @Test
    public void theOutlineLeavesNeighboursTheirRoom() {
        Values v = PLAIN.with(BELT_WIDE, 0.0);
        // The site looks along z, so part and machine differ by the middle of the wheels only: the plate lies from 11 to 17 over the site.
        Surroundings s = Surroundings.NONE.with(new Site("rail", "rail", "", Vec3.ZERO, Vec3.Z, 0, 0.3, ""))
                .with(new Neighbour("profile", "rail", "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(-200, -10, -10), new Vec3(400, 20, 20), "x", 3, 0))
                .with(new Neighbour("lamp", "lamp", "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(-200, -200, 40), new Vec3(400, 400, 20), "x", 3, 0))
                .with(new Neighbour("post", "post", "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(33, 24, -20), new Vec3(20, 20, 60), "z", 3, 0));
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s);
        PartDesign p = carriage(v).part().atSite("rail");
        double whole = sectionMm2(PartExamples.mesh(PartExamples.caseOf(carriage(v).part(), PartExamples.shop(m))), 1);
        Mesh cut = PartExamples.mesh(PartExamples.caseOf(p, PartExamples.shop(m)));
        assertEquals(cut.openEdges(), 0);
        Geometry room = polygon(30, 21, 56, 21, 56, 47, 30, 47);
        Geometry wheel = disc(30, 20, 5.5 / 2 + 6);
        // Only the disc of one wheel is there: what is lost is its part in the post's room, less what its hole had taken already.
        double lost = wheel.intersection(room).getArea() - disc(30, 20, 2.75).intersection(room).getArea();
        assertEquals(whole - sectionMm2(cut, 1), lost, 0.6);
        Case not = PartExamples.caseOf(p.with(v.with(WheelCarriage.CLEAR, false)), PartExamples.shop(m));
        assertEquals(sectionMm2(PartExamples.mesh(not), 1), whole, 1e-6);
    }

    private static Geometry polygon(double... xy) {
        Coordinate[] c = new Coordinate[xy.length / 2 + 1];
        for (int i = 0; i < c.length; i++) {
            c[i] = new Coordinate(xy[2 * i % xy.length], xy[(2 * i + 1) % xy.length]);
        }
        return JTS.createPolygon(c);
    }
}
