package tinperch.machine.book;

import java.util.Arrays;
import java.util.List;

/**
 * How a component gets its current.
 *
 * @param from the component it hangs on: an output of a board, a board, a contact, a supply; empty when nobody has said
 * @param lengthMm of its cable, one way, mm; 0 when nobody has said
 * @param areaMm2 copper of one of its wires, mm²; 0 when nobody has said
 * @param beside of a contact: how many beside each other share its current, at least 1
 * @param pins what lies on each pin of its plug or socket, in order, "+24 V"; empty when nobody has said
 */
public record Wired(String from, double lengthMm, double areaMm2, int beside, List<String> pins) {
    public static final Wired UNKNOWN = new Wired("", 0, 0);
    private static final int MOST_PINS = 40;
    private static final int MOST_SIGNS = 30;

    public Wired {
        from = from == null ? "" : from;
        // Files written by hand may hold any number.
        lengthMm = lengthMm > 0 && lengthMm < 1e6 ? lengthMm : 0;
        areaMm2 = areaMm2 > 0 && areaMm2 < 1e4 ? areaMm2 : 0;
        beside = Math.max(1, Math.min(beside, MOST_PINS));
        pins = pins == null ? List.of() : pins.stream().filter(p -> p != null).map(p -> p.strip().substring(0, Math.min(MOST_SIGNS, p.strip().length()))).limit(MOST_PINS).toList();
    }

    /** One contact, of whose pins nobody has said anything. */
    public Wired(String from, double lengthMm, double areaMm2) {
        this(from, lengthMm, areaMm2, 1, List.of());
    }

    /** The same, hanging on another component. */
    public Wired hangingOn(String id) {
        return new Wired(id, lengthMm, areaMm2, beside, pins);
    }

    /** The same by another wire: its length one way, the copper of one of its wires. */
    public Wired by(double nextLengthMm, double nextAreaMm2) {
        return new Wired(from, nextLengthMm, nextAreaMm2, beside, pins);
    }

    /** Its current shared by so many contacts. */
    public Wired shared(int contacts) {
        return new Wired(from, lengthMm, areaMm2, contacts, pins);
    }

    /** With a plug or socket like that. */
    public Wired pinned(List<String> next) {
        return new Wired(from, lengthMm, areaMm2, beside, next);
    }

    /** Pins as a person writes them: "+, −, signal". */
    public static List<String> pins(String typed) {
        return typed.isBlank() ? List.of() : Arrays.stream(typed.split(",", -1)).map(String::strip).toList();
    }
}
