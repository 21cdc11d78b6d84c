package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.Desk;
import tinperch.desktop.View;
import tinperch.desktop.reading.Entry;
import tinperch.desktop.reading.ReadingsPane;
import tinperch.measure.PatternSheet;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetKind;
import tinperch.upgrade.Families;
import tinperch.upgrade.Upgrade;

/** The sheets of an upgrade's part, and those kept with its machine. */
final class MeasureStation extends VBox implements View {
    private final Desk desk;
    private final String upgradeId;
    private final ReadingsPane pane;

    MeasureStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
        pane = new ReadingsPane(desk, upgrade().machineId(), this::entries, true);
        VBox.setVgrow(pane, Priority.ALWAYS);
        getChildren().add(pane);
    }

    private Upgrade upgrade() {
        return desk.state().upgrade(upgradeId).orElseThrow();
    }

    /**
     * What the part's family needs and whatever else was measured. Before there is a part, the plate's two sides are offered
     * unless something of another kind was measured.
     */
    private Map<String, String> roles() {
        Map<String, String> all = new LinkedHashMap<>();
        Map<String, PatternSheet> sheets = upgrade().sheets();
        Map<String, String> usual = Families.ALL.get(0).roles();
        upgrade().part().flatMap(p -> Families.byId(p.familyId())).ifPresentOrElse(f -> all.putAll(f.roles()), () -> {
            if (usual.keySet().containsAll(sheets.keySet())) {
                all.putAll(usual);
            }
        });
        sheets.forEach((r, s) -> all.putIfAbsent(r, s.name()));
        return all;
    }

    private List<Entry> entries() {
        List<Entry> all = new ArrayList<>();
        roles().forEach((role, what) -> {
            PatternSheet p = upgrade().sheets().getOrDefault(role, PatternSheet.empty(what.split(":")[0]));
            all.add(new Entry(role, what, new Sheet(role, SheetKind.HOLES, p.name(), p.readings()), (label, next) ->
                    desk.workshop().edit(label, s -> s.with(s.upgrade(upgradeId).orElseThrow().with(role, next.pattern()))), null));
        });
        all.addAll(ReadingsPane.ofMachine(desk, desk.state().machine(upgrade().machineId()).orElseThrow()));
        return all;
    }

    @Override
    public void refresh() {
        pane.refresh();
    }
}
