package tinperch.machine.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import tinperch.measure.Reading;
import tinperch.measure.Spread;

/**
 * A distance read from one end to another, once or several times, with the axes where they were.
 *
 * @param along the direction it was read along
 * @param from the end on the lower side; {@code to} lies so far above it, mm, or below it where a reading is negative
 * @param readings of one instrument, mm
 * @param instrumentMm what the instrument can be off by, from 0.001 to 100 mm; calipers for anything else
 * @param pose where the axes stood, mm by name; an axis not named stood at zero
 * @param note the owner's remark
 */
public record Distance(String id, Along along, End from, End to, List<Reading> readings, double instrumentMm, Map<String, Double> pose, String note) {
    private static final double LEAST_MM = 1e-3;
    private static final double MOST_MM = 100;

    public Distance {
        // Files written by hand may lack any of these; without a direction or an end it places nothing.
        id = id == null ? "" : id;
        from = from == null || along == null ? new End("", End.Where.LOW) : from;
        to = to == null ? new End("", End.Where.LOW) : to;
        along = along == null ? Along.Z : along;
        readings = readings == null ? List.of() : readings.stream().filter(Objects::nonNull).toList();
        pose = pose == null ? Map.of() : Map.copyOf(pose);
        note = note == null ? "" : note;
        instrumentMm = instrumentMm >= LEAST_MM && instrumentMm <= MOST_MM ? instrumentMm : Spread.CALIPER_MM;
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

    /** The same readings, read the other way round. */
    public Distance swapped() {
        return new Distance(id, along, to, from, readings, instrumentMm, pose, note);
    }

    /** Whether it ends at a neighbour. */
    public boolean touches(String neighbourId) {
        return from.neighbourId().equals(neighbourId) || to.neighbourId().equals(neighbourId);
    }
}
