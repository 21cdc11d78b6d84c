package tinperch.measure;

/**
 * How far an upright stands off square, from a square and two gap readings.
 *
 * @param degrees angle away from 90°, positive when the gap grows with height
 * @param mmPer100 the same as a lean: mm over 100 mm
 * @param halfWidthDeg 95 % half width of the angle from those of the readings
 */
public record Squareness(double degrees, double mmPer100, double halfWidthDeg) {

    /**
     * From a gap at the foot and one higher up: {@code atan((b − a) / h)}.
     *
     * @param footMm gap between square and upright at height 0, {@code topMm} at height {@code heightMm}
     * @throws IllegalArgumentException when the height is not larger than zero
     */
    public static Squareness of(Spread footMm, Spread topMm, double heightMm) {
        if (!(heightMm > 0)) {
            throw new IllegalArgumentException("The second reading is taken higher up; give its height.");
        }
        double rise = topMm.mean() - footMm.mean();
        double half = Math.hypot(footMm.halfWidth(), topMm.halfWidth());
        return new Squareness(Math.toDegrees(Math.atan2(rise, heightMm)), 100 * rise / heightMm,
                Math.toDegrees(Math.atan2(half, heightMm)));
    }

    /**
     * From two neighbouring sides and the diagonal across their corner, by the law of cosines: the corner's angle less 90°.
     *
     * @throws IllegalArgumentException when no triangle has these sides
     */
    public static double skewDeg(double sideMm, double otherSideMm, double diagonalMm) {
        double cos = (sideMm * sideMm + otherSideMm * otherSideMm - diagonalMm * diagonalMm) / (2 * sideMm * otherSideMm);
        if (!(sideMm > 0 && otherSideMm > 0 && cos > -1 && cos < 1)) {
            throw new IllegalArgumentException("These three lengths do not close to a triangle; read them again.");
        }
        return Math.toDegrees(Math.acos(cos)) - 90;
    }

    /** Angle error of a near-square of side s from its diagonals: {@code (d1 − d2) / (s·√2)} rad, in degrees (small angles). */
    public static double skewFromDiagonalsDeg(double sideMm, double diagonalMm, double otherDiagonalMm) {
        return Math.toDegrees((diagonalMm - otherDiagonalMm) / (sideMm * Math.sqrt(2)));
    }

    /** Whether the readings can tell it from square at all. */
    public boolean isSquareWithinReadings() {
        return Math.abs(degrees) <= halfWidthDeg;
    }
}
