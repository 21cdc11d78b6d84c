package tinperch.desktop.station;

import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;
import tinperch.check.BedFitCheck;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.machine.Machine;
import tinperch.quantity.Quantity;
import tinperch.solid.Vec3;

/** The usable bed of the chosen machine to scale, with the part's footprint turned the way it fits best. */
final class BedPlan extends Region {
    private static final double SIZE = 168;
    private final Canvas canvas = new Canvas(SIZE + 60, SIZE);
    private final Theme theme;
    private final ChangeListener<Palette> repaint = (o, a, b) -> draw();
    private Optional<Machine> host = Optional.empty();
    private Vec3 size = Vec3.ZERO;

    BedPlan(Theme theme) {
        this.theme = theme;
        getChildren().add(canvas);
        setMinSize(SIZE + 60, SIZE);
        setPrefSize(SIZE + 60, SIZE);
        theme.paletteProperty().addListener(new javafx.beans.value.WeakChangeListener<>(repaint));
    }

    void show(Optional<Machine> machine, Vec3 partSize) {
        host = machine;
        size = partSize;
        draw();
    }

    private void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        if (host.isEmpty() || !host.get().prints() || host.get().usableMm().x() <= 0) {
            return;
        }
        Palette p = theme.palette();
        Machine m = host.get();
        double k = (SIZE - 24) / Math.max(m.usableMm().x(), m.usableMm().y());
        double w = k * m.usableMm().x();
        double h = k * m.usableMm().y();
        double cx = 30 + SIZE / 2;
        double cy = SIZE / 2 - 8;
        g.setStroke(p.inkColour());
        g.setLineWidth(1.2);
        g.strokeRect(cx - w / 2, cy - h / 2, w, h);
        double turn = Math.toRadians(BedFitCheck.bestTurnDeg(m, size));
        double[] xs = new double[4];
        double[] ys = new double[4];
        for (int i = 0; i < 4; i++) {
            double x = (i == 0 || i == 3 ? -1 : 1) * size.x() / 2;
            double y = (i < 2 ? -1 : 1) * size.y() / 2;
            xs[i] = cx + k * (x * Math.cos(turn) - y * Math.sin(turn));
            ys[i] = cy - k * (x * Math.sin(turn) + y * Math.cos(turn));
        }
        g.setFill(p.tintColour());
        g.fillPolygon(xs, ys, 4);
        g.setStroke(p.accentColour());
        g.strokePolygon(xs, ys, 4);
        g.setFill(p.faintColour());
        g.setFont(Theme.font(theme.typeSize() - 2));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.fillText(m.name() + ", usable " + Quantity.fixed(m.usableMm().x(), 0) + " × " + Quantity.mm(m.usableMm().y()), cx,
                cy + h / 2 + 11, SIZE + 60);
    }
}
