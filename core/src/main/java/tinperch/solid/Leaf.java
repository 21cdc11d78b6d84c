package tinperch.solid;

import java.util.Arrays;
import java.util.List;

/**
 * A closed polyhedron with planar faces, the only thing the kernel cuts and joins. Carries the name of the feature it
 * was made for, so that every face of a result can say where it came from.
 */
public final class Leaf implements Solid {
    /**
     * One planar face.
     *
     * @param rings corner numbers, outer ring anticlockwise seen from outside, then holes clockwise
     * @param normal outward unit normal
     * @param offset plane: {@code normal · p = offset}
     */
    public record Face(int[][] rings, Vec3 normal, double offset) {}

    /** Corners farther than this from their face's plane make it not flat. */
    private static final double FLAT_MM = 1e-7;

    private final String feature;
    private final double[] xyz;
    private final List<Face> faces;
    private final Bounds bounds;
    private final LeafEdges edges;

    private Leaf(String feature, double[] xyz, List<Face> faces, LeafEdges edges) {
        this.feature = feature;
        this.xyz = xyz;
        this.faces = List.copyOf(faces);
        this.bounds = Bounds.of(xyz);
        this.edges = edges;
    }

    /**
     * A leaf from its corners and faces. Face normals are computed (Newell's method).
     *
     * @param feature the name findings will use
     * @param xyz corner coordinates, x, y, z triples, mm
     * @param faceRings for each face its rings of corner numbers
     * @throws SolidException when a coordinate is not finite, a face has no area or is not flat, or the faces do not close
     */
    public static Leaf of(String feature, double[] xyz, List<int[][]> faceRings) {
        for (double c : xyz) {
            if (!(Math.abs(c) <= 1e6)) {
                throw new SolidException("A corner of “" + feature + "” lies at " + c + " mm; check its sizes.",
                        List.of(feature));
            }
        }
        Face[] faces = new Face[faceRings.size()];
        for (int f = 0; f < faces.length; f++) {
            faces[f] = face(feature, xyz, faceRings.get(f));
        }
        List<Face> list = Arrays.asList(faces);
        return new Leaf(feature, xyz, list, LeafEdges.of(feature, xyz, list));
    }

    private static Face face(String feature, double[] xyz, int[][] rings) {
        int[] r = rings[0];
        double nx = 0;
        double ny = 0;
        double nz = 0;
        int o = 3 * r[0];
        for (int i = 0; i < r.length; i++) {
            int a = 3 * r[i];
            int b = 3 * r[(i + 1) % r.length];
            double ax = xyz[a] - xyz[o];
            double ay = xyz[a + 1] - xyz[o + 1];
            double az = xyz[a + 2] - xyz[o + 2];
            double bx = xyz[b] - xyz[o];
            double by = xyz[b + 1] - xyz[o + 1];
            double bz = xyz[b + 2] - xyz[o + 2];
            nx += ay * bz - az * by;
            ny += az * bx - ax * bz;
            nz += ax * by - ay * bx;
        }
        double len = Math.sqrt(nx * nx + ny * ny + nz * nz);
        if (!(len > 1e-14)) {
            throw new SolidException("“" + feature + "” has a face without area; give it a thickness.", List.of(feature));
        }
        nx /= len;
        ny /= len;
        nz /= len;
        double d = 0;
        for (int i : r) {
            d += nx * xyz[3 * i] + ny * xyz[3 * i + 1] + nz * xyz[3 * i + 2];
        }
        d /= r.length;
        for (int[] ring : rings) {
            for (int i : ring) {
                if (!(Math.abs(nx * xyz[3 * i] + ny * xyz[3 * i + 1] + nz * xyz[3 * i + 2] - d) < FLAT_MM)) {
                    throw new SolidException("“" + feature + "” has a face that is not flat; cut it into triangles.",
                            List.of(feature));
                }
            }
        }
        return new Face(rings, new Vec3(nx, ny, nz), d);
    }

    /**
     * A profile pushed along the placement's z axis from {@code fromMm} to {@code toMm}.
     *
     * @throws SolidException when {@code toMm} is not above {@code fromMm}
     */
    public static Leaf extrusion(String feature, Profile profile, Placement place, double fromMm, double toMm) {
        Profile.checkRange(fromMm);
        Profile.checkRange(toMm);
        if (!(toMm > fromMm)) {
            throw new SolidException("“" + feature + "” has no thickness (" + (toMm - fromMm)
                    + " mm); make it larger than zero.", List.of(feature));
        }
        int corners = 0;
        for (int r = 0; r < profile.ringCount(); r++) {
            corners += profile.ring(r).length / 2;
        }
        double[] xyz = new double[6 * corners];
        int[][] bottom = new int[profile.ringCount()][];
        int[][] top = new int[profile.ringCount()][];
        java.util.ArrayList<int[][]> faces = new java.util.ArrayList<>();
        boolean mirror = place.isMirror();
        int at = 0;
        for (int r = 0; r < profile.ringCount(); r++) {
            double[] ring = profile.ring(r);
            int n = ring.length / 2;
            bottom[r] = new int[n];
            top[r] = new int[n];
            for (int i = 0; i < n; i++) {
                put(xyz, at + i, place.point(ring[2 * i], ring[2 * i + 1], fromMm));
                put(xyz, corners + at + i, place.point(ring[2 * i], ring[2 * i + 1], toMm));
                bottom[r][n - 1 - i] = at + i;
                top[r][i] = corners + at + i;
            }
            for (int i = 0; i < n; i++) {
                int j = (i + 1) % n;
                faces.add(new int[][] {{at + i, at + j, corners + at + j, corners + at + i}});
            }
            at += n;
        }
        faces.add(bottom);
        faces.add(top);
        if (mirror) {
            faces.forEach(Leaf::reverse);
        }
        return of(feature, xyz, faces);
    }

    private static void put(double[] xyz, int i, Vec3 p) {
        xyz[3 * i] = p.x();
        xyz[3 * i + 1] = p.y();
        xyz[3 * i + 2] = p.z();
    }

    private static void reverse(int[][] rings) {
        for (int[] r : rings) {
            for (int i = 0, j = r.length - 1; i < j; i++, j--) {
                int t = r[i];
                r[i] = r[j];
                r[j] = t;
            }
        }
    }

    /** Name of the feature it is part of. */
    public String feature() {
        return feature;
    }

    /** How many corners it has. */
    public int cornerCount() {
        return xyz.length / 3;
    }

    /** Coordinate {@code axis} (0, 1, 2) of corner {@code i}, mm. */
    public double corner(int i, int axis) {
        return xyz[3 * i + axis];
    }

    /** Its planar faces. */
    public List<Face> faces() {
        return faces;
    }

    /** The smallest box around it. */
    public Bounds bounds() {
        return bounds;
    }

    /** Its edges with the two faces that meet in each. */
    public LeafEdges edges() {
        return edges;
    }

    /** The same leaf under another name. */
    public Leaf named(String name) {
        return new Leaf(name, xyz, faces, edges);
    }

    /**
     * The same leaf moved, turned or mirrored: what stood at local (x, y, z) stands at {@code place.point(x, y, z)}.
     */
    public Leaf placed(String name, Placement place) {
        double[] moved = new double[xyz.length];
        for (int i = 0; i < cornerCount(); i++) {
            put(moved, i, place.point(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]));
        }
        java.util.ArrayList<int[][]> rings = new java.util.ArrayList<>(faces.size());
        for (Face f : faces) {
            int[][] copy = new int[f.rings().length][];
            for (int r = 0; r < copy.length; r++) {
                copy[r] = f.rings()[r].clone();
            }
            if (place.isMirror()) {
                reverse(copy);
            }
            rings.add(copy);
        }
        return of(name, moved, rings);
    }

    /** Whether the other is a leaf with the same name, corners and faces. */
    @Override
    public boolean equals(Object o) {
        if (o == this) {
            return true;
        }
        if (!(o instanceof Leaf other) || !feature.equals(other.feature) || faces.size() != other.faces.size() || !Arrays.equals(xyz, other.xyz)) {
            return false;
        }
        for (int f = 0; f < faces.size(); f++) {
            if (!Arrays.deepEquals(faces.get(f).rings(), other.faces.get(f).rings())) {
                return false;
            }
        }
        return true;
    }

    @Override
    public int hashCode() {
        return 31 * feature.hashCode() + Arrays.hashCode(xyz);
    }
}
