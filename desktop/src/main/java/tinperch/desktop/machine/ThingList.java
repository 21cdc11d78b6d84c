package tinperch.desktop.machine;

import java.util.Arrays;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.place.Places;
import tinperch.machine.space.Along;
import tinperch.machine.space.Neighbour;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/** The neighbours of a machine, what each moves with, and along which directions its place is read. */
final class ThingList extends Column {
    private final Consumer<String> chosen;

    /** @param chosen told the id of the one clicked on */
    ThingList(Consumer<String> chosen) {
        super(2);
        this.chosen = chosen;
    }

    void refresh(Machine m) {
        Places places = m.places();
        getChildren().setAll(m.surroundings().neighbours().stream().map(n -> row(n, places)).toList());
        if (getChildren().isEmpty()) {
            getChildren().add(Ui.text("Only what matters: mounting points and whatever sticks out.", "faint"));
        }
    }

    private Node row(Neighbour n, Places places) {
        Label what = Ui.label(n.name() + (n.kind() == Neighbour.Kind.HOT ? ", " + Quantity.show(n.tempC(), Unit.CELSIUS) : ""));
        what.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(what, Priority.ALWAYS);
        Label where = Ui.whole(Ui.label(n.kind().label() + " · " + (n.group().isEmpty() ? "stands still" : n.group()) + " · " + known(n, places), "faint"));
        Button b = Ui.id(new Button(null, new HBox(8, what, where)), "neighbour-" + n.id());
        b.getStyleClass().addAll("upgrade-row", "neighbour-row");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setOnAction(e -> chosen.accept(n.id()));
        b.setAccessibleText(n.name());
        Ui.tip(b, Arrays.stream(Along.values()).map(a -> letter(a) + " " + Quantity.fixed(places.of(n.id(), a).mm(), 2) + (places.of(n.id(), a).isKnown()
                ? " ± " + Quantity.fixed(places.of(n.id(), a).halfWidthMm(), 2) : "") + ", " + places.of(n.id(), a).how().label()).collect(Collectors.joining("; ")));
        return b;
    }

    private static String known(Neighbour n, Places places) {
        String read = Arrays.stream(Along.values()).filter(a -> places.of(n.id(), a).isKnown()).map(ThingList::letter).collect(Collectors.joining(" "));
        return read.isEmpty() ? "usual" : n.id().equals(places.datumId()) ? "measured from" : "read " + read;
    }

    private static String letter(Along a) {
        return a.name().toLowerCase(Locale.ROOT);
    }
}
