package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.geometry.Rectangle2D;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tinperch.desktop.look.Drawing;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/**
 * What stands around a machine's axes in plan, from the front and from the right, to one scale and in line with each other, with the axes
 * as they are. The wheel brings a place nearer in all of them, dragging moves what is seen, a double click shows all again.
 */
final class SpaceViews extends Drawing {
    private static final double GAP = 26;
    private static final double PAD = 12;
    private static final double NEAREST_MM = 8;

    private final Consumer<String> picked;
    private Surroundings space = Surroundings.NONE;
    private Map<String, Double> pose = Map.of();
    private String chosen = "";
    private Map<String, Shape> shapes = Map.of();
    private Map<String, List<Vec3>> holes = Map.of();
    private Bounds whole;
    private Bounds reach;
    private double[] held;
    private Consumer<Rectangle2D> corner;
    private double scale;

    /** One of the views: which axes of space go right and up, and where its zero is on the canvas. */
    private final class View {
        private final Vec3 right;
        private final Vec3 up;
        private final String title;
        private double x;
        private double y;

        View(Vec3 right, Vec3 up, String title) {
            this.right = right;
            this.up = up;
            this.title = title;
        }

        double[] box(Bounds b) {
            double x0 = x + (b.min().dot(right) - reach.min().dot(right)) * scale;
            double y1 = y - (b.min().dot(up) - reach.min().dot(up)) * scale;
            double w = b.size().dot(right) * scale;
            double h = b.size().dot(up) * scale;
            return new double[] {x0, y1 - h, w, h};
        }

        boolean holds(double px, double py) {
            return px >= x && px <= x + reach.size().dot(right) * scale && py <= y && py >= y - reach.size().dot(up) * scale;
        }

        /** The place drawn at a point; what the view does not show is as in the middle. */
        Vec3 at(double px, double py) {
            Vec3 middle = reach.centre();
            double across = reach.min().dot(right) + (px - x) / scale;
            double high = reach.min().dot(up) + (y - py) / scale;
            return middle.plus(right.times(across - middle.dot(right))).plus(up.times(high - middle.dot(up)));
        }
    }

    private final View plan = new View(Vec3.X, Vec3.Y, "plan");
    private final View front = new View(Vec3.X, Vec3.Z, "from the front");
    private final View side = new View(Vec3.Y, Vec3.Z, "from the right");

    /** @param picked told the id of the neighbour clicked on */
    SpaceViews(Theme theme, Consumer<String> picked) {
        super(theme);
        this.picked = picked;
        Ui.id(this, "space-views");
        setMinSize(0, 300);
        setPrefSize(560, 500);
        setOnMouseClicked(e -> {
            if (e.getClickCount() == 2) {
                fit();
            } else if (e.isStillSincePress()) {
                pick(e.getX(), e.getY());
            }
        });
        setOnScroll(e -> nearer(Math.pow(1.0015, -e.getDeltaY()), e.getX(), e.getY()));
        setOnMousePressed(e -> held = new double[] {e.getX(), e.getY()});
        setOnMouseDragged(e -> drag(e.getX(), e.getY()));
    }

    void show(Surroundings next, Map<String, Shape> shapesOf, Map<String, List<Vec3>> holesOf, Map<String, Double> at,
            String chosenId) {
        show(next, shapesOf, holesOf, at, chosenId, next == space ? whole : next.reach().orElse(null));
    }

    /** The same with only a part of space in view. */
    void show(Surroundings next, Map<String, Shape> shapesOf, Map<String, List<Vec3>> holesOf, Map<String, Double> at,
            String chosenId, Bounds inView) {
        if (whole == null || inView == null || reach.equals(whole)) {
            reach = inView;
        }
        whole = inView;
        space = next;
        shapes = shapesOf;
        holes = holesOf;
        pose = at;
        chosen = chosenId;
        draw();
    }

    @Override
    protected void paint(GraphicsContext g, Palette p, double w, double h) {
        if (reach == null || w < 50) {
            return;
        }
        Vec3 s = reach.size();
        scale = Math.min((w - 2 * PAD - GAP) / (s.x() + s.y()),
                (h - 2 * PAD - 2 * GAP) / (s.y() + s.z()));
        double left = PAD + (corner != null ? 0 : Math.max(0, (w - 2 * PAD - GAP - (s.x() + s.y()) * scale) / 2));
        plan.x = left;
        plan.y = PAD + GAP / 2 + s.y() * scale;
        front.x = left;
        front.y = plan.y + GAP + s.z() * scale;
        side.x = left + s.x() * scale + GAP;
        side.y = front.y;
        if (corner != null) {
            corner.accept(new Rectangle2D(side.x, PAD, Math.max(0, w - PAD - side.x), Math.max(0, plan.y - PAD)));
        }
        for (View v : new View[] {plan, front, side}) {
            g.setFont(Font.font("Lato", 11));
            g.setTextAlign(TextAlignment.LEFT);
            g.setTextBaseline(VPos.BOTTOM);
            g.setFill(p.faintColour());
            g.fillText(v.title, v.x, v.y - s.dot(v.up) * scale - 4);
            g.save();
            g.beginPath();
            g.rect(v.x - 3, v.y - s.dot(v.up) * scale - 3, s.dot(v.right) * scale + 6, s.dot(v.up) * scale + 6);
            g.clip();
            draw(g, v, p);
            g.restore();
        }
    }

    private void draw(GraphicsContext g, View v, Palette p) {
        g.setFont(Font.font("Lato", 11));
        List<double[]> labels = new ArrayList<>();
        for (Neighbour n : space.neighbours()) {
            double[] b = v.box(space.bounds(n, pose));
            boolean hot = n.kind() == Neighbour.Kind.HOT;
            boolean matter = hot || n.kind() == Neighbour.Kind.SOLID;
            Color line = hot ? Color.web(p.hot()) : matter ? p.inkColour() : p.accentColour();
            g.setLineDashes(matter ? null : new double[] {n.kind() == Neighbour.Kind.CABLE ? 2 : 5, 3});
            g.setFill(Color.color(line.getRed(), line.getGreen(), line.getBlue(), n.id().equals(chosen) ? 0.3 : matter ? 0.1 : 0.04));
            g.setStroke(line);
            g.setLineWidth(n.id().equals(chosen) ? 2.2 : 1.1);
            boolean round = n.form() == Neighbour.Form.CYLINDER
                    && v == (n.direction() == Vec3.Z ? plan : n.direction() == Vec3.Y ? front : side);
            if (round) {
                g.fillOval(b[0], b[1], b[2], b[3]);
                g.strokeOval(b[0], b[1], b[2], b[3]);
            } else {
                g.fillRect(b[0], b[1], b[2], b[3]);
                Shape shape = n.form() == Neighbour.Form.CYLINDER ? null : shapes.get(n.id());
                if (shape == null || shape.isBox()) {
                    g.strokeRect(b[0], b[1], b[2], b[3]);
                } else {
                    outline(g, v, shape, space.shift(n.group(), pose));
                }
            }
            label(g, n, b, p, labels);
        }
        g.setLineDashes();
        for (Site site : space.sites()) {
            mark(g, v, site, p);
        }
    }

    /** A site: a small cross at each of its holes, thicker when it is the one chosen. */
    private void mark(GraphicsContext g, View v, Site site, Palette p) {
        Vec3 shift = space.shift(site.group(), pose);
        g.setStroke(p.accentColour());
        g.setLineWidth(site.id().equals(chosen) ? 2.4 : 1.3);
        for (Vec3 hole : holes.getOrDefault(site.id(), List.of())) {
            Vec3 at = hole.plus(shift);
            double x = v.x + (at.dot(v.right) - reach.min().dot(v.right)) * scale;
            double y = v.y - (at.dot(v.up) - reach.min().dot(v.up)) * scale;
            g.strokeLine(x - 3.5, y, x + 3.5, y);
            g.strokeLine(x, y - 3.5, x, y + 3.5);
        }
    }

    private void outline(GraphicsContext g, View v, Shape shape, Vec3 shift) {
        double dx = v.x + (shift.dot(v.right) - reach.min().dot(v.right)) * scale;
        double dy = v.y - (shift.dot(v.up) - reach.min().dot(v.up)) * scale;
        // Fine shapes have many edges close together.
        g.setLineWidth(g.getLineWidth() * 0.6);
        g.beginPath();
        for (double[] l : shape.outline(v.right, v.up)) {
            g.moveTo(dx + l[0] * scale, dy - l[1] * scale);
            g.lineTo(dx + l[2] * scale, dy - l[3] * scale);
        }
        g.stroke();
    }

    /** The name where it has room and no other name stands. */
    private static void label(GraphicsContext g, Neighbour n, double[] b, Palette p, List<double[]> labels) {
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

    /** Shows all again. */
    void fit() {
        reach = whole;
        draw();
    }

    /** Shows a place as near as it goes. */
    void closeUp(Bounds of) {
        if (whole != null) {
            double share = 1.3 * Math.max(of.size().x() / whole.size().x(), Math.max(of.size().y() / whole.size().y(), of.size().z() / whole.size().z()));
            look(of.centre(), Math.min(1, Math.max(share, NEAREST_MM / largest(whole))));
        }
    }

    /** Told where nothing is drawn: right of the plan, above the view from the right. */
    void onCorner(Consumer<Rectangle2D> free) {
        corner = free;
    }

    private static double largest(Bounds b) {
        return Math.max(b.size().x(), Math.max(b.size().y(), b.size().z()));
    }

    private Optional<View> viewAt(double px, double py) {
        return reach == null ? Optional.empty() : Stream.of(plan, front, side).filter(v -> v.holds(px, py)).findFirst();
    }

    /** Brings the place under the mouse nearer, where it stays. */
    private void nearer(double factor, double px, double py) {
        viewAt(px, py).ifPresent(v -> {
            double share = largest(reach) * factor / largest(whole);
            double by = Math.max(NEAREST_MM / largest(whole), Math.min(1, share)) * largest(whole) / largest(reach);
            Vec3 at = v.at(px, py);
            reach = share >= 1 ? whole : new Bounds(at.plus(reach.min().minus(at).times(by)), at.plus(reach.max().minus(at).times(by)));
            draw();
        });
    }

    private void look(Vec3 middle, double share) {
        Vec3 half = whole.size().times(share / 2);
        reach = share >= 1 ? whole : new Bounds(middle.minus(half), middle.plus(half));
        draw();
    }

    private void drag(double px, double py) {
        if (held != null && reach != null && !reach.equals(whole)) {
            viewAt(held[0], held[1]).ifPresent(v -> {
                Vec3 by = v.right.times((held[0] - px) / scale).plus(v.up.times((py - held[1]) / scale));
                reach = new Bounds(reach.min().plus(by), reach.max().plus(by));
                draw();
            });
            held = new double[] {px, py};
        }
    }

    /** The smallest one under the mouse, so that what lies before something large can be reached. */
    private void pick(double x, double y) {
        String best = "";
        double smallest = Double.POSITIVE_INFINITY;
        for (View v : new View[] {plan, front, side}) {
            for (Neighbour n : space.neighbours()) {
                double[] b = v.box(space.bounds(n, pose));
                if (x >= b[0] - 2 && x <= b[0] + b[2] + 2 && y >= b[1] - 2 && y <= b[1] + b[3] + 2 && b[2] * b[3] < smallest) {
                    smallest = b[2] * b[3];
                    best = n.id();
                }
            }
        }
        picked.accept(best);
    }
}
