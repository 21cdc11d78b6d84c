package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Group;
import tinperch.machine.space.Run;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;

/** One point of a cable or belt: where it is with all axes at zero, and what holds it. */
final class LinePoint extends HBox {
    private final Label number;
    private final TextField[] at = new TextField[3];
    private final ComboBox<Choice<String>> group = new ComboBox<>();

    /**
     * @param place null for one to be typed in
     * @param gone told when it is left out
     */
    LinePoint(int n, List<Group> groups, String holder, Vec3 place, Consumer<LinePoint> gone) {
        super(6);
        setAlignment(Pos.CENTER_LEFT);
        number = Ui.whole(Ui.label("", "faint"));
        number.setMinWidth(16);
        getChildren().add(number);
        double[] xyz = place == null ? null : new double[] {place.x(), place.y(), place.z()};
        for (int i = 0; i < 3; i++) {
            at[i] = new TextField(xyz == null ? "" : Quantity.plain(Math.round(xyz[i] * 1000) / 1000.0, Unit.MM));
            at[i].setPromptText("xyz".substring(i, i + 1));
            at[i].setPrefColumnCount(4);
            getChildren().add(at[i]);
        }
        List<Choice<String>> all = new ArrayList<>(List.of(new Choice<>("", "stands still")));
        groups.forEach(g -> all.add(new Choice<>(g.name(), g.name())));
        Choice.fill(group, all, holder);
        group.setMaxWidth(110);
        Button away = Ui.button("", "mdi2c-close", () -> gone.accept(this));
        Ui.tip(away, "Leave this point out");
        away.setAccessibleText("Leave this point out");
        getChildren().addAll(group, away);
        number(n);
    }

    /** Which point of its line it is now. */
    void number(int n) {
        number.setText(String.valueOf(n));
        for (int i = 0; i < 3; i++) {
            Ui.id(at[i], "line-at-" + n + "-" + "xyz".charAt(i));
        }
        Ui.id(group, "line-at-" + n + "-group");
    }

    /** @throws tinperch.quantity.QuantityException when a number is none */
    Run.Hold hold() {
        return new Run.Hold(Choice.in(group, ""), new Vec3(Quantity.parse(at[0].getText(), Unit.MM), Quantity.parse(at[1].getText(), Unit.MM), Quantity.parse(at[2].getText(), Unit.MM)));
    }
}
