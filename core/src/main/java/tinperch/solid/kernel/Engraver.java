package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import tinperch.solid.Mesh;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Profiles;

/**
 * Sinks outlines into the faces of a mesh that look straight up, without evaluating anything again: each outline lies wholly within one
 * face, so only that face is cut into triangles anew. The caller knows that there is material under it.
 */
public final class Engraver {
    private static final GeometryFactory JTS = new GeometryFactory();
    private static final double WELD_MM = 2e-7;

    private final Mesh mesh;
    private final double topMm;
    private final List<Mesh.Face> faces;
    private final Map<Integer, List<int[]>> added = new HashMap<>();
    private final List<double[]> points = new ArrayList<>();
    private final List<int[]> triangles = new ArrayList<>();

    private Engraver(Mesh mesh, double topMm) {
        this.mesh = mesh;
        this.topMm = topMm;
        faces = new ArrayList<>(mesh.faces());
    }

    /**
     * The engraved mesh; empty when an outline does not lie within one face at that height, or the faces cannot be cut.
     *
     * @param topMm height of the faces
     * @param feature what the new faces are called
     */
    public static Optional<Mesh> engrave(Mesh mesh, List<Profile> outlines, double topMm, double depthMm, String feature) {
        Engraver e = new Engraver(mesh, topMm);
        try {
            return e.sink(outlines, depthMm, feature) ? Optional.of(e.mesh()).filter(m -> m.openEdges() == 0) : Optional.empty();
        } catch (Unresolved refused) {
            return Optional.empty();
        }
    }

    private boolean sink(List<Profile> outlines, double depthMm, String feature) {
        Map<Integer, PreparedGeometry> tops = new HashMap<>();
        for (int f = 0; f < mesh.faces().size(); f++) {
            Mesh.Face face = mesh.faces().get(f);
            if (face.normal().z() > 1 - 1e-12 && Math.abs(face.offset() - topMm) < 1e-4) {
                tops.put(f, PreparedGeometryFactory.prepare(polygon(face)));
            }
        }
        for (Profile p : outlines) {
            Polygon drawn = Profiles.geometry(p);
            Integer of = tops.entrySet().stream().filter(t -> t.getValue().containsProperly(drawn)).map(Map.Entry::getKey).findFirst().orElse(null);
            if (of == null) {
                return false;
            }
            // The exact height of the face, so that the new corners lie in it.
            pocket(p, of, mesh.faces().get(of).offset(), depthMm, feature);
        }
        return true;
    }

    private Polygon polygon(Mesh.Face face) {
        LinearRing[] rings = face.rings().stream().map(r -> {
            Coordinate[] c = new Coordinate[r.length + 1];
            for (int i = 0; i <= r.length; i++) {
                c[i] = new Coordinate(mesh.x(r[i % r.length]), mesh.y(r[i % r.length]));
            }
            return JTS.createLinearRing(c);
        }).toArray(LinearRing[]::new);
        return JTS.createPolygon(rings[0], Arrays.copyOfRange(rings, 1, rings.length));
    }

    private void pocket(Profile p, int face, double top, double depth, String feature) {
        List<int[]> floor = new ArrayList<>();
        for (int r = 0; r < p.ringCount(); r++) {
            double[] xy = p.ring(r);
            int n = xy.length / 2;
            int[] above = new int[n];
            int[] below = new int[n];
            for (int i = 0; i < n; i++) {
                above[i] = point(xy[2 * i], xy[2 * i + 1], top);
                below[i] = point(xy[2 * i], xy[2 * i + 1], top - depth);
            }
            for (int i = 0; i < n; i++) {
                int j = (i + 1) % n;
                Vec3 along = new Vec3(xy[2 * j] - xy[2 * i], xy[2 * j + 1] - xy[2 * i + 1], 0).unit();
                Vec3 inwards = new Vec3(-along.y(), along.x(), 0);
                int[] quad = {above[i], above[j], below[j], below[i]};
                int at = face(feature, inwards, inwards.x() * xy[2 * i] + inwards.y() * xy[2 * i + 1], List.of(quad));
                triangles.add(new int[] {quad[0], quad[1], quad[2], at});
                triangles.add(new int[] {quad[0], quad[2], quad[3], at});
            }
            floor.add(below);
            int[] back = reversed(above);
            if (r == 0) {
                added.computeIfAbsent(face, k -> new ArrayList<>()).add(back);
            } else {
                cut(face(mesh.faces().get(face).feature(), Vec3.Z, top, List.of(back)), List.of(back));
            }
        }
        cut(face(feature, Vec3.Z, top - depth, floor), floor);
    }

    private int point(double x, double y, double z) {
        points.add(new double[] {x, y, z});
        return mesh.pointCount() + points.size() - 1;
    }

    private int face(String feature, Vec3 normal, double offset, List<int[]> rings) {
        faces.add(new Mesh.Face(feature, normal, offset, rings));
        return faces.size() - 1;
    }

    private static int[] reversed(int[] ring) {
        int[] back = new int[ring.length];
        for (int i = 0; i < ring.length; i++) {
            back[i] = ring[ring.length - 1 - i];
        }
        return back;
    }

    private double coordinate(int p, int axis) {
        return p >= mesh.pointCount() ? points.get(p - mesh.pointCount())[axis] : axis == 0 ? mesh.x(p) : axis == 1 ? mesh.y(p) : mesh.z(p);
    }

    /** Cuts a face that looks up into triangles. */
    private void cut(int face, List<int[]> rings) {
        int n = rings.stream().mapToInt(r -> r.length).sum();
        int[] of = new int[n];
        double[] corners = new double[3 * n];
        int k = 0;
        for (int[] ring : rings) {
            for (int p : ring) {
                of[k] = p;
                for (int axis = 0; axis < 3; axis++) {
                    corners[3 * k + axis] = coordinate(p, axis);
                }
                k++;
            }
        }
        int[] t = Triangulator.triangles(rings.stream().mapToInt(r -> r.length).toArray(), corners, 0, 1, WELD_MM);
        for (int i = 0; i < t.length; i += 3) {
            triangles.add(new int[] {of[t[i]], of[t[i + 1]], of[t[i + 2]], face});
        }
    }

    private Mesh mesh() {
        added.forEach((f, holes) -> {
            List<int[]> rings = new ArrayList<>(mesh.faces().get(f).rings());
            rings.addAll(holes);
            faces.set(f, new Mesh.Face(mesh.faces().get(f).feature(), mesh.faces().get(f).normal(), mesh.faces().get(f).offset(), rings));
            cut(f, rings);
        });
        int kept = 0;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            kept += added.containsKey(mesh.faceOf(t)) ? 0 : 1;
        }
        int[] corners = new int[3 * (kept + triangles.size())];
        int[] faceOf = new int[kept + triangles.size()];
        int at = 0;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            if (!added.containsKey(mesh.faceOf(t))) {
                for (int c = 0; c < 3; c++) {
                    corners[3 * at + c] = mesh.corner(t, c);
                }
                faceOf[at++] = mesh.faceOf(t);
            }
        }
        for (int[] t : triangles) {
            System.arraycopy(t, 0, corners, 3 * at, 3);
            faceOf[at++] = t[3];
        }
        double[] xyz = new double[3 * (mesh.pointCount() + points.size())];
        for (int p = 0; p < xyz.length / 3; p++) {
            for (int axis = 0; axis < 3; axis++) {
                xyz[3 * p + axis] = coordinate(p, axis);
            }
        }
        return new Mesh(xyz, corners, faceOf, faces);
    }
}
