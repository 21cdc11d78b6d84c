package tinperch.check;

import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/**
 * A measured value against a limit.
 *
 * @param value what it is
 * @param limit what it must not pass
 * @param unit of both
 * @param above whether the value must be above the limit (else below)
 */
public record Margin(double value, double limit, Unit unit, boolean above) {
    /** How much is left; negative when the limit is passed. */
    public double spare() {
        return above ? value - limit : limit - value;
    }

    /** "0.8 mm spare" or "1.4 mm short". */
    public String sayMissing() {
        double s = spare();
        return s >= -1e-9 ? Quantity.show(Math.max(0, s), unit) + " spare"
                : Quantity.show(-s, unit) + (above ? " short" : " over");
    }
}
