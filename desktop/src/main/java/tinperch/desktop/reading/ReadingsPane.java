package tinperch.desktop.reading;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.measure.PatternSheet;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetKind;

/** Reading sheets behind tabs: one is open, new ones are chosen by picture. */
public final class ReadingsPane extends BorderPane implements View {
    private final Desk desk;
    private final String machineId;
    private final Supplier<List<Entry>> entries;
    private final FlowPane tabs = new FlowPane(6, 6);
    private final ToggleGroup group = new ToggleGroup();
    private final VBox left = new Column(8);
    private final VBox right = new Column(6);
    private final CommitField name;
    private final Button add = Ui.id(Ui.button("New sheet", "mdi2p-plus", () -> open("")), "new-sheet");
    private final Button remove = Ui.id(Ui.button("Remove sheet", null, this::remove), "remove-sheet");
    private final HBox naming;
    private final Instruments instruments;
    private List<Object> seen;
    private String key;
    private String shownKind;
    private SheetSide shown;

    /** @param entries the sheets that can be opened now */
    public ReadingsPane(Desk desk, String machineId, Supplier<List<Entry>> entries) {
        this.desk = desk;
        this.machineId = machineId;
        this.entries = entries;
        instruments = new Instruments(desk.workshop());
        key = entries.get().stream().findFirst().map(Entry::key).orElse("");
        name = new CommitField("sheet-name", "", typed -> {
            if (typed.isBlank()) {
                return Optional.of("A sheet needs a name; the old one stays.");
            }
            entry().ifPresent(e -> e.commit().accept("name of the sheet", e.sheet().named(typed.strip())));
            return Optional.empty();
        });
        name.setPrefWidth(220);
        naming = new HBox(8, Ui.label("called", "field-label"), name, Ui.spring(), remove);
        naming.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        tabs.setRowValignment(javafx.geometry.VPos.CENTER);
        left.getStyleClass().add("panel");
        right.getStyleClass().add("panel");
        left.setMinWidth(0);
        tabs.setMinWidth(0);
        tabs.maxWidthProperty().bind(left.widthProperty().subtract(30));
        right.setMinWidth(0);
        right.prefWidthProperty().bind(widthProperty().multiply(0.28));
        setCenter(left);
        setRight(right);
        BorderPane.setMargin(right, new Insets(0, 0, 0, 14));
    }

    private Optional<Entry> entry() {
        return entries.get().stream().filter(e -> e.key().equals(key)).findFirst();
    }

    private void open(String next) {
        key = next;
        seen = null;
        refresh();
    }

    /** Opens a sheet by its key and gives its first missing cell the focus. */
    public void openSheet(String sheetKey) {
        open(sheetKey);
        focusFirstMissing();
    }

    /** The first cell without a reading gets the keyboard: digits and Enter, nothing else. */
    public void focusFirstMissing() {
        javafx.application.Platform.runLater(() -> {
            if (shown != null) {
                // What scrolls takes its cells in only when it is styled.
                applyCss();
                shown.firstMissing().requestFocus();
            }
        });
    }

    private void remove() {
        entry().ifPresent(e -> {
            key = entries.get().stream().map(Entry::key).filter(k -> !k.equals(e.key())).findFirst().orElse("");
            e.remove().run();
        });
    }

    private void begin(SheetKind kind) {
        Sheet sheet = Sheet.empty(UUID.randomUUID().toString().substring(0, 13), kind);
        key = sheet.id();
        desk.workshop().edit("new sheet, " + kind.label(), s -> s.with(s.machine(machineId).orElseThrow().with(sheet)));
    }

    @Override
    public void refresh() {
        List<Entry> all = entries.get();
        if (!key.isEmpty() && entry().isEmpty()) {
            key = all.isEmpty() ? "" : all.get(0).key();
        }
        List<Object> now = List.of(key, all.stream().map(e -> List.of(e.key(), e.sheet(), e.remove() != null)).toList());
        if (now.equals(seen)) {
            return;
        }
        seen = now;
        tabs.getChildren().clear();
        boolean ofMachine = all.isEmpty() || all.get(0).remove() != null;
        for (Entry e : all) {
            if (!ofMachine && e.remove() != null) {
                ofMachine = true;
                tabs.getChildren().add(Ui.whole(Ui.label("on the machine", "field-label")));
            }
            ToggleButton t = Ui.id(new ToggleButton(e.sheet().name()), "sheet-" + e.key());
            t.setToggleGroup(group);
            t.setSelected(e.key().equals(key));
            t.setMaxWidth(160);
            t.getStyleClass().add("sheet-tab");
            Ui.tip(t, e.tip());
            t.setOnAction(x -> open(e.key()));
            tabs.getChildren().add(t);
        }
        tabs.getChildren().add(add);
        add.setDisable(key.isEmpty());
        Optional<Entry> opened = entry();
        if (opened.isEmpty()) {
            shownKind = "";
            shown = null;
            left.getChildren().setAll(tabs, chooser());
            right.getChildren().setAll(Ui.text(all.isEmpty() ? "Nothing has been measured yet. Choose what lies before you."
                    : "Choose what lies before you.", "strong"), Ui.text("Every sheet shows where to put the jaws and says what "
                            + "is still missing. Calipers that type work in every cell: digits and Enter.", "faint"));
            return;
        }
        Entry e = opened.get();
        if (!e.sheet().kind().equals(shownKind)) {
            shownKind = e.sheet().kind();
            shown = e.sheet().isPattern() ? new PatternView(desk.theme(), instruments, this::patterns)
                    : new SheetView(desk.theme(), instruments, SheetKind.of(shownKind).orElseThrow());
            right.getChildren().setAll(shown.side());
            VBox.setVgrow(shown.side(), Priority.ALWAYS);
        }
        List<Node> wanted = List.of(tabs, naming, scrolled(shown.cells()));
        // What is taken out of the window, be it to be put back, loses the keyboard.
        if (!left.getChildren().equals(wanted)) {
            left.getChildren().setAll(wanted);
        }
        name.refresh(e.sheet().name());
        remove.setVisible(e.remove() != null);
        shown.refresh(e);
    }

    private static Node scrolled(Node cells) {
        if (cells.getParent() != null && cells.getParent().getParent() != null
                && cells.getParent().getParent().getParent() instanceof Scroller known) {
            return known;
        }
        Scroller scroll = new Scroller(cells);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        return scroll;
    }

    /** The other patterns, by name. */
    private Map<String, PatternSheet> patterns() {
        Map<String, PatternSheet> all = new LinkedHashMap<>();
        for (Entry e : entries.get()) {
            if (e.sheet().isPattern() && !e.key().equals(key)) {
                all.putIfAbsent(e.sheet().name(), e.sheet().pattern());
            }
        }
        return all;
    }

    private Node chooser() {
        FlowPane all = new FlowPane(10, 10);
        for (SheetKind k : SheetKind.ALL) {
            SheetPicture p = new SheetPicture(desk.theme(), k);
            p.setPrefSize(96, 67);
            VBox card = new Column(2, p, Ui.label(k.label()));
            card.setAlignment(javafx.geometry.Pos.CENTER);
            Button b = Ui.id(new Button(null, card), "choose-" + k.kind());
            b.getStyleClass().add("sheet-card");
            b.setAccessibleText(k.label());
            Ui.tip(b, k.how());
            b.setOnAction(e -> begin(k));
            all.getChildren().add(b);
        }
        return all;
    }

    /** The sheets kept with a machine, as entries. */
    public static List<Entry> ofMachine(Desk desk, Machine m) {
        return m.sheets().stream().map(s -> new Entry(s.id(), SheetKind.of(s.kind()).map(SheetKind::label).orElse("") + " of "
                + m.name(), s, (label, next) -> desk.workshop().edit(label, w -> w.with(w.machine(m.id()).orElseThrow().with(next))),
                () -> desk.workshop().edit("remove sheet " + s.name(), w -> w.with(
                        w.machine(m.id()).orElseThrow().withoutSheet(s.id()))))).toList();
    }
}
