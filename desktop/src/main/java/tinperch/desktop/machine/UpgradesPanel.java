package tinperch.desktop.machine;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.desktop.desk.Begin;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.SeverityBadge;
import tinperch.desktop.look.Ui;
import tinperch.judge.Assessment;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;

/** A machine's upgrades, each with its tightest margin and how long its parts have lived. */
final class UpgradesPanel extends Column implements View {
    private final Desk desk;
    private final String machineId;
    private final VBox rows = new Column(8);
    private List<Shown> shown = List.of();
    /** What each row that nobody has looked at would ask for, by its upgrade. */
    private final Map<String, Runnable> unjudged = new LinkedHashMap<>();

    /** A row with all it was made of. */
    private record Shown(Upgrade upgrade, List<Revision> kept, List<Case> cases, Node row) {}

    UpgradesPanel(Desk desk, String machineId) {
        super(10);
        this.desk = desk;
        this.machineId = machineId;
        getStyleClass().add("panel");
        Button start = Ui.id(Ui.button("Start an upgrade", "mdi2p-plus",
                () -> desk.machine().ifPresent(m -> Begin.upgrade(desk, m))), "start-upgrade");
        start.getStyleClass().add("accent");
        Ui.tip(start, "Ctrl+N");
        getChildren().addAll(new HBox(8, Ui.label("Upgrades", "section"), Ui.spring(), start), rows);
    }

    @Override
    public void refresh() {
        List<Shown> next = next();
        if (!next.equals(shown) || rows.getChildren().isEmpty()) {
            show(next);
        }
        arrived();
    }

    /** Upgrades are judged once somebody looks: of most machines nobody asks. */
    @Override
    public void arrived() {
        if (Ui.isSeen(this)) {
            List.copyOf(unjudged.values()).forEach(Runnable::run);
            unjudged.clear();
        }
    }

    private List<Shown> next() {
        return desk.state().upgradesOf(machineId).stream().map(this::shown).toList();
    }

    private void show(List<Shown> next) {
        shown = next;
        unjudged.keySet().retainAll(next.stream().map(s -> s.upgrade.id()).toList());
        rows.getChildren().setAll(shown.stream().map(Shown::row).toList());
        if (rows.getChildren().isEmpty()) {
            rows.getChildren().add(Ui.text("Nothing is under way on this machine. When something troubles you about it, "
                    + "start an upgrade and write down what you see.", "faint"));
        }
    }

    /** The row that is there, or where what it says may have changed, another. */
    private Shown shown(Upgrade u) {
        List<Revision> kept = desk.state().revisionsOf(u.id());
        List<Case> cases = u.parts().stream().flatMap(p -> desk.caseOf(u, p.id()).stream()).toList();
        return shown.stream().filter(s -> s.upgrade.equals(u) && s.kept.equals(kept) && s.cases.equals(cases)).findFirst()
                .orElseGet(() -> new Shown(u, kept, cases, row(u, kept, cases)));
    }

    private Node row(Upgrade u, List<Revision> kept, List<Case> cases) {
        Label name = Ui.label(u.name(), "strong");
        Label life = Ui.label(kept.isEmpty() ? "no revision kept yet" : kept.size() + (kept.size() == 1 ? " revision, " : " revisions, ")
                + Quantity.show(kept.stream().mapToDouble(r -> r.life().hours()).sum(), Unit.HOURS) + " together", "faint");
        HBox margin = new HBox(8);
        margin.getChildren().add(Ui.label(u.parts().isEmpty() ? "No part yet" : "Being judged …", "faint"));
        unjudged.put(u.id(), () -> cases.forEach(c -> desk.engine().later(c, a -> tell(margin, a))));
        Label trouble = Ui.label(u.trouble().seen().isEmpty() ? "No trouble written down yet" : u.trouble().seen(), "faint");
        VBox text = new Column(3, new HBox(10, name, life), margin, trouble);
        HBox.setHgrow(text, Priority.ALWAYS);
        text.setMinWidth(0);
        Button open = Ui.id(new Button(null, text), "open-" + u.id());
        open.setAccessibleText("Open " + u.name());
        open.getStyleClass().add("upgrade-row");
        open.setMaxWidth(Double.MAX_VALUE);
        open.setOnAction(e -> desk.goTo(u, u.parts().isEmpty() ? Station.TROUBLE : Station.SHAPE));
        return open;
    }

    /** The tightest margin of all parts judged so far. */
    private static void tell(HBox margin, Assessment a) {
        Finding known = margin.getProperties().get("tightest") instanceof Finding f ? f : null;
        Optional<Finding> tightest = a.findings().stream().findFirst().filter(f -> known == null || Finding.tightestFirst(f, known) < 0);
        tightest.ifPresent(f -> {
            long stops = a.count(Severity.STOP);
            margin.getProperties().put("tightest", f);
            margin.getChildren().setAll(new SeverityBadge(f.severity()), Ui.label(f.what() + (stops > 1 ? " (and " + (stops - 1) + " more)" : "")));
        });
    }
}
