package tinperch.desktop.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import tinperch.workshop.export.PartExport;

/** Writes every part of a workshop. */
@CommandLine.Command(name = "export", mixinStandardHelpOptions = true,
        description = "Writes the STL and 3MF of every part. Ends with 1 when not all of the workshop could be read.")
public final class ExportCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private DemoOption workshop = new DemoOption();

    @CommandLine.Option(names = "--out", required = true, description = "folder to write into")
    private Path out;

    @Override
    public Integer call() throws IOException {
        if (out.toString().isBlank()) {
            throw new IOException("Say a folder to write into after --out.");
        }
        List<String> problems = new ArrayList<>();
        workshop.look(seen -> {
            problems.addAll(seen.problems());
            return PartExport.writeAll(seen.state(), seen.shop(), out);
        }).forEach(System.out::println);
        problems.forEach(p -> System.err.println("! " + p));
        return problems.isEmpty() ? 0 : 1;
    }
}
