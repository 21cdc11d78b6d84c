package tinperch.desktop.machine;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.animation.PauseTransition;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.Duration;
import tinperch.check.Finding;
import tinperch.check.Word;
import tinperch.desktop.Actions;
import tinperch.desktop.Desk;
import tinperch.desktop.Station;
import tinperch.desktop.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.desktop.look.WordBadge;
import tinperch.desktop.reading.ReadingsPane;
import tinperch.desktop.shelf.Shelf;
import tinperch.files.FileFault;
import tinperch.files.log.HoursLog;
import tinperch.machine.Machine;
import tinperch.machine.MayPrint;
import tinperch.machine.book.HoursRun;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.upgrade.Assessor;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** A machine as it stands: its state, what is due, what it can print, its upgrades with their tightest margin, its readings, its book. */
public final class StandingSheet extends Scroller implements View {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", java.util.Locale.ENGLISH);

    private final Desk desk;
    private final String machineId;
    private final List<Runnable> refreshers = new ArrayList<>();
    private final VBox upgrades = new Column(8);
    private final GridPane lately = new GridPane();
    private final FlowPane materials = new FlowPane(6, 6);
    private final VBox against = new Column(2);
    private final Label caution = Ui.text("", "look");
    private ReadingsPane readings;
    private Column past;
    private WorkshopState shownState;
    private final Column page;
    private final Deque<Runnable> later = new ArrayDeque<>();
    private final PauseTransition next = new PauseTransition(Duration.millis(1));
    private final DuePanel due;
    private BookPanel book;
    private SurroundingsPanel space;
    private ModelsPanel models;

    public StandingSheet(Desk desk, String machineId) {
        this.desk = desk;
        this.machineId = machineId;
        VBox facts = new Column(10, Ui.label("The machine", "section"), factsGrid());
        facts.getStyleClass().add("panel");
        Button start = Ui.id(Ui.button("Start an upgrade", "mdi2p-plus",
                () -> desk.machine().ifPresent(m -> Actions.addUpgrade(desk, m))), "start-upgrade");
        start.getStyleClass().add("accent");
        Ui.tip(start, "Start an upgrade of this machine (Ctrl+N)");
        due = new DuePanel(desk, machineId);
        VBox work = new Column(10, new HBox(8, Ui.label("Upgrades", "section"), Ui.spring(), start), upgrades);
        work.getStyleClass().add("panel");
        GridPane columns = new GridPane();
        columns.setHgap(14);
        ColumnConstraints left = new ColumnConstraints();
        left.setPercentWidth(44);
        ColumnConstraints right = new ColumnConstraints();
        right.setPercentWidth(56);
        columns.getColumnConstraints().addAll(left, right);
        VBox doing = new Column(14);
        columns.addRow(0, facts, doing);
        GridPane.setValignment(facts, VPos.TOP);
        GridPane.setValignment(doing, VPos.TOP);
        HBox ways = new HBox(14, Ui.label("On this sheet:", "faint"), way("Surroundings and motion", () -> space), way("Readings",
                () -> readings), way("Models", () -> models), way("The book", () -> book), way("Lately", () -> past));
        ways.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        page = new Column(14, new Column(2, heading(), ways), caution, columns);
        page.getStyleClass().add("page");
        // What lies below what is seen first is made in the frames after.
        later.add(() -> {
            doing.getChildren().addAll(due, work);
            due.refresh();
            showUpgrades();
        });
        later.add(() -> add(space = new SurroundingsPanel(desk, machineId)));
        later.add(() -> {
            readings = new ReadingsPane(desk, machineId, () -> desk.state().machine(machineId)
                    .map(m -> ReadingsPane.ofMachine(desk, m)).orElse(List.of()), false);
            Ui.id(readings, "readings");
            add(readings);
        });
        later.add(() -> add(models = new ModelsPanel(desk, machineId, id -> {
            space.show(id);
            scrollTo(space);
        })));
        later.add(() -> add(book = new BookPanel(desk, machineId)));
        later.add(() -> {
            past = new Column(8, Ui.label("Lately on this machine", "section"), lately);
            past.getStyleClass().add("panel");
            add(past);
        });
        next.setOnFinished(e -> {
            if (getScene() == null || getScene().getWindow() == null || !getScene().getWindow().isShowing()) {
                return;
            }
            makeNext();
            if (!later.isEmpty()) {
                next.playFromStart();
            }
        });
        setContent(page);
    }

    private void makeNext() {
        if (!later.isEmpty()) {
            later.poll().run();
        }
    }

    private void add(Node panel) {
        page.getChildren().add(panel);
        show(panel);
    }

    /** A panel that knows how to look again. */
    private void show(Node panel) {
        if (panel instanceof View v) {
            v.refresh();
        } else if (panel == past) {
            showLately();
        }
    }

    /** Scrolls to a panel of the sheet. */
    private Node way(String name, Supplier<Node> panel) {
        Hyperlink link = Ui.id(new Hyperlink(name), "way-" + name.split(" ")[name.startsWith("The") ? 1 : 0].toLowerCase(
                java.util.Locale.ROOT));
        link.setOnAction(e -> {
            makeAll();
            applyCss();
            layout();
            scrollTo(panel.get());
        });
        return link;
    }

    /** Whether all of its panels are there. */
    public boolean isComplete() {
        return later.isEmpty();
    }

    /** Makes whatever has not been made yet. */
    private void makeAll() {
        while (!later.isEmpty()) {
            makeNext();
        }
    }

    private void scrollTo(Node panel) {
        double room = getContent().getLayoutBounds().getHeight() - getViewportBounds().getHeight();
        setVvalue(room <= 0 ? 0 : Math.min(1, (panel.getBoundsInParent().getMinY() - 6) / room));
    }

    /** Brings a downloaded model in, as if its file had been dropped here. */
    public void bringIn(Path file) {
        makeAll();
        models.bringIn(file);
    }

    @Override
    public void leave() {
        next.stop();
        if (space != null) {
            space.leave();
        }
    }

    private Machine machine() {
        return desk.state().machine(machineId).orElseThrow();
    }

    private void edit(String label, Function<Machine, Machine> change) {
        desk.workshop().edit(label, s -> s.with(change.apply(s.machine(machineId).orElseThrow())));
    }

    private Node heading() {
        CommitField name = textField("machine-name", m -> m.name(), "name", Machine::withName, false);
        name.getStyleClass().add("title-field");
        HBox.setHgrow(name, Priority.ALWAYS);
        ComboBox<Machine.State> state = Ui.id(new ComboBox<>(), "machine-state");
        state.getItems().setAll(Machine.State.values());
        state.setButtonCell(new StateCell());
        state.setCellFactory(v -> new StateCell());
        state.setOnAction(e -> {
            if (state.getValue() != null && state.getValue() != machine().state()) {
                edit("state " + state.getValue().label(), m -> m.withState(state.getValue(), m.stateNote()));
            }
        });
        refreshers.add(() -> state.setValue(machine().state()));
        ComboBox<String> upgrade = Ui.id(new ComboBox<>(), "in-pieces-for");
        upgrade.setMaxWidth(200);
        upgrade.setOnAction(e -> desk.state().upgradesOf(machineId).stream().filter(u -> u.name().equals(upgrade.getValue()))
                .findFirst().filter(u -> !u.id().equals(machine().inPiecesFor()))
                .ifPresent(u -> edit("in pieces for " + u.name(), m -> m.inPiecesFor(u.id()))));
        Label forWhat = Ui.whole(Ui.label("for", "field-label"));
        refreshers.add(() -> {
            boolean apart = machine().state() == Machine.State.IN_PIECES && !desk.state().upgradesOf(machineId).isEmpty();
            for (Node n : List.of(upgrade, forWhat)) {
                n.setVisible(apart);
                n.setManaged(apart);
            }
            List<String> names = desk.state().upgradesOf(machineId).stream().map(Upgrade::name).toList();
            if (!upgrade.getItems().equals(names)) {
                upgrade.getItems().setAll(names);
            }
            upgrade.setPromptText("an upgrade");
            upgrade.setValue(desk.state().upgrade(machine().inPiecesFor()).map(Upgrade::name).orElse(null));
        });
        CommitField note = textField("machine-note", Machine::stateNote, "why", (m, t) -> m.withState(m.state(), t), true);
        note.field().setPromptText("why it is in that state");
        note.setPrefWidth(330);
        HBox row = new HBox(12, name, Ui.whole(state), forWhat, upgrade, note);
        row.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        return row;
    }

    private static final class StateCell extends javafx.scene.control.ListCell<Machine.State> {
        @Override
        protected void updateItem(Machine.State s, boolean empty) {
            super.updateItem(s, empty);
            setText(empty || s == null ? null : s.label());
            setGraphic(empty || s == null ? null : Ui.icon(Shelf.icon(s)));
        }
    }

    private Node factsGrid() {
        GridPane g = new GridPane();
        g.setHgap(14);
        g.setVgap(4);
        ColumnConstraints words = new ColumnConstraints();
        words.setMinWidth(110);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        g.getColumnConstraints().addAll(words, wide);
        int row = 0;
        CommitField summary = textField("machine-summary", Machine::summary, "description", Machine::withSummary, true);
        summary.field().setPromptText("in a few words");
        put(g, row++, "What it is", summary);
        ComboBox<String> kind = Ui.id(new ComboBox<>(), "machine-kind");
        for (Machine.Kind k : Machine.Kind.values()) {
            kind.getItems().add(k.label());
        }
        kind.setOnAction(e -> {
            Machine.Kind k = Machine.Kind.values()[Math.max(0, kind.getSelectionModel().getSelectedIndex())];
            if (k != machine().kind()) {
                edit("kind " + k.label(), m -> m.withKind(k));
            }
        });
        refreshers.add(() -> kind.getSelectionModel().select(machine().kind().ordinal()));
        put(g, row++, "Kind", kind);
        put(g, row++, "Reaches x y z", spaceFields("build", Machine::buildMm, Machine::withBuild));
        put(g, row++, "Usable x y z", spaceFields("usable", Machine::usableMm, Machine::withUsable));
        putForPrinters(g, row++, "Nozzle", number("nozzle", Unit.MM, 0, 5, Machine::nozzleMm, Machine::withNozzle));
        putForPrinters(g, row++, "Hole offset", Ui.tip(number("hole-offset", Unit.MM, -1, 2, Machine::holeOffsetMm,
                Machine::withHoleOffset),
                "What is added to every hole so that it comes out right on this machine"));
        put(g, row++, "Supply", number("supply", Unit.VOLT, 0, 400, Machine::supplyV, Machine::withSupplyV));
        putForPrinters(g, row++, "Bed and walls", new HBox(6,
                yesNo("heated-bed", "bed heated", "bed not heated", Machine::heatedBed, Machine::withHeatedBed),
                yesNo("enclosed", "enclosed", "open", Machine::enclosed, Machine::withEnclosed)));
        put(g, row++, "Hours run", hours());
        VBox printing = new Column(4, materials, against);
        putForPrinters(g, row, "May print", printing);
        return g;
    }

    private ToggleButton yesNo(String id, String yes, String no, java.util.function.Predicate<Machine> get,
            BiFunction<Machine, Boolean, Machine> set) {
        ToggleButton b = Ui.id(new ToggleButton(), id);
        b.setOnAction(e -> edit(get.test(machine()) ? no : yes, m -> set.apply(m, !get.test(m))));
        refreshers.add(() -> {
            b.setSelected(get.test(machine()));
            b.setText(get.test(machine()) ? yes : no);
        });
        return b;
    }

    private Node spaceFields(String id, Function<Machine, Machine.Space> get, BiFunction<Machine, Machine.Space, Machine> set) {
        CommitField x = number(id + "-x", Unit.MM, 0, 2000, m -> get.apply(m).x(),
                (m, v) -> set.apply(m, new Machine.Space(v, get.apply(m).y(), get.apply(m).z())));
        CommitField y = number(id + "-y", Unit.MM, 0, 2000, m -> get.apply(m).y(),
                (m, v) -> set.apply(m, new Machine.Space(get.apply(m).x(), v, get.apply(m).z())));
        CommitField z = number(id + "-z", Unit.MM, 0, 2000, m -> get.apply(m).z(),
                (m, v) -> set.apply(m, new Machine.Space(get.apply(m).x(), get.apply(m).y(), v)));
        for (CommitField f : List.of(x, y, z)) {
            f.setMaxWidth(88);
        }
        Label more = Ui.text("", "look");
        Ui.id(more, id + "-doubt");
        refreshers.add(() -> {
            boolean larger = machine().usableMm().x() > machine().buildMm().x() || machine().usableMm().y() > machine().buildMm().y()
                    || machine().usableMm().z() > machine().buildMm().z();
            more.setText(larger && id.equals("usable") ? "More is usable than it can reach; one of the two is wrong." : "");
            more.setManaged(!more.getText().isEmpty());
        });
        return new Column(2, new HBox(6, x, y, z), more);
    }

    /** The counter as read last; typing another number writes it down for today. */
    private Node hours() {
        CommitField f = new CommitField("hours-run", "", typed -> {
            try {
                double v = Quantity.parse(typed, Unit.HOURS);
                return BookEdit.make(desk, machineId, "hours run " + Quantity.show(v, Unit.HOURS), b -> b.run(new HoursRun(
                        BookEdit.freshId(), LocalDate.now(), v, "typed")));
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        });
        f.setMaxWidth(110);
        Label of = Ui.label("", "faint");
        refreshers.add(() -> {
            Optional<HoursRun> h = machine().book().hoursAt(LocalDate.now());
            f.refresh(h.map(r -> Quantity.show(r.hours(), Unit.HOURS)).orElse("not known"));
            of.setText(h.map(r -> "on " + r.on().format(DAY) + (r.source().isEmpty() ? "" : ", " + r.source())).orElse(""));
        });
        Button log = Ui.whole(Ui.id(Ui.button("read a log", null, () -> {
            FileChooser chooser = new FileChooser();
            chooser.setTitle("A log with days and hours run");
            File file = chooser.showOpenDialog(getScene().getWindow());
            if (file != null) {
                readHours(file.toPath());
            }
        }), "hours-log"));
        Ui.tip(log, "A text file: on each line a day such as 2026-09-26 and, after it, the hours the counter showed");
        return new Column(2, new HBox(8, f, log), of);
    }

    /** Writes down what a log says of the hour counter. */
    public void readHours(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            List<HoursRun> counters = HoursLog.read(in).stream().map(c -> new HoursRun(BookEdit.freshId(), c.on(), c.hours(),
                    "log " + file.getFileName())).toList();
            BookEdit.make(desk, machineId, "hours from " + file.getFileName(), b -> b.runAll(counters)).ifPresentOrElse(desk::warn,
                    () -> desk.say(counters.size() == 1 ? "One day was read from the log." : counters.size() + " days were read from the log."));
        } catch (FileFault e) {
            desk.warn(e.getMessage());
        } catch (IOException e) {
            desk.warn("The log cannot be read (" + e.getMessage() + "). Nothing was changed.");
        }
    }

    /** What only makes sense for a machine that may print. */
    private void putForPrinters(GridPane g, int row, String label, Node node) {
        int before = g.getChildren().size();
        put(g, row, label, node);
        List<Node> added = List.copyOf(g.getChildren().subList(before, g.getChildren().size()));
        refreshers.add(() -> added.forEach(n -> {
            boolean wanted = machine().kind().mayPrint();
            n.setManaged(wanted && !(n instanceof Label l && l.getStyleClass().contains("complaint") && l.getText().isEmpty()));
            n.setVisible(wanted && n.isManaged());
        }));
    }

    private static void put(GridPane g, int row, String label, Node node) {
        Label l = Ui.label(label, "field-label");
        g.add(l, 0, 2 * row);
        g.add(node, 1, 2 * row);
        if (node instanceof CommitField f) {
            g.add(f.complaint(), 1, 2 * row + 1);
        }
        boolean several = node instanceof javafx.scene.layout.Pane && !(node instanceof CommitField);
        GridPane.setValignment(l, several ? VPos.TOP : VPos.BASELINE);
        GridPane.setValignment(node, several ? VPos.TOP : VPos.BASELINE);
        l.setPadding(new javafx.geometry.Insets(several ? 5 : 0, 0, 0, 0));
    }

    private CommitField textField(String id, Function<Machine, String> get, String what,
            BiFunction<Machine, String, Machine> set, boolean mayBeEmpty) {
        CommitField f = new CommitField(id, get.apply(machine()), typed -> {
            String t = typed.strip();
            if (t.isEmpty() && !mayBeEmpty) {
                return Optional.of("A machine needs a " + what + "; the old one stays.");
            }
            edit(what, m -> set.apply(m, t));
            return Optional.empty();
        });
        refreshers.add(() -> f.refresh(get.apply(machine())));
        return f;
    }

    private CommitField number(String id, Unit unit, double min, double max, Function<Machine, Double> get,
            BiFunction<Machine, Double, Machine> set) {
        CommitField f = new CommitField(id, Quantity.show(get.apply(machine()), unit), typed -> {
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
        refreshers.add(() -> f.refresh(Quantity.show(get.apply(machine()), unit)));
        return f;
    }

    @Override
    public void refresh() {
        if (!later.isEmpty()) {
            next.playFromStart();
        }
        if (shownState == desk.state()) {
            return;
        }
        shownState = desk.state();
        refreshers.forEach(Runnable::run);
        if (due.getScene() != null) {
            due.refresh();
            showUpgrades();
        }
        page.getChildren().forEach(this::show);
        showMaterials();
        caution.setText(machine().kind() == Machine.Kind.LASER ? "Laser: interlocks and eyewear stay on; never leave it burning alone."
                : machine().kind() == Machine.Kind.WIRE_CUTTER ? "Hot wire: ventilate, foam gives off fumes; cut the wire's current before touching it." : "");
        caution.setManaged(!caution.getText().isEmpty());
    }

    private void showUpgrades() {
        upgrades.getChildren().clear();
        for (Upgrade u : desk.state().upgradesOf(machineId)) {
            upgrades.getChildren().add(row(u));
        }
        if (upgrades.getChildren().isEmpty()) {
            upgrades.getChildren().add(Ui.text("Nothing is under way on this machine. When something troubles you about it, "
                    + "start an upgrade and write down what you see.", "faint"));
        }
    }

    private void showMaterials() {
        materials.getChildren().clear();
        against.getChildren().clear();
        Map<String, List<String>> obstacles = new LinkedHashMap<>();
        for (Material m : Material.STANDARD) {
            ToggleButton b = Ui.id(new ToggleButton(m.name()), "material-" + m.name());
            b.getStyleClass().add("chip");
            b.setSelected(machine().materials().contains(m.name()));
            List<MayPrint.Reason> why = MayPrint.reasonsAgainst(machine(), m, LocalDate.now());
            String fumes = m.fumes() ? m.name() + " gives off fumes and fine particles: enclose the machine and ventilate." : "";
            if (!why.isEmpty()) {
                b.setDisable(!b.isSelected());
            }
            String tip = (MayPrint.words(why, m) + " " + fumes).strip();
            if (!tip.isEmpty()) {
                Ui.tip(b, tip);
            }
            b.setOnAction(e -> edit("materials", k -> {
                List<String> list = new ArrayList<>(k.materials());
                if (!list.remove(m.name())) {
                    list.add(m.name());
                }
                return k.withMaterials(list);
            }));
            materials.getChildren().add(b);
            why.forEach(r -> obstacles.computeIfAbsent(r.obstacle(), k -> new ArrayList<>()).add(m.name()));
            if (b.isSelected() && m.fumes() && !machine().enclosed()) {
                against.getChildren().add(Ui.id(Ui.text(fumes, "look"), "against-" + m.name()));
            }
        }
        if (machine().prints()) {
            int n = 0;
            for (Map.Entry<String, List<String>> o : obstacles.entrySet()) {
                boolean chosen = o.getValue().stream().anyMatch(machine().materials()::contains);
                against.getChildren().add(Ui.id(Ui.text("Not " + String.join(", ", o.getValue()) + ": "
                        + Quantity.inSentence(o.getKey()) + ".", chosen ? "look" : "faint"), "against-" + n++));
            }
        }
    }

    /** The newest kept revisions of all upgrades of this machine. */
    private void showLately() {
        lately.getChildren().clear();
        lately.setHgap(18);
        lately.setVgap(5);
        List<Revision> newest = desk.state().revisions().stream()
                .filter(r -> desk.state().upgrade(r.upgradeId()).map(u -> u.machineId().equals(machineId)).orElse(false))
                .sorted((a, b) -> b.keptAt().compareTo(a.keptAt())).limit(8).toList();
        int row = 0;
        for (Revision r : newest) {
            Label of = Ui.label(desk.state().upgrade(r.upgradeId()).orElseThrow().name());
            of.setMaxWidth(240);
            lately.addRow(row++, Ui.whole(Ui.label(r.keptAt().format(DAY), "faint")), Ui.whole(Ui.label(r.mark(), "strong")), of,
                    Ui.whole(Ui.label(Quantity.show(r.life().hours(), Unit.HOURS) + ", "
                            + r.life().end().label().toLowerCase(java.util.Locale.ROOT))),
                    Ui.label(r.life().note().isEmpty() ? r.reason() : r.life().note(), "faint"));
        }
        if (newest.isEmpty()) {
            lately.add(Ui.text("No revision has been kept yet. What was printed for this machine, how long it lived and what "
                    + "ended it will stand here.", "faint"), 0, 0);
        }
    }

    private Node row(Upgrade u) {
        List<Finding> findings = Assessor.assess(u, desk.state().shop(), desk.state().nextMark(u.id())).findings();
        List<Revision> kept = desk.state().revisionsOf(u.id());
        Label name = Ui.label(u.name(), "strong");
        Label life = Ui.label(kept.isEmpty() ? "no revision kept yet" : kept.size() + (kept.size() == 1 ? " revision, " : " revisions, ")
                + Quantity.show(kept.stream().mapToDouble(r -> r.life().hours()).sum(), Unit.HOURS) + " together", "faint");
        HBox margin = new HBox(8);
        if (findings.isEmpty()) {
            margin.getChildren().add(Ui.label(u.sheets().isEmpty() ? "Nothing measured yet" : "Measured; no part yet", "faint"));
        } else {
            Finding f = findings.get(0);
            long stops = findings.stream().filter(x -> x.word() == Word.STOP).count();
            margin.getChildren().addAll(new WordBadge(f.word()), Ui.label(f.what()
                    + (stops > 1 ? " (and " + (stops - 1) + " more)" : "")));
        }
        Label trouble = Ui.label(u.trouble().seen().isEmpty() ? "No trouble written down yet" : u.trouble().seen(), "faint");
        VBox text = new Column(3, new HBox(10, name, life), margin, trouble);
        HBox.setHgrow(text, Priority.ALWAYS);
        text.setMinWidth(0);
        Button open = Ui.id(new Button(null, text), "open-" + u.id());
        open.setAccessibleText("Open " + u.name());
        open.getStyleClass().add("upgrade-row");
        open.setMaxWidth(Double.MAX_VALUE);
        open.setOnAction(e -> desk.goTo(u, u.part().isPresent() ? Station.SHAPE : Station.TROUBLE));
        return open;
    }
}
