package tinperch.desktop.machine;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;

/** Several things to do beside a drawing, one of them in view. */
final class SideTabs extends Column {
    /** Property of what is in a tab: the button that brings it into view. */
    static final String TAB = "tab";

    private final ToggleGroup group = new ToggleGroup();
    /** A tab that is not looked at is styled only when there is time: all at once would hold up whoever opens the page. */
    private final Deque<Node> waiting = new ArrayDeque<>();
    private final HBox row = new HBox(6);
    private Consumer<Node> shown = n -> { };

    SideTabs() {
        super(10);
        getChildren().add(row);
    }

    /** Told what has come into view. */
    void onShown(Consumer<Node> told) {
        shown = told;
    }

    /** Adds something under a name; the first is in view. */
    void add(String id, String name, Node content) {
        ToggleButton b = Ui.id(new ToggleButton(name), id);
        b.setToggleGroup(group);
        // One of them is always in view: the one pressed again stays.
        b.setOnAction(e -> show(content));
        content.getProperties().put(TAB, b);
        row.getChildren().add(b);
        boolean first = getChildren().size() == 1;
        b.setSelected(first);
        if (first) {
            getChildren().add(content);
        } else {
            waiting.add(content);
        }
    }

    /** Puts one more of those nobody has asked for yet into the window, unseen, so that it comes into view at once; answers whether there was one. */
    boolean makeNext() {
        Node next = waiting.poll();
        if (next != null) {
            getChildren().add(next);
            next.applyCss();
            Ui.see(next, false);
        }
        return next != null;
    }

    /** Whether all of them are in the window. */
    boolean isMade() {
        return waiting.isEmpty();
    }

    /** Brings something into view. */
    void show(Node content) {
        if (waiting.remove(content)) {
            getChildren().add(content);
        }
        for (Node n : getChildren()) {
            if (n != row) {
                Ui.see(n, n == content);
                ((ToggleButton) n.getProperties().get(TAB)).setSelected(n == content);
            }
        }
        shown.accept(content);
    }
}
