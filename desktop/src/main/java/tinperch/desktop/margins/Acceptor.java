package tinperch.desktop.margins;

import java.time.LocalDate;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import tinperch.check.Finding;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.judge.Acceptance;

/** Lives with a finding for a reason, or has it open again. */
final class Acceptor extends HBox {
    private final Desk desk;
    private final Finding finding;
    private final Button begin;

    Acceptor(Desk desk, Finding f) {
        super(4);
        this.desk = desk;
        finding = f;
        begin = f.accepted().isEmpty() ? Ui.id(Ui.button("live with it", null, this::ask), "accept-" + f.id())
                : Ui.id(Ui.button("open it again", null, () -> desk.editPart("open “" + f.what() + "” again", p -> p.notAccepting(f.id()))), "reopen-" + f.id());
        begin.getStyleClass().add("link");
        Ui.tip(begin, f.accepted().isEmpty() ? "It stays in view as accepted, with your reason, and comes up again when it gets worse" : "It counts again");
        getChildren().add(begin);
    }

    private void ask() {
        TextField reason = Ui.id(new TextField(), "accept-reason-" + finding.id());
        reason.setPromptText("why it is all right");
        reason.setPrefColumnCount(17);
        reason.setOnAction(e -> {
            if (!reason.getText().isBlank()) {
                // The finding as it is by now may be another than the one this row was made for.
                Finding now = desk.assessmentProperty().get().findings().stream().filter(f -> f.id().equals(finding.id())).findFirst().orElse(finding);
                desk.editPart("live with “" + now.what() + "”", p -> p.accepting(Acceptance.accept(now, reason.getText().strip(), LocalDate.now())));
            }
        });
        reason.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                getChildren().setAll(begin);
                begin.requestFocus();
                e.consume();
            }
        });
        getChildren().setAll(reason);
        reason.requestFocus();
    }
}
