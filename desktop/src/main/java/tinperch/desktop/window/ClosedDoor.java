package tinperch.desktop.window;

import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Shown instead of the window when the workshop cannot be opened at all. */
final class ClosedDoor extends VBox {
    ClosedDoor(String why) {
        super(16);
        setPadding(new Insets(24));
        Label text = new Label(why);
        text.setWrapText(true);
        Button close = new Button("Close");
        close.setDefaultButton(true);
        close.setOnAction(e -> getScene().getWindow().hide());
        getChildren().addAll(text, close);
    }
}
