package tinperch.desktop.look;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.WeakHashMap;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Control;

/**
 * Gives new controls their skins just before the toolkit styles a frame. Left to that frame, the skins' own new nodes ask for
 * another one, in which the whole window is painted once more though nothing in it has changed. Only what came since the frame
 * before is looked at: walking a whole window takes a millisecond of each frame.
 */
public final class EarlySkins {
    private final Scene scene;
    /** What came into the scene and has not been looked at, or lies on a page that is put away. */
    private List<Node> fresh = new ArrayList<>();
    private final Set<Parent> watched = Collections.newSetFromMap(new WeakHashMap<>());
    private final ListChangeListener<Node> onChildren = change -> {
        while (change.next()) {
            fresh.addAll(change.getAddedSubList());
        }
    };

    private EarlySkins(Scene scene) {
        this.scene = scene;
    }

    /** Does so for every frame of a scene. */
    public static void in(Scene scene) {
        EarlySkins skins = new EarlySkins(scene);
        skins.fresh.add(scene.getRoot());
        scene.rootProperty().addListener((o, was, is) -> skins.fresh.add(is));
        scene.addPreLayoutPulseListener(skins::give);
    }

    private void give() {
        List<Node> waiting = new ArrayList<>();
        while (!fresh.isEmpty()) {
            List<Node> now = fresh;
            fresh = new ArrayList<>();
            for (Node n : now) {
                if (n.getScene() != scene) {
                    // It comes again when it is put in again.
                    continue;
                }
                if (isPutAway(n)) {
                    waiting.add(n);
                } else {
                    give(n, waiting);
                }
            }
        }
        fresh.addAll(waiting);
    }

    private void give(Node n, List<Node> waiting) {
        // What is only hidden is styled with the frame all the same; whole pages put away are waited for until somebody comes to them.
        if (!n.isVisible() && Ui.isPutAway(n)) {
            waiting.add(n);
            return;
        }
        if (n instanceof Parent p && watched.add(p)) {
            p.getChildrenUnmodifiable().addListener(onChildren);
        }
        if (n instanceof Control c && c.getSkin() == null) {
            c.applyCss();
        }
        if (n instanceof Parent p) {
            List<Node> children = p.getChildrenUnmodifiable();
            for (int i = 0; i < children.size(); i++) {
                give(children.get(i), waiting);
            }
        }
    }

    /** Whether it lies on a page that is put away. */
    private static boolean isPutAway(Node n) {
        for (Node p = n; p != null; p = p.getParent()) {
            if (!p.isVisible() && Ui.isPutAway(p)) {
                return true;
            }
        }
        return false;
    }
}
