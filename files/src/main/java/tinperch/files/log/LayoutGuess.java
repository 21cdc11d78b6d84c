package tinperch.files.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What the first lines of a log say of its layout; to be looked at and set right by whoever knows. */
public final class LayoutGuess {
    private static final char[] SEPARATORS = {'\t', ';', ',', '|', ' '};
    private static final Stamp[] WRITTEN = {Stamp.YEAR_FIRST, Stamp.DAY_FIRST, Stamp.MONTH_FIRST, Stamp.CLOCK};
    /** 2001 to 2100 in seconds since 1970. */
    private static final double UNIX_FROM_S = 978_307_200;
    private static final double UNIX_TO_S = 4_102_444_800.0;

    private LayoutGuess() {}

    /** The layout that fits best; with no fields where no column holds numbers. */
    public static LogLayout of(List<String> lines) {
        LogLayout best = null;
        int most = Integer.MIN_VALUE;
        for (char separator : SEPARATORS) {
            for (boolean comma : separator == ',' ? new boolean[] {false} : new boolean[] {false, true}) {
                LogLayout l = of(lines, separator, comma);
                // More channels are better, then fewer header lines; a point is more usual than a comma.
                int score = l.fields().size() * 1000 + (l.timeColumn() >= 0 ? 500 : 0) - l.headerLines();
                if (score > most) {
                    most = score;
                    best = l;
                }
            }
        }
        return best;
    }

    private static LogLayout of(List<String> lines, char separator, boolean comma) {
        List<List<String>> rows = lines.stream().map(l -> Cells.of(l, separator)).toList();
        int header = header(rows, comma);
        List<List<String>> body = rows.subList(header, rows.size()).stream().filter(r -> r.stream().anyMatch(c -> !c.isEmpty())).toList();
        int columns = body.stream().mapToInt(List::size).max().orElse(0);
        List<String> names = header > 0 ? rows.get(header - 1) : List.of();
        int date = -1;
        int time = -1;
        Stamp stamp = Stamp.NONE;
        for (int c = 0; c < columns && time < 0; c++) {
            Stamp s = written(body, c, comma);
            if (s == null) {
                continue;
            }
            if (s != Stamp.CLOCK && c + 1 < columns && written(body, c + 1, comma) == Stamp.CLOCK && body.get(0).size() > c && !body.get(0).get(c).contains(":")) {
                date = c;
                time = c + 1;
            } else {
                time = c;
            }
            stamp = s;
        }
        if (time < 0 && columns > 1) {
            Stamp s = counted(body, name(names, 0), comma);
            if (s != null) {
                time = 0;
                stamp = s;
            }
        }
        List<LogLayout.Field> fields = new ArrayList<>();
        for (int c = 0; c < columns; c++) {
            String name = name(names, c);
            if (c != time && c != date && share(body, c, t -> !Double.isNaN(Numbers.value(t, comma))) > 0.5 && !isCount(body, c, name, comma)) {
                fields.add(new LogLayout.Field(c, name.isEmpty() ? "channel " + (fields.size() + 1) : bare(name), reads(name)));
            }
        }
        return new LogLayout(separator, comma, header, date, time, stamp, 1, fields);
    }

    /** Lines before the first in which at least half of the cells, and two of them where there are as many, are numbers or times. */
    private static int header(List<List<String>> rows, boolean comma) {
        for (int i = 0; i < rows.size(); i++) {
            List<String> row = rows.get(i);
            long told = row.stream().filter(c -> !Double.isNaN(Numbers.value(c, comma)) || written(c, comma) != null).count();
            long words = row.stream().filter(c -> !c.isEmpty()).count();
            if (told > 0 && 2 * told >= words && (told > 1 || words == 1)) {
                return i;
            }
        }
        return 0;
    }

    private static String name(List<String> names, int c) {
        return c < names.size() ? names.get(c).replaceFirst("^#\\s*", "") : "";
    }

    private static Stamp written(String cell, boolean comma) {
        for (Stamp s : WRITTEN) {
            if (cell.length() > 4 && !Double.isNaN(s.seconds(s == Stamp.CLOCK || cell.contains(":") ? cell : cell + " 00:00", comma)) && (s != Stamp.CLOCK || cell.matches("\\d{1,2}:\\d{2}.*")) && !isNumber(cell, comma)) {
                return s;
            }
        }
        return null;
    }

    private static boolean isNumber(String cell, boolean comma) {
        return !Double.isNaN(Numbers.value(cell, comma));
    }

    /** The way of writing a time that fits nearly all of a column; a date alone counts. */
    private static Stamp written(List<List<String>> body, int c, boolean comma) {
        for (Stamp s : WRITTEN) {
            double fits = share(body, c, t -> t.length() > 4 && !isNumber(t, comma) && (s != Stamp.CLOCK || t.matches("\\d{1,2}:\\d{2}.*"))
                    && !Double.isNaN(s.seconds(s == Stamp.CLOCK || t.contains(":") ? t : t + " 00:00", comma)));
            if (fits > 0.9) {
                return s;
            }
        }
        return null;
    }

    /** How a first column of rising numbers counts time; null where it does not rise. */
    private static Stamp counted(List<List<String>> body, String name, boolean comma) {
        double last = Double.NEGATIVE_INFINITY;
        int rises = 0;
        int known = 0;
        double first = Double.NaN;
        for (List<String> row : body) {
            double v = row.isEmpty() ? Double.NaN : Numbers.value(row.get(0), comma);
            if (!Double.isNaN(v)) {
                known++;
                rises += v > last ? 1 : 0;
                last = v;
                first = Double.isNaN(first) ? v : first;
            }
        }
        if (known < 2 || rises < 0.9 * known) {
            return null;
        }
        String n = name.toLowerCase(Locale.ROOT);
        if (first > UNIX_FROM_S * 1000 && first < UNIX_TO_S * 1000) {
            return Stamp.UNIX_MILLISECONDS;
        }
        if (first > UNIX_FROM_S && first < UNIX_TO_S) {
            return Stamp.UNIX_SECONDS;
        }
        return n.matches(".*\\bms\\b.*|.*milli.*") ? Stamp.MILLISECONDS : n.matches(".*\\bmin.*") ? Stamp.MINUTES : n.matches(".*\\bh\\b.*|.*hour.*") ? Stamp.HOURS : Stamp.SECONDS;
    }

    /** Whether a column only numbers the rows. */
    private static boolean isCount(List<List<String>> body, int c, String name, boolean comma) {
        if (!name.isEmpty() && !name.toLowerCase(Locale.ROOT).matches("#|no\\.?|nr\\.?|n|index|row|record|sample")) {
            return false;
        }
        double last = Double.NaN;
        for (List<String> row : body) {
            double v = c < row.size() ? Numbers.value(row.get(c), comma) : Double.NaN;
            if (!Double.isNaN(last) && v != last + 1) {
                return false;
            }
            last = v;
        }
        return body.size() > 2;
    }

    private static double share(List<List<String>> body, int c, java.util.function.Predicate<String> fits) {
        long cells = body.stream().filter(r -> c < r.size() && !r.get(c).isEmpty()).count();
        return cells == 0 ? 0 : (double) body.stream().filter(r -> c < r.size() && fits.test(r.get(c))).count() / cells;
    }

    /** A name without its unit, which its values will not have any more. */
    private static String bare(String name) {
        String bare = name.replaceFirst("\\s*[\\[(/]\\s*(°?\\s?[CFK]|deg ?[CF]|mV|%)\\s*[\\])]?$", "").strip();
        return bare.isEmpty() ? name : bare;
    }

    /** What a column's name says of its unit. */
    static Reads reads(String name) {
        String n = name.toLowerCase(Locale.ROOT);
        if (n.matches(".*(°f|\\bf\\b|fahrenheit|degf).*")) {
            return Reads.FAHRENHEIT;
        }
        if (n.matches(".*(\\bmv\\b|millivolt).*")) {
            return Reads.TYPE_K;
        }
        if (n.matches(".*([\\[(/ ]k[\\])]?|kelvin)\\s*$")) {
            return Reads.KELVIN;
        }
        if (n.matches("(acc|accel|acceleration|a)?[ _]?[xyz]\\b.*|acc.*|vibration.*|.*\\[(g|m/s2|m/s²|m/s\\^2)\\].*")) {
            return Reads.PLAIN;
        }
        return n.matches(".*(%|duty|pwm|percent).*") ? Reads.PERCENT : Reads.CELSIUS;
    }
}
