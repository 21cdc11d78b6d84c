package tinperch.solid.shape;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.SinglePrecision;
import tinperch.solid.SolidException;
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

    private MeshMending(String feature) {
        this.feature = feature;
    }

    /**
     * Mends a mesh.
     *
     * @param weldMm corners nearer than this are one
     * @throws SolidException when there is nothing in it or a coordinate is not usable
     */
    public static Mended mend(String feature, Mesh mesh, double weldMm) {
        MeshMending m = new MeshMending(feature);
        m.weld(mesh, weldMm);
        m.dropBad(weldMm);
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
        // A grid of cells one weld wide; a point looks into its own and the neighbouring ones it is near to.
        double cell = Math.max(weldMm, 1e-12) * 64;
        Map<Long, int[]> cells = new HashMap<>(2 * n);
        for (int i = 0; i < n; i++) {
            double x = mesh.x(i);
            double y = mesh.y(i);
            double z = mesh.z(i);
            if (!(Math.abs(x) <= 1e6 && Math.abs(y) <= 1e6 && Math.abs(z) <= 1e6)) {
                throw new SolidException("“" + feature + "” has a corner at (" + x + ", " + y + ", " + z
                        + ") mm; that cannot be meant.", List.of(feature));
            }
            int found = find(cells, cell, weldMm, x, y, z);
            if (found >= 0) {
                number[i] = found;
                welded++;
            } else {
                xyz[3 * points] = x;
                xyz[3 * points + 1] = y;
                xyz[3 * points + 2] = z;
                int p = points++;
                number[i] = p;
                cells.merge(key(cell, x, y, z), new int[] {p}, MeshMending::appended);
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

    private static int[] appended(int[] a, int[] b) {
        int[] out = Arrays.copyOf(a, a.length + 1);
        out[a.length] = b[0];
        return out;
    }

    private static long key(double cell, double x, double y, double z) {
        long a = (long) Math.floor(x / cell + 0.37);
        long b = (long) Math.floor(y / cell + 0.37);
        long c = (long) Math.floor(z / cell + 0.37);
        return a * 0x9E3779B97F4A7C15L ^ b * 0xC2B2AE3D27D4EB4FL ^ c * 0x165667B19E3779F9L;
    }

    private int find(Map<Long, int[]> cells, double cell, double w, double x, double y, double z) {
        for (int dx = -1; dx <= 1; dx += 2) {
            for (int dy = -1; dy <= 1; dy += 2) {
                for (int dz = -1; dz <= 1; dz += 2) {
                    int[] here = cells.get(key(cell, x + dx * w, y + dy * w, z + dz * w));
                    if (here != null) {
                        for (int p : here) {
                            double ex = xyz[3 * p] - x;
                            double ey = xyz[3 * p + 1] - y;
                            double ez = xyz[3 * p + 2] - z;
                            if (ex * ex + ey * ey + ez * ez <= w * w) {
                                return p;
                            }
                        }
                    }
                }
            }
        }
        return -1;
    }

    private void dropBad(double weldMm) {
        Set<List<Integer>> known = new HashSet<>(2 * count);
        int n = 0;
        for (int t = 0; t < count; t++) {
            int a = tri[3 * t];
            int b = tri[3 * t + 1];
            int c = tri[3 * t + 2];
            int[] sorted = {a, b, c};
            Arrays.sort(sorted);
            if (a == b || b == c || c == a || !known.add(List.of(sorted[0], sorted[1], sorted[2]))) {
                dropped++;
                continue;
            }
            tri[3 * n] = a;
            tri[3 * n + 1] = b;
            tri[3 * n + 2] = c;
            n++;
        }
        count = n;
    }

    /** Walks from triangle to triangle and turns those that disagree with the one they were reached from. */
    private void agree() {
        Map<Long, int[]> edges = new HashMap<>(4 * count);
        for (int e = 0; e < 3 * count; e++) {
            edges.merge(undirected(e), new int[] {e}, MeshMending::appended);
        }
        piece = new int[count];
        Arrays.fill(piece, -1);
        ArrayDeque<Integer> open = new ArrayDeque<>();
        for (int s = 0; s < count; s++) {
            if (piece[s] >= 0) {
                continue;
            }
            piece[s] = pieces;
            open.add(s);
            while (!open.isEmpty()) {
                int t = open.poll();
                for (int k = 0; k < 3; k++) {
                    int[] there = edges.get(undirected(3 * t + k));
                    if (there.length != 2) {
                        continue;
                    }
                    int other = there[0] / 3 == t ? there[1] : there[0];
                    int u = other / 3;
                    if (piece[u] < 0) {
                        piece[u] = pieces;
                        if (directed(t, k) == directedOf(u, undirected(3 * t + k))) {
                            turn(u);
                            flipped++;
                        }
                        open.add(u);
                    }
                }
            }
            pieces++;
        }
    }

    private int end(int e) {
        return tri[e % 3 == 2 ? e - 2 : e + 1];
    }

    private long undirected(int e) {
        int a = tri[e];
        int b = end(e);
        return (long) Math.min(a, b) << 32 | Math.max(a, b);
    }

    /** Whether an edge runs from its lower to its higher corner. */
    private boolean directed(int t, int k) {
        return tri[3 * t + k] < end(3 * t + k);
    }

    private boolean directedOf(int t, long edge) {
        for (int k = 0; k < 3; k++) {
            if (undirected(3 * t + k) == edge) {
                return directed(t, k);
            }
        }
        throw new IllegalStateException("edge not of this triangle");
    }

    private void turn(int t) {
        int s = tri[3 * t + 1];
        tri[3 * t + 1] = tri[3 * t + 2];
        tri[3 * t + 2] = s;
    }

    private void closeHoles() {
        Map<Long, Integer> directed = new HashMap<>(8 * count);
        for (int e = 0; e < 3 * count; e++) {
            directed.merge((long) tri[e] << 32 | end(e), 1, Integer::sum);
        }
        Map<Integer, Integer> rim = new HashMap<>();
        Set<Integer> forked = new HashSet<>();
        for (int e = 0; e < 3 * count; e++) {
            if (!directed.containsKey((long) end(e) << 32 | tri[e]) && rim.put(end(e), tri[e]) != null) {
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
        for (int e = 0; e < 3 * count; e++) {
            if (tri[e] == point) {
                return piece[e / 3];
            }
        }
        return 0;
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
            for (int q = 0; q < pieces; q++) {
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
        return new Mended(facetted(mesh), new Report(welded, dropped, flipped, holesClosed, trianglesAdded,
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

    /** The same mesh with every triangle a face of its own. */
    private Mesh facetted(Mesh m) {
        double[] at = new double[3 * m.pointCount()];
        for (int i = 0; i < m.pointCount(); i++) {
            at[3 * i] = m.x(i);
            at[3 * i + 1] = m.y(i);
            at[3 * i + 2] = m.z(i);
        }
        int n = m.triangleCount();
        int[] corners = new int[3 * n];
        int[] faceOf = new int[n];
        List<Mesh.Face> faces = new ArrayList<>(n);
        for (int t = 0; t < n; t++) {
            faceOf[t] = t;
            int[] ring = {m.corner(t, 0), m.corner(t, 1), m.corner(t, 2)};
            System.arraycopy(ring, 0, corners, 3 * t, 3);
            Vec3 a = m.point(ring[0]);
            Vec3 normal = m.point(ring[1]).minus(a).cross(m.point(ring[2]).minus(a));
            Vec3 unit = normal.length() > 1e-300 ? normal.times(1 / normal.length()) : Vec3.Z;
            faces.add(new Mesh.Face(feature, unit, unit.dot(a), List.of(ring)));
        }
        return new Mesh(at, corners, faceOf, faces);
    }
}
