package tinperch.desktop.temperature;

import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Dropped;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.files.log.LogLayout;
import tinperch.machine.Machine;
import tinperch.trial.Run;
import tinperch.workshop.log.Taking;

/** What was recorded of a machine: logs are taken in on the left, one is drawn and told of on the right. */
public final class TemperaturesPage extends BorderPane implements View {
    private final Desk desk;
    private final String machineId;
    private final Taking taking = new Taking(Platform::runLater);
    private final RunList list;
    private final RunView view;
    private final RecordPanel record;
    private final ProgressBar bar = new ProgressBar(0);
    private final Label what = Ui.label("", "faint");
    private final HBox reading;
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "runs-complaint");
    private String shownId = "";
    private String underId = "";
    private MappingView mapping;

    public TemperaturesPage(Desk desk, String machineId) {
        this.desk = desk;
        this.machineId = machineId;
        Ui.id(this, "temperatures");
        getStyleClass().add("page");
        view = new RunView(desk, machineId);
        list = new RunList(r -> {
            shownId = r.id();
            underId = "";
            mapping = null;
            refresh();
        }, r -> {
            underId = underId.equals(r.id()) ? "" : r.id();
            refresh();
        });
        Button bring = Ui.id(Ui.button("Take in a log", "mdi2f-file-import-outline", this::choose), "log-choose");
        Ui.tip(bring, "A table of any layout (CSV) or the lines a board reports; it may also be dropped here");
        Button stop = Ui.id(Ui.button("Stop", null, this::stop), "log-stop");
        bar.setPrefWidth(90);
        reading = new HBox(8, bar, stop);
        reading.setAlignment(Pos.CENTER_LEFT);
        Scroller runs = new Scroller(list);
        runs.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(runs, Priority.ALWAYS);
        record = new RecordPanel(desk, machineId);
        desk.recordings().onChange(id -> {
            if (id.equals(machineId)) {
                record.refresh();
                desk.recordings().of(machineId).ifPresent(r -> view.grown(r.runId()));
            }
        });
        TypedPanel typed = new TypedPanel(desk, machineId, () -> desk.state().machine(machineId).flatMap(m -> m.run(shownId)), r -> {
            shownId = r.id();
            refresh();
        });
        VBox left = new VBox(10, bring, record, typed, reading, what, complaint, runs);
        left.setPrefWidth(216);
        left.setMinWidth(216);
        setLeft(left);
        BorderPane.setMargin(left, new Insets(0, 14, 0, 0));
        busy("");
        complain("");
        Dropped.on(this, this::look);
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("A log of temperatures");
        File f = chooser.showOpenDialog(getScene().getWindow());
        if (f != null) {
            look(f.toPath());
        }
    }

    /** Looks at a file and shows how it would be read. */
    public void look(Path file) {
        complain("");
        try {
            Taking.Seen seen = Taking.look(file);
            LogLayout remembered = Remembered.layout(desk, seen).orElse(seen.layout());
            mapping = new MappingView(seen, remembered, l -> take(seen, l), () -> {
                mapping = null;
                refresh();
            });
            refresh();
        } catch (IOException e) {
            complain(e instanceof tinperch.files.FileFault ? e.getMessage() : "The file cannot be read (" + e.getMessage() + "). Nothing was taken in.");
        }
    }

    private void take(Taking.Seen seen, LogLayout layout) {
        Remembered.keep(desk, seen, layout);
        mapping = null;
        busy("Reading " + seen.file().getFileName() + " …");
        bar.setProgress(0);
        refresh();
        taking.take(desk.workshop()::logs, seen, layout, "run-" + UUID.randomUUID(), bar::setProgress, taken -> {
            busy("");
            Run run = taken.run();
            shownId = run.id();
            desk.workshop().edit("take in " + run.name(), s -> s.machine(machineId).map(m -> s.with(m.with(run))).orElse(s));
            if (taken.read().troubles().isEmpty()) {
                desk.say(taken.read().rows() + " rows of " + run.source() + " were taken in.");
            } else {
                complain(String.join(" ", taken.read().troubles()));
            }
        }, why -> {
            busy("");
            complain(why);
        });
    }

    private void stop() {
        taking.stop();
        busy("");
        complain("Stopped; nothing was taken in.");
    }

    private void busy(String doing) {
        what.setText(doing);
        what.setManaged(!doing.isEmpty());
        reading.setVisible(!doing.isEmpty());
        reading.setManaged(!doing.isEmpty());
    }

    private void complain(String why) {
        complaint.setText(why);
        complaint.setManaged(!why.isEmpty());
    }

    @Override
    public void refresh() {
        Optional<Machine> machine = desk.state().machine(machineId);
        if (machine.isEmpty()) {
            return;
        }
        List<Run> runs = machine.get().runs();
        Run shown = machine.get().run(shownId).orElse(runs.isEmpty() ? null : runs.get(runs.size() - 1));
        // One that was removed is shown again when it comes back.
        String now = shown == null ? "" : shown.id();
        Run under = machine.get().run(underId).filter(r -> !r.id().equals(now)).orElse(null);
        list.show(runs, mapping == null ? now : "", under == null ? "" : under.id());
        if (mapping != null) {
            Scroller s = new Scroller(mapping);
            setCenter(s);
        } else if (shown == null) {
            setCenter(Ui.text("Nothing is recorded of this machine yet. A thermocouple logger's table, or the lines its board reports, tell what a connector, a carriage or a chamber "
                    + "really reaches: before an upgrade and after it. Take in a log, or drop it here.", "faint"));
        } else {
            setCenter(view);
            view.show(machine.get(), shown, under);
        }
    }
}
