package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import tinperch.catalogue.UsualThing;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Loadout;
import tinperch.machine.book.Wired;
import tinperch.quantity.QuantityException;
import tinperch.wiring.Wire;

/** What more can be said of a component of the book: what it hangs on and by what wire, what it feeds, which usual size it is, where it is moved. */
final class ComponentMenu extends MenuButton {
    private final Component c;
    private final BookDay at;

    ComponentMenu(Component c, BookDay at) {
        super("more");
        this.c = c;
        this.at = at;
        Ui.id(this, "more-" + c.id());
        Ui.tip(this, "What it hangs on, what it feeds, its size, where it belongs");
        if (c.kind().draws() || c.kind().passesOn()) {
            getItems().addAll(hangsOn(), wire(), pins());
        }
        if (c.kind() == ComponentKind.CONTACT) {
            getItems().addAll(feeds(), shared());
        }
        if (!c.kind().things().isEmpty()) {
            getItems().add(sizes());
        }
        if (!at.book().loadouts().isEmpty()) {
            getItems().add(moves());
        }
    }

    private MenuItem choice(boolean is, String words, String label, UnaryOperator<Book> change) {
        MenuItem item = new MenuItem((is ? "✓ " : "") + words);
        item.setOnAction(e -> at.makeOrWarn(label, change));
        return item;
    }

    /** Where its current comes from; whether that bears it hangs on this. */
    private Menu hangsOn() {
        Menu menu = new Menu("hangs on");
        for (Component g : at.then().components().stream().filter(x -> x.kind().passesOn() && !x.id().equals(c.id())).toList()) {
            boolean is = g.id().equals(c.wired().from());
            menu.getItems().add(choice(is, g.words(), c.name() + (is ? " hangs on nothing that is known" : " hangs on " + g.name()), b -> b.wired(c.id(), c.wired().hangingOn(is ? "" : g.id()))));
        }
        if (menu.getItems().isEmpty()) {
            MenuItem none = new MenuItem("Fit an output, a board, a contact or a supply first");
            none.setDisable(true);
            menu.getItems().add(none);
        }
        return menu;
    }

    /** What lies on which pin of its plug or socket: whether it may be plugged in as it is hangs on this. */
    private CustomMenuItem pins() {
        CommitField pins = new CommitField("pins-" + c.id(), String.join(", ", c.wired().pins()), typed -> at.make(c.name() + "’s pins", b -> b.wired(c.id(), c.wired().pinned(Wired.pins(typed)))));
        pins.field().setPromptText("its pins: +, −, signal");
        Ui.tip(pins.field(), "What lies on each pin of its plug or socket, from the first on");
        return new CustomMenuItem(pins, false);
    }

    /** How many contacts beside each other carry the current. */
    private Menu shared() {
        Menu menu = new Menu("contacts beside each other");
        for (int n : new int[] {1, 2, 3, 4, 6}) {
            menu.getItems().add(choice(n == c.wired().beside(), String.valueOf(n), c.name() + ": " + n + " beside each other", b -> b.wired(c.id(), c.wired().shared(n))));
        }
        return menu;
    }

    private CustomMenuItem wire() {
        Wired w = c.wired();
        CommitField wire = new CommitField("wire-" + c.id(), w.lengthMm() > 0 && w.areaMm2() > 0 ? new Wire(w.lengthMm(), w.areaMm2()).words() : "", this::say);
        wire.field().setPromptText("its wire: 1.2 m of AWG 24");
        Ui.tip(wire.field(), "Its cable’s length one way, and the gauge or the copper of one wire");
        return new CustomMenuItem(wire, false);
    }

    private Optional<String> say(String typed) {
        try {
            Wired next = typed.isBlank() ? c.wired().by(0, 0) : c.wired().by(Wire.said(typed).lengthMm(), Wire.said(typed).areaMm2());
            return at.make(c.name() + "’s wire", b -> b.wired(c.id(), next));
        } catch (QuantityException e) {
            return Optional.of(e.getMessage());
        }
    }

    /** What draws its current through a contact; whether it may carry a hot bed hangs on this. */
    private Menu feeds() {
        Menu menu = new Menu("feeds");
        for (ComponentKind k : FitForm.FEEDS) {
            menu.getItems().add(choice(k == c.feeds(), k.label(), c.name() + " feeds the " + k.label(), b -> b.feeding(c.id(), k == c.feeds() ? null : k)));
        }
        return menu;
    }

    /** Which usual thing it is, so that parts can be made around it before anything is measured. */
    private Menu sizes() {
        Menu menu = new Menu("is the usual size");
        for (UsualThing u : UsualThing.ofKinds(c.kind().things())) {
            boolean is = u.id().equals(c.usual());
            menu.getItems().add(choice(is, u.name(), c.name() + " is a " + u.name(), b -> b.being(c.id(), is ? "" : u.id())));
        }
        return menu;
    }

    private Menu moves() {
        Menu menu = new Menu("move to");
        List<Loadout> to = new ArrayList<>(at.book().loadouts());
        to.add(0, new Loadout("", "the machine itself", ""));
        for (Loadout l : to) {
            if (!l.id().equals(c.loadout())) {
                menu.getItems().add(choice(false, l.name(), "move " + c.name() + " to " + l.name(), b -> b.move(c.id(), BookEdit.freshId(), l.id(), at.day())));
            }
        }
        return menu;
    }
}
