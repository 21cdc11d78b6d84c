package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** Takes something over from another part: its menu lists the parts that have any of it, found when it is opened. */
final class TakeOver extends MenuButton {
    private static final int MOST = 40;

    /**
     * @param from what of another part of an upgrade would come, in a word for the menu; empty when nothing would
     * @param take does it; answers why not, or empty
     */
    TakeOver(Desk desk, String id, String label, String hint, BiFunction<Upgrade, PartDesign, Optional<String>> from, BiFunction<Upgrade, PartDesign, Optional<String>> take) {
        super(label);
        Ui.id(this, id);
        Ui.tip(this, hint);
        // An empty menu would not open.
        getItems().add(new MenuItem());
        setOnShowing(e -> {
            List<MenuItem> items = new ArrayList<>();
            for (Upgrade u : desk.state().upgrades()) {
                for (PartDesign p : u.parts()) {
                    from.apply(u, p).filter(x -> items.size() < MOST).ifPresent(what -> {
                        MenuItem item = new MenuItem(p.name() + ": " + what);
                        item.setMnemonicParsing(false);
                        item.setOnAction(a -> take.apply(u, p).ifPresent(desk::warn));
                        items.add(item);
                    });
                }
            }
            if (items.isEmpty()) {
                MenuItem none = new MenuItem("No other part has any");
                none.setDisable(true);
                items.add(none);
            }
            getItems().setAll(items);
        });
    }
}
