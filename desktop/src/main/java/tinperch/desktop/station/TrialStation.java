package tinperch.desktop.station;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.trial.Comparison;
import tinperch.trial.Trial;
import tinperch.upgrade.Upgrade;

/** Before against after: what was tried so far and whether it is better, worse or cannot be told; the next one is written down beside it. */
final class TrialStation extends GridPane implements View {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private final Desk desk;
    private final String upgradeId;
    private final TrialForm form;
    private final VBox done = new VBox(10);
    private final ComboBox<Choice<TrialSources.Source>> first;
    private final ComboBox<Choice<TrialSources.Source>> second;
    private final VBox taken;

    TrialStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
        setHgap(14);
        ColumnConstraints left = new ColumnConstraints();
        left.setPercentWidth(44);
        ColumnConstraints right = new ColumnConstraints();
        right.setPercentWidth(56);
        getColumnConstraints().addAll(left, right);
        form = new TrialForm(desk, upgradeId);
        first = Form.choice("trial-first", List.<Choice<TrialSources.Source>>of(), null, c -> seconds());
        second = Form.choice("trial-second", List.<Choice<TrialSources.Source>>of(), null, c -> { });
        first.setMaxWidth(Double.MAX_VALUE);
        second.setMaxWidth(Double.MAX_VALUE);
        Button take = Ui.id(Ui.button("Take both", "mdi2a-arrow-up", this::take), "trial-take");
        taken = new VBox(6, Ui.label("From reading sheets and recordings", "section"), Ui.label("Before", "field-label"), first, Ui.label("After", "field-label"), second, take);
        Button temperatures = Ui.button("Go to the machine's temperatures", "mdi2a-arrow-right", () -> desk.machine().ifPresent(m -> desk.goTo(m, Page.TEMPERATURES)));
        VBox write = new VBox(16, new VBox(8, Ui.label("Try it again", "section"), form), taken, Ui.id(new PrintTimes(desk, form), "print-times"), temperatures);
        write.getStyleClass().add("panel");
        VBox list = new VBox(10, Ui.label("What it changed", "section"), done);
        list.getStyleClass().add("panel");
        addRow(0, new Scroller(write), new Scroller(list));
        javafx.scene.layout.RowConstraints all = new javafx.scene.layout.RowConstraints();
        all.setVgrow(javafx.scene.layout.Priority.ALWAYS);
        getRowConstraints().add(all);
    }

    private void seconds() {
        TrialSources.Source chosen = Choice.in(first, null);
        List<Choice<TrialSources.Source>> others = desk.machine().map(TrialSources::paired).orElse(List.of()).stream()
                .filter(s -> chosen != null && s.kind().equals(chosen.kind()) && !s.equals(chosen)).map(s -> new Choice<>(s, s.label() + ", " + s.measured().words())).toList();
        Choice.fill(second, others, others.isEmpty() ? null : others.get(others.size() - 1).value());
    }

    private void take() {
        TrialSources.Source was = Choice.in(first, null);
        TrialSources.Source is = Choice.in(second, null);
        if (was != null && is != null) {
            form.take(was.what(), was.measured(), is.measured());
        }
    }

    @Override
    public void refresh() {
        Upgrade u = desk.state().upgrade(upgradeId).orElseThrow();
        form.refresh(u);
        Optional<Machine> m = desk.state().machine(u.machineId());
        List<Choice<TrialSources.Source>> sources = m.map(TrialSources::paired).orElse(List.of()).stream().map(s -> new Choice<>(s, s.label() + ", " + s.measured().words())).toList();
        taken.setVisible(!sources.isEmpty());
        taken.setManaged(!sources.isEmpty());
        if (!first.getItems().equals(sources)) {
            Choice.fill(first, sources, sources.isEmpty() ? null : sources.get(0).value());
            seconds();
        }
        done.getChildren().clear();
        for (int i = u.trials().size() - 1; i >= 0; i--) {
            done.getChildren().add(row(u.trials().get(i)));
        }
        if (u.trials().isEmpty()) {
            done.getChildren().add(Ui.text("Nothing was tried yet. Once it is fitted, measure what was measured before, in the same way and with the same tool" + (u.trouble().amount().isPresent() ? ": “"
                    + u.trouble().baseline() + "” was " + u.trouble().baselineValue() + "." : "."), "faint"));
        }
    }

    private Node row(Trial t) {
        Label what = Ui.text(t.what(), "strong");
        Label numbers = Ui.text(t.before().words() + from(t.before().from()) + "  →  " + t.after().words() + from(t.after().from()));
        Label says = Ui.text(t.words(), t.says() == Comparison.Says.WORSE ? "look" : "strong");
        Button away = Ui.id(Ui.button("Remove", null, () -> desk.workshop().edit("remove a trial", s -> s.upgrade(upgradeId).map(u -> s.with(u.tried(u.trials().stream().filter(x -> !x.id().equals(t.id())).toList()))).orElse(s))),
                "trial-remove-" + t.id());
        HBox head = new HBox(10, what, Ui.spring(), Ui.whole(Ui.label(DAY.format(t.on()), "faint")), away);
        head.setAlignment(Pos.BASELINE_LEFT);
        VBox box = new VBox(3, head, says, numbers);
        if (!t.note().isEmpty()) {
            box.getChildren().add(Ui.text(t.note(), "faint"));
        }
        Ui.id(box, "trial-" + t.id());
        return box;
    }

    private static String from(String where) {
        return where.isEmpty() ? "" : " (" + where + ")";
    }
}
