package tinperch.solid;

/**
 * A point or a direction in space.
 *
 * @param x millimetres (or a pure number for a direction)
 * @param y millimetres
 * @param z millimetres
 */
public record Vec3(double x, double y, double z) {
    public static final Vec3 ZERO = new Vec3(0, 0, 0);
    public static final Vec3 X = new Vec3(1, 0, 0);
    public static final Vec3 Y = new Vec3(0, 1, 0);
    public static final Vec3 Z = new Vec3(0, 0, 1);

    /** The sum. */
    public Vec3 plus(Vec3 o) {
        return new Vec3(x + o.x, y + o.y, z + o.z);
    }

    /** The difference. */
    public Vec3 minus(Vec3 o) {
        return new Vec3(x - o.x, y - o.y, z - o.z);
    }

    /** Every component multiplied. */
    public Vec3 times(double k) {
        return new Vec3(k * x, k * y, k * z);
    }

    /** The scalar product. */
    public double dot(Vec3 o) {
        return x * o.x + y * o.y + z * o.z;
    }

    /** The vector product, by the right hand. */
    public Vec3 cross(Vec3 o) {
        return new Vec3(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
    }

    /** Euclidean length. */
    public double length() {
        return Math.sqrt(dot(this));
    }

    /** Distance to another point. */
    public double distanceTo(Vec3 o) {
        return minus(o).length();
    }

    /**
     * The direction of this vector.
     *
     * @throws SolidException when the length is zero or not finite
     */
    public Vec3 unit() {
        double len = length();
        if (!(len > 0) || Double.isInfinite(len)) {
            throw new SolidException("A direction of zero length was given; give it a length.");
        }
        return times(1 / len);
    }

    /** Whether no component is infinite or not a number. */
    public boolean isFinite() {
        return Double.isFinite(x) && Double.isFinite(y) && Double.isFinite(z);
    }
}
