package tinperch.desktop.machine;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tinperch.check.Settle;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.desktop.reading.ReadingsPane;
import tinperch.machine.Machine;
import tinperch.workshop.WorkshopState;

/**
 * A machine as it stands: its state, what is due, what it can print, its upgrades with their tightest margin, its readings, its
 * book. Made for no machine yet, so that one can lie ready; {@link #aim} says whose it is.
 */
public final class StandingSheet extends Scroller implements View {
    private final Desk desk;
    private final MachineForm form;
    private final MachineFacts facts;
    private final Label caution = Ui.text("", "look");
    private final VBox doing = new Column(14);
    private final Column page;
    private final Deque<Runnable> later = new ArrayDeque<>();
    private final PauseTransition next = new PauseTransition(Duration.millis(1));
    private WorkshopState shownState;
    private SurroundingsPanel space;
    private ReadingsPane readings;
    private ModelsPanel models;
    private BookPanel book;
    private LatelyPanel past;

    public StandingSheet(Desk desk) {
        this.desk = desk;
        form = new MachineForm(desk);
        MachineHeading heading = new MachineHeading(form);
        facts = new MachineFacts(form);
        GridPane columns = new GridPane();
        columns.setHgap(14);
        ColumnConstraints left = new ColumnConstraints();
        left.setPercentWidth(44);
        ColumnConstraints right = new ColumnConstraints();
        right.setPercentWidth(56);
        columns.getColumnConstraints().addAll(left, right);
        columns.addRow(0, facts, doing);
        GridPane.setValignment(facts, VPos.TOP);
        GridPane.setValignment(doing, VPos.TOP);
        HBox ways = new HBox(14, Ui.label("On this sheet:", "faint"), way("Surroundings and motion", () -> space), way("Readings",
                () -> readings), way("Models", () -> models), way("The book", () -> book), way("Lately", () -> past));
        ways.setAlignment(Pos.CENTER_LEFT);
        page = new Column(14, new Column(2, heading, ways), caution, columns);
        page.getStyleClass().add("page");
        next.setOnFinished(e -> {
            if (getScene() == null || getScene().getWindow() == null || !getScene().getWindow().isShowing()) {
                return;
            }
            makeNext();
            if (!later.isEmpty()) {
                next.playFromStart();
            }
        });
        setContent(page);
    }

    /** Says whose sheet this is; to be called once. What lies below what is seen first is made in the frames after. */
    public void aim(String machineId) {
        form.aim(machineId);
        later.add(() -> {
            for (Column panel : List.of(new DuePanel(desk, machineId), new UpgradesPanel(desk, machineId))) {
                doing.getChildren().add(panel);
                show(panel);
            }
        });
        later.add(() -> add(space = new SurroundingsPanel(desk, machineId)));
        later.add(() -> {
            readings = new ReadingsPane(desk, machineId, () -> desk.state().machine(machineId)
                    .map(m -> ReadingsPane.ofMachine(desk, m)).orElse(List.of()), false);
            Ui.id(readings, "readings");
            add(readings);
        });
        later.add(() -> add(models = new ModelsPanel(desk, machineId, id -> {
            space.show(id);
            scrollTo(space);
        })));
        later.add(() -> add(book = new BookPanel(desk, machineId)));
        later.add(() -> add(past = new LatelyPanel(desk, machineId)));
    }

    private void makeNext() {
        if (!later.isEmpty()) {
            later.poll().run();
        }
    }

    private void add(Node panel) {
        page.getChildren().add(panel);
        show(panel);
    }

    private static void show(Node panel) {
        if (panel instanceof View v) {
            v.refresh();
        }
    }

    /** Scrolls to a panel of the sheet. */
    private Node way(String name, Supplier<Node> panel) {
        Hyperlink link = Ui.id(new Hyperlink(name), "way-" + name.split(" ")[name.startsWith("The") ? 1 : 0].toLowerCase(Locale.ROOT));
        link.setOnAction(e -> goTo(panel));
        return link;
    }

    private void goTo(Supplier<? extends Node> panel) {
        makeAll();
        applyCss();
        layout();
        scrollTo(panel.get());
    }

    /** What somebody was led here for. */
    private void showWanted() {
        desk.wanted(Settle.By.SITE, Settle.By.NEIGHBOURS, Settle.By.MODEL).ifPresent(s -> Platform.runLater(() -> {
            goTo(s.by() == Settle.By.MODEL ? () -> models : () -> space);
            if (s.by() != Settle.By.MODEL) {
                space.begin(s.by());
            }
        }));
    }

    /** Whether it is some machine's and all of its panels are there. */
    public boolean isComplete() {
        return !form.machineId().isEmpty() && later.isEmpty();
    }

    /** Makes whatever has not been made yet. */
    private void makeAll() {
        while (!later.isEmpty()) {
            makeNext();
        }
    }

    private void scrollTo(Node panel) {
        double room = getContent().getLayoutBounds().getHeight() - getViewportBounds().getHeight();
        setVvalue(room <= 0 ? 0 : Math.min(1, (panel.getBoundsInParent().getMinY() - 6) / room));
    }

    /** Brings a downloaded model in, as if its file had been dropped here. */
    public void bringIn(Path file) {
        makeAll();
        models.bringIn(file);
    }

    /** Writes down what a log says of the hour counter. */
    public void readHours(Path log) {
        facts.readHours(log);
    }

    @Override
    public void leave() {
        next.stop();
        if (space != null) {
            space.leave();
        }
    }

    @Override
    public void refresh() {
        if (!later.isEmpty()) {
            next.playFromStart();
        }
        showWanted();
        if (shownState == desk.state()) {
            return;
        }
        shownState = desk.state();
        form.refresh();
        Machine.Kind kind = form.machine().kind();
        caution.setText(kind == Machine.Kind.LASER ? "Laser: interlocks and eyewear stay on; never leave it burning alone."
                : kind == Machine.Kind.WIRE_CUTTER ? "Hot wire: ventilate, foam gives off fumes; cut the wire's current before "
                + "touching it." : "");
        caution.setManaged(!caution.getText().isEmpty());
        doing.getChildren().forEach(StandingSheet::show);
        page.getChildren().forEach(StandingSheet::show);
    }
}
