package tinperch.desktop.machine;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.stage.FileChooser;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.files.FileFault;
import tinperch.files.log.HoursLog;
import tinperch.machine.book.HoursRun;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/** The hour counter as read last; typing another number writes it down for today, a log brings many days at once. */
final class HoursRow extends Column {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    private final MachineForm form;

    HoursRow(MachineForm form) {
        super(2);
        this.form = form;
        CommitField f = new CommitField("hours-run", "", typed -> {
            try {
                double v = Quantity.parse(typed, Unit.HOURS);
                return BookEdit.make(form.desk(), form.machineId(), "hours run " + Quantity.show(v, Unit.HOURS), b -> b.run(
                        new HoursRun(BookEdit.freshId(), LocalDate.now(), v, "typed")));
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        });
        f.setMaxWidth(110);
        Label of = Ui.label("", "faint");
        form.onRefresh(() -> {
            Optional<HoursRun> h = form.machine().book().hoursAt(LocalDate.now());
            f.refresh(h.map(r -> Quantity.show(r.hours(), Unit.HOURS)).orElse("not known"));
            of.setText(h.map(r -> "on " + r.on().format(DAY) + (r.source().isEmpty() ? "" : ", " + r.source())).orElse(""));
        });
        Button log = Ui.whole(Ui.id(Ui.button("read a log", null, () -> {
            FileChooser chooser = new FileChooser();
            chooser.setTitle("A log with days and hours run");
            File file = chooser.showOpenDialog(getScene().getWindow());
            if (file != null) {
                read(file.toPath());
            }
        }), "hours-log"));
        Ui.tip(log, "A text file: on each line a day such as 2026-09-26 and, after it, the hours the counter showed");
        getChildren().addAll(new HBox(8, f, log), of);
    }

    /** Writes down what a log says of the hour counter. */
    void read(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            List<HoursRun> counters = HoursLog.read(in).stream().map(c -> new HoursRun(BookEdit.freshId(), c.on(), c.hours(),
                    "log " + file.getFileName())).toList();
            BookEdit.make(form.desk(), form.machineId(), "hours from " + file.getFileName(), b -> b.runAll(counters)).ifPresentOrElse(
                    form.desk()::warn, () -> form.desk().say(counters.size() == 1 ? "One day was read from the log."
                            : counters.size() + " days were read from the log."));
        } catch (FileFault e) {
            form.desk().warn(e.getMessage());
        } catch (IOException e) {
            form.desk().warn("The log cannot be read (" + e.getMessage() + "). Nothing was changed.");
        }
    }
}
