package tinperch.desktop.machine;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.hardware.Fits;
import tinperch.machine.Machine;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/** What a machine is: its kind, its room, what it is supplied with, how long it has run, what it may print. */
final class MachineFacts extends Column {
    private final MachineForm form;
    private final HoursRow hours;

    MachineFacts(MachineForm form) {
        super(10);
        this.form = form;
        hours = new HoursRow(form);
        getStyleClass().add("panel");
        GridPane g = new GridPane();
        g.setHgap(14);
        g.setVgap(4);
        ColumnConstraints words = new ColumnConstraints();
        words.setMinWidth(110);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        g.getColumnConstraints().addAll(words, wide);
        int row = 0;
        CommitField summary = form.text("machine-summary", Machine::summary, "description", Machine::withSummary, true);
        summary.field().setPromptText("in a few words");
        put(g, row++, "What it is", summary);
        ComboBox<String> kind = Ui.id(new ComboBox<>(), "machine-kind");
        for (Machine.Kind k : Machine.Kind.values()) {
            kind.getItems().add(k.label());
        }
        kind.setOnAction(e -> {
            Machine.Kind k = Machine.Kind.values()[Math.max(0, kind.getSelectionModel().getSelectedIndex())];
            if (k != form.machine().kind()) {
                form.edit("kind " + k.label(), m -> m.withKind(k));
            }
        });
        form.onRefresh(() -> kind.getSelectionModel().select(form.machine().kind().ordinal()));
        put(g, row++, "Kind", kind);
        put(g, row++, "Reaches x y z", spaceFields("build", Machine::buildMm, Machine::withBuild));
        put(g, row++, "Usable x y z", spaceFields("usable", Machine::usableMm, Machine::withUsable));
        putForPrinters(g, row++, "Nozzle", nozzles());
        putForPrinters(g, row++, "Hole offset", Ui.tip(form.number("hole-offset", Unit.MM, -1, 2, Machine::holeOffsetMm,
                Machine::withHoleOffset),
                "What is added to every hole so that it comes out right on this machine"));
        putForPrinters(g, row++, "Slot, peg", new HBox(6, fit("slot", Fits::slotMm, Fits::withSlot, "Added between flat walls: slots, nut pockets, eyes for ties"),
                fit("peg", Fits::pegMm, Fits::withPeg, "Added to the diameter of printed pegs; mostly less than nothing")));
        putForPrinters(g, row++, "Press, slide", new HBox(6, fit("press", Fits::pressMm, Fits::withPress, "Added to a hole something is pressed into, after the hole offset"),
                fit("running", Fits::runningMm, Fits::withRunning, "Added to a hole something slides or turns in, after the hole offset")));
        put(g, row++, "Supply", form.number("supply", Unit.VOLT, 0, 400, Machine::supplyV, Machine::withSupplyV));
        putForPrinters(g, row++, "Bed and walls", new HBox(6,
                form.yesNo("heated-bed", "bed heated", "bed not heated", Machine::heatedBed, Machine::withHeatedBed),
                form.yesNo("enclosed", "enclosed", "open", Machine::enclosed, Machine::withEnclosed)));
        put(g, row++, "Hours run", hours);
        putForPrinters(g, row, "May print", new MaterialChips(form));
        getChildren().addAll(Ui.label("The machine", "section"), g);
    }

    /** The machine's own nozzle, and those its loadouts have instead; theirs are settings of the book, with their days. */
    private Node nozzles() {
        CommitField own = form.number("nozzle", Unit.MM, 0, 5, Machine::nozzleMm, Machine::withNozzle);
        Label loadouts = Ui.id(Ui.text("", "faint"), "nozzles");
        form.onRefresh(() -> {
            Map<String, Double> bores = form.machine().boresMm(LocalDate.now());
            loadouts.setText(bores.containsKey("") ? "" : "On " + String.join(", on ", bores.entrySet().stream().map(e -> e.getKey() + " "
                    + Quantity.mm(e.getValue())).toList()));
            loadouts.setManaged(!loadouts.getText().isEmpty());
        });
        return new Column(2, own, own.complaint(), loadouts);
    }

    private Node fit(String id, Function<Fits, Double> get, BiFunction<Fits, Double, Fits> set, String tip) {
        return Ui.tip(form.number("fit-" + id, Unit.MM, -1, 2, m -> get.apply(m.fits()), (m, v) -> m.withFits(set.apply(m.fits(), v))), tip);
    }

    private Node spaceFields(String id, Function<Machine, Machine.Space> get, BiFunction<Machine, Machine.Space, Machine> set) {
        CommitField x = form.number(id + "-x", Unit.MM, 0, 2000, m -> get.apply(m).x(),
                (m, v) -> set.apply(m, new Machine.Space(v, get.apply(m).y(), get.apply(m).z())));
        CommitField y = form.number(id + "-y", Unit.MM, 0, 2000, m -> get.apply(m).y(),
                (m, v) -> set.apply(m, new Machine.Space(get.apply(m).x(), v, get.apply(m).z())));
        CommitField z = form.number(id + "-z", Unit.MM, 0, 2000, m -> get.apply(m).z(),
                (m, v) -> set.apply(m, new Machine.Space(get.apply(m).x(), get.apply(m).y(), v)));
        for (CommitField f : List.of(x, y, z)) {
            f.setMaxWidth(88);
        }
        Label more = Ui.text("", "look");
        Ui.id(more, id + "-doubt");
        form.onRefresh(() -> {
            Machine.Space usable = form.machine().usableMm();
            Machine.Space build = form.machine().buildMm();
            boolean larger = usable.x() > build.x() || usable.y() > build.y() || usable.z() > build.z();
            more.setText(larger && id.equals("usable") ? "More is usable than it can reach; one of the two is wrong." : "");
            more.setManaged(!more.getText().isEmpty());
        });
        return new Column(2, new HBox(6, x, y, z), more);
    }

    /** What only makes sense for a machine that may print. */
    private void putForPrinters(GridPane g, int row, String label, Node node) {
        int before = g.getChildren().size();
        put(g, row, label, node);
        List<Node> added = List.copyOf(g.getChildren().subList(before, g.getChildren().size()));
        form.onRefresh(() -> added.forEach(n -> {
            boolean wanted = form.machine().kind().mayPrint();
            n.setManaged(wanted && !(n instanceof Label l && l.getStyleClass().contains("complaint") && l.getText().isEmpty()));
            n.setVisible(wanted && n.isManaged());
        }));
    }

    private static void put(GridPane g, int row, String label, Node node) {
        Label l = Ui.label(label, "field-label");
        g.add(l, 0, 2 * row);
        g.add(node, 1, 2 * row);
        if (node instanceof CommitField f) {
            g.add(f.complaint(), 1, 2 * row + 1);
        }
        boolean several = node instanceof Pane && !(node instanceof CommitField);
        GridPane.setValignment(l, several ? VPos.TOP : VPos.BASELINE);
        GridPane.setValignment(node, several ? VPos.TOP : VPos.BASELINE);
        l.setPadding(new Insets(several ? 5 : 0, 0, 0, 0));
    }

    /** Writes down what a log says of the hour counter. */
    void readHours(Path log) {
        hours.read(log);
    }
}
