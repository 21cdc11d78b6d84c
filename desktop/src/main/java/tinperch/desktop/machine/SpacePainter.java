package tinperch.desktop.machine;

import java.util.List;
import java.util.Map;
import tinperch.desktop.look.Palette;
import tinperch.machine.space.Face;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;
import tinperch.solid.view.Ink;

/** Draws neighbours, cables and sites into one of the three views with our own pen: the toolkit takes ten times as long without a graphics device. */
final class SpacePainter {
    private static final int ROUND_SIDES = 40;
    /** Seen smaller than this, not every line of a fine shape can be told apart. */
    private static final double FINE = 0.6;

    private final Ink ink;
    private final double k;
    private final Palette p;
    private final ThreeViews views;
    private final Scene of;

    /**
     * What is drawn.
     *
     * @param pose where the axes stand
     * @param shapes by neighbour, {@code holes} by site
     * @param chosen id of a neighbour, a line or a site
     */
    record Scene(Surroundings space, Map<String, Double> pose, Map<String, Shape> shapes, Map<String, List<Vec3>> holes, String chosen) {}

    /** @param k pixels for one of the window's units */
    SpacePainter(Ink ink, double k, Palette p, ThreeViews views, Scene of) {
        this.ink = ink;
        this.k = k;
        this.p = p;
        this.views = views;
        this.of = of;
    }

    /** All that is seen in a view. */
    void draw(ThreeViews.View v) {
        double[] area = v.area();
        ink.clip((area[0] - 3) * k, (area[1] - 3) * k, (area[0] + area[2] + 3) * k, (area[1] + area[3] + 3) * k);
        of.space.neighbours().forEach(n -> neighbour(v, n));
        of.space.runs().forEach(r -> run(v, r));
        of.space.sites().forEach(s -> site(v, s));
    }

    private static int colour(Palette p, Neighbour n) {
        return Palette.rgb(n.kind() == Neighbour.Kind.HOT ? p.hot() : n.isMatter() ? p.ink() : p.accent());
    }

    private void neighbour(ThreeViews.View v, Neighbour n) {
        double[] b = v.box(of.space.bounds(n.reached(), of.pose));
        boolean chosen = n.id().equals(of.chosen);
        boolean round = n.form() == Neighbour.Form.CYLINDER && v == views.along(n.direction());
        double fill = chosen ? 0.3 : n.isMatter() ? 0.1 : 0.04;
        if (round) {
            ink.fillOval(b[0] * k, b[1] * k, b[2] * k, b[3] * k, fill);
        } else if (n.form() != Neighbour.Form.CONE) {
            ink.fill(b[0] * k, b[1] * k, b[2] * k, b[3] * k, fill);
        }
        ink.layer(colour(p, n));
        double dash = n.isMatter() ? 0 : n.kind() == Neighbour.Kind.CABLE ? 2.5 : 4;
        Shape shape = n.form() == Neighbour.Form.CYLINDER ? null : of.shapes.get(n.id());
        if (round) {
            oval(b, pen(chosen ? 2.2 : 1.1, dash));
        } else if (shape == null || shape.isBox()) {
            box(b, pen(chosen ? 2.2 : 1.1, dash));
        } else {
            outline(v, shape, of.space.shift(n.group(), of.pose), pen((chosen ? 2.2 : 1.1) * FINE, dash));
        }
        arrow(v, n, b);
        ink.layer(colour(p, n));
    }

    private Ink.Pen pen(double width, double dash) {
        return new Ink.Pen(width * k, 1, dash * k);
    }

    private void line(double x0, double y0, double x1, double y1, Ink.Pen pen) {
        ink.line(x0 * k, y0 * k, x1 * k, y1 * k, pen);
    }

    private void box(double[] b, Ink.Pen pen) {
        line(b[0], b[1], b[0] + b[2], b[1], pen);
        line(b[0] + b[2], b[1], b[0] + b[2], b[1] + b[3], pen);
        line(b[0] + b[2], b[1] + b[3], b[0], b[1] + b[3], pen);
        line(b[0], b[1] + b[3], b[0], b[1], pen);
    }

    private void oval(double[] b, Ink.Pen pen) {
        double cx = b[0] + b[2] / 2;
        double cy = b[1] + b[3] / 2;
        double x = b[0] + b[2];
        double y = cy;
        for (int i = 1; i <= ROUND_SIDES; i++) {
            double a = 2 * Math.PI * i / ROUND_SIDES;
            double nx = cx + Math.cos(a) * b[2] / 2;
            double ny = cy + Math.sin(a) * b[3] / 2;
            line(x, y, nx, ny, pen);
            x = nx;
            y = ny;
        }
    }

    private void outline(ThreeViews.View v, Shape shape, Vec3 shift, Ink.Pen pen) {
        double[] at = v.point(shift);
        double scale = views.scale();
        for (double[] l : shape.outline(v.right, v.up)) {
            line(at[0] + l[0] * scale, at[1] - l[1] * scale, at[0] + l[2] * scale, at[1] - l[3] * scale, pen);
        }
    }

    /** A cable or a belt: a line as thick as it is, at least a pixel. */
    private void run(ThreeViews.View v, Run r) {
        boolean chosen = r.id().equals(of.chosen);
        List<Vec3> points = r.points(of.space, of.pose);
        double thick = Math.max(chosen ? 2.5 : 1.3, r.kind() != Run.Kind.BELT ? r.acrossMm() * views.scale() : 0);
        for (int i = 1; i < points.size(); i++) {
            double[] a = v.point(points.get(i - 1));
            double[] b = v.point(points.get(i));
            line(a[0], a[1], b[0], b[1], new Ink.Pen(thick * k, 0.75, 0));
        }
        ink.layer(Palette.rgb(chosen ? p.accent() : p.ink()));
    }

    /** An arrow the way a hand comes in, or air and light go out. */
    private void arrow(ThreeViews.View v, Neighbour n, double[] b) {
        Vec3 way = n.towards().orElse(Vec3.ZERO);
        double dx = way.dot(v.right);
        double dy = -way.dot(v.up);
        if (Math.hypot(dx, dy) < 0.5) {
            return;
        }
        double in = n.kind() == Neighbour.Kind.ACCESS ? -1 : 1;
        double far = 14;
        double mx = b[0] + b[2] / 2 + dx * b[2] / 2;
        double my = b[1] + b[3] / 2 + dy * b[3] / 2;
        double tx = in > 0 ? mx + dx * far : mx;
        double ty = in > 0 ? my + dy * far : my;
        Ink.Pen pen = pen(1.4, 0);
        line(mx, my, mx + dx * far, my + dy * far, pen);
        line(tx, ty, tx - in * 5 * dx - 3 * dy, ty - in * 5 * dy + 3 * dx, pen);
        line(tx, ty, tx - in * 5 * dx + 3 * dy, ty - in * 5 * dy - 3 * dx, pen);
    }

    /** A site: a small cross at each of its holes, thicker when it is the one chosen. */
    private void site(ThreeViews.View v, Site site) {
        Vec3 shift = of.space.shift(site.group(), of.pose);
        Ink.Pen pen = pen(site.id().equals(of.chosen) ? 2.4 : 1.3, 0);
        for (Vec3 hole : of.holes.getOrDefault(site.id(), List.of())) {
            double[] at = v.point(hole.plus(shift));
            line(at[0] - 3.5, at[1], at[0] + 3.5, at[1], pen);
            line(at[0], at[1] - 3.5, at[0], at[1] + 3.5, pen);
        }
        ink.layer(Palette.rgb(p.accent()));
    }

    /** The face under the mouse. */
    void mark(ThreeViews.View v, Face face) {
        of.space.neighbour(face.neighbourId()).ifPresent(n -> {
            double[] b = v.box(of.space.bounds(n, of.pose));
            if (Math.abs(v.right.dot(face.outward())) > 0.5) {
                double x = b[0] + (face.high() ? b[2] : 0);
                line(x, b[1], x, b[1] + b[3], pen(3, 0));
            } else if (Math.abs(v.up.dot(face.outward())) > 0.5) {
                double y = b[1] + (face.high() ? 0 : b[3]);
                line(b[0], y, b[0] + b[2], y, pen(3, 0));
            } else {
                box(new double[] {b[0] + 2, b[1] + 2, Math.max(0, b[2] - 4), Math.max(0, b[3] - 4)}, pen(1.6, 0));
            }
            ink.layer(Palette.rgb(p.accent()));
        });
    }

    /** Where what is being moved would stand. */
    void ghost(ThreeViews.View v, SpaceDrag drag) {
        Neighbour n = drag.thing();
        box(v.box(of.space.bounds(n.at(n.corner().plus(drag.by())), of.pose)), pen(1.6, 4));
        ink.layer(Palette.rgb(p.accent()));
    }
}
