package tinperch.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The readings of one four-hole pattern, as they were taken.
 *
 * @param name what was measured, "wheel plate of the carriage"
 * @param readings by cell, see {@link #cell}
 */
public record PatternSheet(String name, Map<String, List<Reading>> readings) {
    /** Readings beyond this are a slip of the finger: calipers end well before. */
    public static final double LONGEST_MM = 1000;

    private static final String ACROSS = "hole.across";

    public PatternSheet {
        Map<String, List<Reading>> copy = new TreeMap<>();
        readings.forEach((k, v) -> {
            if (!v.isEmpty()) {
                copy.put(k, List.copyOf(v));
            }
        });
        readings = java.util.Collections.unmodifiableMap(copy);
    }

    /** A pattern nothing was read of yet. */
    public static PatternSheet empty(String name) {
        return new PatternSheet(name, Map.of());
    }

    /** The name of a cell of the sheet. */
    public static String cell(HolePair pair, Jaw jaw) {
        return pair.name() + "." + jaw.label();
    }

    /** Readings of a pair, taken one way, oldest first. */
    public List<Reading> at(HolePair pair, Jaw jaw) {
        return readings.getOrDefault(cell(pair, jaw), List.of());
    }

    /** The hole's own diameter, read across it; needed where only centres are read. */
    public List<Reading> acrossHole() {
        return readings.getOrDefault(ACROSS, List.of());
    }

    /** With other readings across one hole. */
    public PatternSheet withAcrossHole(List<Reading> list) {
        return put(ACROSS, list);
    }

    /** With one more reading of a pair. */
    public PatternSheet plus(HolePair pair, Jaw jaw, Reading reading) {
        List<Reading> list = new ArrayList<>(at(pair, jaw));
        list.add(reading);
        return with(pair, jaw, list);
    }

    /** With other readings of a pair, taken one way. */
    public PatternSheet with(HolePair pair, Jaw jaw, List<Reading> list) {
        return put(cell(pair, jaw), list);
    }

    private PatternSheet put(String cell, List<Reading> list) {
        Map<String, List<Reading>> copy = new TreeMap<>(readings);
        copy.put(cell, list);
        return new PatternSheet(name, copy);
    }

    /**
     * What is wrong with a reading before it is taken, or empty.
     *
     * @param valueMm the length about to be added
     */
    public Optional<String> objection(HolePair pair, Jaw jaw, double valueMm) {
        if (!(valueMm > 0)) {
            return Optional.of("A reading is larger than zero; this one was left out.");
        }
        if (valueMm > LONGEST_MM) {
            return Optional.of("Calipers do not reach 1000 mm; check the decimal point. The reading was left out.");
        }
        Optional<Double> outside = jaw == Jaw.OUTSIDE ? Optional.of(valueMm) : mean(pair, Jaw.OUTSIDE);
        Optional<Double> inside = jaw == Jaw.INSIDE ? Optional.of(valueMm) : mean(pair, Jaw.INSIDE);
        if (outside.isPresent() && inside.isPresent() && outside.get() <= inside.get()) {
            return Optional.of("Outside must be longer than inside (" + tinperch.quantity.Quantity.mm(inside.get())
                    + "); the reading was left out.");
        }
        return Optional.empty();
    }

    private Optional<Double> mean(HolePair pair, Jaw jaw) {
        return Spread.of(at(pair, jaw)).map(Spread::mean);
    }

    /**
     * Centre distance and hole diameter of a pair once both edges have been read, or the centres and the hole. Where both
     * were, the edges count.
     */
    public Optional<Derived> derived(HolePair pair) {
        Optional<Spread> outside = Spread.of(at(pair, Jaw.OUTSIDE));
        Optional<Spread> inside = Spread.of(at(pair, Jaw.INSIDE));
        if (outside.isEmpty() || inside.isEmpty()) {
            return Spread.of(at(pair, Jaw.CENTRES)).flatMap(c -> Spread.of(acrossHole())
                    .map(d -> new Derived(c.mean(), d.mean(), c.halfWidth())));
        }
        return Optional.of(Derived.of(outside.get(), inside.get()));
    }

    /** How many of the six pairs can be derived. */
    public int pairsMeasured() {
        int n = 0;
        for (HolePair p : HolePair.values()) {
            n += derived(p).isPresent() ? 1 : 0;
        }
        return n;
    }

    /**
     * What two edge readings say about two equal holes: centre distance (outside + inside)/2, diameter
     * (outside − inside)/2; the errors of both readings add as squares.
     *
     * @param halfWidthMm 95 % half width of the centre distance and of the diameter alike
     */
    public record Derived(double centreMm, double diameterMm, double halfWidthMm) {
        static Derived of(Spread outside, Spread inside) {
            return new Derived(
                    (outside.mean() + inside.mean()) / 2,
                    (outside.mean() - inside.mean()) / 2,
                    Math.hypot(outside.halfWidth(), inside.halfWidth()) / 2);
        }
    }
}
