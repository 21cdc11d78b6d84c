package tinperch.wiring;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.IntStream;
import tinperch.trial.sensor.Ntc;

/**
 * What a board makes of a resistor in the place of a thermistor.
 *
 * @param sensor the thermistor it is set for
 * @param lockC below that it feeds nothing, {@code tripC} above that it switches off, °C
 */
public record StandIn(Ntc sensor, double lockC, double tripC) {
    /** Values of a decade in 24 steps (IEC 60063). */
    private static final double[] E24 = {1, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2, 2.2, 2.4, 2.7, 3, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1};
    /** Of that series. */
    private static final double TOLERANCE = 0.05;
    /** Between what it reads and either lock, K: boards' tables differ by some kelvins from the beta model (common practice). */
    public static final double SPARE_K = 20;
    /** What boards usually feed a sensor from, V and Ω (common practice). */
    private static final double PULL_UP_V = 5;
    private static final double PULL_UP_OHM = 4700;

    /** The largest of the series that reads clear of both locks, with 5 % either way; empty where none does. */
    public Optional<Double> choose() {
        return IntStream.range(1, 6).boxed().flatMap(e -> Arrays.stream(E24).mapToObj(v -> Math.round(v * Math.pow(10, e) * 100) / 100.0)).filter(this::clears).max(Comparator.naturalOrder());
    }

    /** Whether the board stands a resistor: it reads clear of both locks, with 5 % either way. */
    public boolean clears(double ohm) {
        return sensor.tempC(ohm * (1 + TOLERANCE)) >= lockC + SPARE_K && sensor.tempC(ohm * (1 - TOLERANCE)) <= tripC - SPARE_K;
    }

    /** What the board turns into heat in it, W: with 5 V behind 4.7 kΩ. */
    public static double heatsW(double ohm) {
        double a = PULL_UP_V / (PULL_UP_OHM + ohm);
        return a * a * ohm;
    }
}
