package tinperch.desktop.station;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.upgrade.PartDesign;

/** The parts of an upgrade side by side, where there are several; one is looked at. */
final class PartTabs extends HBox {
    private final Desk desk;
    private final String upgradeId;
    private final String prefix;

    /** @param prefix of the ids of its buttons */
    PartTabs(Desk desk, String upgradeId, String prefix) {
        super(6);
        this.desk = desk;
        this.upgradeId = upgradeId;
        this.prefix = prefix;
        setAlignment(Pos.CENTER_LEFT);
    }

    void refresh() {
        ToggleGroup group = new ToggleGroup();
        getChildren().clear();
        List<PartDesign> all = desk.state().upgrade(upgradeId).orElseThrow().parts();
        for (PartDesign p : all.size() > 1 ? all : List.<PartDesign>of()) {
            ToggleButton b = Ui.id(new ToggleButton(p.name()), prefix + p.id());
            b.setMaxWidth(200);
            b.setToggleGroup(group);
            b.getStyleClass().add("sheet-tab");
            b.setSelected(desk.part().map(x -> x.id().equals(p.id())).orElse(false));
            b.setOnAction(e -> desk.show(p.id()));
            getChildren().add(b);
        }
        Ui.see(this, all.size() > 1);
    }
}
