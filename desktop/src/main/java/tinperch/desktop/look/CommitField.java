package tinperch.desktop.look;

import java.util.Optional;
import java.util.function.Function;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/**
 * A field that takes its text on Enter or when left, and says beneath itself why a text was refused. Escape brings the
 * last good text back.
 */
public final class CommitField extends VBox {
    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

    private final TextField field = new TextField();
    private final Label complaint = Ui.text("", "complaint");
    private final Function<String, Optional<String>> commit;
    private String good;

    /**
     * @param id of the text field, for tests and for finding it
     * @param commit takes the text; answers why it was refused, or empty
     */
    public CommitField(String id, String text, Function<String, Optional<String>> commit) {
        this.commit = commit;
        this.good = text;
        Ui.id(field, id);
        field.setText(text);
        Ui.id(complaint, id + "-complaint");
        getStyleClass().add("commit-field");
        getChildren().addAll(field, complaint);
        complain("");
        field.setOnAction(e -> take());
        field.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                take();
            }
        });
        field.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE && (isPending() || complaint.isVisible())) {
                show(good);
                field.selectAll();
                e.consume();
            }
        });
    }

    public TextField field() {
        return field;
    }

    /** The sentence beneath the field; a form with narrow fields may put it where there is more room. */
    public Label complaint() {
        return complaint;
    }

    /** Whether something was typed that is not taken yet. */
    public boolean isPending() {
        return !field.getText().equals(good);
    }

    /** Shows a new good text, unless somebody is typing another. */
    public void refresh(String text) {
        boolean typing = field.isFocused() && isPending();
        if (!typing || text.equals(field.getText())) {
            if (!text.equals(good) || !isPending()) {
                show(text);
            }
        } else {
            good = text;
        }
    }

    /** Shows a text as good, whatever is in the field. */
    public void show(String text) {
        good = text;
        if (!field.getText().equals(text)) {
            field.setText(text);
        }
        complain("");
    }

    private void take() {
        String typed = field.getText();
        if (typed.equals(good)) {
            complain("");
            return;
        }
        String before = good;
        Optional<String> refused = commit.apply(typed);
        if (refused.isPresent()) {
            complain(refused.get());
        } else {
            complain("");
            if (good.equals(before)) {
                // The edit made no difference to the value; show the value as it is written.
                show(good);
            }
        }
    }

    private void complain(String why) {
        field.pseudoClassStateChanged(WRONG, !why.isEmpty());
        complaint.setText(why);
        complaint.setVisible(!why.isEmpty());
        complaint.setManaged(!why.isEmpty());
    }
}
