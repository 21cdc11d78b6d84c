package tinperch.desktop.station;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.stage.DirectoryChooser;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.fact.MeshesFact;
import tinperch.files.FileFault;
import tinperch.upgrade.Case;
import tinperch.workshop.export.Item;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartExport;
import tinperch.workshop.export.PartFormat;
import tinperch.workshop.export.PartFormats;

/** Writing the part into files. */
final class WritePanel extends PrintPanel {
    private final TextField folder = Ui.id(new TextField(), "export-folder");
    private final List<Button> formats;

    WritePanel(Desk desk, String upgradeId) {
        super(desk, upgradeId, "Write the file", "export-complaint");
        folder.setText(desk.workshop().preference("export folder").orElse(System.getProperty("user.home")));
        HBox.setHgrow(folder, Priority.ALWAYS);
        Button choose = Ui.whole(Ui.button("Choose…", null, this::chooseFolder));
        formats = PartFormats.ALL.stream().map(this::button).toList();
        FlowPane print = new FlowPane(6, 6);
        FlowPane more = new FlowPane(6, 6);
        for (int i = 0; i < formats.size(); i++) {
            (PartFormats.ALL.get(i).isForPrinting() ? print : more).getChildren().add(formats.get(i));
        }
        rows(row(Ui.label("Into folder", "field-label"), folder, choose), row(Ui.label("To print", "field-label"), print),
                row(Ui.label("For others", "field-label"), more));
    }

    @Override
    void refresh() {
        formats.forEach(b -> b.setDisable(part().isEmpty()));
    }

    private Button button(PartFormat format) {
        Button b = Ui.whole(Ui.id(new Button(format.name()), "export-" + format.name().toLowerCase(Locale.ROOT).replace(' ', '-')));
        b.setAccessibleText("Write " + format.name());
        Ui.tip(b, format.why());
        b.setOnAction(e -> export(format));
        return b;
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

    private void export(PartFormat format) {
        if (part().isEmpty() || !desk.hasPart()) {
            complain("There is no finished part to write yet.");
            return;
        }
        Path target;
        try {
            target = Path.of(folder.getText().strip());
        } catch (java.nio.file.InvalidPathException e) {
            complain("“" + folder.getText() + "” is not a folder name; choose another.");
            return;
        }
        complain("");
        Case c = desk.looked().orElseThrow();
        String mark = mark();
        // What is written is what is asked for now, not a drawing that an edit has overtaken.
        desk.engine().work(() -> write(c, mark, format, target), told -> {
            if (told.bad()) {
                complain(told.text());
            } else {
                desk.workshop().setPreference("export folder", target.toString());
                desk.say(told.text());
            }
        });
    }

    private Desk.Notice write(Case c, String mark, PartFormat format, Path target) {
        try {
            List<Item> items = Item.of(desk.engine().now(c).get(MeshesFact.MESHES).pieces());
            List<Path> written = PartExport.write(new Parcel(items, c.part(), c.upgrade().name(), mark), format, target);
            return new Desk.Notice("Written: " + String.join(", ", written.stream().map(Path::toString).toList()), false);
        } catch (FileFault e) {
            return new Desk.Notice(e.getMessage(), true);
        }
    }

}
