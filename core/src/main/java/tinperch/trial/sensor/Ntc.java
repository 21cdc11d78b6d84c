package tinperch.trial.sensor;

/**
 * A thermistor whose resistance falls as it warms, by the beta model: R = R25 · e^(B (1/T − 1/298.15)) with T in K. Good to a kelvin or two within a hundred
 * of 25 °C; beyond that tables of the maker are better.
 *
 * @param r25Ohm resistance at 25 °C, {@code betaK} B, K
 */
public record Ntc(double r25Ohm, double betaK) {
    private static final double ZERO_K = 273.15;
    private static final double T25_K = 298.15;

    /** Resistance at a temperature, Ω. */
    public double ohm(double tempC) {
        return r25Ohm * Math.exp(betaK * (1 / (tempC + ZERO_K) - 1 / T25_K));
    }

    /** Temperature of a resistance, °C; NaN for none above 0 Ω. */
    public double tempC(double ohm) {
        return ohm > 0 ? 1 / (1 / T25_K + Math.log(ohm / r25Ohm) / betaK) - ZERO_K : Double.NaN;
    }
}
