package tinperch.desktop.temperature;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Ui;
import tinperch.files.FileFault;
import tinperch.files.log.CsvLog;
import tinperch.files.log.LogLayout;
import tinperch.files.log.LogRead;
import tinperch.files.log.Stamp;
import tinperch.trial.tell.Words;
import tinperch.workshop.log.Taking;

/** How a log is to be read, with what its first rows become by that; set right here before the whole file is taken. */
final class MappingView extends VBox {
    private static final int ROWS = 6;
    private static final List<Choice<Character>> SEPARATORS = List.of(new Choice<>(',', "comma"), new Choice<>(';', "semicolon"), new Choice<>('\t', "tab"), new Choice<>(' ', "blanks"), new Choice<>('|', "upright line"));

    private final Taking.Seen seen;
    private final List<MappingRow> rows = new ArrayList<>();
    private final FlowPane how = new FlowPane(14, 6);
    private final VBox columns = new VBox(4);
    private final GridPane preview = new GridPane();
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "log-complaint");
    private final Button take;
    private LogLayout layout;

    /**
     * @param layout to begin with
     * @param taken told the layout to read the file by, {@code away} that it is not wanted
     */
    MappingView(Taking.Seen seen, LogLayout layout, Consumer<LogLayout> taken, Runnable away) {
        super(10);
        this.seen = seen;
        this.layout = layout;
        Ui.id(this, "log-mapping");
        getStyleClass().add("panel");
        preview.setHgap(18);
        preview.setVgap(2);
        take = Ui.id(Ui.button("Take it in", "mdi2f-file-import-outline", () -> taken.accept(this.layout)), "log-take");
        take.getStyleClass().add("primary");
        take.setDefaultButton(true);
        Button cancel = Ui.id(Ui.button("Leave it", null, away), "log-leave");
        HBox buttons = new HBox(10, take, cancel);
        buttons.setAlignment(Pos.CENTER_LEFT);
        String what = seen.isBoard() ? "Lines by which a board reports its temperatures." : "Look whether times and values below are right; if not, say how it is written.";
        getChildren().addAll(Ui.label(String.valueOf(seen.file().getFileName()), "section"), Ui.text(what, "faint"), how);
        if (!seen.isBoard()) {
            getChildren().addAll(Ui.label("Columns", "field-label"), columns);
        }
        getChildren().addAll(Ui.label("Its first rows as they will be kept, temperatures in °C", "field-label"), preview, complaint, buttons);
        controls();
        columns();
        preview();
    }

    private void controls() {
        how.getChildren().clear();
        if (!seen.isBoard()) {
            ComboBox<Choice<Character>> between = Form.choice("log-separator", SEPARATORS, null, c -> again(layout.marked(c.value(), layout.decimalComma(), layout.headerLines())));
            Choice.fill(between, SEPARATORS, layout.separator());
            List<Choice<Boolean>> marks = List.of(new Choice<>(false, "21.5"), new Choice<>(true, "21,5"));
            ComboBox<Choice<Boolean>> decimal = Form.choice("log-decimal", marks, null, c -> again(layout.marked(layout.separator(), c.value(), layout.headerLines())));
            Choice.fill(decimal, marks, layout.decimalComma());
            CommitField header = new CommitField("log-header", String.valueOf(layout.headerLines()), t -> whole(t, 0, 79).map(n -> {
                again(layout.marked(layout.separator(), layout.decimalComma(), n));
                return Optional.<String>empty();
            }).orElse(Optional.of("A whole number from 0 to 79; the old one stays.")));
            header.field().setPrefColumnCount(3);
            List<Choice<Stamp>> stamps = Arrays.stream(Stamp.values()).map(s -> new Choice<>(s, s.label())).toList();
            ComboBox<Choice<Stamp>> stamp = Form.choice("log-stamp", stamps, null, c -> again(layout.timed(c.value().hasDay() ? layout.dateColumn() : -1, c.value() == Stamp.NONE ? -1 : Math.max(0, layout.timeColumn()), c.value(), layout.intervalS())));
            Choice.fill(stamp, stamps, layout.stamp());
            List<Choice<Integer>> times = new ArrayList<>();
            for (int i = 0; i < width(); i++) {
                times.add(new Choice<>(i, (i + 1) + (title(i).isEmpty() ? "" : ", " + title(i))));
            }
            ComboBox<Choice<Integer>> time = Form.choice("log-time", times, null, c -> again(layout.timed(layout.dateColumn() == c.value() ? -1 : layout.dateColumn(), c.value(), layout.stamp(), layout.intervalS())));
            Choice.fill(time, times, layout.timeColumn());
            add("Between columns", between);
            add("Numbers like", decimal);
            add("Lines before the first row", header);
            add("Time in column", time);
            add("written as", stamp);
        }
        if (seen.isBoard() || layout.stamp() == Stamp.NONE) {
            CommitField every = new CommitField("log-interval", String.valueOf(layout.intervalS()), t -> {
                try {
                    double s = Double.parseDouble(t.strip().replace(',', '.'));
                    if (s > 0 && s <= 86_400) {
                        again(layout.timed(layout.dateColumn(), layout.timeColumn(), layout.stamp(), s));
                        return Optional.empty();
                    }
                } catch (NumberFormatException e) {
                    // Said below.
                }
                return Optional.of("Seconds from one row to the next, above 0 and at most a day; the old one stays.");
            });
            every.field().setPrefColumnCount(5);
            add("Rows apart where no time is written, s", every);
        }
    }

    private static Optional<Integer> whole(String text, int from, int to) {
        try {
            int n = Integer.parseInt(text.strip());
            return n >= from && n <= to ? Optional.of(n) : Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private void add(String label, javafx.scene.Node editor) {
        HBox box = new HBox(6, Ui.label(label, "field-label"), editor);
        box.setAlignment(Pos.CENTER_LEFT);
        how.getChildren().add(box);
    }

    private int width() {
        return seen.head().stream().skip(layout.headerLines()).mapToInt(l -> CsvLog.cells(l, layout).size()).max().orElse(0);
    }

    private String title(int column) {
        List<String> names = layout.headerLines() > 0 && layout.headerLines() <= seen.head().size() ? CsvLog.cells(seen.head().get(layout.headerLines() - 1), layout) : List.of();
        return column < names.size() ? names.get(column) : "";
    }

    private void columns() {
        rows.clear();
        columns.getChildren().clear();
        for (int i = 0; i < Math.min(40, width()); i++) {
            int column = i;
            if (i != layout.timeColumn() && i != layout.dateColumn()) {
                rows.add(new MappingRow(i, title(i), layout.fields().stream().filter(f -> f.column() == column).findFirst().orElse(null), this::fields));
            }
        }
        columns.getChildren().addAll(rows);
    }

    private void fields() {
        layout = layout.with(rows.stream().map(MappingRow::field).filter(Objects::nonNull).toList());
        preview();
    }

    /** The layout was changed: all follows. */
    private void again(LogLayout next) {
        if (!next.equals(layout)) {
            layout = next;
            controls();
            columns();
            preview();
        }
    }

    /** Reads the first lines as the whole file would be. */
    private void preview() {
        preview.getChildren().clear();
        List<Object[]> got = new ArrayList<>();
        byte[] head = String.join("\n", seen.head()).getBytes(StandardCharsets.UTF_8);
        String why = "";
        try {
            LogRead.Rows out = (s, v) -> got.add(new Object[] {s, v.clone()});
            if (seen.isBoard()) {
                tinperch.files.log.FirmwareLog.read(new ByteArrayInputStream(head), seen.board(), layout.intervalS(), s -> true, out);
            } else if (layout.fields().isEmpty()) {
                throw new FileFault("No column is taken.");
            } else {
                CsvLog.read(new ByteArrayInputStream(head), 0, layout, s -> true, out);
            }
        } catch (IOException e) {
            why = e.getMessage();
        }
        complaint.setText(why);
        complaint.setManaged(!why.isEmpty());
        take.setDisable(!why.isEmpty());
        List<String> names = Taking.channels(seen, layout).stream().map(c -> c.name()).toList();
        preview.add(Ui.label("after", "faint"), 0, 0);
        for (int c = 0; c < Math.min(9, names.size()); c++) {
            Label name = Ui.label(names.get(c), "faint");
            name.setMaxWidth(130);
            preview.add(name, c + 1, 0);
        }
        for (int r = 0; r < Math.min(ROWS, got.size()); r++) {
            preview.add(Ui.label(Words.time((Double) got.get(r)[0]), "figure"), 0, r + 1);
            float[] v = (float[]) got.get(r)[1];
            for (int c = 0; c < Math.min(9, v.length); c++) {
                preview.add(Ui.label(Float.isNaN(v[c]) ? "–" : String.format(Locale.ROOT, "%.2f", v[c]), "figure"), c + 1, r + 1);
            }
        }
    }
}
