package tinperch.machine.space;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Vec3;

/** What is dragged is caught by faces and middles of what stands around. */
public class SnapTest {
    private static Neighbour box(String id, String group, double x, double width) {
        return new Neighbour(id, id, group, Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(x, 0, 0), new Vec3(width, 10, 10), "z", 0, 0);
    }

    private static final Surroundings SPACE = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 100, false, 1)), List.of(new Group("car", List.of("x"))),
            List.of(box("post", "", 100, 20), box("car", "car", 0, 30), box("lamp", "", 40, 8)));

    private static Optional<Snap> snap(double by, double within, double x) {
        return Snap.nearest(SPACE, SPACE.neighbour("lamp").orElseThrow(), by, Along.X, Map.of("x", x), within);
    }

    @Test
    public void facesMeetFacesAndMiddlesMiddles() {
        Snap touch = snap(51, 3, 0).orElseThrow();
        assertEquals(touch.byMm(), 52.0, "its right side on the post's left");
        assertEquals(List.of(touch.mine(), touch.theirs()), List.of(End.Where.HIGH, End.Where.LOW));
        assertEquals(snap(65.5, 3, 0).orElseThrow().byMm(), 66.0, "middle on middle: 110 − 44");
        assertTrue(snap(30, 3, 0).isEmpty());
    }

    @Test
    public void whatMovesCatchesWhereItStandsNow() {
        assertEquals(snap(13, 3, 25).orElseThrow().byMm(), 15.0, "the car's right side is at 55 now; the lamp's left goes there");
        assertTrue(snap(-2, 3, 60).isEmpty());
        assertTrue(snap(13, 3, 80).isEmpty(), "with the axis elsewhere nothing is there");
    }

    @Test
    public void aSiteBeginsInTheMiddleOfAFaceWithTheHolesOfItsPlate() {
        Neighbour plate = new Neighbour("p", "tower", "car", Neighbour.Kind.SOLID, Neighbour.Form.PLATE, new Vec3(-30, -36, 6), new Vec3(60, 30, 50), "y", 3, 0, "sheet", 0);
        Site s = Site.onFace("s", plate, Vec3.Y);
        assertEquals(s.at(), new Vec3(0, -6, 31));
        assertEquals(List.of(s.group(), s.sheetId(), s.name()), List.of("car", "sheet", "tower, back"));
        assertEquals(Site.onFace("s", plate, Vec3.Z.times(-1)).sheetId(), "", "its holes are on the other faces");
        assertEquals(Site.onFace("s", plate, Vec3.Z.times(-1)).at(), new Vec3(0, -21, 6));
        org.testng.Assert.expectThrows(SpaceProblem.class, () -> Site.onFace("s", plate, new Vec3(0.6, 0.8, 0)));
    }

    @Test
    public void nothingPullsFartherThanItMayAndTheNearestWins() {
        Random r = new Random(4);
        for (int i = 0; i < 500; i++) {
            double by = 160 * r.nextDouble() - 80;
            double within = 6 * r.nextDouble();
            snap(by, within, 20).ifPresent(s -> assertTrue(Math.abs(s.byMm() - by) <= within));
        }
    }
}
