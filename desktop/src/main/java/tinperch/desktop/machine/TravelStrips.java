package tinperch.desktop.machine;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.StillLabel;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Gaps;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import tinperch.desktop.look.Theme;

/** A strip for each axis of a machine: dragging along it moves the machine. */
final class TravelStrips extends Column {
    static final int PLACES = 60;
    private final Theme theme;
    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final Runnable moved;
    private final Map<String, Double> pose = new HashMap<>();
    private final Map<String, TravelStrip> byAxis = new LinkedHashMap<>();
    private final Map<String, Label> positions = new HashMap<>();
    private final Map<String, Along> along = new HashMap<>();
    private Surroundings shown = Surroundings.NONE;
    private Gaps gaps = new Gaps(Surroundings.NONE);

    /**
     * @param edit makes an edit under a label and answers why not, or empty; null where travels are only looked at
     * @param moved told when an axis was moved
     */
    TravelStrips(Theme theme, BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Runnable moved) {
        super(4);
        this.theme = theme;
        this.edit = edit;
        this.moved = moved;
    }

    /** Where the axes stand, by their names. */
    Map<String, Double> pose() {
        return pose;
    }

    /** Puts axes elsewhere. */
    void put(Map<String, Double> mm) {
        mm.forEach((axis, at) -> shown.axis(axis).ifPresent(a -> pose.put(axis, a.within(at))));
        moved.run();
    }

    List<String> axes() {
        return List.copyOf(byAxis.keySet());
    }

    /** Takes other surroundings; strips are made anew when the axes are others. */
    void take(Surroundings next, Gaps nextGaps) {
        boolean others = !next.axes().equals(shown.axes());
        shown = next;
        gaps = nextGaps;
        if (others) {
            make(next);
        }
    }

    /** Shows where the axes stand and how the gaps between boxes are along each. */
    void show() {
        byAxis.forEach((name, strip) -> {
            strip.show(shown.axis(name).orElseThrow(), position(name), boxesAlong(name));
            positions.get(name).setText(Quantity.mm(Math.round(position(name) * 10) / 10.0));
        });
    }

    /** Shows the gaps along one axis as they were measured between shapes. */
    void show(String axis, List<OptionalDouble> measured) {
        byAxis.get(axis).show(shown.axis(axis).orElseThrow(), position(axis), measured);
    }

    /** Strips for the axes of a machine. */
    void make(Surroundings now) {
        now.home().forEach(pose::putIfAbsent);
        pose.keySet().retainAll(now.home().keySet());
        getChildren().clear();
        byAxis.clear();
        for (Axis a : now.axes()) {
            TravelStrip strip = new TravelStrip(theme, a, mm -> {
                pose.put(a.name(), mm);
                moved.run();
            });
            HBox.setHgrow(strip, Priority.ALWAYS);
            Label position = Ui.id(Ui.label("", "faint"), "position-" + a.name());
            StillLabel still = new StillLabel(position, 1);
            still.setMinWidth(66);
            still.setPrefWidth(66);
            still.setMaxHeight(18);
            byAxis.put(a.name(), strip);
            positions.put(a.name(), position);
            Label name = Ui.label(a.name(), "strong");
            name.setMinWidth(14);
            HBox row = new HBox(8, name, still, strip);
            row.setAlignment(Pos.CENTER_LEFT);
            getChildren().add(row);
            if (edit != null) {
                CommitField from = end(a.name(), false, a.fromMm());
                CommitField to = end(a.name(), true, a.toMm());
                row.getChildren().add(2, from);
                row.getChildren().add(to);
                getChildren().addAll(from.complaint(), to.complaint());
            }
        }
    }

    private CommitField end(String axis, boolean upper, double mm) {
        CommitField f = new CommitField("axis-" + axis + (upper ? "-to" : "-from"), Quantity.mm(mm), typed -> {
            try {
                double v = Quantity.parse(typed, Unit.MM);
                Axis a = shown.axis(axis).orElseThrow();
                return edit.apply("travel of " + axis, s -> s.with(new Axis(a.name(), a.direction(), upper ? a.fromMm() : v,
                        upper ? v : a.toMm(), a.homeAtTop(), a.homingOrder())));
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        });
        f.setMaxWidth(78);
        f.setMinWidth(78);
        Ui.tip(f.field(), (upper ? "Upper" : "Lower") + " end of " + axis);
        return f;
    }

    /** What a strip shows follows from where the other axes stand; while its own one moves it stays. */
    private List<OptionalDouble> boxesAlong(String axis) {
        Map<String, Double> others = new HashMap<>(pose);
        others.remove(axis);
        Along known = along.get(axis);
        if (known == null || known.gaps != gaps || !known.others.equals(others)) {
            known = new Along(gaps, others, gaps.boxesAlong(axis, pose, PLACES));
            along.put(axis, known);
        }
        return known.values;
    }

    private record Along(Gaps gaps, Map<String, Double> others, List<OptionalDouble> values) {}

    private double position(String axis) {
        Axis a = shown.axis(axis).orElseThrow();
        return a.within(pose.getOrDefault(axis, a.homeMm()));
    }
}
