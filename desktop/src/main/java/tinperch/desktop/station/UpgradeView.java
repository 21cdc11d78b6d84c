package tinperch.desktop.station;

import java.util.EnumMap;
import java.util.Map;
import javafx.animation.PauseTransition;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Ui;
import tinperch.desktop.margins.MarginsTray;
import tinperch.judge.Assessment;
import tinperch.upgrade.Upgrade;

/** An upgrade: the run of stations, the station at hand, the margins tray below. */
public final class UpgradeView extends VBox implements View {
    /** So long one goes to and fro between stations without their being styled anew. */
    private static final Duration LATELY = Duration.seconds(4);

    private final Desk desk;
    private final String upgradeId;
    private final StationRun run;
    private final MarginsTray tray;
    private final Map<Station, Node> stations = new EnumMap<>(Station.class);
    private final HBox whyLine;
    private final Label why = Ui.label("", "why");
    private final StackPane pages = new StackPane();
    private final PauseTransition settled = new PauseTransition(LATELY);
    private Node shown;
    private final ChangeListener<Assessment> onAssessment = (o, a, b) -> desk().state().upgrade(upgrade()).ifPresent(this::told);

    public UpgradeView(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        run = new StationRun(desk);
        tray = new MarginsTray(desk);
        Hyperlink hide = Ui.id(new Hyperlink("hide"), "hide-why");
        whyLine = new HBox(8, why, hide);
        whyLine.getStyleClass().add("why-line");
        hide.setOnAction(e -> {
            desk.workshop().setPreference("hide why", "yes");
            getChildren().remove(whyLine);
        });
        getChildren().add(run);
        if (desk.workshop().preference("hide why").isEmpty()) {
            getChildren().add(whyLine);
        }
        pages.setMinSize(0, 0);
        pages.setPrefHeight(0);
        VBox.setVgrow(pages, Priority.ALWAYS);
        getChildren().addAll(pages, tray);
        desk.assessmentProperty().addListener(onAssessment);
        // Each node in the window costs time in every frame of an edit, seen or not.
        settled.setOnFinished(e -> pages.getChildren().removeIf(n -> n != shown));
    }

    private Desk desk() {
        return desk;
    }

    private String upgrade() {
        return upgradeId;
    }

    /** Something was judged: the run of stations says so, and a station that shows findings does. */
    private void told(Upgrade u) {
        if (desk.place() instanceof Desk.Place.AtUpgrade at && at.upgradeId().equals(upgradeId)) {
            run.refresh(u, at.station());
            if (shown instanceof View view) {
                view.judged();
            }
        }
    }

    private Node station(Station s) {
        return stations.computeIfAbsent(s, k -> switch (k) {
            case TROUBLE -> new TroubleStation(desk, upgradeId);
            case MEASURE -> new MeasureStation(desk, upgradeId);
            case SHAPE -> new ShapeStation(desk, upgradeId);
            case DRY_FIT -> new DryFitStation(desk, upgradeId);
            case PRINT -> new PrintStation(desk, upgradeId);
            case TRIAL -> new TrialStation(desk, upgradeId);
            case VERDICT -> new VerdictStation(desk, upgradeId);
        });
    }

    @Override
    public void refresh() {
        if (!(desk.place() instanceof Desk.Place.AtUpgrade at)) {
            return;
        }
        Upgrade u = desk.state().upgrade(upgradeId).orElseThrow();
        run.refresh(u, at.station());
        why.setText(at.station().why());
        Node next = station(at.station());
        if (next != shown) {
            if (!pages.getChildren().contains(next)) {
                // A station takes what the run and the tray leave, never more.
                ((Region) next).setMinHeight(0);
                ((Region) next).setPrefHeight(0);
                pages.getChildren().add(next);
            }
            // Those left lately stay in the window: one put back is styled anew.
            pages.getChildren().forEach(n -> Ui.putAway(n, n != next));
            shown = next;
            settled.playFromStart();
            ((View) next).refresh();
            ((View) next).arrived();
            return;
        }
        ((View) next).refresh();
    }

    @Override
    public void leave() {
        settled.stop();
        tray.leave();
        desk.assessmentProperty().removeListener(onAssessment);
        stations.values().forEach(n -> ((View) n).leave());
    }
}
