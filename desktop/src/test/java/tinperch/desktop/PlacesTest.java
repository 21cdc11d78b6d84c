package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotSame;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.Station;
import tinperch.desktop.look.Ui;
import tinperch.desktop.machine.MachineView;
import tinperch.desktop.sheet.Turntable;
import tinperch.machine.Machine;

/** Going from machine to machine: every sheet shows its own machine, stays as it was left, and costs no more than it must. */
public class PlacesTest extends WindowTest {
    private Machine machine(String id) {
        return desk.state().machine(id).orElseThrow();
    }

    private List<MachineView> views() throws Exception {
        return onFx(() -> stage.getScene().getRoot().lookupAll(".machine-view").stream().filter(MachineView.class::isInstance)
                .map(MachineView.class::cast).toList());
    }

    @Test
    public void everySheetShowsAndChangesItsOwnMachine() throws Exception {
        // One sheet lies ready when nothing happens; whichever machine comes next gets it.
        waitFor(() -> stage.getScene().getRoot().lookupAll(".machine-view").stream().anyMatch(n -> n instanceof MachineView
                && Boolean.TRUE.equals(n.getProperties().get(Ui.PUT_AWAY))), "no sheet was made ready");
        for (String id : List.of("avocet", "turnstone", "curlew", "ruff", "turnstone", "avocet")) {
            click("machine-" + id);
            assertEquals(text("machine-name"), machine(id).name());
            assertEquals(text("machine-summary"), machine(id).summary());
            assertTrue(text("supply").startsWith(String.valueOf((int) machine(id).supplyV())), text("supply"));
        }
        String other = machine("turnstone").summary();
        type("machine-summary", "the one that was typed at");
        assertEquals(machine("avocet").summary(), "the one that was typed at");
        assertEquals(machine("turnstone").summary(), other);
        click("machine-turnstone");
        assertEquals(text("machine-summary"), other);
        click("undo");
        assertEquals(text("machine-summary"), other, "what is undone elsewhere leaves this page alone");
        click("machine-avocet");
        assertFalse(text("machine-summary").contains("typed at"));
    }

    @Test
    public void onesComingBackIsToTheSamePlace() throws Exception {
        click("machine-avocet");
        MachineView first = machineView();
        onFx(() -> {
            first.sheet().setVvalue(0.4);
            return null;
        });
        click("machine-ruff");
        assertNotSame(machineView(), first);
        click("machine-avocet");
        assertSame(machineView(), first);
        assertEquals(first.sheet().getVvalue(), 0.4, 1e-9);
    }

    @Test
    public void thePagesPutAwayAreFew() throws Exception {
        for (int i = 0; i < 7; i++) {
            robot.push(KeyCode.CONTROL, KeyCode.M);
        }
        machineView();
        assertTrue(views().size() <= 7, "six looked at lately and one that lies ready: " + views().size());
        assertEquals(views().stream().filter(Node::isVisible).count(), 1);
        for (int i = 0; i < 7; i++) {
            click("undo");
        }
        assertEquals(desk.state().machines().size(), 4);
        assertTrue(desk.machine().isPresent(), "the machine looked at is gone; another is shown");
    }

    /** Each node in the window costs time in every frame of an edit: a machine one has left is kept outside, with all of its pages, and comes back as it was. */
    @Test
    public void aMachineOneHasLeftIsKeptOutsideTheWindow() throws Exception {
        click("machine-avocet");
        MachineView avocet = machineView();
        onFx(() -> {
            desk.goTo(Page.BOOK);
            return null;
        });
        Pane pages = (Pane) avocet.getChildren().get(1);
        int all = Page.values().length;
        waitFor(() -> pages.getChildren().size() == all, "all are made in the pauses");
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        assertEquals(views(), List.of());
        type("field-plate.width", "84");
        click("machine-avocet");
        assertSame(machineView(), avocet);
        waitFor(() -> pages.getChildren().size() == all, "pages nobody has come to are put in again in the pauses");
        goTo("avocet-blower", Station.SHAPE);
        click("machine-avocet");
        onFx(() -> {
            desk.goTo(Page.READINGS);
            assertEquals(pages.getChildren().stream().filter(Node::isVisible).map(Ui::idOf).toList(), List.of("readings"), "and at once where one comes to it");
            return null;
        });
    }

    /** The same of stations: one that was left a while ago is out of the window, and as it was when one comes back. */
    @Test
    public void aStationOneHasLeftIsKeptOutsideTheWindow() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        Node field = need("field-plate.width");
        onFx(() -> {
            ((TextField) field).setText("77");
            return null;
        });
        goTo("avocet-blower", Station.TROUBLE);
        assertSame(field.getScene(), stage.getScene(), "to and fro it is there");
        waitFor(() -> field.getScene() == null, "one stays where one is, and it still is in the window");
        goTo("avocet-blower", Station.SHAPE);
        assertSame(need("field-plate.width"), field);
        type("field-plate.width", "84");
        assertEquals(((TextField) field).getText(), "84");
        waitForPicture();
    }

    /** A page kept as one picture is painted as a whole for the smallest change in it; none may be. */
    @Test
    public void nothingInTheWindowIsKeptAsAPicture() throws Exception {
        click("machine-avocet");
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        int seen = 0;
        for (Node pane : onFx(() -> List.copyOf(stage.getScene().getRoot().lookupAll(".scroll-pane")))) {
            Node viewport = onFx(() -> pane.lookup(".viewport"));
            if (viewport != null && pane instanceof ScrollPane && pane.getStyleClass().contains("bare")) {
                assertFalse(viewport.isCache(), pane.toString());
                seen++;
            }
        }
        assertTrue(seen > 2, "the shelf, the sheet, the margins: " + seen);
    }

    @Test
    public void aCardOfTheShelfStaysTheSameWhileItsMachineDoes() throws Exception {
        Node avocet = need("machine-avocet");
        Node ruff = need("machine-ruff");
        click("machine-ruff");
        click("machine-avocet");
        assertSame(need("machine-avocet"), avocet);
        assertSame(need("machine-ruff"), ruff);
        type("machine-note", "the belt is off");
        assertNotSame(need("machine-avocet"), avocet, "what it shows has changed");
        assertSame(need("machine-ruff"), ruff);
    }

    @DataProvider
    public Object[][] turns() {
        return new Object[][] {{0, 0}, {3, 0}, {0, 4}, {5, 4}, {2, -12}, {7, 6}};
    }

    /** The turntable's picture leaves a margin whatever way the machine is turned. */
    @Test(dataProvider = "turns")
    public void aTurnedMachineIsNeverCutOff(int left, int down) throws Exception {
        click("machine-curlew");
        click("page-surroundings");
        waitFor(() -> turntable() != null && picture() != null, "no turntable");
        Turntable t = turntable();
        onFx(() -> {
            t.requestFocus();
            return null;
        });
        for (int i = 0; i < left; i++) {
            robot.push(KeyCode.LEFT);
        }
        for (int i = 0; i < Math.abs(down); i++) {
            robot.push(down > 0 ? KeyCode.DOWN : KeyCode.UP);
        }
        QuickRobot.settle();
        onFx(() -> {
            Image image = picture();
            int w = (int) image.getWidth();
            int h = (int) image.getHeight();
            int drawn = 0;
            for (int x = 0; x < w; x++) {
                assertEquals(image.getPixelReader().getArgb(x, 0) >>> 24, 0, "cut off above at " + x);
                assertEquals(image.getPixelReader().getArgb(x, h - 1) >>> 24, 0, "cut off below at " + x);
                drawn += image.getPixelReader().getArgb(x, h / 2) >>> 24 == 0 ? 0 : 1;
            }
            for (int y = 0; y < h; y++) {
                assertEquals(image.getPixelReader().getArgb(0, y) >>> 24, 0, "cut off at the left at " + y);
                assertEquals(image.getPixelReader().getArgb(w - 1, y) >>> 24, 0, "cut off at the right at " + y);
            }
            assertTrue(drawn > w / 12, "and it is not small: " + drawn + " of " + w);
            return null;
        });
    }

    private Turntable turntable() {
        return Ui.find(stage.getScene().getRoot(), "turntable") instanceof Turntable t ? t : null;
    }

    private Image picture() {
        return turntable().getChildrenUnmodifiable().stream().filter(ImageView.class::isInstance).map(n -> ((ImageView) n).getImage())
                .findFirst().orElse(null);
    }

    @Test
    public void aMachineNobodyIsAtKeepsNoLargePicturesAndDrawsThemAgainWhenOneComesBack() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        Node views = need("space-views");
        waitFor(() -> pictures(views) == 2, "the views are not drawn");
        click("machine-turnstone");
        waitFor(() -> pictures(views) == 0, "pictures of a machine nobody is at are kept");
        click("machine-avocet");
        waitFor(() -> pictures(views) == 2, "the views are not drawn again");
        click("page-sheet");
        click("page-surroundings");
        waitFor(() -> pictures(views) == 2, "the page next to it keeps its pictures");
    }

    /** Canvases and lines that hold a picture. */
    private static long pictures(Node views) {
        return ((Parent) views).getChildrenUnmodifiable().stream().filter(n -> n instanceof Canvas || n instanceof ImageView v && v.getImage() != null).count();
    }
}
