package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.part.PartFamily;
import tinperch.part.param.Card;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.upgrade.PartDesign;

/** The parameters of a part as cards: one is open, the others folded to a line that says what they amount to. */
final class PartCards extends Scroller {
    private final Desk desk;
    private final String upgradeId;
    private final String partId;
    private final PartFamily family;
    private final BiFunction<Param<?>, String, Optional<String>> edit;
    private final Map<Card, CardPane> cards = new LinkedHashMap<>();
    private final CommitField name;
    private final VBox list = new VBox(8);

    /**
     * @param added what the person added, between the name and the cards
     * @param edit sets a parameter from what was typed; answers why not, or empty
     */
    PartCards(Desk desk, String upgradeId, String partId, PartFamily family, Node added, BiFunction<Param<?>, String, Optional<String>> edit) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        this.partId = partId;
        this.family = family;
        this.edit = edit;
        name = new CommitField("part-name", part().name(), typed -> {
            if (typed.isBlank()) {
                return Optional.of("A part needs a name; the old one stays.");
            }
            desk.workshop().edit("name of the part", s -> s.with(s.upgrade(upgradeId).orElseThrow().with(part().withName(typed.strip()))));
            return Optional.empty();
        });
        name.getStyleClass().add("part-name");
        list.getChildren().addAll(name, added);
        Map<Card, List<Param<?>>> groups = new LinkedHashMap<>();
        family.params().forEach(p -> groups.computeIfAbsent(p.card(), k -> new ArrayList<>()).add(p));
        groups.forEach((card, params) -> {
            CardPane pane = new CardPane(card, params);
            cards.put(card, pane);
            list.getChildren().add(pane);
        });
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
        Optional.ofNullable(cards.get(param.card())).flatMap(pane -> pane.rows().field(param)).ifPresent(f -> {
            cards.forEach((card, pane) -> pane.open(card.equals(param.card())));
            Platform.runLater(() -> {
                f.field().requestFocus();
                reveal(f);
            });
        });
    }

    private void reveal(Node n) {
        double content = list.getBoundsInLocal().getHeight();
        double y = list.sceneToLocal(n.localToScene(0, 0)).getY();
        double view = getViewportBounds().getHeight();
        if (content > view) {
            setVvalue(Math.max(0, Math.min(1, (y - view / 2) / (content - view))));
        }
    }

    /** Every field shows what holds, whatever was typed. */
    void takeBack() {
        cards.values().stream().filter(c -> c.rows != null).forEach(c -> c.rows.takeBack());
    }

    void refresh() {
        PartDesign part = part();
        name.refresh(part.name());
        cards.values().forEach(c -> c.refresh(part.values()));
    }

    private final class CardPane extends VBox {
        private final Label summary = Ui.text("", "faint");
        private final Form form = new Form(130);
        private ParamRows rows;
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
            fold.setOnAction(e -> open(!getChildren().contains(form)));
            getChildren().addAll(fold, summary);
        }

        /** Fields are made when they are first looked at. */
        private ParamRows rows() {
            if (rows == null) {
                rows = new ParamRows(form, "field-", params, edit::apply, desk::warn);
                rows.refresh(part().values());
            }
            return rows;
        }

        void open(boolean open) {
            if (open) {
                rows();
            }
            getChildren().setAll(fold, open ? form : summary);
            fold.setGraphic(Ui.icon(open ? "mdi2c-chevron-down" : "mdi2c-chevron-right"));
        }

        void refresh(Values v) {
            if (rows != null) {
                rows.refresh(v);
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
