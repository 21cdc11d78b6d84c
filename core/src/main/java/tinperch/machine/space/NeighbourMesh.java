package tinperch.machine.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tinperch.measure.sheet.HolePattern;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** The shape of a neighbour with all axes at zero. */
public final class NeighbourMesh {
    private static final int ROUND_SIDES = 48;

    private final Function<String, Optional<HolePattern>> patterns;
    private final Function<String, Optional<Mesh>> models;

    /**
     * @param patterns the hole pattern of a sheet, by its id
     * @param models the mesh of a downloaded model in mm, by its id
     */
    public NeighbourMesh(Function<String, Optional<HolePattern>> patterns, Function<String, Optional<Mesh>> models) {
        this.patterns = patterns;
        this.models = models;
    }

    /** A plate whose sheet, or a model whose mesh, is not there is its box. */
    public Mesh of(Neighbour n) {
        return switch (n.form()) {
            case BOX -> box(n.reached());
            case CONE -> cone(n);
            case CYLINDER -> cylinder(n.reached());
            case PROFILE -> profile(n);
            case PLATE -> patterns.apply(n.of()).map(p -> plate(n, p)).orElseGet(() -> box(n));
            case MODEL -> models.apply(n.of()).map(m -> model(n, m)).orElseGet(() -> box(n));
        };
    }

    private static Mesh mesh(Leaf leaf) {
        return SolidKernel.evaluate(leaf, Tolerances.USUAL);
    }

    private static Mesh box(Neighbour n) {
        Vec3 c = n.corner();
        Vec3 s = n.size();
        return mesh(Leaf.extrusion(n.name(), Profile.rectangle(c.x() + s.x() / 2, c.y() + s.y() / 2, s.x(), s.y()), Placement.HERE,
                c.z(), c.z() + s.z()));
    }

    /** Where a section drawn about zero is put so that it runs along the neighbour's direction. */
    private static Placement along(Neighbour n) {
        Vec3 dir = n.direction();
        Vec3 middle = n.corner().plus(n.size().times(0.5)).minus(dir.times(n.size().dot(dir) / 2));
        return Placement.along(middle, dir, dir == Vec3.X ? Vec3.Y : Vec3.X);
    }

    private static Mesh cylinder(Neighbour n) {
        Placement p = along(n);
        double across = Math.min(n.size().dot(p.u()), Math.abs(n.size().dot(p.v())));
        return mesh(Leaf.extrusion(n.name(), Profile.disc(0, 0, across, ROUND_SIDES), p, 0, n.size().dot(p.w())));
    }

    /** From a point in the middle of one face to all of the opposite one: light from a lamp, air from an outlet, what a camera sees. */
    private static Mesh cone(Neighbour of) {
        Vec3 way = of.towards().orElse(Vec3.Z.times(-1));
        double deep = Math.abs(of.size().dot(way));
        Vec3 middle = of.corner().plus(of.size().times(0.5));
        Vec3 tip = middle.minus(way.times(deep / 2));
        Placement p = Placement.along(tip, way, Math.abs(way.x()) > 0.5 ? Vec3.Y : Vec3.X);
        double rx = Math.abs(of.size().dot(p.u())) / 2;
        double ry = Math.abs(of.size().dot(p.v())) / 2;
        int n = ROUND_SIDES;
        double[] xyz = new double[3 * (n + 2)];
        int[] triangles = new int[6 * n];
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / n;
            put(xyz, i, p.point(rx * Math.cos(a), ry * Math.sin(a), deep));
            int j = (i + 1) % n;
            System.arraycopy(new int[] {n, j, i, n + 1, i, j}, 0, triangles, 6 * i, 6);
        }
        put(xyz, n, tip);
        put(xyz, n + 1, p.point(0, 0, deep));
        return new Mesh(xyz, triangles, new int[2 * n], List.of()).facetted(of.name());
    }

    private static void put(double[] xyz, int i, Vec3 v) {
        xyz[3 * i] = v.x();
        xyz[3 * i + 1] = v.y();
        xyz[3 * i + 2] = v.z();
    }

    /** A slot on every side, a third of the width wide and deep: what matters is that something reaches in. */
    private static Mesh profile(Neighbour n) {
        Placement p = along(n);
        double w = n.size().dot(p.u()) / 2;
        double h = Math.abs(n.size().dot(p.v())) / 2;
        double s = Math.min(w, h);
        double slot = s * 0.3;
        double deep = s * 0.6;
        double[] ring = {-w, -h, -slot, -h, -slot, -h + deep, slot, -h + deep, slot, -h, w, -h,
            w, -slot, w - deep, -slot, w - deep, slot, w, slot, w, h,
            slot, h, slot, h - deep, -slot, h - deep, -slot, h, -w, h,
            -w, slot, -w + deep, slot, -w + deep, -slot, -w, -slot};
        return mesh(Leaf.extrusion(n.name(), Profile.of(ring), p, 0, n.size().dot(p.w())));
    }

    /** Its holes in the middle of it; holes that would break out of its edge are left out. */
    private static Mesh plate(Neighbour n, HolePattern pattern) {
        Placement p = along(n);
        double w = n.size().dot(p.u());
        double h = Math.abs(n.size().dot(p.v()));
        List<double[]> rings = new ArrayList<>();
        rings.add(Profile.rectangle(0, 0, w, h).ring(0));
        double r = pattern.diameterMm() / 2;
        for (HolePattern.Hole c : pattern.holes()) {
            if (Math.abs(c.xMm()) + r * 1.05 < w / 2 && Math.abs(c.yMm()) + r * 1.05 < h / 2) {
                rings.add(Profile.hole(c.xMm(), c.yMm(), 2 * r, 24).ring(0));
            }
        }
        return mesh(Leaf.extrusion(n.name(), Profile.of(rings.toArray(double[][]::new)), p, 0, n.size().dot(p.w())));
    }

    /** The middle of a plate's hole from its lowest corner, mm; empty for a hole it does not have. */
    public static Optional<Vec3> hole(Neighbour n, HolePattern pattern, String label) {
        return n.form() != Neighbour.Form.PLATE ? Optional.empty()
                : pattern.hole(label).map(h -> along(n).point(h.xMm(), h.yMm(), n.size().dot(n.direction()) / 2).minus(n.corner()));
    }

    private static Mesh model(Neighbour n, Mesh mesh) {
        Mesh turned = mesh.placed(turn(n.direction(), n.turnDeg()));
        return turned.placed(new Placement(n.corner().minus(turned.bounds().min()), Vec3.X, Vec3.Y, Vec3.Z));
    }

    private static Placement turn(Vec3 dir, double turnDeg) {
        return Placement.along(Vec3.ZERO, dir, dir == Vec3.Z ? Vec3.X : dir == Vec3.X ? Vec3.Y : Vec3.Z).turnedDeg(turnDeg);
    }

    /**
     * The size of the box of a model laid down as a neighbour.
     *
     * @param modelMm the model's own size
     * @param turnDeg a whole number of quarter turns
     */
    public static Vec3 laidDown(Vec3 modelMm, Vec3 along, double turnDeg) {
        Placement p = turn(along, turnDeg);
        double[] s = new double[3];
        Vec3[] of = {p.u(), p.v(), p.w()};
        double[] own = {modelMm.x(), modelMm.y(), modelMm.z()};
        for (int i = 0; i < 3; i++) {
            s[0] += Math.abs(of[i].x()) * own[i];
            s[1] += Math.abs(of[i].y()) * own[i];
            s[2] += Math.abs(of[i].z()) * own[i];
        }
        return new Vec3(s[0], s[1], s[2]);
    }
}
