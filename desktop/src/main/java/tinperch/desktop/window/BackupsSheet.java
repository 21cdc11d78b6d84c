package tinperch.desktop.window;

import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.workshop.background.Crew;
import tinperch.workshop.store.Backups;
import tinperch.workshop.store.StoreFault;

/** The workshop's backups, what each has that is otherwise now, and the way back to one; going back is an edit that can be undone. */
final class BackupsSheet extends Scroller implements View {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("EEEE, d MMMM uuuu, HH:mm", Locale.ENGLISH);
    private static final int MOST_SAID = 8;

    private final Desk desk;
    private final Crew crew = new Crew("backups", Platform::runLater);
    private final VBox rows = new Column(12);
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "backup-complaint");
    private final List<Backups.Backup> all;
    private final Map<Backups.Backup, Optional<Backups.Content>> read = new HashMap<>();

    BackupsSheet(Desk desk) {
        this.desk = desk;
        all = desk.workshop().backups().list();
        Column page = new Column(14, Ui.label("Backups", "title"), Ui.text("One is made each day the workshop is opened, and one before a new version changes how it is kept; the last ten stay. "
                + "Going back is an edit like any other: undo brings back what is here now. Kept revisions made since then go with it.", "lead"), complaint, rows);
        page.getStyleClass().add("page");
        setContent(page);
        complain("");
        for (Backups.Backup b : all) {
            crew.give(() -> desk.workshop().backups().read(b), content -> {
                read.put(b, content);
                refresh();
            });
        }
    }

    private void complain(String why) {
        complaint.setText(why);
        Ui.see(complaint, !why.isEmpty());
    }

    @Override
    public void refresh() {
        rows.getChildren().setAll(all.stream().map(this::row).toList());
        if (all.isEmpty()) {
            rows.getChildren().add(Ui.text("None yet: the first is made when the workshop is opened next.", "faint"));
        }
    }

    private Node row(Backups.Backup b) {
        Optional<Backups.Content> content = read.get(b);
        List<String> differs = content == null || content.isEmpty() ? List.of() : Backups.differences(desk.state(), content.get().state());
        String words = content == null ? "Being read …" : content.isEmpty() ? "It is damaged or cannot be read; it is left where it is." : differs.isEmpty() ? "The same as now."
                : sentence(differs.subList(0, Math.min(MOST_SAID, differs.size()))) + (differs.size() > MOST_SAID ? " and " + (differs.size() - MOST_SAID) + " more" : "") + ".";
        Label what = Ui.id(Ui.text(words, "faint"), "backup-differs-" + all.indexOf(b));
        Column text = new Column(3, Ui.label(WHEN.format(b.at()), "strong"), what);
        HBox.setHgrow(text, Priority.ALWAYS);
        Button back = Ui.id(Ui.button("Go back to this", "mdi2b-backup-restore", () -> back(b, content.get())), "backup-" + all.indexOf(b));
        back.setDisable(differs.isEmpty() || desk.workshop().isReadOnly());
        Ui.tip(back, desk.workshop().isReadOnly() ? "Nothing is kept in this window; put the file in the workshop's place yourself: " + b.file() : b.file().toString());
        HBox row = new HBox(14, text, Ui.whole(back));
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("panel");
        return row;
    }

    private static String sentence(List<String> all) {
        String s = String.join("; ", all);
        return s.substring(0, 1).toUpperCase(Locale.ROOT) + s.substring(1);
    }

    private void back(Backups.Backup b, Backups.Content content) {
        try {
            content.meshes().forEach(desk.workshop()::keep);
            desk.workshop().edit("go back to " + WHEN.format(b.at()), s -> content.state());
            complain("");
        } catch (StoreFault e) {
            complain(e.getMessage());
        }
    }
}
