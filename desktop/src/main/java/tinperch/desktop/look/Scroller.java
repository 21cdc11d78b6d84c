package tinperch.desktop.look;

import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Skin;

/**
 * A bare scroll pane as wide as its content may be. The toolkit's own keeps a picture of all it shows and draws the whole of it
 * anew for the smallest change in it; this one draws only what has changed.
 */
public class Scroller extends ScrollPane {
    public Scroller() {
        setFitToWidth(true);
        getStyleClass().add("bare");
    }

    public Scroller(Node content) {
        this();
        setContent(content);
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        Skin<?> skin = super.createDefaultSkin();
        Node viewport = lookup(".viewport");
        if (viewport != null) {
            viewport.setCache(false);
        }
        return skin;
    }
}
