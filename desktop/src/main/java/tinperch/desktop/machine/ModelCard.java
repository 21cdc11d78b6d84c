package tinperch.desktop.machine;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.check.Severity;
import tinperch.desktop.desk.Begin;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.SeverityBadge;
import tinperch.desktop.look.Ui;
import tinperch.desktop.reading.Instruments;
import tinperch.desktop.reading.ReadingCell;
import tinperch.desktop.sheet.Turntable;
import tinperch.machine.model.Candidate;
import tinperch.machine.model.Model;
import tinperch.machine.model.ModelCheck;
import tinperch.machine.space.Shape;
import tinperch.measure.Spread;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.solid.query.MeshRounds;

/** A downloaded model: its size and unit, what was checked on the real thing, and what can be made of it. */
final class ModelCard extends GridPane {
    private final Desk desk;
    private static final double TABLE_PX = 250;
    private static final double ALONE_PX = 360;

    private final ModelEdits edits;
    private final Model m;
    private final Consumer<String> complain;

    /**
     * @param found what is in it
     * @param alone whether it has the page for itself
     * @param complain told why something could not be done
     */
    ModelCard(Desk desk, ModelEdits edits, Model m, ModelsPanel.Found found, boolean alone, Consumer<String> complain) {
        this.desk = desk;
        this.edits = edits;
        this.m = m;
        this.complain = complain;
        setHgap(16);
        for (double share : new double[] {34, 66}) {
            ColumnConstraints c = new ColumnConstraints();
            c.setPercentWidth(share);
            getColumnConstraints().add(c);
        }
        addRow(0, facts(found.shape(), alone ? ALONE_PX : TABLE_PX), checks(found.rounds()));
        getChildren().forEach(n -> GridPane.setValignment(n, VPos.TOP));
    }

    private Node facts(Shape shape, double tablePx) {
        CommitField name = new CommitField("model-name-" + m.id(), m.name(), typed -> {
            if (typed.isBlank()) {
                return Optional.of("A model needs a name; the old one stays.");
            }
            edits.change(m, "name of a model", k -> k.named(typed.strip()));
            return Optional.empty();
        });
        name.setPrefWidth(230);
        name.setMinWidth(150);
        Vec3 s = m.sizeMm();
        Label facts = Ui.text(Quantity.plain(s.x(), Unit.MM) + " × " + Quantity.plain(s.y(), Unit.MM) + " × " + Quantity.mm(s.z()) + ", "
                + m.triangles() + " triangles. " + m.mending(), "faint");
        HBox units = new HBox(5, Ui.whole(Ui.label("its file is in", "field-label")));
        units.setAlignment(Pos.CENTER_LEFT);
        for (double scale : Model.SCALES) {
            ToggleButton b = Ui.whole(Ui.id(new ToggleButton(Model.unitName(scale)), "model-unit-" + Model.unitName(scale) + "-" + m.id()));
            b.getStyleClass().add("chip");
            b.setSelected(scale == m.scale());
            b.setOnAction(e -> rescale(scale, b));
            units.getChildren().add(b);
        }
        VBox left = new Column(6, name, facts, units);
        if (shape != null) {
            Turntable table = new Turntable(desk.theme(), "", face -> { });
            table.setPrefHeight(tablePx);
            table.setMinHeight(tablePx);
            table.prepare(shape.drawn(), shape.edges(), List.of(), shape.bounds());
            left.getChildren().add(table);
        }
        m.unitDoubt().ifPresent(d -> left.getChildren().add(Ui.id(Ui.text(d, "look"), "model-doubt-" + m.id())));
        return left;
    }

    private void rescale(double scale, ToggleButton pressed) {
        edits.rescale(m, scale).ifPresent(why -> {
            if (pressed != null) {
                pressed.setSelected(scale == m.scale());
            }
            complain.accept(why);
        });
    }

    private Node checks(List<MeshRounds.Round> rounds) {
        Model.Verdict verdict = m.verdict();
        SeverityBadge badge = new SeverityBadge(verdict == Model.Verdict.AGREES ? Severity.FINE : verdict == Model.Verdict.DISAGREES ? Severity.STOP : Severity.LOOK);
        Label words = Ui.id(Ui.text(m.verdictWords()), "model-verdict-" + m.id());
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox head = new HBox(8, badge, words);
        m.likelyScale().filter(x -> verdict == Model.Verdict.DISAGREES).ifPresent(scale -> head.getChildren().add(Ui.whole(Ui.id(Ui.button(
                "read it in " + Model.unitName(scale), null, () -> rescale(scale, null)),
                "model-rescale-" + m.id()))));
        GridPane rows = new GridPane();
        rows.setHgap(10);
        for (int i = 0; i < 4; i++) {
            ColumnConstraints c = new ColumnConstraints();
            c.setHgrow(i == 0 ? Priority.ALWAYS : Priority.NEVER);
            rows.getColumnConstraints().add(c);
        }
        rows.setVgap(4);
        int row = 0;
        for (ModelCheck c : m.checks()) {
            ReadingCell cell = new ReadingCell("model-" + c.id(), Unit.MM, Spread.CALIPER_MM, new Instruments(desk.workshop()), v ->
                    v > 0 && v < 3000 ? Optional.empty()
                    : Optional.of("A length is larger than zero; the reading was left out."), (label, list) -> edits.change(m, label, k -> k.with(c.with(list))), f -> { });
            cell.refresh(c.readings());
            String off = c.differenceMm(m.scale()).map(d -> (c.agrees(m.scale()).orElse(false) ? "agrees: " : "disagrees: ")
                    + (d > 0 ? "+" : "") + Quantity.fixed(d, 2) + " mm").orElse("not read yet");
            Label says = Ui.whole(Ui.id(Ui.label(off, c.agrees(m.scale()).orElse(true) ? "faint" : "look"), "model-says-" + c.id()));
            Button gone = Ui.id(Ui.button("take off", null, () -> edits.change(m, "take off a check", k -> k.withoutCheck(c.id()))), "model-uncheck-" + c.id());
            HBox acts = new HBox(gone);
            acts.getStyleClass().add("row-acts");
            Label what = Ui.text(c.what() + ": " + Quantity.fixed(c.found() * m.scale(), 2) + " mm");
            what.setMinWidth(165);
            rows.addRow(row++, what, cell, says, Ui.whole(acts));
            acts.setMaxHeight(USE_PREF_SIZE);
        }
        rows.getChildren().forEach(n -> GridPane.setValignment(n, VPos.TOP));
        Button use = Ui.id(Ui.button(verdict == Model.Verdict.AGREES ? "Put it among the neighbours" : "Use it unchecked", "mdi2p-plus",
                () -> edits.use(m).ifPresent(complain)), "model-use-" + m.id());
        use.setDisable(verdict == Model.Verdict.DISAGREES);
        Button remove = Ui.id(Ui.button("Remove", null, () -> edits.remove(m).ifPresent(complain)), "model-remove-" + m.id());
        Button make = Ui.id(Ui.button("Make a part from it", "mdi2s-shape-outline", () -> Begin.upgrade(desk, edits.machine(), m)),
                "model-make-" + m.id());
        Ui.tip(make, "Starts an upgrade whose part is this model, bored for your screws and your printer");
        make.setDisable(verdict == Model.Verdict.DISAGREES);
        FlowPane acts = new FlowPane(8, 6, more(rounds), make, use, remove);
        acts.setAlignment(Pos.CENTER_LEFT);
        return new Column(8, head, rows, acts);
    }

    /** What else can be read on the real one. */
    private Node more(List<MeshRounds.Round> rounds) {
        ComboBox<String> more = Ui.id(new ComboBox<>(), "model-more-" + m.id());
        more.setPromptText("check another thing");
        more.setPrefWidth(200);
        more.setMinWidth(80);
        more.setVisible(m.checks().size() < Model.MOST_CHECKS);
        offer(more, rounds);
        return more;
    }

    private void offer(ComboBox<String> more, List<MeshRounds.Round> found) {
        List<Candidate> all = Candidate.of(m.size(), found, m.scale()).stream()
                .filter(c -> m.checks().stream().noneMatch(k -> Math.abs(k.found() - c.found()) < 1e-9 * c.found())).toList();
        more.getItems().setAll(all.stream().map(Candidate::what).toList());
        // The value itself is listened to: the box's action does not always come when the box is new.
        more.valueProperty().addListener((o, was, chosen) -> all.stream().filter(c -> c.what().equals(chosen)).findFirst()
                .ifPresent(c -> edits.change(m, "check " + c.what(), k -> k.with(new ModelCheck(BookEdit.freshId(), c.name(), c.found(), List.of())))));
    }
}
