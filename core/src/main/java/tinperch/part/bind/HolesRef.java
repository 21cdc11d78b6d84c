package tinperch.part.bind;

import java.util.List;
import java.util.Optional;
import tinperch.measure.Spread;
import tinperch.measure.sheet.HolePattern;
import tinperch.measure.sheet.SheetKind;
import tinperch.part.param.PartProblem;
import tinperch.quantity.Quantity;

/**
 * Holes a part has to meet, about the middle of them.
 *
 * @param holes at least one
 * @param squareAssumed whether the corner is only taken as square because no diagonal was read
 */
public record HolesRef(String name, List<Hole> holes, boolean squareAssumed, Known known) implements Ref {
    public static final RefKind<HolesRef> KIND = new RefKind<>(HolesRef.class,
            HolePattern.KINDS, HolesRef::of);

    public HolesRef {
        holes = List.copyOf(holes);
    }

    /** A hole with its label ("A"), place about the middle of all, and own diameter, mm. */
    public record Hole(String label, double xMm, double yMm, double diameterMm) {}

    private static HolesRef of(Sizes s) {
        Optional<HolePattern> read = s.kind().equals(SheetKind.HOLES) ? s.sheet().flatMap(HolePattern::of) : Optional.empty();
        if (read.isPresent()) {
            int fewest = s.sheet().orElseThrow().readings().values().stream().mapToInt(List::size).min().orElse(1);
            s.note("width", new Spread(fewest, 0, 0, read.get().halfWidthMm()));
        }
        try {
            HolePattern p = read.orElseGet(() -> HolePattern.of(s.kind(), s::need));
            return of(s.name(), p, s.known());
        } catch (IllegalArgumentException e) {
            throw new PartProblem("“" + s.name() + "”: " + e.getMessage());
        }
    }

    /** The holes of a pattern. */
    public static HolesRef of(String name, HolePattern p, Known known) {
        return new HolesRef(name, p.holes().stream().map(h -> new Hole(h.label(), h.xMm(), h.yMm(), p.diameterMm())).toList(), p.squareAssumed(), known);
    }

    /** Holes of one diameter moved so that their middle is at zero, labelled from A. */
    public static HolesRef about(String name, double diameterMm, double[][] at, boolean squareAssumed, Known known) {
        return of(name, HolePattern.about(diameterMm, at, squareAssumed), known);
    }

    /** Half the extent of the holes' middles about zero, mm: along x, along y. */
    public double[] halfExtentMm() {
        return new double[] {holes.stream().mapToDouble(h -> Math.abs(h.xMm())).max().orElse(0),
            holes.stream().mapToDouble(h -> Math.abs(h.yMm())).max().orElse(0)};
    }

    @Override
    public String says() {
        double x0 = holes.stream().mapToDouble(Hole::xMm).min().orElse(0);
        double x1 = holes.stream().mapToDouble(Hole::xMm).max().orElse(0);
        double y0 = holes.stream().mapToDouble(Hole::yMm).min().orElse(0);
        double y1 = holes.stream().mapToDouble(Hole::yMm).max().orElse(0);
        String half = known.halfWidthMm() > 0 ? " ± " + Quantity.fixed(Math.max(0.01, known.halfWidthMm()), 2) : "";
        return holes.size() + " holes, " + Quantity.fixed(x1 - x0, 2) + (y1 - y0 > 0.01 ? " × " + Quantity.fixed(y1 - y0, 2) : " apart") + half;
    }
}
