package tinperch.trial.simulated;

/**
 * Something heated with its sensor, of second order: a heater that takes time to warm what the sensor is in, which loses heat to its surroundings; its
 * power comes after a dead time.
 */
final class Heated {
    private final double powerW;
    private final double heaterJk;
    private final double bodyJk;
    private final double betweenWk;
    private final double lossWk;
    private final double[] waiting;
    private int at;
    private double heaterC;
    private double bodyC;

    /**
     * @param powerW at full duty, {@code heaterJk} heat capacity of the heater, {@code bodyJk} of the rest, J/K
     * @param betweenWk conductance from one to the other, {@code lossWk} to the surroundings, W/K
     * @param deadSteps steps until power is felt
     */
    Heated(double powerW, double heaterJk, double bodyJk, double betweenWk, double lossWk, int deadSteps, double startC) {
        this.powerW = powerW;
        this.heaterJk = heaterJk;
        this.bodyJk = bodyJk;
        this.betweenWk = betweenWk;
        this.lossWk = lossWk;
        waiting = new double[Math.max(1, deadSteps)];
        heaterC = startC;
        bodyC = startC;
    }

    /** A step of time, short against its time constants. */
    void step(double dtS, double duty, double roundC) {
        double felt = waiting[at];
        waiting[at] = duty;
        at = (at + 1) % waiting.length;
        double over = (heaterC - bodyC) * betweenWk;
        heaterC += dtS * (felt * powerW - over) / heaterJk;
        bodyC += dtS * (over - (bodyC - roundC) * lossWk) / bodyJk;
    }

    double bodyC() {
        return bodyC;
    }
}
