package tinperch.desktop.look;

import java.nio.IntBuffer;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import tinperch.solid.view.Ink;

/**
 * A picture of lines, as fine as the screen: drawn by us, since the toolkit takes ten times as long to stroke them without a graphics device.
 * Two pictures take turns, so that the one that is being shown is never drawn in.
 */
public final class InkView extends ImageView {
    private final Leaf[] leaves = new Leaf[2];
    private int turn;
    private double pxPerUnit = 1;

    /** The picture's pixels are shown as they are, without a copy. */
    private record Leaf(Ink ink, PixelBuffer<IntBuffer> pixels, WritableImage image) {
        static Leaf of(int w, int h) {
            Ink ink = new Ink(w, h);
            PixelBuffer<IntBuffer> pixels = new PixelBuffer<>(w, h, IntBuffer.wrap(ink.argb()), PixelFormat.getIntArgbPreInstance());
            return new Leaf(ink, pixels, new WritableImage(pixels));
        }
    }

    public InkView() {
        setManaged(false);
        setMouseTransparent(true);
        setSmooth(false);
    }

    /** An empty picture of a size in the window's units. */
    public Ink begin(double width, double height) {
        pxPerUnit = getScene() == null || getScene().getWindow() == null ? 1 : Math.max(1, getScene().getWindow().getRenderScaleX());
        int w = Math.max(1, (int) Math.round(width * pxPerUnit));
        int h = Math.max(1, (int) Math.round(height * pxPerUnit));
        turn = 1 - turn;
        Leaf leaf = leaves[turn];
        if (leaf == null || leaf.ink.width() != w || leaf.ink.height() != h) {
            leaf = Leaf.of(w, h);
            leaves[turn] = leaf;
        }
        leaf.ink.clear();
        return leaf.ink;
    }

    /** Lets the pictures go until the next is begun. */
    public void rest() {
        leaves[0] = null;
        leaves[1] = null;
        setImage(null);
    }

    /** Pixels of the picture for one of the window's units. */
    public double pxPerUnit() {
        return pxPerUnit;
    }

    /** Shows what was drawn. */
    public void end() {
        Leaf leaf = leaves[turn];
        leaf.pixels.updateBuffer(b -> null);
        setFitWidth(leaf.ink.width() / pxPerUnit);
        setFitHeight(leaf.ink.height() / pxPerUnit);
        setImage(leaf.image);
    }
}
