package tinperch.desktop.station;

import java.time.format.DateTimeFormatter;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.RowConstraints;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Lines;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.quantity.Amount;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;

/** What is wrong, in the owner's words, and what it measures before anything is changed. */
final class TroubleStation extends GridPane implements View {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", java.util.Locale.ENGLISH);

    private final Desk desk;
    private final String upgradeId;
    private final Lines seen = Ui.id(new Lines(), "trouble-seen");
    private final CommitField name;
    private final CommitField what;
    private final CommitField value;
    private final VBox next = new VBox(8);

    TroubleStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
        setHgap(14);
        ColumnConstraints left = new ColumnConstraints();
        left.setPercentWidth(58);
        ColumnConstraints right = new ColumnConstraints();
        right.setPercentWidth(42);
        getColumnConstraints().addAll(left, right);
        RowConstraints all = new RowConstraints();
        all.setVgrow(Priority.ALWAYS);
        getRowConstraints().add(all);
        seen.setWrapText(true);
        seen.setPromptText("What do you see? Where, when, since when?");
        seen.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                takeSeen();
            }
        });
        VBox.setVgrow(seen, Priority.ALWAYS);
        seen.setMinHeight(70);
        name = field("upgrade-name", Upgrade::name, (u, t) -> u.named(t), "name", false);
        what = field("baseline-what", u -> u.trouble().baseline(), (u, t) -> u.with(new Trouble(u.trouble().seen(), t,
                u.trouble().baselineValue())), "baseline", true);
        what.field().setPromptText("what was measured: sag of a 30 mm bridge");
        value = new CommitField("baseline-value", upgrade().trouble().baselineValue(), this::takeBaseline);
        value.field().setPromptText("1.8 mm");
        GridPane base = new GridPane();
        base.setHgap(10);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        base.getColumnConstraints().addAll(wide, new ColumnConstraints(130));
        base.addRow(0, Ui.label("Baseline: what was measured", "field-label"), Ui.label("Value", "field-label"));
        base.addRow(1, what, value);
        base.add(value.complaint(), 0, 2, 2, 1);
        VBox trouble = new VBox(8, Ui.label("Name of the upgrade", "field-label"), name,
                Ui.label("What is seen", "field-label"), seen, base);
        trouble.getStyleClass().add("panel");
        next.getStyleClass().add("panel");
        addRow(0, trouble, next);
    }

    private Upgrade upgrade() {
        return desk.state().upgrade(upgradeId).orElseThrow();
    }

    private void takeSeen() {
        Upgrade u = upgrade();
        String t = seen.getText().strip();
        if (!t.equals(u.trouble().seen())) {
            desk.workshop().edit("what is seen", s -> s.with(u.with(
                    new Trouble(t, u.trouble().baseline(), u.trouble().baselineValue()))));
        }
    }

    /** A number, so that a later trial can be set against it. */
    private Optional<String> takeBaseline(String typed) {
        String t = typed.strip();
        Optional<Amount> amount = Amount.of(t);
        if (!t.isEmpty() && amount.isEmpty()) {
            return Optional.of("“" + t + "” is no number with a unit; type one such as 1.8 mm or 3 stops. The old one stays.");
        }
        desk.workshop().edit("baseline value", s -> {
            Upgrade u = s.upgrade(upgradeId).orElseThrow();
            return s.with(u.with(new Trouble(u.trouble().seen(), u.trouble().baseline(), amount.map(Amount::toString).orElse(""))));
        });
        return Optional.empty();
    }

    private CommitField field(String id, Function<Upgrade, String> get, BiFunction<Upgrade, String, Upgrade> set, String label,
            boolean mayBeEmpty) {
        return new CommitField(id, get.apply(upgrade()), typed -> {
            if (typed.isBlank() && !mayBeEmpty) {
                return Optional.of("An upgrade needs a name; the old one stays.");
            }
            desk.workshop().edit(label, s -> s.with(set.apply(s.upgrade(upgradeId).orElseThrow(), typed.strip())));
            return Optional.empty();
        });
    }

    @Override
    public void refresh() {
        Upgrade u = upgrade();
        name.refresh(u.name());
        what.refresh(u.trouble().baseline());
        value.refresh(u.trouble().baselineValue());
        if (!seen.isFocused() && !seen.getText().equals(u.trouble().seen())) {
            seen.setText(u.trouble().seen());
        }
        next.getChildren().setAll(Ui.label("Where it stands", "section"));
        add("Begun " + u.started().format(DAY) + " on " + desk.machine().map(Machine::name).orElse("") + ".");
        Optional<Revision> last = desk.state().revisionsOf(upgradeId).stream().reduce((a, b) -> b);
        last.ifPresent(r -> add(r.mark() + " " + r.life().end().label().toLowerCase(java.util.Locale.ROOT) + " after "
                + tinperch.quantity.Quantity.show(r.life().hours(), tinperch.quantity.Unit.HOURS)
                + (r.life().note().isEmpty() ? "." : ": " + r.life().note() + ".")));
        Station step = u.trouble().seen().isEmpty() ? null
                : Station.SHAPE;
        if (step == null) {
            add("Write down what you see first, and one number that a later trial can be compared with.");
        } else {
            add(u.parts().isEmpty() ? "Next: choose the kind of part; it is made at once from usual sizes." : "Next: look at the tightest margin below.");
            next.getChildren().add(Ui.id(Ui.button("Go to " + step.title(), "mdi2a-arrow-right", () -> desk.goTo(step)),
                    "go-on"));
        }
        next.getChildren().add(overview(u));
        Label caution = Ui.text("Before you take anything off: switch off, unplug, let hot parts cool. Splice no wire that is "
                + "plugged in.", "caution");
        next.getChildren().add(caution);
    }

    @Override
    public void judged() {
        refresh();
    }

    /** What each later station says, so that the sheet tells the whole story. */
    private GridPane overview(Upgrade u) {
        GridPane g = new GridPane();
        g.setHgap(18);
        g.setVgap(5);
        g.setPadding(new javafx.geometry.Insets(8, 0, 8, 0));
        int row = 0;
        for (Station s : Station.values()) {
            if (s != Station.TROUBLE) {
                g.addRow(row++, Ui.whole(Ui.label(s.title(), "field-label")), Ui.label(StationStates.of(s, u, desk)));
            }
        }
        return g;
    }

    private void add(String text) {
        next.getChildren().add(Ui.text(text));
    }
}
