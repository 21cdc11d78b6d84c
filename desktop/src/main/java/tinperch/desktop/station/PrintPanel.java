package tinperch.desktop.station;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.upgrade.PartDesign;

/** A panel of the Print station about the part shown, with a place for a complaint. */
abstract class PrintPanel extends VBox {
    final Desk desk;
    final String upgradeId;
    private final Label complaint = Ui.text("", "complaint");

    /** @param complaintId name of its complaint, for tests and for finding it */
    PrintPanel(Desk desk, String upgradeId, String title, String complaintId) {
        super(8);
        this.desk = desk;
        this.upgradeId = upgradeId;
        Ui.id(complaint, complaintId);
        getStyleClass().add("panel");
        getChildren().addAll(Ui.label(title, "section"), complaint);
        complain("");
    }

    /** Puts rows between the title and the complaint. */
    final void rows(Node... rows) {
        getChildren().addAll(1, java.util.List.of(rows));
    }

    static HBox row(Node... nodes) {
        HBox h = new HBox(8, nodes);
        h.setAlignment(Pos.BASELINE_LEFT);
        return h;
    }

    final void complain(String why) {
        complaint.setText(why);
        complaint.setManaged(!why.isEmpty());
        complaint.setVisible(!why.isEmpty());
    }

    /** The part shown; empty when there is none. */
    final Optional<PartDesign> part() {
        return desk.part().filter(p -> desk.state().upgrade(upgradeId).flatMap(u -> u.part(p.id())).isPresent());
    }

    /** The mark it will carry. */
    final String mark() {
        return part().map(p -> desk.state().nextMark(upgradeId, p.id())).orElse("R1");
    }

    /** Shows things as they are. */
    abstract void refresh();
}
