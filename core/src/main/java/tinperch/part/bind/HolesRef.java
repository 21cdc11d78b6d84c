package tinperch.part.bind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.measure.MeasuredPattern;
import tinperch.measure.Spread;
import tinperch.measure.sheet.Sheet;
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
            List.of(SheetKind.HOLES, "pair", "triangle", "circle", "fan", "motor", "board"), HolesRef::of);

    public HolesRef {
        holes = List.copyOf(holes);
    }

    /** A hole with its label ("A"), place about the middle of all, and own diameter, mm. */
    public record Hole(String label, double xMm, double yMm, double diameterMm) {}

    private static HolesRef of(Sizes s) {
        return switch (s.kind()) {
            case SheetKind.HOLES -> four(s);
            case "pair" -> made(s, 0, (s.need("out") - s.need("in")) / 2, new double[][] {{-(s.need("out") + s.need("in")) / 4, 0},
                {(s.need("out") + s.need("in")) / 4, 0}});
            case "triangle" -> triangle(s);
            case "circle" -> circle(s);
            case "fan", "motor" -> rectangle(s, centre(s, "outside", "inside"), centre(s, "outside", "inside"), bore(s, "outside", "inside"));
            case "board" -> rectangle(s, centre(s, "out.x", "in.x"), centre(s, "out.y", "in.y"), bore(s, "out.x", "in.x"));
            default -> throw new PartProblem("“" + s.name() + "” has no holes to meet; choose another sheet or usual size.");
        };
    }

    private static double centre(Sizes s, String out, String in) {
        return (s.need(out) + s.need(in)) / 2;
    }

    private static double bore(Sizes s, String out, String in) {
        return (s.need(out) - s.need(in)) / 2;
    }

    private static HolesRef four(Sizes s) {
        Optional<MeasuredPattern> m = s.sheet().map(Sheet::pattern).flatMap(MeasuredPattern::of);
        if (m.isEmpty()) {
            return rectangle(s, s.need("width"), s.need("height"), s.need("hole"));
        }
        int fewest = s.sheet().orElseThrow().readings().values().stream().mapToInt(List::size).min().orElse(1);
        s.note("width", new Spread(fewest, 0, 0, m.get().halfWidthMm()));
        return made(s, m.get().squareAssumed() ? 1 : 0, m.get().diameterMm(), m.get().centres().toArray(double[][]::new));
    }

    private static HolesRef rectangle(Sizes s, double w, double h, double bore) {
        return made(s, 0, bore, new double[][] {{-w / 2, -h / 2}, {w / 2, -h / 2}, {w / 2, h / 2}, {-w / 2, h / 2}});
    }

    /** A at the origin, B on the x axis, C above, by the three sides. */
    private static HolesRef triangle(Sizes s) {
        double ab = centre(s, "ab.out", "ab.in");
        double bc = centre(s, "bc.out", "bc.in");
        double ca = centre(s, "ca.out", "ca.in");
        double x = (ab * ab + ca * ca - bc * bc) / (2 * ab);
        if (ca * ca - x * x <= 1) {
            throw new PartProblem("The three distances of “" + s.name() + "” close to no triangle; read them again.");
        }
        return made(s, 0, bore(s, "ab.out", "ab.in"), new double[][] {{0, 0}, {ab, 0}, {x, Math.sqrt(ca * ca - x * x)}});
    }

    /** Opposite holes of an even circle, or neighbours of an odd one. */
    private static HolesRef circle(Sizes s) {
        int n = (int) Math.round(s.need("count"));
        if (n < 2 || n > 36) {
            throw new PartProblem("A circle of holes has 2 to 36 of them; “" + s.name() + "” has " + n + ".");
        }
        double across = centre(s, "out", "in");
        double radius = n % 2 == 0 ? across / 2 : across / (2 * Math.sin(Math.PI / n));
        double[][] at = new double[n][];
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / n;
            at[i] = new double[] {radius * Math.cos(a), radius * Math.sin(a)};
        }
        return made(s, 0, bore(s, "out", "in"), at);
    }

    private static HolesRef made(Sizes s, int assumed, double bore, double[][] at) {
        return about(s.name(), bore, at, assumed > 0, s.known());
    }

    /** Holes of one diameter moved so that their middle is at zero, labelled from A. */
    public static HolesRef about(String name, double diameterMm, double[][] at, boolean squareAssumed, Known known) {
        double cx = 0;
        double cy = 0;
        for (double[] p : at) {
            cx += p[0] / at.length;
            cy += p[1] / at.length;
        }
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < at.length; i++) {
            String label = i < 26 ? String.valueOf((char) ('A' + i)) : "A" + (char) ('A' + i - 26);
            holes.add(new Hole(label, at[i][0] - cx, at[i][1] - cy, diameterMm));
        }
        return new HolesRef(name, holes, squareAssumed, known);
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
