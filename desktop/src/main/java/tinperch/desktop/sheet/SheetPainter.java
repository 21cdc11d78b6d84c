package tinperch.desktop.sheet;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import tinperch.desktop.look.Palette;
import tinperch.part.form.Dimension;
import tinperch.solid.Bounds;
import tinperch.solid.view.HiddenLines;

/** Draws the lines of the views and of their dimensions. */
final class SheetPainter {
    private static final int IN_PATH = 64;

    private final GraphicsContext g;
    private final Palette palette;
    private final SheetScale at;
    private final Bounds part;

    SheetPainter(GraphicsContext g, Palette palette, SheetScale at, Bounds part) {
        this.g = g;
        this.palette = palette;
        this.at = at;
        this.part = part;
    }

    /** A view whose zero is at a place. */
    void lines(List<HiddenLines.Piece> pieces, double ox, double oy) {
        g.setLineWidth(0.8);
        g.setStroke(Color.web(palette.faint(), 0.75));
        g.setLineDashes(3, 3);
        stroke(pieces, false, ox, oy);
        g.setLineDashes();
        g.setLineWidth(1.4);
        g.setStroke(palette.inkColour());
        stroke(pieces, true, ox, oy);
    }

    private void stroke(List<HiddenLines.Piece> pieces, boolean visible, double ox, double oy) {
        double k = at.pxPerMm();
        // In paths of a few lines: drawn in software, each by itself costs too much to begin with, and all in one too much sorting.
        int inPath = 0;
        g.beginPath();
        for (HiddenLines.Piece l : pieces) {
            if (l.visible() == visible) {
                g.moveTo(ox + l.x0() * k, oy - l.y0() * k);
                g.lineTo(ox + l.x1() * k, oy - l.y1() * k);
                if (++inPath == IN_PATH) {
                    g.stroke();
                    g.beginPath();
                    inPath = 0;
                }
            }
        }
        if (inPath > 0) {
            g.stroke();
        }
    }

    /** Draws a dimension's lines and puts its tag on them; distances outwards are in pixels, so views stay readable. */
    void place(Dimension d, Region tag, double sheetWidth) {
        double[] a = at.inView(d.view(), d.from());
        double[] b = at.inView(d.view(), d.to());
        double out = d.outMm() >= 0 ? 1 : -1;
        double far = outPx(d);
        g.setStroke(Color.web(palette.accent(), d.param().isPresent() ? 0.95 : 0.55));
        g.setLineWidth(1);
        tag.autosize();
        double tw = tag.getWidth();
        double th = tag.getHeight();
        if (d.along()) {
            double edge = out > 0 ? Math.min(a[1], b[1]) : Math.max(a[1], b[1]);
            double y = edge - out * far;
            g.strokeLine(a[0], a[1] - out * 3, a[0], y - out * 4);
            g.strokeLine(b[0], b[1] - out * 3, b[0], y - out * 4);
            g.strokeLine(a[0], y, b[0], y);
            arrow(a[0], y, Math.signum(b[0] - a[0]), 0);
            arrow(b[0], y, Math.signum(a[0] - b[0]), 0);
            tag.relocate(within((a[0] + b[0]) / 2 - tw / 2, tw, sheetWidth), y - th / 2);
        } else {
            double edge = out > 0 ? Math.max(a[0], b[0]) : Math.min(a[0], b[0]);
            double x = edge + out * far;
            g.strokeLine(a[0] + out * 3, a[1], x + out * 4, a[1]);
            g.strokeLine(b[0] + out * 3, b[1], x + out * 4, b[1]);
            g.strokeLine(x, a[1], x, b[1]);
            arrow(x, a[1], 0, Math.signum(b[1] - a[1]));
            arrow(x, b[1], 0, Math.signum(a[1] - b[1]));
            boolean tight = Math.abs(a[1] - b[1]) < th + 8;
            tag.relocate(within(tight ? out > 0 ? x + 6 : x - tw - 6 : x - tw / 2, tw, sheetWidth), (a[1] + b[1]) / 2 - th / 2);
        }
    }

    private static double within(double x, double width, double sheetWidth) {
        return Math.max(2, Math.min(sheetWidth - width - 2, x));
    }

    /** Dimensions that leave the outline far behind are counted from it; the number says how many rows out. */
    double outPx(Dimension d) {
        Bounds b = part;
        double reach = switch (d.view()) {
            case TOP -> d.along() ? (d.outMm() > 0 ? b.max().y() - Math.max(d.from().y(), d.to().y())
                    : Math.min(d.from().y(), d.to().y()) - b.min().y())
                    : (d.outMm() > 0 ? b.max().x() - Math.max(d.from().x(), d.to().x())
                            : Math.min(d.from().x(), d.to().x()) - b.min().x());
            case FRONT -> d.along() ? 0 : d.outMm() > 0 ? b.max().x() - Math.max(d.from().x(), d.to().x())
                    : Math.min(d.from().x(), d.to().x()) - b.min().x();
            case SIDE -> d.along() ? b.max().z() - Math.max(d.from().z(), d.to().z())
                    : d.outMm() > 0 ? b.max().y() - Math.max(d.from().y(), d.to().y()) : 0;
        };
        double beyond = Math.abs(d.outMm()) - Math.max(0, reach);
        double near = d.along() ? 17 : 22;
        double far = d.along() ? 36 : 50;
        return Math.max(0, reach) * at.pxPerMm() + (beyond > 10 ? far : near);
    }

    private void arrow(double x, double y, double dx, double dy) {
        g.strokeLine(x, y, x + dx * 6 - dy * 2.5, y + dy * 6 - dx * 2.5);
        g.strokeLine(x, y, x + dx * 6 + dy * 2.5, y + dy * 6 + dx * 2.5);
    }
}
