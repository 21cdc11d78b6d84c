package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Room 3: the segments of all leaves in one plane, cut wherever they meet, so that afterwards two edges share at most
 * their ends. An edge remembers how many times each leaf's lower and upper section runs along it.
 *
 * <p>Algorithm: weld the ends, find near pairs on a grid, split at ends lying on edges and at proper crossings, repeat
 * with what changed until nothing does. Welding moves a split edge by at most the tolerance, so this ends quickly.
 */
final class Arrangement {
    private static final int MOST_ROUNDS = 12;

    private final double tol;
    private final int ax;
    private final int ay;
    private final PointWeld weld;
    private double[] px = new double[32];
    private double[] py = new double[32];

    private int edges;
    private int[] from = new int[32];
    private int[] to = new int[32];
    private int[] first = new int[32];
    private boolean[] gone = new boolean[32];
    private boolean[] fresh = new boolean[32];
    private boolean[] wanted = new boolean[32];
    private final LongIntMap byEnds = new LongIntMap(32);

    private int uses;
    private int[] useNext = new int[64];
    private int[] useLeaf = new int[64];
    private int[] useMinus = new int[64];
    private int[] usePlus = new int[64];

    private double[][] boxes = new double[0][];

    Arrangement(double tol, int ax, int ay) {
        this.tol = tol;
        this.ax = ax;
        this.ay = ay;
        this.weld = new PointWeld(tol, 32);
    }

    int vertex(double x, double y, double z) {
        int before = weld.size();
        int i = weld.number(x, y, z);
        if (i == before) {
            if (i == px.length) {
                px = Arrays.copyOf(px, 2 * i);
                py = Arrays.copyOf(py, 2 * i);
            }
            px[i] = ax == 0 ? x : ax == 1 ? y : z;
            py[i] = ay == 0 ? x : ay == 1 ? y : z;
        }
        return i;
    }

    void segment(int a, int b, int leaf, int minus, int plus) {
        if (a != b) {
            int e = a < b ? edge(a, b) : edge(b, a);
            int sign = a < b ? 1 : -1;
            use(e, leaf, sign * minus, sign * plus);
        }
    }

    private int edge(int a, int b) {
        long key = LongIntMap.pair(a, b);
        int e = byEnds.get(key);
        if (e >= 0) {
            return e;
        }
        if (edges == from.length) {
            int n = 2 * edges;
            from = Arrays.copyOf(from, n);
            to = Arrays.copyOf(to, n);
            first = Arrays.copyOf(first, n);
            gone = Arrays.copyOf(gone, n);
            fresh = Arrays.copyOf(fresh, n);
            wanted = Arrays.copyOf(wanted, n);
        }
        from[edges] = a;
        to[edges] = b;
        first[edges] = -1;
        gone[edges] = false;
        fresh[edges] = true;
        byEnds.put(key, edges);
        return edges++;
    }

    private void use(int e, int leaf, int minus, int plus) {
        for (int u = first[e]; u >= 0; u = useNext[u]) {
            if (useLeaf[u] == leaf) {
                useMinus[u] += minus;
                usePlus[u] += plus;
                return;
            }
        }
        if (uses == useNext.length) {
            int n = 2 * uses;
            useNext = Arrays.copyOf(useNext, n);
            useLeaf = Arrays.copyOf(useLeaf, n);
            useMinus = Arrays.copyOf(useMinus, n);
            usePlus = Arrays.copyOf(usePlus, n);
        }
        useNext[uses] = first[e];
        useLeaf[uses] = leaf;
        useMinus[uses] = minus;
        usePlus[uses] = plus;
        first[e] = uses++;
    }

    /**
     * Cuts all edges that touch one of the boxes; the others only serve to decide what is inside.
     *
     * @param regions boxes {minX, minY, maxX, maxY}
     */
    void resolve(double[][] regions) {
        boxes = regions;
        for (int e = 0; e < edges; e++) {
            wanted[e] = touchesRegion(e);
        }
        for (int round = 0; round < MOST_ROUNDS; round++) {
            List<int[]> splits = findSplits();
            if (splits.isEmpty()) {
                return;
            }
            apply(splits);
        }
        throw new Unresolved("segments of one plane keep meeting");
    }

    private boolean touchesRegion(int e) {
        double x0 = Math.min(px[from[e]], px[to[e]]) - tol;
        double x1 = Math.max(px[from[e]], px[to[e]]) + tol;
        double y0 = Math.min(py[from[e]], py[to[e]]) - tol;
        double y1 = Math.max(py[from[e]], py[to[e]]) + tol;
        for (double[] b : boxes) {
            if (x0 <= b[2] && x1 >= b[0] && y0 <= b[3] && y1 >= b[1]) {
                return true;
            }
        }
        return false;
    }

    /** Whether the middle of an edge lies in a region, so that the result may have a border there. */
    boolean matters(int e) {
        if (gone[e] || !wanted[e] || !counts(e)) {
            return false;
        }
        double x = midX(e);
        double y = midY(e);
        for (double[] b : boxes) {
            if (x >= b[0] - tol && x <= b[2] + tol && y >= b[1] - tol && y <= b[3] + tol) {
                return true;
            }
        }
        return false;
    }

    /** Whether some region holds both the middle of an edge and a vertex. */
    boolean sharesRegion(int e, int v) {
        double x = midX(e);
        double y = midY(e);
        for (double[] b : boxes) {
            if (x >= b[0] - tol && x <= b[2] + tol && y >= b[1] - tol && y <= b[3] + tol
                    && px[v] >= b[0] - tol && px[v] <= b[2] + tol && py[v] >= b[1] - tol && py[v] <= b[3] + tol) {
                return true;
            }
        }
        return false;
    }

    /** Whether the edge is there and its uses do not cancel. */
    boolean counts(int e) {
        if (!gone[e]) {
            for (int u = first[e]; u >= 0; u = useNext[u]) {
                if (useMinus[u] != 0 || usePlus[u] != 0) {
                    return true;
                }
            }
        }
        return false;
    }

    private List<int[]> findSplits() {
        List<int[]> splits = new ArrayList<>();
        boolean any = false;
        for (int e = 0; e < edges && !any; e++) {
            any = !gone[e] && wanted[e] && fresh[e];
        }
        if (!any) {
            // Cutting an edge exactly on its line meets nothing new.
            return splits;
        }
        EdgeGrid grid = new EdgeGrid(this);
        for (int e = 0; e < edges; e++) {
            if (!gone[e] && wanted[e]) {
                grid.add(e);
            }
        }
        grid.eachNearPair((e, f) -> {
            if (fresh[e] || fresh[f]) {
                meet(e, f, splits);
            }
        });
        for (int e = 0; e < edges; e++) {
            fresh[e] = false;
        }
        return splits;
    }

    private void meet(int e, int f, List<int[]> splits) {
        boolean touched = splitAtEnd(e, from[f], splits);
        touched |= splitAtEnd(e, to[f], splits);
        touched |= splitAtEnd(f, from[e], splits);
        touched |= splitAtEnd(f, to[e], splits);
        if (touched || sharesEnd(e, f)) {
            return;
        }
        int a = from[e];
        int b = to[e];
        int c = from[f];
        int d = to[f];
        double abx = px[b] - px[a];
        double aby = py[b] - py[a];
        double sc = abx * (py[c] - py[a]) - aby * (px[c] - px[a]);
        double sd = abx * (py[d] - py[a]) - aby * (px[d] - px[a]);
        double cdx = px[d] - px[c];
        double cdy = py[d] - py[c];
        double sa = cdx * (py[a] - py[c]) - cdy * (px[a] - px[c]);
        double sb = cdx * (py[b] - py[c]) - cdy * (px[b] - px[c]);
        if (sc > 0 == sd > 0 || sa > 0 == sb > 0) {
            return;
        }
        double t = sa / (sa - sb);
        int v = vertex(
                weld.x(a) + t * (weld.x(b) - weld.x(a)),
                weld.y(a) + t * (weld.y(b) - weld.y(a)),
                weld.z(a) + t * (weld.z(b) - weld.z(a)));
        if (v != a && v != b) {
            splits.add(new int[] {e, v});
        }
        if (v != c && v != d) {
            splits.add(new int[] {f, v});
        }
    }

    private boolean sharesEnd(int e, int f) {
        return from[e] == from[f] || from[e] == to[f] || to[e] == from[f] || to[e] == to[f];
    }

    /** Notes a split of {@code e} at vertex {@code v} when it lies on the edge between the ends. */
    private boolean splitAtEnd(int e, int v, List<int[]> splits) {
        int a = from[e];
        int b = to[e];
        if (v == a || v == b) {
            return false;
        }
        double dx = px[b] - px[a];
        double dy = py[b] - py[a];
        double len2 = dx * dx + dy * dy;
        double t = ((px[v] - px[a]) * dx + (py[v] - py[a]) * dy) / len2;
        if (!(t > 0 && t < 1)) {
            return false;
        }
        double off = (px[v] - px[a]) * dy - (py[v] - py[a]) * dx;
        if (off * off > tol * tol * len2) {
            return false;
        }
        splits.add(new int[] {e, v});
        return true;
    }

    private void apply(List<int[]> splits) {
        splits.sort((p, q) -> p[0] != q[0] ? Integer.compare(p[0], q[0])
                : p[1] == q[1] ? 0
                : Double.compare(along(p[0], p[1]), along(q[0], q[1])));
        int i = 0;
        while (i < splits.size()) {
            int e = splits.get(i)[0];
            gone[e] = true;
            int last = from[e];
            boolean bent = false;
            int start = i;
            while (i < splits.size() && splits.get(i)[0] == e) {
                bent |= offLine(e, splits.get(i)[1]) > 1e-11;
                i++;
            }
            for (int k = start; k <= i; k++) {
                int v = k < i ? splits.get(k)[1] : to[e];
                if (v != last) {
                    piece(e, last, v, bent);
                    last = v;
                }
            }
        }
    }

    private void piece(int e, int a, int b, boolean bent) {
        boolean forward = a < b;
        int known = edges;
        int p = forward ? edge(a, b) : edge(b, a);
        if (p == e) {
            // Rounding brought the whole edge back: nothing was split.
            gone[e] = false;
            return;
        }
        if (p >= known) {
            fresh[p] = bent;
            wanted[p] = wanted[e];
        } else if (gone[p]) {
            // An edge split earlier came back as a piece: its old uses were handed on already.
            gone[p] = false;
            first[p] = -1;
            fresh[p] = true;
        } else {
            wanted[p] |= wanted[e];
        }
        int sign = forward ? 1 : -1;
        for (int u = first[e]; u >= 0; u = useNext[u]) {
            use(p, useLeaf[u], sign * useMinus[u], sign * usePlus[u]);
        }
    }

    private double along(int e, int v) {
        return (px[v] - px[from[e]]) * (px[to[e]] - px[from[e]]) + (py[v] - py[from[e]]) * (py[to[e]] - py[from[e]]);
    }

    private double offLine(int e, int v) {
        double dx = px[to[e]] - px[from[e]];
        double dy = py[to[e]] - py[from[e]];
        return Math.abs((px[v] - px[from[e]]) * dy - (py[v] - py[from[e]]) * dx) / Math.sqrt(dx * dx + dy * dy);
    }

    int edgeCount() {
        return edges;
    }

    int from(int e) {
        return from[e];
    }

    int to(int e) {
        return to[e];
    }

    double midX(int e) {
        return (px[from[e]] + px[to[e]]) / 2;
    }

    double midY(int e) {
        return (py[from[e]] + py[to[e]]) / 2;
    }

    double x(int v) {
        return px[v];
    }

    double y(int v) {
        return py[v];
    }

    int vertexCount() {
        return weld.size();
    }

    PointWeld points() {
        return weld;
    }

    double tol() {
        return tol;
    }

    int firstUse(int e) {
        return first[e];
    }

    int nextUse(int u) {
        return useNext[u];
    }

    int useLeaf(int u) {
        return useLeaf[u];
    }

    int useMinus(int u) {
        return useMinus[u];
    }

    int usePlus(int u) {
        return usePlus[u];
    }
}
