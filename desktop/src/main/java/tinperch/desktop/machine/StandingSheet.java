package tinperch.desktop.machine;

import java.nio.file.Path;
import javafx.application.Platform;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.workshop.WorkshopState;

/** A machine as it stands: what it is, what is due, what it can print, its upgrades with their tightest margin, and what happened lately. */
public final class StandingSheet extends Scroller implements View {
    private final Desk desk;
    private final MachineForm form;
    private final MachineFacts facts;
    private final Label caution = Ui.text("", "look");
    private final VBox doing = new Column(14);
    private final Column page;
    private WorkshopState shownState;
    private boolean aimed;

    StandingSheet(Desk desk, MachineForm form) {
        this.desk = desk;
        this.form = form;
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
        page = new Column(14, caution, columns);
        page.getStyleClass().add("page");
        setContent(page);
    }

    /** Says whose sheet this is; to be called once. What lies below what is seen first is made in the frames after. */
    void aim(String machineId) {
        aimed = true;
        Platform.runLater(() -> {
            doing.getChildren().addAll(new DuePanel(desk, machineId), new UpgradesPanel(desk, machineId));
            page.getChildren().add(new LatelyPanel(desk, machineId));
            if (!desk.isClosed() && desk.state().machine(machineId).isPresent()) {
                showPanels();
            }
        });
    }

    /** Whether it is some machine's and all of its panels are there. */
    public boolean isComplete() {
        return aimed && !doing.getChildren().isEmpty();
    }

    private void showPanels() {
        doing.getChildren().forEach(StandingSheet::show);
        page.getChildren().forEach(StandingSheet::show);
    }

    private static void show(Node panel) {
        if (panel instanceof View v) {
            v.refresh();
        }
    }

    /** Writes down what a log says of the hour counter. */
    public void readHours(Path log) {
        facts.readHours(log);
    }

    @Override
    public void refresh() {
        if (shownState == desk.state()) {
            doing.getChildren().stream().filter(View.class::isInstance).forEach(n -> ((View) n).arrived());
            return;
        }
        shownState = desk.state();
        Machine.Kind kind = form.machine().kind();
        caution.setText(kind == Machine.Kind.LASER ? "Laser: interlocks and eyewear stay on; never leave it burning alone."
                : kind == Machine.Kind.WIRE_CUTTER ? "Hot wire: ventilate, foam gives off fumes; cut the wire's current before "
                + "touching it." : "");
        caution.setManaged(!caution.getText().isEmpty());
        showPanels();
    }
}
