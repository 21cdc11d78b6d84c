package tinperch.desktop.station;

import java.io.BufferedInputStream;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Dropped;
import tinperch.desktop.look.Ui;
import tinperch.files.FileFault;
import tinperch.files.gcode.GcodeTime;
import tinperch.files.model.Stopped;
import tinperch.quantity.Quantity;
import tinperch.trial.Measured;
import tinperch.workshop.background.Latest;

/** How long two prints take by their moves, one as it was made before and one as it is made now: a trial of print time. */
final class PrintTimes extends VBox {
    private static final double USUAL_MM_S2 = 1000;

    private final Desk desk;
    private final TrialForm form;
    private final Side before = new Side("before");
    private final Side after = new Side("after");
    private final Label said = Ui.id(Ui.text("", "faint"), "print-time-said");

    PrintTimes(Desk desk, TrialForm form) {
        super(6);
        this.desk = desk;
        this.form = form;
        getChildren().addAll(Ui.label("Print time from G-code", "section"), new HBox(8, before.choose, after.choose), said);
        tell("");
    }

    /** One of the two prints. */
    private final class Side {
        private final Latest reading = new Latest("print time", Platform::runLater);
        private final Button choose;
        private Measured time;

        Side(String when) {
            choose = Ui.id(Ui.button("The print " + when, null, () -> {
                FileChooser chooser = new FileChooser();
                chooser.setTitle("The print " + when + ", as G-code");
                File file = chooser.showOpenDialog(getScene().getWindow());
                if (file != null) {
                    read(file.toPath());
                }
            }), "print-time-" + when);
            Ui.tip(choose, "A file of G-code; one can be dropped here too. Another one, while it is read, stops it");
            Dropped.on(choose, this::read);
        }

        private void read(Path file) {
            double accel = accel();
            tell("Reading " + file.getFileName() + " …");
            reading.ask(ticket -> {
                try (InputStream in = new BufferedInputStream(Files.newInputStream(file), 1 << 16)) {
                    GcodeTime.Read r = GcodeTime.of(in, accel, share -> ticket.counts());
                    ticket.deliver(() -> taken(file, r, accel));
                } catch (Stopped e) {
                    // Another was chosen.
                } catch (FileFault e) {
                    ticket.deliver(() -> tell(e.getMessage()));
                } catch (IOException e) {
                    ticket.deliver(() -> tell("“" + file.getFileName() + "” cannot be read (" + e.getMessage() + "). Nothing was taken from it."));
                }
            });
        }

        private void taken(Path file, GcodeTime.Read r, double accel) {
            time = new Measured(Math.rint(r.seconds() / 6) / 10, 0, "min", file.getFileName() + ", by its moves at " + Quantity.fixed(accel, 0) + " mm/s²");
            tell(file.getFileName() + ": " + time.words() + " for " + r.moves() + " moves" + (r.strange() > 0 ? ", " + r.strange() + " could not be read" : "") + ". Heating up, homing and probing are not in it.");
            if (before.time != null && after.time != null) {
                form.take("print time", before.time, after.time);
            }
        }
    }

    private double accel() {
        return desk.machine().flatMap(m -> m.book().at(LocalDate.now(), "").value("accel.x")).filter(a -> a > 0).or(() -> Optional.of(USUAL_MM_S2)).orElseThrow();
    }

    private void tell(String words) {
        said.setText(words);
        Ui.see(said, !words.isEmpty());
    }
}
