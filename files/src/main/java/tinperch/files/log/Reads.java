package tinperch.files.log;

import java.util.function.DoubleUnaryOperator;
import tinperch.trial.sensor.KType;
import tinperch.trial.sensor.Ntc;

/** What the numbers of a column are, and how they become °C or what else the channel is kept in. */
public enum Reads {
    CELSIUS("°C", v -> v), FAHRENHEIT("°F", v -> (v - 32) / 1.8), KELVIN("K", v -> v - 273.15), TYPE_K("mV of type K", KType::tempC), NTC_100K("Ω of a 100 kΩ thermistor, B 3950", new Ntc(100_000, 3950)::tempC), NTC_10K("Ω of a 10 kΩ thermistor, B 3435", new Ntc(10_000, 3435)::tempC), PERCENT("%", v -> v), PLAIN("plain numbers", v -> v);

    /** Below this there is no temperature, °C. */
    private static final double NOTHING_BELOW_C = -273.15;
    /** Sensors that are open or shorted are reported beyond this, °C. */
    private static final double NOTHING_ABOVE_C = 2000;

    private final String label;
    private final DoubleUnaryOperator value;

    Reads(String label, DoubleUnaryOperator value) {
        this.label = label;
        this.value = value;
    }

    /** What they are, in words. */
    public String label() {
        return label;
    }

    /** Whether they are temperatures. */
    public boolean isTemperature() {
        return this != PERCENT && this != PLAIN;
    }

    /** What a number stands for; NaN where no temperature can be so. */
    double of(double number) {
        double v = value.applyAsDouble(number);
        return isTemperature() && !(v > NOTHING_BELOW_C && v < NOTHING_ABOVE_C) ? Double.NaN : v;
    }
}
