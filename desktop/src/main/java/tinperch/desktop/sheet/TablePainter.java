package tinperch.desktop.sheet;

import java.util.Arrays;
import java.util.Deque;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.function.Consumer;
import java.util.function.Function;
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
    /** What draws is large and drawn with for a moment only: all turntables share as few as are drawn with at once. */
    private static final Deque<Brush> FREE = new ConcurrentLinkedDeque<>();
    private static final int MOST_FREE = 2;

    private static final class Brush {
        /** In the background one core is enough: the other draws the window. */
        private volatile Hands hands = Helpers.ALL;
        private final Rasteriser rasteriser = new Rasteriser((count, work) -> hands.each(count, work));
    }

    /** Draws, and lets whoever wants it read off what was drawn. */
    private static <T> T drawn(Frame f, Hands by, Function<Rasteriser, T> read) {
        Brush brush = FREE.pollFirst();
        if (brush == null) {
            brush = new Brush();
        }
        brush.hands = by;
        brush.rasteriser.draw(f.scene, f.camera, f.width, f.height, f.paint);
        T t = read.apply(brush.rasteriser);
        if (FREE.size() < MOST_FREE) {
            FREE.addFirst(brush);
        }
        return t;
    }

    private static Picture picture(Frame f, Hands by) {
        return drawn(f, by, r -> {
            if (!f.halved) {
                return new Picture(Arrays.copyOf(r.argb(), f.width * f.height), f.width, f.height);
            }
            int[] small = new int[f.width * f.height / 4];
            Halved.of(r.argb(), f.width, f.height, small, by);
            return new Picture(small, f.width / 2, f.height / 2);
        });
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
    private Frame shown;

    /** Paints now; what was still to come is not wanted any more. */
    Picture now(Frame f) {
        soon.cancel();
        shown = f;
        return picture(f, Helpers.ALL);
    }

    /** Paints in the background and hands the picture over, unless something newer is painted before. */
    void soon(Frame f, Consumer<Picture> done) {
        soon.ask(ticket -> {
            Picture p = picture(f, Hands.ONE);
            ticket.deliver(() -> {
                shown = f;
                done.accept(p);
            });
        });
    }

    /** The face under a place of the screen, or -1; drawn once more to find out, which a click can wait for. */
    int faceAt(double x, double y) {
        return shown == null ? -1 : drawn(shown, Helpers.ALL, r -> r.faceAt((int) (x * shown.scale), (int) (y * shown.scale)));
    }

    /** What is shown; null before anything was. */
    Frame frame() {
        return shown;
    }
}
