package tinperch.machine.book;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A component and the time it was on the machine.
 *
 * @param loadout the loadout it belongs to, empty for the machine itself
 * @param on first day on the machine, {@code off} the day it came off
 * @param usual id of the usual thing it is, "fan-40x10", so that parts can be made for it; empty when it is none or not said
 * @param replaces the component whose place it took
 * @param feeds for a contact what draws its current through it; null when it was not said
 * @param by who fitted it, {@code note} why
 * @param wired where its current comes from
 */
public record Component(String id, ComponentKind kind, String name, String loadout, Ratings ratings, String usual, LocalDate on,
        Optional<LocalDate> off, Optional<String> replaces, String by, String note, ComponentKind feeds, Wired wired) {
    public Component {
        wired = wired == null ? Wired.UNKNOWN : wired;
        usual = usual == null ? "" : usual;
    }

    /** One of which it was not said what it feeds. */
    public Component(String id, ComponentKind kind, String name, String loadout, Ratings ratings, String usual, LocalDate on,
            Optional<LocalDate> off, Optional<String> replaces, String by, String note) {
        this(id, kind, name, loadout, ratings, usual, on, off, replaces, by, note, null, Wired.UNKNOWN);
    }

    /** One that is no usual thing. */
    public Component(String id, ComponentKind kind, String name, String loadout, Ratings ratings, LocalDate on,
            Optional<LocalDate> off, Optional<String> replaces, String by, String note) {
        this(id, kind, name, loadout, ratings, "", on, off, replaces, by, note);
    }

    /** The same, known to be a usual thing. */
    public Component being(String usualId) {
        return new Component(id, kind, name, loadout, ratings, usualId, on, off, replaces, by, note, feeds, wired);
    }

    /** The same, known to feed a kind of component; null where that is not known. */
    public Component feeding(ComponentKind what) {
        return new Component(id, kind, name, loadout, ratings, usual, on, off, replaces, by, note, what, wired);
    }

    /** The same, wired like that. */
    public Component wired(Wired next) {
        return new Component(id, kind, name, loadout, ratings, usual, on, off, replaces, by, note, feeds, next);
    }

    /** What it draws: as rated, or its power over its voltage; 0 where that is not known, A. */
    public double drawsA() {
        return ratings.currentA() > 0 ? ratings.currentA() : ratings.voltageV() > 0 ? ratings.powerW() / ratings.voltageV() : 0;
    }

    /** Whether it was on the machine at the end of a day. */
    public boolean isOnAt(LocalDate day) {
        return !on.isAfter(day) && off.map(o -> o.isAfter(day)).orElse(true);
    }

    public Component removed(LocalDate day) {
        return new Component(id, kind, name, loadout, ratings, usual, on, Optional.of(day), replaces, by, note, feeds, wired);
    }

    /** Never taken off. */
    Component backOn() {
        return new Component(id, kind, name, loadout, ratings, usual, on, Optional.empty(), replaces, by, note, feeds, wired);
    }

    /** The same thing fitted elsewhere on a day, in place of itself. */
    Component movedTo(String nextLoadout, String freshId, LocalDate day) {
        return new Component(freshId, kind, name, nextLoadout, ratings, usual, day, Optional.empty(), Optional.of(id), by, note, feeds, wired);
    }

    /** "Heater 24 V · 40 W". */
    public String words() {
        return ratings.words().isEmpty() ? name : name + " (" + ratings.words() + ")";
    }
}
