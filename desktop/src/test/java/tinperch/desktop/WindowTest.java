package tinperch.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.Station;
import tinperch.desktop.look.Ui;
import tinperch.desktop.machine.MachineView;
import tinperch.desktop.window.TinPerchApp;
import tinperch.measure.PatternSheet;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.Workshop;
import tinperch.workshop.engine.FactMemory;

/** Drives the real window by mouse and keyboard. Tests of a class share the window; each has a workshop of its own in it. */
public abstract class WindowTest {
    /** What was found out of the demo by one test need not be found out again by the next. */
    private static final FactMemory KNOWN = new FactMemory(4000);

    protected final FxRobot robot = new QuickRobot();
    protected Path folder;
    protected Desk desk;
    protected Stage stage;

    /** Whether the demo is to be there; else an empty workshop. */
    protected boolean demo() {
        return true;
    }

    /** The demo workshop as a file, written once; every test gets a copy. */
    private static Path template;

    @BeforeClass
    public void openWindow() throws Exception {
        FxToolkit.registerPrimaryStage();
        stage = onFx(Stage::new);
    }

    @BeforeMethod
    public void openWorkshop() throws Exception {
        folder = Files.createTempDirectory("tinperch-window");
        if (demo()) {
            Files.copy(template(), folder.resolve("workshop.db"));
        }
        open();
    }

    private static synchronized Path template() throws IOException {
        if (template == null) {
            template = Files.createTempDirectory("tinperch-demo").resolve("workshop.db");
            TinPerchApp.openWorkshop(template, true).close();
            template.toFile().deleteOnExit();
        }
        return template;
    }

    protected void open() throws Exception {
        onFx(() -> {
            Workshop workshop = TinPerchApp.openWorkshop(folder.resolve("workshop.db"), demo());
            desk = new Desk(workshop, KNOWN);
            TinPerchApp.show(stage, desk, 1280, 800);
            // Whatever a test before made of its size.
            stage.setWidth(1280);
            stage.setHeight(800);
            return null;
        });
        QuickRobot.settle();
    }

    protected void close() throws Exception {
        onFx(() -> {
            javafx.stage.Window.getWindows().stream().filter(w -> w != stage).toList().forEach(javafx.stage.Window::hide);
            desk.close();
            return null;
        });
    }

    @AfterClass(alwaysRun = true)
    public void closeWindow() throws Exception {
        onFx(() -> {
            stage.hide();
            return null;
        });
    }

    @AfterMethod(alwaysRun = true)
    public void closeWorkshop() throws Exception {
        close();
        try (var all = Files.walk(folder)) {
            for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        } catch (IOException e) {
            // A leftover in the system's own temporary folder harms nobody.
        }
    }

    protected static <T> T onFx(Callable<T> work) throws Exception {
        return WaitForAsyncUtils.asyncFx(work).get(30, TimeUnit.SECONDS);
    }

    /** The node with an id, or null. Ids hold dots, so this is not a style selector. */
    protected Node find(String id) {
        if (Platform.isFxApplicationThread()) {
            return Ui.find(stage.getScene().getRoot(), id);
        }
        try {
            return onFx(() -> Ui.find(stage.getScene().getRoot(), id));
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    /** The machine looked at, once all of its pages have been made. */
    protected MachineView machineView() {
        waitFor(() -> shownMachine() != null && shownMachine().isComplete(), "no machine is there");
        try {
            // On the interface's thread: between its steps the view that lies ready is never to be seen.
            return onFx(this::shownMachine);
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    /** That of the machine one has gone to: for a moment the one before is still there. */
    private MachineView shownMachine() {
        MachineView view = shownMachine(stage.getScene().getRoot());
        return view != null && desk.place() instanceof Desk.Place.AtMachine m && m.machineId().equals(view.machineId()) ? view : null;
    }

    /** Asked again and again while a page is made: it looks into nothing that is put away, nor into the view itself. */
    private static MachineView shownMachine(Node in) {
        if (in instanceof MachineView view) {
            return view.isVisible() ? view : null;
        }
        if (in.isVisible() && in instanceof Parent p) {
            for (Node n : p.getChildrenUnmodifiable()) {
                MachineView found = shownMachine(n);
                if (found != null) {
                    return found;
                }
            }
        }
        return null;
    }

    /** Turns to the page of the machine that has something, as one who looks for it would. */
    private boolean turnedTo(String id) {
        Page before = desk.page();
        if (desk.place() instanceof Desk.Place.AtMachine && find(id) == null) {
            for (Page p : Page.values()) {
                desk.goTo(p);
                // What scrolls takes its content in only when it is styled.
                stage.getScene().getRoot().applyCss();
                stage.getScene().getRoot().layout();
                if (find(id) == null && p == Page.SURROUNDINGS) {
                    turnTabs(id);
                }
                if (find(id) != null) {
                    break;
                }
            }
            if (find(id) == null) {
                desk.goTo(before);
            }
        }
        Node found = find(id);
        for (Node n = found; n != null; n = n.getParent()) {
            if (n.getProperties().get("tab") instanceof ToggleButton tab && !n.isVisible()) {
                tab.fire();
            }
        }
        return found != null;
    }

    /** Tabs nobody has looked at may not be made yet. */
    private void turnTabs(String id) {
        for (String tab : new String[] {"side-distances", "side-sites", "side-lines", "side-axes", "side-things"}) {
            if (find(id) == null && find(tab) instanceof ToggleButton b) {
                b.fire();
            }
        }
    }

    protected Node need(String id) {
        if (Platform.isFxApplicationThread()) {
            // Nothing comes while its own thread waits.
            turnedTo(id);
        } else {
            waitFor(() -> turnedTo(id), "no " + id + " in the window");
        }
        return Objects.requireNonNull(find(id));
    }

    /** What a node says. Asked while something is waited for, one that is not there yet says nothing. */
    protected String text(String id) {
        if (Platform.isFxApplicationThread() && !turnedTo(id)) {
            return "";
        }
        Node n = need(id);
        return n instanceof Labeled l ? l.getText() : ((TextInputControl) n).getText();
    }

    protected void click(String id) {
        waitForPicture();
        Node n = need(id);
        // The robot waits after each of moving, pressing and letting go.
        robot.clickOn(n);
        if (id.startsWith("machine-")) {
            waitFor(() -> shownMachine() != null && shownMachine().sheet().isComplete(), "no machine is there");
        }
    }

    /** Fires a button that may lie outside what is scrolled into view. */
    protected void press(String id) throws Exception {
        waitForPicture();
        Node n = need(id);
        onFx(() -> {
            ((ButtonBase) n).fire();
            return null;
        });
        QuickRobot.settle();
        waitForPicture();
    }

    /** Puts the focus into a field, replaces its text by typing, presses Enter. */
    protected void type(String id, String text) throws Exception {
        TextInputControl n = (TextInputControl) need(id);
        onFx(() -> {
            n.requestFocus();
            n.selectAll();
            return null;
        });
        if (text.isEmpty()) {
            robot.push(KeyCode.DELETE);
        } else {
            robot.write(text);
        }
        robot.push(KeyCode.ENTER);
    }

    /** Chooses what a box shows under some words. */
    protected void choose(String id, String words) throws Exception {
        ComboBox<?> box = (ComboBox<?>) need(id);
        onFx(() -> {
            int at = box.getItems().stream().map(x -> box.getConverter() == null ? String.valueOf(x) : label(box, x)).toList().indexOf(words);
            if (at < 0) {
                throw new AssertionError(id + " offers no “" + words + "” but " + box.getItems());
            }
            box.getSelectionModel().select(at);
            return null;
        });
        QuickRobot.settle();
    }

    @SuppressWarnings("unchecked")
    private static <T> String label(ComboBox<T> box, Object item) {
        return item == null ? "" : box.getConverter().toString((T) item);
    }

    /** Something in the menu of a component of the book: under a heading, or on its own. */
    protected javafx.scene.control.MenuItem more(String componentId, String heading, java.util.function.Predicate<javafx.scene.control.MenuItem> is) {
        List<javafx.scene.control.MenuItem> all = ((javafx.scene.control.MenuButton) need("more-" + componentId)).getItems();
        return (heading.isEmpty() ? all : all.stream().filter(i -> heading.equals(i.getText())).findFirst().map(i -> (List<javafx.scene.control.MenuItem>) ((javafx.scene.control.Menu) i).getItems()).orElseThrow()).stream().filter(is)
                .findFirst().orElseThrow();
    }

    protected String complaint(String fieldId) {
        Node n = need(fieldId + "-complaint");
        return n.isVisible() ? ((Label) n).getText() : "";
    }

    protected void goTo(String upgradeId, Station station) throws Exception {
        onFx(() -> {
            desk.goTo(desk.state().upgrade(upgradeId).orElseThrow(), station);
            return null;
        });
        QuickRobot.settle();
    }

    /** The first part of an upgrade. */
    protected PartDesign part(String upgradeId) {
        return upgrade(upgradeId).parts().get(0);
    }

    /** The pattern read on a sheet of a machine. */
    protected PatternSheet pattern(String machine, String sheet) {
        return desk.state().machine(machine).orElseThrow().sheet(sheet).orElseThrow().pattern();
    }

    protected Upgrade upgrade(String id) {
        return desk.state().upgrade(id).orElseThrow();
    }

    protected void waitFor(BooleanSupplier condition, String otherwise) {
        try {
            WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> onFx(condition::getAsBoolean));
        } catch (TimeoutException e) {
            throw new AssertionError(otherwise, e);
        }
    }

    /** Name of the node that has the keyboard; empty when it has none. */
    protected String focused() {
        Node n = stage.getScene().getFocusOwner();
        return n == null ? "" : Ui.idOf(n);
    }

    protected void waitForFocus(java.util.function.Predicate<String> on) {
        try {
            WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> onFx(() -> on.test(focused())));
        } catch (TimeoutException e) {
            throw new AssertionError("the keyboard is at “" + focused() + "” in " + desk.place(), e);
        }
    }

    /** Waits until everything that can be told of what is looked at has been told. */
    protected void waitForPicture() {
        waitFor(() -> desk.settledProperty().get(), "the judgement never ends");
    }


    /** What the first word of a finding's row says. */
    protected String word(String findingId) {
        waitForPicture();
        Parent row = (Parent) need("finding-" + findingId);
        return row.getChildrenUnmodifiable().stream().filter(n -> n.getStyleClass().contains("word"))
                .map(n -> ((Labeled) n).getText()).findFirst().orElse("");
    }

}
