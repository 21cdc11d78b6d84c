package tinperch.desktop.machine;

import javafx.scene.Node;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Scroller;

/** A page as wide as the window that scrolls when it is longer. */
final class MachinePage extends Scroller implements View {
    private final Node content;

    private MachinePage(Node content) {
        this.content = content;
        Column page = new Column(14, content);
        page.getStyleClass().add("page");
        setContent(page);
    }

    static MachinePage scrolling(Node content) {
        return new MachinePage(content);
    }

    @Override
    public void refresh() {
        if (content instanceof View v) {
            v.refresh();
        }
    }
}
