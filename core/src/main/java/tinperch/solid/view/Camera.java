package tinperch.solid.view;

import tinperch.solid.Vec3;

/**
 * Where the turntable stands: an orthographic camera round a point.
 *
 * @param yawDeg turn of the table, degrees
 * @param pitchDeg height of the eye above the table's plane, −90 to 90 degrees
 * @param target point in the middle of the picture
 * @param pxPerMm scale
 */
public record Camera(double yawDeg, double pitchDeg, Vec3 target, double pxPerMm) {

    /** Direction of the picture's x, unit. */
    public Vec3 right() {
        double a = Math.toRadians(yawDeg);
        return new Vec3(Math.cos(a), Math.sin(a), 0);
    }

    /** Direction from the target to the eye, unit. */
    public Vec3 toEye() {
        double a = Math.toRadians(yawDeg);
        double p = Math.toRadians(pitchDeg);
        return new Vec3(Math.sin(a) * Math.cos(p), -Math.cos(a) * Math.cos(p), Math.sin(p));
    }

    /** Direction of the picture's y, unit. */
    public Vec3 up() {
        return toEye().cross(right());
    }

    /**
     * The point of a plane seen at a place of the picture.
     *
     * @param x pixels to the right of the middle of the picture, {@code y} pixels up
     * @param offset plane: {@code normal · p = offset}; it must not be seen edge on
     */
    public Vec3 on(double x, double y, Vec3 normal, double offset) {
        Vec3 p = target.plus(right().times(x / pxPerMm)).plus(up().times(y / pxPerMm));
        return p.plus(toEye().times((offset - normal.dot(p)) / normal.dot(toEye())));
    }
}
