package tinperch.desktop.temperature;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.DoubleConsumer;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import tinperch.desktop.look.InkView;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Resting;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.view.Ink;
import tinperch.trial.Channel;
import tinperch.trial.limit.LimitLine;
import tinperch.trial.tell.Happening;
import tinperch.trial.tell.Words;
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
    private static final double NAME_HEIGHT = 15;
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("EEE HH:mm:ss", Locale.ENGLISH);

    private final Theme theme;
    private final InkView lines = new InkView();
    private final Canvas words = new Canvas();
    private final Runnable moved;
    private final DoubleConsumer pointed;
    private final ChangeListener<Palette> repaint = (o, a, b) -> draw();
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
        names = names(bands);
        words();
    }

    /** A name beside the end of its curve. */
    private record Name(String text, double y, Color colour) {}

    private List<Name> names = List.of();

    /** Names of curves at their right end, none over another. */
    private List<Name> names(Map<Object, Bands> bands) {
        List<Name> list = new ArrayList<>();
        for (Curve c : curves) {
            Bands b = bands.get(c.samples());
            int i = b.size() - 1;
            while (i >= 0 && (Float.isNaN(b.low(i, c.at())) || b.firstS(i) > seen.toS())) {
                i--;
            }
            if (i >= 0) {
                double v = (b.low(i, c.at()) + b.high(i, c.at())) / 2;
                int rgb = Stroke.of(c.channel(), c.nth(), c.earlier(), theme.palette()).rgb();
                list.add(new Name((c.earlier() ? "before: " : "") + c.channel().name(), c.channel().kind() == Channel.Kind.DUTY ? scale.yDuty(v) : scale.y(v), Color.rgb(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255)));
            }
        }
        list.sort(Comparator.comparingDouble(Name::y));
        List<Name> apart = new ArrayList<>();
        double least = TOP;
        for (Name n : list) {
            double y = Math.max(least, n.y);
            apart.add(new Name(n.text, y, n.colour));
            least = y + NAME_HEIGHT;
        }
        // What was pushed out below goes back up.
        double most = getHeight() - BELOW + 4;
        for (int i = apart.size() - 1; i >= 0; i--) {
            Name n = apart.get(i);
            double y = Math.min(most, n.y);
            apart.set(i, new Name(n.text, y, n.colour));
            most = y - NAME_HEIGHT;
        }
        return apart;
    }

    private void words() {
        if (scale == null) {
            return;
        }
        Palette p = theme.palette();
        GraphicsContext g = words.getGraphicsContext2D();
        g.clearRect(0, 0, words.getWidth(), words.getHeight());
        g.setFont(Theme.font(Math.max(10, theme.typeSize() - 2)));
        g.setTextBaseline(VPos.CENTER);
        g.setFill(p.faintColour());
        g.setTextAlign(TextAlignment.RIGHT);
        scale.celsius().forEach(c -> g.fillText(Quantity.plain(c, Unit.CELSIUS), LEFT - 6, scale.y(c)));
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(curves.stream().anyMatch(c -> c.channel().isTemperature()) ? "°C" : "", 6, TOP - 12);
        if (scale.stripY() < scale.bottom()) {
            g.setTextAlign(TextAlignment.RIGHT);
            g.fillText("100 %", LEFT - 6, scale.stripY() + 4);
        }
        g.setTextAlign(TextAlignment.CENTER);
        scale.seconds().forEach(s -> g.fillText(clock(s), scale.x(s), getHeight() - BELOW / 2 + 2));
        g.setTextAlign(TextAlignment.LEFT);
        for (Name n : names) {
            g.setFill(n.colour);
            g.fillText(n.text, scale.right() + 6, n.y, RIGHT - 8);
        }
        g.setFill(Color.web(p.hot()));
        limits(g);
        happenings(g, p);
        if (!Double.isNaN(hairS)) {
            g.setStroke(p.inkColour());
            g.setLineWidth(1);
            g.strokeLine(Math.round(scale.x(hairS)) + 0.5, TOP, Math.round(scale.x(hairS)) + 0.5, scale.bottom());
            g.setFill(p.inkColour());
            boolean left = scale.x(hairS) > (scale.left() + scale.right()) / 2;
            g.setTextAlign(left ? TextAlignment.RIGHT : TextAlignment.LEFT);
            g.fillText(Words.time(hairS) + " · " + CLOCK.format(start.plusNanos((long) (hairS * 1e9))), scale.x(hairS) + (left ? -6 : 6), TOP - 10);
        }
    }

    /** What happened meanwhile, a short line each where it did; those of one place under each other. */
    private void happenings(GraphicsContext g, Palette p) {
        double lastX = Double.NEGATIVE_INFINITY;
        int row = 0;
        for (Happening h : happened) {
            double x = scale.x(h.s());
            if (h.s() < seen.fromS() || h.s() > seen.toS()) {
                continue;
            }
            row = x - lastX < 160 ? row + 1 : 0;
            lastX = x - lastX < 160 ? lastX : x;
            g.setStroke(p.accentColour());
            g.setLineWidth(1);
            g.strokeLine(Math.round(x) + 0.5, scale.bottom(), Math.round(x) + 0.5, scale.bottom() - 8);
            g.setFill(p.accentColour());
            g.fillText(h.words(), x + 4, scale.floor() - 8 - row * 13, 260);
        }
    }

    /** Names of limits on their lines, beside each other where lines lie close. */
    private void limits(GraphicsContext g) {
        List<LimitLine> lines = curves.stream().filter(c -> !c.earlier()).flatMap(c -> c.limits().stream()).distinct().filter(l -> l.tempC() <= scale.highC() && l.tempC() >= scale.lowC())
                .sorted(Comparator.comparingDouble(LimitLine::tempC)).toList();
        double lastY = Double.POSITIVE_INFINITY;
        int column = 0;
        for (LimitLine l : lines) {
            double y = scale.y(l.tempC());
            column = lastY - y < NAME_HEIGHT ? column + 1 : 0;
            lastY = y;
            g.fillText(l.name() + ": " + Words.celsius(l.tempC()), scale.left() + 6 + column * 240, y - 8, 232);
        }
    }

    /** "1:30 h", "12:05". */
    private static String clock(double s) {
        long whole = Math.round(s);
        return whole % 60 == 0 ? String.format(Locale.ROOT, "%d:%02d h", whole / 3600, whole / 60 % 60) : String.format(Locale.ROOT, "%d:%02d:%02d", whole / 3600, whole / 60 % 60, whole % 60);
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
