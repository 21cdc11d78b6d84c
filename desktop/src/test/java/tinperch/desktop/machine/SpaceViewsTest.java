package tinperch.desktop.machine;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import org.testng.annotations.Test;
import tinperch.desktop.QuickRobot;
import tinperch.desktop.WindowTest;
import tinperch.machine.space.Along;
import tinperch.machine.space.Distance;
import tinperch.machine.space.End;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
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
        QuickRobot.settle();
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

    private double[] seen(ThreeViews v, String name, Vec3 looking, double shareX, double shareY) {
        Surroundings s = desk.state().machine("avocet").orElseThrow().surroundings();
        double[] b = v.along(looking).box(s.bounds(thing(name), s.home()));
        return new double[] {b[0] + shareX * b[2], b[1] + shareY * b[3]};
    }

    private ThreeViews asDrawn(Node canvas) {
        ThreeViews v = new ThreeViews();
        v.take(desk.state().machine("avocet").orElseThrow().surroundings().reach().orElseThrow());
        v.fitInto(canvas.getLayoutBounds().getWidth(), canvas.getLayoutBounds().getHeight(), true);
        return v;
    }

    /** Clicks on a thing in a view, at a share of its width and height from its upper left. */
    private void point(String name, Vec3 looking, double shareX, double shareY) throws Exception {
        onFx(() -> {
            Node canvas = find("space-views");
            double[] at = seen(asDrawn(canvas), name, looking, shareX, shareY);
            clickAt(canvas, at[0], at[1]);
            return null;
        });
        QuickRobot.settle();
    }

    private static void clickAt(Node on, double x, double y) {
        Point2D at = on.localToScene(x, y);
        fire(on, MouseEvent.MOUSE_MOVED, x, y);
        fire(on, MouseEvent.MOUSE_PRESSED, x, y);
        fire(on, MouseEvent.MOUSE_RELEASED, x, y);
        Event.fireEvent(on, new MouseEvent(MouseEvent.MOUSE_CLICKED, at.getX(), at.getY(), at.getX(), at.getY(), MouseButton.PRIMARY, 1, false, false, false, false, true, false, false, false, false, true,
                null));
    }

    @Test
    public void bothEndsOfADistanceAreClickedOnInTheDrawingLowerOneFirst() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        click("side-distances");
        int before = desk.state().machine("avocet").orElseThrow().surroundings().distances().size();
        // The supply's left side first, then the right side of the upright, which lies lower: they are taken the other way round.
        point("supply", Vec3.Y, 0, 0.5);
        point("right upright", Vec3.Y, 1, 0.3);
        type("distance-reading", "6.5");
        Distance d = desk.state().machine("avocet").orElseThrow().surroundings().distances().get(before);
        assertEquals(d.from(), new End(thing("right upright").id(), End.Where.HIGH));
        assertEquals(d.to(), new End(thing("supply").id(), End.Where.LOW));
        assertEquals(thing("supply").corner().x(), 292 + 6.5, 1e-6);
        // Its number stands on the drawing and is read again there; a note and a correction stay with the reading.
        press("distance-" + d.id());
        type("reading-distance", "6.7");
        assertEquals(thing("supply").corner().x(), 292 + 6.6, 1e-6);
        press("chip-distance-0");
        type("chip-note", "with the cover on");
        press("chip-distance-0");
        type("chip-value", "6.3");
        Distance after = desk.state().machine("avocet").orElseThrow().surroundings().distance(d.id()).orElseThrow();
        assertEquals(after.readings().get(0).note(), "with the cover on");
        assertEquals(after.readings().get(0).earlier(), java.util.List.of(6.5));
        assertEquals(thing("supply").corner().x(), 292 + 6.5, 1e-6);
        press("distance-swap");
        assertEquals(thing("supply").corner().x(), 292 - 6.5, 1e-6, "read the other way round");
        click("undo");
        assertEquals(thing("supply").corner().x(), 292 + 6.5, 1e-6);
    }

    @Test
    public void aSizeIsChangedWhereItStandsOnTheDrawing() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        press("neighbour-" + thing("supply").id());
        onFx(() -> {
            Node canvas = find("space-views");
            Surroundings s = desk.state().machine("avocet").orElseThrow().surroundings();
            SpaceTag width = new SpaceTags(asDrawn(canvas), s, s.home()).of(thing("supply").id()).stream().filter(t -> t.along() == Along.X && t.distanceId().isEmpty()).findFirst().orElseThrow();
            clickAt(canvas, width.x(), width.y());
            return null;
        });
        QuickRobot.settle();
        type("space-tag", "wide");
        assertFalse(text("space-tightest").isEmpty());
        assertEquals(thing("supply").size().x(), 50.0);
        type("space-tag", "62.5");
        assertEquals(thing("supply").size().x(), 62.5);
        click("undo");
        assertEquals(thing("supply").size().x(), 50.0);
    }

    @Test
    public void numbersTypedWhileDraggingAreTheDistanceFromWhatStandsBefore() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        press("neighbour-" + thing("supply").id());
        onFx(() -> {
            Node canvas = find("space-views");
            ThreeViews v = asDrawn(canvas);
            double[] at = seen(v, "supply", Vec3.Y, 0.5, 0.5);
            fire(canvas, MouseEvent.MOUSE_PRESSED, at[0], at[1]);
            fire(canvas, MouseEvent.MOUSE_DRAGGED, at[0] + 30 * v.scale(), at[1]);
            for (String key : new String[] {"1", "7", ",", "5"}) {
                Event.fireEvent(canvas, new javafx.scene.input.KeyEvent(javafx.scene.input.KeyEvent.KEY_TYPED, key, key, javafx.scene.input.KeyCode.UNDEFINED, false, false, false, false));
            }
            // The mouse trembles; the number holds.
            fire(canvas, MouseEvent.MOUSE_DRAGGED, at[0] + 40 * v.scale(), at[1]);
            fire(canvas, MouseEvent.MOUSE_RELEASED, at[0] + 40 * v.scale(), at[1]);
            return null;
        });
        QuickRobot.settle();
        assertEquals(thing("supply").corner().x(), 292 + 17.5, 1e-9);
    }

    @Test
    public void pullingWhatRidesOnAnAxisMovesTheAxisAndIsNoEdit() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        drag("carriage", 60, 45);
        assertEquals(Double.parseDouble(text("position-x").replace(" mm", "")), 60, 0.11);
        assertEquals(Double.parseDouble(text("position-z").replace(" mm", "")), 45, 0.11);
        assertFalse(desk.workshop().undoLabel().isPresent(), "moving is looking");
        // No farther than it goes.
        press("pose-home");
        drag("carriage", 900, -50);
        assertEquals(text("position-x"), "230 mm");
        assertEquals(text("position-z"), "0 mm");
    }

    @Test
    public void itMovesAsWhatIsPointedAtMoves() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        press("neighbour-" + thing("supply").id());
        press("neighbour-with");
        point("hot block", Vec3.Y, 0.5, 0.5);
        assertEquals(thing("supply").group(), "carriage");
        click("undo");
        assertEquals(thing("supply").group(), "");
    }

    @Test
    public void aCableRunsWhereOneClicksAndSaysItsSlack() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        click("side-lines");
        point("top beam", Vec3.Y, 0.5, 0);
        point("hot block", Vec3.Y, 0.5, 0.5);
        type("line-name", "lamp cable");
        assertTrue(text("line-complaint").contains("How thick"), text("line-complaint"));
        type("line-across", "5");
        Surroundings s = desk.state().machine("avocet").orElseThrow().surroundings();
        Run made = s.runs().get(s.runs().size() - 1);
        assertEquals(made.holds().get(0).at().z(), 400, 1e-9, "on top of the beam");
        assertEquals(made.holds().get(1).group(), "carriage");
        assertTrue(text("line-fit-" + made.id()).contains("needs"), text("line-fit-" + made.id()));
        press("line-" + made.id());
        type("line-length", "300");
        assertTrue(text("line-fit-" + made.id()).contains("too short"), text("line-fit-" + made.id()));
        press("line-remove");
        assertEquals(desk.state().machine("avocet").orElseThrow().surroundings().runs().size(), s.runs().size() - 1);
        click("undo");
        assertEquals(desk.state().machine("avocet").orElseThrow().surroundings().run(made.id()).orElseThrow().lengthMm(), 300.0);
    }

    @Test
    public void aSiteBeginsOnTheFaceClickedOnAndGoesWithIt() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        click("side-sites");
        point("supply", Vec3.Y, 0.5, 0);
        type("site-name", "on the supply");
        tinperch.machine.space.Site site = desk.state().machine("avocet").orElseThrow().surroundings().sites().stream().filter(x -> x.name().equals("on the supply")).findFirst().orElseThrow();
        assertEquals(site.facing(), Vec3.Z);
        assertEquals(site.at().z(), 90, 1e-9);
        press("neighbour-" + thing("supply").id());
        drag("supply", 0, 150.04);
        double up = thing("supply").corner().z() + 20;
        assertTrue(up > 100);
        assertEquals(desk.state().machine("avocet").orElseThrow().surroundings().site(site.id()).orElseThrow().at().z(), 90 + up, 1e-9);
        // A face of the downloaded blower with its holes is offered.
        click("side-sites");
        waitFor(() -> find("site-offer-" + thing("blower").id() + "-0") != null, "no face of the blower is offered");
        press("site-offer-" + thing("blower").id() + "-0");
        press("site-put");
        tinperch.machine.space.Site on = desk.state().machine("avocet").orElseThrow().surroundings().sites().stream().filter(x -> x.onId().equals(thing("blower").id())).findFirst().orElseThrow();
        assertTrue(on.drawn().holes().size() >= 2, on.toString());
        assertEquals(on.group(), "carriage");
    }
}
