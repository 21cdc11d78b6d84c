package tinperch.part;

import java.util.List;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/**
 * One thing about a part that can be changed.
 *
 * @param key unique within the family
 * @param group heading it stands under
 * @param label the word in front of the field
 * @param unit unit of a number; ignored for a choice
 * @param min smallest number allowed, {@code max} largest
 * @param start value of a new part
 * @param choices the words to choose from; empty for a number
 * @param hint one line that says what it does
 */
public record Parameter(String key, String group, String label, Unit unit, double min, double max, double start,
        List<String> choices, String hint) {

    public static Parameter number(String key, String group, String label, Unit unit, double min, double max,
            double start, String hint) {
        return new Parameter(key, group, label, unit, min, max, start, List.of(), hint);
    }

    public static Parameter choice(String key, String group, String label, List<String> choices, String hint) {
        return new Parameter(key, group, label, Unit.COUNT, 0, choices.size() - 1.0, 0, List.copyOf(choices), hint);
    }

    public boolean isChoice() {
        return !choices.isEmpty();
    }

    /**
     * Reads what was typed and checks the range.
     *
     * @throws QuantityException with the sentence to show beside the field
     */
    public double parse(String text) {
        double v = Quantity.parse(text, unit);
        if (!(v >= min && v <= max)) {
            throw new QuantityException(label + " goes from " + Quantity.show(min, unit) + " to "
                    + Quantity.show(max, unit) + "; " + Quantity.show(v, unit) + " was left out.");
        }
        return v;
    }

    /** The value of this parameter in words, "8 mm" or "captive nut". */
    public String show(Values values) {
        return isChoice() ? values.choice(key) : Quantity.show(values.number(key), unit);
    }
}
