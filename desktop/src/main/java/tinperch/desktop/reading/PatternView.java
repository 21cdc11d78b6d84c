package tinperch.desktop.reading;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.measure.HolePair;
import tinperch.measure.Jaw;
import tinperch.measure.PatternSheet;
import tinperch.measure.Spread;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/** A four-hole pattern: read over edges or from centre to centre, drawn as it grows, laid over another. */
final class PatternView implements SheetSide {
    private final GridPane grid = new GridPane();
    private final VBox left = new Column(6);
    private final PatternSketch sketch;
    private final PatternVerdict verdict;
    private final Map<String, ReadingCell> cells = new LinkedHashMap<>();
    private final Map<HolePair, Label> centres = new LinkedHashMap<>();
    private final Map<HolePair, Label> holes = new LinkedHashMap<>();
    private final ReadingCell across;
    private final ToggleButton overEdges = Ui.id(new ToggleButton("over the edges"), "read-edges");
    private final ToggleButton fromCentres = Ui.id(new ToggleButton("centre to centre"), "read-centres");
    private Entry entry;
    private boolean byCentres;

    /** @param others the other patterns one may compare with, by name */
    PatternView(Theme theme, Instruments instruments, Supplier<Map<String, PatternSheet>> others) {
        sketch = new PatternSketch(theme);
        verdict = new PatternVerdict(sketch, others);
        across = new ReadingCell("hole.across", Unit.MM, Spread.CALIPER_MM, instruments,
                v -> v > 0 && v < 200 ? Optional.empty() : Optional.of("A hole is larger than zero and smaller than 200 mm."),
                (label, list) -> commit(label, sheet().withAcrossHole(list)), f -> { });
        ToggleGroup ways = new ToggleGroup();
        for (ToggleButton b : List.of(overEdges, fromCentres)) {
            b.setToggleGroup(ways);
            b.getStyleClass().add("chip");
            b.setOnAction(e -> {
                byCentres = b == fromCentres;
                layoutGrid();
            });
        }
        for (HolePair p : HolePair.values()) {
            for (Jaw jaw : Jaw.values()) {
                makeCell(p, jaw, instruments);
            }
            centres.put(p, Ui.id(Ui.label("", "number"), "centre-" + p));
            holes.put(p, Ui.id(Ui.label("", "number"), "hole-" + p));
        }
        grid.setHgap(8);
        grid.setVgap(5);
        HBox way = new HBox(6, Ui.label("read", "field-label"), overEdges, fromCentres);
        way.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        left.getChildren().addAll(way, grid);
    }

    private void makeCell(HolePair pair, Jaw jaw, Instruments instruments) {
        String key = PatternSheet.cell(pair, jaw);
        ReadingCell cell = new ReadingCell(key, Unit.MM, Spread.CALIPER_MM, instruments, v -> sheet().objection(pair, jaw, v),
                (label, list) -> commit(label, sheet().with(pair, jaw, list)), f -> sketch.point(f ? pair : null, jaw));
        cell.field().addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            int to = pair.ordinal() + (e.getCode() == KeyCode.DOWN ? 1 : e.getCode() == KeyCode.UP ? -1 : 0);
            if (to != pair.ordinal() && to >= 0 && to < HolePair.values().length) {
                cells.get(PatternSheet.cell(HolePair.values()[to], jaw)).field().requestFocus();
                e.consume();
            }
        });
        cells.put(key, cell);
    }

    private PatternSheet sheet() {
        return entry.sheet().pattern();
    }

    private void commit(String label, PatternSheet next) {
        entry.commit().accept(label, entry.sheet().with(next));
    }

    private void layoutGrid() {
        (byCentres ? fromCentres : overEdges).setSelected(true);
        grid.getChildren().clear();
        grid.getColumnConstraints().clear();
        ColumnConstraints jaw = new ColumnConstraints();
        jaw.setHgrow(Priority.ALWAYS);
        jaw.setMinWidth(144);
        grid.getColumnConstraints().addAll(new ColumnConstraints(90), jaw, jaw, new ColumnConstraints(108), new ColumnConstraints(46));
        Label[] heads = byCentres
                ? new Label[] {Ui.label("Centre to centre, mm", "column"), Ui.label("Across one hole, mm", "column")}
                : new Label[] {Ui.label("Outside to outside, mm", "column"), Ui.label("Inside to inside, mm", "column")};
        grid.addRow(0, Ui.label("Holes", "column"), heads[0], heads[1], Ui.label("Centres, mm", "column"), Ui.label("Hole Ø", "column"));
        int row = 1;
        for (HolePair p : HolePair.values()) {
            Label label = Ui.label(p.label(), "strong");
            Node first = cells.get(PatternSheet.cell(p, byCentres ? Jaw.CENTRES : Jaw.OUTSIDE));
            grid.add(label, 0, row);
            grid.add(first, 1, row);
            if (!byCentres) {
                grid.add(cells.get(PatternSheet.cell(p, Jaw.INSIDE)), 2, row);
            } else if (row == 1) {
                grid.add(across, 2, row);
            }
            grid.add(centres.get(p), 3, row);
            grid.add(holes.get(p), 4, row++);
            for (Label l : List.of(label, centres.get(p), holes.get(p))) {
                l.setPadding(new Insets(5, 0, 0, 0));
            }
        }
        grid.getChildren().forEach(n -> GridPane.setValignment(n, VPos.TOP));
    }

    @Override
    public Node cells() {
        return left;
    }

    @Override
    public Node side() {
        return verdict;
    }

    @Override
    public Node firstMissing() {
        List<Jaw> jaws = byCentres ? List.of(Jaw.CENTRES) : List.of(Jaw.OUTSIDE, Jaw.INSIDE);
        for (HolePair p : List.of(HolePair.AB, HolePair.AD, HolePair.AC, HolePair.BC, HolePair.DC, HolePair.BD)) {
            for (Jaw j : jaws) {
                if (sheet().at(p, j).isEmpty()) {
                    return cells.get(PatternSheet.cell(p, j)).field();
                }
            }
        }
        return cells.get(PatternSheet.cell(HolePair.AB, jaws.get(0))).field();
    }

    @Override
    public void refresh(Entry now) {
        boolean other = entry == null || !entry.key().equals(now.key());
        entry = now;
        PatternSheet sheet = sheet();
        if (other) {
            byCentres = sheet.readings().keySet().stream().anyMatch(k -> k.endsWith(Jaw.CENTRES.label()))
                    && sheet.readings().keySet().stream().noneMatch(k -> k.endsWith(Jaw.OUTSIDE.label()));
            layoutGrid();
        }
        for (HolePair p : HolePair.values()) {
            for (Jaw jaw : Jaw.values()) {
                cells.get(PatternSheet.cell(p, jaw)).refresh(sheet.at(p, jaw));
            }
            Optional<PatternSheet.Derived> d = sheet.derived(p);
            centres.get(p).setText(d.map(v -> Quantity.fixed(v.centreMm(), 2) + " ± " + Quantity.fixed(v.halfWidthMm(), 2))
                    .orElse("–"));
            holes.get(p).setText(d.map(v -> Quantity.fixed(v.diameterMm(), 2)).orElse("–"));
        }
        across.refresh(sheet.acrossHole());
        verdict.refresh(sheet, other);
    }

}
