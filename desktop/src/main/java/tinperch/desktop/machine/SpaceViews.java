package tinperch.desktop.machine;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import tinperch.desktop.look.Drawing;
import tinperch.desktop.look.InkView;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Face;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;
import tinperch.solid.view.Ink;

/**
 * What stands around a machine's axes in plan, from the front and from the right, with the axes as they are. The wheel brings a place nearer,
 * dragging moves what is chosen, or the axes something rides on, or else what is seen; a double click shows all again.
 */
final class SpaceViews extends Drawing {
    /** Property: where the middle of what is chosen is drawn in the view from the front, for whoever drives the window from outside. */
    public static final String CHOSEN_AT = "chosen at";

    private final ThreeViews views = new ThreeViews();
    private final InkView lines = new InkView();
    private final Consumer<String> picked;
    private Surroundings space = Surroundings.NONE;
    private Map<String, Double> pose = Map.of();
    private String chosen = "";
    private Map<String, Shape> shapes = Map.of();
    private Map<String, List<Vec3>> holes = Map.of();
    private double heldX;
    private double heldY;
    private SpaceDrag drag;
    private AxisDrag pull;
    private Optional<Face> under = Optional.empty();
    private List<SpaceTag> tags = List.of();
    private BiConsumer<Neighbour, Vec3> moved;
    private Consumer<Map<String, Double>> pulled;
    private Consumer<Face> pointed;
    private Consumer<SpaceTag> opened;
    private Consumer<Rectangle2D> corner;

    /** @param picked told the id of the neighbour clicked on */
    SpaceViews(Theme theme, Consumer<String> picked) {
        super(theme);
        this.picked = picked;
        Ui.id(this, "space-views");
        getChildren().add(0, lines);
        setMinSize(0, 300);
        setPrefSize(560, 500);
        setOnMouseClicked(e -> {
            if (e.getClickCount() == 2) {
                fit();
            } else if (e.isStillSincePress()) {
                pick(e.getX(), e.getY());
            }
        });
        setOnScroll(e -> {
            views.nearer(Math.pow(1.0015, -e.getDeltaY()), e.getX(), e.getY());
            draw();
        });
        setOnMousePressed(this::press);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(e -> drop());
        setOnMouseMoved(e -> hover(pointed == null ? Optional.empty() : pointer().face(e.getX(), e.getY())));
        setOnMouseExited(e -> hover(Optional.empty()));
        setOnKeyTyped(e -> {
            if (drag != null && drag.type(e.getCharacter())) {
                draw();
                e.consume();
            }
        });
        setOnKeyPressed(e -> {
            if (drag != null && e.getCode() == KeyCode.ESCAPE) {
                drag = null;
                draw();
                e.consume();
            }
        });
    }

    /** Lets what is chosen be moved by dragging; told what and how far. */
    void onMoved(BiConsumer<Neighbour, Vec3> told) {
        moved = told;
    }

    /** Lets axes be moved by pulling what rides on them; told where they are to stand. */
    void onPulled(Consumer<Map<String, Double>> told) {
        pulled = told;
    }

    /** Told the face clicked on; the one under the mouse is marked. Null for nobody. */
    void onPointed(Consumer<Face> told) {
        pointed = told;
    }

    /** Shows the sizes of what is chosen and the distances to it; told the one clicked on. */
    void onOpened(Consumer<SpaceTag> told) {
        opened = told;
    }

    /** Told where nothing is drawn; the views then stand at the left. */
    void onCorner(Consumer<Rectangle2D> free) {
        corner = free;
    }

    void show(Surroundings next, Map<String, Shape> shapesOf, Map<String, List<Vec3>> holesOf, Map<String, Double> at,
            String chosenId) {
        show(next, shapesOf, holesOf, at, chosenId, next == space ? views.whole() : next.reach().orElse(null));
    }

    /** The same with only a part of space in view. */
    void show(Surroundings next, Map<String, Shape> shapesOf, Map<String, List<Vec3>> holesOf, Map<String, Double> at,
            String chosenId, Bounds inView) {
        views.take(inView);
        space = next;
        shapes = shapesOf;
        holes = holesOf;
        pose = at;
        chosen = chosenId;
        draw();
    }

    /** Shows all again. */
    void fit() {
        views.showAll();
        draw();
    }

    /** Shows a box as near as it goes. */
    void closeUp(Bounds of) {
        views.closeUp(of);
        draw();
    }

    @Override
    protected void paint(GraphicsContext g, Palette p, double w, double h) {
        if (views.isEmpty() || w < 50) {
            return;
        }
        views.fitInto(w, h, corner != null);
        if (corner != null) {
            corner.accept(views.corner());
        }
        tags = opened == null || drag != null ? List.of() : new SpaceTags(views, space, pose).of(chosen);
        Ink ink = lines.begin(w, h);
        SpacePainter painter = new SpacePainter(ink, lines.pxPerUnit(), p, views, new SpacePainter.Scene(space, pose, shapes, holes, chosen));
        boolean dragging = drag != null && drag.isMoved();
        for (ThreeViews.View v : views.all()) {
            painter.draw(v);
            under.ifPresent(f -> painter.mark(v, f));
            if (dragging) {
                painter.ghost(v, drag);
            }
            SpaceLabels.draw(g, p, v, space, pose, tags);
            if (dragging && drag.isIn(v)) {
                SpaceLabels.of(g, p, v, drag, space, pose);
            }
        }
        lines.end();
        space.neighbour(chosen).ifPresent(n -> {
            double[] b = views.all().get(1).box(space.bounds(n, pose));
            getProperties().put(CHOSEN_AT, new double[] {b[0] + b[2] / 2, b[1] + b[3] / 2});
        });
        SpaceTags.paint(g, p, tags);
    }

    @Override
    public void rest() {
        super.rest();
        lines.rest();
    }

    private SpacePointer pointer() {
        return new SpacePointer(views, space, pose);
    }

    private void hover(Optional<Face> now) {
        if (!now.equals(under)) {
            under = now;
            draw();
        }
    }

    private void press(MouseEvent e) {
        heldX = e.getX();
        heldY = e.getY();
        drag = null;
        pull = null;
        if (!isFocused() && moved != null) {
            requestFocus();
        }
        Optional<ThreeViews.View> view = views.at(heldX, heldY);
        Optional<Neighbour> mine = view.flatMap(v -> space.neighbour(chosen).filter(n -> pointer().isOn(v, n, heldX, heldY)));
        if (mine.isPresent() && moved != null) {
            drag = new SpaceDrag(mine.get(), view.get(), space, pose);
        } else if (pulled != null) {
            pull = view.flatMap(v -> pointer().thing(heldX, heldY).flatMap(n -> AxisDrag.of(n, v, space, pose))).orElse(null);
        }
    }

    private void drag(MouseEvent e) {
        double dx = e.getX() - heldX;
        double dy = e.getY() - heldY;
        if (drag != null) {
            drag.to(dx, dy, views.scale());
            draw();
        } else if (pull != null) {
            pulled.accept(pull.to(dx, dy));
        } else {
            views.at(heldX, heldY).ifPresent(v -> views.pan(v.way(dx, dy)));
            heldX = e.getX();
            heldY = e.getY();
            draw();
        }
    }

    private void drop() {
        SpaceDrag done = drag;
        drag = null;
        pull = null;
        if (done != null && done.isMoved()) {
            moved.accept(done.thing(), done.by());
            draw();
        }
    }

    private void pick(double x, double y) {
        Optional<SpaceTag> tag = tags.stream().filter(t -> t.holds(x, y)).findFirst();
        if (tag.isPresent()) {
            opened.accept(tag.get());
            return;
        }
        Optional<Face> face = pointed == null ? Optional.empty() : pointer().face(x, y);
        picked.accept(pointer().thing(x, y).map(Neighbour::id).orElse(""));
        face.ifPresent(f -> pointed.accept(f));
    }
}
