package tinperch.desktop.station;

import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Differences;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;

/** The ladder of revisions: each rung as long as it lived, its end marked; what changed stands between the rungs. */
final class VerdictStation extends BorderPane implements View {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final double LONGEST_PX = 300;

    private final Desk desk;
    private final String upgradeId;
    private final HBox ladders = new HBox(18);
    private final RevisionDetail detail;
    private String chosenPart = "";
    private int chosen = -1;

    VerdictStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
        Scroller scroll = new Scroller(ladders);
        VBox.setVgrow(scroll, javafx.scene.layout.Priority.ALWAYS);
        VBox left = new VBox(8, Ui.label("Revisions", "section"), scroll);
        left.getStyleClass().add("panel");
        setCenter(left);
        detail = new RevisionDetail(desk, upgradeId);
        Scroller right = new Scroller(detail);
        right.getStyleClass().add("panel");
        right.setPrefWidth(330);
        right.setMinWidth(300);
        setRight(right);
        BorderPane.setMargin(right, new Insets(0, 0, 0, 14));
    }

    private Upgrade upgrade() {
        return desk.state().upgrade(upgradeId).orElseThrow();
    }

    private boolean isChosen(Revision r) {
        return r.number() == chosen && r.partId().equals(chosenPart);
    }

    @Override
    public void refresh() {
        List<Revision> all = desk.state().revisionsOf(upgradeId);
        ladders.getChildren().clear();
        if (all.isEmpty()) {
            chosen = -1;
            ladders.getChildren().add(new VBox(Ui.text("Nothing has been kept yet. Once a part goes to the printer, keep it with its "
                    + "reason; what becomes of it is then written here.", "faint"), gap(),
                    Ui.button("Go to Print", "mdi2a-arrow-right", () -> desk.goTo(Station.PRINT))));
            detail.show(null);
            return;
        }
        if (all.stream().noneMatch(this::isChosen)) {
            String shown = desk.part().map(PartDesign::id).orElse("");
            Revision newest = all.stream().filter(r -> r.partId().equals(shown)).reduce((a, b) -> b).orElse(all.get(all.size() - 1));
            chosen = newest.number();
            chosenPart = newest.partId();
        }
        double longest = Math.max(1, all.stream().mapToDouble(r -> r.life().hours()).max().orElse(1));
        List<String> partIds = all.stream().map(Revision::partId).distinct().toList();
        for (String id : partIds) {
            ladders.getChildren().add(ladder(id, all.stream().filter(r -> r.partId().equals(id)).toList(), longest, partIds.size() > 1));
        }
        all.stream().filter(this::isChosen).findFirst().ifPresent(detail::show);
    }

    /** One part's revisions, the newest on top. */
    private VBox ladder(String partId, List<Revision> kept, double longest, boolean named) {
        VBox ladder = new VBox();
        HBox.setHgrow(ladder, javafx.scene.layout.Priority.ALWAYS);
        Optional<PartDesign> now = upgrade().part(partId);
        if (named) {
            ladder.getChildren().add(Ui.label(now.map(PartDesign::name).orElse(kept.get(kept.size() - 1).part().name()), "strong"));
        }
        now.ifPresent(p -> ladder.getChildren().addAll(rungOfNow(p), between(kept.get(kept.size() - 1), p)));
        for (int i = kept.size() - 1; i >= 0; i--) {
            ladder.getChildren().add(rung(kept.get(i), longest));
            if (i > 0) {
                ladder.getChildren().add(words(Differences.between(kept.get(i - 1).part(), kept.get(i - 1).recipe().map(r -> r.refs()), kept.get(i).part(),
                        kept.get(i).recipe().map(r -> r.refs()))));
            }
        }
        return ladder;
    }

    private static Region gap() {
        Region r = new Region();
        r.setMinHeight(10);
        return r;
    }

    private Node rungOfNow(PartDesign now) {
        Label mark = Ui.label(desk.state().nextMark(upgradeId, now.id()), "rung-mark");
        mark.setMinWidth(40);
        HBox line = new HBox(8, mark, Ui.label("being shaped now", "faint"));
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().add("rung-now");
        return line;
    }

    private Node rung(Revision r, double longestHours) {
        Label mark = Ui.label(r.mark(), "rung-mark");
        mark.setMinWidth(40);
        Region bar = new Region();
        bar.getStyleClass().add("rung-bar");
        double w = Math.max(4, LONGEST_PX * r.life().hours() / longestHours);
        bar.setMinSize(w, 12);
        bar.setMaxSize(w, 12);
        Label end = new Label(Quantity.show(r.life().hours(), Unit.HOURS) + "  " + r.life().end().label(),
                Ui.icon(endIcon(r.life().end())));
        end.getStyleClass().add("rung-end");
        end.setMinWidth(USE_PREF_SIZE);
        HBox line = new HBox(8, mark, bar, end);
        line.setAlignment(Pos.CENTER_LEFT);
        VBox text = new VBox(1, line);
        Label why = Ui.label(r.reason() + (r.life().note().isEmpty() ? "" : " — " + r.life().note()), "rung-reason");
        text.getChildren().add(why);
        Button b = Ui.id(new Button(null, text), "rung-" + r.partId() + "-" + r.number());
        b.setAccessibleText(r.mark() + ", " + r.life().end().label());
        b.getStyleClass().add("rung");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setAlignment(Pos.CENTER_LEFT);
        b.pseudoClassStateChanged(CHOSEN, isChosen(r));
        b.setOnAction(e -> {
            chosen = r.number();
            chosenPart = r.partId();
            refresh();
        });
        return b;
    }

    private static String endIcon(Revision.End end) {
        return switch (end) {
            case UNTRIED -> "mdi2c-circle-outline";
            case RUNNING -> "mdi2a-arrow-right-bold";
            case FAILED -> "mdi2c-close-thick";
            case REPLACED -> "mdi2s-swap-horizontal";
        };
    }

    private Node between(Revision before, PartDesign now) {
        return words(Differences.between(before.part(), before.recipe().map(r -> r.refs()), now, desk.caseOf(upgrade(), now.id()).map(c -> c.recipe().refs())));
    }

    private static Node words(List<Differences.Difference> list) {
        Label l = Ui.text(list.isEmpty() ? "nothing changed" : String.join("  ·  ", list.stream().map(Object::toString).toList()),
                "between");
        l.setMaxWidth(Double.MAX_VALUE);
        return l;
    }

}
