package tinperch.desktop.temperature;

import java.util.Arrays;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Ui;
import tinperch.files.log.LogLayout;
import tinperch.files.log.Reads;

/** One column of a log: taken or not, its name, and what its numbers are. */
final class MappingRow extends HBox {
    private final int column;
    private final CheckBox taken;
    private final TextField name;
    private final ComboBox<Choice<Reads>> reads;

    MappingRow(int column, String title, LogLayout.Field field, Runnable changed) {
        super(8);
        this.column = column;
        setAlignment(Pos.CENTER_LEFT);
        taken = Ui.id(new CheckBox(), "take-" + column);
        taken.setSelected(field != null);
        taken.setAccessibleText("Take column " + (column + 1));
        taken.setOnAction(e -> changed.run());
        name = Ui.id(new TextField(field == null ? title : field.name()), "column-name-" + column);
        name.setPrefColumnCount(16);
        name.setOnAction(e -> changed.run());
        name.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                changed.run();
            }
        });
        List<Choice<Reads>> all = Arrays.stream(Reads.values()).map(r -> new Choice<>(r, r.label())).toList();
        reads = Form.choice("reads-" + column, all, null, r -> changed.run());
        Choice.fill(reads, all, field == null ? Reads.CELSIUS : field.reads());
        getChildren().addAll(taken, name, reads);
    }

    /** What is taken of the column; null for nothing. */
    LogLayout.Field field() {
        return taken.isSelected() ? new LogLayout.Field(column, name.getText().isBlank() ? "column " + (column + 1) : name.getText().strip(), Choice.in(reads, Reads.CELSIUS)) : null;
    }
}
