package tinperch.desktop.temperature;

import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleConsumer;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import tinperch.desktop.look.InkView;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Resting;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.solid.view.Ink;
import tinperch.trial.tell.Happening;
import tinperch.workshop.log.Bands;

/**
 * Channels over time: drag to move along, turn the wheel to look closer, or with the keyboard: arrows move the hair line, with Control what is seen, + and −
 * look closer and farther, Home shows all.
 */
final class TimePlot extends Region implements Resting {
    private static final double LEFT = 46;
    private static final double RIGHT = 150;
    private static final double TOP = 22;
    private static final double BELOW = 24;

    private final Theme theme;
    private final InkView lines = new InkView();
    private final Canvas words = new Canvas();
    private final Runnable moved;
    private final DoubleConsumer pointed;
    private final ChangeListener<Palette> repaint = (o, a, b) -> draw();
    private List<PlotWords.Name> names = List.of();
    private List<Curve> curves = List.of();
    private LocalDateTime start = LocalDateTime.of(2000, 1, 1, 0, 0);
    private List<Happening> happened = List.of();
    private String shown = "";
    private Stretch all = new Stretch(0, 60);
    private Stretch seen = all;
    private double hairS = Double.NaN;
    private Scale scale;
    private double dragX;

    /**
     * @param moved told that another stretch is seen
     * @param pointed told the time of the hair line, NaN when there is none
     */
    TimePlot(Theme theme, Runnable moved, DoubleConsumer pointed) {
        this.theme = theme;
        this.moved = moved;
        this.pointed = pointed;
        Ui.id(this, "time-plot");
        getStyleClass().add("time-plot");
        words.setManaged(false);
        words.setMouseTransparent(true);
        getChildren().addAll(lines, words);
        setMinSize(200, 160);
        setFocusTraversable(true);
        setAccessibleText("Temperatures over time");
        theme.paletteProperty().addListener(new WeakChangeListener<>(repaint));
        setOnMousePressed(e -> {
            requestFocus();
            dragX = e.getX();
            if (e.getClickCount() == 2) {
                see(all);
            }
        });
        setOnMouseDragged(this::drag);
        setOnMouseMoved(e -> point(scale == null ? Double.NaN : scale.s(e.getX())));
        setOnMouseExited(e -> point(Double.NaN));
        setOnScroll(e -> {
            if (scale != null && e.getDeltaY() != 0) {
                see(seen.zoomed(e.getDeltaY() > 0 ? 0.8 : 1.25, scale.s(Math.max(scale.left(), Math.min(scale.right(), e.getX()))), all));
                e.consume();
            }
        });
        setOnKeyPressed(this::key);
    }

    private void drag(MouseEvent e) {
        if (scale != null) {
            double by = (dragX - e.getX()) / (scale.right() - scale.left()) * seen.lengthS();
            dragX = e.getX();
            see(seen.moved(by, all));
        }
    }

    private void key(KeyEvent e) {
        double at = Double.isNaN(hairS) ? (seen.fromS() + seen.toS()) / 2 : hairS;
        double pixel = seen.lengthS() / Math.max(1, getWidth() - LEFT - RIGHT);
        int way = e.getCode() == KeyCode.LEFT ? -1 : e.getCode() == KeyCode.RIGHT ? 1 : 0;
        if (way != 0 && e.isShortcutDown()) {
            see(seen.moved(way * seen.lengthS() / 5, all));
        } else if (way != 0) {
            double to = Math.max(all.fromS(), Math.min(all.toS(), at + way * pixel * (e.isShiftDown() ? 40 : 2)));
            if (to < seen.fromS() || to > seen.toS()) {
                see(seen.moved(to < seen.fromS() ? to - seen.fromS() : to - seen.toS(), all));
            }
            point(to);
        } else if (e.getCode() == KeyCode.PLUS || e.getCode() == KeyCode.ADD || e.getCode() == KeyCode.EQUALS) {
            see(seen.zoomed(0.5, at, all));
        } else if (e.getCode() == KeyCode.MINUS || e.getCode() == KeyCode.SUBTRACT) {
            see(seen.zoomed(2, at, all));
        } else if (e.getCode() == KeyCode.HOME) {
            see(all);
        } else {
            return;
        }
        e.consume();
    }

    private void point(double s) {
        hairS = s >= seen.fromS() && s <= seen.toS() ? s : Double.NaN;
        words();
        pointed.accept(hairS);
    }

    /** @param id of what is shown: the stretch that is seen stays as long as that is the same */
    void show(String id, List<Curve> next, LocalDateTime began, Stretch whole, List<Happening> events) {
        happened = events;
        curves = next;
        start = began;
        if (!whole.equals(all)) {
            // Of one that grows what is seen stays, unless that was all of it.
            boolean follows = seen.equals(all) || !id.equals(shown);
            all = whole;
            seen = follows ? whole : seen;
            hairS = follows ? Double.NaN : hairS;
        }
        shown = id;
        draw();
    }

    Stretch seen() {
        return seen;
    }

    void see(Stretch next) {
        if (!next.equals(seen)) {
            seen = next;
            draw();
            moved.run();
        }
    }

    private void draw() {
        double w = getWidth();
        double h = getHeight();
        if (w < 1 || h < 1 || getScene() == null) {
            return;
        }
        Map<Object, Bands> bands = new HashMap<>();
        for (Curve c : curves) {
            bands.computeIfAbsent(c.samples(), r -> c.samples().bands(seen.fromS(), seen.toS(), (int) (w - LEFT - RIGHT)));
        }
        scale = Scale.of(seen, curves, bands, LEFT, w - RIGHT, TOP, h - BELOW);
        Ink ink = lines.begin(w, h);
        new CurvePainter(ink, lines.pxPerUnit(), theme.palette(), scale).draw(curves, bands);
        lines.end();
        getProperties().put("drawn", curves.size());
        names = PlotWords.names(curves, bands, theme.palette(), scale, h - BELOW + 4);
        words();
    }

    private void words() {
        if (scale == null) {
            return;
        }
        GraphicsContext g = words.getGraphicsContext2D();
        g.clearRect(0, 0, words.getWidth(), words.getHeight());
        PlotWords w = new PlotWords(g, theme, scale, getHeight());
        w.axes(curves);
        w.names(names, RIGHT - 8);
        w.limits(curves);
        w.happenings(happened);
        if (!Double.isNaN(hairS)) {
            w.hair(hairS, start);
        }
    }

    @Override
    public void rest() {
        lines.rest();
        words.setWidth(0);
        words.setHeight(0);
    }

    @Override
    public void wake() {
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        words.setWidth(getWidth());
        words.setHeight(getHeight());
        draw();
    }
}
