package tinperch.part.param;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * The values of parameters as they are stored; an edit makes new ones. Read them through a {@link Param}. Values of parameters
 * this version does not know are carried along.
 */
public record Values(Map<String, Double> numbers, Map<String, String> choices) {
    /** All at their starting values. */
    public static final Values START = new Values(Map.of(), Map.of());

    public Values {
        numbers = Collections.unmodifiableMap(numbers == null ? new TreeMap<>() : sound(numbers));
        choices = Collections.unmodifiableMap(choices == null ? new TreeMap<>() : sound(choices));
    }

    /** A file written by hand may hold a key without a value. */
    private static <T> TreeMap<String, T> sound(Map<String, T> map) {
        TreeMap<String, T> copy = new TreeMap<>(map);
        copy.values().removeIf(v -> v == null);
        return copy;
    }

    Values withNumber(String key, double value) {
        Map<String, Double> copy = new TreeMap<>(numbers);
        copy.put(key, value);
        return new Values(copy, choices);
    }

    Values withChoice(String key, String stored) {
        Map<String, String> copy = new TreeMap<>(choices);
        copy.put(key, stored);
        return new Values(numbers, copy);
    }

    /** With a parameter set: {@code values.with(LENGTH, 12.0)}. */
    public <T> Values with(Param<T> param, T value) {
        return param.set(this, value);
    }
}
