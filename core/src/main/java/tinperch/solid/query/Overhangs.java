package tinperch.solid.query;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
    private static final int LINES = 24;

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
        boolean[] ceiling = new boolean[area.length];
        double[] lean = new double[area.length];
        for (int f = 0; f < area.length; f++) {
            lean[f] = Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, -mesh.faces().get(f).normal().dot(up)))));
            ceiling[f] = lean[f] > CEILING_DEG && low[f] >= bed + ON_BED_MM;
        }
        int[] whole = ceilings(mesh, ceiling);
        Map<Integer, OptionalDouble> bridges = new HashMap<>();
        for (int f = 0; f < area.length; f++) {
            if (ceiling[f] || lean[f] > limitDeg + 1e-9 && lean[f] <= CEILING_DEG) {
                all.add(new Overhangs(f, mesh.faces().get(f).feature(), lean[f], area[f], ceiling[f] ? bridges.computeIfAbsent(whole[f], k -> bridge(mesh, whole, k, up)) : OptionalDouble.empty()));
            }
        }
        all.sort((p, q) -> Double.compare(q.areaMm2, p.areaMm2));
        return all;
    }

    /** Level faces that meet are one ceiling, whichever features they are of: for each face the first of its ceiling, −1 for none. */
    private static int[] ceilings(Mesh mesh, boolean[] ceiling) {
        int[] whole = new int[ceiling.length];
        for (int f = 0; f < whole.length; f++) {
            whole[f] = ceiling[f] ? f : -1;
        }
        for (int t = 0; t < mesh.triangleCount(); t++) {
            for (int k = 0; k < 3 && ceiling[mesh.faceOf(t)]; k++) {
                int other = mesh.neighbours().across(3 * t + k);
                if (other >= 0 && ceiling[mesh.faceOf(other)]) {
                    int a = first(whole, mesh.faceOf(t));
                    int b = first(whole, mesh.faceOf(other));
                    whole[Math.max(a, b)] = Math.min(a, b);
                }
            }
        }
        for (int f = 0; f < whole.length; f++) {
            whole[f] = ceiling[f] ? first(whole, f) : -1;
        }
        return whole;
    }

    private static int first(int[] whole, int f) {
        int at = f;
        while (whole[at] != at) {
            at = whole[at];
        }
        return at;
    }

    /** An edge of a ceiling's outline, and whether material goes down from it. */
    private record Rim(Vec3 from, Vec3 to, boolean carries) {}

    /** The shortest longest line over all directions in which both ends of every line rest on walls. */
    private static OptionalDouble bridge(Mesh mesh, int[] whole, int which, Vec3 up) {
        List<Rim> rim = rim(mesh, whole, which, up);
        Vec3 u = Math.abs(up.x()) < 0.7 ? Vec3.X.minus(up.times(up.x())).unit() : Vec3.Y.minus(up.times(up.y())).unit();
        Vec3 v = up.cross(u);
        OptionalDouble best = OptionalDouble.empty();
        for (int deg = 0; deg < 180; deg += 5) {
            double a = Math.toRadians(deg);
            Vec3 along = u.times(Math.cos(a)).plus(v.times(Math.sin(a)));
            Optional<Double> span = span(rim, along, up.cross(along));
            if (span.isPresent() && (best.isEmpty() || span.get() < best.getAsDouble())) {
                best = OptionalDouble.of(span.get());
            }
        }
        return best;
    }

    private static List<Rim> rim(Mesh mesh, int[] whole, int which, Vec3 up) {
        List<Rim> all = new ArrayList<>();
        for (int t = 0; t < mesh.triangleCount(); t++) {
            for (int k = 0; k < 3 && whole[mesh.faceOf(t)] == which; k++) {
                int other = mesh.neighbours().across(3 * t + k);
                if (other >= 0 && whole[mesh.faceOf(other)] == which) {
                    continue;
                }
                Vec3 from = mesh.point(mesh.corner(t, k));
                boolean down = false;
                if (other >= 0) {
                    // The neighbour goes down from the ceiling when its far corner lies lower.
                    int edge = mesh.neighbours().opposite(3 * t + k);
                    down = mesh.point(mesh.corner(other, (edge % 3 + 2) % 3)).minus(from).dot(up) < -1e-6;
                }
                all.add(new Rim(from, mesh.point(mesh.corner(t, (k + 1) % 3)), down));
            }
        }
        return all;
    }

    private static Optional<Double> span(List<Rim> rim, Vec3 along, Vec3 across) {
        double lo = Double.POSITIVE_INFINITY;
        double hi = Double.NEGATIVE_INFINITY;
        for (Rim r : rim) {
            lo = Math.min(lo, r.from.dot(across));
            hi = Math.max(hi, r.from.dot(across));
        }
        double longest = 0;
        for (int l = 0; l < LINES; l++) {
            double w = lo + (hi - lo) * (l + 0.5) / LINES;
            List<double[]> crossings = new ArrayList<>();
            for (Rim r : rim) {
                double a = r.from.dot(across);
                double b = r.to.dot(across);
                if (a < w != b < w) {
                    double t = (w - a) / (b - a);
                    crossings.add(new double[] {r.from.dot(along) + t * (r.to.dot(along) - r.from.dot(along)), r.carries ? 1 : 0});
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
