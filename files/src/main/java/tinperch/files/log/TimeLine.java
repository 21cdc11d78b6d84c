package tinperch.files.log;

import java.util.ArrayList;
import java.util.List;

/**
 * Lays rows on one line of time: rows with the same stamp are spread over the time to the next one, a clock that was set back does not take time back,
 * and midnight of a log without days is passed.
 */
final class TimeLine {
    private static final double DAY_S = 86_400;
    /** Rows that share a stamp are spread over no more than this, s. */
    private static final double SPREAD_S = 10;
    private static final double HOUR_S = 3600;

    private final boolean clock;
    private final LogRead.Rows out;
    private final List<float[]> waiting = new ArrayList<>();
    private final List<String> troubles;
    private double first = Double.NaN;
    private double at = Double.NaN;
    private double shift;
    private double step = 1;
    private double last;
    private long rows;
    private int back;
    private String backAt = "";
    private int hours;
    private String hourAt = "";
    private long shared;

    TimeLine(boolean clock, LogRead.Rows out, List<String> troubles) {
        this.clock = clock;
        this.out = out;
        this.troubles = troubles;
    }

    void row(double stampS, float[] values, long line) {
        double s = stampS + shift;
        if (Double.isNaN(first)) {
            first = s;
            at = s;
        } else if (s < at) {
            if (clock && at - s > DAY_S / 2) {
                shift += DAY_S;
                s += DAY_S;
            } else {
                if (back++ == 0) {
                    backAt = "In line " + line + " the time goes back by " + Math.round(at - s) + " s";
                }
                // The clock was set back: what follows comes a step later.
                shift += at + step - s;
                s = at + step;
            }
        } else if (s > at && s - at > 0.9 * HOUR_S && Math.abs(s - at - step - HOUR_S) < Math.max(2, step) && rows > 0 && hours++ == 0) {
            hourAt = "Before line " + line + " just an hour is missing";
        }
        if (s > at) {
            flush(s);
            step = Math.max(1e-3, (s - at) / Math.max(1, waiting.size()));
            waiting.clear();
            at = s;
        }
        shared += waiting.isEmpty() ? 0 : 1;
        // A log whose time stands still is given on in parts.
        if (waiting.size() >= 4096) {
            flush(at + 1e-3 * waiting.size());
            at += 1e-3 * waiting.size();
            shift += 1e-3 * waiting.size();
            waiting.clear();
        }
        waiting.add(values);
    }

    private void flush(double next) {
        int n = waiting.size();
        double over = n == 1 ? 0 : Math.min(next - at, SPREAD_S) / n;
        for (int i = 0; i < n; i++) {
            last = at + i * over - first;
            out.row(last, waiting.get(i));
            rows++;
        }
    }

    /** To be called after the last row. */
    void end() {
        flush(at + step);
        waiting.clear();
        if (back > 0) {
            troubles.add(backAt + (back > 1 ? ", and " + (back - 1) + " times more" : "") + " (a clock set back, summer time?): what follows is laid on behind it.");
        }
        if (hours > 0) {
            troubles.add(hourAt + " (summer time?): it is left as a gap.");
        }
        if (shared > 0) {
            troubles.add(shared + " rows have the same time as the one before; they are spread over the time to the next.");
        }
    }

    long rows() {
        return rows;
    }

    /** Seconds of the first row as it was written. */
    double firstStampS() {
        return first;
    }

    double lastS() {
        return last;
    }
}
