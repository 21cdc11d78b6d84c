package tinperch.desktop.station;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import tinperch.check.WaysOut;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.part.param.Param;
import tinperch.solid.Stop;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** Why a number was refused, and the ways out: to give way itself, or to let something else give way. Meanwhile the last shape that could be made is greyed. */
final class WaysOutBar extends VBox {
    private final Desk desk;
    private final Runnable changed;
    private final Runnable back;
    private final Label why = Ui.id(Ui.text("", "complaint"), "ways-out-why");
    private final FlowPane ways = new FlowPane(6, 4);
    private int asked;
    private List<Object> open = List.of();
    private Optional<PartDesign> before = Optional.empty();

    /**
     * @param changed when it has something to say, or nothing any more
     * @param back has fields show again what holds
     */
    WaysOutBar(Desk desk, Runnable changed, Runnable back) {
        super(4);
        this.desk = desk;
        this.changed = changed;
        this.back = back;
        Ui.id(this, "ways-out");
        setPadding(new Insets(8, 0, 0, 12));
        getChildren().addAll(why, ways);
    }

    boolean isOpen() {
        return !why.getText().isEmpty();
    }

    /** Tries an edit; says what is in its way and looks for ways out beside the interface's thread. */
    Optional<String> set(String upgradeId, String partId, Param<?> param, String text) {
        Optional<String> refused = desk.edits().set(upgradeId, partId, param, text);
        Optional<Case> wanted = refused.isPresent() ? desk.edits().asked(upgradeId, partId, param, text) : Optional.empty();
        List<Object> asks = List.of(upgradeId, partId, param.key(), text);
        if (wanted.isPresent() && asks.equals(open)) {
            // The field was left for one of the buttons and asks once more.
            return refused;
        }
        asked++;
        open = wanted.isPresent() ? asks : List.of();
        before = desk.part();
        why.setText(wanted.isPresent() ? refused.orElse("") : "");
        ways.getChildren().clear();
        changed.run();
        int mine = asked;
        wanted.ifPresent(c -> desk.engine().work(() -> WaysOut.of(c, Optional.of(param), Stop.NEVER), found -> {
            if (mine == asked) {
                offer(upgradeId, c, found);
            }
        }));
        return refused;
    }

    private void offer(String upgradeId, Case c, List<WaysOut.Way> found) {
        for (WaysOut.Way w : found) {
            Button b = Ui.id(Ui.whole(new Button(w.label())), "way-" + ways.getChildren().size());
            b.setOnAction(e -> {
                desk.edits().make(upgradeId, c.part().with(w.values()), w.label()).ifPresent(desk::warn);
                close();
            });
            ways.getChildren().add(b);
        }
        Button leave = Ui.id(new Button("Leave it as it was"), "way-back");
        leave.setOnAction(e -> {
            close();
            back.run();
        });
        ways.getChildren().add(leave);
    }

    /** What was asked of a part that has changed since is not asked any more. */
    void refresh() {
        if (isOpen() && !desk.part().equals(before)) {
            close();
        }
    }

    /** Nothing to say any more. */
    void close() {
        asked++;
        open = List.of();
        why.setText("");
        ways.getChildren().clear();
        changed.run();
    }
}
