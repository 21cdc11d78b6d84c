package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tinperch.desktop.look.Palette;
import tinperch.machine.space.Face;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** Draws neighbours and sites into one of the three views. */
final class SpacePainter {
    private final GraphicsContext g;
    private final Palette p;
    private final ThreeViews views;
    private final Scene of;
    private final SpaceDrag drag;
    private final boolean tagged;

    /**
     * What is drawn.
     *
     * @param pose where the axes stand
     * @param shapes by neighbour, {@code holes} by site
     * @param chosen id of a neighbour or a site
     */
    record Scene(Surroundings space, Map<String, Double> pose, Map<String, Shape> shapes, Map<String, List<Vec3>> holes, String chosen) {}

    /**
     * @param drag what is being moved, null for nothing
     * @param tagged whether numbers stand on what is chosen, so that its name need not
     */
    SpacePainter(GraphicsContext g, Palette p, ThreeViews views, Scene of, SpaceDrag drag, boolean tagged) {
        this.tagged = tagged;
        this.g = g;
        this.p = p;
        this.views = views;
        this.of = of;
        this.drag = drag;
    }

    /** All that is seen in a view. */
    void draw(ThreeViews.View v) {
        g.setFont(Font.font("Lato", 11));
        List<double[]> labels = new ArrayList<>();
        for (Neighbour n : of.space.neighbours()) {
            double[] b = v.box(of.space.bounds(n.reached(), of.pose));
            boolean cone = n.form() == Neighbour.Form.CONE;
            boolean hot = n.kind() == Neighbour.Kind.HOT;
            boolean matter = hot || n.kind() == Neighbour.Kind.SOLID;
            Color line = hot ? Color.web(p.hot()) : matter ? p.inkColour() : p.accentColour();
            g.setLineDashes(matter ? null : new double[] {n.kind() == Neighbour.Kind.CABLE ? 2 : 5, 3});
            g.setFill(Color.color(line.getRed(), line.getGreen(), line.getBlue(), n.id().equals(of.chosen) ? 0.3 : matter ? 0.1 : 0.04));
            g.setStroke(line);
            g.setLineWidth(n.id().equals(of.chosen) ? 2.2 : 1.1);
            boolean round = n.form() == Neighbour.Form.CYLINDER
                    && v == views.along(n.direction());
            if (round) {
                g.fillOval(b[0], b[1], b[2], b[3]);
                g.strokeOval(b[0], b[1], b[2], b[3]);
            } else {
                if (!cone) {
                    g.fillRect(b[0], b[1], b[2], b[3]);
                }
                Shape shape = n.form() == Neighbour.Form.CYLINDER ? null : of.shapes.get(n.id());
                if (shape == null || shape.isBox()) {
                    g.strokeRect(b[0], b[1], b[2], b[3]);
                } else {
                    outline(v, shape, of.space.shift(n.group(), of.pose));
                }
            }
            arrow(v, n, b);
            if (!tagged || !n.id().equals(of.chosen)) {
                label(n, b, labels);
            }
            if (drag != null && drag.isMoved() && drag.thing() == n) {
                ghost(v);
            }
        }
        g.setLineDashes();
        for (Run r : of.space.runs()) {
            run(v, r);
        }
        for (Site site : of.space.sites()) {
            mark(v, site);
        }
    }

    /** Where what is being moved would stand, and how far that is. */
    private void ghost(ThreeViews.View v) {
        Neighbour n = drag.thing();
        double[] b = v.box(of.space.bounds(n.at(n.corner().plus(drag.by())), of.pose));
        g.setLineDashes(4, 3);
        g.setStroke(p.accentColour());
        g.setLineWidth(1.6);
        g.strokeRect(b[0], b[1], b[2], b[3]);
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.BOTTOM);
        g.setFill(p.accentColour());
        g.fillText(drag.words(), b[0], b[1] - 4);
    }

    /** A cable or a belt: a line as thick as it is, at least a pixel. */
    private void run(ThreeViews.View v, Run r) {
        List<Vec3> points = r.points(of.space, of.pose);
        g.setStroke(r.id().equals(of.chosen) ? p.accentColour() : p.inkColour());
        g.setGlobalAlpha(0.75);
        g.setLineWidth(Math.max(r.id().equals(of.chosen) ? 2.5 : 1.3, r.kind() == Run.Kind.CABLE ? r.acrossMm() * views.scale() : 0));
        g.setLineCap(StrokeLineCap.ROUND);
        g.setLineJoin(StrokeLineJoin.ROUND);
        g.beginPath();
        for (int i = 0; i < points.size(); i++) {
            double[] at = v.point(points.get(i));
            if (i == 0) {
                g.moveTo(at[0], at[1]);
            } else {
                g.lineTo(at[0], at[1]);
            }
        }
        g.stroke();
        g.setGlobalAlpha(1);
        g.setLineCap(StrokeLineCap.SQUARE);
        g.setLineJoin(StrokeLineJoin.MITER);
    }

    /** The face under the mouse. */
    void mark(ThreeViews.View v, Face face) {
        of.space.neighbour(face.neighbourId()).ifPresent(n -> {
            double[] b = v.box(of.space.bounds(n, of.pose));
            g.setLineDashes();
            g.setStroke(p.accentColour());
            g.setLineWidth(3);
            if (Math.abs(v.right.dot(face.outward())) > 0.5) {
                double x = b[0] + (face.high() ? b[2] : 0);
                g.strokeLine(x, b[1], x, b[1] + b[3]);
            } else if (Math.abs(v.up.dot(face.outward())) > 0.5) {
                double y = b[1] + (face.high() ? 0 : b[3]);
                g.strokeLine(b[0], y, b[0] + b[2], y);
            } else {
                g.setLineWidth(1.6);
                g.strokeRect(b[0] + 2, b[1] + 2, Math.max(0, b[2] - 4), Math.max(0, b[3] - 4));
            }
        });
    }

    /** An arrow the way a hand comes in, or air and light go out. */
    private void arrow(ThreeViews.View v, Neighbour n, double[] b) {
        n.towards().ifPresent(way -> {
            boolean in = n.kind() == Neighbour.Kind.ACCESS;
            double dx = way.dot(v.right);
            double dy = -way.dot(v.up);
            if (Math.hypot(dx, dy) < 0.5) {
                return;
            }
            double mx = b[0] + b[2] / 2 + dx * b[2] / 2;
            double my = b[1] + b[3] / 2 + dy * b[3] / 2;
            double far = 14;
            double tx = in ? mx : mx + dx * far;
            double ty = in ? my : my + dy * far;
            double fx = in ? mx + dx * far : mx;
            double fy = in ? my + dy * far : my;
            double ux = (tx - fx) / far;
            double uy = (ty - fy) / far;
            g.setLineDashes();
            g.setLineWidth(1.4);
            g.strokeLine(fx, fy, tx, ty);
            g.strokeLine(tx, ty, tx - 5 * ux - 3 * uy, ty - 5 * uy + 3 * ux);
            g.strokeLine(tx, ty, tx - 5 * ux + 3 * uy, ty - 5 * uy - 3 * ux);
        });
    }

    /** A site: a small cross at each of its holes, thicker when it is the one chosen. */
    private void mark(ThreeViews.View v, Site site) {
        Vec3 shift = of.space.shift(site.group(), of.pose);
        g.setStroke(p.accentColour());
        g.setLineWidth(site.id().equals(of.chosen) ? 2.4 : 1.3);
        for (Vec3 hole : of.holes.getOrDefault(site.id(), List.of())) {
            double[] at = v.point(hole.plus(shift));
            g.strokeLine(at[0] - 3.5, at[1], at[0] + 3.5, at[1]);
            g.strokeLine(at[0], at[1] - 3.5, at[0], at[1] + 3.5);
        }
    }

    private void outline(ThreeViews.View v, Shape shape, Vec3 shift) {
        double[] at = v.point(shift);
        double scale = views.scale();
        // Fine shapes have many edges close together.
        g.setLineWidth(g.getLineWidth() * 0.6);
        g.beginPath();
        for (double[] l : shape.outline(v.right, v.up)) {
            g.moveTo(at[0] + l[0] * scale, at[1] - l[1] * scale);
            g.lineTo(at[0] + l[2] * scale, at[1] - l[3] * scale);
        }
        g.stroke();
    }

    /** The name where it has room and no other name stands. */
    private void label(Neighbour n, double[] b, List<double[]> labels) {
        double half = 3.1 * n.name().length();
        double x = b[0] + b[2] / 2;
        double y = b[1] + b[3] / 2;
        boolean taken = labels.stream().anyMatch(l -> Math.abs(l[1] - y) < 13 && Math.abs(l[0] - x) < l[2] + half);
        if (b[2] > 2 * half && b[3] > 14 && !taken) {
            labels.add(new double[] {x, y, half});
            g.setTextAlign(TextAlignment.CENTER);
            g.setTextBaseline(VPos.CENTER);
            g.setFill(p.inkColour());
            g.fillText(n.name(), x, y);
        }
    }
}
