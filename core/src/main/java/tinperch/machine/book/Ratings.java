package tinperch.machine.book;

import java.util.ArrayList;
import java.util.List;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/**
 * What a component is rated for; 0 where it is not known.
 *
 * @param voltageV volts, {@code currentA} amperes, {@code powerW} watts
 * @param limitC highest temperature it stands, °C
 * @param massG grams
 * @param ohm of a resistor that stands in for a sensor, Ω
 */
public record Ratings(double voltageV, double currentA, double powerW, double limitC, double massG, double ohm) {
    public static final Ratings NONE = new Ratings(0, 0, 0, 0, 0);

    /** One that is no resistor. */
    public Ratings(double voltageV, double currentA, double powerW, double limitC, double massG) {
        this(voltageV, currentA, powerW, limitC, massG, 0);
    }

    /** "24 V · 40 W", empty when nothing is known. */
    public String words() {
        List<String> parts = new ArrayList<>();
        add(parts, voltageV, Unit.VOLT);
        add(parts, currentA, Unit.AMPERE);
        add(parts, powerW, Unit.WATT);
        if (limitC != 0) {
            parts.add("to " + Quantity.show(limitC, Unit.CELSIUS));
        }
        add(parts, massG, Unit.GRAM);
        add(parts, ohm, Unit.OHM);
        return String.join(" · ", parts);
    }

    private static void add(List<String> parts, double value, Unit unit) {
        if (value != 0) {
            parts.add(Quantity.show(value, unit));
        }
    }
}
