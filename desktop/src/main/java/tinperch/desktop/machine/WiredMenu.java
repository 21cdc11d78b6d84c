package tinperch.desktop.machine;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.machine.book.Component;
import tinperch.machine.book.Wired;
import tinperch.quantity.QuantityException;
import tinperch.wiring.Wire;

/** Where a component's current comes from, and by what wire. */
final class WiredMenu extends MenuButton {
    private final Component c;
    private final BookDay at;

    WiredMenu(Component c, BookDay at) {
        super("wired");
        this.c = c;
        this.at = at;
        Ui.id(this, "wired-" + c.id());
        Ui.tip(this, "What it hangs on and by what wire; whether they bear it hangs on this");
        List<Component> givers = at.then().components().stream().filter(x -> x.kind().gives() && !x.id().equals(c.id())).toList();
        for (Component g : givers) {
            boolean is = g.id().equals(c.wired().from());
            MenuItem item = new MenuItem((is ? "✓ " : "") + "on " + g.words());
            item.setOnAction(e -> at.makeOrWarn(c.name() + (is ? " hangs on nothing that is known" : " hangs on " + g.name()), b -> b.wired(c.id(), c.wired().hangingOn(is ? "" : g.id()))));
            getItems().add(item);
        }
        if (givers.isEmpty()) {
            MenuItem none = new MenuItem("Fit an output, a contact or a supply first");
            none.setDisable(true);
            getItems().add(none);
        }
        Wired w = c.wired();
        CommitField wire = new CommitField("wire-" + c.id(), w.lengthMm() > 0 && w.areaMm2() > 0 ? new Wire(w.lengthMm(), w.areaMm2()).words() : "", this::say);
        wire.field().setPromptText("1.2 m of AWG 24");
        Ui.tip(wire.field(), "Its cable’s length one way, and the gauge or the copper of one wire");
        getItems().addAll(new SeparatorMenuItem(), new CustomMenuItem(wire, false));
    }

    private Optional<String> say(String typed) {
        try {
            Wired next = typed.isBlank() ? c.wired().by(0, 0) : c.wired().by(Wire.said(typed).lengthMm(), Wire.said(typed).areaMm2());
            return at.make(c.name() + "’s wire", b -> b.wired(c.id(), next));
        } catch (QuantityException e) {
            return Optional.of(e.getMessage());
        }
    }
}
