package tinperch.desktop.temperature;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.FocusKept;
import tinperch.desktop.look.Ui;
import tinperch.trial.Run;
import tinperch.trial.tell.Words;

/** The runs of a machine, the newest first: one is shown, another may be laid under it from the same start. */
final class RunList extends VBox {
    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH);

    private static final double WIDTH = 188;

    private List<Object> last = List.of();
    private final Consumer<Run> chosen;
    private final Consumer<Run> under;

    /**
     * @param chosen told the run to be shown
     * @param under told the run to be laid under it, or taken away again when it lies there
     */
    RunList(Consumer<Run> chosen, Consumer<Run> under) {
        super(8);
        this.chosen = chosen;
        this.under = under;
        Ui.id(this, "runs");
    }

    void show(List<Run> runs, String shownId, String underId) {
        List<Object> now = List.of(runs, shownId, underId);
        if (now.equals(last)) {
            return;
        }
        last = now;
        FocusKept.in(this, () -> {
            getChildren().clear();
            for (int i = runs.size() - 1; i >= 0; i--) {
                getChildren().add(card(runs.get(i), shownId, underId));
            }
        });
    }

    private Node card(Run r, String shownId, String underId) {
        Label name = Ui.text(r.name().isEmpty() ? "Run without a name" : r.name(), "strong");
        Label when = Ui.text(DAY.format(r.start()) + ", " + Words.time(r.lengthS()), "faint");
        for (Label l : List.of(name, when)) {
            // Asked for its height before it has a width, it would answer for one word a line.
            l.setMinWidth(WIDTH);
            l.setPrefWidth(WIDTH);
            l.setMaxWidth(WIDTH);
        }
        VBox words = new VBox(1, name, when);
        if (r.simulated()) {
            words.getChildren().add(Ui.label("simulated", "mark-tag"));
        }
        Button open = Ui.id(new Button(null, words), "run-" + r.id());
        open.setAlignment(Pos.TOP_LEFT);
        open.setMaxWidth(Double.MAX_VALUE);
        open.getStyleClass().add("kind-card");
        open.setAccessibleText(r.name());
        open.setOnAction(e -> chosen.accept(r));
        open.pseudoClassStateChanged(HERE, r.id().equals(shownId));
        VBox card = new VBox(2, open);
        if (!r.id().equals(shownId)) {
            ToggleButton below = Ui.id(new ToggleButton("lay under"), "under-" + r.id());
            below.getStyleClass().add("small");
            below.setSelected(r.id().equals(underId));
            below.setOnAction(e -> under.accept(r));
            Ui.tip(below, "Draws it under the run that is shown, both from their start, and says what differs");
            HBox line = new HBox(below);
            line.setAlignment(Pos.CENTER_RIGHT);
            card.getChildren().add(line);
        }
        return card;
    }
}
