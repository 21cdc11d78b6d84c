package tinperch.desktop.machine;

import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.Rectangle2D;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tinperch.desktop.look.Drawing;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/**
 * What stands around a machine's axes in plan, from the front and from the right, with the axes as they are. The wheel brings a place nearer,
 * dragging moves what is chosen or else what is seen, a double click shows all again.
 */
final class SpaceViews extends Drawing {
    private final ThreeViews views = new ThreeViews();
    private final Consumer<String> picked;
    private Surroundings space = Surroundings.NONE;
    private Map<String, Double> pose = Map.of();
    private String chosen = "";
    private Map<String, Shape> shapes = Map.of();
    private Map<String, List<Vec3>> holes = Map.of();
    private double heldX;
    private double heldY;
    private SpaceDrag drag;
    private BiConsumer<Neighbour, Vec3> moved;
    private Consumer<Rectangle2D> corner;

    /** @param picked told the id of the neighbour clicked on */
    SpaceViews(Theme theme, Consumer<String> picked) {
        super(theme);
        this.picked = picked;
        Ui.id(this, "space-views");
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
    }

    /** Lets what is chosen be moved by dragging; told what and how far. */
    void onMoved(BiConsumer<Neighbour, Vec3> told) {
        moved = told;
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
        SpacePainter painter = new SpacePainter(g, p, views, new SpacePainter.Scene(space, pose, shapes, holes, chosen), drag);
        for (ThreeViews.View v : views.all()) {
            double[] a = v.area();
            g.setFont(Font.font("Lato", 11));
            g.setTextAlign(TextAlignment.LEFT);
            g.setTextBaseline(VPos.BOTTOM);
            g.setFill(p.faintColour());
            g.fillText(v.title, a[0], a[1] - 4);
            g.save();
            g.beginPath();
            g.rect(a[0] - 3, a[1] - 3, a[2] + 6, a[3] + 6);
            g.clip();
            painter.draw(v);
            g.restore();
        }
    }

    private boolean isOn(ThreeViews.View v, Neighbour n, double px, double py) {
        double[] b = v.box(space.bounds(n, pose));
        return px >= b[0] - 2 && px <= b[0] + b[2] + 2 && py >= b[1] - 2 && py <= b[1] + b[3] + 2;
    }

    private void press(MouseEvent e) {
        heldX = e.getX();
        heldY = e.getY();
        drag = moved == null ? null : views.at(heldX, heldY).flatMap(v -> space.neighbour(chosen).filter(n -> isOn(v, n, heldX, heldY)).map(n -> new SpaceDrag(n, v))).orElse(null);
    }

    private void drag(MouseEvent e) {
        if (drag != null) {
            drag.to(e.getX() - heldX, e.getY() - heldY, views.scale(), space, pose);
        } else {
            views.at(heldX, heldY).ifPresent(v -> views.pan(v.way(e.getX() - heldX, e.getY() - heldY)));
            heldX = e.getX();
            heldY = e.getY();
        }
        draw();
    }

    private void drop() {
        SpaceDrag done = drag;
        drag = null;
        if (done != null && done.isMoved()) {
            moved.accept(done.thing(), done.by());
            draw();
        }
    }

    /** The smallest one under the mouse, so that what lies before something large can be reached. */
    private void pick(double x, double y) {
        String best = "";
        double smallest = Double.POSITIVE_INFINITY;
        for (ThreeViews.View v : views.all()) {
            for (Neighbour n : space.neighbours()) {
                double[] b = v.box(space.bounds(n, pose));
                if (isOn(v, n, x, y) && b[2] * b[3] < smallest) {
                    smallest = b[2] * b[3];
                    best = n.id();
                }
            }
        }
        picked.accept(best);
    }
}
