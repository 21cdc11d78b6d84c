package tinperch.desktop.temperature;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import tinperch.desktop.look.Ui;
import tinperch.trial.tell.Told;

/** What there is to say of a channel, a line each. */
final class ToldPane extends GridPane {
    ToldPane() {
        setHgap(12);
        setVgap(5);
        ColumnConstraints label = new ColumnConstraints();
        label.setMinWidth(84);
        ColumnConstraints words = new ColumnConstraints();
        words.setHgrow(Priority.ALWAYS);
        getColumnConstraints().addAll(label, words);
        Ui.id(this, "told");
    }

    void show(List<Told> all) {
        getChildren().clear();
        int row = 0;
        for (Told t : all) {
            Label about = Ui.label(t.label(), "field-label");
            Label words = Ui.text(t.words());
            if (t.bad()) {
                words.getStyleClass().add("look");
            }
            GridPane.setValignment(about, VPos.TOP);
            addRow(row++, about, words);
        }
    }
}
