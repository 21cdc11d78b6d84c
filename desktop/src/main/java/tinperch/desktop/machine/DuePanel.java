package tinperch.desktop.machine;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.book.Book;
import tinperch.machine.book.Due;

/** What must be redone on a machine, why, and a place to write down what came out. */
final class DuePanel extends Column implements View {
    /** A machine taken apart has many; the first ones are worked off first. */
    private static final int FIRST = 5;

    private final Desk desk;
    private final String machineId;
    private final VBox rows = new Column(8);
    private boolean whole;
    private List<Due> shown = List.of();

    DuePanel(Desk desk, String machineId) {
        super(10);
        this.desk = desk;
        this.machineId = machineId;
        getStyleClass().add("panel");
        getChildren().addAll(Ui.label("To be redone", "section"), rows);
    }

    @Override
    public void refresh() {
        Book book = desk.state().machine(machineId).orElseThrow().book();
        List<Due> due = book.due(LocalDate.now());
        if (due.equals(shown) && !rows.getChildren().isEmpty()) {
            return;
        }
        shown = due;
        rows.getChildren().clear();
        List<Due> first = whole || due.size() <= FIRST + 1 ? due : due.subList(0, FIRST);
        for (Due d : first) {
            rows.getChildren().add(row(book, d));
        }
        if (first.size() < due.size()) {
            rows.getChildren().add(Ui.id(Ui.button("Show " + (due.size() - FIRST) + " more", "mdi2c-chevron-down", () -> {
                whole = true;
                shown = List.of();
                refresh();
            }), "due-more"));
        }
        if (due.isEmpty()) {
            rows.getChildren().add(Ui.text("Nothing. When a component or a setting changes, what depends on it stands here until "
                    + "it is done or waived.", "faint"));
        }
    }

    private Node row(Book book, Due d) {
        String id = d.step().step() + (d.loadout().isEmpty() ? "" : "-" + d.loadout());
        String where = book.loadout(d.loadout()).map(l -> ", " + l.name()).orElse("");
        Label reason = Ui.text(String.join("; ", d.reasons()), "faint");
        TextField result = Ui.id(new TextField(), "due-result-" + id);
        result.setPromptText("what came out");
        Ui.tip(result, d.step().how());
        HBox.setHgrow(result, Priority.ALWAYS);
        Label complaint = Ui.id(Ui.text("", "complaint"), "due-complaint-" + id);
        complaint.setManaged(false);
        complaint.setVisible(false);
        Button done = Ui.id(Ui.whole(Ui.button("Done", "mdi2c-check", () -> settle(d, result, complaint, false))), "due-done-" + id);
        Button waive = Ui.id(Ui.whole(Ui.button("Not needed", null, () -> settle(d, result, complaint, true))), "due-waive-" + id);
        Ui.tip(done, "Writes the result into the book with today's date");
        Ui.tip(waive, "Waives the step; write the reason in the field first");
        result.setOnAction(e -> settle(d, result, complaint, false));
        VBox row = new Column(3, Ui.tip(Ui.label(d.step().label() + where, "strong"), d.step().how()), reason,
                new HBox(6, result, done, waive), complaint);
        Ui.id(row, "due-" + id);
        return row;
    }

    private void settle(Due d, TextField result, Label complaint, boolean waived) {
        Optional<String> why = BookEdit.make(desk, machineId,
                (waived ? "waive: " : "done: ") + d.step().label().toLowerCase(java.util.Locale.ROOT),
                b -> b.redo(d, BookEdit.freshId(), LocalDate.now(), BookEdit.writer(desk), result.getText(), waived));
        complaint.setText(why.orElse(""));
        complaint.setVisible(why.isPresent());
        complaint.setManaged(why.isPresent());
    }
}
