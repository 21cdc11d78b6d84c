package tinperch.desktop.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.workshop.Workshop;
import tinperch.workshop.share.SharedFile;
import tinperch.workshop.share.Sharing;
import tinperch.workshop.store.DataFolder;
import tinperch.workshop.store.WorkshopStore;

/** Puts what was shared beside what is in your workshop. */
@CommandLine.Command(name = "unpack", mixinStandardHelpOptions = true, description = "Puts what a file holds into your workshop, beside what is there.")
public final class UnpackCommand implements Callable<Integer> {
    @CommandLine.Parameters(paramLabel = "FILE", description = "the file to read")
    private Path file;

    @CommandLine.Option(names = "--onto", description = "put its upgrades onto this machine of yours (its name); they ask for its readings")
    private String onto;

    @Override
    public Integer call() throws IOException {
        SharedFile.Opened o = SharedFile.read(file);
        o.problems().forEach(p -> System.out.println("! " + p));
        try (Workshop w = new Workshop(WorkshopStore.open(DataFolder.path().resolve("workshop.db")))) {
            if (w.isReadOnly()) {
                throw new IOException(w.notice().orElse("The workshop is read-only."));
            }
            o.meshes().forEach((id, bytes) -> w.keep(new MeshBlob(id, bytes)));
            if (onto == null) {
                w.edit("unpack " + file.getFileName(), s -> Sharing.with(s, o.state()));
            } else {
                Machine m = w.state().machines().stream().filter(x -> x.name().equals(onto)).findFirst()
                        .orElseThrow(() -> new IOException("No machine of your workshop is called “" + onto + "”."));
                w.edit("unpack " + file.getFileName(), s -> Sharing.onto(s, o.state(), m));
            }
        }
        System.out.println(o.state().machines().size() + " machines, " + o.state().upgrades().size() + " upgrades, " + o.state().revisions().size() + " revisions read"
                + (onto == null ? "" : "; the upgrades now belong to " + onto));
        return o.problems().isEmpty() ? 0 : 3;
    }
}
