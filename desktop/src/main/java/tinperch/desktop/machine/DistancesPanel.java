package tinperch.desktop.machine;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.desktop.reading.Instruments;
import tinperch.desktop.reading.ReadingCell;
import tinperch.machine.Machine;
import tinperch.machine.place.Doubt;
import tinperch.machine.place.Places;
import tinperch.machine.space.Along;
import tinperch.machine.space.Distance;
import tinperch.machine.space.End;
import tinperch.machine.space.Face;
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
    private final Button next = Ui.id(Ui.button("Next", null, this::proposeNext), "distance-next");
    private final Button swap = Ui.id(Ui.button("Swap its ends", null, this::swap), "distance-swap");
    private final Button remove = Ui.id(Ui.button("Remove", null, this::remove), "distance-remove");
    private final GridPane ends = new GridPane();
    private final VBox chosenBox = new Column(4);
    private final ReadingCell readings;
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "distance-complaint");
    private Machine machine;
    private String chosen = "";
    private boolean second;
    /** Whether nobody has said anything yet: then what would settle most is proposed. */
    private boolean fresh = true;

    /**
     * @param edit makes an edit of the surroundings or answers why not
     * @param pose where the axes stand now
     * @param instruments what readings are taken with
     */
    DistancesPanel(BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Supplier<Map<String, Double>> pose, Instruments instruments) {
        super(5);
        this.edit = edit;
        this.pose = pose;
        Ui.id(this, "distances");
        reading.setPromptText("mm");
        reading.setPrefColumnCount(6);
        reading.setOnAction(e -> put());
        put.getStyleClass().add("accent");
        Ui.tip(next, "The two ends whose distance would settle most");
        from.onAlong(to::follow);
        readings = new ReadingCell("distance", Unit.MM, Spread.CALIPER_MM, instruments, mm -> Optional.empty(), this::replace, is -> { });
        HBox line = new HBox(6, reading, put, next);
        line.setAlignment(Pos.CENTER_LEFT);
        ends.setHgap(6);
        ends.setVgap(5);
        ends.addRow(0, Ui.whole(Ui.label("from", "faint")), from);
        ends.addRow(1, Ui.whole(Ui.label("to", "faint")), to);
        ends.addRow(2, Ui.whole(Ui.label("is", "faint")), line);
        chosenBox.getChildren().setAll(readings, new HBox(6, swap, remove));
        getChildren().addAll(known, doubts, ends, chosenBox, complaint, list);
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
        Ui.see(next, places.next().isPresent());
        if (fresh && s.neighbours().size() > 1) {
            propose();
        }
        Ui.see(ends, chosen.isEmpty());
        Ui.see(chosenBox, !chosen.isEmpty());
        s.distance(chosen).ifPresent(d -> readings.refresh(d.readings()));
    }

    /** Proposes the reading that would settle most. */
    private void propose() {
        Surroundings s = machine.surroundings();
        machine.places().next().ifPresent(n -> {
            fresh = false;
            second = false;
            from.show(new End(s.datumId(), End.Where.HIGH), n.along());
            to.show(new End(n.neighbourId(), End.Where.LOW), n.along());
        });
    }

    private void proposeNext() {
        propose();
        reading.requestFocus();
    }

    /** Takes the ends one after the other as they are clicked on in the drawing; the lower one comes first. */
    void point(Face face) {
        chosen = "";
        Surroundings s = machine.surroundings();
        Optional<End> first = from.end();
        if (!second || first.isEmpty() || first.get().neighbourId().equals(face.neighbourId())) {
            from.show(face.end(), face.along());
            second = true;
        } else {
            Along along = from.along();
            // A face that looks elsewhere stands for the one of its thing that faces the first.
            boolean above = place(s, face.neighbourId(), along) >= place(s, first.get().neighbourId(), along);
            End other = face.along() == along ? face.end() : new End(face.neighbourId(), above ? End.Where.LOW : End.Where.HIGH);
            boolean turned = drawn(s, other, along) < drawn(s, first.get(), along);
            from.show(turned ? other : first.get(), along);
            to.show(turned ? first.get() : other, along);
            second = false;
        }
        complain("");
        refresh(machine);
        reading.requestFocus();
    }

    private double place(Surroundings s, String id, Along along) {
        return s.neighbour(id).map(n -> along.of(s.bounds(n, pose.get()).centre())).orElse(0.0);
    }

    private double drawn(Surroundings s, End e, Along along) {
        return s.neighbour(e.neighbourId()).map(n -> along.of(s.bounds(n, pose.get()).min()) + e.offsetMm(n, along, End.Holes.NONE).orElse(0.0)).orElse(0.0);
    }

    private static String said(Surroundings s, Places places) {
        if (s.neighbours().size() < 2) {
            return "A distance goes from one thing to another: put two things in first.";
        }
        String datum = s.neighbour(s.datumId()).map(Neighbour::name).orElse("");
        String from = "All is measured from the " + datum + ", which stays. ";
        return from + (places.next().map(n -> "Next, read to the " + s.neighbour(n.neighbourId()).orElseThrow().name() + " along " + n.along().name().toLowerCase(java.util.Locale.ROOT)
                + (n.settles() > 1 ? ": that settles " + n.settles() + " things at once." : ": it stands where it was drawn.")).orElse("Every place is read.")) + " Click the two faces in the drawing, then type what the calipers say.";
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
        second = false;
        complain("");
        refresh(machine);
    }

    /** What is typed, corrected, noted or left out of the one chosen. */
    private void replace(String label, List<Reading> next) {
        complain(edit.apply(label, s -> s.with(s.distance(chosen).orElseThrow().with(next))).orElse(""));
    }

    private void swap() {
        complain(edit.apply("swap the ends of a distance", s -> s.with(s.distance(chosen).orElseThrow().swapped())).orElse(""));
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
            Optional<Distance> same = machine.surroundings().distances().stream()
                    .filter(d -> d.along() == along && d.from().equals(a.get()) && d.to().equals(b.get()) && d.pose().equals(pose.get())).findFirst();
            Distance taken = same.map(d -> d.with(r)).orElseGet(() -> new Distance(BookEdit.freshId(), along, a.get(), b.get(), List.of(r), Spread.CALIPER_MM, pose.get(), ""));
            Optional<String> why = edit.apply("distance " + Quantity.mm(mm), s -> s.with(taken));
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
