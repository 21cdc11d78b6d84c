package tinperch.desktop.station;

import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.check.BedFitCheck;
import tinperch.check.Finding;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.SeverityBadge;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.material.Material;
import tinperch.upgrade.Upgrade;

/** Which machine prints it and in what material, with how much room is left on each bed. */
final class HostPanel extends PrintPanel {
    private final VBox hosts = new VBox(6);
    private final ComboBox<String> material = Ui.id(new ComboBox<>(), "material");
    private final Label caution = Ui.text("", "caution");

    HostPanel(Desk desk, String upgradeId) {
        super(desk, upgradeId, "Where and in what", "host-complaint");
        for (Material m : Material.STANDARD) {
            material.getItems().add(m.name());
        }
        material.setOnAction(e -> part().filter(p -> material.getValue() != null && !material.getValue().equals(p.material())).ifPresent(p ->
                desk.workshop().edit("material " + material.getValue(), s -> s.with(s.upgrade(upgradeId).orElseThrow().with(p.withMaterial(material.getValue()))))));
        rows(hosts, row(Ui.label("Material", "field-label"), material), caution);
    }

    @Override
    void refresh() {
        material.setDisable(part().isEmpty());
        part().ifPresent(p -> material.setValue(p.material()));
        caution.setText(part().map(p -> Material.find(p.material()).map(Material::fumes).orElse(true)
                ? p.material() + " gives off fumes and fine particles: enclose the machine, extract and filter the air. "
                        + "Stay with the first print after a change."
                : "Stay with the first print after a change, a hand near the switch.").orElse(""));
        showHosts(desk.state().upgrade(upgradeId).orElseThrow());
    }

    private void showHosts(Upgrade u) {
        hosts.getChildren().clear();
        ToggleGroup group = new ToggleGroup();
        // Meshes are there once the part is drawn; nothing is computed here.
        boolean drawn = desk.drawingProperty().get() != null && desk.assessmentProperty().get().pending().isEmpty();
        for (Machine m : desk.state().machines()) {
            if (!m.prints()) {
                continue;
            }
            RadioButton b = Ui.id(new RadioButton(m.name()), "host-" + m.id());
            b.setToggleGroup(group);
            b.setSelected(m.id().equals(u.hostMachineId()));
            b.setMinWidth(110);
            b.setMaxWidth(150);
            b.setOnAction(e -> desk.workshop().edit("print on " + m.name(),
                    s -> s.with(s.upgrade(upgradeId).orElseThrow().onHost(m.id()))));
            Optional<Finding> f = desk.looked().filter(c -> drawn).flatMap(c -> BedFitCheck.on(m, c, desk.engine().now(c)));
            HBox line = row(b);
            f.ifPresent(x -> line.getChildren().addAll(Ui.whole(new SeverityBadge(x.severity())),
                    Ui.label(x.margin().map(g -> g.sayMissing() + " on its bed").orElse(x.why()), "faint")));
            hosts.getChildren().add(line);
        }
        if (hosts.getChildren().isEmpty()) {
            hosts.getChildren().add(Ui.text("No machine of the workshop prints; add one on the shelf.", "faint"));
        }
    }
}
