package tinperch.desktop.sheet;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.Hands;
import tinperch.solid.view.Camera;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.Rasteriser;
import tinperch.solid.view.Scene;

/** A small still picture of a part. */
public final class PartPicture extends ImageView {
    private static final int FINE = 2;
    private static final double YAW = 32;
    private static final double PITCH = 34;

    private final Theme theme;
    private final int width;
    private final int height;
    private Mesh mesh;
    private List<FeatureEdges.Edge> edges = List.of();
    private final ChangeListener<Palette> repaint = (o, a, b) -> draw();

    public PartPicture(Theme theme, double width, double height) {
        this.theme = theme;
        this.width = (int) width;
        this.height = (int) height;
        setFitWidth(width);
        setFitHeight(height);
        setSmooth(true);
        setImage(new WritableImage(this.width, this.height));
        theme.paletteProperty().addListener(new WeakChangeListener<>(repaint));
    }

    /** Shows a mesh from the usual side. */
    public void show(Mesh next, List<FeatureEdges.Edge> nextEdges) {
        mesh = next;
        edges = nextEdges;
        draw();
    }

    private void draw() {
        if (mesh == null || mesh.triangleCount() == 0) {
            return;
        }
        Bounds b = mesh.bounds();
        Vec3 size = b.size();
        double across = Math.hypot(size.x(), size.y());
        double tilt = Math.toRadians(PITCH);
        double up = across * Math.sin(tilt) + size.z() * Math.cos(tilt);
        int w = width * FINE;
        int h = height * FINE;
        double k = 0.92 * Math.min(w / Math.max(1, across), h / Math.max(1, up));
        Palette p = theme.palette();
        Rasteriser.Paint paint = new Rasteriser.Paint(Palette.rgb(p.part()), Palette.rgb(p.lit()), p.dark() ? 0x0B0D0E : 0x2E302C, Palette.rgb(p.cut()),
                Palette.rgb(p.faint()), 0, FINE);
        Rasteriser rasteriser = new Rasteriser(Hands.ONE);
        rasteriser.draw(new Scene(mesh, edges, "", List.of(), Optional.empty()), new Camera(YAW, PITCH, b.centre(), k), w, h, paint);
        WritableImage image = new WritableImage(w, h);
        image.getPixelWriter().setPixels(0, 0, w, h, PixelFormat.getIntArgbPreInstance(), rasteriser.argb(), 0, w);
        setImage(image);
    }
}
