package tinperch.desktop.machine;

import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.frame.UsualBody;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.QuantityException;

/** What is done with one neighbour, a new one or the one chosen: put there, changed, copied, mirrored, taken away. */
final class NeighbourForm extends Column {
    private final Supplier<Machine> machine;
    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final Runnable unchoose;
    private final Button usual = Ui.id(Ui.button("", null, this::usual), "neighbour-usual");
    private final ToggleButton with = Ui.id(new ToggleButton("as…"), "neighbour-with");
    private final NeighbourFields fields;
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "neighbour-complaint");
    private final Button put = Ui.id(Ui.button("Add it", "mdi2p-plus", this::put), "neighbour-put");
    private final Button copy = Ui.id(Ui.button("Copy", null, this::copy), "neighbour-copy");
    private final Button mirror = Ui.id(Ui.button("Mirror", null, this::mirror), "neighbour-mirror");
    private final Button remove = Ui.id(Ui.button("Remove", null, this::remove), "neighbour-remove");
    private Neighbour editing;

    /**
     * @param edit makes an edit under a label; answers why not, or empty
     * @param unchoose told when the one chosen is taken away
     */
    NeighbourForm(Supplier<Machine> machine, BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Runnable unchoose) {
        super(5);
        this.machine = machine;
        this.edit = edit;
        this.unchoose = unchoose;
        fields = new NeighbourFields(machine, with, usual, this::put);
        usual.getStyleClass().add("link");
        put.getStyleClass().add("accent");
        getChildren().addAll(fields, new HBox(6, put, copy, mirror, remove), complaint);
        fields.name().textProperty().addListener((o, was, is) -> offer());
        fields.name().addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER && e.isShortcutDown() && usual.isVisible()) {
                usual();
                e.consume();
            }
        });
        offer();
        Ui.tip(with, "Then point at something in the drawing: it moves as that does");
        take(null);
    }

    /** Sizes a table knows for what the name begins to say. */
    private void offer() {
        Optional<UsualBody> found = editing == null ? UsualBody.named(fields.name().getText()) : Optional.empty();
        Ui.see(usual, found.isPresent());
        found.ifPresent(u -> usual.setText(u.words() + ": take it (Ctrl+Enter)"));
    }

    private void usual() {
        UsualBody.named(fields.name().getText()).ifPresent(fields::take);
    }

    void refresh(Machine m) {
        fields.refresh(m.surroundings());
        if (editing != null) {
            take(m.surroundings().neighbour(editing.id()).orElse(null));
        }
    }

    /** Whether the next thing pointed at says what this one moves with. */
    boolean isPointing() {
        return with.isSelected();
    }

    /** It moves as another does. */
    void movesWith(Neighbour other) {
        with.setSelected(false);
        fields.movesWith(other.group());
        if (editing != null && !editing.group().equals(other.group())) {
            Neighbour next = editing.in(other.group());
            complain(edit.apply(editing.name() + " moves as " + other.name(), s -> s.with(next)).orElse(""));
        }
    }

    /** A new one, from its name on. */
    void begin() {
        take(null);
        fields.name().requestFocus();
    }

    void take(Neighbour n) {
        editing = n;
        complain("");
        put.setText(n == null ? "Add it" : "Change it");
        remove.setVisible(n != null);
        mirror.setVisible(n != null);
        copy.setVisible(n != null);
        fields.show(n);
    }

    private void put() {
        try {
            boolean fresh = editing == null;
            Neighbour made = fields.read(fresh ? BookEdit.freshId() : editing.id());
            Optional<String> why = edit.apply((fresh ? "add " : "change ") + made.name(), s -> s.with(made));
            complain(why.orElse(""));
            if (why.isEmpty() && fresh) {
                begin();
            }
        } catch (QuantityException e) {
            complain(e.getMessage());
        }
    }

    /** The same again, beside it. */
    private void copy() {
        Neighbour next = editing.again(BookEdit.freshId());
        complain(edit.apply("copy " + editing.name(), s -> s.with(next)).orElse(""));
    }

    /** The same on the other side, to be corrected by that side's own readings. */
    private void mirror() {
        Neighbour other = machine.get().surroundings().mirrored(editing, BookEdit.freshId());
        complain(edit.apply("mirror " + editing.name(), s -> s.with(other)).orElse(""));
    }

    private void remove() {
        Neighbour n = editing;
        take(null);
        unchoose.run();
        edit.apply("remove " + n.name(), s -> s.without(n.id()));
    }

    private void complain(String why) {
        complaint.setText(why);
        Ui.see(complaint, !why.isEmpty());
    }
}
