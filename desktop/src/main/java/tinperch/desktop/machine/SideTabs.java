package tinperch.desktop.machine;

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
        getChildren().add(content);
        boolean first = getChildren().size() == 2;
        b.setSelected(first);
        Ui.see(content, first);
    }

    /** Brings something into view. */
    void show(Node content) {
        for (Node n : getChildren()) {
            if (n != row) {
                Ui.see(n, n == content);
                ((ToggleButton) n.getProperties().get(TAB)).setSelected(n == content);
            }
        }
        shown.accept(content);
    }
}
