package tinperch.desktop.station;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Ui;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.fact.MeshesFact;
import tinperch.material.Material;
import tinperch.part.form.Lie;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** The pieces as they lie on the bed: sizes, volume, mass. */
final class BedPanel extends HBox {
    private static final List<Choice<Lie>> LIES = Arrays.stream(Lie.values()).map(l -> new Choice<>(l, "lies " + l.where())).toList();

    private final Desk desk;
    private final String upgradeId;
    private final VBox facts = new VBox(4);
    private final BedPlan plan;
    private Object shown;

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
        Drawing d = desk.drawingProperty().get();
        Optional<Upgrade> u = desk.state().upgrade(upgradeId);
        Optional<PartDesign> part = desk.part();
        List<Object> now = Arrays.asList(d, u.map(Upgrade::hostMachineId).map(desk.state()::machine), part.map(PartDesign::material), part.map(PartDesign::lies), desk.mark());
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        facts.getChildren().clear();
        if (u.isEmpty() || part.isEmpty()) {
            facts.getChildren().add(Ui.text("No part yet.", "faint"));
        } else if (d == null) {
            facts.getChildren().add(Ui.text("Being computed…", "faint"));
        } else {
            facts.getChildren().add(told(d, u.get(), part.get()));
        }
    }

    private GridPane told(Drawing d, Upgrade u, PartDesign part) {
        GridPane g = new GridPane();
        g.setHgap(18);
        g.setVgap(4);
        int row = 0;
        Vec3 largest = Vec3.ZERO;
        for (MeshesFact.Made m : d.pieces()) {
            Lie lie = Lie.of(m.piece().id(), part.lies());
            Vec3 size = lie.sizeMm(m.mesh().bounds().size());
            largest = size.x() * size.y() > largest.x() * largest.y() ? size : largest;
            g.add(Form.choice("lie-" + m.piece().id(), LIES, LIES.get(lie.ordinal()), next -> lay(m, next.value())), 2, row);
            fact(g, row++, d.pieces().size() == 1 ? "Size" : m.piece().count() + " × " + m.piece().name() + ", " + part.material(),
                    Quantity.plain(size.x(), Unit.MM) + " × " + Quantity.plain(size.y(), Unit.MM) + " × " + Quantity.mm(size.z())
                    + m.mark().map(k -> ", " + desk.mark() + " " + k.words()).orElse(", no room for the mark"));
        }
        plan.show(desk.state().machine(u.hostMachineId()), largest);
        double cm3 = d.volumeMm3() / 1000;
        fact(g, row++, "Volume", Quantity.fixed(cm3, 1) + " cm³");
        Optional<Material> m = Material.find(part.material());
        if (m.isPresent()) {
            fact(g, row++, "Mass if solid", Quantity.fixed(cm3 * m.get().densityGcm3(), 0) + " g " + m.get().name() + " (estimate)");
        }
        // Filament 1.75 mm: length = volume / (π d² / 4).
        fact(g, row, "Filament if solid", Quantity.fixed(cm3 * 1000 / (Math.PI * 1.75 * 1.75 / 4) / 1000, 1) + " m of 1.75 mm (estimate)");
        return g;
    }

    private void lay(MeshesFact.Made m, Lie lie) {
        desk.part().ifPresent(p -> desk.workshop().edit("lay the " + m.piece().name() + " " + lie.where(), s -> s.with(s.upgrade(upgradeId).orElseThrow().with(p.laid(m.piece().id(), lie)))));
    }

    private static void fact(GridPane g, int row, String name, String value) {
        g.add(Ui.label(name, "field-label"), 0, row);
        g.add(Ui.label(value, "strong"), 1, row);
    }
}
