package tinperch.desktop.machine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import tinperch.catalogue.UsualThing;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.frame.Frame;
import tinperch.machine.frame.FrameNumbers;
import tinperch.machine.frame.Frames;
import tinperch.machine.space.NeighbourMesh;
import tinperch.machine.space.Shape;
import tinperch.machine.space.SpaceProblem;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.workshop.background.Latest;

/** What a machine without surroundings begins with: a frame as such machines usually have, from a few numbers, and its picture. */
final class FramePanel extends HBox {
    private final Supplier<Machine> machine;
    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final ComboBox<Choice<Frame>> frame = Ui.id(new ComboBox<>(), "frame");
    private final TextField[] travel = {field("frame-x"), field("frame-y"), field("frame-z")};
    private final Label barsLabel = Ui.label("", "field-label");
    private final ComboBox<Choice<Double>> bars = Ui.id(new ComboBox<>(), "frame-bars");
    private final Button put = Ui.id(Ui.button("Put it up", "mdi2a-axis-arrow", this::put), "space-begin");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "frame-complaint");
    private final Latest drawing = new Latest("frame", Platform::runLater);
    private final SceneTable table;
    private String begun = "";

    /** @param edit makes an edit of the surroundings or answers why not */
    FramePanel(Theme theme, Supplier<Machine> machine, BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit) {
        super(14);
        this.machine = machine;
        this.edit = edit;
        table = new SceneTable(theme, (id, way) -> { });
        frame.getItems().setAll(Frames.ALL.stream().map(f -> new Choice<>(f, f.label())).toList());
        frame.setOnAction(e -> fitBars());
        bars.setOnAction(e -> show());
        for (TextField f : travel) {
            f.setOnAction(e -> show());
            f.focusedProperty().addListener((o, was, is) -> show());
        }
        put.getStyleClass().add("accent");
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(8);
        grid.addRow(0, Ui.label("Built as", "field-label"), frame);
        grid.addRow(1, Ui.whole(Ui.label("Travels x y z", "field-label")), new HBox(6, travel));
        grid.addRow(2, barsLabel, bars);
        Column form = new Column(8);
        form.getStyleClass().add("panel");
        form.setMinWidth(380);
        form.setMaxWidth(380);
        StackPane picture = new StackPane(table.node());
        picture.getStyleClass().add("panel");
        HBox.setHgrow(picture, Priority.ALWAYS);
        getChildren().addAll(form, picture);
        form.getChildren().addAll(Ui.label("Begin with a frame", "section"), Ui.text("Uprights, beam, bed, carriage, hot block and motors as such machines usually have them. All of "
                + "it is said to be usual until you read the distances that matter, from face to face.", "faint"), grid, new HBox(put), complaint);
        complain("");
    }

    private static TextField field(String id) {
        TextField f = Ui.id(new TextField(), id);
        f.setPrefColumnCount(6);
        return f;
    }

    /** Shows what its machine would begin with. */
    void refresh() {
        Machine m = machine.get();
        if (!begun.equals(m.kind() + m.id())) {
            begun = m.kind() + m.id();
            frame.setValue(frame.getItems().stream().filter(c -> c.value() == Frames.of(m.kind())).findFirst().orElseThrow());
            double[] usable = {m.usableMm().x(), m.usableMm().y(), m.usableMm().z()};
            for (int i = 0; i < 3; i++) {
                travel[i].setText(Quantity.mm(usable[i] > 0 ? usable[i] : 200));
            }
            fitBars();
        }
    }

    /** Takes the keyboard. */
    void begin() {
        put.requestFocus();
    }

    private void fitBars() {
        Frame.Bars of = Choice.in(frame, Frames.ALL.get(0)).bars();
        List<Choice<Double>> sizes = UsualThing.ofKinds(List.of(of.usualKind())).stream().filter(t -> of != Frame.Bars.PROFILE || t.size("width").equals(t.size("height")))
                .map(t -> new Choice<>(t.size("width").orElseGet(() -> t.size("diameter").orElseThrow()), t.name())).toList();
        barsLabel.setText(of.label());
        bars.setVisible(!sizes.isEmpty());
        Choice.fill(bars, sizes, of.usualMm());
        show();
    }

    private FrameNumbers numbers() {
        return new FrameNumbers(mm(0), mm(1), mm(2), Choice.in(bars, 0.0));
    }

    /** Draws what would be put up; numbers that cannot be leave the picture as it is. */
    private void show() {
        try {
            Surroundings s = Choice.in(frame, Frames.ALL.get(0)).put(numbers());
            complain("");
            drawing.ask(ticket -> {
                NeighbourMesh meshes = new NeighbourMesh(id -> Optional.empty(), id -> Optional.empty());
                Map<String, Shape> shapes = new HashMap<>();
                s.neighbours().forEach(n -> shapes.put(n.id(), Shape.of(n, meshes)));
                ticket.deliver(() -> {
                    table.take(s, shapes);
                    table.show(s.home());
                });
            });
        } catch (QuantityException | SpaceProblem e) {
            complain(e.getMessage());
        }
    }

    private void put() {
        try {
            Frame f = Choice.in(frame, Frames.ALL.get(0));
            FrameNumbers n = numbers();
            complain(edit.apply("frame: " + f.label(), s -> f.put(n)).orElse(""));
        } catch (QuantityException | SpaceProblem e) {
            complain(e.getMessage());
        }
    }

    private double mm(int i) {
        return Quantity.parse(travel[i].getText(), Unit.MM);
    }

    private void complain(String why) {
        complaint.setText(why);
        complaint.setManaged(!why.isEmpty());
    }
}
