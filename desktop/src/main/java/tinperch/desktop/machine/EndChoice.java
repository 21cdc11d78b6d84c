package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.space.Along;
import tinperch.machine.space.End;
import tinperch.machine.space.Neighbour;
import tinperch.measure.sheet.HolePattern;

/** One end: a thing and which of its faces; the face says the direction too. */
final class EndChoice extends HBox {
    private record Face(Along along, End.Where where, String hole) {}

    private final ComboBox<Choice<String>> thing;
    private final ComboBox<Choice<Face>> face;
    private Runnable follow = () -> { };
    private Along only;
    private Machine machine;

    EndChoice(String id) {
        super(6);
        thing = Ui.id(new ComboBox<>(), id);
        face = Ui.id(new ComboBox<>(), id + "-face");
        thing.setMaxWidth(170);
        HBox.setHgrow(thing, Priority.ALWAYS);
        HBox.setHgrow(this, Priority.ALWAYS);
        thing.setOnAction(e -> fillFaces());
        face.setOnAction(e -> follow.run());
        getChildren().addAll(face, Ui.whole(Ui.label("of", "faint")), thing);
        setAlignment(Pos.CENTER_LEFT);
    }

    /** Tells another end of the direction chosen here. */
    void onAlong(Consumer<Along> other) {
        follow = () -> other.accept(along());
    }

    /** Offers only faces of one direction. */
    void follow(Along along) {
        only = along;
        fillFaces();
    }

    void refresh(Machine m) {
        machine = m;
        Choice.fill(thing, m.surroundings().neighbours().stream().map(n -> new Choice<>(n.id(), n.name())).toList(), Choice.in(thing, m.surroundings().datumId()));
        fillFaces();
    }

    private void fillFaces() {
        if (machine == null) {
            return;
        }
        List<Choice<Face>> all = new ArrayList<>();
        for (Along a : only == null ? List.of(Along.values()) : List.of(only)) {
            for (End.Where w : List.of(End.Where.LOW, End.Where.MIDDLE, End.Where.HIGH)) {
                all.add(new Choice<>(new Face(a, w, ""), a.word(w) + (w == End.Where.MIDDLE && only == null ? " along " + a.name().toLowerCase(Locale.ROOT) : "")));
            }
            machine.surroundings().neighbour(Choice.in(thing, "")).filter(n -> n.form() == Neighbour.Form.PLATE).ifPresent(n -> machine.sheet(n.of()).flatMap(HolePattern::of)
                    .ifPresent(p -> p.holes().stream().map(HolePattern.Hole::label).forEach(h -> all.add(new Choice<>(new Face(a, End.Where.HOLE, h), "hole " + h + (only == null ? " along " + a.name().toLowerCase(Locale.ROOT) : ""))))));
        }
        Face kept = Choice.in(face, null);
        Choice.fill(face, all, all.stream().map(Choice::value).anyMatch(v -> v.equals(kept)) ? kept : new Face(only == null ? Along.Z : only, only == null ? End.Where.HIGH : End.Where.LOW, ""));
        follow.run();
    }

    Along along() {
        Face f = Choice.in(face, null);
        return f == null ? Along.Z : f.along();
    }

    Optional<End> end() {
        Face f = Choice.in(face, null);
        String of = Choice.in(thing, "");
        return f == null || of.isEmpty() ? Optional.empty() : Optional.of(new End(of, f.where(), f.hole()));
    }

    void choose(String neighbourId) {
        Choice.fill(thing, List.copyOf(thing.getItems()), neighbourId);
        fillFaces();
    }

    void show(End end, Along along) {
        choose(end.neighbourId());
        Choice.fill(face, List.copyOf(face.getItems()), new Face(along, end.where(), end.hole()));
        follow.run();
    }
}
