package tinperch.solid.shape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.SinglePrecision;
import tinperch.solid.SolidException;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;

/**
 * Makes what can be made of a mesh from elsewhere: corners that nearly meet are welded, triangles without area or given
 * twice are dropped, triangles are turned to agree with their neighbours and outwards, small holes are closed with a fan.
 * The report says what was done and what was left.
 */
public final class MeshMending {
    /** A mesh with more triangles than this is too fine to be cut; it can still stand beside a part as a neighbour. */
    public static final int MOST_FOR_CUTTING = 20_000;

    private static final int LARGEST_HOLE = 64;
    private static final int MOST_PIECES = 2000;

    /**
     * What was done.
     *
     * @param welded corners joined to another, {@code dropped} triangles without area or given twice, {@code flipped}
     *     triangles turned round, {@code holesClosed} and {@code trianglesAdded} for them
     * @param openEdges edges still without a neighbour; 0 for a closed mesh
     * @param pieces separate shells
     */
    public record Report(int welded, int dropped, int flipped, int holesClosed, int trianglesAdded, int openEdges, int pieces) {
        public boolean closed() {
            return openEdges == 0;
        }

        /** In plain words. */
        public String words() {
            List<String> done = new ArrayList<>();
            note(done, welded, "corner welded", "corners welded");
            note(done, dropped, "sliver or double dropped", "slivers or doubles dropped");
            note(done, flipped, "triangle turned round", "triangles turned round");
            note(done, holesClosed, "hole closed", "holes closed");
            String mended = done.isEmpty() ? "Nothing needed mending." : "Mended: " + String.join(", ", done) + ".";
            return mended + (closed() ? " The surface is closed." : " Still open at " + openEdges
                    + " edges: it can be looked at and measured against, but not cut or joined.");
        }

        private static void note(List<String> to, int n, String one, String many) {
            if (n > 0) {
                to.add(n + " " + (n == 1 ? one : many));
            }
        }
    }

    /** The mended mesh, every triangle a face of its own named after the feature, and the report. */
    public record Mended(Mesh mesh, Report report, String feature) {
        /**
         * As a leaf to cut with or add to.
         *
         * @throws SolidException when it is still open or too fine
         */
        public Leaf leaf() {
            if (!report.closed()) {
                throw new SolidException("“" + feature + "” is not closed (" + report.openEdges
                        + " open edges); repair it where it was made, then import it again.", List.of(feature));
            }
            if (mesh.triangleCount() > MOST_FOR_CUTTING) {
                throw new SolidException("“" + feature + "” has " + mesh.triangleCount() + " triangles, more than the "
                        + MOST_FOR_CUTTING + " that can be cut; it can still stand beside the part as a neighbour.",
                        List.of(feature));
            }
            double[] xyz = new double[3 * mesh.pointCount()];
            for (int i = 0; i < mesh.pointCount(); i++) {
                xyz[3 * i] = mesh.x(i);
                xyz[3 * i + 1] = mesh.y(i);
                xyz[3 * i + 2] = mesh.z(i);
            }
            List<int[][]> faces = new ArrayList<>(mesh.triangleCount());
            for (int t = 0; t < mesh.triangleCount(); t++) {
                faces.add(new int[][] {{mesh.corner(t, 0), mesh.corner(t, 1), mesh.corner(t, 2)}});
            }
            return Leaf.of(feature, xyz, faces);
        }
    }

    private final String feature;
    private double[] xyz;
    private int points;
    private int[] tri;
    private int count;
    private int welded;
    private int dropped;
    private int flipped;
    private int holesClosed;
    private int trianglesAdded;
    private int[] piece;
    private int pieces;
    /** Edges chained by the two corners they lie between, whichever way they run. */
    private int[] edgeHead;
    private int[] edgeNext;
    /** For each corner an edge that starts there, -1 for none. */
    private int[] edgeAt;
    private final Stop stop;

    private MeshMending(String feature, Stop stop) {
        this.feature = feature;
        this.stop = stop;
    }

    /** Asked often enough that whoever stops it does not wait, seldom enough to cost nothing. */
    private void check(int n) {
        if ((n & 0x3FFF) == 0) {
            stop.check();
        }
    }

    /**
     * Mends a mesh.
     *
     * @param weldMm corners nearer than this are one
     * @throws SolidException when there is nothing in it or a coordinate is not usable
     */
    public static Mended mend(String feature, Mesh mesh, double weldMm) {
        return mend(feature, mesh, weldMm, Stop.NEVER);
    }

    /**
     * The same for as long as somebody waits for it.
     *
     * @throws Stop.Stopped when nobody does any more
     */
    public static Mended mend(String feature, Mesh mesh, double weldMm, Stop stop) {
        MeshMending m = new MeshMending(feature, stop);
        m.weld(mesh, weldMm);
        m.dropBad();
        if (m.count == 0) {
            throw new SolidException("“" + feature + "” is empty: it has no triangle with an area.", List.of(feature));
        }
        m.agree();
        m.closeHoles();
        m.outwards();
        return m.finished();
    }

    private void weld(Mesh mesh, double weldMm) {
        int n = mesh.pointCount();
        xyz = new double[3 * n];
        int[] number = new int[n];
        // Chains of points by the cell of a grid they lie in; a point looks into the cells that its weld reaches.
        double cell = Math.max(weldMm, 1e-12) * 64;
        int[] head = new int[Integer.highestOneBit(Math.max(8, n)) * 2];
        int[] next = new int[n];
        Arrays.fill(head, -1);
        for (int i = 0; i < n; i++) {
            check(i);
            double x = mesh.x(i);
            double y = mesh.y(i);
            double z = mesh.z(i);
            if (!(Math.abs(x) <= 1e6 && Math.abs(y) <= 1e6 && Math.abs(z) <= 1e6)) {
                throw new SolidException("“" + feature + "” has a corner at (" + x + ", " + y + ", " + z
                        + ") mm; that cannot be meant.", List.of(feature));
            }
            int found = find(head, next, cell, weldMm, x, y, z);
            if (found >= 0) {
                number[i] = found;
                welded++;
            } else {
                xyz[3 * points] = x;
                xyz[3 * points + 1] = y;
                xyz[3 * points + 2] = z;
                int slot = slot(cell, x, y, z, head.length);
                next[points] = head[slot];
                head[slot] = points;
                number[i] = points++;
            }
        }
        count = mesh.triangleCount();
        tri = new int[3 * count];
        for (int t = 0; t < count; t++) {
            for (int k = 0; k < 3; k++) {
                tri[3 * t + k] = number[mesh.corner(t, k)];
            }
        }
    }

    private static int slot(double cell, double x, double y, double z, int slots) {
        long a = (long) Math.floor(x / cell + 0.37);
        long b = (long) Math.floor(y / cell + 0.37);
        long c = (long) Math.floor(z / cell + 0.37);
        long h = a * 0x9E3779B97F4A7C15L + b * 0xC2B2AE3D27D4EB4FL + c * 0x165667B19E3779F9L;
        h ^= h >>> 29;
        h *= 0xBF58476D1CE4E5B9L;
        return (int) (h ^ h >>> 32) & slots - 1;
    }

    private int find(int[] head, int[] next, double cell, double w, double x, double y, double z) {
        int before = -1;
        for (int corner = 0; corner < 8; corner++) {
            int slot = slot(cell, x + ((corner & 1) * 2 - 1) * w, y + ((corner >> 1 & 1) * 2 - 1) * w,
                    z + ((corner >> 2) * 2 - 1) * w, head.length);
            if (slot == before) {
                continue;
            }
            before = slot;
            for (int p = head[slot]; p >= 0; p = next[p]) {
                double ex = xyz[3 * p] - x;
                double ey = xyz[3 * p + 1] - y;
                double ez = xyz[3 * p + 2] - z;
                if (ex * ex + ey * ey + ez * ez <= w * w) {
                    return p;
                }
            }
        }
        return -1;
    }

    private void dropBad() {
        // Chained by their three corners, in whatever order: the same one given twice meets itself there.
        int[] head = new int[slots(count)];
        int[] next = new int[count];
        Arrays.fill(head, -1);
        int n = 0;
        for (int t = 0; t < count; t++) {
            check(t);
            int a = tri[3 * t];
            int b = tri[3 * t + 1];
            int c = tri[3 * t + 2];
            int low = Math.min(a, Math.min(b, c));
            int high = Math.max(a, Math.max(b, c));
            long mid = (long) a + b + c - low - high;
            int slot = mixed(low * 0x9E3779B97F4A7C15L + mid * 0xC2B2AE3D27D4EB4FL + high) & head.length - 1;
            boolean bad = a == b || b == c || c == a;
            for (int u = head[slot]; u >= 0 && !bad; u = next[u]) {
                int d = tri[3 * u];
                int e = tri[3 * u + 1];
                int f = tri[3 * u + 2];
                bad = Math.min(d, Math.min(e, f)) == low && Math.max(d, Math.max(e, f)) == high && d + (long) e + f == a + (long) b + c;
            }
            if (bad) {
                dropped++;
                continue;
            }
            tri[3 * n] = a;
            tri[3 * n + 1] = b;
            tri[3 * n + 2] = c;
            next[n] = head[slot];
            head[slot] = n++;
        }
        count = n;
    }

    private static int slots(int things) {
        return Integer.highestOneBit(Math.max(8, things)) * 2;
    }

    private static int mixed(long h) {
        long m = h ^ h >>> 29;
        m *= 0xBF58476D1CE4E5B9L;
        return (int) (m ^ m >>> 32);
    }

    /** However many edges start from one corner, those between two corners are found at once. */
    private int slot(int a, int b) {
        return mixed(Math.min(a, b) * 0x9E3779B97F4A7C15L + Math.max(a, b)) & edgeHead.length - 1;
    }

    private void chainEdges() {
        edgeHead = new int[slots(3 * count)];
        edgeNext = new int[3 * count];
        edgeAt = new int[points];
        Arrays.fill(edgeHead, -1);
        Arrays.fill(edgeAt, -1);
        for (int e = 3 * count - 1; e >= 0; e--) {
            check(e);
            int slot = slot(tri[e], end(e));
            edgeNext[e] = edgeHead[slot];
            edgeHead[slot] = e;
            edgeAt[tri[e]] = e;
        }
    }

    /** The one other edge between two corners besides {@code e}, in either direction; -1 when there is none or several. */
    private int partner(int e) {
        int found = -1;
        int a = tri[e];
        int b = end(e);
        for (int f = edgeHead[slot(a, b)]; f >= 0; f = edgeNext[f]) {
            if (f != e && (tri[f] == a && end(f) == b || tri[f] == b && end(f) == a)) {
                if (found >= 0) {
                    return -1;
                }
                found = f;
            }
        }
        return found;
    }

    private boolean isAlone(int e) {
        for (int f = edgeHead[slot(tri[e], end(e))]; f >= 0; f = edgeNext[f]) {
            if (tri[f] == end(e) && end(f) == tri[e]) {
                return false;
            }
        }
        return true;
    }

    /** Walks from triangle to triangle and notes those that disagree with the one they were reached from; then turns them. */
    private void agree() {
        chainEdges();
        piece = new int[count];
        Arrays.fill(piece, -1);
        boolean[] turned = new boolean[count];
        int[] open = new int[count];
        for (int s = 0; s < count; s++) {
            if (piece[s] >= 0) {
                continue;
            }
            piece[s] = pieces;
            int waiting = 0;
            open[waiting++] = s;
            while (waiting > 0) {
                int t = open[--waiting];
                check(t);
                for (int k = 0; k < 3; k++) {
                    int other = partner(3 * t + k);
                    if (other >= 0 && piece[other / 3] < 0) {
                        int u = other / 3;
                        piece[u] = pieces;
                        boolean agrees = tri[other] != tri[3 * t + k];
                        turned[u] = agrees ? turned[t] : !turned[t];
                        open[waiting++] = u;
                    }
                }
            }
            pieces++;
        }
        for (int t = 0; t < count; t++) {
            if (turned[t]) {
                turn(t);
                flipped++;
            }
        }
    }

    private int end(int e) {
        return tri[e % 3 == 2 ? e - 2 : e + 1];
    }

    private void turn(int t) {
        int s = tri[3 * t + 1];
        tri[3 * t + 1] = tri[3 * t + 2];
        tri[3 * t + 2] = s;
    }

    private void closeHoles() {
        chainEdges();
        Map<Integer, Integer> rim = new LinkedHashMap<>();
        Set<Integer> forked = new HashSet<>();
        for (int e = 0; e < 3 * count; e++) {
            check(e);
            if (isAlone(e) && rim.put(end(e), tri[e]) != null) {
                forked.add(end(e));
            }
        }
        forked.forEach(rim::remove);
        List<int[]> extra = new ArrayList<>();
        while (!rim.isEmpty()) {
            int start = rim.keySet().iterator().next();
            List<Integer> loop = new ArrayList<>();
            Integer v = start;
            while (v != null) {
                Integer next = rim.remove(v);
                if (next != null) {
                    loop.add(v);
                    v = next;
                } else {
                    break;
                }
            }
            if (v != null && v == start && loop.size() >= 3 && loop.size() <= LARGEST_HOLE) {
                fan(loop, extra);
                holesClosed++;
            }
        }
        if (!extra.isEmpty()) {
            int[] more = Arrays.copyOf(tri, 3 * (count + extra.size()));
            int[] of = Arrays.copyOf(piece, count + extra.size());
            for (int i = 0; i < extra.size(); i++) {
                System.arraycopy(extra.get(i), 0, more, 3 * (count + i), 3);
                of[count + i] = extra.get(i)[3];
            }
            tri = more;
            piece = of;
            count += extra.size();
            trianglesAdded = extra.size();
        }
    }

    private void fan(List<Integer> loop, List<int[]> extra) {
        int of = pieceAt(loop.get(0));
        if (loop.size() == 3) {
            extra.add(new int[] {loop.get(0), loop.get(1), loop.get(2), of});
            return;
        }
        int middle = points++;
        if (3 * points > xyz.length) {
            xyz = Arrays.copyOf(xyz, 6 * points);
        }
        for (int p : loop) {
            for (int a = 0; a < 3; a++) {
                xyz[3 * middle + a] += xyz[3 * p + a] / loop.size();
            }
        }
        for (int i = 0; i < loop.size(); i++) {
            extra.add(new int[] {loop.get(i), loop.get((i + 1) % loop.size()), middle, of});
        }
    }

    private int pieceAt(int point) {
        return edgeAt[point] < 0 ? 0 : piece[edgeAt[point] / 3];
    }

    /** Turns pieces whose volume is negative; one lying within an odd number of others is a cavity and stays so. */
    private void outwards() {
        double[] volume = new double[pieces];
        double[] low = new double[3 * pieces];
        double[] high = new double[3 * pieces];
        Arrays.fill(low, Double.POSITIVE_INFINITY);
        Arrays.fill(high, Double.NEGATIVE_INFINITY);
        for (int t = 0; t < count; t++) {
            Vec3 a = point(tri[3 * t]);
            volume[piece[t]] += a.dot(point(tri[3 * t + 1]).cross(point(tri[3 * t + 2])));
            for (int k = 0; k < 3; k++) {
                for (int x = 0; x < 3; x++) {
                    int i = 3 * piece[t] + x;
                    low[i] = Math.min(low[i], xyz[3 * tri[3 * t + k] + x]);
                    high[i] = Math.max(high[i], xyz[3 * tri[3 * t + k] + x]);
                }
            }
        }
        boolean[] wrong = new boolean[pieces];
        for (int p = 0; p < pieces; p++) {
            int around = 0;
            // A heap of scraps has no cavities worth looking for.
            for (int q = 0; q < pieces && pieces <= MOST_PIECES; q++) {
                boolean in = p != q;
                for (int x = 0; x < 3 && in; x++) {
                    in = low[3 * q + x] < low[3 * p + x] && high[3 * q + x] > high[3 * p + x];
                }
                around += in ? 1 : 0;
            }
            wrong[p] = volume[p] < 0 != (around % 2 == 1);
        }
        for (int t = 0; t < count; t++) {
            if (wrong[piece[t]]) {
                turn(t);
                flipped++;
            }
        }
    }

    private Vec3 point(int i) {
        return new Vec3(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
    }

    private Mended finished() {
        Mesh mesh = new Mesh(Arrays.copyOf(xyz, 3 * points), Arrays.copyOf(tri, 3 * count), new int[count],
                List.of(new Mesh.Face(feature, Vec3.Z, 0, List.of())));
        if (mesh.openEdges() == 0) {
            mesh = withoutSlivers(mesh);
        }
        return new Mended(mesh.facetted(feature), new Report(welded, dropped, flipped, holesClosed, trianglesAdded,
                mesh.openEdges(), pieces), feature);
    }

    /** Triangles with three corners on a line hand their long edge to the triangle beside them. */
    private Mesh withoutSlivers(Mesh mesh) {
        int flat = 0;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Vec3 a = mesh.point(mesh.corner(t, 0));
            Vec3 n = mesh.point(mesh.corner(t, 1)).minus(a).cross(mesh.point(mesh.corner(t, 2)).minus(a));
            flat += n.length() > 1e-14 ? 0 : 1;
        }
        if (flat == 0) {
            return mesh;
        }
        try {
            Mesh better = SinglePrecision.of(mesh);
            dropped += flat;
            return better;
        } catch (SolidException e) {
            return mesh;
        }
    }
}
