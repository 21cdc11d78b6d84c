package tinperch.desktop.look;

import javafx.scene.control.Label;
import tinperch.check.Word;

/** Stop, Look or Fine: a word with a shape, never colour alone. */
public final class WordBadge extends Label {
    public WordBadge(Word word) {
        super(word.label(), Ui.icon(switch (word) {
            case STOP -> "mdi2o-octagon";
            case LOOK -> "mdi2e-eye-outline";
            case FINE -> "mdi2c-check";
        }));
        setMinWidth(USE_PREF_SIZE);
        getStyleClass().addAll("word", "word-" + word.name().toLowerCase(java.util.Locale.ROOT));
    }
}
