package tinperch.strength;

/**
 * What the fingers of a cup hold a ball with. Each is a cantilever bent by what the cup is smaller: P = 3·E·I·δ/L³ with I = w·t³/12 (handbook). Friction acts on the ball all round: M = μ·N·r·π/4, the mean of its levers about
 * a level axis. An estimate for solid plastic.
 */
public final class BallHold {
    /** Of plastic on plastic (value from memory: 0.2 to 0.5). */
    public static final double FRICTION = 0.3;
    private static final double MEAN_LEVER = Math.PI / 4;

    private BallHold() {}

    /** Of one finger, N. */
    public static double fingerN(double modulusMPa, double wideMm, double thickMm, double longMm, double bentMm) {
        return 3 * modulusMPa * wideMm * Math.pow(thickMm, 3) / 12 * bentMm / Math.pow(longMm, 3);
    }

    /** The moment that turns the ball, Nmm. */
    public static double momentNmm(double pressN, double ballMm) {
        return FRICTION * pressN * ballMm / 2 * MEAN_LEVER;
    }
}
