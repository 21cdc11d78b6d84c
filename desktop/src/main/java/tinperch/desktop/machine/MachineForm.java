package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.scene.control.ToggleButton;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/**
 * Fields that show one machine and make each change of it an undoable step. The fields may be made before it is known whose they
 * are: they stay empty until the form is aimed at a machine and refreshed.
 */
final class MachineForm {
    private final Desk desk;
    private final List<Runnable> refreshers = new ArrayList<>();
    private String machineId = "";

    MachineForm(Desk desk) {
        this.desk = desk;
    }

    Desk desk() {
        return desk;
    }

    void aim(String id) {
        machineId = id;
    }

    String machineId() {
        return machineId;
    }

    Machine machine() {
        return desk.state().machine(machineId).orElseThrow();
    }

    void edit(String label, Function<Machine, Machine> change) {
        desk.workshop().edit(label, s -> s.with(change.apply(s.machine(machineId).orElseThrow())));
    }

    /** Something to be done whenever the machine may have changed. */
    void onRefresh(Runnable look) {
        refreshers.add(look);
    }

    void refresh() {
        refreshers.forEach(Runnable::run);
    }

    CommitField text(String id, Function<Machine, String> get, String what, BiFunction<Machine, String, Machine> set,
            boolean mayBeEmpty) {
        CommitField f = new CommitField(id, "", typed -> {
            String t = typed.strip();
            if (t.isEmpty() && !mayBeEmpty) {
                return Optional.of("A machine needs a " + what + "; the old one stays.");
            }
            edit(what, m -> set.apply(m, t));
            return Optional.empty();
        });
        onRefresh(() -> f.refresh(get.apply(machine())));
        return f;
    }

    CommitField number(String id, Unit unit, double min, double max, Function<Machine, Double> get,
            BiFunction<Machine, Double, Machine> set) {
        CommitField f = new CommitField(id, "", typed -> {
            try {
                double v = Quantity.parse(typed, unit);
                if (!(v >= min && v <= max)) {
                    return Optional.of("This goes from " + Quantity.show(min, unit) + " to " + Quantity.show(max, unit)
                            + "; the old value stays.");
                }
                edit(id.replace('-', ' ') + " " + Quantity.show(v, unit), m -> set.apply(m, v));
                return Optional.empty();
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        });
        f.setMaxWidth(150);
        onRefresh(() -> f.refresh(Quantity.show(get.apply(machine()), unit)));
        return f;
    }

    ToggleButton yesNo(String id, String yes, String no, Predicate<Machine> get, BiFunction<Machine, Boolean, Machine> set) {
        ToggleButton b = Ui.id(new ToggleButton(), id);
        b.setOnAction(e -> edit(get.test(machine()) ? no : yes, m -> set.apply(m, !get.test(m))));
        onRefresh(() -> {
            b.setSelected(get.test(machine()));
            b.setText(get.test(machine()) ? yes : no);
        });
        return b;
    }
}
