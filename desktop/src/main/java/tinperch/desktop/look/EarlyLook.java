package tinperch.desktop.look;

import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;

/**
 * Reads the sheets of styles, loads the icons and makes the first skin of each usual control while the thread of the interface has
 * nothing to do but wait for the workshop: all that is asked for with the first frame anyway, half a second of it.
 */
public final class EarlyLook {
    private EarlyLook() {}

    /** Does so, on the thread of the interface. Nothing of it is shown. */
    public static void once() {
        ListView<String> list = new ListView<>();
        list.getItems().add("one");
        TextField field = new TextField("40.0");
        field.setPromptText("mm");
        VBox all = new VBox(new Button("Undo", Ui.icon("mdi2u-undo")), new MenuButton("Menu", Ui.icon("mdi2m-menu")), Ui.label("trail", "trail"),
                Ui.text("text", "complaint"), field, list, new CheckBox("on"), new ToggleButton("top"), new Hyperlink("more"), new Slider(),
                new ScrollPane(new VBox(new TextField("1"))));
        Scene scene = new Scene(all, 400, 800);
        new Theme().applyTo(scene);
        Parent root = scene.getRoot();
        root.applyCss();
        root.layout();
    }
}
