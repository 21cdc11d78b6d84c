package tinperch.desktop.station;

import java.util.Optional;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.fact.MeshesFact;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.upgrade.Upgrade;

/** The pieces as they lie on the bed: sizes, volume, mass. */
final class BedPanel extends HBox {
    private final Desk desk;
    private final String upgradeId;
    private final VBox facts = new VBox(4);
    private final BedPlan plan;

    BedPanel(Desk desk, String upgradeId) {
        super(18);
        this.desk = desk;
        this.upgradeId = upgradeId;
        plan = new BedPlan(desk.theme());
        VBox words = new VBox(8, Ui.label("The part on the bed", "section"), facts);
        HBox.setHgrow(words, Priority.ALWAYS);
        getChildren().addAll(words, plan);
        getStyleClass().add("panel");
    }

    void refresh() {
        facts.getChildren().clear();
        Drawing d = desk.drawingProperty().get();
        Optional<Upgrade> u = desk.state().upgrade(upgradeId);
        if (u.isEmpty() || desk.part().isEmpty()) {
            facts.getChildren().add(Ui.text("No part yet.", "faint"));
            return;
        }
        if (d == null) {
            facts.getChildren().add(Ui.text("Being computed…", "faint"));
            return;
        }
        double cm3 = d.volumeMm3() / 1000;
        GridPane g = new GridPane();
        g.setHgap(18);
        g.setVgap(4);
        int row = 0;
        Vec3 largest = d.pieces().get(0).mesh().bounds().size();
        for (MeshesFact.Made m : d.pieces()) {
            Vec3 size = m.mesh().bounds().size();
            largest = size.x() * size.y() > largest.x() * largest.y() ? size : largest;
            fact(g, row++, d.pieces().size() == 1 ? "Size" : m.piece().count() + " × " + m.piece().name() + ", " + desk.part().get().material(),
                    Quantity.plain(size.x(), Unit.MM) + " × " + Quantity.plain(size.y(), Unit.MM) + " × " + Quantity.mm(size.z())
                    + m.mark().map(k -> ", " + desk.mark() + " " + k.words()).orElse(", no room for the mark"));
        }
        plan.show(desk.state().machine(u.get().hostMachineId()), largest);
        fact(g, row++, "Volume", Quantity.fixed(cm3, 1) + " cm³");
        Optional<Material> m = Material.find(desk.part().get().material());
        if (m.isPresent()) {
            fact(g, row++, "Mass if solid", Quantity.fixed(cm3 * m.get().densityGcm3(), 0) + " g " + m.get().name() + " (estimate)");
        }
        // Filament 1.75 mm: length = volume / (π d² / 4).
        fact(g, row, "Filament if solid", Quantity.fixed(cm3 * 1000 / (Math.PI * 1.75 * 1.75 / 4) / 1000, 1) + " m of 1.75 mm (estimate)");
        facts.getChildren().add(g);
    }

    private static String sentence(String s) {
        return s.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + s.substring(1);
    }

    private static void fact(GridPane g, int row, String name, String value) {
        g.add(Ui.label(name, "field-label"), 0, row);
        g.add(Ui.label(value, "strong"), 1, row);
    }
}
