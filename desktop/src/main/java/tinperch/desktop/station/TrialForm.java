package tinperch.desktop.station;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.trial.Measured;
import tinperch.trial.Trial;
import tinperch.upgrade.Upgrade;

/** What was tried: the number before and the one after, typed or taken from what was read and recorded. */
final class TrialForm extends VBox {
    private final Desk desk;
    private final String upgradeId;
    private final TextField what = Ui.id(new TextField(), "trial-what");
    private final TextField before = Ui.id(new TextField(), "trial-before");
    private final TextField after = Ui.id(new TextField(), "trial-after");
    private final TextField note = Ui.id(new TextField(), "trial-note");
    private final CheckBox less = Ui.id(new CheckBox("less is better"), "trial-less");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "trial-complaint");
    private String beforeFrom = "";
    private String afterFrom = "";

    TrialForm(Desk desk, String upgradeId) {
        super(8);
        this.desk = desk;
        this.upgradeId = upgradeId;
        what.setPromptText("what was measured, in the same way both times");
        before.setPromptText("0.62 ± 0.03 mm");
        after.setPromptText("0.21 ± 0.03 mm");
        note.setPromptText("what else was different: spool, speed, weather …");
        less.setSelected(true);
        Button add = Ui.id(Ui.button("Write it down", "mdi2c-check", this::add), "trial-add");
        add.getStyleClass().add("primary");
        GridPane g = new GridPane();
        g.setHgap(10);
        g.setVgap(4);
        g.addRow(0, Ui.label("Before", "field-label"), Ui.label("After", "field-label"));
        g.addRow(1, before, after);
        GridPane.setHgrow(before, Priority.ALWAYS);
        GridPane.setHgrow(after, Priority.ALWAYS);
        HBox end = new HBox(14, less, Ui.spring(), add);
        end.setAlignment(Pos.CENTER_LEFT);
        for (TextField f : List.of(what, before, after, note)) {
            f.setOnAction(e -> add());
        }
        before.textProperty().addListener((o, a, b) -> beforeFrom = "");
        after.textProperty().addListener((o, a, b) -> afterFrom = "");
        getChildren().addAll(Ui.label("What was measured", "field-label"), what, g, Ui.text("How sure a number is stands behind ±; without it nobody can tell a small difference from chance.", "faint"), note, end, complaint);
        complain("");
    }

    private void complain(String why) {
        complaint.setText(why);
        complaint.setManaged(!why.isEmpty());
    }

    /** Offers the baseline where nothing was typed yet. */
    void refresh(Upgrade u) {
        if (what.getText().isEmpty() && before.getText().isEmpty() && !what.isFocused() && !before.isFocused()) {
            what.setText(u.trouble().baseline());
            before.setText(u.trouble().baselineValue());
        }
    }

    /** Fills in what was read or recorded. */
    void take(String of, Measured was, Measured is) {
        what.setText(of);
        before.setText(was.words());
        after.setText(is.words());
        beforeFrom = was.from();
        afterFrom = is.from();
        complain("");
    }

    private void add() {
        Optional<Measured> was = Measured.of(before.getText());
        Optional<Measured> is = Measured.of(after.getText());
        if (what.getText().isBlank()) {
            complain("Say what was measured, so that it can be measured in the same way again.");
        } else if (was.isEmpty() || is.isEmpty()) {
            complain("“" + (was.isEmpty() ? before : after).getText().strip() + "” is no number with a unit; type one such as 0.62 ± 0.03 mm or 14 min. Nothing was written down.");
        } else {
            Trial t = new Trial("trial-" + UUID.randomUUID(), LocalDate.now(), what.getText().strip(), from(was.get(), beforeFrom), from(is.get(), afterFrom), less.isSelected(), "", note.getText().strip());
            desk.workshop().edit("write a trial down", s -> s.upgrade(upgradeId).map(u -> {
                List<Trial> all = new ArrayList<>(u.trials());
                all.add(t);
                return s.with(u.tried(all));
            }).orElse(s));
            after.clear();
            note.clear();
            complain("");
        }
    }

    private static Measured from(Measured m, String from) {
        return new Measured(m.value(), m.half(), m.unit(), from);
    }
}
