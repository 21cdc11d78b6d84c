package tinperch.benchmarks;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.desktop.window.TinPerchApp;

/**
 * The running window with a watch in hand: acts, and prints how long each action holds the interface's thread by itself, how long the pulses
 * after it take (styling, layout and drawing in software), when the picture stands still, and when everything that can be told has been told. Wants
 * {@code -Djavafx.pulseLogger=true}; {@code -Dfelt.show=ACTION} prints the toolkit's own log of one action. It asserts nothing.
 */
final class Felt {
    private static final Pattern PULSE = Pattern.compile("PULSE: \\d+ \\[\\d+ms:(\\d+)ms\\]");
    private static final long QUIET_NS = 250_000_000;
    /** A blinking caret never lets the window rest for good. */
    private static final long MOST_NS = 4_000_000_000L;
    /** Asking more often would itself be felt. */
    private static final long ASK_MS = 4;

    private final AtomicLong lastPulse = new AtomicLong();
    private final ByteArrayOutputStream log = new ByteArrayOutputStream() {
        @Override
        public synchronized void write(byte[] b, int off, int len) {
            super.write(b, off, len);
            if (PULSE.matcher(new String(b, off, len, StandardCharsets.UTF_8)).find()) {
                lastPulse.set(System.nanoTime());
            }
        }
    };
    private final List<Double> handlers = new ArrayList<>();
    private volatile long pulseFrom;
    private final PrintStream out = System.out;
    private Desk desk;
    private Stage stage;

    /** Opens the demo, with so many parts more. */
    Felt(int parts) throws Exception {
        // The toolkit writes of each pulse that did something.
        System.setErr(new PrintStream(log, true, StandardCharsets.UTF_8));
        open(parts);
        out.printf("%-44s %10s %10s %10s %10s %10s%n", "action (median / worst, first 4 apart)", "itself ms", "others ms", "pulse ms", "still ms", "told ms");
    }

    Desk desk() {
        return desk;
    }

    void close() throws Exception {
        run(() -> {
            stage.hide();
            desk.close();
        });
    }

    /** Does something that is not measured and waits until all is told. */
    void calmly(Runnable work) throws Exception {
        run(work);
        settle();
    }

    private void run(Runnable work) throws Exception {
        onFx(() -> {
            work.run();
            return null;
        });
    }

    private void open(int parts) throws Exception {
        Path file = Files.createTempDirectory("tinperch-felt").resolve("workshop.db");
        Platform.startup(() -> { });
        onFx(() -> {
            desk = new Desk(TinPerchApp.openWorkshop(file, true));
            if (parts > 0) {
                desk.workshop().edit("many parts", s -> FeltParts.many(s, parts));
            }
            stage = new Stage();
            TinPerchApp.show(stage, desk, 1280, 800);
            stage.getScene().addPreLayoutPulseListener(() -> pulseFrom = System.nanoTime());
            return null;
        });
        Thread beat = new Thread(this::beat, "heartbeat");
        beat.setDaemon(true);
        beat.start();
        settle();
        // As the application does; nobody makes an edit in the first seconds.
        onFx(() -> {
            desk.warmUp();
            return null;
        });
        Thread.sleep(4000);
    }

    /** Asks for a turn on the interface's thread again and again; a turn that takes long without a pulse was somebody's work. */
    private void beat() {
        AtomicLong before = new AtomicLong(System.nanoTime());
        while (true) {
            FutureTask<Void> turn = new FutureTask<>(() -> {
                long now = System.nanoTime();
                long was = before.getAndSet(now);
                boolean pulsed = pulseFrom > was;
                if (!pulsed) {
                    synchronized (handlers) {
                        handlers.add((now - was) / 1e6 - ASK_MS);
                    }
                }
                return null;
            });
            Platform.runLater(turn);
            try {
                turn.get();
                Thread.sleep(ASK_MS);
            } catch (InterruptedException | ExecutionException e) {
                return;
            }
        }
    }

    <T> T onFx(Callable<T> work) throws Exception {
        FutureTask<T> task = new FutureTask<>(work);
        Platform.runLater(task);
        return task.get();
    }

    /** Waits until nothing is judged any more and no pulse has come for a while; answers when the last of both was. */
    private long settle() throws Exception {
        long begun = System.nanoTime();
        long last = begun;
        while (System.nanoTime() - begun < MOST_NS) {
            long turn = System.nanoTime();
            boolean settled = onFx(() -> desk.settledProperty().get());
            long now = System.nanoTime();
            // A turn that was long in coming: a pulse is under way, and is told of only when it ends.
            if (!settled || now - turn > 20_000_000) {
                last = now;
            }
            long quiet = Math.max(last, lastPulse.get());
            if (now - quiet > QUIET_NS) {
                return quiet;
            }
            Thread.sleep(ASK_MS);
        }
        return System.nanoTime();
    }

    interface Act {
        void at(int n) throws Exception;
    }

    Node find(String id) {
        return java.util.Objects.requireNonNull(Ui.find(stage.getScene().getRoot(), id), id);
    }

    /** Whether a node can be seen and is as it should be; on the interface's thread. */
    boolean isThere(String id, Predicate<Node> as) {
        Node n = Ui.find(stage.getScene().getRoot(), id);
        return n != null && as.test(n);
    }

    static void mouse(Node on, int n) {
        mouse(on, n, on.getLayoutBounds().getCenterX(), on.getLayoutBounds().getCenterY());
    }

    static void mouse(Node on, int n, double fromX, double fromY) {
        double x = fromX + 6 * (n % 5);
        double y = fromY;
        for (var type : n == 0 ? List.of(MouseEvent.MOUSE_PRESSED, MouseEvent.MOUSE_DRAGGED) : List.of(MouseEvent.MOUSE_DRAGGED)) {
            Event.fireEvent(on, new MouseEvent(type, x, y, x, y, MouseButton.PRIMARY, 1, false, false, false, false, true, false, false, false, false, false, null));
        }
    }

    /** Acts once a frame and tells how far apart the frames are. */
    void stream(String name, int frames, Act act) throws Exception {
        List<Double> apart = new ArrayList<>();
        log.reset();
        java.util.concurrent.CountDownLatch done = new java.util.concurrent.CountDownLatch(1);
        onFx(() -> {
            new javafx.animation.AnimationTimer() {
                private int n;
                private long before;

                @Override
                public void handle(long now) {
                    long t = System.nanoTime();
                    if (n > 0) {
                        apart.add((t - before) / 1e6);
                    }
                    before = t;
                    if (n == frames) {
                        stop();
                        done.countDown();
                        return;
                    }
                    try {
                        act.at(n++);
                    } catch (Exception e) {
                        throw new IllegalStateException(e);
                    }
                }
            }.start();
            return null;
        });
        done.await();
        double[] pulses = pulses();
        settle();
        double[] sorted = apart.stream().skip(apart.size() / 4).mapToDouble(Double::doubleValue).sorted().toArray();
        out.printf("%-44s frames apart ms: median %.1f, 90 %% within %.1f, worst %.1f; pulses ms: median %.0f, 90 %% within %.0f%n", name, sorted[sorted.length / 2],
                sorted[(int) (0.9 * sorted.length)], sorted[sorted.length - 1], pulses[pulses.length / 2], pulses[(int) (0.9 * pulses.length)]);
    }

    void act(String name, int times, Act act) throws Exception {
        List<double[]> runs = new ArrayList<>();
        for (int i = 0; i < times; i++) {
            log.reset();
            synchronized (handlers) {
                handlers.clear();
            }
            int n = i;
            long from = System.nanoTime();
            double self = onFx(() -> {
                long t = System.nanoTime();
                act.at(n);
                return (System.nanoTime() - t) / 1e6;
            });
            long told = settle();
            // A picture stands when the last pulse that drew something is over; remedies that were tried out and stayed what they were draw nothing.
            double still = Math.max(self, (lastPulse.get() - from) / 1e6);
            double others;
            synchronized (handlers) {
                others = handlers.stream().mapToDouble(Double::doubleValue).filter(h -> Math.abs(h - self) > 1.5).max().orElse(0);
            }
            if (name.equals(System.getProperty("felt.show"))) {
                out.println(log.toString(StandardCharsets.UTF_8).replaceAll("T13 : Slow.*\n", ""));
            }
            runs.add(new double[] {self, others, longestPulse(), still, (told - from) / 1e6});
        }
        List<double[]> first = runs.subList(0, Math.min(4, runs.size()));
        if (runs.size() > 4) {
            line(name + ", first four", first);
            line(name, runs.subList(4, runs.size()));
        } else {
            line(name, first);
        }
    }

    /** Acts once and tells when something stands drawn: it is there, and the pulse that shows it is over. */
    void until(String name, Act act, BooleanSupplier there) throws Exception {
        long from = System.nanoTime();
        this.<Void>onFx(() -> {
            act.at(0);
            return null;
        });
        long missing = from;
        while (!onFx(there::getAsBoolean)) {
            missing = System.nanoTime();
            Thread.sleep(ASK_MS);
        }
        while (lastPulse.get() < missing && System.nanoTime() - from < MOST_NS) {
            Thread.sleep(1);
        }
        out.printf("%-44s stands after %.0f ms%n", name, (lastPulse.get() - from) / 1e6);
        settle();
    }

    private double longestPulse() {
        double[] all = pulses();
        return all.length == 0 ? 0 : all[all.length - 1];
    }

    /** How long each pulse since the log was emptied took, shortest first, ms. */
    private double[] pulses() {
        return PULSE.matcher(log.toString(StandardCharsets.UTF_8)).results().mapToDouble(m -> Double.parseDouble(m.group(1))).sorted().toArray();
    }

    private void line(String name, List<double[]> runs) {
        StringBuilder s = new StringBuilder(String.format("%-44s", name));
        for (int k = 0; k < 5; k++) {
            int column = k;
            double[] sorted = runs.stream().mapToDouble(r -> r[column]).sorted().toArray();
            s.append(String.format(" %4.0f /%4.0f", sorted[sorted.length / 2], sorted[sorted.length - 1]));
        }
        out.println(s);
    }

    static {
        // Software drawing is what machines without a graphics device have.
        System.setProperty("prism.order", System.getProperty("prism.order", "sw"));
    }
}
