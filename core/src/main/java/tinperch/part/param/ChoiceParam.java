package tinperch.part.param;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tinperch.quantity.QuantityException;

/**
 * A choice among a few values; the first is that of a new part.
 *
 * @param <E> what is chosen, usually an enum
 * @param options in the order they are shown, at least one
 */
public record ChoiceParam<E>(String key, Card card, String label, List<Option<E>> options, String hint) implements Param<E> {
    public ChoiceParam {
        options = List.copyOf(options);
    }

    /**
     * One value to choose.
     *
     * @param stored the word it is stored as
     * @param label the word shown
     */
    public record Option<E>(E value, String stored, String label) {}

    /** A choice among all values of an enum, stored by what {@code label} says of them. */
    public static <E extends Enum<E>> ChoiceParam<E> of(String key, Card card, String label, E start, Function<E, String> words, String hint) {
        List<Option<E>> all = Arrays.stream(start.getDeclaringClass().getEnumConstants())
                .map(e -> new Option<>(e, words.apply(e), words.apply(e))).toList();
        return new ChoiceParam<>(key, card, label, all, hint).starting(start);
    }

    /** A choice among words that stand for themselves, such as the names of rows of a table. */
    public static ChoiceParam<String> words(String key, Card card, String label, List<String> words, String hint) {
        return new ChoiceParam<>(key, card, label, words.stream().map(w -> new Option<>(w, w, w)).toList(), hint);
    }

    /** A choice among words that stand for themselves, or none of them: empty. */
    public static ChoiceParam<Optional<String>> wordsOr(String key, Card card, String label, List<String> words, String none, String hint) {
        List<Option<Optional<String>>> all = new java.util.ArrayList<>(words.stream().map(w -> new Option<>(Optional.of(w), w, w)).toList());
        all.add(new Option<>(Optional.empty(), none, none));
        return new ChoiceParam<>(key, card, label, all, hint);
    }

    /** The same with another value first. */
    public ChoiceParam<E> starting(E value) {
        List<Option<E>> next = new java.util.ArrayList<>(options);
        next.removeIf(o -> o.value().equals(value));
        next.add(0, options.stream().filter(o -> o.value().equals(value)).findFirst().orElseThrow());
        return new ChoiceParam<>(key, card, label, next, hint);
    }

    /** The same with some values only. */
    public ChoiceParam<E> only(List<E> values) {
        return new ChoiceParam<>(key, card, label, options.stream().filter(o -> values.contains(o.value())).toList(), hint);
    }

    private Option<E> option(Values values) {
        String stored = values.choices().getOrDefault(key, options.get(0).stored());
        return options.stream().filter(o -> o.stored().equals(stored)).findFirst().orElseThrow(() -> new PartProblem(this,
                label + " is “" + stored + "”, which this version does not know; choose another. Nothing else was changed."));
    }

    @Override
    public E of(Values values) {
        return option(values).value();
    }

    @Override
    public Values set(Values values, E value) {
        return values.withChoice(key, options.stream().filter(o -> o.value().equals(value)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException(label + " has no " + value)).stored());
    }

    @Override
    public Values typed(Values values, String text) {
        return values.withChoice(key, options.stream().filter(o -> o.label().equals(text) || o.stored().equals(text)).findFirst()
                .orElseThrow(() -> new QuantityException(label + " has no “" + text + "”.")).stored());
    }

    @Override
    public String show(Values values) {
        String stored = values.choices().getOrDefault(key, options.get(0).stored());
        return options.stream().filter(o -> o.stored().equals(stored)).map(Option::label).findFirst().orElse(stored);
    }
}
