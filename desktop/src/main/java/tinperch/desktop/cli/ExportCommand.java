package tinperch.desktop.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import tinperch.workshop.export.PartExport;
import tinperch.workshop.export.PartFormat;
import tinperch.workshop.export.PartFormats;

/** Writes every part of a workshop. */
@CommandLine.Command(name = "export", mixinStandardHelpOptions = true,
        description = "Writes every part, as STL and 3MF unless told otherwise. Ends with 1 when not all of the workshop could be read.")
public final class ExportCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private DemoOption workshop = new DemoOption();

    @CommandLine.Option(names = "--out", required = true, description = "folder to write into")
    private Path out;

    @CommandLine.Option(names = "--format", split = ",", paramLabel = "NAME", description = "all, or some of STL, 3MF, STEP, OBJ, DXF, SVG, Drill template")
    private List<String> formats = new ArrayList<>();

    @Override
    public Integer call() throws IOException {
        if (out.toString().isBlank()) {
            throw new IOException("Say a folder to write into after --out.");
        }
        List<PartFormat> wanted = wanted();
        List<String> problems = new ArrayList<>();
        workshop.look(seen -> {
            problems.addAll(seen.problems());
            return PartExport.writeAll(seen.state(), seen.shop(), wanted, out);
        }).forEach(System.out::println);
        problems.forEach(p -> System.err.println("! " + p));
        return problems.isEmpty() ? 0 : 1;
    }

    private List<PartFormat> wanted() throws IOException {
        if (formats.isEmpty()) {
            return PartFormats.forPrinting();
        }
        List<PartFormat> all = new ArrayList<>();
        for (String f : formats) {
            if (f.strip().equalsIgnoreCase("all")) {
                return PartFormats.ALL;
            }
            all.add(PartFormats.called(f).orElseThrow(() -> new IOException("“" + f + "” is not a format. Use all, or some of "
                    + String.join(", ", PartFormats.ALL.stream().map(PartFormat::name).toList()) + ".")));
        }
        return all;
    }
}
