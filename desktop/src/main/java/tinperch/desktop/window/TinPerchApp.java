package tinperch.desktop.window;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Supplier;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import javafx.util.Duration;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.EarlyLook;
import tinperch.desktop.look.EarlySkins;
import tinperch.desktop.look.Theme;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.background.Crew;
import tinperch.workshop.demo.DemoLogs;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.store.Backups;
import tinperch.workshop.store.EarlyStore;
import tinperch.workshop.store.StoreFault;
import tinperch.workshop.store.WorkshopStore;

/** The JavaFX application: opens the workshop, shows the window. */
public final class TinPerchApp extends Application {
    /** After so many the window stands. */
    private static final int FIRST_FRAMES = 2;
    private static CompletableFuture<Workshop> opening;
    private static Path file;
    private static boolean demo;
    private Desk desk;

    /**
     * Opens the window and returns when it is closed. The workshop is opened beside the toolkit's start.
     *
     * @param target the workshop file
     * @param withDemo fill an empty file with the demo
     * @param fresh set the old demo aside first
     * @param first done before the file is opened
     */
    public static void launchOn(Path target, boolean withDemo, boolean fresh, Runnable first) {
        file = target;
        demo = withDemo;
        opening = CompletableFuture.supplyAsync(() -> {
            first.run();
            if (fresh && demo) {
                setAside(file);
                // Its backups stay; nobody has to be asked whether they are wanted.
                return filled(WorkshopStore.begin(file), true);
            }
            return openWorkshop(file, demo);
        });
        CompletableFuture.runAsync(EarlyStore::once);
        launch(TinPerchApp.class);
    }

    @Override
    public void start(Stage stage) {
        Theme.standard();
        // The workshop is still being opened on the other core.
        EarlyLook.once();
        try {
            begin(stage, opening.join());
        } catch (CompletionException e) {
            System.err.println(e.getCause().getMessage());
            stage.setScene(new Scene(new ClosedDoor(e.getCause(), ways(stage)), 560, 260));
            stage.setTitle("Tin Perch");
            stage.show();
        }
    }

    private void begin(Stage stage, Workshop workshop) {
        desk = new Desk(workshop);
        Runnable goOn = desk.engine().holdBack();
        show(stage, desk, 1280, 800);
        afterFrames(stage.getScene(), FIRST_FRAMES, goOn);
        PauseTransition standing = new PauseTransition(Duration.seconds(1.5));
        standing.setOnFinished(e -> desk.warmUp());
        standing.play();
    }

    private static void afterFrames(Scene scene, int frames, Runnable then) {
        int[] left = {frames};
        Runnable[] count = new Runnable[1];
        count[0] = () -> {
            if (--left[0] == 0) {
                scene.removePostLayoutPulseListener(count[0]);
                then.run();
            }
        };
        scene.addPostLayoutPulseListener(count[0]);
    }

    private ClosedDoor.Ways ways(Stage stage) {
        return new ClosedDoor.Ways() {
            @Override
            public List<Backups.Backup> backups() {
                return new Backups(file).list();
            }

            @Override
            public Throwable again() {
                return tried(() -> openWorkshop(file, demo));
            }

            @Override
            public Throwable begin() {
                return tried(() -> filled(WorkshopStore.begin(file), demo));
            }

            @Override
            public Throwable backTo(Backups.Backup backup) {
                return tried(() -> {
                    Backups.putBack(backup, file);
                    return openWorkshop(file, demo);
                });
            }

            private Throwable tried(Supplier<Workshop> open) {
                try {
                    Workshop w = open.get();
                    stage.hide();
                    TinPerchApp.this.begin(new Stage(), w);
                    return null;
                } catch (RuntimeException e) {
                    return e;
                }
            }
        };
    }

    /** Opens a workshop file; an empty one is filled with the demo when asked. */
    public static Workshop openWorkshop(Path file, boolean demo) {
        return filled(WorkshopStore.open(file), demo);
    }

    private static Workshop filled(WorkshopStore store, boolean demo) {
        try {
            if (demo && !store.isReadOnly() && store.isEmpty()) {
                DemoModels.blobs().forEach(store::keepMesh);
                store.save(WorkshopState.EMPTY, DemoWorkshop.state());
            }
            Workshop w = new Workshop(store, new Crew("writer", Platform::runLater));
            w.onLogs(logs -> DemoLogs.fill(w.state().machines(), logs));
            return w;
        } catch (RuntimeException e) {
            // Whoever tries next must not be told that it is open.
            store.close();
            throw e;
        }
    }

    /** @throws StoreFault when a window has it open */
    private static void setAside(Path file) {
        if (Files.exists(file)) {
            try {
                WorkshopStore.open(file).close();
            } catch (StoreFault e) {
                if (e.kind() == StoreFault.Kind.LOCKED) {
                    throw e;
                }
            }
        }
        String stamp = LocalDateTime.now().format(DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss"));
        for (String end : new String[] {"", "-wal", "-shm"}) {
            Path p = file.resolveSibling(file.getFileName() + end);
            try {
                if (Files.exists(p)) {
                    Files.move(p, file.resolveSibling(file.getFileName() + "." + stamp + end));
                }
            } catch (IOException e) {
                throw new UncheckedIOException("The old demo “" + p + "” could not be set aside; close whatever has it open and try again.", e);
            }
        }
    }

    /** Puts the application's window on a stage. */
    public static void show(Stage stage, Desk desk, double width, double height) {
        AppWindow window = new AppWindow(desk);
        Scene scene = new Scene(window, width, height);
        EarlySkins.in(scene);
        desk.theme().applyTo(scene);
        window.attachTo(scene);
        stage.setTitle("Tin Perch");
        stage.setMinWidth(1000);
        stage.setMinHeight(640);
        stage.setScene(scene);
        stage.show();
    }

    @Override
    public void stop() {
        if (desk != null) {
            desk.close();
        }
    }
}
