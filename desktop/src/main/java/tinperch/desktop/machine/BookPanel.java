package tinperch.desktop.machine;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
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
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Loadout;
import tinperch.machine.book.Ratings;
import tinperch.machine.book.SettingChange;
import tinperch.machine.book.SettingKey;
import tinperch.machine.book.Standing;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/**
 * A machine's book opened at a day: a slider over its time, the components on it and the settings in force that day, what is
 * otherwise than today, and forms for new entries, which carry the day shown.
 */
final class BookPanel extends Column implements View {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    private final Desk desk;
    private final String machineId;
    private final Slider slider = Ui.id(new Slider(), "book-day");
    private final Label dayText = Ui.whole(Ui.id(Ui.label("", "strong"), "book-day-text"));
    private final HBox loadouts = new HBox(6);
    private final Label differs = Ui.id(Ui.text("", "faint"), "book-differs");
    private final Label loadoutDiffers = Ui.id(Ui.text("", "faint"), "loadout-differs");
    private final GridPane components = table(3, 1);
    private final GridPane settings = table(3, 0);
    private final TextField who = Ui.id(new TextField(), "setting-who");
    private final TextField why = Ui.id(new TextField(), "setting-why");
    private final ComboBox<String> newSetting = Ui.id(new ComboBox<>(), "new-setting");
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
        form = new FitForm();
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
        who.setPromptText("who");
        who.setPrefColumnCount(7);
        who.setText(BookEdit.writer(desk));
        who.focusedProperty().addListener((o, was, is) -> {
            if (!is && !who.getText().isBlank()) {
                desk.workshop().setPreference("writer", who.getText().strip());
            }
        });
        why.setPromptText("why, for the changes made next");
        HBox.setHgrow(why, Priority.ALWAYS);
        Ui.tip(why, "Written down with every setting changed below; seen when the mouse rests on the setting");
        newSetting.setPromptText("another setting");
        newSetting.setOnAction(e -> addSetting());
        VBox left = new Column(8, Ui.label("Components", "column"), components, form);
        VBox right = new Column(8, Ui.label("Settings", "column"), new HBox(6, who, why), settings, newSetting);
        columns.addRow(0, left, right);
        GridPane.setValignment(left, VPos.TOP);
        GridPane.setValignment(right, VPos.TOP);
        getChildren().addAll(time, loadouts, loadoutDiffers, differs, columns);
    }

    private static GridPane table(int columns, int wide) {
        GridPane g = new GridPane();
        g.setHgap(10);
        g.setVgap(3);
        for (int i = 0; i < columns; i++) {
            ColumnConstraints c = new ColumnConstraints();
            if (i == wide) {
                c.setHgrow(Priority.ALWAYS);
                c.setMinWidth(60);
            }
            g.getColumnConstraints().add(c);
        }
        return g;
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
        dayText.setText(day.equals(LocalDate.now()) ? "today" : day.format(DAY));
        List<Object> now = List.of(book, day, loadout);
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        showLoadouts(book);
        Standing then = book.at(day, loadout);
        differs.setText(pinned == null ? sinceThen(book, then) : between(book));
        showComponents(book, then);
        showSettings(then);
        form.refresh(then);
    }

    private String sinceThen(Book book, Standing then) {
        if (day.equals(LocalDate.now())) {
            return "Drag back to see how the machine stood on any day since it came on " + book.since().format(DAY) + ".";
        }
        List<String> other = Standing.differences(then, book.at(LocalDate.now(), loadout));
        return other.isEmpty() ? "Nothing is otherwise today." : "Changed since: " + String.join(";  ", other) + ".";
    }

    /** What differs between the day held and the day shown, the earlier one first. */
    private String between(Book book) {
        LocalDate from = pinned.isBefore(day) ? pinned : day;
        LocalDate to = pinned.isBefore(day) ? day : pinned;
        List<String> words = Standing.differences(book.at(from, loadout), book.at(to, loadout));
        return "From " + from.format(DAY) + " to " + to.format(DAY) + ": " + (words.isEmpty() ? "nothing changed" : String.join(";  ", words))
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
                Optional<String> why = BookEdit.make(desk, machineId, "add loadout " + name.getText().strip(),
                        b -> b.add(new Loadout(id, name.getText().strip(), "")));
                say(why);
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

    /** Where a component may be moved to. */
    private Node moves(Book book, Component c) {
        MenuButton move = Ui.id(new MenuButton("move"), "move-" + c.id());
        List<Loadout> to = new ArrayList<>(book.loadouts());
        to.add(0, new Loadout("", "the machine itself", ""));
        for (Loadout l : to) {
            if (!l.id().equals(c.loadout())) {
                MenuItem item = new MenuItem("to " + l.name());
                item.setOnAction(e -> say(BookEdit.make(desk, machineId, "move " + c.name() + " to " + l.name(),
                        b -> b.move(c.id(), BookEdit.freshId(), l.id(), day))));
                move.getItems().add(item);
            }
        }
        return move;
    }

    private void showComponents(Book book, Standing then) {
        components.getChildren().clear();
        int row = 0;
        for (Component c : then.components()) {
            Label name = Ui.id(Ui.label(c.words()), "component-" + c.id());
            name.setMaxWidth(Double.MAX_VALUE);
            Ui.tip(name, (c.loadout().isEmpty() ? "" : book.loadout(c.loadout()).map(Loadout::name).orElse("") + " · ")
                    + c.replaces().flatMap(book::component).map(o -> "in place of " + o.name() + " · ").orElse("")
                    + "since " + c.on().format(DAY) + (c.by().isEmpty() ? "" : ", " + c.by())
                    + (c.note().isEmpty() ? "" : ": " + c.note()));
            Button off = Ui.id(Ui.button("take off", null, () -> say(BookEdit.make(desk, machineId, "take off " + c.name(),
                    b -> b.takeOff(c.id(), day)))), "take-off-" + c.id());
            Button strike = Ui.id(Ui.button("strike out", null, () -> say(BookEdit.make(desk, machineId, "strike out " + c.name(),
                    b -> b.strikeOut(c.id())))), "strike-out-" + c.id());
            Ui.tip(off, "It comes off on the day shown");
            Ui.tip(strike, "A slip of the pen: as if it had never been written");
            HBox acts = new HBox(4, off, strike);
            if (!book.loadouts().isEmpty()) {
                acts.getChildren().add(0, moves(book, c));
            }
            acts.getStyleClass().add("row-acts");
            boolean past = !day.equals(LocalDate.now());
            acts.setVisible(!past || c.off().isEmpty());
            components.addRow(row++, Ui.whole(Ui.label(c.kind().label(), "faint")), name, Ui.whole(acts));
        }
        if (row == 0) {
            components.add(Ui.text("Nothing written down for this day.", "faint"), 0, 0, 3, 1);
        }
    }

    private void say(Optional<String> problem) {
        problem.ifPresent(desk::warn);
    }

    private void showSettings(Standing then) {
        settings.getChildren().clear();
        int row = 0;
        for (SettingKey k : SettingKey.ALL) {
            SettingChange s = then.settings().get(k.key());
            if (s == null) {
                continue;
            }
            CommitField f = new CommitField("setting-" + k.key(), k.show(s.value()), typed -> set(k, typed));
            f.setMaxWidth(130);
            f.setMinWidth(110);
            Ui.tip(f.field(), "since " + s.on().format(DAY) + (s.by().isEmpty() ? "" : ", " + s.by())
                    + (s.why().isEmpty() ? "" : ": " + s.why()));
            settings.addRow(row, Ui.label(k.label(), "faint"), f, Ui.whole(Ui.label(s.on().format(DAY), "faint")));
            settings.add(f.complaint(), 0, row + 1, 3, 1);
            row += 2;
        }
        newSetting.getItems().setAll(SettingKey.ALL.stream().filter(k -> !then.settings().containsKey(k.key()))
                .map(k -> k.group() + ": " + k.label()).toList());
    }

    private Optional<String> set(SettingKey k, String typed) {
        String bare = typed.strip();
        if (!k.unit().isEmpty() && bare.endsWith(k.unit())) {
            bare = bare.substring(0, bare.length() - k.unit().length()).strip();
        }
        try {
            double value = Quantity.parse(bare, Unit.COUNT);
            return BookEdit.make(desk, machineId, k.label() + " " + k.show(value), b -> b.set(new SettingChange(BookEdit.freshId(),
                    k.key(), value, scope(k), day, who.getText().strip(), why.getText().strip())));
        } catch (QuantityException e) {
            return Optional.of(e.getMessage());
        }
    }

    /** A setting the loadout has for itself is changed there, others for the machine. */
    private String scope(SettingKey k) {
        SettingChange now = book().at(day, loadout).settings().get(k.key());
        return now == null ? loadout : now.loadout();
    }

    private void addSetting() {
        int i = newSetting.getSelectionModel().getSelectedIndex();
        if (i < 0) {
            return;
        }
        String chosen = newSetting.getValue();
        SettingKey key = SettingKey.ALL.stream().filter(k -> chosen.equals(k.group() + ": " + k.label())).findFirst().orElseThrow();
        say(BookEdit.make(desk, machineId, "write down " + key.label(), b -> b.set(new SettingChange(BookEdit.freshId(), key.key(),
                0, loadout, day, BookEdit.writer(desk), ""))));
    }

    /** What is needed to write down a component; folded to one button until wanted. */
    private final class FitForm extends Column {
        private final Button open = Ui.id(Ui.button("Fit a component", "mdi2p-plus", () -> show(true)), "fit-open");
        private final ComboBox<ComponentKind> kind = Ui.id(new ComboBox<>(), "fit-kind");
        private final ComboBox<Component> replaces = Ui.id(new ComboBox<>(), "fit-replaces");
        private final TextField name = Ui.id(new TextField(), "fit-name");
        private final TextField volts = field("fit-volts", "V");
        private final TextField amps = field("fit-amps", "A");
        private final TextField watts = field("fit-watts", "W");
        private final TextField limit = field("fit-limit", "to °C");
        private final TextField mass = field("fit-mass", "g");
        private final ComboBox<Loadout> onto = Ui.id(new ComboBox<>(), "fit-onto");
        private final TextField by = Ui.id(new TextField(), "fit-by");
        private final TextField note = Ui.id(new TextField(), "fit-note");
        private final Label complaint = Ui.id(Ui.text("", "complaint"), "fit-complaint");
        private final Button fit = Ui.id(Ui.button("Fit", "mdi2c-check", this::make), "fit-ok");
        private Standing then;

        FitForm() {
            super(6);
            kind.getItems().setAll(ComponentKind.values());
            kind.setConverter(new Labels<>(ComponentKind::label, ""));
            kind.setPromptText("kind");
            kind.setOnAction(e -> offer());
            onto.setConverter(new Labels<>(l -> "on " + l.name(), "on the machine"));
            onto.setPromptText("on the machine");
            replaces.setConverter(new Labels<>(c -> "in place of " + c.name(), "in place of nothing"));
            replaces.setPromptText("in place of nothing");
            name.setPromptText("what it is, such as radial fan 50×15");
            by.setPromptText("who");
            by.setPrefColumnCount(7);
            note.setPromptText("why");
            HBox.setHgrow(note, Priority.ALWAYS);
            HBox.setHgrow(name, Priority.ALWAYS);
            fit.getStyleClass().add("accent");
            name.setOnAction(e -> make());
            note.setOnAction(e -> make());
            show(false);
        }

        private TextField field(String id, String unit) {
            TextField f = Ui.id(new TextField(), id);
            f.setPromptText(unit);
            f.setPrefColumnCount(4);
            return f;
        }

        private void show(boolean wanted) {
            complain("");
            if (!wanted) {
                getChildren().setAll(open);
                return;
            }
            by.setText(BookEdit.writer(desk));
            Button not = Ui.id(Ui.button("Leave it", null, () -> show(false)), "fit-cancel");
            getChildren().setAll(new HBox(6, kind, name, onto), new HBox(6, replaces, volts, amps, watts, limit, mass),
                    new HBox(6, by, note, Ui.whole(fit), Ui.whole(not)), complaint);
            kind.requestFocus();
        }

        void refresh(Standing standing) {
            then = standing;
            boolean several = !book().loadouts().isEmpty();
            onto.setVisible(several);
            onto.setManaged(several);
            Loadout chosen = onto.getValue();
            onto.getItems().setAll(book().loadouts());
            onto.getItems().add(0, null);
            onto.setValue(chosen != null && onto.getItems().contains(chosen) ? chosen : null);
            fit.setText(day.equals(LocalDate.now()) ? "Fit" : "Fit on " + day.format(DAY));
            offer();
        }

        private void offer() {
            List<Component> same = then.components().stream().filter(c -> c.kind() == kind.getValue() && c.off().isEmpty()).toList();
            replaces.getItems().setAll(same);
            replaces.getItems().add(0, null);
            replaces.setValue(same.isEmpty() ? null : same.get(0));
        }

        private void make() {
            if (kind.getValue() == null) {
                complain("Choose what kind of component it is.");
                return;
            }
            try {
                Ratings r = new Ratings(number(volts, Unit.VOLT), number(amps, Unit.AMPERE), number(watts, Unit.WATT),
                        number(limit, Unit.CELSIUS), number(mass, Unit.GRAM));
                Optional<Component> old = Optional.ofNullable(replaces.getValue());
                Component c = new Component(BookEdit.freshId(), kind.getValue(), name.getText().strip(),
                        old.map(Component::loadout).orElse(onto.getValue() == null ? "" : onto.getValue().id()), r, day, Optional.empty(), old.map(Component::id),
                        by.getText().strip(), note.getText().strip());
                if (!by.getText().isBlank()) {
                    desk.workshop().setPreference("writer", by.getText().strip());
                }
                Optional<String> why = BookEdit.make(desk, machineId, "fit " + c.name(), b -> b.fit(c));
                if (why.isPresent()) {
                    complain(why.get());
                    return;
                }
                for (TextField f : List.of(name, volts, amps, watts, limit, mass, note)) {
                    f.clear();
                }
                show(false);
            } catch (QuantityException e) {
                complain(e.getMessage());
            }
        }

        private static double number(TextField f, Unit unit) {
            return f.getText().isBlank() ? 0 : Quantity.parse(f.getText(), unit);
        }

        private void complain(String why) {
            complaint.setText(why);
            complaint.setVisible(!why.isEmpty());
            complaint.setManaged(!why.isEmpty());
        }
    }

    /** Shows values by a word; nothing is typed. */
    private static final class Labels<T> extends javafx.util.StringConverter<T> {
        private final java.util.function.Function<T, String> word;
        private final String none;

        Labels(java.util.function.Function<T, String> word, String none) {
            this.word = word;
            this.none = none;
        }

        @Override
        public String toString(T value) {
            return value == null ? none : word.apply(value);
        }

        @Override
        public T fromString(String text) {
            throw new UnsupportedOperationException("not typed");
        }
    }
}
