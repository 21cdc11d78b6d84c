package tinperch.measure.sheet;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import tinperch.measure.PushTest;
import tinperch.measure.Squareness;
import tinperch.measure.StepsPerMm;
import tinperch.quantity.Quantity;

/** What is reckoned from a sheet of each kind. A formula without a source beside it is plain geometry. */
final class Reckoners {
    private static final Map<String, Consumer<Reckoning>> BY_KIND = Map.ofEntries(
            Map.entry("outline", Reckoners::outline), Map.entry("stud", Reckoners::stud), Map.entry("rod", Reckoners::rod),
            Map.entry("profile", Reckoners::profile), Map.entry("fan", Reckoners::fan), Map.entry("board", Reckoners::board),
            Map.entry("filter", Reckoners::filter), Map.entry("cylinder", Reckoners::cylinder), Map.entry("hose", Reckoners::hose),
            Map.entry("square", Reckoners::square), Map.entry("blocks", Reckoners::blocks),
            Map.entry("diagonals", Reckoners::diagonals), Map.entry("push", Reckoners::push), Map.entry("mass", Reckoners::mass),
            Map.entry("steps", Reckoners::steps), Map.entry("pair", r -> r.holes("Apart", "out", "in")), Map.entry("triangle", Reckoners::triangle),
            Map.entry("circle", Reckoners::circle), Map.entry("opening", r -> r.alike("One way against the other", "diameter", "other",
                    "not round: the part must go through the narrow way")), Map.entry("motor", r -> r.holes("Hole spacing", "outside", "inside")));

    /** What a spring scale and an indicator can be off by: the halves of the cells they are read in. */
    private static final double FORCE_N = SheetKind.of("push").orElseThrow().cells().stream().filter(c -> c.cell().equals("force.1")).findFirst().orElseThrow().half();
    private static final double GIVE_MM = SheetKind.of("push").orElseThrow().cells().stream().filter(c -> c.cell().equals("give.1")).findFirst().orElseThrow().half();

    private Reckoners() {}

    static List<Outcome> of(Sheet sheet) {
        Reckoning r = new Reckoning(sheet);
        BY_KIND.getOrDefault(sheet.kind(), x -> { }).accept(r);
        return List.copyOf(r.all());
    }

    private static void outline(Reckoning r) {
        corner(r, "length", "width", "diagonal");
        r.put("First hole from the left edge", "mm", 2, v -> v[0] + v[1] / 2, "edge.x", "hole");
        r.put("First hole from the lower edge", "mm", 2, v -> v[0] + v[1] / 2, "edge.y", "hole");
    }

    private static void corner(Reckoning r, String a, String b, String diagonal) {
        r.of("Corner away from square", "°", 2, v -> skew(v[0], v[1], v[2]), a, b, diagonal).ifPresentOrElse(
                o -> r.add(squareOrNot(o)), () -> {
                    if (r.has(a, b, diagonal)) {
                        r.add(unclosed());
                    }
                });
    }

    private static double skew(double a, double b, double d) {
        try {
            return Squareness.skewDeg(a, b, d);
        } catch (IllegalArgumentException e) {
            return Double.NaN;
        }
    }

    private static Outcome unclosed() {
        return new Outcome("Sides and diagonal", 0, OptionalDouble.empty(), "", 0,
                "These lengths do not close to a triangle; read them again.", true);
    }

    private static Outcome squareOrNot(Outcome degrees) {
        String lean = Quantity.fixed(100 * Math.tan(Math.toRadians(Math.abs(degrees.value()))), 2) + " mm per 100 mm";
        return Math.abs(degrees.value()) <= degrees.half().orElse(0) ? degrees.noting("square within what the readings can tell")
                : degrees.doubting(lean + (degrees.value() > 0 ? ", open" : ", closed"));
    }

    /** Outer threads read under their nominal diameter: allowance and crest (ISO 965, tolerance 6g). */
    private static void stud(Reckoning r) {
        r.put("Pitch", "mm", 3, v -> v[0] / 10, "ten");
        if (!r.has("diameter")) {
            return;
        }
        double d = r.mean("diameter");
        List<UsualSize> fit = UsualSize.all("thread").stream().filter(u -> u.sizeMm() - d >= -0.02 && u.sizeMm() - d <= u.tolMm()
                && (!r.has("ten") || Math.abs(r.mean("ten") / 10 - u.secondMm()) < 0.06)).toList();
        if (fit.size() == 1) {
            r.add(new Outcome("Thread", fit.get(0).sizeMm(), OptionalDouble.empty(), "mm nominal", 2,
                    fit.get(0).name() + ", pitch " + Quantity.fixed(fit.get(0).secondMm(), 2) + " mm", false));
        } else if (fit.size() > 1) {
            r.add(new Outcome("Thread", fit.get(0).sizeMm(), OptionalDouble.empty(), "mm nominal", 2, "may be "
                    + String.join(" or ", fit.stream().map(UsualSize::name).toList()) + ": read over ten threads", true));
        } else {
            r.add(new Outcome("Thread", d, OptionalDouble.empty(), "mm", 2,
                    "no usual thread has this diameter" + (r.has("ten") ? " and pitch" : "") + "; is it worn?", true));
        }
    }

    private static void rod(Reckoning r) {
        if (r.has("diameter")) {
            double d = r.mean("diameter");
            UsualSize.nearest("rod", d).ifPresentOrElse(u -> r.add(new Outcome("Nominal", u.sizeMm(), OptionalDouble.empty(),
                    "mm", 0, u.name(), false)), () -> r.add(new Outcome("Nominal", d, OptionalDouble.empty(), "mm", 2,
                            "no usual rod; bearings may not exist for it", true)));
        }
        r.alike("One end against the other", "diameter", "other", "tapered or worn: bearings will bind or rattle");
        // Rolled on a flat plate, the feeler gauge under the middle shows twice the bow at most.
        r.put("Bow", "mm per 300 mm", 2, v -> v[0] * 300 * 300 / (v[1] * v[1]), "bow", "length");
    }

    private static void profile(Reckoning r) {
        if (r.has("width")) {
            double w = r.mean("width");
            UsualSize.nearest("profile", w).ifPresentOrElse(u -> {
                Outcome o = new Outcome("Series", u.sizeMm(), OptionalDouble.empty(), "mm", 0, "usual slot "
                        + Quantity.mm(u.secondMm()), false);
                boolean odd = r.has("slot") && Math.abs(r.mean("slot") - u.secondMm()) > 0.5;
                r.add(odd ? o.doubting("its slot is usually " + Quantity.mm(u.secondMm()) + "; try a nut before buying") : o);
            }, () -> r.add(new Outcome("Series", w, OptionalDouble.empty(), "mm", 2, "no usual series", true)));
        }
        r.put("Lip over the slot", "mm", 2, v -> v[0] - v[1], "depth", "cavity");
    }

    private static void triangle(Reckoning r) {
        r.holes("A to B", "ab.out", "ab.in");
        r.put("B to C", "mm", 2, v -> (v[0] + v[1]) / 2, "bc.out", "bc.in");
        r.put("C to A", "mm", 2, v -> (v[0] + v[1]) / 2, "ca.out", "ca.in");
    }

    /** Opposite holes of an even number lie on a diameter, neighbours of an odd one on a chord of 2π/n. */
    private static void circle(Reckoning r) {
        r.put("Circle Ø", "mm", 2, v -> Math.round(v[2]) % 2 == 0 ? (v[0] + v[1]) / 2 : (v[0] + v[1]) / 2 / Math.sin(Math.PI / Math.round(v[2])), "out", "in", "count");
    }

    private static void fan(Reckoning r) {
        r.holes("Hole spacing", "outside", "inside").ifPresent(o -> {
            if (r.has("frame")) {
                UsualSize.nearest("fan", r.mean("frame")).ifPresent(u -> {
                    double off = o.value() - u.secondMm();
                    boolean near = Math.abs(off) <= Math.max(0.3, o.half().getAsDouble());
                    Outcome usual = new Outcome("Usual spacing", u.secondMm(), OptionalDouble.empty(), "mm", 1, u.name(), false);
                    r.add(near ? usual : usual.doubting("the readings differ from it by " + Quantity.fixed(Math.abs(off), 2)
                            + " mm: make the part to the readings"));
                });
            }
        });
        r.put("Opening", "mm²", 0, v -> Math.PI * (v[0] * v[0] - v[1] * v[1]) / 4, "ring", "hub");
    }

    /** Solder tails get 1.5 mm of air beneath them (common practice). */
    private static void board(Reckoning r) {
        r.holes("Peg spacing along", "out.x", "in.x");
        r.put("Peg spacing across", "mm", 2, v -> (v[0] + v[1]) / 2, "out.y", "in.y");
        r.put("Standoff needed", "mm", 1, v -> v[0] + 1.5, "tails");
        r.put("Height above the board needed", "mm", 1, v -> v[0] + 2, "tallest");
    }

    /** Foam seals when pressed by 25…50 % (common practice). */
    private static void filter(Reckoning r) {
        r.of("Face", "cm²", 1, v -> Math.max(0, v[0] - 2 * v[2]) * Math.max(0, v[1] - 2 * v[2]) / 100, "width", "height", "rim").ifPresent(o -> r.add(
                o.value() > 0 ? o : o.doubting("its rim leaves nothing open: read the rim again")));
        r.put("Groove for the foam", "mm", 2, v -> 0.65 * v[0], "foam");
        r.of("Foam pressed by", "%", 0, v -> 100 * (v[0] - v[1]) / v[0], "foam", "pressed").ifPresent(o -> r.add(
                o.value() >= 25 && o.value() <= 50 ? o.noting("seals (25…50 %)")
                        : o.doubting(o.value() < 25 ? "leaks: press it by 25…50 %" : "crushed: it will not spring back")));
    }

    private static void cylinder(Reckoning r) {
        r.put("Volume for a millimetre", "ml", 3, v -> Math.PI * v[0] * v[0] / 4000, "bore");
        r.put("Volume over the stroke", "ml", 1, v -> Math.PI * v[0] * v[0] / 4000 * v[1], "bore", "stroke");
        r.of("Bore from the scale", "mm", 2, v -> Math.sqrt(4000 * v[0] / (Math.PI * v[1])), "volume", "scale").ifPresent(o -> {
            boolean far = r.has("bore") && Math.abs(o.value() - r.mean("bore"))
                    > Math.max(0.3, Math.hypot(o.half().getAsDouble(), r.half("bore")));
            r.add(far ? o.doubting("scale and calipers disagree: read both again") : o);
        });
        r.alike("Outside, top against bottom", "outer", "outer.low", "tapered: a clamp made to one end slips at the other");
        r.put("Wall", "mm", 2, v -> (v[0] - v[1]) / 2, "outer", "bore");
    }

    /** A barb a tenth thicker than the hose is wide holds soft hoses (common practice). */
    private static void hose(Reckoning r) {
        r.put("Wall", "mm", 2, v -> (v[0] - v[1]) / 2, "outer", "inner");
        r.put("Free area", "mm²", 1, v -> Math.PI * v[0] * v[0] / 4, "inner");
        r.put("Barb Ø", "mm", 2, v -> 1.1 * v[0], "inner");
        r.of("Bend radius over outer Ø", "", 1, v -> v[0] / v[1], "bend", "outer").ifPresent(r::add);
    }

    private static void square(Reckoning r) {
        r.of("Away from square", "°", 2, v -> Math.toDegrees(Math.atan2(v[1] - v[0], v[2])), "foot", "top", "height").ifPresent(
                o -> r.add(squareOrNot(o)));
        r.put("Lean", "mm per 100 mm", 2, v -> 100 * (v[1] - v[0]) / v[2], "foot", "top", "height");
    }

    /** Sine bar: the stack over the length between its rollers is the sine of the angle. */
    private static void blocks(Reckoning r) {
        if (r.has("stack", "bar") && r.mean("stack") >= r.mean("bar")) {
            r.add(new Outcome("Angle", 90, OptionalDouble.empty(), "°", 0,
                    "The stack is as high as the bar is long; read both again.", true));
            return;
        }
        r.put("Angle", "°", 2, v -> Math.toDegrees(Math.asin(v[0] / v[1])), "stack", "bar");
        r.put("Slope", "mm per 100 mm", 2, v -> 100 * v[0] / Math.sqrt(v[1] * v[1] - v[0] * v[0]), "stack", "bar");
    }

    private static void diagonals(Reckoning r) {
        corner(r, "bottom", "left", "falling");
        r.put("Diagonals differ by", "mm", 2, v -> v[0] - v[1], "rising", "falling");
        r.alike("Bottom against top", "bottom", "top", "not a parallelogram: the frame is a wedge");
        r.alike("Left against right", "left", "right", "not a parallelogram: the frame is a wedge");
        // A parallelogram's diagonals squared sum to its four sides squared.
        r.of("Closing error", "mm", 2, v -> (v[2] * v[2] + v[3] * v[3] - 2 * (v[0] * v[0] + v[1] * v[1]))
                / (2 * (v[2] + v[3])), "bottom", "left", "rising", "falling").ifPresent(o -> r.add(
                        Math.abs(o.value()) <= Math.max(0.3, o.half().getAsDouble()) ? o.noting("sides and diagonals agree")
                                : o.doubting("sides and diagonals do not belong together; one was misread")));
    }

    private static void push(Reckoning r) {
        List<PushTest.Push> pushes = new java.util.ArrayList<>();
        for (String i : List.of("1", "2", "3", "4")) {
            if (r.has("force." + i, "give." + i)) {
                pushes.add(new PushTest.Push(r.mean("force." + i), r.mean("give." + i)));
            }
        }
        if (pushes.size() < 2) {
            return;
        }
        try {
            PushTest t = PushTest.of(pushes, FORCE_N, GIVE_MM);
            OptionalDouble half = Double.isFinite(t.halfWidthNPerMm()) ? OptionalDouble.of(t.halfWidthNPerMm()) : OptionalDouble.empty();
            r.add(new Outcome(Outcome.Of.STIFFNESS, "Stiffness", t.stiffnessNPerMm(), half, "N/mm", 2,
                    half.isEmpty() ? "a third push tells how sure this is" : "", false));
            if (t.slackMm() > 0.05) {
                r.add(new Outcome("Slack", t.slackMm(), OptionalDouble.empty(), "mm", 2,
                        "it gives before it resists: look for a loose screw", true));
            } else if (t.slackMm() < -0.05) {
                r.add(new Outcome("Line misses zero by", t.slackMm(), OptionalDouble.empty(), "mm", 2,
                        "it resists before it gives, which is no slack: was the indicator at zero, or does something bind?", true));
            }
            if (r.has("mass")) {
                double hz = t.naturalHz(r.mean("mass") / 1000);
                OptionalDouble halfHz = half.isEmpty() ? half : OptionalDouble.of(hz / 2 * Math.hypot(
                        half.getAsDouble() / t.stiffnessNPerMm(), r.half("mass") / r.mean("mass")));
                r.add(new Outcome(Outcome.Of.SWAY, "Sways at", hz, halfHz, "Hz", 1, "", false));
            }
        } catch (IllegalArgumentException e) {
            r.add(new Outcome("Stiffness", 0, OptionalDouble.empty(), "", 0, e.getMessage(), true));
        }
    }

    private static void mass(Reckoning r) {
        r.put("Net", "g", 1, v -> v[0] - v[1], "gross", "tare");
        // What the bowl weighs is not theirs.
        if (r.has("tare")) {
            r.put("Each", "g", 2, v -> (v[0] - v[1]) / v[2], "gross", "tare", "pieces");
        } else {
            r.put("Each", "g", 2, v -> v[0] / v[1], "gross", "pieces");
        }
    }

    private static void steps(Reckoning r) {
        r.put("New setting", "steps/mm", 2, v -> v[0] * v[1] / v[2], "now", "asked", "moved");
        r.of("Moved too little by", "%", 1, v -> 100 * (v[0] - v[1]) / v[0], "asked", "moved").ifPresent(o -> r.add(
                Math.abs(o.value()) > 20 ? o.doubting("more than a setting usually explains: does it slip?") : o));
        r.put("By belt and pulley", "steps/mm", 2, v -> StepsPerMm.motor(v[0], v[1], v[2]).belt(v[3], v[4]), "full", "micro", "ratio",
                "pitch", "teeth");
        r.put("By the screw", "steps/mm", 2, v -> StepsPerMm.motor(v[0], v[1], v[2]).screw(v[3]), "full", "micro", "ratio", "lead");
        r.put("By the filament gear", "steps/mm", 2, v -> StepsPerMm.motor(v[0], v[1], v[2]).gear(v[3]), "full", "micro", "ratio",
                "bite");
        r.put("Plunger as filament", "steps/mm", 3, v -> StepsPerMm.motor(v[0], v[1], v[2]).plungerAsFilament(v[3], v[4], v[5]),
                "full", "micro", "ratio", "lead", "bore", "filament");
    }
}
