package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Solid;

/**
 * The tree with its leaves numbered in order, ready to be asked "is a point inside, that is inside just these leaves?".
 * Only branches that hold one of those leaves are walked: all others are empty there.
 */
final class TreeLogic {
    private enum Op { LEAF, UNION, DIFFERENCE, INTERSECTION }

    /** A node over the leaves {@code first} to {@code end} − 1. */
    private static final class Node {
        Op op;
        int first;
        int end;
        Node[] children;
    }

    private final Node root;
    private final List<Leaf> leaves = new ArrayList<>();
    private final List<Boolean> positive = new ArrayList<>();

    TreeLogic(Solid solid) {
        root = node(solid, true);
    }

    private Node node(Solid s, boolean adds) {
        Node n = new Node();
        n.first = leaves.size();
        if (s instanceof Leaf leaf) {
            n.op = Op.LEAF;
            leaves.add(leaf);
            positive.add(adds);
        } else if (s instanceof Solid.Union u) {
            n.op = Op.UNION;
            n.children = u.parts().stream().map(p -> node(p, adds)).toArray(Node[]::new);
        } else if (s instanceof Solid.Intersection i) {
            n.op = Op.INTERSECTION;
            n.children = i.parts().stream().map(p -> node(p, adds)).toArray(Node[]::new);
        } else if (s instanceof Solid.Difference d) {
            n.op = Op.DIFFERENCE;
            n.children = new Node[d.cuts().size() + 1];
            n.children[0] = node(d.body(), adds);
            for (int c = 1; c < n.children.length; c++) {
                n.children[c] = node(d.cuts().get(c - 1), !adds);
            }
        }
        n.end = leaves.size();
        return n;
    }

    List<Leaf> leaves() {
        return leaves;
    }

    /** Whether leaf {@code i} adds material (under an even number of subtractions). */
    boolean adds(int i) {
        return positive.get(i);
    }

    /** Whether the other tree joins the same number of leaves in the same way. */
    boolean hasShapeOf(TreeLogic other) {
        return same(root, other.root);
    }

    private static boolean same(Node a, Node b) {
        if (a.op != b.op || a.first != b.first || a.end != b.end) {
            return false;
        }
        if (a.op != Op.LEAF) {
            if (a.children.length != b.children.length) {
                return false;
            }
            for (int i = 0; i < a.children.length; i++) {
                if (!same(a.children[i], b.children[i])) {
                    return false;
                }
            }
        }
        return true;
    }

    /**
     * Whether a point is in the solid.
     *
     * @param in numbers of the leaves it lies inside, ascending; the first {@code count} are read
     */
    boolean inside(int[] in, int count) {
        return count > 0 && inside(root, in, 0, count);
    }

    private static boolean inside(Node n, int[] in, int lo, int hi) {
        if (n.op == Op.LEAF) {
            return true;
        }
        if (n.op == Op.DIFFERENCE && in[lo] >= n.children[0].end) {
            return false;
        }
        int seen = 0;
        for (int i = lo; i < hi; seen++) {
            int c = childOf(n, in[i]);
            int j = i + 1;
            while (j < hi && in[j] < n.children[c].end) {
                j++;
            }
            boolean here = inside(n.children[c], in, i, j);
            if (n.op == Op.UNION && here) {
                return true;
            }
            if (n.op == Op.INTERSECTION && !here || n.op == Op.DIFFERENCE && here == c > 0) {
                return false;
            }
            i = j;
        }
        return n.op == Op.DIFFERENCE || n.op == Op.INTERSECTION && seen == n.children.length;
    }

    /** The child that holds a leaf: the last one that begins at or before it. */
    private static int childOf(Node n, int leaf) {
        int lo = 0;
        int hi = n.children.length - 1;
        while (lo < hi) {
            int mid = (lo + hi + 1) >>> 1;
            if (n.children[mid].first <= leaf) {
                lo = mid;
            } else {
                hi = mid - 1;
            }
        }
        return lo;
    }
}
