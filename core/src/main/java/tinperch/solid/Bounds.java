package tinperch.solid;

/**
 * An axis-parallel box, closed.
 *
 * @param min corner with the smallest coordinates, mm
 * @param max corner with the largest coordinates, mm
 */
public record Bounds(Vec3 min, Vec3 max) {

    /** Bounds of points stored as x, y, z triples; {@code xyz} must hold at least one. */
    public static Bounds of(double[] xyz) {
        double[] lo = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
        double[] hi = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (int i = 0; i < xyz.length; i++) {
            lo[i % 3] = Math.min(lo[i % 3], xyz[i]);
            hi[i % 3] = Math.max(hi[i % 3], xyz[i]);
        }
        return new Bounds(new Vec3(lo[0], lo[1], lo[2]), new Vec3(hi[0], hi[1], hi[2]));
    }

    /** Extent along x, y and z, mm. */
    public Vec3 size() {
        return max.minus(min);
    }

    /** Its middle. */
    public Vec3 centre() {
        return min.plus(max).times(0.5);
    }

    /** The smallest box that holds both. */
    public Bounds with(Bounds o) {
        return new Bounds(
                new Vec3(Math.min(min.x(), o.min.x()), Math.min(min.y(), o.min.y()), Math.min(min.z(), o.min.z())),
                new Vec3(Math.max(max.x(), o.max.x()), Math.max(max.y(), o.max.y()), Math.max(max.z(), o.max.z())));
    }

    /** The box of this box moved and turned. */
    public Bounds placed(Placement place) {
        double[] xyz = new double[24];
        for (int i = 0; i < 8; i++) {
            Vec3 c = place.point((i & 1) == 0 ? min.x() : max.x(), (i & 2) == 0 ? min.y() : max.y(), (i & 4) == 0 ? min.z() : max.z());
            xyz[3 * i] = c.x();
            xyz[3 * i + 1] = c.y();
            xyz[3 * i + 2] = c.z();
        }
        return of(xyz);
    }

    /** Whether two boxes come within a slack of each other along every axis, mm; a negative one wants them to overlap by as much. */
    public boolean overlaps(Bounds o, double slackMm) {
        return min.x() <= o.max.x() + slackMm && o.min.x() <= max.x() + slackMm
                && min.y() <= o.max.y() + slackMm && o.min.y() <= max.y() + slackMm
                && min.z() <= o.max.z() + slackMm && o.min.z() <= max.z() + slackMm;
    }
}
