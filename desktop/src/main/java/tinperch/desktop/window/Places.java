package tinperch.desktop.window;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.animation.PauseTransition;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.desktop.machine.MachineView;

/**
 * The place one is at, and the machines one was at lately: those stay in the window, put away, so that coming back
 * to one is quick. One more view lies ready, made while nothing else happens, for a machine that was not looked at yet.
 */
final class Places extends StackPane {
    private static final int MOST = 6;
    private static final Duration REST = Duration.millis(300);

    private final Desk desk;
    private final Map<String, MachineView> kept = new LinkedHashMap<>(16, 0.75f, true);
    private final PauseTransition resting = new PauseTransition(REST);
    private MachineView spare;

    Places(Desk desk) {
        this.desk = desk;
        setMinSize(0, 0);
        resting.setOnFinished(e -> makeReady());
        resting.play();
    }

    /** The view of a machine, made when it is not there any more. */
    MachineView machine(String machineId) {
        MachineView view = kept.get(machineId);
        if (view == null) {
            view = spare != null ? spare : new MachineView(desk);
            spare = null;
            view.aim(machineId);
            kept.put(machineId, view);
        }
        if (kept.size() > MOST) {
            String oldest = kept.keySet().iterator().next();
            getChildren().remove(kept.remove(oldest));
        }
        resting.playFromStart();
        return view;
    }

    void show(Node view) {
        getChildren().removeIf(n -> n != view && n != spare && !kept.containsValue(n));
        for (Node n : getChildren()) {
            Ui.putAway(n, n != view);
        }
        if (!getChildren().contains(view)) {
            getChildren().add(view);
        }
        Ui.putAway(view, false);
    }

    private void makeReady() {
        if (spare != null || desk.isClosed() || getScene() == null || getScene().getWindow() == null || !getScene().getWindow().isShowing()) {
            return;
        }
        if (kept.values().stream().anyMatch(s -> s.isVisible() && !s.isComplete())) {
            resting.playFromStart();
            return;
        }
        spare = new MachineView(desk);
        getChildren().add(0, spare);
        spare.applyCss();
        spare.resize(getWidth(), getHeight());
        spare.layout();
        Ui.putAway(spare, true);
    }
}
