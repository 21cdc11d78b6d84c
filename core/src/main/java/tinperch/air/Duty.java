package tinperch.air;

/**
 * Where a fan's curve meets what resists it.
 *
 * @param flowM3h what it moves there, m³/h
 * @param pressurePa against so much, Pa
 */
public record Duty(double flowM3h, double pressurePa) {
    /** Of air at 25 °C, kg/m³ (ideal gas). */
    private static final double DENSITY = 1.184;
    private static final double S_PER_H = 3600;
    private static final double MM2_PER_M2 = 1e6;
    /** Pressure a cartridge takes at 0.45 m/s through its face, Pa (values from memory): one for fine particles, and a loose one for dust and smells. */
    public static final double FINE_PA = 250;
    public static final double LOOSE_PA = 60;
    private static final double FILTER_MS = 0.45;

    /** Pressure an opening takes, Pa: ½·ρ·v²·K. */
    public static double lossPa(double flowM3h, double areaMm2, double k) {
        double v = speedMs(flowM3h, areaMm2);
        return 0.5 * DENSITY * v * v * k;
    }

    /** How fast air goes through an area, m/s. */
    public static double speedMs(double flowM3h, double areaMm2) {
        return flowM3h / S_PER_H / (areaMm2 / MM2_PER_M2);
    }

    /**
     * The crossing of a straight curve with a resistance that grows with the flow and with its square: the root of a quadratic.
     *
     * @param linear Pa for each m³/h, {@code square} Pa for each (m³/h)²
     */
    public static Duty of(UsualFan fan, double linear, double square) {
        // p0 − p0/Q0·Q = a·Q + b·Q²
        double b = linear + fan.stallPa() / fan.freeM3h();
        double q = square < 1e-12 ? fan.stallPa() / b : (-b + Math.sqrt(b * b + 4 * square * fan.stallPa())) / (2 * square);
        return new Duty(q, fan.stallPa() * (1 - q / fan.freeM3h()));
    }

    /**
     * Through an outlet and, where there is one, a filter.
     *
     * @param areaMm2 of the outlet, {@code k} of its losses
     * @param filterMm2 face of the filter, 0 for none; {@code filterPa} what it takes at 0.45 m/s
     */
    public static Duty through(UsualFan fan, double areaMm2, double k, double filterMm2, double filterPa) {
        double linear = filterMm2 > 0 ? filterPa / FILTER_MS * speedMs(1, filterMm2) : 0;
        return of(fan, linear, lossPa(1, areaMm2, k));
    }
}
