package tinperch.desktop.shots;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.Station;
import tinperch.desktop.look.Ui;
import tinperch.desktop.machine.MachineView;
import tinperch.desktop.window.TinPerchApp;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;

/** Walks the demo workshop through its main views and writes a PNG of each. */
public final class Shots {
    private final Path out;
    private final String only;
    private final boolean longNames;
    private final boolean all;
    private final Deque<Step> steps = new ArrayDeque<>();
    private final CountDownLatch done = new CountDownLatch(1);
    private Desk desk;
    private Stage stage;
    private int written;

    private record Step(String name, Runnable prepare, boolean wanted) {}

    private Shots(Path out, String only, boolean longNames, boolean all) {
        this.all = all;
        this.out = out;
        this.only = only;
        this.longNames = longNames;
    }

    /** Writes the pictures; returns 0, or 1 when none could be written. */
    public static int run(Path out, int width, int height, String only, boolean dark, boolean longNames,
            boolean all) {
        Shots shots = new Shots(out, only, longNames, all);
        try {
            Files.createDirectories(out);
            Path file = Files.createTempDirectory("tinperch-shots").resolve("demo.db");
            Platform.startup(() -> shots.begin(file, width, height, dark));
            shots.done.await();
            Platform.exit();
        } catch (IOException | InterruptedException e) {
            System.err.println("No pictures: " + e.getMessage());
            return 1;
        }
        System.out.println(shots.written + " pictures in " + out);
        return shots.written > 0 ? 0 : 1;
    }

    private void begin(Path file, int width, int height, boolean dark) {
        // Opened once before, so that there is a backup to be seen.
        TinPerchApp.openWorkshop(file, true).close();
        Workshop workshop = TinPerchApp.openWorkshop(file, true);
        desk = new Desk(workshop);
        if (dark) {
            desk.theme().setDark(true);
        }
        if (longNames) {
            lengthenNames();
        }
        stage = new Stage();
        TinPerchApp.show(stage, desk, width, height);
        Upgrade blower = desk.state().upgrade("avocet-blower").orElseThrow();
        step("standing-sheet", () -> desk.goTo(desk.state().machine("avocet").orElseThrow()));
        detail("two-loadouts", () -> desk.goTo(desk.state().machine("curlew").orElseThrow()));
        step("book", () -> {
            desk.goTo(Page.BOOK);
            ((javafx.scene.control.Slider) find("#book-day")).setValue(300);
            ((Button) find("#fit-open")).fire();
            Platform.runLater(() -> scrollTo(find("#book-day")));
        });
        detail("ruff", () -> desk.goTo(desk.state().machine("ruff").orElseThrow()));
        detail("ruff-space", () -> desk.goTo(Page.SURROUNDINGS));
        detail("ruff-sites", () -> ((javafx.scene.control.ToggleButton) find("#side-sites")).fire());
        detail("curlew", () -> desk.goTo(desk.state().machine("curlew").orElseThrow()));
        detail("curlew-models", () -> desk.goTo(Page.MODELS));
        detail("avocet", () -> desk.goTo(desk.state().machine("avocet").orElseThrow()));
        step("surroundings", () -> {
            desk.goTo(Page.SURROUNDINGS);
            find("#travel-x").fireEvent(new javafx.scene.input.KeyEvent(javafx.scene.input.KeyEvent.KEY_PRESSED, "", "",
                    javafx.scene.input.KeyCode.RIGHT, true, false, false, false));
        });
        step("distances", () -> ((javafx.scene.control.ToggleButton) find("#side-distances")).fire());
        detail("side-lines", () -> {
            ((javafx.scene.control.ToggleButton) find("#side-lines")).fire();
            ((Button) find("#line-" + desk.state().machine("avocet").orElseThrow().surroundings().runs().get(0).id())).fire();
        });
        detail("thing-chosen", () -> {
            ((javafx.scene.control.ToggleButton) find("#side-things")).fire();
            ((Button) find("#neighbour-" + desk.state().machine("avocet").orElseThrow().surroundings().neighbours().stream().filter(n -> n.name().equals("carriage")).findFirst()
                    .orElseThrow().id())).fire();
            ((Button) find("#space-near")).fire();
        });
        detail("table-large", () -> ((Button) find("#space-turn")).fire());
        detail("side-axes", () -> ((javafx.scene.control.ToggleButton) find("#side-axes")).fire());
        step("readings", () -> {
            desk.goTo(Page.READINGS);
            ((javafx.scene.control.ToggleButton) find("#sheet-avocet-fan")).fire();
            Platform.runLater(() -> focus("#reading-inside"));
        });
        detail("readings-chip", () -> ((Button) find("#chip-inside-0")).fire());
        detail("readings-push", () -> ((javafx.scene.control.ToggleButton) find("#sheet-avocet-sway")).fire());
        detail("readings-new", () -> ((Button) find("#new-sheet")).fire());
        step("models", () -> desk.goTo(Page.MODELS));
        step("trouble", () -> desk.goTo(blower, Station.TROUBLE));
        step("measure", () -> desk.goTo(blower, Station.MEASURE));
        detail("measure-focus", () -> focus("#reading-BD.outside"));
        step("measure-uprights", () -> desk.goTo(desk.state().upgrade("avocet-braces").orElseThrow(), Station.MEASURE));
        step("shape", () -> desk.goTo(blower, Station.SHAPE));
        detail("shape-preview", () -> focus("#remedy-screw.mount-1"));
        detail("shape-fields", () -> ((Button) find("#card-tool")).fire());
        detail("shape-feature", () -> {
            PartDesign p = desk.part().orElseThrow();
            desk.edits().make(blower.id(), p.with(new tinperch.part.feature.Feature("f1", "hole", "Hole 1", tinperch.part.feature.Anchor.middle("part", "plate", tinperch.solid.Vec3.Z).at(-30, 8), tinperch.part.param.Values.START, false)), "add a hole");
            Platform.runLater(() -> {
                ((Button) find("#feature-f1")).fire();
                scrollTo(find("#features"));
            });
        });
        detail("shape-wrong", () -> {
            // Without the hole of the picture before.
            desk.workshop().undo();
            typeWrong();
        });
        detail("shape-cut", () -> {
            desk.goTo(blower, Station.SHAPE);
            ((javafx.scene.control.ToggleButton) find("#cut-x")).fire();
        });
        detail("cant-tell", () -> {
            desk.goTo(blower, Station.SHAPE);
            desk.edits().make(blower.id(), desk.part().orElseThrow().atSite("").bound("tool", new tinperch.part.bind.Binding.Usual("holes-32x32")), "mounts nowhere");
        });
        detail("folded", () -> {
            desk.workshop().undo();
            desk.goTo(desk.state().upgrade("ruff-fume").orElseThrow(), Station.SHAPE);
            ((Button) find("#fold-margins")).fire();
        });
        detail("unfolded", () -> ((Button) find("#fold-margins")).fire());
        step("print", () -> desk.goTo(blower, Station.PRINT));
        step("verdict", () -> desk.goTo(blower, Station.VERDICT));
        detail("switch-mount", () -> desk.goTo(desk.state().upgrade("avocet-switch").orElseThrow(), Station.SHAPE));
        step("kinds", () -> desk.goTo(desk.state().upgrade("curlew-door").orElseThrow(), Station.SHAPE));
        step("in-place", () -> {
            desk.goTo(blower, Station.SHAPE);
            ((javafx.scene.control.ToggleButton) find("#in-place")).fire();
        });
        detail("pieces", () -> {
            desk.goTo(desk.state().upgrade("ruff-fume").orElseThrow(), Station.SHAPE);
            Platform.runLater(() -> ((javafx.scene.control.Slider) find("#pull-apart")).setValue(1));
        });
        step("filter", () -> {
            desk.goTo(desk.state().upgrade("curlew-filter").orElseThrow(), Station.SHAPE);
            Platform.runLater(() -> ((javafx.scene.control.Slider) find("#pull-apart")).setValue(0.6));
        });
        detail("duct", () -> desk.goTo(desk.state().upgrade("turnstone-duct").orElseThrow(), Station.SHAPE));
        detail("duct-place", () -> {
            desk.goTo(desk.state().upgrade("turnstone-duct").orElseThrow(), Station.SHAPE);
            Platform.runLater(() -> ((javafx.scene.control.ToggleButton) find("#in-place")).fire());
        });
        detail("brace", () -> desk.goTo(desk.state().upgrade("avocet-braces").orElseThrow(), Station.SHAPE));
        detail("end-block", () -> desk.goTo(desk.state().upgrade("ruff-drive").orElseThrow(), Station.SHAPE));
        detail("end-block-place", () -> {
            desk.goTo(desk.state().upgrade("ruff-drive").orElseThrow(), Station.SHAPE);
            Platform.runLater(() -> ((javafx.scene.control.ToggleButton) find("#in-place")).fire());
        });
        detail("bracket", () -> desk.goTo(desk.state().upgrade("curlew-stir").orElseThrow(), Station.SHAPE));
        detail("bracket-place", () -> {
            desk.goTo(desk.state().upgrade("curlew-stir").orElseThrow(), Station.SHAPE);
            Platform.runLater(() -> ((javafx.scene.control.ToggleButton) find("#in-place")).fire());
        });
        detail("wheels", () -> desk.goTo(desk.state().upgrade("ruff-second").orElseThrow(), Station.SHAPE));
        detail("wheels-place", () -> {
            desk.goTo(desk.state().upgrade("ruff-second").orElseThrow(), Station.SHAPE);
            Platform.runLater(() -> ((javafx.scene.control.ToggleButton) find("#in-place")).fire());
        });
        detail("brace-place", () -> {
            desk.goTo(desk.state().upgrade("avocet-braces").orElseThrow(), Station.SHAPE);
            Platform.runLater(() -> ((javafx.scene.control.ToggleButton) find("#in-place")).fire());
        });
        detail("filter-measure", () -> desk.goTo(desk.state().upgrade("curlew-filter").orElseThrow(), Station.MEASURE));
        detail("filter-place", () -> {
            desk.goTo(desk.state().upgrade("curlew-filter").orElseThrow(), Station.SHAPE);
            Platform.runLater(() -> ((javafx.scene.control.ToggleButton) find("#in-place")).fire());
        });
        detail("board-house", () -> desk.goTo(desk.state().upgrade("turnstone-board").orElseThrow(), Station.SHAPE));
        detail("board-print", () -> desk.goTo(desk.state().upgrade("turnstone-board").orElseThrow(), Station.PRINT));
        detail("board-measure", () -> desk.goTo(desk.state().upgrade("turnstone-board").orElseThrow(), Station.MEASURE));
        step("model-part", () -> desk.goTo(desk.state().upgrade("turnstone-guard").orElseThrow(), Station.SHAPE));
        detail("model-print", () -> desk.goTo(desk.state().upgrade("turnstone-guard").orElseThrow(), Station.PRINT));
        step("drawer", () -> desk.placeProperty().set(new Desk.Place.AtDrawer()));
        detail("backups", () -> {
            desk.workshop().edit("rename", s -> s.with(s.machine("ruff").orElseThrow().withName("Ruff the second")));
            desk.placeProperty().set(new Desk.Place.AtBackups());
        });
        detail("finder", () -> {
            desk.goTo(blower, Station.SHAPE);
            ((Button) find("#find")).fire();
        });
        step("shape-dark", () -> {
            List.copyOf(javafx.stage.Window.getWindows()).stream().filter(w -> w != stage).forEach(javafx.stage.Window::hide);
            desk.theme().setDark(true);
            desk.goTo(blower, Station.SHAPE);
        });
        detail("frame-start", () -> {
            tinperch.desktop.desk.Begin.machine(desk);
            desk.goTo(Page.SURROUNDINGS);
        });
        detail("frame", () -> ((Button) find("#space-begin")).fire());
        step("welcome", () -> {
            desk.theme().setDark(dark);
            desk.workshop().edit("everything is put away", s -> WorkshopState.EMPTY);
            desk.placeProperty().set(new Desk.Place.Nowhere());
        });
        next();
    }

    private void step(String name, Runnable prepare) {
        steps.add(new Step(name, prepare, true));
    }

    /** A view for a closer look, written only when all are asked for. */
    private void detail(String name, Runnable prepare) {
        steps.add(new Step(name, prepare, all));
    }

    private Node find(String id) {
        return Ui.find(stage.getScene().getRoot(), id.substring(1));
    }

    /** A machine's sheet is made over several frames. */
    private static boolean complete(Node root) {
        return root.lookupAll(".machine-view").stream().noneMatch(n -> n instanceof MachineView s && s.isVisible() && !s.isComplete());
    }

    private static void scrollTo(Node n) {
        Node p = n;
        while (p != null && !(p instanceof javafx.scene.control.ScrollPane)) {
            p = p.getParent();
        }
        if (p instanceof javafx.scene.control.ScrollPane pane) {
            double content = pane.getContent().getBoundsInLocal().getHeight() - pane.getViewportBounds().getHeight();
            double y = pane.getContent().sceneToLocal(n.localToScene(0, 0)).getY() - 40;
            pane.setVvalue(content > 0 ? Math.max(0, Math.min(1, y / content)) : 0);
        }
    }

    private void focus(String id) {
        find(id).requestFocus();
    }

    private void typeWrong() {
        TextField f = (TextField) find("#field-plate.width");
        f.requestFocus();
        f.setText("40");
        f.fireEvent(new ActionEvent());
    }

    private void lengthenNames() {
        String tail = " with a very long name that somebody typed because they wanted to say everything at once";
        desk.workshop().edit("long names", s -> {
            for (var m : s.machines()) {
                var longer = m.withName(m.name() + tail);
                for (var sheet : m.sheets()) {
                    longer = longer.with(sheet.named(sheet.name() + tail));
                }
                s = s.with(longer);
            }
            for (Upgrade u : s.upgrades()) {
                Upgrade longer = u.named(u.name() + tail);
                for (PartDesign p : u.parts()) {
                    longer = longer.with(p.withName(p.name() + tail));
                }
                s = s.with(longer);
            }
            return s;
        });
    }

    private void next() {
        Step s = steps.poll();
        if (s == null) {
            desk.close();
            done.countDown();
            return;
        }
        try {
            s.prepare.run();
        } catch (RuntimeException e) {
            System.err.println(s.name + ": " + e);
        }
        javafx.animation.PauseTransition settle = new javafx.animation.PauseTransition(Duration.millis(700));
        settle.setOnFinished(e -> Platform.runLater(() -> {
            if (!complete(stage.getScene().getRoot())) {
                settle.playFromStart();
                return;
            }
            if (s.wanted && java.util.Arrays.stream(only.split(",", -1)).anyMatch(s.name::contains)) {
                write(s.name);
            }
            next();
        }));
        settle.play();
    }

    private void write(String name) {
        try {
            ImageIO.write(picture(), "png", out.resolve(name + ".png").toFile());
            written++;
        } catch (IOException e) {
            System.err.println(name + ".png was not written: " + e.getMessage());
        }
    }

    /** The window with whatever pops up over it. */
    private BufferedImage picture() {
        WritableImage base = stage.getScene().snapshot(null);
        BufferedImage all = SwingFXUtils.fromFXImage(base, null);
        BufferedImage image = new BufferedImage(all.getWidth(), all.getHeight(), BufferedImage.TYPE_INT_RGB);
        var g = image.createGraphics();
        g.drawImage(all, 0, 0, null);
        double x0 = stage.getScene().getWindow().getX() + stage.getScene().getX();
        double y0 = stage.getScene().getWindow().getY() + stage.getScene().getY();
        for (var w : javafx.stage.Window.getWindows()) {
            if (w != stage && w.isShowing() && w.getScene() != null) {
                g.drawImage(SwingFXUtils.fromFXImage(w.getScene().snapshot(null), null),
                        (int) (w.getX() + w.getScene().getX() - x0), (int) (w.getY() + w.getScene().getY() - y0), null);
            }
        }
        g.dispose();
        return image;
    }
}
