package tinperch.desktop.sheet;

import javafx.scene.layout.Region;
import tinperch.desktop.look.Palette;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.part.form.Dimension;
import tinperch.solid.Bounds;
import tinperch.solid.view.Ink;

/** Draws the lines of the views and of their dimensions. */
final class SheetPainter {
    private final Ink ink;
    private final double k;
    private final SheetScale at;
    private final Bounds part;

    /** @param pxPerUnit pixels of the ink for one of the window's units */
    SheetPainter(Ink ink, double pxPerUnit, SheetScale at, Bounds part) {
        this.ink = ink;
        this.k = pxPerUnit;
        this.at = at;
        this.part = part;
    }

    /** The three views. */
    void views(Drawing d, Palette palette) {
        Ink.Pen thin = new Ink.Pen(0.8 * k, 0.75, 3 * k);
        view(d, false, thin);
        ink.layer(Palette.rgb(palette.faint()));
        Ink.Pen full = new Ink.Pen(1.4 * k, 1, 0);
        view(d, true, full);
        ink.layer(Palette.rgb(palette.ink()));
    }

    private void view(Drawing d, boolean visible, Ink.Pen pen) {
        double perMm = at.pxPerMm() * k;
        ink.lines(d.top(), visible, at.leftX() * k, at.topY() * k, perMm, pen);
        ink.lines(d.front(), visible, at.leftX() * k, at.frontY() * k, perMm, pen);
        ink.lines(d.side(), visible, at.sideX() * k, at.frontY() * k, perMm, pen);
    }

    /** Draws a dimension's lines into the layer under way and puts its tag on them; distances outwards are in pixels, so views stay readable. */
    void place(Dimension d, Region tag, double sheetWidth) {
        double[] a = at.inView(d.view(), d.from());
        double[] b = at.inView(d.view(), d.to());
        double out = d.outMm() >= 0 ? 1 : -1;
        double far = outPx(d);
        Ink.Pen pen = new Ink.Pen(k, d.param().isPresent() ? 0.95 : 0.55, 0);
        tag.autosize();
        double tw = tag.getWidth();
        double th = tag.getHeight();
        if (d.along()) {
            double edge = out > 0 ? Math.min(a[1], b[1]) : Math.max(a[1], b[1]);
            double y = edge - out * far;
            stroke(pen, a[0], a[1] - out * 3, a[0], y - out * 4);
            stroke(pen, b[0], b[1] - out * 3, b[0], y - out * 4);
            stroke(pen, a[0], y, b[0], y);
            arrow(pen, a[0], y, Math.signum(b[0] - a[0]), 0);
            arrow(pen, b[0], y, Math.signum(a[0] - b[0]), 0);
            tag.relocate(within((a[0] + b[0]) / 2 - tw / 2, tw, sheetWidth), y - th / 2);
        } else {
            double edge = out > 0 ? Math.max(a[0], b[0]) : Math.min(a[0], b[0]);
            double x = edge + out * far;
            stroke(pen, a[0] + out * 3, a[1], x + out * 4, a[1]);
            stroke(pen, b[0] + out * 3, b[1], x + out * 4, b[1]);
            stroke(pen, x, a[1], x, b[1]);
            arrow(pen, x, a[1], 0, Math.signum(b[1] - a[1]));
            arrow(pen, x, b[1], 0, Math.signum(a[1] - b[1]));
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

    private void arrow(Ink.Pen pen, double x, double y, double dx, double dy) {
        stroke(pen, x, y, x + dx * 6 - dy * 2.5, y + dy * 6 - dx * 2.5);
        stroke(pen, x, y, x + dx * 6 + dy * 2.5, y + dy * 6 + dx * 2.5);
    }

    private void stroke(Ink.Pen pen, double x0, double y0, double x1, double y1) {
        ink.line(x0 * k, y0 * k, x1 * k, y1 * k, pen);
    }
}
