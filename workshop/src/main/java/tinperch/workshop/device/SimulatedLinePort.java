package tinperch.workshop.device;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import tinperch.trial.simulated.Simulated;

/** Something simulated on a port that is none: it reports when asked and every two seconds by itself. */
public final class SimulatedLinePort implements LinePort {
    private static final double BY_ITSELF_S = 2;
    private static final int WAIT_MS = 200;

    private final Simulated printer;
    private final double speed;
    private long lastNs;
    private double untilS = BY_ITSELF_S;
    private boolean asked;

    /** @param speed how many times faster than a clock its time passes */
    public SimulatedLinePort(Simulated printer, double speed) {
        this.printer = printer;
        this.speed = speed;
    }

    @Override
    public String name() {
        return printer.name();
    }

    @Override
    public boolean isSimulated() {
        return true;
    }

    @Override
    public void open() {
        lastNs = System.nanoTime();
    }

    @Override
    public int read(byte[] into) throws IOException {
        if (!asked) {
            try {
                Thread.sleep((long) (WAIT_MS / Math.max(1, speed)));
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IOException("Stopped.");
            }
        }
        long now = System.nanoTime();
        double passed = (now - lastNs) / 1e9 * speed;
        lastNs = now;
        printer.pass(passed);
        untilS -= passed;
        if (!asked && untilS > 0) {
            return 0;
        }
        untilS = BY_ITSELF_S;
        asked = false;
        byte[] line = (printer.report() + "\n").getBytes(StandardCharsets.ISO_8859_1);
        int n = Math.min(into.length, line.length);
        System.arraycopy(line, 0, into, 0, n);
        return n;
    }

    @Override
    public void ask() {
        asked = true;
    }

    @Override
    public void close() {
        asked = false;
    }
}
