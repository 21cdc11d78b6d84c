package tinperch.desktop;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tinperch.desktop.cli.Commands;
import tinperch.desktop.cli.WindowCommand;

/** Where everything starts. Not a JavaFX Application itself, so that it runs from a plain class path. */
public final class Main {
    private Main() {}

    /** The window is opened without the command line's machinery, which takes longer to load than the workshop. */
    public static void main(String[] args) {
        // Whatever the system's letters are: files of commands are read by others.
        System.setOut(new PrintStream(new FileOutputStream(FileDescriptor.out), true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(new FileOutputStream(FileDescriptor.err), true, StandardCharsets.UTF_8));
        List<String> typed = args.length == 0 ? List.of("open") : List.of(args);
        if (typed.equals(List.of("open")) || typed.equals(List.of("demo")) || typed.equals(List.of("demo", "--fresh"))) {
            WindowCommand.open(null, typed.get(0).equals("demo"), typed.size() > 1);
            System.exit(0);
        }
        System.exit(Commands.run(typed));
    }
}
