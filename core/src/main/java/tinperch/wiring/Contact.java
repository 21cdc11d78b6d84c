package tinperch.wiring;

/**
 * Contacts of a connector or a terminal.
 *
 * @param ratedA what one is rated for, A
 * @param limitC what it stands, °C; 0 where nobody has said
 * @param beside how many beside each other carry the current, at least 1
 */
public record Contact(double ratedA, double limitC, int beside) {
    /** Of n contacts beside each other, and of one that is to last: how much may be counted on (common practice). */
    public static final double SHARE = 0.8;
    /** What a contact gets warmer at its rating, K: what ratings are usually given for (common practice). */
    private static final double RATED_RISE_K = 30;

    /** What they carry together as rated: n beside each other 0.8·n of one, A. */
    private double togetherA() {
        return beside > 1 ? SHARE * beside * ratedA : ratedA;
    }

    /** How much warmer than the air they get, K: with the square of the current. */
    public double riseK(double currentA) {
        double share = currentA / togetherA();
        return RATED_RISE_K * share * share;
    }

    /** How warm they get in air of a temperature, °C. */
    public double tempC(double currentA, double airC) {
        return airC + riseK(currentA);
    }

    /** What they carry in air of a temperature without passing what they stand, A; as rated where that is not known; 0 in air that is too warm already. */
    public double carriesA(double airC) {
        double share = limitC > 0 ? Math.sqrt(Math.max(0, limitC - airC) / RATED_RISE_K) : 1;
        return togetherA() * Math.min(1, share);
    }
}
