package tinperch.files.log;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tinperch.files.FileFault;

/**
 * What an hour counter showed, from a log as text: on every line that counts a day as in ISO 8601 (2026-09-26, a time may
 * follow) and, later on the line, the hours. Other lines are passed over.
 */
public final class HoursLog {
    private static final Pattern LINE = Pattern.compile("^\\D{0,40}(\\d{4})-(\\d{2})-(\\d{2})(?:[T ]\\d{2}:\\d{2}(?::\\d{2}(?:\\.\\d+)?)?Z?)?"
            + "[^0-9\\n]{1,80}(\\d{1,6}(?:[.,]\\d{1,3})?).*$");
    private static final int LONGEST_LINE = 2000;
    private static final int MOST_LINES = 1_000_000;

    private HoursLog() {}

    /** The counter on a day. */
    public record Counter(LocalDate on, double hours) {}

    /**
     * The last value of each day, oldest first.
     *
     * @throws FileFault when no line holds a day and hours
     */
    public static List<Counter> read(InputStream in) throws IOException {
        BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.ISO_8859_1));
        java.util.Map<LocalDate, Counter> byDay = new java.util.TreeMap<>();
        int n = 0;
        for (String line = lines.readLine(); line != null && n < MOST_LINES; line = lines.readLine()) {
            n++;
            if (line.length() > LONGEST_LINE) {
                continue;
            }
            Matcher m = LINE.matcher(line);
            if (m.matches()) {
                try {
                    LocalDate day = LocalDate.of(Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2)), Integer.parseInt(m.group(3)));
                    byDay.put(day, new Counter(day, Double.parseDouble(m.group(4).replace(',', '.'))));
                } catch (DateTimeException e) {
                    // Digits that look like a day and are none.
                }
            }
        }
        if (byDay.isEmpty()) {
            throw new FileFault("No line of this log holds a day such as 2026-09-26 and, after it, the hours run. Nothing was read; "
                    + "type the hours instead.");
        }
        List<Counter> all = new ArrayList<>(byDay.values());
        all.sort(Comparator.comparing(Counter::on));
        return all;
    }
}
