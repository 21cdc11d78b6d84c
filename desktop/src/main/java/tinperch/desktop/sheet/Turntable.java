package tinperch.desktop.sheet;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.IntUnaryOperator;
import javafx.animation.PauseTransition;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
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
import tinperch.solid.view.Halved;
import tinperch.solid.view.Rasteriser;
import tinperch.solid.view.Scene;

/**
 * The part on a turntable: drag or arrow keys turn it, the wheel brings it nearer, a click finds the feature; a section opens
 * it along one of its axes, and what it holds can be seen through or left out.
 */
public final class Turntable extends Region {
    /** How much of the picture is filled; the rest is for the tools and for air. */
    private static final int LEAST = 20;
    private static final double FILLED = 0.9;
    /** Drawn twice as large while still, so that edges come out smooth. */
    private static final int STILL = 2;

    private final Theme theme;
    private final TablePainter painter = new TablePainter();
    private final CutTools tools;
    private final ImageView view = new ImageView();
    private final Consumer<Picked> picked;
    private WritableImage image;
    private Mesh mesh;
    private List<FeatureEdges.Edge> edges = List.of();
    private List<Mesh> ghosts = List.of();
    private Bounds around;
    private String lit = "";
    private IntUnaryOperator tint = Scene.PLAIN;
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
        this.theme = theme;
        this.picked = picked;
        Ui.id(this, "turntable");
        getStyleClass().add("turntable");
        view.setManaged(false);
        tools = new CutTools(ghostName, this::draw);
        getChildren().addAll(view, tools);
        atRest.setOnFinished(e -> {
            rough = false;
            drawSoon();
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
                tools.next();
                e.consume();
            } else if (e.getCode() == KeyCode.OPEN_BRACKET || e.getCode() == KeyCode.CLOSE_BRACKET) {
                tools.move(e.getCode() == KeyCode.OPEN_BRACKET ? -0.05 : 0.05);
                e.consume();
            }
        });
    }

    /**
     * Shows a mesh, or nothing.
     *
     * @param seenThrough drawn as ghosts
     * @param around what the picture is fitted to
     */
    public void show(Mesh next, List<FeatureEdges.Edge> nextEdges, List<Mesh> seenThrough, Bounds around) {
        prepare(next, nextEdges, seenThrough, around);
        draw();
    }

    /** The same, painted in the background: what was shown stays until then. */
    public void showSoon(Mesh next, List<FeatureEdges.Edge> nextEdges, List<Mesh> seenThrough, Bounds around) {
        atRest.stop();
        rough = false;
        prepare(next, nextEdges, seenThrough, around);
        drawSoon();
    }

    /**
     * Shows a mesh in motion: drawn roughly now and then, finely once it has come to rest, so that it never holds up the drawn
     * views beside it.
     */
    public void showMoving(Mesh next, List<FeatureEdges.Edge> nextEdges, List<Mesh> seenThrough, Bounds around) {
        rough = true;
        atRest.playFromStart();
        prepare(next, nextEdges, seenThrough, around);
        long now = System.nanoTime();
        if (now - drawnAt > MOVING_NS) {
            drawnAt = now;
            draw();
        }
    }

    /** Takes what is to be shown; drawn by whoever lays it out. */
    public void prepare(Mesh next, List<FeatureEdges.Edge> nextEdges, List<Mesh> seenThrough, Bounds fitted) {
        mesh = next;
        edges = nextEdges;
        ghosts = seenThrough;
        around = fitted;
    }

    /** Colours faces by their number from the next time it is shown; negative leaves one in the part's own. */
    public void tint(IntUnaryOperator next) {
        tint = next;
    }

    /** Turns it so that what looks this way is seen, a little from the side. */
    public void lookAt(Vec3 outward) {
        yaw = Math.toDegrees(Math.atan2(outward.x(), -outward.y())) + 24;
        pitch = Math.max(-75, Math.min(75, Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, outward.z())))) + (outward.z() > 0.2 ? -14 : 14)));
        zoom = 1;
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
        if (painter.frame() != null && painter.frame().scene().mesh() != mesh) {
            // Another mesh is being painted: its faces have other numbers, and whoever is told knows only those.
            draw();
        }
        int face = painter.faceAt(x, y);
        TablePainter.Frame shown = painter.frame();
        if (face < 0 || shown == null || image == null) {
            picked.accept(Picked.NOTHING);
            return;
        }
        Mesh.Face f = shown.scene().mesh().faces().get(face);
        int k = shown.scale();
        picked.accept(new Picked(f.feature(), f.normal(), shown.camera().on(x * k - shown.width() / 2.0, shown.height() / 2.0 - y * k, f.normal(), f.offset()), face));
    }

    @Override
    protected void layoutChildren() {
        double h = tools.prefHeight(-1);
        tools.resizeRelocate(8, getHeight() - h - 2, tools.prefWidth(-1), h);
        place();
        // An edit that moves it a little must not wait for its picture.
        drawSoon();
    }

    /** Pixels for a mm, so that whatever way it is turned about the vertical it stays within the picture. */
    private double fit(int w, int h) {
        Vec3 size = around.size();
        double across = Math.hypot(size.x(), size.y());
        double tilt = Math.toRadians(pitch);
        double up = across * Math.abs(Math.sin(tilt)) + size.z() * Math.cos(tilt);
        return Math.min(w / Math.max(1, across), h / Math.max(1, up));
    }

    /** Draws again at once, after the size, the colours or the way one looks at it changed. */
    public void draw() {
        frame(dragging || rough ? 1 : STILL).ifPresent(f -> blit(painter.now(f)));
    }

    /** Draws again in the background: after an edit the drawn views come first. */
    void drawSoon() {
        if (image == null || rough || dragging) {
            draw();
        } else {
            frame(STILL).ifPresent(f -> painter.soon(f, this::blit));
        }
    }

    /** What is to be painted; empty when there is nothing or no room. */
    private Optional<TablePainter.Frame> frame(int scale) {
        int w = (int) getWidth() * scale;
        int h = (int) getHeight() * scale;
        if (mesh == null) {
            view.setImage(null);
            image = null;
        }
        if (mesh == null || w < LEAST || h < LEAST) {
            return Optional.empty();
        }
        Palette p = theme.palette();
        Rasteriser.Paint paint = new Rasteriser.Paint(Palette.rgb(p.part()), Palette.rgb(p.lit()),
                p.dark() ? 0x0B0D0E : 0x2E302C, Palette.rgb(p.cut()), Palette.rgb(p.faint()), 0, scale);
        Camera camera = new Camera(yaw, pitch, around.centre(), zoom * FILLED * fit(w, h));
        Scene scene = new Scene(mesh, edges, lit, tools.showsGhosts() ? ghosts : List.of(), tools.cut(camera, around), tint);
        // Halved by us: the toolkit would scale the picture down again with every repaint.
        return Optional.of(new TablePainter.Frame(scene, camera, w, h, paint, scale, scale == STILL && !isFineScreen()));
    }

    private boolean isFineScreen() {
        return getScene() != null && getScene().getWindow() != null && getScene().getWindow().getOutputScaleX() > 1.5;
    }

    /** Whatever size a picture was painted for, it lies where the turntable is now, until the next one comes; the toolkit takes no room for any room. */
    private void place() {
        view.setVisible(getWidth() >= LEAST && getHeight() >= LEAST);
        if (view.isVisible()) {
            view.setFitWidth((int) getWidth());
            view.setFitHeight((int) getHeight());
        }
    }

    private void blit(TablePainter.Picture p) {
        if (image == null || image.getWidth() != p.width() || image.getHeight() != p.height()) {
            image = new WritableImage(p.width(), p.height());
            view.setImage(image);
            place();
            view.setSmooth(p.width() != (int) getWidth());
        }
        image.getPixelWriter().setPixels(0, 0, p.width(), p.height(), PixelFormat.getIntArgbPreInstance(), p.argb(), 0, p.width());
    }
}
