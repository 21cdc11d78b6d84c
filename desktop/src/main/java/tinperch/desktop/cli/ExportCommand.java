package tinperch.desktop.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import tinperch.workshop.export.PartExport;

/** Writes every part of a workshop. */
@CommandLine.Command(name = "export", mixinStandardHelpOptions = true,
        description = "Writes the STL and 3MF of every part.")
public final class ExportCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private DemoOption workshop = new DemoOption();

    @CommandLine.Option(names = "--out", required = true, description = "folder to write into")
    private Path out;

    @Override
    public Integer call() throws IOException {
        workshop.look(seen -> PartExport.writeAll(seen.state(), seen.shop(), out)).forEach(System.out::println);
        return 0;
    }
}
