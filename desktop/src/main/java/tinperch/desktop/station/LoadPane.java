package tinperch.desktop.station;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.check.StrengthCheck;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Ui;
import tinperch.fact.DrawingFact;
import tinperch.fact.LoadPictureFact;
import tinperch.machine.space.Site;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Load;
import tinperch.upgrade.UsualLoad;

/** What a part bears: forces put where one clicks, as hard and as often as one says. */
final class LoadPane extends VBox {
    private final Desk desk;
    private final VBox list = new Column(6);
    private final TextField name = Ui.id(new TextField(), "load-name");
    private final TextField newton = Ui.id(new TextField("20 N"), "load-newton");
    private final ComboBox<Choice<UsualLoad>> usual;
    private final ComboBox<Choice<Vec3>> way;
    private final ComboBox<Choice<Load.Lasting>> lasting;
    private final Button put = Ui.id(Ui.button("It bears this here", "mdi2p-plus", this::put), "load-put");
    private final Label said = Ui.id(Ui.text("", "faint"), "load-said");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "load-complaint");
    private final ColourLegend legend;
    private final Label shown = Ui.id(Ui.text("", "faint"), "load-shown");
    private Piece piece;
    private Vec3 at;

    LoadPane(Desk desk) {
        super(8);
        this.desk = desk;
        legend = new ColourLegend(desk.theme(), "load-legend");
        name.setPromptText("what does it: the weight of a spool, a hand …");
        way = Form.choice("load-way", List.of(new Choice<>(Vec3.Z.times(-1), "down"), new Choice<>(Vec3.Z, "up"), new Choice<>(Vec3.X.times(-1), "to the left"), new Choice<>(Vec3.X, "to the right"),
                new Choice<>(Vec3.Y.times(-1), "to the front"), new Choice<>(Vec3.Y, "to the back")), null, c -> { });
        way.getSelectionModel().select(0);
        lasting = Form.choice("load-lasting", java.util.Arrays.stream(Load.Lasting.values()).map(l -> new Choice<>(l, l.label())).toList(), null, c -> { });
        lasting.getSelectionModel().select(0);
        usual = Form.choice("load-usual", List.of(), null, c -> begin());
        usual.setPromptText("begin with a usual load");
        usual.setMaxWidth(Double.MAX_VALUE);
        Ui.tip(usual, "How hard and which way it usually is (values from memory); change what you know better");
        newton.setPrefColumnCount(6);
        newton.setMinWidth(70);
        put.getStyleClass().add("accent");
        getChildren().addAll(Ui.label("What it bears", "section"), list, legend, usual, name, new HBox(6, newton, way, lasting), said, put, complaint, shown);
        name.setOnAction(e -> put());
        newton.setOnAction(e -> put());
        complain("");
        colours(Optional.empty());
        refresh();
    }

    /** What the colours on the part mean. */
    void colours(Optional<LoadPictureFact.Picture> picture) {
        Ui.see(legend, picture.isPresent());
        picture.ifPresent(p -> legend.show(0, 100, 100 * p.worst(), new ColourLegend.Words("bears nothing", "all it may", Math.round(100 * p.worst()) + " % at the worst")));
        shown.setText(picture.isPresent() ? "Each band is a section between the load and where the part lies on the machine; the green one is the weakest." : "");
        Ui.see(shown, picture.isPresent());
    }

    void refresh() {
        List<Node> rows = desk.part().map(p -> p.loads().stream().map(this::row).toList()).orElse(List.of());
        list.getChildren().setAll(rows);
        Ui.see(list, !rows.isEmpty());
        UsualLoad begun = Choice.in(usual, null);
        Choice.fill(usual, desk.looked().map(UsualLoad::of).orElse(List.of()).stream().map(u -> new Choice<>(u, u.name())).toList(), begun);
        tell();
    }

    /** Fills in what a usual load is. */
    private void begin() {
        UsualLoad u = Choice.in(usual, null);
        if (u != null) {
            name.setText(u.name());
            newton.setText(Quantity.show(u.newton(), Unit.NEWTON));
            Choice.fill(way, List.copyOf(way.getItems()), u.direction());
            Choice.fill(lasting, List.copyOf(lasting.getItems()), u.lasting());
        }
    }

    private Node row(Load l) {
        Label words = Ui.text((l.name().isBlank() ? "a load" : l.name()) + ": " + Quantity.show(Math.round(l.forceN().length() * 10) / 10.0, Unit.NEWTON) + ", " + l.lasting().label());
        Button away = Ui.id(Ui.button("", "mdi2c-close", () -> desk.editPart("take a load away", p -> p.withoutLoad(l.id()))), "load-away-" + l.id());
        Ui.tip(away, "It does not bear this");
        HBox row = new HBox(6, words, Ui.spring(), away);
        row.setAlignment(Pos.CENTER_LEFT);
        Label judged = Ui.text(desk.assessmentProperty().get().findings().stream().filter(f -> f.id().equals(StrengthCheck.idOf(l))).findFirst().map(f -> f.severity().label() + ": " + f.why()).orElse(""), "faint");
        Ui.see(judged, !judged.getText().isEmpty());
        return new VBox(2, row, judged);
    }

    /**
     * The place clicked on.
     *
     * @param feature of the drawing that is there, {@code where} in the machine with all axes at zero
     */
    void touch(String feature, Vec3 where) {
        DrawingFact.Drawing d = desk.drawingProperty().get();
        Optional<Placement> place = inMachine(d);
        if (place.isEmpty()) {
            return;
        }
        piece = d.pieceOf(feature).orElse(null);
        at = piece == null ? null : place.get().times(piece.place()).local(where);
        tell();
    }

    private Optional<Placement> inMachine(DrawingFact.Drawing d) {
        Optional<PartForm.Mount> mount = d == null ? Optional.empty() : d.form().mount();
        return mount.flatMap(m -> desk.looked().flatMap(c -> c.site()).map(Site::frame).map(f -> f.times(m.frame().inverse())));
    }

    private void tell() {
        said.setText(at == null ? "Click the place on the part where it acts." : "On the " + piece.name() + " at " + Quantity.mm(Math.round(at.x() * 10) / 10.0) + ", " + Quantity.mm(Math.round(at.y() * 10) / 10.0) + ", "
                + Quantity.mm(Math.round(at.z() * 10) / 10.0) + " in its own coordinates.");
        put.setDisable(at == null);
    }

    private void put() {
        if (at == null) {
            complain("Click the place on the part where it acts first.");
            return;
        }
        try {
            double n = Quantity.parse(newton.getText(), Unit.NEWTON);
            if (!(n > 0 && n < 100_000)) {
                complain("A force is more than 0 N; nothing was put on.");
                return;
            }
            Optional<Placement> place = inMachine(desk.drawingProperty().get());
            if (place.isEmpty()) {
                complain("It has no site any more, so which way is down is not known.");
                return;
            }
            Vec3 force = place.get().times(piece.place()).inverse().turned(Choice.in(way, Vec3.Z.times(-1))).times(n);
            Load l = new Load("load-" + UUID.randomUUID(), name.getText().strip(), piece.id(), at, force, Choice.in(lasting, Load.Lasting.STEADY));
            desk.editPart("put a load on", p -> p.bearing(l));
            name.clear();
            usual.setValue(null);
            complain("");
        } catch (QuantityException e) {
            complain(e.getMessage());
        }
    }

    private void complain(String why) {
        complaint.setText(why);
        Ui.see(complaint, !why.isEmpty());
    }
}
