package tinperch.desktop.reading;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.catalogue.UsualThing;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.measure.sheet.Outcome;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetCell;
import tinperch.measure.sheet.SheetKind;

/** A sheet of any kind but the hole pattern: its cells one below the other, its picture, what is missing, what follows. */
final class SheetView implements SheetSide {
    private final SheetKind kind;
    private final GridPane grid = new GridPane();
    private final SheetPicture picture;
    private final VBox outcomes = new Column(5);
    private final VBox side;
    private final Map<String, ReadingCell> cells = new LinkedHashMap<>();
    private Entry entry;

    SheetView(Theme theme, Instruments instruments, SheetKind kind) {
        this.kind = kind;
        picture = new SheetPicture(theme, kind);
        picture.setPrefSize(200, 220);
        picture.setMinSize(160, 130);
        picture.setMaxHeight(260);
        side = new Column(8, picture, outcomes);
        VBox.setVgrow(picture, Priority.SOMETIMES);
        grid.setHgap(12);
        grid.setVgap(5);
        ColumnConstraints words = new ColumnConstraints();
        words.setMinWidth(150);
        ColumnConstraints readings = new ColumnConstraints();
        readings.setMinWidth(190);
        readings.setHgrow(Priority.ALWAYS);
        ColumnConstraints how = new ColumnConstraints();
        how.setPercentWidth(36);
        grid.getColumnConstraints().addAll(words, readings, how);
        grid.addRow(0, Ui.label("What", "column"), Ui.label("Readings", "column"), Ui.label("How", "column"));
        int row = 1;
        for (SheetCell c : kind.cells()) {
            ReadingCell cell = new ReadingCell(c.cell(), c.unit(), c.half(), instruments, v -> c.objection(entry.sheet(), v),
                    (label, list) -> entry.commit().accept(label, entry.sheet().with(c.cell(), list)),
                    f -> picture.point(f ? c : null));
            cells.put(c.cell(), cell);
            String unit = c.unit().symbol();
            Label label = Ui.text(c.label() + (unit.isEmpty() ? "" : ", " + unit), c.needed() ? "strong" : "plain");
            Label tell = Ui.text(c.how(), "faint");
            label.setPadding(new Insets(5, 0, 0, 0));
            tell.setPadding(new Insets(5, 0, 0, 0));
            grid.addRow(row++, label, cell, tell);
        }
        grid.getChildren().forEach(n -> GridPane.setValignment(n, VPos.TOP));
    }

    @Override
    public Node cells() {
        return grid;
    }

    @Override
    public Node side() {
        return side;
    }

    @Override
    public Node firstMissing() {
        return entry.sheet().missing().stream().map(SheetCell::cell).findFirst().or(() -> cells.keySet().stream().filter(c -> entry.sheet().at(c).isEmpty()).findFirst())
                .map(cells::get).orElse(cells.values().iterator().next()).field();
    }

    @Override
    public void refresh(Entry now) {
        entry = now;
        Sheet sheet = now.sheet();
        Map<String, Double> read = new LinkedHashMap<>();
        kind.cells().forEach(c -> sheet.spread(c.cell()).ifPresent(s -> read.put(c.cell(), s.mean())));
        cells.forEach((name, cell) -> {
            cell.refresh(sheet.at(name));
            cell.expect(UsualThing.expected(sheet.kind(), read, name));
        });
        outcomes.getChildren().clear();
        if (sheet.readings().isEmpty()) {
            outcomes.getChildren().add(Ui.text(kind.how(), "strong"));
        }
        List<String> missing = sheet.missing().stream().map(SheetCell::label).toList();
        if (!missing.isEmpty()) {
            outcomes.getChildren().add(Ui.id(Ui.text("Still to read: " + String.join(", ", missing) + ".", "look"), "missing"));
        }
        int n = 0;
        for (Outcome o : sheet.outcomes()) {
            Label value = Ui.whole(Ui.id(Ui.label(o.words(), "strong"), "outcome-" + n++));
            HBox line = new HBox(10, Ui.label(o.label(), "faint"), Ui.spring(), value);
            outcomes.getChildren().add(line);
            if (!o.note().isEmpty()) {
                outcomes.getChildren().add(Ui.text(o.note(), o.doubt() ? "look" : "faint"));
            }
        }
    }
}
