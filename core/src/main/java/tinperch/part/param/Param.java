package tinperch.part.param;

import java.util.Optional;

/**
 * One thing about a part or a feature that can be changed, typed. A family keeps its parameters as constants and asks them for
 * their values; the key is for storage only, nothing decides by it.
 *
 * @param <T> what its value is
 */
public sealed interface Param<T> permits NumberParam, ChoiceParam, SwitchParam {
    /** Name under which its value is stored, unique within its family or feature kind. */
    String key();

    /** The card it stands on. */
    Card card();

    /** The word in front of the field. */
    String label();

    /** One line that says what it does. */
    String hint();

    /**
     * Its value.
     *
     * @param values where it may be missing; then it is the starting value
     * @throws PartProblem when what is stored is out of range or unknown to this version
     */
    T of(Values values);

    /** The values with this one set. */
    Values set(Values values, T value);

    /**
     * The values with this one set from what was typed or chosen.
     *
     * @throws tinperch.quantity.QuantityException with the sentence to show beside the field
     */
    Values typed(Values values, String text);

    /** Its value in words: "8 mm", "captive nut". */
    String show(Values values);

    /** What of the stored value is wrong, in a sentence; empty when nothing is. */
    default Optional<String> wrong(Values values) {
        try {
            of(values);
            return Optional.empty();
        } catch (PartProblem e) {
            return Optional.of(e.getMessage());
        }
    }
}
