package tinperch.desktop.cli;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.util.List;
import picocli.CommandLine;
import tinperch.workshop.store.StoreFault;

/** The commands by name. */
@CommandLine.Command(name = "tinperch", mixinStandardHelpOptions = true, version = "Tin Perch 0.1.0",
        description = "Designs upgrade parts for printers and similar machines and remembers what became of them.",
        subcommands = {WindowCommand.class, ExportCommand.class, CheckCommand.class, PackCommand.class, UnpackCommand.class,
            ShotsCommand.class})
public final class Commands {
    private static final int USAGE = 64;

    private Commands() {}

    /** What went wrong, in a sentence of its own. */
    private static String words(Exception e) {
        if (e instanceof NoSuchFileException f) {
            return "There is no file or folder “" + f.getFile() + "”.";
        }
        if (e instanceof AccessDeniedException f) {
            return "“" + f.getFile() + "” may not be read or written.";
        }
        if (e instanceof FileAlreadyExistsException f) {
            return "“" + f.getFile() + "” is there already and is no folder.";
        }
        if (e instanceof InvalidPathException f) {
            return "“" + f.getInput() + "” cannot be the name of a file here.";
        }
        boolean ours = e instanceof StoreFault || e instanceof IOException && e.getMessage() != null && e.getMessage().contains(" ");
        return ours ? e.getMessage() : "This went wrong, and it should not have: " + e + ". Nothing of yours was changed.";
    }

    /** Runs what was typed; what goes wrong is said in a sentence, with exit 1. */
    public static int run(List<String> typed) {
        CommandLine line = new CommandLine(new Commands());
        // 2 and 3 are what check answers with.
        line.getCommandSpec().exitCodeOnInvalidInput(USAGE);
        line.getSubcommands().values().forEach(c -> c.getCommandSpec().exitCodeOnInvalidInput(USAGE));
        line.setExecutionExceptionHandler((e, cmd, parsed) -> {
            cmd.getErr().println(words(e));
            return 1;
        });
        return line.execute(typed.toArray(String[]::new));
    }
}
