package tinperch.benchmarks;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.FutureTask;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.application.Platform;
import javafx.stage.Stage;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.Station;
import tinperch.desktop.window.TinPerchApp;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.measure.Reading;
import tinperch.measure.sheet.Sheet;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.solid.Vec3;
import tinperch.upgrade.Upgrade;

/**
 * Uses the real window at random for so many minutes: edits, undo and redo, pages, stations, machines, and opening the workshop again. Prints the
 * memory of the process every minute and every exception anything threw; ends with 1 when there was one.
 */
public final class Soak {
    private static final String BLOWER = "avocet-blower";

    private final Random random;
    private final AtomicInteger thrown = new AtomicInteger();
    private final Path file;
    private Desk desk;
    private Stage stage;

    private Soak(long seed, Path file) {
        random = new Random(seed);
        this.file = file;
    }

    /** Arguments: minutes, and a seed. */
    public static void main(String[] args) throws Exception {
        double minutes = args.length > 0 ? Double.parseDouble(args[0]) : 20;
        Soak s = new Soak(args.length > 1 ? Long.parseLong(args[1]) : 1, Files.createTempDirectory("tinperch-soak").resolve("workshop.db"));
        Thread.setDefaultUncaughtExceptionHandler((t, e) -> s.say(t.getName(), e));
        Platform.startup(() -> Thread.currentThread().setUncaughtExceptionHandler((t, e) -> s.say(t.getName(), e)));
        Platform.setImplicitExit(false);
        s.open();
        s.run(minutes);
        System.exit(s.thrown.get() == 0 ? 0 : 1);
    }

    private void say(String where, Throwable e) {
        thrown.incrementAndGet();
        System.out.println(where + ": " + e);
        for (StackTraceElement f : e.getStackTrace()) {
            if (f.getClassName().startsWith("tinperch")) {
                System.out.println("    " + f);
            }
        }
    }

    private <T> T onFx(Callable<T> work) throws Exception {
        FutureTask<T> task = new FutureTask<>(work);
        Platform.runLater(task);
        return task.get();
    }

    private void open() throws Exception {
        onFx(() -> {
            desk = new Desk(TinPerchApp.openWorkshop(file, true));
            stage = stage == null ? new Stage() : stage;
            TinPerchApp.show(stage, desk, 1280, 800);
            return null;
        });
    }

    private void run(double minutes) throws Exception {
        long begun = System.nanoTime();
        long told = begun;
        int acts = 0;
        while ((System.nanoTime() - begun) / 6e10 < minutes) {
            try {
                onFx(() -> {
                    act();
                    return null;
                });
            } catch (Exception e) {
                say("act " + acts, e.getCause() == null ? e : e.getCause());
            }
            acts++;
            Thread.sleep(20 + random.nextInt(120));
            if (acts % 400 == 0) {
                onFx(() -> {
                    desk.close();
                    return null;
                });
                open();
            }
            if ((System.nanoTime() - told) / 6e10 >= 1) {
                told = System.nanoTime();
                System.out.printf("minute %2.0f  acts %6d  resident %4d MB  heap %4d MB  thrown %d%n", (told - begun) / 6e10, acts, residentMb(), heapMb(), thrown.get());
            }
        }
    }

    private static long heapMb() {
        Runtime r = Runtime.getRuntime();
        return (r.totalMemory() - r.freeMemory()) >> 20;
    }

    private static long residentMb() {
        try {
            for (String line : Files.readAllLines(Path.of("/proc/self/status"), StandardCharsets.US_ASCII)) {
                if (line.startsWith("VmRSS:")) {
                    return Long.parseLong(line.replaceAll("\\D", "")) / 1024;
                }
            }
        } catch (IOException e) {
            // Only Linux says so.
        }
        return 0;
    }

    private <T> T any(List<T> all) {
        return all.get(random.nextInt(all.size()));
    }

    private void act() {
        List<Machine> machines = desk.state().machines();
        switch (random.nextInt(12)) {
            case 0 -> desk.goTo(any(machines), any(List.of(Page.values())));
            case 1, 2 -> {
                Upgrade u = any(desk.state().upgrades());
                desk.goTo(u, any(List.of(Station.values())));
            }
            case 3, 4, 5 -> desk.edits().set(BLOWER, "p1", ToolCarriagePlate.WIDTH, String.valueOf(70 + random.nextInt(400) / 10.0));
            case 6 -> desk.edits().set(BLOWER, "p1", ToolCarriagePlate.THICKNESS, String.valueOf(4 + random.nextInt(80) / 10.0));
            case 7 -> desk.workshop().undo();
            case 8 -> desk.workshop().redo();
            case 9 -> {
                Machine m = any(machines);
                List<Neighbour> things = new ArrayList<>(m.surroundings().neighbours());
                Neighbour n = any(things);
                desk.workshop().edit("move", s -> s.with(m.withSurroundings(m.surroundings().with(n.at(n.corner().plus(new Vec3(random.nextInt(9) - 4, random.nextInt(9) - 4, 0)))))));
            }
            case 10 -> {
                Machine m = any(machines);
                Sheet sheet = any(m.sheets());
                if (!sheet.readings().isEmpty()) {
                    String cell = any(new ArrayList<>(sheet.readings().keySet()));
                    List<Reading> more = new ArrayList<>(sheet.at(cell));
                    more.add(new Reading(more.get(0).value() + random.nextInt(5) / 100.0, java.time.Instant.now(), "calipers"));
                    desk.workshop().edit("reading", s -> s.with(m.with(sheet.with(cell, more))));
                }
            }
            default -> desk.goTo(any(List.of(Page.values())));
        }
    }

    static {
        System.setProperty("prism.order", System.getProperty("prism.order", "sw"));
    }
}
