package tinperch.desktop.temperature;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.layout.HBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.ShownCool;
import tinperch.material.Material;
import tinperch.trial.Run;

/** What a run allows: materials whose bed a contact was too weak for on paper and is seen to stand. One edit, with the run as its evidence. */
final class UnlockRow extends HBox {
    private final Desk desk;

    UnlockRow(Desk desk) {
        super(10);
        this.desk = desk;
        setAlignment(Pos.CENTER_LEFT);
    }

    void show(Machine machine, Run run) {
        List<String> names = ShownCool.unlockedBy(run, machine, LocalDate.now()).stream().map(Material::name).toList();
        getChildren().clear();
        setVisible(!names.isEmpty());
        setManaged(!names.isEmpty());
        if (names.isEmpty()) {
            return;
        }
        String all = String.join(", ", names);
        getChildren().addAll(Ui.text("The contact stood more than " + Math.round(ShownCool.SPARE_K) + " K below its rating with the bed that " + all + (names.size() == 1 ? " wants" : " want")
                + ". Its current is still more than it is rated for on paper: look at it again after the first prints, and never leave them alone.", "caution"),
                Ui.whole(Ui.id(Ui.button("Print " + all + " on it from now on", null, () -> allow(machine.id(), run.id(), names)), "unlock")));
    }

    private void allow(String machineId, String runId, List<String> names) {
        desk.workshop().edit("may print " + String.join(", ", names), s -> s.machine(machineId).flatMap(m -> m.run(runId).map(r -> {
            List<String> materials = new ArrayList<>(m.materials());
            materials.addAll(names);
            String note = (r.note().isBlank() ? "" : r.note() + "; ") + "shows that " + String.join(", ", names) + " may be printed (" + LocalDate.now() + ")";
            return s.with(m.withMaterials(materials).with(r.withNote(note)));
        })).orElse(s));
    }
}
