package tinperch.quantity;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A measured number with whatever unit its owner counts in: "1.8 mm", "3 stops", "14 min".
 *
 * @param value finite
 * @param unit as typed; empty for a bare number
 */
public record Amount(double value, String unit) {
    private static final Pattern TYPED = Pattern.compile("([+\\-−]?\\d{1,12}(?:[.,]\\d{1,9})?)\\s*([^\\d.,\\s].{0,29})?");

    /** What a text says, when it says a number. A decimal comma counts like a point. */
    public static Optional<Amount> of(String text) {
        Matcher m = TYPED.matcher(text == null ? "" : text.strip());
        return m.matches() ? Optional.of(new Amount(Double.parseDouble(m.group(1).replace(',', '.').replace('−', '-')),
                m.group(2) == null ? "" : m.group(2).strip())) : Optional.empty();
    }

    /**
     * How many times as much this is as another of the same unit; empty when the units differ or the other is nothing.
     */
    public Optional<Double> timesThatOf(Amount other) {
        return unit.equalsIgnoreCase(other.unit) && other.value != 0 ? Optional.of(value / other.value) : Optional.empty();
    }

    /** "1.8 mm". */
    @Override
    public String toString() {
        String number = value == Math.rint(value) && Math.abs(value) < 1e12 ? String.valueOf((long) value) : String.valueOf(value);
        return unit.isEmpty() ? number : number + " " + unit;
    }
}
