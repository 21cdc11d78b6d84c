package tinperch.desktop.temperature;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.trial.Run;
import tinperch.trial.tell.Words;
import tinperch.workshop.log.LogFault;
import tinperch.workshop.log.Typed;

/** Single readings off an instrument: what, how hot, after how long. More of them go into the run that is shown, when that was typed too. */
final class TypedPanel extends VBox {
    private final Desk desk;
    private final String machineId;
    private final Supplier<Optional<Run>> shown;
    private final java.util.function.Consumer<Run> done;
    private final VBox setting = new VBox(6);
    private final TextField what = Ui.id(new TextField(), "typed-what");
    private final TextField hot = Ui.id(new TextField(), "typed-hot");
    private final TextField after = Ui.id(new TextField(), "typed-after");
    private final Label says = Ui.id(Ui.text("", "faint"), "typed-says");

    /** @param shown the run that is shown, {@code done} told the one with the reading */
    TypedPanel(Desk desk, String machineId, Supplier<Optional<Run>> shown, java.util.function.Consumer<Run> done) {
        super(6);
        this.desk = desk;
        this.machineId = machineId;
        this.shown = shown;
        this.done = done;
        Button open = Ui.id(Ui.button("Type a reading", "mdi2p-pencil-outline", () -> {
            see(!setting.isVisible());
            what.requestFocus();
        }), "typed-open");
        Ui.tip(open, "Read off an instrument: contact 74 °C after 20 min");
        what.setPromptText("bed connector");
        hot.setPromptText("74 °C");
        after.setPromptText("20 min");
        for (TextField f : List.of(what, hot, after)) {
            f.setOnAction(e -> add());
        }
        HBox numbers = new HBox(6, hot, after);
        Button add = Ui.id(Ui.button("Write it down", null, this::add), "typed-add");
        setting.getChildren().addAll(what, numbers, add, says);
        getChildren().addAll(open, setting);
        see(false);
    }

    private void see(boolean seen) {
        setting.setVisible(seen);
        setting.setManaged(seen);
    }

    private void add() {
        if (what.getText().isBlank()) {
            says.setText("Say what was measured: bed connector, carriage, chamber.");
            return;
        }
        try {
            double c = Quantity.parse(hot.getText(), Unit.CELSIUS);
            double h = after.getText().isBlank() ? 0 : Quantity.parse(after.getText().matches("\\s*\\d+([.,]\\d+)?\\s*") ? after.getText().strip() + " min" : after.getText(), Unit.HOURS);
            if (!(c > -273.15 && c < 2000) || h < 0 || h > 10_000) {
                says.setText("No such temperature or time; nothing was written down.");
                return;
            }
            Optional<Run> to = shown.get().filter(Typed::is);
            Run run = Typed.with(desk.workshop().logs(), to, what.getText().strip(), h * 3600, c);
            desk.workshop().edit("type a reading", s -> s.machine(machineId).map(m -> s.with(to.map(t -> m.withoutRun(t.id())).orElse(m).with(run))).orElse(s));
            done.accept(run);
            hot.clear();
            after.clear();
            says.setText(Words.celsius(c) + " after " + Words.time(h * 3600) + " is written down.");
            hot.requestFocus();
        } catch (QuantityException | LogFault e) {
            says.setText(e.getMessage());
        }
    }
}
