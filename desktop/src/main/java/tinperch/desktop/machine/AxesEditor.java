package tinperch.desktop.machine;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** How a machine moves: the way of each axis, where and in which order it homes, and what rides on which axes. */
final class AxesEditor extends Column {
    private static final List<Choice<Boolean>> ENDS = List.of(new Choice<>(false, "lower end"), new Choice<>(true, "upper end"));

    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final GridPane axes = new GridPane();
    private final GridPane groups = new GridPane();
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "axes-complaint");

    /** @param edit makes an edit of the surroundings or answers why not */
    AxesEditor(BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit) {
        super(8);
        this.edit = edit;
        for (GridPane g : List.of(axes, groups)) {
            g.setHgap(8);
            g.setVgap(4);
        }
        getChildren().addAll(axes, groups, complaint);
    }

    private void make(String label, UnaryOperator<Surroundings> change) {
        complain(edit.apply(label, change).orElse(""));
    }

    private void complain(String why) {
        complaint.setText(why);
        Ui.see(complaint, !why.isEmpty());
    }

    void refresh(Surroundings now) {
        complain("");
        axes.getChildren().clear();
        axes.addRow(0, Ui.whole(Ui.label("Axis", "column")), Ui.label("grows", "column"), Ui.label("homes at its", "column"),
                Ui.label("as number", "column"));
        int row = 1;
        for (Axis a : now.axes()) {
            ComboBox<Choice<Vec3>> way = choice("axis-" + a.name() + "-way", Ways.ALL, Ways.of(a.direction()), chosen ->
                    make("way of " + a.name(), s -> s.with(new Axis(a.name(), chosen, a.fromMm(), a.toMm(), a.homeAtTop(),
                            a.homingOrder()))));
            ComboBox<Choice<Boolean>> end = choice("axis-" + a.name() + "-home", ENDS, ENDS.get(a.homeAtTop() ? 1 : 0), chosen -> make("home of " + a.name(), s -> s.with(new Axis(a.name(),
                            a.direction(), a.fromMm(), a.toMm(), chosen, a.homingOrder()))));
            CommitField order = new CommitField("axis-" + a.name() + "-order", String.valueOf(a.homingOrder()), typed -> {
                if (!typed.strip().matches("[1-9]")) {
                    return Optional.of("A number from 1 to 9.");
                }
                return edit.apply("homing order of " + a.name(), s -> s.with(new Axis(a.name(), a.direction(), a.fromMm(), a.toMm(),
                        a.homeAtTop(), Integer.parseInt(typed.strip()))));
            });
            order.setMaxWidth(44);
            Button gone = Ui.id(Ui.button("remove", null, () -> make("remove axis " + a.name(), s -> s.withoutAxis(a.name()))),
                    "axis-" + a.name() + "-remove");
            axes.addRow(row++, Ui.label(a.name(), "strong"), way, end, order, Ui.whole(gone));
        }
        CommitField fresh = fresh("new-axis", "new axis, u say", typed -> edit.apply("add axis " + typed, s -> {
            if (s.axis(typed).isPresent()) {
                throw new tinperch.machine.space.SpaceProblem("There is an axis " + typed + " already.");
            }
            return s.with(new Axis(typed, Vec3.X, 0, 200, false, s.axes().size() + 1));
        }));
        axes.add(fresh, 0, row, 2, 1);
        groups.getChildren().clear();
        groups.addRow(0, Ui.label("What moves together", "column"), Ui.label("rides on", "column"));
        row = 1;
        for (Group g : now.groups()) {
            CommitField on = new CommitField("group-" + g.name() + "-axes", String.join(" ", g.axes()), typed -> edit.apply(
                    "axes of " + g.name(), s -> s.with(new Group(g.name(), words(typed)))));
            on.setMaxWidth(130);
            Button gone = Ui.id(Ui.button("remove", null, () -> make("remove group " + g.name(), s -> s.withoutGroup(g.name()))),
                    "group-" + g.name() + "-remove");
            groups.addRow(row++, Ui.label(g.name(), "strong"), on, gone);
        }
        groups.add(fresh("new-group", "new group and its axes: tool x z", typed -> {
            List<String> w = words(typed);
            return edit.apply("add group", s -> s.with(new Group(w.get(0), w.subList(1, w.size()))));
        }), 0, row, 2, 1);
    }

    private static List<String> words(String typed) {
        return Arrays.stream(typed.strip().split("[\\s,]+")).toList();
    }

    private static CommitField fresh(String id, String prompt, java.util.function.Function<String, Optional<String>> add) {
        CommitField f = new CommitField(id, "", typed -> typed.isBlank() ? Optional.empty() : add.apply(typed.strip()));
        f.field().setPromptText(prompt);
        f.setMaxWidth(240);
        return f;
    }

    private static <T> ComboBox<Choice<T>> choice(String id, List<Choice<T>> all, Choice<T> now, java.util.function.Consumer<T> chosen) {
        ComboBox<Choice<T>> box = Ui.id(new ComboBox<>(), id);
        box.getItems().setAll(all);
        box.setValue(now);
        box.valueProperty().addListener((o, was, is) -> {
            if (is != null && !is.equals(now)) {
                chosen.accept(is.value());
            }
        });
        return box;
    }
}
