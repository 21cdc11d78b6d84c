package tinperch.workshop.log;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.Supplier;
import tinperch.files.log.CsvLog;
import tinperch.files.log.FirmwareLog;
import tinperch.files.log.LayoutGuess;
import tinperch.files.log.LogLayout;
import tinperch.files.log.LogRead;
import tinperch.files.model.Stopped;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.workshop.background.Latest;

/** Takes logs from files into the store, in the background; the newest asked for counts. */
public final class Taking implements AutoCloseable {
    private static final int HEAD_LINES = 80;
    private static final double STEP = 0.005;

    private final Latest latest;

    /** @param deliverOn where answers are handed over */
    public Taking(java.util.concurrent.Executor deliverOn) {
        latest = new Latest("log", deliverOn);
    }

    /**
     * What a file looks like.
     *
     * @param head its first lines
     * @param board the channels its lines report, where they are reports of a board; else empty
     * @param layout what its columns seem to be; of a board's reports nothing
     * @param modified when it was last written
     */
    public record Seen(Path file, List<String> head, List<String> board, LogLayout layout, LocalDateTime modified) {
        public boolean isBoard() {
            return !board.isEmpty();
        }
    }

    /**
     * A run that was taken, and what was left out of it.
     *
     * @param run with its channels named as in the file
     */
    public record Taken(Run run, LogRead read) {}

    /** Looks at the first lines of a file; a few of them, so that it is quick. */
    public static Seen look(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            List<String> head = CsvLog.head(in, HEAD_LINES);
            List<String> board = FirmwareLog.isOne(head) ? FirmwareLog.channels(head) : List.of();
            return new Seen(file, head, board, LayoutGuess.of(head), LocalDateTime.ofInstant(Files.getLastModifiedTime(file).toInstant(), ZoneId.systemDefault()));
        }
    }

    /** The channels that a file would give. */
    public static List<Channel> channels(Seen seen, LogLayout layout) {
        return Channel.allNamed(seen.isBoard() ? seen.board() : layout.fields().stream().map(LogLayout.Field::name).toList());
    }

    /**
     * Takes a file in.
     *
     * @param logs opened on the background's thread
     * @param runId of the new run
     * @param layout for a board's reports only its interval counts
     * @param failed told why nothing was taken
     */
    public void take(Supplier<LogStore> logs, Seen seen, LogLayout layout, String runId, DoubleConsumer progress, Consumer<Taken> done, Consumer<String> failed) {
        latest.ask(ticket -> {
            double[] told = {-1};
            tinperch.files.model.Progress onward = share -> {
                if (share - told[0] > STEP) {
                    told[0] = share;
                    ticket.deliver(() -> progress.accept(share));
                }
                return ticket.counts();
            };
            try {
                Taken taken = taken(logs.get(), seen, layout, runId, onward);
                ticket.deliver(() -> done.accept(taken));
            } catch (Stopped e) {
                // Whoever stopped it knows.
            } catch (IOException | LogFault e) {
                ticket.deliver(() -> failed.accept(e.getMessage()));
            }
        });
    }

    private static Taken taken(LogStore logs, Seen seen, LogLayout layout, String runId, tinperch.files.model.Progress progress) throws IOException {
        List<Channel> channels = channels(seen, layout);
        long bytes = Files.size(seen.file);
        try (InputStream in = new BufferedInputStream(Files.newInputStream(seen.file), 1 << 16); RunWriter w = logs.begin(runId, Math.max(1, channels.size()))) {
            LogRead read = seen.isBoard() ? FirmwareLog.read(in, seen.board, layout.intervalS(), progress, w) : CsvLog.read(in, bytes, layout, progress, w);
            w.whole();
            // A log without days was probably written to until it ended.
            LocalDateTime start = read.start().orElse(seen.modified.minusNanos((long) (read.lastS() * 1e9)).withNano(0));
            String file = String.valueOf(seen.file.getFileName());
            int dot = file.lastIndexOf('.');
            return new Taken(new Run(runId, dot > 0 ? file.substring(0, dot) : file, start, read.lastS(), channels, file, false, "").lasting(read.lastS(), logs.read(runId).kept()), read);
        }
    }

    public void stop() {
        latest.cancel();
    }

    @Override
    public void close() {
        latest.close();
    }
}
