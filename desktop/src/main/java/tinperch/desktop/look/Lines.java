package tinperch.desktop.look;

import javafx.scene.Node;
import javafx.scene.control.TextArea;

/** A field for several lines. The toolkit's own keeps a picture of what it shows, and never gives it back when the field is done with; this one keeps none. */
public final class Lines extends TextArea {
    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        Node viewport = lookup(".viewport");
        if (viewport != null && viewport.isCache()) {
            viewport.setCache(false);
        }
    }
}
