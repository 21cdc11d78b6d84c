package tinperch.desktop.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import picocli.CommandLine;
import tinperch.files.model.MeshBlob;
import tinperch.upgrade.Shop;
import tinperch.workshop.KeptBases;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.store.DataFolder;
import tinperch.workshop.store.WorkshopStore;

/** Which workshop a command looks at. */
final class DemoOption {
    @CommandLine.Option(names = "--demo", description = "the demo workshop as it ships, not your own")
    boolean demo;

    /** What a command does with a workshop. */
    interface Look<T> {
        T at(WorkshopState state, Shop shop) throws IOException;
    }

    <T> T look(Look<T> look) throws IOException {
        if (demo) {
            WorkshopState state = DemoWorkshop.state();
            return look.at(state, state.shop(new KeptBases(() -> state, DemoOption::demoMesh)));
        }
        try (WorkshopStore store = WorkshopStore.open(DataFolder.path().resolve("workshop.db"))) {
            WorkshopState state = store.load();
            return look.at(state, state.shop(new KeptBases(() -> state, store::mesh)));
        }
    }

    private static Optional<byte[]> demoMesh(String id) {
        return DemoModels.blobs().stream().filter(b -> b.id().equals(id)).map(MeshBlob::bytes).findFirst();
    }
}
