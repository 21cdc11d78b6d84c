package tinperch.machine.space;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.book.Book;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** Machines whose neighbours and poses are thrown by dice; plan views are measured by the JTS Topology Suite as well. */
public class SurroundingsFuzzTest {
    private static final GeometryFactory JTS = new GeometryFactory();
    private static final NeighbourMesh PLAIN = new NeighbourMesh(id -> Optional.empty(), id -> Optional.empty());
    /** Corners of a drawn rod lie on its circle, its sides within: 22 mm · (1 − cos π/48) for each of two. */
    private static final double CHORD_MM = 0.095;

    @DataProvider
    public Object[][] machines() {
        List<Object[]> all = new ArrayList<>();
        for (Machine.Kind kind : Machine.Kind.values()) {
            for (int seed = 0; seed < 4; seed++) {
                all.add(new Object[] {kind, seed});
            }
        }
        return all.toArray(Object[][]::new);
    }

    private static Surroundings thrown(Machine.Kind kind, Random r, int count) {
        Surroundings s = StartingFrames.of(new Machine("m", "m", kind, "", new Machine.Space(200, 180, 160), 0.4, true, 24, 0, List.of(),
                Machine.State.FIT, "", Book.EMPTY));
        List<String> groups = new ArrayList<>(s.groups().stream().map(Group::name).toList());
        groups.add("");
        for (int i = 0; i < count; i++) {
            boolean round = r.nextBoolean();
            double w = 5 + r.nextInt(40);
            Neighbour n = new Neighbour("n" + i, "neighbour " + i, groups.get(r.nextInt(groups.size())),
                    r.nextInt(6) == 0 ? Neighbour.Kind.ACCESS : Neighbour.Kind.SOLID, round ? Neighbour.Form.CYLINDER : Neighbour.Form.BOX,
                    new Vec3(r.nextInt(500) - 250, r.nextInt(500) - 250, 0), new Vec3(w, round ? w : 5 + r.nextInt(60), 50), "z", 3, 0);
            try {
                s = s.with(n);
            } catch (SpaceProblem e) {
                assertTrue(e.getMessage().contains("inside"), e.getMessage());
            }
        }
        return s;
    }

    private static Map<String, Double> pose(Surroundings s, Random r, boolean beyond) {
        Map<String, Double> pose = new HashMap<>();
        for (Axis a : s.axes()) {
            double share = beyond ? 3 * r.nextDouble() - 1 : r.nextDouble();
            pose.put(a.name(), a.fromMm() + (a.toMm() - a.fromMm()) * share);
        }
        return pose;
    }

    @Test(dataProvider = "machines")
    public void nothingEverLeavesTheReach(Machine.Kind kind, int seed) {
        Random r = new Random(seed);
        Surroundings s = thrown(kind, r, 25);
        Bounds reach = s.reach().orElseThrow();
        for (int i = 0; i < 50; i++) {
            // Farther than an axis goes is no farther than its end.
            Map<String, Double> pose = pose(s, r, true);
            for (Neighbour n : s.neighbours()) {
                Bounds b = s.bounds(n, pose);
                assertTrue(b.min().x() >= reach.min().x() - 1e-9 && b.max().x() <= reach.max().x() + 1e-9, n.name());
                assertTrue(b.min().y() >= reach.min().y() - 1e-9 && b.max().y() <= reach.max().y() + 1e-9, n.name());
                assertTrue(b.min().z() >= reach.min().z() - 1e-9 && b.max().z() <= reach.max().z() + 1e-9, n.name());
                assertEquals(b.size().distanceTo(n.size()), 0, 1e-9, "moving changes no size");
            }
        }
    }

    /** Things of one height on the same level: the gap is the distance of their plans, as JTS measures it. */
    @Test(dataProvider = "machines")
    public void gapsAreThoseOfThePlansByJts(Machine.Kind kind, int seed) {
        Random r = new Random(100 + seed);
        Surroundings s = thrown(kind, r, 14);
        Map<String, Shape> shapes = new HashMap<>();
        s.neighbours().forEach(n -> shapes.put(n.id(), Shape.of(n, PLAIN)));
        Gaps gaps = new Gaps(s, shapes);
        for (int i = 0; i < 20; i++) {
            Map<String, Double> pose = pose(s, r, false);
            double nearest = Double.POSITIVE_INFINITY;
            double[] levels = s.neighbours().stream().mapToDouble(n -> s.shift(n.group(), pose).z()).sorted().toArray();
            boolean level = levels[levels.length - 1] - levels[0] < 50;
            for (Neighbour a : level ? s.neighbours() : List.<Neighbour>of()) {
                for (Neighbour b : s.neighbours().subList(s.neighbours().indexOf(a) + 1, s.neighbours().size())) {
                    if (!a.group().equals(b.group()) && a.isMatter() && b.isMatter()) {
                        nearest = Math.min(nearest, plan(a, s, pose).distance(plan(b, s, pose)));
                    }
                }
            }
            Optional<Gaps.Gap> found = gaps.betweenShapes(pose);
            if (!level || Double.isInfinite(nearest)) {
                continue;
            }
            double mm = found.orElseThrow().mm();
            if (nearest > 0) {
                assertEquals(mm, nearest, CHORD_MM, found.get() + " in " + pose);
            } else {
                assertTrue(mm <= CHORD_MM, "the plans overlap, a gap of " + mm + " is told");
            }
            assertTrue(gaps.betweenBoxes(pose).orElseThrow().mm() <= mm + CHORD_MM, "boxes are never farther apart than what is in them");
        }
    }

    private static Geometry plan(Neighbour n, Surroundings s, Map<String, Double> pose) {
        Bounds b = s.bounds(n, pose);
        if (n.form() == Neighbour.Form.CYLINDER) {
            return JTS.createPoint(new Coordinate(b.centre().x(), b.centre().y())).buffer(n.size().x() / 2, 64);
        }
        return JTS.toGeometry(new org.locationtech.jts.geom.Envelope(b.min().x(), b.max().x(), b.min().y(), b.max().y()));
    }

    /** What is told along an axis is what is told at its places, for boxes exactly. */
    @Test(dataProvider = "machines")
    public void alongAnAxisIsPlaceByPlace(Machine.Kind kind, int seed) {
        Random r = new Random(200 + seed);
        Surroundings s = thrown(kind, r, 10);
        Gaps gaps = new Gaps(s);
        Map<String, Double> pose = pose(s, r, false);
        for (Axis axis : s.axes()) {
            var along = gaps.boxesAlong(axis.name(), pose, 5);
            for (int place = 0; place < 5; place++) {
                Map<String, Double> there = new HashMap<>(pose);
                there.put(axis.name(), axis.fromMm() + (axis.toMm() - axis.fromMm()) * place / 4);
                Optional<Gaps.Gap> all = gaps.betweenBoxes(there);
                if (along.get(place).isPresent()) {
                    assertTrue(along.get(place).getAsDouble() >= all.orElseThrow().mm() - 1e-9,
                            "pairs that this axis does not part are left out, none is made nearer");
                }
            }
        }
    }
}
