package tinperch.desktop.sheet;

import java.util.function.Consumer;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.Region;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.solid.Vec3;
import tinperch.solid.view.Camera;
import tinperch.solid.view.Rasteriser;
import tinperch.workshop.edit.PictureWorker.Picture;

/** The part on a turntable: drag or arrow keys turn it, the wheel brings it nearer, a click finds the feature. */
final class Turntable extends Region {
    /** Drawn twice as large while still, so that edges come out smooth. */
    private static final int STILL = 2;

    private final Theme theme;
    private final Rasteriser rasteriser = new Rasteriser();
    private final ImageView view = new ImageView();
    private final Consumer<String> picked;
    private WritableImage image;
    private Picture picture;
    private String lit = "";
    private double yaw = 32;
    private double pitch = 38;
    private double zoom = 1;
    private double lastX;
    private double lastY;
    private boolean dragging;
    private boolean moved;

    /** @param picked told the feature clicked on */
    Turntable(Theme theme, Consumer<String> picked) {
        this.theme = theme;
        this.picked = picked;
        setId("turntable");
        getStyleClass().add("turntable");
        view.setManaged(false);
        getChildren().add(view);
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
            }
        });
    }

    void show(Picture next) {
        picture = next;
        draw();
    }

    void light(String feature) {
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
        picked.accept(face < 0 || picture == null ? "" : picture.mesh().faces().get(face).feature());
    }

    @Override
    protected void layoutChildren() {
        draw();
    }

    void draw() {
        int scale = dragging ? 1 : STILL;
        int w = (int) getWidth() * scale;
        int h = (int) getHeight() * scale;
        if (w < 20 || h < 20) {
            return;
        }
        if (picture == null) {
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
        Vec3 size = picture.mesh().bounds().size();
        double k = zoom * 0.88 * Math.min(w, h * 1.25) / Math.max(1, size.length());
        Palette p = theme.palette();
        Rasteriser.Paint paint = new Rasteriser.Paint(Palette.rgb(p.part()), Palette.rgb(p.lit()),
                p.dark() ? 0x0B0D0E : 0x2E302C, 0, scale);
        rasteriser.draw(picture.mesh(), picture.edges(), new Camera(yaw, pitch, picture.mesh().bounds().centre(), k), w, h,
                paint, lit);
        image.getPixelWriter().setPixels(0, 0, w, h, PixelFormat.getIntArgbPreInstance(), rasteriser.argb(), 0, w);
    }
}
