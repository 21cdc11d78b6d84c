package tinperch.desktop.station;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.RowConstraints;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import tinperch.check.BedFitCheck;
import tinperch.check.Finding;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.SeverityBadge;
import tinperch.desktop.look.Ui;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.fact.MeshesFact;
import tinperch.files.FileFault;
import tinperch.machine.Machine;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Differences;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.export.Keeping;
import tinperch.workshop.export.PartExport;
import tinperch.workshop.store.StoreFault;

/** Where and in what it is printed, keeping the revision, writing the files. */
final class PrintStation extends Scroller implements View {
    private final Desk desk;
    private final String upgradeId;
    private final VBox hosts = new VBox(6);
    private final ComboBox<String> material = Ui.id(new ComboBox<>(), "material");
    private final Label caution = Ui.text("", "caution");
    private final VBox facts = new VBox(4);
    private final BedPlan plan;
    private final TextField reason = Ui.id(new TextField(), "reason");
    private final Label reasonComplaint = Ui.id(Ui.text("", "complaint"), "reason-complaint");
    private final Button keep = Ui.id(new Button("Keep", Ui.icon("mdi2b-bookmark-outline")), "keep");
    private final Label changed = Ui.text("", "faint");
    private final TextField folder = Ui.id(new TextField(), "export-folder");
    private final Label exportComplaint = Ui.id(Ui.text("", "complaint"), "export-complaint");
    private final Button stl = Ui.id(new Button("Write STL"), "export-stl");
    private final Button threeMf = Ui.id(new Button("Write 3MF"), "export-3mf");
    private final javafx.beans.value.ChangeListener<Drawing> onDrawing = (o, a, b) -> showFacts();

    PrintStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        plan = new BedPlan(desk.theme());
        for (Material m : Material.STANDARD) {
            material.getItems().add(m.name());
        }
        material.setOnAction(e -> {
            Upgrade u = upgrade();
            if (material.getValue() != null && part().isPresent() && !material.getValue().equals(part().get().material())) {
                desk.workshop().edit("material " + material.getValue(),
                        s -> s.with(u.with(part().get().withMaterial(material.getValue()))));
            }
        });
        reason.setPromptText("why this one: what changed, what it should cure");
        HBox.setHgrow(reason, Priority.ALWAYS);
        reason.setOnAction(e -> keep());
        keep.setOnAction(e -> keep());
        keep.getStyleClass().add("accent");
        keep.setMinWidth(USE_PREF_SIZE);
        folder.setText(desk.workshop().preference("export folder").orElse(System.getProperty("user.home")));
        HBox.setHgrow(folder, Priority.ALWAYS);
        Button choose = Ui.button("Choose…", null, this::chooseFolder);
        choose.setMinWidth(USE_PREF_SIZE);
        stl.setOnAction(e -> export(PartExport.Format.STL));
        threeMf.setOnAction(e -> export(PartExport.Format.THREE_MF));
        VBox where = new VBox(8, Ui.label("Where and in what", "section"), hosts,
                row(Ui.label("Material", "field-label"), material), caution);
        where.getStyleClass().add("panel");
        VBox words = new VBox(8, Ui.label("The part on the bed", "section"), facts);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox part = new HBox(18, words, plan);
        part.getStyleClass().add("panel");
        VBox keeping = new VBox(8, Ui.label("Keep this revision", "section"), changed, row(reason, keep), reasonComplaint);
        keeping.getStyleClass().add("panel");
        VBox out = new VBox(8, Ui.label("Write the file", "section"),
                row(Ui.label("Into folder", "field-label"), folder, choose), row(stl, threeMf), exportComplaint);
        out.getStyleClass().add("panel");
        GridPane grid = new GridPane();
        grid.getStyleClass().add("page");
        grid.setHgap(14);
        grid.setVgap(12);
        ColumnConstraints half = new ColumnConstraints();
        half.setPercentWidth(50);
        grid.getColumnConstraints().addAll(half, half);
        grid.getRowConstraints().addAll(new RowConstraints(), new RowConstraints());
        grid.addRow(0, where, new VBox(12, keeping, out));
        grid.add(part, 0, 1, 2, 1);
        grid.getChildren().forEach(n -> GridPane.setValignment(n, VPos.TOP));
        setContent(grid);
        desk.drawingProperty().addListener(onDrawing);
        complain(reasonComplaint, "");
        complain(exportComplaint, "");
    }

    private static HBox row(Node... nodes) {
        HBox h = new HBox(8, nodes);
        h.setAlignment(Pos.BASELINE_LEFT);
        return h;
    }

    private static void complain(Label label, String why) {
        label.setText(why);
        label.setManaged(!why.isEmpty());
        label.setVisible(!why.isEmpty());
    }

    private Upgrade upgrade() {
        return desk.state().upgrade(upgradeId).orElseThrow();
    }

    private Optional<PartDesign> part() {
        return desk.part().filter(p -> upgrade().part(p.id()).isPresent());
    }

    private String mark() {
        return part().map(p -> desk.state().nextMark(upgradeId, p.id())).orElse("R1");
    }

    private void chooseFolder() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle("Folder for the part");
        Path now = Path.of(folder.getText());
        if (Files.isDirectory(now)) {
            chooser.setInitialDirectory(now.toFile());
        }
        java.io.File picked = chooser.showDialog(getScene().getWindow());
        if (picked != null) {
            folder.setText(picked.getPath());
        }
    }

    private void keep() {
        Drawing d = desk.drawingProperty().get();
        if (part().isEmpty() || !desk.hasPart()) {
            complain(reasonComplaint, "There is no finished part to keep yet; shape one first.");
            return;
        }
        if (reason.getText().isBlank()) {
            complain(reasonComplaint, "Give the reason in a few words: it is what the next revision starts from.");
            reason.requestFocus();
            return;
        }
        complain(reasonComplaint, "");
        String why = reason.getText().strip();
        Case c = desk.looked().get();
        int number = desk.state().nextRevision(upgradeId, c.part().id());
        reason.clear();
        keep.setDisable(true);
        // What is kept is what is drawn: packing its meshes takes a while.
        desk.engine().work(() -> Keeping.pack(c, desk.engine().now(c).get(MeshesFact.MESHES).pieces(), number, why, LocalDateTime.now()), packed -> {
            keep.setDisable(false);
            try {
                Keeping.keep(desk.workshop(), packed);
                desk.say(packed.revision().mark() + " is kept. Parts written from now on carry " + desk.mark() + "; write "
                        + packed.revision().mark() + " itself from the Verdict station.");
            } catch (StoreFault e) {
                desk.warn(e.getMessage());
            }
        });
    }

    private void export(PartExport.Format format) {
        Drawing d = desk.drawingProperty().get();
        if (part().isEmpty() || !desk.hasPart()) {
            complain(exportComplaint, "There is no finished part to write yet.");
            return;
        }
        Path target;
        try {
            target = Path.of(folder.getText().strip());
        } catch (java.nio.file.InvalidPathException e) {
            complain(exportComplaint, "“" + folder.getText() + "” is not a folder name; choose another.");
            return;
        }
        complain(exportComplaint, "");
        Case c = desk.looked().orElseThrow();
        String mark = mark();
        // What is written is what is asked for now, not a drawing that an edit has overtaken.
        desk.engine().work(() -> write(c, mark, format, target), told -> {
            if (told.bad()) {
                complain(exportComplaint, told.text());
            } else {
                desk.workshop().setPreference("export folder", target.toString());
                desk.say(told.text());
            }
        });
    }

    private Desk.Notice write(Case c, String mark, PartExport.Format format, Path target) {
        try {
            List<PartExport.Item> items = PartExport.Item.of(desk.engine().now(c).get(MeshesFact.MESHES).pieces());
            List<Path> written = PartExport.write(items, c.part(), c.upgrade().name(), mark, format, target);
            return new Desk.Notice("Written: " + String.join(", ", written.stream().map(Path::toString).toList()), false);
        } catch (FileFault e) {
            return new Desk.Notice(e.getMessage(), true);
        }
    }

    @Override
    public void refresh() {
        Upgrade u = upgrade();
        boolean part = part().isPresent();
        keep.setText("Keep " + mark());
        stl.setDisable(!part);
        threeMf.setDisable(!part);
        keep.setDisable(!part);
        material.setDisable(!part);
        part().ifPresent(p -> material.setValue(p.material()));
        caution.setText(part().map(p -> Material.find(p.material()).map(Material::fumes).orElse(true)
                ? p.material() + " gives off fumes and fine particles: enclose the machine, extract and filter the air. "
                        + "Stay with the first print after a change."
                : "Stay with the first print after a change, a hand near the switch.").orElse(""));
        List<Revision> kept = part().map(p -> desk.state().revisionsOf(upgradeId, p.id())).orElse(List.of());
        Drawing d = desk.drawingProperty().get();
        boolean engraved = d != null && d.pieces().stream().allMatch(m -> m.mark().isPresent());
        changed.setText(kept.isEmpty() ? "The first revision of this part, " + mark() + (engraved ? ", as is engraved in it."
                : "; write it on where it has no room for the mark.")
                : "Since " + kept.get(kept.size() - 1).mark() + ": " + differences(kept.get(kept.size() - 1)));
        showHosts(u);
        showFacts();
    }

    private String differences(Revision before) {
        List<Differences.Difference> list = desk.looked().map(c -> Differences.between(before.part(), before.recipe().map(r -> r.refs()), c.part(), Optional.of(c.recipe().refs())))
                .orElse(List.of());
        return list.isEmpty() ? "nothing changed." : String.join("; ", list.stream().map(Object::toString).toList()) + ".";
    }

    private void showHosts(Upgrade u) {
        hosts.getChildren().clear();
        ToggleGroup group = new ToggleGroup();
        // Meshes are there once the part is drawn; nothing is computed here.
        boolean drawn = desk.drawingProperty().get() != null && desk.assessmentProperty().get().pending().isEmpty();
        for (Machine m : desk.state().machines()) {
            if (!m.prints()) {
                continue;
            }
            RadioButton b = Ui.id(new RadioButton(m.name()), "host-" + m.id());
            b.setToggleGroup(group);
            b.setSelected(m.id().equals(u.hostMachineId()));
            b.setMinWidth(110);
            b.setMaxWidth(150);
            b.setOnAction(e -> desk.workshop().edit("print on " + m.name(),
                    s -> s.with(s.upgrade(upgradeId).orElseThrow().onHost(m.id()))));
            Optional<Finding> f = desk.looked().filter(c -> drawn).flatMap(c -> BedFitCheck.on(m, c, desk.engine().now(c)));
            HBox line = row(b);
            f.ifPresent(x -> line.getChildren().addAll(Ui.whole(new SeverityBadge(x.severity())),
                    Ui.label(x.margin().map(g -> g.sayMissing() + " on its bed").orElse(x.why()), "faint")));
            hosts.getChildren().add(line);
        }
        if (hosts.getChildren().isEmpty()) {
            hosts.getChildren().add(Ui.text("No machine of the workshop prints; add one on the shelf.", "faint"));
        }
    }

    private void showFacts() {
        facts.getChildren().clear();
        Drawing d = desk.drawingProperty().get();
        Optional<Upgrade> u = desk.state().upgrade(upgradeId);
        if (u.isEmpty() || desk.part().isEmpty()) {
            facts.getChildren().add(Ui.text("No part yet.", "faint"));
            return;
        }
        if (d == null) {
            facts.getChildren().add(Ui.text("Being computed…", "faint"));
            return;
        }
        double cm3 = d.volumeMm3() / 1000;
        GridPane g = new GridPane();
        g.setHgap(18);
        g.setVgap(4);
        int row = 0;
        Vec3 largest = d.pieces().get(0).mesh().bounds().size();
        for (MeshesFact.Made m : d.pieces()) {
            Vec3 size = m.mesh().bounds().size();
            largest = size.x() * size.y() > largest.x() * largest.y() ? size : largest;
            fact(g, row++, d.pieces().size() == 1 ? "Size" : sentence(m.piece().name()) + (m.piece().count() > 1 ? " × " + m.piece().count() : ""),
                    Quantity.plain(size.x(), Unit.MM) + " × " + Quantity.plain(size.y(), Unit.MM) + " × " + Quantity.mm(size.z())
                    + m.mark().map(k -> ", " + mark() + " " + k.words()).orElse(", no room for the mark"));
        }
        plan.show(desk.state().machine(u.get().hostMachineId()), largest);
        fact(g, row++, "Volume", Quantity.fixed(cm3, 1) + " cm³");
        Optional<Material> m = Material.find(desk.part().get().material());
        if (m.isPresent()) {
            fact(g, row++, "Mass if solid", Quantity.fixed(cm3 * m.get().densityGcm3(), 0) + " g " + m.get().name() + " (estimate)");
        }
        // Filament 1.75 mm: length = volume / (π d² / 4).
        fact(g, row, "Filament if solid", Quantity.fixed(cm3 * 1000 / (Math.PI * 1.75 * 1.75 / 4) / 1000, 1) + " m of 1.75 mm (estimate)");
        facts.getChildren().add(g);
    }

    private static String sentence(String s) {
        return s.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + s.substring(1);
    }

    private static void fact(GridPane g, int row, String name, String value) {
        g.add(Ui.label(name, "field-label"), 0, row);
        g.add(Ui.label(value, "strong"), 1, row);
    }

    @Override
    public void judged() {
        refresh();
    }

    @Override
    public void leave() {
        desk.drawingProperty().removeListener(onDrawing);
    }
}
