package tinperch.desktop.shots;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.stage.Stage;
import javafx.stage.Window;
import tinperch.desktop.desk.Begin;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.Station;
import tinperch.desktop.temperature.TemperaturesPage;
import tinperch.desktop.look.Ui;
import tinperch.part.bind.Binding;
import tinperch.part.feature.Anchor;
import tinperch.part.family.FrameBrace;
import tinperch.part.feature.Feature;
import tinperch.part.param.Values;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** The way through the demo workshop on which pictures are taken: one step after the other, each from where the one before ended. */
final class Walk {
    private final Desk desk;
    private final Stage stage;
    private final boolean dark;
    private final Upgrade blower;
    private final List<Step> steps = new ArrayList<>();

    /**
     * What is done for one picture.
     *
     * @param name of its file
     * @param isMain whether it is of a main view, not a closer look
     */
    record Step(String name, Runnable prepare, boolean isMain) {}

    Walk(Desk desk, Stage stage, boolean dark) {
        this.desk = desk;
        this.stage = stage;
        this.dark = dark;
        blower = desk.state().upgrade("avocet-blower").orElseThrow();
    }

    /** A logger's table as it would come from its card. */
    private static Path recorded() {
        try {
            StringBuilder rows = new StringBuilder("Logger 2; channels 3\nNo.;Date;Time;Terminal [°C];Supply case [°F];Room\n");
            for (int i = 0; i < 400; i++) {
                rows.append(i + 1).append(String.format(java.util.Locale.ROOT, ";21.11.2026;18:%02d:%02d;", i / 60, i % 60))
                        .append(String.format(java.util.Locale.GERMANY, "%.1f;%.1f;%.1f%n", 60 - 38 * Math.exp(-i / 150.0), 95 - 20 * Math.exp(-i / 200.0), 21.3));
            }
            return Files.writeString(Files.createTempDirectory("log").resolve("terminal.csv"), rows);
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** All of them. */
    List<Step> steps() {
        step("standing-sheet", () -> at("avocet"));
        detail("two-loadouts", () -> at("curlew"));
        step("book", () -> {
            desk.goTo(Page.BOOK);
            ((Slider) find("#book-day")).setValue(300);
            ((Button) find("#fit-open")).fire();
            Platform.runLater(() -> scrollTo(find("#book-day")));
        });
        detail("ruff", () -> at("ruff"));
        detail("ruff-space", () -> desk.goTo(Page.SURROUNDINGS));
        detail("ruff-sites", () -> ((ToggleButton) find("#side-sites")).fire());
        detail("curlew", () -> at("curlew"));
        detail("curlew-models", () -> desk.goTo(Page.MODELS));
        detail("avocet", () -> at("avocet"));
        step("surroundings", () -> {
            desk.goTo(Page.SURROUNDINGS);
            find("#travel-x").fireEvent(new javafx.scene.input.KeyEvent(javafx.scene.input.KeyEvent.KEY_PRESSED, "", "",
                    javafx.scene.input.KeyCode.RIGHT, true, false, false, false));
        });
        step("distances", () -> ((ToggleButton) find("#side-distances")).fire());
        detail("side-lines", () -> {
            ((ToggleButton) find("#side-lines")).fire();
            ((Button) find("#line-" + desk.state().machine("avocet").orElseThrow().surroundings().runs().get(0).id())).fire();
        });
        detail("thing-chosen", () -> {
            ((ToggleButton) find("#side-things")).fire();
            ((Button) find("#neighbour-" + desk.state().machine("avocet").orElseThrow().surroundings().neighbours().stream().filter(n -> n.name().equals("carriage")).findFirst()
                    .orElseThrow().id())).fire();
            ((Button) find("#space-near")).fire();
        });
        detail("table-large", () -> ((Button) find("#space-turn")).fire());
        detail("side-axes", () -> ((ToggleButton) find("#side-axes")).fire());
        step("readings", () -> {
            desk.goTo(Page.READINGS);
            ((ToggleButton) find("#sheet-avocet-fan")).fire();
            Platform.runLater(() -> focus("#reading-inside"));
        });
        detail("readings-chip", () -> ((Button) find("#chip-inside-0")).fire());
        detail("readings-push", () -> ((ToggleButton) find("#sheet-avocet-sway")).fire());
        detail("readings-new", () -> ((Button) find("#new-sheet")).fire());
        step("models", () -> desk.goTo(Page.MODELS));
        step("temperatures", () -> {
            desk.goTo(Page.TEMPERATURES);
            Platform.runLater(() -> {
                ((Button) find("#run-demo-contact-after")).fire();
                ((ToggleButton) find("#under-demo-contact-before")).fire();
            });
        });
        detail("temperatures-spot", () -> ((Button) find("#run-demo-carriage")).fire());
        detail("log-mapping", () -> ((TemperaturesPage) find("#temperatures")).look(recorded()));
        step("trouble", () -> desk.goTo(blower, Station.TROUBLE));
        step("measure", () -> desk.goTo(blower, Station.MEASURE));
        detail("measure-focus", () -> focus("#reading-BD.outside"));
        detail("measure-uprights", () -> at("avocet-braces", Station.MEASURE));
        step("shape", () -> desk.goTo(blower, Station.SHAPE));
        detail("shape-preview", () -> focus("#remedy-screw.mount-1"));
        detail("shape-fields", () -> ((Button) find("#card-tool")).fire());
        detail("shape-feature", () -> {
            PartDesign p = desk.part().orElseThrow();
            desk.edits().make(blower.id(), p.with(new Feature("f1", "hole", "Hole 1", Anchor.middle("part", "plate", tinperch.solid.Vec3.Z).at(-30, 8), Values.START, false)), "add a hole");
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
            ((ToggleButton) find("#cut-x")).fire();
        });
        detail("cant-tell", () -> {
            desk.goTo(blower, Station.SHAPE);
            desk.edits().make(blower.id(), desk.part().orElseThrow().atSite("").bound("tool", new Binding.Usual("holes-32x32")), "mounts nowhere");
        });
        detail("folded", () -> {
            desk.workshop().undo();
            at("ruff-fume", Station.SHAPE);
            ((Button) find("#fold-margins")).fire();
        });
        detail("unfolded", () -> ((Button) find("#fold-margins")).fire());
        step("dry-fit", () -> desk.goTo(blower, Station.DRY_FIT));
        detail("settle-looking", () -> ((Button) find("#settle-all")).fire());
        detail("settle-found", () -> { });
        detail("settle-left", () -> ((Button) find("#settle-leave")).fire());
        detail("dry-fit-warming", () -> ((ToggleButton) find("#fit-heat")).fire());
        step("dry-fit-heat", () -> { });
        detail("dry-fit-load", () -> ((ToggleButton) find("#fit-load")).fire());
        detail("dry-fit-streams", () -> at("turnstone-duct", Station.DRY_FIT));
        detail("dry-fit-air", () -> ((ToggleButton) find("#fit-air")).fire());
        step("print", () -> desk.goTo(blower, Station.PRINT));
        step("trial", () -> desk.goTo(blower, Station.TRIAL));
        step("verdict", () -> desk.goTo(blower, Station.VERDICT));
        detail("switch-mount", () -> at("avocet-switch", Station.SHAPE));
        // Its pictures come one after the other.
        detail("kinds-before", () -> at("curlew-door", Station.SHAPE));
        detail("kinds-coming", () -> { });
        step("kinds", () -> { });
        detail("in-place", () -> {
            desk.goTo(blower, Station.SHAPE);
            ((ToggleButton) find("#in-place")).fire();
        });
        detail("pieces", () -> {
            at("ruff-fume", Station.SHAPE);
            Platform.runLater(() -> ((Slider) find("#pull-apart")).setValue(1));
        });
        step("filter", () -> {
            at("curlew-filter", Station.SHAPE);
            Platform.runLater(() -> ((Slider) find("#pull-apart")).setValue(0.6));
        });
        detail("duct", () -> at("turnstone-duct", Station.SHAPE));
        detail("duct-place", () -> onTheMachine("turnstone-duct"));
        detail("blower", () -> at("curlew-blower", Station.SHAPE));
        detail("blower-place", () -> onTheMachine("curlew-blower"));
        detail("blower-measure", () -> at("curlew-blower", Station.MEASURE));
        detail("ways-out", () -> {
            at("curlew-filter", Station.SHAPE);
        });
        detail("ways-out-typed", () -> type("#field-box.inlet", "84"));
        detail("ways-out-found", () -> { });
        detail("brace", () -> at("avocet-braces", Station.SHAPE));
        detail("bushes", () -> {
            PartDesign p = desk.part().orElseThrow();
            desk.edits().make("avocet-braces", p.with(p.values().with(FrameBrace.BUSHES.on, true).with(FrameBrace.BUSHES.misfitX, 0.5).with(FrameBrace.EDGE, 12.0).with(FrameBrace.HUG.base, 4.0)), "bushes");
            Platform.runLater(() -> ((Slider) find("#pull-apart")).setValue(1));
        });
        detail("end-block", () -> at("ruff-drive", Station.SHAPE));
        detail("end-block-place", () -> onTheMachine("ruff-drive"));
        detail("bracket", () -> at("curlew-stir", Station.SHAPE));
        detail("bracket-place", () -> onTheMachine("curlew-stir"));
        detail("wheels", () -> at("ruff-second", Station.SHAPE));
        detail("wheels-place", () -> onTheMachine("ruff-second"));
        detail("clip-place", () -> onTheMachine("turnstone-hold", "p2"));
        detail("arm-place", () -> onTheMachine("avocet-camera", "p1"));
        detail("foot-place", () -> onTheMachine("turnstone-hold", "p3"));
        detail("corner-place", () -> onTheMachine("avocet-braces", "p3"));
        detail("module", () -> at("curlew-driver", Station.SHAPE));
        detail("module-place", () -> onTheMachine("curlew-driver"));
        detail("channel", () -> {
            at("ruff-feed", Station.SHAPE);
            Platform.runLater(() -> ((Slider) find("#pull-apart")).setValue(0.5));
        });
        detail("brace-place", () -> onTheMachine("avocet-braces"));
        detail("filter-measure", () -> at("curlew-filter", Station.MEASURE));
        detail("filter-place", () -> onTheMachine("curlew-filter"));
        detail("board-house", () -> at("turnstone-board", Station.SHAPE));
        detail("board-print", () -> at("turnstone-board", Station.PRINT));
        detail("board-measure", () -> at("turnstone-board", Station.MEASURE));
        detail("model-part", () -> at("turnstone-guard", Station.SHAPE));
        detail("model-print", () -> at("turnstone-guard", Station.PRINT));
        detail("drawer", () -> desk.placeProperty().set(new Desk.Place.AtDrawer()));
        detail("backups", () -> {
            desk.workshop().edit("rename", s -> s.with(s.machine("ruff").orElseThrow().withName("Ruff the second")));
            desk.placeProperty().set(new Desk.Place.AtBackups());
        });
        detail("finder", () -> {
            desk.goTo(blower, Station.SHAPE);
            ((Button) find("#find")).fire();
        });
        step("shape-dark", () -> {
            List.copyOf(Window.getWindows()).stream().filter(w -> w != stage).forEach(Window::hide);
            desk.theme().setDark(true);
            desk.goTo(blower, Station.SHAPE);
        });
        detail("frame-start", () -> {
            Begin.machine(desk);
            desk.goTo(Page.SURROUNDINGS);
        });
        detail("frame", () -> ((Button) find("#space-begin")).fire());
        step("welcome", () -> {
            desk.theme().setDark(dark);
            desk.workshop().edit("everything is put away", s -> WorkshopState.EMPTY);
            desk.placeProperty().set(new Desk.Place.Nowhere());
        });
        return steps;
    }

    private void step(String name, Runnable prepare) {
        steps.add(new Step(name, prepare, true));
    }

    /** A view for a closer look, written only when all are asked for. */
    private void detail(String name, Runnable prepare) {
        steps.add(new Step(name, prepare, false));
    }

    private void at(String machineId) {
        desk.goTo(desk.state().machine(machineId).orElseThrow());
    }

    private void at(String upgradeId, Station station) {
        desk.goTo(desk.state().upgrade(upgradeId).orElseThrow(), station);
    }

    private void onTheMachine(String upgradeId) {
        onTheMachine(upgradeId, desk.state().upgrade(upgradeId).orElseThrow().parts().get(0).id());
    }

    private void onTheMachine(String upgradeId, String partId) {
        at(upgradeId, Station.SHAPE);
        desk.show(partId);
        Platform.runLater(() -> ((ToggleButton) find("#in-place")).fire());
    }

    private Node find(String id) {
        return Ui.find(stage.getScene().getRoot(), id.substring(1));
    }

    private static void scrollTo(Node n) {
        Node p = n;
        while (p != null && !(p instanceof ScrollPane)) {
            p = p.getParent();
        }
        if (p instanceof ScrollPane pane) {
            double content = pane.getContent().getBoundsInLocal().getHeight() - pane.getViewportBounds().getHeight();
            double y = pane.getContent().sceneToLocal(n.localToScene(0, 0)).getY() - 40;
            pane.setVvalue(content > 0 ? Math.max(0, Math.min(1, y / content)) : 0);
        }
    }

    private void focus(String id) {
        find(id).requestFocus();
    }

    private void typeWrong() {
        type("#field-plate.width", "40");
    }

    private void type(String id, String text) {
        TextField f = (TextField) find(id);
        f.requestFocus();
        f.setText(text);
        f.fireEvent(new ActionEvent());
    }
}
