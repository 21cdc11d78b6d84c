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
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.files.FileFault;
import tinperch.files.log.HoursLog;
import tinperch.files.model.Stopped;
import tinperch.workshop.background.Crew;
import tinperch.machine.book.HoursRun;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/** The hour counter as read last; typing another number writes it down for today, a log brings many days at once. */
final class HoursRow extends Column {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    private final MachineForm form;
    private final Crew crew = new Crew("hours log", Platform::runLater);
    private final VBox preview = new Column(4);
    private volatile int asked;

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
        getChildren().addAll(new HBox(8, f, log), of, preview);
        Ui.see(preview, false);
    }

    /** Reads a log in the background and shows what would be written down; nothing is until the owner says so. */
    void read(Path file) {
        read(file, HoursLog.Mark.UNSAID);
    }

    private void read(Path file, HoursLog.Mark mark) {
        say(Ui.text("Reading " + file.getFileName() + " …", "faint"));
        int mine = ++asked;
        crew.give(() -> {
            try (InputStream in = Files.newInputStream(file)) {
                return new Answer(HoursLog.read(in, mark, share -> mine == asked), "");
            } catch (Stopped e) {
                return new Answer(null, "");
            } catch (FileFault e) {
                return new Answer(null, e.getMessage());
            } catch (IOException e) {
                return new Answer(null, "The log cannot be read (" + e.getMessage() + "). Nothing was changed.");
            }
        }, answer -> {
            if (mine == asked) {
                preview.getChildren().clear();
                Ui.see(preview, false);
                if (answer.read == null) {
                    form.desk().warn(answer.why);
                } else {
                    offer(file, answer.read);
                }
            }
        });
    }

    /** What came of reading: the log, or why there is none. */
    private record Answer(HoursLog.Read read, String why) {}

    private void say(Node... nodes) {
        preview.getChildren().setAll(nodes);
        Ui.see(preview, true);
    }

    private void offer(Path file, HoursLog.Read r) {
        StringBuilder words = new StringBuilder();
        if (!r.counters().isEmpty()) {
            HoursLog.Counter last = r.counters().get(r.counters().size() - 1);
            words.append(r.counters().size() == 1 ? "One day" : r.counters().size() + " days").append(" would be written down, the last ").append(last.on().format(DAY)).append(" with ")
                    .append(Quantity.show(last.hours(), Unit.HOURS)).append(". ");
        }
        if (r.eitherCount() > 0) {
            words.append(r.eitherCount() == 1 ? "One line" : r.eitherCount() + " lines").append(" can be read in two ways, such as “").append(r.either().get(0).strip()).append("”. ");
        }
        if (!r.wrong().isEmpty()) {
            words.append("Not read, because they hold several numbers or less than none: “").append(String.join("”, “", r.wrong())).append("”.");
        }
        HBox ways = new HBox(6);
        if (r.eitherCount() > 0) {
            ways.getChildren().addAll(Ui.id(Ui.button("the mark parts thousands", null, () -> read(file, HoursLog.Mark.THOUSANDS)), "hours-thousands"),
                    Ui.id(Ui.button("it parts decimals", null, () -> read(file, HoursLog.Mark.DECIMALS)), "hours-decimals"));
        }
        if (!r.counters().isEmpty()) {
            Button take = Ui.id(Ui.button("Write it down", "mdi2c-check", () -> take(file, r)), "hours-take");
            ways.getChildren().add(0, take);
        }
        ways.getChildren().add(Ui.id(Ui.button("Leave it", null, () -> Ui.see(preview, false)), "hours-leave"));
        say(Ui.id(Ui.text(words.toString().strip()), "hours-preview"), ways);
    }

    private void take(Path file, HoursLog.Read r) {
        Ui.see(preview, false);
        List<HoursRun> counters = r.counters().stream().map(c -> new HoursRun(BookEdit.freshId(), c.on(), c.hours(), "log " + file.getFileName())).toList();
        BookEdit.make(form.desk(), form.machineId(), "hours from " + file.getFileName(), b -> b.runAll(counters)).ifPresentOrElse(
                form.desk()::warn, () -> form.desk().say(counters.size() == 1 ? "One day was read from the log." : counters.size() + " days were read from the log."));
    }
}
