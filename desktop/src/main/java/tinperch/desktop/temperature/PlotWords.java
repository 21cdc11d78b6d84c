package tinperch.desktop.temperature;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.trial.Channel;
import tinperch.trial.limit.LimitLine;
import tinperch.trial.tell.Happening;
import tinperch.trial.tell.Words;
import tinperch.workshop.log.Bands;

/** What is written on a plot: numbers of its axes, names of curves and limits, what happened, the time at the hair line. */
final class PlotWords {
    private static final double NAME_HEIGHT = 15;
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("EEE HH:mm:ss", Locale.ENGLISH);

    private final GraphicsContext g;
    private final Palette p;
    private final Scale scale;
    private final double height;

    /** @param height of the plot */
    PlotWords(GraphicsContext g, Theme theme, Scale scale, double height) {
        this.g = g;
        this.p = theme.palette();
        this.scale = scale;
        this.height = height;
        g.setFont(Theme.font(Math.max(10, theme.typeSize() - 2)));
        g.setTextBaseline(VPos.CENTER);
    }

    /** A name beside the end of its curve. */
    record Name(String text, double y, Color colour) {}

    /** Names of curves at their right end, none over another and none below {@code lowest}. */
    static List<Name> names(List<Curve> curves, Map<Object, Bands> bands, Palette p, Scale scale, double lowest) {
        List<Name> list = new ArrayList<>();
        for (Curve c : curves) {
            Bands b = bands.get(c.samples());
            int i = b.size() - 1;
            while (i >= 0 && (Float.isNaN(b.low(i, c.at())) || b.firstS(i) > scale.stretch().toS())) {
                i--;
            }
            if (i >= 0) {
                double v = (b.low(i, c.at()) + b.high(i, c.at())) / 2;
                int rgb = Stroke.of(c.channel(), c.nth(), c.earlier(), p).rgb();
                list.add(new Name((c.earlier() ? "before: " : "") + c.channel().name(), c.channel().kind() == Channel.Kind.DUTY ? scale.yDuty(v) : scale.y(v), Color.rgb(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255)));
            }
        }
        list.sort(Comparator.comparingDouble(Name::y));
        List<Name> apart = new ArrayList<>();
        double least = scale.top();
        for (Name n : list) {
            double y = Math.max(least, n.y);
            apart.add(new Name(n.text, y, n.colour));
            least = y + NAME_HEIGHT;
        }
        // What was pushed out below goes back up.
        double most = lowest;
        for (int i = apart.size() - 1; i >= 0; i--) {
            Name n = apart.get(i);
            double y = Math.min(most, n.y);
            apart.set(i, new Name(n.text, y, n.colour));
            most = y - NAME_HEIGHT;
        }
        return apart;
    }

    void axes(List<Curve> curves) {
        g.setFill(p.faintColour());
        g.setTextAlign(TextAlignment.RIGHT);
        scale.celsius().forEach(c -> g.fillText(Quantity.plain(c, Unit.CELSIUS), scale.left() - 6, scale.y(c)));
        if (scale.stripY() < scale.bottom()) {
            g.fillText("100 %", scale.left() - 6, scale.stripY() + 4);
        }
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(curves.stream().anyMatch(c -> c.channel().isTemperature()) ? "°C" : "", 6, scale.top() - 12);
        g.setTextAlign(TextAlignment.CENTER);
        scale.seconds().forEach(s -> g.fillText(clock(s), scale.x(s), (scale.bottom() + height) / 2 + 2));
        g.setTextAlign(TextAlignment.LEFT);
    }

    void names(List<Name> names, double width) {
        for (Name n : names) {
            g.setFill(n.colour);
            g.fillText(n.text, scale.right() + 6, n.y, width);
        }
    }

    /** The time at the hair line, on the side where there is more room. */
    void hair(double s, LocalDateTime start) {
        double x = scale.x(s);
        g.setStroke(p.inkColour());
        g.setLineWidth(1);
        g.strokeLine(Math.round(x) + 0.5, scale.top(), Math.round(x) + 0.5, scale.bottom());
        g.setFill(p.inkColour());
        boolean left = x > (scale.left() + scale.right()) / 2;
        g.setTextAlign(left ? TextAlignment.RIGHT : TextAlignment.LEFT);
        g.fillText(Words.time(s) + " · " + CLOCK.format(start.plusNanos((long) (s * 1e9))), x + (left ? -6 : 6), scale.top() - 10);
    }

    /** What happened meanwhile, a short line each where it did; those of one place under each other. */
    void happenings(List<Happening> happened) {
        double lastX = Double.NEGATIVE_INFINITY;
        int row = 0;
        for (Happening h : happened) {
            double x = scale.x(h.s());
            if (h.s() < scale.stretch().fromS() || h.s() > scale.stretch().toS()) {
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
    void limits(List<Curve> curves) {
        g.setFill(Color.web(p.hot()));
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
}
