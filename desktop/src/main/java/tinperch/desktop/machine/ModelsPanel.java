package tinperch.desktop.machine;

import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import tinperch.check.Severity;
import tinperch.desktop.desk.Begin;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.SeverityBadge;
import tinperch.desktop.look.Ui;
import tinperch.desktop.reading.Instruments;
import tinperch.desktop.reading.ReadingCell;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.machine.model.Candidate;
import tinperch.machine.model.Model;
import tinperch.machine.model.ModelCheck;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.NeighbourMesh;
import tinperch.measure.Spread;
import tinperch.part.bind.Binding;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.solid.query.MeshRounds;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.workshop.background.Crew;
import tinperch.workshop.model.ModelReader;
import tinperch.workshop.model.ReadModel;
import tinperch.workshop.store.StoreFault;

/** Downloaded models: brought in, told which unit they are in, checked against readings, put among the neighbours. */
final class ModelsPanel extends Column implements View {
    private final Desk desk;
    private final String machineId;
    private final Consumer<String> used;
    private final VBox cards = new Column(12);
    private final HBox reading = new HBox(8);
    private final ProgressBar bar = new ProgressBar();
    private final Label readingWhat = Ui.label("", "faint");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "model-complaint");
    private final ModelReader reader = new ModelReader(Platform::runLater);
    private final Crew crew = new Crew("rounds", Platform::runLater);
    private final Map<String, List<MeshRounds.Round>> rounds = new HashMap<>();
    private List<Model> shown;

    /** @param used told the id of the neighbour a model was made into */
    ModelsPanel(Desk desk, String machineId, Consumer<String> used) {
        super(10);
        this.desk = desk;
        this.machineId = machineId;
        this.used = used;
        Ui.id(this, "models");
        getStyleClass().add("panel");
        Button bring = Ui.id(Ui.button("Bring in a model", "mdi2f-file-import-outline", this::choose), "model-import");
        Ui.tip(bring, "STL, OBJ or 3MF; it may also be dropped here");
        Button stop = Ui.id(Ui.button("Stop", null, this::stop), "model-stop");
        bar.setPrefWidth(180);
        reading.setAlignment(Pos.CENTER_LEFT);
        reading.getChildren().addAll(bar, readingWhat, stop);
        HBox head = new HBox(12, Ui.label("Downloaded models", "section"), Ui.spring(), bring);
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, reading, complaint, cards);
        busy("");
        complain("");
        setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
        });
        setOnDragDropped(e -> {
            e.getDragboard().getFiles().stream().findFirst().ifPresent(f -> bringIn(f.toPath()));
            e.setDropCompleted(true);
        });
    }

    private Machine machine() {
        return desk.state().machine(machineId).orElseThrow();
    }

    private void edit(String label, UnaryOperator<Machine> change) {
        desk.workshop().edit(label, s -> s.with(change.apply(s.machine(machineId).orElseThrow())));
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("A downloaded model");
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Models", "*.stl", "*.obj", "*.3mf", "*.STL", "*.OBJ", "*.3MF"));
        File f = chooser.showOpenDialog(getScene().getWindow());
        if (f != null) {
            bringIn(f.toPath());
        }
    }

    /** Reads a file in the background; what it becomes is one undoable step. */
    void bringIn(Path file) {
        complain("");
        busy("Reading " + file.getFileName() + " …");
        bar.setProgress(0);
        reader.read(file, bar::setProgress, this::take, why -> {
            busy("");
            complain(why);
        });
    }

    private void stop() {
        reader.stop();
        busy("");
        complain("Stopped; nothing was brought in.");
    }

    private void take(ReadModel read) {
        busy("");
        try {
            desk.workshop().keep(read.blob());
        } catch (StoreFault e) {
            complain(e.getMessage());
            return;
        }
        edit("bring in " + read.name(), m -> m.with(read.model(BookEdit.freshId())));
    }

    private void busy(String what) {
        readingWhat.setText(what);
        reading.setVisible(!what.isEmpty());
        reading.setManaged(!what.isEmpty());
    }

    private void complain(String why) {
        complaint.setText(why);
        complaint.setManaged(!why.isEmpty());
    }

    @Override
    public void refresh() {
        List<Model> now = machine().models();
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        Node focused = getScene() == null ? null : getScene().getFocusOwner();
        String id = focused == null ? "" : Ui.idOf(focused);
        cards.getChildren().clear();
        for (Model m : now) {
            cards.getChildren().add(card(m));
        }
        // A card made anew keeps the place one was typing at.
        if (id.startsWith("reading-model-")) {
            Platform.runLater(() -> lookupAll(".reading").stream().filter(n -> id.equals(Ui.idOf(n))).findFirst()
                    .ifPresent(Node::requestFocus));
        }
        if (now.isEmpty()) {
            cards.getChildren().add(Ui.text("A model somebody else drew saves work when it is true. Bring one in, choose two to four "
                    + "things in it and read them on the real one: only then is it believed.", "faint"));
        }
    }

    private Node card(Model m) {
        CommitField name = new CommitField("model-name-" + m.id(), m.name(), typed -> {
            if (typed.isBlank()) {
                return Optional.of("A model needs a name; the old one stays.");
            }
            edit("name of a model", k -> k.with(k.model(m.id()).orElseThrow().named(typed.strip())));
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
            b.setOnAction(e -> rescale(m, scale));
            units.getChildren().add(b);
        }
        VBox left = new Column(6, name, facts, units);
        m.unitDoubt().ifPresent(d -> left.getChildren().add(Ui.id(Ui.text(d, "look"), "model-doubt-" + m.id())));
        GridPane columns = new GridPane();
        columns.setHgap(16);
        for (double share : new double[] {34, 66}) {
            ColumnConstraints c = new ColumnConstraints();
            c.setPercentWidth(share);
            columns.getColumnConstraints().add(c);
        }
        columns.addRow(0, left, checks(m));
        columns.getChildren().forEach(n -> GridPane.setValignment(n, VPos.TOP));
        return columns;
    }

    private Node checks(Model m) {
        Model.Verdict verdict = m.verdict();
        SeverityBadge badge = new SeverityBadge(verdict == Model.Verdict.AGREES ? Severity.FINE : verdict == Model.Verdict.DISAGREES ? Severity.STOP : Severity.LOOK);
        Label words = Ui.id(Ui.text(m.verdictWords()), "model-verdict-" + m.id());
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox head = new HBox(8, badge, words);
        m.likelyScale().filter(x -> verdict == Model.Verdict.DISAGREES).ifPresent(scale -> head.getChildren().add(Ui.whole(Ui.id(Ui.button(
                "read it in " + Model.unitName(scale), null, () -> rescale(m, scale)),
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
                    : Optional.of("A length is larger than zero; the reading was left out."), (label, list) -> edit(label, k ->
                            k.with(k.model(m.id()).orElseThrow().with(c.with(list)))), f -> { });
            cell.refresh(c.readings());
            String off = c.differenceMm(m.scale()).map(d -> (c.agrees(m.scale()).orElse(false) ? "agrees: " : "disagrees: ")
                    + (d > 0 ? "+" : "") + Quantity.fixed(d, 2) + " mm").orElse("not read yet");
            Label says = Ui.whole(Ui.id(Ui.label(off, c.agrees(m.scale()).orElse(true) ? "faint" : "look"), "model-says-" + c.id()));
            Button gone = Ui.id(Ui.button("take off", null, () -> edit("take off a check", k ->
                    k.with(k.model(m.id()).orElseThrow().withoutCheck(c.id())))), "model-uncheck-" + c.id());
            HBox acts = new HBox(gone);
            acts.getStyleClass().add("row-acts");
            Label what = Ui.text(c.what() + ": " + Quantity.fixed(c.found() * m.scale(), 2) + " mm");
            what.setMinWidth(165);
            rows.addRow(row++, what, cell, says, Ui.whole(acts));
            acts.setMaxHeight(USE_PREF_SIZE);
        }
        rows.getChildren().forEach(n -> GridPane.setValignment(n, VPos.TOP));
        Button use = Ui.id(Ui.button(verdict == Model.Verdict.AGREES ? "Put it among the neighbours" : "Use it unchecked", "mdi2p-plus",
                () -> use(m)), "model-use-" + m.id());
        use.setDisable(verdict == Model.Verdict.DISAGREES);
        Button remove = Ui.id(Ui.button("Remove", null, () -> remove(m)), "model-remove-" + m.id());
        Button make = Ui.id(Ui.button("Make a part from it", "mdi2s-shape-outline", () -> Begin.upgrade(desk, machine(), m)),
                "model-make-" + m.id());
        Ui.tip(make, "Starts an upgrade whose part is this model, bored for your screws and your printer");
        make.setDisable(verdict == Model.Verdict.DISAGREES);
        FlowPane acts = new FlowPane(8, 6, more(m), make, use, remove);
        acts.setAlignment(Pos.CENTER_LEFT);
        return new Column(8, head, rows, acts);
    }

    /** What else can be read on the real one; searched for in the background when first wanted. */
    private Node more(Model m) {
        ComboBox<String> more = Ui.id(new ComboBox<>(), "model-more-" + m.id());
        more.setPromptText("check another thing");
        more.setPrefWidth(200);
        more.setMinWidth(80);
        more.setVisible(m.checks().size() < Model.MOST_CHECKS);
        List<MeshRounds.Round> known = rounds.get(m.meshId());
        if (known == null) {
            search(m);
            offer(more, m, List.of());
        } else {
            offer(more, m, known);
        }
        return more;
    }

    private void offer(ComboBox<String> more, Model m, List<MeshRounds.Round> found) {
        List<Candidate> all = Candidate.of(m.size(), found, m.scale()).stream()
                .filter(c -> m.checks().stream().noneMatch(k -> Math.abs(k.found() - c.found()) < 1e-9 * c.found())).toList();
        more.getItems().setAll(all.stream().map(Candidate::what).toList());
        // The value itself is listened to: the box's action does not always come when the box is new.
        more.valueProperty().addListener((o, was, chosen) -> all.stream().filter(c -> c.what().equals(chosen)).findFirst()
                .ifPresent(c -> edit("check " + c.what(), k -> k.with(k.model(m.id()).orElseThrow().with(
                        new ModelCheck(BookEdit.freshId(), c.name(), c.found(), List.of()))))));
    }

    private void search(Model m) {
        rounds.put(m.meshId(), List.of());
        desk.workshop().meshBytes(m.meshId()).ifPresent(bytes -> crew.give(() -> {
            try {
                return MeshRounds.of(MeshBlob.mesh(bytes));
            } catch (FileFault e) {
                return List.<MeshRounds.Round>of();
            }
        }, found -> {
            rounds.put(m.meshId(), found);
            shown = null;
            if (getScene() != null) {
                refresh();
            }
        }));
    }

    private void use(Model m) {
        Neighbour n = new Neighbour(BookEdit.freshId(), m.name(), "", Neighbour.Kind.SOLID, Neighbour.Form.MODEL, Vec3.ZERO,
                NeighbourMesh.laidDown(m.sizeMm(), Vec3.Z, 0), "z", 3, 0, m.id(), 0);
        try {
            var next = machine().surroundings().with(n);
            edit("put " + m.name() + " among the neighbours", k -> k.withSurroundings(next));
            used.accept(n.id());
        } catch (tinperch.machine.space.SpaceProblem e) {
            complain(e.getMessage());
        }
    }

    /** The upgrade whose part, or one of whose kept revisions, is made from a model. */
    private Optional<String> madeFrom(Model m) {
        Stream<PartDesign> parts = Stream.concat(desk.state().upgrades().stream().flatMap(u -> u.parts().stream()), desk.state().revisions().stream().map(Revision::part));
        return parts.filter(p -> p.bindings().values().contains(new Binding.OfModel(m.id()))).map(PartDesign::name).findFirst();
    }

    /** Reads its file in another unit; what is made from it must not change its size behind its owner's back. */
    private void rescale(Model m, double scale) {
        Optional<String> made = madeFrom(m);
        if (made.isPresent() && scale != m.scale()) {
            shown = null;
            refresh();
            complain("“" + made.get() + "” is made from it in " + Model.unitName(m.scale())
                    + "; bring the file in once more to read it in another unit. Nothing was changed.");
            return;
        }
        edit("unit of " + m.name(), k -> k.rescaled(m.id(), scale));
    }

    private void remove(Model m) {
        List<String> standing = new ArrayList<>(machine().neighboursOf(m.id()).stream().map(Neighbour::name).toList());
        if (!standing.isEmpty()) {
            complain("“" + standing.get(0) + "” among the neighbours is made of it; remove that one first. Nothing was changed.");
            return;
        }
        Optional<String> made = madeFrom(m);
        if (made.isPresent()) {
            complain("“" + made.get() + "” is made from it, or a kept revision is; it has to stay. Nothing was changed.");
            return;
        }
        edit("remove " + m.name(), k -> k.withoutModel(m.id()));
    }
}
