package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tinperch.solid.Vec3;

/**
 * Room 5: makes the rings of all planes agree. Where one face has a corner in the middle of its neighbour's edge the
 * neighbour gets it too; where more than two faces meet in an edge (solids touching along it) the corners are doubled, so
 * that every directed edge has its opposite exactly once.
 */
final class EdgeMending {
    private static final int MOST_ROUNDS = 6;

    /** A face on its way through this room; rings change, the rest does not. */
    static final class Face {
        final PlaneEvaluation.Found found;
        final List<int[]> rings;

        Face(PlaneEvaluation.Found found, List<int[]> rings) {
            this.found = found;
            this.rings = rings;
        }
    }

    private final PointWeld points;
    private final double tol;
    private final List<Face> faces;
    private boolean touching;

    EdgeMending(PointWeld points, double tol, List<Face> faces) {
        this.points = points;
        this.tol = tol;
        this.faces = faces;
    }

    /**
     * Mends the rings.
     *
     * @param apart whether surfaces that meet in a corner only are kept apart there too
     */
    void mend(boolean apart) {
        for (int round = 0; ; round++) {
            dropRepeats();
            List<int[]> open = openEdges();
            if (open.isEmpty()) {
                if (touching || apart) {
                    splitTouching();
                }
                return;
            }
            if (round == MOST_ROUNDS || !insertMissing(open)) {
                throw new Unresolved(open.size() + " edges without a neighbour");
            }
        }
    }

    /** Removes corners welded to the one before, spikes (a-b-a), and rings with fewer than three corners. */
    private void dropRepeats() {
        for (Face f : faces) {
            for (int r = f.rings.size() - 1; r >= 0; r--) {
                int[] ring = f.rings.get(r);
                int[] out = withoutSpikes(ring);
                if (out.length < 3) {
                    f.rings.remove(r);
                } else if (out.length != ring.length) {
                    f.rings.set(r, out);
                }
            }
        }
        faces.removeIf(f -> f.rings.isEmpty());
    }

    private static int[] withoutSpikes(int[] ring) {
        int[] out = ring.clone();
        int n = out.length;
        boolean changed = true;
        while (changed && n >= 3) {
            changed = false;
            int k = 0;
            for (int i = 0; i < n; i++) {
                int prev = k > 0 ? out[k - 1] : out[n - 1];
                if (out[i] == prev) {
                    changed = true;
                    continue;
                }
                if (k >= 2 && out[i] == out[k - 2]) {
                    k--;
                    changed = true;
                    continue;
                }
                out[k++] = out[i];
            }
            n = k;
        }
        if (n >= 3 && out[0] == out[n - 2]) {
            n -= 2;
        } else if (n >= 3 && out[1] == out[n - 1]) {
            // The spike stands at the start: drop the first corner and one of its equal neighbours.
            System.arraycopy(out, 1, out, 0, n - 2);
            n -= 2;
        }
        return Arrays.copyOf(out, n);
    }

    /**
     * Directed edges that do not run back as often as forth, each once; notes whether any runs more than once. Edges are
     * chained by their lower corner: few meet in a corner, so looking along the chain beats a table.
     */
    private List<int[]> openEdges() {
        int total = 0;
        for (Face f : faces) {
            for (int[] ring : f.rings) {
                total += ring.length;
            }
        }
        int[] head = new int[points.size()];
        Arrays.fill(head, -1);
        int[] next = new int[total];
        int[] high = new int[total];
        boolean[] up = new boolean[total];
        int n = 0;
        for (Face f : faces) {
            for (int[] ring : f.rings) {
                int a = ring[ring.length - 1];
                for (int b : ring) {
                    int low = Math.min(a, b);
                    high[n] = Math.max(a, b);
                    up[n] = a < b;
                    next[n] = head[low];
                    head[low] = n++;
                    a = b;
                }
            }
        }
        touching = false;
        List<int[]> open = new ArrayList<>();
        for (int low = 0; low < head.length; low++) {
            for (int e = head[low]; e >= 0; e = next[e]) {
                int forth = 0;
                int back = 0;
                boolean told = false;
                boolean before = true;
                for (int f = head[low]; f >= 0; f = next[f]) {
                    before &= f != e;
                    if (high[f] == high[e]) {
                        if (up[f] == up[e]) {
                            forth++;
                            told |= before;
                        } else {
                            back++;
                        }
                    }
                }
                touching |= forth > 1;
                if (forth != back && !told) {
                    open.add(up[e] ? new int[] {low, high[e]} : new int[] {high[e], low});
                }
            }
        }
        return open;
    }

    /** Puts the ends of open edges into the open edges they lie on. */
    private boolean insertMissing(List<int[]> open) {
        int[] candidates = open.stream().flatMapToInt(Arrays::stream).sorted().distinct().toArray();
        long[][] sorted = new long[3][candidates.length];
        for (int axis = 0; axis < 3; axis++) {
            for (int i = 0; i < candidates.length; i++) {
                sorted[axis][i] = key(coordinate(candidates[i], axis), candidates[i]);
            }
            Arrays.sort(sorted[axis]);
        }
        LongIntMap where = new LongIntMap(open.size());
        List<int[]> inserts = new ArrayList<>();
        for (int[] e : open) {
            int[] on = onEdge(e[0], e[1], sorted);
            if (on.length > 0) {
                where.put(LongIntMap.pair(e[0], e[1]), inserts.size());
                inserts.add(on);
            }
        }
        if (inserts.isEmpty()) {
            return false;
        }
        for (Face f : faces) {
            f.rings.replaceAll(ring -> filled(ring, where, inserts));
        }
        return true;
    }

    private static int[] filled(int[] ring, LongIntMap where, List<int[]> inserts) {
        int extra = 0;
        int a = ring[ring.length - 1];
        for (int b : ring) {
            int w = where.get(LongIntMap.pair(a, b));
            extra += w < 0 ? 0 : inserts.get(w).length;
            a = b;
        }
        if (extra == 0) {
            return ring;
        }
        int[] out = new int[ring.length + extra];
        int k = 0;
        a = ring[ring.length - 1];
        for (int b : ring) {
            int w = where.get(LongIntMap.pair(a, b));
            if (w >= 0) {
                for (int v : inserts.get(w)) {
                    out[k++] = v;
                }
            }
            out[k++] = b;
            a = b;
        }
        return out;
    }

    private int[] onEdge(int a, int b, long[][] sorted) {
        int bestAxis = 0;
        int bestLo = 0;
        int bestHi = Integer.MAX_VALUE;
        for (int axis = 0; axis < 3; axis++) {
            double ca = coordinate(a, axis);
            double cb = coordinate(b, axis);
            int lo = firstAtLeast(sorted[axis], Math.min(ca, cb) - tol);
            int hi = firstAtLeast(sorted[axis], Math.nextUp(Math.nextUp(Math.nextUp((float) (Math.max(ca, cb) + tol)))));
            if (hi - lo < bestHi - bestLo) {
                bestAxis = axis;
                bestLo = lo;
                bestHi = hi;
            }
        }
        double dx = points.x(b) - points.x(a);
        double dy = points.y(b) - points.y(a);
        double dz = points.z(b) - points.z(a);
        double len2 = dx * dx + dy * dy + dz * dz;
        List<double[]> found = new ArrayList<>(2);
        for (int i = bestLo; i < bestHi; i++) {
            int v = (int) sorted[bestAxis][i];
            if (v == a || v == b) {
                continue;
            }
            double vx = points.x(v) - points.x(a);
            double vy = points.y(v) - points.y(a);
            double vz = points.z(v) - points.z(a);
            double t = (vx * dx + vy * dy + vz * dz) / len2;
            if (t > 0 && t < 1) {
                double ox = vx - t * dx;
                double oy = vy - t * dy;
                double oz = vz - t * dz;
                if (ox * ox + oy * oy + oz * oz <= 4 * tol * tol) {
                    found.add(new double[] {t, v});
                }
            }
        }
        found.sort((p, q) -> Double.compare(p[0], q[0]));
        int[] out = new int[found.size()];
        for (int i = 0; i < out.length; i++) {
            out[i] = (int) found.get(i)[1];
        }
        return out;
    }

    /** A number that sorts by a coordinate rounded to a float and carries the point's number. */
    private static long key(double c, int point) {
        int bits = Float.floatToIntBits((float) c);
        return (long) (bits ^ (bits >> 31 & 0x7FFFFFFF)) << 32 | point;
    }

    /** The first place whose coordinate may be {@code c} or more; rounding to floats may put it a little early. */
    private static int firstAtLeast(long[] sorted, double c) {
        long wanted = key(Math.nextDown((float) c), 0);
        int lo = 0;
        int hi = sorted.length;
        while (lo < hi) {
            int mid = (lo + hi) >>> 1;
            if (sorted[mid] < wanted) {
                lo = mid + 1;
            } else {
                hi = mid;
            }
        }
        return lo;
    }

    private double coordinate(int v, int axis) {
        return axis == 0 ? points.x(v) : axis == 1 ? points.y(v) : points.z(v);
    }

    // ---- solids touching along an edge or in a point ----

    /** A corner of a ring: the face, the ring, the place in it. */
    private record Corner(int face, int ring, int place) {}

    private void splitTouching() {
        List<Corner> corners = new ArrayList<>();
        List<int[]> firstOf = new ArrayList<>();
        LongIntMap one = new LongIntMap(4 * points.size());
        int total = 0;
        for (Face f : faces) {
            int[] at = new int[f.rings.size()];
            for (int r = 0; r < at.length; r++) {
                at[r] = total;
                total += f.rings.get(r).length;
            }
            firstOf.add(at);
        }
        int[] nextSame = new int[total];
        for (int f = 0; f < faces.size(); f++) {
            for (int r = 0; r < faces.get(f).rings.size(); r++) {
                int[] ring = faces.get(f).rings.get(r);
                for (int i = 0; i < ring.length; i++) {
                    int id = corners.size();
                    corners.add(new Corner(f, r, i));
                    long key = LongIntMap.pair(ring[i], ring[(i + 1) % ring.length]);
                    nextSame[id] = one.get(key);
                    one.put(key, id);
                }
            }
        }
        // The corner at the start of a directed edge stands for the edge. Partner: the edge running back.
        int[] partner = new int[total];
        Arrays.fill(partner, -1);
        for (int id = 0; id < total; id++) {
            if (partner[id] < 0) {
                pair(id, corners, one, nextSame, partner);
            }
        }
        int[] group = new int[total];
        for (int i = 0; i < total; i++) {
            group[i] = i;
        }
        for (int id = 0; id < total; id++) {
            // Edge a→b of one face and b→a of the other: join the corners at a, and those at b.
            union(group, id, after(partner[id], corners, firstOf));
            union(group, after(id, corners, firstOf), partner[id]);
        }
        int[] owner = new int[points.size()];
        Arrays.fill(owner, -1);
        int[] numberOf = new int[total];
        Arrays.fill(numberOf, -1);
        for (int id = 0; id < total; id++) {
            int root = find(group, id);
            Corner c = corners.get(id);
            int[] ring = faces.get(c.face).rings.get(c.ring);
            int v = ring[c.place];
            if (numberOf[root] < 0) {
                if (v < owner.length && owner[v] < 0) {
                    owner[v] = root;
                    numberOf[root] = v;
                } else {
                    numberOf[root] = points.add(points.x(v), points.y(v), points.z(v));
                }
            }
        }
        for (int id = 0; id < total; id++) {
            Corner c = corners.get(id);
            faces.get(c.face).rings.get(c.ring)[c.place] = numberOf[find(group, id)];
        }
        halveDoubledEdges(corners, partner);
    }

    private int after(int id, List<Corner> corners, List<int[]> firstOf) {
        Corner c = corners.get(id);
        int n = faces.get(c.face).rings.get(c.ring).length;
        return firstOf.get(c.face)[c.ring] + (c.place + 1) % n;
    }

    private void pair(int id, List<Corner> corners, LongIntMap one, int[] nextSame, int[] partner) {
        Corner c = corners.get(id);
        int[] ring = faces.get(c.face).rings.get(c.ring);
        int a = ring[c.place];
        int b = ring[(c.place + 1) % ring.length];
        List<Integer> forward = list(one.get(LongIntMap.pair(a, b)), nextSame);
        List<Integer> backward = list(one.get(LongIntMap.pair(b, a)), nextSame);
        if (forward.size() != backward.size()) {
            throw new Unresolved("faces do not pair at an edge");
        }
        if (forward.size() == 1) {
            partner[forward.get(0)] = backward.get(0);
            partner[backward.get(0)] = forward.get(0);
            return;
        }
        // Round the edge every solid wedge runs from a backward face anticlockwise to the next forward face.
        Vec3 e = point(b).minus(point(a)).unit();
        Vec3 u = normalOf(forward.get(0), corners).cross(e);
        Vec3 v = e.cross(u);
        for (int back : backward) {
            double start = angle(normalOf(back, corners).cross(e.times(-1)), u, v);
            int best = -1;
            double bestTurn = Double.POSITIVE_INFINITY;
            for (int fwd : forward) {
                if (partner[fwd] >= 0) {
                    continue;
                }
                double turn = angle(normalOf(fwd, corners).cross(e), u, v) - start;
                while (turn <= 1e-9) {
                    turn += 2 * Math.PI;
                }
                if (turn < bestTurn) {
                    bestTurn = turn;
                    best = fwd;
                }
            }
            partner[best] = back;
            partner[back] = best;
        }
    }

    private static List<Integer> list(int head, int[] next) {
        List<Integer> all = new ArrayList<>(2);
        for (int i = head; i >= 0; i = next[i]) {
            all.add(i);
        }
        return all;
    }

    private Vec3 normalOf(int corner, List<Corner> corners) {
        return faces.get(corners.get(corner).face).found.normal();
    }

    private Vec3 point(int v) {
        return new Vec3(points.x(v), points.y(v), points.z(v));
    }

    private static double angle(Vec3 d, Vec3 u, Vec3 v) {
        return Math.atan2(d.dot(v), d.dot(u));
    }

    private static int find(int[] group, int i) {
        while (group[i] != i) {
            group[i] = group[group[i]];
            i = group[i];
        }
        return i;
    }

    private static void union(int[] group, int a, int b) {
        int ra = find(group, a);
        int rb = find(group, b);
        if (ra != rb) {
            group[Math.max(ra, rb)] = Math.min(ra, rb);
        }
    }

    /** Two faces pairs that still share both ends get a middle corner each, so that their edges differ. */
    private void halveDoubledEdges(List<Corner> corners, int[] partner) {
        LongIntMap seen = new LongIntMap(corners.size());
        List<List<int[]>> insertAfter = new ArrayList<>();
        for (int f = 0; f < faces.size(); f++) {
            insertAfter.add(new ArrayList<>(0));
        }
        boolean any = false;
        for (int id = 0; id < corners.size(); id++) {
            Corner c = corners.get(id);
            int[] ring = faces.get(c.face).rings.get(c.ring);
            int a = ring[c.place];
            int b = ring[(c.place + 1) % ring.length];
            long key = LongIntMap.pair(a, b);
            if (a > b) {
                continue;
            }
            if (seen.get(key) >= 0) {
                int m = points.add((points.x(a) + points.x(b)) / 2, (points.y(a) + points.y(b)) / 2,
                        (points.z(a) + points.z(b)) / 2);
                Corner p = corners.get(partner[id]);
                insertAfter.get(c.face).add(new int[] {c.ring, c.place, m});
                insertAfter.get(p.face).add(new int[] {p.ring, p.place, m});
                any = true;
            }
            seen.put(key, id);
        }
        if (!any) {
            return;
        }
        for (int f = 0; f < faces.size(); f++) {
            List<int[]> list = insertAfter.get(f);
            list.sort((p, q) -> Integer.compare(q[1], p[1]));
            for (int[] ins : list) {
                int[] ring = faces.get(f).rings.get(ins[0]);
                int[] out = new int[ring.length + 1];
                System.arraycopy(ring, 0, out, 0, ins[1] + 1);
                out[ins[1] + 1] = ins[2];
                System.arraycopy(ring, ins[1] + 1, out, ins[1] + 2, ring.length - ins[1] - 1);
                faces.get(f).rings.set(ins[0], out);
            }
        }
    }
}
