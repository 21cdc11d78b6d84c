package tinperch.desktop.look;

import java.nio.file.Path;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.TransferMode;

/** Files dropped on what is shown. */
public final class Dropped {
    private Dropped() {}

    /** @param taken told the first file that was dropped */
    public static void on(Node node, Consumer<Path> taken) {
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
