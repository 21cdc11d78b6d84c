package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import tinperch.solid.Leaf;
import tinperch.solid.LeafEdges;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;

/**
 * The short way for the commonest plane: one convex face (a facet of a round hole, say), met by a few convex leaves in
 * general position. A leaf is then wholly away from the face, wholly round it, or cuts it along straight lines: the face
 * falls into convex cells, each in or out as a whole, and cells of the same kind are put together again along
 * their common borders. Wherever something comes near to touching, the short way declines.
 */
final class ConvexFace {
    /** Nearer than this many plane tolerances is not general position. */
    private static final double GENERAL = 100;
    private static final int MOST_CROSSING = 4;
    private static final int MOST_CELLS = 16;

    /** A convex piece of the face and the tree numbers of the leaves round it, ascending. */
    private record Cell(double[] polygon, int[] in) {}

    private final TreeLogic tree;
    private final IntFunction<EdgeTree> trees;
    private final double margin;
    private double[] distance = new double[16];

    /** @param trees for the number of a leaf the tree of its edges, null for one with few */
    ConvexFace(TreeLogic tree, IntFunction<EdgeTree> trees, Tolerances tol) {
        this.tree = tree;
        this.trees = trees;
        this.margin = GENERAL * tol.planeMm();
    }

    /** The faces in the plane, or null when the long way must be taken. */
    List<PlaneEvaluation.Found> faces(PlaneGroups.Group g, int[] present) {
        int own = g.members.get(0)[0];
        Leaf leaf = tree.leaves().get(own);
        Leaf.Face face = leaf.faces().get(g.members.get(0)[1]);
        double[] polygon = corners(leaf, face.rings()[0]);
        if (face.rings().length > 1 || !(leaf.edges().convex() || isConvex(polygon, face.normal()))) {
            return null;
        }
        int[] around = new int[present.length];
        int count = 0;
        int[] crossing = new int[MOST_CROSSING];
        int crossings = 0;
        for (int l : present) {
            if (l != own) {
                Leaf other = tree.leaves().get(l);
                Side side = other.edges().convex() ? side(polygon, other) : sideOfAny(g, polygon, l);
                if (side == Side.TOUCHING || side == Side.CROSSING && crossings == MOST_CROSSING) {
                    return null;
                }
                if (side == Side.AROUND) {
                    around[count++] = l;
                } else if (side == Side.CROSSING) {
                    crossing[crossings++] = l;
                }
            }
        }
        List<Cell> cells = List.of(new Cell(polygon, Arrays.copyOf(around, count)));
        for (int c = 0; c < crossings; c++) {
            cells = cut(cells, crossing[c]);
            if (cells == null) {
                return null;
            }
        }
        int[] looks = new int[cells.size()];
        boolean[] any = new boolean[3];
        for (int c = 0; c < looks.length; c++) {
            looks[c] = look(own, cells.get(c).in);
            any[looks[c] + 1] = true;
        }
        List<PlaneEvaluation.Found> all = new ArrayList<>(1);
        for (int look = 1; look >= -1; look -= 2) {
            if (!any[look + 1]) {
                continue;
            }
            List<double[]> pieces = new ArrayList<>(looks.length);
            for (int c = 0; c < looks.length; c++) {
                if (looks[c] == look) {
                    pieces.add(cells.get(c).polygon);
                }
            }
            List<double[]> rings = pieces.size() < 2 ? pieces : ConvexPieces.joined(pieces);
            if (rings == null) {
                return null;
            }
            for (double[] ring : rings) {
                all.add(found(g, own, look, ring));
            }
        }
        return all;
    }

    private List<Cell> cut(List<Cell> cells, int by) {
        List<Cell> next = new ArrayList<>(2 * cells.size());
        for (Cell c : cells) {
            // The whole face is known to be crossed.
            Side side = cells.size() == 1 ? Side.CROSSING : side(c.polygon, tree.leaves().get(by));
            if (side == Side.TOUCHING) {
                return null;
            }
            if (side == Side.AWAY) {
                next.add(c);
            } else if (side == Side.AROUND) {
                next.add(new Cell(c.polygon, with(c.in, by)));
            } else {
                List<double[]> outside = new ArrayList<>(2);
                double[] inside = clip(c.polygon, tree.leaves().get(by), outside);
                if (inside == null) {
                    return null;
                }
                next.add(new Cell(inside, with(c.in, by)));
                outside.forEach(o -> next.add(new Cell(o, c.in)));
            }
        }
        return next.size() > MOST_CELLS ? null : next;
    }

    private static int[] with(int[] in, int one) {
        int[] out = Arrays.copyOf(in, in.length + 1);
        out[in.length] = one;
        Arrays.sort(out);
        return out;
    }

    private enum Side { AWAY, AROUND, CROSSING, TOUCHING }

    private Side side(double[] polygon, Leaf other) {
        boolean near = false;
        boolean crosses = false;
        LeafEdges planes = other.edges();
        for (int f = 0; f < other.faces().size(); f++) {
            double lo = Double.POSITIVE_INFINITY;
            double hi = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < polygon.length; i += 3) {
                double s = planes.height(f, polygon[i], polygon[i + 1], polygon[i + 2]);
                lo = Math.min(lo, s);
                hi = Math.max(hi, s);
                near |= Math.abs(s) <= margin;
            }
            if (lo > margin) {
                return Side.AWAY;
            }
            crosses |= hi > 0;
        }
        return near ? Side.TOUCHING : crosses ? Side.CROSSING : Side.AROUND;
    }

    /** A leaf of any shape is away or round when its section has no border near the face; otherwise nothing is said. */
    private Side sideOfAny(PlaneGroups.Group g, double[] polygon, int leaf) {
        int[] axes = PlaneEvaluation.keptAxes(g.n);
        double[] box = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (int i = 0; i < polygon.length; i += 3) {
            for (int k = 0; k < 2; k++) {
                box[k] = Math.min(box[k], polygon[i + axes[k]]);
                box[2 + k] = Math.max(box[2 + k], polygon[i + axes[k]]);
            }
        }
        PlaneSection section = new PlaneSection(g.n, g.d, margin, axes[0], axes[1], box);
        section.cut(tree.leaves().get(leaf), trees.apply(leaf));
        if (section.isThere() || section.windingMinus() != section.windingPlus()) {
            return Side.TOUCHING;
        }
        return section.windingMinus() > 0 ? Side.AROUND : Side.AWAY;
    }

    private static boolean isConvex(double[] polygon, Vec3 n) {
        int m = polygon.length;
        for (int i = 0; i < m; i += 3) {
            int j = (i + 3) % m;
            int k = (i + 6) % m;
            double ax = polygon[j] - polygon[i];
            double ay = polygon[j + 1] - polygon[i + 1];
            double az = polygon[j + 2] - polygon[i + 2];
            double bx = polygon[k] - polygon[j];
            double by = polygon[k + 1] - polygon[j + 1];
            double bz = polygon[k + 2] - polygon[j + 2];
            if (n.x() * (ay * bz - az * by) + n.y() * (az * bx - ax * bz) + n.z() * (ax * by - ay * bx) < 0) {
                return false;
            }
        }
        // Turning left everywhere is convex only when it goes round once; a triangle or quadrilateral cannot do otherwise.
        return m <= 12;
    }

    /** +1 when the face is there and looks along the plane's normal, −1 against it, 0 when it is not. */
    private int look(int own, int[] in) {
        boolean above = tree.inside(in, in.length);
        boolean below = tree.inside(with(in, own), in.length + 1);
        return below == above ? 0 : below ? 1 : -1;
    }

    /**
     * The part of a convex polygon inside a convex leaf.
     *
     * @param outside receives the parts cut off
     * @return null when a cut comes too near to a corner
     */
    private double[] clip(double[] polygon, Leaf by, List<double[]> outside) {
        double[] rest = polygon;
        LeafEdges planes = by.edges();
        for (int f = 0; f < by.faces().size(); f++) {
            int n = rest.length / 3;
            if (distance.length < n) {
                distance = new double[2 * n];
            }
            double hi = Double.NEGATIVE_INFINITY;
            double lo = Double.POSITIVE_INFINITY;
            for (int i = 0; i < n; i++) {
                double s = planes.height(f, rest[3 * i], rest[3 * i + 1], rest[3 * i + 2]);
                if (Math.abs(s) <= margin) {
                    return null;
                }
                distance[i] = s;
                hi = Math.max(hi, s);
                lo = Math.min(lo, s);
            }
            if (lo > 0) {
                // Nothing is inside after all.
                return null;
            }
            if (hi > 0) {
                outside.add(half(rest, n, 1));
                rest = half(rest, n, -1);
            }
        }
        return rest;
    }

    private double[] half(double[] polygon, int n, int sign) {
        double[] out = new double[3 * (n + 2)];
        int k = 0;
        for (int i = 0; i < n; i++) {
            int j = (i + 1) % n;
            if (distance[i] * sign > 0) {
                System.arraycopy(polygon, 3 * i, out, k, 3);
                k += 3;
            }
            if (distance[i] > 0 != distance[j] > 0) {
                // From the inner to the outer end whichever half is cut, so that both halves get the same point.
                int a = distance[i] < 0 ? i : j;
                int b = distance[i] < 0 ? j : i;
                double t = distance[a] / (distance[a] - distance[b]);
                for (int c = 0; c < 3; c++) {
                    out[k++] = polygon[3 * a + c] + t * (polygon[3 * b + c] - polygon[3 * a + c]);
                }
            }
        }
        return Arrays.copyOf(out, k);
    }

    private static double[] corners(Leaf leaf, int[] ring) {
        double[] xyz = new double[3 * ring.length];
        for (int i = 0; i < ring.length; i++) {
            for (int a = 0; a < 3; a++) {
                xyz[3 * i + a] = leaf.corner(ring[i], a);
            }
        }
        return xyz;
    }

    private static PlaneEvaluation.Found found(PlaneGroups.Group g, int own, int look, double[] polygon) {
        double[] ring = polygon;
        if (look < 0) {
            ring = new double[polygon.length];
            for (int i = 0; i < ring.length; i += 3) {
                System.arraycopy(polygon, i, ring, ring.length - 3 - i, 3);
            }
        }
        return new PlaneEvaluation.Found(own, look > 0 ? g.n : g.n.times(-1), look > 0 ? g.d : -g.d, new double[][] {ring});
    }
}
