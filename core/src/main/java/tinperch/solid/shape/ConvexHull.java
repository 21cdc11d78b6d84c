package tinperch.solid.shape;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tinperch.solid.Leaf;
import tinperch.solid.SolidException;
import tinperch.solid.Vec3;

/**
 * The convex hull of points as triangles. Incremental: a point outside takes away the triangles that see it and closes the
 * rim with new ones. Points within a thousandth of a millimetre of another or of the hull so far change nothing, so the
 * hull may lie that much inside the true one. Of the order n · triangles.
 */
public final class ConvexHull {
    private static final double NEAR_MM = 1e-3;
    /** Triangles a new point lies in the plane of go too, or it would make one without area with their rim. */
    private static final double FLAT_MM = 1e-7;

    private ConvexHull() {}

    /**
     * The leaf.
     *
     * @throws SolidException when the points lie in one plane or are fewer than four
     */
    public static Leaf leaf(String feature, List<Vec3> given) {
        for (Vec3 p : given) {
            if (!p.isFinite()) {
                throw new SolidException("“" + feature + "” has a point that is not a number.", List.of(feature));
            }
        }
        List<Vec3> points = apart(given);
        int[] start = tetrahedron(feature, points);
        List<int[]> triangles = new ArrayList<>();
        Vec3 middle = Vec3.ZERO;
        for (int i : start) {
            middle = middle.plus(points.get(i).times(0.25));
        }
        int[][] sides = {{0, 1, 2}, {0, 3, 1}, {1, 3, 2}, {2, 3, 0}};
        for (int[] s : sides) {
            int[] t = {start[s[0]], start[s[1]], start[s[2]]};
            if (height(points, t, middle) > 0) {
                int swap = t[1];
                t[1] = t[2];
                t[2] = swap;
            }
            triangles.add(t);
        }
        for (int p = 0; p < points.size(); p++) {
            add(points, triangles, p);
        }
        Map<Integer, Integer> number = new HashMap<>();
        List<int[][]> faces = new ArrayList<>();
        List<Vec3> used = new ArrayList<>();
        for (int[] t : triangles) {
            int[] ring = new int[3];
            for (int k = 0; k < 3; k++) {
                int p = t[k];
                ring[k] = number.computeIfAbsent(p, q -> {
                    used.add(points.get(q));
                    return used.size() - 1;
                });
            }
            faces.add(new int[][] {ring});
        }
        double[] xyz = new double[3 * used.size()];
        for (int i = 0; i < used.size(); i++) {
            xyz[3 * i] = used.get(i).x();
            xyz[3 * i + 1] = used.get(i).y();
            xyz[3 * i + 2] = used.get(i).z();
        }
        return Leaf.of(feature, xyz, faces);
    }

    private static List<Vec3> apart(List<Vec3> given) {
        List<Vec3> kept = new ArrayList<>(given.size());
        for (Vec3 p : given) {
            if (kept.stream().noneMatch(q -> q.distanceTo(p) < NEAR_MM)) {
                kept.add(p);
            }
        }
        return kept;
    }

    private static void add(List<Vec3> points, List<int[]> triangles, int p) {
        int highest = -1;
        double height = NEAR_MM;
        Map<Long, Integer> at = new HashMap<>(6 * triangles.size());
        for (int t = 0; t < triangles.size(); t++) {
            double h = height(points, triangles.get(t), points.get(p));
            if (h > height) {
                height = h;
                highest = t;
            }
            for (int k = 0; k < 3; k++) {
                at.put(edge(triangles.get(t), k), t);
            }
        }
        if (highest < 0) {
            return;
        }
        // From the triangle seen best across edges to all others seen: one patch, so its rim is one loop.
        Set<Integer> seen = new HashSet<>(Set.of(highest));
        ArrayDeque<Integer> open = new ArrayDeque<>(seen);
        List<int[]> rim = new ArrayList<>();
        while (!open.isEmpty()) {
            int[] t = triangles.get(open.poll());
            for (int k = 0; k < 3; k++) {
                int other = at.get((long) t[(k + 1) % 3] << 32 | t[k]);
                if (!seen.contains(other) && height(points, triangles.get(other), points.get(p)) > -FLAT_MM) {
                    seen.add(other);
                    open.add(other);
                }
            }
        }
        List<int[]> kept = new ArrayList<>(triangles.size() + 4);
        for (int t = 0; t < triangles.size(); t++) {
            if (!seen.contains(t)) {
                kept.add(triangles.get(t));
                continue;
            }
            for (int k = 0; k < 3; k++) {
                int[] tri = triangles.get(t);
                if (!seen.contains(at.get((long) tri[(k + 1) % 3] << 32 | tri[k]))) {
                    rim.add(new int[] {tri[k], tri[(k + 1) % 3], p});
                }
            }
        }
        kept.addAll(rim);
        triangles.clear();
        triangles.addAll(kept);
    }

    private static long edge(int[] t, int k) {
        return (long) t[k] << 32 | t[(k + 1) % 3];
    }

    /** Height of a point over a triangle, mm; positive outside. */
    private static double height(List<Vec3> points, int[] t, Vec3 p) {
        Vec3 a = points.get(t[0]);
        Vec3 n = points.get(t[1]).minus(a).cross(points.get(t[2]).minus(a));
        return n.dot(p.minus(a)) / Math.max(1e-300, n.length());
    }

    private static int[] tetrahedron(String feature, List<Vec3> points) {
        if (points.size() < 4) {
            throw new SolidException("“" + feature + "” needs at least four points.", List.of(feature));
        }
        int a = 0;
        int b = farthest(points, p -> p.distanceTo(points.get(a)));
        Vec3 ab = points.get(b).minus(points.get(a));
        int c = farthest(points, p -> p.minus(points.get(a)).cross(ab).length());
        Vec3 n = ab.cross(points.get(c).minus(points.get(a)));
        int d = farthest(points, p -> Math.abs(p.minus(points.get(a)).dot(n)));
        double thick = Math.abs(points.get(d).minus(points.get(a)).dot(n)) / Math.max(1e-300, n.length());
        if (!(thick > 1e-6)) {
            throw new SolidException("The points of “" + feature + "” lie in one plane; they enclose nothing.",
                    List.of(feature));
        }
        return new int[] {a, b, c, d};
    }

    private static int farthest(List<Vec3> points, java.util.function.ToDoubleFunction<Vec3> measure) {
        int best = 0;
        for (int i = 1; i < points.size(); i++) {
            if (measure.applyAsDouble(points.get(i)) > measure.applyAsDouble(points.get(best))) {
                best = i;
            }
        }
        return best;
    }
}
