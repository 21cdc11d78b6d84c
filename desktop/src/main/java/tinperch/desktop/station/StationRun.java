package tinperch.desktop.station;

import java.util.EnumMap;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.desktop.look.Ui;
import tinperch.upgrade.Upgrade;

/** The stations across the top as stops on one line, each with a short state; any can be visited at any time. */
final class StationRun extends StackPane {
    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");
    private final Desk desk;
    private final Map<Station, Label> states = new EnumMap<>(Station.class);
    private final Map<Station, Button> stops = new EnumMap<>(Station.class);

    StationRun(Desk desk) {
        this.desk = desk;
        getStyleClass().add("run");
        Region rail = new Region();
        rail.getStyleClass().add("rail");
        rail.setMaxHeight(2);
        StackPane.setAlignment(rail, Pos.TOP_CENTER);
        HBox row = new HBox();
        for (Station s : Station.values()) {
            Region dot = new Region();
            dot.getStyleClass().add("dot");
            dot.setMinSize(14, 14);
            dot.setMaxSize(14, 14);
            Label state = Ui.id(Ui.label("", "stop-state"), "state-" + s.name().toLowerCase(java.util.Locale.ROOT));
            states.put(s, state);
            VBox box = new VBox(2, dot, Ui.label(s.title(), "stop-title"), state);
            box.setAlignment(Pos.TOP_LEFT);
            Button b = Ui.id(new Button(null, box), "station-" + s.name().toLowerCase(java.util.Locale.ROOT));
            b.setAccessibleText("Station " + s.title());
            b.getStyleClass().add("stop");
            b.setMaxWidth(Double.MAX_VALUE);
            b.setAlignment(Pos.TOP_LEFT);
            HBox.setHgrow(b, Priority.ALWAYS);
            b.setPrefWidth(100);
            b.setOnAction(e -> desk.goTo(s));
            Ui.tip(b, s.why() + " (F" + (s.ordinal() + 1) + ")");
            stops.put(s, b);
            row.getChildren().add(b);
        }
        getChildren().addAll(rail, row);
    }

    void refresh(Upgrade u, Station here) {
        for (Station s : Station.values()) {
            states.get(s).setText(StationStates.of(s, u, desk));
            stops.get(s).pseudoClassStateChanged(HERE, s == here);
        }
    }
}
