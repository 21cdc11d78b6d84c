package tinperch.desktop.look;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import javafx.application.Application;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Scene;
import javafx.scene.text.Font;

/** Applies colours, type and type size to a scene. */
public final class Theme {
    private static final int SMALLEST = 11;
    private static final int LARGEST = 20;
    private static final int USUAL = 13;

    private final ObjectProperty<Palette> palette = new SimpleObjectProperty<>(Palette.LIGHT);
    private int typeSize = USUAL;
    private Scene scene;

    static {
        for (String weight : new String[] {"Regular", "Semibold", "Bold"}) {
            Font.loadFont(Theme.class.getResourceAsStream("/tinperch/desktop/fonts/Lato-" + weight + ".ttf"), USUAL);
        }
    }

    /** The colours; changes when it gets dark or light. */
    public ObjectProperty<Palette> paletteProperty() {
        return palette;
    }

    /** The colours now. */
    public Palette palette() {
        return palette.get();
    }

    /** Size of ordinary type, points. */
    public int typeSize() {
        return typeSize;
    }

    /** Sets the sheet all controls are styled by, before the first of them is made: else the toolkit reads its own first. */
    public static void standard() {
        Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
    }

    /** Dresses a scene in it, now and whenever it changes. */
    public void applyTo(Scene target) {
        scene = target;
        refresh();
    }

    /** Dark or light. */
    public void setDark(boolean dark) {
        palette.set(dark ? Palette.DARK : Palette.LIGHT);
        refresh();
    }

    /** Sets the size of the type in pixels, kept between 11 and 20. */
    public void setTypeSize(int px) {
        typeSize = Math.max(SMALLEST, Math.min(LARGEST, px));
        refresh();
    }

    private void refresh() {
        if (scene == null) {
            return;
        }
        Application.setUserAgentStylesheet((palette.get().dark() ? new PrimerDark() : new PrimerLight()).getUserAgentStylesheet());
        scene.getStylesheets().setAll(palette.get().asStylesheet(),
                Theme.class.getResource("/tinperch/desktop/css/tinperch.css").toExternalForm());
        scene.getRoot().setStyle("-fx-font-size: " + typeSize + "px;");
    }

    /** A font for what is drawn by hand. */
    public static Font font(double px) {
        return Font.font("Lato", px);
    }
}
