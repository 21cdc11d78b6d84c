package tinperch.workshop.device;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tinperch.files.log.FirmwareLog;
import tinperch.trial.Kept;
import tinperch.workshop.background.Latest;
import tinperch.workshop.log.LogFault;
import tinperch.workshop.log.LogStore;
import tinperch.workshop.log.RunWriter;

/**
 * Records what a port reports, on a thread of its own. Its channels are those of the first reports; what is recorded is written every second. A port that goes
 * away is tried again; a disk that refuses too, nothing of what came meanwhile is lost while there is memory. Its time is that of a clock nobody can set.
 */
public final class Recorder implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Recorder.class);
    private static final int LONGEST_LINE = 2000;
    private static final int FIRST_REPORTS = 3;
    private static final double SECOND_S = 1;
    private static final double AGAIN_S = 2;
    /** So many rows wait for a disk at most, about a day of one report a second. */
    private static final int MOST_WAITING = 100_000;

    private final LinePort port;
    private final Supplier<LogStore> logs;
    private final String runId;
    private final double askEveryS;
    private final LongSupplier clockNs;
    private final Consumer<Status> told;
    private final Executor deliverOn;
    private final Latest thread;
    private final StringBuilder line = new StringBuilder();
    private final List<String> firstLines = new ArrayList<>();
    private final CountDownLatch over = new CountDownLatch(1);
    private volatile boolean stopped;
    private boolean begun;
    private List<String> channels = List.of();
    private RunWriter writer;
    private double firstS = Double.NaN;
    private double lastS;
    private long rows;
    private long unwritten;
    private float[] last = new float[0];
    private List<Optional<Kept>> kept = List.of();

    /**
     * How it goes on.
     *
     * @param channels empty before the first reports
     * @param last the last row
     * @param trouble what is wrong now, a sentence; empty for nothing
     * @param ended whether it is over
     * @param kept when it is over, what is to be kept of its channels
     */
    public record Status(List<String> channels, long rows, double seconds, float[] last, String trouble, boolean ended, List<Optional<Kept>> kept) {}

    /**
     * Ready to begin.
     *
     * @param askEveryS how often the port is asked for a report, s; 0 for never: then it only listens
     * @param clockNs a clock that never goes back
     * @param deliverOn where {@code told} is called
     */
    public Recorder(LinePort port, Supplier<LogStore> logs, String runId, double askEveryS, LongSupplier clockNs, Executor deliverOn, Consumer<Status> told) {
        this.port = port;
        this.logs = logs;
        this.runId = runId;
        this.askEveryS = askEveryS;
        this.clockNs = clockNs;
        this.deliverOn = deliverOn;
        this.told = told;
        thread = new Latest("recording", deliverOn);
    }

    /** The run its samples go into. */
    public String runId() {
        return runId;
    }

    /** What it records from. */
    public String portName() {
        return port.name();
    }

    /** Whether no hardware stands behind it. */
    public boolean isSimulated() {
        return port.isSimulated();
    }

    /** Begins; to be called once. */
    public void begin() {
        begun = true;
        thread.ask(ticket -> record());
    }

    /** Ends it; what came until now is written. */
    public void stop() {
        stopped = true;
    }

    private double nowS() {
        return clockNs.getAsLong() / 1e9;
    }

    private void tell(String trouble, boolean ended) {
        Status s = new Status(channels, rows, Double.isNaN(firstS) ? 0 : lastS - firstS, last, trouble, ended, kept);
        deliverOn.execute(() -> told.accept(s));
    }

    private void record() {
        String trouble = "";
        double asked = nowS();
        double written = nowS();
        boolean open = false;
        byte[] bytes = new byte[4096];
        try {
            while (!stopped) {
                try {
                    if (!open) {
                        port.open();
                        open = true;
                        line.setLength(0);
                        trouble = "";
                    }
                    if (askEveryS > 0 && nowS() - asked >= askEveryS) {
                        port.ask();
                        asked = nowS();
                    }
                    int n = port.read(bytes);
                    for (int i = 0; i < n; i++) {
                        take(bytes[i]);
                    }
                } catch (IOException e) {
                    if (stopped) {
                        break;
                    }
                    port.close();
                    open = false;
                    trouble = e.getMessage() + " It is tried again every " + (int) AGAIN_S + " seconds; what was recorded is there.";
                    waitFor(AGAIN_S);
                }
                if (nowS() - written >= SECOND_S) {
                    written = nowS();
                    String disk = write();
                    tell(trouble.isEmpty() ? disk.isEmpty() && rows == 0 ? "Nothing that reports temperatures has come yet." : disk : trouble, false);
                }
            }
        } catch (RuntimeException e) {
            LOG.error("a recording ended", e);
            trouble = "The recording ended (" + e.getMessage() + "). What was recorded is there.";
        } finally {
            port.close();
            end(trouble);
        }
    }

    private void end(String trouble) {
        String why = trouble;
        if (writer != null) {
            try {
                writer.whole();
                kept = logs.get().read(runId).kept();
            } catch (LogFault e) {
                why = e.getMessage();
            }
            try {
                writer.close();
            } catch (LogFault e) {
                LOG.warn("a recording did not close", e);
            }
        }
        over.countDown();
        tell(why, true);
    }

    private void waitFor(double seconds) {
        double until = nowS() + seconds;
        while (!stopped && nowS() < until) {
            try {
                Thread.sleep(20);
            } catch (InterruptedException e) {
                stopped = true;
            }
        }
    }

    /** Answers what the disk says, or nothing. */
    private String write() {
        if (writer == null || unwritten == 0) {
            return "";
        }
        try {
            writer.flush();
            unwritten = 0;
            return "";
        } catch (LogFault e) {
            return e.getMessage() + " " + unwritten + " rows wait.";
        }
    }

    private void take(byte b) {
        if (b != '\n') {
            if (line.length() < LONGEST_LINE) {
                line.append((char) (b & 255));
            }
            return;
        }
        String whole = line.toString();
        line.setLength(0);
        if (channels.isEmpty()) {
            begin(whole);
        } else {
            row(FirmwareLog.values(whole, channels));
        }
    }

    /** The first few reports say which channels there are. */
    private void begin(String report) {
        if (!FirmwareLog.channels(List.of(report)).isEmpty()) {
            firstLines.add(report);
        }
        if (firstLines.size() >= FIRST_REPORTS) {
            // Garbage looks like a channel once; what counts is there at least twice.
            List<String> seen = FirmwareLog.channels(firstLines).stream().filter(c -> firstLines.stream().filter(l -> FirmwareLog.channels(List.of(l)).contains(c)).count() > 1).toList();
            if (seen.isEmpty()) {
                firstLines.clear();
                return;
            }
            channels = seen;
            try {
                writer = logs.get().begin(runId, channels.size());
            } catch (LogFault e) {
                stopped = true;
                throw e;
            }
        }
    }

    private void row(float[] values) {
        if (values == null || unwritten >= MOST_WAITING) {
            return;
        }
        double now = nowS();
        if (Double.isNaN(firstS)) {
            firstS = now;
        } else if (now <= lastS) {
            return;
        }
        lastS = now;
        last = values;
        rows++;
        unwritten++;
        writer.row(now - firstS, values);
    }

    /** Ends it and waits until what came is written. */
    @Override
    public void close() {
        stop();
        try {
            if (begun && !over.await(3, TimeUnit.SECONDS)) {
                LOG.warn("a recording does not end");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        thread.close();
    }
}
