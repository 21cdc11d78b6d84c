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

/** What the colours of heat mean: from the room to the hottest place, with the material's limit between. */
final class HeatLegend extends Drawing {
    private static final double BAR_PX = 12;

    private double roomC;
    private double limitC;
    private double hottestC;
    private double hereC = Double.NaN;

    HeatLegend(Theme theme) {
        super(theme);
        Ui.id(this, "heat-legend");
        setMinSize(200, 44);
        setPrefSize(300, 44);
    }

    void show(double room, double limit, double hottest) {
        roomC = room;
        limitC = limit;
        hottestC = hottest;
        hereC = Double.NaN;
        setAccessibleText("Room " + Math.round(room) + " °C, limit " + Math.round(limit) + " °C, hottest " + Math.round(hottest) + " °C");
        draw();
    }

    /** Marks one temperature. */
    void mark(double tempC) {
        hereC = tempC;
        draw();
    }

    @Override
    protected void paint(GraphicsContext g, Palette p, double w, double h) {
        double top = Math.max(limitC, hottestC) + 5;
        if (!(top > roomC) || limitC <= 0) {
            return;
        }
        for (int x = 0; x < w; x++) {
            int rgb = HeatColours.at(roomC + (top - roomC) * x / w, roomC, limitC, p);
            g.setFill(Color.rgb(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255));
            g.fillRect(x, h - BAR_PX, 1, BAR_PX);
        }
        g.setStroke(p.inkColour());
        g.setFill(p.inkColour());
        g.setLineWidth(1.4);
        g.setTextBaseline(VPos.BOTTOM);
        g.setFont(Theme.font(theme().typeSize() - 2));
        word(g, w, h, top, roomC, Math.round(roomC) + " °C around", 0);
        word(g, w, h, top, limitC, "stands " + Math.round(limitC), 14);
        word(g, w, h, top, hottestC, Math.round(hottestC) + " hottest", 0);
        if (Double.isFinite(hereC)) {
            double x = (hereC - roomC) / (top - roomC) * w;
            g.fillPolygon(new double[] {x - 5, x + 5, x}, new double[] {h - BAR_PX - 7, h - BAR_PX - 7, h - BAR_PX}, 3);
        }
    }

    private void word(GraphicsContext g, double w, double h, double top, double c, String text, double up) {
        double x = (c - roomC) / (top - roomC) * w;
        g.strokeLine(x, h - BAR_PX - 3 - up, x, h);
        g.setTextAlign(x < 70 ? TextAlignment.LEFT : x > w - 70 ? TextAlignment.RIGHT : TextAlignment.CENTER);
        g.fillText(text, x, h - BAR_PX - 4 - up);
    }
}
