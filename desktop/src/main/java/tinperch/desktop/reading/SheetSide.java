package tinperch.desktop.reading;

import javafx.scene.Node;

/** What a sheet of some kind shows: its cells, and beside them its picture with what follows. */
interface SheetSide {
    Node cells();

    Node side();

    /** The field of the first cell that should be read and was not, or of the first when all were. */
    Node firstMissing();

    /** Shows the entry, which is of the same kind as the one before. */
    void refresh(Entry entry);
}
