package tinperch.machine.space;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/** Faces one points at, what stands before them, and what lies on them. */
public class FaceTest {
    private static Neighbour box(String id, String group, double x, double y, double z, double w, double d, double h) {
        return new Neighbour(id, id, group, Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(x, y, z), new Vec3(w, d, h), "z", 0, 0);
    }

    private static final Surroundings SPACE = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 100, false, 1)), List.of(new Group("head", List.of("x"))),
            List.of(box("left", "", 0, 0, 0, 10, 20, 30), box("right", "", 60, 5, 5, 10, 20, 30), box("high", "", 25, 0, 50, 10, 10, 10)));

    @Test
    public void theNearestThingBeforeAFaceIsWhatTheCalipersWouldTouch() {
        Neighbour moved = box("m", "", 25, 6, 6, 10, 10, 10);
        Facing f = Facing.nearest(SPACE, moved, Vec3.ZERO, Along.X, Map.of()).orElseThrow();
        assertEquals(f, new Facing("left", End.Where.LOW, 15));
        assertEquals(Facing.nearest(SPACE, moved, Vec3.X.times(20), Along.X, Map.of()).orElseThrow(), new Facing("right", End.Where.HIGH, 5));
        assertEquals(Facing.nearest(SPACE, moved, Vec3.ZERO, Along.Z, Map.of()).orElseThrow(), new Facing("high", End.Where.HIGH, 34));
        assertEquals(Facing.nearest(SPACE, moved, Vec3.ZERO, Along.Y, Map.of()), Optional.empty());
        // To have 12 to the right one, 5 away on its upper side, it goes back by 7; to have 12 to the left one, 15 away below, back by 3.
        assertEquals(new Facing("right", End.Where.HIGH, 5).toReach(12), -7, 1e-12);
        assertEquals(f.toReach(12), -3, 1e-12);
    }

    @Test
    public void aSiteGoesWithTheFaceItLiesOn() {
        Surroundings s = SPACE.with(Site.onFace("s", SPACE.neighbour("right").orElseThrow(), Vec3.Y.times(-1)));
        assertEquals(s.site("s").orElseThrow().at(), new Vec3(65, 5, 20));
        Neighbour right = s.neighbour("right").orElseThrow();
        assertEquals(s.with(right.at(new Vec3(70, 7, 5))).site("s").orElseThrow().at(), new Vec3(75, 7, 20), "moved with it");
        assertEquals(s.with(right.sized(new Vec3(10, 20, 50))).site("s").orElseThrow().at(), new Vec3(65, 5, 30), "still in the middle of a taller face");
        assertEquals(s.withPlaced(List.of(right.at(new Vec3(0, 0, 0)))).site("s").orElseThrow().at(), new Vec3(5, 0, 15));
        assertEquals(s.with(s.neighbour("left").orElseThrow().at(Vec3.Z)).site("s").orElseThrow().at(), new Vec3(65, 5, 20), "another's move leaves it");
    }

    @Test
    public void accessReachesOutTheWayAHandComes() {
        Neighbour button = new Neighbour("b", "button", "", Neighbour.Kind.ACCESS, Neighbour.Form.BOX, new Vec3(0, 0, 0), new Vec3(10, 4, 10), "z", 60, 0);
        assertEquals(button.reached(), button, "from anywhere: only its own room");
        assertEquals(button.going("-y").reached().bounds(Vec3.ZERO).min(), new Vec3(0, -60, 0));
        assertEquals(button.going("z").reached().bounds(Vec3.ZERO).max(), new Vec3(10, 4, 70));
        assertEquals(button.going("sideways").way(), "", "a way nobody knows is none");
        assertEquals(box("q", "", 0, 0, 0, 1, 1, 1).going("x").reached().size(), new Vec3(1, 1, 1), "only access reaches out");
    }

    /** Volume of a cone over an ellipse: ⅓ · π · a · b · h. */
    @Test
    public void aConeIsClosedAndHoldsAThirdOfItsCylinder() {
        NeighbourMesh meshes = new NeighbourMesh(id -> Optional.empty(), id -> Optional.empty());
        for (String way : List.of("x", "-x", "y", "-y", "z", "-z")) {
            Neighbour lamp = new Neighbour("l", "lamp", "", Neighbour.Kind.LIGHT, Neighbour.Form.CONE, new Vec3(5, 6, 7), new Vec3(40, 60, 90), "z", 0, 0).going(way);
            Mesh m = meshes.of(lamp);
            assertEquals(m.openEdges(), 0);
            double want = Math.PI * 40 * 60 * 90 / 12;
            assertEquals(m.volumeMm3(), want, 0.004 * want, way);
            assertEquals(m.bounds().centre().minus(new Vec3(25, 36, 52)).length(), 0, 0.2, way);
            Vec3 tip = new Vec3(25, 36, 52).minus(lamp.towards().orElseThrow().times(lamp.size().dot(lamp.towards().orElseThrow().times(way.startsWith("-") ? -1 : 1)) / 2));
            boolean has = false;
            for (int i = 0; i < m.pointCount(); i++) {
                has |= m.point(i).minus(tip).length() < 1e-9;
            }
            assertTrue(has, "its tip is where it opens from, " + way);
        }
    }
}
