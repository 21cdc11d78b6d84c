package tinperch.desktop.look;

import java.util.List;
import javafx.scene.control.ComboBox;

/**
 * One of several things to choose from, with the word it is shown by. Two of one name are two things.
 *
 * @param value what is chosen
 */
public record Choice<T>(T value, String label) {
    @Override
    public String toString() {
        return label;
    }

    /** Offers other things in a box, and shows the one whose value is told; none when it is not among them. */
    public static <T> void fill(ComboBox<Choice<T>> box, List<Choice<T>> options, T now) {
        if (!box.getItems().equals(options)) {
            box.getItems().setAll(options);
        }
        box.setValue(options.stream().filter(o -> o.value().equals(now)).findFirst().orElse(null));
    }

    /** The value chosen in a box, or another when nothing is. */
    public static <T> T in(ComboBox<Choice<T>> box, T otherwise) {
        return box.getValue() == null ? otherwise : box.getValue().value();
    }
}
