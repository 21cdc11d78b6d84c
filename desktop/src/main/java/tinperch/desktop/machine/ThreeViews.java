package tinperch.desktop.machine;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Rectangle2D;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** Plan, front and right view of the same piece of space, to one scale and in line with each other; the piece can be made smaller and moved. */
final class ThreeViews {
    private static final double GAP = 26;
    private static final double PAD = 12;
    /** What lies at the edge is drawn, and pointed at, a little beyond it. */
    private static final double EDGE = 3;
    private static final double NEAREST_MM = 8;

    private final List<View> views = List.of(new View(Vec3.X, Vec3.Y, "plan"), new View(Vec3.X, Vec3.Z, "from the front"), new View(Vec3.Y, Vec3.Z, "from the right"));
    private Bounds whole;
    private Bounds seen;
    private double scale;
    private double width;

    /** One of the views: which axes of space go right and up, and where its zero is on the canvas. */
    final class View {
        final Vec3 right;
        final Vec3 up;
        final String title;
        private double x;
        private double y;

        View(Vec3 right, Vec3 up, String title) {
            this.right = right;
            this.up = up;
            this.title = title;
        }

        /** Where a place of space is drawn. */
        double[] point(Vec3 p) {
            return new double[] {x + (p.dot(right) - seen.min().dot(right)) * scale, y - (p.dot(up) - seen.min().dot(up)) * scale};
        }

        /** Left, top, width and height of a box. */
        double[] box(Bounds b) {
            double[] low = point(b.min());
            double high = b.size().dot(up) * scale;
            return new double[] {low[0], low[1] - high, b.size().dot(right) * scale, high};
        }

        /** All of the view. */
        double[] area() {
            return box(seen);
        }

        private boolean holds(double px, double py) {
            double[] a = area();
            return px >= a[0] - EDGE && px <= a[0] + a[2] + EDGE && py >= a[1] - EDGE && py <= a[1] + a[3] + EDGE;
        }

        /** A way on the canvas as a way in space. */
        Vec3 way(double dx, double dy) {
            return right.times(dx / scale).plus(up.times(-dy / scale));
        }

        private Vec3 at(double px, double py) {
            Vec3 middle = seen.centre();
            return middle.plus(way(px - point(middle)[0], py - point(middle)[1]));
        }
    }

    /** Takes the piece of space there is; one looked at closely stays. */
    void take(Bounds all) {
        if (whole == null || all == null || seen.equals(whole)) {
            seen = all;
        }
        whole = all;
    }

    /** What there is; null for nothing. */
    Bounds whole() {
        return whole;
    }

    boolean isEmpty() {
        return seen == null;
    }

    double scale() {
        return scale;
    }

    List<View> all() {
        return views;
    }

    /** The view that looks along a direction. */
    View along(Vec3 direction) {
        return views.get(direction == Vec3.Z ? 0 : direction == Vec3.Y ? 1 : 2);
    }

    Optional<View> at(double px, double py) {
        return isEmpty() ? Optional.empty() : views.stream().filter(v -> v.holds(px, py)).findFirst();
    }

    /** Fits the views into a canvas, in its middle or at its left. */
    void fitInto(double w, double h, boolean atLeft) {
        Vec3 s = seen.size();
        width = w;
        scale = Math.min((w - 2 * PAD - GAP) / (s.x() + s.y()), (h - 2 * PAD - 2 * GAP) / (s.y() + s.z()));
        double left = PAD + (atLeft ? 0 : Math.max(0, (w - 2 * PAD - GAP - (s.x() + s.y()) * scale) / 2));
        View plan = views.get(0);
        View front = views.get(1);
        View side = views.get(2);
        plan.x = left;
        plan.y = PAD + GAP / 2 + s.y() * scale;
        front.x = left;
        front.y = plan.y + GAP + s.z() * scale;
        side.x = left + s.x() * scale + GAP;
        side.y = front.y;
    }

    /** Where nothing is drawn: right of the plan, above the view from the right. */
    Rectangle2D corner() {
        double x = views.get(2).x;
        return new Rectangle2D(x, PAD, Math.max(0, width - PAD - x), Math.max(0, views.get(0).y - PAD));
    }

    /** Shows all again. */
    void showAll() {
        seen = whole;
    }

    /** Shows a box as near as it goes. */
    void closeUp(Bounds of) {
        if (whole != null) {
            double share = 1.3 * Math.max(of.size().x() / whole.size().x(), Math.max(of.size().y() / whole.size().y(), of.size().z() / whole.size().z()));
            double most = Math.max(share, NEAREST_MM / largest(whole));
            Vec3 half = whole.size().times(most / 2);
            seen = most >= 1 ? whole : new Bounds(of.centre().minus(half), of.centre().plus(half));
        }
    }

    /** Brings the place at a point nearer, or takes it farther away; it stays where it is drawn. */
    void nearer(double factor, double px, double py) {
        at(px, py).ifPresent(v -> {
            double least = NEAREST_MM / largest(whole);
            double share = Math.max(least, largest(seen) * factor / largest(whole));
            double by = share * largest(whole) / largest(seen);
            Vec3 at = v.at(px, py);
            seen = share >= 1 ? whole : new Bounds(at.plus(seen.min().minus(at).times(by)), at.plus(seen.max().minus(at).times(by)));
        });
    }

    /** Moves the piece of space that is seen; all of it stays where it is. */
    void pan(Vec3 by) {
        if (!isEmpty() && !seen.equals(whole)) {
            seen = new Bounds(seen.min().minus(by), seen.max().minus(by));
        }
    }

    private static double largest(Bounds b) {
        return Math.max(b.size().x(), Math.max(b.size().y(), b.size().z()));
    }
}
