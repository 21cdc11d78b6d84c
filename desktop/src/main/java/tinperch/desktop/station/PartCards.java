package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.part.PartFamily;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.PartDesign;

/** The parameters of a part as cards: one is open, the others folded to a line that says what they amount to. */
final class PartCards extends Scroller {
    private final Desk desk;
    private final String upgradeId;
    private final String partId;
    private final PartFamily family;
    private final Map<Param<?>, CommitField> fields = new LinkedHashMap<>();
    private final Map<Param<?>, ComboBox<String>> choices = new LinkedHashMap<>();
    private final Map<Card, CardPane> cards = new LinkedHashMap<>();
    private final CommitField name;
    private final VBox list = new VBox(8);

    PartCards(Desk desk, String upgradeId, String partId, PartFamily family, Node below) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        this.partId = partId;
        this.family = family;
        name = new CommitField("part-name", part().name(), typed -> {
            if (typed.isBlank()) {
                return Optional.of("A part needs a name; the old one stays.");
            }
            desk.workshop().edit("name of the part", s -> s.with(s.upgrade(upgradeId).orElseThrow().with(part().withName(typed.strip()))));
            return Optional.empty();
        });
        name.getStyleClass().add("part-name");
        list.getChildren().add(name);
        Map<Card, List<Param<?>>> groups = new LinkedHashMap<>();
        family.params().forEach(p -> groups.computeIfAbsent(p.card(), k -> new ArrayList<>()).add(p));
        groups.forEach((card, params) -> {
            CardPane pane = new CardPane(card, params);
            cards.put(card, pane);
            list.getChildren().add(pane);
        });
        list.getChildren().add(below);
        cards.values().iterator().next().open(true);
        setContent(list);
        setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        setPrefWidth(292);
        setMinWidth(292);
    }

    private PartDesign part() {
        return desk.state().part(upgradeId, partId).orElseThrow();
    }

    PartFamily family() {
        return family;
    }

    /** Opens the card of a parameter and gives its field the focus. */
    void focus(Param<?> param) {
        CommitField f = fields.get(param);
        if (f != null) {
            cards.forEach((card, pane) -> pane.open(card.equals(param.card())));
            Platform.runLater(() -> {
                f.field().requestFocus();
                reveal(f);
            });
        }
    }

    private void reveal(Node n) {
        double content = list.getBoundsInLocal().getHeight();
        double y = list.sceneToLocal(n.localToScene(0, 0)).getY();
        double view = getViewportBounds().getHeight();
        if (content > view) {
            setVvalue(Math.max(0, Math.min(1, (y - view / 2) / (content - view))));
        }
    }

    void refresh() {
        PartDesign part = part();
        name.refresh(part.name());
        cards.values().forEach(c -> c.refresh(part.values()));
    }

    private final class CardPane extends VBox {
        private final Label summary = Ui.text("", "faint");
        private final GridPane grid = new GridPane();
        private final List<Param<?>> params;
        private final Button fold;
        private final Card card;

        CardPane(Card card, List<Param<?>> params) {
            super(6);
            this.card = card;
            this.params = params;
            getStyleClass().add("panel");
            fold = Ui.id(new Button(card.title(), Ui.icon("mdi2c-chevron-right")), "card-" + card.id());
            fold.getStyleClass().add("fold");
            fold.setMaxWidth(Double.MAX_VALUE);
            fold.setOnAction(e -> open(!getChildren().contains(grid)));
            grid.setHgap(8);
            grid.setVgap(4);
            ColumnConstraints label = new ColumnConstraints();
            label.setHgrow(Priority.ALWAYS);
            grid.getColumnConstraints().addAll(label, new ColumnConstraints(130));
            getChildren().addAll(fold, summary);
        }

        /** Fields are made when they are first looked at. */
        private void fill() {
            int row = 0;
            for (Param<?> p : params) {
                Label l = Ui.tip(Ui.label(p.label(), "field-label"), p.hint());
                Node editor = p instanceof NumberParam n ? number(n) : choice(p);
                grid.addRow(row, l, editor);
                if (editor instanceof CommitField f) {
                    grid.add(f.complaint(), 0, row + 1, 2, 1);
                }
                row += 2;
                GridPane.setValignment(l, VPos.BASELINE);
                GridPane.setValignment(editor, VPos.BASELINE);
            }
            refresh(part().values());
        }

        void open(boolean open) {
            if (open && grid.getChildren().isEmpty()) {
                fill();
            }
            getChildren().setAll(fold, open ? grid : summary);
            fold.setGraphic(Ui.icon(open ? "mdi2c-chevron-down" : "mdi2c-chevron-right"));
        }

        private Node number(NumberParam p) {
            CommitField f = new CommitField("field-" + p.key(), "", typed -> desk.edits().set(upgradeId, partId, p, typed));
            fields.put(p, f);
            f.field().getStyleClass().add("number-field");
            return f;
        }

        private Node choice(Param<?> p) {
            ComboBox<String> c = Ui.id(new ComboBox<>(), "field-" + p.key());
            c.getItems().setAll(p instanceof ChoiceParam<?> k ? k.options().stream().map(ChoiceParam.Option::label).toList() : List.of("yes", "no"));
            c.setMaxWidth(Double.MAX_VALUE);
            c.setOnAction(e -> {
                if (c.getValue() != null && !c.getValue().equals(p.show(part().values()))) {
                    desk.edits().set(upgradeId, partId, p, c.getValue()).ifPresent(why -> {
                        desk.warn(why);
                        c.setValue(p.show(part().values()));
                    });
                }
            });
            choices.put(p, c);
            return c;
        }

        void refresh(Values v) {
            for (Param<?> p : params) {
                if (choices.containsKey(p)) {
                    choices.get(p).setValue(p.show(v));
                } else if (fields.containsKey(p)) {
                    fields.get(p).refresh(p.show(v));
                    Ui.tip(fields.get(p).field(), p.hint() + (p instanceof NumberParam n && n.unit() == Unit.MM
                            ? " · " + Quantity.inches(v.numbers().getOrDefault(p.key(), n.start())) : ""));
                }
            }
            summary.setText(summary(v));
        }

        /** What cannot be read is said when the card is opened. */
        private String summary(Values v) {
            try {
                return family.summary(card, v);
            } catch (PartProblem e) {
                return e.getMessage();
            }
        }
    }
}
