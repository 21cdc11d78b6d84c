package tinperch.desktop.machine;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.catalogue.UsualThing;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Loadout;
import tinperch.machine.book.Ratings;
import tinperch.machine.book.Wired;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.desktop.look.Labels;

/** What is needed to write down a component; folded to one button until wanted. */
final class FitForm extends Column {
    /** What a contact may feed. */
    static final List<ComponentKind> FEEDS = List.of(ComponentKind.BED, ComponentKind.HEATER, ComponentKind.FAN, ComponentKind.DRIVE, ComponentKind.BOARD, ComponentKind.OTHER);

    private final Desk desk;
    private final Button open = Ui.id(Ui.button("Fit a component", "mdi2p-plus", () -> show(true)), "fit-open");
    private final ComboBox<ComponentKind> kind = Ui.id(new ComboBox<>(), "fit-kind");
    private final ComboBox<Component> replaces = Ui.id(new ComboBox<>(), "fit-replaces");
    private final ComboBox<UsualThing> size = Ui.id(new ComboBox<>(), "fit-size");
    private final ComboBox<ComponentKind> feeds = Ui.id(new ComboBox<>(), "fit-feeds");
    private final TextField name = Ui.id(new TextField(), "fit-name");
    private final TextField volts = field("fit-volts", "V");
    private final TextField amps = field("fit-amps", "A");
    private final TextField watts = field("fit-watts", "W");
    private final TextField limit = field("fit-limit", "to °C");
    private final TextField mass = field("fit-mass", "g");
    private final TextField ohms = field("fit-ohm", "Ω");
    private final ComboBox<Loadout> onto = Ui.id(new ComboBox<>(), "fit-onto");
    private final TextField by = Ui.id(new TextField(), "fit-by");
    private final TextField note = Ui.id(new TextField(), "fit-note");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "fit-complaint");
    private final Button fit = Ui.id(Ui.button("Fit", "mdi2c-check", this::make), "fit-ok");
    private BookDay at;

    FitForm(Desk desk) {
        super(6);
        this.desk = desk;
        kind.getItems().setAll(ComponentKind.values());
        kind.setConverter(new Labels<>(ComponentKind::label, ""));
        kind.setPromptText("kind");
        size.setConverter(new Labels<>(UsualThing::name, "no usual size"));
        size.setPromptText("usual size");
        Ui.tip(size, "Which usual size it is: parts can then be made around it before anything is measured");
        feeds.getItems().setAll(FEEDS);
        feeds.getItems().add(0, null);
        feeds.setConverter(new Labels<>(k -> "feeds the " + k.label().toLowerCase(java.util.Locale.ROOT), "feeds: not said"));
        feeds.setPromptText("feeds: not said");
        Ui.tip(feeds, "What draws its current through it; whether it may carry a hot bed hangs on this");
        Ui.tip(ohms, "Of a resistor that stands in for a sensor");
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
        getChildren().setAll(new HBox(6, kind, name, size, feeds, onto), new HBox(6, replaces, volts, amps, watts, limit, mass, ohms),
                new HBox(6, by, note, Ui.whole(fit), Ui.whole(not)), complaint);
        kind.requestFocus();
    }

    void refresh(BookDay next) {
        at = next;
        boolean several = !at.book().loadouts().isEmpty();
        onto.setVisible(several);
        onto.setManaged(several);
        Loadout chosen = onto.getValue();
        onto.getItems().setAll(at.book().loadouts());
        onto.getItems().add(0, null);
        onto.setValue(chosen != null && onto.getItems().contains(chosen) ? chosen : null);
        fit.setText(at.isToday() ? "Fit" : "Fit on " + at.day().format(BookDay.DAY));
        offer();
    }

    private void offer() {
        List<Component> same = at.then().components().stream().filter(c -> c.kind() == kind.getValue() && c.off().isEmpty()).toList();
        replaces.getItems().setAll(same);
        replaces.getItems().add(0, null);
        replaces.setValue(same.isEmpty() ? null : same.get(0));
        List<String> things = kind.getValue() == null ? List.of() : kind.getValue().things();
        size.getItems().setAll(UsualThing.ofKinds(things));
        size.getItems().add(0, null);
        size.setValue(null);
        size.setVisible(!things.isEmpty());
        size.setManaged(!things.isEmpty());
        Ui.see(feeds, kind.getValue() == ComponentKind.CONTACT);
        Ui.see(ohms, kind.getValue() == ComponentKind.SENSOR);
    }

    private String size() {
        return size.getValue() == null ? "" : size.getValue().id();
    }

    private void make() {
        if (kind.getValue() == null) {
            complain("Choose what kind of component it is.");
            return;
        }
        try {
            Ratings r = new Ratings(number(volts, Unit.VOLT), number(amps, Unit.AMPERE), number(watts, Unit.WATT),
                    number(limit, Unit.CELSIUS), number(mass, Unit.GRAM), kind.getValue() == ComponentKind.SENSOR ? number(ohms, Unit.OHM) : 0);
            Optional<Component> old = Optional.ofNullable(replaces.getValue());
            Component c = new Component(BookEdit.freshId(), kind.getValue(), name.getText().strip(),
                    old.map(Component::loadout).orElse(onto.getValue() == null ? "" : onto.getValue().id()), r, size(), at.day(), Optional.empty(), old.map(Component::id),
                    by.getText().strip(), note.getText().strip()).feeding(kind.getValue() == ComponentKind.CONTACT ? feeds.getValue() : null)
                    // It hangs where the one before it hung, on the same wire.
                    .wired(old.map(Component::wired).orElse(Wired.UNKNOWN));
            if (!by.getText().isBlank()) {
                desk.workshop().setPreference("writer", by.getText().strip());
            }
            Optional<String> why = at.make("fit " + c.name(), b -> b.fit(c));
            if (why.isPresent()) {
                complain(why.get());
                return;
            }
            for (TextField f : List.of(name, volts, amps, watts, limit, mass, ohms, note)) {
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
