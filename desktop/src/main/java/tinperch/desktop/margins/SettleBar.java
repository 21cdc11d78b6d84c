package tinperch.desktop.margins;

import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.judge.SettleSearch;
import tinperch.quantity.Quantity;
import tinperch.upgrade.Case;

/** Looks for a few remedies after which nothing stops, shows what it proposes beside every margin, and makes all of it one edit when told to. */
final class SettleBar extends HBox {
    private final Desk desk;
    private final Label said = Ui.id(Ui.text(""), "settle-said");
    private final Button begin = Ui.id(Ui.button("Settle it", "mdi2a-auto-fix", this::begin), "settle-all");
    private AtomicBoolean enough = new AtomicBoolean();
    private final Button stop = Ui.id(Ui.button("Stop", null, () -> enough.set(true)), "settle-stop");
    private final Button make = Ui.id(Ui.button("Do all of it", "mdi2c-check", this::make), "settle-make");
    private final Button leave = Ui.id(Ui.button("Leave it", null, this::leave), "settle-leave");
    private Case asked;
    private SettleSearch.Proposal found;

    SettleBar(Desk desk) {
        super(8);
        this.desk = desk;
        setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(said, Priority.ALWAYS);
        make.getStyleClass().add("accent");
        Ui.tip(begin, "Looks for a few remedies together after which nothing stops, and shows them first");
        getStyleClass().add("settle-bar");
        getChildren().addAll(said, stop, make, leave);
        refresh();
    }

    /** What was looked at may be another by now. */
    void refresh() {
        boolean same = asked != null && desk.looked().filter(asked::equals).isPresent();
        if (!same) {
            enough.set(true);
            asked = null;
            found = null;
            said.setText("");
        }
        boolean stops = desk.assessmentProperty().get().count(Severity.STOP) > 0;
        Ui.see(begin, asked == null && stops);
        Ui.see(stop, asked != null && found == null);
        Ui.see(make, found != null && !found.steps().isEmpty());
        Ui.see(leave, found != null);
        Ui.see(this, asked != null);
    }

    /** What begins it, for where it is to stand. */
    Button beginning() {
        return begin;
    }

    private void begin() {
        desk.looked().ifPresent(c -> {
            asked = c;
            found = null;
            AtomicBoolean mine = new AtomicBoolean();
            enough = mine;
            said.setText("Looking …");
            refresh();
            desk.engine().settle(c, mine::get, n -> {
                if (c.equals(asked) && found == null) {
                    said.setText("Looking: " + n + (n == 1 ? " design" : " designs") + " tried …");
                }
            }, p -> {
                if (c.equals(asked)) {
                    found = p;
                    said.setText(words(p));
                    desk.previewProperty().set(p.after());
                    refresh();
                }
            });
        });
    }

    private static String words(SettleSearch.Proposal p) {
        String steps = IntStream.range(0, p.steps().size()).mapToObj(i -> i + 1 + ". " + p.steps().get(i).label()).collect(Collectors.joining("   "));
        String left = p.after().findings().stream().filter(f -> f.severity() == Severity.STOP && f.isOpen()).findFirst().map(Finding::what).orElse("");
        if (p.steps().isEmpty()) {
            return "Nothing that could be tried helps: " + left + ". (" + p.tried() + " designs tried.)";
        }
        String mass = Math.abs(p.grams() - p.gramsAfter()) < 0.05 ? "" : ", " + Quantity.fixed(p.grams(), 1) + " → " + Quantity.fixed(p.gramsAfter(), 1) + " g";
        return steps + (p.settled() ? ": then nothing stops" : ": the nearest to it; then still: " + left) + mass + ". The margins show it.";
    }

    private void make() {
        SettleSearch.Proposal p = found;
        Case c = asked;
        leave();
        desk.edits().apply("settle it: " + p.steps().stream().map(tinperch.check.Remedy::label).collect(Collectors.joining(", ")), c, p.changes());
    }

    private void leave() {
        desk.previewProperty().set(null);
        asked = null;
        found = null;
        said.setText("");
        refresh();
    }
}
