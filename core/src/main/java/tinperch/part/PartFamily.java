package tinperch.part;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** A kind of part. Stateless: the same inputs give the same form. */
public interface PartFamily {
    /** Stable name for storage. */
    String id();

    /** What the owner calls it. */
    String title();

    /** What it is for, one sentence. */
    String purpose();

    /** Patterns it is built around: role and what to measure. */
    Map<String, String> roles();

    /** What the view from above is called. */
    default String above() {
        return "from above";
    }

    /** Whether it is made from a downloaded model. */
    default boolean wantsBase() {
        return false;
    }

    /** All parameters, in the order they are shown. */
    List<Parameter> parameters();

    /**
     * Builds the part.
     *
     * @throws PartProblem when the values fit no part
     */
    PartForm form(PartInputs inputs);

    /** The parameter that changes a feature, by the feature's name; empty when none does. */
    String keyOf(String feature);

    /** What the parameters of a group amount to, in a few words. */
    String summary(String group, Values values);

    /** Values of a new part around what was measured, so that the first thing seen is a part and not a complaint. */
    default Values startAround(Map<String, HolePattern> patterns) {
        return start();
    }

    /** Values of a new part. */
    default Values start() {
        Map<String, Double> numbers = new TreeMap<>();
        Map<String, String> choices = new TreeMap<>();
        for (Parameter p : parameters()) {
            if (p.isChoice()) {
                choices.put(p.key(), p.choices().get(0));
            } else {
                numbers.put(p.key(), p.start());
            }
        }
        return new Values(numbers, choices);
    }

    /** @throws IllegalArgumentException when the family has no such parameter */
    default Parameter parameter(String key) {
        return parameters().stream().filter(p -> p.key().equals(key)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No parameter " + key));
    }
}
