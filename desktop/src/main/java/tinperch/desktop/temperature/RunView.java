package tinperch.desktop.temperature;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.solid.Stop;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.trial.limit.LimitLine;
import tinperch.trial.limit.Limits;
import tinperch.trial.tell.Happening;
import tinperch.trial.tell.Told;
import tinperch.workshop.background.Latest;
import tinperch.workshop.log.LogFault;
import tinperch.workshop.log.RunReader;

/** A run drawn over time, another under it, and what is reckoned of the channel chosen over the stretch that is seen. */
final class RunView extends VBox {
    private static final Logger LOG = LoggerFactory.getLogger(RunView.class);

    private final Desk desk;
    private final String machineId;
    private final TimePlot plot;
    private final ChannelChips chips;
    private final ChannelForm form;
    private final UnlockRow unlock;
    private final ToldPane told = new ToldPane();
    private final HBox head = new HBox(10);
    private final Label trouble = Ui.text("", "complaint");
    private final Map<String, RunReader> readers = new HashMap<>();
    private final Latest opening = new Latest("samples", Platform::runLater);
    private final Latest reckoning = new Latest("told", Platform::runLater);
    private Machine machine;
    private Run run;
    private Run under;
    private String chosenId = "";
    private String headed = "";

    RunView(Desk desk, String machineId) {
        super(8);
        this.desk = desk;
        this.machineId = machineId;
        plot = new TimePlot(desk.theme(), this::reckon, this::pointed);
        chips = new ChannelChips(this::curves, c -> {
            chosenId = c.id();
            show(machine, run, under);
        });
        form = new ChannelForm(desk, machineId);
        VBox.setVgrow(plot, Priority.ALWAYS);
        plot.setPrefHeight(340);
        Scroller words = new Scroller(told);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox below = new HBox(20, form, words);
        below.setMinHeight(190);
        below.setPrefHeight(190);
        head.setAlignment(javafx.geometry.Pos.BASELINE_LEFT);
        unlock = new UnlockRow(desk);
        getChildren().addAll(head, chips, trouble, unlock, plot, below);
        trouble(null);
    }

    private void trouble(String why) {
        trouble.setText(why == null ? "" : why);
        trouble.setManaged(why != null);
    }

    /** @param below the run to be drawn under it; null for none */
    void show(Machine of, Run shown, Run below) {
        machine = of;
        if (run == null || !run.id().equals(shown.id())) {
            chosenId = "";
        }
        run = shown;
        under = below;
        if (run.channels().stream().noneMatch(c -> c.id().equals(chosenId))) {
            chosenId = run.channels().stream().filter(c -> c.kind().isEndangered()).findFirst().or(() -> run.channels().stream().findFirst()).map(Channel::id).orElse("");
        }
        heading();
        unlock.show(machine, run);
        chips.show(run, chosenId);
        run.channels().stream().filter(c -> c.id().equals(chosenId)).findFirst().ifPresent(c -> form.show(machine, run, c));
        open();
    }

    private void heading() {
        String now = run.id() + run.name() + run.note();
        if (now.equals(headed)) {
            return;
        }
        headed = now;
        CommitField name = new CommitField("run-name", run.name(), t -> edit("name a run", t.isBlank() ? run : run.withName(t.strip())));
        name.setMinWidth(240);
        name.setMaxWidth(240);
        CommitField note = new CommitField("run-note", run.note(), t -> edit("note the conditions of a run", run.withNote(t.strip())));
        note.field().setPromptText("under what conditions: doors, fan, sock, spool …");
        HBox.setHgrow(note, Priority.ALWAYS);
        head.getChildren().setAll(name, note);
        if (run.simulated()) {
            head.getChildren().add(Ui.whole(Ui.label("simulated: no machine stands behind it", "mark-tag")));
        }
        javafx.scene.control.Button away = Ui.id(Ui.button("Remove", null, () -> {
            String id = run.id();
            desk.workshop().edit("remove " + run.name(), s -> s.machine(machineId).map(m -> s.with(m.withoutRun(id))).orElse(s));
        }), "run-remove");
        Ui.tip(away, "Takes the run away; undo brings it back");
        head.getChildren().add(Ui.whole(away));
    }

    private Optional<String> edit(String label, Run next) {
        desk.workshop().edit(label, s -> s.machine(machineId).map(m -> s.with(m.with(next))).orElse(s));
        return Optional.empty();
    }

    private List<String> wanted() {
        return under == null ? List.of(run.id()) : List.of(run.id(), under.id());
    }

    /** Draws what is open; the rest is opened when somebody sees the page, which one made ahead is not. */
    private void open() {
        readers.keySet().retainAll(wanted());
        curves();
        Platform.runLater(() -> {
            if (Ui.isSeen(this)) {
                openMissing();
            }
        });
    }

    /** Opens samples that are not open yet, in the background. */
    private void openMissing() {
        List<String> missing = wanted().stream().filter(id -> !readers.containsKey(id)).toList();
        if (missing.isEmpty()) {
            return;
        }
        opening.ask(ticket -> {
            Map<String, RunReader> got = new HashMap<>();
            String why = null;
            for (String id : missing) {
                try {
                    got.put(id, desk.workshop().logs().read(id));
                } catch (LogFault e) {
                    why = e.getMessage();
                }
            }
            String said = why;
            ticket.deliver(() -> {
                readers.putAll(got);
                trouble(said);
                curves();
            });
        });
    }

    /** A run that is being recorded has more rows now. */
    void grown(String runId) {
        RunReader reader = readers.get(runId);
        if (reader == null || run == null || !run.id().equals(runId)) {
            return;
        }
        opening.ask(ticket -> {
            try {
                reader.refresh();
                ticket.deliver(this::curves);
            } catch (LogFault e) {
                ticket.deliver(() -> trouble(e.getMessage()));
            }
        });
    }

    private void curves() {
        List<Curve> all = new ArrayList<>();
        RunReader below = under == null ? null : readers.get(under.id());
        RunReader reader = readers.get(run.id());
        if (below != null) {
            all.addAll(curves(under, below, true));
        }
        if (reader != null) {
            all.addAll(curves(run, reader, false));
            trouble(null);
        }
        double end = all.stream().mapToDouble(c -> c.samples().lastS()).max().orElse(60);
        plot.show(all.isEmpty() ? "" : run.id() + (under == null ? "" : under.id()), all, run.start(), new Stretch(0, Math.max(2, end)), Happening.of(run, machine, desk.state().revisions(), desk.state().upgrades()));
        reckon();
    }

    private List<Curve> curves(Run of, RunReader reader, boolean earlier) {
        List<Curve> all = new ArrayList<>();
        Map<Channel.Kind, Integer> nth = new EnumMap<>(Channel.Kind.class);
        for (int i = 0; i < Math.min(reader.channels(), of.channels().size()); i++) {
            Channel c = of.channels().get(i);
            int n = nth.merge(c.kind(), 1, Integer::sum) - 1;
            if (chips.isSeen(c)) {
                all.add(new Curve(reader, c, i, n, earlier, Limits.of(c, of, machine, desk.state().upgrades())));
            }
        }
        return all;
    }

    /** Reckons anew, in the background, when a hand rests. */
    private void reckon() {
        RunReader reader = readers.get(run.id());
        Optional<Channel> chosen = run.channels().stream().filter(c -> c.id().equals(chosenId)).findFirst();
        if (reader == null || chosen.isEmpty()) {
            told.show(List.of());
            return;
        }
        Machine its = machine;
        Run of = run;
        Stretch seen = plot.seen();
        List<LimitLine> limits = Limits.of(chosen.get(), run, machine, desk.state().upgrades());
        Run before = under;
        RunReader below = under == null ? null : readers.get(under.id());
        reckoning.askWhenQuiet(120, ticket -> {
            try {
                List<Told> all = new RunTold(its, of, reader, chosen.get(), limits, seen, () -> !ticket.counts()).all(before, below);
                ticket.deliver(() -> told.show(all));
            } catch (Stop.Stopped e) {
                LOG.trace("Another stretch is seen");
            }
        });
    }

    /** Writes what all channels have at a time beside their names. */
    private void pointed(double s) {
        RunReader reader = run == null ? null : readers.get(run.id());
        if (reader == null) {
            return;
        }
        double[] at = new double[run.channels().size()];
        java.util.Arrays.fill(at, Double.NaN);
        if (!Double.isNaN(s)) {
            double near = Math.max(1, 3 * (reader.lastS() - reader.firstS()) / Math.max(1, reader.rows()));
            for (int i = 0; i < Math.min(at.length, reader.channels()); i++) {
                at[i] = reader.series(i, s - near, s + near).at(s);
            }
        }
        chips.values(run, at);
    }
}
