package tinperch.solid.query;

import tinperch.solid.Bounds;

/** How far a box surely lies from a surface: its triangles are taken as the boxes round them, so flat faces along x, y and z are told exactly and others as nearer than they are. */
public final class BoxGap {
    private final TriangleTree tree;
    private final Bounds of;
    private double bestSq;

    private BoxGap(TriangleTree tree, Bounds of, double mostMm) {
        this.tree = tree;
        this.of = of;
        bestSq = mostMm * mostMm;
    }

    /** Never more than the true distance, mm; at most so much. */
    public static double atLeastMm(TriangleTree tree, Bounds box, double mostMm) {
        if (tree.order.length == 0 || !(mostMm > 0)) {
            return mostMm;
        }
        BoxGap g = new BoxGap(tree, box, mostMm);
        g.walk(0);
        return Math.sqrt(g.bestSq);
    }

    private void walk(int node) {
        int o = 6 * node;
        if (apartSq(tree.box[o], tree.box[o + 1], tree.box[o + 2], tree.box[o + 3], tree.box[o + 4], tree.box[o + 5]) >= bestSq) {
            return;
        }
        if (!tree.isLeaf(node)) {
            walk(tree.child(node));
            walk(tree.child(node) + 1);
            return;
        }
        for (int i = 0; i < tree.count(node); i++) {
            int t = 3 * tree.order[tree.first(node) + i];
            double[] lo = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
            double[] hi = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
            for (int c = 0; c < 9; c++) {
                double v = tree.xyz[3 * tree.corner[t + c / 3] + c % 3];
                lo[c % 3] = Math.min(lo[c % 3], v);
                hi[c % 3] = Math.max(hi[c % 3], v);
            }
            bestSq = Math.min(bestSq, apartSq(lo[0], lo[1], lo[2], hi[0], hi[1], hi[2]));
        }
    }

    private double apartSq(double x0, double y0, double z0, double x1, double y1, double z1) {
        double x = Math.max(0, Math.max(x0 - of.max().x(), of.min().x() - x1));
        double y = Math.max(0, Math.max(y0 - of.max().y(), of.min().y() - y1));
        double z = Math.max(0, Math.max(z0 - of.max().z(), of.min().z() - z1));
        return x * x + y * y + z * z;
    }
}
