package tinperch.desktop.look;

import java.nio.file.Path;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.TransferMode;

/** Files dropped on what is shown. */
public final class Dropped {
    private static final String TAKER = "tinperch dropped";

    private Dropped() {}

    /** Drops a file there, as a hand would; on the interface's thread. */
    @SuppressWarnings("unchecked")
    public static void drop(Node node, Path file) {
        ((Consumer<Path>) node.getProperties().get(TAKER)).accept(file);
    }

    /** @param taken told the first file that was dropped */
    public static void on(Node node, Consumer<Path> taken) {
        node.getProperties().put(TAKER, taken);
        node.setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
        });
        node.setOnDragDropped(e -> {
            e.getDragboard().getFiles().stream().findFirst().ifPresent(f -> taken.accept(f.toPath()));
            e.setDropCompleted(true);
        });
    }
}
