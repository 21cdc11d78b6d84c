package tinperch.desktop.cli;

import java.util.List;
import picocli.CommandLine;

/** The commands by name. */
@CommandLine.Command(name = "tinperch", mixinStandardHelpOptions = true, version = "Tin Perch 0.1.0",
        description = "Designs upgrade parts for printers and similar machines and remembers what became of them.",
        subcommands = {WindowCommand.class, ExportCommand.class, CheckCommand.class, PackCommand.class, UnpackCommand.class,
            ShotsCommand.class})
public final class Commands {
    private Commands() {}

    /** Runs what was typed; what goes wrong is said in a sentence, with exit 1. */
    public static int run(List<String> typed) {
        CommandLine line = new CommandLine(new Commands());
        line.setExecutionExceptionHandler((e, cmd, parsed) -> {
            cmd.getErr().println(e.getMessage() == null ? e.toString() : e.getMessage());
            return 1;
        });
        return line.execute(typed.toArray(String[]::new));
    }
}
