package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.Desk;
import tinperch.desktop.Station;
import tinperch.desktop.View;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.desktop.sheet.FittingSheet;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.part.Parameter;
import tinperch.part.PartDesign;
import tinperch.part.PartFamily;
import tinperch.part.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Assessor;
import tinperch.upgrade.Families;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.edit.PartEdits;

/** Cards for what the part holds and reaches, and the fitting sheet beside them. */
final class ShapeStation extends BorderPane implements View {
    private final Desk desk;
    private final String upgradeId;
    private final Map<String, CommitField> fields = new LinkedHashMap<>();
    private final Map<String, ComboBox<String>> choices = new LinkedHashMap<>();
    private final Map<String, Card> cards = new LinkedHashMap<>();
    private PartFamily family;
    private FittingSheet sheet;
    private Scroller scroll;

    ShapeStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
    }

    private Upgrade upgrade() {
        return desk.state().upgrade(upgradeId).orElseThrow();
    }

    private void build() {
        leave();
        fields.clear();
        choices.clear();
        cards.clear();
        if (upgrade().part().isEmpty()) {
            setLeft(null);
            setCenter(chooseFamily());
            return;
        }
        VBox list = new VBox(8);
        CommitField name = new CommitField("part-name", upgrade().part().get().name(), typed -> {
            if (typed.isBlank()) {
                return Optional.of("A part needs a name; the old one stays.");
            }
            desk.workshop().edit("name of the part", s -> {
                Upgrade u = s.upgrade(upgradeId).orElseThrow();
                return s.with(u.with(u.part().orElseThrow().withName(typed.strip())));
            });
            return Optional.empty();
        });
        name.getStyleClass().add("part-name");
        fields.put("", name);
        list.getChildren().addAll(name);
        Map<String, List<Parameter>> groups = new LinkedHashMap<>();
        family.parameters().forEach(p -> groups.computeIfAbsent(p.group(), k -> new ArrayList<>()).add(p));
        groups.forEach((title, parameters) -> {
            Card card = new Card(title, parameters);
            cards.put(title, card);
            list.getChildren().add(card);
        });
        cards.values().iterator().next().open(true);
        scroll = new Scroller(list);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setPrefWidth(292);
        scroll.setMinWidth(292);
        setLeft(scroll);
        sheet = new FittingSheet(desk, family.above(), (key, text) -> PartEdits.set(desk.workshop(), upgradeId, key, text),
                key -> family.parameter(key).label() + ": " + family.parameter(key).hint(), this::picked);
        setCenter(sheet);
        BorderPane.setMargin(sheet, new Insets(0, 0, 0, 12));
    }

    private Node chooseFamily() {
        VBox box = new VBox(12, Ui.label("What kind of part?", "title"));
        box.getStyleClass().add("welcome");
        for (PartFamily f : Families.ALL) {
            box.getChildren().addAll(Ui.label(f.title(), "section"), Ui.text(f.purpose(), "lead"));
            box.getChildren().addAll(f.wantsBase() ? models(f) : patterns(f));
        }
        return new Scroller(box);
    }

    /** A button to begin with, and what is still to be measured before. */
    private List<Node> patterns(PartFamily f) {
        Button b = Ui.id(Ui.button("Make a " + f.title().toLowerCase(Locale.ROOT), "mdi2s-shape-outline", () -> start(f, "")),
                "family-" + f.id());
        b.getStyleClass().add("accent");
        List<String> missing = f.roles().entrySet().stream().filter(r -> !Assessor.patterns(upgrade()).containsKey(r.getKey()))
                .map(Map.Entry::getValue).toList();
        b.setDisable(!missing.isEmpty());
        return missing.isEmpty() ? List.of(b) : List.of(b, Ui.text("Still to be measured: " + String.join("; ", missing) + ".", "look"),
                Ui.id(Ui.button("Go to Measure", "mdi2a-arrow-right", () -> desk.goTo(Station.MEASURE)), "go-measure"));
    }

    /** One button for each model kept with the machine. */
    private List<Node> models(PartFamily f) {
        List<Node> all = new ArrayList<>();
        for (Model m : desk.machine().map(Machine::models).orElse(List.of())) {
            Button b = Ui.id(Ui.button("Start from " + m.name(), "mdi2c-cube-outline", () -> start(f, m.id())), "base-" + m.id());
            b.setDisable(m.verdict() == Model.Verdict.DISAGREES);
            all.add(b);
            if (m.verdict() != Model.Verdict.AGREES) {
                all.add(Ui.text(m.verdictWords(), "look"));
            }
        }
        if (all.isEmpty()) {
            all.add(Ui.text("This machine has no downloaded model yet; its sheet takes one in under Models.", "faint"));
        }
        return all;
    }

    private void start(PartFamily f, String baseId) {
        Upgrade next = upgrade().with(new PartDesign(f.id(), upgrade().name(), f.startAround(Assessor.patterns(upgrade())),
                PartDesign.FIRST_MATERIAL, baseId));
        PartEdits.problem(desk.workshop(), next).ifPresentOrElse(desk::warn, () -> desk.workshop().edit("make a "
                + f.title().toLowerCase(Locale.ROOT), s -> s.with(next)));
    }

    /** A click on a face of the turntable: its feature lights up, its first field gets the focus. */
    private void picked(String feature) {
        desk.litProperty().set(feature);
        if (feature.isEmpty()) {
            return;
        }
        String key = family.keyOf(feature);
        CommitField f = fields.get(key);
        if (f != null) {
            cards.values().forEach(c -> c.open(c.keys.contains(key)));
            Platform.runLater(() -> {
                f.field().requestFocus();
                reveal(f);
            });
        }
    }

    private void reveal(Node n) {
        double content = scroll.getContent().getBoundsInLocal().getHeight();
        double y = scroll.getContent().sceneToLocal(n.localToScene(0, 0)).getY();
        double view = scroll.getViewportBounds().getHeight();
        if (content > view) {
            scroll.setVvalue(Math.max(0, Math.min(1, (y - view / 2) / (content - view))));
        }
    }

    /** One card: its fields, or folded to a line that says what they amount to. */
    private final class Card extends VBox {
        private final Label summary = Ui.text("", "faint");
        private final GridPane grid = new GridPane();
        private final List<String> keys;
        private final Button fold;
        private final String title;

        Card(String title, List<Parameter> parameters) {
            super(6);
            this.title = title;
            keys = parameters.stream().map(Parameter::key).toList();
            getStyleClass().add("panel");
            fold = Ui.id(new Button(title, Ui.icon("mdi2c-chevron-right")), "card-" + title.toLowerCase(
                    Locale.ROOT).replaceAll("[^a-z]+", "-"));
            fold.getStyleClass().add("fold");
            fold.setMaxWidth(Double.MAX_VALUE);
            fold.setOnAction(e -> open(!getChildren().contains(grid)));
            grid.setHgap(8);
            grid.setVgap(4);
            ColumnConstraints label = new ColumnConstraints();
            label.setHgrow(Priority.ALWAYS);
            grid.getColumnConstraints().addAll(label, new ColumnConstraints(130));
            int row = 0;
            for (Parameter p : parameters) {
                Label l = Ui.tip(Ui.label(p.label(), "field-label"), p.hint());
                Node editor = p.isChoice() ? choice(p) : number(p);
                grid.addRow(row, l, editor);
                if (editor instanceof CommitField f) {
                    grid.add(f.complaint(), 0, row + 1, 2, 1);
                }
                row += 2;
                GridPane.setValignment(l, VPos.BASELINE);
                GridPane.setValignment(editor, VPos.BASELINE);
            }
            getChildren().addAll(fold, summary);
        }

        void open(boolean open) {
            getChildren().setAll(fold, open ? grid : summary);
            fold.setGraphic(Ui.icon(open ? "mdi2c-chevron-down" : "mdi2c-chevron-right"));
        }

        private Node number(Parameter p) {
            CommitField f = new CommitField("field-" + p.key(), "", typed ->
                    PartEdits.set(desk.workshop(), upgradeId, p.key(), typed));
            fields.put(p.key(), f);
            f.field().getStyleClass().add("number-field");
            return f;
        }

        private Node choice(Parameter p) {
            ComboBox<String> c = Ui.id(new ComboBox<>(), "field-" + p.key());
            c.getItems().setAll(p.choices());
            c.setMaxWidth(Double.MAX_VALUE);
            c.setOnAction(e -> {
                if (c.getValue() != null && !c.getValue().equals(values().choice(p.key()))) {
                    PartEdits.set(desk.workshop(), upgradeId, p.key(), c.getValue()).ifPresent(why -> {
                        desk.warn(why);
                        c.setValue(values().choice(p.key()));
                    });
                }
            });
            choices.put(p.key(), c);
            return c;
        }

        void refresh(Values v) {
            for (String k : keys) {
                Parameter p = family.parameter(k);
                if (p.isChoice()) {
                    choices.get(k).setValue(v.choice(k));
                } else {
                    fields.get(k).refresh(Quantity.show(v.number(k), p.unit()));
                    Ui.tip(fields.get(k).field(), p.hint() + (p.unit() == Unit.MM ? " · " + Quantity.inches(v.number(k)) : ""));
                }
            }
            summary.setText(family.summary(title, v));
        }
    }

    private Values values() {
        return upgrade().part().orElseThrow().values().over(family.start());
    }

    @Override
    public void refresh() {
        PartFamily now = upgrade().part().map(Assessor::family).orElse(null);
        if (now == null || now != family || sheet == null) {
            family = now;
            build();
        }
        if (family == null) {
            return;
        }
        fields.get("").refresh(upgrade().part().orElseThrow().name());
        Values v = values();
        cards.values().forEach(c -> c.refresh(v));
    }

    @Override
    public void leave() {
        if (sheet != null) {
            sheet.leave();
            sheet = null;
        }
    }
}
