package tinperch.solid;

import java.util.List;

/**
 * A closed triangle mesh with the planar faces it came from. Every directed edge has its opposite exactly once; triangles
 * run anticlockwise seen from outside. Lengths in mm.
 */
public final class Mesh {
    /**
     * A planar face of the result.
     *
     * @param feature name of the feature it belongs to
     * @param normal outward unit normal
     * @param offset plane: {@code normal · p = offset}
     * @param rings point numbers: outer ring anticlockwise seen from outside, then holes
     */
    public record Face(String feature, Vec3 normal, double offset, List<int[]> rings) {}

    private Bounds bounds;
    private final double[] xyz;
    private final int[] triangles;
    private final int[] faceOf;
    private final List<Face> faces;
    private volatile Neighbours neighbours;

    /**
     * @param xyz point coordinates, x, y, z triples
     * @param triangles point numbers, three a triangle
     * @param faceOf for each triangle its face
     */
    public Mesh(double[] xyz, int[] triangles, int[] faceOf, List<Face> faces) {
        this.xyz = xyz;
        this.triangles = triangles;
        this.faceOf = faceOf;
        this.faces = List.copyOf(faces);
    }

    /**
     * Several closed meshes as one, each shifted and every face of it given its name. They are put side by side, not joined:
     * where they overlap they go through one another.
     */
    public static Mesh gathered(List<Mesh> parts, List<Vec3> shifts, List<String> names) {
        return gathered(parts, shifts, (i, feature) -> names.get(i));
    }

    /** Several closed meshes as one, where they are; an only one is itself. */
    public static Mesh gathered(List<Mesh> parts) {
        return parts.size() == 1 ? parts.get(0) : gathered(parts, java.util.Collections.nCopies(parts.size(), Vec3.ZERO), (i, feature) -> feature);
    }

    /**
     * The same with names of faces made from which mesh they are of and what they are called there.
     *
     * @param naming takes the number of the mesh and the feature
     */
    public static Mesh gathered(List<Mesh> parts, List<Vec3> shifts, java.util.function.BiFunction<Integer, String, String> naming) {
        int points = parts.stream().mapToInt(Mesh::pointCount).sum();
        int count = parts.stream().mapToInt(Mesh::triangleCount).sum();
        double[] xyz = new double[3 * points];
        int[] triangles = new int[3 * count];
        int[] faceOf = new int[count];
        List<Face> faces = new java.util.ArrayList<>();
        int p = 0;
        int t = 0;
        for (int i = 0; i < parts.size(); i++) {
            Mesh m = parts.get(i);
            Vec3 s = shifts.get(i);
            int firstFace = faces.size();
            for (int k = 0; k < m.pointCount(); k++) {
                xyz[3 * (p + k)] = m.x(k) + s.x();
                xyz[3 * (p + k) + 1] = m.y(k) + s.y();
                xyz[3 * (p + k) + 2] = m.z(k) + s.z();
            }
            for (int k = 0; k < m.triangleCount(); k++, t++) {
                faceOf[t] = firstFace + m.faceOf(k);
                for (int c = 0; c < 3; c++) {
                    triangles[3 * t + c] = p + m.corner(k, c);
                }
            }
            int first = p;
            for (Face f : m.faces) {
                faces.add(new Face(naming.apply(i, f.feature()), f.normal(), f.offset() + f.normal().dot(s), f.rings().stream()
                        .map(r -> java.util.Arrays.stream(r).map(q -> q + first).toArray()).toList()));
            }
            p += m.pointCount();
        }
        return new Mesh(xyz, triangles, faceOf, faces);
    }

    /**
     * The same with some runs of points, and the faces on them, shifted: what {@link #gathered} put side by side moves apart.
     *
     * @param firstPoint where each run begins; the last one reaches to the end
     * @param firstFace where the faces on each run begin
     */
    public Mesh partsMoved(int[] firstPoint, int[] firstFace, List<Vec3> by) {
        double[] next = xyz.clone();
        List<Face> moved = new java.util.ArrayList<>(faces.size());
        for (int i = 0; i < firstPoint.length; i++) {
            Vec3 s = by.get(i);
            int end = i + 1 < firstPoint.length ? firstPoint[i + 1] : pointCount();
            for (int p = firstPoint[i]; p < end; p++) {
                next[3 * p] += s.x();
                next[3 * p + 1] += s.y();
                next[3 * p + 2] += s.z();
            }
            for (Face f : faces.subList(firstFace[i], i + 1 < firstFace.length ? firstFace[i + 1] : faces.size())) {
                moved.add(new Face(f.feature, f.normal, f.offset + f.normal.dot(s), f.rings));
            }
        }
        return new Mesh(next, triangles, faceOf, moved);
    }

    /** The same mesh with every triangle a face of its own, all of one feature. */
    public Mesh facetted(String feature) {
        int n = triangleCount();
        int[] own = new int[n];
        List<Face> facets = new java.util.ArrayList<>(n);
        for (int t = 0; t < n; t++) {
            own[t] = t;
            int[] ring = {corner(t, 0), corner(t, 1), corner(t, 2)};
            Vec3 a = point(ring[0]);
            Vec3 normal = point(ring[1]).minus(a).cross(point(ring[2]).minus(a));
            Vec3 unit = normal.length() > 1e-300 ? normal.times(1 / normal.length()) : Vec3.Z;
            facets.add(new Face(feature, unit, unit.dot(a), List.of(ring)));
        }
        return new Mesh(xyz, triangles, own, facets);
    }

    /** The same triangles without faces: for a large mesh that is only looked at and measured against. */
    public Mesh bare() {
        return new Mesh(xyz, triangles, new int[triangleCount()], List.of());
    }

    /** Every coordinate multiplied by a positive factor; itself when that is 1. */
    public Mesh scaled(double factor) {
        if (factor == 1) {
            return this;
        }
        return moved(p -> p.times(factor), factor);
    }

    /** Laid down somewhere else, not mirrored. */
    public Mesh placed(Placement to) {
        return moved(p -> to.point(p.x(), p.y(), p.z()), 1);
    }

    private Mesh moved(java.util.function.UnaryOperator<Vec3> map, double factor) {
        double[] next = new double[xyz.length];
        for (int i = 0; i < pointCount(); i++) {
            Vec3 p = map.apply(point(i));
            next[3 * i] = p.x();
            next[3 * i + 1] = p.y();
            next[3 * i + 2] = p.z();
        }
        Vec3 zero = map.apply(Vec3.ZERO);
        List<Face> turned = faces.stream().map(f -> {
            Vec3 n = map.apply(f.normal()).minus(zero).times(1 / factor);
            return new Face(f.feature(), n, f.offset() * factor + n.dot(zero), f.rings());
        }).toList();
        return new Mesh(next, triangles, faceOf, turned);
    }

    /** How many points it has. */
    public int pointCount() {
        return xyz.length / 3;
    }

    /** How many triangles it has. */
    public int triangleCount() {
        return triangles.length / 3;
    }

    /** x of a point, mm. */
    public double x(int point) {
        return xyz[3 * point];
    }

    /** y of a point, mm. */
    public double y(int point) {
        return xyz[3 * point + 1];
    }

    /** z of a point, mm. */
    public double z(int point) {
        return xyz[3 * point + 2];
    }

    /** A point by its number, mm. */
    public Vec3 point(int i) {
        return new Vec3(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
    }

    /** Point number of corner {@code k} (0, 1, 2) of triangle {@code t}. */
    public int corner(int t, int k) {
        return triangles[3 * t + k];
    }

    /** The face a triangle is part of. */
    public int faceOf(int triangle) {
        return faceOf[triangle];
    }

    /** Its planar faces; empty where they were dropped. */
    public List<Face> faces() {
        return faces;
    }

    /** The smallest box around it. */
    public Bounds bounds() {
        // Asked for again and again; whoever comes at the same time finds the same.
        Bounds known = bounds;
        if (known == null) {
            known = Bounds.of(xyz);
            bounds = known;
        }
        return known;
    }

    /** Enclosed volume, mm³ (divergence theorem, summed about the middle of the bounds to keep digits). */
    public double volumeMm3() {
        if (triangles.length == 0) {
            return 0;
        }
        Vec3 o = bounds().centre();
        double six = 0;
        for (int t = 0; t < triangles.length; t += 3) {
            int a = 3 * triangles[t];
            int b = 3 * triangles[t + 1];
            int c = 3 * triangles[t + 2];
            double ax = xyz[a] - o.x();
            double ay = xyz[a + 1] - o.y();
            double az = xyz[a + 2] - o.z();
            double bx = xyz[b] - o.x();
            double by = xyz[b + 1] - o.y();
            double bz = xyz[b + 2] - o.z();
            double cx = xyz[c] - o.x();
            double cy = xyz[c + 1] - o.y();
            double cz = xyz[c + 2] - o.z();
            six += ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
        }
        return six / 6;
    }

    /** Surface, mm². */
    public double areaMm2() {
        double twice = 0;
        for (int t = 0; t < triangleCount(); t++) {
            Vec3 a = point(corner(t, 0));
            twice += point(corner(t, 1)).minus(a).cross(point(corner(t, 2)).minus(a)).length();
        }
        return twice / 2;
    }

    /** Number of directed edges whose opposite is not there exactly once; 0 for a closed mesh. */
    public int openEdges() {
        return neighbours().open();
    }

    /** Which triangle lies across each edge; computed when first asked for. */
    public Neighbours neighbours() {
        Neighbours n = neighbours;
        if (n == null) {
            n = Neighbours.of(triangles, pointCount());
            neighbours = n;
        }
        return n;
    }
}
