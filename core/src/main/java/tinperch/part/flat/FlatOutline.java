package tinperch.part.flat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.form.Cavity;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.query.Slicer;

/**
 * The plate in a piece: its section, as it lies on the bed, at the height where that is largest. Bosses and ribs on a plate are
 * smaller than the plate, so they do not hide it.
 *
 * @param heightMm of the section above the piece's lowest point
 * @param outlines outer rings as x, y pairs, anticlockwise
 * @param cutouts what is cut out of them and is not round, clockwise
 * @param holes the round ones, from what was designed
 */
public record FlatOutline(double heightMm, List<double[]> outlines, List<double[]> cutouts, List<RoundHole> holes) {
    private static final int LEVELS = 60;
    private static final double SAME_PLACE_MM = 0.02;
    private static final double SAME_SIZE = 0.05;

    /** The largest section of a closed mesh; empty outlines for an empty one. */
    public static FlatOutline of(Mesh mesh, List<Cavity> cavities) {
        if (mesh.triangleCount() == 0) {
            return new FlatOutline(0, List.of(), List.of(), List.of());
        }
        Bounds b = mesh.bounds();
        double[] at = new double[LEVELS];
        for (int i = 0; i < LEVELS; i++) {
            at[i] = b.min().z() + b.size().z() * (i + 0.5) / LEVELS;
        }
        List<List<Profile>> all = Slicer.layers(mesh, Placement.HERE, at);
        int best = 0;
        for (int i = 1; i < LEVELS; i++) {
            // Sections of the same part of a plate differ by rounding only: the lowest of them stands for all.
            if (area(all.get(i)) > area(all.get(best)) * (1 + 1e-6)) {
                best = i;
            }
        }
        return at(at[best], at[best] - b.min().z(), all.get(best), cavities);
    }

    private static double area(List<Profile> pieces) {
        return pieces.stream().mapToDouble(Profile::areaMm2).sum();
    }

    private static FlatOutline at(double z, double heightMm, List<Profile> pieces, List<Cavity> cavities) {
        List<double[]> outlines = new ArrayList<>();
        List<double[]> cutouts = new ArrayList<>();
        List<RoundHole> holes = new ArrayList<>();
        for (Profile p : pieces) {
            outlines.add(p.ring(0));
            for (int r = 1; r < p.ringCount(); r++) {
                double[] ring = p.ring(r);
                Optional<RoundHole> hole = cavities.stream().flatMap(c -> round(c, z, ring).stream()).findFirst();
                hole.ifPresentOrElse(holes::add, () -> cutouts.add(ring));
            }
        }
        return new FlatOutline(heightMm, List.copyOf(outlines), List.copyOf(cutouts), List.copyOf(holes));
    }

    /** The hole a ring is of, when it is that cavity's. */
    private static Optional<RoundHole> round(Cavity c, double z, double[] ring) {
        Placement a = c.axis();
        boolean upright = Math.abs(Math.abs(a.w().z()) - 1) < 1e-9;
        double in = (z - a.origin().z()) * a.w().z();
        if (!c.isRound() || !upright || in < -SAME_PLACE_MM || !c.through() && in > c.depthMm() + SAME_PLACE_MM) {
            return Optional.empty();
        }
        double r = c.widthMm() / 2;
        for (int i = 0; i < ring.length; i += 2) {
            double away = Math.hypot(ring[i] - a.origin().x(), ring[i + 1] - a.origin().y());
            if (away < r - SAME_PLACE_MM || away > r * (1 + SAME_SIZE) + SAME_PLACE_MM) {
                return Optional.empty();
            }
        }
        return Optional.of(new RoundHole(a.origin().x(), a.origin().y(), c.widthMm(), c.label()));
    }

    /** Smallest x, smallest y, largest x, largest y of the outlines, mm; empty without one. */
    public Optional<double[]> frame() {
        double[] f = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        for (double[] ring : outlines) {
            for (int i = 0; i < ring.length; i += 2) {
                f[0] = Math.min(f[0], ring[i]);
                f[1] = Math.min(f[1], ring[i + 1]);
                f[2] = Math.max(f[2], ring[i]);
                f[3] = Math.max(f[3], ring[i + 1]);
            }
        }
        return outlines.isEmpty() ? Optional.empty() : Optional.of(f);
    }
}
