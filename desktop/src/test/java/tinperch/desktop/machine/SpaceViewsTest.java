package tinperch.desktop.machine;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import org.testfx.util.WaitForAsyncUtils;
import org.testng.annotations.Test;
import tinperch.desktop.WindowTest;
import tinperch.machine.space.Along;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** The three views of a machine: in line, brought near where one points, and things moved in them with the mouse. */
public class SpaceViewsTest extends WindowTest {
    private static ThreeViews views(Bounds all) {
        ThreeViews v = new ThreeViews();
        v.take(all);
        v.fitInto(800, 600, false);
        return v;
    }

    private static final Bounds ROOM = new Bounds(new Vec3(-50, -20, 0), new Vec3(250, 180, 400));

    @Test
    public void thePlanStandsOverTheFrontAndTheSideBesideItToOneScale() {
        ThreeViews v = views(ROOM);
        Vec3 p = new Vec3(30, 70, 110);
        double[] plan = v.along(Vec3.Z).point(p);
        double[] front = v.along(Vec3.Y).point(p);
        double[] side = v.along(Vec3.X).point(p);
        assertEquals(plan[0], front[0], 1e-9, "x is above x");
        assertEquals(front[1], side[1], 1e-9, "z is beside z");
        assertEquals(v.along(Vec3.Z).point(p.plus(Vec3.X.times(10)))[0] - plan[0], 10 * v.scale(), 1e-9);
        assertEquals(side[0] - v.along(Vec3.X).point(p.minus(Vec3.Y.times(10)))[0], 10 * v.scale(), 1e-9);
    }

    @Test
    public void whatOnePointsAtStaysWhileItComesNearer() {
        ThreeViews v = views(ROOM);
        Vec3 p = new Vec3(200, 40, 300);
        double[] at = v.along(Vec3.Y).point(p);
        double before = v.scale();
        for (int i = 0; i < 8; i++) {
            v.nearer(0.8, at[0], at[1]);
            v.fitInto(800, 600, false);
            double[] now = v.along(Vec3.Y).point(p);
            assertEquals(now[0], at[0], 1e-6);
            assertEquals(now[1], at[1], 1e-6);
        }
        assertTrue(v.scale() > 5 * before);
        // It never comes nearer than can be told apart, and going away ends with all of it.
        for (int i = 0; i < 60; i++) {
            v.nearer(0.5, at[0], at[1]);
            v.fitInto(800, 600, false);
        }
        assertTrue(v.scale() < 100 * before, "bounded: " + v.scale());
        for (int i = 0; i < 60; i++) {
            v.nearer(2, at[0], at[1]);
            v.fitInto(800, 600, false);
        }
        assertEquals(v.scale(), before, 1e-12);
        v.pan(new Vec3(40, 0, 0));
        v.fitInto(800, 600, false);
        assertEquals(v.along(Vec3.Y).point(p)[0], at[0], 1e-9, "all of it is not moved away");
        v.closeUp(new Bounds(new Vec3(190, 30, 290), new Vec3(210, 50, 310)));
        v.fitInto(800, 600, false);
        assertTrue(v.at(v.along(Vec3.Y).point(p)[0], v.along(Vec3.Y).point(p)[1]).isPresent() && v.scale() > 7 * before);
    }

    private Neighbour thing(String name) {
        return desk.state().machine("avocet").orElseThrow().surroundings().neighbours().stream().filter(n -> n.name().equals(name)).findFirst().orElseThrow();
    }

    /** Presses on the middle of a thing in the view from the front, drags by so many millimetres, lets go. */
    private void drag(String name, double mmX, double mmZ) throws Exception {
        onFx(() -> {
            Node canvas = find("space-views");
            Surroundings s = desk.state().machine("avocet").orElseThrow().surroundings();
            ThreeViews v = new ThreeViews();
            v.take(s.reach().orElseThrow());
            v.fitInto(canvas.getLayoutBounds().getWidth(), canvas.getLayoutBounds().getHeight(), true);
            double[] at = v.along(Vec3.Y).point(s.bounds(thing(name), s.home()).centre());
            fire(canvas, MouseEvent.MOUSE_PRESSED, at[0], at[1]);
            fire(canvas, MouseEvent.MOUSE_DRAGGED, at[0] + mmX * v.scale() / 2, at[1] - mmZ * v.scale() / 2);
            fire(canvas, MouseEvent.MOUSE_DRAGGED, at[0] + mmX * v.scale(), at[1] - mmZ * v.scale());
            fire(canvas, MouseEvent.MOUSE_RELEASED, at[0] + mmX * v.scale(), at[1] - mmZ * v.scale());
            return null;
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static void fire(Node on, javafx.event.EventType<MouseEvent> type, double x, double y) {
        Point2D at = on.localToScene(x, y);
        Event.fireEvent(on, new MouseEvent(type, at.getX(), at.getY(), at.getX(), at.getY(), MouseButton.PRIMARY, 1, false, false, false, false, true, false, false, false, false, false, null));
    }

    @Test
    public void aThingIsDraggedCaughtByAFaceAndPutBackByUndo() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        press("neighbour-" + thing("supply").id());
        Neighbour before = thing("supply");
        // Its top at 90 goes up 150 mm; nothing is near there.
        drag("supply", 0.3, 150.04);
        assertEquals(thing("supply").corner().y(), before.corner().y());
        assertEquals(Along.Z.of(thing("supply").corner()), before.corner().z() + 150, 4.1);
        click("undo");
        assertEquals(thing("supply"), before);
        // Its left side is caught by the right upright's, 4 mm to the left of where it stood.
        drag("supply", -3, 0);
        assertEquals(thing("supply").corner().x(), 292, 1e-9, "face on face");
    }

    @Test
    public void aMirroredThingStandsOnTheOtherSideAndIsUsual() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        press("neighbour-" + thing("left upright").id());
        assertTrue(onFx(() -> find("neighbour-at-x").isDisabled()), "its place along x is read");
        assertFalse(onFx(() -> find("neighbour-at-z").isDisabled()), "along z it hangs on nothing");
        press("neighbour-" + thing("supply").id());
        press("neighbour-mirror");
        Neighbour other = thing("supply, other side");
        // About the bed's middle at 115.
        assertEquals(other.corner().x() + other.size().x(), 230 - thing("supply").corner().x(), 1e-9);
        assertFalse(desk.state().machine("avocet").orElseThrow().places().of(other.id(), Along.X).isKnown());
        press("neighbour-copy");
        assertEquals(thing("supply, copy").corner().x(), thing("supply").corner().x() + 55, 1e-9);
    }

    @Test
    public void aPlaceOfTheAxesIsKeptByNameAndTheWayHomeIsPlayed() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        onFx(() -> {
            find("travel-z").requestFocus();
            return null;
        });
        robot.push(javafx.scene.input.KeyCode.END);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(text("position-z"), "250 mm");
        type("pose-name", "service");
        assertEquals(desk.state().machine("avocet").orElseThrow().surroundings().poses().get(0).mm().get("z"), 250.0);
        press("pose-home");
        assertEquals(text("position-z"), "0 mm");
        press("pose-service");
        assertEquals(text("position-z"), "250 mm");
        press("pose-play");
        waitFor(() -> text("position-z").equals("0 mm"), "it never comes home");
        press("pose-service");
        press("pose-forget");
        assertTrue(desk.state().machine("avocet").orElseThrow().surroundings().poses().isEmpty());
        click("undo");
        assertEquals(desk.state().machine("avocet").orElseThrow().surroundings().poses().size(), 1);
    }

    @Test
    public void whatReadingsPlacedIsNotDraggedAway() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        Neighbour beam = thing("gantry beam");
        press("neighbour-" + beam.id());
        drag("gantry beam", 0, 60);
        assertEquals(thing("gantry beam"), beam);
        assertTrue(text("space-tightest").contains("Readings say where the gantry beam is along z"), text("space-tightest"));
        assertFalse(desk.workshop().undoLabel().isPresent(), "nothing was changed");
    }
}
