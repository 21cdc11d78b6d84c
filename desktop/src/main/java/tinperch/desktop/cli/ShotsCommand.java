package tinperch.desktop.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine;

/** Drives the real interface on the demo data and writes a picture of every main view. */
@CommandLine.Command(name = "shots", mixinStandardHelpOptions = true,
        description = "Writes pictures of the main views of the demo workshop.")
public final class ShotsCommand implements Callable<Integer> {
    @CommandLine.Option(names = "--out", defaultValue = "docs/screenshots", description = "folder to write into")
    private Path out;

    @CommandLine.Option(names = "--size", defaultValue = "1280x800", description = "window size, WxH")
    private String size;

    @CommandLine.Option(names = "--only", description = "only views whose name contains this")
    private String only;

    @CommandLine.Option(names = "--dark", description = "all views in the dark theme")
    private boolean dark;

    @CommandLine.Option(names = "--long-names", description = "a long name in every field")
    private boolean longNames;

    @CommandLine.Option(names = "--all", description = "closer looks too, not only the main views")
    private boolean all;

    @Override
    public Integer call() {
        String[] wh = size.split("x");
        return tinperch.desktop.shots.Shots.run(out, Integer.parseInt(wh[0]), Integer.parseInt(wh[1]),
                only == null ? "" : only, dark, longNames, all);
    }
}
