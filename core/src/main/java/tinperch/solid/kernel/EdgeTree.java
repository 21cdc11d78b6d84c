package tinperch.solid.kernel;

import java.util.Arrays;
import tinperch.solid.Leaf;
import tinperch.solid.LeafEdges;
import tinperch.solid.Vec3;

/** The edges of one leaf in a tree of boxes: those that meet a plane are found without asking every corner of a leaf with hundreds of them. */
final class EdgeTree {
    /** For fewer edges asking all of them is quicker. */
    static final int FEW = 60;
    private static final int LEAST = 6;

    /** Six numbers a node: min x, y, z, max x, y, z. The node k has the children 2k and 2k + 1; the first is 1. */
    private final double[] box;
    /** Edges in the order of the tree; the k-th node of the lowest row holds {@code order[start[k] … start[k + 1])}. */
    private final int[] order;
    private final int[] start;
    private final int base;

    EdgeTree(Leaf leaf) {
        LeafEdges edges = leaf.edges();
        int n = edges.count();
        base = Integer.highestOneBit(Math.max(1, (n - 1) / LEAST)) * 2;
        box = new double[12 * base];
        start = new int[base + 1];
        order = new int[n];
        double[][] middle = new double[3][n];
        for (int e = 0; e < n; e++) {
            order[e] = e;
            for (int a = 0; a < 3; a++) {
                middle[a][e] = leaf.corner(edges.low(e), a) + leaf.corner(edges.high(e), a);
            }
        }
        halve(leaf, middle, 0, n, 1);
        start[base] = n;
    }

    int count() {
        return order.length;
    }

    /** Halves the edges along the longest side of their middles, down to the lowest row of nodes. */
    private void halve(Leaf leaf, double[][] middle, int from, int to, int node) {
        if (node >= base) {
            start[node - base] = from;
            for (int a = 0; a < 3; a++) {
                double lo = Double.POSITIVE_INFINITY;
                double hi = Double.NEGATIVE_INFINITY;
                for (int i = from; i < to; i++) {
                    double p = leaf.corner(leaf.edges().low(order[i]), a);
                    double q = leaf.corner(leaf.edges().high(order[i]), a);
                    lo = Math.min(lo, Math.min(p, q));
                    hi = Math.max(hi, Math.max(p, q));
                }
                box[6 * node + a] = lo;
                box[6 * node + 3 + a] = hi;
            }
            return;
        }
        double[] along = middle[0];
        double widest = -1;
        for (double[] m : middle) {
            double lo = Double.POSITIVE_INFINITY;
            double hi = Double.NEGATIVE_INFINITY;
            for (int i = from; i < to; i++) {
                lo = Math.min(lo, m[order[i]]);
                hi = Math.max(hi, m[order[i]]);
            }
            if (hi - lo > widest) {
                widest = hi - lo;
                along = m;
            }
        }
        int half = (from + to) / 2;
        select(along, from, to - 1, half);
        halve(leaf, middle, from, half, 2 * node);
        halve(leaf, middle, half, to, 2 * node + 1);
        for (int a = 0; a < 3; a++) {
            box[6 * node + a] = Math.min(box[12 * node + a], box[12 * node + 6 + a]);
            box[6 * node + 3 + a] = Math.max(box[12 * node + 3 + a], box[12 * node + 9 + a]);
        }
    }

    /** Puts what is smaller before the k-th and what is larger behind it (Hoare 1961). */
    private void select(double[] by, int from, int to, int k) {
        int lo = from;
        int hi = to;
        while (lo < hi) {
            double pivot = by[order[(lo + hi) >>> 1]];
            int i = lo;
            int j = hi;
            while (i <= j) {
                while (by[order[i]] < pivot) {
                    i++;
                }
                while (by[order[j]] > pivot) {
                    j--;
                }
                if (i <= j) {
                    int t = order[i];
                    order[i++] = order[j];
                    order[j--] = t;
                }
            }
            if (k <= j) {
                hi = j;
            } else if (k >= i) {
                lo = i;
            } else {
                return;
            }
        }
    }

    /**
     * Finds the edges that may come within a distance of the plane {@code n · p = d}.
     *
     * @param into receives their numbers, ascending; must have room for all
     * @return how many
     */
    int near(Vec3 n, double d, double tol, int[] into) {
        int found = near(1, n, d, tol, into, 0);
        Arrays.sort(into, 0, found);
        return found;
    }

    private int near(int node, Vec3 n, double d, double tol, int[] into, int found) {
        int i = 6 * node;
        double middle = n.x() * (box[i] + box[i + 3]) + n.y() * (box[i + 1] + box[i + 4]) + n.z() * (box[i + 2] + box[i + 5]);
        double reach = Math.abs(n.x()) * (box[i + 3] - box[i]) + Math.abs(n.y()) * (box[i + 4] - box[i + 1]) + Math.abs(n.z()) * (box[i + 5] - box[i + 2]);
        // A little more than the distance: this sum is rounded otherwise than that of a corner.
        if (!(Math.abs(middle - 2 * d) <= reach + 2 * tol + 1e-9)) {
            return found;
        }
        if (node < base) {
            return near(2 * node + 1, n, d, tol, into, near(2 * node, n, d, tol, into, found));
        }
        int count = found;
        for (int k = start[node - base]; k < start[node - base + 1]; k++) {
            into[count++] = order[k];
        }
        return count;
    }
}
