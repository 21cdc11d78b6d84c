package tinperch.desktop.machine;

import java.time.Instant;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.SpaceProblem;
import tinperch.machine.space.Surroundings;
import tinperch.measure.Reading;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;

/** A field over a number on the drawing: Enter changes a size, or takes another reading of a distance; Escape leaves it. */
final class SpaceTagEditor {
    private final Pane over;
    private final Supplier<Surroundings> space;
    private final Supplier<String> chosen;
    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final Consumer<String> say;
    private final TextField field = Ui.id(new TextField(), "space-tag");

    /**
     * @param chosen id of the one whose numbers stand on the drawing
     * @param say told why a number was refused
     */
    SpaceTagEditor(Pane over, Supplier<Surroundings> space, Supplier<String> chosen, BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Consumer<String> say) {
        this.over = over;
        this.space = space;
        this.chosen = chosen;
        this.edit = edit;
        this.say = say;
        field.setManaged(false);
        field.setPrefColumnCount(6);
        field.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                close();
            }
        });
        field.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            }
        });
    }

    void open(SpaceTag tag) {
        if (!over.getChildren().contains(field)) {
            over.getChildren().add(field);
        }
        field.setText(tag.distanceId().isEmpty() ? tag.text() : "");
        field.setPromptText(tag.distanceId().isEmpty() ? "mm" : "read again");
        double w = 84;
        field.resizeRelocate(Math.max(0, Math.min(over.getWidth() - w, tag.x() - w / 2)), Math.max(0, tag.y() - 14), w, 28);
        field.setOnAction(e -> take(tag));
        field.requestFocus();
        field.selectAll();
    }

    void close() {
        if (over.getChildren().remove(field) && over.getScene() != null) {
            over.requestFocus();
        }
    }

    private void take(SpaceTag tag) {
        try {
            double mm = Quantity.parse(field.getText(), Unit.MM);
            Optional<String> why = tag.distanceId().isEmpty() ? size(tag, mm) : read(tag, mm);
            why.ifPresent(say);
            if (why.isEmpty()) {
                close();
            }
        } catch (QuantityException e) {
            say.accept(e.getMessage());
        }
    }

    private Optional<String> size(SpaceTag tag, double mm) {
        Neighbour n = space.get().neighbour(chosen.get()).orElse(null);
        if (n == null) {
            return Optional.empty();
        }
        Vec3 d = tag.along().direction();
        Vec3 next = n.size().plus(d.times(mm - tag.along().of(n.size())));
        return edit.apply("size of " + n.name(), s -> s.with(n.sized(next)));
    }

    private Optional<String> read(SpaceTag tag, double mm) {
        return edit.apply("distance " + Quantity.mm(mm), s -> s.with(s.distance(tag.distanceId()).orElseThrow(() -> new SpaceProblem("This distance is not there any more."))
                .with(new Reading(mm, Instant.now(), "calipers"))));
    }
}
