package tinperch.desktop.shelf;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import tinperch.machine.Machine;

/** In which order machines stand on the shelf, and which of them are meant by what somebody types. */
enum ShelfOrder {
    ADDED("as they came"), NAME("by name"), DUE("most due first"), STATE("by state");

    private final String label;

    ShelfOrder(String label) {
        this.label = label;
    }

    @Override
    public String toString() {
        return label;
    }

    /** The order kept under a name; as they came for any other. */
    static ShelfOrder of(String name) {
        return Arrays.stream(values()).filter(o -> o.name().equals(name)).findFirst().orElse(ADDED);
    }

    /** Those meant, in this order; those alike stay as they came. */
    List<Machine> of(List<Machine> all, String typed, LocalDate today) {
        List<String> words = Arrays.stream(typed.toLowerCase(Locale.ROOT).strip().split("\\s+")).filter(w -> !w.isEmpty()).toList();
        return all.stream().filter(m -> {
            String text = text(m, today);
            return words.stream().allMatch(text::contains);
        }).sorted(comparator(today)).toList();
    }

    private static String text(Machine m, LocalDate today) {
        return (m.name() + " " + m.kind().label() + " " + m.state().label() + " " + m.stateNote() + " " + m.summary() + (m.book().due(today).isEmpty() ? "" : " due")).toLowerCase(Locale.ROOT);
    }

    private Comparator<Machine> comparator(LocalDate today) {
        return switch (this) {
            case ADDED -> (a, b) -> 0;
            case NAME -> Comparator.comparing((Machine m) -> m.name().toLowerCase(Locale.ROOT));
            case DUE -> Comparator.comparingInt((Machine m) -> -m.book().due(today).size());
            case STATE -> Comparator.comparing(Machine::state);
        };
    }
}
