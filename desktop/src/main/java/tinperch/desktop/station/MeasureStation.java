package tinperch.desktop.station;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.Desk;
import tinperch.desktop.View;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.measure.HolePair;
import tinperch.measure.Jaw;
import tinperch.measure.MeasuredPattern;
import tinperch.measure.PatternSheet;
import tinperch.measure.Reading;
import tinperch.measure.Spread;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.upgrade.Families;
import tinperch.upgrade.Upgrade;

/** The sheets filled by calipers: digits and Enter in the cell with the focus, the pattern appearing beside. */
final class MeasureStation extends BorderPane implements View {
    private final Desk desk;
    private final String upgradeId;
    private final HBox tabs = new HBox(6);
    private final ToggleGroup group = new ToggleGroup();
    private final GridPane grid = new GridPane();
    private final PatternSketch sketch;
    private final VBox verdict = new VBox(6);
    private final Map<String, Cell> cells = new LinkedHashMap<>();
    private final Map<HolePair, Label> centres = new LinkedHashMap<>();
    private final Map<HolePair, Label> holes = new LinkedHashMap<>();
    private final CommitField name;
    private String role;

    MeasureStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
        sketch = new PatternSketch(desk.theme());
        role = roles().keySet().iterator().next();
        name = new CommitField("sheet-name", sheet().name(), typed -> {
            if (typed.isBlank()) {
                return Optional.of("A sheet needs a name; the old one stays.");
            }
            edit("name of the sheet", s -> new PatternSheet(typed.strip(), s.readings()));
            return Optional.empty();
        });
        name.setPrefWidth(200);
        tabs.setAlignment(Pos.TOP_LEFT);
        buildGrid();
        ScrollPane scroll = new ScrollPane(grid);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("bare");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox left = new VBox(8, tabs, scroll);
        left.getStyleClass().add("panel");
        VBox right = new VBox(6, sketch, verdict);
        right.getStyleClass().add("panel");
        VBox.setVgrow(sketch, Priority.ALWAYS);
        right.prefWidthProperty().bind(widthProperty().multiply(0.28));
        setCenter(left);
        setRight(right);
        BorderPane.setMargin(right, new javafx.geometry.Insets(0, 0, 0, 14));
    }

    private Upgrade upgrade() {
        return desk.state().upgrade(upgradeId).orElseThrow();
    }

    /**
     * The sheets to show: what the part's family needs and whatever else was measured. Before there is a part, the plate's
     * two sides are offered unless something of another kind was measured.
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

    private PatternSheet sheet() {
        return upgrade().sheets().getOrDefault(role, PatternSheet.empty(roles().get(role).split(":")[0]));
    }

    private void edit(String label, java.util.function.UnaryOperator<PatternSheet> change) {
        PatternSheet next = change.apply(sheet());
        String r = role;
        desk.workshop().edit(label, s -> s.with(s.upgrade(upgradeId).orElseThrow().with(r, next)));
    }

    private void buildGrid() {
        grid.setHgap(12);
        grid.setVgap(5);
        ColumnConstraints pair = new ColumnConstraints(100);
        ColumnConstraints jaw = new ColumnConstraints();
        jaw.setHgrow(Priority.ALWAYS);
        jaw.setMinWidth(150);
        grid.getColumnConstraints().addAll(pair, jaw, jaw, new ColumnConstraints(118), new ColumnConstraints(70));
        grid.addRow(0, Ui.label("Holes", "column"), Ui.label("Outside to outside, mm", "column"),
                Ui.label("Inside to inside, mm", "column"), Ui.label("Centres, mm", "column"), Ui.label("Hole Ø", "column"));
        int row = 1;
        for (HolePair p : HolePair.values()) {
            Cell out = new Cell(p, Jaw.OUTSIDE);
            Cell in = new Cell(p, Jaw.INSIDE);
            Label centre = Ui.id(Ui.label("", "number"), "centre-" + p);
            Label hole = Ui.id(Ui.label("", "number"), "hole-" + p);
            centres.put(p, centre);
            holes.put(p, hole);
            Label label = Ui.label(p.label(), "strong");
            grid.addRow(row++, label, out, in, centre, hole);
            for (Node n : List.of(label, out, in, centre, hole)) {
                GridPane.setValignment(n, javafx.geometry.VPos.TOP);
            }
            label.setPadding(new javafx.geometry.Insets(5, 0, 0, 0));
            centre.setPadding(new javafx.geometry.Insets(5, 0, 0, 0));
            hole.setPadding(new javafx.geometry.Insets(5, 0, 0, 0));
        }
    }

    /** One cell of the sheet: a field for the next reading, the readings so far, their mean and spread. */
    private final class Cell extends VBox {
        private final HolePair pair;
        private final Jaw jaw;
        private final TextField field = new TextField();
        private final Label summary = Ui.label("", "faint");
        private final FlowPane chips = new FlowPane(4, 3);
        private final Label complaint = Ui.text("", "complaint");

        Cell(HolePair pair, Jaw jaw) {
            super(2);
            this.pair = pair;
            this.jaw = jaw;
            String key = PatternSheet.cell(pair, jaw);
            field.setId("reading-" + key);
            complaint.setId("reading-" + key + "-complaint");
            field.setPrefWidth(60);
            field.setMinWidth(54);
            summary.setMinWidth(USE_PREF_SIZE);
            field.setPromptText("read");
            field.getStyleClass().add("reading");
            field.setOnAction(e -> take());
            field.focusedProperty().addListener((o, was, is) -> {
                sketch.point(is ? pair : null, jaw);
                if (!is && !field.getText().isBlank()) {
                    take();
                }
            });
            field.setOnKeyPressed(e -> {
                if (e.getCode() == KeyCode.ESCAPE) {
                    field.clear();
                    complain("");
                } else if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.UP) {
                    move(e.getCode() == KeyCode.DOWN ? 1 : -1);
                    e.consume();
                }
            });
            cells.put(key, this);
            HBox line = new HBox(8, field, summary);
            line.setAlignment(Pos.CENTER_LEFT);
            getChildren().addAll(line, chips);
        }

        private void move(int by) {
            int to = pair.ordinal() + by;
            if (to >= 0 && to < HolePair.values().length) {
                cells.get(PatternSheet.cell(HolePair.values()[to], jaw)).field.requestFocus();
            }
        }

        private void take() {
            String typed = field.getText();
            if (typed.isBlank()) {
                return;
            }
            try {
                double v = Quantity.parse(typed, Unit.MM);
                Optional<String> no = sheet().objection(pair, jaw, v);
                if (no.isPresent()) {
                    complain(no.get());
                    return;
                }
                complain("");
                field.clear();
                edit("reading " + Quantity.mm(v), s -> s.plus(pair, jaw, new Reading(v, Instant.now(), "calipers")));
            } catch (QuantityException e) {
                complain(e.getMessage());
            }
        }

        private void complain(String why) {
            complaint.setText(why);
            getChildren().remove(complaint);
            if (!why.isEmpty()) {
                getChildren().add(1, complaint);
            }
        }

        void refresh(PatternSheet sheet) {
            List<Reading> list = sheet.at(pair, jaw);
            Optional<Reading> odd = Spread.outlier(list);
            summary.setText(Spread.of(list).map(s -> Quantity.fixed(s.meanMm(), 2) + " ± "
                    + Quantity.fixed(s.halfWidthMm(), 2)).orElse(""));
            Spread.of(list).ifPresent(s -> Ui.tip(summary, s.count() + " readings, spread "
                    + Quantity.fixed(s.deviationMm(), 3) + " mm; the interval holds the true length with 95 % (Student, "
                    + "and ± 0.03 mm for the calipers)"));
            chips.getChildren().clear();
            for (int i = 0; i < list.size(); i++) {
                int at = i;
                boolean out = odd.isPresent() && odd.get() == list.get(i);
                Button chip = new Button((out ? "? " : "") + Quantity.fixed(list.get(i).valueMm(), 2));
                chip.getStyleClass().addAll("reading-chip", out ? "odd" : "even");
                chip.setFocusTraversable(false);
                Ui.tip(chip, (out ? "This one stands apart from the others; read again or take it out. " : "")
                        + "Click to take this reading out (" + list.get(i).instrument() + ")");
                chip.setOnAction(e -> edit("take out " + Quantity.mm(list.get(at).valueMm()), s -> {
                    List<Reading> less = new ArrayList<>(s.at(pair, jaw));
                    less.remove(at);
                    return s.with(pair, jaw, less);
                }));
                chips.getChildren().add(chip);
            }
            Spread.of(list).filter(s -> s.count() > 1).ifPresent(s -> chips.getChildren().add(
                    Ui.label("spread " + Quantity.fixed(s.deviationMm(), 2), "reading-spread")));
        }
    }

    @Override
    public void refresh() {
        Map<String, String> roles = roles();
        if (!roles.containsKey(role)) {
            role = roles.keySet().iterator().next();
        }
        tabs.getChildren().clear();
        roles.forEach((r, what) -> {
            ToggleButton t = Ui.id(new ToggleButton(upgrade().sheets().containsKey(r) ? upgrade().sheet(r).name()
                    : what.split(":")[0]), "sheet-" + r);
            t.setToggleGroup(group);
            t.setSelected(r.equals(role));
            t.getStyleClass().add("sheet-tab");
            Ui.tip(t, what);
            t.setOnAction(e -> {
                role = r;
                refresh();
            });
            tabs.getChildren().add(t);
        });
        tabs.getChildren().addAll(Ui.spring(), Ui.label("called", "field-label"), name);
        PatternSheet sheet = sheet();
        name.refresh(sheet.name());
        cells.values().forEach(c -> c.refresh(sheet));
        for (HolePair p : HolePair.values()) {
            Optional<PatternSheet.Derived> d = sheet.derived(p);
            centres.get(p).setText(d.map(v -> Quantity.fixed(v.centreMm(), 2) + " ± " + Quantity.fixed(v.halfWidthMm(), 2))
                    .orElse("–"));
            holes.get(p).setText(d.map(v -> Quantity.fixed(v.diameterMm(), 2)).orElse("–"));
        }
        Optional<MeasuredPattern> m = MeasuredPattern.of(sheet);
        sketch.show(sheet, m);
        say(sheet, m);
    }

    private void say(PatternSheet sheet, Optional<MeasuredPattern> measured) {
        verdict.getChildren().clear();
        if (measured.isEmpty()) {
            line("Read one pair across (A–B or D–C) and one pair up (A–D or B–C), outside and inside, to see the pattern.",
                    "strong");
            line("Calipers that type work as they are: the reading lands in the cell with the focus. ↑ ↓ change the row.",
                    "faint");
            return;
        }
        MeasuredPattern m = measured.get();
        line("Holes Ø " + Quantity.fixed(m.diameterMm(), 2) + " mm, places known to ± "
                + Quantity.fixed(m.halfWidthMm(), 2) + " mm", "strong");
        if (m.squareAssumed()) {
            line("Corners taken as square: read one diagonal to know.", "look");
        } else {
            double mmPer100 = Math.tan(Math.toRadians(m.skewDeg())) * 100;
            line(Math.abs(mmPer100) < 0.15 ? "The corner at A is square within what the readings can tell."
                    : "The corner at A is " + (m.skewDeg() > 0 ? "open" : "closed") + " by "
                            + Quantity.fixed(Math.abs(m.skewDeg()), 2) + "° (" + Quantity.fixed(Math.abs(mmPer100), 2)
                            + " mm per 100 mm).", "faint");
        }
        m.doubtful().ifPresent(p -> line("The pair " + p.label() + " does not fit the others by "
                + Quantity.fixed(Math.abs(m.residualsMm().get(p)), 2) + " mm: read it again.", "look"));
        notMirrored();
    }

    /** Two sheets called left and right should mirror each other; says plainly when they do not. */
    private void notMirrored() {
        Optional<MeasuredPattern> left = Optional.ofNullable(upgrade().sheets().get("left")).flatMap(MeasuredPattern::of);
        Optional<MeasuredPattern> right = Optional.ofNullable(upgrade().sheets().get("right")).flatMap(MeasuredPattern::of);
        if (left.isEmpty() || right.isEmpty()) {
            return;
        }
        double differenceMm = left.get().yMm(3) - right.get().yMm(3);
        double half = Math.hypot(left.get().halfWidthMm(), right.get().halfWidthMm());
        if (Math.abs(differenceMm) > half) {
            line("Not a mirror image: the left side is " + Quantity.fixed(Math.abs(differenceMm), 2) + " ± "
                    + Quantity.fixed(half, 2) + " mm " + (differenceMm > 0 ? "taller" : "shorter") + " than the right.", "look");
        }
    }

    private void line(String text, String style) {
        verdict.getChildren().add(Ui.text(text, style));
    }
}
