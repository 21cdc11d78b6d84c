package tinperch.measure.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import tinperch.measure.MeasuredPattern;
import tinperch.measure.Spread;

/**
 * Where the holes read on a sheet are, about the middle of them: two, three, four, as many as lie on a circle, or those of a fan, a motor
 * or a board.
 *
 * @param holes at least two, of one diameter
 * @param halfWidthMm largest 95 % half width among the readings it follows from, mm; 0 where they are usual sizes
 * @param squareAssumed whether the corner is only taken as square because no diagonal was read
 */
public record HolePattern(List<Hole> holes, double diameterMm, double halfWidthMm, boolean squareAssumed) {
    /** Kinds of sheet that have holes. */
    public static final List<String> KINDS = List.of(SheetKind.HOLES, "pair", "triangle", "circle", "fan", "motor", "board");
    private static final Set<String> SQUARE = Set.of("fan", "motor");
    private static final int MOST_ON_A_CIRCLE = 36;

    public HolePattern {
        holes = List.copyOf(holes);
    }

    /** A hole with its label ("A") and place about the middle of all, mm. */
    public record Hole(String label, double xMm, double yMm) {}

    /** What the sheet of a kind has no number for yet. */
    private static final class Unread extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** The holes a sheet tells; empty when it has none, too little was read, or its readings close to no pattern. */
    public static Optional<HolePattern> of(Sheet sheet) {
        if (!KINDS.contains(sheet.kind())) {
            return Optional.empty();
        }
        if (sheet.isPattern()) {
            return MeasuredPattern.of(sheet.pattern()).map(HolePattern::of);
        }
        double[] half = {0};
        try {
            return Optional.of(of(sheet.kind(), cell -> {
                Spread s = sheet.spread(cell).orElseThrow(Unread::new);
                half[0] = Math.max(half[0], s.halfWidth());
                return s.mean();
            }).knownTo(half[0]));
        } catch (Unread | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** The same as four holes measured pair by pair say. */
    public static HolePattern of(MeasuredPattern four) {
        return about(four.diameterMm(), four.centres().toArray(double[][]::new), four.squareAssumed()).knownTo(four.halfWidthMm());
    }

    /**
     * The holes of a kind of sheet from the numbers in its cells.
     *
     * @param cell the number in a cell, mm
     * @throws IllegalArgumentException in a sentence, when the numbers close to no pattern or the kind has no holes
     */
    public static HolePattern of(String kind, ToDoubleFunction<String> cell) {
        Cells c = new Cells(cell);
        return switch (kind) {
            case SheetKind.HOLES -> rectangle(c.at("width"), c.at("height"), c.at("hole"));
            case "pair" -> about(c.bore("out", "in"), new double[][] {{0, 0}, {c.centre("out", "in"), 0}}, false);
            case "triangle" -> triangle(c);
            case "circle" -> circle(c);
            case "board" -> rectangle(c.centre("out.x", "in.x"), c.centre("out.y", "in.y"), c.bore("out.x", "in.x"));
            default -> {
                if (!SQUARE.contains(kind)) {
                    throw new IllegalArgumentException("It has no holes to meet; choose another sheet or usual size.");
                }
                yield rectangle(c.centre("outside", "inside"), c.centre("outside", "inside"), c.bore("outside", "inside"));
            }
        };
    }

    /** Two equal holes read over both and between both: centre distance (outside + inside)/2, diameter (outside − inside)/2. */
    private record Cells(ToDoubleFunction<String> cell) {
        double at(String name) {
            return cell.applyAsDouble(name);
        }

        double centre(String out, String in) {
            return (at(out) + at(in)) / 2;
        }

        double bore(String out, String in) {
            return (at(out) - at(in)) / 2;
        }
    }

    private static HolePattern rectangle(double w, double h, double bore) {
        return about(bore, new double[][] {{-w / 2, -h / 2}, {w / 2, -h / 2}, {w / 2, h / 2}, {-w / 2, h / 2}}, false);
    }

    /** A at the origin, B on the x axis, C above, by the three sides. */
    private static HolePattern triangle(Cells c) {
        double ab = c.centre("ab.out", "ab.in");
        double bc = c.centre("bc.out", "bc.in");
        double ca = c.centre("ca.out", "ca.in");
        double x = (ab * ab + ca * ca - bc * bc) / (2 * ab);
        if (!(ca * ca - x * x > 1)) {
            throw new IllegalArgumentException("Its three distances close to no triangle; read them again.");
        }
        return about(c.bore("ab.out", "ab.in"), new double[][] {{0, 0}, {ab, 0}, {x, Math.sqrt(ca * ca - x * x)}}, false);
    }

    /** Opposite holes of an even circle, or neighbours of an odd one. */
    private static HolePattern circle(Cells c) {
        int n = (int) Math.round(c.at("count"));
        if (n < 2 || n > MOST_ON_A_CIRCLE) {
            throw new IllegalArgumentException("A circle of holes has 2 to " + MOST_ON_A_CIRCLE + " of them; this one has " + n + ".");
        }
        double across = c.centre("out", "in");
        double radius = n % 2 == 0 ? across / 2 : across / (2 * Math.sin(Math.PI / n));
        double[][] at = new double[n][];
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / n;
            at[i] = new double[] {radius * Math.cos(a), radius * Math.sin(a)};
        }
        return about(c.bore("out", "in"), at, false);
    }

    /** Holes of one diameter moved so that their middle is at zero, labelled from A. */
    public static HolePattern about(double diameterMm, double[][] at, boolean squareAssumed) {
        double cx = 0;
        double cy = 0;
        for (double[] p : at) {
            cx += p[0] / at.length;
            cy += p[1] / at.length;
        }
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < at.length; i++) {
            holes.add(new Hole(label(i), at[i][0] - cx, at[i][1] - cy));
        }
        return new HolePattern(holes, diameterMm, 0, squareAssumed);
    }

    private static String label(int i) {
        return i < 26 ? String.valueOf((char) ('A' + i)) : "A" + (char) ('A' + i - 26);
    }

    private HolePattern knownTo(double half) {
        return new HolePattern(holes, diameterMm, half, squareAssumed);
    }

    /** A hole by its label; empty when there is none of it. */
    public Optional<Hole> hole(String label) {
        return holes.stream().filter(h -> h.label().equals(label)).findFirst();
    }
}
