package tinperch.desktop.reading;

import javafx.scene.canvas.GraphicsContext;
import tinperch.desktop.look.Drawing;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.measure.sheet.SheetCell;
import tinperch.measure.sheet.SheetKind;
import tinperch.measure.sheet.Stroke;

/** The picture of a kind of sheet; the cell with the focus shows where the jaws go. */
final class SheetPicture extends Drawing {
    private final SheetKind kind;
    private SheetCell pointed;

    SheetPicture(Theme theme, SheetKind kind) {
        super(theme);
        this.kind = kind;
    }

    void point(SheetCell cell) {
        pointed = cell;
        draw();
    }

    @Override
    protected void paint(GraphicsContext g, Palette p, double w, double h) {
        double k = Math.min(w / 100, h / 70);
        if (k < 0.2) {
            return;
        }
        double ox = (w - 100 * k) / 2;
        double oy = (h - 70 * k) / 2;
        g.setStroke(p.inkColour());
        g.setLineWidth(k > 1.5 ? 1.5 : 1);
        for (Stroke s : kind.picture()) {
            g.setLineDashes(s.form() == Stroke.Form.DASH ? new double[] {4, 4} : null);
            switch (s.form()) {
                case BOX -> g.strokeRect(ox + k * s.a(), oy + k * s.b(), k * s.c(), k * s.d());
                case RING -> g.strokeOval(ox + k * (s.a() - s.c()), oy + k * (s.b() - s.c()), 2 * k * s.c(), 2 * k * s.c());
                default -> g.strokeLine(ox + k * s.a(), oy + k * s.b(), ox + k * s.c(), oy + k * s.d());
            }
        }
        g.setLineDashes();
        if (pointed != null) {
            jaws(g, p, k, ox, oy);
        }
    }

    /** Two strokes across the way between the places to touch, and that way itself. */
    private void jaws(GraphicsContext g, Palette p, double k, double ox, double oy) {
        double x1 = ox + k * pointed.x1();
        double y1 = oy + k * pointed.y1();
        double x2 = ox + k * pointed.x2();
        double y2 = oy + k * pointed.y2();
        double len = Math.hypot(x2 - x1, y2 - y1);
        double ux = (x2 - x1) / len;
        double uy = (y2 - y1) / len;
        double a = 4 * k;
        g.setStroke(p.accentColour());
        g.setLineWidth(2);
        g.strokeLine(x1, y1, x2, y2);
        g.setLineWidth(4);
        g.strokeLine(x1 - uy * a, y1 + ux * a, x1 + uy * a, y1 - ux * a);
        g.strokeLine(x2 - uy * a, y2 + ux * a, x2 + uy * a, y2 - ux * a);
    }
}
