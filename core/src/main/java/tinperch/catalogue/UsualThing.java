package tinperch.catalogue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import tinperch.quantity.Table;

/**
 * A thing as it usually is, one row of {@code things.csv}: where a part begins before anything was measured. Its sizes have the
 * names of the cells of the reading sheet of its kind, so that a reading takes the place of a usual size one by one.
 *
 * @param id for storage
 * @param kind kind of reading sheet it stands for
 * @param name "40 mm fan, 10 thick"
 * @param sizes "frame=40;depth=10", mm
 * @param source the standard it comes from, "common practice", or "start value" where it is merely somewhere to begin
 */
public record UsualThing(String id, String kind, String name, String sizes, String source) {
    /** All of them, in the order they are offered. */
    public static final List<UsualThing> ALL = Table.read(UsualThing.class, "things.csv", UsualThing.class);

    /** A reading within this share of a usual size may be of that thing. */
    private static final double LIKE = 0.03;
    private static final double AGREE = 0.02;

    public static Optional<UsualThing> byId(String id) {
        return ALL.stream().filter(t -> t.id.equals(id)).findFirst();
    }

    /** All of some kinds of reading sheet. */
    public static List<UsualThing> ofKinds(List<String> kinds) {
        return ALL.stream().filter(t -> kinds.contains(t.kind)).toList();
    }

    /** Its size at a cell of the sheet, mm; empty when the row has none. */
    public OptionalDouble size(String cell) {
        Double v = byCell().get(cell);
        return v == null ? OptionalDouble.empty() : OptionalDouble.of(v);
    }

    /**
     * What a size of a thing is usually, going by those of its sizes that were read: what all usual things of the kind that are like it agree
     * on. Empty before anything was read, and where they do not agree.
     *
     * @param read means of readings by cell, mm
     */
    public static OptionalDouble expected(String kind, Map<String, Double> read, String cell) {
        List<Double> values = ofKinds(List.of(kind)).stream().filter(t -> t.isLike(read)).flatMap(t -> t.size(cell).stream().boxed()).toList();
        if (values.isEmpty() || values.stream().anyMatch(v -> Math.abs(v - values.get(0)) > AGREE * Math.abs(values.get(0)))) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(values.get(0));
    }

    private boolean isLike(Map<String, Double> read) {
        List<String> shared = read.keySet().stream().filter(c -> size(c).isPresent()).toList();
        return !shared.isEmpty() && shared.stream().allMatch(c -> Math.abs(read.get(c) - size(c).getAsDouble()) <= LIKE * size(c).getAsDouble());
    }

    private Map<String, Double> byCell() {
        Map<String, Double> map = new TreeMap<>();
        Arrays.stream(sizes.split(";")).map(s -> s.split("=")).forEach(p -> map.put(p[0], Double.parseDouble(p[1])));
        return map;
    }
}
