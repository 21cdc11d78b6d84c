package tinperch.machine.model;

import java.util.List;
import java.util.Optional;
import tinperch.measure.Reading;
import tinperch.measure.Spread;

/**
 * One thing found in a model, to be read on the real one.
 *
 * @param what in words, "holes 40 apart"
 * @param found in the unit of the model's file
 * @param readings of the real thing, mm
 */
public record ModelCheck(String id, String what, double found, List<Reading> readings) {
    /** A model may be off by this much and still serve as a neighbour, mm (common practice). */
    public static final double LIMIT_MM = 0.25;

    public ModelCheck {
        readings = List.copyOf(readings);
    }

    /** With other readings. */
    public ModelCheck with(List<Reading> next) {
        return new ModelCheck(id, what, found, next);
    }

    /** What the readings say; empty when none counts. */
    public Optional<Spread> read() {
        return Spread.of(readings);
    }

    /** Model less real thing, mm, when the file's unit is {@code scale} mm; empty until read. */
    public Optional<Double> differenceMm(double scale) {
        return read().map(s -> found * scale - s.mean());
    }

    /** Empty until read. */
    public Optional<Boolean> agrees(double scale) {
        return read().map(s -> Math.abs(found * scale - s.mean()) <= Math.max(LIMIT_MM, s.halfWidth()));
    }
}
