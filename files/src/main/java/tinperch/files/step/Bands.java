package tinperch.files.step;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/**
 * Finds in a mesh the polygons that stand for round holes. Only a whole band is one: every face with four corners, both ends
 * square to the axis and each the whole ring of one flat face. Anything else, a hole that meets another or comes out on a slope,
 * stays the polygon it is.
 */
final class Bands {
    private static final double SAME_MM = 1e-6;
    private static final double SQUARE = 1e-9;
    /** The flat's distance from the axis over the radius: a polygon around the circle has just 1, one with its corners on it a little less. */
    private static final double LEAST = 0.98;
    private static final double MOST = 1.03;
    private static final int FEWEST_SIDES = 8;

    private final Mesh mesh;
    /** For each sorted ring of an end face the face and which of its rings. */
    private final Map<Set<Integer>, int[]> rings = new HashMap<>();

    private Bands(Mesh mesh) {
        this.mesh = mesh;
        for (int f = 0; f < mesh.faces().size(); f++) {
            List<int[]> of = mesh.faces().get(f).rings();
            for (int r = 0; r < of.size(); r++) {
                Set<Integer> points = new HashSet<>();
                for (int p : of.get(r)) {
                    points.add(p);
                }
                if (points.size() == of.get(r).length && points.size() >= FEWEST_SIDES) {
                    rings.put(points, new int[] {f, r});
                }
            }
        }
    }

    static List<Band> of(Mesh mesh, List<Round> rounds) {
        Bands b = new Bands(mesh);
        List<Band> all = new ArrayList<>();
        Set<Integer> used = new HashSet<>();
        for (Round r : rounds) {
            for (Band band : b.along(r, used)) {
                all.add(band);
                for (int f : band.faces()) {
                    used.add(f);
                }
            }
        }
        return all;
    }

    /** A wall's side: its face and the corners below and above, in the way round the axis. */
    private record Side(int face, int lowA, int lowB, int highA, int highB) {}

    private List<Band> along(Round r, Set<Integer> used) {
        // Sides of one band begin and end at the same heights; one axis may carry several, one below the other.
        Map<List<Long>, Map<Integer, Side>> byEnds = new HashMap<>();
        for (int f = 0; f < mesh.faces().size(); f++) {
            if (!used.contains(f)) {
                Side s = side(f, r);
                if (s != null) {
                    List<Long> ends = List.of(Math.round(height(s.lowA, r) / SAME_MM), Math.round(height(s.highA, r) / SAME_MM));
                    byEnds.computeIfAbsent(ends, k -> new HashMap<>()).put(s.lowA, s);
                }
            }
        }
        List<Band> all = new ArrayList<>();
        for (Map<Integer, Side> sides : byEnds.values()) {
            Band band = closed(r, sides);
            if (band != null) {
                all.add(band);
            }
        }
        return all;
    }

    private double height(int point, Round r) {
        return mesh.point(point).minus(r.axis().origin()).dot(r.axis().w());
    }

    private Side side(int f, Round r) {
        Mesh.Face face = mesh.faces().get(f);
        Vec3 w = r.axis().w();
        if (face.rings().size() != 1 || face.rings().get(0).length != 4 || Math.abs(face.normal().dot(w)) > SQUARE) {
            return null;
        }
        int[] ring = face.rings().get(0);
        Vec3 in = mesh.point(ring[0]).minus(r.axis().origin());
        double apothem = -in.dot(face.normal());
        if (apothem < LEAST * r.radiusMm() || apothem > MOST * r.radiusMm()) {
            return null;
        }
        double corner = away(ring[0], r);
        for (int p : ring) {
            if (Math.abs(away(p, r) - corner) > SAME_MM) {
                return null;
            }
        }
        for (int k = 0; k < 4; k++) {
            int a = ring[k];
            int b = ring[(k + 1) % 4];
            int c = ring[(k + 2) % 4];
            int d = ring[(k + 3) % 4];
            boolean level = Math.abs(height(a, r) - height(b, r)) < SAME_MM && Math.abs(height(c, r) - height(d, r)) < SAME_MM;
            if (level && height(a, r) < height(c, r)) {
                // Seen from inside the hole the ring runs the other way round: from b to a below goes with the axis.
                return new Side(f, b, a, c, d);
            }
        }
        return null;
    }

    private double away(int point, Round r) {
        Vec3 d = mesh.point(point).minus(r.axis().origin());
        return d.minus(r.axis().w().times(d.dot(r.axis().w()))).length();
    }

    private Band closed(Round r, Map<Integer, Side> sides) {
        int n = sides.size();
        if (n < FEWEST_SIDES) {
            return null;
        }
        int[] faces = new int[n];
        int[] low = new int[n];
        int[] high = new int[n];
        int at = sides.keySet().iterator().next();
        int start = at;
        for (int k = 0; k < n; k++) {
            Side s = sides.get(at);
            if (s == null || k > 0 && s.highA != sides.get(low[k - 1]).highB) {
                return null;
            }
            faces[k] = s.face;
            low[k] = s.lowA;
            high[k] = s.highA;
            at = s.lowB;
        }
        if (at != start || !isWholeRing(low, r) || !isWholeRing(high, r)) {
            return null;
        }
        Vec3 w = r.axis().w();
        return new Band(r, faces, low, high, r.axis().origin().plus(w.times(height(low[0], r))), r.axis().origin().plus(w.times(height(high[0], r))));
    }

    private boolean isWholeRing(int[] points, Round r) {
        Set<Integer> set = new HashSet<>();
        for (int p : points) {
            set.add(p);
        }
        int[] where = rings.get(set);
        return where != null && Math.abs(Math.abs(mesh.faces().get(where[0]).normal().dot(r.axis().w())) - 1) < SQUARE;
    }
}
