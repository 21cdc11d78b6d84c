package tinperch.solid.query;

import tinperch.solid.Placement;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;

/**
 * The gap between two solids, the second one moved. Box trees are walked together, nearer pairs first; pairs of boxes or
 * triangles farther apart than the best so far are passed over: along the axes, or along the direction of the best gap so
 * far, which is what tells quickly for curved surfaces facing each other.
 *
 * @param gapMm shortest distance, 0 when they touch or intersect
 * @param onFirst the place on the first solid, {@code onSecond} on the second
 * @param depthMm how deep they are in one another: the farthest that a corner of either, or the middle of a piece of
 *     a triangle's edge, lies within the other, measured to its surface; 0 when they do not intersect
 */
public record Clearance(double gapMm, Vec3 onFirst, Vec3 onSecond, double depthMm) {

    public boolean intersects() {
        return depthMm > 0;
    }

    /** Whether the gap is smaller than {@code limitMm}; true also when one solid is inside the other. Stops at the first pair. */
    public static boolean closerThan(TriangleTree a, TriangleTree b, Placement bPlace, double limitMm) {
        Search s = new Search(a, b, bPlace, limitMm * limitMm, true);
        s.walk(0, 0);
        return s.found || swallowed(a, b, bPlace);
    }

    /** The exact gap, and how deep they are in one another when there is none. */
    public static Clearance between(TriangleTree a, TriangleTree b, Placement bPlace) {
        return between(a, b, bPlace, Stop.NEVER);
    }

    /**
     * The same, for as long as somebody waits for it.
     *
     * @throws Stop.Stopped when nobody does any more
     */
    public static Clearance between(TriangleTree a, TriangleTree b, Placement bPlace, Stop stop) {
        Search s = new Search(a, b, bPlace, Double.POSITIVE_INFINITY, false);
        s.stop = stop;
        s.walk(0, 0);
        return s.answer();
    }

    /**
     * The same, helped by the answer for an earlier pose.
     *
     * @param movedMm no point of the second solid has moved farther than this since
     */
    public static Clearance between(TriangleTree a, TriangleTree b, Placement bPlace, Clearance before, double movedMm) {
        double bound = before.gapMm + movedMm;
        Search s = new Search(a, b, bPlace, bound * bound * (1 + 1e-9) + 1e-12, false);
        s.look(before.onSecond.minus(before.onFirst));
        s.walk(0, 0);
        // A bound that was too small finds nothing; then the question is asked afresh.
        return s.found ? s.answer() : between(a, b, bPlace);
    }

    /** Whether one solid lies wholly inside the other (then no surfaces need be near). */
    private static boolean swallowed(TriangleTree a, TriangleTree b, Placement bPlace) {
        if (a.mesh().triangleCount() == 0 || b.mesh().triangleCount() == 0) {
            return false;
        }
        Vec3 pb = bPlace.point(b.xyz[0], b.xyz[1], b.xyz[2]);
        return new Rays(a).inside(pb) || new Rays(b).inside(bPlace.local(a.point(0, 0)));
    }

    /** One walk down both trees; coordinates of the second solid are brought into the first one's frame. */
    private static final class Search {
        /** Nodes with no more triangles than this are measured along the direction one by one, once. */
        private static final int SMALL = 64;
        /** Whether anybody still waits is asked once in so many pairs of boxes. */
        private static final int ASK_EVERY = 64;

        private final TriangleTree a;
        private final TriangleTree b;
        /** Where the second solid's axes go, row by row, and its origin. */
        private final double[] m;
        private final double[] o;
        private final boolean shifted;
        private final Placement place;
        private boolean looking;
        private double dx;
        private double dy;
        private double dz;
        private final double[] local = new double[3];
        private double origin;
        private double[] lows = new double[TriangleTree.LEAF];
        private boolean better;
        private int version;
        private final double[] highs;
        private final int[] highMade;
        private final double[] nodeLows;
        private final int[] lowMade;
        private final TriangleDistance pair = new TriangleDistance();
        private final double[] ta = new double[9];
        private final double[] tb = new double[9];
        private final boolean any;
        private double bestSq;
        private boolean found;
        private Stop stop = Stop.NEVER;
        private int looked;
        private final double[] where = new double[6];

        Search(TriangleTree a, TriangleTree b, Placement p, double startSq, boolean any) {
            this.a = a;
            this.b = b;
            this.any = any;
            this.place = p;
            highs = new double[a.link.length / 2];
            highMade = new int[highs.length];
            nodeLows = new double[b.link.length / 2];
            lowMade = new int[nodeLows.length];
            this.bestSq = startSq;
            m = new double[] {p.u().x(), p.v().x(), p.w().x(), p.u().y(), p.v().y(), p.w().y(), p.u().z(), p.v().z(), p.w().z()};
            o = new double[] {p.origin().x(), p.origin().y(), p.origin().z()};
            shifted = p.u().equals(Vec3.X) && p.v().equals(Vec3.Y) && p.w().equals(Vec3.Z);
            if (a.order.length > 0 && b.order.length > 0) {
                // Until something nearer is known: from middle to middle.
                Vec3 to = new Vec3(b.box[0] + b.box[3], b.box[1] + b.box[4], b.box[2] + b.box[5]).times(0.5);
                look(p.point(to.x(), to.y(), to.z())
                        .minus(new Vec3(a.box[0] + a.box[3], a.box[1] + a.box[4], a.box[2] + a.box[5]).times(0.5)));
            }
        }

        Clearance answer() {
            double gap = Math.sqrt(bestSq);
            boolean meet = gap <= 1e-12 || swallowed(a, b, place);
            return new Clearance(meet ? 0 : gap, new Vec3(where[0], where[1], where[2]), new Vec3(where[3], where[4], where[5]),
                    meet ? Penetration.depthMm(a, b, place, stop) : 0);
        }

        /** Takes a direction to tell things apart along. */
        void look(Vec3 way) {
            double length = way.length();
            if (length > 1e-9) {
                dx = way.x() / length;
                dy = way.y() / length;
                dz = way.z() / length;
                // The same direction as the second solid's boxes see it.
                for (int c = 0; c < 3; c++) {
                    local[c] = m[c] * dx + m[3 + c] * dy + m[6 + c] * dz;
                }
                origin = o[0] * dx + o[1] * dy + o[2] * dz;
                looking = true;
                version++;
            }
        }

        /** How far two boxes are apart along the direction, mm; negative when they overlap in it. */
        private double apartAlong(int na, int nb) {
            int i = 6 * na;
            int j = 6 * nb;
            double hi = a.count(na) <= SMALL ? highOfNode(na) : dx * (dx > 0 ? a.box[i + 3] : a.box[i]) + dy * (dy > 0 ? a.box[i + 4] : a.box[i + 1])
                    + dz * (dz > 0 ? a.box[i + 5] : a.box[i + 2]);
            double lo = b.count(nb) <= SMALL ? lowOfNode(nb) : origin + local[0] * (local[0] > 0 ? b.box[j] : b.box[j + 3])
                    + local[1] * (local[1] > 0 ? b.box[j + 1] : b.box[j + 4])
                    + local[2] * (local[2] > 0 ? b.box[j + 2] : b.box[j + 5]);
            return lo - hi;
        }

        /** A box of the second solid is brought over when it is looked at: moving a solid costs nothing. */
        private double apartSq(int na, int nb) {
            int i = 6 * na;
            int j = 6 * nb;
            double sum = 0;
            for (int k = 0; k < 3; k++) {
                double lo;
                double hi;
                if (shifted) {
                    lo = b.box[j + k] + o[k];
                    hi = b.box[j + 3 + k] + o[k];
                } else {
                    double mid = o[k];
                    double half = 0;
                    for (int c = 0; c < 3; c++) {
                        mid += m[3 * k + c] * (b.box[j + c] + b.box[j + 3 + c]) / 2;
                        half += Math.abs(m[3 * k + c]) * (b.box[j + 3 + c] - b.box[j + c]) / 2;
                    }
                    lo = mid - half;
                    hi = mid + half;
                }
                double d = Math.max(a.box[i + k] - hi, lo - a.box[i + 3 + k]);
                if (d > 0) {
                    sum += d * d;
                }
            }
            if (looking && sum < bestSq) {
                double along = apartAlong(na, nb);
                if (along > 0) {
                    sum = Math.max(sum, along * along);
                }
            }
            return sum;
        }

        private double size(double[] box, int n) {
            double dx = box[6 * n + 3] - box[6 * n];
            double dy = box[6 * n + 4] - box[6 * n + 1];
            double dz = box[6 * n + 5] - box[6 * n + 2];
            return dx * dx + dy * dy + dz * dz;
        }

        void walk(int na, int nb) {
            if (a.order.length == 0 || b.order.length == 0) {
                return;
            }
            if (!(apartSq(na, nb) < bestSq)) {
                return;
            }
            descend(na, nb);
        }

        private void descend(int na, int nb) {
            if (looked++ % ASK_EVERY == 0) {
                stop.check();
            }
            boolean leafA = a.isLeaf(na);
            boolean leafB = b.isLeaf(nb);
            if (leafA && leafB) {
                leaves(na, nb);
                return;
            }
            int a0 = na;
            int a1 = na;
            int b0 = nb;
            int b1 = nb;
            if (leafB || !leafA && size(a.box, na) >= size(b.box, nb)) {
                a0 = a.child(na);
                a1 = a0 + 1;
            } else {
                b0 = b.child(nb);
                b1 = b0 + 1;
            }
            double d0 = apartSq(a0, b0);
            double d1 = apartSq(a1, b1);
            for (int k = 0; k < 2; k++) {
                boolean firstOne = d0 <= d1 == (k == 0);
                if ((firstOne ? d0 : d1) < bestSq && !(any && found)) {
                    descend(firstOne ? a0 : a1, firstOne ? b0 : b1);
                }
            }
        }

        private void leaves(int na, int nb) {
            if (looking && apartAlong(na, nb) >= Math.sqrt(bestSq)) {
                return;
            }
            int countA = a.count(na);
            int countB = b.count(nb);
            // Along the direction first: one number a triangle tells most pairs apart.
            double best = Math.sqrt(bestSq);
            double lowest = Double.POSITIVE_INFINITY;
            if (lows.length < countB) {
                lows = new double[countB];
            }
            for (int j = 0; j < countB; j++) {
                lows[j] = looking ? lowOf(b.order[b.first(nb) + j]) : Double.NEGATIVE_INFINITY;
                lowest = Math.min(lowest, lows[j]);
            }
            for (int i = 0; i < countA; i++) {
                int t = a.order[a.first(na) + i];
                double high = looking ? highOf(t) : 0;
                if (lowest - high >= best) {
                    continue;
                }
                for (int k = 0; k < 3; k++) {
                    System.arraycopy(a.xyz, 3 * a.corner[3 * t + k], ta, 3 * k, 3);
                }
                for (int j = 0; j < countB; j++) {
                    if (lows[j] - high >= best) {
                        continue;
                    }
                    bring(b.order[b.first(nb) + j]);
                    if (boxesApartSq(ta, tb) >= bestSq) {
                        continue;
                    }
                    double sq = pair.squared(ta, tb);
                    if (sq < bestSq) {
                        bestSq = sq;
                        found = true;
                        System.arraycopy(pair.p, 0, where, 0, 3);
                        System.arraycopy(pair.q, 0, where, 3, 3);
                        if (any) {
                            return;
                        }
                        better = true;
                        best = Math.sqrt(bestSq);
                    }
                }
            }
            if (better) {
                // The new direction serves from the next leaves on; these were sorted by the old one.
                better = false;
                look(new Vec3(where[3] - where[0], where[4] - where[1], where[5] - where[2]));
            }
        }

        /** How far a small node of the first solid reaches along the direction; boxes tell this poorly for slanting surfaces. */
        private double highOfNode(int node) {
            if (highMade[node] != version) {
                double high = Double.NEGATIVE_INFINITY;
                if (a.isLeaf(node)) {
                    for (int i = 0; i < a.count(node); i++) {
                        high = Math.max(high, highOf(a.order[a.first(node) + i]));
                    }
                } else {
                    high = Math.max(highOfNode(a.child(node)), highOfNode(a.child(node) + 1));
                }
                highs[node] = high;
                highMade[node] = version;
            }
            return highs[node];
        }

        private double lowOfNode(int node) {
            if (lowMade[node] != version) {
                double low = Double.POSITIVE_INFINITY;
                if (b.isLeaf(node)) {
                    for (int i = 0; i < b.count(node); i++) {
                        low = Math.min(low, lowOf(b.order[b.first(node) + i]));
                    }
                } else {
                    low = Math.min(lowOfNode(b.child(node)), lowOfNode(b.child(node) + 1));
                }
                nodeLows[node] = low;
                lowMade[node] = version;
            }
            return nodeLows[node];
        }

        private double highOf(int t) {
            double high = Double.NEGATIVE_INFINITY;
            for (int k = 0; k < 3; k++) {
                int p = 3 * a.corner[3 * t + k];
                high = Math.max(high, dx * a.xyz[p] + dy * a.xyz[p + 1] + dz * a.xyz[p + 2]);
            }
            return high;
        }

        private double lowOf(int t) {
            double low = Double.POSITIVE_INFINITY;
            for (int k = 0; k < 3; k++) {
                int p = 3 * b.corner[3 * t + k];
                low = Math.min(low, local[0] * b.xyz[p] + local[1] * b.xyz[p + 1] + local[2] * b.xyz[p + 2]);
            }
            return origin + low;
        }

        private static double boxesApartSq(double[] s, double[] t) {
            double sum = 0;
            for (int k = 0; k < 3; k++) {
                double d = Math.max(
                        Math.min(s[k], Math.min(s[3 + k], s[6 + k])) - Math.max(t[k], Math.max(t[3 + k], t[6 + k])),
                        Math.min(t[k], Math.min(t[3 + k], t[6 + k])) - Math.max(s[k], Math.max(s[3 + k], s[6 + k])));
                if (d > 0) {
                    sum += d * d;
                }
            }
            return sum;
        }

        /** A triangle of the second solid in the first one's frame. */
        private void bring(int t) {
            for (int k = 0; k < 3; k++) {
                int p = 3 * b.corner[3 * t + k];
                for (int r = 0; r < 3; r++) {
                    tb[3 * k + r] = shifted ? b.xyz[p + r] + o[r]
                            : o[r] + m[3 * r] * b.xyz[p] + m[3 * r + 1] * b.xyz[p + 1] + m[3 * r + 2] * b.xyz[p + 2];
                }
            }
        }
    }
}
