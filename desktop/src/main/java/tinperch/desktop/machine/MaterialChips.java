package tinperch.desktop.machine;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.MayPrint;
import tinperch.material.Material;
import tinperch.quantity.Quantity;

/** Which materials a machine prints, which it may not and why, and what to mind. */
final class MaterialChips extends Column {
    private final MachineForm form;
    private final Map<Material, ToggleButton> chips = new LinkedHashMap<>();
    private final VBox against = new Column(2);
    private Machine shown;

    MaterialChips(MachineForm form) {
        super(4);
        this.form = form;
        FlowPane row = new FlowPane(6, 6);
        for (Material m : Material.STANDARD) {
            ToggleButton b = Ui.id(new ToggleButton(m.name()), "material-" + m.name());
            b.getStyleClass().add("chip");
            b.setOnAction(e -> form.edit("materials", k -> {
                List<String> list = new ArrayList<>(k.materials());
                if (!list.remove(m.name())) {
                    list.add(m.name());
                }
                return k.withMaterials(list);
            }));
            chips.put(m, b);
            row.getChildren().add(b);
        }
        getChildren().addAll(row, against);
        form.onRefresh(this::show);
    }

    private void show() {
        Machine machine = form.machine();
        if (machine == shown) {
            return;
        }
        shown = machine;
        against.getChildren().clear();
        Map<String, List<String>> obstacles = new LinkedHashMap<>();
        chips.forEach((m, b) -> {
            b.setSelected(machine.materials().contains(m.name()));
            List<MayPrint.Reason> why = MayPrint.reasonsAgainst(machine, m, LocalDate.now());
            String fumes = m.fumes() ? m.name() + " gives off fumes and fine particles: enclose the machine and ventilate." : "";
            b.setDisable(!why.isEmpty() && !b.isSelected());
            String tip = (MayPrint.words(why, m) + " " + fumes).strip();
            Ui.tip(b, tip.isEmpty() ? "May be printed on this machine" : tip);
            why.forEach(r -> obstacles.computeIfAbsent(r.obstacle(), k -> new ArrayList<>()).add(m.name()));
            if (b.isSelected() && m.fumes() && !machine.enclosed()) {
                against.getChildren().add(Ui.id(Ui.text(fumes, "look"), "against-" + m.name()));
            }
        });
        if (machine.prints()) {
            int n = 0;
            for (Map.Entry<String, List<String>> o : obstacles.entrySet()) {
                boolean chosen = o.getValue().stream().anyMatch(machine.materials()::contains);
                against.getChildren().add(Ui.id(Ui.text("Not " + String.join(", ", o.getValue()) + ": "
                        + Quantity.inSentence(o.getKey()) + ".", chosen ? "look" : "faint"), "against-" + n++));
            }
        }
    }
}
