package tinperch.desktop.look;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Control;

/**
 * Gives new controls their skins just before the toolkit styles a frame. Left to that frame, the skins' own new nodes ask for
 * another one, in which the whole window is painted once more though nothing in it has changed.
 */
public final class EarlySkins {
    private EarlySkins() {}

    /** Does so for every frame of a scene. */
    public static void in(Scene scene) {
        scene.addPreLayoutPulseListener(() -> give(scene.getRoot()));
    }

    private static void give(Parent parent) {
        List<Node> children = parent.getChildrenUnmodifiable();
        for (int i = 0; i < children.size(); i++) {
            Node n = children.get(i);
            // What is only hidden is styled with the frame all the same; whole pages put away are waited for until somebody comes to them.
            if (!n.isVisible() && Ui.isPutAway(n)) {
                continue;
            }
            if (n instanceof Control c && c.getSkin() == null) {
                c.applyCss();
            }
            if (n instanceof Parent p) {
                give(p);
            }
        }
    }
}
