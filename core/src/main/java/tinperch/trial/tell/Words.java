package tinperch.trial.tell;

import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/** Times and temperatures as they are said. */
public final class Words {
    private Words() {}

    /** "42 s", "14 min", "2 h 05 min". */
    public static String time(double s) {
        long whole = Math.round(s);
        if (whole < 120) {
            return whole + " s";
        }
        long min = Math.round(s / 60);
        return min < 60 ? min + " min" : min / 60 + " h " + (min % 60 < 10 ? "0" : "") + min % 60 + " min";
    }

    /** "96.4 °C". */
    public static String celsius(double c) {
        return Quantity.show(Math.round(c * 10) / 10.0, Unit.CELSIUS);
    }

    /** A difference, "8.6 K". */
    public static String kelvin(double k) {
        return Quantity.fixed(k, 1) + " K";
    }
}
