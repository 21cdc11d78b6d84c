package tinperch.desktop.machine;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.place.Doubt;
import tinperch.machine.place.Places;
import tinperch.machine.space.Along;
import tinperch.machine.space.Distance;
import tinperch.machine.space.End;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.measure.Reading;
import tinperch.measure.Spread;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/** Distances read from face to face with calipers: what they are, which of them disagree, what to read next, and a line to type one in. */
final class DistancesPanel extends Column {
    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final Supplier<Map<String, Double>> pose;
    private final Label known = Ui.text("", "faint");
    private final VBox doubts = new Column(4);
    private final VBox list = new Column(2);
    private final EndChoice from = new EndChoice("distance-from");
    private final EndChoice to = new EndChoice("distance-to");
    private final TextField reading = Ui.id(new TextField(), "distance-reading");
    private final Button put = Ui.id(Ui.button("Take it", null, this::put), "distance-put");
    private final Button remove = Ui.id(Ui.button("Remove", null, this::remove), "distance-remove");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "distance-complaint");
    private final FlowPane chips = new FlowPane(6, 4);
    private Machine machine;
    private String chosen = "";

    /**
     * @param edit makes an edit of the surroundings or answers why not
     * @param pose where the axes stand now
     */
    DistancesPanel(BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Supplier<Map<String, Double>> pose) {
        super(5);
        this.edit = edit;
        this.pose = pose;
        Ui.id(this, "distances");
        reading.setPromptText("mm");
        reading.setPrefColumnCount(6);
        reading.setOnAction(e -> put());
        put.getStyleClass().add("accent");
        from.onAlong(to::follow);
        HBox line = new HBox(6, reading, put, remove);
        line.setAlignment(Pos.CENTER_LEFT);
        GridPane ends = new GridPane();
        ends.setHgap(6);
        ends.setVgap(5);
        ends.addRow(0, Ui.whole(Ui.label("from", "faint")), from);
        ends.addRow(1, Ui.whole(Ui.label("to", "faint")), to);
        ends.addRow(2, Ui.whole(Ui.label("is", "faint")), line);
        getChildren().addAll(known, doubts, ends, chips, complaint, list);
        complain("");
    }

    void refresh(Machine m) {
        machine = m;
        Surroundings s = m.surroundings();
        Places places = m.places();
        known.setText(said(s, places));
        doubts.getChildren().setAll(places.doubts().stream().map(this::doubt).toList());
        list.getChildren().setAll(s.distances().stream().map(this::row).toList());
        from.refresh(m);
        to.refresh(m);
        if (s.distance(chosen).isEmpty()) {
            chosen = "";
        }
        put.setText(chosen.isEmpty() ? "Take it" : "Read again");
        remove.setVisible(!chosen.isEmpty());
        chips.getChildren().clear();
        s.distance(chosen).ifPresent(d -> IntStream.range(0, d.readings().size()).forEach(i -> chips.getChildren().add(chip(d, i))));
        chips.setManaged(!chips.getChildren().isEmpty());
    }

    /** A reading of the distance chosen; pressed, it is left out or taken in again. */
    private ToggleButton chip(Distance d, int i) {
        Reading r = d.readings().get(i);
        ToggleButton b = Ui.id(new ToggleButton((r.leftOut() ? "× " : "") + Quantity.fixed(r.value(), 2) + (r.note().isEmpty() ? "" : " " + r.note())), "distance-chip-" + i);
        b.setSelected(!r.leftOut());
        Ui.tip(b, (r.leftOut() ? "Left out; press to take it in again. " : "Press to leave it out. ") + "Read on " + r.at().atZone(ZoneId.systemDefault()).toLocalDate());
        b.setOnAction(e -> {
            List<Reading> next = new ArrayList<>(d.readings());
            next.set(i, r.leftOut(!r.leftOut()));
            complain(edit.apply((r.leftOut() ? "take in " : "leave out ") + Quantity.mm(r.value()), s -> s.with(d.with(next))).orElse(""));
        });
        return b;
    }

    /** Begins a distance to a neighbour somebody pointed at. */
    void aim(String neighbourId) {
        if (chosen.isEmpty() && machine != null && machine.surroundings().neighbour(neighbourId).isPresent()) {
            to.choose(neighbourId);
        }
    }

    private static String said(Surroundings s, Places places) {
        if (s.neighbours().size() < 2) {
            return "A distance goes from one thing to another: put two things in first.";
        }
        String datum = s.neighbour(s.datumId()).map(Neighbour::name).orElse("");
        String from = "All is measured from the " + datum + ", which stays. ";
        return from + places.next().map(n -> "Next, read to the " + s.neighbour(n.neighbourId()).orElseThrow().name() + " along " + n.along().name().toLowerCase(java.util.Locale.ROOT)
                + (n.settles() > 1 ? ": that settles " + n.settles() + " things at once." : ": it stands where it was drawn.")).orElse("Every place is read.");
    }

    private Label doubt(Doubt d) {
        Label l = Ui.id(Ui.text(d.words(this::words), "look"), "distance-doubt");
        l.setGraphic(Ui.icon("mdi2a-alert-outline"));
        return l;
    }

    private String words(Distance d) {
        return words(d.from(), d.along()) + " – " + words(d.to(), d.along());
    }

    private String words(End e, Along along) {
        return e.words(along, machine.surroundings().neighbour(e.neighbourId()).map(Neighbour::name).orElse("what is gone"));
    }

    private Button row(Distance d) {
        Label what = Ui.label(words(d));
        what.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(what, Priority.ALWAYS);
        Label mm = Ui.whole(Ui.label(d.spread().map(s -> Quantity.fixed(s.mean(), 2) + " ± " + Quantity.fixed(s.halfWidth(), 2)).orElse("not read"), "number"));
        Button b = Ui.id(new Button(null, new HBox(8, what, mm)), "distance-" + d.id());
        b.getStyleClass().addAll("upgrade-row", "neighbour-row");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setAccessibleText(words(d));
        Ui.tip(b, "Along " + d.along().name().toLowerCase(java.util.Locale.ROOT) + ", read " + d.readings().stream().map(r -> Quantity.plain(r.value(), Unit.MM)
                + (r.leftOut() ? " (left out)" : "")).toList() + pose(d));
        b.setOnAction(e -> take(d));
        return b;
    }

    private static String pose(Distance d) {
        return d.pose().isEmpty() ? "" : " with " + d.pose().entrySet().stream().sorted(Map.Entry.comparingByKey()).map(e -> e.getKey() + " at "
                + Quantity.plain(e.getValue(), Unit.MM)).toList();
    }

    private void take(Distance d) {
        boolean again = chosen.equals(d.id());
        chosen = again ? "" : d.id();
        if (!again) {
            from.show(d.from(), d.along());
            to.show(d.to(), d.along());
        }
        complain("");
        refresh(machine);
        reading.requestFocus();
    }

    private void put() {
        try {
            double mm = Quantity.parse(reading.getText(), Unit.MM);
            Optional<End> a = from.end();
            Optional<End> b = to.end();
            if (a.isEmpty() || b.isEmpty()) {
                complain("Say from what to what it was read.");
                return;
            }
            Along along = from.along();
            Reading r = new Reading(mm, Instant.now(), "calipers");
            Optional<Distance> same = machine.surroundings().distance(chosen).or(() -> machine.surroundings().distances().stream()
                    .filter(d -> d.along() == along && d.from().equals(a.get()) && d.to().equals(b.get()) && d.pose().equals(pose.get())).findFirst());
            Distance next = same.map(d -> d.with(r)).orElseGet(() -> new Distance(BookEdit.freshId(), along, a.get(), b.get(), List.of(r), Spread.CALIPER_MM, pose.get(), ""));
            Optional<String> why = edit.apply("distance " + Quantity.mm(mm), s -> s.with(next));
            complain(why.orElse(""));
            if (why.isEmpty()) {
                reading.clear();
                reading.requestFocus();
            }
        } catch (QuantityException e) {
            complain(e.getMessage());
        }
    }

    private void remove() {
        String id = chosen;
        chosen = "";
        edit.apply("remove a distance", s -> s.withoutDistance(id));
    }

    private void complain(String why) {
        complaint.setText(why);
        complaint.setManaged(!why.isEmpty());
    }
}
