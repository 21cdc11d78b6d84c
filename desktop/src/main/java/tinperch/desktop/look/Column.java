package tinperch.desktop.look;

import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** Nodes one below the other, remembering how high they are together until one of them changes. */
public class Column extends VBox {
    private final HeightMemory min = new HeightMemory();
    private final HeightMemory pref = new HeightMemory();

    public Column(double spacing, Node... children) {
        super(spacing, children);
    }

    @Override
    protected double computeMinHeight(double width) {
        return min == null ? super.computeMinHeight(width) : min.at(width, super::computeMinHeight);
    }

    @Override
    protected double computePrefHeight(double width) {
        return pref == null ? super.computePrefHeight(width) : pref.at(width, super::computePrefHeight);
    }

    @Override
    public void requestLayout() {
        if (pref != null) {
            min.forget();
            pref.forget();
        }
        super.requestLayout();
    }
}
