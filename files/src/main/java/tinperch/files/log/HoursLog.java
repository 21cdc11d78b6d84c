package tinperch.files.log;

import java.io.IOException;
import java.io.InputStream;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tinperch.files.BoundedLines;
import tinperch.files.FileFault;
import tinperch.files.model.Progress;

/**
 * What an hour counter showed, from a log as text: on every line that counts a day as in ISO 8601 (2026-09-26, a time and its zone may
 * follow) and, later on the line, the hours. Where several numbers follow, the one beside a word for hours counts. What can be read in two
 * ways is not read but told of; other lines are passed over.
 */
public final class HoursLog {
    private static final Pattern DAY = Pattern.compile("(?<![0-9-])(\\d{4})-(\\d{2})-(\\d{2})(?:[T ]\\d{2}:\\d{2}(?::\\d{2}(?:[.,]\\d+)?)?(?:\\s?(?:Z|[+-]\\d{2}:?\\d{2}))?)?(?![0-9])");
    private static final Pattern NUMBER = Pattern.compile("(?<![\\w:])(?<!\\d[.,-])(-?\\d+(?:[.,]\\d+)*)(?![\\d:]|[.,]\\d)");
    private static final Pattern NAMED = Pattern.compile("(?i)(?:\\bhours?\\b|\\bh\\b|\\bhrs?\\b|\\bprint time\\b)\\s*[:=]?\\s*(-?\\d+(?:[.,]\\d+)*)(?![\\d:])|(?<![\\w:])(?<!\\d[.,-])(-?\\d+(?:[.,]\\d+)*)\\s?(?:hours?|hrs?|h)\\b");
    private static final int LONGEST_LINE = 2000;
    /** No log of hours is larger. */
    private static final long MOST_LINES = 20_000_000;
    private static final double MOST_HOURS = 1_000_000;

    private HoursLog() {}

    /** The counter on a day. */
    public record Counter(LocalDate on, double hours) {}

    /** How a comma or a point with three digits after it is read. */
    public enum Mark {
        /** Nobody has said: such a number is told of, not read. */
        UNSAID,
        /** 1,671 is one thousand six hundred and seventy-one. */
        THOUSANDS,
        /** 1,671 is one and a bit. */
        DECIMALS
    }

    /**
     * What was read.
     *
     * @param counters the last value of each day, oldest first
     * @param either lines that can be read in two ways, the first few of them
     * @param eitherCount how many there are of them
     * @param wrong lines with a day whose hours cannot be: several numbers, or less than none; the first few
     */
    public record Read(List<Counter> counters, List<String> either, int eitherCount, List<String> wrong) {}

    /**
     * Reads a log.
     *
     * @throws FileFault when no line holds a day and hours, or there is no end to it
     * @throws tinperch.files.model.Stopped when the progress said to stop
     */
    public static Read read(InputStream in, Mark mark, Progress progress) throws IOException {
        BoundedLines lines = new BoundedLines(in, LONGEST_LINE, progress);
        Map<LocalDate, Counter> byDay = new TreeMap<>();
        List<String> either = new ArrayList<>();
        List<String> wrong = new ArrayList<>();
        int doubtful = 0;
        for (String line = lines.next(); line != null; line = lines.next()) {
            if (lines.number() > MOST_LINES) {
                throw new FileFault("The log has more than " + MOST_LINES / 1_000_000 + " million lines; that is no log of hours. Nothing was read.");
            }
            Matcher day = DAY.matcher(line);
            if (lines.isTooLong() || !day.find()) {
                continue;
            }
            try {
                LocalDate on = LocalDate.of(Integer.parseInt(day.group(1)), Integer.parseInt(day.group(2)), Integer.parseInt(day.group(3)));
                List<String> numbers = numbers(line.substring(day.end()));
                if (numbers.isEmpty()) {
                    continue;
                }
                if (numbers.size() > 1 || numbers.get(0).startsWith("-")) {
                    few(wrong, line);
                } else if (mark == Mark.UNSAID && isEither(numbers.get(0))) {
                    doubtful++;
                    few(either, line);
                } else {
                    double hours = value(numbers.get(0), mark);
                    if (hours <= MOST_HOURS) {
                        byDay.put(on, new Counter(on, hours));
                    } else {
                        few(wrong, line);
                    }
                }
            } catch (DateTimeException e) {
                // Digits that look like a day and are none.
            }
        }
        if (byDay.isEmpty() && doubtful == 0) {
            throw new FileFault("No line of this log holds a day such as 2026-09-26 and, after it, the hours run" + (wrong.isEmpty() ? "" : " (“" + wrong.get(0).strip() + "” holds several numbers, or less than none)")
                    + ". Nothing was read; type the hours instead.");
        }
        return new Read(List.copyOf(byDay.values()), List.copyOf(either), doubtful, List.copyOf(wrong));
    }

    private static void few(List<String> to, String line) {
        if (to.size() < 3) {
            to.add(line.length() > 120 ? line.substring(0, 120) + " …" : line);
        }
    }

    /** The number beside a word for hours, else all there are. */
    private static List<String> numbers(String rest) {
        List<String> all = new ArrayList<>();
        Matcher named = NAMED.matcher(rest);
        while (named.find()) {
            all.add(named.group(1) != null ? named.group(1) : named.group(2));
        }
        if (all.isEmpty()) {
            Matcher any = NUMBER.matcher(rest);
            while (any.find()) {
                all.add(any.group(1));
            }
        }
        return all;
    }

    /** Whether a number can be read in two ways: one mark with three digits after it and no more than three before, "1,671". */
    private static boolean isEither(String number) {
        return number.matches("[1-9]\\d{0,2}[.,]\\d{3}");
    }

    /** "1,671.5", "1.671,5", "1671.5", "0001671". */
    private static double value(String number, Mark mark) {
        int point = number.lastIndexOf('.');
        int comma = number.lastIndexOf(',');
        String plain;
        if (point >= 0 && comma >= 0) {
            // The last of two different marks is the decimal one.
            plain = point > comma ? number.replace(",", "") : number.replace(".", "").replace(',', '.');
        } else if (number.indexOf('.') != point || number.indexOf(',') != comma || mark == Mark.THOUSANDS && isEither(number)) {
            plain = number.replace(".", "").replace(",", "");
        } else {
            plain = number.replace(',', '.');
        }
        try {
            return Double.parseDouble(plain);
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }
}
