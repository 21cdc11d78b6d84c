package tinperch.workshop.log;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.trial.Series;

/** Temperatures read off an instrument by eye and typed: "contact 74 °C after 20 min". A run is made anew with each, so that undo finds the one before. */
public final class Typed {
    /** What such runs say they come from. */
    public static final String SOURCE = "typed";
    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private Typed() {}

    /** Whether a run was typed. */
    public static boolean is(Run r) {
        return r.source().equals(SOURCE);
    }

    /**
     * The run with a reading more, under another id.
     *
     * @param to the run it belongs to; empty for a new one
     * @param afterS s after its start
     * @throws LogFault when the samples cannot be read or written
     */
    public static Run with(LogStore logs, Optional<Run> to, String name, double afterS, double tempC) {
        List<Channel> channels = new ArrayList<>(to.map(Run::channels).orElse(List.of()));
        int at = channels.stream().map(Channel::name).toList().indexOf(name);
        if (at < 0) {
            at = channels.size();
            channels.add(Channel.named("c" + at, name));
        }
        TreeMap<Double, float[]> rows = new TreeMap<>();
        if (to.isPresent()) {
            RunReader old = logs.read(to.get().id());
            for (int c = 0; c < old.channels(); c++) {
                Series s = old.series(c, 0, Double.MAX_VALUE);
                for (int i = 0; i < s.size(); i++) {
                    row(rows, s.secondAt(i), channels.size())[c] = (float) s.valueAt(i);
                }
            }
        }
        row(rows, afterS, channels.size())[at] = (float) tempC;
        String id = "run-" + UUID.randomUUID();
        try (RunWriter w = logs.begin(id, channels.size())) {
            rows.forEach(w::row);
            w.whole();
        }
        LocalDateTime start = to.map(Run::start).orElse(LocalDateTime.now().withNano(0).minusSeconds((long) afterS));
        Run run = new Run(id, to.map(Run::name).orElse("Typed " + NAME.format(start)), start, rows.lastKey(), channels, SOURCE, false, to.map(Run::note).orElse(""));
        return run.lasting(rows.lastKey(), logs.read(id).kept());
    }

    private static float[] row(TreeMap<Double, float[]> rows, double s, int channels) {
        return rows.computeIfAbsent(s, k -> {
            float[] none = new float[channels];
            Arrays.fill(none, Float.NaN);
            return none;
        });
    }
}
