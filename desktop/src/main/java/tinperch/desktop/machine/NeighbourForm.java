package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
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
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/** One neighbour in a few fields: a new one, or the one chosen. */
final class NeighbourForm extends Column {
    private final Supplier<Machine> machine;
    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final Runnable unchoose;
    private final TextField name = Ui.id(new TextField(), "neighbour-name");
    private final ComboBox<String> kind = choice("neighbour-kind");
    private final ComboBox<String> form = choice("neighbour-form");
    private final ComboBox<String> along = choice("neighbour-along");
    private final ComboBox<Choice<String>> of = choice("neighbour-of");
    private final ComboBox<String> turn = choice("neighbour-turn");
    private final ComboBox<Choice<String>> group = choice("neighbour-group");
    private final ComboBox<Choice<String>> way = choice("neighbour-way");
    private final Button usual = Ui.id(Ui.button("", null, this::usual), "neighbour-usual");
    private final HBox special = new HBox(6, way, of, turn);
    private final HBox sizes;
    private final TextField[] at = numbers("neighbour-at", "x", "y", "z");
    private final TextField[] size = numbers("neighbour-size", "long", "deep", "high");
    private final TextField clearance = number("neighbour-clearance", "free");
    private final TextField temp = number("neighbour-temp", "°C");
    private final CheckBox sock = Ui.id(new CheckBox("with a sock"), "neighbour-sock");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "neighbour-complaint");
    private final Button put = Ui.id(Ui.button("Add it", "mdi2p-plus", this::put), "neighbour-put");
    private final Button copy = Ui.id(Ui.button("Copy", null, this::copy), "neighbour-copy");
    private final Button mirror = Ui.id(Ui.button("Mirror", null, this::mirror), "neighbour-mirror");
    private final Button remove = Ui.id(Ui.button("Remove", null, this::remove), "neighbour-remove");
    private final ToggleButton with = Ui.id(new ToggleButton("as…"), "neighbour-with");
    private Neighbour editing;

    /**
     * @param edit makes an edit under a label; answers why not, or empty
     * @param unchoose told when the one chosen is taken away
     */
    NeighbourForm(Supplier<Machine> machine, BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Runnable unchoose) {
        super(5);
        this.machine = machine;
        this.edit = edit;
        this.unchoose = unchoose;
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
        kind.setOnAction(e -> fitForm());
        name.textProperty().addListener((o, was, is) -> offer());
        usual.getStyleClass().add("link");
        of.setMaxWidth(180);
        sizes = line("size", size);
        kind.getSelectionModel().select(0);
        form.getSelectionModel().select(0);
        put.getStyleClass().add("accent");
        HBox heat = line("free around, at", clearance, temp);
        heat.getChildren().add(sock);
        getChildren().addAll(new HBox(6, name, kind), new HBox(6, form, along, group, with), special, usual,
                line("lowest corner", at), sizes, heat,
                new HBox(6, put, copy, mirror, remove), complaint);
        name.addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER && e.isShortcutDown() && usual.isVisible()) {
                usual();
                e.consume();
            }
        });
        for (TextField f : new TextField[] {name, at[2], size[2], clearance, temp}) {
            f.setOnAction(e -> put());
        }
        offer();
        Ui.tip(with, "Then point at something in the drawing: it moves as that does");
        complain("");
        take(null);
    }

    /** Shows what the chosen form needs, and only that. */
    private void fitForm() {
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

    /** Sizes a table knows for what the name begins to say. */
    private void offer() {
        Optional<UsualBody> found = editing == null ? UsualBody.named(name.getText()) : Optional.empty();
        Ui.see(usual, found.isPresent());
        found.ifPresent(u -> usual.setText(u.words() + ": take it (Ctrl+Enter)"));
    }

    private void usual() {
        UsualBody.named(name.getText()).ifPresent(u -> {
            form.getSelectionModel().select(u.form().ordinal());
            for (int i = 0; i < 3; i++) {
                size[i].setText(Quantity.plain(u.sizeMm().get(i), Unit.MM));
            }
            at[0].requestFocus();
        });
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

    private static <T> ComboBox<T> choice(String id) {
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
        List<Choice<String>> groups = new ArrayList<>(List.of(new Choice<>("", "stands still")));
        s.groups().forEach(g -> groups.add(new Choice<>(g.name(), g.name())));
        Choice.fill(group, groups, Choice.in(group, ""));
        if (group.getValue() == null) {
            group.setValue(groups.get(0));
        }
        if (editing != null) {
            take(s.neighbours().stream().filter(n -> n.id().equals(editing.id())).findFirst().orElse(null));
        }
    }

    /** Whether the next thing pointed at says what this one moves with. */
    boolean isPointing() {
        return with.isSelected();
    }

    /** It moves as another does. */
    void movesWith(Neighbour other) {
        with.setSelected(false);
        Choice.fill(group, List.copyOf(group.getItems()), other.group());
        if (editing != null && !editing.group().equals(other.group())) {
            String name = editing.name();
            Neighbour next = editing.in(other.group());
            complain(edit.apply(name + " moves as " + other.name(), s -> s.with(next)).orElse(""));
        }
    }

    /** A new one, from its name on. */
    void begin() {
        take(null);
        name.requestFocus();
    }

    void take(Neighbour n) {
        editing = n;
        complain("");
        put.setText(n == null ? "Add it" : "Change it");
        remove.setVisible(n != null);
        mirror.setVisible(n != null);
        copy.setVisible(n != null);
        name.setText(n == null ? "" : n.name());
        kind.getSelectionModel().select(n == null ? 0 : n.kind().ordinal());
        form.getSelectionModel().select(n == null ? 0 : n.form().ordinal());
        along.getSelectionModel().select(n == null ? 2 : Math.max(0, "xyz".indexOf(n.along())));
        turn.getSelectionModel().select(n == null ? 0 : (int) Math.round(n.turnDeg() / 90) & 3);
        fitForm();
        Choice.fill(way, List.copyOf(way.getItems()), n == null ? way.getItems().get(0).value() : n.way());
        Choice.fill(of, List.copyOf(of.getItems()), n == null ? "" : n.of());
        Choice.fill(group, List.copyOf(group.getItems()), n == null ? "" : n.group());
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

    private void put() {
        try {
            Neighbour.Form f = form();
            String axis = "xyz".substring(Math.max(0, along.getSelectionModel().getSelectedIndex())).substring(0, 1);
            String which = Choice.in(of, "");
            double turned = 90 * Math.max(0, turn.getSelectionModel().getSelectedIndex());
            Neighbour n = new Neighbour(editing == null ? BookEdit.freshId() : editing.id(), name.getText().strip(),
                    Choice.in(group, ""),
                    kind(),
                    f, vector(at), f == Neighbour.Form.MODEL ? Vec3.ZERO : vector(size), axis, value(clearance, Unit.MM, 3),
                    value(temp, Unit.CELSIUS, 0), which, f == Neighbour.Form.MODEL ? turned : 0, way.isVisible() ? Choice.in(way, "") : "", sock.isVisible() && sock.isSelected());
            Neighbour made = machine.get().model(which).filter(m -> f == Neighbour.Form.MODEL)
                    .map(m -> n.sized(NeighbourMesh.laidDown(m.sizeMm(), n.direction(), turned))).orElse(n);
            boolean fresh = editing == null;
            Optional<String> why = edit.apply((fresh ? "add " : "change ") + made.name(), s -> s.with(made));
            complain(why.orElse(""));
            if (why.isEmpty() && fresh) {
                take(null);
                name.requestFocus();
            }
        } catch (QuantityException e) {
            complain(e.getMessage());
        }
    }

    /** The same again, beside it. */
    private void copy() {
        Neighbour next = editing.again(BookEdit.freshId());
        complain(edit.apply("copy " + editing.name(), s -> s.with(next)).orElse(""));
    }

    /** The same on the other side, to be corrected by that side's own readings. */
    private void mirror() {
        Neighbour other = machine.get().surroundings().mirrored(editing, BookEdit.freshId());
        complain(edit.apply("mirror " + editing.name(), s -> s.with(other)).orElse(""));
    }

    private void remove() {
        Neighbour n = editing;
        take(null);
        unchoose.run();
        edit.apply("remove " + n.name(), s -> s.without(n.id()));
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
