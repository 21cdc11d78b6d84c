package tinperch.solid;

/**
 * A rigid placement, possibly mirrored: columns {@code u, v, w} are where the axes go, {@code origin} where zero goes.
 * The columns are orthonormal; a left-handed triple is a mirror image.
 */
public record Placement(Vec3 origin, Vec3 u, Vec3 v, Vec3 w) {
    public static final Placement HERE = new Placement(Vec3.ZERO, Vec3.X, Vec3.Y, Vec3.Z);

    /** Shifted only, mm. */
    public static Placement at(double x, double y, double z) {
        return new Placement(new Vec3(x, y, z), Vec3.X, Vec3.Y, Vec3.Z);
    }

    /** Local z along {@code direction}, local x as near to {@code xHint} as that allows. */
    public static Placement along(Vec3 origin, Vec3 direction, Vec3 xHint) {
        Vec3 w = direction.unit();
        Vec3 u = xHint.minus(w.times(xHint.dot(w))).unit();
        return new Placement(origin, u, w.cross(u), w);
    }

    /** Turned about the world z axis through the placement's own origin. */
    public Placement turnedDeg(double angleDeg) {
        double a = Math.toRadians(angleDeg);
        double c = Math.cos(a);
        double s = Math.sin(a);
        return new Placement(origin, u.times(c).plus(v.times(s)), v.times(c).minus(u.times(s)), w);
    }

    /** A turn about an axis through {@code point}, by Rodrigues' formula. */
    public static Placement turn(Vec3 point, Vec3 axis, double angleRad) {
        Vec3 k = axis.unit();
        Vec3 u = turned(Vec3.X, k, angleRad);
        Vec3 v = turned(Vec3.Y, k, angleRad);
        Vec3 w = turned(Vec3.Z, k, angleRad);
        Vec3 moved = u.times(point.x()).plus(v.times(point.y())).plus(w.times(point.z()));
        return new Placement(point.minus(moved), u, v, w);
    }

    private static Vec3 turned(Vec3 d, Vec3 k, double a) {
        return d.times(Math.cos(a)).plus(k.cross(d).times(Math.sin(a))).plus(k.times(k.dot(d) * (1 - Math.cos(a))));
    }

    /** The mirror image in the plane through {@code point} with the unit normal {@code n}. */
    public Placement mirrored(Vec3 point, Vec3 n) {
        Vec3 o = origin.minus(n.times(2 * origin.minus(point).dot(n)));
        return new Placement(o, flip(u, n), flip(v, n), flip(w, n));
    }

    private static Vec3 flip(Vec3 d, Vec3 n) {
        return d.minus(n.times(2 * d.dot(n)));
    }

    /** Whether it is a mirror image. */
    public boolean isMirror() {
        return u.cross(v).dot(w) < 0;
    }

    /** Local coordinates of a point in space. */
    public Vec3 local(Vec3 p) {
        Vec3 d = p.minus(origin);
        return new Vec3(d.dot(u), d.dot(v), d.dot(w));
    }

    /** Where a point goes, given in local coordinates. */
    public Vec3 point(double x, double y, double z) {
        return new Vec3(
                origin.x() + u.x() * x + v.x() * y + w.x() * z,
                origin.y() + u.y() * x + v.y() * y + w.y() * z,
                origin.z() + u.z() * x + v.z() * y + w.z() * z);
    }

    /** Where a direction goes. */
    public Vec3 turned(Vec3 d) {
        return u.times(d.x()).plus(v.times(d.y())).plus(w.times(d.z()));
    }

    /** First {@code inner}, then this one. */
    public Placement times(Placement inner) {
        Vec3 o = inner.origin;
        return new Placement(point(o.x(), o.y(), o.z()), turned(inner.u), turned(inner.v), turned(inner.w));
    }

    /** The placement that takes everything back. */
    public Placement inverse() {
        Vec3 a = new Vec3(u.x(), v.x(), w.x());
        Vec3 b = new Vec3(u.y(), v.y(), w.y());
        Vec3 c = new Vec3(u.z(), v.z(), w.z());
        return new Placement(local(Vec3.ZERO), a, b, c);
    }

    /** The same, moved. */
    public Placement moved(Vec3 by) {
        return new Placement(origin.plus(by), u, v, w);
    }
}
