package tinperch.machine.book;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How a machine stood at the end of a day with one loadout on: its components, and for each setting the change in force.
 */
public record Standing(List<Component> components, Map<String, SettingChange> settings) {
    public Standing {
        components = List.copyOf(components);
        settings = java.util.Collections.unmodifiableMap(new TreeMap<>(settings));
    }

    public Optional<Double> value(String key) {
        return Optional.ofNullable(settings.get(key)).map(SettingChange::value);
    }

    /** What is otherwise in {@code now} than in {@code then}, in plain words. */
    public static List<String> differences(Standing then, Standing now) {
        List<String> words = new java.util.ArrayList<>();
        for (Component c : now.components) {
            if (then.components.stream().noneMatch(o -> o.id().equals(c.id()))) {
                Optional<Component> before = then.components.stream()
                        .filter(o -> c.replaces().filter(o.id()::equals).isPresent()).findFirst();
                words.add(before.map(b -> c.kind().label() + ": " + b.words() + " → " + c.words())
                        .orElse(c.kind().label() + " added: " + c.words()));
            }
        }
        for (Component c : then.components) {
            boolean gone = now.components.stream().noneMatch(o -> o.id().equals(c.id()));
            boolean replaced = now.components.stream().anyMatch(o -> o.replaces().filter(c.id()::equals).isPresent());
            if (gone && !replaced) {
                words.add(c.kind().label() + " taken off: " + c.words());
            }
        }
        for (SettingKey k : SettingKey.ALL) {
            Optional<Double> a = then.value(k.key());
            Optional<Double> b = now.value(k.key());
            if (!a.equals(b)) {
                words.add(k.label() + ": " + a.map(k::show).orElse("not set") + " → " + b.map(k::show).orElse("not set"));
            }
        }
        return words;
    }
}
