package tinperch.desktop.look;

import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import org.kordamp.ikonli.javafx.FontIcon;

/** Small ready-made controls, so that all views speak with one voice. */
public final class Ui {
    /** A property of a page that is not looked at. */
    public static final String PUT_AWAY = "tinperch put away";
    private static final String ID = "tinperch id";
    private static final String TIP = "tinperch tip";
    private static final String MADE = "tinperch tooltip";

    private Ui() {}

    /** A label of one line. */
    public static Label label(String text, String... styles) {
        Label l = new Label(text);
        l.getStyleClass().addAll(styles);
        return l;
    }

    /** A label that breaks its lines. */
    public static Label text(String text, String... styles) {
        Label l = new WrapLabel(text);
        l.getStyleClass().addAll(styles);
        return l;
    }

    /** The same node, never narrower than what it says: dates, marks, numbers. */
    public static <T extends Region> T whole(T node) {
        node.setMinWidth(Region.USE_PREF_SIZE);
        return node;
    }

    /** An icon of the bundled set. */
    public static FontIcon icon(String code) {
        FontIcon icon = new FontIcon(code);
        icon.getStyleClass().add("icon");
        return icon;
    }

    /** A button; {@code icon} may be null for none. */
    public static Button button(String text, String icon, Runnable action) {
        Button b = new Button(text, icon == null ? null : icon(icon));
        b.setOnAction(e -> action.run());
        return b;
    }

    /** A sentence shown when the mouse rests on a node. The tooltip itself is made when the mouse first comes. */
    public static <T extends Node> T tip(T node, String text) {
        boolean first = node.getProperties().put(TIP, text) == null;
        node.setAccessibleHelp(text);
        if (node.getProperties().get(MADE) instanceof Tooltip made) {
            made.setText(text);
        } else if (first) {
            node.addEventHandler(MouseEvent.MOUSE_ENTERED, e -> {
                if (!node.getProperties().containsKey(MADE) && node.getProperties().containsKey(TIP)) {
                    Tooltip t = new Tooltip(String.valueOf(node.getProperties().get(TIP)));
                    t.setShowDelay(Duration.millis(350));
                    t.setWrapText(true);
                    t.setMaxWidth(360);
                    Tooltip.install(node, t);
                    node.getProperties().put(MADE, t);
                }
            });
        }
        return node;
    }

    /** Puts a page away or takes it out again; it stays in the window. Marked by a property: another style class would have all of the page styled anew. */
    public static void putAway(Node page, boolean away) {
        page.setVisible(!away);
        page.setManaged(!away);
        page.getProperties().put(PUT_AWAY, away);
    }

    /** Whether a page was put away. */
    static boolean isPutAway(Node page) {
        return page.hasProperties() && Boolean.TRUE.equals(page.getProperties().get(PUT_AWAY));
    }

    /** The same for what one comes back to less often: it lets its large pictures go meanwhile. */
    public static void putFarAway(Node place, boolean away) {
        boolean before = isPutAway(place);
        putAway(place, away);
        if (before != away) {
            pictures(place, away);
        }
    }

    private static void pictures(Node of, boolean away) {
        if (of instanceof Resting r) {
            if (away) {
                r.rest();
            } else {
                r.wake();
            }
        }
        if (of instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(n -> pictures(n, away));
        }
    }

    /** Shows a node, or takes its room away too. */
    public static void see(Node node, boolean seen) {
        node.setVisible(seen);
        node.setManaged(seen);
    }

    /** Whether neither a node nor anything it is in is put away. */
    public static boolean isSeen(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return true;
    }

    /** Takes the sentence away again. */
    public static void noTip(Node node) {
        node.getProperties().remove(TIP);
        node.setAccessibleHelp(null);
        if (node.getProperties().remove(MADE) instanceof Tooltip made) {
            Tooltip.uninstall(node, made);
        }
    }

    /** The node with a name below a root, put-away pages left out; null when there is none. */
    public static Node find(Node root, String id) {
        if (Boolean.TRUE.equals(root.getProperties().get(PUT_AWAY))) {
            return null;
        }
        if (id.equals(idOf(root))) {
            return root;
        }
        if (root instanceof Parent p) {
            for (Node c : p.getChildrenUnmodifiable()) {
                Node found = find(c, id);
                if (found != null) {
                    return found;
                }
            }
        }
        return null;
    }

    /** Takes what room is left in a row. */
    public static Region spring() {
        Region r = new Region();
        HBox.setHgrow(r, Priority.ALWAYS);
        return r;
    }

    /**
     * Names a node so that it can be found. It is no id of JavaFX's: those take part in styling, and hundreds of different ones
     * make it match every rule anew for every node.
     */
    public static <T extends Node> T id(T node, String id) {
        node.getProperties().put(ID, id);
        return node;
    }

    /** The name a node was given by {@link #id}; empty when it has none. */
    public static String idOf(Node node) {
        return node.getProperties().get(ID) instanceof String id ? id : "";
    }
}
