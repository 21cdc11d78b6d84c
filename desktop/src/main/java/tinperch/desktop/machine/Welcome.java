package tinperch.desktop.machine;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Begin;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Ui;

/** What an empty workshop shows. */
public final class Welcome extends VBox implements View {
    public Welcome(Desk desk) {
        super(14);
        getStyleClass().add("welcome");
        setAlignment(Pos.CENTER_LEFT);
        Button add = Ui.id(Ui.button("Add your first machine", "mdi2p-plus", () -> Begin.machine(desk)), "welcome-add");
        add.getStyleClass().add("accent");
        getChildren().addAll(Ui.label("An empty workshop", "title"),
                Ui.text("Begin with the machine that troubles you: what it is, how large a part it can print, whether it is in "
                        + "one piece. Then start an upgrade, read the holes it has to meet with your calipers, and shape the "
                        + "part around them.", "lead"),
                add);
    }

    @Override
    public void refresh() {
        // Nothing here changes.
    }
}
