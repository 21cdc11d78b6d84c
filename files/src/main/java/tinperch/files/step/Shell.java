package tinperch.files.step;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/** Writes faces of a mesh with their shared edges: flat ones as they are, bands of flats as the cylinders they stand for. */
final class Shell {
    /** How far a face's corners may lie from its plane; readers allow 1e-7 mm. */
    private static final double FLAT_MM = 5e-8;

    private final Mesh mesh;
    private final Entities to;
    private final Vec3[] at;
    private final String[] vertex;
    private final Map<Long, String> edges = new HashMap<>();
    /** Ends of cylinders, by the points of the polygon each stands for. */
    private final Map<Set<Integer>, Circle> circles = new HashMap<>();

    /** @param axis which way it runs anticlockwise about */
    private record Circle(String edge, Vec3 axis) {}

    Shell(Mesh mesh, Entities to) {
        this.mesh = mesh;
        this.to = to;
        at = new Vec3[mesh.pointCount()];
        vertex = new String[mesh.pointCount()];
        for (int i = 0; i < at.length; i++) {
            at[i] = Entities.rounded(mesh.point(i));
        }
    }

    /** Writes a wall as a cylinder; to be done before the faces at its ends. */
    String cylinder(Band band) {
        Vec3 w = band.round().axis().w();
        Vec3 out = mesh.point(band.low()[0]).minus(band.from()).unit();
        double r = band.round().radiusMm();
        String low = to.add("VERTEX_POINT(''," + to.point(band.from().plus(out.times(r))) + ")");
        String high = to.add("VERTEX_POINT(''," + to.point(band.to().plus(out.times(r))) + ")");
        String lowCircle = circle(band.from(), w, out, r, low);
        String highCircle = circle(band.to(), w, out, r, high);
        circles.put(set(band.low()), new Circle(lowCircle, w));
        circles.put(set(band.high()), new Circle(highCircle, w));
        String seam = edge(low, high, band.from().plus(out.times(r)), w);
        // The wall looks at its axis, against the surface's own normal, so the loop runs against the surface's sense too.
        String loop = to.add("EDGE_LOOP('',(" + oriented(seam, true) + "," + oriented(highCircle, true) + "," + oriented(seam, false) + ","
                + oriented(lowCircle, false) + "))");
        String bound = to.add("FACE_OUTER_BOUND(''," + loop + ",.T.)");
        String surface = to.add("CYLINDRICAL_SURFACE(''," + to.place(band.from(), w, out) + "," + Entities.real(r) + ")");
        return to.add("ADVANCED_FACE('',(" + bound + ")," + surface + ",.F.)");
    }

    private String circle(Vec3 middle, Vec3 axis, Vec3 x, double r, String vertex) {
        String curve = to.add("CIRCLE(''," + to.place(middle, axis, x) + "," + Entities.real(r) + ")");
        return to.add("EDGE_CURVE(''," + vertex + "," + vertex + "," + curve + ",.T.)");
    }

    private static Set<Integer> set(int[] points) {
        Set<Integer> s = new HashSet<>();
        for (int p : points) {
            s.add(p);
        }
        return s;
    }

    /**
     * Writes a flat face; one that is not flat enough or touches itself at a corner as its triangles.
     *
     * @param triangles its triangles' numbers
     */
    List<String> flat(Mesh.Face face, List<Integer> triangles) {
        Vec3 normal = face.normal().unit();
        if (isFlat(face, normal) && face.rings().stream().allMatch(r -> set(r).size() == r.length)) {
            return List.of(flat(face.rings(), normal));
        }
        List<String> all = new ArrayList<>();
        for (int t : triangles) {
            int[] ring = {mesh.corner(t, 0), mesh.corner(t, 1), mesh.corner(t, 2)};
            Vec3 n = at[ring[1]].minus(at[ring[0]]).cross(at[ring[2]].minus(at[ring[0]]));
            all.add(flat(List.of(ring), n.length() > 0 ? n.unit() : normal));
        }
        return all;
    }

    private boolean isFlat(Mesh.Face face, Vec3 normal) {
        Vec3 on = at[face.rings().get(0)[0]];
        for (int[] ring : face.rings()) {
            for (int p : ring) {
                if (Math.abs(at[p].minus(on).dot(normal)) > FLAT_MM) {
                    return false;
                }
            }
        }
        return true;
    }

    private String flat(List<int[]> rings, Vec3 normal) {
        String bounds = "";
        for (int i = 0; i < rings.size(); i++) {
            bounds += (i == 0 ? "" : ",") + to.add((i == 0 ? "FACE_OUTER_BOUND" : "FACE_BOUND") + "(''," + loop(rings.get(i), normal) + ",.T.)");
        }
        Vec3 a = at[rings.get(0)[0]];
        Vec3 along = at[rings.get(0)[1]].minus(a);
        Vec3 x = along.minus(normal.times(along.dot(normal))).unit();
        String plane = to.add("PLANE(''," + to.place(a, normal, x) + ")");
        return to.add("ADVANCED_FACE('',(" + bounds + ")," + plane + ",.T.)");
    }

    private String loop(int[] ring, Vec3 normal) {
        Circle c = circles.isEmpty() ? null : circles.get(set(ring));
        if (c != null) {
            return to.add("EDGE_LOOP('',(" + oriented(c.edge, isAnticlockwise(ring, c.axis)) + "))");
        }
        List<String> parts = new ArrayList<>();
        for (int k = 0; k < ring.length; k++) {
            int a = ring[k];
            int b = ring[(k + 1) % ring.length];
            long key = (long) Math.min(a, b) << 32 | Math.max(a, b);
            String e = edges.computeIfAbsent(key, n -> line(Math.min(a, b), Math.max(a, b)));
            parts.add(oriented(e, a < b));
        }
        return to.add("EDGE_LOOP('',(" + parts.stream().collect(Collectors.joining(",")) + "))");
    }

    /** Whether a ring runs anticlockwise about a direction, by the area it encloses. */
    private boolean isAnticlockwise(int[] ring, Vec3 about) {
        Vec3 sum = Vec3.ZERO;
        Vec3 o = at[ring[0]];
        for (int k = 1; k + 1 < ring.length; k++) {
            sum = sum.plus(at[ring[k]].minus(o).cross(at[ring[k + 1]].minus(o)));
        }
        return sum.dot(about) > 0;
    }

    private String line(int a, int b) {
        return edge(vertex(a), vertex(b), at[a], at[b].minus(at[a]).unit());
    }

    private String edge(String from, String to2, Vec3 start, Vec3 direction) {
        String line = to.add("LINE(''," + to.point(start) + "," + to.add("VECTOR(''," + to.direction(direction) + ",1.)") + ")");
        return to.add("EDGE_CURVE(''," + from + "," + to2 + "," + line + ",.T.)");
    }

    private String vertex(int p) {
        if (vertex[p] == null) {
            vertex[p] = to.add("VERTEX_POINT(''," + to.point(at[p]) + ")");
        }
        return vertex[p];
    }

    private String oriented(String edge, boolean forward) {
        return to.add("ORIENTED_EDGE('',*,*," + edge + (forward ? ",.T.)" : ",.F.)"));
    }
}
