package tinperch.files.gcode;

import java.io.IOException;
import java.io.InputStream;
import tinperch.files.BoundedLines;
import tinperch.files.FileFault;
import tinperch.files.model.Progress;
import tinperch.printing.MoveTime;

/**
 * How long a print takes by its moves: G0 and G1, arcs G2 and G3 by their middle, dwells G4, absolute and relative (G90, G91, M82, M83), inches (G20), set positions (G92). What a file says
 * of its own time in comments is not believed, because each writes it otherwise. Heating up, homing and probing are not in it. Words as in ISO 6983.
 */
public final class GcodeTime {
    private static final int LONGEST_LINE = 500;
    private static final double INCH_MM = 25.4;
    private static final double FIRST_MM_S = 30;
    private static final double MOST_MM = 1e5;

    private final MoveTime time;
    private final double[] at = new double[4];
    private double mmS = FIRST_MM_S;
    private double unit = 1;
    private boolean relative;
    private boolean relativeFeed;
    private long moves;
    private long strange;
    private double fedMm;

    private GcodeTime(double accelMmS2) {
        time = new MoveTime(accelMmS2);
    }

    /**
     * What was found.
     *
     * @param seconds of all moves and dwells
     * @param filamentMm fed less drawn back
     * @param strange lines of moves that could not be read
     */
    public record Read(double seconds, double filamentMm, long moves, long strange) {}

    /**
     * Reads a print.
     *
     * @param accelMmS2 the machine's acceleration, mm/s²
     * @throws FileFault when there is no move in it
     * @throws tinperch.files.model.Stopped when the progress said to stop
     */
    public static Read of(InputStream in, double accelMmS2, Progress progress) throws IOException {
        GcodeTime g = new GcodeTime(accelMmS2);
        BoundedLines lines = new BoundedLines(in, LONGEST_LINE, progress);
        for (String line = lines.next(); line != null; line = lines.next()) {
            g.line(line);
        }
        if (g.moves == 0) {
            throw new FileFault("There is no move in this file (no line with G0 or G1), so it is no print as G-code. Nothing was taken from it.");
        }
        return new Read(g.time.seconds(), g.fedMm, g.moves, g.strange);
    }

    private void line(String raw) {
        int end = raw.length();
        for (int i = 0; i < raw.length(); i++) {
            char c = raw.charAt(i);
            if (c == ';' || c == '(' || c == '*') {
                end = i;
                break;
            }
        }
        char first = 0;
        double command = -1;
        double[] words = new double[26];
        boolean[] has = new boolean[26];
        boolean bad = false;
        int i = 0;
        while (i < end) {
            char c = Character.toUpperCase(raw.charAt(i));
            if (c < 'A' || c > 'Z') {
                bad |= c > ' ';
                i++;
                continue;
            }
            int from = ++i;
            while (i < end && (Character.isDigit(raw.charAt(i)) || "+-. ".indexOf(raw.charAt(i)) >= 0)) {
                i++;
            }
            Double value = number(raw.substring(from, i).strip());
            if (c == 'N' && first == 0) {
                continue;
            }
            if (value == null) {
                // A bare letter is a flag; on a move it is damage.
                bad = true;
            } else if (first == 0) {
                first = c;
                command = value;
            } else {
                words[c - 'A'] = value;
                has[c - 'A'] = true;
            }
        }
        if (first == 'G') {
            g(command, words, has, bad);
        } else if (first == 'M' && (command == 82 || command == 83)) {
            relativeFeed = command == 83;
        }
    }

    private static Double number(String s) {
        if (s.isEmpty() || s.length() > 30) {
            return null;
        }
        try {
            double v = Double.parseDouble(s.replace(" ", ""));
            return Double.isFinite(v) && Math.abs(v) < 1e9 ? v : null;
        } catch (NumberFormatException e) {
            return null;
        }
    }

    private void g(double command, double[] w, boolean[] has, boolean bad) {
        if (command == 0 || command == 1 || command == 2 || command == 3) {
            if (bad) {
                strange++;
            } else {
                move((int) command, w, has);
            }
        } else if (command == 4) {
            time.dwell(has['S' - 'A'] ? w['S' - 'A'] : has['P' - 'A'] ? w['P' - 'A'] / 1000 : 0);
        } else if (command == 20 || command == 21) {
            unit = command == 20 ? INCH_MM : 1;
        } else if (command == 90 || command == 91) {
            relative = command == 91;
            relativeFeed = relative;
        } else if (command == 92) {
            for (int k = 0; k < 4; k++) {
                int letter = letter(k);
                at[k] = has[letter] ? w[letter] * unit : at[k];
            }
        } else if (command == 28) {
            for (int k = 0; k < 3; k++) {
                boolean all = !has['X' - 'A'] && !has['Y' - 'A'] && !has['Z' - 'A'];
                at[k] = all || has[letter(k)] ? 0 : at[k];
            }
        }
    }

    private static int letter(int k) {
        return (k == 0 ? 'X' : k == 1 ? 'Y' : k == 2 ? 'Z' : 'E') - 'A';
    }

    private void move(int command, double[] w, boolean[] has) {
        if (has['F' - 'A'] && w['F' - 'A'] > 0) {
            mmS = w['F' - 'A'] * unit / 60;
        }
        double[] by = new double[4];
        for (int k = 0; k < 4; k++) {
            if (has[letter(k)]) {
                double v = w[letter(k)] * unit;
                by[k] = (k == 3 ? relativeFeed : relative) ? v : v - at[k];
            }
        }
        if (Math.abs(by[0]) > MOST_MM || Math.abs(by[1]) > MOST_MM || Math.abs(by[2]) > MOST_MM || Math.abs(by[3]) > MOST_MM) {
            strange++;
            return;
        }
        moves++;
        if (command >= 2 && (has['I' - 'A'] || has['J' - 'A'])) {
            arc(command == 2, by, w['I' - 'A'] * unit, w['J' - 'A'] * unit);
        } else {
            time.move(by[0], by[1], by[2], by[3], mmS);
        }
        for (int k = 0; k < 4; k++) {
            at[k] += by[k];
        }
        fedMm += by[3];
    }

    /** In chords of at most a millimetre. */
    private void arc(boolean clockwise, double[] by, double i, double j) {
        double r = Math.hypot(i, j);
        double from = Math.atan2(-j, -i);
        double to = Math.atan2(by[1] - j, by[0] - i);
        double sweep = (clockwise ? from - to : to - from) % (2 * Math.PI);
        // Back to where it began is once around.
        sweep = sweep <= 1e-9 ? sweep + 2 * Math.PI : sweep;
        int n = (int) Math.max(1, Math.min(10_000, Math.ceil(Math.max(sweep * r, sweep / 0.2))));
        double x = 0;
        double y = 0;
        for (int k = 1; k <= n; k++) {
            double a = from + (clockwise ? -1 : 1) * sweep * k / n;
            double nx = k == n ? by[0] : i + r * Math.cos(a);
            double ny = k == n ? by[1] : j + r * Math.sin(a);
            time.move(nx - x, ny - y, by[2] / n, by[3] / n, mmS);
            x = nx;
            y = ny;
        }
    }
}
