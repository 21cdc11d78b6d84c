package tinperch.desktop.station;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import javafx.scene.control.ComboBox;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Ui;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/** Rows of a form for parameters: numbers are typed, everything else is chosen. */
final class ParamRows {
    private final Map<Param<?>, CommitField> fields = new LinkedHashMap<>();
    private final Map<Param<?>, ComboBox<String>> choices = new LinkedHashMap<>();
    private Values shown = Values.START;

    /**
     * @param prefix of the fields' names
     * @param commit takes a parameter's text; answers why not, or empty
     * @param warn told why a choice was refused
     */
    ParamRows(Form form, String prefix, List<? extends Param<?>> params, BiFunction<Param<?>, String, Optional<String>> commit, Consumer<String> warn) {
        for (Param<?> p : params) {
            if (p instanceof NumberParam) {
                CommitField f = form.field(prefix + p.key(), p.label(), p.hint(), "", typed -> commit.apply(p, typed));
                f.field().getStyleClass().add("number-field");
                fields.put(p, f);
            } else {
                List<String> options = p instanceof ChoiceParam<?> k ? k.options().stream().map(ChoiceParam.Option::label).toList() : List.of("yes", "no");
                choices.put(p, form.choice(prefix + p.key(), p.label(), p.hint(), options, null, to -> choose(p, to, commit, warn)));
            }
        }
    }

    private void choose(Param<?> p, String to, BiFunction<Param<?>, String, Optional<String>> commit, Consumer<String> warn) {
        if (!to.equals(p.show(shown))) {
            commit.apply(p, to).ifPresent(why -> {
                warn.accept(why);
                choices.get(p).setValue(p.show(shown));
            });
        }
    }

    void refresh(Values v) {
        shown = v;
        choices.forEach((p, c) -> c.setValue(p.show(v)));
        fields.forEach((p, f) -> {
            f.refresh(p.show(v));
            Ui.tip(f.field(), p.hint() + (p instanceof NumberParam n && n.unit() == Unit.MM
                    ? " · " + Quantity.inches(v.numbers().getOrDefault(p.key(), n.start())) : ""));
        });
    }

    /** Shows what holds, whatever was typed. */
    void takeBack() {
        fields.forEach((p, f) -> f.show(p.show(shown)));
    }

    /** The field of a number. */
    Optional<CommitField> field(Param<?> p) {
        return Optional.ofNullable(fields.get(p));
    }
}
