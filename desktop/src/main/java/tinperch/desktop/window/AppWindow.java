package tinperch.desktop.window;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.action.Action;
import tinperch.desktop.action.Finder;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.desktop.machine.DrawerSheet;
import tinperch.desktop.machine.Welcome;
import tinperch.desktop.shelf.Shelf;
import tinperch.desktop.station.UpgradeView;

/** The window: shelf at the left, a headline with undo and the finder, and whatever place the desk is at. */
final class AppWindow extends BorderPane {
    private final Desk desk;
    private final Label trail = Ui.id(Ui.label("", "trail"), "trail");
    private final Button undo = Ui.id(new Button("Undo", Ui.icon("mdi2u-undo")), "undo");
    private final Button redo = Ui.id(new Button("Redo", Ui.icon("mdi2r-redo")), "redo");
    private final Button find = Ui.id(new Button("Find an action", Ui.icon("mdi2m-magnify")), "find");
    private final VBox centre = new VBox();
    private final Places places;
    private final HBox noticeBar = Ui.id(new HBox(10), "notice");
    private final List<Action> actions;
    private final Finder finder;
    private Node view;
    private Object viewKey;

    AppWindow(Desk desk) {
        this.desk = desk;
        places = new Places(desk);
        actions = new Actions(desk, this::showFinder).all();
        finder = new Finder(() -> actions);
        getStyleClass().add("window");
        setLeft(new Shelf(desk));
        setCenter(centre);
        undo.setOnAction(e -> desk.workshop().undo());
        redo.setOnAction(e -> desk.workshop().redo());
        find.setOnAction(e -> showFinder());
        Ui.tip(find, "Every action by name (Ctrl+K)");
        MenuButton menu = Ui.id(new MenuButton("Menu", Ui.icon("mdi2m-menu")), "menu");
        for (Action a : actions) {
            MenuItem item = new MenuItem(a.name());
            item.setAccelerator(null);
            item.setText(a.keysText().isEmpty() ? a.name() : a.name() + "   " + a.keysText());
            item.setOnAction(e -> a.run().run());
            menu.getItems().add(item);
        }
        menu.setOnShowing(e -> {
            for (int i = 0; i < actions.size(); i++) {
                menu.getItems().get(i).setDisable(!actions.get(i).possible().getAsBoolean());
            }
        });
        trail.setMinWidth(0);
        for (javafx.scene.control.ButtonBase b : List.of(undo, redo, find, menu)) {
            b.setMinWidth(USE_PREF_SIZE);
        }
        HBox head = new HBox(8, trail, Ui.spring(), undo, redo, find, menu);
        head.getStyleClass().add("head");
        noticeBar.getStyleClass().add("notice");
        VBox.setVgrow(places, javafx.scene.layout.Priority.ALWAYS);
        centre.getChildren().addAll(head, places);
        desk.onChange(this::refresh);
        desk.noticeProperty().addListener((o, a, b) -> showNotice());
        showNotice();
        refresh();
    }

    /** Shortcuts belong to the scene; undo must win over a text field's own unless something is being typed there. */
    void attachTo(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            for (Action a : actions) {
                if (a.keys() != null && a.keys().match(e)) {
                    boolean isUndo = e.getCode() == KeyCode.Z || e.getCode() == KeyCode.Y;
                    if (isUndo && isTyping(scene.getFocusOwner())) {
                        return;
                    }
                    e.consume();
                    // Stations and pages have the same keys; one of them is possible.
                    if (a.possible().getAsBoolean()) {
                        a.run().run();
                        return;
                    }
                }
            }
        });
    }

    private static boolean isTyping(Node focused) {
        if (!(focused instanceof TextInputControl text)) {
            return false;
        }
        return text.getParent() instanceof CommitField f ? f.isPending() : !text.getText().isEmpty() && text.isUndoable();
    }

    private void showFinder() {
        finder.show(find);
    }

    private void showNotice() {
        Desk.Notice n = desk.noticeProperty().get();
        String unsaved = desk.workshop().unsaved().orElse(null);
        centre.getChildren().remove(noticeBar);
        if (n == null && unsaved == null) {
            return;
        }
        boolean bad = unsaved != null || n.bad();
        Label text = Ui.id(Ui.text(unsaved != null ? unsaved : n.text()), "notice-text");
        HBox.setHgrow(text, javafx.scene.layout.Priority.ALWAYS);
        text.setMaxWidth(Double.MAX_VALUE);
        Button away = unsaved != null ? Ui.button("Try again", "mdi2r-refresh", () -> desk.workshop().retrySave())
                : Ui.button("Put away", "mdi2c-close", () -> desk.noticeProperty().set(null));
        Ui.id(away, "notice-away");
        away.setMinWidth(USE_PREF_SIZE);
        noticeBar.getChildren().setAll(Ui.icon(bad ? "mdi2a-alert-outline" : "mdi2c-check"), text, away);
        noticeBar.getStyleClass().remove("notice-bad");
        if (bad) {
            noticeBar.getStyleClass().add("notice-bad");
        }
        centre.getChildren().add(1, noticeBar);
    }

    private void refresh() {
        showUndo();
        showNotice();
        Desk.Place place = desk.place();
        trail.setText(trailText(place));
        Object key = place instanceof Desk.Place.AtUpgrade at ? at.upgradeId() : place instanceof Desk.Place.AtMachine m ? List.of(m.machineId()) : place;
        if (!key.equals(viewKey)) {
            viewKey = key;
            if (view instanceof View old) {
                old.leave();
            }
            view = viewOf(place);
            places.show(view);
        }
        if (view instanceof View v) {
            v.refresh();
        }
        places.changed();
    }

    private Node viewOf(Desk.Place place) {
        if (place instanceof Desk.Place.AtMachine m) {
            return places.machine(m.machineId());
        }
        if (place instanceof Desk.Place.AtUpgrade u) {
            return new UpgradeView(desk, u.upgradeId());
        }
        if (place instanceof Desk.Place.AtDrawer) {
            return new DrawerSheet(desk);
        }
        if (place instanceof Desk.Place.AtBackups) {
            return new BackupsSheet(desk);
        }
        return new Welcome(desk);
    }

    private String trailText(Desk.Place place) {
        String machine = desk.machine().map(m -> m.name()).orElse("");
        if (place instanceof Desk.Place.AtUpgrade) {
            return machine + "  ›  " + desk.upgrade().map(u -> u.name()).orElse("");
        }
        return place instanceof Desk.Place.AtMachine at ? machine + (at.page() == Page.SHEET ? "" : "  ›  " + at.page().title()) : place instanceof Desk.Place.AtDrawer ? "Screw drawer"
                : place instanceof Desk.Place.AtBackups ? "Backups" : "";
    }

    private void showUndo() {
        Optional<String> u = desk.workshop().undoLabel();
        Optional<String> r = desk.workshop().redoLabel();
        undo.setDisable(u.isEmpty());
        redo.setDisable(r.isEmpty());
        Ui.tip(undo, u.map(l -> "Undo: " + l + " (Ctrl+Z)").orElse("Nothing to undo (Ctrl+Z)"));
        Ui.tip(redo, r.map(l -> "Do again: " + l + " (Ctrl+Y)").orElse("Nothing to do again (Ctrl+Y)"));
    }
}
