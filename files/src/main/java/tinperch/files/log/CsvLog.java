package tinperch.files.log;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.files.BoundedLines;
import tinperch.files.FileFault;
import tinperch.files.model.Progress;

/** Logs in columns, of any layout: each row is given on as it is read, so that a file may be of any length. */
public final class CsvLog {
    private static final int LONGEST_LINE = 8000;
    private static final int FEW = 3;

    private CsvLog() {}

    /** The first lines of a file, to look at. */
    public static List<String> head(InputStream in, int most) throws IOException {
        BoundedLines lines = new BoundedLines(in, LONGEST_LINE);
        List<String> all = new ArrayList<>();
        for (String line = lines.next(); line != null && all.size() < most; line = lines.next()) {
            all.add(Cells.words(line));
        }
        return all;
    }

    /** The cells of a line as a layout takes it apart. */
    public static List<String> cells(String line, LogLayout layout) {
        return Cells.of(line, layout.separator());
    }

    /**
     * Reads a log.
     *
     * @param bytes of the file, for the progress; 0 when not known
     * @throws FileFault when no row holds a time and a value; what is wrong is said
     * @throws tinperch.files.model.Stopped when the progress said to stop
     */
    public static LogRead read(InputStream in, long bytes, LogLayout layout, Progress progress, LogRead.Rows out) throws IOException {
        Counted counted = new Counted(in);
        BoundedLines lines = new BoundedLines(counted, LONGEST_LINE, share -> progress.at(bytes > 0 ? Math.min(1, (double) counted.count / bytes) : 0));
        List<String> troubles = new ArrayList<>();
        TimeLine time = new TimeLine(layout.stamp() == Stamp.CLOCK, out, troubles);
        int n = layout.fields().size();
        int needed = Math.max(layout.dateColumn(), layout.timeColumn()) + 1;
        int[] columns = layout.fields().stream().mapToInt(LogLayout.Field::column).toArray();
        Reads[] reads = layout.fields().stream().map(LogLayout.Field::reads).toArray(Reads[]::new);
        long[] none = new long[n];
        long untimed = 0;
        long row = 0;
        long empty = 0;
        List<String> odd = new ArrayList<>();
        for (String line = lines.next(); line != null; line = lines.next()) {
            if (lines.number() <= layout.headerLines() || line.isBlank()) {
                continue;
            }
            List<String> cells = Cells.of(line, layout.separator());
            double s = lines.isTooLong() || cells.size() < needed ? Double.NaN : seconds(cells, layout, row);
            if (Double.isNaN(s)) {
                untimed++;
                few(odd, "line " + lines.number() + " “" + Cells.words(line.length() > 60 ? line.substring(0, 60) + " …" : line) + "”");
                continue;
            }
            row++;
            float[] values = new float[n];
            boolean any = false;
            for (int i = 0; i < n; i++) {
                double v = columns[i] < cells.size() ? reads[i].of(Numbers.value(cells.get(columns[i]), layout.decimalComma())) : Double.NaN;
                values[i] = (float) v;
                any |= !Double.isNaN(v);
                none[i] += Double.isNaN(v) ? 1 : 0;
            }
            if (any) {
                time.row(s, values, lines.number());
            } else {
                empty++;
            }
        }
        if (lines.number() > 0) {
            time.end();
        }
        if (time.rows() == 0) {
            throw new FileFault("No row of this log holds " + (layout.timeColumn() < 0 ? "" : "a time written as " + layout.stamp().label() + " and ") + "a value in the columns chosen"
                    + (odd.isEmpty() ? "" : " (" + odd.get(0) + ")") + ". Nothing was read; look at the columns, the decimal mark and how the time is written.");
        }
        if (untimed > 0) {
            troubles.add(untimed + (untimed == 1 ? " line holds" : " lines hold") + " no time and was left out: " + String.join(", ", odd) + (untimed > FEW ? " …" : "") + ".");
        }
        if (empty > 0) {
            troubles.add(empty + (empty == 1 ? " row has" : " rows have") + " no value in any column chosen and was left out.");
        }
        for (int i = 0; i < n; i++) {
            if (none[i] - empty > 0) {
                troubles.add("“" + layout.fields().get(i).name() + "” has no temperature a sensor could have, or no value, in " + (none[i] - empty) + " of " + time.rows() + " rows; there it has a gap.");
            }
        }
        Optional<LocalDateTime> start = layout.stamp().hasDay() ? Optional.of(LocalDateTime.ofEpochSecond((long) Math.floor(time.firstStampS()), 0, ZoneOffset.UTC)) : Optional.empty();
        return new LogRead(start, time.rows(), time.lastS(), troubles);
    }

    private static double seconds(List<String> cells, LogLayout layout, long row) {
        if (layout.timeColumn() < 0) {
            return row * layout.intervalS();
        }
        String time = cells.get(layout.timeColumn());
        return layout.stamp().seconds(layout.dateColumn() >= 0 ? cells.get(layout.dateColumn()) + " " + time : time, layout.decimalComma());
    }

    private static void few(List<String> to, String line) {
        if (to.size() < FEW) {
            to.add(line);
        }
    }

    /** Says how many bytes were read. */
    private static final class Counted extends FilterInputStream {
        private long count;

        Counted(InputStream in) {
            super(in);
        }

        @Override
        public int read(byte[] b, int off, int len) throws IOException {
            int n = super.read(b, off, len);
            count += Math.max(0, n);
            return n;
        }
    }
}
