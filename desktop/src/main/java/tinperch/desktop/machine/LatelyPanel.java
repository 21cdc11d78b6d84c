package tinperch.desktop.machine;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Revision;

/** The newest kept revisions of all upgrades of a machine. */
final class LatelyPanel extends Column implements View {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    private final Desk desk;
    private final String machineId;
    private final GridPane lately = new GridPane();
    private List<Revision> shown = List.of();
    private List<String> shownNames = List.of();

    LatelyPanel(Desk desk, String machineId) {
        super(8);
        this.desk = desk;
        this.machineId = machineId;
        getStyleClass().add("panel");
        lately.setHgap(18);
        lately.setVgap(5);
        getChildren().addAll(Ui.label("Lately on this machine", "section"), lately);
    }

    @Override
    public void refresh() {
        List<Revision> newest = desk.state().revisions().stream()
                .filter(r -> desk.state().upgrade(r.upgradeId()).map(u -> u.machineId().equals(machineId)).orElse(false))
                .sorted((a, b) -> b.keptAt().compareTo(a.keptAt())).limit(8).toList();
        List<String> names = newest.stream().map(r -> desk.state().upgrade(r.upgradeId()).orElseThrow().name()).toList();
        if (newest.equals(shown) && names.equals(shownNames) && !lately.getChildren().isEmpty()) {
            return;
        }
        shown = newest;
        shownNames = names;
        lately.getChildren().clear();
        int row = 0;
        for (Revision r : newest) {
            Label of = Ui.label(names.get(row));
            of.setMaxWidth(240);
            lately.addRow(row++, Ui.whole(Ui.label(r.keptAt().format(DAY), "faint")), Ui.whole(Ui.label(r.mark(), "strong")), of,
                    Ui.whole(Ui.label(Quantity.show(r.life().hours(), Unit.HOURS) + ", "
                            + r.life().end().label().toLowerCase(Locale.ROOT))),
                    Ui.label(r.life().note().isEmpty() ? r.reason() : r.life().note(), "faint"));
        }
        if (newest.isEmpty()) {
            lately.add(Ui.text("No revision has been kept yet. What was printed for this machine, how long it lived and what "
                    + "ended it will stand here.", "faint"), 0, 0);
        }
    }
}
