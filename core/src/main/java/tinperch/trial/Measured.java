package tinperch.trial;

import java.util.Optional;
import tinperch.quantity.Amount;
import tinperch.quantity.Quantity;

/**
 * A number that was found, and how surely.
 *
 * @param value finite
 * @param half half of the interval that holds the true value (95 %), 0 where nobody said
 * @param unit as its owner counts: "mm", "°C", "min"
 * @param from where it comes from, in words; empty when it was typed
 */
public record Measured(double value, double half, String unit, String from) {
    public Measured {
        unit = unit == null ? "" : unit;
        from = from == null ? "" : from;
        half = half >= 0 && Double.isFinite(half) ? half : 0;
    }

    /** "0.62 ± 0.03 mm", "14 min". A number alone after ± is in the same unit. */
    public static Optional<Measured> of(String text) {
        String t = text.strip();
        int at = t.indexOf('±') >= 0 ? t.indexOf('±') : t.indexOf("+-");
        if (at < 0) {
            return Amount.of(t).map(a -> new Measured(a.value(), 0, a.unit(), ""));
        }
        Optional<Amount> value = Amount.of(t.substring(0, at));
        Optional<Amount> half = Amount.of(t.substring(at + (t.charAt(at) == '±' ? 1 : 2)));
        if (value.isEmpty() || half.isEmpty() || half.get().value() < 0) {
            return Optional.empty();
        }
        String unit = half.get().unit().isEmpty() ? value.get().unit() : half.get().unit();
        return value.get().unit().isEmpty() || value.get().unit().equalsIgnoreCase(unit) ? Optional.of(new Measured(value.get().value(), half.get().value(), unit, "")) : Optional.empty();
    }

    /** With as many decimals as its interval has two figures, so that it does not look surer than it is. */
    public Measured rounded() {
        if (half == 0) {
            return this;
        }
        double step = Math.pow(10, Math.floor(Math.log10(half)) - 1);
        return new Measured(Math.rint(value / step) * step, Math.rint(half / step) * step, unit, from);
    }

    /** "0.62 ± 0.03 mm". */
    public String words() {
        String number = trimmed(value) + (half > 0 ? " ± " + trimmed(half) : "");
        return unit.isEmpty() ? number : number + " " + unit;
    }

    private static String trimmed(double v) {
        String s = Quantity.fixed(v, 3);
        return s.indexOf('.') < 0 ? s : s.replaceFirst("\\.?0+$", "");
    }
}
