package tinperch.part.param;

import tinperch.quantity.QuantityException;

/**
 * Yes or no.
 *
 * @param start value of a new part
 */
public record SwitchParam(String key, Card card, String label, boolean start, String hint) implements Param<Boolean> {
    private static final String YES = "yes";
    private static final String NO = "no";

    @Override
    public Boolean of(Values values) {
        String stored = values.choices().getOrDefault(key, start ? YES : NO);
        if (!stored.equals(YES) && !stored.equals(NO)) {
            throw new PartProblem(this, label + " is “" + stored + "” and should be yes or no; choose again.");
        }
        return stored.equals(YES);
    }

    @Override
    public Values set(Values values, Boolean value) {
        return values.withChoice(key, value ? YES : NO);
    }

    @Override
    public Values typed(Values values, String text) {
        if (!text.equals(YES) && !text.equals(NO)) {
            throw new QuantityException(label + " is yes or no.");
        }
        return values.withChoice(key, text);
    }

    @Override
    public String show(Values values) {
        return values.choices().getOrDefault(key, start ? YES : NO);
    }
}
