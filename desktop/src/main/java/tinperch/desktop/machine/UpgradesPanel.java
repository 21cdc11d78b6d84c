package tinperch.desktop.machine;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.check.Finding;
import tinperch.check.Word;
import tinperch.desktop.Actions;
import tinperch.desktop.Desk;
import tinperch.desktop.Station;
import tinperch.desktop.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.desktop.look.WordBadge;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Assessor;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;

/** A machine's upgrades, each with its tightest margin and how long its parts have lived. */
final class UpgradesPanel extends Column implements View {
    private final Desk desk;
    private final String machineId;
    private final VBox rows = new Column(8);

    UpgradesPanel(Desk desk, String machineId) {
        super(10);
        this.desk = desk;
        this.machineId = machineId;
        getStyleClass().add("panel");
        Button start = Ui.id(Ui.button("Start an upgrade", "mdi2p-plus",
                () -> desk.machine().ifPresent(m -> Actions.addUpgrade(desk, m))), "start-upgrade");
        start.getStyleClass().add("accent");
        Ui.tip(start, "Start an upgrade of this machine (Ctrl+N)");
        getChildren().addAll(new HBox(8, Ui.label("Upgrades", "section"), Ui.spring(), start), rows);
    }

    @Override
    public void refresh() {
        rows.getChildren().setAll(desk.state().upgradesOf(machineId).stream().map(this::row).toList());
        if (rows.getChildren().isEmpty()) {
            rows.getChildren().add(Ui.text("Nothing is under way on this machine. When something troubles you about it, "
                    + "start an upgrade and write down what you see.", "faint"));
        }
    }

    private Node row(Upgrade u) {
        List<Finding> findings = Assessor.assess(u, desk.workshop().shop(), desk.state().nextMark(u.id())).findings();
        List<Revision> kept = desk.state().revisionsOf(u.id());
        Label name = Ui.label(u.name(), "strong");
        Label life = Ui.label(kept.isEmpty() ? "no revision kept yet" : kept.size() + (kept.size() == 1 ? " revision, " : " revisions, ")
                + Quantity.show(kept.stream().mapToDouble(r -> r.life().hours()).sum(), Unit.HOURS) + " together", "faint");
        HBox margin = new HBox(8);
        if (findings.isEmpty()) {
            margin.getChildren().add(Ui.label(u.sheets().isEmpty() ? "Nothing measured yet" : "Measured; no part yet", "faint"));
        } else {
            Finding f = findings.get(0);
            long stops = findings.stream().filter(x -> x.word() == Word.STOP).count();
            margin.getChildren().addAll(new WordBadge(f.word()), Ui.label(f.what()
                    + (stops > 1 ? " (and " + (stops - 1) + " more)" : "")));
        }
        Label trouble = Ui.label(u.trouble().seen().isEmpty() ? "No trouble written down yet" : u.trouble().seen(), "faint");
        VBox text = new Column(3, new HBox(10, name, life), margin, trouble);
        HBox.setHgrow(text, Priority.ALWAYS);
        text.setMinWidth(0);
        Button open = Ui.id(new Button(null, text), "open-" + u.id());
        open.setAccessibleText("Open " + u.name());
        open.getStyleClass().add("upgrade-row");
        open.setMaxWidth(Double.MAX_VALUE);
        open.setOnAction(e -> desk.goTo(u, u.part().isPresent() ? Station.SHAPE : Station.TROUBLE));
        return open;
    }
}
