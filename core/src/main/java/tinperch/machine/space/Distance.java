package tinperch.machine.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.measure.Reading;
import tinperch.measure.Spread;

/**
 * A distance read from one end to another, once or several times, with the axes where they were.
 *
 * @param along the direction it was read along
 * @param from the end on the lower side; {@code to} lies so far above it, mm, or below it where a reading is negative
 * @param readings of one instrument, mm
 * @param instrumentMm what the instrument can be off by, mm
 * @param pose where the axes stood, mm by name; an axis not named stood at zero
 * @param note the owner's remark
 */
public record Distance(String id, Along along, End from, End to, List<Reading> readings, double instrumentMm, Map<String, Double> pose, String note) {
    public Distance {
        readings = readings == null ? List.of() : List.copyOf(readings);
        pose = pose == null ? Map.of() : Map.copyOf(pose);
        note = note == null ? "" : note;
        instrumentMm = instrumentMm > 0 ? instrumentMm : Spread.CALIPER_MM;
    }

    /** What its readings say; empty when none counts. */
    public Optional<Spread> spread() {
        return Spread.of(readings, instrumentMm);
    }

    /** With another reading taken. */
    public Distance with(Reading reading) {
        List<Reading> next = new ArrayList<>(readings);
        next.add(reading);
        return with(next);
    }

    /** With other readings. */
    public Distance with(List<Reading> next) {
        return new Distance(id, along, from, to, next, instrumentMm, pose, note);
    }

    /** With the owner's remark. */
    public Distance withNote(String next) {
        return new Distance(id, along, from, to, readings, instrumentMm, pose, next);
    }

    /** With its ends the other way round. */
    public Distance swapped() {
        return new Distance(id, along, to, from, readings, instrumentMm, pose, note);
    }

    /** Whether it ends at a neighbour. */
    public boolean touches(String neighbourId) {
        return from.neighbourId().equals(neighbourId) || to.neighbourId().equals(neighbourId);
    }
}
