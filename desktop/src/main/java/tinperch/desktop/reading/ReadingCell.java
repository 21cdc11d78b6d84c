package tinperch.desktop.reading;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.DoubleFunction;
import java.util.function.DoubleSupplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.measure.Reading;
import tinperch.measure.Spread;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/**
 * One cell of a sheet: a field for the next reading, the readings so far as chips, their mean and spread. Digits and Enter
 * are all it takes, so calipers that type work as they are. A chip clicked on opens for a correction, which keeps the old
 * value, for a note, for what it was read with, or to be left out.
 */
public final class ReadingCell extends Column {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM uuuu HH:mm", Locale.ENGLISH);

    /** What simulated calipers read where nothing was read before. */
    private static final double FIRST = 25;

    private final String key;
    private final Unit unit;
    private final double half;
    private final Instruments instruments;
    private final DoubleFunction<Optional<String>> objection;
    private final BiConsumer<String, List<Reading>> commit;
    private final TextField field = new TextField();
    private final Label summary = Ui.label("", "faint");
    private final FlowPane chips = new FlowPane(4, 3);
    private final Label complaint = Ui.text("", "complaint");
    private TextField value;
    private final VBox editor = new Column(3);
    private List<Reading> list = List.of();
    private int open = -1;

    /**
     * @param key id of the field is {@code reading-} and this
     * @param half what the instrument can be off by
     * @param instruments what readings are taken with
     * @param objection why a value cannot be taken, or empty
     * @param commit takes the name of the edit and the new readings
     * @param focused told when the cell gains or loses the focus
     */
    public ReadingCell(String key, Unit unit, double half, Instruments instruments, DoubleFunction<Optional<String>> objection,
            BiConsumer<String, List<Reading>> commit, Consumer<Boolean> focused) {
        super(2);
        this.key = key;
        this.unit = unit;
        this.half = half;
        this.instruments = instruments;
        this.objection = objection;
        this.commit = commit;
        Ui.id(field, "reading-" + key);
        Ui.id(complaint, "reading-" + key + "-complaint");
        field.setPrefWidth(60);
        field.setMinWidth(54);
        summary.setMinWidth(USE_PREF_SIZE);
        field.setPromptText("read");
        field.getStyleClass().add("reading");
        field.setOnAction(e -> take());
        field.focusedProperty().addListener((o, was, is) -> {
            focused.accept(is);
            if (!is && !field.getText().isBlank()) {
                take();
            }
        });
        field.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                field.clear();
                complain("");
            }
        });
        field.setUserData((DoubleSupplier) () -> Spread.of(list, half).map(Spread::mean).orElse(FIRST));
        HBox line = new HBox(8, field, summary);
        line.setAlignment(Pos.CENTER_LEFT);
        // Room for the first of them: a row must not grow under the mouse when it is read.
        chips.getStyleClass().add("reading-chips");
        getChildren().addAll(line, chips);
    }

    TextField field() {
        return field;
    }

    private void take() {
        String typed = field.getText();
        if (typed.isBlank()) {
            return;
        }
        read(typed).ifPresent(v -> {
            field.clear();
            List<Reading> more = new ArrayList<>(list);
            more.add(new Reading(v, Instant.now(), instruments.of(unit, half)));
            commit.accept("reading " + Quantity.show(v, unit), more);
        });
    }

    private Optional<Double> read(String typed) {
        try {
            double v = Quantity.parse(typed, unit);
            Optional<String> no = objection.apply(v);
            complain(no.orElse(""));
            return no.isPresent() ? Optional.empty() : Optional.of(v);
        } catch (QuantityException e) {
            complain(e.getMessage());
            return Optional.empty();
        }
    }

    private void complain(String why) {
        complaint.setText(why);
        getChildren().remove(complaint);
        if (!why.isEmpty()) {
            getChildren().add(1, complaint);
        }
    }

    private String number(double v) {
        return unit == Unit.MM ? Quantity.fixed(v, 2) : Quantity.plain(v, unit);
    }

    /** What it will probably read, as a hint in the empty field: a usual size, to be read all the same. */
    void expect(OptionalDouble usual) {
        boolean said = usual.isPresent() && list.isEmpty();
        field.setPromptText(said ? Quantity.plain(usual.getAsDouble(), unit) + "?" : "read");
        if (said) {
            Ui.tip(field, "Things like this usually have " + Quantity.show(usual.getAsDouble(), unit) + " here; read it all the same");
        } else {
            field.setTooltip(null);
        }
    }

    /** Shows the readings there are. */
    public void refresh(List<Reading> readings) {
        if (!readings.equals(list) && (open >= readings.size() || open < 0)) {
            open = -1;
        }
        list = readings;
        Optional<Reading> odd = Spread.outlier(list, half);
        Optional<Spread> spread = Spread.of(list, half);
        summary.setText(spread.map(s -> number(s.mean()) + (s.halfWidth() > 0 ? " ± " + number(s.halfWidth()) : "")).orElse(""));
        spread.ifPresent(s -> Ui.tip(summary, s.count() + (s.count() == 1 ? " reading" : " readings") + ", spread "
                + Quantity.fixed(s.deviation(), 3) + "; the interval holds the true value with 95 % (Student, and ± "
                + Quantity.show(half, unit) + " for the instrument)"));
        chips.getChildren().clear();
        for (int i = 0; i < list.size(); i++) {
            chips.getChildren().add(chip(i, odd.isPresent() && odd.get() == list.get(i)));
        }
        spread.filter(s -> s.count() > 1).ifPresent(s -> chips.getChildren().add(
                Ui.label("spread " + Quantity.fixed(s.deviation(), 2), "reading-spread")));
        showEditor();
    }

    private Button chip(int at, boolean odd) {
        Reading r = list.get(at);
        String mark = r.leftOut() ? "× " : odd ? "? " : "";
        Button chip = Ui.id(new Button(mark + number(r.value()) + (r.note().isEmpty() && r.earlier().isEmpty() ? "" : " *")),
                "chip-" + key + "-" + at);
        chip.getStyleClass().addAll("reading-chip", r.leftOut() ? "left-out" : odd ? "odd" : "even");
        chip.setFocusTraversable(false);
        Ui.tip(chip, (odd ? "This one stands apart from the others: more than 3.5 times their usual scatter from the median. Read "
                + "again, or leave it out. " : "") + (r.leftOut() ? "Left out of the reckoning. " : "")
                + WHEN.format(r.at().atZone(ZoneId.systemDefault())) + ", " + r.instrument()
                + (r.earlier().isEmpty() ? "" : "; was " + String.join(", ", r.earlier().stream().map(this::number).toList()))
                + (r.note().isEmpty() ? "" : "; " + r.note()) + ". Click to correct it, note something, say what it was read with or leave it out.");
        chip.setOnAction(e -> {
            open = open == at ? -1 : at;
            showEditor();
            if (open >= 0) {
                value.requestFocus();
            }
        });
        return chip;
    }

    private void showEditor() {
        getChildren().remove(editor);
        if (open < 0 || open >= list.size()) {
            return;
        }
        int at = open;
        Reading r = list.get(at);
        value = Ui.id(new TextField(number(r.value())), "chip-value");
        value.setPrefColumnCount(6);
        value.setOnAction(e -> read(value.getText()).ifPresent(v -> replace(at, r.changedTo(v), "change a reading")));
        TextField note = Ui.id(new TextField(r.note()), "chip-note");
        note.setPromptText("a note");
        HBox.setHgrow(note, Priority.ALWAYS);
        note.setOnAction(e -> replace(at, r.withNote(note.getText().strip()), "note on a reading"));
        TextField with = Ui.id(new TextField(r.instrument()), "chip-instrument");
        with.setPromptText("read with");
        Ui.tip(with, "What it was read with; the next readings of this kind are taken with the same");
        HBox.setHgrow(with, Priority.ALWAYS);
        with.setOnAction(e -> {
            instruments.use(unit, half, with.getText().strip());
            replace(at, r.takenWith(with.getText().strip()), "instrument of a reading");
        });
        Button out = Ui.id(Ui.button(r.leftOut() ? "count it again" : "leave it out", null,
                () -> replace(at, r.leftOut(!r.leftOut()), r.leftOut() ? "count a reading again" : "leave a reading out")), "chip-out");
        Button gone = Ui.id(Ui.button("remove", null, () -> {
            List<Reading> less = new ArrayList<>(list);
            less.remove(at);
            open = -1;
            commit.accept("remove " + Quantity.show(r.value(), unit), less);
        }), "chip-remove");
        Ui.tip(gone, "For a slip of the finger; a true reading that stands apart is better left out, so that it can be seen");
        editor.getStyleClass().setAll("chip-editor");
        HBox acts = new HBox(4, Ui.whole(out), Ui.whole(gone));
        acts.getStyleClass().add("row-acts");
        editor.getChildren().setAll(new HBox(4, value, note), with, acts);
        getChildren().add(editor);
    }

    private void replace(int at, Reading next, String label) {
        List<Reading> all = new ArrayList<>(list);
        all.set(at, next);
        open = -1;
        commit.accept(label + " " + Quantity.show(next.value(), unit), all);
        refresh(list);
    }
}
