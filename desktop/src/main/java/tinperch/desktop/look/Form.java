package tinperch.desktop.look;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;

/** Labels on the left, what is typed or chosen on the right, complaints across both beneath. */
public final class Form extends GridPane {
    private static final double ROW_GAP = 5;

    private int rows;

    /** @param editorWidth of the right column, pixels */
    public Form(double editorWidth) {
        setHgap(8);
        ColumnConstraints label = new ColumnConstraints();
        label.setHgrow(Priority.ALWAYS);
        getColumnConstraints().addAll(label, new ColumnConstraints(editorWidth));
    }

    /** A row of any editor. */
    public <T extends Node> T row(String label, String hint, T editor) {
        Label l = Ui.label(label, "field-label");
        if (!hint.isEmpty()) {
            Ui.tip(l, hint);
        }
        addRow(rows, l, editor);
        // Rows of complaints that are not said take no room, so the gap belongs to the rows themselves.
        GridPane.setMargin(editor, new Insets(ROW_GAP, 0, 0, 0));
        GridPane.setValignment(l, VPos.BASELINE);
        GridPane.setValignment(editor, VPos.BASELINE);
        rows++;
        return editor;
    }

    /** A row of a field that takes its text on Enter or when left. */
    public CommitField field(String id, String label, String hint, String text, Function<String, Optional<String>> commit) {
        CommitField f = row(label, hint, new CommitField(id, text, commit));
        add(f.complaint(), 0, rows++, 2, 1);
        return f;
    }

    /**
     * A row of one choice out of several.
     *
     * @param now the one chosen; null when none is
     * @param chosen told another choice
     */
    public <T> ComboBox<T> choice(String id, String label, String hint, List<T> options, T now, Consumer<T> chosen) {
        ComboBox<T> c = row(label, hint, choice(id, options, now, chosen));
        c.setMaxWidth(Double.MAX_VALUE);
        return c;
    }

    /** One choice out of several, outside a form. */
    public static <T> ComboBox<T> choice(String id, List<T> options, T now, Consumer<T> chosen) {
        ComboBox<T> c = Ui.id(new ComboBox<>(), id);
        c.getItems().setAll(options);
        c.setValue(now);
        c.setOnAction(e -> {
            if (c.getValue() != null) {
                chosen.accept(c.getValue());
            }
        });
        return c;
    }
}
