package tinperch.desktop.machine;

import java.io.File;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Dropped;
import tinperch.desktop.look.Ui;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.machine.space.Shape;
import tinperch.solid.Mesh;
import tinperch.solid.query.MeshRounds;
import tinperch.workshop.Workshop;
import tinperch.workshop.background.Crew;
import tinperch.workshop.model.ModelReader;
import tinperch.workshop.model.ReadModel;
import tinperch.workshop.store.StoreFault;

/** Downloaded models: brought in, told which unit they are in, checked against readings, put among the neighbours. */
final class ModelsPanel extends Column implements View {
    private final Desk desk;
    private final String machineId;
    private final ModelEdits edits;
    private final VBox cards = new Column(12);
    private final HBox reading = new HBox(8);
    private final ProgressBar bar = new ProgressBar();
    private final Label readingWhat = Ui.label("", "faint");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "model-complaint");
    private final ModelReader reader = new ModelReader(Platform::runLater);
    private final Crew crew = new Crew("rounds", Platform::runLater);
    private final Map<String, Found> found = new HashMap<>();
    private List<Model> shown;

    /** @param used told the id of the neighbour a model was made into */
    ModelsPanel(Desk desk, String machineId, Consumer<String> used) {
        super(10);
        this.desk = desk;
        this.machineId = machineId;
        edits = new ModelEdits(desk, machineId, used);
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
        Dropped.on(this, this::bringIn);
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

    private void take(List<ReadModel> read) {
        busy("");
        try {
            for (ReadModel r : read) {
                desk.workshop().keep(r.blob());
            }
        } catch (StoreFault e) {
            complain(e.getMessage());
            return;
        }
        String what = read.size() == 1 ? read.get(0).name() : read.size() + " models of one file";
        edits.edit("bring in " + what, m -> {
            Machine with = m;
            for (ReadModel r : read) {
                with = with.with(r.model(BookEdit.freshId()));
            }
            return with;
        });
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
        List<Model> now = edits.machine().models();
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        Node focused = getScene() == null ? null : getScene().getFocusOwner();
        String id = focused == null ? "" : Ui.idOf(focused);
        cards.getChildren().clear();
        for (Model m : now) {
            cards.getChildren().add(new ModelCard(desk, edits, m, found(m), now.size() == 1, this::complain));
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

    /**
     * What was found in a model.
     *
     * @param rounds round holes and pegs, in the unit of its file
     * @param shape what is drawn of it; null until it has been unpacked
     */
    record Found(List<MeshRounds.Round> rounds, Shape shape) {
        static final Found NOTHING = new Found(List.of(), null);
    }

    /** What is in a model, searched for in the background when first wanted. */
    private Found found(Model m) {
        if (!found.containsKey(m.meshId())) {
            search(m);
        }
        return found.get(m.meshId());
    }

    private void search(Model m) {
        found.put(m.meshId(), Found.NOTHING);
        Workshop workshop = desk.workshop();
        crew.give(() -> {
            try {
                Optional<byte[]> bytes = workshop.meshBytes(m.meshId());
                if (bytes.isEmpty()) {
                    return Found.NOTHING;
                }
                Mesh mesh = MeshBlob.mesh(bytes.get());
                Shape shape = Shape.of(mesh);
                shape.edges();
                return new Found(MeshRounds.of(mesh), shape);
            } catch (FileFault | StoreFault e) {
                return Found.NOTHING;
            }
        }, now -> {
            found.put(m.meshId(), now);
            shown = null;
            if (getScene() != null) {
                refresh();
            }
        });
    }
}
