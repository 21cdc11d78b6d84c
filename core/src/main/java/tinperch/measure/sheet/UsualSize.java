package tinperch.measure.sheet;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.quantity.Table;

/**
 * A size things are usually made in, one row of {@code usual.csv}.
 *
 * @param of what: fan (size frame, second hole spacing), profile (size, slot), thread (diameter, pitch), rod, hose
 * @param tolMm how far a true one may read from {@code sizeMm}
 */
public record UsualSize(String of, String name, double sizeMm, double secondMm, double tolMm) {
    static final List<UsualSize> ALL = Table.read(UsualSize.class, "usual.csv", UsualSize.class);

    public static List<UsualSize> all(String of) {
        return ALL.stream().filter(u -> u.of.equals(of)).toList();
    }

    /** The nearest by its size, when it is within its tolerance. */
    static Optional<UsualSize> nearest(String of, double mm) {
        return ALL.stream().filter(u -> u.of.equals(of) && Math.abs(u.sizeMm - mm) <= u.tolMm)
                .min(Comparator.comparingDouble(u -> Math.abs(u.sizeMm - mm)));
    }
}
