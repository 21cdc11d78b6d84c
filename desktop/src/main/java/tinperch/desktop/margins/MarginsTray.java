package tinperch.desktop.margins;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
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
import tinperch.check.Word;
import tinperch.desktop.Desk;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.desktop.look.WordBadge;
import tinperch.upgrade.Assessment;

/** The findings of the upgrade looked at, tightest first; in view on every station. */
public final class MarginsTray extends VBox {
    private static final double REMEDY_WIDTH = 270;

    private static final PseudoClass EMPTY = PseudoClass.getPseudoClass("empty");

    private final Desk desk;
    private final Label count = Ui.id(Ui.label("", "faint"), "tray-count");
    private final Label after = Ui.label("", "after");
    private final VBox rows = new VBox();
    private final Map<String, MarginBar> bars = new HashMap<>();
    private final ChangeListener<Assessment> onAssessment = (o, a, b) -> fill();
    private final ChangeListener<Assessment> onPreview = (o, a, b) -> showPreview(b);
    private final ChangeListener<Palette> onPalette = (o, a, b) -> fill();

    public MarginsTray(Desk desk) {
        this.desk = desk;
        getStyleClass().add("tray");
        HBox head = new HBox(12, Ui.label("Margins", "section"), count, Ui.spring(), after);
        head.getStyleClass().add("tray-head");
        head.setAlignment(Pos.BASELINE_LEFT);
        Scroller scroll = new Scroller(rows);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(head, scroll);
        desk.assessmentProperty().addListener(onAssessment);
        desk.previewProperty().addListener(onPreview);
        desk.theme().paletteProperty().addListener(onPalette);
        fill();
    }

    /** Lets go of the desk. */
    public void leave() {
        desk.assessmentProperty().removeListener(onAssessment);
        desk.previewProperty().removeListener(onPreview);
        desk.theme().paletteProperty().removeListener(onPalette);
    }

    private void fill() {
        List<Finding> findings = desk.assessmentProperty().get().findings();
        count.setText(findings.isEmpty() ? "" : tally(findings));
        pseudoClassStateChanged(EMPTY, findings.isEmpty());
        rows.getChildren().clear();
        bars.clear();
        for (int i = 0; i < findings.size(); i++) {
            rows.getChildren().add(row(findings.get(i), i));
        }
        if (findings.isEmpty()) {
            Label none = Ui.text(desk.upgrade().flatMap(u -> u.part()).isPresent() ? "Nothing to judge."
                    : "There is no part yet. Measure what it must hold, then choose a kind of part on the Shape station.", "faint");
            none.getStyleClass().add("tray-empty");
            rows.getChildren().add(none);
        }
    }

    private static String tally(List<Finding> findings) {
        StringBuilder s = new StringBuilder();
        for (Word w : Word.values()) {
            long n = findings.stream().filter(f -> f.word() == w).count();
            if (n > 0) {
                s.append(s.length() == 0 ? "" : " · ").append(n).append(' ').append(w.label());
            }
        }
        return s + ", tightest first";
    }

    private Node row(Finding f, int index) {
        GridPane g = new GridPane();
        g.getStyleClass().addAll("finding", "finding-" + f.word().name().toLowerCase(java.util.Locale.ROOT));
        Ui.id(g, "finding-" + f.id());
        g.setHgap(14);
        ColumnConstraints badge = new ColumnConstraints(70);
        ColumnConstraints what = new ColumnConstraints();
        what.setHgrow(Priority.ALWAYS);
        what.setMinWidth(180);
        what.setPrefWidth(360);
        ColumnConstraints bar = new ColumnConstraints(200);
        ColumnConstraints remedies = new ColumnConstraints();
        remedies.setPrefWidth(REMEDY_WIDTH);
        remedies.setMaxWidth(REMEDY_WIDTH);
        remedies.setMinWidth(REMEDY_WIDTH);
        g.getColumnConstraints().addAll(badge, what, bar, remedies);
        VBox text = new VBox(1, Ui.text(f.what(), "finding-what"), Ui.text(f.why(), "finding-why"));
        g.add(new WordBadge(f.word()), 0, 0);
        g.add(text, 1, 0);
        Optional<Margin> margin = f.margin();
        if (margin.isPresent()) {
            MarginBar b = new MarginBar(desk.theme(), margin.get());
            bars.put(f.id(), b);
            g.add(b, 2, 0);
        }
        FlowPane buttons = new FlowPane(6, 4);
        buttons.setAlignment(Pos.CENTER_LEFT);
        for (int i = 0; i < f.remedies().size(); i++) {
            Button b = remedy(f.remedies().get(i), "remedy-" + f.id() + "-" + i);
            b.setMaxWidth(REMEDY_WIDTH);
            buttons.getChildren().add(b);
        }
        g.add(buttons, 3, 0);
        if (!f.feature().isEmpty()) {
            g.setOnMouseEntered(e -> desk.litProperty().set(f.feature()));
            g.setOnMouseExited(e -> desk.litProperty().set(""));
        }
        return g;
    }

    private Button remedy(Remedy r, String id) {
        Button b = Ui.id(new Button(r.label()), id);
        Ui.tip(b, r.label());
        b.getStyleClass().add("remedy");
        b.setOnAction(e -> desk.apply(r));
        b.hoverProperty().addListener((o, was, is) -> desk.previewRemedy(is ? r : null));
        b.focusedProperty().addListener((o, was, is) -> desk.previewRemedy(is ? r : null));
        return b;
    }

    private void showPreview(Assessment next) {
        after.setText(next == null ? "" : "With this remedy: " + tally(next.findings()).replace(", tightest first", ""));
        bars.forEach((id, bar) -> bar.preview(next == null ? null
                : next.findings().stream().filter(f -> f.id().equals(id)).findFirst().flatMap(Finding::margin)
                        .orElse(null)));
    }
}
