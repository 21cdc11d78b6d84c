package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.application.Platform;
import javafx.scene.layout.Priority;
import tinperch.check.Settle;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.reading.Entry;
import tinperch.desktop.reading.ReadingsPane;
import tinperch.machine.Machine;
import tinperch.measure.sheet.Sheet;
import tinperch.part.bind.Binding;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** What the part asks for, and the reading sheets of its machine; those it stands on come first. */
final class MeasureStation extends VBox implements View {
    private final Desk desk;
    private final String upgradeId;
    private final RolesPane roles;
    private final ReadingsPane pane;

    MeasureStation(Desk desk, String upgradeId) {
        super(10);
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
        pane = new ReadingsPane(desk, upgrade().machineId(), this::entries);
        roles = new RolesPane(desk, upgradeId, sheetId -> pane.openSheet(key(sheetId)));
        VBox.setVgrow(pane, Priority.ALWAYS);
        getChildren().addAll(roles, pane);
    }

    /** Whoever comes here has the calipers in hand. */
    @Override
    public void arrived() {
        pane.focusFirstMissing();
    }

    private Upgrade upgrade() {
        return desk.state().upgrade(upgradeId).orElseThrow();
    }

    /** A sheet read for this upgrade is called by its role. */
    private String key(String sheetId) {
        return sheetId.startsWith(upgradeId + ".") ? sheetId.substring(upgradeId.length() + 1) : sheetId;
    }

    private List<Entry> entries() {
        Machine machine = desk.state().machine(upgrade().machineId()).orElseThrow();
        Set<String> own = new LinkedHashSet<>();
        for (PartDesign p : upgrade().parts()) {
            p.bindings().values().forEach(b -> {
                if (b instanceof Binding.OnSheet s) {
                    own.add(s.sheetId());
                }
            });
        }
        machine.sheets().stream().map(Sheet::id).filter(id -> id.startsWith(upgradeId + ".")).forEach(own::add);
        List<Entry> all = new ArrayList<>();
        for (String id : own) {
            machine.sheet(id).ifPresent(s -> all.add(new Entry(key(id), s.name(), s, (label, next) ->
                    desk.workshop().edit(label, w -> w.with(w.machine(machine.id()).orElseThrow().with(next))), null)));
        }
        ReadingsPane.ofMachine(desk, machine).stream().filter(e -> !own.contains(e.key())).forEach(all::add);
        return all;
    }

    @Override
    public void refresh() {
        roles.refresh();
        pane.refresh();
        desk.wanted(Settle.By.MEASURE).ifPresent(s -> Platform.runLater(() -> roles.open(s.of())));
    }
}
