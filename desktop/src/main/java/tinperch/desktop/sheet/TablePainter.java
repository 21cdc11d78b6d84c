package tinperch.desktop.sheet;

import java.util.function.Consumer;
import javafx.application.Platform;
import tinperch.solid.kernel.Hands;
import tinperch.solid.view.Camera;
import tinperch.solid.view.Halved;
import tinperch.solid.view.Rasteriser;
import tinperch.solid.view.Scene;
import tinperch.workshop.background.Helpers;
import tinperch.workshop.background.Latest;

/** Paints the turntable's picture, at once while a hand moves it, else in the background. */
final class TablePainter {
    /** A picture and how to find the face under one of its pixels. */
    private static final class Drawn {
        /** In the background one core is enough: the other draws the window. */
        private volatile Hands hands = Helpers.ALL;
        private final Rasteriser rasteriser = new Rasteriser((count, work) -> hands.each(count, work));
        private int[] small = new int[0];
        private Frame frame;

        Picture draw(Frame f, Hands by) {
            hands = by;
            rasteriser.draw(f.scene, f.camera, f.width, f.height, f.paint);
            frame = f;
            if (!f.halved) {
                return new Picture(rasteriser.argb(), f.width, f.height);
            }
            if (small.length != f.width * f.height / 4) {
                small = new int[f.width * f.height / 4];
            }
            Halved.of(rasteriser.argb(), f.width, f.height, small, by);
            return new Picture(small, f.width / 2, f.height / 2);
        }
    }

    /**
     * What is to be painted.
     *
     * @param scale pixels painted for one of the screen's
     * @param halved whether the picture is made half as large afterwards
     */
    record Frame(Scene scene, Camera camera, int width, int height, Rasteriser.Paint paint, int scale, boolean halved) {}

    /** Pixels, row by row, premultiplied. */
    record Picture(int[] argb, int width, int height) {}

    private final Latest soon = new Latest("turntable", Platform::runLater);
    private Drawn shown = new Drawn();
    private Drawn next = new Drawn();

    /** Paints now; what was still to come is not wanted any more. */
    Picture now(Frame f) {
        soon.cancel();
        return shown.draw(f, Helpers.ALL);
    }

    /** Paints in the background and hands the picture over, unless something newer is painted before. */
    void soon(Frame f, Consumer<Picture> done) {
        soon.ask(ticket -> {
            Drawn by = next;
            synchronized (by) {
                Picture p = by.draw(f, Hands.ONE);
                ticket.deliver(() -> {
                    next = shown;
                    shown = by;
                    done.accept(p);
                });
            }
        });
    }

    /** The face under a place of the screen, or -1. */
    int faceAt(double x, double y) {
        int k = shown.frame == null ? 1 : shown.frame.scale;
        return shown.rasteriser.faceAt((int) (x * k), (int) (y * k));
    }

    /** What is shown; null before anything was. */
    Frame frame() {
        return shown.frame;
    }
}
