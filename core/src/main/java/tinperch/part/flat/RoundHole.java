package tinperch.part.flat;

/**
 * A round hole of a plate.
 *
 * @param xMm of its middle, {@code yMm} likewise, as the piece lies on the bed
 * @param diameterMm as designed, not of the polygon that stands for it
 * @param label what it is for, "tool-side hole C"
 */
public record RoundHole(double xMm, double yMm, double diameterMm, String label) {}
