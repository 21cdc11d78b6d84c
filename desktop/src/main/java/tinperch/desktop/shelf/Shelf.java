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
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
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
    /** More machines than this are listed, searched and put in order. */
    private static final int FEW = 12;
    private static final String ORDER = "shelf order";
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Desk desk;
    private final VBox cards = new VBox(6);
    private final ListView<Row> list = Ui.id(new ListView<>(), "shelf-list");
    private final TextField find = Ui.id(new TextField(), "shelf-find");
    private final ComboBox<ShelfOrder> order = Ui.id(new ComboBox<>(), "shelf-order");
    private final Label none = Ui.id(Ui.text("", "shelf-none"), "shelf-none");
    private final VBox many = new VBox(4, find, order, none);
    private final Scroller scroll = new Scroller(cards);
    private final Map<String, Card> made = new HashMap<>();
    private final Map<String, Button> links = new HashMap<>();
    private final Button drawer;

    public Shelf(Desk desk) {
        this.desk = desk;
        getStyleClass().add("shelf");
        Label name = Ui.label("Tin Perch", "brand");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox.setVgrow(list, Priority.ALWAYS);
        find.setPromptText("find a machine");
        Ui.tip(find, "By name, kind, state or note; “due” for those with something due; Enter goes to the first");
        find.textProperty().addListener((o, was, is) -> refresh());
        find.setOnAction(e -> list.getItems().stream().findFirst().filter(r -> !find.getText().isBlank()).ifPresent(r -> desk.goTo(r.machine)));
        order.getItems().setAll(ShelfOrder.values());
        order.setValue(ShelfOrder.of(desk.workshop().preference(ORDER).orElse("")));
        order.setMaxWidth(Double.MAX_VALUE);
        order.setOnAction(e -> {
            desk.workshop().setPreference(ORDER, order.getValue().name());
            refresh();
        });
        list.setCellFactory(l -> new RowCell());
        drawer = Ui.id(Ui.button("Screw drawer", "mdi2s-screw-machine-flat-top",
                () -> desk.placeProperty().set(new Desk.Place.AtDrawer())), "drawer");
        Ui.tip(drawer, "The screw lengths you have at hand (Ctrl+D)");
        Button add = Ui.id(Ui.button("Add a machine", "mdi2p-plus", () -> Begin.machine(desk)), "add-machine");
        Ui.tip(add, "Ctrl+M");
        drawer.setMaxWidth(Double.MAX_VALUE);
        add.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(name, many, scroll, list, drawer, add);
        desk.onChange(this::refresh);
        refresh();
    }

    private void refresh() {
        String here = desk.machine().map(Machine::id).orElse("");
        LocalDate today = LocalDate.now();
        List<Machine> all = desk.state().machines();
        boolean few = all.size() <= FEW;
        for (Node n : List.of(many, list)) {
            Ui.see(n, !few);
        }
        Ui.see(scroll, few);
        List<Machine> meant = few ? all : order.getValue().of(all, find.getText(), today);
        none.setText(meant.isEmpty() && !few ? "No machine of " + all.size() + " is called that." : "");
        Ui.see(none, meant.isEmpty() && !few);
        List<Row> rows = new ArrayList<>();
        for (Machine m : meant) {
            rows.add(new Row(m, null));
            if (m.id().equals(here)) {
                desk.state().upgradesOf(m.id()).forEach(u -> rows.add(new Row(m, u)));
            }
        }
        if (few) {
            List<Node> wanted = rows.stream().map(this::node).toList();
            // A node that leaves the window, if only for a moment, is styled anew.
            if (!cards.getChildren().equals(wanted)) {
                cards.getChildren().setAll(wanted);
            }
        } else {
            if (!list.getItems().equals(rows)) {
                list.getItems().setAll(rows);
            }
            made.values().forEach(c -> mark(c.machine));
        }
        drawer.pseudoClassStateChanged(CHOSEN, desk.place() instanceof Desk.Place.AtDrawer);
    }

    private void mark(Machine m) {
        made.get(m.id()).node.pseudoClassStateChanged(CHOSEN, desk.machine().map(Machine::id).filter(m.id()::equals).isPresent());
    }

    private Node node(Row r) {
        if (r.upgrade != null) {
            return upgrade(r.upgrade);
        }
        Machine m = r.machine;
        LocalDate today = LocalDate.now();
        Card card = made.compute(m.id(), (id, known) -> known != null && known.machine == m && known.day.equals(today) ? known : new Card(m, today, card(m)));
        mark(m);
        return card.node;
    }

    /** A machine, or one of its upgrades. */
    private record Row(Machine machine, Upgrade upgrade) {}

    /** Of many machines only those in view have a card. */
    private final class RowCell extends ListCell<Row> {
        RowCell() {
            setMaxWidth(Double.MAX_VALUE);
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(Row r, boolean empty) {
            super.updateItem(r, empty);
            setText(null);
            setGraphic(empty || r == null ? null : node(r));
        }
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
