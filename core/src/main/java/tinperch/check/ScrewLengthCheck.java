package tinperch.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tinperch.fact.Facts;
import tinperch.fact.SeatsFact.Seat;
import tinperch.fact.SeatsFact;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Lever;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Is the screw long enough for what it really clamps, not too long for where it ends, and in the drawer?
 *
 * <p>Grip is everything clamped; what is plastic of it is measured along the screw. Through a nut: grip + nut height + one pitch at least,
 * three diameters more at most (common practice). Into an insert: grip + one diameter at least, and the tip ends 0.5 mm before the bottom
 * (common practice). Into a thread of the held thing: grip + one diameter at least, and 0.5 mm before that thread's end (common practice). Cut into plastic: one and a half diameters.
 * Lengths of ISO 888; the owner's drawer comes first.
 */
public final class ScrewLengthCheck implements Check {
    private static final double BEFORE_BOTTOM_MM = 0.5;
    /** Into plastic at least, and what more does not help, in diameters (common practice). */
    private static final double IN_PLASTIC = 1.5;
    private static final double MOST_IN_PLASTIC = 4;

    @Override
    public String about() {
        return "screws";
    }

    /** The shortest and the longest length that do. */
    private record Span(Seat seat, double minMm, double maxMm) {
        static Span of(Seat s) {
            Screw k = s.screw();
            double grip = k.washerMm() + clampedMm(k) + s.gripMm();
            if (k.end() == SeatKind.INSERT) {
                double depth = Double.isInfinite(s.floorMm()) ? k.insert().orElseThrow().lengthMm() + k.thread().diameterMm() : s.floorMm() - BEFORE_BOTTOM_MM;
                return new Span(s, grip + k.thread().diameterMm(), grip + depth);
            }
            if (k.end() == SeatKind.CUT) {
                // How much plastic the thread really has round it is a question of its own.
                double d = k.thread().diameterMm();
                return new Span(s, grip + IN_PLASTIC * d, grip + (Double.isInfinite(s.floorMm()) ? MOST_IN_PLASTIC * d : Math.max(IN_PLASTIC * d, s.floorMm() - BEFORE_BOTTOM_MM)));
            }
            if (k.end() == SeatKind.TAPPED) {
                return new Span(s, grip + k.thread().diameterMm(), grip + Math.max(k.heldMm() - BEFORE_BOTTOM_MM, k.thread().diameterMm()));
            }
            double min = grip + k.end().nutMm(k.thread()) + k.thread().pitchMm();
            return new Span(s, min, min + 3 * k.thread().diameterMm());
        }

        /** What is clamped besides plastic; a thing with a thread of its own is not. */
        private static double clampedMm(Screw k) {
            return k.end() == SeatKind.TAPPED ? 0 : k.heldMm();
        }

        double spare() {
            return Math.min(seat.screw().lengthMm() - minMm, maxMm - seat.screw().lengthMm());
        }

        boolean holds(double length) {
            return length >= minMm - 1e-6 && length <= maxMm + 1e-6;
        }

        String text() {
            Screw k = seat.screw();
            List<String> parts = new ArrayList<>();
            if (k.washerMm() > 0) {
                parts.add("washer " + Quantity.plain(k.washerMm(), Unit.MM));
            }
            if (clampedMm(k) > 0) {
                parts.add(k.heldName() + " " + Quantity.plain(k.heldMm(), Unit.MM));
            }
            if (seat.gripMm() > 0) {
                parts.add("plastic " + Quantity.plain(seat.gripMm(), Unit.MM));
            }
            return parts.stream().collect(Collectors.joining(" + ")) + " = " + Quantity.mm(k.washerMm() + clampedMm(k) + seat.gripMm());
        }
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Map<String, Span> worst = new LinkedHashMap<>();
        for (Seat s : facts.get(SeatsFact.SEATS)) {
            worst.merge(s.screw().row(), Span.of(s), (a, b) -> b.spare() < a.spare() ? b : a);
        }
        List<Finding> all = new ArrayList<>();
        worst.forEach((row, span) -> all.add(finding(row, span, c)));
        return all;
    }

    private static Finding finding(String row, Span span, Case c) {
        Screw k = span.seat.screw();
        double length = k.lengthMm();
        boolean thread = k.end().isInside() || k.end() == SeatKind.TAPPED;
        boolean tooShort = length < span.minMm - 1e-6;
        boolean tooLong = !tooShort && length > span.maxMm + 1e-6;
        boolean above = tooShort || !tooLong && length - span.minMm <= span.maxMm - length;
        Margin margin = new Margin(length, above ? span.minMm : span.maxMm, Unit.MM, above);
        String id = "screw." + row;
        String clamp = "The " + k.rowLabel() + " clamp " + span.text();
        if (tooShort || tooLong) {
            String why = clamp + (tooShort ? thread ? k.end() == SeatKind.CUT ? "; one and a half diameters must cut into the plastic." : "; one diameter of thread must engage." : "; the nut and one turn of thread must show beyond it."
                    : k.end() == SeatKind.TAPPED ? "; it would end before it clamps: the thread of the " + k.heldName() + " is " + Quantity.mm(k.heldMm()) + " deep."
                    : thread ? "; the tip would press on the bottom of the hole." : "; the end would stand far out behind the nut.");
            return Finding.of(id, Severity.STOP, k.name() + " is " + Quantity.mm(-margin.spare()) + (tooShort ? " short" : " too long"), why)
                    .measured(margin).at(k.pieceId(), k.row()).with(remedies(span, c));
        }
        if (c.drawer().has(k.thread().name(), length)) {
            return Finding.of(id, Severity.FINE, k.name() + " fits the " + k.rowLabel(), clamp + ".").measured(margin).at(k.pieceId(), k.row());
        }
        Optional<Double> longer = c.drawer().lengths(k.thread().name()).stream().filter(l -> l > length).findFirst();
        boolean sold = k.thread().soldLengthsMm().contains(length);
        if (!sold && longer.isPresent()) {
            return Finding.of(id, Severity.FINE, k.name() + ", cut from " + k.name(longer.get()) + ", fits the " + k.rowLabel(), clamp + ". Turn a nut on before cutting; it cleans the thread.")
                    .measured(margin).at(k.pieceId(), k.row());
        }
        List<Remedy> remedies = new ArrayList<>(remedies(span, c));
        remedies.add(Remedy.of("bought: put " + k.name() + " into the drawer", new Change.Stock(k.thread().name(), length)));
        return Finding.of(id, Severity.LOOK, k.name() + " fits but is not in the drawer", clamp + ". "
                + (sold ? "It is a length shops keep (ISO 888)." : "Shops do not keep this length.")).measured(margin).at(k.pieceId(), k.row()).with(remedies);
    }

    private static List<Remedy> remedies(Span span, Case c) {
        Screw k = span.seat.screw();
        String thread = k.thread().name();
        List<Remedy> out = new ArrayList<>();
        Optional<Double> inDrawer = c.drawer().shortestWithin(thread, span.minMm, span.maxMm);
        inDrawer.ifPresent(l -> out.add(use(k, l, "use " + k.name(l))));
        if (!span.holds(k.lengthMm())) {
            // Growing the grip by g lets a screw longer by g fit; a short screw wants less of it.
            double grow = k.lengthMm() > span.maxMm ? k.lengthMm() - span.maxMm : k.lengthMm() - span.minMm;
            for (Lever l : k.end().isInside() ? List.<Lever>of() : k.grip()) {
                out.add(Remedy.pull(l, c.recipe().values(), grow));
            }
        }
        if (inDrawer.isEmpty()) {
            k.thread().soldLengthsMm().stream().filter(l -> span.holds(l) && Math.abs(l - k.lengthMm()) > 1e-9).findFirst()
                    .ifPresent(l -> out.add(use(k, l, "use " + k.name(l) + " (to buy)")));
            double to = Math.ceil(span.minMm * 2 - 1e-6) / 2;
            if (span.holds(to) && Math.abs(to - k.lengthMm()) > 1e-9) {
                c.drawer().lengths(thread).stream().filter(l -> l > to).findFirst()
                        .ifPresent(l -> out.add(use(k, to, "cut " + k.name(l) + " to " + Quantity.mm(to))));
            }
        }
        return out;
    }

    private static Remedy use(Screw k, double length, String label) {
        return Remedy.of(label, k.featureId().isEmpty() ? new Change.Set<>(k.lengthParam(), length) : new Change.SetOnFeature<>(k.featureId(), k.lengthParam(), length));
    }
}
