package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.Desk;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.desktop.sheet.Turntable;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.SpaceProblem;
import tinperch.machine.StartingFrames;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Mesh;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.view.FeatureEdges;

/** What stands around a machine's axes: drawn to scale, moved along its travels, and written down in a short form. */
final class SurroundingsPanel extends VBox {
    private static final int PLACES = 60;

    private final Desk desk;
    private final String machineId;
    private final SpaceViews views;
    private final VBox strips = new VBox(4);
    private final Turntable table;
    private final Map<String, Mesh> meshes = new HashMap<>();
    private final Label tightest = Ui.id(Ui.text("", "strong"), "space-tightest");
    private final VBox list = new VBox(2);
    private final NeighbourForm form = new NeighbourForm();
    private final AxesEditor axes = new AxesEditor(this::edit);
    private final GridPane columns = new GridPane();
    private final VBox start = new VBox(8);
    private final Map<String, Double> pose = new HashMap<>();
    private final Map<String, TravelStrip> byAxis = new LinkedHashMap<>();
    private final Map<String, Label> positions = new HashMap<>();
    private Surroundings shown;
    private String chosen = "";

    SurroundingsPanel(Desk desk, String machineId) {
        super(10);
        this.desk = desk;
        this.machineId = machineId;
        getStyleClass().add("panel");
        views = new SpaceViews(desk.theme(), this::choose);
        Button begin = Ui.id(Ui.button("Give it axes", "mdi2a-axis-arrow", () -> edit("axes of the machine",
                s -> StartingFrames.of(machine()))), "space-begin");
        start.getChildren().addAll(Ui.text("Nothing is known yet of how it moves and what stands nearby. Begin with the axes such "
                + "machines usually have, then add what sticks out: posts, the hot block, a switch one must reach.", "faint"), begin);
        for (double share : new double[] {58, 42}) {
            ColumnConstraints c = new ColumnConstraints();
            c.setPercentWidth(share);
            columns.getColumnConstraints().add(c);
        }
        columns.setHgap(24);
        table = new Turntable(desk.theme(), "zones", feature -> choose(feature.strip()));
        table.setPrefHeight(250);
        table.setMinHeight(200);
        VBox left = new VBox(6, views, tightest, strips, axes.folded());
        VBox right = new VBox(8, table, Ui.label("Neighbours", "column"), list, form);
        columns.addRow(0, left, right);
        GridPane.setValignment(left, VPos.TOP);
        GridPane.setValignment(right, VPos.TOP);
        getChildren().addAll(Ui.label("Surroundings and motion", "section"), columns);
    }

    private Machine machine() {
        return desk.state().machine(machineId).orElseThrow();
    }

    private Optional<String> edit(String label, java.util.function.UnaryOperator<Surroundings> change) {
        try {
            Surroundings next = change.apply(machine().surroundings());
            desk.workshop().edit(label, s -> s.with(s.machine(machineId).orElseThrow().withSurroundings(next)));
            return Optional.empty();
        } catch (SpaceProblem e) {
            return Optional.of(e.getMessage());
        }
    }

    void refresh() {
        Surroundings now = machine().surroundings();
        if (now == shown) {
            return;
        }
        boolean axesChanged = shown == null || !now.axes().equals(shown.axes());
        shown = now;
        getChildren().removeAll(columns, start);
        getChildren().add(now.axes().isEmpty() ? start : columns);
        if (axesChanged) {
            now.home().forEach(pose::putIfAbsent);
            makeStrips(now);
        }
        list.getChildren().clear();
        meshes.clear();
        for (Neighbour n : now.neighbours()) {
            meshes.put(n.id(), SolidKernel.evaluate(n.solid(), Tolerances.USUAL));
            list.getChildren().add(row(n));
        }
        if (now.neighbours().isEmpty()) {
            list.getChildren().add(Ui.text("Only what matters: mounting points and whatever sticks out.", "faint"));
        }
        axes.refresh(now);
        form.refresh(now);
        move();
    }

    private void makeStrips(Surroundings now) {
        strips.getChildren().clear();
        byAxis.clear();
        for (Axis a : now.axes()) {
            TravelStrip strip = new TravelStrip(desk.theme(), a, mm -> {
                pose.put(a.name(), mm);
                move();
            });
            HBox.setHgrow(strip, Priority.ALWAYS);
            Label position = Ui.id(Ui.label("", "faint"), "position-" + a.name());
            position.setMinWidth(66);
            byAxis.put(a.name(), strip);
            positions.put(a.name(), position);
            CommitField from = end(a.name(), "from", a.fromMm());
            CommitField to = end(a.name(), "to", a.toMm());
            Label name = Ui.label(a.name(), "strong");
            name.setMinWidth(14);
            HBox row = new HBox(8, name, position, from, strip, to);
            row.setAlignment(Pos.CENTER_LEFT);
            strips.getChildren().addAll(row, from.complaint(), to.complaint());
        }
    }

    private CommitField end(String axis, String which, double mm) {
        CommitField f = new CommitField("axis-" + axis + "-" + which, Quantity.mm(mm), typed -> {
            try {
                double v = Quantity.parse(typed, Unit.MM);
                Axis a = machine().surroundings().axis(axis).orElseThrow();
                return edit("travel of " + axis, s -> s.with(new Axis(a.name(), a.direction(), which.equals("from") ? v : a.fromMm(),
                        which.equals("to") ? v : a.toMm(), a.homeAtTop(), a.homingOrder())));
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        });
        f.setMaxWidth(78);
        f.setMinWidth(78);
        Ui.tip(f.field(), (which.equals("from") ? "Lower" : "Upper") + " end of " + axis);
        return f;
    }

    /** Features are lit by how their names begin; the blank keeps n1 from lighting n12. */
    private static String feature(String id) {
        return id + " ";
    }

    /** The neighbours where they stand; zones can be seen through. */
    private void showTable() {
        List<Mesh> solids = new ArrayList<>();
        List<Vec3> shifts = new ArrayList<>();
        List<String> names = new ArrayList<>();
        List<Mesh> zones = new ArrayList<>();
        for (Neighbour n : shown.neighbours()) {
            Mesh m = meshes.get(n.id());
            Vec3 shift = shown.shift(n.group(), pose);
            if (n.kind() == Neighbour.Kind.SOLID || n.kind() == Neighbour.Kind.HOT || n.kind() == Neighbour.Kind.CABLE) {
                solids.add(m);
                shifts.add(shift);
                names.add(feature(n.id()));
            } else {
                zones.add(Mesh.gathered(List.of(m), List.of(shift), List.of(n.id())));
            }
        }
        Mesh all = Mesh.gathered(solids, shifts, names);
        if (all.triangleCount() == 0) {
            table.show(null, List.of(), List.of(), null);
        } else {
            table.show(all, FeatureEdges.of(all), zones, shown.reach().orElseThrow());
        }
    }

    private void move() {
        views.show(shown, pose, chosen);
        showTable();
        byAxis.forEach((name, strip) -> {
            Axis a = shown.axis(name).orElseThrow();
            double at = a.within(pose.getOrDefault(name, a.homeMm()));
            strip.show(a, at, shown.gapsAlong(name, pose, PLACES));
            positions.get(name).setText(Quantity.mm(Math.round(at * 10) / 10.0));
        });
        tightest.setText(shown.tightest(pose).map(g -> (g.mm() > 0 ? "Smallest gap here " + Quantity.mm(g.mm()) + ": "
                : "Run into one another by " + Quantity.mm(-g.mm()) + ": ") + g.a().name() + " – " + g.b().name()).orElse(""));
    }

    private Node row(Neighbour n) {
        Label what = Ui.label(n.name() + (n.kind() == Neighbour.Kind.HOT ? ", " + Quantity.show(n.tempC(), Unit.CELSIUS) : ""));
        what.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(what, Priority.ALWAYS);
        Label where = Ui.label(n.kind().label() + " · " + (n.group().isEmpty() ? "stands still" : n.group()), "faint");
        HBox text = new HBox(8, what, where);
        Button b = Ui.id(new Button(null, text), "neighbour-" + n.id());
        b.getStyleClass().addAll("upgrade-row", "neighbour-row");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setOnAction(e -> choose(n.id()));
        b.setAccessibleText(n.name());
        return b;
    }

    private void choose(String id) {
        chosen = id;
        form.take(shown.neighbours().stream().filter(n -> n.id().equals(id)).findFirst().orElse(null));
        views.show(shown, pose, chosen);
        table.light(id.isEmpty() ? "" : feature(id));
    }

    /** One neighbour in a few fields: a new one, or the one chosen. */
    private final class NeighbourForm extends VBox {
        private final TextField name = Ui.id(new TextField(), "neighbour-name");
        private final ComboBox<String> kind = choice("neighbour-kind");
        private final ComboBox<String> form = choice("neighbour-form");
        private final ComboBox<String> group = choice("neighbour-group");
        private final TextField[] at = numbers("neighbour-at", "x", "y", "z");
        private final TextField[] size = numbers("neighbour-size", "long", "deep", "high");
        private final TextField clearance = number("neighbour-clearance", "free");
        private final TextField temp = number("neighbour-temp", "°C");
        private final Label complaint = Ui.id(Ui.text("", "complaint"), "neighbour-complaint");
        private final Button put = Ui.id(Ui.button("Add it", "mdi2p-plus", this::put), "neighbour-put");
        private final Button remove = Ui.id(Ui.button("Remove", null, this::remove), "neighbour-remove");
        private Neighbour editing;

        NeighbourForm() {
            super(5);
            name.setPromptText("a neighbour, such as hot block");
            HBox.setHgrow(name, Priority.ALWAYS);
            for (Neighbour.Kind k : Neighbour.Kind.values()) {
                kind.getItems().add(k.label());
            }
            form.getItems().addAll("Box", "Rod along x", "Rod along y", "Rod along z");
            kind.getSelectionModel().select(0);
            form.getSelectionModel().select(0);
            put.getStyleClass().add("accent");
            getChildren().addAll(new HBox(6, name, kind), new HBox(6, form, group),
                    line("lowest corner", at), line("size", size), line("free around, at", clearance, temp),
                    new HBox(6, put, remove), complaint);
            for (TextField f : new TextField[] {name, at[2], size[2], clearance, temp}) {
                f.setOnAction(e -> put());
            }
            complain("");
            take(null);
        }

        private HBox line(String label, TextField... fields) {
            Label l = Ui.label(label, "faint");
            l.setMinWidth(96);
            HBox row = new HBox(6, l);
            row.setAlignment(Pos.CENTER_LEFT);
            row.getChildren().addAll(fields);
            return row;
        }

        private ComboBox<String> choice(String id) {
            return Ui.id(new ComboBox<>(), id);
        }

        private TextField number(String id, String prompt) {
            TextField f = Ui.id(new TextField(), id);
            f.setPromptText(prompt);
            f.setPrefColumnCount(5);
            return f;
        }

        private TextField[] numbers(String id, String... prompts) {
            TextField[] all = new TextField[prompts.length];
            for (int i = 0; i < all.length; i++) {
                all[i] = number(id + "-" + "xyz".charAt(i), prompts[i]);
            }
            return all;
        }

        void refresh(Surroundings s) {
            String was = group.getValue();
            group.getItems().setAll("stands still");
            for (Group g : s.groups()) {
                group.getItems().add(g.name());
            }
            group.setValue(was != null && group.getItems().contains(was) ? was : "stands still");
            if (editing != null) {
                take(s.neighbours().stream().filter(n -> n.id().equals(editing.id())).findFirst().orElse(null));
            }
        }

        void take(Neighbour n) {
            editing = n;
            complain("");
            put.setText(n == null ? "Add it" : "Change it");
            remove.setVisible(n != null);
            name.setText(n == null ? "" : n.name());
            kind.getSelectionModel().select(n == null ? 0 : n.kind().ordinal());
            form.getSelectionModel().select(n == null || n.form() == Neighbour.Form.BOX ? 0 : 1 + "xyz".indexOf(n.along()));
            group.setValue(n == null || n.group().isEmpty() ? "stands still" : n.group());
            double[] a = n == null ? null : new double[] {n.corner().x(), n.corner().y(), n.corner().z()};
            double[] s = n == null ? null : new double[] {n.size().x(), n.size().y(), n.size().z()};
            for (int i = 0; i < 3; i++) {
                at[i].setText(a == null ? "" : Quantity.plain(a[i], Unit.MM));
                size[i].setText(s == null ? "" : Quantity.plain(s[i], Unit.MM));
            }
            clearance.setText(n == null ? "" : Quantity.mm(n.clearanceMm()));
            temp.setText(n == null || n.tempC() == 0 ? "" : Quantity.show(n.tempC(), Unit.CELSIUS));
        }

        private void put() {
            try {
                int f = Math.max(0, form.getSelectionModel().getSelectedIndex());
                Neighbour n = new Neighbour(editing == null ? BookEdit.freshId() : editing.id(), name.getText().strip(),
                        "stands still".equals(group.getValue()) ? "" : group.getValue(),
                        Neighbour.Kind.values()[Math.max(0, kind.getSelectionModel().getSelectedIndex())],
                        f == 0 ? Neighbour.Form.BOX : Neighbour.Form.CYLINDER, vector(at), vector(size),
                        f == 0 ? "z" : "xyz".substring(f - 1, f), value(clearance, Unit.MM, 3), value(temp, Unit.CELSIUS, 0));
                boolean fresh = editing == null;
                Optional<String> why = edit((fresh ? "add " : "change ") + n.name(), s -> s.with(n));
                complain(why.orElse(""));
                if (why.isEmpty() && fresh) {
                    take(null);
                    name.requestFocus();
                }
            } catch (QuantityException e) {
                complain(e.getMessage());
            }
        }

        private void remove() {
            Neighbour n = editing;
            take(null);
            chosen = "";
            edit("remove " + n.name(), s -> s.without(n.id()));
        }

        private static Vec3 vector(TextField[] f) {
            return new Vec3(Quantity.parse(f[0].getText(), Unit.MM), Quantity.parse(f[1].getText(), Unit.MM),
                    Quantity.parse(f[2].getText(), Unit.MM));
        }

        private static double value(TextField f, Unit unit, double otherwise) {
            return f.getText().isBlank() ? otherwise : Quantity.parse(f.getText(), unit);
        }

        private void complain(String why) {
            complaint.setText(why);
            complaint.setVisible(!why.isEmpty());
            complaint.setManaged(!why.isEmpty());
        }
    }
}
