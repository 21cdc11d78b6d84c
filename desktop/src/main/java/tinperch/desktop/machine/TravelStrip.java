package tinperch.desktop.machine;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleConsumer;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import tinperch.desktop.look.Drawing;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Axis;
import tinperch.quantity.Quantity;

/** One axis' travel as a strip: how small the gaps get along it; drag along it, or use the arrow keys, to move the machine. */
final class TravelStrip extends Drawing {
    private static final double HEIGHT = 30;
    /** Gaps larger than this look alike. */
    private static final double ROOM_MM = 40;

    private final DoubleConsumer moved;
    private Axis axis;
    private double at;
    private List<OptionalDouble> gaps = List.of();

    /** @param moved told the new position, mm */
    TravelStrip(Theme theme, Axis axis, DoubleConsumer moved) {
        super(theme);
        this.axis = axis;
        this.moved = moved;
        Ui.id(this, "travel-" + axis.name());
        getStyleClass().add("travel-strip");
        setFocusTraversable(true);
        setMinSize(80, HEIGHT);
        setPrefHeight(HEIGHT);
        Ui.tip(this, "Drag to move " + axis.name() + "; the height shows the smallest gap at each place, hatched where things "
                + "run into one another");
        setAccessibleText("Travel of " + axis.name());
        setOnMousePressed(e -> {
            requestFocus();
            go(e.getX());
        });
        setOnMouseDragged(e -> go(e.getX()));
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
                double step = (e.isShiftDown() ? 0.1 : 0.02) * (this.axis.toMm() - this.axis.fromMm());
                moved.accept(this.axis.within(at + (e.getCode() == KeyCode.LEFT ? -step : step)));
                e.consume();
            } else if (e.getCode() == KeyCode.HOME || e.getCode() == KeyCode.END) {
                moved.accept(e.getCode() == KeyCode.HOME ? this.axis.fromMm() : this.axis.toMm());
                e.consume();
            }
        });
    }

    private void go(double x) {
        double f = Math.max(0, Math.min(1, x / Math.max(1, getWidth())));
        moved.accept(axis.fromMm() + f * (axis.toMm() - axis.fromMm()));
    }

    void show(Axis now, double position, List<OptionalDouble> gapsMm) {
        axis = now;
        at = position;
        gaps = gapsMm;
        draw();
    }

    @Override
    protected void paint(GraphicsContext g, Palette p, double w, double h) {
        g.setFill(p.tintColour());
        g.fillRect(0, h - 2, w, 2);
        int n = gaps.size();
        for (int i = 0; i < n; i++) {
            if (gaps.get(i).isEmpty()) {
                continue;
            }
            double gap = gaps.get(i).getAsDouble();
            double x0 = w * i / n;
            double x1 = w * (i + 1) / n;
            if (gap <= 0) {
                g.setStroke(p.inkColour());
                g.setLineWidth(1.2);
                for (double x = x0; x < x1; x += 4) {
                    g.strokeLine(x, h, Math.min(x + 6, x1), h - 12);
                }
            } else {
                double bar = (h - 6) * Math.min(1, gap / ROOM_MM);
                g.setFill(Color.web(p.accent(), 0.35));
                g.fillRect(x0, h - bar, x1 - x0 + 0.5, bar);
            }
        }
        double x = w * (at - axis.fromMm()) / Math.max(1e-9, axis.toMm() - axis.fromMm());
        g.setStroke(p.inkColour());
        g.setLineWidth(2);
        g.strokeLine(x, 0, x, h);
        setAccessibleHelp(Quantity.mm(at));
    }
}
