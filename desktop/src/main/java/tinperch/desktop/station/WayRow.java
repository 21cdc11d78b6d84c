package tinperch.desktop.station;

import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import tinperch.desktop.look.Ui;
import tinperch.fact.MotionFact;
import tinperch.quantity.Quantity;

/** The nearest a part comes to one neighbour on all ways of the axes; pressed, the axes go there. */
final class WayRow extends Button {
    private final Label gap = Ui.label("", "strong");
    private final Label what = Ui.text("", "faint");
    private final Consumer<Map<String, Double>> put;

    /** @param put told where the axes are to stand */
    WayRow(Consumer<Map<String, Double>> put) {
        this.put = put;
        gap.setMinWidth(64);
        HBox line = new HBox(8, gap, what);
        line.setAlignment(Pos.TOP_LEFT);
        setGraphic(line);
        getStyleClass().add("row-button");
        setMaxWidth(Double.MAX_VALUE);
        setAlignment(Pos.TOP_LEFT);
        Ui.tip(this, "Move the axes there");
    }

    void tell(MotionFact.Way w) {
        String pose = pose(w.pose());
        Ui.id(this, "fit-way-" + w.neighbour().id() + "-" + w.of());
        gap.setText(w.depthMm() > 0 ? "into it" : Quantity.mm(Math.round(w.gapMm() * 100) / 100.0));
        what.setText(w.neighbour().name() + " – " + w.feature() + "\n" + pose);
        setAccessibleText((w.depthMm() > 0 ? "Runs into " : gap.getText() + " to ") + w.neighbour().name() + ", " + pose);
        setOnAction(e -> put.accept(w.pose()));
    }

    private static String pose(Map<String, Double> pose) {
        return new TreeMap<>(pose).entrySet().stream().map(e -> e.getKey() + " " + Quantity.mm(Math.round(e.getValue() * 10) / 10.0)).collect(Collectors.joining(", "));
    }
}
