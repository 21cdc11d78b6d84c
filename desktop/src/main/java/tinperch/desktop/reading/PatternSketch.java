package tinperch.desktop.reading;

import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import tinperch.desktop.look.Drawing;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.measure.HolePair;
import tinperch.measure.Jaw;
import tinperch.measure.MeasuredPattern;
import tinperch.measure.PatternSheet;
import tinperch.quantity.Quantity;

/** The four holes as measured so far, with the derived distances; shows where to put the jaws for the cell with the focus. */
final class PatternSketch extends Drawing {
    private PatternSheet sheet = PatternSheet.empty("");
    private Optional<MeasuredPattern> measured = Optional.empty();
    private HolePair pointed;
    private Jaw jaw = Jaw.OUTSIDE;
    private List<double[]> against = List.of();

    PatternSketch(Theme theme) {
        super(theme);
        setPrefSize(200, 230);
        setMinSize(180, 120);
    }

    void show(PatternSheet next, Optional<MeasuredPattern> pattern) {
        sheet = next;
        measured = pattern;
        draw();
    }

    /** Draws other holes over the measured ones; they are where the best fit puts them. */
    void compare(List<double[]> centres) {
        against = centres;
        draw();
    }

    void point(HolePair pair, Jaw which) {
        pointed = pair;
        jaw = which;
        draw();
    }

    private double hx(int i) {
        return measured.map(m -> m.xMm(i)).orElse(i == 1 || i == 2 ? 60.0 : 0.0);
    }

    private double hy(int i) {
        return measured.map(m -> m.yMm(i)).orElse(i >= 2 ? 45.0 : 0.0);
    }

    @Override
    protected void paint(GraphicsContext g, Palette p, double w, double h) {
        if (w < 50 || h < 50) {
            return;
        }
        double minX = 1e9;
        double maxX = -1e9;
        double minY = 1e9;
        double maxY = -1e9;
        for (int i = 0; i < 4; i++) {
            minX = Math.min(minX, hx(i));
            maxX = Math.max(maxX, hx(i));
            minY = Math.min(minY, hy(i));
            maxY = Math.max(maxY, hy(i));
        }
        for (double[] c : against) {
            minX = Math.min(minX, c[0]);
            maxX = Math.max(maxX, c[0]);
            minY = Math.min(minY, c[1]);
            maxY = Math.max(maxY, c[1]);
        }
        double k = Math.min((w - 116) / Math.max(1, maxX - minX), (h - 84) / Math.max(1, maxY - minY));
        double ox = w / 2 - k * (minX + maxX) / 2;
        double oy = h / 2 + k * (minY + maxY) / 2;
        double r = Math.max(7, Math.min(16, measured.map(m -> m.diameterMm() * k / 2).orElse(9.0)));
        double[] x = new double[4];
        double[] y = new double[4];
        for (int i = 0; i < 4; i++) {
            x[i] = ox + k * hx(i);
            y[i] = oy - k * hy(i);
        }
        g.setFont(Theme.font(theme().typeSize()));
        for (HolePair pair : HolePair.values()) {
            boolean known = sheet.derived(pair).isPresent();
            boolean here = pair == pointed;
            g.setStroke(here ? p.accentColour() : known ? p.faintColour() : p.lineColour());
            g.setLineWidth(here ? 2 : 1);
            if (known) {
                g.setLineDashes();
            } else {
                g.setLineDashes(3, 4);
            }
            line(g, x, y, pair, r);
            g.setLineDashes();
            if (known) {
                label(g, p, x, y, pair, Quantity.fixed(sheet.derived(pair).get().centreMm(), 2), here);
            }
        }
        for (int i = 0; i < 4; i++) {
            g.setFill(p.sheetColour());
            g.fillOval(x[i] - r, y[i] - r, 2 * r, 2 * r);
            g.setStroke(p.inkColour());
            g.setLineWidth(1.5);
            g.strokeOval(x[i] - r, y[i] - r, 2 * r, 2 * r);
            g.setFill(p.inkColour());
            g.setTextAlign(TextAlignment.CENTER);
            g.setTextBaseline(VPos.CENTER);
            double side = i == 0 || i == 3 ? -1 : 1;
            double up = i < 2 ? 1 : -1;
            g.fillText(String.valueOf((char) ('A' + i)), x[i] + side * (r + 9), y[i] + up * (r + 5));
        }
        g.setStroke(p.accentColour());
        g.setLineWidth(1.5);
        g.setLineDashes(4, 3);
        for (double[] c : against) {
            g.strokeOval(ox + k * c[0] - r, oy - k * c[1] - r, 2 * r, 2 * r);
        }
        g.setLineDashes();
        if (pointed != null) {
            jaws(g, p, x, y, r);
        }
    }

    private static void line(GraphicsContext g, double[] x, double[] y, HolePair pair, double r) {
        int a = pair.first();
        int b = pair.second();
        double len = Math.hypot(x[b] - x[a], y[b] - y[a]);
        double ux = (x[b] - x[a]) / len * r;
        double uy = (y[b] - y[a]) / len * r;
        g.strokeLine(x[a] + ux, y[a] + uy, x[b] - ux, y[b] - uy);
    }

    private static void label(GraphicsContext g, Palette p, double[] x, double[] y, HolePair pair, String text, boolean here) {
        // Diagonals cross in the middle; their numbers stand a third of the way along.
        double t = pair == HolePair.AC ? 0.68 : pair == HolePair.BD ? 0.68 : 0.5;
        double mx = x[pair.first()] + t * (x[pair.second()] - x[pair.first()]);
        double my = y[pair.first()] + t * (y[pair.second()] - y[pair.first()]);
        switch (pair) {
            case AB -> my += 15;
            case DC -> my -= 15;
            case AD -> mx -= 30;
            case BC -> mx += 30;
            default -> { }
        }
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.setFill(p.sheetColour());
        g.fillRect(mx - 20, my - 8, 40, 16);
        g.setFill(here ? p.accentColour() : p.inkColour());
        g.fillText(text, mx, my);
    }

    /** The two places the calipers should touch, as short strokes across the line. */
    private void jaws(GraphicsContext g, Palette p, double[] x, double[] y, double r) {
        int a = pointed.first();
        int b = pointed.second();
        double len = Math.hypot(x[b] - x[a], y[b] - y[a]);
        double ux = (x[b] - x[a]) / len;
        double uy = (y[b] - y[a]) / len;
        double s = jaw == Jaw.OUTSIDE ? -r : jaw == Jaw.INSIDE ? r : 0;
        g.setStroke(p.accentColour());
        g.setLineWidth(4);
        for (double[] at : new double[][] {{x[a] + ux * s, y[a] + uy * s}, {x[b] - ux * s, y[b] - uy * s}}) {
            g.strokeLine(at[0] - uy * (r + 3), at[1] + ux * (r + 3), at[0] + uy * (r + 3), at[1] - ux * (r + 3));
        }
    }
}
