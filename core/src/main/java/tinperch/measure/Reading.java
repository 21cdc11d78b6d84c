package tinperch.measure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * One reading, in the unit of the cell it stands in. Changing it keeps what it was.
 *
 * @param value what the instrument showed
 * @param at when it was taken
 * @param instrument what took it
 * @param note the owner's remark, empty when there is none
 * @param leftOut whether the owner took it out of the reckoning; it stays on the sheet
 * @param earlier values it had before it was changed, oldest first
 */
public record Reading(double value, Instant at, String instrument, String note, boolean leftOut, List<Double> earlier) {
    public Reading {
        at = at == null ? Instant.EPOCH : at;
        instrument = instrument == null ? "" : instrument;
        note = note == null ? "" : note;
        earlier = earlier == null ? List.of() : List.copyOf(earlier);
    }

    public Reading(double value, Instant at, String instrument) {
        this(value, at, instrument, "", false, List.of());
    }

    /** Corrected; the value it had is kept. */
    public Reading changedTo(double next) {
        if (next == value) {
            return this;
        }
        List<Double> before = new ArrayList<>(earlier);
        before.add(value);
        return new Reading(next, at, instrument, note, leftOut, before);
    }

    /** With another note. */
    public Reading withNote(String next) {
        return new Reading(value, at, instrument, next, leftOut, earlier);
    }

    /** Said to be taken with something else. */
    public Reading takenWith(String what) {
        return new Reading(value, at, what, note, leftOut, earlier);
    }

    /** Left out of what is reckoned, or taken in again. */
    public Reading leftOut(boolean out) {
        return new Reading(value, at, instrument, note, out, earlier);
    }
}
