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
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.Station;
import tinperch.desktop.look.Ui;
import tinperch.desktop.window.TinPerchApp;
import tinperch.machine.Machine;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.workshop.log.RunWriter;

/**
 * What a person feels, measured in the running window and printed as a table: how long each action holds the interface's thread by itself,
 * how long the pulses after it take (styling, layout and drawing in software), and when everything that can be told has been told. Wants
 * {@code -Djavafx.pulseLogger=true}; {@code -Dfelt.show=ACTION} prints the toolkit's own log of one action. It asserts nothing.
 */
public final class FeltSpeed {
    private static final Pattern PULSE = Pattern.compile("PULSE: \\d+ \\[\\d+ms:(\\d+)ms\\]");
    private static final long QUIET_NS = 250_000_000;
    /** A blinking caret never lets the window rest for good. */
    private static final long MOST_NS = 4_000_000_000L;
    /** Asking more often would itself be felt. */
    private static final long ASK_MS = 4;
    /** Of a person who looks before turning on; none with {@code -Dfelt.hasty=true}. */
    private static final long REST_MS = Boolean.getBoolean("felt.hasty") ? 0 : 4000;
    private static final String BLOWER = "avocet-blower";

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
    private Desk desk;
    private Stage stage;

    private FeltSpeed() {}

    /** Opens the demo, or with a number a workshop of that many parts, and acts. */
    public static void main(String[] args) throws Exception {
        FeltSpeed felt = new FeltSpeed();
        PrintStream out = System.out;
        // The toolkit writes of each pulse that did something.
        System.setErr(new PrintStream(felt.log, true, StandardCharsets.UTF_8));
        felt.open(args.length == 0 ? 0 : Integer.parseInt(args[0]));
        out.printf("%-44s %10s %10s %10s %10s%n", "action (median / worst, first 4 apart)", "itself ms", "others ms", "pulse ms", "settled ms");
        felt.acts(out);
        felt.<Void>onFx(() -> {
            felt.stage.hide();
            felt.desk.close();
            return null;
        });
        Platform.exit();
        System.exit(0);
    }

    private void open(int parts) throws Exception {
        Path file = Files.createTempDirectory("tinperch-felt").resolve("workshop.db");
        Platform.startup(() -> { });
        onFx(() -> {
            desk = new Desk(TinPerchApp.openWorkshop(file, true));
            if (parts > 0) {
                desk.workshop().edit("many parts", s -> many(s, parts));
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

    /** So many more parts, in upgrades of ten. */
    private static WorkshopState many(WorkshopState s, int parts) {
        Upgrade like = s.upgrade(BLOWER).orElseThrow();
        PartDesign part = like.parts().get(0);
        WorkshopState now = s;
        for (int u = 0; u < parts / 10; u++) {
            List<PartDesign> ten = new ArrayList<>();
            for (int p = 0; p < 10; p++) {
                ten.add(part.withId("p" + (p + 1)).withName("Plate " + (10 * u + p + 1)).with(part.values().with(ToolCarriagePlate.WIDTH, 80.0 + p)));
            }
            now = now.with(new Upgrade("many-" + u, like.machineId(), "Many " + u, like.started(), like.trouble(), ten, like.hostMachineId()));
        }
        return now;
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

    private <T> T onFx(Callable<T> work) throws Exception {
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

    private interface Act {
        void at(int n) throws Exception;
    }

    private void acts(PrintStream out) throws Exception {
        if (!Boolean.getBoolean("felt.machines")) {
            parts(out);
        }
        machines(out);
    }

    private void parts(PrintStream out) throws Exception {
        act(out, "open an upgrade at Shape", 1, n -> desk.goTo(desk.state().upgrade(BLOWER).orElseThrow(), Station.SHAPE));
        act(out, "edit the plate's width", 40, n -> desk.edits().set(BLOWER, "p1", ToolCarriagePlate.WIDTH, String.valueOf(82.1 + n * 0.1)));
        act(out, "hover a remedy", 12, n -> desk.previewRemedy(n % 2 == 1 ? null : desk.assessmentProperty().get().findings().stream()
                .flatMap(f -> f.remedies().stream()).findFirst().orElseThrow()));
        act(out, "turn the turntable by a step", 12, n -> mouse(find("turntable"), n));
        onFx(() -> desk.edits().make(BLOWER, desk.part().orElseThrow().with(new Feature("f1", "hole", "Hole 1", Anchor.middle("part", "plate", Vec3.Z).at(-30, 8), Values.START, false)), "add"));
        settle();
        onFx(() -> {
            ((Button) find("feature-f1")).fire();
            return null;
        });
        settle();
        act(out, "drag a feature by a step", 12, n -> mouse(find("feature-knob"), n));
        act(out, "place a feature", 12, n -> desk.edits().make(BLOWER, desk.part().orElseThrow().with(desk.part().orElseThrow().feature("f1").orElseThrow().with(
                Anchor.middle("part", "plate", Vec3.Z).at(-30 + n * 0.3, 8))), "move"));
        act(out, "show it on the machine", 2, n -> ((ToggleButton) find("in-place")).fire());
        act(out, "to Measure and back to Shape", 12, n -> desk.goTo(n % 2 == 0 ? Station.MEASURE : Station.SHAPE));
        act(out, "to Print and back to Shape", 12, n -> desk.goTo(n % 2 == 0 ? Station.PRINT : Station.SHAPE));
        act(out, "open another upgrade at Trouble", 1, n -> desk.goTo(desk.state().upgrade("curlew-door").orElseThrow(), Station.TROUBLE));
        // The worst is the page of kinds; the other station has next to nothing.
        act(out, "to the page of kinds and back to Trouble", 12, n -> desk.goTo(desk.state().upgrade("curlew-door").orElseThrow(), n % 2 == 0 ? Station.SHAPE : Station.TROUBLE));
        onFx(() -> {
            desk.goTo(desk.state().upgrade(BLOWER).orElseThrow(), Station.SHAPE);
            return null;
        });
        settle();
        act(out, "undo, redo", 12, n -> {
            if (n % 2 == 0) {
                desk.workshop().undo();
            } else {
                desk.workshop().redo();
            }
        });
    }

    private void machines(PrintStream out) throws Exception {
        List<Machine> machines = desk.state().machines();
        // As somebody does who looks at each sheet for a moment first.
        for (Machine m : machines) {
            act(out, "the sheet of " + m.id() + " for the first time", 1, n -> desk.goTo(m));
            Thread.sleep(REST_MS);
            act(out, "its other pages for the first time", Page.values().length - 1, n -> desk.goTo(Page.values()[n + 1]));
            onFx(() -> {
                desk.goTo(Page.SHEET);
                return null;
            });
            Thread.sleep(REST_MS);
        }
        act(out, "to a machine's sheet", 12, n -> desk.goTo(machines.get(n % machines.size())));
        act(out, "from page to page of a machine", 20, n -> desk.goTo(Page.values()[(n + 1) % Page.values().length]));
        onFx(() -> {
            desk.goTo(Page.SURROUNDINGS);
            return null;
        });
        settle();
        act(out, "move an axis by a step", 12, n -> find("travel-x").fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.RIGHT, false, false, false, false)));
        for (String id : List.of("avocet", "busy")) {
            onFx(() -> {
                if (id.equals("busy")) {
                    desk.workshop().edit("busy", s -> s.with(MachineSpeed.busy()));
                }
                desk.goTo(desk.state().machine(id).orElseThrow());
                desk.goTo(Page.SURROUNDINGS);
                return null;
            });
            settle();
            Node views = find("space-views");
            stream(out, id + ", pull an axis, each frame", 600, n -> mouse(views, n));
            onFx(() -> {
                ((Button) find("neighbour-" + desk.machine().orElseThrow().surroundings().neighbours().stream().filter(k -> k.group().isEmpty()).findFirst().orElseThrow().id())).fire();
                return null;
            });
            settle();
            double[] at = onFx(() -> (double[]) views.getProperties().get("chosen at"));
            stream(out, id + ", drag a thing, each frame", 600, n -> mouse(views, n, at[0], at[1]));
        }
        onFx(() -> {
            desk.goTo(Page.BOOK);
            return null;
        });
        settle();
        act(out, "a day back in the book", 12, n -> {
            Slider day = (Slider) find("book-day");
            day.setValue(day.getValue() - 5);
        });
        temperatures(out);
    }

    /** A run of ten million samples is opened and moved along, seen closer each time. */
    private void temperatures(PrintStream out) throws Exception {
        java.util.Random dice = new java.util.Random(1);
        try (RunWriter w = desk.workshop().logs().begin("long", 1)) {
            float[] v = new float[1];
            for (int i = 0; i < 10_000_000; i++) {
                v[0] = (float) (60 + 10 * Math.sin(i / 5000.0) + 0.2 * dice.nextGaussian());
                w.row(0.1 * i, v);
            }
            w.whole();
        }
        Run run = new Run("long", "Ten million", java.time.LocalDateTime.of(2026, 11, 1, 0, 0), 1e6, List.of(Channel.named("c0", "Chamber")), "benchmark", true, "");
        onFx(() -> {
            desk.workshop().edit("long", s -> s.with(s.machine("avocet").orElseThrow().with(run)));
            desk.goTo(desk.state().machine("avocet").orElseThrow(), Page.SHEET);
            return null;
        });
        settle();
        act(out, "open ten million samples", 1, n -> desk.goTo(Page.TEMPERATURES));
        Node plot = find("time-plot");
        for (int closer : new int[] {1, 3, 6, 10}) {
            for (int i = 0; i < closer; i++) {
                onFx(() -> {
                    plot.fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.PLUS, false, false, false, false));
                    return null;
                });
            }
            stream(out, "move along ten million, each frame", 200, n -> mouse(plot, n));
        }
    }

    private Node find(String id) {
        return java.util.Objects.requireNonNull(Ui.find(stage.getScene().getRoot(), id), id);
    }

    private static void mouse(Node on, int n) {
        mouse(on, n, on.getLayoutBounds().getCenterX(), on.getLayoutBounds().getCenterY());
    }

    private static void mouse(Node on, int n, double fromX, double fromY) {
        double x = fromX + 6 * (n % 5);
        double y = fromY;
        for (var type : n == 0 ? List.of(MouseEvent.MOUSE_PRESSED, MouseEvent.MOUSE_DRAGGED) : List.of(MouseEvent.MOUSE_DRAGGED)) {
            Event.fireEvent(on, new MouseEvent(type, x, y, x, y, MouseButton.PRIMARY, 1, false, false, false, false, true, false, false, false, false, false, null));
        }
    }

    /** Acts once a frame and tells how far apart the frames are. */
    private void stream(PrintStream out, String name, int frames, Act act) throws Exception {
        List<Double> apart = new ArrayList<>();
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
        settle();
        double[] sorted = apart.stream().skip(apart.size() / 4).mapToDouble(Double::doubleValue).sorted().toArray();
        out.printf("%-44s frame ms: median %.1f, 90 %% within %.1f, worst %.1f%n", name, sorted[sorted.length / 2], sorted[(int) (0.9 * sorted.length)], sorted[sorted.length - 1]);
    }

    private void act(PrintStream out, String name, int times, Act act) throws Exception {
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
            double settled = (settle() - from) / 1e6;
            double others;
            synchronized (handlers) {
                others = handlers.stream().mapToDouble(Double::doubleValue).filter(h -> Math.abs(h - self) > 1.5).max().orElse(0);
            }
            if (name.equals(System.getProperty("felt.show"))) {
                out.println(log.toString(StandardCharsets.UTF_8).replaceAll("T13 : Slow.*\n", ""));
            }
            runs.add(new double[] {self, others, longestPulse(), settled});
        }
        List<double[]> first = runs.subList(0, Math.min(4, runs.size()));
        if (runs.size() > 4) {
            line(out, name + ", first four", first);
            line(out, name, runs.subList(4, runs.size()));
        } else {
            line(out, name, first);
        }
    }

    private double longestPulse() {
        Matcher m = PULSE.matcher(log.toString(StandardCharsets.UTF_8));
        double longest = 0;
        while (m.find()) {
            longest = Math.max(longest, Double.parseDouble(m.group(1)));
        }
        return longest;
    }

    private static void line(PrintStream out, String name, List<double[]> runs) {
        StringBuilder s = new StringBuilder(String.format("%-44s", name));
        for (int k = 0; k < 4; k++) {
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
