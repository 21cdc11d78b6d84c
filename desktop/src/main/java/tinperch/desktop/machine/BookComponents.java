package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.catalogue.UsualThing;
import tinperch.desktop.look.Ui;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
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
        Button off = Ui.id(Ui.button("take off", null, () -> at.makeOrWarn("take off " + c.name(), b -> b.takeOff(c.id(), at.day()))), "take-off-" + c.id());
        Button strike = Ui.id(Ui.button("strike out", null, () -> at.makeOrWarn("strike out " + c.name(), b -> b.strikeOut(c.id()))), "strike-out-" + c.id());
        Ui.tip(off, "It comes off on the day shown");
        Ui.tip(strike, "A slip of the pen: as if it had never been written");
        HBox acts = new HBox(4, off, strike);
        if (!at.book().loadouts().isEmpty()) {
            acts.getChildren().add(0, moves(c));
        }
        if (!c.kind().things().isEmpty()) {
            acts.getChildren().add(0, sizes(c));
        }
        if (c.kind().draws()) {
            acts.getChildren().add(0, new WiredMenu(c, at));
        }
        if (c.kind() == ComponentKind.CONTACT) {
            acts.getChildren().add(0, feeds(c));
        }
        acts.getStyleClass().add("row-acts");
        acts.setVisible(at.isToday() || c.off().isEmpty());
        return acts;
    }

    /** What draws its current through it. */
    private MenuButton feeds(Component c) {
        MenuButton feeds = Ui.id(new MenuButton("feeds"), "feeds-" + c.id());
        Ui.tip(feeds, "What draws its current through it; whether it may carry a hot bed hangs on this");
        for (ComponentKind k : FitForm.FEEDS) {
            MenuItem item = new MenuItem((k == c.feeds() ? "✓ " : "") + k.label());
            item.setOnAction(e -> at.makeOrWarn(c.name() + " feeds the " + k.label(), b -> b.feeding(c.id(), k == c.feeds() ? null : k)));
            feeds.getItems().add(item);
        }
        return feeds;
    }

    /** Which usual thing it is, so that parts can be made around it. */
    private MenuButton sizes(Component c) {
        MenuButton size = Ui.id(new MenuButton("size"), "size-" + c.id());
        Ui.tip(size, "Which usual size it is: parts can then be made around it before anything is measured");
        for (UsualThing u : UsualThing.ofKinds(c.kind().things())) {
            MenuItem item = new MenuItem((u.id().equals(c.usual()) ? "✓ " : "") + u.name());
            item.setOnAction(e -> at.makeOrWarn(c.name() + " is a " + u.name(), b -> b.being(c.id(), u.id().equals(c.usual()) ? "" : u.id())));
            size.getItems().add(item);
        }
        return size;
    }

    /** Where it may be moved to. */
    private MenuButton moves(Component c) {
        MenuButton move = Ui.id(new MenuButton("move"), "move-" + c.id());
        List<Loadout> to = new ArrayList<>(at.book().loadouts());
        to.add(0, new Loadout("", "the machine itself", ""));
        for (Loadout l : to) {
            if (!l.id().equals(c.loadout())) {
                MenuItem item = new MenuItem("to " + l.name());
                item.setOnAction(e -> at.makeOrWarn("move " + c.name() + " to " + l.name(), b -> b.move(c.id(), BookEdit.freshId(), l.id(), at.day())));
                move.getItems().add(item);
            }
        }
        return move;
    }
}
