package tinperch.paste;

/**
 * A plunger that a motor drives over gears and a screw.
 *
 * @param boreMm of the barrel
 * @param leadMm of the screw, mm a turn; {@code ratio} turns of the motor for one of the screw
 * @param stepsATurn steps the board gives the motor for one turn, with microsteps
 */
public record PlungerDrive(double boreMm, double leadMm, double ratio, double stepsATurn) {
    /** Of a trapezoid screw with a plastic or brass nut (value from memory: 0.2 to 0.4). */
    public static final double EFFICIENCY = 0.3;
    private static final double MM_PER_M = 1000;
    private static final double NCM_PER_NMM = 0.1;

    /** Steps for a mm of the plunger. */
    public double stepsPerMm() {
        return stepsATurn * ratio / leadMm;
    }

    /** Steps for a mm of filament of a diameter, as a slicer reckons: the plunger moves less by the squares of both. */
    public double stepsPerFilamentMm(double filamentMm) {
        return stepsPerMm() * filamentMm * filamentMm / (boreMm * boreMm);
    }

    /** What a torque pushes with, N: 2·π·η·T·ratio/lead. */
    public double forceN(double torqueNcm) {
        return 2 * Math.PI * EFFICIENCY * torqueNcm / NCM_PER_NMM * ratio / leadMm;
    }

    /**
     * What a flow through a nozzle asks of the plunger, N: the pressure 8·μ·L·Q/(π·r⁴) (Hagen and Poiseuille, laminar, viscosity the same at any speed) on its face.
     *
     * @param viscosityPas Pa·s, {@code nozzleMm} bore and {@code lengthMm} of the nozzle, {@code flowMm3s} mm³/s
     */
    public double needsN(double viscosityPas, double nozzleMm, double lengthMm, double flowMm3s) {
        double r = nozzleMm / 2 / MM_PER_M;
        double pa = 8 * viscosityPas * lengthMm / MM_PER_M * flowMm3s * 1e-9 / (Math.PI * Math.pow(r, 4));
        return pa * Math.PI * boreMm * boreMm / 4 * 1e-6;
    }
}
