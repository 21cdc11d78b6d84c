package tinperch.measure.sheet;

import java.util.List;
import java.util.Optional;
import tinperch.quantity.Table;

/**
 * A kind of reading sheet, one row of {@code kinds.csv}.
 *
 * @param label what is measured, "Fan"
 * @param how one sentence on going about it
 */
public record SheetKind(String kind, String label, String how) {
    /** The four-hole pattern, whose cells are those of a {@link tinperch.measure.PatternSheet}. */
    public static final String HOLES = "holes";

    /** In the order they are offered. */
    public static final List<SheetKind> ALL = Table.read(SheetKind.class, "kinds.csv", SheetKind.class);

    public static Optional<SheetKind> of(String kind) {
        return ALL.stream().filter(k -> k.kind.equals(kind)).findFirst();
    }

    /** Its cells, in the order they are best read. */
    public List<SheetCell> cells() {
        return SheetCell.ALL.stream().filter(c -> c.kind().equals(kind)).toList();
    }

    /** The lines of its picture. */
    public List<Stroke> picture() {
        return Stroke.ALL.stream().filter(s -> s.kind().equals(kind)).toList();
    }
}
