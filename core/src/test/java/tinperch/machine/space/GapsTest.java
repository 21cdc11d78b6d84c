package tinperch.machine.space;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.machine.space.Neighbour.Form;
import tinperch.measure.HolePair;
import tinperch.measure.Jaw;
import tinperch.measure.MeasuredPattern;
import tinperch.measure.sheet.HolePattern;
import tinperch.measure.PatternSheet;
import tinperch.measure.Reading;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.MeshRounds;
import tinperch.solid.shape.Coarser;

/** Shapes of neighbours and the true gaps between them. */
public class GapsTest {
    private static final NeighbourMesh PLAIN = new NeighbourMesh(id -> Optional.empty(), id -> Optional.empty());
    private static final Surroundings FRAME = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 100, false, 1)),
            List.of(new Group("carriage", List.of("x"))), List.of());

    private static Neighbour neighbour(String id, String group, Form form, Vec3 corner, Vec3 size, String along) {
        return new Neighbour(id, id, group, Neighbour.Kind.SOLID, form, corner, size, along, 3, 0);
    }

    private static Map<String, Shape> shapes(Surroundings s) {
        Map<String, Shape> all = new HashMap<>();
        s.neighbours().forEach(n -> all.put(n.id(), Shape.of(n, PLAIN)));
        return all;
    }

    /** Two rods 10 mm thick, corner to corner: boxes touch long before the rods do. */
    @Test
    public void roundThingsAreFartherApartThanTheirBoxes() {
        Surroundings s = FRAME.with(neighbour("a", "", Form.CYLINDER, new Vec3(0, 0, 0), new Vec3(10, 10, 50), "z"))
                .with(neighbour("b", "carriage", Form.CYLINDER, new Vec3(12, 12, 0), new Vec3(10, 10, 50), "z"));
        Map<String, Double> home = s.home();
        assertEquals(new Gaps(s).betweenBoxes(home).orElseThrow().mm(), Math.hypot(2, 2), 1e-9);
        Gaps gaps = new Gaps(s, shapes(s));
        assertTrue(gaps.hasShapes());
        // Middles lie 12·√2 apart; the polygon's sides lie up to r·(1 − cos(π/48)) inside the circle.
        assertEquals(gaps.betweenShapes(home).orElseThrow().mm(), Math.hypot(12, 12) - 10, 0.025);
        assertEquals(gaps.shapesAlong("x", home, 5, () -> true).get(4).getAsDouble(), Math.hypot(112, 12) - 10, 0.05);
    }

    @Test
    public void boxesKeepTheirExactGaps() {
        Surroundings s = FRAME.with(neighbour("a", "", Form.BOX, Vec3.ZERO, new Vec3(10, 10, 10), "z"))
                .with(neighbour("b", "carriage", Form.BOX, new Vec3(7, 0, 0), new Vec3(10, 10, 10), "z"));
        Gaps gaps = new Gaps(s, shapes(s));
        assertTrue(!gaps.hasShapes());
        assertEquals(gaps.betweenShapes(s.home()).orElseThrow().mm(), gaps.betweenBoxes(s.home()).orElseThrow().mm(), 0);
        assertEquals(gaps.betweenShapes(s.home()).orElseThrow().mm(), -3, 1e-12);
    }

    private static double overlap(Neighbour a, Neighbour b) {
        double most = Double.NEGATIVE_INFINITY;
        for (Along d : Along.values()) {
            double ahead = d.of(b.corner()) - d.of(a.corner()) - d.of(a.size());
            double behind = d.of(a.corner()) - d.of(b.corner()) - d.of(b.size());
            most = Math.max(most, Math.max(ahead, behind));
        }
        return most;
    }

    /** Pruned by boxes or not, the answer is the smallest of all pairs. */
    @Test
    public void theTightestPairIsFoundAmongMany() {
        Random random = new Random(9);
        for (int round = 0; round < 30; round++) {
            Surroundings s = FRAME;
            for (int i = 0; i < 8; i++) {
                Form form = new Form[] {Form.BOX, Form.CYLINDER, Form.PROFILE}[random.nextInt(3)];
                s = s.with(neighbour("n" + i, i % 2 == 0 ? "" : "carriage", form,
                        new Vec3(80 * random.nextDouble(), 80 * random.nextDouble(), 80 * random.nextDouble()),
                        new Vec3(5 + 10 * random.nextDouble(), 5 + 10 * random.nextDouble(), 5 + 10 * random.nextDouble()),
                        "xyz".substring(i % 3, i % 3 + 1)));
            }
            Map<String, Shape> shapes = shapes(s);
            double best = Double.POSITIVE_INFINITY;
            for (Neighbour a : s.neighbours()) {
                for (Neighbour b : s.neighbours()) {
                    if (a.group().isEmpty() && !b.group().isEmpty()) {
                        Clearance c = Clearance.between(shapes.get(a.id()).tree(), shapes.get(b.id()).tree(), Placement.HERE);
                        boolean boxes = a.form() == Form.BOX && b.form() == Form.BOX;
                        // Where two boxes overlap the depth is told by their boxes: the shortest way out along x, y or z.
                        best = Math.min(best, !c.intersects() ? c.gapMm() : boxes ? overlap(a, b) : -c.depthMm());
                    }
                }
            }
            // Along the axis each place must say what asking for that pose says.
            List<java.util.OptionalDouble> along = new Gaps(s).boxesAlong("x", s.home(), 11);
            for (int i = 0; i < 11; i++) {
                assertEquals(along.get(i).getAsDouble(), new Gaps(s).betweenBoxes(Map.of("x", 10.0 * i)).orElseThrow().mm(), 1e-9);
            }
            double found = new Gaps(s, shapes).betweenShapes(s.home()).orElseThrow().mm();
            assertEquals(found, best, 1e-6, "round " + round);
        }
    }

    @Test
    public void aProfileHasSlotsAndAPlateTheHolesThatWereRead() {
        Mesh profile = PLAIN.of(neighbour("p", "", Form.PROFILE, new Vec3(5, 5, 5), new Vec3(20, 20, 100), "z"));
        assertEquals(profile.bounds().size(), new Vec3(20, 20, 100));
        assertTrue(profile.volumeMm3() < 0.8 * 20 * 20 * 100 && profile.volumeMm3() > 0.5 * 20 * 20 * 100);
        PatternSheet sheet = PatternSheet.empty("four holes");
        for (HolePair pair : List.of(HolePair.AB, HolePair.AD)) {
            sheet = sheet.plus(pair, Jaw.OUTSIDE, new Reading(34, Instant.EPOCH, "calipers")).plus(pair, Jaw.INSIDE,
                    new Reading(26, Instant.EPOCH, "calipers"));
        }
        MeasuredPattern pattern = MeasuredPattern.of(sheet).orElseThrow();
        NeighbourMesh meshes = new NeighbourMesh(id -> Optional.of(HolePattern.of(pattern)).filter(p -> id.equals("s")), id -> Optional.empty());
        Neighbour plate = new Neighbour("q", "plate", "", Neighbour.Kind.SOLID, Form.PLATE, Vec3.ZERO, new Vec3(50, 6, 50), "y", 3, 0, "s", 0);
        List<MeshRounds.Round> holes = MeshRounds.of(meshes.of(plate));
        assertEquals(holes.size(), 4, holes.toString());
        assertEquals(holes.get(0).axis(), 1, "they go through it");
        double nearest = holes.stream().skip(1).mapToDouble(h -> holes.get(0).spacing(h)).min().orElseThrow();
        assertEquals(nearest, 30, 1e-3);
    }

    @Test
    public void aModelIsLaidDownWithItsCornerWhereItWasPut() {
        Mesh brick = PLAIN.of(neighbour("b", "", Form.BOX, new Vec3(-3, 4, 9), new Vec3(10, 20, 30), "z"));
        for (String along : List.of("x", "y", "z")) {
            for (double turn : new double[] {0, 90, 180, 270}) {
                NeighbourMesh meshes = new NeighbourMesh(id -> Optional.empty(), id -> Optional.of(brick));
                Neighbour n = new Neighbour("m", "m", "", Neighbour.Kind.SOLID, Form.MODEL, new Vec3(1, 2, 3), Vec3.ZERO, along, 3, 0, "x", turn);
                Vec3 size = NeighbourMesh.laidDown(new Vec3(10, 20, 30), n.direction(), turn);
                Mesh laid = meshes.of(n);
                assertTrue(laid.bounds().min().minus(new Vec3(1, 2, 3)).length() < 1e-9);
                assertTrue(laid.bounds().size().minus(size).length() < 1e-9, along + " " + turn);
                assertEquals(size.dot(n.direction()), 30, 1e-9, "its z points along " + along);
                assertEquals(laid.volumeMm3(), 6000, 1e-6, "not mirrored");
            }
        }
    }

    @Test
    public void aCoarserMeshKeepsItsPlace() {
        Mesh fine = PLAIN.of(neighbour("r", "", Form.CYLINDER, Vec3.ZERO, new Vec3(40, 40, 90), "z"));
        assertTrue(Coarser.of(fine, 1_000_000) == fine);
        Mesh coarse = Coarser.of(fine, 60);
        assertTrue(coarse.triangleCount() > 0 && coarse.triangleCount() <= 60, "as few as was asked for: " + coarse.triangleCount());
        assertTrue(coarse.bounds().size().minus(fine.bounds().size()).length() < 9, "within a cell of the coarsest grid");
    }

    @Test
    public void groupsAndAxesAreNotPulledFromUnderWhatRidesOnThem() {
        Surroundings s = FRAME.with(neighbour("b", "carriage", Form.BOX, Vec3.ZERO, new Vec3(10, 10, 10), "z"));
        assertTrue(expectThrows(SpaceProblem.class, () -> s.withoutAxis("x")).getMessage().contains("rides on x"));
        assertTrue(expectThrows(SpaceProblem.class, () -> s.withoutGroup("carriage")).getMessage().contains("b moves with"));
        assertTrue(expectThrows(SpaceProblem.class, () -> s.with(new Group("tool", List.of("q")))).getMessage().contains("no axis “q”"));
        assertTrue(expectThrows(SpaceProblem.class, () -> s.with(neighbour("m", "", Form.MODEL, Vec3.ZERO, new Vec3(1, 1, 1), "z")))
                .getMessage().contains("which downloaded model"));
        assertEquals(s.without("b").withoutGroup("carriage").withoutAxis("x").axes(), List.of());
    }
}
