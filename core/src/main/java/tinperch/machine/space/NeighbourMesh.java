package tinperch.machine.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tinperch.measure.MeasuredPattern;
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

    private final Function<String, Optional<MeasuredPattern>> patterns;
    private final Function<String, Optional<Mesh>> models;

    /**
     * @param patterns the hole pattern of a sheet, by its id
     * @param models the mesh of a downloaded model in mm, by its id
     */
    public NeighbourMesh(Function<String, Optional<MeasuredPattern>> patterns, Function<String, Optional<Mesh>> models) {
        this.patterns = patterns;
        this.models = models;
    }

    /** A plate whose sheet, or a model whose mesh, is not there is its box. */
    public Mesh of(Neighbour n) {
        return switch (n.form()) {
            case BOX -> box(n);
            case CYLINDER -> cylinder(n);
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
    private static Mesh plate(Neighbour n, MeasuredPattern pattern) {
        Placement p = along(n);
        double w = n.size().dot(p.u());
        double h = Math.abs(n.size().dot(p.v()));
        double mx = 0;
        double my = 0;
        for (double[] c : pattern.centres()) {
            mx += c[0] / 4;
            my += c[1] / 4;
        }
        List<double[]> rings = new ArrayList<>();
        rings.add(Profile.rectangle(0, 0, w, h).ring(0));
        double r = pattern.diameterMm() / 2;
        for (double[] c : pattern.centres()) {
            if (Math.abs(c[0] - mx) + r * 1.05 < w / 2 && Math.abs(c[1] - my) + r * 1.05 < h / 2) {
                rings.add(Profile.hole(c[0] - mx, c[1] - my, 2 * r, 24).ring(0));
            }
        }
        return mesh(Leaf.extrusion(n.name(), Profile.of(rings.toArray(double[][]::new)), p, 0, n.size().dot(p.w())));
    }

    /** The middle of a plate's hole from its lowest corner, mm; empty for a hole it does not have. */
    public static Optional<Vec3> hole(Neighbour n, MeasuredPattern pattern, String label) {
        int i = label.length() == 1 ? label.charAt(0) - 'A' : -1;
        if (n.form() != Neighbour.Form.PLATE || i < 0 || i >= pattern.centres().size()) {
            return Optional.empty();
        }
        double mx = pattern.centres().stream().mapToDouble(c -> c[0]).average().orElse(0);
        double my = pattern.centres().stream().mapToDouble(c -> c[1]).average().orElse(0);
        return Optional.of(along(n).point(pattern.centres().get(i)[0] - mx, pattern.centres().get(i)[1] - my, n.size().dot(n.direction()) / 2).minus(n.corner()));
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
