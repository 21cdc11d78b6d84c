package tinperch.desktop.machine;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.Cursor;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.StillLabel;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Face;
import tinperch.machine.space.Gaps;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** A machine drawn: three views, a turntable as large as one wants it, the travels with their gaps, and places of all axes. */
final class SpaceStage extends VBox {
    private static final double GRIP_PX = 7;
    private static final List<Double> SHARES = List.of(0.0, 0.5, 1.0);

    private final SpaceViews views;
    private final SceneTable table;
    private final TravelStrips strips;
    private final GapWatch watch;
    private final PoseBar poses;
    private final Label said = Ui.id(Ui.label("", "strong"), "space-tightest");
    private final Region grip = Ui.id(new Region(), "table-grip");
    private final SpaceTagEditor typing;
    private Surroundings shown = Surroundings.NONE;
    private Map<String, Shape> shapes = Map.of();
    private Map<String, List<Vec3>> holes = Map.of();
    private String chosen = "";
    private Rectangle2D corner = Rectangle2D.EMPTY;
    private double share;
    private Consumer<Face> pointed;

    /** The room the views and the turntable share. */
    private final Pane drawn = new Pane() {
        @Override
        protected void layoutChildren() {
            arrange();
        }
    };

    /**
     * @param edit makes an edit of the surroundings or answers why not
     * @param picked told the id of what is clicked on
     */
    SpaceStage(Theme theme, BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Consumer<String> picked) {
        super(6);
        views = new SpaceViews(theme, picked);
        table = new SceneTable(theme, (id, outward) -> {
            picked.accept(id);
            if (pointed != null) {
                Face.looking(id, outward).ifPresent(pointed);
            }
        });
        strips = new TravelStrips(theme, edit, this::move);
        watch = new GapWatch(said, strips, "");
        poses = new PoseBar(edit, strips::pose, strips::put);
        typing = new SpaceTagEditor(drawn, () -> shown, () -> chosen, edit, this::say);
        drawn.setMinSize(0, 200);
        drawn.getChildren().addAll(views, table.node(), grip);
        views.onCorner(free -> {
            corner = free;
            arrange();
        });
        views.onPulled(strips::put);
        views.onOpened(typing::open);
        table.node().setMinHeight(0);
        for (Region r : List.of(views, table.node(), grip)) {
            r.setManaged(false);
        }
        grip.setCursor(Cursor.H_RESIZE);
        grip.getStyleClass().add("grip");
        Ui.tip(grip, "Pull to the left for a larger turntable; double click puts it back into the corner");
        grip.setOnMouseDragged(e -> share(1 - drawn.sceneToLocal(e.getSceneX(), 0).getX() / drawn.getWidth()));
        grip.setOnMouseClicked(e -> {
            if (e.getClickCount() == 2) {
                share(0);
            }
        });
        Button turn = Ui.id(Ui.button("Turntable", null, () -> share(SHARES.get((SHARES.indexOf(SHARES.stream().filter(s -> s >= share - 1e-9).findFirst().orElse(1.0)) + 1) % SHARES.size()))), "space-turn");
        Button all = Ui.id(Ui.button("Show all", null, views::fit), "space-fit");
        Button near = Ui.id(Ui.button("Close-up", null, this::closeUp), "space-near");
        Ui.tip(turn, "The turntable in its corner, over half of the drawing, or over all of it");
        Ui.tip(all, "Everything at both ends of its travel (double click)");
        Ui.tip(near, "What was clicked on, and what moves with it (the wheel brings any place nearer)");
        StillLabel line = new StillLabel(said, 1);
        HBox.setHgrow(poses, Priority.ALWAYS);
        poses.setMinWidth(0);
        HBox tools = new HBox(8, poses, Ui.whole(turn), Ui.whole(near), Ui.whole(all));
        tools.setAlignment(Pos.TOP_LEFT);
        getChildren().addAll(drawn, line, strips, tools);
        VBox.setVgrow(drawn, Priority.ALWAYS);
        getStyleClass().add("panel");
        setMinSize(0, 0);
    }

    /** Told the face clicked on; null for nobody. */
    void onPointed(Consumer<Face> told) {
        pointed = told;
        views.onPointed(told);
    }

    /** Lets what is chosen be moved by dragging; told what and how far. */
    void onMoved(BiConsumer<Neighbour, Vec3> told) {
        views.onMoved(told);
    }

    private void share(double next) {
        share = next < 0.2 ? 0 : next > 0.97 ? 1 : next;
        arrange();
        views.requestLayout();
    }

    private void arrange() {
        double w = drawn.getWidth();
        double h = drawn.getHeight();
        if (w < 20 || h < 20) {
            return;
        }
        double left = Math.round(w * (1 - share));
        views.setVisible(share < 1);
        if (share < 1 && (views.getWidth() != left || views.getHeight() != h)) {
            views.resizeRelocate(0, 0, left, h);
        }
        Rectangle2D t = share > 0 ? new Rectangle2D(left, 0, w - left, h) : corner;
        if (t.getWidth() > 0) {
            table.node().resizeRelocate(t.getMinX(), t.getMinY(), t.getWidth(), t.getHeight());
            grip.resizeRelocate(Math.max(0, t.getMinX() - GRIP_PX), t.getMinY() + t.getHeight() / 2 - 22, GRIP_PX, 44);
        }
    }

    /** Takes what is to be drawn. */
    void take(Surroundings space, Map<String, Shape> shapesOf, Map<String, List<Vec3>> holesOf) {
        shown = space;
        shapes = shapesOf;
        holes = holesOf;
        Gaps gaps = new Gaps(shown, shapes);
        table.take(shown, shapes);
        strips.take(shown, gaps);
        poses.take(shown);
        watch.take(gaps);
        move();
    }

    /** Marks a neighbour, a site or a line as chosen. */
    void choose(String id) {
        chosen = id;
        typing.close();
        views.show(shown, shapes, holes, strips.pose(), chosen);
        table.light(id);
    }

    private void move() {
        Map<String, Double> pose = strips.pose();
        typing.close();
        views.show(shown, shapes, holes, pose, chosen);
        table.show(pose);
        strips.show();
        watch.moved(pose);
    }

    /** Where the axes stand, mm by name. */
    Map<String, Double> pose() {
        return strips.pose();
    }

    /** Says something beneath the drawing until the axes move. */
    void say(String sentence) {
        watch.say(sentence);
    }

    /** Brings what is chosen near, or all that moves with it. */
    private void closeUp() {
        Optional<Neighbour> n = shown.neighbour(chosen);
        if (n.isEmpty()) {
            say("Click on something first; then this brings it near.");
            return;
        }
        List<Neighbour> with = n.get().group().isEmpty() ? List.of(n.get()) : shown.neighbours().stream().filter(o -> o.group().equals(n.get().group())).toList();
        views.closeUp(with.stream().map(o -> shown.bounds(o, strips.pose())).reduce(Bounds::with).orElseThrow());
    }

    /** Ends what still runs. */
    void stop() {
        watch.stop();
        poses.stop();
    }
}
