package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Room 4: decides on both sides of every edge whether the result is there just below and just above the plane, and walks
 * the borders of R⁻∖R⁺ (a face looking up) and R⁺∖R⁻ (looking down) into rings. Regions coming from different leaves are
 * kept apart, so a face always belongs to one feature.
 */
final class FaceTracer {
    /**
     * One planar face of the result.
     *
     * @param leaf number of the leaf it lies on
     * @param up whether its outward normal is the plane's normal
     * @param rings arrangement vertices: the outer ring, then holes, interior on the left seen from outside
     */
    record Traced(int leaf, boolean up, List<int[]> rings) {}

    private final Arrangement in;
    private final TreeLogic tree;
    private final int[] present;
    private final boolean[] flat;
    private final int[] always;

    private int halves;
    private int[] org = new int[64];
    private int[] dst = new int[64];
    private int[] label = new int[64];

    /**
     * @param present tree number of each local leaf
     * @param flat for each whether it has a face in this plane
     * @param always windings of leaves without a border here, as (local leaf, below, above)
     */
    FaceTracer(Arrangement in, TreeLogic tree, int[] present, boolean[] flat, int[] always) {
        this.in = in;
        this.tree = tree;
        this.present = present;
        this.flat = flat;
        this.always = always;
    }

    List<Traced> trace() {
        classify();
        return halves == 0 ? List.of() : assemble(walk());
    }

    /**
     * Looks at one edge of each chain; along a chain, where no other edge ends, what lies on either side stays the same.
     */
    private void classify() {
        int n = in.edgeCount();
        int[] degree = new int[in.vertexCount()];
        int[] sum = new int[degree.length];
        for (int e = 0; e < n; e++) {
            if (in.counts(e)) {
                degree[in.from(e)]++;
                degree[in.to(e)]++;
                sum[in.from(e)] += e;
                sum[in.to(e)] += e;
            }
        }
        boolean[] open = new boolean[n];
        int waiting = 0;
        for (int e = 0; e < n; e++) {
            open[e] = in.matters(e);
            waiting += open[e] ? 1 : 0;
        }
        if (waiting == 0) {
            return;
        }
        int[] left = new int[n];
        int[] right = new int[n];
        RayBins acrossX = new RayBins(in, true);
        RayBins acrossY = new RayBins(in, false);
        Windings windings = new Windings(present.length);
        boolean[] here = open.clone();
        for (int e = 0; e < n; e++) {
            if (open[e]) {
                open[e] = false;
                look(e, acrossX, acrossY, windings, left, right);
                follow(e, in.to(e), degree, sum, open, left, right);
                follow(e, in.from(e), degree, sum, open, left, right);
            }
        }
        for (int e = 0; e < n; e++) {
            if (here[e] && left[e] != right[e]) {
                half(in.from(e), in.to(e), left[e]);
                half(in.to(e), in.from(e), right[e]);
            }
        }
    }

    private void look(int e, RayBins acrossX, RayBins acrossY, Windings windings, int[] left, int[] right) {
        double dx = in.x(in.to(e)) - in.x(in.from(e));
        double dy = in.y(in.to(e)) - in.y(in.from(e));
        boolean vertical = Math.abs(dx) >= Math.abs(dy);
        windings.clear();
        for (int i = 0; i < always.length; i += 3) {
            windings.add(always[i], always[i + 1], always[i + 2]);
        }
        (vertical ? acrossX : acrossY).count(e, windings);
        // The ray told about one side; the edge's own uses lead to the other. Left = right + own.
        boolean rayIsLeft = vertical ? dx > 0 : dy < 0;
        int seen = labelOf(windings);
        for (int u = in.firstUse(e); u >= 0; u = in.nextUse(u)) {
            int sign = rayIsLeft ? -1 : 1;
            windings.add(in.useLeaf(u), sign * in.useMinus(u), sign * in.usePlus(u));
        }
        int other = labelOf(windings);
        left[e] = rayIsLeft ? seen : other;
        right[e] = rayIsLeft ? other : seen;
    }

    /** Hands the labels on from edge to edge through corners where just two edges meet. */
    private void follow(int e, int v, int[] degree, int[] sum, boolean[] open, int[] left, int[] right) {
        while (degree[v] == 2) {
            int f = sum[v] - e;
            // Edges away from the faces looked at are not cut: only what stays within one of their boxes is sure.
            if (!open[f] || !in.sharesRegion(e, v) || !in.sharesRegion(f, v)) {
                return;
            }
            open[f] = false;
            boolean turned = (in.to(e) == v) == (in.to(f) == v);
            left[f] = turned ? right[e] : left[e];
            right[f] = turned ? left[e] : right[e];
            e = f;
            v = in.from(f) == v ? in.to(f) : in.from(f);
        }
    }

    /** 0 where there is no face, else ±(leaf + 1), positive looking up. */
    private int labelOf(Windings windings) {
        windings.settle();
        boolean below = windings.below(tree, present);
        if (below == windings.above(tree, present)) {
            return 0;
        }
        int want = below ? 1 : -1;
        int owner = windings.owner(want, tree, present, flat);
        if (owner < 0) {
            throw new Unresolved("a face without a leaf");
        }
        return want * (owner + 1);
    }

    private void half(int a, int b, int l) {
        if (l == 0) {
            return;
        }
        if (halves == org.length) {
            org = Arrays.copyOf(org, 2 * halves);
            dst = Arrays.copyOf(dst, 2 * halves);
            label = Arrays.copyOf(label, 2 * halves);
        }
        org[halves] = a;
        dst[halves] = b;
        label[halves++] = l;
    }

    /** Follows the half edges into closed rings, always turning so that regions touching in a point stay apart. */
    private List<int[]> walk() {
        int[] head = new int[in.vertexCount()];
        Arrays.fill(head, -1);
        int[] next = new int[halves];
        for (int h = halves - 1; h >= 0; h--) {
            next[h] = head[org[h]];
            head[org[h]] = h;
        }
        boolean[] used = new boolean[halves];
        List<int[]> rings = new ArrayList<>();
        int[] ring = new int[halves + 1];
        for (int h0 = 0; h0 < halves; h0++) {
            if (used[h0]) {
                continue;
            }
            int n = 0;
            int h = h0;
            do {
                used[h] = true;
                ring[n++] = h;
                h = onward(h, head, next, used, h0);
            } while (h != h0);
            int[] out = new int[n + 1];
            out[0] = label[h0];
            for (int i = 0; i < n; i++) {
                out[i + 1] = org[ring[i]];
            }
            rings.add(out);
        }
        return rings;
    }

    private int onward(int h, int[] head, int[] next, boolean[] used, int h0) {
        int v = dst[h];
        int best = -1;
        double bestAngle = Double.POSITIVE_INFINITY;
        double bx = in.x(org[h]) - in.x(v);
        double by = in.y(org[h]) - in.y(v);
        for (int g = head[v]; g >= 0; g = next[g]) {
            if (label[g] != label[h] || used[g] && g != h0) {
                continue;
            }
            if (best < 0 && next[g] < 0) {
                return g;
            }
            double ox = in.x(dst[g]) - in.x(v);
            double oy = in.y(dst[g]) - in.y(v);
            // Clockwise angle from the way back to the way out; the inside lies between.
            double angle = Math.atan2(bx * oy - by * ox, bx * ox + by * oy);
            angle = angle <= 0 ? -angle : 2 * Math.PI - angle;
            if (angle < bestAngle) {
                bestAngle = angle;
                best = g;
            }
        }
        if (best < 0) {
            throw new Unresolved("a border does not close");
        }
        return best;
    }

    private List<Traced> assemble(List<int[]> rings) {
        List<int[]> outers = new ArrayList<>();
        List<int[]> holes = new ArrayList<>();
        for (int[] r : rings) {
            (area(r) > 0 ? outers : holes).add(r);
        }
        List<Traced> faces = new ArrayList<>();
        List<List<int[]>> of = new ArrayList<>();
        double[] areas = new double[outers.size()];
        for (int[] o : outers) {
            List<int[]> list = new ArrayList<>(1);
            list.add(o);
            areas[of.size()] = area(o);
            of.add(list);
        }
        for (int[] hole : holes) {
            int home = -1;
            for (int o = 0; o < areas.length; o++) {
                int[] outer = outers.get(o);
                if (outer[0] == hole[0] && (home < 0 || areas[o] < areas[home]) && contains(outer, hole)) {
                    home = o;
                }
            }
            if (home < 0) {
                throw new Unresolved("a hole without an outline");
            }
            of.get(home).add(hole);
        }
        for (List<int[]> group : of) {
            int l = group.get(0)[0];
            List<int[]> bare = new ArrayList<>(group.size());
            for (int[] r : group) {
                bare.add(bare(r, l < 0));
            }
            faces.add(new Traced(Math.abs(l) - 1, l > 0, bare));
        }
        return faces;
    }

    private static int[] bare(int[] labelled, boolean reverse) {
        int n = labelled.length - 1;
        int[] out = new int[n];
        for (int i = 0; i < n; i++) {
            out[i] = labelled[reverse ? n - i : i + 1];
        }
        return out;
    }

    private double area(int[] r) {
        double sum = 0;
        double x0 = in.x(r[1]);
        double y0 = in.y(r[1]);
        for (int i = 1; i < r.length; i++) {
            int a = r[i];
            int b = r[i + 1 < r.length ? i + 1 : 1];
            sum += (in.x(a) - x0) * (in.y(b) - y0) - (in.x(b) - x0) * (in.y(a) - y0);
        }
        return sum;
    }

    /** Whether the middle of the hole's first edge lies inside the outer ring. */
    private boolean contains(int[] outer, int[] hole) {
        double mx = (in.x(hole[1]) + in.x(hole[2])) / 2;
        double my = (in.y(hole[1]) + in.y(hole[2])) / 2;
        boolean inside = false;
        for (int i = 1; i < outer.length; i++) {
            int a = outer[i];
            int b = outer[i + 1 < outer.length ? i + 1 : 1];
            if (in.y(a) <= my != in.y(b) <= my) {
                double x = in.x(a) + (my - in.y(a)) / (in.y(b) - in.y(a)) * (in.x(b) - in.x(a));
                inside ^= x > mx;
            }
        }
        return inside;
    }
}
