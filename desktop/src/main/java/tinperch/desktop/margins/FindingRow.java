package tinperch.desktop.margins;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.check.Finding;
import tinperch.check.Margin;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.check.Subject;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.SeverityBadge;
import tinperch.desktop.look.Ui;
import tinperch.fact.DrawingFact;

/**
 * A finding with its ruler and what can be done. It is told other numbers as they come: a row made anew would have to be styled again, and
 * that is what a person waits for.
 */
final class FindingRow extends GridPane {
    private static final double REMEDY_WIDTH = 270;

    private final Desk desk;
    private final Label what = Ui.text("", "finding-what");
    private final Label why = Ui.text("", "finding-why");
    private final Optional<MarginBar> bar;
    private final List<Button> remedies = new ArrayList<>();
    private final Optional<Button> settle;
    private Finding finding;
    private String pressed = "";

    FindingRow(Desk desk, Finding f) {
        this.desk = desk;
        finding = f;
        getStyleClass().addAll("finding", "finding-" + f.severity().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        Ui.id(this, "finding-" + f.id());
        setHgap(14);
        ColumnConstraints text = new ColumnConstraints();
        text.setHgrow(Priority.ALWAYS);
        text.setMinWidth(180);
        text.setPrefWidth(360);
        ColumnConstraints buttons = new ColumnConstraints();
        buttons.setPrefWidth(REMEDY_WIDTH);
        buttons.setMaxWidth(REMEDY_WIDTH);
        buttons.setMinWidth(REMEDY_WIDTH);
        getColumnConstraints().addAll(new ColumnConstraints(84), text, new ColumnConstraints(200), buttons);
        bar = f.margin().map(m -> new MarginBar(desk.theme(), m));
        settle = f.settle().map(s -> Ui.id(Ui.button(s.label(), "mdi2a-arrow-right", () -> desk.settle(finding.settle().orElseThrow())), "settle-" + f.id()));
        settle.ifPresent(b -> b.getStyleClass().add("settle"));
        for (int i = 0; i < f.remedies().size(); i++) {
            remedies.add(remedy(i));
        }
        FlowPane acts = new FlowPane(6, 4);
        acts.setAlignment(Pos.CENTER_LEFT);
        acts.getChildren().addAll(remedies);
        settle.ifPresent(acts.getChildren()::add);
        HBox links = new HBox(6);
        if (!f.pose().isEmpty() || f.subject() == Subject.HEAT || f.subject() == Subject.AIR) {
            Button see = Ui.id(Ui.button("show it", null, () -> desk.showOnMachine(finding)), "show-" + f.id());
            see.getStyleClass().add("link");
            Ui.tip(see, "On Dry fit: the axes where it happens, the heat on the part, or the way of the air");
            links.getChildren().add(see);
        }
        if (f.severity() != Severity.FINE) {
            links.getChildren().add(new Acceptor(desk, f));
        }
        add(f.accepted().isEmpty() ? new SeverityBadge(f.severity()) : Ui.label("Accepted", "faint"), 0, 0);
        add(new VBox(1, what, why), 1, 0);
        bar.ifPresent(b -> add(b, 2, 0));
        VBox all = new VBox(4);
        if (!acts.getChildren().isEmpty()) {
            all.getChildren().add(acts);
        }
        if (!links.getChildren().isEmpty()) {
            all.getChildren().add(links);
        }
        all.setAlignment(Pos.CENTER_LEFT);
        add(all, 3, 0);
        setOnMouseEntered(e -> desk.litProperty().set(lit()));
        setOnMouseExited(e -> desk.litProperty().set(""));
        show(f);
    }

    private Button remedy(int i) {
        Button b = Ui.id(new Button(), "remedy-" + finding.id() + "-" + i);
        b.getStyleClass().add("remedy");
        b.setMaxWidth(REMEDY_WIDTH);
        b.setOnAction(e -> press(i));
        b.hoverProperty().addListener((o, was, is) -> desk.previewRemedy(is ? proven(i).orElse(null) : null));
        b.focusedProperty().addListener((o, was, is) -> desk.previewRemedy(is ? proven(i).orElse(null) : null));
        return b;
    }

    /** Empty while remedies are still tried out; what is seen then is what was known before. */
    private Optional<Remedy> proven(int i) {
        return desk.settledProperty().get() && i < finding.remedies().size() ? Optional.of(finding.remedies().get(i)) : Optional.empty();
    }

    private void press(int i) {
        Optional<Remedy> known = proven(i);
        // Pressed too early it is done as soon as it has been tried, if it then still is what was read on the button.
        pressed = known.isPresent() ? "" : remedies.get(i).getText();
        known.ifPresent(desk::apply);
    }

    /**
     * Takes the finding as it is now; false when it needs a row of another kind.
     *
     * @param proven whether its remedies have been tried out; until then those of before stay as they are
     */
    boolean take(Finding next, boolean proven) {
        boolean waiting = !proven && next.remedies().isEmpty();
        boolean alike = next.severity() == finding.severity() && next.accepted().equals(finding.accepted()) && next.margin().isPresent() == bar.isPresent()
                && (waiting || next.remedies().size() == remedies.size()) && next.settle().isPresent() == settle.isPresent();
        if (alike && !next.equals(finding)) {
            show(next);
        }
        if (alike && proven && !pressed.isEmpty()) {
            String wanted = pressed;
            pressed = "";
            remedies.stream().filter(b -> b.getText().equals(wanted)).findFirst().ifPresent(b -> Platform.runLater(b::fire));
        }
        return alike;
    }

    private void show(Finding next) {
        finding = next;
        what.setText(next.what());
        why.setText((next.accepted().isEmpty() ? "" : "Accepted: " + next.accepted() + ". ") + next.why());
        bar.ifPresent(b -> b.show(next.margin().orElseThrow()));
        settle.ifPresent(b -> b.setText(next.settle().orElseThrow().label()));
        for (int i = 0; i < Math.min(remedies.size(), next.remedies().size()); i++) {
            Remedy r = next.remedies().get(i);
            remedies.get(i).setText(r.label() + (r.leaves().isEmpty() ? "" : " …"));
            if (!r.leaves().isEmpty()) {
                Ui.tip(remedies.get(i), "It helps, but leaves something: " + r.leaves());
            } else {
                Ui.noTip(remedies.get(i));
            }
        }
    }

    /** What it says. */
    Finding finding() {
        return finding;
    }

    /** Shows where a remedy under the mouse would put the value; null for none. */
    void preview(Margin next) {
        bar.ifPresent(b -> b.preview(next));
    }

    private String lit() {
        DrawingFact.Drawing d = desk.drawingProperty().get();
        return d != null && d.pieces().size() > 1 && !finding.feature().isEmpty() ? finding.pieceId() + DrawingFact.OF + finding.feature() : finding.feature();
    }
}
