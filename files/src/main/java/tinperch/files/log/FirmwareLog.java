package tinperch.files.log;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tinperch.files.BoundedLines;
import tinperch.files.FileFault;
import tinperch.files.model.Progress;

/**
 * Lines by which a board reports its temperatures: {@code T:205.1 /210.0 B:59.8 /60.0 @:64}, of several tools and a chamber too, each perhaps behind
 * the time it came at. Everything else on the line is passed over.
 */
public final class FirmwareLog {
    private static final Pattern REPORT = Pattern.compile("(?<![A-Za-z0-9@])([A-Z]{1,2}\\d?)\\s*:\\s*(-?\\d{1,4}(?:\\.\\d{1,3})?)(?:\\s*/\\s*(-?\\d{1,4}(?:\\.\\d{1,3})?))?(?![\\d:.])");
    private static final Pattern DUTY = Pattern.compile("(?<![A-Za-z0-9])([A-Z]{0,2}\\d?)@(\\d?)\\s*:\\s*(\\d{1,3})(?![\\d.:])");
    private static final Pattern STAMP = Pattern.compile("^\\W{0,2}(\\d{4}-\\d{2}-\\d{2}[T ]\\d{2}:\\d{2}:\\d{2}(?:[.,]\\d+)?|\\d{1,2}:\\d{2}:\\d{2}(?:[.,]\\d+)?)");
    /** Boards count the power of a heater to 127 or to 255; more than 127 is taken of 255. */
    private static final int HALF_SCALE = 127;
    private static final int FULL_SCALE = 255;
    private static final int LONGEST_LINE = 2000;
    /** What firmware reports for a sensor that is open or shorted lies outside, °C. */
    private static final double LEAST_C = -20;
    private static final double MOST_C = 500;

    private FirmwareLog() {}

    /** Whether lines are such reports, most of those that are anything. */
    public static boolean isOne(List<String> lines) {
        long reports = lines.stream().filter(l -> !channels(l).isEmpty()).count();
        return reports > 1 && 3 * reports > lines.stream().filter(l -> !l.isBlank()).count();
    }

    /** The channels of a line: "T", "T/target", "B", "@". */
    private static Set<String> channels(String line) {
        Set<String> all = new LinkedHashSet<>();
        Matcher m = REPORT.matcher(line);
        boolean tool = false;
        while (m.find()) {
            tool |= m.group(1).matches("T\\d?|B|C");
            if (m.group(1).matches("T\\d?|B|C|A|P")) {
                all.add(m.group(1));
                if (m.group(3) != null) {
                    all.add(m.group(1) + "/target");
                }
            }
        }
        if (!tool) {
            return Set.of();
        }
        Matcher d = DUTY.matcher(line);
        while (d.find()) {
            all.add(d.group(1) + "@" + d.group(2));
        }
        return all;
    }

    /** All channels that any of the lines reports. */
    public static List<String> channels(List<String> lines) {
        Set<String> all = new LinkedHashSet<>();
        lines.forEach(l -> all.addAll(channels(l)));
        return new ArrayList<>(all);
    }

    /** Values of a line for channels, °C and % of a heater's power; NaN for those it does not report. Null when it reports nothing. */
    public static float[] values(String line, List<String> channels) {
        if (line.indexOf(':') < 0 || channels(line).isEmpty()) {
            return null;
        }
        float[] v = new float[channels.size()];
        java.util.Arrays.fill(v, Float.NaN);
        Matcher m = REPORT.matcher(line);
        while (m.find()) {
            put(v, channels.indexOf(m.group(1)), m.group(2));
            put(v, channels.indexOf(m.group(1) + "/target"), m.group(3));
        }
        Matcher d = DUTY.matcher(line);
        while (d.find()) {
            int at = channels.indexOf(d.group(1) + "@" + d.group(2));
            if (at >= 0) {
                int steps = Integer.parseInt(d.group(3));
                v[at] = Math.min(100, 100f * steps / (steps > HALF_SCALE ? FULL_SCALE : HALF_SCALE));
            }
        }
        return v;
    }

    private static void put(float[] v, int at, String number) {
        if (at >= 0 && number != null) {
            float f = Float.parseFloat(number);
            v[at] = f >= LEAST_C && f <= MOST_C ? f : Float.NaN;
        }
    }

    /**
     * Reads a log of reports.
     *
     * @param channels as found in its first lines
     * @param intervalS from report to report where lines have no time, s
     * @throws FileFault when no line is a report
     */
    public static LogRead read(InputStream in, List<String> channels, double intervalS, Progress progress, LogRead.Rows out) throws IOException {
        BoundedLines lines = new BoundedLines(in, LONGEST_LINE, progress);
        List<String> troubles = new ArrayList<>();
        Stamp stamp = null;
        TimeLine time = null;
        long other = 0;
        long row = 0;
        for (String line = lines.next(); line != null; line = lines.next()) {
            float[] v = values(line, channels);
            if (v == null) {
                other += line.isBlank() ? 0 : 1;
                continue;
            }
            Matcher t = STAMP.matcher(line);
            boolean stamped = t.find();
            if (time == null) {
                stamp = !stamped ? Stamp.NONE : t.group(1).length() > 14 ? Stamp.YEAR_FIRST : Stamp.CLOCK;
                time = new TimeLine(stamp == Stamp.CLOCK, out, troubles);
            }
            double s = stamp == Stamp.NONE ? row * intervalS : stamped ? stamp.seconds(t.group(1), false) : Double.NaN;
            row++;
            if (!Double.isNaN(s)) {
                time.row(s, v, lines.number());
            }
        }
        if (time != null) {
            time.end();
        }
        if (time == null || time.rows() == 0) {
            throw new FileFault("No line of this log reports temperatures as a board does (T:205.1 /210.0 B:59.8 /60.0). Nothing was read.");
        }
        if (other > 0) {
            troubles.add(other + (other == 1 ? " line reports no temperature and was passed over." : " lines report no temperature and were passed over."));
        }
        return new LogRead(stamp.hasDay() ? java.util.Optional.of(java.time.LocalDateTime.ofEpochSecond((long) Math.floor(time.firstStampS()), 0, java.time.ZoneOffset.UTC)) : java.util.Optional.empty(),
                time.rows(), time.lastS(), troubles);
    }
}
