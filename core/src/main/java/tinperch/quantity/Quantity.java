package tinperch.quantity;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads and writes quantities. Decimal comma and point both count; fractions and mixed numbers are read in any unit. */
public final class Quantity {
    private static final Pattern NUMBER = Pattern.compile(
            "([+\\-−])?\\s*(?:(\\d{1,9})\\s+(\\d{1,6})/(\\d{1,6})|(\\d{1,6})/(\\d{1,6})|(\\d{0,12}(?:[.,]\\d{0,17})?))\\s*(\\S.*)?");

    private Quantity() {}

    /**
     * The value of a typed text in the unit's base.
     *
     * @param text as typed, with or without a unit: "12,5", "4 in", "1 3/8in", "100 °F"
     * @throws QuantityException with a sentence saying what is wrong and what to type instead
     */
    public static double parse(String text, Unit unit) {
        String t = text == null ? "" : text.strip();
        if (t.isEmpty()) {
            throw new QuantityException("Type a number" + example(unit) + ".");
        }
        Matcher m = NUMBER.matcher(t);
        if (!m.matches()) {
            throw new QuantityException("“" + shorten(t) + "” is not a number; type one" + example(unit) + ".");
        }
        double value = number(m, t, unit);
        if ("-".equals(m.group(1)) || "−".equals(m.group(1))) {
            value = -value;
        }
        String suffix = m.group(8);
        if (suffix == null) {
            return value;
        }
        String s = suffix.strip();
        for (Unit.Accepted a : unit.accepted()) {
            if (a.name().equalsIgnoreCase(s)) {
                return value * a.factor() + a.shift();
            }
        }
        throw new QuantityException("“" + shorten(s) + "” is not a unit used here; type the number" + example(unit) + ".");
    }

    private static double number(Matcher m, String t, Unit unit) {
        try {
            if (m.group(2) != null) {
                return Double.parseDouble(m.group(2)) + fraction(m.group(3), m.group(4));
            }
            if (m.group(5) != null) {
                return fraction(m.group(5), m.group(6));
            }
            return Double.parseDouble(m.group(7).replace(',', '.'));
        } catch (NumberFormatException e) {
            throw new QuantityException("“" + shorten(t) + "” is not a number; type one" + example(unit) + ".");
        }
    }

    private static double fraction(String top, String bottom) {
        double below = Double.parseDouble(bottom);
        if (below == 0) {
            throw new QuantityException("A fraction cannot have zero below the line.");
        }
        return Double.parseDouble(top) / below;
    }

    private static String example(Unit unit) {
        return switch (unit) {
            case MM -> " such as 12.5, 12,5 or 1/2 in";
            case CELSIUS -> " such as 65 or 149 °F";
            case DEG -> " such as 45";
            default -> " such as 3";
        };
    }

    private static String shorten(String s) {
        return s.length() <= 24 ? s : s.substring(0, 23) + "…";
    }

    /** The value with its unit, at most the usual decimals and no trailing zeros: "12.5 mm", "0.34 mm", "8 mm". */
    public static String show(double value, Unit unit) {
        String number = plain(value, unit);
        return unit.symbol().isEmpty() ? number : unit == Unit.DEG ? number + "°" : number + " " + unit.symbol();
    }

    /** The value without its unit. */
    public static String plain(double value, Unit unit) {
        return trimmed(value, unit.decimals());
    }

    /** The value with exactly {@code decimals} decimals, for columns. */
    public static String fixed(double value, int decimals) {
        String s = String.format(Locale.ROOT, "%." + decimals + "f", value);
        return minus(s);
    }

    private static String trimmed(double value, int decimals) {
        String s = String.format(Locale.ROOT, "%." + decimals + "f", value);
        if (s.indexOf('.') >= 0) {
            s = s.replaceAll("0+$", "").replaceAll("\\.$", "");
        }
        return minus(s);
    }

    private static String minus(String s) {
        if (s.matches("-0(\\.0*)?")) {
            return s.substring(1);
        }
        return s.replace('-', '−');
    }

    /** A label as it reads inside a sentence: "Boss Ø" becomes "boss Ø", "M3" stays. */
    public static String inSentence(String label) {
        boolean plainWord = label.length() > 1 && Character.isLowerCase(label.charAt(1));
        return plainWord ? label.substring(0, 1).toLowerCase(Locale.ROOT) + label.substring(1) : label;
    }

    /** Shorthand for millimetres. */
    public static String mm(double mm) {
        return show(mm, Unit.MM);
    }

    /** The same length in inches, for those who ask: "0.492 in". */
    public static String inches(double mm) {
        return trimmed(mm / 25.4, 3) + " in";
    }
}
