package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.animation.AnimationTimer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Homing;
import tinperch.machine.space.Pose;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;

/** Places of all axes at once: home, those kept under a name, and the way home played in its order. */
final class PoseBar extends FlowPane {
    /** However far it is, it is there in so many seconds. */
    private static final double PLAYED_S = 4;

    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final Supplier<Map<String, Double>> here;
    private final Consumer<Map<String, Double>> go;
    private final TextField name = Ui.id(new TextField(), "pose-name");
    private final Button forget = Ui.id(Ui.button("", null, this::forget), "pose-forget");
    private Surroundings shown = Surroundings.NONE;
    private String last = "";
    private AnimationTimer playing;

    /**
     * @param edit makes an edit under a label and answers why not, or empty; null where no place is to be kept
     * @param here where the axes stand
     * @param go told where they are to stand
     */
    PoseBar(BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Supplier<Map<String, Double>> here, Consumer<Map<String, Double>> go) {
        super(6, 4);
        this.edit = edit;
        this.here = here;
        this.go = go;
        name.setPromptText("keep this place as");
        name.setPrefColumnCount(11);
        name.setOnAction(e -> {
            if (edit.apply("place “" + name.getText().strip() + "”", s -> s.with(new Pose(name.getText().strip(), Map.copyOf(here.get())))).isEmpty()) {
                name.clear();
            }
        });
    }

    void take(Surroundings next) {
        if (!next.poses().equals(shown.poses()) || getChildren().isEmpty()) {
            List<Node> all = new ArrayList<>();
            Button home = Ui.id(Ui.button("Home", null, () -> set(shown.home())), "pose-home");
            Button play = Ui.id(Ui.button("Play homing", null, this::play), "pose-play");
            Ui.tip(play, "From where the axes stand, one after the other in their homing order");
            all.add(home);
            next.poses().forEach(p -> all.add(button(p)));
            all.add(play);
            if (edit != null) {
                all.add(name);
                all.add(forget);
            }
            getChildren().setAll(all);
            Ui.see(forget, false);
        }
        shown = next;
    }

    private Node button(Pose p) {
        Button b = Ui.id(Ui.button(p.name(), null, null), "pose-" + p.name());
        Ui.tip(b, p.mm().entrySet().stream().sorted(Map.Entry.comparingByKey()).map(e -> e.getKey() + " " + Quantity.mm(Math.round(e.getValue() * 10) / 10.0)).collect(Collectors.joining(", ")));
        b.setOnAction(e -> {
            set(p.mm());
            last = p.name();
            forget.setText("Forget “" + last + "”");
            Ui.see(forget, edit != null);
        });
        return b;
    }

    private void set(Map<String, Double> mm) {
        stop();
        Ui.see(forget, false);
        go.accept(mm);
    }

    private void forget() {
        edit.apply("forget “" + last + "”", s -> s.withoutPose(last));
    }

    private void play() {
        stop();
        Homing way = new Homing(shown, here.get());
        double perSecond = Math.max(60, way.lengthMm() / PLAYED_S);
        playing = new AnimationTimer() {
            private long from;

            @Override
            public void handle(long now) {
                from = from == 0 ? now : from;
                double mm = (now - from) / 1e9 * perSecond;
                go.accept(way.after(mm));
                if (mm >= way.lengthMm()) {
                    PoseBar.this.stop();
                }
            }
        };
        playing.start();
    }

    /** Ends what is playing. */
    void stop() {
        if (playing != null) {
            playing.stop();
            playing = null;
        }
    }
}
