package tinperch.solid.query;

import tinperch.solid.Vec3;

/** Distance of a point to the surface of a mesh. */
public final class Nearest {
    private final TriangleTree tree;
    private final Vec3 p;
    private double bestSq = Double.POSITIVE_INFINITY;
    private int best = -1;

    private Nearest(TriangleTree tree, Vec3 p) {
        this.tree = tree;
        this.p = p;
    }

    /** The shortest distance, mm; infinite for an empty mesh. */
    public static double distanceMm(TriangleTree tree, Vec3 p) {
        if (tree.order.length == 0) {
            return Double.POSITIVE_INFINITY;
        }
        Nearest n = new Nearest(tree, p);
        n.walk(0);
        return Math.sqrt(n.bestSq);
    }

    /** The shortest distance, mm, where it is less than so much, else that. */
    public static double distanceMm(TriangleTree tree, Vec3 p, double mostMm) {
        if (tree.order.length == 0 || !(mostMm > 0)) {
            return mostMm;
        }
        Nearest n = new Nearest(tree, p);
        n.bestSq = mostMm * mostMm;
        n.walk(0);
        return Math.sqrt(n.bestSq);
    }

    /** The triangle nearest to a point; the mesh must have one. */
    public static int triangle(TriangleTree tree, Vec3 p) {
        Nearest n = new Nearest(tree, p);
        n.walk(0);
        return n.best;
    }

    /** The place of a triangle that is nearest to a point. */
    public static Vec3 onTriangle(Vec3 p, Vec3 a, Vec3 b, Vec3 c) {
        Vec3 n = b.minus(a).cross(c.minus(a));
        double nn = n.dot(n);
        if (nn > 0 && n.dot(b.minus(a).cross(p.minus(a))) >= 0 && n.dot(c.minus(b).cross(p.minus(b))) >= 0 && n.dot(a.minus(c).cross(p.minus(c))) >= 0) {
            return p.minus(n.times(n.dot(p.minus(a)) / nn));
        }
        Vec3 best = onSegment(p, a, b);
        for (Vec3 q : new Vec3[] {onSegment(p, b, c), onSegment(p, c, a)}) {
            best = q.minus(p).length() < best.minus(p).length() ? q : best;
        }
        return best;
    }

    private static Vec3 onSegment(Vec3 p, Vec3 a, Vec3 b) {
        Vec3 d = b.minus(a);
        double len = d.dot(d);
        return a.plus(d.times(len > 0 ? Math.max(0, Math.min(1, p.minus(a).dot(d) / len)) : 0));
    }

    private void walk(int node) {
        if (tree.isLeaf(node)) {
            for (int i = 0; i < tree.count(node); i++) {
                double before = bestSq;
                triangle(tree.order[tree.first(node) + i]);
                best = bestSq < before ? tree.order[tree.first(node) + i] : best;
            }
            return;
        }
        int a = tree.child(node);
        double da = tree.boxDistanceSq(a, p.x(), p.y(), p.z());
        double db = tree.boxDistanceSq(a + 1, p.x(), p.y(), p.z());
        for (int k = 0; k < 2; k++) {
            boolean first = da <= db == (k == 0);
            if ((first ? da : db) < bestSq) {
                walk(first ? a : a + 1);
            }
        }
    }

    /** Closest place on a triangle by its regions (Ericson, "Real-Time Collision Detection", 5.1.5, value from memory). */
    private void triangle(int t) {
        Vec3 a = tree.point(t, 0);
        Vec3 b = tree.point(t, 1);
        Vec3 c = tree.point(t, 2);
        Vec3 ab = b.minus(a);
        Vec3 ac = c.minus(a);
        Vec3 n = ab.cross(ac);
        double nn = n.dot(n);
        Vec3 ap = p.minus(a);
        if (nn > 0 && n.dot(ab.cross(ap)) >= 0 && n.dot(c.minus(b).cross(p.minus(b))) >= 0
                && n.dot(a.minus(c).cross(p.minus(c))) >= 0) {
            double h = n.dot(ap);
            bestSq = Math.min(bestSq, h * h / nn);
            return;
        }
        segment(a, b);
        segment(b, c);
        segment(c, a);
    }

    private void segment(Vec3 a, Vec3 b) {
        Vec3 d = b.minus(a);
        double len = d.dot(d);
        double t = len > 0 ? Math.max(0, Math.min(1, p.minus(a).dot(d) / len)) : 0;
        Vec3 v = p.minus(a).minus(d.times(t));
        bestSq = Math.min(bestSq, v.dot(v));
    }
}
