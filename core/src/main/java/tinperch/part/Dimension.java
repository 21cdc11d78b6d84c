package tinperch.part;

import java.util.Optional;
import tinperch.solid.Vec3;

/**
 * A dimension that stands on the drawing.
 *
 * @param view where it is drawn
 * @param from first point measured, in the part's coordinates
 * @param to second point
 * @param outMm how far outside the two points the line stands; positive is up or right
 * @param along whether it measures horizontally in the view (else vertically)
 * @param key the parameter edited where it stands; empty when the length only follows from others
 */
public record Dimension(View view, Vec3 from, Vec3 to, double outMm, boolean along, Optional<String> key) {
    /** The three drawn views. */
    public enum View {
        /** Looking down on the tool side: x to the right, y up. */
        TOP,
        /** Looking along +y: x to the right, z up. */
        FRONT,
        /** Looking from +x: y to the right, z up. */
        SIDE
    }
}
