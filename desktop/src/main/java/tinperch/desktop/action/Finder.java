package tinperch.desktop.action;

import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import tinperch.desktop.look.Ui;

/** "What do you want to do?": a few letters find any action. */
public final class Finder {
    private final Supplier<List<Action>> actions;
    private final Popup popup = new Popup();
    private final TextField field = Ui.id(new TextField(), "finder-field");
    private final ListView<Action> list = Ui.id(new ListView<>(), "finder-list");

    public Finder(Supplier<List<Action>> actions) {
        this.actions = actions;
        field.setPromptText("What do you want to do?");
        list.setPrefSize(420, 300);
        list.setFixedCellSize(32);
        list.setCellFactory(v -> new Cell());
        list.setFocusTraversable(false);
        VBox box = new VBox(6, field, list);
        box.getStyleClass().add("finder");
        popup.getContent().add(box);
        popup.setAutoHide(true);
        field.textProperty().addListener((o, a, b) -> fill());
        field.setOnKeyPressed(e -> {
            int i = list.getSelectionModel().getSelectedIndex();
            if (e.getCode() == KeyCode.DOWN) {
                list.getSelectionModel().select(Math.min(i + 1, list.getItems().size() - 1));
                e.consume();
            } else if (e.getCode() == KeyCode.UP) {
                list.getSelectionModel().select(Math.max(0, i - 1));
                e.consume();
            } else if (e.getCode() == KeyCode.ENTER) {
                // Not consumed it would press whatever has the focus in the window below, too.
                e.consume();
                run();
            }
            list.scrollTo(Math.max(0, list.getSelectionModel().getSelectedIndex() - 4));
        });
        list.setOnMouseClicked(e -> run());
    }

    public void show(Node under) {
        field.clear();
        fill();
        Bounds b = under.localToScreen(under.getBoundsInLocal());
        popup.show(under, b.getMaxX() - 440, b.getMaxY() + 4);
        field.requestFocus();
    }

    private void fill() {
        String[] words = field.getText().toLowerCase(Locale.ROOT).strip().split("\\s+");
        list.getItems().setAll(actions.get().stream().filter(a -> a.possible().getAsBoolean() && !"find".equals(a.id()))
                .filter(a -> {
                    String name = a.name().toLowerCase(Locale.ROOT);
                    return java.util.Arrays.stream(words).allMatch(name::contains);
                }).toList());
        list.getSelectionModel().selectFirst();
    }

    private void run() {
        Action a = list.getSelectionModel().getSelectedItem();
        if (a != null) {
            popup.hide();
            a.run().run();
        }
    }

    private static final class Cell extends ListCell<Action> {
        @Override
        protected void updateItem(Action a, boolean empty) {
            super.updateItem(a, empty);
            setText(null);
            if (empty || a == null) {
                setGraphic(null);
            } else {
                Label keys = Ui.label(a.keysText(), "keys");
                setGraphic(new HBox(8, new Label(a.name()), Ui.spring(), keys));
            }
        }
    }
}
