package tinperch.desktop.look;

import javafx.scene.control.Label;
import tinperch.check.Severity;

/** Stop, Look, Can't tell or Fine: a word with a shape, never colour alone. */
public final class SeverityBadge extends Label {
    public SeverityBadge(Severity severity) {
        super(severity.label(), Ui.icon(switch (severity) {
            case STOP -> "mdi2o-octagon";
            case LOOK -> "mdi2e-eye-outline";
            case CANT_TELL -> "mdi2h-help-circle-outline";
            case FINE -> "mdi2c-check";
        }));
        setMinWidth(USE_PREF_SIZE);
        getStyleClass().addAll("word", "word-" + severity.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
    }
}
