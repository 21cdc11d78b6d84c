package tinperch.machine.book;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A component and the time it was on the machine.
 *
 * @param loadout the loadout it belongs to, empty for the machine itself
 * @param on first day on the machine, {@code off} the day it came off
 * @param replaces the component whose place it took
 * @param by who fitted it, {@code note} why
 */
public record Component(String id, ComponentKind kind, String name, String loadout, Ratings ratings, LocalDate on,
        Optional<LocalDate> off, Optional<String> replaces, String by, String note) {

    /** Whether it was on the machine at the end of a day. */
    public boolean isOnAt(LocalDate day) {
        return !on.isAfter(day) && off.map(o -> o.isAfter(day)).orElse(true);
    }

    public Component removed(LocalDate day) {
        return new Component(id, kind, name, loadout, ratings, on, Optional.of(day), replaces, by, note);
    }

    /** "Heater 24 V · 40 W". */
    public String words() {
        return ratings.words().isEmpty() ? name : name + " (" + ratings.words() + ")";
    }
}
