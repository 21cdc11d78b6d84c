package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tinperch.desktop.look.Palette;
import tinperch.machine.space.Along;
import tinperch.machine.space.Distance;
import tinperch.machine.space.End;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** The sizes of what is chosen and the distances read to it, as dimensions on the three views; each is there once. */
final class SpaceTags {
    private static final double OUT_PX = 14;
    private static final double STEP_PX = 17;

    private final ThreeViews views;
    private final Surroundings space;
    private final Map<String, Double> pose;

    SpaceTags(ThreeViews views, Surroundings space, Map<String, Double> pose) {
        this.views = views;
        this.space = space;
        this.pose = pose;
    }

    /** Those of a neighbour; none when it is not there. */
    List<SpaceTag> of(String chosen) {
        Optional<Neighbour> n = space.neighbour(chosen);
        List<SpaceTag> all = new ArrayList<>();
        n.ifPresent(k -> {
            for (Along a : Along.values()) {
                if (k.form() != Neighbour.Form.MODEL) {
                    put(all, size(k, a, OUT_PX));
                }
                space.distances().stream().filter(d -> d.along() == a && d.touches(k.id())).forEach(d -> distance(k, d, all));
            }
        });
        return all;
    }

    /** Moved aside until it covers no other; not put where there is no room. */
    private static void put(List<SpaceTag> all, SpaceTag tag) {
        SpaceTag t = tag;
        boolean across = Math.abs(t.line()[1] - t.line()[3]) < 0.5;
        for (int i = 0; i < 6; i++) {
            SpaceTag now = t;
            if (all.stream().noneMatch(now::overlaps)) {
                all.add(now);
                return;
            }
            double[] l = t.line();
            t = across ? new SpaceTag(t.x(), t.y() + STEP_PX, t.text(), t.along(), t.distanceId(), new double[] {l[0], l[1] + STEP_PX, l[2], l[3] + STEP_PX})
                    : new SpaceTag(t.x() + 2.2 * STEP_PX, t.y(), t.text(), t.along(), t.distanceId(), new double[] {l[0] + 2.2 * STEP_PX, l[1], l[2] + 2.2 * STEP_PX, l[3]});
        }
    }

    /** x and y stand in the plan, z in the view from the front. */
    private ThreeViews.View view(Along a) {
        return views.all().get(a == Along.Z ? 1 : 0);
    }

    private SpaceTag size(Neighbour n, Along a, double out) {
        double[] b = view(a).box(space.bounds(n, pose));
        double[] line = a == Along.X ? new double[] {b[0], b[1] + b[3] + out, b[0] + b[2], b[1] + b[3] + out} : new double[] {b[0] + b[2] + out, b[1], b[0] + b[2] + out, b[1] + b[3]};
        return tag(line, Quantity.mm(a.of(n.size())), a, "");
    }

    private void distance(Neighbour n, Distance d, List<SpaceTag> all) {
        ThreeViews.View v = view(d.along());
        Optional<Double> from = place(d.from(), d.along());
        Optional<Double> to = place(d.to(), d.along());
        if (from.isEmpty() || to.isEmpty() || d.spread().isEmpty() || !standsAsRead(d)) {
            return;
        }
        Bounds b = space.bounds(n, pose);
        Vec3 middle = b.centre();
        double[] p = v.point(middle.plus(d.along().direction().times(from.get() - d.along().of(middle))));
        double[] q = v.point(middle.plus(d.along().direction().times(to.get() - d.along().of(middle))));
        put(all, tag(new double[] {p[0], p[1], q[0], q[1]}, Quantity.fixed(d.spread().orElseThrow().mean(), 2), d.along(), d.id()));
    }

    /** A distance is shown only while its two ends stand to each other as they did when it was read. */
    private boolean standsAsRead(Distance d) {
        String a = space.neighbour(d.from().neighbourId()).map(Neighbour::group).orElse("");
        String b = space.neighbour(d.to().neighbourId()).map(Neighbour::group).orElse("");
        double then = d.along().of(space.shift(b, d.pose()).minus(space.shift(a, d.pose())));
        double now = d.along().of(space.shift(b, pose).minus(space.shift(a, pose)));
        return Math.abs(then - now) < 0.005;
    }

    private Optional<Double> place(End e, Along a) {
        return space.neighbour(e.neighbourId()).flatMap(n -> e.offsetMm(n, a, End.Holes.NONE).or(() -> Optional.of(a.of(n.size()) / 2)).map(o -> a.of(space.bounds(n, pose).min()) + o));
    }

    private static SpaceTag tag(double[] line, String text, Along along, String distanceId) {
        return new SpaceTag((line[0] + line[2]) / 2, (line[1] + line[3]) / 2, text, along, distanceId, line);
    }

    /** Draws them. */
    static void paint(GraphicsContext g, Palette p, List<SpaceTag> tags) {
        g.setFont(Font.font("Lato", 11));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.setLineDashes();
        g.setLineWidth(1);
        for (SpaceTag t : tags) {
            double[] l = t.line();
            g.setStroke(t.distanceId().isEmpty() ? p.faintColour() : p.accentColour());
            g.strokeLine(l[0], l[1], l[2], l[3]);
            boolean across = Math.abs(l[1] - l[3]) < 0.5;
            for (int i = 0; i < 4; i += 2) {
                g.strokeLine(l[i] - (across ? 0 : 3), l[i + 1] - (across ? 3 : 0), l[i] + (across ? 0 : 3), l[i + 1] + (across ? 3 : 0));
            }
        }
        // No line runs through a number.
        for (SpaceTag t : tags) {
            double half = 4 + 3.2 * t.text().length();
            g.setFill(p.sheetColour());
            g.fillRoundRect(t.x() - half, t.y() - 7.5, 2 * half, 15, 6, 6);
            g.setFill(t.distanceId().isEmpty() ? p.inkColour() : p.accentColour());
            g.fillText(t.text(), t.x(), t.y());
        }
    }
}
