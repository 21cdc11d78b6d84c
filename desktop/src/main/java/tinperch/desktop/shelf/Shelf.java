package tinperch.desktop.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Begin;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.upgrade.Upgrade;

/** One card per machine, its state in a word and a shape; under the machine looked at, its upgrades. */
public final class Shelf extends VBox {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Desk desk;
    private final VBox cards = new VBox(6);
    private final Map<String, Card> made = new HashMap<>();
    private final Map<String, Button> links = new HashMap<>();
    private final Button drawer;

    public Shelf(Desk desk) {
        this.desk = desk;
        getStyleClass().add("shelf");
        Label name = Ui.label("Tin Perch", "brand");
        Scroller scroll = new Scroller(cards);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        drawer = Ui.id(Ui.button("Screw drawer", "mdi2s-screw-machine-flat-top",
                () -> desk.placeProperty().set(new Desk.Place.AtDrawer())), "drawer");
        Ui.tip(drawer, "The screw lengths you have at hand (Ctrl+D)");
        Button add = Ui.id(Ui.button("Add a machine", "mdi2p-plus", () -> Begin.machine(desk)), "add-machine");
        Ui.tip(add, "Ctrl+M");
        drawer.setMaxWidth(Double.MAX_VALUE);
        add.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(name, scroll, drawer, add);
        desk.onChange(this::refresh);
        refresh();
    }

    private void refresh() {
        String here = desk.machine().map(Machine::id).orElse("");
        LocalDate today = LocalDate.now();
        List<Node> wanted = new ArrayList<>();
        for (Machine m : desk.state().machines()) {
            Card card = made.compute(m.id(), (id, known) -> known != null && known.machine == m && known.day.equals(today) ? known
                    : new Card(m, today, card(m)));
            card.node.pseudoClassStateChanged(CHOSEN, m.id().equals(here));
            wanted.add(card.node);
            if (m.id().equals(here)) {
                desk.state().upgradesOf(m.id()).forEach(u -> wanted.add(upgrade(u)));
            }
        }
        // A node that leaves the window, if only for a moment, is styled anew.
        if (!cards.getChildren().equals(wanted)) {
            cards.getChildren().setAll(wanted);
        }
        drawer.pseudoClassStateChanged(CHOSEN, desk.place() instanceof Desk.Place.AtDrawer);
    }

    /** A card as it was made; made anew when what it shows is another. */
    private record Card(Machine machine, LocalDate day, Node node) {}

    private Node card(Machine m) {
        Label state = new Label(m.state().label(), Ui.icon(icon(m.state())));
        state.getStyleClass().add("machine-state");
        Label kind = Ui.label(m.kind().label(), "machine-kind");
        int due = m.book().due(LocalDate.now()).size();
        VBox text = new VBox(2, Ui.label(m.name(), "machine-name"), new HBox(8, state), kind);
        if (due > 0) {
            text.getChildren().add(Ui.id(Ui.label(due + " due", "machine-due"), "machine-due-" + m.id()));
        }
        text.setAlignment(Pos.CENTER_LEFT);
        Button b = Ui.id(new Button(null, text), "machine-" + m.id());
        b.setAccessibleText(m.name() + ", " + m.state().label());
        b.getStyleClass().add("machine-card");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setAlignment(Pos.CENTER_LEFT);
        b.setOnAction(e -> desk.goTo(m));
        if (!m.stateNote().isEmpty()) {
            Ui.tip(b, m.stateNote());
        }
        return b;
    }

    private Node upgrade(Upgrade u) {
        Button b = links.computeIfAbsent(u.id(), this::link);
        b.setText(u.name());
        boolean here = desk.upgrade().map(Upgrade::id).filter(u.id()::equals).isPresent();
        b.pseudoClassStateChanged(CHOSEN, here);
        return b;
    }

    private Button link(String upgradeId) {
        Button b = Ui.id(new Button(), "upgrade-" + upgradeId);
        b.getStyleClass().add("upgrade-link");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setAlignment(Pos.CENTER_LEFT);
        b.setOnAction(e -> desk.state().upgrade(upgradeId).ifPresent(u -> desk.goTo(u, u.parts().isEmpty() ? Station.TROUBLE : Station.SHAPE)));
        return b;
    }

    /** The shape that goes with a state. */
    public static String icon(Machine.State state) {
        return switch (state) {
            case FIT -> "mdi2c-check-circle-outline";
            case IN_PIECES -> "mdi2p-puzzle-outline";
            case WAITING -> "mdi2t-timer-sand";
            case RETIRED -> "mdi2a-archive-outline";
        };
    }
}
