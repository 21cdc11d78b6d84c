package tinperch.desktop.station;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
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
import tinperch.workshop.WorkshopState;
import tinperch.workshop.export.Item;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartExport;
import tinperch.workshop.export.PartFormat;
import tinperch.workshop.export.PartFormats;
import tinperch.workshop.share.ShareFolder;
import tinperch.workshop.store.StoreFault;

/** Writing the part into files. */
final class WritePanel extends PrintPanel {
    private static final double NAME_WIDTH = 78;
    private final TextField folder = Ui.id(new TextField(), "export-folder");
    private final List<Button> formats;
    private final TextField licence = Ui.id(new TextField(), "licence");
    private final Button share = Ui.whole(Ui.id(new Button("Share folder"), "share-folder"));

    WritePanel(Desk desk, String upgradeId) {
        super(desk, upgradeId, "Write the file", "export-complaint");
        folder.setText(desk.workshop().preference("export folder").orElse(System.getProperty("user.home")));
        HBox.setHgrow(folder, Priority.ALWAYS);
        Button choose = Ui.whole(Ui.button("Choose…", null, this::chooseFolder));
        formats = PartFormats.ALL.stream().map(this::button).toList();
        licence.setText(desk.workshop().preference("licence line").orElse(""));
        licence.setPromptText("what others may do with it, in a line");
        HBox.setHgrow(licence, Priority.ALWAYS);
        share.setOnAction(e -> target().ifPresent(this::share));
        Ui.tip(share, "A folder with the design, files to print, STEP, a drawing with its parts list, and this line");
        FlowPane print = new FlowPane(6, 6);
        FlowPane more = new FlowPane(6, 6);
        for (int i = 0; i < formats.size(); i++) {
            (PartFormats.ALL.get(i).isForPrinting() ? print : more).getChildren().add(formats.get(i));
        }
        rows(row(named("Into folder"), folder, choose), row(named("To print"), print),
                row(named("For others"), more), row(named("Licence"), licence, share));
    }

    @Override
    void refresh() {
        formats.forEach(b -> b.setDisable(part().isEmpty()));
        share.setDisable(part().isEmpty());
    }

    private static Label named(String text) {
        Label l = Ui.label(text, "field-label");
        l.setMinWidth(NAME_WIDTH);
        return l;
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

    /** The folder that is typed; empty, and said, where there is nothing to write or nowhere to write it. */
    private Optional<Path> target() {
        if (part().isEmpty() || !desk.hasPart()) {
            complain("There is no finished part to write yet.");
            return Optional.empty();
        }
        try {
            Path target = Path.of(folder.getText().strip());
            complain("");
            return Optional.of(target);
        } catch (java.nio.file.InvalidPathException e) {
            complain("“" + folder.getText() + "” is not a folder name; choose another.");
            return Optional.empty();
        }
    }

    private void export(PartFormat format) {
        target().ifPresent(target -> {
            Case c = desk.looked().orElseThrow();
            String mark = mark();
            write(target, items -> "Written: " + String.join(", ", PartExport.write(Parcel.of(c, items, mark), format, target).stream().map(Path::toString).toList()), c);
        });
    }

    private void share(Path target) {
        Case c = desk.looked().orElseThrow();
        String mark = mark();
        String line = licence.getText();
        WorkshopState state = desk.state();
        desk.workshop().setPreference("licence line", line.strip());
        write(target, items -> "To be shared: " + ShareFolder.write(state, c, items, mark, line, desk.workshop()::meshBytes, target), c);
    }

    /** Writes something of the pieces; answers what to say of it. */
    private interface Writing {
        String of(List<Item> items) throws FileFault;
    }

    /** What is written is what is asked for now, not a drawing that an edit has overtaken. */
    private void write(Path target, Writing writing, Case c) {
        desk.engine().work(() -> {
            try {
                return new Desk.Notice(writing.of(Item.of(desk.engine().now(c).get(MeshesFact.MESHES).pieces(), c)), false);
            } catch (FileFault | StoreFault e) {
                return new Desk.Notice(e.getMessage(), true);
            }
        }, told -> {
            if (told.bad()) {
                complain(told.text());
            } else {
                desk.workshop().setPreference("export folder", target.toString());
                desk.say(told.text());
            }
        });
    }
}
