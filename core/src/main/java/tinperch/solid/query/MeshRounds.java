package tinperch.solid.query;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * Round holes and round pegs found in a mesh by cutting it into many slices along x, y and z and laying circles through the
 * loops (least squares; Kåsa's method). Only what is parallel to an axis is found, as downloaded parts nearly always are.
 */
public final class MeshRounds {
    /** Fewer corners are a nut pocket or a chamfer, not a circle. */
    private static final int FEWEST_CORNERS = 8;
    /** How far a corner may lie off the circle, as a share of its radius. */
    private static final double OFF_SHARE = 0.02;
    private static final int MOST_SLICES = 48;
    /** Pieces of one hole lie in line and are alike to this share of its diameter. */
    private static final double IN_LINE = 0.01;
    private static final int LOOKS = 12;
    private static final int MOST_ROUNDS = 400;

    /**
     * A hole or a peg.
     *
     * @param axis 0, 1, 2 for one along x, y, z
     * @param middle of its length on its axis
     * @param diameter and {@code length} in the unit of the mesh
     * @param hole true for a hole, false for a peg or an outer round
     */
    public record Round(int axis, Vec3 middle, double diameter, double length, boolean hole) {
        /** Distance of the two axes; they run alike or the middles are taken. */
        public double spacing(Round o) {
            Vec3 d = o.middle.minus(middle);
            if (axis != o.axis) {
                return d.length();
            }
            return switch (axis) {
                case 0 -> Math.hypot(d.y(), d.z());
                case 1 -> Math.hypot(d.x(), d.z());
                default -> Math.hypot(d.x(), d.y());
            };
        }
    }

    private record Circle(double x, double y, double r, boolean hole, int slice) {}

    private MeshRounds() {}

    /** All that are found, largest first; holes before pegs. Rounds that are not closed loops (half holes, slots) are not. */
    public static List<Round> of(Mesh mesh) {
        List<Round> all = new ArrayList<>();
        Bounds b = mesh.bounds();
        for (int axis = 0; axis < 3; axis++) {
            List<Round> found = new ArrayList<>();
            along(mesh, b, axis, found);
            all.addAll(throughCrossings(mesh, found));
        }
        all.sort(Comparator.comparing((Round r) -> !r.hole).thenComparing(r -> -r.diameter));
        return all.size() > MOST_ROUNDS ? List.copyOf(all.subList(0, MOST_ROUNDS)) : all;
    }

    /** A hole that another crosses has no round wall where they meet: its pieces are one hole where all along its axis between them is air. */
    private static List<Round> throughCrossings(Mesh mesh, List<Round> found) {
        List<Round> left = new ArrayList<>(found);
        List<Round> all = new ArrayList<>();
        Rays rays = null;
        left.sort(Comparator.comparingDouble(r -> at(r, r.middle)));
        while (!left.isEmpty()) {
            Round now = left.remove(0);
            for (int i = 0; i < left.size(); i++) {
                Round next = left.get(i);
                boolean inLine = now.hole && next.hole && now.spacing(next) < IN_LINE * now.diameter && Math.abs(next.diameter - now.diameter) < IN_LINE * now.diameter;
                if (inLine) {
                    rays = rays == null ? new Rays(TriangleTree.of(mesh)) : rays;
                    double from = at(now, now.middle) + now.length / 2;
                    double to = at(next, next.middle) - next.length / 2;
                    if (isAir(rays, now, from, to)) {
                        double low = at(now, now.middle) - now.length / 2;
                        double high = Math.max(from, at(next, next.middle) + next.length / 2);
                        now = new Round(now.axis, on(now, (low + high) / 2), Math.max(now.diameter, next.diameter), high - low, true);
                        left.remove(i--);
                    }
                }
            }
            all.add(now);
        }
        return all;
    }

    private static boolean isAir(Rays rays, Round r, double from, double to) {
        for (int i = 0; i <= LOOKS; i++) {
            if (rays.inside(on(r, from + (to - from) * i / LOOKS))) {
                return false;
            }
        }
        return true;
    }

    private static double at(Round r, Vec3 p) {
        return r.axis == 0 ? p.x() : r.axis == 1 ? p.y() : p.z();
    }

    /** The place on its axis that is so far along. */
    private static Vec3 on(Round r, double along) {
        Vec3 m = r.middle;
        return r.axis == 0 ? new Vec3(along, m.y(), m.z()) : r.axis == 1 ? new Vec3(m.x(), along, m.z()) : new Vec3(m.x(), m.y(), along);
    }

    private static void along(Mesh mesh, Bounds b, int axis, List<Round> all) {
        Vec3 dir = axis == 0 ? Vec3.X : axis == 1 ? Vec3.Y : Vec3.Z;
        Placement plane = Placement.along(b.min(), dir, axis == 0 ? Vec3.Y : axis == 1 ? Vec3.Z : Vec3.X);
        double extent = b.size().dot(dir);
        if (!(extent > 0)) {
            return;
        }
        double[] at = new double[MOST_SLICES];
        for (int i = 0; i < at.length; i++) {
            at[i] = extent * (i + 0.5) / at.length;
        }
        double smallest = b.size().length() / 2000;
        List<Circle> open = new ArrayList<>();
        List<Circle> first = new ArrayList<>();
        int slice = 0;
        for (List<double[]> loops : Slicer.loops(mesh, plane, at)) {
            for (double[] loop : loops) {
                Circle c = circle(loop, slice);
                if (c != null && c.r > smallest) {
                    int known = like(open, c);
                    if (known < 0) {
                        first.add(c);
                        open.add(c);
                    } else {
                        open.set(known, c);
                    }
                }
            }
            slice++;
        }
        double step = extent / at.length;
        for (int i = 0; i < open.size(); i++) {
            Circle from = first.get(i);
            Circle to = open.get(i);
            // One slice alone may be the tip of a ball or a bead.
            if (to.slice > from.slice || at.length * from.r * 2 < extent) {
                double[] ends = ends(mesh, plane, to, at[from.slice], at[to.slice], step);
                all.add(new Round(axis, plane.point(to.x, to.y, (ends[0] + ends[1]) / 2), 2 * to.r, ends[1] - ends[0], to.hole));
            }
        }
    }

    /** Where it begins and ends: its outermost corners less than a slice beyond the slices it was seen in, else half a slice on. */
    private static double[] ends(Mesh mesh, Placement plane, Circle c, double from, double to, double step) {
        double low = from;
        double high = to;
        for (int i = 0; i < mesh.pointCount(); i++) {
            Vec3 p = plane.local(mesh.point(i));
            if (p.z() > from - step && p.z() < to + step && Math.abs(Math.hypot(p.x() - c.x, p.y() - c.y) - c.r) <= OFF_SHARE * c.r) {
                low = Math.min(low, p.z());
                high = Math.max(high, p.z());
            }
        }
        return new double[] {low < from ? low : from - step / 2, high > to ? high : to + step / 2};
    }

    /** The one that ended in the slice before at the same place with the same size. */
    private static int like(List<Circle> open, Circle c) {
        for (int i = open.size() - 1; i >= 0; i--) {
            Circle o = open.get(i);
            if (o.slice == c.slice - 1 && o.hole == c.hole && Math.hypot(o.x - c.x, o.y - c.y) < 0.01 * c.r
                    && Math.abs(o.r - c.r) < 0.01 * c.r) {
                return i;
            }
        }
        return -1;
    }

    /** The circle through a loop's corners, or null when it is not round. */
    private static Circle circle(double[] loop, int slice) {
        double[] xy = corners(loop);
        int n = xy.length / 2;
        if (n < FEWEST_CORNERS) {
            return null;
        }
        double mx = 0;
        double my = 0;
        for (int i = 0; i < n; i++) {
            mx += xy[2 * i] / n;
            my += xy[2 * i + 1] / n;
        }
        double suu = 0;
        double suv = 0;
        double svv = 0;
        double suz = 0;
        double svz = 0;
        double area = 0;
        for (int i = 0; i < n; i++) {
            double u = xy[2 * i] - mx;
            double v = xy[2 * i + 1] - my;
            int j = (i + 1) % n;
            area += u * (xy[2 * j + 1] - my) - (xy[2 * j] - mx) * v;
            double z = u * u + v * v;
            suu += u * u;
            suv += u * v;
            svv += v * v;
            suz += u * z;
            svz += v * z;
        }
        double det = suu * svv - suv * suv;
        if (!(det > 1e-12 * (suu + svv) * (suu + svv))) {
            return null;
        }
        double cu = (suz * svv - svz * suv) / det / 2;
        double cv = (svz * suu - suz * suv) / det / 2;
        double r = Math.sqrt(cu * cu + cv * cv + (suu + svv) / n);
        for (int i = 0; i < n; i++) {
            if (Math.abs(Math.hypot(xy[2 * i] - mx - cu, xy[2 * i + 1] - my - cv) - r) > OFF_SHARE * r) {
                return null;
            }
        }
        // An arc of few corners with a long chord also lies on a circle: its area gives it away.
        if (Math.abs(area) / 2 < 0.8 * Math.PI * r * r) {
            return null;
        }
        return new Circle(mx + cu, my + cv, r, area < 0, slice);
    }

    /** The loop without points on straight lines, which triangulation puts inside chords. */
    private static double[] corners(double[] xy) {
        int n = xy.length / 2;
        double[] kept = new double[xy.length];
        int k = 0;
        for (int i = 0; i < n; i++) {
            int a = (i + n - 1) % n;
            int b = (i + 1) % n;
            double ux = xy[2 * i] - xy[2 * a];
            double uy = xy[2 * i + 1] - xy[2 * a + 1];
            double vx = xy[2 * b] - xy[2 * i];
            double vy = xy[2 * b + 1] - xy[2 * i + 1];
            double lengths = Math.hypot(ux, uy) * Math.hypot(vx, vy);
            if (lengths > 0 && Math.abs(ux * vy - uy * vx) > 1e-3 * lengths) {
                kept[k++] = xy[2 * i];
                kept[k++] = xy[2 * i + 1];
            }
        }
        return java.util.Arrays.copyOf(kept, k);
    }
}
