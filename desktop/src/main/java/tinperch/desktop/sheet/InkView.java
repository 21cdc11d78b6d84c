package tinperch.desktop.sheet;

import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import tinperch.solid.view.Ink;

/** A picture of lines, as fine as the screen: drawn by us, since the toolkit takes ten times as long to stroke them without a graphics device. */
final class InkView extends ImageView {
    private Ink ink;
    private double pxPerUnit = 1;

    InkView() {
        setManaged(false);
        setMouseTransparent(true);
        setSmooth(false);
    }

    /** An empty picture of a size in the window's units. */
    Ink begin(double width, double height) {
        pxPerUnit = getScene() == null || getScene().getWindow() == null ? 1 : Math.max(1, getScene().getWindow().getRenderScaleX());
        int w = Math.max(1, (int) Math.round(width * pxPerUnit));
        int h = Math.max(1, (int) Math.round(height * pxPerUnit));
        if (ink == null || ink.width() != w || ink.height() != h) {
            ink = new Ink(w, h);
            setImage(new WritableImage(w, h));
            setFitWidth(w / pxPerUnit);
            setFitHeight(h / pxPerUnit);
        }
        ink.clear();
        return ink;
    }

    /** Pixels of the picture for one of the window's units. */
    double pxPerUnit() {
        return pxPerUnit;
    }

    /** Shows what was drawn. */
    void end() {
        ((WritableImage) getImage()).getPixelWriter().setPixels(0, 0, ink.width(), ink.height(), PixelFormat.getIntArgbPreInstance(), ink.argb(), 0, ink.width());
    }
}
