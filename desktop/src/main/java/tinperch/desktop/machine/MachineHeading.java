package tinperch.desktop.machine;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.desktop.shelf.Shelf;
import tinperch.machine.Machine;
import tinperch.upgrade.Upgrade;

/** A machine's name, its state and why it is in that state. */
final class MachineHeading extends HBox {
    MachineHeading(MachineForm form) {
        super(12);
        CommitField name = form.text("machine-name", m -> m.name(), "name", Machine::withName, false);
        name.getStyleClass().add("title-field");
        HBox.setHgrow(name, Priority.ALWAYS);
        ComboBox<Machine.State> state = Ui.id(new ComboBox<>(), "machine-state");
        state.getItems().setAll(Machine.State.values());
        state.setButtonCell(new StateCell());
        state.setCellFactory(v -> new StateCell());
        state.setOnAction(e -> {
            if (state.getValue() != null && state.getValue() != form.machine().state()) {
                form.edit("state " + state.getValue().label(), m -> m.withState(state.getValue(), m.stateNote()));
            }
        });
        form.onRefresh(() -> state.setValue(form.machine().state()));
        ComboBox<String> upgrade = Ui.id(new ComboBox<>(), "in-pieces-for");
        upgrade.setMaxWidth(200);
        upgrade.setOnAction(e -> form.desk().state().upgradesOf(form.machineId()).stream()
                .filter(u -> u.name().equals(upgrade.getValue())).findFirst().filter(u -> !u.id().equals(form.machine().inPiecesFor()))
                .ifPresent(u -> form.edit("in pieces for " + u.name(), m -> m.inPiecesFor(u.id()))));
        Label forWhat = Ui.whole(Ui.label("for", "field-label"));
        form.onRefresh(() -> {
            List<String> names = form.desk().state().upgradesOf(form.machineId()).stream().map(Upgrade::name).toList();
            boolean apart = form.machine().state() == Machine.State.IN_PIECES && !names.isEmpty();
            for (Node n : List.of(upgrade, forWhat)) {
                n.setVisible(apart);
                n.setManaged(apart);
            }
            if (!upgrade.getItems().equals(names)) {
                upgrade.getItems().setAll(names);
            }
            upgrade.setPromptText("an upgrade");
            upgrade.setValue(form.desk().state().upgrade(form.machine().inPiecesFor()).map(Upgrade::name).orElse(null));
        });
        CommitField note = form.text("machine-note", Machine::stateNote, "why", (m, t) -> m.withState(m.state(), t), true);
        note.field().setPromptText("why it is in that state");
        note.setPrefWidth(330);
        note.setMaxHeight(USE_PREF_SIZE);
        getChildren().addAll(name, Ui.whole(state), forWhat, upgrade, note);
        setAlignment(Pos.CENTER_LEFT);
    }

    private static final class StateCell extends ListCell<Machine.State> {
        @Override
        protected void updateItem(Machine.State s, boolean empty) {
            super.updateItem(s, empty);
            setText(empty || s == null ? null : s.label());
            setGraphic(empty || s == null ? null : Ui.icon(Shelf.icon(s)));
        }
    }
}
