package tinperch.desktop.temperature;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.css.PseudoClass;
import tinperch.desktop.look.FocusKept;
import tinperch.desktop.look.Ui;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.trial.tell.Words;

/** The channels of the run that is shown: seen or not, which one is told of, and what each has at the hair line. */
final class ChannelChips extends FlowPane {
    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");

    private List<Object> last = List.of();
    private final Runnable changed;
    private final Consumer<Channel> chosen;
    private final Set<String> hidden = new HashSet<>();
    private final List<Label> values = new ArrayList<>();

    /** @param changed told when another channel is seen, {@code chosen} the one to be told of */
    ChannelChips(Runnable changed, Consumer<Channel> chosen) {
        super(14, 4);
        this.changed = changed;
        this.chosen = chosen;
        setRowValignment(javafx.geometry.VPos.CENTER);
    }

    boolean isSeen(Channel c) {
        return !hidden.contains(c.name());
    }

    void show(Run run, String chosenId) {
        List<Object> now = List.of(run.id(), run.channels().stream().map(Channel::name).toList(), chosenId);
        if (!now.equals(last)) {
            last = now;
            FocusKept.in(this, () -> fill(run, chosenId));
        }
    }

    private void fill(Run run, String chosenId) {
        getChildren().clear();
        values.clear();
        for (Channel c : run.channels()) {
            CheckBox seen = Ui.id(new CheckBox(), "seen-" + c.id());
            seen.setSelected(isSeen(c));
            seen.setAccessibleText("Show " + c.name());
            seen.setOnAction(e -> {
                if (!(seen.isSelected() ? hidden.remove(c.name()) : hidden.add(c.name()))) {
                    return;
                }
                changed.run();
            });
            Button name = Ui.id(new Button(c.name()), "channel-" + c.id());
            name.getStyleClass().add("channel-chip");
            name.pseudoClassStateChanged(HERE, c.id().equals(chosenId));
            name.setOnAction(e -> chosen.accept(c));
            Ui.tip(name, "Say what it is of, and see what there is to say of it");
            Label value = Ui.id(Ui.label("", "figure"), "value-" + c.id());
            value.setMinWidth(52);
            values.add(value);
            HBox chip = new HBox(4, seen, name, value);
            chip.setAlignment(Pos.CENTER_LEFT);
            getChildren().add(chip);
        }
    }

    /** Values at the hair line; NaN for none. */
    void values(Run run, double[] at) {
        for (int i = 0; i < values.size() && i < at.length; i++) {
            values.get(i).setText(Double.isNaN(at[i]) ? "" : run.channels().get(i).isTemperature() ? Words.celsius(at[i]) : run.channels().get(i).kind() == Channel.Kind.DUTY ? Math.round(at[i]) + " %" : String.format(java.util.Locale.ROOT, "%.2f", at[i]));
        }
    }
}
