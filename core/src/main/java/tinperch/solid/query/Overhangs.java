package tinperch.solid.query;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/**
 * Faces that hang in the air when a part is printed standing in a given direction. Sloping ones count when they lie flatter
 * than a limit; level ones are bridges when walls carry both ends of every line laid in some direction, otherwise they
 * need support.
 *
 * @param face number of the face in the mesh
 * @param feature it belongs to
 * @param fromVerticalDeg how far it leans out, degrees; 90 is a ceiling
 * @param areaMm2 its area
 * @param bridgeMm for a ceiling that can be bridged the longest line, else empty
 */
public record Overhangs(int face, String feature, double fromVerticalDeg, double areaMm2, OptionalDouble bridgeMm) {
    private static final double CEILING_DEG = 89;
    private static final double ON_BED_MM = 1e-3;

    /**
     * The hanging faces, largest first.
     *
     * @param up build direction, unit
     * @param limitDeg steepest lean from vertical that prints without support, common practice 45 to 60
     */
    public static List<Overhangs> of(Mesh mesh, Vec3 up, double limitDeg) {
        double bed = Double.POSITIVE_INFINITY;
        for (int i = 0; i < mesh.pointCount(); i++) {
            bed = Math.min(bed, mesh.point(i).dot(up));
        }
        List<Overhangs> all = new ArrayList<>();
        double[] area = new double[mesh.faces().size()];
        double[] low = new double[area.length];
        java.util.Arrays.fill(low, Double.POSITIVE_INFINITY);
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Vec3 a = mesh.point(mesh.corner(t, 0));
            Vec3 b = mesh.point(mesh.corner(t, 1));
            Vec3 c = mesh.point(mesh.corner(t, 2));
            area[mesh.faceOf(t)] += b.minus(a).cross(c.minus(a)).length() / 2;
            low[mesh.faceOf(t)] = Math.min(low[mesh.faceOf(t)], Math.min(a.dot(up), Math.min(b.dot(up), c.dot(up))));
        }
        for (int f = 0; f < area.length; f++) {
            Mesh.Face face = mesh.faces().get(f);
            double lean = Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, -face.normal().dot(up)))));
            boolean ceiling = lean > CEILING_DEG;
            if (lean > limitDeg + 1e-9 && !(ceiling && low[f] < bed + ON_BED_MM)) {
                all.add(new Overhangs(f, face.feature(), lean, area[f], ceiling ? bridge(mesh, f, up) : OptionalDouble.empty()));
            }
        }
        all.sort((p, q) -> Double.compare(q.areaMm2, p.areaMm2));
        return all;
    }

    /** The shortest longest line over all directions in which both ends of every line rest on walls. */
    private static OptionalDouble bridge(Mesh mesh, int face, Vec3 up) {
        boolean[] carries = carrying(mesh, face, up);
        Vec3 u = Math.abs(up.x()) < 0.7 ? Vec3.X.minus(up.times(up.x())).unit() : Vec3.Y.minus(up.times(up.y())).unit();
        Vec3 v = up.cross(u);
        OptionalDouble best = OptionalDouble.empty();
        for (int deg = 0; deg < 180; deg += 5) {
            double a = Math.toRadians(deg);
            Vec3 along = u.times(Math.cos(a)).plus(v.times(Math.sin(a)));
            Optional<Double> span = span(mesh, face, carries, along, up.cross(along));
            if (span.isPresent() && (best.isEmpty() || span.get() < best.getAsDouble())) {
                best = OptionalDouble.of(span.get());
            }
        }
        return best;
    }

    /** For each ring edge of the face whether material goes down from it. */
    private static boolean[] carrying(Mesh mesh, int face, Vec3 up) {
        List<Boolean> all = new ArrayList<>();
        java.util.Map<Long, Boolean> wall = new java.util.HashMap<>();
        for (int t = 0; t < mesh.triangleCount(); t++) {
            if (mesh.faceOf(t) != face) {
                continue;
            }
            for (int k = 0; k < 3; k++) {
                int other = mesh.neighbours().across(3 * t + k);
                if (other >= 0 && mesh.faceOf(other) != face) {
                    // The neighbour goes down from the ceiling when its far corner lies lower.
                    int edge = mesh.neighbours().opposite(3 * t + k);
                    int far = mesh.corner(other, (edge % 3 + 2) % 3);
                    boolean down = mesh.point(far).minus(mesh.point(mesh.corner(t, k))).dot(up) < -1e-6;
                    wall.put((long) mesh.corner(t, k) << 32 | mesh.corner(t, (k + 1) % 3), down);
                }
            }
        }
        for (int[] ring : mesh.faces().get(face).rings()) {
            for (int i = 0; i < ring.length; i++) {
                all.add(wall.getOrDefault((long) ring[i] << 32 | ring[(i + 1) % ring.length], false));
            }
        }
        boolean[] out = new boolean[all.size()];
        for (int i = 0; i < out.length; i++) {
            out[i] = all.get(i);
        }
        return out;
    }

    private static Optional<Double> span(Mesh mesh, int face, boolean[] carries, Vec3 along, Vec3 across) {
        List<int[]> rings = mesh.faces().get(face).rings();
        double lo = Double.POSITIVE_INFINITY;
        double hi = Double.NEGATIVE_INFINITY;
        for (int[] r : rings) {
            for (int i : r) {
                double w = mesh.point(i).dot(across);
                lo = Math.min(lo, w);
                hi = Math.max(hi, w);
            }
        }
        double longest = 0;
        int lines = 24;
        for (int l = 0; l < lines; l++) {
            double w = lo + (hi - lo) * (l + 0.5) / lines;
            List<double[]> crossings = new ArrayList<>();
            int e = 0;
            for (int[] r : rings) {
                for (int i = 0; i < r.length; i++, e++) {
                    Vec3 p = mesh.point(r[i]);
                    Vec3 q = mesh.point(r[(i + 1) % r.length]);
                    double a = p.dot(across);
                    double b = q.dot(across);
                    if (a < w != b < w) {
                        double t = (w - a) / (b - a);
                        crossings.add(new double[] {p.dot(along) + t * (q.dot(along) - p.dot(along)), carries[e] ? 1 : 0});
                    }
                }
            }
            crossings.sort((p, q) -> Double.compare(p[0], q[0]));
            for (int i = 0; i + 1 < crossings.size(); i += 2) {
                if (crossings.get(i)[1] == 0 || crossings.get(i + 1)[1] == 0) {
                    return Optional.empty();
                }
                longest = Math.max(longest, crossings.get(i + 1)[0] - crossings.get(i)[0]);
            }
        }
        return Optional.of(longest);
    }
}
