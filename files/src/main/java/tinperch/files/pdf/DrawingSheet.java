package tinperch.files.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Locale;
import tinperch.part.form.Dimension;
import tinperch.solid.Vec3;
import tinperch.solid.view.HiddenLines;

/**
 * A part on paper: seen from above, below that from the front, beside that from the right (third angle), at a scale of ISO 5455, with its dimensions,
 * a list of what belongs to it and a title. On A4, or on A3 where that lets it be drawn larger. Lines as ISO 128 has them: seen ones wide, hidden ones
 * narrow and dashed.
 */
public final class DrawingSheet {
    private static final double[] SCALES = {10, 5, 2, 1, 1 / 2.0, 1 / 5.0, 1 / 10.0, 1 / 20.0, 1 / 50.0};
    private static final double[][] PAPERS = {{297, 210}, {420, 297}};
    private static final double MARGIN_MM = 10;
    private static final double LIST_MM = 66;
    private static final double TITLE_MM = 16;
    /** Around and between views, for dimensions. */
    private static final double ROOM_MM = 21;
    private static final double NEAR_MM = 5;
    /** A line this far beyond its view on the screen stands farthest from it on paper. */
    private static final double FAR_FROM_MM = 30;
    private static final double ARROW_MM = 2.5;
    private static final double LETTER_MM = 3;

    private final Content content;
    private final double[] paper;
    private final double scale;
    private final double[] lo;
    private final double[] size;
    private Pen pen;

    /**
     * What is drawn.
     *
     * @param top lines seen from above, {@code front} along +y, {@code side} from +x; mm of the part
     * @param list lines of the list beside it
     * @param foot words of the title after the name, "R5", "PETG"
     */
    public record Content(String title, List<HiddenLines.Piece> top, List<HiddenLines.Piece> front, List<HiddenLines.Piece> side, List<Dimension> dimensions,
            List<String> list, List<String> foot) {
        public Content {
            top = List.copyOf(top);
            front = List.copyOf(front);
            side = List.copyOf(side);
            dimensions = List.copyOf(dimensions);
            list = List.copyOf(list);
            foot = List.copyOf(foot);
        }
    }

    private DrawingSheet(Content content) {
        this.content = content;
        double[] t = box(content.top);
        double[] f = box(content.front);
        lo = new double[] {t[0], t[1], f[1]};
        size = new double[] {t[2] - t[0], t[3] - t[1], f[3] - f[1]};
        double small = fitting(PAPERS[0]);
        double large = fitting(PAPERS[1]);
        paper = small < 1 && large > small ? PAPERS[1] : PAPERS[0];
        scale = Math.max(small, paper == PAPERS[1] ? large : small);
    }

    /** Writes it; the stream is left open. */
    public static void write(Content content, OutputStream out) throws IOException {
        DrawingSheet s = new DrawingSheet(content);
        Pen.document(content.title, pen -> {
            s.pen = pen;
            pen.page(s.paper[0], s.paper[1], p -> s.sheet());
        }, out);
    }

    private static double[] box(List<HiddenLines.Piece> lines) {
        double[] b = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        for (HiddenLines.Piece p : lines) {
            b[0] = Math.min(b[0], Math.min(p.x0(), p.x1()));
            b[1] = Math.min(b[1], Math.min(p.y0(), p.y1()));
            b[2] = Math.max(b[2], Math.max(p.x0(), p.x1()));
            b[3] = Math.max(b[3], Math.max(p.y0(), p.y1()));
        }
        return lines.isEmpty() ? new double[4] : b;
    }

    private double fitting(double[] on) {
        for (double s : SCALES) {
            if (s * (size[0] + size[1]) + 3 * ROOM_MM <= on[0] - 2 * MARGIN_MM - LIST_MM && s * (size[1] + size[2]) + 3 * ROOM_MM <= on[1] - 2 * MARGIN_MM - TITLE_MM) {
                return s;
            }
        }
        return SCALES[SCALES.length - 1];
    }

    /** "2:1", "1:5". */
    static String words(double scale) {
        return scale >= 1 ? Math.round(scale) + ":1" : "1:" + Math.round(1 / scale);
    }

    private void sheet() throws IOException {
        double left = MARGIN_MM + ROOM_MM + (paper[0] - 2 * MARGIN_MM - LIST_MM - scale * (size[0] + size[1]) - 3 * ROOM_MM) / 2;
        double below = MARGIN_MM + TITLE_MM + ROOM_MM + (paper[1] - 2 * MARGIN_MM - TITLE_MM - scale * (size[1] + size[2]) - 3 * ROOM_MM) / 2;
        double right = left + scale * size[0] + ROOM_MM;
        double above = below + scale * size[2] + ROOM_MM;
        view(content.top, Dimension.View.TOP, left - scale * lo[0], above - scale * lo[1], "from above");
        view(content.front, Dimension.View.FRONT, left - scale * lo[0], below - scale * lo[2], "from the front");
        view(content.side, Dimension.View.SIDE, right - scale * lo[1], below - scale * lo[2], "from the right");
        pen.width(0.35, 0);
        double w = paper[0] - 2 * MARGIN_MM;
        double h = paper[1] - 2 * MARGIN_MM;
        pen.ring(new double[] {MARGIN_MM, MARGIN_MM, MARGIN_MM + w, MARGIN_MM, MARGIN_MM + w, MARGIN_MM + h, MARGIN_MM, MARGIN_MM + h});
        pen.line(MARGIN_MM, MARGIN_MM + TITLE_MM, MARGIN_MM + w, MARGIN_MM + TITLE_MM);
        pen.line(MARGIN_MM + w - LIST_MM, MARGIN_MM + TITLE_MM, MARGIN_MM + w - LIST_MM, MARGIN_MM + h);
        pen.write(MARGIN_MM + 3, MARGIN_MM + 9, 5, cut(content.title, 5, w - 90));
        pen.write(MARGIN_MM + 3, MARGIN_MM + 3, LETTER_MM, cut(String.join(" · ", content.foot), LETTER_MM, w - 6));
        String scaled = words(scale) + " · mm · third angle";
        pen.write(MARGIN_MM + w - 3 - pen.lengthMm(4, scaled), MARGIN_MM + 9, 4, scaled);
        double y = MARGIN_MM + h - 6;
        pen.write(MARGIN_MM + w - LIST_MM + 3, y, 4, "Parts");
        for (String line : content.list) {
            y -= 5;
            if (y < MARGIN_MM + TITLE_MM + 2) {
                break;
            }
            pen.write(MARGIN_MM + w - LIST_MM + 3, y, LETTER_MM, cut(line, LETTER_MM, LIST_MM - 6));
        }
    }

    /** As much of some words as there is room for. */
    private String cut(String text, double heightMm, double roomMm) throws IOException {
        String now = text;
        while (now.length() > 1 && pen.lengthMm(heightMm, now) > roomMm) {
            now = now.substring(0, now.length() - 2).stripTrailing() + "…";
        }
        return now;
    }

    /** @param x where the part's zero lies on the paper, {@code y} likewise */
    private void view(List<HiddenLines.Piece> lines, Dimension.View view, double x, double y, String name) throws IOException {
        for (boolean seen : new boolean[] {false, true}) {
            pen.width(seen ? 0.35 : 0.13, seen ? 0 : 1.2);
            for (HiddenLines.Piece p : lines) {
                if (p.visible() == seen) {
                    pen.line(x + scale * p.x0(), y + scale * p.y0(), x + scale * p.x1(), y + scale * p.y1());
                }
            }
        }
        double[] b = box(lines);
        pen.write(x + scale * b[0], y + scale * b[3] + 3, 2.5, name);
        pen.width(0.13, 0);
        for (Dimension d : content.dimensions) {
            if (d.view() == view && d.lengthMm() > 1e-6) {
                dimension(d, x, y, b);
            }
        }
    }

    private static double[] seen(Dimension.View view, Vec3 p) {
        return switch (view) {
            case TOP -> new double[] {p.x(), p.y()};
            case FRONT -> new double[] {p.x(), p.z()};
            case SIDE -> new double[] {p.y(), p.z()};
        };
    }

    /** @param box of its view, mm of the part */
    private void dimension(Dimension d, double x, double y, double[] box) throws IOException {
        double[] a = seen(d.view(), d.from());
        double[] b = seen(d.view(), d.to());
        double[] from = {x + scale * a[0], y + scale * a[1]};
        double[] to = {x + scale * b[0], y + scale * b[1]};
        int along = d.along() ? 0 : 1;
        int across = 1 - along;
        double out = Math.signum(d.outMm());
        double zero = across == 0 ? x : y;
        double point = out > 0 ? Math.max(a[across], b[across]) : Math.min(a[across], b[across]);
        double edge = box[out > 0 ? 2 + across : across];
        double beyond = Math.max(0, out * (point + d.outMm() - edge));
        // On the screen it stands clear of the view by what is typed; on paper by what pens need, in the same order.
        double at = zero + scale * edge + out * (NEAR_MM + Math.min(FAR_FROM_MM, beyond) * 0.55);
        double lo1 = Math.min(from[along], to[along]);
        double hi1 = Math.max(from[along], to[along]);
        String text = java.math.BigDecimal.valueOf(d.lengthMm()).setScale(2, java.math.RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString();
        double wide = pen.lengthMm(LETTER_MM, text);
        boolean inside = hi1 - lo1 > 2 * ARROW_MM + 1;
        for (double[] p : new double[][] {from, to}) {
            stroke(along, p[along], p[across] + Math.signum(out), p[along], at + Math.signum(out) * 1.5);
        }
        stroke(along, lo1 - (inside ? 0 : 5), at, hi1 + (inside ? 0 : 5), at);
        arrow(along, lo1, at, inside ? 1 : -1);
        arrow(along, hi1, at, inside ? -1 : 1);
        double middle = (lo1 + hi1) / 2;
        double start = wide + 1 < hi1 - lo1 ? middle - wide / 2 : hi1 + (inside ? 1 : 6);
        if (along == 0) {
            pen.write(start, at + 0.8, LETTER_MM, text);
        } else {
            pen.write(at - 0.8, start, LETTER_MM, 90, text);
        }
    }

    private void stroke(int along, double a0, double c0, double a1, double c1) throws IOException {
        if (along == 0) {
            pen.line(a0, c0, a1, c1);
        } else {
            pen.line(c0, a0, c1, a1);
        }
    }

    private void arrow(int along, double tip, double at, int way) throws IOException {
        double back = tip + way * ARROW_MM;
        double half = ARROW_MM / 6;
        pen.fill(along == 0 ? new double[] {tip, at, back, at - half, back, at + half} : new double[] {at, tip, at - half, back, at + half, back});
    }

    /** For a line of the list: a count and what there is so many of. */
    public static String listed(int count, String what) {
        return String.format(Locale.ROOT, "%d × %s", count, what);
    }
}
