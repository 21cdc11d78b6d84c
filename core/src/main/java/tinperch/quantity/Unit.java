package tinperch.quantity;

import java.util.List;

/** What a number is measured in, and the other units accepted for it. */
public enum Unit {
    MM("mm", 2), MM2("mm²", 0), DEG("°", 1), CELSIUS("°C", 1), COUNT("", 0), HOURS("h", 1), GRAM("g", 1), PERCENT("%", 1),
    VOLT("V", 1), AMPERE("A", 2), WATT("W", 1), OHM("Ω", 1), NEWTON("N", 2), NEWTON_MM("N·mm", 0), MPA("MPa", 1), MILLILITRE("ml", 1), STEPS_PER_MM("steps/mm", 3), RATIO("", 3);

    /** A unit a person may type, turned into the base unit by {@code value · factor + shift}. */
    record Accepted(String name, double factor, double shift) {}

    private final String symbol;
    private final int decimals;

    Unit(String symbol, int decimals) {
        this.symbol = symbol;
        this.decimals = decimals;
    }

    /** The sign shown after a value; empty for a plain number. */
    public String symbol() {
        return symbol;
    }

    /** Decimals usually shown. */
    public int decimals() {
        return decimals;
    }

    List<Accepted> accepted() {
        return switch (this) {
            // 1 in = 25.4 mm exactly (ISO 80000-3, international inch).
            case MM -> List.of(new Accepted("mm", 1, 0), new Accepted("cm", 10, 0), new Accepted("m", 1000, 0),
                    new Accepted("in", 25.4, 0), new Accepted("inch", 25.4, 0), new Accepted("\"", 25.4, 0),
                    new Accepted("thou", 0.0254, 0), new Accepted("ft", 304.8, 0));
            case MM2 -> List.of(new Accepted("mm²", 1, 0), new Accepted("cm²", 100, 0));
            case DEG -> List.of(new Accepted("°", 1, 0), new Accepted("deg", 1, 0),
                    new Accepted("rad", 180 / Math.PI, 0));
            case CELSIUS -> List.of(new Accepted("°C", 1, 0), new Accepted("C", 1, 0),
                    new Accepted("°F", 5 / 9.0, -160 / 9.0), new Accepted("F", 5 / 9.0, -160 / 9.0),
                    new Accepted("K", 1, -273.15));
            case HOURS -> List.of(new Accepted("h", 1, 0), new Accepted("min", 1 / 60.0, 0), new Accepted("d", 24, 0));
            case GRAM -> List.of(new Accepted("g", 1, 0), new Accepted("kg", 1000, 0));
            case PERCENT -> List.of(new Accepted("%", 1, 0));
            case VOLT -> List.of(new Accepted("V", 1, 0));
            case AMPERE -> List.of(new Accepted("A", 1, 0), new Accepted("mA", 0.001, 0));
            case WATT -> List.of(new Accepted("W", 1, 0), new Accepted("kW", 1000, 0));
            case OHM -> List.of(new Accepted("Ω", 1, 0), new Accepted("ohm", 1, 0), new Accepted("kΩ", 1000, 0), new Accepted("k", 1000, 0));
            // Spring scales show the weight that pulls as hard; 9.80665 m/s² (ISO 80000-3, standard gravity).
            case NEWTON -> List.of(new Accepted("N", 1, 0), new Accepted("kg", 9.80665, 0), new Accepted("g", 0.00980665, 0));
            case NEWTON_MM -> List.of(new Accepted("N·mm", 1, 0), new Accepted("N·cm", 10, 0), new Accepted("N·m", 1000, 0));
            case MPA -> List.of(new Accepted("MPa", 1, 0), new Accepted("N/mm²", 1, 0));
            case MILLILITRE -> List.of(new Accepted("ml", 1, 0), new Accepted("l", 1000, 0));
            case STEPS_PER_MM -> List.of(new Accepted("steps/mm", 1, 0));
            case COUNT, RATIO -> List.of();
        };
    }
}
