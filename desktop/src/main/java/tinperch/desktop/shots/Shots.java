package tinperch.desktop.shots;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.Node;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.machine.MachineView;
import tinperch.desktop.window.TinPerchApp;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;

/** Walks the demo workshop through its main views and writes a PNG of each. */
public final class Shots {
    private final Path out;
    private final String only;
    private final boolean longNames;
    private final boolean all;
    private final Deque<Walk.Step> steps = new ArrayDeque<>();
    private final CountDownLatch done = new CountDownLatch(1);
    private Desk desk;
    private Stage stage;
    private int written;

    private Shots(Path out, String only, boolean longNames, boolean all) {
        this.all = all;
        this.out = out;
        this.only = only;
        this.longNames = longNames;
    }

    /** Writes the pictures; returns 0, or 1 when none could be written. */
    public static int run(Path out, int width, int height, String only, boolean dark, boolean longNames,
            boolean all) {
        Shots shots = new Shots(out, only, longNames, all);
        try {
            Files.createDirectories(out);
            Path file = Files.createTempDirectory("tinperch-shots").resolve("demo.db");
            Platform.startup(() -> shots.begin(file, width, height, dark));
            shots.done.await();
            Platform.exit();
        } catch (IOException | InterruptedException e) {
            System.err.println("No pictures: " + e.getMessage());
            return 1;
        }
        System.out.println(shots.written + " pictures in " + out);
        return shots.written > 0 ? 0 : 1;
    }

    private void begin(Path file, int width, int height, boolean dark) {
        // Opened once before, so that there is a backup to be seen.
        TinPerchApp.openWorkshop(file, true).close();
        Workshop workshop = TinPerchApp.openWorkshop(file, true);
        desk = new Desk(workshop);
        if (dark) {
            desk.theme().setDark(true);
        }
        if (longNames) {
            lengthenNames();
        }
        stage = new Stage();
        TinPerchApp.show(stage, desk, width, height);
        steps.addAll(new Walk(desk, stage, dark).steps());
        next();
    }

    /** A machine's sheet is made over several frames. */
    private static boolean complete(Node root) {
        return root.lookupAll(".machine-view").stream().noneMatch(n -> n instanceof MachineView s && s.isVisible() && !s.isComplete());
    }

    private void lengthenNames() {
        String tail = " with a very long name that somebody typed because they wanted to say everything at once";
        desk.workshop().edit("long names", s -> {
            for (var m : s.machines()) {
                var longer = m.withName(m.name() + tail);
                for (var sheet : m.sheets()) {
                    longer = longer.with(sheet.named(sheet.name() + tail));
                }
                s = s.with(longer);
            }
            for (Upgrade u : s.upgrades()) {
                Upgrade longer = u.named(u.name() + tail);
                for (PartDesign p : u.parts()) {
                    longer = longer.with(p.withName(p.name() + tail));
                }
                s = s.with(longer);
            }
            return s;
        });
    }

    private void next() {
        Walk.Step s = steps.poll();
        if (s == null) {
            desk.close();
            done.countDown();
            return;
        }
        try {
            s.prepare().run();
        } catch (RuntimeException e) {
            System.err.println(s.name() + ": " + e);
        }
        javafx.animation.PauseTransition settle = new javafx.animation.PauseTransition(Duration.millis(700));
        settle.setOnFinished(e -> Platform.runLater(() -> {
            if (!complete(stage.getScene().getRoot())) {
                settle.playFromStart();
                return;
            }
            if ((s.isMain() || all) && java.util.Arrays.stream(only.split(",", -1)).anyMatch(s.name()::contains)) {
                write(s.name());
            }
            next();
        }));
        settle.play();
    }

    private void write(String name) {
        try {
            ImageIO.write(picture(), "png", out.resolve(name + ".png").toFile());
            written++;
        } catch (IOException e) {
            System.err.println(name + ".png was not written: " + e.getMessage());
        }
    }

    /** The window with whatever pops up over it. */
    private BufferedImage picture() {
        WritableImage base = stage.getScene().snapshot(null);
        BufferedImage all = SwingFXUtils.fromFXImage(base, null);
        BufferedImage image = new BufferedImage(all.getWidth(), all.getHeight(), BufferedImage.TYPE_INT_RGB);
        var g = image.createGraphics();
        g.drawImage(all, 0, 0, null);
        double x0 = stage.getScene().getWindow().getX() + stage.getScene().getX();
        double y0 = stage.getScene().getWindow().getY() + stage.getScene().getY();
        for (var w : javafx.stage.Window.getWindows()) {
            if (w != stage && w.isShowing() && w.getScene() != null) {
                g.drawImage(SwingFXUtils.fromFXImage(w.getScene().snapshot(null), null),
                        (int) (w.getX() + w.getScene().getX() - x0), (int) (w.getY() + w.getScene().getY() - y0), null);
            }
        }
        g.dispose();
        return image;
    }
}
