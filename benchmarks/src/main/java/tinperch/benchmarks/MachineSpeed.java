package tinperch.benchmarks;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.desktop.window.TinPerchApp;
import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;
import tinperch.machine.book.SettingChange;
import tinperch.machine.book.SettingKey;
import tinperch.machine.space.Gaps;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.NeighbourMesh;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;
import tinperch.workshop.model.ReadModel;

/**
 * What the README says about the speed of a machine's page and of bringing in a model; {@code ./tinperch bench MachineSpeed}.
 * The window is the real one and needs a display, a virtual one will do.
 */
public class MachineSpeed {
    /** A machine with 300 entries in its book and 60 neighbours, half of them not boxes. */
    static Machine busy() {
        return busy("busy");
    }

    private static Machine busy(String id) {
        LocalDate came = LocalDate.of(2025, 1, 1);
        Book b = Book.begun(came);
        for (int i = 0; i < 100; i++) {
            ComponentKind kind = ComponentKind.values()[i % ComponentKind.values().length];
            Optional<String> old = i < ComponentKind.values().length ? Optional.empty()
                    : Optional.of("c" + (i - ComponentKind.values().length));
            b = b.fit(new Component("c" + i, kind, kind.label() + " number " + i, "", new Ratings(24, 0, 40, 0, 0), came.plusDays(3L * i),
                    Optional.empty(), old, "Hanna", "as needed"));
        }
        for (int i = 0; i < 200; i++) {
            b = b.set(new SettingChange("s" + i, SettingKey.ALL.get(i % SettingKey.ALL.size()).key(), i, "", came.plusDays(i), "Hanna",
                    "tried"));
        }
        Machine m = new Machine(id, "Busy", Machine.Kind.MOVING_BED, "", new Machine.Space(220, 220, 240), 0.4, true, 24, 0.2,
                List.of("PLA"), Machine.State.FIT, "", b);
        Surroundings s = StartingFrames.of(m);
        List<Group> groups = s.groups();
        for (int i = 0; i < 60; i++) {
            Neighbour.Form form = i % 4 == 0 ? Neighbour.Form.CYLINDER : i % 4 == 1 ? Neighbour.Form.PROFILE : Neighbour.Form.BOX;
            s = s.with(new Neighbour("n" + i, "neighbour " + i, i % 3 == 0 ? "" : groups.get(i % groups.size()).name(), Neighbour.Kind.SOLID,
                    form, new Vec3(40 * (i % 8), 40 * (i / 8), 20 * (i % 5)), new Vec3(20 + i % 7, 20, 30), "xyz".substring(i % 3, i % 3 + 1),
                    3, 0));
        }
        return m.withSurroundings(s);
    }

    /** The real window with a busy machine in it, and many like it. */
    @State(Scope.Thread)
    public abstract static class Window {
        private static final int MANY = 12;

        private Path folder;
        Desk desk;
        Stage stage;
        Machine busy;
        Machine other;
        final List<Machine> many = new ArrayList<>();

        @Setup
        public void open() throws Exception {
            folder = Files.createTempDirectory("tinperch-bench");
            CountDownLatch up = new CountDownLatch(1);
            Platform.startup(up::countDown);
            up.await();
            Platform.setImplicitExit(false);
            onFx(() -> {
                desk = new Desk(TinPerchApp.openWorkshop(folder.resolve("w.db"), true));
                busy = busy();
                desk.workshop().edit("busy", s -> s.with(busy));
                for (int i = 0; i < MANY; i++) {
                    Machine k = busy("busy" + i);
                    many.add(k);
                    desk.workshop().edit("busy", s -> s.with(k));
                }
                other = desk.state().machine("turnstone").orElseThrow();
                stage = new Stage();
                TinPerchApp.show(stage, desk, 1280, 800);
                desk.goTo(other);
                return null;
            });
            begin();
        }

        /** Until the sheet of the machine gone to has its axes. */
        void waitFor(String id) throws Exception {
            while (onFx(() -> Ui.find(stage.getScene().getRoot(), id)) == null) {
                Thread.sleep(20);
            }
        }

        /** What else has to be there. */
        void begin() throws Exception { }

        @TearDown
        public void close() throws Exception {
            onFx(() -> {
                stage.hide();
                desk.close();
                return null;
            });
            Platform.exit();
        }

        static <T> T onFx(Callable<T> work) throws InterruptedException, ExecutionException {
            FutureTask<T> task = new FutureTask<>(work);
            Platform.runLater(task);
            return task.get();
        }
    }

    /** From going to a page until it is styled and laid out. */
    @BenchmarkMode(Mode.SampleTime)
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    @Warmup(iterations = 3, time = 8)
    @Measurement(iterations = 5, time = 8)
    @Fork(value = 1, jvmArgs = {"-XX:+UseParallelGC", "-Xmx2g"})
    public static class Page extends Window {
        private static final int REST_MS = 1500;

        private int number;

        /** Nobody opens a page while the window is still busy with the one before. */
        @Setup(Level.Invocation)
        public void rest() throws Exception {
            waitFor("machine-name");
            Thread.sleep(REST_MS);
        }

        /** Goes to a place, and waits until the window's next frame is styled and laid out, as it would be for a click. */
        private void open(Machine machine) throws Exception {
            CountDownLatch laidOut = new CountDownLatch(1);
            Runnable done = laidOut::countDown;
            onFx(() -> {
                stage.getScene().addPostLayoutPulseListener(done);
                desk.goTo(machine);
                Platform.requestNextPulse();
                return 0;
            });
            laidOut.await();
            onFx(() -> {
                stage.getScene().removePostLayoutPulseListener(done);
                return 0;
            });
        }

        /** To the sheet of a machine not looked at lately; its other pages are made afterwards. */
        @Benchmark
        public int openFirst() throws Exception {
            number = (number + 1) % many.size();
            open(many.get(number));
            return 0;
        }

        /** Back to a sheet looked at lately from another machine's, and to that again. */
        @Benchmark
        @OperationsPerInvocation(2)
        public int openAgain() throws Exception {
            open(other);
            open(busy);
            return 0;
        }
    }

    /** The axes of a machine moved by hand. */
    @BenchmarkMode(Mode.AverageTime)
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    @Warmup(iterations = 3, time = 3)
    @Measurement(iterations = 5, time = 3)
    @Fork(value = 1, jvmArgs = {"-XX:+UseParallelGC", "-Xmx2g"})
    public static class Motion extends Window {
        private static final int FRAMES = 60;

        private boolean forth;

        @Override
        void begin() throws Exception {
            onFx(() -> {
                desk.goTo(busy, tinperch.desktop.desk.Page.SURROUNDINGS);
                return 0;
            });
            waitFor("travel-x");
        }

        /** Sixty frames of the real window, an axis moving in each: milliseconds a frame, 33 are thirty frames a second. */
        @Benchmark
        @OperationsPerInvocation(FRAMES)
        public int frameWhileMoving() throws Exception {
            CountDownLatch done = new CountDownLatch(FRAMES);
            onFx(() -> {
                Node strip = Ui.find(stage.getScene().getRoot(), "travel-x");
                new AnimationTimer() {
                    @Override
                    public void handle(long now) {
                        forth = done.getCount() % 10 < 5;
                        strip.fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", forth ? KeyCode.RIGHT : KeyCode.LEFT, false, false,
                                false, false));
                        done.countDown();
                        if (done.getCount() == 0) {
                            stop();
                        }
                    }
                }.start();
                return 0;
            });
            done.await();
            return 0;
        }
    }

    /** Work in the background. */
    @State(Scope.Thread)
    @BenchmarkMode(Mode.SampleTime)
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    @Warmup(iterations = 2, time = 3)
    @Measurement(iterations = 4, time = 3)
    @Fork(value = 1, jvmArgs = {"-XX:+UseParallelGC", "-Xmx2g"})
    public static class Background {
        private Path file;
        private Gaps gaps;
        private Map<String, Double> home;

        @Setup
        public void write() throws IOException {
            file = Files.createTempDirectory("tinperch-bench").resolve("ring.stl");
            ring(file, 500, 500);
            Surroundings s = busy().surroundings();
            NeighbourMesh meshes = new NeighbourMesh(id -> Optional.empty(), id -> Optional.empty());
            Map<String, Shape> shapes = new java.util.HashMap<>();
            s.neighbours().forEach(n -> shapes.put(n.id(), Shape.of(n, meshes)));
            gaps = new Gaps(s, shapes);
            home = s.home();
        }

        /** 500 000 triangles read, mended and packed. */
        @Benchmark
        public ReadModel bringIn500k() throws IOException {
            return ReadModel.of(file, share -> true).get(0);
        }

        /** The tightest true gap among 60 neighbours. */
        @Benchmark
        public Optional<Gaps.Gap> tightest() {
            return gaps.betweenShapes(home);
        }

        private static void ring(Path p, int n, int m) throws IOException {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(p), 1 << 20)) {
                ByteBuffer head = ByteBuffer.allocate(84).order(ByteOrder.LITTLE_ENDIAN).putInt(80, 2 * n * m);
                out.write(head.array());
                ByteBuffer r = ByteBuffer.allocate(50).order(ByteOrder.LITTLE_ENDIAN);
                int[][] corners = {{0, 0}, {1, 0}, {1, 1}, {0, 0}, {1, 1}, {0, 1}};
                for (int i = 0; i < n * m; i++) {
                    for (int t = 0; t < 6; t++) {
                        if (t % 3 == 0) {
                            r.clear().position(12);
                        }
                        double u = 2 * Math.PI * ((i / m + corners[t][0]) % n) / n;
                        double v = 2 * Math.PI * ((i % m + corners[t][1]) % m) / m;
                        r.putFloat((float) ((60 + 20 * Math.cos(v)) * Math.cos(u))).putFloat((float) ((60 + 20 * Math.cos(v)) * Math.sin(u)))
                                .putFloat((float) (20 * Math.sin(v)));
                        if (t % 3 == 2) {
                            out.write(r.array());
                        }
                    }
                }
            }
        }
    }
}
