package tinperch.desktop.margins;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.beans.value.ChangeListener;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.judge.Assessment;

/** The findings of the part looked at, tightest first; in view on every station. They arrive as they are judged. */
public final class MarginsTray extends VBox {
    private static final String FOLDED = "margins folded";
    private static final PseudoClass FOLDED_STATE = PseudoClass.getPseudoClass("folded");
    private static final PseudoClass EMPTY = PseudoClass.getPseudoClass("empty");

    private final Desk desk;
    private final Label count = Ui.id(Ui.label("", "faint"), "tray-count");
    private final SettleBar settling;
    private final Label after = Ui.label("", "after");
    private final VBox rows = new VBox();
    private final Scroller scroll;
    private final Button fold = Ui.id(new Button("Margins"), "fold-margins");
    private Map<String, FindingRow> shown = new HashMap<>();
    private final ChangeListener<Assessment> onAssessment = (o, a, b) -> fill();
    private final ChangeListener<Boolean> onSettled = (o, was, is) -> fill();
    private final ChangeListener<Assessment> onPreview = (o, a, b) -> showPreview(b);
    private final ChangeListener<Palette> onPalette = (o, a, b) -> {
        shown = new HashMap<>();
        fill();
    };

    public MarginsTray(Desk desk) {
        this.desk = desk;
        getStyleClass().add("tray");
        fold.getStyleClass().add("fold");
        fold.setOnAction(e -> {
            desk.workshop().setPreference(FOLDED, folded() ? "no" : "yes");
            showFolded();
        });
        settling = new SettleBar(desk);
        HBox head = new HBox(12, fold, count, settling.beginning(), Ui.spring(), after);
        head.getStyleClass().add("tray-head");
        head.setAlignment(Pos.BASELINE_LEFT);
        scroll = new Scroller(rows);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(head, settling, scroll);
        showFolded();
        desk.assessmentProperty().addListener(onAssessment);
        desk.settledProperty().addListener(onSettled);
        desk.previewProperty().addListener(onPreview);
        desk.theme().paletteProperty().addListener(onPalette);
        fill();
    }

    /** Lets go of the desk. */
    public void leave() {
        desk.assessmentProperty().removeListener(onAssessment);
        desk.settledProperty().removeListener(onSettled);
        desk.previewProperty().removeListener(onPreview);
        desk.theme().paletteProperty().removeListener(onPalette);
    }

    private boolean folded() {
        return desk.workshop().preference(FOLDED).map("yes"::equals).orElse(false);
    }

    /** Folded it is its first finding, so that the page has the height; it stays as it was left. */
    private void showFolded() {
        boolean is = folded();
        fold.setGraphic(Ui.icon(is ? "mdi2c-chevron-up" : "mdi2c-chevron-down"));
        Ui.tip(fold, is ? "Show all margins" : "Fold to the tightest");
        pseudoClassStateChanged(FOLDED_STATE, is);
        scroll.setVvalue(0);
    }

    private void fill() {
        settling.refresh();
        Assessment now = desk.assessmentProperty().get();
        List<Finding> findings = now.over(shown.values().stream().map(FindingRow::finding).toList()).findings();
        count.setText(findings.isEmpty() && now.pending().isEmpty() ? "" : tally(now));
        boolean empty = findings.isEmpty() && now.pending().isEmpty();
        pseudoClassStateChanged(EMPTY, empty);
        Map<String, FindingRow> next = new HashMap<>();
        List<Node> nodes = new java.util.ArrayList<>();
        for (Finding f : findings) {
            FindingRow known = shown.get(f.id());
            FindingRow row = known != null && known.take(f, desk.settledProperty().get()) ? known : new FindingRow(desk, f);
            next.put(f.id(), row);
            nodes.add(row);
        }
        shown = next;
        if (empty) {
            Label none = Ui.text(desk.part().isPresent() ? "Nothing to judge." : "There is no part yet. Choose a kind of part on the Shape station; it is made at once "
                    + "from usual sizes and can be measured afterwards.", "faint");
            none.getStyleClass().add("tray-empty");
            nodes.add(none);
        }
        if (!rows.getChildren().equals(nodes)) {
            rows.getChildren().setAll(nodes);
        }
    }

    private static String tally(Assessment a) {
        StringBuilder s = new StringBuilder();
        for (Severity w : Severity.values()) {
            if (a.count(w) > 0) {
                s.append(s.length() == 0 ? "" : " · ").append(a.count(w)).append(' ').append(w.label());
            }
        }
        if (a.accepted() > 0) {
            s.append(s.length() == 0 ? "" : " · ").append(a.accepted()).append(" accepted");
        }
        if (!a.pending().isEmpty()) {
            return s + (s.length() == 0 ? "" : " · ") + "judging " + String.join(", ", a.pending()) + " …";
        }
        return s + ", tightest first";
    }

    private void showPreview(Assessment next) {
        after.setText(next == null ? "" : "With this remedy: " + tally(next).replace(", tightest first", ""));
        shown.forEach((id, row) -> row.preview(next == null ? null
                : next.findings().stream().filter(f -> f.id().equals(id)).findFirst().flatMap(Finding::margin).orElse(null)));
    }
}
