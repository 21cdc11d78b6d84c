package tinperch.part.block;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import tinperch.part.param.PartProblem;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.SolidException;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Loft;

/**
 * The way of air from a lying opening to a slot: a cubic curve that leaves the opening upright and meets the slot straight.
 *
 * @param from middle of the opening, {@code to} of the slot
 * @param out the way the air leaves, unit
 */
public record DuctTube(Vec3 from, Vec3 to, Vec3 out) {
    /** Sides of a round end. */
    public static final int SIDES = 48;
    private static final int RINGS = 7;

    /**
     * What a tube is across.
     *
     * @param widthMm along y, {@code heightMm} the other way
     * @param round whether it is an ellipse rather than a rectangle
     */
    public record Section(double widthMm, double heightMm, boolean round) {
        public static Section circle(double diameterMm) {
            return new Section(diameterMm, diameterMm, true);
        }

        public static Section slot(double widthMm, double heightMm) {
            return new Section(widthMm, heightMm, false);
        }

        /** With a wall around. */
        public Section with(double wallMm) {
            return new Section(widthMm + 2 * wallMm, heightMm + 2 * wallMm, round);
        }

        /** From the middle to its edge at an angle from the height towards the width. */
        private double reach(double angle) {
            double c = Math.cos(angle);
            double s = Math.sin(angle);
            return round ? 1 / Math.hypot(c / (heightMm / 2), s / (widthMm / 2))
                    : Math.min(heightMm / 2 / Math.max(1e-9, Math.abs(c)), widthMm / 2 / Math.max(1e-9, Math.abs(s)));
        }

        private double[] corners() {
            double corner = Math.atan2(widthMm, heightMm);
            return round ? new double[0] : new double[] {corner, Math.PI - corner, corner - Math.PI, -corner};
        }
    }

    /** The same however far aside it goes: tubes side by side then bend alike, and their walls meet cleanly. */
    private double reach() {
        return Math.hypot(to.x() - from.x(), to.z() - from.z()) / 3;
    }

    private Vec3 at(double s) {
        double r = 1 - s;
        return from.times(r * r * r + 3 * r * r * s).plus(Vec3.Z.times(3 * r * r * s * reach())).plus(to.times(3 * r * s * s + s * s * s))
                .minus(out.times(3 * r * s * s * reach()));
    }

    /** Its derivative: straight up at the opening to the last bit, so that the first ring lies in the opening's plane. */
    private Vec3 along(double s) {
        double r = 1 - s;
        return to.minus(from).times(6 * r * s).plus(Vec3.Z.times((3 * r * r - 6 * r * s) * reach())).minus(out.times((6 * r * s - 3 * s * s) * reach())).unit();
    }

    /**
     * Across the way at a share of it: x across the slot, y along it. It leans with the way along x only; sideways the tube is pushed over like a pile of
     * cards, so that it can go far aside in a short length without folding, and turns towards its outlet in the last half.
     */
    public Placement lying(double s) {
        Vec3 way = along(s);
        double late = Math.max(0, 2 * s - 1);
        Vec3 w = s == 1 ? out : new Vec3(way.x(), out.y() * late * late * (3 - 2 * late), way.z()).unit();
        Vec3 u = Vec3.Y.cross(w).unit();
        return new Placement(at(s), u, w.cross(u), w);
    }

    /**
     * A skin from the opening to the slot.
     *
     * @param fromZ where it begins under the opening's plane, straight
     * @param beyond how far it goes on behind the outlet, straight
     */
    public Leaf leaf(String feature, Section start, Section end, double fromZ, double beyond) {
        double[] angles = angles(start, end);
        List<Vec3[]> rings = new ArrayList<>();
        rings.add(ring(Placement.at(from.x(), from.y(), fromZ), angles, start, end, 0));
        for (int k = 0; k < RINGS; k++) {
            double s = k / (RINGS - 1.0);
            rings.add(ring(lying(s), angles, start, end, s * s * (3 - 2 * s)));
        }
        if (beyond > 0) {
            Placement last = lying(1);
            rings.add(ring(new Placement(last.origin().plus(last.w().times(beyond)), last.u(), last.v(), last.w()), angles, start, end, 1));
        }
        try {
            return Loft.leaf(feature, rings);
        } catch (SolidException e) {
            throw new PartProblem("The duct folds through itself on its way; make it longer, its offset smaller, or turn its outlet less.");
        }
    }

    /** Evenly round, and the corners of both ends among them. */
    private static double[] angles(Section start, Section end) {
        TreeSet<Double> all = new TreeSet<>();
        for (double[] corners : new double[][] {end.corners(), start.corners()}) {
            // One a hair beside another would make a needle.
            Arrays.stream(corners).filter(a -> all.stream().noneMatch(c -> Math.abs(c - a) < 1e-3)).forEach(all::add);
        }
        double[] corners = all.stream().mapToDouble(Double::doubleValue).toArray();
        for (int i = 0; i < SIDES; i++) {
            double a = -Math.PI + 2 * Math.PI * (i + 0.5) / SIDES;
            if (Arrays.stream(corners).noneMatch(c -> Math.abs(c - a) < Math.PI / SIDES / 2)) {
                all.add(a);
            }
        }
        return all.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private static Vec3[] ring(Placement p, double[] angles, Section start, Section end, double share) {
        Vec3[] out = new Vec3[angles.length];
        for (int i = 0; i < out.length; i++) {
            double r = (1 - share) * start.reach(angles[i]) + share * end.reach(angles[i]);
            out[i] = p.point(r * Math.cos(angles[i]), r * Math.sin(angles[i]), 0);
        }
        return out;
    }
}
