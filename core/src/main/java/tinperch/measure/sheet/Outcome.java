package tinperch.measure.sheet;

import java.util.OptionalDouble;
import tinperch.quantity.Quantity;

/**
 * Something reckoned from a sheet.
 *
 * @param of what others reckon on with it
 * @param half 95 % half width carried over from the readings; empty where it says nothing
 * @param unit sign after the number
 * @param note what it means, empty for none
 * @param doubt whether it deserves a second look
 */
public record Outcome(Of of, String label, double value, OptionalDouble half, String unit, int decimals, String note, boolean doubt) {
    /** What others ask a sheet for. */
    public enum Of {
        /** Of a frame that was pushed, N/mm. */
        STIFFNESS,
        /** With what it sways, Hz. */
        SWAY,
        /** Only to be read. */
        READ
    }

    /** One that is only to be read. */
    public Outcome(String label, double value, OptionalDouble half, String unit, int decimals, String note, boolean doubt) {
        this(Of.READ, label, value, half, unit, decimals, note, doubt);
    }

    /** "32.04 ± 0.02 mm". */
    public String words() {
        String number = Quantity.fixed(value, decimals);
        if (half.isPresent() && Double.isFinite(half.getAsDouble())) {
            number += " ± " + Quantity.fixed(Math.max(half.getAsDouble(), Math.pow(10, -decimals)), decimals);
        }
        return unit.isEmpty() ? number : unit.equals("°") ? number + "°" : number + " " + unit;
    }

    Outcome noting(String text) {
        return new Outcome(of, label, value, half, unit, decimals, text, doubt);
    }

    Outcome doubting(String text) {
        return new Outcome(of, label, value, half, unit, decimals, text, true);
    }
}
