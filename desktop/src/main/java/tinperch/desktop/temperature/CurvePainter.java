package tinperch.desktop.temperature;

import java.util.List;
import java.util.Map;
import tinperch.desktop.look.Palette;
import tinperch.solid.view.Ink;
import tinperch.trial.Channel;
import tinperch.trial.limit.LimitLine;
import tinperch.workshop.log.Bands;

/** Draws curves, what of them lies above a limit, and the lines behind them. */
final class CurvePainter {
    /** A join this narrow and this high is drawn as a box. */
    private static final double UPRIGHT_PX = 1.6;
    private static final double STEEP_PX = 3;

    private final Ink ink;
    private final double k;
    private final Palette p;
    private final Scale scale;
    private double run;

    /** @param k pixels for one of the window's units */
    CurvePainter(Ink ink, double k, Palette p, Scale scale) {
        this.ink = ink;
        this.k = k;
        this.p = p;
        this.scale = scale;
    }

    void draw(List<Curve> curves, Map<Object, Bands> bands) {
        Ink.Pen thin = new Ink.Pen(k, 1, 0);
        scale.celsius().forEach(c -> line(scale.left(), scale.y(c), scale.right(), scale.y(c), thin));
        scale.seconds().forEach(s -> line(scale.x(s), scale.top(), scale.x(s), scale.bottom(), thin));
        if (scale.stripY() < scale.bottom()) {
            line(scale.left(), scale.stripY(), scale.right(), scale.stripY(), thin);
        }
        ink.layer(Palette.rgb(p.line()));
        ink.clip(scale.left() * k, (scale.top() - 2) * k, scale.right() * k, (scale.bottom() + 2) * k);
        for (Curve c : curves) {
            Stroke stroke = Stroke.of(c.channel(), c.nth(), c.earlier(), p);
            if (c.channel().isTemperature() && !c.limits().isEmpty() && !c.earlier()) {
                above(bands.get(c.samples()), c, c.limits().get(0).tempC());
                ink.layer(Palette.rgb(p.hot()));
                for (LimitLine l : c.limits()) {
                    line(scale.left(), scale.y(l.tempC()), scale.right(), scale.y(l.tempC()), new Ink.Pen(1.2 * k, 1, 6 * k));
                }
                ink.layer(Palette.rgb(p.hot()));
            }
            curve(bands.get(c.samples()), c, new Ink.Pen(stroke.width() * k, 1, stroke.dash() * k));
            ink.layer(stroke.rgb());
        }
    }

    private void line(double x0, double y0, double x1, double y1, Ink.Pen pen) {
        ink.line(x0 * k, y0 * k, x1 * k, y1 * k, pen);
    }

    private double y(Curve c, double v) {
        return c.channel().kind() == Channel.Kind.DUTY ? scale.yDuty(v) : scale.y(v);
    }

    /** Stretches that fall on the same pixel are one upright line; the middles of neighbours are joined unless there is a gap between. */
    private void curve(Bands b, Curve c, Ink.Pen pen) {
        double gap = c.gapS();
        double beforeX = Double.NaN;
        double beforeY = 0;
        double beforeS = 0;
        double dash = pen.dashPx() / k;
        // Dashes run on along the curve, however short its pieces are.
        Ink.Pen drawn = new Ink.Pen(pen.widthPx(), pen.alpha(), 0);
        for (int i = 0; i < b.size();) {
            float low = b.low(i, c.at());
            float high = b.high(i, c.at());
            double x = scale.x((b.firstS(i) + b.lastS(i)) / 2);
            double from = b.firstS(i);
            double last = b.lastS(i);
            int j = i + 1;
            // With dashes uprights would fill the gaps between them.
            while (j < b.size() && scale.x((b.firstS(j) + b.lastS(j)) / 2) - x < (dash > 0 ? 2 : 1) / k && b.firstS(j) - last <= gap) {
                low = b.low(j, c.at()) < low || Float.isNaN(low) ? b.low(j, c.at()) : low;
                high = b.high(j, c.at()) > high || Float.isNaN(high) ? b.high(j, c.at()) : high;
                last = b.lastS(j);
                j++;
            }
            i = j;
            if (Float.isNaN(low)) {
                beforeX = Double.NaN;
                continue;
            }
            double y = y(c, (low + high) / 2);
            double top = y(c, high);
            double bottom = y(c, low);
            boolean goesOn = !Double.isNaN(beforeX) && from - beforeS <= gap;
            if (goesOn && dash == 0 && (x - beforeX) * k < UPRIGHT_PX && Math.abs(y - beforeY) * k > STEEP_PX) {
                // Nearly upright, it is a box too: from where the one before stopped.
                top = Math.min(top, beforeY);
                bottom = Math.max(bottom, beforeY);
            } else if (goesOn) {
                joined(beforeX, beforeY, x, y, drawn, dash);
            }
            if (dash == 0 && bottom - top > 0.5) {
                // A box is drawn in a tenth of a line's time.
                ink.fill(x * k - pen.widthPx() / 2, top * k, pen.widthPx(), (bottom - top) * k, 1);
            }
            beforeX = x;
            beforeY = y;
            beforeS = last;
        }
    }

    private void joined(double x0, double y0, double x1, double y1, Ink.Pen pen, double dash) {
        if (dash == 0) {
            line(x0, y0, x1, y1, pen);
            return;
        }
        double length = Math.hypot(x1 - x0, y1 - y0);
        for (double at = 0; at < length;) {
            double in = run % (2 * dash);
            double next = Math.min(length, at + (in < dash ? dash - in : 2 * dash - in) + 1e-6);
            if (in < dash) {
                line(x0 + (x1 - x0) * at / length, y0 + (y1 - y0) * at / length, x0 + (x1 - x0) * next / length, y0 + (y1 - y0) * next / length, pen);
            }
            run += next - at;
            at = next;
        }
    }

    private void above(Bands b, Curve c, double limitC) {
        double y0 = scale.y(limitC);
        for (int i = 0; i < b.size(); i++) {
            if (b.high(i, c.at()) > limitC) {
                double from = scale.x(b.firstS(i));
                double to = i + 1 < b.size() && b.firstS(i + 1) - b.lastS(i) <= c.gapS() ? scale.x(b.firstS(i + 1)) : scale.x(b.lastS(i));
                double y = scale.y(b.high(i, c.at()));
                ink.fill(from * k, y * k, Math.max(1, (to - from) * k), (y0 - y) * k, 0.2);
            }
        }
    }
}
