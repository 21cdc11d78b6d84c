package tinperch.desktop.machine;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.catalogue.UsualThing;
import tinperch.desktop.look.Ui;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.Loadout;

/** The components on a machine on a day, and what can be done with each. */
final class BookComponents extends GridPane {
    private BookDay at;

    BookComponents() {
        setHgap(10);
        setVgap(3);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        wide.setMinWidth(60);
        getColumnConstraints().addAll(new ColumnConstraints(), wide, new ColumnConstraints());
    }

    void show(BookDay next) {
        at = next;
        getChildren().clear();
        int row = 0;
        for (Component c : at.then().components()) {
            addRow(row++, Ui.whole(Ui.label(c.kind().label(), "faint")), name(c), Ui.whole(acts(c)));
        }
        if (row == 0) {
            add(Ui.text("Nothing written down for this day.", "faint"), 0, 0, 3, 1);
        }
    }

    private Label name(Component c) {
        Label name = Ui.id(Ui.label(c.words()), "component-" + c.id());
        name.setMaxWidth(Double.MAX_VALUE);
        Book book = at.book();
        return Ui.tip(name, (c.loadout().isEmpty() ? "" : book.loadout(c.loadout()).map(Loadout::name).orElse("") + " · ")
                + c.replaces().flatMap(book::component).map(o -> "in place of " + o.name() + " · ").orElse("")
                + UsualThing.byId(c.usual()).map(u -> u.name() + " · ").orElse("")
                + book.component(c.wired().from()).map(o -> "hangs on " + o.name() + " · ").orElse("")
                + "since " + c.on().format(BookDay.DAY) + (c.by().isEmpty() ? "" : ", " + c.by())
                + (c.note().isEmpty() ? "" : ": " + c.note()));
    }

    private HBox acts(Component c) {
        ComponentMenu more = new ComponentMenu(c, at);
        Button off = Ui.id(Ui.button("take off", null, () -> at.makeOrWarn("take off " + c.name(), b -> b.takeOff(c.id(), at.day()))), "take-off-" + c.id());
        Button strike = Ui.id(Ui.button("strike out", null, () -> at.makeOrWarn("strike out " + c.name(), b -> b.strikeOut(c.id()))), "strike-out-" + c.id());
        Ui.tip(off, "It comes off on the day shown");
        Ui.tip(strike, "A slip of the pen: as if it had never been written");
        HBox acts = new HBox(4, off, strike);
        if (!more.getItems().isEmpty()) {
            acts.getChildren().add(0, more);
        }
        acts.getStyleClass().add("row-acts");
        acts.setVisible(at.isToday() || c.off().isEmpty());
        return acts;
    }
}
