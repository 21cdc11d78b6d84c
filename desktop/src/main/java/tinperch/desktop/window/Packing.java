package tinperch.desktop.window;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import tinperch.desktop.desk.Desk;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.share.SharedFile;
import tinperch.workshop.share.Sharing;
import tinperch.workshop.store.StoreFault;

/** The workshop, a machine or an upgrade as one open file, and such a file taken in. */
public final class Packing {
    private static final FileChooser.ExtensionFilter KIND = new FileChooser.ExtensionFilter("Workshop file (JSON, or zip with models)", "*.json", "*.zip");

    private final Desk desk;

    /** What was read, or why it was not. */
    private record Read(SharedFile.Opened opened, String fault) {}

    public Packing(Desk desk) {
        this.desk = desk;
    }

    /** Asks for a file name and writes what is given into it. */
    void pack(WorkshopState what, String name) {
        FileChooser chooser = chooser("Pack into");
        chooser.setInitialFileName(name.replaceAll("[^\\p{L}\\p{N} _-]", "-") + ".zip");
        File f = chooser.showSaveDialog(window());
        if (f != null) {
            write(what, f.toPath());
        }
    }

    /** Asks for a file and takes it in. */
    void unpack(Optional<Machine> onto) {
        File f = chooser("Unpack").showOpenDialog(window());
        if (f != null) {
            read(f.toPath(), onto);
        }
    }

    private static FileChooser chooser(String title) {
        FileChooser c = new FileChooser();
        c.setTitle(title);
        c.getExtensionFilters().add(KIND);
        return c;
    }

    private static Window window() {
        return Window.getWindows().stream().filter(Window::isFocused).findFirst().orElse(null);
    }

    /** Writes in the background; what happened is told on the desk. */
    public void write(WorkshopState what, Path file) {
        desk.engine().work(() -> {
            try {
                SharedFile.write(what, desk.workshop()::meshBytes, file);
                return new Desk.Notice("Packed: " + file, false);
            } catch (FileFault | StoreFault e) {
                return new Desk.Notice(e.getMessage(), true);
            }
        }, desk.noticeProperty()::set);
    }

    /** Reads in the background and puts it beside what is there, or its upgrades onto a machine: one edit. */
    public void read(Path file, Optional<Machine> onto) {
        desk.engine().work(() -> {
            try {
                return new Read(SharedFile.read(file), "");
            } catch (FileFault e) {
                return new Read(null, e.getMessage());
            }
        }, r -> {
            if (r.opened == null) {
                desk.warn(r.fault);
            } else {
                take(r.opened, file, onto);
            }
        });
    }

    private void take(SharedFile.Opened o, Path file, Optional<Machine> onto) {
        try {
            o.meshes().forEach((id, bytes) -> desk.workshop().keep(new MeshBlob(id, bytes)));
            desk.workshop().edit("unpack " + file.getFileName(), s -> onto.flatMap(m -> s.machine(m.id())).map(m -> Sharing.onto(s, o.state(), m))
                    .orElseGet(() -> Sharing.with(s, o.state())));
            String what = o.state().machines().size() + " machines, " + o.state().upgrades().size() + " upgrades, " + o.state().revisions().size() + " revisions read";
            if (o.problems().isEmpty()) {
                desk.say(what + onto.map(m -> "; the upgrades ask for the readings of " + m.name()).orElse("") + ".");
            } else {
                desk.warn(what + ". " + o.problems().size() + " things to look at: " + String.join(" ", o.problems().stream().limit(3).toList()));
            }
        } catch (StoreFault e) {
            desk.warn(e.getMessage());
        }
    }
}
