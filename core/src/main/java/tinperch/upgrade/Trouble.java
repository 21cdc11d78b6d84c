package tinperch.upgrade;

import java.util.Optional;
import tinperch.quantity.Amount;

/**
 * What is wrong, and what it measured before anything was changed.
 *
 * @param seen what is seen, in the owner's words
 * @param baseline what was measured: "wobble at the tool, push of 5 N"
 * @param baselineValue the value with its unit, "0.6 mm"; may be empty, or words in a file of an earlier version
 */
public record Trouble(String seen, String baseline, String baselineValue) {
    public static final Trouble NONE = new Trouble("", "", "");

    /** The baseline as a number, for comparing a trial with it. */
    public Optional<Amount> amount() {
        return Amount.of(baselineValue);
    }
}
