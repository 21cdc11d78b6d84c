package tinperch.desktop.window;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.stage.Stage;
import javafx.util.Duration;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Theme;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.store.StoreFault;
import tinperch.workshop.store.WorkshopStore;

/** The JavaFX application: opens the workshop, shows the window. */
public final class TinPerchApp extends Application {
    private static CompletableFuture<Workshop> opening;
    private Desk desk;

    /**
     * Opens the window and returns when it is closed. The workshop is opened beside the toolkit's start.
     *
     * @param file the workshop file
     * @param demo fill an empty file with the demo
     * @param fresh set the old demo aside first
     * @param first done before the file is opened
     */
    public static void launchOn(Path file, boolean demo, boolean fresh, Runnable first) {
        opening = CompletableFuture.supplyAsync(() -> {
            first.run();
            if (fresh && demo) {
                setAside(file);
            }
            return openWorkshop(file, demo);
        });
        launch(TinPerchApp.class);
    }

    @Override
    public void start(Stage stage) {
        Theme.standard();
        try {
            desk = new Desk(opening.join());
        } catch (CompletionException e) {
            String why = e.getCause().getMessage();
            System.err.println(why);
            stage.setScene(new Scene(new ClosedDoor(why), 520, 220));
            stage.setTitle("Tin Perch");
            stage.show();
            return;
        }
        show(stage, desk, 1280, 800);
        PauseTransition standing = new PauseTransition(Duration.seconds(1.5));
        standing.setOnFinished(e -> desk.warmUp());
        standing.play();
    }

    /** Opens a workshop file; an empty one is filled with the demo when asked. */
    public static Workshop openWorkshop(Path file, boolean demo) {
        WorkshopStore store = WorkshopStore.open(file);
        if (demo && !store.isReadOnly() && store.load().equals(WorkshopState.EMPTY)) {
            DemoModels.blobs().forEach(store::keepMesh);
            store.save(WorkshopState.EMPTY, DemoWorkshop.state());
        }
        return new Workshop(store);
    }

    private static void setAside(Path file) {
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
