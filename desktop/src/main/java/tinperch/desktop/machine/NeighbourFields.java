package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.frame.UsualBody;
import tinperch.machine.place.Place;
import tinperch.machine.space.Along;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.NeighbourMesh;
import tinperch.machine.space.Surroundings;
import tinperch.measure.sheet.HolePattern;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;

/** What is said of a neighbour, in fields: only those its kind and its shape need are seen. */
final class NeighbourFields extends Column {
    private final Supplier<Machine> machine;
    private final TextField name = Ui.id(new TextField(), "neighbour-name");
    private final ComboBox<String> kind = choice("neighbour-kind");
    private final ComboBox<String> form = choice("neighbour-form");
    private final ComboBox<String> along = choice("neighbour-along");
    private final ComboBox<Choice<String>> of = choice("neighbour-of");
    private final ComboBox<String> turn = choice("neighbour-turn");
    private final ComboBox<Choice<String>> group = choice("neighbour-group");
    private final ComboBox<Choice<String>> way = choice("neighbour-way");
    private final HBox special = new HBox(6, way, of, turn);
    private final HBox sizes;
    private final TextField[] at = numbers("neighbour-at", "x", "y", "z");
    private final TextField[] size = numbers("neighbour-size", "long", "deep", "high");
    private final TextField clearance = number("neighbour-clearance", "free");
    private final TextField temp = number("neighbour-temp", "°C");
    private final CheckBox sock = Ui.id(new CheckBox("with a sock"), "neighbour-sock");

    /**
     * @param with the button that says it moves as something pointed at
     * @param usual the button that takes usual sizes
     * @param entered told Enter in the last of a row's fields
     */
    NeighbourFields(Supplier<Machine> machine, ToggleButton with, javafx.scene.Node usual, Runnable entered) {
        super(5);
        this.machine = machine;
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
        form.setOnAction(e -> fit());
        kind.setOnAction(e -> fit());
        of.setMaxWidth(180);
        sizes = line("size", size);
        kind.getSelectionModel().select(0);
        form.getSelectionModel().select(0);
        HBox heat = line("free around, at", clearance, temp);
        heat.getChildren().add(sock);
        getChildren().addAll(new HBox(6, name, kind), new HBox(6, form, along, group, with), special, usual, line("lowest corner", at), sizes, heat);
        for (TextField f : new TextField[] {name, at[2], size[2], clearance, temp}) {
            f.setOnAction(e -> entered.run());
        }
    }

    /** The field of its name. */
    TextField name() {
        return name;
    }

    /** Shows what the chosen kind and shape need, and only that. */
    private void fit() {
        Neighbour.Form f = form();
        Ui.see(along, f != Neighbour.Form.BOX && f != Neighbour.Form.CONE);
        Ui.see(of, f == Neighbour.Form.PLATE || f == Neighbour.Form.MODEL);
        Ui.see(turn, f == Neighbour.Form.MODEL);
        Ui.see(sizes, f != Neighbour.Form.MODEL);
        boolean cone = f == Neighbour.Form.CONE;
        boolean box = f == Neighbour.Form.BOX && kind() == Neighbour.Kind.SOLID;
        Ui.see(special, box || cone || kind() == Neighbour.Kind.ACCESS || f == Neighbour.Form.PLATE || f == Neighbour.Form.MODEL);
        Ui.see(sock, kind() == Neighbour.Kind.HOT);
        boolean access = kind() == Neighbour.Kind.ACCESS;
        Ui.see(way, box || cone || access);
        Choice.fill(way, cone ? Ways.OPENING : access ? Ways.COMING : Ways.BLOWING, Choice.in(way, cone ? "-z" : ""));
        if (way.getValue() == null) {
            way.setValue(way.getItems().get(0));
        }
        of.setPromptText(f == Neighbour.Form.PLATE ? "holes as read on" : "which model");
        Choice.fill(of, f == Neighbour.Form.PLATE ? machine.get().sheets().stream().filter(x -> HolePattern.KINDS.contains(x.kind())).map(x -> new Choice<>(x.id(), x.name())).toList()
                : f == Neighbour.Form.MODEL ? machine.get().models().stream().map(m -> new Choice<>(m.id(), m.name())).toList() : List.<Choice<String>>of(),
                Choice.in(of, ""));
    }

    private Neighbour.Kind kind() {
        return Neighbour.Kind.values()[Math.max(0, kind.getSelectionModel().getSelectedIndex())];
    }

    private Neighbour.Form form() {
        return Neighbour.Form.values()[Math.max(0, form.getSelectionModel().getSelectedIndex())];
    }

    /** Takes shape and sizes of what usually is called so. */
    void take(UsualBody u) {
        form.getSelectionModel().select(u.form().ordinal());
        for (int i = 0; i < 3; i++) {
            size[i].setText(Quantity.plain(u.sizeMm().get(i), Unit.MM));
        }
        at[0].requestFocus();
    }

    private HBox line(String label, TextField... fields) {
        Label l = Ui.label(label, "faint");
        l.setMinWidth(96);
        HBox row = new HBox(6, l);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getChildren().addAll(fields);
        return row;
    }

    private static <T> ComboBox<T> choice(String id) {
        return Ui.id(new ComboBox<>(), id);
    }

    private static TextField number(String id, String prompt) {
        TextField f = Ui.id(new TextField(), id);
        f.setPromptText(prompt);
        f.setPrefColumnCount(5);
        return f;
    }

    private static TextField[] numbers(String id, String... prompts) {
        TextField[] all = new TextField[prompts.length];
        for (int i = 0; i < all.length; i++) {
            all[i] = number(id + "-" + "xyz".charAt(i), prompts[i]);
        }
        return all;
    }

    /** Offers what there is now to move with, and sheets and models. */
    void refresh(Surroundings s) {
        fit();
        List<Choice<String>> groups = new ArrayList<>(List.of(new Choice<>("", "stands still")));
        s.groups().forEach(g -> groups.add(new Choice<>(g.name(), g.name())));
        Choice.fill(group, groups, Choice.in(group, ""));
        if (group.getValue() == null) {
            group.setValue(groups.get(0));
        }
    }

    /** It moves with a group. */
    void movesWith(String next) {
        Choice.fill(group, List.copyOf(group.getItems()), next);
    }

    /** Shows a neighbour; null empties all fields. */
    void show(Neighbour n) {
        name.setText(n == null ? "" : n.name());
        kind.getSelectionModel().select(n == null ? 0 : n.kind().ordinal());
        form.getSelectionModel().select(n == null ? 0 : n.form().ordinal());
        along.getSelectionModel().select(n == null ? 2 : Math.max(0, "xyz".indexOf(n.along())));
        turn.getSelectionModel().select(n == null ? 0 : (int) Math.round(n.turnDeg() / 90) & 3);
        fit();
        Choice.fill(way, List.copyOf(way.getItems()), n == null ? way.getItems().get(0).value() : n.way());
        Choice.fill(of, List.copyOf(of.getItems()), n == null ? "" : n.of());
        movesWith(n == null ? "" : n.group());
        double[] a = n == null ? null : new double[] {n.corner().x(), n.corner().y(), n.corner().z()};
        double[] s = n == null ? null : new double[] {n.size().x(), n.size().y(), n.size().z()};
        for (int i = 0; i < 3; i++) {
            at[i].setText(a == null ? "" : Quantity.plain(a[i], Unit.MM));
            // Where readings say where it is, they are what is changed.
            at[i].setDisable(n != null && machine.get().places().of(n.id(), Along.values()[i]).how() == Place.How.MEASURED);
            size[i].setText(s == null ? "" : Quantity.plain(s[i], Unit.MM));
        }
        clearance.setText(n == null ? "" : Quantity.mm(n.clearanceMm()));
        temp.setText(n == null || n.tempC() == 0 ? "" : Quantity.show(n.tempC(), Unit.CELSIUS));
        sock.setSelected(n != null && n.sock());
    }

    /**
     * The neighbour the fields say.
     *
     * @throws tinperch.quantity.QuantityException when one holds no number
     */
    Neighbour read(String id) {
        Neighbour.Form f = form();
        boolean model = f == Neighbour.Form.MODEL;
        String axis = "xyz".substring(Math.max(0, along.getSelectionModel().getSelectedIndex())).substring(0, 1);
        String which = Choice.in(of, "");
        double turned = 90 * Math.max(0, turn.getSelectionModel().getSelectedIndex());
        Neighbour n = new Neighbour(id, name.getText().strip(), Choice.in(group, ""), kind(), f, vector(at), model ? Vec3.ZERO : vector(size), axis, value(clearance, Unit.MM, 3),
                value(temp, Unit.CELSIUS, 0), which, model ? turned : 0, way.isVisible() ? Choice.in(way, "") : "", sock.isVisible() && sock.isSelected());
        return Optional.of(which).filter(x -> model).flatMap(machine.get()::model).map(m -> n.sized(NeighbourMesh.laidDown(m.sizeMm(), n.direction(), turned))).orElse(n);
    }

    private static Vec3 vector(TextField[] f) {
        return new Vec3(Quantity.parse(f[0].getText(), Unit.MM), Quantity.parse(f[1].getText(), Unit.MM),
                Quantity.parse(f[2].getText(), Unit.MM));
    }

    private static double value(TextField f, Unit unit, double otherwise) {
        return f.getText().isBlank() ? otherwise : Quantity.parse(f.getText(), unit);
    }
}
