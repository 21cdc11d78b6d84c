package tinperch.desktop.sheet;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.view.Camera;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.Rasteriser;
import tinperch.solid.view.Scene;
import tinperch.workshop.background.Helpers;

/**
 * The part on a turntable: drag or arrow keys turn it, the wheel brings it nearer, a click finds the feature; a section opens
 * it along one of its axes, and what it holds can be seen through or left out.
 */
public final class Turntable extends Region {
    /** How much of the picture is filled; the rest is for the tools and for air. */
    private static final double FILLED = 0.9;
    /** Drawn twice as large while still, so that edges come out smooth. */
    private static final int STILL = 2;

    private final Theme theme;
    private final Rasteriser rasteriser = new Rasteriser(Helpers.ALL);
    private final Slider depth = Ui.id(new Slider(0.02, 0.98, 0.5), "cut-depth");
    private final ToggleButton[] cuts = new ToggleButton[3];
    private final ToggleButton held;
    private final HBox tools;
    private final ImageView view = new ImageView();
    private final Consumer<Picked> picked;
    private WritableImage image;
    private Mesh mesh;
    private List<FeatureEdges.Edge> edges = List.of();
    private List<Mesh> ghosts = List.of();
    private Bounds frame;
    private String lit = "";
    private double yaw = 32;
    private double pitch = 38;
    private double zoom = 1;
    private double lastX;
    private double lastY;
    private static final long MOVING_NS = 60_000_000;

    private final PauseTransition atRest = new PauseTransition(Duration.millis(180));
    private boolean rough;
    private long drawnAt;
    private boolean dragging;
    private boolean moved;

    /**
     * @param ghostName what the seen-through things are called on their button
     * @param picked told the face clicked on
     */
    public Turntable(Theme theme, String ghostName, Consumer<Picked> picked) {
        held = Ui.id(new ToggleButton(ghostName), "show-" + ghostName);
        this.theme = theme;
        this.picked = picked;
        Ui.id(this, "turntable");
        getStyleClass().add("turntable");
        view.setManaged(false);
        ToggleGroup axes = new ToggleGroup();
        String[] names = {"x", "y", "z"};
        tools = new HBox(4, Ui.label("cut", "faint"));
        tools.setAlignment(Pos.CENTER_LEFT);
        for (int i = 0; i < 3; i++) {
            cuts[i] = Ui.id(new ToggleButton(names[i]), "cut-" + names[i]);
            cuts[i].setToggleGroup(axes);
            Ui.tip(cuts[i], "Open the part along " + names[i] + " (C goes from one to the next, [ and ] move the cut)");
            tools.getChildren().add(cuts[i]);
        }
        depth.setPrefWidth(90);
        held.setSelected(true);
        Ui.tip(held, "Show these too, seen through");
        tools.getChildren().addAll(depth, held);
        tools.getStyleClass().add("turntable-tools");
        axes.selectedToggleProperty().addListener((o, a, b) -> draw());
        depth.valueProperty().addListener((o, a, b) -> draw());
        held.setOnAction(e -> draw());
        depth.visibleProperty().bind(axes.selectedToggleProperty().isNotNull());
        depth.managedProperty().bind(depth.visibleProperty());
        getChildren().addAll(view, tools);
        atRest.setOnFinished(e -> {
            rough = false;
            draw();
        });
        setFocusTraversable(true);
        setAccessibleText("The part on a turntable");
        Ui.tip(this, "Drag or use the arrow keys to turn, the wheel to come nearer, double-click to reset; "
                + "click a face to find its dimension");
        setOnMousePressed(e -> {
            requestFocus();
            lastX = e.getX();
            lastY = e.getY();
            moved = false;
        });
        setOnMouseDragged(e -> {
            dragging = true;
            moved |= Math.hypot(e.getX() - lastX, e.getY() - lastY) > 1;
            turn((lastX - e.getX()) * 0.6, (e.getY() - lastY) * 0.6);
            lastX = e.getX();
            lastY = e.getY();
        });
        setOnMouseReleased(e -> {
            dragging = false;
            if (!moved && e.getButton() == MouseButton.PRIMARY && e.getClickCount() == 1) {
                pick(e.getX(), e.getY());
            }
            draw();
        });
        setOnMouseClicked(e -> {
            if (e.getClickCount() == 2) {
                yaw = 32;
                pitch = 38;
                zoom = 1;
                draw();
            }
        });
        setOnScroll(e -> {
            zoom = Math.max(0.4, Math.min(8, zoom * Math.pow(1.0015, e.getDeltaY())));
            draw();
        });
        setOnKeyPressed(e -> {
            if (e.getCode().isArrowKey()) {
                turn(e.getCode() == KeyCode.LEFT ? 10 : e.getCode() == KeyCode.RIGHT ? -10 : 0,
                        e.getCode() == KeyCode.UP ? 10 : e.getCode() == KeyCode.DOWN ? -10 : 0);
                e.consume();
            } else if (e.getCode() == KeyCode.C && !e.isShortcutDown()) {
                nextCut();
                e.consume();
            } else if (e.getCode() == KeyCode.OPEN_BRACKET || e.getCode() == KeyCode.CLOSE_BRACKET) {
                depth.setValue(depth.getValue() + (e.getCode() == KeyCode.OPEN_BRACKET ? -0.05 : 0.05));
                e.consume();
            }
        });
    }

    private void nextCut() {
        for (int i = 0; i < 3; i++) {
            if (cuts[i].isSelected()) {
                cuts[i].setSelected(false);
                if (i < 2) {
                    cuts[i + 1].setSelected(true);
                }
                return;
            }
        }
        cuts[0].setSelected(true);
    }

    /** The section chosen; its open side is turned towards the eye. */
    private Optional<Scene.Cut> cut(Camera camera) {
        Vec3[] axes = {Vec3.X, Vec3.Y, Vec3.Z};
        for (int i = 0; i < 3; i++) {
            if (cuts[i].isSelected()) {
                Vec3 n = axes[i].dot(camera.toEye()) >= 0 ? axes[i] : axes[i].times(-1);
                Vec3 at = frame.min().plus(frame.size().times(depth.getValue()));
                return Optional.of(new Scene.Cut(n, n.dot(at)));
            }
        }
        return Optional.empty();
    }

    /**
     * Shows a mesh, or nothing.
     *
     * @param seenThrough drawn as ghosts
     * @param around what the picture is fitted to
     */
    public void show(Mesh next, List<FeatureEdges.Edge> nextEdges, List<Mesh> seenThrough, Bounds around) {
        take(next, nextEdges, seenThrough, around);
        draw();
    }

    /** The same, drawn by whoever lays it out. */
    void prepare(Mesh next, List<FeatureEdges.Edge> nextEdges, List<Mesh> seenThrough, Bounds around) {
        take(next, nextEdges, seenThrough, around);
    }

    /**
     * Shows a mesh in motion: drawn roughly now and then, finely once it has come to rest, so that it never holds up the drawn
     * views beside it.
     */
    public void showMoving(Mesh next, List<FeatureEdges.Edge> nextEdges, List<Mesh> seenThrough, Bounds around) {
        rough = true;
        atRest.playFromStart();
        take(next, nextEdges, seenThrough, around);
        long now = System.nanoTime();
        if (now - drawnAt > MOVING_NS) {
            drawnAt = now;
            draw();
        }
    }

    private void take(Mesh next, List<FeatureEdges.Edge> nextEdges, List<Mesh> seenThrough, Bounds around) {
        mesh = next;
        edges = nextEdges;
        ghosts = seenThrough;
        frame = around;
    }

    public void light(String feature) {
        lit = feature;
        draw();
    }

    private void turn(double byYaw, double byPitch) {
        yaw += byYaw;
        pitch = Math.max(-90, Math.min(90, pitch + byPitch));
        draw();
    }

    private void pick(double x, double y) {
        int scale = image == null ? 1 : (int) Math.round(image.getWidth() / Math.max(1, getWidth()));
        int face = rasteriser.faceAt((int) (x * scale), (int) (y * scale));
        if (face < 0 || mesh == null || image == null) {
            picked.accept(Picked.NOTHING);
            return;
        }
        Mesh.Face f = mesh.faces().get(face);
        int w = (int) image.getWidth();
        int h = (int) image.getHeight();
        picked.accept(new Picked(f.feature(), f.normal(), camera(w, h).on(x * scale - w / 2.0, h / 2.0 - y * scale, f.normal(), f.offset())));
    }

    @Override
    protected void layoutChildren() {
        double h = tools.prefHeight(-1);
        tools.resizeRelocate(8, getHeight() - h - 2, tools.prefWidth(-1), h);
        draw();
    }

    /** Pixels for a mm, so that whatever way it is turned about the vertical it stays within the picture. */
    private double fit(int w, int h) {
        Vec3 size = frame.size();
        double across = Math.hypot(size.x(), size.y());
        double tilt = Math.toRadians(pitch);
        double up = across * Math.abs(Math.sin(tilt)) + size.z() * Math.cos(tilt);
        return Math.min(w / Math.max(1, across), h / Math.max(1, up));
    }

    private Camera camera(int w, int h) {
        return new Camera(yaw, pitch, frame.centre(), zoom * FILLED * fit(w, h));
    }

    /** Draws again, after the size or the colours changed. */
    public void draw() {
        int scale = dragging || rough ? 1 : STILL;
        int w = (int) getWidth() * scale;
        int h = (int) getHeight() * scale;
        if (w < 20 || h < 20) {
            return;
        }
        if (mesh == null) {
            view.setImage(null);
            image = null;
            return;
        }
        if (image == null || image.getWidth() != w || image.getHeight() != h) {
            image = new WritableImage(w, h);
            view.setImage(image);
            view.setFitWidth((int) getWidth());
            view.setFitHeight((int) getHeight());
            view.setSmooth(true);
        }
        Palette p = theme.palette();
        Rasteriser.Paint paint = new Rasteriser.Paint(Palette.rgb(p.part()), Palette.rgb(p.lit()),
                p.dark() ? 0x0B0D0E : 0x2E302C, Palette.rgb(p.cut()), Palette.rgb(p.faint()), 0, scale);
        Camera camera = camera(w, h);
        Scene scene = new Scene(mesh, edges, lit, held.isSelected() ? ghosts : List.of(), cut(camera));
        rasteriser.draw(scene, camera, w, h, paint);
        image.getPixelWriter().setPixels(0, 0, w, h, PixelFormat.getIntArgbPreInstance(), rasteriser.argb(), 0, w);
    }
}
