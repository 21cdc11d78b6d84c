package tinperch.desktop.station;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.fact.MeshesFact;
import tinperch.upgrade.Case;
import tinperch.upgrade.Differences;
import tinperch.upgrade.Revision;
import tinperch.workshop.export.Keeping;
import tinperch.workshop.store.StoreFault;

/** Keeping the part as a revision, with its reason. */
final class KeepPanel extends PrintPanel {
    private final TextField reason = Ui.id(new TextField(), "reason");
    private final Button button = Ui.id(new Button("Keep", Ui.icon("mdi2b-bookmark-outline")), "keep");
    private final Label changed = Ui.text("", "faint");

    KeepPanel(Desk desk, String upgradeId) {
        super(desk, upgradeId, "Keep this revision", "reason-complaint");
        reason.setPromptText("why this one: what changed, what it should cure");
        HBox.setHgrow(reason, Priority.ALWAYS);
        reason.setOnAction(e -> keep());
        button.setOnAction(e -> keep());
        button.getStyleClass().add("accent");
        button.setMinWidth(USE_PREF_SIZE);
        rows(changed, row(reason, button));
    }

    @Override
    void refresh() {
        button.setText("Keep " + mark());
        button.setDisable(part().isEmpty());
        List<Revision> kept = part().map(p -> desk.state().revisionsOf(upgradeId, p.id())).orElse(List.of());
        Drawing d = desk.drawingProperty().get();
        boolean engraved = d != null && d.pieces().stream().allMatch(m -> m.mark().isPresent());
        changed.setText(kept.isEmpty() ? "The first revision of this part, " + mark() + (engraved ? ", as is engraved in it."
                : "; write it on where it has no room for the mark.")
                : "Since " + kept.get(kept.size() - 1).mark() + ": " + differences(kept.get(kept.size() - 1)));
    }

    private String differences(Revision before) {
        List<Differences.Difference> list = desk.looked().map(c -> Differences.between(before.part(), before.recipe().map(r -> r.refs()), c.part(), Optional.of(c.recipe().refs())))
                .orElse(List.of());
        return list.isEmpty() ? "nothing changed." : String.join("; ", list.stream().map(Object::toString).toList()) + ".";
    }

    private void keep() {
        if (part().isEmpty() || !desk.hasPart()) {
            complain("There is no finished part to keep yet; shape one first.");
            return;
        }
        if (reason.getText().isBlank()) {
            complain("Give the reason in a few words: it is what the next revision starts from.");
            reason.requestFocus();
            return;
        }
        complain("");
        String why = reason.getText().strip();
        Case c = desk.looked().get();
        int number = desk.state().nextRevision(upgradeId, c.part().id());
        reason.clear();
        button.setDisable(true);
        // What is kept is what is drawn: packing its meshes takes a while.
        desk.engine().work(() -> Keeping.pack(c, desk.engine().now(c).get(MeshesFact.MESHES).pieces(), number, why, LocalDateTime.now()), packed -> {
            button.setDisable(false);
            try {
                Keeping.keep(desk.workshop(), packed);
                desk.say(packed.revision().mark() + " is kept. Parts written from now on carry " + desk.mark() + "; write "
                        + packed.revision().mark() + " itself from the Verdict station.");
            } catch (StoreFault e) {
                desk.warn(e.getMessage());
            }
        });
    }

}
