package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tinperch.desktop.desk.Begin;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.desktop.sheet.PartPicture;
import tinperch.fact.DrawingFact;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.param.Values;
import tinperch.upgrade.Families;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** "What kind of part?": pictures drawn from each kind's start values, grouped by what they do, found by typing. Choosing one makes it at once. */
final class KindsPage extends VBox implements View {
    private static final double WIDTH = 216;
    private static final double PURPOSE_HEIGHT = 54;

    private final Desk desk;
    private final String upgradeId;
    private final int partsBefore;
    private final TextField find = Ui.id(new TextField(), "find-kind");
    private final FlowPane groups = new FlowPane(26, 14);
    private final Map<PartFamily, Node> cards = new LinkedHashMap<>();
    private static final int FIRST_GROUPS = 1;
    private final PauseTransition rest = new PauseTransition(Duration.millis(60));

    KindsPage(Desk desk, String upgradeId) {
        super(12);
        this.desk = desk;
        this.upgradeId = upgradeId;
        partsBefore = upgrade().parts().size();
        getStyleClass().add("kinds");
        find.setPromptText("type what it should do: fan, hose, board …");
        find.setPrefWidth(280);
        find.textProperty().addListener((o, a, b) -> fill());
        find.setOnAction(e -> chooseFound());
        HBox head = new HBox(14, Ui.label("What kind of part?", "title"), find);
        head.setAlignment(Pos.BASELINE_LEFT);
        if (partsBefore > 0) {
            head.getChildren().add(Ui.id(Ui.button("Back to the part", "mdi2a-arrow-left", () -> desk.show(upgrade().parts().get(0).id())), "back-to-part"));
        }
        Label why = Ui.text("It is made at once from usual sizes and whatever was read already. Measure afterwards what it asks for; until then the margins say what is only assumed.", "faint");
        groups.setRowValignment(javafx.geometry.VPos.TOP);
        Scroller scroll = new Scroller(groups);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, javafx.scene.layout.Priority.ALWAYS);
        getChildren().addAll(head, why, scroll);
        // The first row is there with the first frame, the rest with one of the next.
        add(0, FIRST_GROUPS);
        rest.setOnFinished(e -> add(FIRST_GROUPS, Does.values().length));
        rest.play();
    }

    private Upgrade upgrade() {
        return desk.state().upgrade(upgradeId).orElseThrow();
    }

    /** How many parts the upgrade had when this page was opened: one more, and the page has done its work. */
    int partsBefore() {
        return partsBefore;
    }

    private Node card(PartFamily f) {
        PartPicture picture = new PartPicture(desk.theme(), WIDTH - 24, 132);
        Upgrade made = upgrade().with(PartDesign.of("picture", f.id(), f.title(), Values.START));
        desk.caseOf(made, "picture").ifPresent(c -> desk.engine().find(c, DrawingFact.DRAWING, d -> {
            if (d != null) {
                picture.show(d.mesh(), d.edges());
            }
        }));
        Button b = button(picture, f.title(), f.purpose(), "family-" + f.id());
        b.setOnAction(e -> {
            b.setDisable(true);
            Begin.part(desk, upgrade(), f);
        });
        return b;
    }

    private static Button button(Node picture, String title, String purpose, String id) {
        Label what = Ui.label(purpose, "faint");
        what.setWrapText(true);
        // Asked for its height before it has a width, it would answer for one word a line.
        what.setMinWidth(WIDTH - 26);
        what.setPrefWidth(WIDTH - 26);
        what.setMaxWidth(WIDTH - 26);
        what.setMinHeight(PURPOSE_HEIGHT);
        VBox box = new VBox(4, picture, Ui.label(title, "strong"), what);
        box.setAlignment(Pos.TOP_LEFT);
        Button b = Ui.id(new Button(null, box), id);
        b.getStyleClass().add("kind-card");
        b.setAccessibleText(title);
        b.setPrefWidth(WIDTH);
        b.setMaxWidth(WIDTH);
        return b;
    }

    /** The only one found, or the only one called so, is taken; of several the first gets the keyboard. */
    private void chooseFound() {
        List<Button> found = groups.lookupAll(".kind-card").stream().filter(Button.class::isInstance).map(Button.class::cast).toList();
        String typed = typed();
        List<Button> called = found.stream().filter(b -> b.getAccessibleText().toLowerCase(Locale.ROOT).startsWith(typed)).toList();
        if (found.size() == 1) {
            found.get(0).fire();
        } else if (called.size() == 1 && !typed.isEmpty()) {
            called.get(0).fire();
        } else if (!found.isEmpty()) {
            found.get(0).requestFocus();
        }
    }

    private String typed() {
        return find.getText() == null ? "" : find.getText().strip().toLowerCase(Locale.ROOT);
    }

    private void fill() {
        rest.stop();
        groups.getChildren().clear();
        add(0, Does.values().length);
        if (groups.getChildren().isEmpty()) {
            groups.getChildren().add(Ui.text("No kind of part says so. Try another word, or clear the field to see all.", "faint"));
        }
    }

    /** Groups from one to before another, with the kinds in them that are asked for. */
    private void add(int from, int to) {
        String typed = typed();
        for (Does does : List.of(Does.values()).subList(from, to)) {
            List<Node> found = new ArrayList<>();
            Families.ALL.stream().filter(f -> !Begin.needsModel(f) && f.does() == does && matches(f, typed)).forEach(f -> found.add(cards.computeIfAbsent(f, this::card)));
            if (does == Does.OTHERS) {
                found.addAll(models(typed));
            }
            if (!found.isEmpty()) {
                // As many beside each other as there are; the groups themselves break into rows.
                FlowPane row = new FlowPane(12, 12);
                row.getChildren().addAll(found);
                row.prefWrapLengthProperty().bind(Bindings.min(found.size() * (WIDTH + 12), groups.widthProperty()));
                groups.getChildren().add(new VBox(6, Ui.label(does.label(), "section"), row));
            }
        }
    }

    private static boolean matches(PartFamily f, String typed) {
        String all = (f.title() + " " + f.purpose() + " " + f.does().label() + " " + String.join(" ", f.roles().stream().map(r -> r.label() + " " + r.ask()).toList()))
                .toLowerCase(Locale.ROOT);
        return typed.isEmpty() || java.util.Arrays.stream(typed.split("\\s+")).allMatch(all::contains);
    }

    /** One card for each model kept with the machine. */
    private List<Node> models(String typed) {
        List<Node> all = new ArrayList<>();
        for (Model m : desk.machine().map(Machine::models).orElse(List.of())) {
            if (!typed.isEmpty() && !m.name().toLowerCase(Locale.ROOT).contains(typed)) {
                continue;
            }
            Button b = button(new VBox(), m.name(), m.verdictWords(), "base-" + m.id());
            b.setDisable(m.verdict() == Model.Verdict.DISAGREES);
            b.setOnAction(e -> Begin.part(desk, upgrade(), m));
            all.add(b);
        }
        if (all.isEmpty() && typed.isEmpty()) {
            Label none = Ui.text("A downloaded model becomes a part too: this machine's sheet takes one in under Models.", "faint");
            none.setPrefWidth(WIDTH);
            all.add(none);
        }
        return all;
    }

    @Override
    public void refresh() {
        if (rest.getStatus() == Animation.Status.RUNNING) {
            return;
        }
        fill();
    }
}
