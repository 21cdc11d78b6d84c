package tinperch.desktop.sheet;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import tinperch.desktop.look.Ui;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;
import tinperch.solid.view.Camera;
import tinperch.solid.view.Scene;

/** The turntable's tools: a section along one of three axes, and whether what is seen through is shown. */
final class CutTools extends HBox {
    private static final Vec3[] AXES = {Vec3.X, Vec3.Y, Vec3.Z};
    private static final String[] NAMES = {"x", "y", "z"};

    private final Slider depth = Ui.id(new Slider(0.02, 0.98, 0.5), "cut-depth");
    private final ToggleButton[] cuts = new ToggleButton[3];
    private final ToggleButton ghosts;

    /**
     * @param ghostName what the seen-through things are called on their button; empty where there are none
     * @param changed told when anything was
     */
    CutTools(String ghostName, Runnable changed) {
        super(4, Ui.label("cut", "faint"));
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("turntable-tools");
        ToggleGroup axes = new ToggleGroup();
        for (int i = 0; i < cuts.length; i++) {
            cuts[i] = Ui.id(new ToggleButton(NAMES[i]), "cut-" + NAMES[i]);
            cuts[i].setToggleGroup(axes);
            Ui.tip(cuts[i], "Open the part along " + NAMES[i] + " (C goes from one to the next, [ and ] move the cut)");
            getChildren().add(cuts[i]);
        }
        ghosts = Ui.id(new ToggleButton(ghostName), "show-" + ghostName);
        ghosts.setSelected(true);
        ghosts.setOnAction(e -> changed.run());
        Ui.tip(ghosts, "Show these too, seen through");
        depth.setPrefWidth(90);
        depth.visibleProperty().bind(axes.selectedToggleProperty().isNotNull());
        depth.managedProperty().bind(depth.visibleProperty());
        axes.selectedToggleProperty().addListener((o, a, b) -> changed.run());
        depth.valueProperty().addListener((o, a, b) -> changed.run());
        Ui.see(ghosts, !ghostName.isEmpty());
        getChildren().addAll(depth, ghosts);
    }

    boolean showsGhosts() {
        return ghosts.isSelected();
    }

    /** From no cut to one along x, y, z and back. */
    void next() {
        for (int i = 0; i < cuts.length; i++) {
            if (cuts[i].isSelected()) {
                cuts[i].setSelected(false);
                if (i + 1 < cuts.length) {
                    cuts[i + 1].setSelected(true);
                }
                return;
            }
        }
        cuts[0].setSelected(true);
    }

    /** Moves the cut by a share of the whole. */
    void move(double by) {
        depth.setValue(depth.getValue() + by);
    }

    /** The section chosen; its open side is turned towards the eye. */
    Optional<Scene.Cut> cut(Camera camera, Bounds frame) {
        for (int i = 0; i < cuts.length; i++) {
            if (cuts[i].isSelected()) {
                Vec3 n = AXES[i].dot(camera.toEye()) >= 0 ? AXES[i] : AXES[i].times(-1);
                Vec3 at = frame.min().plus(frame.size().times(depth.getValue()));
                return Optional.of(new Scene.Cut(n, n.dot(at)));
            }
        }
        return Optional.empty();
    }
}
