package tinperch.solid.shape;

/**
 * How the outline's edges end at the top or bottom of an extrusion.
 *
 * @param sizeMm how far the finish reaches along the face and down the side, mm; 0 leaves the edge sharp
 * @param steps 1 for a chamfer at 45°, more for a round drawn with that many chords
 */
public record Finish(double sizeMm, int steps) {
    public static final Finish SHARP = new Finish(0, 1);

    public static Finish chamfer(double sizeMm) {
        return new Finish(sizeMm, 1);
    }

    public static Finish round(double radiusMm, int steps) {
        return new Finish(radiusMm, Math.max(2, steps));
    }
}
