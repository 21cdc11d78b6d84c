package tinperch.trial.sensor;

/**
 * Voltage of a thermocouple of type K against a reference junction at 0 °C, and back: the polynomials of ITS-90 as published with IEC 60584-1.
 */
public final class KType {
    /** Lowest and highest temperature that the way back from a voltage covers, °C. */
    public static final double LEAST_C = -200;
    public static final double MOST_C = 1372;

    private static final double[] COLD = {0, 0.394501280250E-01, 0.236223735980E-04, -0.328589067840E-06, -0.499048287770E-08, -0.675090591730E-10,
        -0.574103274280E-12, -0.310888728940E-14, -0.104516093650E-16, -0.198892668780E-19, -0.163226974860E-22};
    private static final double[] HOT = {-0.176004136860E-01, 0.389212049750E-01, 0.185587700320E-04, -0.994575928740E-07, 0.318409457190E-09,
        -0.560728448890E-12, 0.560750590590E-15, -0.320207200030E-18, 0.971511471520E-22, -0.121047212750E-25};
    private static final double BUMP_MV = 0.118597600000E+00;
    private static final double BUMP_PER_C2 = -0.118343200000E-03;
    private static final double BUMP_AT_C = 0.126968600000E+03;

    private static final double[] BACK_COLD = {0, 2.5173462E+01, -1.1662878E+00, -1.0833638E+00, -8.9773540E-01, -3.7342377E-01, -8.6632643E-02, -1.0450598E-02, -5.1920577E-04};
    private static final double[] BACK_WARM = {0, 2.508355E+01, 7.860106E-02, -2.503131E-01, 8.315270E-02, -1.228034E-02, 9.804036E-04, -4.413030E-05, 1.057734E-06, -1.052755E-08};
    private static final double[] BACK_HOT = {-1.318058E+02, 4.830222E+01, -1.646031E+00, 5.464731E-02, -9.650715E-04, 8.802193E-06, -3.110810E-08};
    /** At 500 °C. */
    private static final double WARM_TO_MV = 20.644;

    private KType() {}

    /** Voltage at a temperature, mV; NaN below −270 °C or above 1372 °C. */
    public static double millivolts(double tempC) {
        if (!(tempC >= -270 && tempC <= MOST_C)) {
            return Double.NaN;
        }
        if (tempC < 0) {
            return sum(COLD, tempC);
        }
        double off = tempC - BUMP_AT_C;
        return sum(HOT, tempC) + BUMP_MV * Math.exp(BUMP_PER_C2 * off * off);
    }

    /** Temperature of a voltage, °C, to 0.06 K of {@link #millivolts}; NaN outside −5.891 to 54.886 mV. */
    public static double tempC(double millivolts) {
        if (!(millivolts >= -5.8915 && millivolts <= 54.8865)) {
            return Double.NaN;
        }
        return sum(millivolts < 0 ? BACK_COLD : millivolts < WARM_TO_MV ? BACK_WARM : BACK_HOT, millivolts);
    }

    private static double sum(double[] c, double x) {
        double y = 0;
        for (int i = c.length - 1; i >= 0; i--) {
            y = y * x + c[i];
        }
        return y;
    }
}
