package tinperch.desktop.margins;

import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;
import tinperch.check.Margin;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.quantity.Quantity;

/**
 * A ruler with the limit and the value marked on it and the spare written out. The allowed side carries a solid line, the
 * other a dashed one; a spare is a bar, what is missing a row of strokes. A hollow mark shows where a remedy would put the
 * value.
 */
final class MarginBar extends Region {
    private static final double HEIGHT = 48;
    private final Canvas canvas = new Canvas();
    private final Theme theme;
    private Margin margin;
    private Margin previewed;

    MarginBar(Theme theme, Margin margin) {
        this.theme = theme;
        this.margin = margin;
        canvas.setManaged(false);
        getChildren().add(canvas);
        setPrefSize(230, HEIGHT);
        setMinSize(150, HEIGHT);
        setAccessibleText(margin.sayMissing() + ", limit " + Quantity.show(margin.limit(), margin.unit()));
    }

    /** Shows another margin of the same finding. */
    void show(Margin next) {
        margin = next;
        setAccessibleText(margin.sayMissing() + ", limit " + Quantity.show(margin.limit(), margin.unit()));
        draw();
    }

    void preview(Margin next) {
        previewed = next;
        draw();
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(HEIGHT);
        draw();
    }

    private void draw() {
        Palette p = theme.palette();
        GraphicsContext g = canvas.getGraphicsContext2D();
        double w = canvas.getWidth();
        g.clearRect(0, 0, w, HEIGHT);
        double reach = Math.max(Math.abs(margin.spare()), Math.max(0.08 * Math.abs(margin.limit()), 0.5)) * 1.25;
        if (previewed != null) {
            reach = Math.max(reach, Math.abs(previewed.value() - margin.limit()) * 1.25);
        }
        double mid = w / 2;
        double per = (w / 2 - 8) / reach;
        double y = 26;
        boolean right = margin.above();
        g.setLineWidth(1);
        g.setStroke(p.faintColour());
        g.setLineDashes();
        g.strokeLine(right ? mid : 4, y + 0.5, right ? w - 4 : mid, y + 0.5);
        g.setLineDashes(2, 3);
        g.strokeLine(right ? 4 : mid, y + 0.5, right ? mid : w - 4, y + 0.5);
        g.setLineDashes();
        double v = mid + (margin.value() - margin.limit()) * per;
        boolean ok = margin.spare() >= -1e-9;
        if (ok) {
            g.setFill(p.accentColour());
            g.fillRect(Math.min(mid, v), y - 2, Math.abs(v - mid), 5);
        } else {
            g.setStroke(p.inkColour());
            g.setLineWidth(1.5);
            for (double x = Math.min(mid, v) + 2; x < Math.max(mid, v); x += 5) {
                g.strokeLine(x, y + 4, Math.min(x + 4, Math.max(mid, v)), y - 3);
            }
        }
        g.setStroke(p.inkColour());
        g.setLineWidth(2);
        g.strokeLine(mid, y - 9, mid, y + 7);
        mark(g, v, y, ok ? p.accentColour() : p.inkColour(), false);
        if (previewed != null) {
            mark(g, mid + (previewed.value() - margin.limit()) * per, y, p.accentColour(), true);
        }
        g.setFont(Theme.font(theme.typeSize() - 2));
        g.setTextBaseline(VPos.CENTER);
        g.setFill(p.faintColour());
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText("limit " + Quantity.show(margin.limit(), margin.unit()), mid, 41);
        g.setFill(p.inkColour());
        g.setFont(Theme.font(theme.typeSize() - 1));
        Margin said = previewed == null ? margin : previewed;
        g.fillText((previewed == null ? "" : "→ ") + said.sayMissing(), mid, 8);
    }

    private static void mark(GraphicsContext g, double x, double y, javafx.scene.paint.Color c, boolean hollow) {
        double[] xs = {x, x - 5, x + 5};
        double[] ys = {y - 1, y - 9, y - 9};
        if (hollow) {
            g.setStroke(c);
            g.setLineWidth(1.5);
            g.strokePolygon(xs, ys, 3);
        } else {
            g.setFill(c);
            g.fillPolygon(xs, ys, 3);
        }
    }
}
