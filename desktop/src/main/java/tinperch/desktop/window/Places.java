package tinperch.desktop.window;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.desktop.machine.MachineView;
import tinperch.machine.Machine;

/**
 * The place one is at, and the machines one was at lately: those are kept, put away, so that coming back to one is quick. From machine to machine
 * they stay in the window; elsewhere they are taken out of it, for in every frame the toolkit asks each node of the window for its bounds, put away or
 * not, which was half of what an edit's frame cost. While nothing else happens the sheets of the machines one may come to next are made, and one more
 * view lies ready for any other.
 */
final class Places extends StackPane {
    private static final int MOST = 6;
    private static final Duration REST = Duration.millis(300);
    /** A pause in somebody's edits, rather than one between two of them. */
    private static final Duration STILL = Duration.seconds(2);

    private final Desk desk;
    private final Map<String, MachineView> kept = new LinkedHashMap<>(16, 0.75f, true);
    private final PauseTransition resting = new PauseTransition(REST);
    private final PauseTransition still = new PauseTransition(STILL);
    private MachineView spare;

    Places(Desk desk) {
        this.desk = desk;
        setMinSize(0, 0);
        resting.setOnFinished(e -> makeReady());
        resting.play();
        still.setOnFinished(e -> catchUp());
    }

    /** Something may have changed: sheets put away follow when nothing changes for a while, so that coming to one is quick. */
    void changed() {
        still.playFromStart();
    }

    private void catchUp() {
        if (!desk.isClosed()) {
            kept.forEach((id, view) -> {
                if (!view.isVisible() && desk.state().machine(id).isPresent()) {
                    view.catchUp();
                }
            });
        }
    }

    /** The view of a machine, made when it is not there any more. */
    MachineView machine(String machineId) {
        MachineView view = kept.get(machineId);
        if (view == null) {
            view = aimed(machineId);
        }
        if (kept.size() > MOST) {
            String oldest = kept.keySet().iterator().next();
            getChildren().remove(kept.remove(oldest));
        }
        resting.playFromStart();
        return view;
    }

    private MachineView aimed(String machineId) {
        MachineView view = spare != null ? spare : new MachineView(desk);
        spare = null;
        view.aim(machineId);
        kept.put(machineId, view);
        return view;
    }

    void show(Node view) {
        getChildren().removeIf(n -> n != view && n != spare && !kept.containsValue(n));
        for (Node n : getChildren()) {
            Ui.putFarAway(n, n != view);
        }
        if (!(view instanceof MachineView)) {
            getChildren().removeIf(n -> n != view);
        }
        if (!getChildren().contains(view)) {
            getChildren().add(view);
        }
        Ui.putFarAway(view, false);
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
        layOut(spare);
        if (kept.size() < MOST) {
            desk.state().machines().stream().map(Machine::id).filter(id -> !kept.containsKey(id)).findFirst().ifPresent(this::makeSheet);
        }
    }

    /** Makes the sheet of a machine nobody has come to yet; the frames after bring its panels. */
    private void makeSheet(String machineId) {
        MachineView view = aimed(machineId);
        view.prepare();
        Platform.runLater(() -> layOut(view));
        resting.playFromStart();
    }

    /** Styles and lays out one that lies ready; nothing is styled outside a window, so it is put in for the while. */
    private void layOut(MachineView view) {
        if (view.getParent() == null) {
            getChildren().add(0, view);
        }
        view.applyCss();
        view.resize(getWidth(), getHeight());
        view.layout();
        if (view == spare) {
            Ui.putAway(view, true);
        }
        if (!view.isVisible() && getChildren().stream().noneMatch(n -> n instanceof MachineView && n.isVisible())) {
            getChildren().remove(view);
        }
    }
}
