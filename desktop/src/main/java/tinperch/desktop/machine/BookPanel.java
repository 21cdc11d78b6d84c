package tinperch.desktop.machine;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.book.Book;
import tinperch.machine.book.Loadout;
import tinperch.machine.book.Standing;

/**
 * A machine's book opened at a day: a slider over its time, the components on it and the settings in force that day, what is
 * otherwise than today, and forms for new entries, which carry the day shown.
 */
final class BookPanel extends Column implements View {
    private final Desk desk;
    private final String machineId;
    private final Slider slider = Ui.id(new Slider(), "book-day");
    private final Label dayText = Ui.whole(Ui.id(Ui.label("", "strong"), "book-day-text"));
    private final HBox loadouts = new HBox(6);
    private final Label differs = Ui.id(Ui.text("", "faint"), "book-differs");
    private final Label loadoutDiffers = Ui.id(Ui.text("", "faint"), "loadout-differs");
    private final BookComponents components = new BookComponents();
    private final BookSettings settings;
    private final FitForm form;
    private final ToggleButton pin = Ui.id(new ToggleButton("compare from here"), "book-pin");
    private LocalDate day = LocalDate.now();
    private LocalDate pinned;
    private String loadout = "";
    private List<Object> shown = List.of();

    BookPanel(Desk desk, String machineId) {
        super(10);
        this.desk = desk;
        this.machineId = machineId;
        getStyleClass().add("panel");
        form = new FitForm(desk);
        settings = new BookSettings(desk);
        slider.setBlockIncrement(1);
        HBox.setHgrow(slider, Priority.ALWAYS);
        slider.valueProperty().addListener((o, a, b) -> showDay(book().since().plusDays(Math.round(b.doubleValue()))));
        Button back = Ui.id(Ui.button(null, "mdi2s-skip-previous-outline", () -> step(-1)), "book-earlier");
        Button on = Ui.id(Ui.button(null, "mdi2s-skip-next-outline", () -> step(1)), "book-later");
        Ui.tip(back, "The day of the entry before").setAccessibleText("Earlier entry");
        Ui.tip(on, "The day of the next entry").setAccessibleText("Later entry");
        Ui.tip(slider, "How the machine stood on any day; new entries carry the day shown");
        pin.getStyleClass().add("chip");
        Ui.tip(pin, "Holds this day and tells what differs between it and the day shown next");
        pin.setOnAction(e -> {
            pinned = pin.isSelected() ? day : null;
            shown = List.of();
            refresh();
        });
        HBox time = new HBox(8, Ui.whole(Ui.label("The book", "section")), back, slider, on, dayText, Ui.whole(pin));
        time.setAlignment(Pos.CENTER_LEFT);
        loadouts.setAlignment(Pos.CENTER_LEFT);
        GridPane columns = new GridPane();
        columns.setHgap(24);
        for (double share : new double[] {58, 42}) {
            ColumnConstraints c = new ColumnConstraints();
            c.setPercentWidth(share);
            columns.getColumnConstraints().add(c);
        }
        VBox left = new Column(8, Ui.label("Components", "column"), components, form);
        columns.addRow(0, left, settings);
        GridPane.setValignment(left, VPos.TOP);
        GridPane.setValignment(settings, VPos.TOP);
        getChildren().addAll(time, loadouts, loadoutDiffers, differs, columns);
    }

    private Book book() {
        return desk.state().machine(machineId).orElseThrow().book();
    }

    private void step(int by) {
        List<LocalDate> days = new ArrayList<>(book().days());
        days.add(LocalDate.now());
        days.stream().filter(d -> by < 0 ? d.isBefore(day) : d.isAfter(day))
                .reduce((a, b) -> by < 0 ? b : a).ifPresent(this::showDay);
    }

    private void showDay(LocalDate next) {
        if (!next.equals(day)) {
            day = next.isAfter(LocalDate.now()) ? LocalDate.now() : next;
            refresh();
        }
    }

    @Override
    public void refresh() {
        Book book = book();
        if (!loadout.isEmpty() && book.loadout(loadout).isEmpty()) {
            loadout = "";
        }
        if (loadout.isEmpty() && !book.loadouts().isEmpty()) {
            loadout = book.loadouts().get(0).id();
        }
        if (day.isBefore(book.since())) {
            day = book.since();
        }
        double last = Math.max(1, ChronoUnit.DAYS.between(book.since(), LocalDate.now()));
        slider.setMax(last);
        slider.setValue(ChronoUnit.DAYS.between(book.since(), day));
        dayText.setText(day.equals(LocalDate.now()) ? "today" : day.format(BookDay.DAY));
        List<Object> now = List.of(book, day, loadout);
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        showLoadouts(book);
        Standing then = book.at(day, loadout);
        differs.setText(pinned == null ? sinceThen(book, then) : between(book));
        BookDay at = new BookDay(desk, machineId, book, day, loadout, then);
        components.show(at);
        settings.show(at);
        form.refresh(at);
    }

    private String sinceThen(Book book, Standing then) {
        if (day.equals(LocalDate.now())) {
            return "Drag back to see how the machine stood on any day since it came on " + book.since().format(BookDay.DAY) + ".";
        }
        List<String> other = Standing.differences(then, book.at(LocalDate.now(), loadout));
        return other.isEmpty() ? "Nothing is otherwise today." : "Changed since: " + String.join(";  ", other) + ".";
    }

    /** What differs between the day held and the day shown, the earlier one first. */
    private String between(Book book) {
        LocalDate from = pinned.isBefore(day) ? pinned : day;
        LocalDate to = pinned.isBefore(day) ? day : pinned;
        List<String> words = Standing.differences(book.at(from, loadout), book.at(to, loadout));
        return "From " + from.format(BookDay.DAY) + " to " + to.format(BookDay.DAY) + ": " + (words.isEmpty() ? "nothing changed" : String.join(";  ", words))
                + ".";
    }

    private void showLoadouts(Book book) {
        loadouts.getChildren().clear();
        ToggleGroup group = new ToggleGroup();
        for (Loadout l : book.loadouts()) {
            ToggleButton b = Ui.whole(Ui.id(new ToggleButton(l.name()), "loadout-" + l.id()));
            b.getStyleClass().add("chip");
            b.setToggleGroup(group);
            b.setSelected(l.id().equals(loadout));
            Ui.tip(b, l.note());
            b.setOnAction(e -> {
                loadout = l.id();
                b.setSelected(true);
                refresh();
            });
            loadouts.getChildren().add(b);
        }
        loadouts.getChildren().add(newLoadout());
        boolean several = book.loadouts().size() > 1;
        loadoutDiffers.setVisible(several);
        loadoutDiffers.setManaged(several);
        if (several) {
            Loadout other = book.loadouts().stream().filter(l -> !l.id().equals(loadout)).findFirst().orElseThrow();
            List<String> words = Standing.differences(book.at(day, loadout), book.at(day, other.id()));
            loadoutDiffers.setText("With “" + other.name() + "” on: " + (words.isEmpty() ? "the same." : String.join(";  ", words) + "."));
        }
    }

    /** A button that becomes a field for the name of a new loadout. */
    private Node newLoadout() {
        Button add = Ui.whole(Ui.id(Ui.button("Another loadout", "mdi2p-plus", null), "add-loadout"));
        Ui.tip(add, "A tool plate with components, settings and offsets of its own");
        add.setOnAction(e -> {
            TextField name = Ui.id(new TextField(), "loadout-name");
            name.setPromptText("fine nozzle, say");
            name.setOnAction(x -> {
                String id = BookEdit.freshId();
                BookEdit.make(desk, machineId, "add loadout " + name.getText().strip(),
                        b -> b.add(new Loadout(id, name.getText().strip(), ""))).ifPresent(desk::warn);
            });
            name.setOnKeyPressed(k -> {
                if (k.getCode() == javafx.scene.input.KeyCode.ESCAPE) {
                    shown = List.of();
                    refresh();
                }
            });
            loadouts.getChildren().set(loadouts.getChildren().indexOf(add), name);
            name.requestFocus();
        });
        return add;
    }
}
