package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import tinperch.hardware.HardwareTables;
import tinperch.part.ScrewStack;
import tinperch.part.SeatKind;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/**
 * Is the screw long enough for what it clamps, not too long for where it ends, and in the drawer?
 *
 * <p>Grip is everything clamped. Through a nut: grip + nut height + one pitch at least. Into an insert: grip + one
 * diameter at least, and the tip ends 0.5 mm before the bottom (common practice). Lengths of ISO 888; the owner's drawer
 * comes first.
 */
public final class ScrewLengthCheck implements Check {
    @Override
    public List<Finding> judge(Situation s) {
        List<Finding> all = new ArrayList<>();
        for (ScrewStack stack : s.form().stacks()) {
            all.add(judge(stack, s));
        }
        return all;
    }

    private static Finding judge(ScrewStack stack, Situation s) {
        double length = stack.lengthMm();
        boolean nearMin = length - stack.minMm() <= stack.maxMm() - length;
        boolean shortScrew = length < stack.minMm() - 1e-9;
        boolean longScrew = !shortScrew && length > stack.maxMm() + 1e-9;
        boolean above = shortScrew || !longScrew && nearMin;
        Margin margin = new Margin(length, above ? stack.minMm() : stack.maxMm(), Unit.MM, above);
        String name = stack.screwName(length);
        String id = "screw." + stack.site();
        String stackText = stackText(stack);
        if (shortScrew || longScrew) {
            String what = name + " is " + Quantity.mm(-margin.spare()) + (shortScrew ? " short" : " too long");
            String why = shortScrew
                    ? "The " + stack.label() + " clamp " + stackText + (stack.seat() == SeatKind.INSERT
                            ? "; one diameter of thread must engage." : "; the nut and one turn of thread must show beyond it.")
                    : "The " + stack.label() + " clamp " + stackText + (stack.seat() == SeatKind.INSERT
                            ? "; the tip would press on the bottom of the hole." : "; the end would stand far out behind the nut.");
            return new Finding(id, Word.STOP, what, why, Optional.of(margin), remedies(stack, s), stack.site());
        }
        if (!s.drawer().has(stack.thread().name(), length)) {
            return new Finding(id, Word.LOOK, name + " fits but is not in the drawer", outOfDrawer(stack, s, stackText),
                    Optional.of(margin), remedies(stack, s), stack.site());
        }
        return new Finding(id, Word.FINE, name + " fits the " + stack.label(), "Clamped: " + stackText + ".",
                Optional.of(margin), List.of(), stack.site());
    }

    private static String stackText(ScrewStack stack) {
        return stack.layers().stream().map(l -> l.name() + " " + Quantity.plain(l.thicknessMm(), Unit.MM))
                .collect(Collectors.joining(" + ")) + " = " + Quantity.mm(stack.gripMm());
    }

    private static String outOfDrawer(ScrewStack stack, Situation s, String stackText) {
        boolean sold = HardwareTables.PREFERRED_LENGTHS_MM.contains(stack.lengthMm());
        Optional<Double> longer = s.drawer().lengths(stack.thread().name()).stream()
                .filter(l -> l > stack.lengthMm()).findFirst();
        return "Clamped: " + stackText + ". "
                + (sold ? "It is a length shops keep (ISO 888)." : "Shops do not keep this length.")
                + longer.map(l -> " It can be cut from " + stack.screwName(l) + ".").orElse("");
    }

    private static List<Remedy> remedies(ScrewStack stack, Situation s) {
        List<Remedy> out = new ArrayList<>();
        String thread = stack.thread().name();
        Optional<Double> inDrawer = s.drawer().shortestWithin(thread, stack.minMm(), stack.maxMm());
        Optional<Double> sold = HardwareTables.PREFERRED_LENGTHS_MM.stream()
                .filter(l -> l >= stack.minMm() - 1e-9 && l <= stack.maxMm() + 1e-9).findFirst();
        if (inDrawer.isPresent()) {
            out.add(use(stack, inDrawer.get(), ""));
        } else if (sold.isPresent() && Math.abs(sold.get() - stack.lengthMm()) > 1e-9) {
            out.add(use(stack, sold.get(), " (to buy)"));
        }
        wallChange(stack, s).ifPresent(out::add);
        if (inDrawer.isEmpty()) {
            cut(stack, s).ifPresent(out::add);
        }
        return out;
    }

    private static Remedy use(ScrewStack stack, double length, String note) {
        return Remedy.of("use " + stack.screwName(length) + note, new Change.Number(stack.lengthKey(), length));
    }

    /** Thins or thickens the wall so that the screw chosen, or the nearest one of the drawer, just fits. */
    private static Optional<Remedy> wallChange(ScrewStack stack, Situation s) {
        if (stack.wallKey().isEmpty()) {
            return Optional.empty();
        }
        String thread = stack.thread().name();
        double length = s.drawer().has(thread, stack.lengthMm()) ? stack.lengthMm()
                : s.drawer().lengths(thread).stream()
                        .min((a, b) -> Double.compare(Math.abs(a - stack.minMm()), Math.abs(b - stack.minMm())))
                        .orElse(stack.lengthMm());
        double target = length < stack.minMm() ? stack.minMm() : length > stack.maxMm() ? stack.maxMm() : length;
        double raw = stack.wallMm() + stack.wallSign() * (length - target);
        // Round to a tenth towards the safe side.
        double wall = length < stack.minMm() ? Math.floor(raw * 10 + 1e-6) / 10 : Math.ceil(raw * 10 - 1e-6) / 10;
        if (wall < stack.wallMinMm() - 1e-9 || Math.abs(wall - stack.wallMm()) < 0.05 && length == stack.lengthMm()) {
            return Optional.empty();
        }
        String what = stack.wallKey().endsWith("standoff") ? "standoff " : "wall ";
        String label = what + Quantity.plain(stack.wallMm(), Unit.MM) + " → " + Quantity.mm(wall);
        Change change = new Change.Number(stack.wallKey(), wall);
        return Optional.of(length == stack.lengthMm() ? Remedy.of(label, change)
                : Remedy.of(label + " and " + stack.screwName(length), change,
                        new Change.Number(stack.lengthKey(), length)));
    }

    /** Cutting a longer one of the drawer down, to whole half millimetres. */
    private static Optional<Remedy> cut(ScrewStack stack, Situation s) {
        double to = Math.ceil(stack.minMm() * 2 - 1e-6) / 2;
        if (to > stack.maxMm() || Math.abs(to - stack.lengthMm()) < 1e-9) {
            return Optional.empty();
        }
        return s.drawer().lengths(stack.thread().name()).stream().filter(l -> l > to).findFirst()
                .map(l -> Remedy.of("cut " + stack.screwName(l) + " to " + Quantity.mm(to),
                        new Change.Number(stack.lengthKey(), to)));
    }
}
