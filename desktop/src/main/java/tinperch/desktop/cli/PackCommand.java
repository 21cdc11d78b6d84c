package tinperch.desktop.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.share.SharedFile;
import tinperch.workshop.share.Sharing;

/** Writes a workshop, a machine or an upgrade as one open file. */
@CommandLine.Command(name = "pack", mixinStandardHelpOptions = true, description = "Writes the workshop, one machine or one upgrade as one open file.")
public final class PackCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private DemoOption workshop = new DemoOption();

    @CommandLine.Parameters(paramLabel = "FILE", description = "the file to write")
    private Path file;

    @CommandLine.Option(names = "--machine", description = "only this machine (its name)")
    private String machine;

    @CommandLine.Option(names = "--upgrade", description = "only this upgrade (its name)")
    private String upgrade;

    @Override
    public Integer call() throws IOException {
        return workshop.look(seen -> {
            WorkshopState s = seen.state();
            if (machine != null) {
                s = Sharing.ofMachine(s, s.machines().stream().filter(m -> m.name().equals(machine)).findFirst()
                        .orElseThrow(() -> new IOException("No machine is called “" + machine + "”.")).id());
            } else if (upgrade != null) {
                s = Sharing.ofUpgrade(s, s.upgrades().stream().filter(u -> u.name().equals(upgrade)).findFirst()
                        .orElseThrow(() -> new IOException("No upgrade is called “" + upgrade + "”.")).id());
            }
            SharedFile.write(s, seen.meshes(), file);
            System.out.println(file + ": " + s.machines().size() + " machines, " + s.upgrades().size() + " upgrades, " + s.revisions().size() + " revisions");
            return 0;
        });
    }
}
