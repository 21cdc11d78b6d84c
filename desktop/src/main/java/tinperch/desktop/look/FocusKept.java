package tinperch.desktop.look;

import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/** Lets the keyboard stay where it is though what is there is made anew. */
public final class FocusKept {
    private FocusKept() {}

    private static boolean isIn(Node n, Pane pane) {
        Node at = n;
        while (at != null && at != pane) {
            at = at.getParent();
        }
        return at != null;
    }

    /** Makes the content of a pane anew; what had the keyboard in it, by its id, has it again. */
    public static void in(Pane pane, Runnable anew) {
        Node had = pane.getScene() == null ? null : pane.getScene().getFocusOwner();
        String id = isIn(had, pane) ? Ui.idOf(had) : "";
        anew.run();
        if (!id.isEmpty()) {
            Platform.runLater(() -> {
                Node now = Ui.find(pane, id);
                Node other = pane.getScene() == null ? null : pane.getScene().getFocusOwner();
                // Somebody who went on meanwhile is left where they are.
                if (now != null && (other == null || other == had || other.getScene() == null || !isIn(other, pane) && other.getParent() == null)) {
                    now.requestFocus();
                }
            });
        }
    }
}
