package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Room 6: a planar polygon with holes into triangles that use every corner, corners in the middle of a straight edge
 * included (dropping those would open the mesh). Holes are joined to the outline by bridges, then ears are clipped; a grid
 * over the reflex corners keeps the containment test short.
 */
final class Triangulator {
    private final double[] x;
    private final double[] y;
    private final int[] id;
    private final int[] next;
    private final int[] prev;
    private final int[] out;
    private int count;
    private final double tol;
    private int nodes;

    private int[] cellHead;
    private int[] cellNext;
    private int cells;
    private double gx;
    private double gy;
    private double sx;
    private double sy;

    private Triangulator(int capacity, double tol) {
        this.tol = tol;
        x = new double[capacity];
        y = new double[capacity];
        id = new int[capacity];
        next = new int[capacity];
        prev = new int[capacity];
        out = new int[3 * capacity];
    }

    /**
     * Triangles of a face, three places in its corners each.
     *
     * @param rings number of corners of each ring; the outer one comes first, anticlockwise seen from outside
     * @param corners x, y, z triples, ring after ring
     * @param ax first kept axis, {@code ay} second; chosen so that seen from outside the order is kept
     * @param tol how near to a straight line counts as on it, mm
     */
    static int[] triangles(int[] rings, double[] corners, int ax, int ay, double tol) {
        int n = 2 * rings.length + corners.length / 3;
        if (corners.length == 12 && rings.length == 1) {
            int[] two = convexQuadrilateral(corners, ax, ay, tol);
            if (two != null) {
                return two;
            }
        }
        for (double t : new double[] {tol, tol * 1e-3, 0}) {
            Triangulator tri = new Triangulator(n, t);
            try {
                tri.run(rings, corners, ax, ay);
                return Arrays.copyOf(tri.out, tri.count);
            } catch (Unresolved retry) {
                if (t == 0) {
                    throw retry;
                }
            }
        }
        throw new IllegalStateException("unreachable");
    }

    /** Two triangles of the commonest face, or null when a corner of it is flat or turns inwards. */
    private static int[] convexQuadrilateral(double[] c, int ax, int ay, double tol) {
        for (int i = 0; i < 4; i++) {
            int p = 3 * i;
            int q = 3 * ((i + 1) % 4);
            int r = 3 * ((i + 2) % 4);
            double ux = c[q + ax] - c[p + ax];
            double uy = c[q + ay] - c[p + ay];
            double vx = c[r + ax] - c[p + ax];
            double vy = c[r + ay] - c[p + ay];
            double twice = ux * vy - uy * vx;
            if (!(twice > 0) || twice * twice <= tol * tol * (vx * vx + vy * vy)) {
                return null;
            }
        }
        return new int[] {0, 1, 2, 0, 2, 3};
    }

    private void run(int[] rings, double[] c, int ax, int ay) {
        int[] heads = new int[rings.length];
        for (int r = 0; r < heads.length; r++) {
            heads[r] = nodes;
            for (int i = 0; i < rings[r]; i++) {
                x[nodes] = c[3 * nodes + ax];
                y[nodes] = c[3 * nodes + ay];
                id[nodes] = nodes;
                next[nodes] = heads[r] + (i + 1) % rings[r];
                prev[nodes] = heads[r] + (i + rings[r] - 1) % rings[r];
                nodes++;
            }
        }
        if (heads.length > 1) {
            bridgeHoles(heads);
        }
        clip(heads[0]);
    }

    // ---- bridges ----

    private void bridgeHoles(int[] heads) {
        List<Integer> waiting = new ArrayList<>();
        for (int r = 1; r < heads.length; r++) {
            int best = heads[r];
            for (int i = next[best]; i != heads[r]; i = next[i]) {
                if (x[i] > x[best]) {
                    best = i;
                }
            }
            waiting.add(best);
        }
        waiting.sort((a, b) -> Double.compare(x[b], x[a]));
        while (!waiting.isEmpty()) {
            boolean any = false;
            for (int w = 0; w < waiting.size() && !any; w++) {
                int hole = waiting.get(w);
                int to = visible(hole, heads[0], waiting);
                if (to >= 0) {
                    bridge(to, hole);
                    waiting.remove(w);
                    any = true;
                }
            }
            if (!any) {
                throw new Unresolved("a hole cannot be joined to its outline");
            }
        }
    }

    /** The nearest corner of the outline that the hole's corner sees; nearly always the first or second one tried. */
    private int visible(int hole, int outer, List<Integer> waiting) {
        double triedSq = -1;
        int tried = -1;
        while (true) {
            int best = -1;
            double bestSq = Double.POSITIVE_INFINITY;
            int i = outer;
            do {
                double dx = x[i] - x[hole];
                double dy = y[i] - y[hole];
                double sq = dx * dx + dy * dy;
                boolean later = sq > triedSq || sq == triedSq && i > tried;
                if (later && (sq < bestSq || sq == bestSq && i < best)) {
                    bestSq = sq;
                    best = i;
                }
                i = next[i];
            } while (i != outer);
            if (best < 0) {
                return -1;
            }
            int to = best;
            if (inWedge(to, hole) && inWedge(hole, to) && free(hole, to, outer)
                    && waiting.stream().allMatch(h -> free(hole, to, h))) {
                return to;
            }
            triedSq = bestSq;
            tried = best;
        }
    }

    /** Whether from corner {@code i} the point {@code p} is seen through the polygon's inside. */
    private boolean inWedge(int i, int p) {
        int a = prev[i];
        int b = next[i];
        if (cross(a, i, b) > 0) {
            return cross(i, p, a) > 0 && cross(p, i, b) > 0;
        }
        return !(cross(i, p, b) >= 0 && cross(p, i, a) >= 0);
    }

    private boolean free(int p, int q, int ring) {
        int i = ring;
        do {
            int j = next[i];
            if (blocks(p, q, i, j)) {
                return false;
            }
            i = j;
        } while (i != ring);
        return true;
    }

    private boolean blocks(int p, int q, int i, int j) {
        if (Math.max(x[i], x[j]) < Math.min(x[p], x[q]) || Math.min(x[i], x[j]) > Math.max(x[p], x[q])
                || Math.max(y[i], y[j]) < Math.min(y[p], y[q]) || Math.min(y[i], y[j]) > Math.max(y[p], y[q])) {
            return false;
        }
        boolean iEnd = same(i, p) || same(i, q);
        boolean jEnd = same(j, p) || same(j, q);
        if (iEnd && jEnd) {
            return true;
        }
        double ci = cross(p, q, i);
        double cj = cross(p, q, j);
        if (iEnd || jEnd) {
            int far = iEnd ? j : i;
            double c = iEnd ? cj : ci;
            return Math.abs(c) <= tol * len(p, q) && between(p, q, far);
        }
        double cp = cross(i, j, p);
        double cq = cross(i, j, q);
        double near = tol * len(p, q);
        if (Math.abs(ci) <= near && between(p, q, i) || Math.abs(cj) <= near && between(p, q, j)) {
            return true;
        }
        return ci > 0 != cj > 0 && cp > 0 != cq > 0;
    }

    private boolean between(int p, int q, int v) {
        double dx = x[q] - x[p];
        double dy = y[q] - y[p];
        double t = (x[v] - x[p]) * dx + (y[v] - y[p]) * dy;
        return t > 0 && t < dx * dx + dy * dy;
    }

    private boolean same(int a, int b) {
        return x[a] == x[b] && y[a] == y[b];
    }

    private double len(int p, int q) {
        double dx = x[q] - x[p];
        double dy = y[q] - y[p];
        return Math.sqrt(dx * dx + dy * dy);
    }

    private void bridge(int a, int b) {
        int a2 = copy(a);
        int b2 = copy(b);
        int an = next[a];
        int bp = prev[b];
        link(a, b);
        link(b2, a2);
        link(a2, an);
        link(bp, b2);
    }

    private int copy(int i) {
        x[nodes] = x[i];
        y[nodes] = y[i];
        id[nodes] = id[i];
        return nodes++;
    }

    private void link(int a, int b) {
        next[a] = b;
        prev[b] = a;
    }

    // ---- ears ----

    private void clip(int start) {
        int left = 0;
        int i = start;
        do {
            left++;
            i = next[i];
        } while (i != start);
        if (left < 3) {
            throw new Unresolved("a face with fewer than three corners");
        }
        buildGrid(start, left);
        int stuck = 0;
        while (left > 3) {
            int a = prev[i];
            int b = next[i];
            if (isEar(a, i, b)) {
                put(a, i, b);
                link(a, b);
                next[i] = -1;
                left--;
                stuck = 0;
                // Step over the neighbour: fans from one corner make needles.
                i = next[b];
            } else {
                i = b;
                if (++stuck > left) {
                    throw new Unresolved("a face cannot be cut into triangles");
                }
            }
        }
        if (!(cross(prev[i], i, next[i]) > 0)) {
            throw new Unresolved("a face ends in a line");
        }
        put(prev[i], i, next[i]);
    }

    private void put(int a, int b, int c) {
        out[count++] = id[a];
        out[count++] = id[b];
        out[count++] = id[c];
    }

    private void buildGrid(int start, int count) {
        double minX = Double.POSITIVE_INFINITY;
        double minY = Double.POSITIVE_INFINITY;
        double maxX = Double.NEGATIVE_INFINITY;
        double maxY = Double.NEGATIVE_INFINITY;
        for (int n = 0; n < nodes; n++) {
            minX = Math.min(minX, x[n]);
            minY = Math.min(minY, y[n]);
            maxX = Math.max(maxX, x[n]);
            maxY = Math.max(maxY, y[n]);
        }
        cells = Math.max(1, (int) Math.sqrt(count));
        gx = minX;
        gy = minY;
        sx = cells / Math.max(maxX - minX, 1e-9);
        sy = cells / Math.max(maxY - minY, 1e-9);
        cellHead = new int[cells * cells];
        Arrays.fill(cellHead, -1);
        cellNext = new int[nodes];
        int i = start;
        do {
            // Convex corners never lie inside an ear without a reflex or flat one lying there too.
            if (!(cross(prev[i], i, next[i]) > tol * len(prev[i], next[i]))) {
                int c = cellOf(x[i], gx, sx) + cells * cellOf(y[i], gy, sy);
                cellNext[i] = cellHead[c];
                cellHead[c] = i;
            }
            i = next[i];
        } while (i != start);
    }

    private int cellOf(double v, double low, double scale) {
        return Math.max(0, Math.min(cells - 1, (int) ((v - low) * scale)));
    }

    private boolean isEar(int a, int i, int b) {
        double area = cross(a, i, b);
        if (!(area > tol * len(a, b)) || !(area > 0)) {
            return false;
        }
        int x0 = cellOf(Math.min(x[a], Math.min(x[i], x[b])), gx, sx);
        int x1 = cellOf(Math.max(x[a], Math.max(x[i], x[b])), gx, sx);
        int y0 = cellOf(Math.min(y[a], Math.min(y[i], y[b])), gy, sy);
        int y1 = cellOf(Math.max(y[a], Math.max(y[i], y[b])), gy, sy);
        for (int cy = y0; cy <= y1; cy++) {
            for (int cx = x0; cx <= x1; cx++) {
                for (int p = cellHead[cx + cells * cy]; p >= 0; p = cellNext[p]) {
                    if (next[p] >= 0 && p != a && p != i && p != b && inside(a, i, b, p)) {
                        return false;
                    }
                }
            }
        }
        return true;
    }

    private boolean inside(int a, int i, int b, int p) {
        if (same(p, a) || same(p, i) || same(p, b)) {
            return crossesAtShared(a, i, b, p);
        }
        return cross(a, i, p) >= -tol * len(a, i) && cross(i, b, p) >= -tol * len(i, b)
                && cross(b, a, p) >= -tol * len(b, a);
    }

    /**
     * A bridge or pinch corner at the same place as an ear's corner is harmless unless its edges enter the ear: then the
     * diagonal would cut through what hangs on it.
     */
    private boolean crossesAtShared(int a, int i, int b, int p) {
        return strictlyIn(a, i, b, prev[p]) || strictlyIn(a, i, b, next[p])
                || same(p, i) && (opens(a, i, b, prev[p]) || opens(a, i, b, next[p]));
    }

    private boolean strictlyIn(int a, int i, int b, int q) {
        return cross(a, i, q) > tol * len(a, i) && cross(i, b, q) > tol * len(i, b) && cross(b, a, q) > tol * len(b, a);
    }

    /** Whether an edge from the ear's tip to {@code q} runs through the ear. */
    private boolean opens(int a, int i, int b, int q) {
        return cross(a, i, q) > tol * len(i, q) && cross(i, b, q) > tol * len(i, q);
    }

    private double cross(int a, int b, int c) {
        return (x[b] - x[a]) * (y[c] - y[a]) - (y[b] - y[a]) * (x[c] - x[a]);
    }
}
