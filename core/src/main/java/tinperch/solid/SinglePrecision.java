package tinperch.solid;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A mesh fit to be written as 32-bit floats, as mesh files do: after rounding every point still has its own place, no
 * triangle has lost its area, every directed edge has its opposite exactly once, and a reader that joins corners by their
 * coordinates gets the same mesh back.
 *
 * <p>Edges shorter than the rounding are drawn together; corners of solids touching along an edge, which share a place, are
 * moved apart by about a thousandth of a millimetre; a triangle rounded to a line hands its edge to the triangle beside it.
 */
public final class SinglePrecision {
    private static final int MOST_PASSES = 30;
    private static final double APART_MM = 1e-3;

    private final Mesh mesh;
    private final double[] xyz;
    private final int[] merged;
    private int[] triangles;
    private int[] faceOf;

    private SinglePrecision(Mesh mesh) {
        this.mesh = mesh;
        xyz = new double[3 * mesh.pointCount()];
        merged = new int[mesh.pointCount()];
        for (int i = 0; i < merged.length; i++) {
            xyz[3 * i] = (float) mesh.x(i) + 0f;
            xyz[3 * i + 1] = (float) mesh.y(i) + 0f;
            xyz[3 * i + 2] = (float) mesh.z(i) + 0f;
            merged[i] = i;
        }
        triangles = new int[3 * mesh.triangleCount()];
        faceOf = new int[mesh.triangleCount()];
        for (int t = 0; t < faceOf.length; t++) {
            faceOf[t] = mesh.faceOf(t);
            for (int k = 0; k < 3; k++) {
                triangles[3 * t + k] = mesh.corner(t, k);
            }
        }
    }

    /**
     * The rounded mesh; its coordinates are exact as floats.
     *
     * @throws SolidException when rounding would open it
     */
    public static Mesh of(Mesh mesh) {
        return new SinglePrecision(mesh).rounded();
    }

    private Mesh rounded() {
        drawTogether();
        moveApart();
        for (int pass = 0; flipFlat(); pass++) {
            if (pass == MOST_PASSES) {
                throw new SolidException("The part has slivers too thin to be written to a file; change a size by a "
                        + "hundredth of a millimetre.");
            }
        }
        Mesh out = packed();
        if (out.openEdges() != 0) {
            throw new SolidException("The part has details too small to be written to a file; change a size by a "
                    + "hundredth of a millimetre.");
        }
        return out;
    }

    private boolean samePlace(int a, int b) {
        return xyz[3 * a] == xyz[3 * b] && xyz[3 * a + 1] == xyz[3 * b + 1] && xyz[3 * a + 2] == xyz[3 * b + 2];
    }

    private int root(int i) {
        while (merged[i] != i) {
            i = merged[i];
        }
        return i;
    }

    private void drawTogether() {
        boolean any = false;
        for (int e = 0; e < triangles.length; e++) {
            int a = root(triangles[e]);
            int b = root(triangles[e % 3 == 2 ? e - 2 : e + 1]);
            if (a != b && samePlace(a, b)) {
                merged[Math.max(a, b)] = Math.min(a, b);
                any = true;
            }
        }
        if (!any) {
            return;
        }
        int n = 0;
        for (int t = 0; t < faceOf.length; t++) {
            int a = root(triangles[3 * t]);
            int b = root(triangles[3 * t + 1]);
            int c = root(triangles[3 * t + 2]);
            if (a != b && b != c && c != a) {
                triangles[3 * n] = a;
                triangles[3 * n + 1] = b;
                triangles[3 * n + 2] = c;
                faceOf[n++] = faceOf[t];
            }
        }
        triangles = Arrays.copyOf(triangles, 3 * n);
        faceOf = Arrays.copyOf(faceOf, n);
    }

    /** Points that share a place without an edge between them go a little way towards their own neighbours. */
    private void moveApart() {
        Map<Vec3, Integer> taken = new HashMap<>();
        boolean[] used = new boolean[merged.length];
        for (int p : triangles) {
            used[p] = true;
        }
        double[] sum = null;
        int[] count = null;
        for (int i = 0; i < merged.length; i++) {
            if (!used[i]) {
                continue;
            }
            Vec3 here = new Vec3(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
            if (taken.putIfAbsent(here, i) == null) {
                continue;
            }
            if (sum == null) {
                sum = new double[xyz.length];
                count = new int[merged.length];
                for (int e = 0; e < triangles.length; e++) {
                    int a = triangles[e];
                    int b = triangles[e % 3 == 2 ? e - 2 : e + 1];
                    for (int k = 0; k < 3; k++) {
                        sum[3 * a + k] += xyz[3 * b + k];
                    }
                    count[a]++;
                }
            }
            Vec3 middle = new Vec3(sum[3 * i], sum[3 * i + 1], sum[3 * i + 2]).times(1.0 / count[i]);
            Vec3 way = middle.minus(here);
            Vec3 unit = way.length() > 1e-6 ? way.unit() : Vec3.X;
            for (int step = 1; step < 50; step++) {
                Vec3 to = here.plus(unit.times(APART_MM * step));
                Vec3 single = new Vec3((float) to.x() + 0f, (float) to.y() + 0f, (float) to.z() + 0f);
                if (taken.putIfAbsent(single, i) == null) {
                    xyz[3 * i] = single.x();
                    xyz[3 * i + 1] = single.y();
                    xyz[3 * i + 2] = single.z();
                    break;
                }
            }
        }
    }

    /** Turns the longest edge of each flat triangle to the other diagonal; answers whether there was any. */
    private boolean flipFlat() {
        Neighbours n = null;
        boolean[] touched = null;
        boolean any = false;
        for (int t = 0; t < faceOf.length; t++) {
            if (!isFlat(t)) {
                continue;
            }
            any = true;
            if (n == null) {
                n = Neighbours.of(triangles, merged.length);
                touched = new boolean[faceOf.length];
            }
            int k = longest(t);
            int other = n.opposite(3 * t + k);
            if (other < 0 || touched[t] || touched[other / 3]) {
                continue;
            }
            int a = triangles[3 * t + k];
            int c = triangles[3 * t + (k + 1) % 3];
            int b = triangles[3 * t + (k + 2) % 3];
            int u = other / 3;
            int d = triangles[3 * u + (other % 3 + 2) % 3];
            for (int e = 0; e < 3; e++) {
                int near = n.across(3 * t + e);
                int far = n.across(3 * u + e);
                touched[near < 0 ? t : near] = true;
                touched[far < 0 ? u : far] = true;
            }
            touched[t] = true;
            touched[u] = true;
            if (b == d || joined(b, d)) {
                continue;
            }
            set(t, b, a, d, faceOf[u]);
            set(u, c, b, d, faceOf[u]);
        }
        return any;
    }

    private boolean joined(int a, int b) {
        for (int e = 0; e < triangles.length; e++) {
            int p = triangles[e];
            int q = triangles[e % 3 == 2 ? e - 2 : e + 1];
            if (p == a && q == b || p == b && q == a) {
                return true;
            }
        }
        return false;
    }

    private void set(int t, int a, int b, int c, int face) {
        triangles[3 * t] = a;
        triangles[3 * t + 1] = b;
        triangles[3 * t + 2] = c;
        faceOf[t] = face;
    }

    private Vec3 point(int i) {
        return new Vec3(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
    }

    private boolean isFlat(int t) {
        Vec3 a = point(triangles[3 * t]);
        Vec3 ab = point(triangles[3 * t + 1]).minus(a);
        Vec3 ac = point(triangles[3 * t + 2]).minus(a);
        Vec3 n = ab.cross(ac);
        return n.dot(n) <= 1e-24 * Math.max(1e-12, ab.dot(ab) * ac.dot(ac));
    }

    private int longest(int t) {
        int best = 0;
        double length = -1;
        for (int k = 0; k < 3; k++) {
            double d = point(triangles[3 * t + k]).distanceTo(point(triangles[3 * t + (k + 1) % 3]));
            if (d > length) {
                length = d;
                best = k;
            }
        }
        return best;
    }

    private Mesh packed() {
        int[] number = new int[merged.length];
        Arrays.fill(number, -1);
        double[] out = new double[xyz.length];
        int used = 0;
        int[] corners = new int[triangles.length];
        for (int e = 0; e < corners.length; e++) {
            int p = triangles[e];
            if (number[p] < 0) {
                System.arraycopy(xyz, 3 * p, out, 3 * used, 3);
                number[p] = used++;
            }
            corners[e] = number[p];
        }
        List<Mesh.Face> faces = mesh.faces().stream()
                .map(f -> new Mesh.Face(f.feature(), f.normal(), f.offset(), List.of())).toList();
        return new Mesh(Arrays.copyOf(out, 3 * used), corners, faceOf, faces);
    }
}
