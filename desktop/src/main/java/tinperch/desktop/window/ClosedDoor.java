package tinperch.desktop.window;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Ui;
import tinperch.workshop.store.Backups;
import tinperch.workshop.store.StoreFault;

/** Shown instead of the window when the workshop cannot be opened: why, what is safe, and what can be done. */
final class ClosedDoor extends VBox {
    private final Label text = Ui.id(new Label(), "closed-why");
    private final FlowPane ways = new FlowPane(8, 8);

    /** @param retry opens again in some way; answers why that did not go either, or null when the window is there */
    ClosedDoor(Throwable why, Ways retry) {
        super(16);
        setPadding(new Insets(24));
        text.setWrapText(true);
        getChildren().addAll(text, ways);
        say(why, retry);
    }

    /** What can be done about a workshop that does not open. */
    interface Ways {
        /** Backups of it, newest first. */
        List<Backups.Backup> backups();

        /** Opens it as it is now. */
        Throwable again();

        /** Opens it, with an empty workshop in its place. */
        Throwable begin();

        /** Puts a backup in its place and opens that. */
        Throwable backTo(Backups.Backup backup);
    }

    private void say(Throwable why, Ways retry) {
        text.setText(why.getMessage() == null ? why.toString() : why.getMessage());
        StoreFault.Kind kind = why instanceof StoreFault f ? f.kind() : StoreFault.Kind.DISK;
        List<Button> all = new ArrayList<>();
        boolean nothingThere = kind == StoreFault.Kind.EMPTY || kind == StoreFault.Kind.GONE;
        retry.backups().stream().limit(nothingThere ? 1 : 0).forEach(b -> all.add(way("closed-backup", "Go back to the newest backup", retry, () -> retry.backTo(b))));
        if (nothingThere) {
            all.add(way("closed-begin", "Begin an empty workshop", retry, retry::begin));
        } else {
            all.add(way("closed-again", "Try again", retry, retry::again));
        }
        Button close = Ui.id(new Button("Close"), "closed-close");
        close.setCancelButton(true);
        close.setOnAction(e -> getScene().getWindow().hide());
        all.add(close);
        ways.getChildren().setAll(all);
    }

    private Button way(String id, String name, Ways retry, Supplier<Throwable> go) {
        Button b = Ui.id(new Button(name), id);
        b.setOnAction(e -> {
            Throwable why = go.get();
            if (why != null) {
                say(why, retry);
            }
        });
        return b;
    }
}
