package tinperch.part.bind;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tinperch.catalogue.UsualThing;
import tinperch.measure.Spread;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetCell;
import tinperch.measure.sheet.SheetKind;
import tinperch.part.param.PartProblem;

/** The sizes of one thing: what was read, and where nothing was read what is usual. Remembers what it was asked for. */
public final class Sizes {
    private final Optional<Sheet> sheet;
    private final Optional<UsualThing> usual;
    private final String called;
    private final Set<String> read = new LinkedHashSet<>();
    private final Set<String> unread = new LinkedHashSet<>();
    private double halfWidthMm;
    private int fewest = Integer.MAX_VALUE;

    /** At least one of the two is there. */
    public Sizes(Optional<Sheet> sheet, Optional<UsualThing> usual) {
        this(sheet, usual, "");
    }

    /**
     * Those of a thing the owner calls something else.
     *
     * @param called its name; empty for that of its sheet or of the usual thing
     */
    public Sizes(Optional<Sheet> sheet, Optional<UsualThing> usual, String called) {
        this.sheet = sheet;
        this.usual = usual;
        this.called = called;
    }

    /** What the owner calls the thing. */
    public String name() {
        return !called.isEmpty() ? called : sheet.map(Sheet::name).or(() -> usual.map(UsualThing::name)).orElse("");
    }

    /** The kind of reading sheet its sizes are of. */
    public String kind() {
        return sheet.map(Sheet::kind).or(() -> usual.map(UsualThing::kind)).orElse("");
    }

    /** The sheet itself, for what is more than cells. */
    public Optional<Sheet> sheet() {
        return sheet;
    }

    /** A size the thing can do without; empty when neither read nor usual. */
    public OptionalDouble maybe(String cell) {
        Optional<Spread> s = sheet.flatMap(k -> k.spread(cell));
        if (s.isPresent()) {
            note(cell, s.get());
            return OptionalDouble.of(s.get().mean());
        }
        return usual.map(u -> u.size(cell)).orElse(OptionalDouble.empty());
    }

    /**
     * A size the thing cannot do without, mm.
     *
     * @throws PartProblem when it was neither read nor is usual
     */
    public double need(String cell) {
        OptionalDouble v = maybe(cell);
        if (!read.contains(cell)) {
            unread.add(cell);
        }
        return v.orElseThrow(() -> new PartProblem("“" + name() + "” has no " + label(cell) + " yet; read it on the Measure station, or bind it to a usual size."));
    }

    /** Counts a reading as one the thing stands on. */
    void note(String cell, Spread s) {
        read.add(cell);
        halfWidthMm = Math.max(halfWidthMm, s.halfWidth());
        fewest = Math.min(fewest, s.count());
    }

    private String label(String cell) {
        return SheetKind.of(kind()).stream().flatMap(k -> k.cells().stream()).filter(c -> c.cell().equals(cell))
                .map(SheetCell::label).map(tinperch.quantity.Quantity::inSentence).findFirst().orElse(cell);
    }

    /** How well the sizes asked for so far are known. */
    public Known known() {
        List<String> missing = unread.stream().map(this::label).toList();
        if (read.isEmpty()) {
            return new Known(Known.How.USUAL, (called.isEmpty() ? "" : called + ": ") + usual.map(u -> "usual " + u.name()).orElse(name()) + ", not measured", 0, missing);
        }
        String times = fewest == 1 ? "measured once" : "measured " + fewest + " times";
        return missing.isEmpty() ? new Known(Known.How.MEASURED, times, halfWidthMm, missing)
                : new Known(Known.How.PARTLY, times + "; usual, not measured: " + String.join(", ", new ArrayList<>(missing)), halfWidthMm, missing);
    }
}
