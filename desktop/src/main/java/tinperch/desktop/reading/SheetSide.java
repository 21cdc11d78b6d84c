package tinperch.desktop.reading;

import java.util.Optional;
import javafx.scene.Node;

/** What a sheet of some kind shows: its cells, and beside them its picture with what follows. */
interface SheetSide {
    Node cells();

    Node side();

    /** The field of the first cell that should be read and was not; empty when all were. */
    Optional<Node> firstMissing();

    /** Shows the entry, which is of the same kind as the one before. */
    void refresh(Entry entry);
}
