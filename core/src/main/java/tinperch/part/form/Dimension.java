package tinperch.part.form;

import java.util.Optional;
import tinperch.part.param.NumberParam;
import tinperch.solid.Vec3;

/**
 * A dimension that stands on the drawing.
 *
 * @param view where it is drawn
 * @param from first point measured, in the assembly's coordinates
 * @param to second point
 * @param outMm how far outside the two points the line stands; positive is up or right
 * @param along whether it measures horizontally in the view (else vertically)
 * @param param edited where it stands; empty when the length only follows from others
 */
public record Dimension(View view, Vec3 from, Vec3 to, double outMm, boolean along, Optional<NumberParam> param) {
    /** The three drawn views. */
    public enum View {
        /** Looking down: x to the right, y up. */
        TOP,
        /** Looking along +y: x to the right, z up. */
        FRONT,
        /** Looking from +x: y to the right, z up. */
        SIDE
    }

    /** One that measures along x or y from above, or along x in front, or y from the side. */
    public static Dimension across(View view, double x0, double y0, double z0, double x1, double y1, double z1, double outMm, NumberParam param) {
        return new Dimension(view, new Vec3(x0, y0, z0), new Vec3(x1, y1, z1), outMm, true, Optional.ofNullable(param));
    }

    /** One that measures upwards in its view. */
    public static Dimension up(View view, double x0, double y0, double z0, double x1, double y1, double z1, double outMm, NumberParam param) {
        return new Dimension(view, new Vec3(x0, y0, z0), new Vec3(x1, y1, z1), outMm, false, Optional.ofNullable(param));
    }

    /** What it measures, mm. */
    public double lengthMm() {
        Vec3 v = to.minus(from);
        return switch (view) {
            case TOP -> Math.abs(along ? v.x() : v.y());
            case FRONT -> Math.abs(along ? v.x() : v.z());
            case SIDE -> Math.abs(along ? v.y() : v.z());
        };
    }
}
