package tinperch.desktop.machine;

import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Along;
import tinperch.machine.space.Face;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** What is under the mouse in the three views: the smallest thing there, and which of its faces. */
final class SpacePointer {
    private static final double EDGE_PX = 6;

    private final ThreeViews views;
    private final Surroundings space;
    private final Map<String, Double> pose;

    SpacePointer(ThreeViews views, Surroundings space, Map<String, Double> pose) {
        this.views = views;
        this.space = space;
        this.pose = pose;
    }

    /** Whether a thing is there. */
    boolean isOn(ThreeViews.View v, Neighbour n, double px, double py) {
        double[] b = v.box(space.bounds(n, pose));
        return px >= b[0] - 2 && px <= b[0] + b[2] + 2 && py >= b[1] - 2 && py <= b[1] + b[3] + 2;
    }

    /** The smallest one there, so that what lies before something large can be reached. */
    Optional<Neighbour> thing(double px, double py) {
        Neighbour best = null;
        double smallest = Double.POSITIVE_INFINITY;
        for (ThreeViews.View v : views.all()) {
            for (Neighbour n : space.neighbours()) {
                double[] b = v.box(space.bounds(n, pose));
                if (isOn(v, n, px, py) && b[2] * b[3] < smallest) {
                    smallest = b[2] * b[3];
                    best = n;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    /** The face there: near an edge the one seen from its side, else the one that looks at whoever looks at the view. */
    Optional<Face> face(double px, double py) {
        Optional<ThreeViews.View> view = views.at(px, py);
        return view.flatMap(v -> thing(px, py).map(n -> face(v, n, px, py)));
    }

    private Face face(ThreeViews.View v, Neighbour n, double px, double py) {
        double[] b = v.box(space.bounds(n, pose));
        double left = Math.abs(px - b[0]);
        double right = Math.abs(px - b[0] - b[2]);
        double top = Math.abs(py - b[1]);
        double bottom = Math.abs(py - b[1] - b[3]);
        double across = Math.min(left, right);
        double upright = Math.min(top, bottom);
        // In something small the edges must not take all of it.
        double nearX = Math.min(EDGE_PX, b[2] / 3);
        double nearY = Math.min(EDGE_PX, b[3] / 3);
        if (across <= nearX && across / nearX <= upright / Math.max(1e-9, nearY)) {
            return new Face(n.id(), along(v.right), right < left);
        }
        if (upright <= nearY) {
            return new Face(n.id(), along(v.up), top < bottom);
        }
        Vec3 towards = v.right.cross(v.up);
        Along deep = along(towards);
        return new Face(n.id(), deep, deep.of(towards) > 0);
    }

    private static Along along(Vec3 direction) {
        return Math.abs(direction.x()) > 0.5 ? Along.X : Math.abs(direction.y()) > 0.5 ? Along.Y : Along.Z;
    }
}
