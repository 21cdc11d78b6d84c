package tinperch.desktop.station;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import tinperch.desktop.look.Drawing;
import tinperch.desktop.look.HeatColours;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;

/** What the colours of heat or of a load mean: from the least to the most, with the limit between. */
final class ColourLegend extends Drawing {
    private static final double BAR_PX = 12;
    private static final double NARROW_PX = 150;

    private double least;
    private double limit;
    private double most;
    private double here = Double.NaN;

    private Words words = new Words("", "", "");

    /** What is written at the ends and at the limit. */
    record Words(String least, String limit, String most) {}

    ColourLegend(Theme theme, String id) {
        super(theme);
        Ui.id(this, id);
        setMinSize(200, 44);
        setPrefSize(300, 44);
    }

    void show(double from, double stands, double to, Words said) {
        least = from;
        limit = stands;
        most = to;
        words = said;
        here = Double.NaN;
        setAccessibleText(said.least() + ", " + said.limit() + ", " + said.most());
        draw();
    }

    /** Marks one value. */
    void mark(double value) {
        here = value;
        draw();
    }

    @Override
    protected void paint(GraphicsContext g, Palette p, double w, double h) {
        double top = Math.max(limit, most) + 5;
        if (!(top > least) || limit <= 0) {
            return;
        }
        for (int x = 0; x < w; x++) {
            int rgb = HeatColours.at(least + (top - least) * x / w, least, limit, p);
            g.setFill(Color.rgb(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255));
            g.fillRect(x, h - BAR_PX, 1, BAR_PX);
        }
        g.setStroke(p.inkColour());
        g.setFill(p.inkColour());
        g.setLineWidth(1.4);
        g.setTextBaseline(VPos.BOTTOM);
        g.setFont(Theme.font(theme().typeSize() - 2));
        // The most matters more than where the bar begins.
        word(g, w, h, top, least, (most - least) / (top - least) * w > NARROW_PX ? words.least() : "", 0);
        word(g, w, h, top, limit, words.limit(), 14);
        word(g, w, h, top, most, words.most(), 0);
        if (Double.isFinite(here)) {
            double x = (here - least) / (top - least) * w;
            g.fillPolygon(new double[] {x - 5, x + 5, x}, new double[] {h - BAR_PX - 7, h - BAR_PX - 7, h - BAR_PX}, 3);
        }
    }

    private void word(GraphicsContext g, double w, double h, double top, double c, String text, double up) {
        double x = (c - least) / (top - least) * w;
        g.strokeLine(x, h - BAR_PX - 3 - up, x, h);
        g.setTextAlign(x < 70 ? TextAlignment.LEFT : x > w - 70 ? TextAlignment.RIGHT : TextAlignment.CENTER);
        g.fillText(text, x, h - BAR_PX - 4 - up);
    }
}
