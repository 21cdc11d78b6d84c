package tinperch.desktop.look;

import javafx.scene.control.Label;

/** A label that breaks its lines, never lower than its lines need, and remembers how high that is. */
final class WrapLabel extends Label {
    private final HeightMemory pref = new HeightMemory();

    WrapLabel(String text) {
        super(text);
        setWrapText(true);
        setMinHeight(USE_PREF_SIZE);
    }

    @Override
    protected double computePrefHeight(double width) {
        return pref == null ? super.computePrefHeight(width) : pref.at(width, super::computePrefHeight);
    }

    @Override
    public void requestLayout() {
        if (pref != null) {
            pref.forget();
        }
        super.requestLayout();
    }
}
