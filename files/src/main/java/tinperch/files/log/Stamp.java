package tinperch.files.log;

import java.time.DateTimeException;
import java.time.LocalDate;

/** How a log writes its times. Dates give seconds since 1970 on the clock of whoever recorded, without zone; the others seconds from anywhere. */
public enum Stamp {
    NONE("no time: rows come at an interval"), SECONDS("seconds"), MILLISECONDS("milliseconds"), MINUTES("minutes"), HOURS("hours"),
    UNIX_SECONDS("seconds since 1970"), UNIX_MILLISECONDS("milliseconds since 1970"), CLOCK("time of day, 14:05:09"), YEAR_FIRST("2026-11-27 14:05:09"),
    DAY_FIRST("27.11.2026 14:05:09"), MONTH_FIRST("11/27/2026 14:05:09");

    private static final double DAY_S = 86_400;
    private static final double MOST_S = 1e11;

    private final String label;

    Stamp(String label) {
        this.label = label;
    }

    /** How it is written, in words. */
    public String label() {
        return label;
    }

    /** Whether it says the day too. */
    public boolean hasDay() {
        return ordinal() >= YEAR_FIRST.ordinal() || this == UNIX_SECONDS || this == UNIX_MILLISECONDS;
    }

    /** Seconds of a text, NaN where it is none, or one beyond anybody's time. */
    double seconds(String text, boolean decimalComma) {
        double s = read(text, decimalComma);
        return Math.abs(s) <= MOST_S ? s : Double.NaN;
    }

    private double read(String text, boolean decimalComma) {
        return switch (this) {
            case NONE -> Double.NaN;
            case SECONDS, UNIX_SECONDS -> Numbers.value(text, decimalComma);
            case MILLISECONDS, UNIX_MILLISECONDS -> Numbers.value(text, decimalComma) / 1000;
            case MINUTES -> Numbers.value(text, decimalComma) * 60;
            case HOURS -> Numbers.value(text, decimalComma) * 3600;
            default -> written(text);
        };
    }

    private double written(String text) {
        double[] g = new double[8];
        int n = groups(text, g);
        int clock = this == CLOCK ? 0 : 3;
        if (n < clock + 2) {
            return Double.NaN;
        }
        double hour = g[clock];
        boolean afternoon = text.regionMatches(true, text.length() - 2, "pm", 0, 2);
        boolean morning = text.regionMatches(true, text.length() - 2, "am", 0, 2);
        if (afternoon || morning) {
            hour = hour % 12 + (afternoon ? 12 : 0);
        }
        double second = n > clock + 2 ? g[clock + 2] : 0;
        if (hour > 23 || g[clock + 1] > 59 || second >= 61) {
            return Double.NaN;
        }
        return day(g) + hour * 3600 + g[clock + 1] * 60 + second;
    }

    /** Runs of digits; the one after a mark that follows the seconds is part of them. */
    private int groups(String text, double[] g) {
        int n = 0;
        int seconds = this == CLOCK ? 2 : 5;
        for (int i = 0; i < text.length() && n < g.length;) {
            if (!digit(text.charAt(i))) {
                i++;
                continue;
            }
            int from = i;
            long value = 0;
            while (i < text.length() && digit(text.charAt(i)) && i - from < 12) {
                value = value * 10 + text.charAt(i++) - '0';
            }
            char before = from > 0 ? text.charAt(from - 1) : ' ';
            if (n == seconds + 1) {
                if (before == '.' || before == ',') {
                    g[seconds] += value / Math.pow(10, i - from);
                }
                // What follows is a zone.
                return n;
            }
            g[n++] = value;
        }
        return n;
    }

    private static boolean digit(char c) {
        return c >= '0' && c <= '9';
    }

    private double day(double[] g) {
        if (this == CLOCK) {
            return 0;
        }
        int year = (int) (this == YEAR_FIRST ? g[0] : g[2]);
        int month = (int) (this == MONTH_FIRST ? g[0] : g[1]);
        int dayOfMonth = (int) (this == YEAR_FIRST ? g[2] : this == DAY_FIRST ? g[0] : g[1]);
        try {
            return LocalDate.of(year < 100 ? 2000 + year : year, month, dayOfMonth).toEpochDay() * DAY_S;
        } catch (DateTimeException e) {
            return Double.NaN;
        }
    }
}
