package tinperch.desktop;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import tinperch.desktop.look.Ui;

/**
 * The place one is at, and the machines' sheets one was at lately: those stay in the window, put away, so that coming back
 * to one is quick.
 */
final class Places extends StackPane {
    private static final int MOST = 6;

    private final Map<String, Node> kept = new LinkedHashMap<>(16, 0.75f, true);

    Places() {
        setMinSize(0, 0);
    }

    /** The sheet of a machine, made when it is not there any more. */
    Node kept(String machineId, Supplier<Node> make) {
        Node sheet = kept.computeIfAbsent(machineId, id -> make.get());
        if (kept.size() > MOST) {
            String oldest = kept.keySet().iterator().next();
            getChildren().remove(kept.remove(oldest));
        }
        return sheet;
    }

    void show(Node view) {
        getChildren().removeIf(n -> n != view && !kept.containsValue(n));
        for (Node n : getChildren()) {
            putAway(n, n != view);
        }
        if (!getChildren().contains(view)) {
            getChildren().add(view);
        }
        putAway(view, false);
    }

    /** Marked by a property: another style class would have all of the page styled anew. */
    private static void putAway(Node n, boolean away) {
        n.setVisible(!away);
        n.setManaged(!away);
        n.getProperties().put(Ui.PUT_AWAY, away);
    }
}
