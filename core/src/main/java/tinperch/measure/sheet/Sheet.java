package tinperch.measure.sheet;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tinperch.measure.PatternSheet;
import tinperch.measure.Reading;
import tinperch.measure.Spread;

/**
 * The readings of one thing on a machine, as they were taken.
 *
 * @param kind see {@link SheetKind}
 * @param name what was measured, "left upright"
 * @param readings by cell
 */
public record Sheet(String id, String kind, String name, Map<String, List<Reading>> readings) {
    public Sheet {
        Map<String, List<Reading>> copy = new TreeMap<>();
        readings.forEach((k, v) -> {
            if (!v.isEmpty()) {
                copy.put(k, List.copyOf(v));
            }
        });
        readings = Collections.unmodifiableMap(copy);
    }

    /** A sheet nothing was read on yet, named after its kind. */
    public static Sheet empty(String id, SheetKind kind) {
        return new Sheet(id, kind.kind(), kind.label(), Map.of());
    }

    /** Readings of a cell, oldest first. */
    public List<Reading> at(String cell) {
        return readings.getOrDefault(cell, List.of());
    }

    /** With other readings of a cell. */
    public Sheet with(String cell, List<Reading> list) {
        Map<String, List<Reading>> copy = new TreeMap<>(readings);
        copy.put(cell, list);
        return new Sheet(id, kind, name, copy);
    }

    /** Under another name. */
    public Sheet named(String next) {
        return new Sheet(id, kind, next, readings);
    }

    /** Whether it is a pattern of four holes, read pair by pair. */
    public boolean isPattern() {
        return kind.equals(SheetKind.HOLES);
    }

    /** The same readings seen as a hole pattern. */
    public PatternSheet pattern() {
        return new PatternSheet(name, readings);
    }

    /** With the readings of a pattern. */
    public Sheet with(PatternSheet pattern) {
        return new Sheet(id, kind, pattern.name(), pattern.readings());
    }

    /** What a cell's readings say; empty when none counts or the cell is unknown. */
    public Optional<Spread> spread(String cell) {
        return cells().stream().filter(c -> c.cell().equals(cell)).findFirst().flatMap(c -> Spread.of(at(cell), c.half()));
    }

    private List<SheetCell> cells() {
        return SheetKind.of(kind).map(SheetKind::cells).orElse(List.of());
    }

    /** Cells the sheet says little without and which have no reading yet. */
    public List<SheetCell> missing() {
        return cells().stream().filter(c -> c.needed() && spread(c.cell()).isEmpty()).toList();
    }

    /** What can be reckoned from what has been read so far. */
    public List<Outcome> outcomes() {
        return Reckoners.of(this);
    }
}
