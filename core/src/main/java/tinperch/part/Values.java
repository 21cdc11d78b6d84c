package tinperch.part;

import java.util.Map;
import java.util.TreeMap;

/** The values of a part's parameters; an edit makes a new one. */
public record Values(Map<String, Double> numbers, Map<String, String> choices) {
    public Values {
        numbers = java.util.Collections.unmodifiableMap(new TreeMap<>(numbers));
        choices = java.util.Collections.unmodifiableMap(new TreeMap<>(choices));
    }

    /** @throws IllegalArgumentException when there is no such number */
    public double number(String key) {
        Double v = numbers.get(key);
        if (v == null) {
            throw new IllegalArgumentException("No value " + key);
        }
        return v;
    }

    public String choice(String key) {
        String v = choices.get(key);
        if (v == null) {
            throw new IllegalArgumentException("No choice " + key);
        }
        return v;
    }

    public Values with(String key, double number) {
        Map<String, Double> copy = new TreeMap<>(numbers);
        copy.put(key, number);
        return new Values(copy, choices);
    }

    public Values with(String key, String choice) {
        Map<String, String> copy = new TreeMap<>(choices);
        copy.put(key, choice);
        return new Values(numbers, copy);
    }

    /** These values on top of a family's own starting values, so that parts kept before a parameter existed still open. */
    public Values over(Values start) {
        Map<String, Double> n = new TreeMap<>(start.numbers);
        Map<String, String> c = new TreeMap<>(start.choices);
        n.putAll(numbers);
        c.putAll(choices);
        return new Values(n, c);
    }
}
