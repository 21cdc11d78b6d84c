package tinperch.desktop.machine;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;

/** The pages of a machine side by side, each with a line of what stands there; one key or click away. */
final class PageTabs extends HBox {
    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");

    private final Map<Page, Button> tabs = new EnumMap<>(Page.class);
    private final Map<Page, Label> lines = new EnumMap<>(Page.class);

    PageTabs(Desk desk) {
        getStyleClass().add("page-tabs");
        for (Page p : Page.values()) {
            Label line = Ui.label("", "stop-state");
            VBox box = new VBox(0, Ui.label(p.title(), "stop-title"), line);
            Button b = Ui.id(new Button(null, box), "page-" + p.name().toLowerCase(Locale.ROOT));
            b.getStyleClass().add("page-tab");
            b.setAlignment(Pos.TOP_LEFT);
            b.setAccessibleText("Page " + p.title());
            b.setOnAction(e -> desk.goTo(p));
            Ui.tip(b, p.why() + " (F" + (p.ordinal() + 1) + ")");
            tabs.put(p, b);
            lines.put(p, line);
            getChildren().add(b);
        }
    }

    void refresh(Machine m, Page here) {
        for (Page p : Page.values()) {
            lines.get(p).setText(PageLines.of(p, m));
            tabs.get(p).pseudoClassStateChanged(HERE, p == here);
        }
    }
}
