package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.application.Platform;
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
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.StillLabel;
import tinperch.desktop.look.Ui;
import tinperch.desktop.sheet.Turntable;
import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Gaps;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.NeighbourMesh;
import tinperch.machine.space.Shape;
import tinperch.machine.space.SpaceProblem;
import tinperch.machine.space.Surroundings;
import tinperch.measure.MeasuredPattern;
import tinperch.measure.sheet.Sheet;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.view.FeatureEdges;
import tinperch.workshop.background.Latest;

/** What stands around a machine's axes: drawn to scale, moved along its travels, and written down in a short form. */
final class SurroundingsPanel extends Column implements View {
    private static final long QUIET_MS = 160;
    private static final int PLACES = 60;

    private final Desk desk;
    private final String machineId;
    private final SpaceViews views;
    private final VBox strips = new Column(4);
    private final Turntable table;
    private final ShapeShelf shelf;
    private final Latest measuring = new Latest("gaps", Platform::runLater);
    private Map<String, Shape> shapes = Map.of();
    private Gaps gaps = new Gaps(Surroundings.NONE);
    private final List<Neighbour> solids = new ArrayList<>();
    private final List<FeatureEdges.Edge> edges = new ArrayList<>();
    private Mesh gathered;
    private int[] firstPoint;
    private int[] firstFace;
    private final Map<String, Along> along = new HashMap<>();
    private Bounds reach;
    private final Map<String, List<Vec3>> holes = new HashMap<>();
    private final Label tightest = Ui.id(Ui.label("", "strong"), "space-tightest");
    private final VBox list = new Column(2);
    private final NeighbourForm form = new NeighbourForm();
    private final SitesPanel sites = new SitesPanel(this::edit, this::choose);
    private final AxesEditor axes = new AxesEditor(this::edit);
    private final GridPane columns = new GridPane();
    private final VBox start = new Column(8);
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
        shelf = new ShapeShelf(desk, this::reshape);
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
        table = new Turntable(desk.theme(), "zones", face -> choose(face.feature().strip()));
        table.setPrefHeight(310);
        table.setMinHeight(200);
        VBox left = new Column(6, views, new StillLabel(tightest, 1), strips, axes.folded());
        VBox right = new Column(8, table, Ui.label("Neighbours", "column"), list, form, sites);
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

    @Override
    public void refresh() {
        Surroundings now = machine().surroundings();
        Map<String, Shape> made = shelf.of(machine());
        if (now == shown && made.equals(shapes)) {
            form.refresh(machine());
            sites.refresh(machine());
            return;
        }
        shapes = made;
        boolean axesChanged = shown == null || !now.axes().equals(shown.axes());
        shown = now;
        getChildren().removeAll(columns, start);
        getChildren().add(now.axes().isEmpty() ? start : columns);
        if (axesChanged) {
            now.home().forEach(pose::putIfAbsent);
            makeStrips(now);
        }
        list.getChildren().clear();
        for (Neighbour n : now.neighbours()) {
            list.getChildren().add(row(n));
        }
        if (now.neighbours().isEmpty()) {
            list.getChildren().add(Ui.text("Only what matters: mounting points and whatever sticks out.", "faint"));
        }
        axes.refresh(now);
        sites.refresh(machine());
        holes.clear();
        now.sites().forEach(x -> holes.put(x.id(), x.holes(machine().sheet(x.sheetId()).map(Sheet::pattern)
                .flatMap(MeasuredPattern::of))));
        form.refresh(machine());
        gaps = new Gaps(now, shapes);
        reach = now.reach().orElse(null);
        gather();
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
            StillLabel still = new StillLabel(position, 1);
            still.setMinWidth(66);
            still.setPrefWidth(66);
            still.setMaxHeight(18);
            byAxis.put(a.name(), strip);
            positions.put(a.name(), position);
            CommitField from = end(a.name(), "from", a.fromMm());
            CommitField to = end(a.name(), "to", a.toMm());
            Label name = Ui.label(a.name(), "strong");
            name.setMinWidth(14);
            HBox row = new HBox(8, name, still, from, strip, to);
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

    /** All that is solid as one mesh with the axes at zero, to be shifted as they move. */
    private void gather() {
        List<Mesh> meshes = new ArrayList<>();
        List<String> names = new ArrayList<>();
        List<Integer> points = new ArrayList<>();
        List<Integer> faces = new ArrayList<>();
        solids.clear();
        edges.clear();
        int point = 0;
        int face = 0;
        for (Neighbour n : shown.neighbours()) {
            if (isZone(n)) {
                continue;
            }
            Shape shape = shapes.get(n.id());
            Mesh m = shape.drawn();
            int before = point;
            shape.edges().forEach(e -> edges.add(e.moved(before, feature(n.id()))));
            solids.add(n);
            meshes.add(m);
            names.add(feature(n.id()));
            points.add(point);
            faces.add(face);
            point += m.pointCount();
            face += m.faces().size();
        }
        gathered = Mesh.gathered(meshes, java.util.Collections.nCopies(meshes.size(), Vec3.ZERO), names);
        firstPoint = points.stream().mapToInt(Integer::intValue).toArray();
        firstFace = faces.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Zones are seen through. */
    private static boolean isZone(Neighbour n) {
        return !n.isMatter() && n.kind() != Neighbour.Kind.CABLE;
    }

    private void showTable() {
        if (gathered.triangleCount() == 0) {
            table.show(null, List.of(), List.of(), null);
            return;
        }
        List<Mesh> zones = shown.neighbours().stream().filter(SurroundingsPanel::isZone).map(n -> Mesh.gathered(
                List.of(shapes.get(n.id()).drawn()), List.of(shown.shift(n.group(), pose)), List.of(n.id()))).toList();
        table.showMoving(gathered.partsMoved(firstPoint, firstFace, solids.stream().map(n -> shown.shift(n.group(), pose)).toList()),
                edges, zones, reach);
    }

    /** A downloaded model has been unpacked. */
    private void reshape() {
        shapes = shelf.of(machine());
        gaps = new Gaps(shown, shapes);
        gather();
        move();
    }

    /** Boxes are told at once and exactly; where other shapes stand too, their gaps follow from the background. */
    private void move() {
        views.show(shown, shapes, holes, pose, chosen);
        showTable();
        byAxis.forEach((name, strip) -> {
            double at = position(name);
            strip.show(shown.axis(name).orElseThrow(), at, boxesAlong(name));
            positions.get(name).setText(Quantity.mm(Math.round(at * 10) / 10.0));
        });
        tell(gaps.betweenBoxes(pose));
        if (gaps.hasShapes()) {
            Gaps now = gaps;
            Map<String, Double> here = new HashMap<>(pose);
            List<String> names = List.copyOf(byAxis.keySet());
            measuring.askWhenQuiet(QUIET_MS, ticket -> {
                Optional<Gaps.Gap> tightest = now.betweenShapes(here);
                ticket.deliver(() -> tell(tightest));
                for (String name : names) {
                    if (!ticket.counts()) {
                        return;
                    }
                    List<OptionalDouble> along = now.shapesAlong(name, here, PLACES, ticket::counts);
                    ticket.deliver(() -> byAxis.get(name).show(shown.axis(name).orElseThrow(), position(name), along));
                }
            });
        }
    }

    /** What a strip shows follows from where the other axes stand; while its own one moves it stays. */
    private List<OptionalDouble> boxesAlong(String axis) {
        Map<String, Double> others = new HashMap<>(pose);
        others.remove(axis);
        Along known = along.get(axis);
        if (known == null || known.gaps != gaps || !known.others.equals(others)) {
            known = new Along(gaps, others, gaps.boxesAlong(axis, pose, PLACES));
            along.put(axis, known);
        }
        return known.values;
    }

    private record Along(Gaps gaps, Map<String, Double> others, List<OptionalDouble> values) {}

    private double position(String axis) {
        Axis a = shown.axis(axis).orElseThrow();
        return a.within(pose.getOrDefault(axis, a.homeMm()));
    }

    private void tell(Optional<Gaps.Gap> gap) {
        tightest.setText(gap.map(g -> (g.mm() > 0 ? "Smallest gap here " + Quantity.mm(g.mm()) + ": "
                : "Run into one another by " + Quantity.mm(-g.mm()) + ": ") + g.a().name() + " – " + g.b().name()).orElse(""));
    }

    /** Chooses a neighbour and shows it in the form. */
    void show(String neighbourId) {
        choose(neighbourId);
    }

    @Override
    public void leave() {
        measuring.cancel();
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
        views.show(shown, shapes, holes, pose, chosen);
        table.light(id.isEmpty() ? "" : feature(id));
    }

    /** One neighbour in a few fields: a new one, or the one chosen. */
    private final class NeighbourForm extends Column {
        private final TextField name = Ui.id(new TextField(), "neighbour-name");
        private final ComboBox<String> kind = choice("neighbour-kind");
        private final ComboBox<String> form = choice("neighbour-form");
        private final ComboBox<String> along = choice("neighbour-along");
        private final ComboBox<String> of = choice("neighbour-of");
        private final ComboBox<String> turn = choice("neighbour-turn");
        private final ComboBox<String> group = choice("neighbour-group");
        private final HBox sizes;
        private final Map<String, String> idsByName = new LinkedHashMap<>();
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
            for (Neighbour.Form f : Neighbour.Form.values()) {
                form.getItems().add(f.label());
            }
            along.getItems().addAll("along x", "along y", "along z");
            turn.getItems().addAll("not turned", "turned 90°", "turned 180°", "turned 270°");
            along.getSelectionModel().select(2);
            turn.getSelectionModel().select(0);
            form.setOnAction(e -> fitForm());
            of.setMaxWidth(180);
            sizes = line("size", size);
            kind.getSelectionModel().select(0);
            form.getSelectionModel().select(0);
            put.getStyleClass().add("accent");
            getChildren().addAll(new HBox(6, name, kind), new HBox(6, form, along, group), new HBox(6, of, turn),
                    line("lowest corner", at), sizes, line("free around, at", clearance, temp),
                    new HBox(6, put, remove), complaint);
            for (TextField f : new TextField[] {name, at[2], size[2], clearance, temp}) {
                f.setOnAction(e -> put());
            }
            complain("");
            take(null);
        }

        /** Shows what the chosen form needs, and only that. */
        private void fitForm() {
            Neighbour.Form f = form();
            show(along, f != Neighbour.Form.BOX);
            show(of, f == Neighbour.Form.PLATE || f == Neighbour.Form.MODEL);
            show(turn, f == Neighbour.Form.MODEL);
            show(sizes, f != Neighbour.Form.MODEL);
            of.setPromptText(f == Neighbour.Form.PLATE ? "holes as read on" : "which model");
            String was = of.getValue();
            idsByName.clear();
            if (f == Neighbour.Form.PLATE) {
                machine().sheets().stream().filter(Sheet::isPattern).forEach(s -> idsByName.put(s.name(), s.id()));
            } else if (f == Neighbour.Form.MODEL) {
                machine().models().forEach(m -> idsByName.put(m.name(), m.id()));
            }
            if (!of.getItems().equals(List.copyOf(idsByName.keySet()))) {
                of.getItems().setAll(idsByName.keySet());
            }
            of.setValue(was != null && idsByName.containsKey(was) ? was : null);
        }

        private static void show(Node n, boolean wanted) {
            n.setVisible(wanted);
            n.setManaged(wanted);
        }

        private Neighbour.Form form() {
            return Neighbour.Form.values()[Math.max(0, form.getSelectionModel().getSelectedIndex())];
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

        void refresh(Machine m) {
            Surroundings s = m.surroundings();
            fitForm();
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
            form.getSelectionModel().select(n == null ? 0 : n.form().ordinal());
            along.getSelectionModel().select(n == null ? 2 : Math.max(0, "xyz".indexOf(n.along())));
            turn.getSelectionModel().select(n == null ? 0 : (int) Math.round(n.turnDeg() / 90) & 3);
            fitForm();
            of.setValue(n == null ? null : idsByName.entrySet().stream().filter(e -> e.getValue().equals(n.of())).map(Map.Entry::getKey)
                    .findFirst().orElse(null));
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
                Neighbour.Form f = form();
                String way = "xyz".substring(Math.max(0, along.getSelectionModel().getSelectedIndex())).substring(0, 1);
                String which = of.getValue() == null ? "" : idsByName.getOrDefault(of.getValue(), "");
                double turned = 90 * Math.max(0, turn.getSelectionModel().getSelectedIndex());
                Neighbour n = new Neighbour(editing == null ? BookEdit.freshId() : editing.id(), name.getText().strip(),
                        "stands still".equals(group.getValue()) ? "" : group.getValue(),
                        Neighbour.Kind.values()[Math.max(0, kind.getSelectionModel().getSelectedIndex())],
                        f, vector(at), f == Neighbour.Form.MODEL ? Vec3.ZERO : vector(size), way, value(clearance, Unit.MM, 3),
                        value(temp, Unit.CELSIUS, 0), which, f == Neighbour.Form.MODEL ? turned : 0);
                Neighbour made = machine().model(which).filter(m -> f == Neighbour.Form.MODEL)
                        .map(m -> n.sized(NeighbourMesh.laidDown(m.sizeMm(), n.direction(), turned))).orElse(n);
                boolean fresh = editing == null;
                Optional<String> why = edit((fresh ? "add " : "change ") + made.name(), s -> s.with(made));
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
