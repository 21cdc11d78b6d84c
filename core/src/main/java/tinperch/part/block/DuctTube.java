package tinperch.part.block;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tinperch.part.param.PartProblem;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.SolidException;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Loft;

/**
 * The way of air from a round opening in a lying plate to a slot: a cubic curve that leaves the plate upright and meets the outlet straight.
 *
 * @param from middle of the opening, {@code to} of the slot
 * @param out the way the air leaves, unit, in a plane of x and z
 */
public record DuctTube(Vec3 from, Vec3 to, Vec3 out) {
    /** Sides of the round end. */
    public static final int SIDES = 48;
    private static final int RINGS = 7;

    private double reach() {
        return to.minus(from).length() / 3;
    }

    private Vec3 at(double s) {
        double r = 1 - s;
        return from.times(r * r * r + 3 * r * r * s).plus(Vec3.Z.times(3 * r * r * s * reach())).plus(to.times(3 * r * s * s + s * s * s))
                .minus(out.times(3 * r * s * s * reach()));
    }

    private Vec3 along(double s) {
        double h = 1e-4;
        Vec3 d = at(Math.min(1, s + h)).minus(at(Math.max(0, s - h)));
        return d.times(1 / d.length());
    }

    /**
     * Across the way at a share of it: x across the slot, y along it. It leans with the way along x only; sideways the tube is pushed over like a pile of
     * cards, so that it can go far aside in a short length without folding.
     */
    public Placement lying(double s) {
        Vec3 way = along(s);
        Vec3 w = s == 1 ? out : new Vec3(way.x(), 0, way.z()).unit();
        Vec3 u = Vec3.Y.cross(w).unit();
        return new Placement(at(s), u, w.cross(u), w);
    }

    /**
     * A skin from a circle to a slot.
     *
     * @param fromZ where it begins under the plate's upper side, straight
     * @param beyond how far it goes on behind the outlet, straight
     */
    public Leaf leaf(String feature, double radius, double width, double height, double fromZ, double beyond) {
        double[] angles = angles(width, height);
        List<Vec3[]> rings = new ArrayList<>();
        rings.add(ring(Placement.at(0, 0, fromZ), angles, radius, width, height, 0));
        for (int k = 0; k < RINGS; k++) {
            double s = k / (RINGS - 1.0);
            rings.add(ring(lying(s), angles, radius, width, height, s * s * (3 - 2 * s)));
        }
        if (beyond > 0) {
            Placement end = lying(1);
            rings.add(ring(new Placement(end.origin().plus(end.w().times(beyond)), end.u(), end.v(), end.w()), angles, radius, width, height, 1));
        }
        try {
            return Loft.leaf(feature, rings);
        } catch (SolidException e) {
            throw new PartProblem("The duct folds through itself on its way; make it longer, its offset smaller, or turn its outlet less.");
        }
    }

    /** Evenly round, and the slot's corners among them. */
    private static double[] angles(double width, double height) {
        double corner = Math.atan2(width, height);
        double[] corners = {corner, Math.PI - corner, corner - Math.PI, -corner};
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < SIDES; i++) {
            double a = -Math.PI + 2 * Math.PI * (i + 0.5) / SIDES;
            // One a hair beside a corner would make a needle.
            if (Arrays.stream(corners).noneMatch(c -> Math.abs(c - a) < Math.PI / SIDES / 2)) {
                all.add(a);
            }
        }
        Arrays.stream(corners).forEach(all::add);
        return all.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    }

    private static Vec3[] ring(Placement p, double[] angles, double radius, double width, double height, double share) {
        Vec3[] out = new Vec3[angles.length];
        for (int i = 0; i < out.length; i++) {
            double c = Math.cos(angles[i]);
            double s = Math.sin(angles[i]);
            double slot = Math.min(height / 2 / Math.max(1e-9, Math.abs(c)), width / 2 / Math.max(1e-9, Math.abs(s)));
            double r = (1 - share) * radius + share * slot;
            out[i] = p.point(r * c, r * s, 0);
        }
        return out;
    }
}
