package tinperch.desktop.cli;

import java.nio.file.Path;
import picocli.CommandLine;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.store.DataFolder;
import tinperch.workshop.store.WorkshopStore;

/** Which workshop a command looks at. */
final class DemoOption {
    @CommandLine.Option(names = "--demo", description = "the demo workshop as it ships, not your own")
    boolean demo;

    WorkshopState state() {
        if (demo) {
            return DemoWorkshop.state();
        }
        Path file = DataFolder.path().resolve("workshop.db");
        try (WorkshopStore store = WorkshopStore.open(file)) {
            return store.load();
        }
    }
}
