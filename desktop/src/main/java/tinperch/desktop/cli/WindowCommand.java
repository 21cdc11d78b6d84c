package tinperch.desktop.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import tinperch.desktop.window.TinPerchApp;
import tinperch.workshop.store.DataFolder;

/** Opens the window. */
@CommandLine.Command(name = "open", aliases = "demo", mixinStandardHelpOptions = true,
        description = "Opens the application on your workshop (open) or on the demo workshop (demo).")
public final class WindowCommand implements Callable<Integer> {
    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @CommandLine.Option(names = "--fresh", description = "with demo: set the last demo aside and start anew")
    private boolean fresh;

    @CommandLine.Option(names = "--file", description = "another workshop file")
    private Path file;

    @Override
    public Integer call() {
        open(file, spec.commandLine().getParent().getParseResult().originalArgs().contains("demo"), fresh);
        return 0;
    }

    /** @param file null for the usual one */
    public static void open(Path file, boolean demo, boolean fresh) {
        Path target = file != null ? file : DataFolder.path().resolve(demo ? "demo.db" : "workshop.db");
        TinPerchApp.launchOn(target, demo, fresh, () -> LogFile.startIn(target.toAbsolutePath().getParent()));
    }
}
