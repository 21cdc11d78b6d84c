package tinperch.desktop.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import picocli.CommandLine;
import tinperch.files.model.MeshBlob;
import tinperch.upgrade.Shop;
import tinperch.workshop.KeptModels;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.share.SharedFile;
import tinperch.workshop.store.DataFolder;
import tinperch.workshop.store.WorkshopStore;

/** Which workshop a command looks at. */
final class DemoOption {
    @CommandLine.Option(names = "--demo", description = "the demo workshop as it ships, not your own")
    boolean demo;

    /**
     * What a command looks at.
     *
     * @param problems what could not be read of it
     */
    record Seen(WorkshopState state, Shop shop, Function<String, Optional<byte[]>> meshes, List<String> problems) {
        static Seen of(WorkshopState state, Function<String, Optional<byte[]>> meshes, List<String> problems) {
            return new Seen(state, state.shop(new KeptModels(meshes)), meshes, problems);
        }
    }

    /** What a command does with a workshop. */
    interface Look<T> {
        T at(Seen seen) throws IOException;
    }

    <T> T look(Look<T> look) throws IOException {
        if (demo) {
            return look.at(Seen.of(DemoWorkshop.state(), DemoOption::demoMesh, List.of()));
        }
        try (WorkshopStore store = WorkshopStore.open(DataFolder.path().resolve("workshop.db"))) {
            return look.at(Seen.of(store.load(), store::mesh, store.notice().stream().toList()));
        }
    }

    /** Looks at a shared file instead, when one is given. */
    <T> T look(Path file, Look<T> look) throws IOException {
        if (file == null) {
            return look(look);
        }
        SharedFile.Opened o = SharedFile.read(file);
        return look.at(Seen.of(o.state(), id -> Optional.ofNullable(o.meshes().get(id)), o.problems()));
    }

    private static Optional<byte[]> demoMesh(String id) {
        return DemoModels.blobs().stream().filter(b -> b.id().equals(id)).map(MeshBlob::bytes).findFirst();
    }
}
