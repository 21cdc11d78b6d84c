package tinperch.solid.view;

import java.util.Arrays;
import java.util.List;

/**
 * Draws smooth thin lines into pixels: a pixel takes as much ink as its middle is inside the line, give or take half a pixel. Lines of one
 * layer that cross or follow on each other do not darken each other. Keeps its pixels; one to a thread.
 */
public final class Ink {
    private final int width;
    private final int height;
    private final int[] argb;
    private final byte[] layer;
    /** Pixels that may be drawn in: from, to, exclusive. */
    private int clipX;
    private int clipY;
    private int clipToX;
    private int clipToY;
    /** Pixels the layer under way may have touched. */
    private int fromX;
    private int fromY;
    private int toX;
    private int toY;

    /** @param width of the picture in pixels, {@code height} too */
    public Ink(int width, int height) {
        this.width = width;
        this.height = height;
        argb = new int[width * height];
        layer = new byte[width * height];
        clip(0, 0, width, height);
        untouched();
    }

    /** Draws only between these from now on, in pixels. */
    public void clip(double x0, double y0, double x1, double y1) {
        clipX = (int) Math.max(0, Math.floor(x0));
        clipY = (int) Math.max(0, Math.floor(y0));
        clipToX = (int) Math.min(width, Math.ceil(x1));
        clipToY = (int) Math.min(height, Math.ceil(y1));
    }

    private void untouched() {
        fromX = width;
        fromY = height;
        toX = 0;
        toY = 0;
    }

    private void touch(int x0, int y0, int x1, int y1) {
        fromX = Math.min(fromX, Math.max(clipX, x0));
        fromY = Math.min(fromY, Math.max(clipY, y0));
        toX = Math.max(toX, Math.min(clipToX, x1));
        toY = Math.max(toY, Math.min(clipToY, y1));
    }

    /** Fills a box in the layer under way, its edges as smooth as a line's. */
    public void fill(double x, double y, double w, double h, double alpha) {
        touch((int) Math.floor(x), (int) Math.floor(y), (int) Math.ceil(x + w), (int) Math.ceil(y + h));
        int top = Math.max(clipY, (int) Math.floor(y));
        for (int i = Math.max(clipX, (int) Math.floor(x)); i < clipToX && i < x + w; i++) {
            double in = alpha * Math.max(0, Math.min(1, i + 1 - x) - Math.max(0, i + 1 - x - w));
            int whole = (int) (255 * in + 0.5);
            for (int j = top; j < clipToY && j < y + h; j++) {
                // Only the first row and the last are partly covered.
                if (j >= y && j + 1 <= y + h) {
                    put(j * width + i, whole);
                } else {
                    put(j * width + i, in * Math.max(0, Math.min(1, j + 1 - y) - Math.max(0, j + 1 - y - h)));
                }
            }
        }
    }

    /** Fills an ellipse in a box in the layer under way. */
    public void fillOval(double x, double y, double w, double h, double alpha) {
        double a = w / 2;
        double b = h / 2;
        touch((int) Math.floor(x), (int) Math.floor(y), (int) Math.ceil(x + w), (int) Math.ceil(y + h));
        for (int j = Math.max(clipY, (int) Math.floor(y)); j < clipToY && j < y + h; j++) {
            double t = (j + 0.5 - y - b) / b;
            double half = t * t < 1 ? a * Math.sqrt(1 - t * t) : 0;
            for (int i = (int) Math.max(clipX, Math.floor(x + a - half)); i < clipToX && i < x + a + half; i++) {
                put(j * width + i, alpha * Math.max(0, Math.min(1, half + 0.5 - Math.abs(i + 0.5 - x - a))));
            }
        }
    }

    private void put(int at, double alpha) {
        put(at, (int) (255 * alpha + 0.5));
    }

    private void put(int at, int ink) {
        if (ink > (layer[at] & 0xFF)) {
            layer[at] = (byte) ink;
        }
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    /** The picture, row by row, premultiplied; valid until the next change. */
    public int[] argb() {
        return argb;
    }

    /** Makes all of it transparent. */
    public void clear() {
        Arrays.fill(argb, 0);
        Arrays.fill(layer, (byte) 0);
        clip(0, 0, width, height);
        untouched();
    }

    /**
     * How a line is drawn, in pixels.
     *
     * @param alpha 0 to 1
     * @param dashPx length of a dash and of the gap after it; 0 for none
     */
    public record Pen(double widthPx, double alpha, double dashPx) {}

    /**
     * Draws the seen or the hidden pieces of a view into the layer under way.
     *
     * @param ox where the view's zero is, {@code oy} downwards
     */
    public void lines(List<HiddenLines.Piece> pieces, boolean visible, double ox, double oy, double pxPerMm, Pen pen) {
        double run = 0;
        HiddenLines.Piece before = null;
        for (HiddenLines.Piece l : pieces) {
            if (l.visible() == visible) {
                // Dashes go on where a line goes on: a circle is one line to the eye.
                run = before != null && before.x1() == l.x0() && before.y1() == l.y0() ? run : 0;
                run = line(ox + l.x0() * pxPerMm, oy - l.y0() * pxPerMm, ox + l.x1() * pxPerMm, oy - l.y1() * pxPerMm, pen, run);
                before = l;
            }
        }
    }

    /** Draws a line into the layer under way. */
    public void line(double x0, double y0, double x1, double y1, Pen pen) {
        line(x0, y0, x1, y1, pen, 0);
    }

    /** Draws a line whose dashes have run for so many pixels; answers how far they have run at its end. */
    private double line(double x0, double y0, double x1, double y1, Pen pen, double run) {
        double dx = x1 - x0;
        double dy = y1 - y0;
        double length = Math.sqrt(dx * dx + dy * dy);
        if (!(length > 1e-9) || !(length < 1e6)) {
            return run;
        }
        double ux = dx / length;
        double uy = dy / length;
        boolean flat = Math.abs(ux) >= Math.abs(uy);
        double half = pen.widthPx / 2;
        double reach = (half + 0.5) / (flat ? Math.abs(ux) : Math.abs(uy)) + 0.5;
        double from = flat ? Math.min(x0, x1) : Math.min(y0, y1);
        double to = flat ? Math.max(x0, x1) : Math.max(y0, y1);
        int least = flat ? clipX : clipY;
        int most = flat ? clipToX : clipToY;
        int above = flat ? clipY : clipX;
        int across = flat ? clipToY : clipToX;
        int room = (int) Math.ceil(half + 1);
        touch((int) Math.floor(Math.min(x0, x1)) - room, (int) Math.floor(Math.min(y0, y1)) - room, (int) Math.ceil(Math.max(x0, x1)) + room, (int) Math.ceil(Math.max(y0, y1)) + room);
        for (int i = Math.max(least, (int) Math.floor(from - half - 0.5)); i < most && i <= to + half + 0.5; i++) {
            double m = i + 0.5;
            double middle = flat ? y0 + (m - x0) * uy / ux : x0 + (m - y0) * ux / uy;
            for (int j = Math.max(above, (int) Math.floor(middle - reach)); j < across && j <= middle + reach; j++) {
                double px = (flat ? m : j + 0.5) - x0;
                double py = (flat ? j + 0.5 : m) - y0;
                double along = px * ux + py * uy;
                double cover = Math.min(half + 0.5 - Math.abs(px * uy - py * ux), Math.min(along, length - along) + half + 0.5);
                cover = Math.min(cover, Math.min(1, pen.widthPx));
                if (pen.dashPx > 0) {
                    double in = (run + along) % (2 * pen.dashPx);
                    cover = Math.min(cover, in < 0 ? 0 : Math.min(in, pen.dashPx - in) + 0.5);
                }
                put(flat ? j * width + i : i * width + j, pen.alpha * cover);
            }
        }
        return run + length;
    }

    /** Lays what was drawn since the last time over the picture. */
    public void layer(int rgb) {
        int r = rgb >> 16 & 0xFF;
        int g = rgb >> 8 & 0xFF;
        int b = rgb & 0xFF;
        for (int y = fromY; y < toY; y++) {
            for (int i = y * width + fromX; i < y * width + toX; i++) {
                int a = layer[i] & 0xFF;
                if (a == 255) {
                    layer[i] = 0;
                    argb[i] = 0xFF000000 | rgb;
                } else if (a != 0) {
                    layer[i] = 0;
                    int under = argb[i];
                    int rest = 255 - a;
                    argb[i] = over(a * 255, under >>> 24, rest) << 24 | over(a * r, under >> 16 & 0xFF, rest) << 16
                            | over(a * g, under >> 8 & 0xFF, rest) << 8 | over(a * b, under & 0xFF, rest);
                }
            }
        }
        untouched();
    }

    private static int over(int ink, int under, int rest) {
        return (ink + under * rest + 127) / 255;
    }
}
