package tinperch.desktop.look;

import javafx.scene.control.Label;
import javafx.scene.layout.Region;

/** A label whose text may change many times a second: it keeps its size, so that nothing around it is laid out again. */
public final class StillLabel extends Region {
    private final Label label;

    /**
     * @param label the label itself, found by its own id
     * @param lines how many lines it has room for
     */
    public StillLabel(Label label, int lines) {
        this.label = label;
        label.setManaged(false);
        getChildren().add(label);
        setMinHeight(USE_PREF_SIZE);
        setPrefHeight(18 * lines);
    }

    @Override
    protected void layoutChildren() {
        label.resizeRelocate(0, 0, getWidth(), getHeight());
    }
}
