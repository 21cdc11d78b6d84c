package tinperch.part.param;

import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/**
 * A length, an angle or a count.
 *
 * @param unit of its values; {@link Unit#COUNT} takes whole numbers only
 * @param min smallest value, {@code max} largest
 * @param start value of a new part
 */
public record NumberParam(String key, Card card, String label, Unit unit, double min, double max, double start, String hint)
        implements Param<Double> {

    /** A length in mm. */
    public static NumberParam length(String key, Card card, String label, double min, double max, double start, String hint) {
        return new NumberParam(key, card, label, Unit.MM, min, max, start, hint);
    }

    /** An angle in degrees. */
    public static NumberParam angle(String key, Card card, String label, double min, double max, double start, String hint) {
        return new NumberParam(key, card, label, Unit.DEG, min, max, start, hint);
    }

    /** A whole number. */
    public static NumberParam count(String key, Card card, String label, int min, int max, int start, String hint) {
        return new NumberParam(key, card, label, Unit.COUNT, min, max, start, hint);
    }

    @Override
    public Double of(Values values) {
        double v = values.numbers().getOrDefault(key, start);
        if (!holds(v)) {
            throw new PartProblem(this, outOfRange(v));
        }
        return v;
    }

    /** Whether a value is within range. */
    public boolean holds(double v) {
        return v >= min - 1e-9 && v <= max + 1e-9 && (unit != Unit.COUNT || v == Math.rint(v));
    }

    private String outOfRange(double v) {
        return label + " goes from " + Quantity.show(min, unit) + " to " + Quantity.show(max, unit)
                + (unit == Unit.COUNT ? " in whole numbers" : "") + "; " + Quantity.show(v, unit) + " was left out.";
    }

    @Override
    public Values set(Values values, Double value) {
        return values.withNumber(key, value);
    }

    @Override
    public Values typed(Values values, String text) {
        double v = Quantity.parse(text, unit);
        if (!holds(v)) {
            throw new QuantityException(outOfRange(v));
        }
        return set(values, v);
    }

    @Override
    public String show(Values values) {
        return Quantity.show(values.numbers().getOrDefault(key, start), unit);
    }

    /** A value in words, "8 mm". */
    public String words(double value) {
        return Quantity.show(value, unit);
    }
}
