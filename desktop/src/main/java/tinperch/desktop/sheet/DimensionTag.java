package tinperch.desktop.sheet;

import java.util.Optional;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Ui;

/** A dimension's number on the drawing. With a parameter behind it, it is a button that becomes a field where it stands. */
final class DimensionTag extends VBox {
    private final Function<String, Optional<String>> commit;
    private final Button number;
    private final TextField field = new TextField();
    private final Label complaint = Ui.text("", "complaint", "tag-complaint");

    /** A number that follows from others and is only read. */
    static Label fixed(String text) {
        Label l = Ui.label(text, "dimension", "derived");
        return l;
    }

    /**
     * @param key of the parameter
     * @param commit takes what was typed; answers why not, or empty
     */
    DimensionTag(String key, String text, String tip, Function<String, Optional<String>> commit) {
        this.commit = commit;
        number = Ui.id(new Button(text), "dimension-" + key);
        number.getStyleClass().addAll("dimension", "editable");
        Ui.tip(number, tip);
        Ui.id(field, "dimension-field-" + key);
        field.setPrefWidth(74);
        field.getStyleClass().add("dimension-field");
        getChildren().add(number);
        number.setOnAction(e -> open());
        field.setOnAction(e -> take());
        field.focusedProperty().addListener((o, was, is) -> {
            if (!is && getChildren().contains(field)) {
                close();
            }
        });
        field.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                number.requestFocus();
                e.consume();
            }
        });
    }

    boolean isOpen() {
        return getChildren().contains(field);
    }

    void show(String text, String tip) {
        number.setText(text);
        Ui.tip(number, tip);
    }

    private void open() {
        field.setText(number.getText());
        fill(field);
        toFront();
        field.requestFocus();
        field.selectAll();
    }

    private void close() {
        fill(number);
    }

    /** It is not managed, so the drawing must be told to give it room. */
    private void fill(Node... nodes) {
        getChildren().setAll(nodes);
        if (getParent() != null) {
            getParent().requestLayout();
        }
    }

    private void take() {
        Optional<String> refused = commit.apply(field.getText());
        if (refused.isPresent()) {
            complaint.setText(refused.get());
            complaint.setMaxWidth(220);
            fill(field, complaint);
            toFront();
        } else {
            close();
        }
    }
}
