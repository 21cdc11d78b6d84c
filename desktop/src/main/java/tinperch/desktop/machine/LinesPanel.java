package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.space.Along;
import tinperch.machine.space.Face;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.RunFit;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;

/** Cables, hoses and belts: what slack each has, and a few fields for a new one or the one chosen; its points are clicked on in the drawing. */
final class LinesPanel extends Column {
    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final Consumer<String> picked;
    private final VBox list = new Column(2);
    private final TextField name = Ui.id(new TextField(), "line-name");
    private final ComboBox<Choice<Run.Kind>> kind = Ui.id(new ComboBox<>(), "line-kind");
    private final ComboBox<Choice<Along>> wide = Ui.id(new ComboBox<>(), "line-wide");
    private final TextField across = number("line-across", "mm");
    private final TextField bend = number("line-bend", "usual");
    private final TextField length = number("line-length", "not said");
    private final HBox cable = row("bent to no less than", bend, "long, from end to end", length);
    private final VBox points = new Column(3);
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "line-complaint");
    private final Button put = Ui.id(Ui.button("Add it", "mdi2p-plus", this::put), "line-put");
    private final Button remove = Ui.id(Ui.button("Remove", null, this::remove), "line-remove");
    private final List<LinePoint> held = new ArrayList<>();
    private Machine machine;
    private Run editing;

    /**
     * @param edit makes an edit of the surroundings or answers why not
     * @param picked told the id of the one clicked on
     */
    LinesPanel(BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Consumer<String> picked) {
        super(6);
        this.edit = edit;
        this.picked = picked;
        name.setPromptText("a cable or belt, such as head cable");
        HBox.setHgrow(name, Priority.ALWAYS);
        kind.getItems().setAll(java.util.Arrays.stream(Run.Kind.values()).map(k -> new Choice<>(k, k.label())).toList());
        wide.getItems().setAll(java.util.Arrays.stream(Along.values()).map(a -> new Choice<>(a, "wide along " + a.name().toLowerCase(java.util.Locale.ROOT))).toList());
        kind.setOnAction(e -> fit());
        put.getStyleClass().add("accent");
        Button more = Ui.id(Ui.button("Point", "mdi2p-plus", () -> point("", null)), "line-point");
        Ui.tip(more, "A point typed in; or click on things in the drawing, in the order it runs");
        getChildren().addAll(list, new HBox(6, name, kind), row("thick or wide", across, "", null), cable, Ui.text("Its points, in the order it runs: click on the faces it is held at.", "faint"), points,
                new HBox(6, more, put, remove), complaint);
        ((HBox) getChildren().get(2)).getChildren().add(wide);
        for (TextField f : List.of(name, across, bend, length)) {
            f.setOnAction(e -> put());
        }
        clear();
    }

    private static TextField number(String id, String prompt) {
        TextField f = Ui.id(new TextField(), id);
        f.setPromptText(prompt);
        f.setPrefColumnCount(5);
        return f;
    }

    private static HBox row(String label, TextField a, String second, TextField b) {
        HBox row = new HBox(6, Ui.whole(Ui.label(label, "faint")), a);
        if (b != null) {
            row.getChildren().addAll(Ui.whole(Ui.label(second, "faint")), b);
        }
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void fit() {
        Run.Kind k = Choice.in(kind, Run.Kind.CABLE);
        Ui.see(cable, k == Run.Kind.CABLE);
        Ui.see(wide, k == Run.Kind.BELT);
    }

    void refresh(Machine m) {
        machine = m;
        list.getChildren().setAll(m.surroundings().runs().stream().map(this::entry).toList());
        if (list.getChildren().isEmpty()) {
            list.getChildren().add(Ui.text("What hangs and what runs: cables with the slack they have wherever the axes go, belts as lines parts must not touch.", "faint"));
        }
        if (editing != null) {
            Run now = m.surroundings().run(editing.id()).orElse(null);
            if (now == null) {
                clear();
            } else if (!now.equals(editing)) {
                take(now);
            }
        }
    }

    private VBox entry(Run r) {
        RunFit fit = RunFit.of(r, machine.surroundings());
        Label how = Ui.id(Ui.text(fit.words(r), fit.isWrong(r) ? "look" : "faint"), "line-fit-" + r.id());
        if (fit.isWrong(r)) {
            how.setGraphic(Ui.icon("mdi2a-alert-outline"));
        }
        Button b = Ui.id(new Button(r.name()), "line-" + r.id());
        b.getStyleClass().addAll("upgrade-row", "neighbour-row");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setOnAction(e -> {
            take(r);
            picked.accept(r.id());
        });
        return new Column(2, b, how);
    }

    private void take(Run r) {
        clear();
        editing = r;
        name.setText(r.name());
        Choice.fill(kind, List.copyOf(kind.getItems()), r.kind());
        Choice.fill(wide, List.copyOf(wide.getItems()), r.wide());
        across.setText(Quantity.plain(r.acrossMm(), Unit.MM));
        bend.setText(r.bendMm() == 0 ? "" : Quantity.plain(r.bendMm(), Unit.MM));
        length.setText(r.lengthMm() == 0 ? "" : Quantity.plain(r.lengthMm(), Unit.MM));
        r.holds().forEach(h -> point(h.group(), h.at()));
        put.setText("Change it");
        remove.setVisible(true);
        fit();
    }

    private void clear() {
        editing = null;
        for (TextField f : List.of(name, across, bend, length)) {
            f.clear();
        }
        held.clear();
        points.getChildren().clear();
        Choice.fill(kind, List.copyOf(kind.getItems()), Run.Kind.CABLE);
        Choice.fill(wide, List.copyOf(wide.getItems()), Along.Z);
        put.setText("Add it");
        remove.setVisible(false);
        complain("");
        fit();
    }

    /** A point in the middle of a face somebody clicked on. */
    void point(Face face) {
        machine.surroundings().neighbour(face.neighbourId()).ifPresent(n -> point(n.group(), face.middle(n)));
    }

    private void point(String group, Vec3 at) {
        LinePoint p = new LinePoint(held.size() + 1, machine.surroundings().groups(), group, at, this::drop);
        held.add(p);
        points.getChildren().add(p);
        complain("");
    }

    private void drop(LinePoint p) {
        List<LinePoint> left = held.stream().filter(o -> o != p).toList();
        held.clear();
        points.getChildren().clear();
        left.forEach(o -> {
            held.add(o);
            o.number(held.size());
            points.getChildren().add(o);
        });
    }

    /** A new one, from its name on. */
    void begin() {
        clear();
        name.requestFocus();
    }

    private void put() {
        try {
            List<Run.Hold> holds = new ArrayList<>();
            for (LinePoint p : held) {
                holds.add(p.hold());
            }
            Run.Kind k = Choice.in(kind, Run.Kind.CABLE);
            boolean hangs = k == Run.Kind.CABLE;
            Run r = new Run(editing == null ? BookEdit.freshId() : editing.id(), name.getText().strip(), k, holds, value(across), Choice.in(wide, Along.Z), hangs ? value(bend) : 0,
                    hangs ? value(length) : 0);
            boolean fresh = editing == null;
            Optional<String> why = edit.apply((fresh ? "add " : "change ") + r.name(), s -> s.with(r));
            if (why.isEmpty() && fresh) {
                clear();
                name.requestFocus();
            }
            complain(why.orElse(""));
        } catch (QuantityException e) {
            complain(e.getMessage());
        }
    }

    private static double value(TextField f) {
        return f.getText().isBlank() ? 0 : Quantity.parse(f.getText(), Unit.MM);
    }

    private void remove() {
        Run r = editing;
        clear();
        edit.apply("remove " + r.name(), s -> s.withoutRun(r.id()));
    }

    private void complain(String why) {
        complaint.setText(why);
        Ui.see(complaint, !why.isEmpty());
    }
}
