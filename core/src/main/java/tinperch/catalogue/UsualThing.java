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

    private Map<String, Double> byCell() {
        Map<String, Double> map = new TreeMap<>();
        Arrays.stream(sizes.split(";")).map(s -> s.split("=")).forEach(p -> map.put(p[0], Double.parseDouble(p[1])));
        return map;
    }
}
