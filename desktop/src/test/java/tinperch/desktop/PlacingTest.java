package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.function.Predicate;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.MouseButton;
import javafx.scene.shape.Circle;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Station;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.upgrade.PartDesign;

/** Features put where one clicks, dragged on the drawing, counted from edges, middles and holes. */
public class PlacingTest extends WindowTest {
    /** Clicks somewhere in the view from above until a face is picked. */
    private void pickFromAbove(double across, double up) throws Exception {
        Node sheet = need("fitting-sheet");
        // From above the part begins 66 pixels from the left and 40 from the top.
        Point2D p = onFx(() -> sheet.localToScreen(66 + across, 40 + up));
        robot.clickOn(p.getX(), p.getY(), MouseButton.PRIMARY);
    }

    private void add(String kind) throws Exception {
        fire("add-feature", i -> i.getText().equals(kind));
        waitForPicture();
    }

    private void fire(String menu, Predicate<MenuItem> which) throws Exception {
        onFx(() -> {
            ((MenuButton) find(menu)).getItems().stream().filter(which).findFirst().orElseThrow().fire();
            return null;
        });
        QuickRobot.settle();
    }

    private Feature first() {
        return part("avocet-blower").features().get(0);
    }

    @Test
    public void aHoleIsPutWhereOneClicksInTheViewDraggedAndCaughtByTheMiddle() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        assertTrue(need("add-feature").isDisabled());
        pickFromAbove(24, 18);
        assertFalse(need("add-feature").isDisabled(), "the face seen from above is picked");
        double before = desk.drawingProperty().get().volumeMm3();
        add("Hole");
        Anchor a = first().anchor();
        assertEquals(a.outward().z(), 1, 1e-9);
        assertTrue(a.acrossMm() < -10 && a.upwardsMm() > 5, "near the upper left corner, where one clicked: " + a);
        assertTrue(desk.drawingProperty().get().volumeMm3() < before);
        Circle knob = (Circle) need("feature-knob");
        Point2D from = onFx(() -> knob.localToScreen(knob.getCenterX(), knob.getCenterY()));
        Point2D to = onFx(() -> {
            Node sheet = find("fitting-sheet");
            // The middle of the plate lies under the middle of the view: drag near it along x, not quite.
            double k = (knob.getCenterX() - 66) / (a.acrossMm() + desk.drawingProperty().get().mesh().bounds().size().x() / 2);
            return sheet.localToScreen(knob.getCenterX() - (a.acrossMm() - 0.8) * k, knob.getCenterY() + 6);
        });
        robot.drag(from.getX(), from.getY(), MouseButton.PRIMARY);
        robot.moveTo(to.getX() + 12, to.getY());
        robot.moveTo(to.getX(), to.getY());
        robot.drop();
        waitForPicture();
        Anchor b = first().anchor();
        assertEquals(b.across(), Anchor.From.MIDDLE, "caught by the middle");
        assertEquals(b.acrossMm(), 0, 1e-9);
        assertTrue(b.upwardsMm() < a.upwardsMm(), "moved down");
        click("undo");
        waitForPicture();
        assertEquals(first().anchor(), a, "one drag is one step");
        assertTrue(knob.isVisible());
    }

    @Test
    public void aPlaceIsTypedOnTheDrawingAndCountedFromAHoleWithoutMoving() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        pickFromAbove(24, 18);
        add("Hole");
        press("dimension-place-across");
        type("dimension-field-place-across", "-12");
        waitForPicture();
        assertEquals(first().anchor().acrossMm(), -12.0);
        press("dimension-place-across");
        type("dimension-field-place-across", "twelve");
        assertEquals(first().anchor().acrossMm(), -12.0, "a word is refused, the place stays");
        press("feature-f1");
        press("feature-f1");
        double[] was = middle();
        onFx(() -> {
            ComboBox<?> from = (ComboBox<?>) find("feature-from-across");
            int hole = from.getItems().stream().map(Object::toString).toList().indexOf(from.getItems().stream().map(Object::toString)
                    .filter(x -> x.startsWith("tool")).findFirst().orElseThrow());
            from.getSelectionModel().select(hole);
            return null;
        });
        waitForPicture();
        assertEquals(first().anchor().across(), Anchor.From.HOLE);
        assertEquals(middle()[0], was[0], 0.06, "told from a hole, it stays where it is");
        assertEquals(middle()[1], was[1], 0.06);
    }

    private double[] middle() {
        var spot = desk.drawingProperty().get().spots().get("f1");
        return new double[] {spot.acrossMm(), spot.upwardsMm()};
    }

    @Test
    public void aFeatureIsPutOnAnotherFaceAndCutAroundANeighbour() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        pickFromAbove(24, 18);
        add("Pad");
        PartDesign on = part("avocet-blower");
        onFx(() -> desk.edits().make("avocet-blower", on.with(on.features().get(0).with(Anchor.middle("part", "no such face", on.features().get(0).anchor().outward()))), "lose it"));
        waitForPicture();
        assertEquals(word("feature.f1"), "Look", "its face is gone: marked and off");
        pickFromAbove(24, 18);
        press("feature-put-here");
        waitForPicture();
        assertTrue(desk.drawingProperty().get().spots().containsKey("f1"), "it stands again");
        String near = onFx(() -> ((MenuButton) find("add-around")).getItems().get(0).getText());
        fire("add-around", i -> i.getText().equals(near));
        waitForPicture();
        Feature around = part("avocet-blower").feature("f2").orElseThrow();
        assertEquals(around.name(), "around " + near);
        type("feature-clearance", "2 mm");
        waitForPicture();
        assertEquals(part("avocet-blower").feature("f2").orElseThrow().values().numbers().get("clearance"), 2.0);
        close();
        open();
        assertEquals(part("avocet-blower").feature("f2").orElseThrow().around(), around.around(), "what it is cut around is kept");
    }
}
