package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.HeatSetInsert;
import tinperch.hardware.ScrewThread;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/** The screw lengths at hand, a row a thread. */
public final class DrawerSheet extends Scroller implements View {
    private final Desk desk;
    private final Map<String, CommitField> fields = new LinkedHashMap<>();

    public DrawerSheet(Desk desk) {
        this.desk = desk;
        GridPane grid = new GridPane();
        grid.getStyleClass().add("panel");
        grid.setHgap(18);
        grid.setVgap(8);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(new ColumnConstraints(60), wide, new ColumnConstraints(300));
        grid.addRow(0, Ui.label("Thread", "column"), Ui.label("Lengths at hand, mm", "column"),
                Ui.label("Goes with it", "column"));
        int row = 1;
        for (ScrewThread t : HardwareTables.STANDARD.threads()) {
            CommitField f = new CommitField("drawer-" + t.name(), text(t.name()), typed -> take(t.name(), typed));
            f.field().setPromptText("none: type lengths such as 8 10 12 16");
            fields.put(t.name(), f);
            grid.addRow(row, Ui.label(t.name(), "strong"), f, Ui.label("nut " + Quantity.plain(t.nutAcrossFlatsMm(), Unit.MM)
                    + " × " + Quantity.mm(t.nutHeightMm()) + " · washer Ø "
                    + Quantity.mm(t.washerOuterMm()) + " · core " + Quantity.mm(t.tapDrillMm()), "faint"));
            for (var n : grid.getChildren()) {
                GridPane.setValignment(n, VPos.BASELINE);
            }
            row++;
        }
        VBox page = new VBox(14, Ui.label("Screw drawer", "title"),
                Ui.text("Remedies use these lengths first; what is not here they name as “to buy” or cut from a longer one. "
                        + "Nut, washer and core sizes are the standard ones (ISO 4032, ISO 7089).", "lead"),
                grid, Ui.label("Inserts", "section"), inserts());
        page.getStyleClass().add("page");
        setContent(page);
    }

    private static GridPane inserts() {
        GridPane g = new GridPane();
        g.getStyleClass().add("panel");
        g.setHgap(28);
        g.setVgap(5);
        g.addRow(0, Ui.label("Insert", "column"), Ui.label("Outside Ø, mm", "column"), Ui.label("Hole to print Ø, mm", "column"),
                Ui.label("Hole depth, mm", "column"), Ui.label("Boss Ø at least, mm", "column"));
        int row = 1;
        for (ScrewThread t : HardwareTables.STANDARD.threads()) {
            for (HeatSetInsert i : HardwareTables.STANDARD.insertsFor(t.name())) {
                g.addRow(row++, Ui.label(i.name(), "strong"), Ui.label(Quantity.fixed(i.outerMm(), 1)),
                        Ui.label(Quantity.fixed(i.holeMm(), 1)), Ui.label(Quantity.fixed(i.lengthMm() + 1, 1)),
                        Ui.label(Quantity.fixed(2 * i.outerMm(), 1)));
            }
        }
        return g;
    }

    private String text(String thread) {
        return desk.state().drawer().lengths(thread).stream().map(l -> Quantity.plain(l, Unit.MM))
                .collect(Collectors.joining("  "));
    }

    private Optional<String> take(String thread, String typed) {
        List<Double> lengths = new ArrayList<>();
        try {
            for (String part : typed.strip().split("[\\s;]+")) {
                if (!part.isEmpty()) {
                    double l = Quantity.parse(part, Unit.MM);
                    if (!(l >= 1 && l <= 300)) {
                        return Optional.of("A screw of " + Quantity.mm(l) + " was left out: lengths go from 1 to 300 mm.");
                    }
                    lengths.add(l);
                }
            }
        } catch (QuantityException e) {
            return Optional.of(e.getMessage() + " Part lengths by spaces.");
        }
        desk.workshop().edit(thread + " lengths in the drawer", s -> s.with(s.drawer().with(thread, lengths)));
        return Optional.empty();
    }

    @Override
    public void refresh() {
        fields.forEach((thread, f) -> f.refresh(text(thread)));
    }
}
