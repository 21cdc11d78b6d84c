package tinperch.desktop;

import picocli.CommandLine;
import tinperch.desktop.cli.CheckCommand;
import tinperch.desktop.cli.ExportCommand;
import tinperch.desktop.cli.PackCommand;
import tinperch.desktop.cli.ShotsCommand;
import tinperch.desktop.cli.UnpackCommand;
import tinperch.desktop.cli.WindowCommand;

/** Where everything starts. Not a JavaFX Application itself, so that it runs from a plain class path. */
@CommandLine.Command(name = "tinperch", mixinStandardHelpOptions = true, version = "Tin Perch 0.1.0",
        description = "Designs upgrade parts for printers and similar machines and remembers what became of them.",
        subcommands = {WindowCommand.class, ExportCommand.class, CheckCommand.class, PackCommand.class, UnpackCommand.class,
            ShotsCommand.class})
public final class Main {
    private Main() {}

    public static void main(String[] args) {
        CommandLine line = new CommandLine(new Main());
        line.setExecutionExceptionHandler((e, cmd, parsed) -> {
            cmd.getErr().println(e.getMessage() == null ? e.toString() : e.getMessage());
            return 1;
        });
        System.exit(line.execute(args.length == 0 ? new String[] {"open"} : args));
    }
}
