package tinperch.solid.shape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.SolidException;
import tinperch.solid.Vec3;

/** A skin over rings with equal numbers of corners, the first and last of them flat and closed. */
public final class Loft {
    private Loft() {}

    /**
     * The leaf through the rings in order; corner {@code i} of one joins corner {@code i} of the next.
     *
     * @param rings seen from the last ring each runs anticlockwise
     * @throws SolidException when the counts differ, an end is not flat, or the skin folds through itself
     */
    public static Leaf leaf(String feature, List<Vec3[]> rings) {
        if (rings.size() < 2) {
            throw refuse(feature, "needs at least two rings");
        }
        int n = rings.get(0).length;
        for (Vec3[] r : rings) {
            if (r.length != n) {
                throw refuse(feature, "has rings of " + n + " and of " + r.length + " corners; give all the same number");
            }
            for (Vec3 p : r) {
                if (!p.isFinite()) {
                    throw refuse(feature, "has a corner that is not a number");
                }
            }
        }
        if (n < 3) {
            throw refuse(feature, "needs at least three corners a ring");
        }
        for (int k = 0; k + 1 < rings.size(); k++) {
            Vec3 way = centre(rings.get(k + 1)).minus(centre(rings.get(k)));
            if (!(area(rings.get(k)).dot(way) > 0) || !(area(rings.get(k + 1)).dot(way) > 0)) {
                throw refuse(feature, "folds between ring " + (k + 1) + " and ring " + (k + 2)
                        + ": turn the rings the same way round and keep them apart");
            }
        }
        Leaf leaf = Tube.closed(feature, List.of(rings), false);
        if (SelfCrossing.any(leaf, rings, n)) {
            throw refuse(feature, "crosses itself; add a ring between or move the ends apart");
        }
        return leaf;
    }

    /**
     * A duct from one outline to another, corners matched by their direction from the middle, so that a rectangle goes
     * smoothly into a slot or a circle.
     *
     * @param from outline without holes, seen from its middle star-shaped; at {@code fromPlace}
     * @param to the same at {@code toPlace}
     * @throws SolidException when a middle does not see the whole outline
     */
    public static Leaf between(String feature, Profile from, Placement fromPlace, Profile to, Placement toPlace) {
        double[] a = from.ring(0);
        double[] b = to.ring(0);
        double[] ca = Profiles.centroid(a);
        double[] cb = Profiles.centroid(b);
        double[] angles = merged(angles(feature, a, ca), angles(feature, b, cb));
        return leaf(feature, List.of(ring(a, ca, angles, fromPlace), ring(b, cb, angles, toPlace)));
    }

    private static double[] angles(String feature, double[] xy, double[] c) {
        double[] out = new double[xy.length / 2];
        for (int i = 0; i < out.length; i++) {
            out[i] = Math.atan2(xy[2 * i + 1] - c[1], xy[2 * i] - c[0]);
        }
        for (int i = 0; i < out.length; i++) {
            double turn = out[(i + 1) % out.length] - out[i];
            turn -= 2 * Math.PI * Math.floor(turn / (2 * Math.PI));
            if (!(turn > 1e-9 && turn < Math.PI)) {
                throw refuse(feature, "has an outline that cannot all be seen from its middle; give matching rings instead");
            }
        }
        return out;
    }

    private static double[] merged(double[] a, double[] b) {
        double[] all = Arrays.copyOf(a, a.length + b.length);
        System.arraycopy(b, 0, all, a.length, b.length);
        Arrays.sort(all);
        double[] out = new double[all.length];
        int n = 0;
        for (double v : all) {
            // Corners a hair apart in direction would make needles.
            if (n == 0 || v - out[n - 1] > 1e-4) {
                out[n++] = v;
            }
        }
        if (n > 1 && out[0] + 2 * Math.PI - out[n - 1] <= 1e-4) {
            n--;
        }
        return Arrays.copyOf(out, n);
    }

    private static Vec3[] ring(double[] xy, double[] c, double[] angles, Placement place) {
        Vec3[] out = new Vec3[angles.length];
        int n = xy.length / 2;
        for (int k = 0; k < out.length; k++) {
            double dx = Math.cos(angles[k]);
            double dy = Math.sin(angles[k]);
            double best = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < n; i++) {
                int j = (i + 1) % n;
                double px = xy[2 * i] - c[0];
                double py = xy[2 * i + 1] - c[1];
                double ex = xy[2 * j] - xy[2 * i];
                double ey = xy[2 * j + 1] - xy[2 * i + 1];
                double det = dx * ey - dy * ex;
                if (Math.abs(det) > 1e-15) {
                    double t = (px * ey - py * ex) / det;
                    double u = (px * dy - py * dx) / det;
                    if (t > 0 && u >= -1e-9 && u <= 1 + 1e-9) {
                        best = Math.max(best, t);
                    }
                }
            }
            // A mirrored placement turns the ring round; taken backwards it runs anticlockwise again.
            out[place.isMirror() ? out.length - 1 - k : k] = place.point(c[0] + best * dx, c[1] + best * dy, 0);
        }
        return out;
    }

    static Vec3 centre(Vec3[] ring) {
        Vec3 sum = Vec3.ZERO;
        for (Vec3 p : ring) {
            sum = sum.plus(p);
        }
        return sum.times(1.0 / ring.length);
    }

    /** Twice the directed area. */
    static Vec3 area(Vec3[] ring) {
        List<Vec3> terms = new ArrayList<>();
        for (int i = 0; i < ring.length; i++) {
            terms.add(ring[i].minus(ring[0]).cross(ring[(i + 1) % ring.length].minus(ring[0])));
        }
        return terms.stream().reduce(Vec3.ZERO, Vec3::plus);
    }

    private static SolidException refuse(String feature, String why) {
        return new SolidException("“" + feature + "” " + why + ".", List.of(feature));
    }
}
