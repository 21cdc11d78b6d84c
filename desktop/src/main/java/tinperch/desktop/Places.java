package tinperch.desktop;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/**
 * The place one is at, and the machines' sheets one was at lately: those stay in the window, put away, so that coming back
 * to one is quick.
 */
public final class Places extends StackPane {
    /** A property of what is not looked at; it is neither laid out nor refreshed. A style class would have it styled anew. */
    public static final String PUT_AWAY = "tinperch put away";
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

    private static void putAway(Node n, boolean away) {
        n.setVisible(!away);
        n.setManaged(!away);
        n.getProperties().put(PUT_AWAY, away);
    }
}
