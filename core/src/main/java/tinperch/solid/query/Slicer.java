package tinperch.solid.query;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.prep.PreparedPolygon;
import tinperch.solid.Mesh;
import tinperch.solid.Neighbours;
import tinperch.solid.Placement;
import tinperch.solid.Stop;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;

/**
 * Sections of a mesh by planes. A point on the plane counts as above it, so that loops close whatever lies in the plane;
 * material is on the left of every loop. Loops are followed from triangle to triangle, nothing is searched for.
 */
public final class Slicer {
    private static final GeometryFactory JTS = new GeometryFactory();

    private final Mesh mesh;
    private final Neighbours neighbours;
    private final Vec3 u;
    private final Vec3 v;
    private final Vec3 origin;
    private final double[] height;
    private final int[] seen;

    private Slicer(Mesh mesh, Placement plane) {
        this.mesh = mesh;
        this.neighbours = mesh.neighbours();
        this.u = plane.u();
        this.v = plane.v();
        this.origin = plane.origin();
        height = new double[mesh.pointCount()];
        for (int i = 0; i < height.length; i++) {
            height[i] = (mesh.x(i) - origin.x()) * plane.w().x() + (mesh.y(i) - origin.y()) * plane.w().y()
                    + (mesh.z(i) - origin.z()) * plane.w().z();
        }
        seen = new int[mesh.triangleCount()];
    }

    /** The pieces of a section; the plane is the placement's xy plane and the profiles are in its coordinates. */
    public static List<Profile> section(Mesh mesh, Placement plane) {
        return layers(mesh, plane, new double[] {0}).get(0);
    }

    /**
     * Sections at many heights above the placement's xy plane.
     *
     * @param heightsMm ascending
     * @return for each height the pieces of the section
     */
    public static List<List<Profile>> layers(Mesh mesh, Placement plane, double[] heightsMm) {
        List<List<Profile>> all = new ArrayList<>(heightsMm.length);
        for (List<double[]> loops : loops(mesh, plane, heightsMm)) {
            all.add(pieces(loops));
        }
        return all;
    }

    /** The bare loops at each height as x, y pairs: outlines anticlockwise, holes clockwise. */
    public static List<List<double[]>> loops(Mesh mesh, Placement plane, double[] heightsMm) {
        return loops(mesh, plane, heightsMm, Stop.NEVER);
    }

    /**
     * The same, for as long as somebody waits for them.
     *
     * @throws Stop.Stopped when nobody does any more
     */
    public static List<List<double[]>> loops(Mesh mesh, Placement plane, double[] heightsMm, Stop stop) {
        return new Slicer(mesh, plane).run(heightsMm, stop);
    }

    private List<List<double[]>> run(double[] at, Stop stop) {
        int n = mesh.triangleCount();
        // Triangles bucketed by the first height they reach; those still reaching higher are carried along.
        int[] start = new int[at.length + 1];
        int[] first = new int[n];
        int[] last = new int[n];
        for (int t = 0; t < n; t++) {
            double a = height[mesh.corner(t, 0)];
            double b = height[mesh.corner(t, 1)];
            double c = height[mesh.corner(t, 2)];
            double lo = Math.min(a, Math.min(b, c));
            double hi = Math.max(a, Math.max(b, c));
            // Crossing means: some corner below, some at or above.
            first[t] = above(at, lo);
            last[t] = above(at, hi) - 1;
            if (first[t] <= last[t]) {
                start[first[t] + 1]++;
            }
        }
        for (int l = 0; l < at.length; l++) {
            start[l + 1] += start[l];
        }
        int[] fill = start.clone();
        int[] byLayer = new int[start[at.length]];
        for (int t = 0; t < n; t++) {
            if (first[t] <= last[t]) {
                byLayer[fill[first[t]]++] = t;
            }
        }
        List<List<double[]>> layers = new ArrayList<>(at.length);
        int[] active = new int[0];
        int count = 0;
        for (int l = 0; l < at.length; l++) {
            stop.check();
            int kept = 0;
            int added = start[l + 1] - start[l];
            if (active.length < count + added) {
                active = Arrays.copyOf(active, Math.max(count + added, 2 * active.length));
            }
            for (int i = 0; i < count; i++) {
                if (last[active[i]] >= l) {
                    active[kept++] = active[i];
                }
            }
            System.arraycopy(byLayer, start[l], active, kept, added);
            count = kept + added;
            layers.add(loops(active, count, at[l], l + 1));
        }
        return layers;
    }

    /** The first place whose height is greater than {@code h}. */
    private static int above(double[] at, double h) {
        int lo = 0;
        int hi = at.length;
        while (lo < hi) {
            int mid = (lo + hi) >>> 1;
            if (at[mid] <= h) {
                lo = mid + 1;
            } else {
                hi = mid;
            }
        }
        return lo;
    }

    private List<double[]> loops(int[] active, int count, double z, int stamp) {
        List<double[]> loops = new ArrayList<>();
        double[] xy = new double[64];
        for (int i = 0; i < count; i++) {
            int t = active[i];
            if (seen[t] == stamp) {
                continue;
            }
            int n = 0;
            do {
                seen[t] = stamp;
                int out = exit(t, z);
                if (out < 0) {
                    break;
                }
                int a = mesh.corner(t, out);
                int b = mesh.corner(t, (out + 1) % 3);
                // Always from the lower-numbered point, so that both triangles give the same place.
                int p = Math.min(a, b);
                int q = Math.max(a, b);
                double s = (z - height[p]) / (height[q] - height[p]);
                double x = mesh.x(p) + s * (mesh.x(q) - mesh.x(p)) - origin.x();
                double y = mesh.y(p) + s * (mesh.y(q) - mesh.y(p)) - origin.y();
                double w = mesh.z(p) + s * (mesh.z(q) - mesh.z(p)) - origin.z();
                double px = x * u.x() + y * u.y() + w * u.z();
                double py = x * v.x() + y * v.y() + w * v.z();
                if (n == 0 || Math.abs(px - xy[n - 2]) > 1e-9 || Math.abs(py - xy[n - 1]) > 1e-9) {
                    if (n + 2 > xy.length) {
                        xy = Arrays.copyOf(xy, 2 * n);
                    }
                    xy[n++] = px;
                    xy[n++] = py;
                }
                t = neighbours.across(3 * t + out);
            } while (t >= 0 && seen[t] != stamp);
            while (n > 2 && Math.abs(xy[0] - xy[n - 2]) <= 1e-9 && Math.abs(xy[1] - xy[n - 1]) <= 1e-9) {
                n -= 2;
            }
            if (n >= 6) {
                loops.add(Arrays.copyOf(xy, n));
            }
        }
        return loops;
    }

    /** The edge through which a loop with the material on its left leaves a triangle: the one that goes up. */
    private int exit(int t, double z) {
        for (int k = 0; k < 3; k++) {
            boolean below = height[mesh.corner(t, k)] < z;
            boolean nextBelow = height[mesh.corner(t, (k + 1) % 3)] < z;
            if (below && !nextBelow) {
                return k;
            }
        }
        return -1;
    }

    private static List<Profile> pieces(List<double[]> loops) {
        List<double[]> outers = new ArrayList<>();
        List<double[]> holes = new ArrayList<>();
        for (double[] l : loops) {
            double a = Profile.area(l);
            if (Math.abs(a) > 1e-9) {
                (a > 0 ? outers : holes).add(l);
            }
        }
        outers.sort((p, q) -> Double.compare(Profile.area(p), Profile.area(q)));
        List<List<double[]>> of = new ArrayList<>();
        List<PreparedPolygon> prepared = new ArrayList<>();
        for (double[] o : outers) {
            of.add(new ArrayList<>(List.of(o)));
            prepared.add(new PreparedPolygon(polygon(o)));
        }
        for (double[] h : holes) {
            Coordinate mid = new Coordinate((h[0] + h[2]) / 2, (h[1] + h[3]) / 2);
            for (int o = 0; o < outers.size(); o++) {
                if (-Profile.area(h) < Profile.area(outers.get(o)) && prepared.get(o).intersects(JTS.createPoint(mid))) {
                    of.get(o).add(h);
                    break;
                }
            }
        }
        List<Profile> all = new ArrayList<>(of.size());
        for (List<double[]> rings : of) {
            all.add(Profile.trusted(rings.toArray(double[][]::new)));
        }
        return all;
    }

    private static Polygon polygon(double[] xy) {
        Coordinate[] c = new Coordinate[xy.length / 2 + 1];
        for (int i = 0; i < c.length - 1; i++) {
            c[i] = new Coordinate(xy[2 * i], xy[2 * i + 1]);
        }
        c[c.length - 1] = c[0].copy();
        LinearRing ring = JTS.createLinearRing(c);
        return JTS.createPolygon(ring);
    }
}
